//! The largest block inside an egg-shaped food.

use super::Piece;
use crate::units::{Millimetres, fits, times};

/// The best centred block in an ellipsoid; sticks run along the longest axis.
#[derive(Clone, Debug, PartialEq)]
pub struct EllipsoidBlock {
    /// Stick lengths end to end, along the longest axis A.
    pub along: u32,
    /// Pieces along the middle axis B.
    pub across: u32,
    /// Pieces along the shortest axis C.
    pub up: u32,
    /// Whether the thickness lies along B (else along C).
    pub thickness_across: bool,
    /// Volume of the pieces over the volume of the ellipsoid, 0..1.
    pub share: f64,
}

impl EllipsoidBlock {
    /// Pieces in the block.
    pub fn count(&self) -> u32 {
        self.along.saturating_mul(self.across).saturating_mul(self.up)
    }
}

/// Squares an ellipsoid with full axes A ≥ B ≥ C: maximises i·j·k with
/// (i t / B)² + (j w / C)² + (k l / A)² ≤ 1, or the same with t and w exchanged.
///
/// The axes may come in any order. Where nothing fits, all counts are 0. Of equal counts the first
/// is taken: shortest block first, thickness along B first.
///
/// # Complexity
/// O((A / l) · (B / t)).
pub fn squared_ellipsoid(axes: [Millimetres; 3], piece: Piece) -> EllipsoidBlock {
    let mut axes = axes.map(Millimetres::get);
    axes.sort_by(|a, b| b.total_cmp(a));
    let [a, b, c] = axes;
    let (t, w, l) = (piece.thickness().get(), piece.width().get(), piece.length().get());
    let mut best = EllipsoidBlock { along: 0, across: 0, up: 0, thickness_across: true, share: 0.0 };
    for (thickness_across, on_b, on_c) in [(true, t, w), (false, w, t)] {
        for along in 1..=times(a, l) {
            let used_a = (f64::from(along) * l / a).powi(2);
            for across in 1..=times(b, on_b) {
                let used = used_a + (f64::from(across) * on_b / b).powi(2);
                if !fits(used, 1.0) {
                    break;
                }
                let mut up = times(c * (1.0 - used).max(0.0).sqrt(), on_c);
                while fits(used + (f64::from(up + 1) * on_c / c).powi(2), 1.0) {
                    up += 1;
                }
                while up > 0 && !fits(used + (f64::from(up) * on_c / c).powi(2), 1.0) {
                    up -= 1;
                }
                let found = EllipsoidBlock { along, across, up, thickness_across, share: 0.0 };
                if found.count() > best.count() {
                    best = found;
                }
            }
        }
    }
    let volume = std::f64::consts::PI * a * b * c / 6.0;
    if best.count() > 0 {
        best.share = f64::from(best.count()) * piece.volume() / volume;
    }
    best
}
