//! Time zones by name: from the database that is built in, so that every machine knows the same ones.

use jiff::civil::DateTime;
use jiff::tz::{AmbiguousOffset, TimeZone};

/// The zone with this name in the time zone database; `None` for one that is not in it.
pub fn named(name: &str) -> Option<TimeZone> {
    jiff::tz::db().get(name).ok()
}

/// Whether a clock of the zone never shows this time: it is put forward over it that night.
pub fn is_skipped(zone: &TimeZone, at: DateTime) -> bool {
    matches!(zone.to_ambiguous_timestamp(at).offset(), AmbiguousOffset::Gap { .. })
}

/// The names of all zones, in order.
pub fn names() -> Vec<String> {
    let mut names: Vec<String> = jiff::tz::db().available().map(|name| name.to_string()).collect();
    names.sort();
    names
}
