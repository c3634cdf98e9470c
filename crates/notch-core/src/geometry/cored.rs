//! A ball with a core: four cheeks are cut off around it, each lies on its cut face.

use super::Piece;
use crate::units::{Millimetres, times};

/// The pieces of one cheek.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Cheek {
    /// Planks, one above the other from the cut face.
    pub up: u32,
    /// Sticks side by side.
    pub across: u32,
    /// Pieces end to end.
    pub along: u32,
    /// Thickness lies across and width stands up: whichever gives more.
    pub turned: bool,
}

impl Cheek {
    /// Pieces of the cheek.
    pub fn count(self) -> u32 {
        self.up.saturating_mul(self.across).saturating_mul(self.along)
    }
}

/// The cheeks of a cored ball: two whole ones, and two narrow ones between them.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Cheeks {
    /// Each of the two that are cut off first.
    pub wide: Cheek,
    /// Each of the two that are cut off what is left, as wide as the core.
    pub narrow: Cheek,
}

/// Squares a ball of `diameter` around a core: with radius R and half the core a, a cheek is what lies
/// beyond a. Its block stands on the cut face and maximises i·j·k with
/// (a + i t)² + (j w / 2)² + (k l / 2)² ≤ R²; a narrow cheek's block is also no wider than the core,
/// j w ≤ 2 a. Each is cut the better way round: thickness up, or width up.
///
/// Where nothing fits, or the core is as wide as the ball, all counts are 0.
///
/// # Complexity
/// O((R / t) · (R / w)).
pub fn squared_cored_ball(diameter: Millimetres, core: Millimetres, piece: Piece) -> Cheeks {
    let (radius, half_core) = (diameter.get() / 2.0, core.get() / 2.0);
    Cheeks { wide: cheek(radius, half_core, diameter.get(), piece), narrow: cheek(radius, half_core, core.get(), piece) }
}

fn cheek(radius: f64, from: f64, widest: f64, piece: Piece) -> Cheek {
    let (t, w, l) = (piece.thickness().get(), piece.width().get(), piece.length().get());
    let upright = one_way(radius, from, widest, [t, w, l]);
    let turned = one_way(radius, from, widest, [w, t, l]);
    if turned.count() > upright.count() { Cheek { turned: true, ..turned } } else { upright }
}

fn one_way(radius: f64, from: f64, widest: f64, [t, w, l]: [f64; 3]) -> Cheek {
    let mut best = Cheek::default();
    for up in 1..=times(radius - from, t) {
        let left = radius * radius - (from + f64::from(up) * t).powi(2);
        let most = f64::min(2.0 * (left * (1.0 + 1e-9)).max(0.0).sqrt(), widest);
        for across in 1..=times(most, w) {
            let rest = left - (f64::from(across) * w / 2.0).powi(2);
            let along = times(2.0 * (rest + radius * radius * 1e-12).max(0.0).sqrt(), l);
            let found = Cheek { up, across, along, turned: false };
            if found.count() > best.count() {
                best = found;
            }
        }
    }
    best
}

/// mm³ of the core, a cylinder through the ball: 4π/3 · (R³ − (R² − a²)^{3/2}).
pub fn core_volume(diameter: Millimetres, core: Millimetres) -> f64 {
    let (r, a) = (diameter.get() / 2.0, (core.get() / 2.0).min(diameter.get() / 2.0));
    4.0 / 3.0 * std::f64::consts::PI * (r.powi(3) - (r * r - a * a).max(0.0).powf(1.5))
}
