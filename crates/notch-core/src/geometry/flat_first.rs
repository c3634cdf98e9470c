//! Sticks from a round section by the kitchen's way: one flat, then planks, rounded edges trimmed.

use serde::Serialize;

use super::Piece;
use crate::units::{Millimetres, times};

/// What a disc gives when it is cut flat first.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FlatFirst {
    /// Sticks from each full plank, from the board up; a plank may give none.
    pub sticks: Vec<u32>,
    /// All sticks.
    pub count: u32,
    /// Sticks with a rounded edge beside them: those that fit the larger chord of a plank's two faces
    /// and not the smaller.
    pub rounded: u32,
    /// Area of the sticks over the area of the disc, 0..1.
    pub share: f64,
    /// Area of the slice cut off below over the area of the disc, 0..1.
    pub slice_share: f64,
    /// Height of the round top that is left over.
    pub cap: Millimetres,
}

/// Half the chord of a disc at a height from its middle; 0 outside.
fn half_chord(d: f64, y: f64) -> f64 {
    (d * d / 4.0 - y * y).max(0.0).sqrt()
}

/// Cuts a disc of `diameter` flat by a slice of depth `slice`, then into planks of `thickness` from
/// the flat up, each into sticks of `width`.
///
/// A plank is full if its top is within the disc; it gives as many sticks as fit the smaller of the
/// chords at its two faces. A slice of the whole disc, or nothing that fits, gives counts of 0.
///
/// # Units
/// Millimetres; `thickness` and `width` above 0, or nothing fits.
pub fn flat_first(diameter: Millimetres, slice: Millimetres, thickness: Millimetres, width: Millimetres) -> FlatFirst {
    let (d, s, t, w) = (diameter.get(), slice.get().min(diameter.get()), thickness.get(), width.get());
    let disc = std::f64::consts::PI * d * d / 4.0;
    let planks = if t > 0.0 { times(d - s, t).min(100_000) } else { 0 };
    let floor = s - d / 2.0;
    let chord = |face: u32| 2.0 * half_chord(d, floor + f64::from(face) * t);
    let fit = |chord: f64| if w > 0.0 { times(chord, w) } else { 0 };
    let sticks: Vec<u32> = (0..planks).map(|plank| fit(chord(plank).min(chord(plank + 1)))).collect();
    let count = sticks.iter().copied().fold(0, u32::saturating_add);
    let larger = (0..planks).map(|plank| fit(chord(plank).max(chord(plank + 1)))).fold(0, u32::saturating_add);
    let angle = if d > 0.0 { 2.0 * (1.0 - 2.0 * s / d).clamp(-1.0, 1.0).acos() } else { 0.0 };
    FlatFirst {
        cap: Millimetres::clamped(d - s - f64::from(planks) * t),
        share: if disc > 0.0 { f64::from(count) * t * w / disc } else { 0.0 },
        slice_share: (angle - angle.sin()) / (2.0 * std::f64::consts::PI),
        count,
        rounded: larger.saturating_sub(count),
        sticks,
    }
}

/// What an egg-shaped food gives when it is cut flat first.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct FlatFirstEgg {
    /// Pieces of each stick of each plank, from the board up.
    pub planks: Vec<Vec<u32>>,
    /// Pieces with a rounded edge: those that fit the larger face of a plank and not the smaller.
    pub rounded: u32,
}

/// Cuts an egg-shaped food flat first.
///
/// The slice is taken off below; planks are as in [`flat_first`]. A plank's usable outline is the
/// smaller of the ellipses at its two faces; sticks of `width` lie side by side around the middle, and
/// a stick has as many pieces of `length` as fit where it is shortest.
///
/// `axes` are the full length (along the sticks), width and height. Nothing that fits gives planks
/// without sticks.
pub fn flat_first_egg(axes: [Millimetres; 3], slice: Millimetres, piece: Piece) -> FlatFirstEgg {
    let [long, wide, high] = axes.map(Millimetres::get);
    let (t, w, l) = (piece.thickness().get(), piece.width().get(), piece.length().get());
    let s = slice.get().min(high);
    let planks = times(high - s, t).min(10_000);
    let at = |face: u32| (2.0 * (s - high / 2.0 + f64::from(face) * t) / high.max(f64::MIN_POSITIVE)).clamp(-1.0, 1.0);
    let share = |face: u32| (1.0 - at(face).powi(2)).max(0.0).sqrt();
    let sticks = |share: f64| -> Vec<u32> {
        let (half_long, half_wide) = (long / 2.0 * share, wide / 2.0 * share);
        let sticks = times(2.0 * half_wide, w);
        let of_stick = |stick: u32| {
            let edge = |side: u32| (f64::from(side) - f64::from(sticks) / 2.0) * w;
            let outer = edge(stick).abs().max(edge(stick + 1).abs()) / half_wide;
            times(2.0 * half_long * (1.0 - outer * outer).max(0.0).sqrt(), l)
        };
        (0..sticks).map(of_stick).collect()
    };
    let sum = |pieces: &Vec<u32>| pieces.iter().copied().fold(0, u32::saturating_add);
    let full: Vec<Vec<u32>> = (0..planks).map(|plank| sticks(share(plank).min(share(plank + 1)))).collect();
    let larger = (0..planks).map(|plank| sum(&sticks(share(plank).max(share(plank + 1)))));
    let rounded = larger.zip(&full).map(|(larger, full)| larger.saturating_sub(sum(full))).fold(0, u32::saturating_add);
    FlatFirstEgg { planks: full, rounded }
}
