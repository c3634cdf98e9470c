//! Working a root the kitchen's way: one flat face, then planks, rounded edges trimmed as they come.

use super::{NoCount, Piece, Trimmings, WorkedFood, flat_first, squared_frustum, times};
use crate::catalogue::{Cut, CutFamily, Food, Handling, Shape, Target};
use crate::units::Millimetres;

/// Depth of the slice that makes the flat, as a share of the section.
pub const FLAT_SHARE: f64 = 0.1;

/// A segment that is cut flat first.
#[derive(Clone, Debug, PartialEq)]
pub struct KitchenSegment {
    /// Sticks of each plank, from the board up.
    pub sticks: Vec<u32>,
    /// Diameter at its thin end.
    pub diameter: Millimetres,
    /// Depth of the slice that makes the flat.
    pub slice: Millimetres,
}

/// What one unit gives when it is cut flat first.
#[derive(Clone, Debug, PartialEq)]
pub struct KitchenWork {
    /// Pieces, strokes, trimmings.
    pub worked: WorkedFood,
    /// Segments, the thickest first.
    pub segments: Vec<KitchenSegment>,
    /// Pieces from each stick.
    pub per_stick: u32,
}

/// Works a tapering root or a cylinder flat first. Segments and dicing blocks are those of the
/// squared way, so that the two can be compared.
///
/// Strokes of a segment: one for the flat, one for each plank, and for each stack of planks one more
/// than its widest plank has sticks, since the rounded edges come off; then crosscuts as for a squared
/// block.
///
/// # Errors
/// [`NoCount::Irregular`] for other shapes and for cuts that are no sticks or dice.
pub fn work_flat_first(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Result<KitchenWork, NoCount> {
    let (big, small, length) = match food.shape {
        Shape::Frustum { big_end, small_end, length } => (big_end, small_end, length),
        Shape::Cylinder { diameter, length } => (diameter, diameter, length),
        _ => return Err(NoCount::Irregular),
    };
    let dice = match cut.family {
        CutFamily::Strips => false,
        CutFamily::Dice => true,
        _ => return Err(NoCount::Irregular),
    };
    let side =
        |size: Option<crate::catalogue::TargetSize>| size.map(crate::catalogue::TargetSize::nominal).ok_or(NoCount::Unsized);
    let (t, w, l) = (side(target.thickness)?, side(target.width)?, side(target.length)?);
    // A dice is a stick of its two larger sides, crosscut at the smallest, as when squared.
    let (t, w, l) = if dice { (w, l, t) } else { (t, w, l) };
    let block_length = if dice { super::work::DICING_BLOCK.longer(l) } else { l };
    let segment = Piece::new(t, w, block_length)?;
    let found = squared_frustum(big, small, length, food.trim, segment);
    let per_stick = times(block_length.get(), l.get());
    let bundle = times(handling.bundle_width.get(), w.get()).max(1);
    let stack = handling.stack_planks.max(1) as usize;
    let (mut pieces, mut strokes, mut regroupings) = (0u32, 0u64, 0u64);
    let mut segments = Vec::with_capacity(found.segments.len());
    for part in &found.segments {
        let slice = Millimetres::clamped(part.far_diameter.get() * FLAT_SHARE);
        let flat = flat_first(part.far_diameter, slice, t, w);
        if flat.count > 0 {
            let stacks = flat.sticks.chunks(stack).map(|planks| planks.iter().max().copied().unwrap_or(0));
            let sticks: u64 = stacks.filter(|widest| *widest > 0).map(|widest| u64::from(widest) + 1).sum();
            let bundles = u64::from(flat.count.div_ceil(bundle));
            let crosscuts = bundles * u64::from(per_stick.saturating_sub(1));
            strokes += 1 + flat.sticks.len() as u64 + sticks + crosscuts;
            regroupings += flat.sticks.len().div_ceil(stack) as u64 + if per_stick > 1 { bundles } else { 0 };
            pieces = pieces.saturating_add(flat.count.saturating_mul(per_stick));
        }
        segments.push(KitchenSegment { sticks: flat.sticks, diameter: part.far_diameter, slice });
    }
    let partings = (found.segments.len() as u64).saturating_sub(1) + u64::from(found.tail.get() > 1e-6);
    let ends = found.volume_whole - found.volume_trimmed;
    let kept = f64::from(pieces) * t.get() * w.get() * l.get();
    let worked = WorkedFood {
        pieces,
        strokes: if pieces == 0 { 0 } else { strokes + partings + 2 },
        regroupings,
        volume: found.volume_whole,
        trimmings: Trimmings { ends, squaring: (found.volume_whole - ends - kept).max(0.0), core: 0.0 },
        blocks: Vec::new(),
    };
    Ok(KitchenWork { worked, segments, per_stick })
}
