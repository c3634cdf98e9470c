//! A day of the week.

use jiff::civil::Weekday;
use serde::{Deserialize, Serialize};

/// A day of the week.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[allow(missing_docs, reason = "they say what they are")]
pub enum DayOfWeek {
    Monday,
    Tuesday,
    Wednesday,
    Thursday,
    Friday,
    Saturday,
    Sunday,
}

impl DayOfWeek {
    /// The same day as the calendar has it.
    pub fn weekday(self) -> Weekday {
        self.into()
    }
}

impl From<DayOfWeek> for Weekday {
    fn from(day: DayOfWeek) -> Weekday {
        match day {
            DayOfWeek::Monday => Weekday::Monday,
            DayOfWeek::Tuesday => Weekday::Tuesday,
            DayOfWeek::Wednesday => Weekday::Wednesday,
            DayOfWeek::Thursday => Weekday::Thursday,
            DayOfWeek::Friday => Weekday::Friday,
            DayOfWeek::Saturday => Weekday::Saturday,
            DayOfWeek::Sunday => Weekday::Sunday,
        }
    }
}
