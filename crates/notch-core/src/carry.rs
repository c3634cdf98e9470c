//! The first cut decides: what errors at each step leave in the finished pieces.
//!
//! A block is cut to planks, planks to sticks, sticks to cubes. An error of the plank is in every
//! stick and every cube of that plank; a lean makes a face wider at one end; uneven steps scatter.

use rand::SeedableRng;
use rand_chacha::ChaCha8Rng;
use rand_distr::{Distribution, Normal};
use serde::{Deserialize, Serialize};

use crate::catalogue::{Dimension, TargetSize, Tolerance};
use crate::measure::SideFigures;
use crate::problem::Problem;
use crate::units::Millimetres;

/// Errors along the chain.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CutErrors {
    /// Planks too thick (or, below 0, too thin) by so many millimetres; −20 to 20.
    pub plank_bias: f64,
    /// Sticks too wide by so many millimetres; −20 to 20.
    pub stick_bias: f64,
    /// Crosscuts too long by so many millimetres; −20 to 20.
    pub length_bias: f64,
    /// Lean of the blade in degrees, 0 to 45: each face runs off over the height of the cut.
    pub lean_degrees: f64,
    /// Unevenness of each step (coefficient of variation), 0 to 1.
    pub step_cv: f64,
}

/// What is cut.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct CarriedCut {
    /// Target thickness, set by the planks.
    pub thickness: Millimetres,
    /// Target width, set by the sticks.
    pub width: Millimetres,
    /// Target length, set by the crosscuts.
    pub length: Millimetres,
    /// Planks in the block.
    pub planks: u32,
    /// Sticks from each plank.
    pub sticks: u32,
    /// Pieces from each stick.
    pub pieces: u32,
}

/// What arrives of one side.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CarriedSide {
    /// Mean size.
    pub mean: Millimetres,
    /// Standard deviation, mm (population).
    pub sd: f64,
    /// Share inside the tolerance, 0..1.
    pub inside: f64,
    /// Mean and standard deviation in closed form, mm.
    pub closed_form: [f64; 2],
}

/// What arrives.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Carried {
    /// Thickness.
    pub thickness: CarriedSide,
    /// Width.
    pub width: CarriedSide,
    /// Length.
    pub length: CarriedSide,
    /// Share of pieces with all three sides inside, 0..1.
    pub inside: f64,
    /// Pieces that were tried.
    pub pieces: usize,
    /// A sample of finished thicknesses, as they are drawn on the size rule.
    pub thicknesses: Option<SideFigures>,
    /// A sample of finished widths.
    pub widths: Option<SideFigures>,
    /// What the chain does with these errors, in a sentence.
    pub words: String,
}

impl CutErrors {
    /// Every problem in the errors.
    pub fn check(&self) -> Vec<Problem> {
        let within = |pointer: &str, name: &str, value: f64, least: f64, most: f64| {
            (!(least..=most).contains(&value))
                .then(|| Problem::new(pointer, name, value, "is out of range", format!("{least} to {most}")))
        };
        [
            within("/errors/plank_bias", "error of the planks", self.plank_bias, -20.0, 20.0),
            within("/errors/stick_bias", "error of the sticks", self.stick_bias, -20.0, 20.0),
            within("/errors/length_bias", "error of the lengths", self.length_bias, -20.0, 20.0),
            within("/errors/lean_degrees", "lean", self.lean_degrees, 0.0, 45.0),
            within("/errors/step_cv", "unevenness", self.step_cv, 0.0, 1.0),
        ]
        .into_iter()
        .flatten()
        .collect()
    }
}

/// Pieces that are tried, about.
const TRIALS: usize = 6_000;
/// Pieces that are handed back to be drawn.
const SHOWN: usize = 160;

/// Carries errors through the chain by trial, with the closed form beside it.
///
/// Each plank is cut once, `t + bias + t·cv·z`; each of its sticks likewise, and each piece of each
/// stick. A leaning blade leaves a face at an angle: over the height of the cut the size runs off by
/// `height · tan(lean)`, alternately more and less, of which a piece has half at its middle on
/// average; a stick's width runs off over the plank's thickness, a plank's thickness over nothing
/// that is measured at its middle. A size is never below 0.
///
/// # Units
/// Millimetres, degrees; `seed` makes it repeat.
pub fn carry(cut: &CarriedCut, errors: &CutErrors, tolerance: &Tolerance, seed: u64) -> Carried {
    let mut random = ChaCha8Rng::seed_from_u64(seed);
    let spread = |size: f64| size * errors.step_cv.max(0.0);
    let (t, w, l) = (cut.thickness.get(), cut.width.get(), cut.length.get());
    let run_off = t * errors.lean_degrees.to_radians().tan();
    let mut draw = |aim: f64, sd: f64| match Normal::new(aim, sd) {
        Ok(normal) => f64::max(0.0, normal.sample(&mut random)),
        Err(_) => aim,
    };
    let blocks = (TRIALS / ((cut.planks * cut.sticks * cut.pieces).max(1) as usize)).clamp(1, TRIALS);
    let (mut thick, mut wide, mut long) = (Vec::new(), Vec::new(), Vec::new());
    for _ in 0..blocks {
        for _ in 0..cut.planks {
            let thickness = draw(t + errors.plank_bias, spread(t));
            for stick in 0..cut.sticks {
                let lean = if stick % 2 == 0 { run_off / 2.0 } else { -run_off / 2.0 };
                let width = f64::max(0.0, draw(w + errors.stick_bias, spread(w)) + lean);
                for _ in 0..cut.pieces {
                    thick.push(thickness);
                    wide.push(width);
                    long.push(draw(l + errors.length_bias, spread(l)));
                }
            }
        }
    }
    let inside = |size: f64, target: f64| (size - target).abs() <= tolerance.around(Millimetres::clamped(target)).get() + 1e-9;
    let all = thick.iter().zip(&wide).zip(&long).filter(|((a, b), c)| inside(**a, t) && inside(**b, w) && inside(**c, l)).count();
    let side = |sizes: &[f64], target: f64, aim: f64, sd: f64| {
        let n = sizes.len().max(1) as f64;
        let mean = sizes.iter().sum::<f64>() / n;
        let variance = sizes.iter().map(|size| (size - mean).powi(2)).sum::<f64>() / n;
        CarriedSide {
            mean: Millimetres::clamped(mean),
            sd: variance.sqrt(),
            inside: sizes.iter().filter(|size| inside(**size, target)).count() as f64 / n,
            closed_form: [aim, sd],
        }
    };
    let pieces = thick.len();
    let sample = |dimension: Dimension, size: Millimetres, sizes: &[f64]| {
        let step = (pieces / SHOWN).max(1);
        let shown = sizes.iter().step_by(step).map(|size| Millimetres::clamped(*size)).collect();
        SideFigures::within(dimension, TargetSize::Exact { size }, tolerance, shown)
    };
    let lean_sd = if cut.sticks > 1 { run_off / 2.0 } else { 0.0 };
    let mut carried = Carried {
        thickness: side(&thick, t, t + errors.plank_bias, spread(t)),
        width: side(&wide, w, w + errors.stick_bias, spread(w).hypot(lean_sd)),
        length: side(&long, l, l + errors.length_bias, spread(l)),
        inside: all as f64 / pieces.max(1) as f64,
        pieces,
        thicknesses: sample(Dimension::Thickness, cut.thickness, &thick),
        widths: sample(Dimension::Width, cut.width, &wide),
        words: String::new(),
    };
    carried.words = words(cut, errors, &carried);
    carried
}

fn words(cut: &CarriedCut, errors: &CutErrors, found: &Carried) -> String {
    let share = format!("{:.0} % of the pieces have all three sides inside.", found.inside * 100.0);
    let worst = [("plank", found.thickness.inside), ("stick", found.width.inside), ("crosscut", found.length.inside)]
        .into_iter()
        .reduce(|worst, next| if next.1 < worst.1 { next } else { worst });
    match worst {
        Some(("plank", inside)) if inside < 0.999 && errors.plank_bias != 0.0 => {
            let each = cut.sticks.saturating_mul(cut.pieces);
            format!("{share} The first cut decides: a plank that is off is in each of the {each} pieces cut from it.")
        }
        Some((name, inside)) if inside < 0.999 => format!("{share} The {name} cut loses most, {:.0} % inside.", inside * 100.0),
        _ => share,
    }
}
