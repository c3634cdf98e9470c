//! Angles of an edge.

use std::fmt;

use serde::{Deserialize, Serialize};
use thiserror::Error;

/// An angle per side of an edge, in degrees: above 0, below 90.
#[derive(Clone, Copy, Debug, PartialEq, PartialOrd, Serialize, Deserialize)]
#[serde(try_from = "f64", into = "f64")]
pub struct Degrees(f64);

/// A number that is no angle of an edge.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
#[error("{0}° is no angle of an edge; allowed: above 0 and below 90")]
pub struct AngleError(f64);

impl Degrees {
    /// An angle from a number of degrees.
    ///
    /// # Errors
    /// [`AngleError`] for a number that is not above 0 and below 90.
    pub fn new(degrees: f64) -> Result<Self, AngleError> {
        if degrees > 0.0 && degrees < 90.0 { Ok(Degrees(degrees)) } else { Err(AngleError(degrees)) }
    }

    /// The number of degrees.
    pub const fn get(self) -> f64 {
        self.0
    }
}

impl TryFrom<f64> for Degrees {
    type Error = AngleError;
    fn try_from(degrees: f64) -> Result<Self, AngleError> {
        Self::new(degrees)
    }
}

impl From<Degrees> for f64 {
    fn from(angle: Degrees) -> f64 {
        angle.0
    }
}

impl fmt::Display for Degrees {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        let tenths = (self.0 * 10.0).round() / 10.0;
        write!(f, "{tenths}")
    }
}

#[cfg(feature = "openapi")]
mod openapi {
    use utoipa::openapi::RefOr;
    use utoipa::openapi::schema::{ObjectBuilder, Schema, SchemaType, Type};

    impl utoipa::ToSchema for super::Degrees {}
    impl utoipa::PartialSchema for super::Degrees {
        fn schema() -> RefOr<Schema> {
            ObjectBuilder::new()
                .schema_type(SchemaType::Type(Type::Number))
                .exclusive_minimum(Some(0.0))
                .exclusive_maximum(Some(90.0))
                .description(Some("Degrees per side."))
                .into()
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn only_angles_of_an_edge_are_taken() {
        assert_eq!(Degrees::new(22.5).map(|angle| angle.to_string()), Ok("22.5".to_owned()));
        for wrong in [0.0, -1.0, 90.0, f64::NAN, f64::INFINITY] {
            assert!(Degrees::new(wrong).is_err());
        }
    }
}
