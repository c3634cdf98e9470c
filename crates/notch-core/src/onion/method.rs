//! How a half is cut, and what can be wrong with it.

use serde::{Deserialize, Serialize};
use thiserror::Error;

use crate::units::Millimetres;

/// Most layers.
pub const MAX_LAYERS: u8 = 40;

/// Most level cuts.
pub const MAX_LEVEL: u8 = 10;

/// Most cuts.
pub const MAX_CUTS: u8 = 60;

/// Shallowest point below the board that radial cuts aim at, in radii: nearer, all cuts meet at the flat face.
pub const MIN_DEPTH: f64 = 0.02;

/// Deepest point below the board that radial cuts aim at, in radii.
pub const MAX_DEPTH: f64 = 100.0;

/// Most unevenness of the steps: over it a scattered cut would often overtake its neighbour.
pub const MAX_UNEVEN: f64 = 0.5;

/// How the half is cut.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Method {
    /// Verticals, evenly spaced.
    Verticals,
    /// Verticals, and level cuts evenly spaced.
    Level {
        /// Level cuts, 1 to 10.
        level: u8,
    },
    /// Radial cuts to the centre of the board line, at even angles.
    Centre,
    /// Radial cuts that aim at a point below the board.
    Below {
        /// Depth of the point in radii, above 0 and up to 100.
        depth: f64,
    },
    /// Verticals, and the last third turned onto its cut face and cut again.
    Turned,
    /// Crosswise half-rings first, then turned and cut across: the same cells as verticals, in
    /// another order of work.
    HalfRings,
}

/// Why an onion cannot be worked out.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum OnionError {
    /// A radius of nothing.
    #[error("a radius of 0 mm has no pieces")]
    NoSize,
    /// Layers out of range.
    #[error("{0} layers are out of range; allowed: 1 to {MAX_LAYERS}")]
    Layers(u8),
    /// Cuts out of range.
    #[error("{0} cuts are out of range; allowed: 1 to {MAX_CUTS}")]
    Cuts(u8),
    /// Level cuts out of range.
    #[error("{0} level cuts are out of range; allowed: 1 to {MAX_LEVEL}")]
    Level(u8),
    /// Aim depth out of range.
    #[error("an aim depth of {0} radii is out of range; allowed: {MIN_DEPTH} to {MAX_DEPTH}")]
    Depth(f64),
    /// Steps too uneven.
    #[error("steps uneven by {0} are out of range; allowed: 0 to {MAX_UNEVEN}")]
    Uneven(f64),
    /// A cut outside the half, or not to the right of the one before.
    #[error("a cut at {0} of the width is out of place; allowed: above 0, below 1, each to the right of the one before")]
    Place(f64),
    /// Crosscuts too fine or none.
    #[error("crosscuts {0} mm apart are out of range; allowed: 0.5 mm up to the radius")]
    Crosscut(f64),
    /// More pieces than are counted in the time that somebody waits.
    #[error("{0} places for pieces are more than are worked out; allowed: up to {1}")]
    TooMany(u64, u64),
    /// Nobody waits for the answer any more.
    #[error("nobody waits for the answer any more")]
    GivenUp,
}

/// Most places for pieces in a half: regions, layers and slabs. A 90 mm onion of nine layers in a fine
/// dice of 3 mm has 16,000.
pub const MAX_PLACES: u64 = 300_000;

/// Most places for pieces in the best halves of all methods together.
pub const MAX_COMPARED: u64 = 800_000;

/// Work is bounded before it begins.
pub(super) fn within(places: u64, most: u64) -> Result<(), OnionError> {
    if places <= most { Ok(()) } else { Err(OnionError::TooMany(places, most)) }
}

/// Checks what was asked of an onion.
pub(super) fn check(radius: Millimetres, layers: u8, method: Method) -> Result<(), OnionError> {
    if radius.get() <= 0.0 {
        return Err(OnionError::NoSize);
    }
    if !(1..=MAX_LAYERS).contains(&layers) {
        return Err(OnionError::Layers(layers));
    }
    match method {
        Method::Level { level } if !(1..=MAX_LEVEL).contains(&level) => Err(OnionError::Level(level)),
        Method::Below { depth } if !(MIN_DEPTH..=MAX_DEPTH).contains(&depth) => Err(OnionError::Depth(depth)),
        _ => Ok(()),
    }
}
