//! What time it is: the system's, or the demo's own evening.

use std::time::Instant;

use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};

/// A source of the present moment.
#[derive(Clone, Debug)]
pub enum Clock {
    /// The machine's clock.
    System,
    /// Starts at a given moment when the program starts, and runs on from there.
    Demo {
        /// Moment of the start.
        start: Timestamp,
        /// When the program started.
        since: Instant,
    },
}

impl Clock {
    /// A demo clock that starts now at `start`.
    pub fn demo(start: Timestamp) -> Self {
        Clock::Demo { start, since: Instant::now() }
    }

    /// The present moment.
    pub fn now(&self) -> Timestamp {
        match self {
            Clock::System => Timestamp::now(),
            Clock::Demo { start, since } => {
                let passed = SignedDuration::try_from(since.elapsed()).unwrap_or(SignedDuration::ZERO);
                start.checked_add(passed).unwrap_or(*start)
            }
        }
    }

    /// Today in a time zone.
    pub fn today(&self, zone: &TimeZone) -> jiff::civil::Date {
        zone.to_datetime(self.now()).date()
    }
}
