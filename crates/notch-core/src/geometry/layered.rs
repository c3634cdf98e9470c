//! Layered food: dice of its halves, and sticks of layers that are laid flat.

use super::{NoCount, Piece, Trimmings, WorkedFood};
use crate::catalogue::{Food, Handling, Shape, Target, TargetSize};
use crate::onion::{Cuts, Method, WantedDice};
use crate::units::{Millimetres, times};

/// Works one layered food to dice by verticals: both halves, the fewest even cuts whose steps are no
/// wider than the dice. Pieces are those that are no crumbs (a quarter of the mean or more).
///
/// # Errors
/// [`NoCount::Unsized`] for a cut without a width, [`NoCount::Layered`] where it would take more cuts
/// than are reckoned with.
pub(super) fn dice(food: &Food, target: &Target) -> Result<WorkedFood, NoCount> {
    let size = target.width.map(TargetSize::nominal).ok_or(NoCount::Unsized)?;
    Piece::new(size, size, size)?;
    let (diameter, layers, length) = match food.shape {
        // A ball of the same volume: the onion is a little flatter or longer than it.
        Shape::LayeredBall { diameter, length, layers } => {
            let equal = (diameter.get() * diameter.get() * length.get()).cbrt();
            (Millimetres::clamped(equal), layers, None)
        }
        Shape::LayeredCylinder { diameter, length, layers } => (diameter, layers, Some(length.less(food.trim + food.trim))),
        _ => return Err(NoCount::Irregular),
    };
    let volume = super::volume(food);
    let wanted = WantedDice { radius: Millimetres::clamped(diameter.get() / 2.0), layers, size, length };
    let usable = length.map_or(volume, |length| volume * length.get() / food.length().get());
    let nothing = WorkedFood {
        pieces: 0,
        partial: 0,
        strokes: 0,
        regroupings: 0,
        volume,
        trimmings: Trimmings { ends: volume - usable, squaring: usable, core: 0.0 },
        blocks: Vec::new(),
    };
    let steps = (diameter.get() / size.get() * (1.0 - 1e-9)).ceil();
    if steps < 2.0 || size > wanted.radius {
        return Ok(nothing);
    }
    let cuts = if steps - 1.0 > f64::from(u8::MAX) { u8::MAX } else { (steps - 1.0) as u8 };
    let half = wanted.half(&Cuts::even(cuts).map_err(|_| NoCount::Layered)?, Method::Verticals).map_err(|_| NoCount::Layered)?;
    let figures = half.figures;
    let whole = (figures.count as f64 * (1.0 - figures.count_crumbs)).round() as u32;
    Ok(WorkedFood {
        pieces: whole.saturating_mul(2),
        partial: u32::try_from(figures.count).unwrap_or(u32::MAX).saturating_sub(whole).saturating_mul(2),
        strokes: 1 + 2 + 2 * u64::from(wanted.strokes(cuts, Method::Verticals)),
        regroupings: 2,
        trimmings: Trimmings { squaring: usable * figures.share_crumbs, ..nothing.trimmings },
        ..nothing
    })
}

/// Works a layered cylinder to sticks: ends off, halved, cut to lengths, and the layers of each laid flat.
///
/// A half layer k of n opens to a sheet π R (k − ½) / n wide and R / n thick, which is cut to
/// ⌊sheet / width⌋ sticks; so a stick is as thick as its layer, whatever was asked for. What is left of a
/// sheet is too narrow. Sheets are stacked from the widest; a stack takes a stroke after each stick of its
/// widest sheet but a last one that leaves nothing.
///
/// # Errors
/// [`NoCount::Layered`] for a layered ball, whose layers do not lie flat; [`NoCount::Unsized`] for a cut
/// without a width or a length.
pub(super) fn sticks(food: &Food, target: &Target, handling: &Handling) -> Result<WorkedFood, NoCount> {
    let Shape::LayeredCylinder { diameter, length, layers } = food.shape else { return Err(NoCount::Layered) };
    let side = |size: Option<TargetSize>| size.map(TargetSize::nominal).ok_or(NoCount::Unsized);
    let (width, long) = (side(target.width)?, side(target.length)?);
    let layer = Millimetres::clamped(diameter.get() / 2.0 / f64::from(layers.max(1)));
    let piece = Piece::new(target.thickness.map_or(layer, TargetSize::nominal), width, long)?;
    let usable = length.less(food.trim + food.trim);
    let lengths = times(usable.get(), piece.length().get());
    let volume = super::volume(food);
    let ends = volume * (1.0 - usable.get() / length.get());
    // Both halves have the same sheets; from the widest.
    let sheet = |k: u8| std::f64::consts::PI * layer.get() * (f64::from(k) - 0.5);
    let sheets: Vec<f64> = (1..=layers).rev().flat_map(|k| [sheet(k); 2]).collect();
    let cut = |sheet: f64| times(sheet, width.get());
    let narrow = |sheet: f64| sheet - f64::from(cut(sheet)) * width.get() > 1e-6 * width.get();
    let stacks = sheets.chunks(usize::try_from(handling.stack_planks.max(1)).unwrap_or(1));
    let strokes_each: u64 = stacks
        .clone()
        .filter_map(|stack| stack.first())
        .map(|widest| u64::from(cut(*widest)).saturating_sub(u64::from(!narrow(*widest))))
        .sum();
    let per_length: u32 = sheets.iter().map(|sheet| cut(*sheet)).sum();
    let pieces = per_length.saturating_mul(lengths);
    let kept = f64::from(pieces) * width.get() * layer.get() * piece.length().get();
    let tail = usable.get() - f64::from(lengths) * piece.length().get() > 1e-6 * usable.get();
    let partings = u64::from(lengths).saturating_sub(1) + u64::from(tail);
    let scraps = sheets.iter().filter(|sheet| narrow(**sheet)).count();
    Ok(WorkedFood {
        pieces,
        partial: if pieces == 0 { 0 } else { u32::try_from(scraps).unwrap_or(u32::MAX).saturating_mul(lengths) },
        strokes: if pieces == 0 { 0 } else { 2 + 1 + partings + u64::from(lengths) * strokes_each },
        regroupings: u64::from(lengths) * stacks.len() as u64,
        volume,
        trimmings: Trimmings { ends, squaring: (volume - ends - kept).max(0.0), core: 0.0 },
        blocks: Vec::new(),
    })
}
