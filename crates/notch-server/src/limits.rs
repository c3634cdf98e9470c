//! How large, how long.

use std::time::Duration;

/// Most bytes of a request's body, where its group of routes says nothing else.
pub(crate) const BODY_LIMIT: usize = 256 * 1024;

/// Longest that a question or a change may take.
pub(crate) const TIMEOUT: Duration = Duration::from_secs(20);

/// How long requests in hand are waited for when the program is to stop.
pub(crate) const GRACE: Duration = Duration::from_secs(5);
