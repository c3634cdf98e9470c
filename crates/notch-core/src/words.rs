//! Small matters of writing.

use jiff::civil::Date;

/// The text with its first letter large.
pub(crate) fn capital(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_uppercase().chain(letters).collect())
}

/// The text with its first letter small.
pub(crate) fn lower(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_lowercase().chain(letters).collect())
}

/// So many of something: `1 lesson`, `8 lessons`.
pub(crate) fn of_number(count: usize, one: &str, several: &str) -> String {
    format!("{count} {}", if count == 1 { one } else { several })
}

/// A day as `9 Oct`.
pub(crate) fn day(date: Date) -> String {
    const MONTHS: [&str; 12] = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
    let month = usize::try_from(date.month() - 1).ok().and_then(|index| MONTHS.get(index)).unwrap_or(&"");
    format!("{} {month}", date.day())
}

/// The weekday of a day, e.g. `Tuesday`.
pub(crate) fn weekday(date: Date) -> &'static str {
    use jiff::civil::Weekday;
    match date.weekday() {
        Weekday::Monday => "Monday",
        Weekday::Tuesday => "Tuesday",
        Weekday::Wednesday => "Wednesday",
        Weekday::Thursday => "Thursday",
        Weekday::Friday => "Friday",
        Weekday::Saturday => "Saturday",
        Weekday::Sunday => "Sunday",
    }
}
