//! Sticks from a tapering root, segment by segment.

use super::{Piece, squared_cylinder};
use crate::units::{Millimetres, times};

/// One stick-length of the root.
#[derive(Clone, Debug, PartialEq)]
pub struct Segment {
    /// Diameter at its thinner end, which it is squared to.
    pub far_diameter: Millimetres,
    /// Sticks along the thickness.
    pub across: u32,
    /// Sticks along the width.
    pub up: u32,
}

impl Segment {
    /// Sticks in this segment.
    pub fn count(&self) -> u32 {
        self.across.saturating_mul(self.up)
    }
}

/// What a tapering root gives.
#[derive(Clone, Debug, PartialEq)]
pub struct FrustumYield {
    /// Segments from the thick end on; those too thin for one stick stay in, with count 0.
    pub segments: Vec<Segment>,
    /// Length left over after the last segment.
    pub tail: Millimetres,
    /// mm³ of the whole root.
    pub volume_whole: f64,
    /// mm³ between the two trims.
    pub volume_trimmed: f64,
    /// mm³ of all sticks.
    pub stick_volume: f64,
}

impl FrustumYield {
    /// Sticks in all segments.
    pub fn count(&self) -> u32 {
        self.segments.iter().map(Segment::count).fold(0, u32::saturating_add)
    }
}

/// mm³ of a frustum with end diameters `a`, `b` and length `h`: π h (a² + a b + b²) / 12.
fn volume(a: f64, b: f64, h: f64) -> f64 {
    std::f64::consts::PI * h * (a * a + a * b + b * b) / 12.0
}

/// Squares a frustum: trims `trim` off each end, cuts segments of the piece's length from the
/// thick end, and squares each to its own thinner end by [`squared_cylinder`].
pub fn squared_frustum(
    big_end: Millimetres,
    small_end: Millimetres,
    length: Millimetres,
    trim: Millimetres,
    piece: Piece,
) -> FrustumYield {
    let (big, small, whole, trim) = (big_end.get(), small_end.get(), length.get(), trim.get());
    let diameter_at = |x: f64| if whole > 0.0 { big + (small - big) * x / whole } else { 0.0 };
    let usable = (whole - 2.0 * trim).max(0.0);
    let step = piece.length().get();
    let segments: Vec<Segment> = (0..times(usable, step))
        .map(|k| {
            let ends = [k, k + 1].map(|end| diameter_at(trim + f64::from(end) * step));
            let far_diameter = Millimetres::clamped(ends[0].min(ends[1]));
            let block = squared_cylinder(far_diameter, piece);
            Segment { far_diameter, across: block.across, up: block.up }
        })
        .collect();
    let count = segments.iter().map(|s| f64::from(s.count())).sum::<f64>();
    FrustumYield {
        tail: Millimetres::clamped(usable - segments.len() as f64 * step),
        volume_whole: volume(big, small, whole),
        volume_trimmed: volume(diameter_at(trim), diameter_at(whole - trim), usable),
        stick_volume: count * piece.volume(),
        segments,
    }
}
