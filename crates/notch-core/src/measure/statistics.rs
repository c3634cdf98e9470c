//! Mean, spread, and what a share proves.

use serde::{Deserialize, Serialize};

/// z of a two-sided 95 % interval (1.96 in the usual rounding).
pub const Z_TWO_SIDED_95: f64 = 1.959_963_984_540_054;

/// Mean and population standard deviation (divided by n) of some numbers.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
pub struct Spread {
    /// How many.
    pub count: usize,
    /// Mean.
    pub mean: f64,
    /// Population standard deviation; 0 for one number.
    pub sd: f64,
}

impl Spread {
    /// Of at least one number; `None` for none.
    pub fn of(values: &[f64]) -> Option<Self> {
        let count = values.len();
        if count == 0 {
            return None;
        }
        let mean = values.iter().sum::<f64>() / count as f64;
        let variance = values.iter().map(|value| (value - mean).powi(2)).sum::<f64>() / count as f64;
        Some(Spread { count, mean, sd: variance.sqrt() })
    }

    /// Coefficient of variation, sd / mean; `None` where the mean is 0 or there is only one number.
    pub fn cv(&self) -> Option<f64> {
        (self.count >= 2 && self.mean > 0.0).then(|| self.sd / self.mean)
    }
}

/// Lower bound of the Wilson score interval (no continuity correction) for `inside` of `count`.
///
/// `z` is the normal quantile, [`Z_TWO_SIDED_95`] unless a reader asks otherwise. 0 for no pieces.
///
/// ```
/// use notch_core::measure::{Z_TWO_SIDED_95, wilson_lower};
/// assert_eq!((wilson_lower(8, 10, Z_TWO_SIDED_95) * 100.0).round(), 49.0);
/// assert_eq!((wilson_lower(27, 30, Z_TWO_SIDED_95) * 100.0).round(), 74.0);
/// ```
pub fn wilson_lower(inside: usize, count: usize, z: f64) -> f64 {
    if count == 0 {
        return 0.0;
    }
    let n = count as f64;
    let share = inside.min(count) as f64 / n;
    let z2 = z * z;
    let centre = share + z2 / (2.0 * n);
    let half = z * (share * (1.0 - share) / n + z2 / (4.0 * n * n)).sqrt();
    ((centre - half) / (1.0 + z2 / n)).clamp(0.0, 1.0)
}

/// Slope of the straight line through numbers at places 0, 1, 2…, and how much of the variance it
/// explains (r²). `None` for fewer than three numbers or no variance.
pub(super) fn trend(values: &[f64]) -> Option<(f64, f64)> {
    let spread = Spread::of(values)?;
    if spread.count < 3 || spread.sd <= 0.0 {
        return None;
    }
    let n = spread.count as f64;
    let middle = (n - 1.0) / 2.0;
    let (mut across, mut places) = (0.0, 0.0);
    for (place, value) in values.iter().enumerate() {
        let from_middle = place as f64 - middle;
        across += from_middle * (value - spread.mean);
        places += from_middle * from_middle;
    }
    let slope = across / places;
    Some((slope, across * across / (places * spread.sd * spread.sd * n)))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_standard_deviation_is_that_of_the_population() {
        let spread = Spread::of(&[2.0, 4.0, 4.0, 4.0, 5.0, 5.0, 7.0, 9.0]).unwrap();
        assert_eq!((spread.mean, spread.sd), (5.0, 2.0));
        assert_eq!(Spread::of(&[]), None);
        assert_eq!(Spread::of(&[3.0]).unwrap().cv(), None);
    }

    #[test]
    fn a_straight_line_is_all_trend() {
        let (slope, explained) = trend(&[1.0, 1.5, 2.0, 2.5]).unwrap();
        assert!((slope - 0.5).abs() < 1e-12 && (explained - 1.0).abs() < 1e-12);
        assert_eq!(trend(&[2.0, 2.0, 2.0]), None);
    }
}
