//! What an attempt gives as evidence, and what it does not.

use crate::common::attempts::{Marked, attempt, blind, sample, stopped};
use crate::common::{CATALOGUE, mm};
use notch_core::catalogue::Strand;
use notch_core::measure::{MeasuredPiece, SampleCustom, judge};
use notch_core::progress::{AttemptEvidence, evidence_of, pieces_as_evidence};
use notch_core::records::{Attempt, AttemptMarks};

fn evidence(attempts: &[Attempt]) -> Vec<AttemptEvidence> {
    evidence_of(&CATALOGUE, &attempts.iter().collect::<Vec<_>>())
}

#[test]
fn an_attempt_that_still_runs_is_no_evidence() {
    let running = Attempt { stopped_at: None, seconds: None, ..attempt(1, "julienne") };
    assert_eq!(evidence(&[running, stopped(2, "julienne", 200.0)]).iter().map(|each| each.id).collect::<Vec<_>>(), [2]);
}

#[test]
fn hand_work_counts_for_no_strand() {
    let turned = Attempt { strand: None, ..stopped(1, "turned", 300.0) };
    assert_eq!(evidence(&[turned]), []);
}

#[test]
fn the_time_the_day_and_the_strand_are_those_of_the_attempt() {
    let one = &evidence(&[stopped(7, "julienne", 245.5)])[0];
    assert_eq!((one.seconds, one.reference_seconds, one.strand), (Some(245.5), Some(180.0), Strand::Julienne));
    assert_eq!((one.id, one.cut.as_str(), one.on), (7, "julienne", jiff::civil::date(2026, 10, 6)));
}

#[test]
fn marks_decide_whether_it_is_clean() {
    let marked = |grip, hold, faults: &[&str]| {
        let faults = faults.iter().map(ToString::to_string).collect();
        let marks = AttemptMarks { grip_ticked: grip, hold_ticked: hold, faults };
        evidence(&[stopped(1, "julienne", 200.0).marked(marks)])[0].is_clean()
    };
    assert!(marked(true, true, &[]));
    assert!(!marked(false, true, &[]) && !marked(true, false, &[]));
    assert!(!marked(true, true, &["fingertip_ahead"]), "a Stop fault");
    let lesser = CATALOGUE.faults.iter().find(|fault| fault.severity < notch_core::catalogue::FaultSeverity::Stop).unwrap();
    assert!(marked(true, true, &[&lesser.id]), "{} is coached, and the attempt counts", lesser.id);
}

#[test]
fn the_best_four_flatter_and_are_no_evidence() {
    let pieces = "3.2 3.2 50\n3.2 3.2 50\n3.2 3.2 50\n3.2 3.2 50";
    let flattered =
        Attempt { samples: vec![sample(SampleCustom::BestFour, "julienne", pieces)], ..stopped(1, "julienne", 200.0) };
    let one = &evidence(&[flattered])[0];
    assert_eq!((one.pieces.len(), one.cv), (0, None));
}

#[test]
fn blind_samples_of_one_attempt_are_taken_together_and_the_last_gives_the_spread() {
    let even = blind("julienne", "3.2 3.2 50\n3.2 3.2 50\n3.2 3.2 50");
    let uneven = blind("julienne", "2.4 3.2 50\n4.0 3.2 50\n3.2 3.2 50");
    let both = Attempt { samples: vec![even.clone(), uneven.clone()], ..stopped(1, "julienne", 200.0) };
    let one = &evidence(&[both])[0];
    assert_eq!(one.pieces.len(), 6);
    assert_eq!(one.cv, uneven.verdict.cv);
    assert!(one.cv > even.verdict.cv);
}

#[test]
fn a_piece_is_off_by_shares_of_its_own_tolerance() {
    let verdict = blind("julienne", "3.2 3.2 50\n4.0 3.2 50\n2.4 3.6 50").verdict;
    let tolerance = verdict.sides[0].tolerance.get();
    let found = pieces_as_evidence(&verdict);
    let offs: Vec<f64> = found.iter().map(|piece| piece.thickness_off.unwrap() * tolerance).collect();
    let target = CATALOGUE.target("eighth", "julienne").unwrap().thickness.unwrap().nominal().get();
    for (off, size) in offs.iter().zip([3.2, 4.0, 2.4]) {
        assert!((off - (size - target)).abs() < 1e-9, "{off} of {size}");
    }
    assert!(found[0].inside && found.iter().all(|piece| piece.width_off.is_some()));
}

#[test]
fn a_side_that_was_measured_of_some_pieces_only_tells_no_piece() {
    let pieces = [
        MeasuredPiece { thickness: mm(3.2), width: Some(mm(3.2)), length: None, far_width: None },
        MeasuredPiece { thickness: mm(3.4), width: None, length: None, far_width: None },
    ];
    let target = CATALOGUE.target("eighth", "julienne").unwrap();
    let verdict = judge(&CATALOGUE, &target, CATALOGUE.tolerance("school").unwrap(), SampleCustom::BlindTen, &pieces);
    let found = pieces_as_evidence(&verdict);
    assert_eq!(found.len(), 2);
    assert!(found.iter().all(|piece| piece.thickness_off.is_some() && piece.width_off.is_none()));
}

#[test]
fn an_empty_sample_is_no_piece() {
    let target = CATALOGUE.target("eighth", "julienne").unwrap();
    let verdict = judge(&CATALOGUE, &target, CATALOGUE.tolerance("school").unwrap(), SampleCustom::BlindTen, &[]);
    assert_eq!(pieces_as_evidence(&verdict), []);
}

#[test]
fn a_wider_tolerance_of_the_day_is_kept_with_the_attempt() {
    let home = CATALOGUE.tolerance("home").unwrap().clone();
    let judged = Attempt { tolerance: home.clone(), ..stopped(1, "julienne", 200.0) };
    assert!((evidence(&[judged])[0].even_cv - home.even_cv).abs() < 1e-12);
}

#[test]
fn a_sample_that_was_taken_back_is_no_evidence() {
    let twice = Attempt { samples: vec![blind("julienne", "3.2 3.2 50")], ..stopped(1, "julienne", 200.0) };
    let taken = Attempt { taken_back: vec![blind("julienne", "9 9 50\n9 9 50")], ..twice.clone() };
    assert_eq!(evidence(&[taken]), evidence(&[twice]));
}
