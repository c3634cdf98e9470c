//! How many pieces are in a food, and what it takes to cut them.
//!
//! Definitions: cuts have no width; what exactly fits counts as fitting, which takes a slack of
//! one part in 10⁹ in floating point; pieces are cut from the largest block inside the food.

mod cored;
mod cylinder;
mod ellipsoid;
mod flat_first;
mod frustum;
mod hand_work;
mod kitchen;
mod layered;
mod sheet;
mod stalk;
mod strokes;
mod work;

pub use cored::{Cheek, Cheeks, core_volume, squared_cored_ball};
pub use cylinder::{Squared, squared_cylinder};
pub use ellipsoid::{EllipsoidBlock, squared_ellipsoid};
pub use flat_first::{FlatFirst, FlatFirstEgg, flat_first, flat_first_egg};
pub use frustum::{FrustumYield, Segment, squared_frustum};
pub use hand_work::{Mince, Rolls, Turned, Wedges, mince, peeled, rolled_leaves, turned, wedges};
pub use kitchen::{FLAT_SHARE, KitchenSegment, KitchenWork, Way, work_flat_first};
pub use sheet::{SheetYield, sheet};
pub use stalk::{SquaredStalk, squared_stalk, stalk_volume};
pub use strokes::{Chain, Strokes, strokes};
pub use work::{Block, NoCount, Trimmings, WorkedFood, work_food};
pub(crate) use work::{DICING_BLOCK, volume};

use crate::units::{LengthError, Millimetres};
use thiserror::Error;

/// A piece's three sides, each from [`Piece::LEAST`] to [`Piece::MOST`].
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Piece {
    thickness: Millimetres,
    width: Millimetres,
    length: Millimetres,
}

/// Why a piece cannot be planned.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum PieceError {
    /// A side is not a length.
    #[error(transparent)]
    Length(#[from] LengthError),
    /// A side is thinner than a knife can cut evenly.
    #[error("{0} mm is thinner than {least} mm", least = Piece::LEAST)]
    TooThin(f64),
    /// A side is longer than any food here.
    #[error("{0} mm is longer than {most} mm", most = Piece::MOST)]
    TooLong(f64),
}

impl Piece {
    /// Thinnest side that is planned.
    pub const LEAST: f64 = 0.5;
    /// Longest side that is planned.
    pub const MOST: f64 = 600.0;

    /// A piece from its sides.
    ///
    /// # Errors
    /// A side under [`Piece::LEAST`] or over [`Piece::MOST`].
    pub fn new(thickness: Millimetres, width: Millimetres, length: Millimetres) -> Result<Self, PieceError> {
        for side in [thickness, width, length].map(Millimetres::get) {
            if side < Self::LEAST {
                return Err(PieceError::TooThin(side));
            }
            if side > Self::MOST {
                return Err(PieceError::TooLong(side));
            }
        }
        Ok(Piece { thickness, width, length })
    }

    /// The same, from numbers of millimetres.
    ///
    /// # Errors
    /// As [`Piece::new`], and numbers that are no lengths.
    pub fn of(thickness: f64, width: f64, length: f64) -> Result<Self, PieceError> {
        Self::new(Millimetres::new(thickness)?, Millimetres::new(width)?, Millimetres::new(length)?)
    }

    /// Side set by the plank cut.
    pub const fn thickness(self) -> Millimetres {
        self.thickness
    }

    /// Side set by the stick cut.
    pub const fn width(self) -> Millimetres {
        self.width
    }

    /// Side set by the crosscut.
    pub const fn length(self) -> Millimetres {
        self.length
    }

    /// Volume in mm³.
    pub fn volume(self) -> f64 {
        self.thickness.get() * self.width.get() * self.length.get()
    }
}

/// Relative slack, so that what exactly fits is not lost to rounding.
const SLACK: f64 = 1e-9;

/// How many whole times `part` goes into `whole`; exact multiples count. `part` must be above 0.
pub(crate) fn times(whole: f64, part: f64) -> u32 {
    let ratio = whole / part;
    if !ratio.is_finite() || ratio <= 0.0 {
        return 0;
    }
    let floored = (ratio * (1.0 + SLACK)).floor();
    if floored >= f64::from(u32::MAX) { u32::MAX } else { floored as u32 }
}

/// `a <= b`, where equal up to rounding counts as fitting.
pub(crate) fn fits(a: f64, b: f64) -> bool {
    a <= b * (1.0 + SLACK)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn exact_multiples_are_whole() {
        assert_eq!(times(17.6, 1.6), 11);
        assert_eq!(times(160.0, 3.2), 50);
        assert_eq!(times(127.0, 12.7), 10);
        assert_eq!(times(31.9, 3.2), 9);
        assert_eq!(times(-1.0, 3.2), 0);
        assert_eq!(times(f64::NAN, 3.2), 0);
    }

    #[test]
    fn impossible_pieces_are_refused_with_their_side() {
        assert_eq!(Piece::of(0.0, 3.0, 50.0), Err(PieceError::TooThin(0.0)));
        assert_eq!(Piece::of(3.0, 3.0, 3000.0), Err(PieceError::TooLong(3000.0)));
        assert!(matches!(Piece::of(3.0, f64::NAN, 50.0), Err(PieceError::Length(_))));
    }
}
