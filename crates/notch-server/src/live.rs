//! What was changed, told to every page that is open, so that it reads again what it shows.

use std::sync::Arc;
use std::sync::atomic::{AtomicUsize, Ordering};

use serde::Serialize;
use tokio::sync::{broadcast, watch};
use utoipa::ToSchema;

/// So many changes may wait for a page that is slow; it reads everything again if there were more.
const WAITING: usize = 256;

/// What a change is of: a page reads again what hangs on it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub(crate) enum Subject {
    /// Everything that is worked out from the course's own choices.
    Course,
    /// How many copies are kept.
    Copies,
    /// Who works here.
    Staff,
    /// A student.
    Student,
    /// A knife.
    Knife,
    /// A lesson and its exercises.
    Lesson,
    /// Attempts, their marks and samples.
    Attempt,
    /// Nicks and near-misses.
    Incident,
    /// Briefings that were kept.
    Briefing,
    /// Where the stations stand.
    Room,
    /// What was shown sharp and dull.
    Demonstration,
    /// Ticks of the check sheet.
    Check,
    /// The rotation.
    Rotation,
    /// Knives that go out and come in.
    Count,
    /// The clock of a lesson.
    Run,
    /// Values of the school's own: everything.
    Own,
}

/// A change that was made.
#[derive(Clone, Debug, Serialize, ToSchema)]
pub(crate) struct LiveChange {
    /// What it is of; none where so much was changed that everything is read again.
    pub subject: Option<Subject>,
    /// The Idempotency-Key that it was sent with: who sent it knows of it already.
    pub touch: Option<String>,
}

/// Tells of the changes of one school.
#[derive(Clone, Debug)]
pub(crate) struct Live {
    told: broadcast::Sender<LiveChange>,
    listening: Arc<AtomicUsize>,
    ended: Arc<watch::Sender<bool>>,
}

/// Somebody who is told.
#[derive(Debug)]
pub(crate) struct Listener {
    told: broadcast::Receiver<LiveChange>,
    ended: watch::Receiver<bool>,
    listening: Arc<AtomicUsize>,
}

impl Default for Live {
    fn default() -> Self {
        Live { told: broadcast::Sender::new(WAITING), listening: Arc::default(), ended: Arc::new(watch::Sender::new(false)) }
    }
}

impl Live {
    /// Tells of a change, if anybody listens.
    pub(crate) fn tell(&self, change: LiveChange) {
        // Nobody listens: nobody has to be told.
        let _ = self.told.send(change);
    }

    pub(crate) fn listen(&self) -> Listener {
        self.listening.fetch_add(1, Ordering::Relaxed);
        Listener { told: self.told.subscribe(), ended: self.ended.subscribe(), listening: self.listening.clone() }
    }

    /// Whether a page is open.
    pub(crate) fn is_heard(&self) -> bool {
        self.listening.load(Ordering::Relaxed) > 0
    }

    /// Sends everybody away: the school is closed.
    pub(crate) fn end(&self) {
        self.ended.send_replace(true);
    }
}

impl Listener {
    /// The next change; none when the school is closed.
    pub(crate) async fn next(&mut self) -> Option<LiveChange> {
        tokio::select! {
            biased;
            _ = self.ended.wait_for(|ended| *ended) => None,
            told = self.told.recv() => match told {
                Ok(change) => Some(change),
                Err(broadcast::error::RecvError::Lagged(_)) => {
                    // What waited is older than what is read now.
                    self.told = self.told.resubscribe();
                    Some(LiveChange { subject: None, touch: None })
                }
                Err(broadcast::error::RecvError::Closed) => None,
            },
        }
    }
}

impl Drop for Listener {
    fn drop(&mut self) {
        self.listening.fetch_sub(1, Ordering::Relaxed);
    }
}
