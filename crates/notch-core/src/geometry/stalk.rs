//! A curved stalk: half a ring, hollow side down, cut into strips square to its wall.

use std::f64::consts::PI;

use super::Piece;
use crate::units::{Millimetres, SLACK, times};

/// How a curved stalk is cut into strips, and each strip into sticks.
#[derive(Clone, Copy, Debug, Default, PartialEq)]
pub struct SquaredStalk {
    /// Strips around the hollow.
    pub strips: u32,
    /// Sticks one above the other in each strip, from the hollow outwards.
    pub deep: u32,
    /// Pieces end to end.
    pub along: u32,
    /// The piece's thickness is the strip's width; otherwise its width is.
    pub thickness_across: bool,
    /// mm from the middle of the half ring to the inner face of each strip.
    pub inner_face: f64,
    /// Radians around the hollow that each strip takes.
    pub angle: f64,
}

impl SquaredStalk {
    /// Pieces of the stalk.
    pub fn count(self) -> u32 {
        self.strips.saturating_mul(self.deep).saturating_mul(self.along)
    }
}

/// Squares half a ring of outer radius R = `width` / 2 and inner radius r = R − `wall`, `length` long.
///
/// A strip a wide that holds n sticks of depth b stands as far out as its outer corners allow: its inner
/// face is y = √(R² − (a/2)²) − n b from the middle, y ≥ r, and it takes the angle 2 atan(a / 2y), so that
/// ⌊π / angle⌋ strips stand side by side. The most n · strips over n, and over a = t, b = w and the same
/// exchanged; of equals the fewest strips, thickness across first.
///
/// Where nothing fits all counts are 0. A wall of half the width or more leaves no hollow.
///
/// # Complexity
/// O(`wall` / t).
pub fn squared_stalk(width: Millimetres, wall: Millimetres, length: Millimetres, piece: Piece) -> SquaredStalk {
    let outer = width.get() / 2.0;
    let inner = (outer - wall.get()).max(0.0);
    let (t, w) = (piece.thickness().get(), piece.width().get());
    let along = times(length.get(), piece.length().get());
    let mut best = SquaredStalk::default();
    if along == 0 {
        return best;
    }
    for (across, depth, thickness_across) in [(t, w, true), (w, t, false)] {
        let reach = (outer * outer * (1.0 + SLACK) - across * across / 4.0).max(0.0).sqrt();
        for deep in (1..=times(reach - inner, depth)).rev() {
            let inner_face = (reach - f64::from(deep) * depth).max(0.0);
            let angle = 2.0 * (across / 2.0).atan2(inner_face);
            let found = SquaredStalk { strips: times(PI, angle), deep, along, thickness_across, inner_face, angle };
            if found.count() > best.count() {
                best = found;
            }
        }
    }
    best
}

/// mm³ of half a ring: π/2 · (R² − r²) · length.
pub fn stalk_volume(width: Millimetres, wall: Millimetres, length: Millimetres) -> f64 {
    let outer = width.get() / 2.0;
    let inner = (outer - wall.get()).max(0.0);
    PI / 2.0 * (outer * outer - inner * inner) * length.get()
}
