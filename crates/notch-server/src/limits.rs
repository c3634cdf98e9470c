//! How large, how long.

use std::time::Duration;

/// Most bytes of a request's body, where its group of routes says nothing else.
pub(crate) const BODY_LIMIT: usize = 256 * 1024;

/// Most bytes of a course file: one with a thousand attempts, each measured, has about two million.
pub(crate) const FILE_LIMIT: usize = 24 * 1024 * 1024;

/// Longest that a question may take.
pub(crate) const TIMEOUT: Duration = Duration::from_secs(20);

/// Longest that a change waits for its turn; it has not begun then, and is given up.
pub(crate) const TURN: Duration = Duration::from_secs(10);

/// Seconds after which a request that found no time is told to come again.
pub(crate) const COME_AGAIN: u32 = 3;

/// How long requests in hand are waited for when the program is to stop.
pub(crate) const GRACE: Duration = Duration::from_secs(4);

/// Longest that a connection waits for the next request's head: the pause between two requests too.
pub(crate) const HEAD: Duration = Duration::from_secs(20);

/// Most connections at once: well below the open files that a program usually may have.
pub(crate) const CONNECTIONS: usize = 400;

/// The same of a host with many schools, which is given more open files.
pub(crate) const CONNECTIONS_OF_HOST: usize = 8_000;

/// Pause after a connection could not be taken in.
pub(crate) const AFTER_REFUSAL: Duration = Duration::from_millis(100);

/// How long nothing is changed before the school's file is made whole.
pub(crate) const REST_AFTER: Duration = Duration::from_secs(2);

/// How often it is looked whether a copy of the school is due; one that failed is tried again then.
pub(crate) const COPY_LOOK: Duration = Duration::from_secs(30 * 60);

/// Longest that a device may take over its greeting in TLS.
pub(crate) const GREETING: Duration = Duration::from_secs(10);

/// How often it is looked whether the certificate is to be made anew, for other addresses of this machine too.
pub(crate) const CERTIFICATE_LOOK: Duration = Duration::from_secs(60);
