//! What one unit of a food gives, and why nothing is counted where it is not.

use serde::Serialize;
use thiserror::Error;

use super::PieceError;
use crate::units::Millimetres;

/// One block that is squared and cut on its own.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Block {
    /// Planks in the block.
    pub planks: u32,
    /// Sticks from each plank.
    pub sticks: u32,
    /// Pieces from each stick.
    pub pieces: u32,
    /// Size of the food's section that the block is squared from.
    pub section: Millimetres,
}

impl Block {
    /// Pieces in the block.
    pub fn count(&self) -> u32 {
        self.planks.saturating_mul(self.sticks).saturating_mul(self.pieces)
    }
}

/// mm³ of what is cut off, by where it comes from.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Trimmings {
    /// Both ends.
    pub ends: f64,
    /// Rounded sides, blocks too thin, crumbs, and the tail.
    pub squaring: f64,
    /// The core.
    pub core: f64,
}

impl Trimmings {
    /// mm³ of all of it.
    pub fn total(&self) -> f64 {
        self.ends + self.squaring + self.core
    }
}

/// What one unit of food gives when it is worked to a target.
#[derive(Clone, Debug, PartialEq)]
pub struct WorkedFood {
    /// Pieces of the target's size.
    pub pieces: u32,
    /// Pieces that are not whole: with a rounded edge, cut too short, or crumbs.
    pub partial: u32,
    /// Strokes for one unit.
    pub strokes: u64,
    /// Times that something is stacked or gathered again.
    pub regroupings: u64,
    /// mm³ of one unit.
    pub volume: f64,
    /// mm³ cut off.
    pub trimmings: Trimmings,
    /// Blocks in the order they are cut, flat first the most of each; empty for slices.
    pub blocks: Vec<Block>,
}

/// Why no count can be computed; the instructor then plans in whole units and sets the minutes.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum NoCount {
    /// Chopping has no piece size to count by.
    #[error("chopped food is weighed, not counted: plan it in grams and set the minutes")]
    Chopped,
    /// Leaves, florets and ribbons are weighed.
    #[error("this is weighed, not counted: plan it in grams and set the minutes")]
    Weighed,
    /// The layers of a ball do not lie flat, so no stick is cut from them.
    #[error("the layers of a ball curl, so its sticks are not counted: plan it in whole units and set the minutes")]
    Layered,
    /// A cone or bundle gives no regular block.
    #[error("this shape gives no regular block: plan it in whole units and set the minutes")]
    Irregular,
    /// The cut has no set size.
    #[error("this cut has no set size: plan it in whole units and set the minutes")]
    Unsized,
    /// The target has no size to work to.
    #[error(transparent)]
    Piece(#[from] PieceError),
}
