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
mod piece;
mod sheet;
mod stalk;
mod strokes;
mod turning;
mod volume;
mod work;
mod worked;

pub use cored::{Cheek, Cheeks, core_volume, squared_cored_ball};
pub use cylinder::{Squared, squared_cylinder};
pub use ellipsoid::{EllipsoidBlock, squared_ellipsoid};
pub use flat_first::{FlatFirst, FlatFirstEgg, flat_first, flat_first_egg};
pub use frustum::{FrustumYield, Segment, squared_frustum};
pub use hand_work::{Mince, Rolls, Turned, Wedges, mince, peeled, rolled_leaves, turned, wedges};
pub use kitchen::{FLAT_SHARE, KitchenSegment, KitchenWork, Way, work_flat_first};
pub use piece::{Piece, PieceError};
pub use sheet::{SheetYield, sheet};
pub use stalk::{SquaredStalk, squared_stalk, stalk_volume};
pub use strokes::{Chain, Strokes, strokes};
pub(crate) use turning::turned_lengths;
pub(crate) use volume::volume;
pub use work::work_food;
pub(crate) use work::{DICING_BLOCK, within_the_wall};
pub use worked::{Block, NoCount, Trimmings, WorkedFood};

#[cfg(test)]
mod tests {
    use super::*;
    use crate::units::times;

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
