//! Turned pieces of long food.

use super::{NoCount, Trimmings, Turned, WorkedFood, turned, volume};
use crate::catalogue::{Food, Handling, Shape, Target, TargetSize};
use crate::units::{Millimetres, times};

/// What each length of a food gives when it is turned: the width of the food at its far end decides.
///
/// # Errors
/// [`NoCount::Unsized`] for a cut without a length, [`NoCount::Irregular`] for food that is not long or round.
pub(crate) fn turned_lengths(food: &Food, target: &Target, handling: &Handling) -> Result<Vec<Turned>, NoCount> {
    let long = target.length.map(TargetSize::nominal).ok_or(NoCount::Unsized)?;
    let usable = food.length().less(food.trim + food.trim).get();
    let width_at = |x: f64| match food.shape {
        Shape::Frustum { big_end, small_end, length } => {
            Ok(big_end.get() + (small_end.get() - big_end.get()) * (x / length.get().max(1.0)).clamp(0.0, 1.0))
        }
        Shape::Cylinder { .. } | Shape::Ellipsoid { .. } | Shape::Ball { .. } => Ok(food.width().shorter(food.height()).get()),
        _ => Err(NoCount::Irregular),
    };
    let length = |k: u32| {
        let width = width_at(food.trim.get() + f64::from(k) * long.get())?;
        Ok(turned(Millimetres::clamped(width), long, &handling.hand_work))
    };
    (1..=times(usable, long.get()).min(600)).map(length).collect()
}

/// Turns long food: lengths of the wanted size, each parted and turned as its thinner end allows.
///
/// # Errors
/// As [`turned_lengths`].
pub(super) fn turned_pieces(food: &Food, target: &Target, handling: &Handling) -> Result<WorkedFood, NoCount> {
    let found = turned_lengths(food, target, handling)?;
    let pieces = found.iter().map(|each| each.pieces).sum();
    let kept: f64 = found.iter().map(|each| each.volume).sum();
    let whole = volume(food);
    Ok(WorkedFood {
        pieces,
        partial: 0,
        strokes: found.iter().map(|each| u64::from(each.strokes) + 1).sum(),
        regroupings: u64::from(pieces),
        volume: whole,
        trimmings: Trimmings { ends: 0.0, squaring: (whole - kept).max(0.0), core: 0.0 },
        blocks: Vec::new(),
    })
}
