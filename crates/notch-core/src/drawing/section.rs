//! The cross-section of a food with the pieces that are cut from it.

use serde::Serialize;

use super::solid::{SolidBlock, kitchen_blocks, squared_blocks};
use crate::catalogue::{Cut, Food, Shape, Target};
use crate::geometry::{Block, KitchenWork};
use crate::units::Millimetres;

/// Outline of a section.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FoodOutline {
    /// Round or egg-shaped.
    Ellipse {
        /// Full width.
        width: Millimetres,
        /// Full height.
        height: Millimetres,
    },
    /// Straight-sided, or opened flat.
    Rectangle {
        /// Full width.
        width: Millimetres,
        /// Full height.
        height: Millimetres,
    },
    /// Layers around a centre.
    Rings {
        /// Full width.
        width: Millimetres,
        /// How many layers.
        layers: u8,
        /// Halved, lying on its flat face.
        halved: bool,
    },
    /// Half a ring, hollow side down; half as high as it is wide.
    Arch {
        /// Full width.
        width: Millimetres,
        /// Thickness of the wall.
        wall: Millimetres,
    },
}

impl FoodOutline {
    /// Full width and height, mm.
    fn extent(self) -> (f64, f64) {
        match self {
            FoodOutline::Ellipse { width, height } | FoodOutline::Rectangle { width, height } => (width.get(), height.get()),
            FoodOutline::Rings { width, halved: false, .. } => (width.get(), width.get()),
            FoodOutline::Rings { width, .. } | FoodOutline::Arch { width, .. } => (width.get(), width.get() / 2.0),
        }
    }
}

/// Equal pieces side by side in the section, in mm.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PieceGrid {
    /// First corner, from the left of the outline.
    pub x: f64,
    /// First corner, down from the top of the outline.
    pub y: f64,
    /// Degrees, clockwise around the first corner.
    pub turn: f64,
    /// Pieces side by side.
    pub columns: u32,
    /// Pieces one above the other.
    pub rows: u32,
    /// Width of one piece.
    pub piece_width: f64,
    /// Height of one piece.
    pub piece_height: f64,
}

/// What the section shows.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SectionDrawing {
    /// Outside.
    pub outline: FoodOutline,
    /// Pieces inside; none for slices, chopping and layered food.
    pub pieces: Vec<PieceGrid>,
}

/// Draws the thickest section of a food with its squared pieces; `None` for a bundle.
pub fn food_section(food: &Food, cut: &Cut, target: &Target, blocks: &[Block]) -> Option<SectionDrawing> {
    let first = blocks.first().filter(|block| block.planks > 0 && block.sticks > 0);
    let ellipse = |width, height| FoodOutline::Ellipse { width, height };
    let outline = match food.shape {
        Shape::Frustum { big_end: d, .. } | Shape::Cylinder { diameter: d, .. } => {
            let d = first.map_or(d, |block| block.section);
            ellipse(d, d)
        }
        Shape::Ball { diameter: d, .. } | Shape::Cone { diameter: d, .. } => ellipse(d, d),
        Shape::Ellipsoid { width, height, .. } | Shape::Stoned { width, height, .. } | Shape::Irregular { width, height, .. } => {
            ellipse(width, height)
        }
        Shape::LayeredBall { diameter: width, layers, .. } | Shape::LayeredCylinder { diameter: width, layers, .. } => {
            FoodOutline::Rings { width, layers, halved: food.halved() }
        }
        Shape::Stalk { width, thickness: wall, .. } => FoodOutline::Arch { width, wall },
        Shape::Block { width, height, .. }
        | Shape::Wedge { width, height, .. }
        | Shape::Disc { diameter: width, height }
        | Shape::Sheet { width, wall: height, .. } => FoodOutline::Rectangle { width, height },
        Shape::Bundle { .. } | Shape::Stems { .. } => return None,
    };
    let seen = match food.shape {
        Shape::Frustum { .. } | Shape::Cylinder { .. } => blocks.get(..1).unwrap_or_default(),
        _ => blocks,
    };
    Some(SectionDrawing { outline, pieces: end_on(outline, &squared_blocks(food, cut, target, seen)) })
}

/// Draws the thickest section of a food that is worked flat first; `None` where it has no segment.
pub fn flat_first_section(food: &Food, cut: &Cut, target: &Target, kitchen: &KitchenWork) -> Option<SectionDrawing> {
    let thickest = kitchen.segments.get(..1)?;
    let outline = thickest.first().map(|part| FoodOutline::Ellipse { width: part.width, height: part.height })?;
    Some(SectionDrawing { outline, pieces: end_on(outline, &kitchen_blocks(food, cut, target, thickest)) })
}

/// Blocks as they are seen along the food.
fn end_on(outline: FoodOutline, blocks: &[SolidBlock]) -> Vec<PieceGrid> {
    let (width, height) = outline.extent();
    let of = |block: &SolidBlock| {
        let ([_, low, left], [_, piece_height, piece_width], [_, rows, columns]) = (block.at, block.piece, block.count);
        let (sine, cosine) = block.turn.to_radians().sin_cos();
        let up = f64::from(rows) * piece_height;
        PieceGrid {
            x: width / 2.0 + left + up * sine,
            y: height / 2.0 - low - up * cosine,
            turn: block.turn,
            columns,
            rows,
            piece_width,
            piece_height,
        }
    };
    blocks.iter().map(of).collect()
}
