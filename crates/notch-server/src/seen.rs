//! When each signed-in browser was last heard of. Lost when the program stops: to keep it would be a change of the
//! school's file with each question.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use jiff::Timestamp;

/// Sessions that are remembered; beyond it all are forgotten once.
const MOST: usize = 10_000;

/// Moments by session.
#[derive(Debug, Default)]
pub(crate) struct Seen(Mutex<HashMap<i64, Timestamp>>);

impl Seen {
    /// A session was heard of.
    pub(crate) fn note(&self, session: i64, now: Timestamp) {
        let mut seen = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if seen.len() >= MOST && !seen.contains_key(&session) {
            seen.clear();
        }
        seen.insert(session, now);
    }

    /// When it was last heard of, since the program began.
    pub(crate) fn last(&self, session: i64) -> Option<Timestamp> {
        self.0.lock().unwrap_or_else(PoisonError::into_inner).get(&session).copied()
    }
}
