//! A food and the blocks inside it, in space.

use serde::Serialize;

use super::section::section;
use crate::catalogue::{Cut, CutFamily, Food, Shape, Target, TargetSize};
use crate::geometry::{Block, DICING_BLOCK, KitchenWork};
use crate::units::Millimetres;

/// A slice of a round body.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SolidRing {
    /// Place along the food from its first end, mm.
    pub at: f64,
    /// Full width there, mm.
    pub width: f64,
    /// Full height there, mm.
    pub height: f64,
}

/// A food as a body along x: x from its first end, y up and z across from its axis, all mm.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Solid {
    /// Length along x.
    pub length: Millimetres,
    /// Width along z.
    pub width: Millimetres,
    /// Height along y.
    pub height: Millimetres,
    /// Cut off each end before the work.
    pub trim: Millimetres,
    /// Slices of a round body, from its first end; none of a straight-sided one.
    pub rings: Vec<SolidRing>,
}

/// Pieces side by side in a block, each as large as the next.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SolidBlock {
    /// Lowest corner: x, y, z in mm.
    pub at: [f64; 3],
    /// One piece: along x, y, z in mm.
    pub piece: [f64; 3],
    /// Pieces along x, y, z.
    pub count: [u32; 3],
}

/// Slices that a round body is drawn with.
const RINGS: u32 = 24;

/// A food as a body; `None` for a bundle.
pub fn solid(food: &Food) -> Option<Solid> {
    let round = |length: Millimetres, ring: &dyn Fn(f64) -> (f64, f64)| {
        let rings: Vec<SolidRing> = (0..=RINGS)
            .map(|k| {
                // Closer together towards the ends, where a ball bends most.
                let along = (1.0 - (std::f64::consts::PI * f64::from(k) / f64::from(RINGS)).cos()) / 2.0;
                let (width, height) = ring(along);
                SolidRing { at: along * length.get(), width, height }
            })
            .collect();
        let most = |of: fn(&SolidRing) -> f64| Millimetres::clamped(rings.iter().map(of).fold(0.0, f64::max));
        Solid { length, width: most(|ring| ring.width), height: most(|ring| ring.height), trim: food.trim, rings }
    };
    let swell = |along: f64| 2.0 * (along * (1.0 - along)).max(0.0).sqrt();
    let even = |d: Millimetres| move |_: f64| (d.get(), d.get());
    Some(match food.shape {
        Shape::Frustum { big_end, small_end, length } => round(length, &|along| {
            let d = big_end.get() + (small_end.get() - big_end.get()) * along;
            (d, d)
        }),
        Shape::Cylinder { diameter, length } | Shape::LayeredCylinder { diameter, length, .. } => round(length, &even(diameter)),
        Shape::Ball { diameter, .. } | Shape::LayeredBall { diameter, .. } => {
            round(diameter, &|along| (diameter.get() * swell(along), diameter.get() * swell(along)))
        }
        Shape::Ellipsoid { length, width, height } => {
            round(length, &|along| (width.get() * swell(along), height.get() * swell(along)))
        }
        Shape::Cone { diameter, length } => {
            round(length, &|along| (diameter.get() * (1.0 - along), diameter.get() * (1.0 - along)))
        }
        Shape::Stalk { width, thickness: height, length }
        | Shape::Block { length, width, height }
        | Shape::Sheet { length, width, wall: height } => Solid { length, width, height, trim: food.trim, rings: Vec::new() },
        Shape::Bundle { .. } => return None,
    })
}

/// How long a piece is along the food: a dice is crosscut at its thickness.
fn along(cut: &Cut, target: &Target) -> f64 {
    let side = if cut.family == CutFamily::Dice { target.thickness } else { target.length };
    side.map_or(0.0, |side| side.nominal().get())
}

/// The squared blocks of a food where they lie in it; none for slices.
pub fn squared_blocks(food: &Food, cut: &Cut, target: &Target, blocks: &[Block]) -> Vec<SolidBlock> {
    let piece_length = match food.shape {
        Shape::Sheet { .. } => target.length.map_or(0.0, |side| side.nominal().get()),
        _ => along(cut, target),
    };
    if let Shape::Ball { diameter, core: Some(core) } = food.shape {
        return around_a_core(diameter, core, target, piece_length, blocks);
    }
    let segment = if cut.family == CutFamily::Dice { f64::max(DICING_BLOCK.get(), piece_length) } else { piece_length };
    let mut found = Vec::new();
    for (index, block) in blocks.iter().enumerate().filter(|(_, block)| block.count() > 0) {
        let Some(drawn) = section(food, cut, target, &[*block]).and_then(|drawing| drawing.block) else { continue };
        let (h, w) = (drawn.piece_height.get(), drawn.piece_width.get());
        let whole = f64::from(block.pieces) * piece_length;
        let start = match food.shape {
            Shape::Frustum { .. } | Shape::Cylinder { .. } => food.trim.get() + index as f64 * segment,
            Shape::Stalk { .. } => food.trim.get(),
            Shape::Sheet { .. } | Shape::Block { .. } => 0.0,
            _ => (food.length().get() - whole) / 2.0,
        };
        let count = [block.pieces, drawn.rows, drawn.columns];
        let low = |number: u32, size: f64| -f64::from(number) * size / 2.0;
        found.push(SolidBlock { at: [start, low(drawn.rows, h), low(drawn.columns, w)], piece: [piece_length, h, w], count });
    }
    found
}

/// Two wide cheeks above and below the core, two narrow ones at its sides, as they stand in the ball.
fn around_a_core(diameter: Millimetres, core: Millimetres, target: &Target, length: f64, blocks: &[Block]) -> Vec<SolidBlock> {
    let side = |side: Option<TargetSize>| side.map_or(0.0, |side| side.nominal().get());
    let (t, w) = (side(target.thickness), side(target.width));
    let half_core = core.get() / 2.0;
    let of = |(index, block): (usize, &Block)| {
        let deep = f64::from(block.planks) * t;
        let wide = -f64::from(block.sticks) * w / 2.0;
        let start = (diameter.get() - f64::from(block.pieces) * length) / 2.0;
        let from = if index.is_multiple_of(2) { half_core } else { -half_core - deep };
        if index < 2 {
            SolidBlock { at: [start, from, wide], piece: [length, t, w], count: [block.pieces, block.planks, block.sticks] }
        } else {
            SolidBlock { at: [start, wide, from], piece: [length, w, t], count: [block.pieces, block.sticks, block.planks] }
        }
    };
    blocks.iter().enumerate().filter(|(_, block)| block.count() > 0).map(of).collect()
}

/// The planks of a food that is worked flat first, each a block of its own.
pub fn kitchen_blocks(food: &Food, cut: &Cut, target: &Target, kitchen: &KitchenWork) -> Vec<SolidBlock> {
    let side = |side: Option<TargetSize>| side.map_or(0.0, |side| side.nominal().get());
    let dice = cut.family == CutFamily::Dice;
    let (t, w) = if dice { (side(target.width), side(target.length)) } else { (side(target.thickness), side(target.width)) };
    let length = along(cut, target);
    let segment = if dice { f64::max(DICING_BLOCK.get(), length) } else { length };
    let root = matches!(food.shape, Shape::Frustum { .. } | Shape::Cylinder { .. });
    let mut found = Vec::new();
    for (index, part) in kitchen.segments.iter().enumerate() {
        let board = -part.height.get() / 2.0 + part.slice.get();
        for (plank, sticks) in (0u32..).zip(&part.planks) {
            let mut left = -(sticks.len() as f64) * w / 2.0;
            // Sticks of the same number of pieces beside each other are one block.
            for alike in sticks.chunk_by(|a, b| a == b) {
                let (pieces, across) = (alike.first().copied().unwrap_or(0), alike.len());
                let middle = (food.length().get() - f64::from(pieces) * length) / 2.0;
                let start = if root { food.trim.get() + index as f64 * segment } else { middle };
                if pieces > 0 {
                    let count = [pieces, 1, u32::try_from(across).unwrap_or(u32::MAX)];
                    found.push(SolidBlock { at: [start, board + f64::from(plank) * t, left], piece: [length, t, w], count });
                }
                left += across as f64 * w;
            }
        }
    }
    found
}
