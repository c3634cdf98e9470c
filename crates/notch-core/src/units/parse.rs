//! Reads a length as a person writes it.

use thiserror::Error;

use super::{LengthError, MM_PER_INCH, Millimetres};

/// Why a text is not a length.
#[derive(Clone, Debug, PartialEq, Error)]
pub enum LengthParseError {
    /// Not a number in any of the accepted ways of writing.
    #[error("is not a length")]
    NotALength,
    /// A unit other than mm, cm, in or ".
    #[error("has the unit “{0}”")]
    WrongUnit(String),
    /// A fraction whose lower number is 0 or over 128.
    #[error("has {0} below the line")]
    Denominator(u32),
    /// A number, but not a length that can be.
    #[error(transparent)]
    Length(#[from] LengthError),
}

impl LengthParseError {
    /// What may be written instead, for every kind of error.
    pub const ALLOWED: &'static str = "millimetres (3.2), centimetres (0.32 cm), or inches (1/8, 1-1/2, 0.125 in)";
}

/// Reads one length.
///
/// A bare number is millimetres. A bare fraction is inches, since kitchens write inches so:
/// `1/8`, `1-1/2` or `1 1/2` (one and a half). A unit may follow: `mm`, `cm`, `in`, `"`, `″`. The decimal
/// mark is a point or a comma.
///
/// # Errors
/// See [`LengthParseError`]. Never panics, on any text.
///
/// ```
/// use notch_core::units::parse_length;
/// assert_eq!(parse_length("1/8").unwrap().get(), 3.175);
/// assert_eq!(parse_length("1-1/2 in").unwrap().get(), 38.1);
/// assert_eq!(parse_length("3,2").unwrap().get(), 3.2);
/// assert!(parse_length("1/0").is_err());
/// ```
pub fn parse_length(text: &str) -> Result<Millimetres, LengthParseError> {
    let text = text.trim();
    let unit_at = text.find(|c: char| c.is_alphabetic() || matches!(c, '"' | '″' | '“' | '”'));
    // A bare "1e5", "inf" or "nan" would be read by the standard float parser; here they are no lengths.
    let (number, unit) = text.split_at(unit_at.unwrap_or(text.len()));
    let (number, unit) = (number.trim(), unit.trim());
    let fraction = number.contains('/');
    let scale = match unit.to_lowercase().as_str() {
        "" if fraction => MM_PER_INCH,
        "" | "mm" => 1.0,
        "cm" => 10.0,
        "in" | "inch" | "inches" | "\"" | "″" | "”" => MM_PER_INCH,
        _ if number.is_empty() => return Err(LengthParseError::NotALength),
        other => return Err(LengthParseError::WrongUnit(other.chars().take(12).collect())),
    };
    let millimetres = if fraction {
        let (above, below) = parse_fraction(number)?;
        // Tenths first: 254 is exact in binary where 25.4 is not, so 3/4 in is 19.05 to the last digit.
        above * (scale * 10.0) / (below * 10.0)
    } else {
        parse_decimal(number)? * scale
    };
    Ok(Millimetres::new(millimetres)?)
}

/// `a/b`, `w-a/b` or `w a/b`, with whole numbers, as what is above and below the line.
fn parse_fraction(text: &str) -> Result<(f64, f64), LengthParseError> {
    let (whole, rest) = match text.split_once(['-', ' ']) {
        Some((whole, rest)) => (parse_whole(whole)?, rest.trim_start()),
        None => (0, text),
    };
    let (above, below) = rest.split_once('/').ok_or(LengthParseError::NotALength)?;
    let (above, below) = (parse_whole(above)?, parse_whole(below)?);
    if below == 0 || below > 128 {
        return Err(LengthParseError::Denominator(below));
    }
    let below = f64::from(below);
    Ok((f64::from(whole) * below + f64::from(above), below))
}

fn parse_whole(text: &str) -> Result<u32, LengthParseError> {
    let text = text.trim();
    if text.is_empty() || text.len() > 9 || !text.bytes().all(|b| b.is_ascii_digit()) {
        return Err(LengthParseError::NotALength);
    }
    text.parse().map_err(|_| LengthParseError::NotALength)
}

fn parse_decimal(text: &str) -> Result<f64, LengthParseError> {
    let digits = text.strip_prefix(['-', '+']).unwrap_or(text);
    let plain = digits.bytes().all(|b| b.is_ascii_digit() || b == b'.' || b == b',');
    if !plain || !digits.bytes().any(|b| b.is_ascii_digit()) || text.len() > 24 {
        return Err(LengthParseError::NotALength);
    }
    text.replace(',', ".").parse().map_err(|_| LengthParseError::NotALength)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn kitchen_fractions_are_exact() {
        for (text, millimetres) in [("1/16", 1.5875), ("1/8", 3.175), ("1/4", 6.35), ("1/2", 12.7), ("3/4 in", 19.05)] {
            assert_eq!(parse_length(text).unwrap().get(), millimetres, "{text}");
        }
    }

    #[test]
    fn each_wrong_text_has_its_own_reason() {
        assert_eq!(parse_length(""), Err(LengthParseError::NotALength));
        assert_eq!(parse_length("NaN"), Err(LengthParseError::NotALength));
        assert_eq!(parse_length("1e5"), Err(LengthParseError::WrongUnit("e5".into())));
        assert_eq!(parse_length("1/0"), Err(LengthParseError::Denominator(0)));
        assert_eq!(parse_length("3 kg"), Err(LengthParseError::WrongUnit("kg".into())));
        assert_eq!(parse_length("-3"), Err(LengthParseError::Length(LengthError::Negative)));
        assert_eq!(parse_length("1.2.3"), Err(LengthParseError::NotALength));
        assert_eq!(parse_length("30 m"), Err(LengthParseError::WrongUnit("m".into())));
    }
}
