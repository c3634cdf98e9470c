//! Blocking work, off the async threads and in its turn.

use std::sync::Arc;
use std::sync::atomic::{AtomicBool, Ordering};

use tokio::sync::Semaphore;

use crate::error::ApiError;
use crate::limits::TURN;

/// Whether somebody still waits for work that has begun.
#[derive(Clone, Debug, Default)]
pub(crate) struct Wanted(Arc<AtomicBool>);

/// The one who waits: when it is gone, the work is not wanted any more.
struct Asker(Wanted);

impl Drop for Asker {
    fn drop(&mut self) {
        self.0.0.store(true, Ordering::Relaxed);
    }
}

impl Wanted {
    pub(crate) fn still(&self) -> bool {
        !self.0.load(Ordering::Relaxed)
    }
}

/// Runs blocking work when its turn comes. The turn lasts as long as the work, though nobody waits for it
/// any more: work that can be broken off asks whether it is still wanted. Work whose request is given up
/// before its turn never begins.
pub(crate) async fn in_turn<T: Send + 'static>(
    turns: &Arc<Semaphore>,
    work: impl FnOnce(&Wanted) -> Result<T, ApiError> + Send + 'static,
) -> Result<T, ApiError> {
    let turn = tokio::time::timeout(TURN, turns.clone().acquire_owned()).await;
    let turn =
        turn.map_err(|_| ApiError::Busy("Too much is asked at once. Nothing of this was begun; try again in a moment."))?;
    let turn = turn.map_err(|closed| ApiError::Internal(closed.to_string()))?;
    let asker = Asker(Wanted::default());
    let wanted = asker.0.clone();
    blocking(move || {
        let done = work(&wanted);
        drop(turn);
        done
    })
    .await
}

/// Runs blocking work on the threads meant for it.
pub(crate) async fn blocking<T: Send + 'static>(
    work: impl FnOnce() -> Result<T, ApiError> + Send + 'static,
) -> Result<T, ApiError> {
    match tokio::task::spawn_blocking(work).await {
        Ok(done) => done,
        Err(error) => Err(ApiError::Internal(error.to_string())),
    }
}

#[cfg(test)]
mod tests {
    use std::time::Duration;

    use super::*;

    #[tokio::test]
    async fn work_that_is_given_up_before_its_turn_never_begins() {
        let turns = Arc::new(Semaphore::new(1));
        let (go_on, wait) = std::sync::mpsc::channel::<()>();
        let first = tokio::spawn({
            let turns = turns.clone();
            async move { in_turn(&turns, move |_| wait.recv().map_err(|gone| ApiError::Internal(gone.to_string()))).await }
        });
        while turns.available_permits() > 0 {
            tokio::task::yield_now().await;
        }
        let begun = Arc::new(AtomicBool::new(false));
        let second = in_turn(&turns, {
            let begun = begun.clone();
            move |_| {
                begun.store(true, Ordering::SeqCst);
                Ok(())
            }
        });
        assert!(tokio::time::timeout(Duration::from_millis(20), second).await.is_err(), "it waits for its turn");
        go_on.send(()).unwrap();
        first.await.unwrap().unwrap();
        in_turn(&turns, |_| Ok(())).await.unwrap();
        assert!(!begun.load(Ordering::SeqCst), "nobody waited for it any more");
    }

    #[tokio::test]
    async fn work_that_has_begun_hears_that_nobody_waits_for_it() {
        let turns = Arc::new(Semaphore::new(1));
        let (tell, told) = std::sync::mpsc::channel();
        let work = in_turn(&turns, move |wanted| {
            let begun_wanted = wanted.still();
            while wanted.still() {
                std::thread::yield_now();
            }
            tell.send(begun_wanted).map_err(|gone| ApiError::Internal(gone.to_string()))
        });
        assert!(tokio::time::timeout(Duration::from_millis(20), work).await.is_err(), "it goes on while it is wanted");
        assert!(told.recv_timeout(Duration::from_secs(10)).expect("it was broken off"), "it was wanted at first");
    }

    #[tokio::test]
    async fn a_turn_lasts_as_long_as_the_work_though_its_request_is_given_up() {
        let turns = Arc::new(Semaphore::new(1));
        let (go_on, wait) = std::sync::mpsc::channel::<()>();
        let work = in_turn(&turns, move |_| wait.recv().map_err(|gone| ApiError::Internal(gone.to_string())));
        assert!(tokio::time::timeout(Duration::from_millis(20), work).await.is_err());
        assert_eq!(turns.available_permits(), 0, "still at work");
        go_on.send(()).unwrap();
        in_turn(&turns, |_| Ok(())).await.unwrap();
        assert_eq!(turns.available_permits(), 1);
    }
}
