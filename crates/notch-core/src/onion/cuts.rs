//! Where the cuts lie: evenly, scattered, or each where it was put.

use rand::SeedableRng;
use rand_chacha::ChaCha8Rng;
use rand_distr::{Distribution, Normal};

use super::method::{MAX_CUTS, MAX_UNEVEN, OnionError};

/// Where the cuts lie across the half, as shares of its width (or of the fan's angle) from the left:
/// one to [`MAX_CUTS`] shares above 0 and below 1, each larger than the one before.
#[derive(Clone, Debug, PartialEq)]
pub struct Cuts {
    shares: Vec<f64>,
}

/// Cuts nearer to each other than this share of the width are one cut.
const LEAST_STEP: f64 = 1e-6;

impl Cuts {
    /// So many cuts at even steps.
    ///
    /// # Errors
    /// [`OnionError::Cuts`] for none or more than [`MAX_CUTS`].
    pub fn even(cuts: u8) -> Result<Self, OnionError> {
        if !(1..=MAX_CUTS).contains(&cuts) {
            return Err(OnionError::Cuts(cuts));
        }
        let steps = f64::from(cuts) + 1.0;
        Ok(Cuts { shares: (1..=cuts).map(|k| f64::from(k) / steps).collect() })
    }

    /// So many cuts whose steps scatter with a coefficient of variation, the same for the same seed.
    ///
    /// # Errors
    /// As [`Cuts::even`]; [`OnionError::Uneven`] under 0 or over [`MAX_UNEVEN`].
    pub fn uneven(cuts: u8, cv: f64, seed: u64) -> Result<Self, OnionError> {
        let even = Cuts::even(cuts)?;
        if !(0.0..=MAX_UNEVEN).contains(&cv) {
            return Err(OnionError::Uneven(cv));
        }
        let Ok(normal) = Normal::new(1.0, cv) else { return Ok(even) };
        if cv <= 0.0 {
            return Ok(even);
        }
        let mut random = ChaCha8Rng::seed_from_u64(seed);
        // A step is never less than a tenth of the usual one: the claw has moved on.
        let steps: Vec<f64> = (0..=cuts).map(|_| f64::max(0.1, normal.sample(&mut random))).collect();
        let whole: f64 = steps.iter().sum();
        let mut at = 0.0;
        let shares = steps.iter().take(usize::from(cuts)).map(|step| {
            at += step / whole;
            at
        });
        Ok(Cuts { shares: shares.collect() })
    }

    /// Each cut where it was put.
    ///
    /// # Errors
    /// [`OnionError::Cuts`] for none or too many, [`OnionError::Place`] for one outside the half or not
    /// to the right of the one before.
    pub fn at(shares: Vec<f64>) -> Result<Self, OnionError> {
        let count = u8::try_from(shares.len()).unwrap_or(u8::MAX);
        if !(1..=MAX_CUTS).contains(&count) {
            return Err(OnionError::Cuts(count));
        }
        let mut before = 0.0;
        for share in &shares {
            if !(*share >= before + LEAST_STEP && *share <= 1.0 - LEAST_STEP) {
                return Err(OnionError::Place(*share));
            }
            before = *share;
        }
        Ok(Cuts { shares })
    }

    /// How many there are.
    pub fn count(&self) -> u8 {
        u8::try_from(self.shares.len()).unwrap_or(MAX_CUTS)
    }

    /// Whether the left side is the right side's mirror image.
    pub(super) fn alike_on_both_sides(&self) -> bool {
        self.shares.iter().zip(self.shares.iter().rev()).all(|(left, right)| (left + right - 1.0).abs() < 1e-12)
    }

    /// The shares, from the left.
    pub fn shares(&self) -> &[f64] {
        &self.shares
    }

    /// Intervals between the cuts and the two sides: each from one share to the next.
    pub(super) fn intervals(&self) -> impl Iterator<Item = (f64, f64)> + '_ {
        let from = std::iter::once(0.0).chain(self.shares.iter().copied());
        from.zip(self.shares.iter().copied().chain(std::iter::once(1.0)))
    }
}
