//! The figures of a sample: each side by itself, and all of it together.

use serde::{Deserialize, Serialize};

use super::causes::Causes;
use super::sampling::Flattery;
use super::statistics::{Spread, Z_TWO_SIDED_95, wilson_lower};
use super::taking::{PieceOrder, SampleCustom};
use crate::catalogue::{Dimension, TargetSize, Tolerance};
use crate::text::Text;
use crate::units::{Deviation, Millimetres};

/// A share with what it proves.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InsideShare {
    /// Pieces inside.
    pub count: usize,
    /// Pieces judged.
    pub of: usize,
    /// `count / of`, 0..1.
    pub share: f64,
    /// Wilson lower bound (two-sided 95 %) of the share, 0..1.
    pub proves: f64,
}

impl InsideShare {
    /// From counts.
    pub fn new(count: usize, of: usize) -> Self {
        let share = if of == 0 { 0.0 } else { count as f64 / of as f64 };
        InsideShare { count, of, share, proves: wilson_lower(count, of, Z_TWO_SIDED_95) }
    }
}

/// The figures of one side of the pieces.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(from = "KeptSide")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SideFigures {
    /// Which side.
    pub dimension: Dimension,
    /// What it should be.
    pub target: TargetSize,
    /// Smallest size that counts as inside.
    pub inside_from: Millimetres,
    /// Largest size that counts as inside.
    pub inside_to: Millimetres,
    /// Tolerance τ around the nominal size.
    pub tolerance: Millimetres,
    /// Measured sizes, in the order entered.
    pub sizes: Vec<Millimetres>,
    /// For each of them, whether it is inside on this side.
    pub size_inside: Vec<bool>,
    /// Mean size.
    pub mean: Millimetres,
    /// Mean − target; for a range or limit, how far the mean lies outside it.
    pub bias: Deviation,
    /// Population standard deviation, mm.
    pub sd: f64,
    /// Coefficient of variation; none for one piece.
    pub cv: Option<f64>,
    /// Pieces inside on this side alone.
    pub inside: InsideShare,
}

/// A side as it is read back: verdicts of before say nothing of each size, so that is judged again.
#[derive(Deserialize)]
struct KeptSide {
    dimension: Dimension,
    target: TargetSize,
    inside_from: Millimetres,
    inside_to: Millimetres,
    tolerance: Millimetres,
    sizes: Vec<Millimetres>,
    mean: Millimetres,
    bias: Deviation,
    sd: f64,
    cv: Option<f64>,
    inside: InsideShare,
}

impl From<KeptSide> for SideFigures {
    fn from(kept: KeptSide) -> Self {
        let KeptSide { dimension, target, inside_from, inside_to, tolerance, sizes, mean, bias, sd, cv, inside } = kept;
        let size_inside = sizes_inside(&sizes, target, (inside_from, inside_to));
        SideFigures { dimension, target, inside_from, inside_to, tolerance, sizes, size_inside, mean, bias, sd, cv, inside }
    }
}

fn sizes_inside(sizes: &[Millimetres], target: TargetSize, band: (Millimetres, Millimetres)) -> Vec<bool> {
    sizes.iter().map(|size| is_inside(*size, target, band)).collect()
}

impl SideFigures {
    /// Of one side within a tolerance.
    pub(crate) fn within(
        dimension: Dimension,
        target: TargetSize,
        tolerance: &Tolerance,
        sizes: Vec<Millimetres>,
    ) -> Option<Self> {
        Self::of(dimension, target, band(target, tolerance), tolerance.around(target.nominal()), sizes)
    }

    /// Of sizes against a band; `None` if there are none.
    pub(crate) fn of(
        dimension: Dimension,
        target: TargetSize,
        (inside_from, inside_to): (Millimetres, Millimetres),
        tolerance: Millimetres,
        sizes: Vec<Millimetres>,
    ) -> Option<Self> {
        let numbers: Vec<f64> = sizes.iter().map(|size| size.get()).collect();
        let spread = Spread::of(&numbers)?;
        let mean = Millimetres::clamped(spread.mean);
        let size_inside = sizes_inside(&sizes, target, (inside_from, inside_to));
        let inside = size_inside.iter().filter(|inside| **inside).count();
        Some(SideFigures {
            dimension,
            target,
            inside_from,
            inside_to,
            tolerance,
            mean,
            bias: bias(mean, target),
            sd: spread.sd,
            cv: spread.cv(),
            inside: InsideShare::new(inside, sizes.len()),
            size_inside,
            sizes,
        })
    }

    /// How far one size is from the target, in mm with its sign; 0 within a range or below a limit.
    pub fn off(&self, size: Millimetres) -> f64 {
        bias(size, self.target).get()
    }
}

/// How much wider sticks are at one end.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TaperFigures {
    /// Sticks measured at both ends.
    pub count: usize,
    /// Mean of far width − near width.
    pub mean: Deviation,
    /// Mean size of the difference, whichever end is wider.
    pub mean_size: Millimetres,
}

/// One thing the figures say.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Diagnosis {
    /// Id of the diagnosis, e.g. `too_thick`.
    pub id: String,
    /// What is going wrong, for the instructor, with the figures.
    pub words: Text,
    /// The cue, for the student.
    pub cue: String,
}

/// What a sample shows.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Verdict {
    /// How the sample was chosen.
    pub custom: SampleCustom,
    /// In which order the pieces were measured.
    #[serde(default)]
    pub order: PieceOrder,
    /// Pieces whose every measured side with a target is inside.
    pub inside: InsideShare,
    /// For each piece, whether it is inside.
    pub piece_inside: Vec<bool>,
    /// Figures of each side that was measured and has a target.
    pub sides: Vec<SideFigures>,
    /// The side whose evenness governs: of thickness and width, the one with the larger CV.
    pub governing: Option<Dimension>,
    /// CV of the governing side; none for one piece.
    pub cv: Option<f64>,
    /// Whether the governing side is even enough to cook alike.
    pub even: bool,
    /// Largest |bias| / τ of thickness and width.
    pub bias_share: f64,
    /// Taper, where sticks were measured at both ends.
    pub taper: Option<TaperFigures>,
    /// Mean |thickness − width| of pieces that should be square.
    pub off_square: Option<Millimetres>,
    /// What the figures say, the most telling first.
    pub says: Vec<Diagnosis>,
    /// Which fault in the chain explains them best; nothing in verdicts of before it was weighed.
    #[serde(default)]
    pub causes: Causes,
    /// How much the sample flatters, where the student chose it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub flattery: Option<Flattery>,
}

/// Slack on the edge of the tolerance: the edge itself counts as inside.
pub(super) const SLACK: f64 = 1e-9;

/// The band of sizes that count as inside. A limit has no tolerance above it: it is one already.
pub(super) fn band(target: TargetSize, tolerance: &Tolerance) -> (Millimetres, Millimetres) {
    match target {
        TargetSize::Exact { size } => {
            let around = tolerance.around(size);
            (size.less(around), size + around)
        }
        TargetSize::Range { from, to } => (from.less(tolerance.around(from)), to + tolerance.around(to)),
        TargetSize::Below { limit } => (Millimetres::ZERO, limit),
    }
}

pub(super) fn is_inside(size: Millimetres, target: TargetSize, band: (Millimetres, Millimetres)) -> bool {
    match target {
        TargetSize::Below { limit } => size.get() < limit.get() - SLACK,
        _ => size.get() >= band.0.get() - SLACK && size.get() <= band.1.get() + SLACK,
    }
}

/// How far a mean is from a target; nothing while it is within a range or below a limit.
fn bias(mean: Millimetres, target: TargetSize) -> Deviation {
    match target {
        TargetSize::Exact { size } => Deviation::between(mean, size),
        TargetSize::Range { from, .. } if mean < from => Deviation::between(mean, from),
        TargetSize::Range { to, .. } if mean > to => Deviation::between(mean, to),
        TargetSize::Below { limit } if mean > limit => Deviation::between(mean, limit),
        TargetSize::Range { .. } | TargetSize::Below { .. } => Deviation::ZERO,
    }
}
