//! The cross-section of a food with the block that is squared from it.

use serde::Serialize;

use crate::catalogue::{Cut, CutFamily, Food, Shape, Target};
use crate::geometry::Block;
use crate::units::Millimetres;

/// Outline of a section; its centre is the origin of the drawing.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Outline {
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
}

/// The squared block in the section.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SectionBlock {
    /// Pieces side by side.
    pub columns: u32,
    /// Pieces one above the other.
    pub rows: u32,
    /// Width of one piece.
    pub piece_width: Millimetres,
    /// Height of one piece.
    pub piece_height: Millimetres,
}

/// What the section shows.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SectionDrawing {
    /// Outside.
    pub outline: Outline,
    /// Block inside; none for slices, chopping and layered food.
    pub block: Option<SectionBlock>,
}

/// Draws the section of a food with its largest block; `None` for a bundle.
pub fn section(food: &Food, cut: &Cut, target: &Target, blocks: &[Block]) -> Option<SectionDrawing> {
    let first = blocks.first().filter(|block| block.planks > 0 && block.sticks > 0);
    let ellipse = |width, height| Outline::Ellipse { width, height };
    let outline = match food.shape {
        Shape::Frustum { big_end: d, .. } | Shape::Cylinder { diameter: d, .. } => {
            let d = first.map_or(d, |block| block.section);
            ellipse(d, d)
        }
        Shape::Ball { diameter: d, .. } | Shape::Cone { diameter: d, .. } => ellipse(d, d),
        Shape::Ellipsoid { width, height, .. } => ellipse(width, height),
        Shape::LayeredBall { diameter: width, layers } | Shape::LayeredCylinder { diameter: width, layers, .. } => {
            Outline::Rings { width, layers, halved: food.halve }
        }
        Shape::Stalk { width, thickness: height, .. }
        | Shape::Block { width, height, .. }
        | Shape::Sheet { width, wall: height, .. } => Outline::Rectangle { width, height },
        Shape::Bundle { .. } => return None,
    };
    Some(SectionDrawing { outline, block: first.and_then(|block| section_block(food, cut, target, block)) })
}

fn section_block(food: &Food, cut: &Cut, target: &Target, block: &Block) -> Option<SectionBlock> {
    let thickness = target.thickness?.nominal();
    let width = target.width?.nominal();
    let length = target.length.map_or(width, |length| length.nominal());
    // Planks lie one above the other; a dice is a stick of its two larger sides.
    let (piece_height, piece_width) = match cut.family {
        CutFamily::Dice => (width, length),
        _ => (thickness, width),
    };
    let piece_height = if let Shape::Sheet { wall, .. } = food.shape { wall } else { piece_height };
    // Where planks were laid across the food, turn the block so that it fits the outline.
    let across = |count: u32, size: Millimetres| f64::from(count) * size.get();
    let turned = matches!(food.shape, Shape::Ellipsoid { .. } | Shape::Stalk { .. } | Shape::Block { .. })
        && across(block.planks, piece_height) > across(block.sticks, piece_width);
    Some(if turned {
        SectionBlock { columns: block.planks, rows: block.sticks, piece_width: piece_height, piece_height: piece_width }
    } else {
        SectionBlock { columns: block.sticks, rows: block.planks, piece_width, piece_height }
    })
}
