//! How large, how long.

use std::time::Duration;

/// Most bytes of a request's body, where its group of routes says nothing else.
pub(crate) const BODY_LIMIT: usize = 256 * 1024;

/// Longest that a question may take.
pub(crate) const TIMEOUT: Duration = Duration::from_secs(20);

/// Longest that a change waits for its turn; it has not begun then, and is given up.
pub(crate) const TURN: Duration = Duration::from_secs(10);

/// Seconds after which a request that found no time is told to come again.
pub(crate) const COME_AGAIN: u32 = 3;

/// How long requests in hand are waited for when the program is to stop.
pub(crate) const GRACE: Duration = Duration::from_secs(5);
