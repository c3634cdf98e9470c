//! Sizes as a person writes them.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::catalogue::{StandardSet, Target, TargetSize};
use crate::units::{Millimetres, parse_length};

/// Sizes of one cut as a person writes them: `3.2`, `1/8 in`, `2-5`, `under 3`; empty for none.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SizeTexts {
    /// Thickness.
    pub thickness: String,
    /// Width.
    pub width: String,
    /// Length.
    pub length: String,
}

/// Reads a size as a person writes it: `3.2`, `1/8 in`, `2-5`, `1/8 in - 1/4 in`, `under 3`; nothing
/// where the text is empty.
///
/// # Errors
/// In words, why the text is no size.
pub fn parse_size(text: &str) -> Result<Option<TargetSize>, String> {
    let text = text.trim();
    if text.is_empty() {
        return Ok(None);
    }
    let length = |text: &str| {
        let read = parse_length(text.trim()).map_err(|error| error.to_string())?;
        if (0.5..=150.0).contains(&read.get()) { Ok(read) } else { Err("is not between 0.5 and 150 mm".to_owned()) }
    };
    if let Some(limit) = text.strip_prefix("under").or_else(|| text.strip_prefix('<')) {
        return Ok(Some(TargetSize::Below { limit: length(limit)? }));
    }
    // One length first: the dash of `1-1/2` is no range.
    if let Ok(size) = length(text) {
        return Ok(Some(TargetSize::Exact { size }));
    }
    if let Some((from, to)) = text.split_once('–').or_else(|| text.split_once(" - ")).or_else(|| text.split_once('-')) {
        let (from, to) = (length(from)?, length(to)?);
        return if from < to { Ok(Some(TargetSize::Range { from, to })) } else { Err("runs backwards".to_owned()) };
    }
    Ok(Some(TargetSize::Exact { size: length(text)? }))
}

/// A size as [`parse_size`] reads it, in full precision.
fn write_size(size: Option<TargetSize>) -> String {
    match size {
        None => String::new(),
        Some(TargetSize::Exact { size }) => plain(size),
        Some(TargetSize::Range { from, to }) => format!("{} - {}", plain(from), plain(to)),
        Some(TargetSize::Below { limit }) => format!("under {}", plain(limit)),
    }
}

/// Sixteenths of an inch as kitchen fractions, anything else as millimetres.
fn plain(size: Millimetres) -> String {
    for (part, text) in [(16.0, "1/16 in"), (8.0, "1/8 in"), (4.0, "1/4 in"), (2.0, "1/2 in"), (4.0 / 3.0, "3/4 in")] {
        if (size.get() - 25.4 / part).abs() < 1e-9 {
            return text.to_owned();
        }
    }
    format!("{}", size.get())
}

/// A set of standards as texts that can be edited.
pub fn sizes_of(set: &StandardSet) -> BTreeMap<String, SizeTexts> {
    let texts = |target: &Target| SizeTexts {
        thickness: write_size(target.thickness),
        width: write_size(target.width),
        length: write_size(target.length),
    };
    set.cuts.iter().map(|(cut, target)| (cut.clone(), texts(target))).collect()
}
