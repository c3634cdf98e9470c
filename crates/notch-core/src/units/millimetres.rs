//! The length of everything that is measured or planned.

use std::fmt;
use std::ops::Add;

use serde::{Deserialize, Serialize};
use thiserror::Error;

/// Millimetres in an inch, exactly.
pub const MM_PER_INCH: f64 = 25.4;

/// A length in millimetres: finite, from 0 to [`Millimetres::MAX`].
///
/// A difference of two lengths is a [`Deviation`](super::Deviation), which has a sign.
///
/// # Units
/// Millimetres, always. Inches are converted at the border by [`super::parse_length`].
#[derive(Clone, Copy, Debug, PartialEq, PartialOrd, Default, Serialize, Deserialize)]
#[serde(try_from = "f64", into = "f64")]
pub struct Millimetres(f64);

/// Why a number is not a length.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum LengthError {
    /// NaN or an infinity.
    #[error("is not a number")]
    NotFinite,
    /// Below zero.
    #[error("is below zero")]
    Negative,
    /// Above [`Millimetres::MAX`].
    #[error("is longer than {} mm", Millimetres::MAX.0)]
    TooLong,
}

impl Millimetres {
    /// No length at all.
    pub const ZERO: Self = Self(0.0);
    /// The longest length that this program works with: ten metres.
    pub const MAX: Self = Self(10_000.0);

    /// A checked length in millimetres.
    ///
    /// # Errors
    /// NaN, infinities, negative numbers and more than ten metres.
    pub fn new(millimetres: f64) -> Result<Self, LengthError> {
        if !millimetres.is_finite() {
            Err(LengthError::NotFinite)
        } else if millimetres < 0.0 {
            Err(LengthError::Negative)
        } else if millimetres > Self::MAX.0 {
            Err(LengthError::TooLong)
        } else {
            Ok(Self(millimetres))
        }
    }

    /// The nearest length to a number: what is outside the range becomes its end, NaN becomes 0.
    pub fn clamped(millimetres: f64) -> Self {
        Self(millimetres.clamp(0.0, Self::MAX.0).max(0.0))
    }

    /// A length from a whole number of millimetres.
    pub const fn whole(millimetres: u16) -> Self {
        let millimetres = millimetres as f64;
        Self(if millimetres > Self::MAX.0 { Self::MAX.0 } else { millimetres })
    }

    /// The number of millimetres.
    pub const fn get(self) -> f64 {
        self.0
    }

    /// `self` without `other`, but not below zero.
    pub fn less(self, other: Self) -> Self {
        Self::clamped(self.0 - other.0)
    }

    /// The longer of the two.
    pub fn longer(self, other: Self) -> Self {
        Self(self.0.max(other.0))
    }

    /// Whether the two are the same model's length: nearer than a person writes lengths down.
    pub fn is_about(self, other: Self) -> bool {
        (self.0 - other.0).abs() < 0.05
    }

    /// The shorter of the two.
    pub fn shorter(self, other: Self) -> Self {
        Self(self.0.min(other.0))
    }
}

impl Add for Millimetres {
    type Output = Self;
    /// The sum, but not over [`Millimetres::MAX`].
    fn add(self, other: Self) -> Self {
        Self::clamped(self.0 + other.0)
    }
}

impl TryFrom<f64> for Millimetres {
    type Error = LengthError;
    fn try_from(millimetres: f64) -> Result<Self, LengthError> {
        Self::new(millimetres)
    }
}

impl From<Millimetres> for f64 {
    fn from(length: Millimetres) -> f64 {
        length.0
    }
}

impl fmt::Display for Millimetres {
    /// Whole millimetres from 15 mm up, else one decimal where there is one, e.g. `3.2`.
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        let tenths = (self.0 * 10.0).round();
        let decimals = if self.0 >= 15.0 || tenths % 10.0 == 0.0 { 0 } else { 1 };
        write!(f, "{:.decimals$}", tenths / 10.0)
    }
}

#[cfg(feature = "openapi")]
mod openapi {
    use utoipa::openapi::schema::{ObjectBuilder, Schema, SchemaType, Type};
    use utoipa::openapi::{RefOr, schema::KnownFormat, schema::SchemaFormat};

    impl utoipa::ToSchema for super::Millimetres {}
    impl utoipa::PartialSchema for super::Millimetres {
        fn schema() -> RefOr<Schema> {
            ObjectBuilder::new()
                .schema_type(SchemaType::Type(Type::Number))
                .format(Some(SchemaFormat::KnownFormat(KnownFormat::Double)))
                .minimum(Some(0.0))
                .maximum(Some(super::Millimetres::MAX.get()))
                .description(Some("A length in millimetres."))
                .into()
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn only_finite_lengths_from_zero_to_ten_metres_exist() {
        assert_eq!(Millimetres::new(f64::NAN), Err(LengthError::NotFinite));
        assert_eq!(Millimetres::new(f64::INFINITY), Err(LengthError::NotFinite));
        assert_eq!(Millimetres::new(-0.1), Err(LengthError::Negative));
        assert_eq!(Millimetres::new(10_000.1), Err(LengthError::TooLong));
        assert!(Millimetres::new(0.0).is_ok() && Millimetres::new(10_000.0).is_ok());
        assert_eq!(Millimetres::clamped(f64::NAN), Millimetres::ZERO);
    }

    #[test]
    fn a_length_reads_as_a_cook_writes_it() {
        assert_eq!(Millimetres::clamped(3.175).to_string(), "3.2");
        assert_eq!(Millimetres::clamped(6.35).to_string(), "6.4");
        assert_eq!(Millimetres::clamped(19.05).to_string(), "19");
        assert_eq!(Millimetres::whole(3).to_string(), "3");
        assert_eq!(Millimetres::clamped(209.6).to_string(), "210");
    }
}
