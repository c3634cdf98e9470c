//! The first cut decides: what errors at each step leave in the finished pieces.
//!
//! A block is cut to planks, planks to sticks, sticks to cubes. An error of the plank is in every
//! stick and every cube of that plank; a lean makes a face wider at one end; uneven steps scatter.

use rand::{Rng, SeedableRng};
use rand_chacha::ChaCha8Rng;
use rand_distr::{Distribution, Normal};
use serde::{Deserialize, Serialize};

use crate::catalogue::{Dimension, Target, TargetSize, Tolerance};
use crate::measure::{Causes, MeasuredPiece, PieceOrder, SideFigures, causes};
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
    /// Mean size of the pieces that were tried.
    pub mean: Millimetres,
    /// Their standard deviation, mm (population).
    pub sd: f64,
    /// Share inside the tolerance, 0..1, in closed form.
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
    /// Share of pieces with all three sides inside, 0..1, in closed form.
    pub inside: f64,
    /// The same share among the pieces that were tried.
    pub tried: f64,
    /// Standard error of that share, from plank to plank.
    pub error: f64,
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

/// Planks that are tried, at least: each is one draw for all of its pieces.
const PLANKS: u32 = 10_000;
/// Sticks of a plank, taken blindly, and pieces of a stick that are followed, at most.
const FOLLOWED: u32 = 6;
/// Pieces that are measured to read the cause back.
const MEASURED: usize = 10;
/// Pieces that are handed back to be drawn.
const SHOWN: usize = 160;

/// A step's size: normal, and never below 0.
#[derive(Clone, Copy)]
struct Step {
    aim: f64,
    sd: f64,
}

/// Mean and mean square of a size, and the share of it inside the tolerance.
#[derive(Clone, Copy)]
struct Moments {
    mean: f64,
    square: f64,
    inside: f64,
}

impl Moments {
    /// Of pieces of which so many parts (in all 1) are of each kind.
    fn mixed(kinds: &[(f64, Moments)]) -> Moments {
        let sum = |of: fn(&Moments) -> f64| kinds.iter().map(|(part, kind)| part * of(kind)).sum();
        Moments { mean: sum(|kind| kind.mean), square: sum(|kind| kind.square), inside: sum(|kind| kind.inside) }
    }

    fn sd(self) -> f64 {
        (self.square - self.mean * self.mean).max(0.0).sqrt()
    }
}

impl Step {
    /// Moments of max(0, max(0, X) + `off`) for a normal X, and the share of it between two sizes.
    ///
    /// Of max(0, X) the mean is μΦ + σφ and the mean square (μ² + σ²)Φ + μσφ, both at μ/σ. More is added
    /// after the step was cut; less is the same as a step with that much less to begin with.
    fn moments(self, off: f64, [least, most]: [f64; 2]) -> Moments {
        let (aim, added) = if off < 0.0 { (self.aim + off, 0.0) } else { (self.aim, off) };
        if self.sd <= 0.0 {
            let size = aim.max(0.0) + added;
            return Moments { mean: size, square: size * size, inside: f64::from(u8::from(least <= size && size <= most)) };
        }
        let below = |z: f64| libm::erfc(-z / std::f64::consts::SQRT_2) / 2.0;
        let z = aim / self.sd;
        let density = (-z * z / 2.0).exp() / (2.0 * std::f64::consts::PI).sqrt();
        let mean = aim * below(z) + self.sd * density;
        let square = (aim * aim + self.sd * self.sd) * below(z) + aim * self.sd * density;
        let share_to = |size: f64| if size < added { 0.0 } else { below((size - added - aim) / self.sd) };
        // All that would be below 0 is at 0, so it is inside as soon as that is.
        let under = if least <= added { 0.0 } else { share_to(least) };
        Moments {
            mean: mean + added,
            square: square + 2.0 * mean * added + added * added,
            inside: (share_to(most) - under).max(0.0),
        }
    }
}

impl CutErrors {
    fn spread(&self, size: Millimetres) -> f64 {
        size.get() * self.step_cv.max(0.0)
    }

    /// How far a face runs off over the height of the stick cut.
    fn run_off(&self, cut: &CarriedCut) -> f64 {
        cut.thickness.get() * self.lean_degrees.to_radians().tan()
    }

    fn plank(&self, cut: &CarriedCut, first: bool) -> Step {
        let first = if first { self.first_plank_bias } else { 0.0 };
        Step { aim: cut.thickness.get() + self.plank_bias + first, sd: self.spread(cut.thickness) }
    }

    fn stick(&self, cut: &CarriedCut) -> Step {
        Step { aim: cut.width.get() + self.stick_bias, sd: self.spread(cut.width) }
    }

    fn crosscut(&self, cut: &CarriedCut) -> Step {
        Step { aim: cut.length.get() + self.length_bias, sd: self.spread(cut.length) }
    }

    /// Thickness, width and length in closed form.
    fn closed_form(&self, cut: &CarriedCut, tolerance: &Tolerance) -> [Moments; 3] {
        let band = |target: Millimetres| {
            let around = tolerance.around(target).get() + 1e-9;
            [target.get() - around, target.get() + around]
        };
        let [planks, sticks] = [cut.planks, cut.sticks].map(|count| f64::from(count.max(1)));
        let plank = |first: bool| self.plank(cut, first).moments(0.0, band(cut.thickness));
        // Of an odd number of sticks one more has the wider end near.
        let wider = (sticks / 2.0).ceil() / sticks;
        let half = self.run_off(cut) / 2.0;
        let stick = |off: f64| self.stick(cut).moments(off, band(cut.width));
        [
            Moments::mixed(&[(1.0 / planks, plank(true)), (1.0 - 1.0 / planks, plank(false))]),
            Moments::mixed(&[(wider, stick(half)), (1.0 - wider, stick(-half))]),
            self.crosscut(cut).moments(0.0, band(cut.length)),
        ]
    }

    /// A seed that is this question's own, so that asked again it is answered alike.
    fn seed(&self, cut: &CarriedCut) -> u64 {
        let sizes = [cut.thickness, cut.width, cut.length].map(Millimetres::get);
        let errors = [self.first_plank_bias, self.plank_bias, self.stick_bias, self.length_bias, self.lean_degrees, self.step_cv];
        let counts = [cut.planks, cut.sticks, cut.pieces].map(u64::from);
        let bits = sizes.into_iter().chain(errors).map(f64::to_bits).chain(counts);
        // The usual way of folding bytes to a hash (Fowler, Noll, Vo), by whole words.
        bits.fold(0xcbf2_9ce4_8422_2325, |hash, word| (hash ^ word).wrapping_mul(0x0100_0000_01b3))
    }
}

/// Sizes of the pieces that were tried.
#[derive(Default)]
struct Tried {
    pieces: usize,
    /// Mean size so far, and the sum of squares around it: thickness, width, length.
    sides: [[f64; 2]; 3],
    /// Shares of each plank's pieces with all sides inside: their sum, and that of their squares.
    inside: [f64; 2],
    planks: u32,
    /// Pieces from all over, as a blind sample takes them.
    sample: Vec<MeasuredPiece>,
    thick: Vec<Millimetres>,
    wide: Vec<Millimetres>,
}

fn try_out(cut: &CarriedCut, errors: &CutErrors, tolerance: &Tolerance) -> Tried {
    let mut random = ChaCha8Rng::seed_from_u64(errors.seed(cut));
    let draw = |step: Step, random: &mut ChaCha8Rng| match Normal::new(step.aim, step.sd) {
        Ok(normal) => f64::max(0.0, normal.sample(random)),
        Err(_) => step.aim.max(0.0),
    };
    let half = errors.run_off(cut) / 2.0;
    let within = |size: f64, target: Millimetres| (size - target.get()).abs() <= tolerance.around(target).get() + 1e-9;
    let planks = cut.planks.max(1);
    let blocks = PLANKS.div_ceil(planks);
    let (sticks, pieces) = (cut.sticks.clamp(1, FOLLOWED), cut.pieces.clamp(1, FOLLOWED));
    let each = (sticks * pieces) as usize;
    let all = blocks.saturating_mul(planks) as usize * each;
    // Steps that share nothing with the pieces of a plank, so that no side is always the same one.
    let [measured, shown] = [MEASURED, SHOWN].map(|wanted| (all / wanted).max(1) | 1);
    let mut tried = Tried::default();
    for plank in 0..blocks.saturating_mul(planks) {
        let thickness = draw(errors.plank(cut, plank % planks == 0), &mut random);
        let mut good = 0u32;
        for stick in 0..sticks {
            let stick = if sticks < cut.sticks { random.random_range(0..cut.sticks) } else { stick };
            let off = if stick.is_multiple_of(2) { half } else { -half };
            let middle = draw(errors.stick(cut), &mut random);
            let [near, far] = [middle + off, middle - off].map(|width| width.max(0.0));
            for _ in 0..pieces {
                let length = draw(errors.crosscut(cut), &mut random);
                let sides = [(thickness, cut.thickness), (near, cut.width), (length, cut.length)];
                let share = 1.0 / (tried.pieces + 1) as f64;
                for ([mean, squares], (size, _)) in tried.sides.iter_mut().zip(sides) {
                    let off = size - *mean;
                    *mean += off * share;
                    *squares += off * (size - *mean);
                }
                good += u32::from(sides.iter().all(|(size, target)| within(*size, *target)));
                if tried.pieces.is_multiple_of(measured) && tried.sample.len() < MEASURED {
                    tried.sample.push(MeasuredPiece {
                        thickness: Millimetres::clamped(thickness),
                        width: Some(Millimetres::clamped(near)),
                        length: Some(Millimetres::clamped(length)),
                        far_width: Some(Millimetres::clamped(far)),
                    });
                }
                if tried.pieces.is_multiple_of(shown) {
                    tried.thick.push(Millimetres::clamped(thickness));
                    tried.wide.push(Millimetres::clamped(near));
                }
                tried.pieces += 1;
            }
        }
        let share = f64::from(good) / each as f64;
        tried.inside = [tried.inside[0] + share, tried.inside[1] + share * share];
        tried.planks += 1;
    }
    tried
}

impl Tried {
    /// Share with all sides inside and its standard error, from plank to plank.
    fn share(&self) -> [f64; 2] {
        let n = f64::from(self.planks.max(1));
        let share = self.inside[0] / n;
        [share, ((self.inside[1] / n - share * share).max(0.0) / n).sqrt()]
    }

    fn side(&self, side: usize, exact: Moments) -> CarriedSide {
        let [mean, squares] = self.sides.get(side).copied().unwrap_or_default();
        CarriedSide {
            mean: Millimetres::clamped(mean),
            sd: (squares / self.pieces.max(1) as f64).sqrt(),
            inside: exact.inside,
            closed_form: [exact.mean, exact.sd()],
        }
    }
}

/// Carries errors through the chain, in closed form and by trial.
///
/// Each plank is cut once, `t + bias + t·cv·z`, the first of a block with its own error on top; each of
/// its sticks likewise, and each piece of each stick. A leaning blade leaves a face at an angle: over the
/// height of the cut the size runs off by `height · tan(lean)`, alternately more and less, of which a
/// piece has half at its near end and lacks half at its far end; a stick's width runs off over the
/// plank's thickness, a plank's thickness over nothing that is measured at its middle. A size is never
/// below 0.
///
/// The three sides of a piece are drawn apart, so the share inside is the product of the three; of `n`
/// planks one is the first, and of an odd number of sticks one more has its wider end near.
///
/// # Units
/// Millimetres, degrees. The same question is tried with the same draws.
///
/// # Complexity
/// Some 360,000 draws, whatever the size of the block.
pub fn carry(cut: &CarriedCut, errors: &CutErrors, tolerance: &Tolerance) -> Carried {
    let tried = try_out(cut, errors, tolerance);
    let exact = errors.closed_form(cut, tolerance);
    let [thickness, width, length] = exact;
    let sample = |dimension: Dimension, size: Millimetres, sizes: &[Millimetres]| {
        SideFigures::within(dimension, TargetSize::Exact { size }, tolerance, sizes.to_vec())
    };
    let side = |size: Millimetres| Some(TargetSize::Exact { size });
    let target = Target { thickness: side(cut.thickness), width: side(cut.width), length: side(cut.length) };
    let [share, error] = tried.share();
    let mut carried = Carried {
        thickness: tried.side(0, thickness),
        width: tried.side(1, width),
        length: tried.side(2, length),
        inside: thickness.inside * width.inside * length.inside,
        tried: share,
        error,
        pieces: tried.pieces,
        thicknesses: sample(Dimension::Thickness, cut.thickness, &tried.thick),
        widths: sample(Dimension::Width, cut.width, &tried.wide),
        words: String::new(),
        read_back: causes(&target, tolerance, PieceOrder::Mixed, &tried.sample),
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
