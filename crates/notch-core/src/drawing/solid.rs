//! A food and the blocks inside it, in space.

use serde::Serialize;

use crate::catalogue::{Cut, CutFamily, Food, Shape, Target, TargetSize};
use crate::geometry::{Block, DICING_BLOCK, KitchenSegment, Piece, squared_cored_ball, squared_stalk, within_the_wall};
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
    /// Outline (y, z) of the section of an even body that is no box, in order; empty otherwise.
    pub profile: Vec<[f64; 2]>,
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
    /// Degrees that its y and z are turned around the line along x through the corner, y towards z.
    pub turn: f64,
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
        Solid {
            length,
            width: most(|ring| ring.width),
            height: most(|ring| ring.height),
            trim: food.trim,
            rings,
            profile: Vec::new(),
        }
    };
    let swell = |along: f64| 2.0 * (along * (1.0 - along)).max(0.0).sqrt();
    let even = |d: Millimetres| move |_: f64| (d.get(), d.get());
    Some(match food.shape {
        Shape::Frustum { big_end, small_end, length } => round(length, &|along| {
            let d = big_end.get() + (small_end.get() - big_end.get()) * along;
            (d, d)
        }),
        Shape::Cylinder { diameter, length } | Shape::LayeredCylinder { diameter, length, .. } => round(length, &even(diameter)),
        Shape::Ball { diameter, .. } => round(diameter, &|along| (diameter.get() * swell(along), diameter.get() * swell(along))),
        Shape::LayeredBall { diameter, length, .. } => {
            round(length, &|along| (diameter.get() * swell(along), diameter.get() * swell(along)))
        }
        Shape::Ellipsoid { length, width, height }
        | Shape::Stoned { length, width, height, .. }
        | Shape::Irregular { length, width, height } => {
            round(length, &|along| (width.get() * swell(along), height.get() * swell(along)))
        }
        Shape::Cone { diameter, length } => {
            round(length, &|along| (diameter.get() * (1.0 - along), diameter.get() * (1.0 - along)))
        }
        Shape::Disc { diameter, height } => {
            Solid { length: diameter, width: diameter, height, trim: food.trim, rings: Vec::new(), profile: Vec::new() }
        }
        Shape::Block { length, width, height }
        | Shape::Wedge { length, width, height }
        | Shape::Sheet { length, width, wall: height } => {
            Solid { length, width, height, trim: food.trim, rings: Vec::new(), profile: Vec::new() }
        }
        Shape::Stalk { width, thickness, length } => {
            let profile = half_ring(width.get() / 2.0, thickness.get());
            Solid { length, width, height: food.height(), trim: food.trim, rings: Vec::new(), profile }
        }
        Shape::Bundle { .. } | Shape::Stems { .. } => return None,
    })
}

/// Half a ring, hollow side down, its height around the axis.
fn half_ring(outer: f64, wall: f64) -> Vec<[f64; 2]> {
    let inner = (outer - wall).max(0.0);
    let arc = |radius: f64| {
        (0..=RINGS).map(move |k| {
            let (sine, cosine) = (std::f64::consts::PI * f64::from(k) / f64::from(RINGS)).sin_cos();
            [radius * sine - outer / 2.0, radius * cosine]
        })
    };
    arc(outer).chain(arc(inner).rev()).collect()
}

/// How long a piece is along the food: a dice is crosscut at its thickness.
fn along(cut: &Cut, target: &Target) -> f64 {
    let side = if cut.family == CutFamily::Dice { target.thickness } else { target.length };
    side.map_or(0.0, |side| side.nominal().get())
}

/// How thick and how wide a stick is: a dice is a stick of its two larger sides.
fn across(cut: &Cut, target: &Target) -> Option<(f64, f64)> {
    let (t, w) = match cut.family {
        CutFamily::Dice => (target.width?, target.length.or(target.width)?),
        _ => (target.thickness?, target.width?),
    };
    Some((t.nominal().get(), w.nominal().get()))
}

/// The squared blocks of a food where they lie in it; none for slices.
pub fn squared_blocks(food: &Food, cut: &Cut, target: &Target, blocks: &[Block]) -> Vec<SolidBlock> {
    let piece_length = match food.shape {
        Shape::Sheet { .. } => target.length.map_or(0.0, |side| side.nominal().get()),
        _ => along(cut, target),
    };
    match food.shape {
        Shape::Ball { diameter, core: Some(core) } => return around_a_core(diameter, core, target, piece_length, blocks),
        Shape::Stalk { .. } => {
            let cut_up = blocks.iter().any(|block| block.count() > 0);
            return around_a_hollow(food, cut, target).filter(|_| cut_up).unwrap_or_default();
        }
        _ => {}
    }
    let segment = if cut.family == CutFamily::Dice { f64::max(DICING_BLOCK.get(), piece_length) } else { piece_length };
    let mut found = Vec::new();
    for (index, block) in blocks.iter().enumerate().filter(|(_, block)| block.count() > 0) {
        let Some([(rows, h), (columns, w)]) = rows_and_columns(food, cut, target, block) else { continue };
        let whole = f64::from(block.pieces) * piece_length;
        let start = match food.shape {
            Shape::Frustum { .. } | Shape::Cylinder { .. } => food.trim.get() + index as f64 * segment,
            Shape::Sheet { .. } | Shape::Block { .. } => 0.0,
            _ => (food.length().get() - whole) / 2.0,
        };
        let low = |number: u32, size: f64| -f64::from(number) * size / 2.0;
        found.push(SolidBlock {
            at: [start, low(rows, h), low(columns, w)],
            piece: [piece_length, h, w],
            count: [block.pieces, rows, columns],
            turn: 0.0,
        });
    }
    found
}

/// Rows of a block and the height of each, columns and the width of each.
fn rows_and_columns(food: &Food, cut: &Cut, target: &Target, block: &Block) -> Option<[(u32, f64); 2]> {
    let (height, width) = across(cut, target)?;
    let height = if let Shape::Sheet { wall, .. } = food.shape { wall.get() } else { height };
    // Where planks were laid across the food, turn the block so that it fits the outline.
    let turned = matches!(food.shape, Shape::Ellipsoid { .. } | Shape::Block { .. })
        && f64::from(block.planks) * height > f64::from(block.sticks) * width;
    let (planks, sticks) = ((block.planks, height), (block.sticks, width));
    Some(if turned { [sticks, planks] } else { [planks, sticks] })
}

/// Strips of a curved stalk, each square to the wall.
fn around_a_hollow(food: &Food, cut: &Cut, target: &Target) -> Option<Vec<SolidBlock>> {
    let Shape::Stalk { width, thickness, length } = food.shape else { return None };
    let (t, w) = across(cut, target)?;
    let mut piece = Piece::of(t, w, along(cut, target)).ok()?;
    if cut.family == CutFamily::Dice {
        piece = within_the_wall(piece, width, thickness).ok()?;
    }
    let (t, w) = (piece.thickness().get(), piece.width().get());
    let stalk = squared_stalk(width, thickness, length.less(food.trim + food.trim), piece);
    let (strip, depth) = if stalk.thickness_across { (t, w) } else { (w, t) };
    let first = (std::f64::consts::PI - f64::from(stalk.strips) * stalk.angle) / 2.0;
    let strip_at = |index: u32| {
        let angle = first + (f64::from(index) + 0.5) * stalk.angle;
        let (sine, cosine) = angle.sin_cos();
        // Out from the middle of the hollow, then half a strip back along its own width.
        let y = -width.get() / 4.0 + stalk.inner_face * sine + cosine * strip / 2.0;
        let z = stalk.inner_face * cosine - sine * strip / 2.0;
        SolidBlock {
            at: [food.trim.get(), y, z],
            piece: [piece.length().get(), depth, strip],
            count: [stalk.along, stalk.deep, 1],
            turn: 90.0 - angle.to_degrees(),
        }
    };
    Some((0..stalk.strips).map(strip_at).collect())
}

/// Two wide cheeks above and below the core, two narrow ones at its sides, as they stand in the ball.
fn around_a_core(diameter: Millimetres, core: Millimetres, target: &Target, length: f64, blocks: &[Block]) -> Vec<SolidBlock> {
    let side = |side: Option<TargetSize>| side.map_or(0.0, |side| side.nominal().get());
    let (t, w) = (side(target.thickness), side(target.width));
    let half_core = core.get() / 2.0;
    let turned = Piece::of(t, w, length).map(|piece| squared_cored_ball(diameter, core, piece)).ok();
    let of = |(index, block): (usize, &Block)| {
        let cheek = turned.map(|cheeks| if index < 2 { cheeks.wide } else { cheeks.narrow });
        let (t, w) = if cheek.is_some_and(|cheek| cheek.turned) { (w, t) } else { (t, w) };
        let deep = f64::from(block.planks) * t;
        let wide = -f64::from(block.sticks) * w / 2.0;
        let start = (diameter.get() - f64::from(block.pieces) * length) / 2.0;
        let from = if index.is_multiple_of(2) { half_core } else { -half_core - deep };
        if index < 2 {
            SolidBlock {
                at: [start, from, wide],
                piece: [length, t, w],
                count: [block.pieces, block.planks, block.sticks],
                turn: 0.0,
            }
        } else {
            SolidBlock {
                at: [start, wide, from],
                piece: [length, w, t],
                count: [block.pieces, block.sticks, block.planks],
                turn: 0.0,
            }
        }
    };
    blocks.iter().enumerate().filter(|(_, block)| block.count() > 0).map(of).collect()
}

/// The planks of segments that are worked flat first, each a block of its own.
pub fn kitchen_blocks(food: &Food, cut: &Cut, target: &Target, segments: &[KitchenSegment]) -> Vec<SolidBlock> {
    let Some((t, w)) = across(cut, target) else { return Vec::new() };
    let dice = cut.family == CutFamily::Dice;
    let length = along(cut, target);
    let segment = if dice { f64::max(DICING_BLOCK.get(), length) } else { length };
    let root = matches!(food.shape, Shape::Frustum { .. } | Shape::Cylinder { .. });
    let mut found = Vec::new();
    for (index, part) in segments.iter().enumerate() {
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
                    found.push(SolidBlock {
                        at: [start, board + f64::from(plank) * t, left],
                        piece: [length, t, w],
                        count,
                        turn: 0.0,
                    });
                }
                left += across as f64 * w;
            }
        }
    }
    found
}
