//! From evidence to notches, and from notches to what comes next.
//!
//! Evidence is a list of [`AttemptEvidence`] in the order of time. [`yard`] replays it: a notch is
//! cut at the attempt that first meets its threshold, and stays cut; a Stop fault lapses Safe and
//! all that stands on it until clean attempts restore them.

mod next;
mod replay;
mod windows;

use jiff::civil::Date;
use serde::Serialize;

pub use next::{NextKind, NextStep};
pub(crate) use replay::day;

use crate::catalogue::{Catalogue, NotchKind, Strand};
use crate::measure::Verdict;
use crate::units::Millimetres;

/// One blind piece as evidence, in units of its own tolerance, so that sizes can be mixed.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct PieceEvidence {
    /// Inside on every measured side.
    pub inside: bool,
    /// (thickness − target) / τ.
    pub thickness_off: Option<f64>,
    /// (width − target) / τ.
    pub width_off: Option<f64>,
}

/// One finished attempt as evidence.
#[derive(Clone, Debug, PartialEq)]
pub struct AttemptEvidence {
    /// Id of the attempt.
    pub id: i64,
    /// Day of the lesson.
    pub on: Date,
    /// Strand of the cut.
    pub strand: Strand,
    /// Id of the cut.
    pub cut: String,
    /// A Stop fault was seen: the attempt does not count.
    pub stop_fault: bool,
    /// Grip was seen to be right.
    pub grip_ticked: bool,
    /// Hold was seen to be right.
    pub hold_ticked: bool,
    /// Blind pieces in the order taken; best-four pieces are no evidence and are left out.
    pub pieces: Vec<PieceEvidence>,
    /// CV of the governing side of the blind pieces.
    pub cv: Option<f64>,
    /// Largest CV that counts as even, by the tolerance the attempt was judged with.
    pub even_cv: f64,
    /// Seconds taken.
    pub seconds: Option<f64>,
    /// Seconds of the reference pace for the set amount.
    pub reference_seconds: Option<f64>,
}

impl AttemptEvidence {
    /// Without a Stop fault, grip and hold ticked.
    pub fn is_clean(&self) -> bool {
        !self.stop_fault && self.grip_ticked && self.hold_ticked
    }
}

/// The blind pieces of a verdict as evidence. A best-four sample gives none.
pub fn pieces_as_evidence(verdict: &Verdict) -> Vec<PieceEvidence> {
    use crate::catalogue::Dimension;
    use crate::measure::SampleCustom;
    if verdict.custom != SampleCustom::BlindTen {
        return Vec::new();
    }
    let offs = |dimension: Dimension| {
        let side = verdict.sides.iter().find(|side| side.dimension == dimension)?;
        // Sides are measured for all pieces or, where a line was short, for some: then the mean stands for all.
        (side.sizes.len() == verdict.piece_inside.len()).then_some(side)
    };
    let (thickness, width) = (offs(Dimension::Thickness), offs(Dimension::Width));
    let off_at = |side: Option<&crate::measure::SideFigures>, index: usize| {
        let side = side?;
        let size = side.sizes.get(index)?;
        Some(side.off(*size) / side.tolerance.get().max(f64::MIN_POSITIVE))
    };
    verdict
        .piece_inside
        .iter()
        .enumerate()
        .map(|(index, &inside)| PieceEvidence {
            inside,
            thickness_off: off_at(thickness, index),
            width_off: off_at(width, index),
        })
        .collect()
}

/// State of one notch.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum NotchState {
    /// Not yet cut.
    Open,
    /// Cut, and standing.
    Cut {
        /// Day it was cut.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        on: Date,
    },
    /// Cut once, closed by a Stop fault until clean attempts follow.
    Lapsed {
        /// Day it was cut.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        on: Date,
        /// Day of the Stop fault.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        since: Date,
    },
}

/// One notch with its reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Notch {
    /// Which of the five.
    pub kind: NotchKind,
    /// Cut, open or lapsed.
    pub state: NotchState,
    /// Why it stands as it does, with the figures.
    pub words: String,
}

/// One strand's rule with its five places.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StrandRule {
    /// Strand.
    pub strand: Strand,
    /// Five notches, in order.
    pub notches: Vec<Notch>,
    /// Finished attempts so far.
    pub attempts: usize,
    /// Id of the cut last worked on.
    pub cut: Option<String>,
    /// What comes next in this strand.
    pub next: NextStep,
}

impl StrandRule {
    /// Whether a notch is cut and standing.
    pub fn has(&self, kind: NotchKind) -> bool {
        self.notches.iter().any(|n| n.kind == kind && matches!(n.state, NotchState::Cut { .. }))
    }

    /// Whether a Stop fault has closed what was cut.
    pub fn has_lapsed(&self) -> bool {
        self.notches.iter().any(|n| matches!(n.state, NotchState::Lapsed { .. }))
    }

    /// Notches cut and standing.
    pub fn standing(&self) -> usize {
        self.notches.iter().filter(|n| matches!(n.state, NotchState::Cut { .. })).count()
    }
}

/// Where one student stands.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Standing {
    /// The four rules, in the order of [`Strand::ALL`].
    pub strands: Vec<StrandRule>,
    /// What comes next for the student, over all strands.
    pub next: NextStep,
    /// The blade length that the evidence clears, by the ladder.
    pub evidence_clears: Millimetres,
}

/// What the standing is worked out for.
#[derive(Clone, Copy, Debug)]
pub struct StandingInput<'a> {
    /// Thresholds and names.
    pub catalogue: &'a Catalogue,
    /// Id of the set of standards: its cuts are the ones that can come next.
    pub standard_set: &'a str,
    /// Finished attempts in the order of time, of all strands.
    pub attempts: &'a [AttemptEvidence],
    /// Longest blade that the student is cleared for now.
    pub clearance: Millimetres,
    /// Longest blade of the student's age band.
    pub longest_blade: Millimetres,
    /// The day of asking.
    pub today: Date,
}

/// Replays the evidence of one student and says what comes next.
pub fn standing(input: &StandingInput<'_>) -> Standing {
    let strands: Vec<StrandRule> = Strand::ALL.into_iter().map(|strand| replay::replay(input, strand)).collect();
    let evidence_clears = next::evidence_clears(input.catalogue, &strands).shorter(input.longest_blade);
    let next = next::next_for_student(input, &strands, evidence_clears);
    Standing { strands, next, evidence_clears }
}
