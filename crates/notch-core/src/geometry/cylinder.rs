//! The largest bundle of sticks squared from a round section.

use super::Piece;
use crate::units::{Millimetres, fits, times};

/// The best block in a disc: `across` × `up` sticks.
#[derive(Clone, Debug, PartialEq)]
pub struct Squared {
    /// Sticks counted along the thickness (i).
    pub across: u32,
    /// Sticks counted along the width (j).
    pub up: u32,
    /// Every (i, j) with the same product.
    pub ties: Vec<(u32, u32)>,
    /// Area of the block over the area of the disc, 0..1.
    pub share: f64,
}

impl Squared {
    /// Sticks in the section.
    pub fn count(&self) -> u32 {
        self.across.saturating_mul(self.up)
    }
}

/// Squares a cylinder: maximises i·j over integers i, j ≥ 1 with (i t)² + (j w)² ≤ d².
///
/// Of several maximisers the squarest block is taken (smallest |i t − j w|), then the smallest i.
/// Where nothing fits, all counts are 0.
///
/// # Complexity
/// O(d / t).
pub fn squared_cylinder(diameter: Millimetres, piece: Piece) -> Squared {
    let (d, t, w) = (diameter.get(), piece.thickness().get(), piece.width().get());
    let mut ties: Vec<(u32, u32)> = Vec::new();
    let mut best = 0u32;
    for across in 1..=times(d, t) {
        let side = f64::from(across) * t;
        let mut up = times((d * d - side * side).max(0.0).sqrt(), w);
        // The root loses half of the digits just where the block touches the circle: decide on squares.
        while fits(side * side + (f64::from(up + 1) * w).powi(2), d * d) {
            up += 1;
        }
        while up > 0 && !fits(side * side + (f64::from(up) * w).powi(2), d * d) {
            up -= 1;
        }
        let count = across.saturating_mul(up);
        if count > best {
            best = count;
            ties.clear();
        }
        if count == best && best > 0 {
            ties.push((across, up));
        }
    }
    let off_square = |&(i, j): &(u32, u32)| (f64::from(i) * t - f64::from(j) * w).abs();
    let chosen =
        ties.iter().copied().reduce(|best, next| if off_square(&next) < off_square(&best) - 1e-9 * d { next } else { best });
    let (across, up) = chosen.unwrap_or((0, 0));
    let disc = std::f64::consts::PI * d * d / 4.0;
    let share = if best == 0 { 0.0 } else { f64::from(best) * t * w / disc };
    Squared { across, up, ties, share }
}
