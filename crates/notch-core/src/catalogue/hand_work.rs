//! The figures that work which is not squared is reckoned with.

use serde::{Deserialize, Serialize};

use crate::units::Millimetres;

/// The figures that such work is reckoned with; data of the catalogue.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct HandWork {
    /// Wedges of one unit; even, since it is halved first.
    pub wedges: u8,
    /// Widest diameter that a turned piece should have.
    pub turned_width: Millimetres,
    /// Faces of a turned piece.
    pub turned_faces: u8,
    /// Width of a turned piece's ends as a share of its middle.
    pub turned_ends: f64,
    /// How far the knife moves between two strokes of a mince.
    pub fan_step: Millimetres,
    /// Height of a pile that is minced.
    pub pile_height: Millimetres,
    /// Length of a roll of leaves.
    pub roll_length: Millimetres,
    /// Grams of leaves in one roll.
    pub roll_grams: f64,
}
