//! Which fault in the chain explains measured pieces best: a likelihood over causes.
//!
//! Each side of the pieces is weighed under a few simple models (on target, too big, too small,
//! uneven, drifting), each a normal spread with its mean and its sd laid over a grid of what such a
//! fault looks like; a model's likelihood is the mean over its grid, so that a model that could
//! explain anything explains little. A cause says which model each side follows; all causes are held
//! equally likely beforehand. Reasoning and grids are ours.

use serde::{Deserialize, Serialize};

use super::MeasuredPiece;
use super::taking::PieceOrder;
use crate::catalogue::{Dimension, Target, TargetSize, Tolerance};

/// A fault in the chain, or none.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Cause {
    /// True and even.
    Sound,
    /// The guide hand steps too far in planks and sticks alike.
    StepTooBig,
    /// The guide hand steps too little in both.
    StepTooSmall,
    /// Planks too thick, sticks right.
    PlanksTooThick,
    /// Planks too thin, sticks right.
    PlanksTooThin,
    /// Sticks too wide, planks right.
    SticksTooWide,
    /// Sticks too narrow, planks right.
    SticksTooNarrow,
    /// The claw lifts between strokes: all steps uneven.
    StepsUneven,
    /// Planks uneven, sticks even.
    PlanksUneven,
    /// Sticks uneven, planks even.
    SticksUneven,
    /// Sizes grow or shrink along the board.
    Drift,
    /// The blade leans: one end is wider.
    Lean,
    /// Ends not squared: lengths vary.
    LengthsVary,
    /// Blocks cut too long.
    TooLong,
    /// Blocks cut too short.
    TooShort,
}

impl Cause {
    const ALL: [Cause; 15] = [
        Cause::Sound,
        Cause::StepTooBig,
        Cause::StepTooSmall,
        Cause::PlanksTooThick,
        Cause::PlanksTooThin,
        Cause::SticksTooWide,
        Cause::SticksTooNarrow,
        Cause::StepsUneven,
        Cause::PlanksUneven,
        Cause::SticksUneven,
        Cause::Drift,
        Cause::Lean,
        Cause::LengthsVary,
        Cause::TooLong,
        Cause::TooShort,
    ];

    /// Sizes that scatter: a drift looks so where the order is lost.
    const fn is_uneven(self) -> bool {
        matches!(self, Cause::StepsUneven | Cause::PlanksUneven | Cause::SticksUneven)
    }

    /// The cause in plain words.
    pub const fn words(self) -> &'static str {
        match self {
            Cause::Sound => "nothing is going wrong",
            Cause::StepTooBig => "the guide hand steps too far",
            Cause::StepTooSmall => "the guide hand steps too little",
            Cause::PlanksTooThick => "planks too thick, sticks right",
            Cause::PlanksTooThin => "planks too thin, sticks right",
            Cause::SticksTooWide => "sticks too wide, planks right",
            Cause::SticksTooNarrow => "sticks too narrow, planks right",
            Cause::StepsUneven => "the claw lifts: all steps uneven",
            Cause::PlanksUneven => "planks uneven, sticks even",
            Cause::SticksUneven => "sticks uneven, planks even",
            Cause::Drift => "sizes drift along the board",
            Cause::Lean => "the blade leans",
            Cause::LengthsVary => "ends not squared: lengths vary",
            Cause::TooLong => "blocks cut too long",
            Cause::TooShort => "blocks cut too short",
        }
    }
}

/// A cause with how likely it is.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CauseShare {
    /// The cause.
    pub cause: Cause,
    /// Likelihood among all causes, 0..1; they add up to 1.
    pub share: f64,
}

/// The causes of a sample, weighed.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Causes {
    /// The likeliest first, those over one in a hundred; empty for too few pieces.
    pub likely: Vec<CauseShare>,
    /// Whether the first stands clear of the others.
    pub clear: bool,
    /// The finding in a sentence.
    pub words: String,
    /// What the pieces could not show, each in a sentence.
    #[serde(default)]
    pub not_seen: Vec<String>,
}

/// Fewest pieces from which a cause is read.
const LEAST_PIECES: usize = 5;
/// Share from which the first cause stands clear.
const CLEAR: f64 = 0.6;
/// What a calliper in a wet hand is off by, mm (sd).
const READING: f64 = 0.08;

/// What a side's figures come to; all that the models ask for.
struct Side {
    n: f64,
    /// Mean less the target, mm.
    off: f64,
    variance: f64,
    /// Σ u (x − mean), with u from −½ for the first piece to ½ for the last.
    rise: f64,
    /// Σ u².
    spread_u: f64,
    target: f64,
    tolerance: f64,
    /// Half the width of a range of good sizes.
    half_range: f64,
}

/// What one side does.
#[derive(Clone, Copy, PartialEq)]
enum Model {
    OnTarget,
    TooBig,
    TooSmall,
    Uneven,
    Drifting,
}

const BIASES: [f64; 5] = [-0.3, -0.15, 0.0, 0.15, 0.3];
const FAULTY_BIASES: [f64; 9] = [0.5, 0.75, 1.0, 1.5, 2.0, 3.0, 4.5, 7.0, 11.0];
const DRIFTS: [f64; 8] = [-4.0, -2.5, -1.5, -1.0, 1.0, 1.5, 2.5, 4.0];
/// Spreads as shares of the largest that counts as even.
const EVEN: [f64; 5] = [0.15, 0.3, 0.45, 0.65, 0.85];
const UNEVEN: [f64; 4] = [1.2, 1.7, 2.4, 3.4];

impl Side {
    fn of(sizes: &[f64], target: TargetSize, tolerance: &Tolerance) -> Option<Side> {
        let half_range = match target {
            TargetSize::Exact { .. } => 0.0,
            TargetSize::Range { from, to } => (to.get() - from.get()) / 2.0,
            TargetSize::Below { .. } => return None,
        };
        if sizes.len() < LEAST_PIECES {
            return None;
        }
        let (n, goal) = (sizes.len() as f64, target.nominal());
        let mean = sizes.iter().sum::<f64>() / n;
        let at = |index: usize| index as f64 / (n - 1.0) - 0.5;
        Some(Side {
            n,
            off: mean - goal.get(),
            variance: sizes.iter().map(|size| (size - mean).powi(2)).sum::<f64>() / n,
            rise: sizes.iter().enumerate().map(|(index, size)| at(index) * (size - mean)).sum(),
            spread_u: (0..sizes.len()).map(|index| at(index).powi(2)).sum(),
            target: goal.get(),
            tolerance: tolerance.around(goal).get(),
            half_range,
        })
    }

    /// Logarithm of the density of the sizes for a mean `bias` from the target, an sd and a drift from
    /// the first piece to the last.
    fn density(&self, bias: f64, sd: f64, drift: f64) -> f64 {
        let squares =
            self.n * (self.variance + (self.off - bias).powi(2)) - 2.0 * drift * self.rise + drift * drift * self.spread_u;
        -self.n * sd.ln() - squares / (2.0 * sd * sd)
    }

    /// Logarithm of a model's likelihood: the mean over its grid.
    fn likelihood(&self, model: Model, even_cv: f64) -> f64 {
        let near = |share: f64| share * (self.half_range + self.tolerance);
        let far = |sign: f64, share: f64| sign * (self.half_range + share * self.tolerance);
        let sd = |share: f64| (share * even_cv * self.target).hypot(READING);
        let mut terms = Vec::with_capacity(40);
        match model {
            Model::OnTarget => BIASES.iter().for_each(|b| terms.extend(EVEN.iter().map(|s| self.density(near(*b), sd(*s), 0.0)))),
            Model::TooBig | Model::TooSmall => {
                let sign = if model == Model::TooBig { 1.0 } else { -1.0 };
                FAULTY_BIASES.iter().for_each(|b| terms.extend(EVEN.iter().map(|s| self.density(far(sign, *b), sd(*s), 0.0))));
            }
            Model::Uneven => BIASES.iter().for_each(|b| terms.extend(UNEVEN.iter().map(|s| self.density(near(*b), sd(*s), 0.0)))),
            Model::Drifting => {
                DRIFTS.iter().for_each(|d| terms.extend(EVEN.iter().map(|s| self.density(0.0, sd(*s), d * self.tolerance))));
            }
        }
        log_mean(&terms)
    }
}

/// Logarithm of the mean of what the terms are logarithms of.
fn log_mean(terms: &[f64]) -> f64 {
    let most = terms.iter().copied().fold(f64::NEG_INFINITY, f64::max);
    if !most.is_finite() {
        return f64::NEG_INFINITY;
    }
    most + (terms.iter().map(|term| (term - most).exp()).sum::<f64>() / terms.len() as f64).ln()
}

/// Weighs the causes of measured pieces.
///
/// Sides without a target, with an upper limit only, or measured on fewer than five pieces are left
/// out; without any, or with too few pieces, nothing is likely and the words say so. Where no width is
/// measured, planks and sticks are not told apart; no drift is weighed unless the pieces lie as they
/// were cut.
///
/// # Complexity
/// O(pieces), and some two hundred densities a side.
pub fn causes(target: &Target, tolerance: &Tolerance, order: PieceOrder, pieces: &[MeasuredPiece]) -> Causes {
    let sizes = |of: fn(&MeasuredPiece) -> Option<f64>| pieces.iter().filter_map(of).collect::<Vec<f64>>();
    let side = |dimension, sizes: &[f64]| target.side(dimension).and_then(|size| Side::of(sizes, size, tolerance));
    let thick = side(Dimension::Thickness, &sizes(|piece| Some(piece.thickness.get())));
    let wide = side(Dimension::Width, &sizes(|piece| piece.width.map(|width| width.get())));
    let long = side(Dimension::Length, &sizes(|piece| piece.length.map(|length| length.get())));
    let ends: Vec<f64> = pieces.iter().filter_map(|piece| Some(piece.far_width?.get() - piece.width?.get())).collect();
    let taper = wide.as_ref().and_then(|wide| Taper::of(&ends, wide));
    if thick.is_none() && wide.is_none() && long.is_none() {
        let words = format!("Unclear: at least {LEAST_PIECES} pieces with a size to hold to are needed to name a cause.");
        return Causes { words, ..Causes::default() };
    }
    let even_cv = tolerance.even_cv;
    let likelihoods = |side: &Option<Side>| {
        let of = |model| side.as_ref().map_or(0.0, |side| side.likelihood(model, even_cv));
        [Model::OnTarget, Model::TooBig, Model::TooSmall, Model::Uneven, Model::Drifting].map(of)
    };
    let (t, w, l) = (likelihoods(&thick), likelihoods(&wide), likelihoods(&long));
    let [straight, leaning] = taper.as_ref().map_or([0.0, 0.0], |taper| [taper.likelihood(false), taper.likelihood(true)]);
    let [on, big, small, uneven, drift] = [0usize, 1, 2, 3, 4];
    let pick = |of: &[f64; 5], model: usize| of.get(model).copied().unwrap_or(0.0);
    let both = |a: usize, b: usize| pick(&t, a) + pick(&w, b) + pick(&l, on) + straight;
    let of_length = |model: usize| pick(&t, on) + pick(&w, on) + pick(&l, model) + straight;
    let weigh = |cause: Cause| -> Option<f64> {
        let told_apart = thick.is_some() && wide.is_some();
        Some(match cause {
            Cause::Sound => both(on, on),
            Cause::StepTooBig => both(big, big),
            Cause::StepTooSmall => both(small, small),
            Cause::PlanksTooThick if told_apart => both(big, on),
            Cause::PlanksTooThin if told_apart => both(small, on),
            Cause::SticksTooWide if told_apart => both(on, big),
            Cause::SticksTooNarrow if told_apart => both(on, small),
            Cause::StepsUneven => both(uneven, uneven),
            Cause::PlanksUneven if told_apart => both(uneven, on),
            Cause::SticksUneven if told_apart => both(on, uneven),
            Cause::Drift if order == PieceOrder::Mixed => return None,
            Cause::Drift if told_apart => log_mean(&[both(drift, on), both(on, drift), both(drift, drift)]),
            Cause::Drift => both(drift, drift),
            // A leaning blade may scatter the widths that it leaves, or not.
            Cause::Lean if taper.is_some() => pick(&t, on) + log_mean(&[pick(&w, on), pick(&w, uneven)]) + pick(&l, on) + leaning,
            Cause::LengthsVary if long.is_some() => of_length(uneven),
            Cause::TooLong if long.is_some() => of_length(big),
            Cause::TooShort if long.is_some() => of_length(small),
            _ => return None,
        })
    };
    let weighed: Vec<(Cause, f64)> = Cause::ALL.into_iter().filter_map(|cause| Some((cause, weigh(cause)?))).collect();
    let most = weighed.iter().map(|(_, weight)| *weight).fold(f64::NEG_INFINITY, f64::max);
    let whole: f64 = weighed.iter().map(|(_, weight)| (weight - most).exp()).sum();
    let mut likely: Vec<CauseShare> =
        weighed.into_iter().map(|(cause, weight)| CauseShare { cause, share: (weight - most).exp() / whole }).collect();
    likely.sort_by(|a, b| b.share.total_cmp(&a.share));
    likely.retain(|each| each.share >= 0.01);
    let clear = likely.first().is_some_and(|first| first.share >= CLEAR);
    let not_seen = not_seen(wide.is_some() && taper.is_none(), order, &likely);
    Causes { words: words(&likely, clear), clear, likely, not_seen }
}

/// How much wider sticks are at one end, against how much they may be.
struct Taper {
    n: f64,
    mean_size: f64,
    squares: f64,
    tolerance: f64,
    target: f64,
}

impl Taper {
    fn of(ends: &[f64], side: &Side) -> Option<Taper> {
        let n = ends.len() as f64;
        (ends.len() >= LEAST_PIECES).then(|| Taper {
            n,
            mean_size: ends.iter().map(|end| end.abs()).sum::<f64>() / n,
            squares: ends.iter().map(|end| end * end).sum(),
            tolerance: side.tolerance,
            target: side.target,
        })
    }

    /// Straight sticks differ at their ends by a hair; leaning ones by half the tolerance or more,
    /// whichever end is wider.
    fn likelihood(&self, leaning: bool) -> f64 {
        let density = |size: f64, sd: f64| {
            let squares = self.squares - 2.0 * size * self.n * self.mean_size + self.n * size * size;
            -self.n * sd.ln() - squares / (2.0 * sd * sd)
        };
        let sd = |share: f64| (share * self.target).hypot(READING);
        let sizes: &[f64] = if leaning { &[0.5, 0.75, 1.0, 1.5, 2.0, 3.0] } else { &[0.0] };
        let terms: Vec<f64> =
            sizes.iter().flat_map(|size| [0.02, 0.04, 0.07].map(|share| density(size * self.tolerance, sd(share)))).collect();
        log_mean(&terms)
    }
}

/// What is not to be read from the pieces: a lean without the far width, a drift unless they lie as they were cut.
fn not_seen(one_end: bool, order: PieceOrder, likely: &[CauseShare]) -> Vec<String> {
    let mut told = Vec::new();
    if one_end {
        told.push("A leaning blade cannot be seen: only one end of each piece was measured.".to_owned());
    }
    if order == PieceOrder::Mixed {
        told.push("No drift can be seen: the pieces were not measured in the order they were cut.".to_owned());
        if likely.first().is_some_and(|first| first.cause.is_uneven()) {
            told.push("What looks uneven may be sizes that drift along the board.".to_owned());
        }
    } else if likely.first().is_some_and(|first| first.cause == Cause::Drift) {
        told.push("A drift is read from the order: it holds if the pieces were measured as they were cut.".to_owned());
    }
    told
}

fn words(likely: &[CauseShare], clear: bool) -> String {
    let told = |each: &CauseShare| format!("{} ({:.0} of 100)", each.cause.words(), (each.share * 100.0).floor());
    match likely {
        [first, ..] if clear => format!("Most likely: {}.", told(first)),
        [first, second, ..] => format!("Unclear: {}, or {}.", told(first), told(second)),
        [first] => format!("Most likely: {}.", told(first)),
        [] => "Unclear.".to_owned(),
    }
}
