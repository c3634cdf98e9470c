//! Dice of layered food: halved, cut from above at the size, and crosscut at it.

use super::{NoCount, Piece, Trimmings, WorkedFood};
use crate::catalogue::{Food, Shape, Target, TargetSize};
use crate::onion::{Cuts, Method, Wanted};
use crate::units::Millimetres;

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
        Shape::LayeredBall { diameter, layers } => (diameter, layers, None),
        Shape::LayeredCylinder { diameter, length, layers } => (diameter, layers, Some(length.less(food.trim + food.trim))),
        _ => return Err(NoCount::Irregular),
    };
    let volume = super::work::volume(food);
    let wanted = Wanted { radius: Millimetres::clamped(diameter.get() / 2.0), layers, size, length };
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
