//! Who is connected, and who must go when there is no room.

use std::collections::HashMap;
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::Instant;

use tokio::sync::Notify;
use tokio::task::AbortHandle;

/// The open connections.
#[derive(Clone, Debug, Default)]
pub(crate) struct Guests {
    all: Arc<Mutex<HashMap<u64, Guest>>>,
    /// One became free to go, or went.
    changed: Arc<Notify>,
}

#[derive(Debug)]
struct Guest {
    /// Ends the connection, once its task is known.
    end: Option<AbortHandle>,
    /// A request is being worked on.
    busy: bool,
    /// Has asked something before.
    has_asked: bool,
    /// Since when it waits, or its request is worked on.
    since: Instant,
}

/// One connection's place; given back when it is dropped.
#[derive(Debug)]
pub(crate) struct Place {
    guests: Guests,
    number: u64,
}

impl Guests {
    fn lock(&self) -> MutexGuard<'_, HashMap<u64, Guest>> {
        self.all.lock().unwrap_or_else(PoisonError::into_inner)
    }

    /// Waits until fewer than `most` are connected. Whoever waits longest without a request being worked
    /// on is sent away for it, and first of all one who never asked for anything.
    pub(crate) async fn make_room(&self, most: usize) {
        loop {
            let changed = self.changed.notified();
            if self.sent_away_for_room(most) {
                return;
            }
            changed.await;
        }
    }

    fn sent_away_for_room(&self, most: usize) -> bool {
        let mut all = self.lock();
        while all.len() >= most {
            let idle = all.iter().filter(|(_, guest)| !guest.busy && guest.end.is_some());
            let Some((&number, _)) = idle.min_by_key(|(_, guest)| (guest.has_asked, guest.since)) else { return false };
            if let Some(end) = all.remove(&number).and_then(|guest| guest.end) {
                end.abort();
            }
        }
        true
    }

    /// Takes a place for a connection.
    pub(crate) fn enter(&self, number: u64) -> Place {
        self.lock().insert(number, Guest { end: None, busy: false, has_asked: false, since: Instant::now() });
        Place { guests: self.clone(), number }
    }

    /// Says how the connection of a place is ended.
    pub(crate) fn ended_by(&self, number: u64, end: AbortHandle) {
        if let Some(guest) = self.lock().get_mut(&number) {
            guest.end = Some(end);
        }
        self.changed.notify_waiters();
    }
}

impl Place {
    /// A request is worked on from now on, or no longer.
    pub(crate) fn is_busy(&self, busy: bool) {
        if let Some(guest) = self.guests.lock().get_mut(&self.number) {
            (guest.busy, guest.has_asked, guest.since) = (busy, true, Instant::now());
        }
        self.guests.changed.notify_waiters();
    }
}

impl Drop for Place {
    fn drop(&mut self) {
        self.guests.lock().remove(&self.number);
        self.guests.changed.notify_waiters();
    }
}

#[cfg(test)]
mod tests {
    use std::time::Duration;

    use super::*;

    /// A connection that lasts until it is ended.
    fn seated(guests: &Guests, number: u64) -> Arc<Place> {
        let place = Arc::new(guests.enter(number));
        let kept = place.clone();
        let task = tokio::spawn(async move {
            let _kept = kept;
            std::future::pending::<()>().await;
        });
        guests.ended_by(number, task.abort_handle());
        place
    }

    fn who(guests: &Guests) -> Vec<u64> {
        let mut numbers: Vec<u64> = guests.lock().keys().copied().collect();
        numbers.sort_unstable();
        numbers
    }

    #[tokio::test]
    async fn who_never_asked_goes_first_and_then_who_waits_longest() {
        let guests = Guests::default();
        let places: Vec<_> = (0..4).map(|number| seated(&guests, number)).collect();
        places[0].is_busy(true);
        places[0].is_busy(false);
        places[1].is_busy(true);
        guests.make_room(5).await;
        assert_eq!(who(&guests), [0, 1, 2, 3], "there is room");
        guests.make_room(4).await;
        assert_eq!(who(&guests), [0, 1, 3]);
        guests.make_room(3).await;
        assert_eq!(who(&guests), [0, 1]);
        guests.make_room(2).await;
        assert_eq!(who(&guests), [1], "it has asked, but nothing is worked on");
    }

    #[tokio::test]
    async fn while_all_are_busy_a_new_one_waits() {
        let guests = Guests::default();
        let place = seated(&guests, 1);
        place.is_busy(true);
        let room = guests.make_room(1);
        tokio::pin!(room);
        assert!(tokio::time::timeout(Duration::from_millis(20), &mut room).await.is_err());
        place.is_busy(false);
        tokio::time::timeout(Duration::from_secs(5), room).await.expect("it was free to go");
    }
}
