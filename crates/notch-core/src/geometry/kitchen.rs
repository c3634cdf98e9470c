//! Working a root or an egg the kitchen's way: one flat face, then planks, rounded edges trimmed as they come.

use serde::{Deserialize, Serialize};

use super::{Block, NoCount, Piece, Trimmings, WorkedFood, flat_first, flat_first_egg, squared_frustum};
use crate::catalogue::{Cut, CutFamily, Food, Handling, Shape, Target};
use crate::units::{Millimetres, times};

/// Depth of the slice that makes the flat, as a share of the section.
pub const FLAT_SHARE: f64 = 0.1;

/// A segment that is cut flat first, or the whole of an egg-shaped food.
#[derive(Clone, Debug, PartialEq)]
pub struct KitchenSegment {
    /// Pieces of each stick of each plank, from the board up.
    pub planks: Vec<Vec<u32>>,
    /// Width of the section that it is cut from.
    pub width: Millimetres,
    /// Height of that section.
    pub height: Millimetres,
    /// Depth of the slice that makes the flat.
    pub slice: Millimetres,
    /// Pieces that are not whole: with a rounded edge, or cut too short.
    pub partial: u32,
}

/// What one unit gives when it is cut flat first.
#[derive(Clone, Debug, PartialEq)]
pub struct KitchenWork {
    /// Pieces, strokes, trimmings.
    pub worked: WorkedFood,
    /// Segments, the thickest first.
    pub segments: Vec<KitchenSegment>,
}

/// Strokes and regroupings of a segment.
#[derive(Clone, Copy, Default)]
struct Labour {
    strokes: u64,
    regroupings: u64,
}

impl KitchenSegment {
    fn pieces(&self) -> u32 {
        self.planks.iter().flatten().copied().fold(0, u32::saturating_add)
    }

    /// Planks that give sticks, the most sticks of one of them, the most pieces of a stick.
    fn around(&self) -> Block {
        let count = |number: usize| u32::try_from(number).unwrap_or(u32::MAX);
        Block {
            planks: count(self.planks.iter().filter(|sticks| sticks.iter().any(|pieces| *pieces > 0)).count()),
            sticks: count(self.planks.iter().map(Vec::len).max().unwrap_or(0)),
            pieces: self.planks.iter().flatten().copied().max().unwrap_or(0),
            section: self.height,
        }
    }

    /// One stroke for the flat, one for each plank, and for each stack of planks one more than its
    /// widest plank has sticks, since the rounded edges come off; then crosscuts: for each bundle one
    /// fewer than its longest stick has pieces, and where ends are `ragged` two more.
    fn labour(&self, handling: &Handling, stick_width: Millimetres, ragged: bool) -> Labour {
        if self.pieces() == 0 {
            return Labour::default();
        }
        let stack = handling.stack_planks.max(1) as usize;
        let stacks = self.planks.chunks(stack).map(|planks| planks.iter().map(Vec::len).max().unwrap_or(0) as u64);
        let sticking: u64 = stacks.filter(|widest| *widest > 0).map(|widest| widest + 1).sum();
        let sticks = self.planks.iter().map(Vec::len).sum::<usize>() as u64;
        let bundle = u64::from(times(handling.bundle_width.get(), stick_width.get()).max(1));
        let longest = u64::from(self.planks.iter().flatten().copied().max().unwrap_or(0));
        let ends = if ragged { 2 } else { 0 };
        let bundles = sticks.div_ceil(bundle);
        let crosscuts = longest.saturating_sub(1) + ends;
        let stacked = self.planks.len().div_ceil(stack) as u64;
        Labour {
            strokes: 1 + self.planks.len() as u64 + sticking + bundles.saturating_mul(crosscuts),
            regroupings: stacked + if crosscuts > 0 { bundles } else { 0 },
        }
    }
}

/// A way of working a food into sticks and dice.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Way {
    /// Squared into blocks, as for an exam.
    #[default]
    Squared,
    /// One flat face, then planks, as in a kitchen.
    FlatFirst,
}

impl Way {
    /// As it is written: `squared`, `flat_first`.
    pub const fn word(self) -> &'static str {
        match self {
            Way::Squared => "squared",
            Way::FlatFirst => "flat_first",
        }
    }
}

/// Works a tapering root, a cylinder or an egg-shaped food flat first. Segments and dicing blocks of
/// roots are those of the squared way, so that the two can be compared.
///
/// # Errors
/// [`NoCount::Irregular`] for other shapes and for cuts that are no sticks or dice.
pub fn work_flat_first(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Result<KitchenWork, NoCount> {
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
    let piece = Piece::new(t, w, l)?;
    match food.shape {
        Shape::Frustum { big_end, small_end, length } => root(food, (big_end, small_end, length), piece, dice, handling),
        Shape::Cylinder { diameter, length } => root(food, (diameter, diameter, length), piece, dice, handling),
        Shape::Ellipsoid { length, width, height } => Ok(egg(food, [length, width, height], piece, handling)),
        Shape::Ball { diameter, core: None } => Ok(egg(food, [diameter; 3], piece, handling)),
        _ => Err(NoCount::Irregular),
    }
}

fn slice_of(height: Millimetres) -> Millimetres {
    Millimetres::clamped(height.get() * FLAT_SHARE)
}

fn root(
    food: &Food,
    (big_end, small_end, length): (Millimetres, Millimetres, Millimetres),
    piece: Piece,
    dice: bool,
    handling: &Handling,
) -> Result<KitchenWork, NoCount> {
    let block_length = if dice { super::work::DICING_BLOCK.longer(piece.length()) } else { piece.length() };
    let found =
        squared_frustum(big_end, small_end, length, food.trim, Piece::new(piece.thickness(), piece.width(), block_length)?);
    let per_stick = times(block_length.get(), piece.length().get());
    let segment = |part: &super::Segment| {
        let slice = slice_of(part.far_diameter);
        let flat = flat_first(part.far_diameter, slice, piece.thickness(), piece.width());
        let planks = flat.sticks.iter().map(|sticks| vec![per_stick; *sticks as usize]).collect();
        let short = block_length.get() - f64::from(per_stick) * piece.length().get() > 1e-6 * block_length.get();
        let partial = flat.rounded.saturating_mul(per_stick).saturating_add(if short { flat.count } else { 0 });
        KitchenSegment { planks, width: part.far_diameter, height: part.far_diameter, slice, partial }
    };
    let segments: Vec<KitchenSegment> = found.segments.iter().map(segment).collect();
    let partings = (segments.len() as u64).saturating_sub(1) + u64::from(found.tail.get() > 1e-6);
    let ends = found.volume_whole - found.volume_trimmed;
    Ok(finish(segments, found.volume_whole, ends, partings + 2, piece, (handling, false)))
}

fn egg(food: &Food, axes: [Millimetres; 3], piece: Piece, handling: &Handling) -> KitchenWork {
    let slice = slice_of(axes[2]);
    let found = flat_first_egg(axes, slice, piece);
    let segment = KitchenSegment { planks: found.planks, width: axes[1], height: axes[2], slice, partial: found.rounded };
    finish(vec![segment], super::volume(food), 0.0, 0, piece, (handling, true))
}

/// Adds up segments; `between` are the strokes that part them, ends included.
fn finish(
    segments: Vec<KitchenSegment>,
    volume: f64,
    ends: f64,
    between: u64,
    piece: Piece,
    (handling, ragged): (&Handling, bool),
) -> KitchenWork {
    let pieces = segments.iter().map(KitchenSegment::pieces).fold(0, u32::saturating_add);
    let labour = segments.iter().map(|segment| segment.labour(handling, piece.width(), ragged));
    let labour = labour.fold(Labour::default(), |sum, one| Labour {
        strokes: sum.strokes.saturating_add(one.strokes),
        regroupings: sum.regroupings + one.regroupings,
    });
    let kept = f64::from(pieces) * piece.volume();
    let worked = WorkedFood {
        pieces,
        partial: segments.iter().map(|segment| segment.partial).fold(0, u32::saturating_add),
        strokes: if pieces == 0 { 0 } else { labour.strokes + between },
        regroupings: labour.regroupings,
        volume,
        trimmings: Trimmings { ends, squaring: (volume - ends - kept).max(0.0), core: 0.0 },
        blocks: segments.iter().map(KitchenSegment::around).collect(),
    };
    KitchenWork { worked, segments }
}
