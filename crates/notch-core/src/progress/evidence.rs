//! Attempts as evidence.

use jiff::civil::Date;

use crate::catalogue::{Catalogue, Dimension, Strand};
use crate::measure::{SampleCustom, SideFigures, Verdict};
use crate::records::Attempt;

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
    if verdict.custom != SampleCustom::BlindTen {
        return Vec::new();
    }
    let offs = |dimension: Dimension| {
        let side = verdict.sides.iter().find(|side| side.dimension == dimension)?;
        // Sides are measured for all pieces or, where a line was short, for some: then the mean stands for all.
        (side.sizes.len() == verdict.piece_inside.len()).then_some(side)
    };
    let (thickness, width) = (offs(Dimension::Thickness), offs(Dimension::Width));
    let off_at = |side: Option<&SideFigures>, index: usize| {
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

/// The finished attempts of one student as evidence, in the order of time. An attempt at hand work
/// counts for no strand and is left out.
pub fn evidence_of(catalogue: &Catalogue, attempts: &[&Attempt]) -> Vec<AttemptEvidence> {
    attempts
        .iter()
        .filter(|attempt| attempt.stopped_at.is_some())
        .filter_map(|attempt| {
            let blind = attempt.samples.iter().filter(|sample| sample.custom == SampleCustom::BlindTen);
            Some(AttemptEvidence {
                id: attempt.id,
                on: attempt.on_day,
                strand: attempt.strand?,
                cut: attempt.cut.clone(),
                stop_fault: attempt.marks.has_stop(catalogue),
                grip_ticked: attempt.marks.grip_ticked,
                hold_ticked: attempt.marks.hold_ticked,
                cv: blind.clone().next_back().and_then(|sample| sample.verdict.cv),
                pieces: blind.flat_map(|sample| pieces_as_evidence(&sample.verdict)).collect(),
                even_cv: attempt.tolerance.even_cv,
                seconds: attempt.seconds,
                reference_seconds: attempt.reference_seconds,
            })
        })
        .collect()
}
