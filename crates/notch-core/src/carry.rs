//! The first cut decides: what errors at each step leave in the finished pieces.
//!
//! A block is cut to planks, planks to sticks, sticks to cubes. An error of the plank is in every
//! stick and every cube of that plank; a lean makes a face wider at one end; uneven steps scatter.

use rand::SeedableRng;
use rand_chacha::ChaCha8Rng;
use rand_distr::{Distribution, Normal};
use serde::{Deserialize, Serialize};

use crate::catalogue::{Dimension, Target, TargetSize, Tolerance};
use crate::measure::{Causes, MeasuredPiece, SideFigures, causes};
use crate::problem::Problem;
use crate::units::Millimetres;

/// Errors along the chain.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CutErrors {
    /// The first plank of each block too thick (or, below 0, too thin) by so many millimetres more than
    /// the others; −20 to 20.
    pub first_plank_bias: f64,
    /// All planks too thick (or, below 0, too thin) by so many millimetres; −20 to 20.
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
    /// The reverse: what ten of the finished pieces, taken unseen, would say of the cause.
    pub read_back: Causes,
}

impl CutErrors {
    /// Every problem in the errors.
    pub fn check(&self) -> Vec<Problem> {
        let within = |pointer: &str, name: &str, value: f64, least: f64, most: f64| {
            (!(least..=most).contains(&value))
                .then(|| Problem::new(pointer, name, value, "is out of range", format!("{least} to {most}")))
        };
        [
            within("/errors/first_plank_bias", "First plank too thick by", self.first_plank_bias, -20.0, 20.0),
            within("/errors/plank_bias", "All planks too thick by", self.plank_bias, -20.0, 20.0),
            within("/errors/stick_bias", "Sticks too wide by", self.stick_bias, -20.0, 20.0),
            within("/errors/length_bias", "Lengths too long by", self.length_bias, -20.0, 20.0),
            within("/errors/lean_degrees", "The blade leans", self.lean_degrees, 0.0, 45.0),
            within("/errors/step_cv", "Steps uneven by", self.step_cv, 0.0, 1.0),
        ]
        .into_iter()
        .flatten()
        .collect()
    }
}

/// Pieces that are tried, about.
const TRIALS: usize = 6_000;
/// Pieces that are measured to read the cause back.
const MEASURED: usize = 10;
/// Pieces that are handed back to be drawn.
const SHOWN: usize = 160;

/// Sizes of the pieces that were tried, in the order in which they are cut.
#[derive(Default)]
struct Tried {
    thick: Vec<f64>,
    wide: Vec<f64>,
    long: Vec<f64>,
    /// Width at the far end.
    far: Vec<f64>,
}

impl CutErrors {
    fn spread(&self, size: Millimetres) -> f64 {
        size.get() * self.step_cv.max(0.0)
    }

    /// How far a face runs off over the height of the stick cut.
    fn run_off(&self, cut: &CarriedCut) -> f64 {
        cut.thickness.get() * self.lean_degrees.to_radians().tan()
    }
}

fn try_out(cut: &CarriedCut, errors: &CutErrors, seed: u64) -> Tried {
    let mut random = ChaCha8Rng::seed_from_u64(seed);
    let mut draw = |aim: f64, sd: f64| match Normal::new(aim, sd) {
        Ok(normal) => f64::max(0.0, normal.sample(&mut random)),
        Err(_) => aim,
    };
    let run_off = errors.run_off(cut);
    let blocks = (TRIALS / ((cut.planks * cut.sticks * cut.pieces).max(1) as usize)).clamp(1, TRIALS);
    let mut tried = Tried::default();
    for _ in 0..blocks {
        for plank in 0..cut.planks {
            let first = if plank == 0 { errors.first_plank_bias } else { 0.0 };
            let thickness = draw(cut.thickness.get() + errors.plank_bias + first, errors.spread(cut.thickness));
            for stick in 0..cut.sticks {
                let half = if stick.is_multiple_of(2) { run_off / 2.0 } else { -run_off / 2.0 };
                let middle = draw(cut.width.get() + errors.stick_bias, errors.spread(cut.width));
                for _ in 0..cut.pieces {
                    tried.thick.push(thickness);
                    tried.wide.push(f64::max(0.0, middle + half));
                    tried.far.push(f64::max(0.0, middle - half));
                    tried.long.push(draw(cut.length.get() + errors.length_bias, errors.spread(cut.length)));
                }
            }
        }
    }
    tried
}

impl Tried {
    /// Ten pieces from all over, as a blind sample takes them.
    fn sample(&self) -> Vec<MeasuredPiece> {
        let sides = self.thick.iter().zip(&self.wide).zip(&self.long).zip(&self.far);
        let piece = |(((thick, wide), long), far): (((&f64, &f64), &f64), &f64)| MeasuredPiece {
            thickness: Millimetres::clamped(*thick),
            width: Some(Millimetres::clamped(*wide)),
            length: Some(Millimetres::clamped(*long)),
            far_width: Some(Millimetres::clamped(*far)),
        };
        // A step that shares nothing with the sticks of a plank, so that no side is always the same one.
        let apart = (self.thick.len() / MEASURED).max(1) | 1;
        sides.step_by(apart).take(MEASURED).map(piece).collect()
    }
}

/// Carries errors through the chain by trial, with the closed form beside it.
///
/// Each plank is cut once, `t + bias + t·cv·z`, the first of a block with its own error on top: of `n`
/// planks with one off by `b`, thicknesses have the mean `t + bias + b/n` and the variance
/// `(t·cv)² + b²·(1/n)(1 − 1/n)`; each of its sticks likewise, and each piece of each
/// stick. A leaning blade leaves a face at an angle: over the height of the cut the size runs off by
/// `height · tan(lean)`, alternately more and less, of which a piece has half at its near end and
/// lacks half at its far end; a stick's width runs off over the plank's thickness, a plank's thickness
/// over nothing that is measured at its middle. A size is never below 0.
///
/// # Units
/// Millimetres, degrees; `seed` makes it repeat.
pub fn carry(cut: &CarriedCut, errors: &CutErrors, tolerance: &Tolerance, seed: u64) -> Carried {
    let tried = try_out(cut, errors, seed);
    let pieces = tried.thick.len();
    let inside = |size: f64, target: Millimetres| (size - target.get()).abs() <= tolerance.around(target).get() + 1e-9;
    let all = tried
        .thick
        .iter()
        .zip(&tried.wide)
        .zip(&tried.long)
        .filter(|((a, b), c)| inside(**a, cut.thickness) && inside(**b, cut.width) && inside(**c, cut.length))
        .count();
    let side = |sizes: &[f64], target: Millimetres, bias: f64, sd: f64| {
        let n = sizes.len().max(1) as f64;
        let mean = sizes.iter().sum::<f64>() / n;
        let variance = sizes.iter().map(|size| (size - mean).powi(2)).sum::<f64>() / n;
        CarriedSide {
            mean: Millimetres::clamped(mean),
            sd: variance.sqrt(),
            inside: sizes.iter().filter(|size| inside(**size, target)).count() as f64 / n,
            closed_form: [target.get() + bias, sd],
        }
    };
    let sample = |dimension: Dimension, size: Millimetres, sizes: &[f64]| {
        let step = (pieces / SHOWN).max(1);
        let shown = sizes.iter().step_by(step).map(|size| Millimetres::clamped(*size)).collect();
        SideFigures::within(dimension, TargetSize::Exact { size }, tolerance, shown)
    };
    let exact = |size: Millimetres| Some(TargetSize::Exact { size });
    let target = Target { thickness: exact(cut.thickness), width: exact(cut.width), length: exact(cut.length) };
    let one_of = 1.0 / f64::from(cut.planks.max(1));
    let first_sd = errors.first_plank_bias.abs() * (one_of * (1.0 - one_of)).sqrt();
    let lean_sd = if cut.sticks > 1 { errors.run_off(cut) / 2.0 } else { 0.0 };
    let mut carried = Carried {
        thickness: side(
            &tried.thick,
            cut.thickness,
            errors.plank_bias + errors.first_plank_bias * one_of,
            errors.spread(cut.thickness).hypot(first_sd),
        ),
        width: side(&tried.wide, cut.width, errors.stick_bias, errors.spread(cut.width).hypot(lean_sd)),
        length: side(&tried.long, cut.length, errors.length_bias, errors.spread(cut.length)),
        inside: all as f64 / pieces.max(1) as f64,
        pieces,
        thicknesses: sample(Dimension::Thickness, cut.thickness, &tried.thick),
        widths: sample(Dimension::Width, cut.width, &tried.wide),
        words: String::new(),
        read_back: causes(&target, tolerance, &tried.sample()),
    };
    carried.words = words(cut, errors, &carried);
    carried
}

/// A cut of the chain.
#[derive(Clone, Copy)]
enum ChainCut {
    Plank,
    Stick,
    Crosscut,
}

impl ChainCut {
    const fn name(self) -> &'static str {
        match self {
            ChainCut::Plank => "plank",
            ChainCut::Stick => "stick",
            ChainCut::Crosscut => "crosscut",
        }
    }
}

fn words(cut: &CarriedCut, errors: &CutErrors, found: &Carried) -> String {
    let share = format!("{:.0} % of the pieces have all three sides inside.", found.inside * 100.0);
    let worst = [
        (ChainCut::Plank, found.thickness.inside),
        (ChainCut::Stick, found.width.inside),
        (ChainCut::Crosscut, found.length.inside),
    ]
    .into_iter()
    .reduce(|worst, next| if next.1 < worst.1 { next } else { worst });
    match worst {
        Some((ChainCut::Plank, inside)) if inside < 0.999 && (errors.plank_bias != 0.0 || errors.first_plank_bias != 0.0) => {
            let each = cut.sticks.saturating_mul(cut.pieces);
            format!("{share} The first cut decides: a plank that is off is in each of the {each} pieces cut from it.")
        }
        Some((cut, inside)) if inside < 0.999 => {
            format!("{share} The {} cut loses most, {:.0} % inside.", cut.name(), inside * 100.0)
        }
        _ => share,
    }
}
