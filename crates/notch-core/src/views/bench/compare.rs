//! More or less, in words.

use crate::text;
use crate::text::{Grams, Text};

/// `12 more strokes`, `as many strokes`.
pub(super) fn more(number: i64, of: &str) -> String {
    match number {
        0 => format!("as many {of}"),
        1.. => format!("{number} more {of}"),
        _ => format!("{} fewer {of}", number.unsigned_abs()),
    }
}

pub(super) fn less_or_more(grams: f64) -> Text {
    if grams.abs() < 0.5 {
        Text::from("as much")
    } else if grams < 0.0 {
        text![Grams(-grams), " less"]
    } else {
        text![Grams(grams), " more"]
    }
}
