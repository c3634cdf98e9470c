//! Copies of a school: which are kept, when one is due, and what is said of them.

use std::collections::BTreeSet;

use jiff::civil::{Date, DateTime};
use jiff::{SignedDuration, Timestamp};
use serde::{Deserialize, Serialize};

use crate::problem::Problem;
use crate::text;
use crate::text::Text;
use crate::words::of_number;

/// Age from which on a copy is old: a day was left out.
const OLD: SignedDuration = SignedDuration::from_hours(48);

/// How many copies are kept.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KeepCopies {
    /// The newest of each of so many days, 1 to 60.
    pub daily: u16,
    /// The newest of each of so many weeks, 0 to 60.
    pub weekly: u16,
    /// The newest of each of so many months, 0 to 120.
    pub monthly: u16,
}

impl Default for KeepCopies {
    fn default() -> Self {
        KeepCopies { daily: 7, weekly: 4, monthly: 12 }
    }
}

impl KeepCopies {
    /// Every problem of its figures.
    pub fn check(self) -> Vec<Problem> {
        let within = |pointer: &str, name: &str, value: u16, from: i64, to: i64| {
            Problem::unless_within(pointer, name, i64::from(value), from, to)
        };
        let found = [
            within("/daily", "Copies by day", self.daily, 1, 60),
            within("/weekly", "Copies by week", self.weekly, 0, 60),
            within("/monthly", "Copies by month", self.monthly, 0, 120),
        ];
        found.into_iter().flatten().collect()
    }

    /// Which of these copies are kept, each by the time of day and the day on which it was made where the school is.
    ///
    /// The newest one is kept in any case; a copy that stands for its day may stand for its week and its month too.
    pub fn kept(self, copies: &[DateTime]) -> Vec<bool> {
        let mut newest_first: Vec<usize> = (0..copies.len()).collect();
        newest_first.sort_by_key(|index| std::cmp::Reverse(copies.get(*index)));
        let mut kept = vec![false; copies.len()];
        mark(&mut kept, &newest_first, self.daily.max(1), |index| copies.get(index).map(|at| at.date()));
        mark(&mut kept, &newest_first, self.weekly, |index| copies.get(index).map(|at| monday_of(at.date())));
        mark(&mut kept, &newest_first, self.monthly, |index| copies.get(index).map(|at| at.date().first_of_month()));
        kept
    }
}

/// Marks the newest of each of so many periods, the latest ones.
fn mark(kept: &mut [bool], newest_first: &[usize], periods: u16, period: impl Fn(usize) -> Option<Date>) {
    let mut seen: BTreeSet<Date> = BTreeSet::new();
    for index in newest_first {
        if seen.len() >= usize::from(periods) {
            return;
        }
        if let Some(slot) = kept.get_mut(*index)
            && let Some(period) = period(*index)
            && seen.insert(period)
        {
            *slot = true;
        }
    }
}

fn monday_of(day: Date) -> Date {
    let back = jiff::Span::new().days(i64::from(day.weekday().to_monday_zero_offset()));
    day.checked_sub(back).unwrap_or(day)
}

/// Whether a copy is due: none was made yet, or none on this day.
pub fn copy_is_due(newest: Option<Date>, today: Date) -> bool {
    newest.is_none_or(|newest| newest < today)
}

/// How the copies of a school stand.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CopiesState {
    /// In one sentence.
    pub words: Text,
    /// The latest one is old, or the last try failed; not while none was made yet.
    pub caution: bool,
}

/// Says how the copies of a school stand; `failed` is why the last try made none.
pub fn copies_state(newest: Option<Timestamp>, failed: Option<&str>, now: Timestamp) -> CopiesState {
    let age = newest.map(|newest| now.duration_since(newest));
    let ago = age.map(|age| match age.as_hours() {
        ..=0 => "less than an hour ago".to_owned(),
        hours @ 1..48 => format!("{} ago", of_number(hours as usize, "hour", "hours")),
        hours => format!("{} ago", of_number((hours / 24) as usize, "day", "days")),
    });
    let words = match (ago, failed) {
        (Some(ago), None) => text!["The latest copy of this school was made and checked ", ago, "."],
        (Some(ago), Some(why)) => text!["No copy could be made: ", why, ". The latest one was made ", ago, "."],
        (None, Some(why)) => text!["There is no copy of this school, and none could be made: ", why, "."],
        (None, None) => text!["There is no copy of this school yet."],
    };
    CopiesState { words, caution: failed.is_some() || age.is_some_and(|age| age > OLD) }
}
