//! The signed difference of two lengths.

use std::fmt;

use serde::{Deserialize, Serialize};

use super::Millimetres;

/// How far a length is from another, in millimetres; positive when the first is longer. Finite.
#[derive(Clone, Copy, Debug, PartialEq, PartialOrd, Default, Serialize, Deserialize)]
#[serde(transparent)]
pub struct Deviation(f64);

impl Deviation {
    /// No difference.
    pub const ZERO: Self = Self(0.0);

    /// `measured` − `target`.
    pub fn between(measured: Millimetres, target: Millimetres) -> Self {
        Self(measured.get() - target.get())
    }

    /// A difference from a number that was computed from lengths; what is not finite becomes 0.
    pub(crate) fn from_computed(millimetres: f64) -> Self {
        Self(if millimetres.is_finite() { millimetres } else { 0.0 })
    }

    /// The number of millimetres, with its sign.
    pub const fn get(self) -> f64 {
        self.0
    }

    /// How large it is, without its sign.
    pub fn size(self) -> Millimetres {
        Millimetres::clamped(self.0.abs())
    }
}

impl fmt::Display for Deviation {
    /// With its sign and two decimals, e.g. `+0.38`.
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        write!(f, "{:+.2}", self.0)
    }
}

#[cfg(feature = "openapi")]
mod openapi {
    use utoipa::openapi::RefOr;
    use utoipa::openapi::schema::{ObjectBuilder, Schema, SchemaType, Type};

    impl utoipa::ToSchema for super::Deviation {}
    impl utoipa::PartialSchema for super::Deviation {
        fn schema() -> RefOr<Schema> {
            ObjectBuilder::new()
                .schema_type(SchemaType::Type(Type::Number))
                .description(Some("A signed difference of lengths in millimetres."))
                .into()
        }
    }
}
