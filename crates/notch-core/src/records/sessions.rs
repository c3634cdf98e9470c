//! The days of a course by a rule: weekdays, from a first day, days that are skipped.

use jiff::ToSpan;
use jiff::civil::{Date, DateTime, Time, Weekday};
use serde::{Deserialize, Serialize};

use crate::day_of_week::DayOfWeek;
use crate::problem::Problem;

/// Sessions by a rule.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SessionsRule {
    /// No session is before this day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date, example = "2026-09-08"))]
    pub first: Date,
    /// When they begin, by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-time", example = "18:30:00"))]
    pub at: Time,
    /// On which days of the week; the day of `first` where none is named.
    #[serde(default)]
    pub weekdays: Vec<DayOfWeek>,
    /// How many, 1 to 60.
    pub count: u16,
    /// Days without a session.
    #[serde(default)]
    #[cfg_attr(feature = "openapi", schema(value_type = Vec<String>))]
    pub skip: Vec<Date>,
}

/// Most days that are looked through.
const MOST_DAYS: i64 = 1500;

impl SessionsRule {
    /// The moments of the sessions, by the school's clock, in their order.
    ///
    /// # Errors
    /// A count or a year out of range; so many days skipped that too few are left in four years.
    pub fn moments(&self) -> Result<Vec<DateTime>, Vec<Problem>> {
        let problems: Vec<Problem> = [
            Problem::unless_within("/count", "Sessions", i64::from(self.count), 1, 60),
            Problem::unless_within("/first", "First day", i64::from(self.first.year()), 2000, 2100),
        ]
        .into_iter()
        .flatten()
        .collect();
        if !problems.is_empty() {
            return Err(problems);
        }
        let weekdays: Vec<Weekday> = self.weekdays.iter().map(|day| Weekday::from(*day)).collect();
        let taken = |day: &Date| {
            let wanted =
                if weekdays.is_empty() { day.weekday() == self.first.weekday() } else { weekdays.contains(&day.weekday()) };
            wanted && !self.skip.contains(day)
        };
        let days = (0..MOST_DAYS).map_while(|after| self.first.checked_add(after.days()).ok());
        let found: Vec<DateTime> = days.filter(taken).take(usize::from(self.count)).map(|day| day.to_datetime(self.at)).collect();
        if found.len() < usize::from(self.count) {
            let allowed = format!("up to {} with these days skipped", found.len());
            return Err(vec![Problem::new("/count", "Sessions", self.count, "do not fit", allowed)]);
        }
        Ok(found)
    }
}
