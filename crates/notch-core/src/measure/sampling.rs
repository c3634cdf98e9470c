//! What the way of sampling does to a share: ten taken unseen, or the best of a pile.

use std::sync::LazyLock;

use rand::SeedableRng;
use rand_xoshiro::Xoshiro256PlusPlus;
use serde::{Deserialize, Serialize};

/// Errors of the pieces of a pile: normal, in mm around the target.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Pile {
    /// Mean less the target.
    pub bias: f64,
    /// Standard deviation; above 0.
    pub sd: f64,
}

impl Pile {
    /// P(|error| ≤ e): Φ((e − bias) / sd) − Φ((−e − bias) / sd), by the error function. 0 for e below 0.
    pub fn within(self, e: f64) -> f64 {
        if e < 0.0 {
            return 0.0;
        }
        let root = self.sd.max(f64::MIN_POSITIVE) * std::f64::consts::SQRT_2;
        (libm::erf((e - self.bias) / root) - libm::erf((-e - self.bias) / root)) / 2.0
    }

    /// Mean of |error|: sd √(2/π) e^(−bias² / 2 sd²) + bias erf(bias / sd √2).
    pub fn mean_error(self) -> f64 {
        let z = self.bias / self.sd.max(f64::MIN_POSITIVE);
        let around = self.sd * std::f64::consts::FRAC_2_PI.sqrt() * (-z * z / 2.0).exp();
        around + self.bias * libm::erf(z / std::f64::consts::SQRT_2)
    }

    /// Mean |error| of the `chosen` nearest of `of` pieces, by order statistics:
    /// (1 / chosen) Σ ∫ P(Bin(of, F(e)) ≤ r − 1) de for r = 1 … chosen, F as [`Pile::within`].
    ///
    /// 0 for none chosen; at most all are.
    ///
    /// # Complexity
    /// O(`of`) for each of some thousands of places (Simpson's rule).
    pub fn mean_error_of_best(self, chosen: u32, of: u32) -> f64 {
        const STEPS: u32 = 8_000;
        let chosen = chosen.min(of);
        if chosen == 0 {
            return 0.0;
        }
        let h = (self.bias.abs() + 9.0 * self.sd) / f64::from(STEPS);
        // Σ over r of P(Bin ≤ r − 1) is Σ over k below chosen of (chosen − k) P(Bin = k).
        let still_wanted = |e: f64| -> f64 {
            let shares = binomial(of, self.within(e));
            (0..chosen).zip(shares).map(|(k, share)| f64::from(chosen - k) * share).sum()
        };
        let weighed = |step: u32| {
            let weight = if step == 0 || step == STEPS { 1.0 } else { 2.0 + 2.0 * f64::from(step % 2) };
            weight * still_wanted(f64::from(step) * h)
        };
        (0..=STEPS).map(weighed).sum::<f64>() * h / 3.0 / f64::from(chosen)
    }
}

/// P(Bin(n, p) = k) for k = 0 … n.
pub fn binomial(n: u32, p: f64) -> Vec<f64> {
    let p = p.clamp(0.0, 1.0);
    if p <= 0.0 || p >= 1.0 {
        let certain = if p <= 0.0 { 0 } else { n };
        return (0..=n).map(|k| if k == certain { 1.0 } else { 0.0 }).collect();
    }
    // In logarithms, so that nothing underflows on the way.
    let (ln_p, ln_q) = (p.ln(), (-p).ln_1p());
    let mut ln_choose = 0.0;
    (0..=n)
        .map(|k| {
            if k > 0 {
                ln_choose += (f64::from(n - k + 1) / f64::from(k)).ln();
            }
            (ln_choose + f64::from(k) * ln_p + f64::from(n - k) * ln_q).exp()
        })
        .collect()
}

/// Share of `n` pieces taken unseen that is inside, where a piece is inside with probability `p`:
/// its mean and its standard deviation, √(p (1 − p) / n).
pub fn unseen_share(n: u32, p: f64) -> (f64, f64) {
    (p, (p * (1.0 - p) / f64::from(n.max(1))).sqrt())
}

/// Expected share inside of the `chosen` best of `of`, where a piece is inside with probability `p`:
/// (1 / chosen) Σ P(Bin(of, p) ≥ r) for r = 1 … chosen. 0 for none chosen.
pub fn best_share(chosen: u32, of: u32, p: f64) -> f64 {
    let chosen = chosen.min(of);
    if chosen == 0 {
        return 0.0;
    }
    let shares = binomial(of, p);
    let inside: f64 = (0u32..).zip(shares).map(|(k, share)| f64::from(k.min(chosen)) * share).sum();
    (inside / f64::from(chosen)).min(1.0)
}

/// How much a sample that the student chose flatters.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Flattery {
    /// Pieces that it is taken to be chosen from.
    pub of: u32,
    /// A share of the pile that is inside, 0..1.
    pub pile: f64,
    /// The share of the chosen ones that is inside then, 0..1.
    pub looks: f64,
    /// How many times nearer to the size the chosen ones are than the pile.
    pub nearer: f64,
    /// The same in a sentence.
    pub words: String,
}

/// Pieces that a student chooses four from, as a rule.
const PILE: u32 = 20;
/// A pile that nobody would call good.
const POOR: f64 = 0.4;
/// The best four of a pile around the target are so many times nearer to it.
static NEARER: LazyLock<f64> = LazyLock::new(|| {
    let pile = Pile { bias: 0.0, sd: 1.0 };
    pile.mean_error() / pile.mean_error_of_best(4, PILE)
});

impl Flattery {
    /// Of the best four.
    pub fn of_best_four() -> Self {
        let (looks, nearer) = (best_share(4, PILE, POOR), *NEARER);
        let words = format!(
            "The best four of {PILE} look {:.1} of 100 inside where the pile is inside only {:.0} of 100, and lie {nearer:.0} times nearer to the size.",
            (looks * 1000.0).floor() / 10.0,
            POOR * 100.0
        );
        Flattery { of: PILE, pile: POOR, looks, nearer, words }
    }
}

/// Places of `take` pieces of a row of `of`, counted from 1, taken unseen: in order, each once. All of them where there
/// are no more. The same seed gives the same places.
pub fn drawn(of: u16, take: u16, seed: u32) -> Vec<u16> {
    let mut random = Xoshiro256PlusPlus::seed_from_u64(u64::from(seed));
    let amount = usize::from(take.min(of));
    let mut places: Vec<u16> = rand::seq::index::sample(&mut random, usize::from(of), amount)
        .into_iter()
        .filter_map(|at| u16::try_from(at + 1).ok())
        .collect();
    places.sort_unstable();
    places
}
