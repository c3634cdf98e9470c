//! From a food of the catalogue and a cut's target to blocks, pieces, strokes and trimmings.

use super::volume::volume;
use super::worked::{Block, NoCount, Trimmings, WorkedFood};
use super::{
    Chain, Piece, PieceError, SquaredStalk, Strokes, core_volume, sheet, squared_cored_ball, squared_ellipsoid, squared_frustum,
    squared_stalk, strokes, wedges,
};
use crate::catalogue::{Cut, CutFamily, CutForm, Food, FoodTrait, Handling, Shape, Target, TargetSize};
use crate::units::{Millimetres, times};

/// Length that long food is cut to before it is diced, since a longer block is not handled well.
pub(crate) const DICING_BLOCK: Millimetres = Millimetres::whole(50);

/// The part of a round food's height that is cut off to make it lie flat before planks are taken.
const FLAT_SLICE_SHARE: f64 = 0.1;

/// Angle of a bias cut to the axis: 45° lengthens each step along the food by √2.
const BIAS_STEP: f64 = std::f64::consts::SQRT_2;

/// Works one unit of `food` to `target`, squared (as for an exam).
///
/// Strips and dice are squared from blocks; long food is cut to 50 mm before it is diced. Slices
/// are taken along the food. A piece that does not fit gives 0 pieces, which is no error.
///
/// # Errors
/// [`NoCount`], where pieces are not what one counts.
pub fn work_food(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Result<WorkedFood, NoCount> {
    if let Some(range) = food.pieces.get(&cut.id) {
        return Ok(by_experience(food, cut, *range, handling));
    }
    match cut.family {
        CutFamily::Dice | CutFamily::Strips if flesh_only(food) => by_share(food, target),
        CutFamily::Dice if food.shape.layers().is_some() => super::layered::dice(food, target),
        CutFamily::Strips if food.shape.layers().is_some() => super::layered::sticks(food, target, handling),
        CutFamily::Strips | CutFamily::Dice => blocks(food, cut, target, handling),
        CutFamily::Chop => Err(NoCount::Chopped),
        CutFamily::Slices => slices(food, cut, target, handling),
        CutFamily::Hand if cut.form == CutForm::Turned => super::turning::turned_pieces(food, target, handling),
        CutFamily::Hand => Ok(parts_of(food, 1, 0)),
        CutFamily::Open => match cut.form {
            CutForm::Halved | CutForm::Stoned | CutForm::Cheeks | CutForm::Split => Ok(parts_of(food, 2, 1)),
            CutForm::Quartered => Ok(parts_of(food, 4, 3)),
            CutForm::Florets => Err(NoCount::Weighed),
            _ => Ok(parts_of(food, 1, 2)),
        },
        CutFamily::Break => Ok(parts_of(food, 1, 0)),
    }
}

/// The three sides of a finished piece: missing sides take the food's own.
fn finished_piece(food: &Food, target: &Target) -> Result<Piece, PieceError> {
    let side = |size: Option<TargetSize>, own: Millimetres| size.map_or(own, TargetSize::nominal);
    Piece::new(side(target.thickness, food.height()), side(target.width, food.width()), side(target.length, food.length()))
}

fn blocks(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Result<WorkedFood, NoCount> {
    let finished = finished_piece(food, target)?;
    let dice = cut.family == CutFamily::Dice;
    // A dice (or a tile) is a stick of the two larger sides, crosscut at the smallest.
    let piece = if dice { Piece::new(finished.width(), finished.length(), finished.thickness())? } else { finished };
    let piece = match food.shape {
        Shape::Stalk { width, thickness, .. } if dice => within_the_wall(piece, width, thickness)?,
        _ => piece,
    };
    let volume = volume(food);
    let mut core = 0.0;
    let (blocks, strokes_between, ends) = match food.shape {
        Shape::LayeredBall { .. } | Shape::LayeredCylinder { .. } => return Err(NoCount::Layered),
        Shape::Bundle { .. } => return Err(NoCount::Weighed),
        Shape::Cone { .. } | Shape::Stems { .. } | Shape::Stoned { .. } | Shape::Irregular { .. } | Shape::Disc { .. } => {
            return by_share(food, target);
        }
        Shape::Ball { diameter, core: Some(inner) } => {
            core = core_volume(diameter, inner);
            // Four strokes take the cheeks off; each lies flat already.
            (cheeks(diameter, inner, piece), 4, 0.0)
        }
        Shape::Frustum { big_end, small_end, length } => root(food, big_end, small_end, length, piece, dice)?,
        Shape::Cylinder { diameter, length } => root(food, diameter, diameter, length, piece, dice)?,
        Shape::Ellipsoid { length, width, height } => (vec![egg([length, width, height], piece)], 0, 0.0),
        Shape::Ball { diameter, core: None } => (vec![egg([diameter; 3], piece)], 0, 0.0),
        Shape::Block { length, width, height } => (vec![bar(length, width, height, piece)], 0, 0.0),
        Shape::Wedge { length, width, height } => (vec![fillet(length, width, height, piece)], 0, 0.0),
        Shape::Stalk { width, thickness, length } => {
            let usable = length.less(food.trim + food.trim);
            let ends = volume * (1.0 - usable.get() / length.get());
            let found = squared_stalk(width, thickness, usable, piece);
            let (planks, sticks) = if found.thickness_across { (found.strips, found.deep) } else { (found.deep, found.strips) };
            (vec![Block { planks, sticks, pieces: found.along, section: width }], stalk_strokes(found, handling), ends)
        }
        Shape::Sheet { length, width, .. } => (vec![flat(length, width, finished)], 0, 0.0),
    };
    let piece_volume = match food.shape {
        Shape::Sheet { wall, .. } => wall.get() * finished.width().get() * finished.length().get(),
        _ => piece.volume(),
    };
    let pieces = blocks.iter().map(Block::count).fold(0, u32::saturating_add);
    let work = chain_strokes(&blocks, piece, handling);
    let own = match food.shape {
        Shape::Sheet { .. } | Shape::Block { .. } => work.total() - work.squaring,
        Shape::Stalk { .. } => work.ends.saturating_add(work.crosscutting),
        _ => work.total(),
    };
    let kept = f64::from(pieces) * piece_volume;
    Ok(WorkedFood {
        pieces,
        partial: short_ends(food, &blocks, piece, dice),
        strokes: if pieces == 0 { 0 } else { own + strokes_between },
        regroupings: work.regroupings,
        volume,
        trimmings: Trimmings { ends, squaring: (volume - ends - core - kept).max(0.0), core },
        blocks,
    })
}

/// Pieces that are short: the last of a stick, where the block is no whole number of them.
fn short_ends(food: &Food, blocks: &[Block], piece: Piece, dice: bool) -> u32 {
    let block_length = match food.shape {
        Shape::Frustum { .. } | Shape::Cylinder { .. } if dice => DICING_BLOCK.longer(piece.length()),
        Shape::Stalk { length, .. } => length.less(food.trim + food.trim),
        Shape::Block { length, .. } => length,
        _ => Millimetres::ZERO,
    };
    let short = |block: &&Block| {
        block.count() > 0 && block_length.get() - f64::from(block.pieces) * piece.length().get() > 1e-6 * block_length.get()
    };
    blocks.iter().filter(short).map(|block| block.planks.saturating_mul(block.sticks)).fold(0, u32::saturating_add)
}

/// Strokes of all blocks of one unit: its two ends are trimmed once.
fn chain_strokes(blocks: &[Block], piece: Piece, handling: &Handling) -> Strokes {
    let bundle = times(handling.bundle_width.get(), piece.width().get()).max(1);
    let mut sum = blocks
        .iter()
        .map(|block| {
            strokes(Chain {
                planks: block.planks,
                sticks: block.sticks,
                pieces: block.pieces,
                stack: handling.stack_planks,
                bundle,
            })
        })
        .fold(Strokes::default(), |sum, one| Strokes {
            squaring: sum.squaring + one.squaring,
            ends: 0,
            planking: sum.planking + one.planking,
            sticking: sum.sticking + one.sticking,
            crosscutting: sum.crosscutting.saturating_add(one.crosscutting),
            regroupings: sum.regroupings + one.regroupings,
        });
    sum.ends = 2;
    sum
}

/// Both sides of each strip of a stalk, then each stack of strips on its side: its rounded faces off, and
/// between its sticks.
fn stalk_strokes(stalk: SquaredStalk, handling: &Handling) -> u64 {
    let [strips, deep] = [stalk.strips, stalk.deep].map(u64::from);
    2 * strips + strips.div_ceil(u64::from(handling.stack_planks.max(1))) * (deep + 1)
}

type BlocksStrokesEnds = (Vec<Block>, u64, f64);

/// A root or cylinder, in segments; also the strokes that part the segments, and mm³ of both ends.
fn root(
    food: &Food,
    big_end: Millimetres,
    small_end: Millimetres,
    length: Millimetres,
    piece: Piece,
    dice: bool,
) -> Result<BlocksStrokesEnds, NoCount> {
    let block_length = if dice { DICING_BLOCK.longer(piece.length()) } else { piece.length() };
    let segment = Piece::new(piece.thickness(), piece.width(), block_length)?;
    let found = squared_frustum(big_end, small_end, length, food.trim, segment);
    let per_stick = times(block_length.get(), piece.length().get());
    let blocks: Vec<Block> = found
        .segments
        .iter()
        .map(|s| Block { planks: s.across, sticks: s.up, pieces: per_stick, section: s.far_diameter })
        .collect();
    let partings = (blocks.len() as u64).saturating_sub(1) + u64::from(found.tail.get() > 1e-6);
    Ok((blocks, partings, found.volume_whole - found.volume_trimmed))
}

fn egg(axes: [Millimetres; 3], piece: Piece) -> Block {
    let block = squared_ellipsoid(axes, piece);
    let shortest = axes[0].shorter(axes[1]).shorter(axes[2]);
    let (planks, sticks) = if block.thickness_across { (block.across, block.up) } else { (block.up, block.across) };
    Block { planks, sticks, pieces: block.along, section: shortest }
}

/// The four cheeks around a core, two wide and two narrow, each a block on its cut face.
fn cheeks(diameter: Millimetres, core: Millimetres, piece: Piece) -> Vec<Block> {
    let found = squared_cored_ball(diameter, core, piece);
    let section = Millimetres::clamped((diameter.get() - core.get()) / 2.0);
    let block = |cheek: super::Cheek| Block { planks: cheek.up, sticks: cheek.across, pieces: cheek.along, section };
    [found.wide, found.wide, found.narrow, found.narrow].map(block).to_vec()
}

/// A straight-sided food: the better of the two ways to lay thickness and width.
fn bar(length: Millimetres, width: Millimetres, height: Millimetres, piece: Piece) -> Block {
    let (t, w) = (piece.thickness().get(), piece.width().get());
    let flat = (times(height.get(), t), times(width.get(), w));
    let turned = (times(width.get(), t), times(height.get(), w));
    let (planks, sticks) = if turned.0.saturating_mul(turned.1) > flat.0.saturating_mul(flat.1) { turned } else { flat };
    Block { planks, sticks, pieces: times(length.get(), piece.length().get()), section: height }
}

/// A piece that is thicker than a stalk's wall either way is as thick as the wall lets it be: the outer face of a
/// strip of width w, square to the wall of a half ring of radius R, lies at √(R² − w²/4) from the middle.
pub(crate) fn within_the_wall(piece: Piece, width: Millimetres, wall: Millimetres) -> Result<Piece, PieceError> {
    let (thin, wide) = (piece.thickness().shorter(piece.width()), piece.thickness().longer(piece.width()));
    let radius = width.get() / 2.0;
    let outer = (radius * radius - wide.get() * wide.get() / 4.0).max(0.0).sqrt();
    let deep = outer - (radius - wall.get());
    if thin <= wall || deep < 1.0 { Ok(piece) } else { Piece::of(deep * (1.0 - 1e-9), wide.get(), piece.length().get()) }
}

/// A fillet thins out towards one end: of the block around it so many rows are left; what is thicker than the
/// food takes the food's own height.
fn fillet(length: Millimetres, width: Millimetres, height: Millimetres, piece: Piece) -> Block {
    let (t, w) = (piece.thickness().get().min(height.get()), piece.width().get());
    let rows = f64::from(times(length.get(), piece.length().get())) * super::volume::WEDGE_SHARE;
    Block { planks: times(height.get(), t), sticks: times(width.get(), w), pieces: rows.round() as u32, section: height }
}

/// An opened sheet is one plank already.
fn flat(length: Millimetres, width: Millimetres, finished: Piece) -> Block {
    let found = sheet(length, width, finished);
    Block { planks: 1, sticks: found.across, pieces: found.along, section: width }
}

/// Dice and sticks of what has no regular block: of the flesh, a share is whole pieces.
fn flesh_only(food: &Food) -> bool {
    matches!(
        food.shape,
        Shape::Stoned { .. } | Shape::Irregular { .. } | Shape::Disc { .. } | Shape::Cone { .. } | Shape::Stems { .. }
    ) || food.is(FoodTrait::HardCore)
        || food.is(FoodTrait::Leaves) && matches!(food.shape, Shape::Ball { .. })
}

/// Share of the flesh that comes out as whole pieces where no block is squared: a third is edges and crumbs.
const WHOLE_SHARE: f64 = 0.65;

fn by_share(food: &Food, target: &Target) -> Result<WorkedFood, NoCount> {
    let side = |size: Option<TargetSize>, own: Millimetres| size.map_or(own, TargetSize::nominal);
    // A piece is no thicker than the food as it lies.
    let thick = side(target.thickness, food.opened.height).shorter(food.opened.height);
    let piece = Piece::new(thick, side(target.width, food.opened.across), side(target.length, food.opened.length))?;
    let whole = volume(food);
    let flesh = whole * food.edible;
    let pieces = (flesh * WHOLE_SHARE / piece.volume()).floor().clamp(0.0, 1e6) as u32;
    let kept = f64::from(pieces) * piece.volume();
    Ok(WorkedFood {
        pieces,
        partial: 0,
        // A cube of n³ pieces takes n cuts in each direction, for each of n² rows the last.
        strokes: (3.0 * f64::from(pieces).powf(2.0 / 3.0)).ceil() as u64,
        regroupings: if pieces == 0 { 0 } else { 3 * u64::from(food.opened.parts) },
        volume: whole,
        trimmings: Trimmings { ends: whole - flesh, squaring: (flesh - kept).max(0.0), core: 0.0 },
        blocks: Vec::new(),
    })
}

/// So many parts of one unit, in so many strokes; nothing is cut off but what is not eaten.
fn parts_of(food: &Food, pieces: u32, strokes: u64) -> WorkedFood {
    let whole = volume(food);
    WorkedFood {
        pieces,
        partial: 0,
        strokes,
        regroupings: 0,
        volume: whole,
        trimmings: Trimmings { ends: whole * (1.0 - food.edible), squaring: 0.0, core: 0.0 },
        blocks: Vec::new(),
    }
}

/// What one unit usually gives of a cut, where experience says it: wedges and joints in pairs.
fn by_experience(food: &Food, cut: &Cut, [from, to]: [u16; 2], handling: &Handling) -> WorkedFood {
    let middle = from.midpoint(to);
    let pieces = match cut.form {
        CutForm::Wedge => u16::from(handling.hand_work.wedges).clamp(from, to),
        CutForm::Jointed if middle > 2 => middle - middle % 2,
        _ => middle,
    };
    let strokes = match cut.form {
        CutForm::Turned => u64::from(pieces) * u64::from(handling.hand_work.turned_faces) + u64::from(pieces),
        CutForm::Filleted | CutForm::Jointed => u64::from(pieces) * 6,
        _ => u64::from(pieces),
    };
    WorkedFood { regroupings: u64::from(food.opened.parts), ..parts_of(food, u32::from(pieces), strokes) }
}

/// Slices of any kind: rounds across the whole food, or slices of the parts it is opened into.
fn slices(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Result<WorkedFood, NoCount> {
    match cut.form {
        CutForm::Wedge => return in_wedges(food, handling),
        CutForm::Ribbon | CutForm::Peelings => return Err(NoCount::Weighed),
        _ => {}
    }
    let side = if cut.form == CutForm::RollCut { target.length } else { target.thickness };
    let Some(thickness) = side.map(TargetSize::nominal) else { return Err(NoCount::Unsized) };
    let piece = Piece::new(thickness, food.width(), food.length())?;
    let whole = volume(food);
    if matches!(food.shape, Shape::Irregular { .. }) {
        return Err(NoCount::Irregular);
    }
    let bundle = match food.shape {
        Shape::Bundle { .. } => return Err(NoCount::Weighed),
        Shape::Stems { stems, .. } => u32::from(stems.max(1)),
        _ => 1,
    };
    let (t, length) = (piece.thickness().get(), food.length().get());
    let usable = length - 2.0 * food.trim.get();
    let opened = &food.opened;
    let (parts, along, step) = match cut.form {
        CutForm::Plank => {
            let height = food.height().get();
            (1, if food.is(FoodTrait::Rolls) { height * (1.0 - FLAT_SLICE_SHARE) } else { height }, t)
        }
        CutForm::BiasCoin => (1, usable - food.width().get().min(usable / 2.0), t * BIAS_STEP),
        CutForm::HalfMoon => (2, usable, t),
        CutForm::Slice if opened.parts > 1 => {
            let lengthwise = opened.length.get() >= 1.3 * opened.across.get() && !food.is(FoodTrait::QuarterCore);
            let along = if lengthwise { opened.length } else { opened.across };
            (u32::from(opened.parts), along.get().min(usable), t)
        }
        _ => (1, usable, t),
    };
    let each = times(along.max(0.0), step);
    let count = each.saturating_mul(parts).saturating_mul(bundle);
    let run = match cut.form {
        CutForm::Plank => food.height().get(),
        CutForm::Slice if opened.parts > 1 => along.max(step),
        _ => length,
    };
    let ends = whole * (1.0 - usable / length).clamp(0.0, 1.0);
    let kept = (whole - ends).min(whole * (f64::from(each) * step / run).min(1.0));
    Ok(WorkedFood {
        pieces: count,
        partial: 0,
        strokes: if count == 0 { 0 } else { u64::from(each.saturating_mul(parts)) + u64::from(parts) },
        regroupings: u64::from(parts),
        volume: whole,
        trimmings: Trimmings { ends, squaring: (whole - ends - kept).max(0.0), core: 0.0 },
        blocks: Vec::new(),
    })
}

/// Round food halved and cut to wedges from the middle; its core is taken out of them.
fn in_wedges(food: &Food, handling: &Handling) -> Result<WorkedFood, NoCount> {
    let whole = volume(food);
    let core = match food.shape {
        Shape::Frustum { .. }
        | Shape::Cylinder { .. }
        | Shape::Ellipsoid { .. }
        | Shape::Disc { .. }
        | Shape::Stoned { .. }
        | Shape::Cone { .. }
        | Shape::Block { .. }
        | Shape::LayeredBall { .. } => 0.0,
        Shape::Ball { diameter, core } => core.map_or(0.0, |core| core_volume(diameter, core)),
        _ => return Err(NoCount::Irregular),
    };
    let found = wedges(food.width(), handling.hand_work.wedges);
    let ends = (whole - core) * (2.0 * food.trim.get() / food.length().get()).clamp(0.0, 1.0);
    let cored = if core > 0.0 { u64::from(found.count) } else { 0 };
    let trims = if food.trim.get() > 0.0 { 2 } else { 0 };
    Ok(WorkedFood {
        pieces: u32::from(found.count),
        partial: 0,
        strokes: u64::from(found.strokes) + cored + trims,
        regroupings: 2,
        volume: whole,
        trimmings: Trimmings { ends, squaring: 0.0, core },
        blocks: Vec::new(),
    })
}
