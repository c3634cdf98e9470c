//! What comes next for a student, over all strands.

use crate::common::CATALOGUE;
use jiff::ToSpan;
use jiff::civil::{Date, date};
use notch_core::catalogue::Strand;
use notch_core::progress::{
    AttemptEvidence, Cleared, NextKind, NotchState, PieceEvidence, Standing, StandingInput, StrandRule, standing,
};
use notch_core::units::Millimetres;
use proptest::prelude::*;

const DAY: Date = date(2026, 9, 8);

/// The first cut of a strand.
const fn first(strand: Strand) -> &'static str {
    match strand {
        Strand::Chop => "mince",
        Strand::Dice => "medium_dice",
        Strand::Julienne => "batonnet",
        Strand::Slice => "coins",
    }
}

/// A clean, exact, even and quick attempt.
fn good(strand: Strand, on: Date) -> AttemptEvidence {
    AttemptEvidence {
        id: 1,
        on,
        strand,
        cut: first(strand).to_owned(),
        stop_fault: false,
        grip_ticked: true,
        hold_ticked: true,
        pieces: vec![PieceEvidence { inside: true, thickness_off: Some(0.0), width_off: None }; 10],
        cv: Some(0.05),
        even_cv: 0.15,
        seconds: Some(100.0),
        reference_seconds: Some(100.0),
    }
}

fn three(attempt: &AttemptEvidence) -> Vec<AttemptEvidence> {
    vec![attempt.clone(); 3]
}

/// Everything that is asked, with the usual of each.
struct Asked {
    attempts: Vec<AttemptEvidence>,
    cleared: Cleared,
    longest: u16,
    today: Date,
}

fn asked(attempts: Vec<AttemptEvidence>) -> Asked {
    Asked { attempts, cleared: Cleared { length: Millimetres::whole(400), special: true }, longest: 400, today: DAY }
}

impl Asked {
    fn cleared_to(self, length: u16, special: bool) -> Self {
        Asked { cleared: Cleared { length: Millimetres::whole(length), special }, ..self }
    }

    fn standing(&self) -> Standing {
        standing(&StandingInput {
            catalogue: &CATALOGUE,
            standard_set: "eighth",
            attempts: &self.attempts,
            cleared: self.cleared,
            longest_blade: Millimetres::whole(self.longest),
            today: self.today,
        })
    }
}

fn rule(standing: &Standing, strand: Strand) -> &StrandRule {
    standing.strands.iter().find(|rule| rule.strand == strand).unwrap()
}

#[test]
fn slicing_comes_first_and_the_others_in_teaching_order() {
    let strand = |attempts: Vec<AttemptEvidence>| asked(attempts).standing().next.strand;
    assert_eq!(strand(Vec::new()), Some(Strand::Slice));
    let sliced = three(&good(Strand::Slice, DAY));
    assert_eq!(strand(sliced.clone()), Some(Strand::Chop));
    let chopped = [sliced.clone(), three(&good(Strand::Chop, DAY))].concat();
    assert_eq!(strand(chopped.clone()), Some(Strand::Julienne));
    let sticks = [chopped, three(&good(Strand::Julienne, DAY))].concat();
    assert_eq!(strand(sticks), Some(Strand::Dice));
}

#[test]
fn a_strand_that_stands_on_another_waits_until_that_is_safe() {
    for strand in Strand::ALL {
        for below in strand.stands_on() {
            let others = Strand::ALL.into_iter().filter(|other| other != below && *other != strand);
            let attempts: Vec<AttemptEvidence> = others.flat_map(|other| three(&good(other, DAY))).collect();
            let next = asked(attempts).standing().next;
            assert_ne!(next.strand, Some(strand), "{strand:?} stands on {below:?}, which is not safe");
        }
    }
}

#[test]
fn a_lapse_anywhere_comes_before_everything_else() {
    let mut attempts = three(&good(Strand::Chop, DAY));
    attempts.push(AttemptEvidence { stop_fault: true, ..good(Strand::Chop, DAY) });
    attempts.extend(three(&good(Strand::Slice, DAY)));
    let next = asked(attempts).cleared_to(100, false).standing().next;
    assert_eq!((next.kind, next.strand), (NextKind::SafeFirst, Some(Strand::Chop)));
    assert_eq!(next.title.to_string(), "Safe first: chop");
    assert!(next.reason.to_string().contains("needs 3 clean attempts in a row"), "{}", next.reason);
}

#[test]
fn a_stop_fault_before_anything_was_cut_asks_for_safety_too() {
    let first = AttemptEvidence { stop_fault: true, ..good(Strand::Slice, DAY) };
    let standing = asked(vec![first]).standing();
    let next = &rule(&standing, Strand::Slice).next;
    assert_eq!(next.kind, NextKind::SafeFirst);
    assert!(next.reason.to_string().contains("the last attempt had a Stop fault"), "{}", next.reason);
    assert!(!rule(&standing, Strand::Slice).has_lapsed(), "nothing was cut that could lapse");
}

#[test]
fn each_rung_of_the_ladder_is_earned_by_its_notches() {
    let cleared = |attempts: Vec<AttemptEvidence>| asked(attempts).standing().evidence_clears;
    let safe_only = |strand| AttemptEvidence { pieces: Vec::new(), cv: None, seconds: None, ..good(strand, DAY) };
    let safe = |strands: &[Strand]| strands.iter().flat_map(|strand| three(&safe_only(*strand))).collect::<Vec<_>>();
    let to = |length: u16, special: bool| Cleared { length: Millimetres::whole(length), special };
    assert_eq!(cleared(Vec::new()), to(100, false));
    assert_eq!(cleared(safe(&[Strand::Slice])), to(130, false));
    assert_eq!(cleared(safe(&[Strand::Slice, Strand::Chop])), to(180, false));
    let exact = |strand| AttemptEvidence { cv: None, seconds: None, ..good(strand, DAY) };
    let exact_in: Vec<_> = [Strand::Slice, Strand::Chop].into_iter().flat_map(|strand| three(&exact(strand))).collect();
    assert_eq!(cleared(exact_in), to(210, false));
    let even = |strand| AttemptEvidence { seconds: None, ..good(strand, DAY) };
    let even_in: Vec<_> = [Strand::Slice, Strand::Chop, Strand::Julienne].into_iter().flat_map(|s| three(&even(s))).collect();
    assert_eq!(cleared(even_in), to(260, false));
    let all: Vec<_> = Strand::ALL.into_iter().flat_map(|strand| three(&good(strand, DAY))).collect();
    assert_eq!(cleared(all), to(260, true));
}

#[test]
fn a_rung_is_not_skipped_by_one_above_it() {
    // Paced in two strands would earn the special clearance, but Even in three is on the way there.
    let two: Vec<_> = [Strand::Slice, Strand::Chop].into_iter().flat_map(|strand| three(&good(strand, DAY))).collect();
    let clears = asked(two).standing().evidence_clears;
    assert_eq!(clears, Cleared { length: Millimetres::whole(210), special: false });
}

#[test]
fn a_longer_blade_names_the_rung_and_what_earned_it() {
    let attempts: Vec<_> = [Strand::Slice, Strand::Chop].into_iter().flat_map(|strand| three(&good(strand, DAY))).collect();
    let next = asked(attempts.clone()).cleared_to(130, false).standing().next;
    assert_eq!(
        (next.kind, next.blade, next.strand, next.cut),
        (NextKind::LongerBlade, Some(Millimetres::whole(180)), None, None)
    );
    assert_eq!(next.title.to_string(), "Longer blade: up to 180 mm, watched");
    assert_eq!(next.reason.to_string(), "Safe in 2 strands; cleared to 130 mm so far");
    let higher = asked(attempts).cleared_to(180, false).standing().next;
    assert_eq!(higher.blade, Some(Millimetres::whole(210)));
    assert_eq!(higher.reason.to_string(), "True in 2 strands; cleared to 180 mm so far");
}

#[test]
fn a_child_is_never_offered_more_than_the_age_allows() {
    let all: Vec<_> = Strand::ALL.into_iter().flat_map(|strand| three(&good(strand, DAY))).collect();
    for cleared in [100, 110, 130] {
        let child = Asked { longest: 130, ..asked(all.clone()) }.cleared_to(cleared, true);
        let standing = child.standing();
        assert_eq!(standing.evidence_clears.length, Millimetres::whole(130));
        let longer = standing.next.kind == NextKind::LongerBlade;
        assert_eq!(longer, cleared < 130, "cleared to {cleared}");
        assert!(standing.next.blade.is_none_or(|blade| blade <= Millimetres::whole(130)));
    }
}

#[test]
fn the_special_clearance_comes_after_the_longest_plain_blade() {
    let all: Vec<_> = Strand::ALL.into_iter().flat_map(|strand| three(&good(strand, DAY))).collect();
    assert_eq!(asked(all.clone()).cleared_to(210, false).standing().next.kind, NextKind::LongerBlade);
    let next = asked(all.clone()).cleared_to(260, false).standing().next;
    assert_eq!(next.kind, NextKind::SpecialClearance);
    assert_eq!(next.reason.to_string(), "Paced in 2 strands");
    assert_ne!(asked(all).cleared_to(260, true).standing().next.kind, NextKind::SpecialClearance);
}

#[test]
fn an_easier_cut_only_after_three_measured_attempts_far_off() {
    let off = |cut: &str, inside: usize| {
        let piece = |index| PieceEvidence { inside: index < inside, thickness_off: Some(0.0), width_off: None };
        let pieces = (0..10).map(piece).collect();
        AttemptEvidence { cut: cut.to_owned(), pieces, ..good(Strand::Julienne, DAY) }
    };
    let step = |attempts: Vec<AttemptEvidence>| {
        let standing = asked(attempts).standing();
        let next = rule(&standing, Strand::Julienne).next.clone();
        (next.kind, next.cut)
    };
    let easier = |cut: &str| (NextKind::EasierCut, Some(cut.to_owned()));
    let repeat = |cut: &str| (NextKind::Repeat, Some(cut.to_owned()));
    assert_eq!(step(three(&off("julienne", 2))), easier("batonnet"));
    assert_eq!(step(three(&off("julienne", 3))), repeat("julienne"), "nine of thirty is 30 %, not under it");
    assert_eq!(step(vec![off("julienne", 0); 2]), repeat("julienne"), "two attempts are too few to tell");
    let unmeasured = AttemptEvidence { pieces: Vec::new(), cv: None, ..off("julienne", 0) };
    assert_eq!(step([three(&unmeasured), vec![off("julienne", 0); 2]].concat()), repeat("julienne"), "only measured ones tell");
}

#[test]
fn the_biggest_cut_of_a_strand_has_no_easier_one() {
    let all_out = AttemptEvidence {
        cut: biggest(Strand::Slice),
        pieces: vec![PieceEvidence { inside: false, thickness_off: Some(2.0), width_off: None }; 10],
        ..good(Strand::Slice, DAY)
    };
    let standing = asked(three(&all_out)).standing();
    assert_eq!(rule(&standing, Strand::Slice).next.kind, NextKind::Repeat);
}

fn rungs(strand: Strand) -> Vec<String> {
    let taught = CATALOGUE.cuts.iter().filter(|cut| cut.strand == Some(strand) && CATALOGUE.target("eighth", &cut.id).is_some());
    let mut cuts: Vec<_> = taught.collect();
    cuts.sort_by_key(|cut| cut.rung);
    cuts.into_iter().map(|cut| cut.id.clone()).collect()
}

fn biggest(strand: Strand) -> String {
    rungs(strand).swap_remove(0)
}

fn finest(strand: Strand) -> String {
    rungs(strand).pop().unwrap()
}

#[test]
fn a_harder_cut_is_the_next_rung_and_after_the_finest_a_strand_is_complete() {
    let later = DAY.checked_add(14.days()).unwrap();
    for strand in Strand::ALL {
        let rungs = rungs(strand);
        for (cut, finer) in rungs.iter().zip(rungs.iter().skip(1)) {
            let at = |on| AttemptEvidence { cut: cut.clone(), ..good(strand, on) };
            let done = Asked { today: later, ..asked([three(&at(DAY)), three(&at(later))].concat()) }.standing();
            let next = &rule(&done, strand).next;
            assert_eq!((next.kind, next.cut.as_ref()), (NextKind::HarderCut, Some(finer)));
            assert_eq!(next.reason.to_string(), "all five notches are cut");
        }
        let at = |on| AttemptEvidence { cut: finest(strand), ..good(strand, on) };
        let done = Asked { today: later, ..asked([three(&at(DAY)), three(&at(later))].concat()) }.standing();
        let next = &rule(&done, strand).next;
        assert_eq!((next.kind, next.cut.as_deref()), (NextKind::Complete, None), "{strand:?}");
    }
}

#[test]
fn while_the_two_weeks_run_the_finest_cut_is_kept_up() {
    let finest = AttemptEvidence { cut: finest(Strand::Slice), ..good(Strand::Slice, DAY) };
    let waiting = asked(three(&finest)).standing();
    let next = &rule(&waiting, Strand::Slice).next;
    assert_eq!((next.kind, next.title.to_string()), (NextKind::Hold, "Keep it up".to_owned()));
    assert!(next.reason.to_string().contains("all of it again, from"), "{}", next.reason);
}

#[test]
fn held_is_asked_for_on_the_day_it_can_be_cut() {
    let attempts = three(&good(Strand::Slice, DAY));
    for (days, kind) in [(13, NextKind::HarderCut), (14, NextKind::Hold), (60, NextKind::Hold)] {
        let today = DAY.checked_add(days.days()).unwrap();
        let standing = Asked { today, ..asked(attempts.clone()) }.standing();
        assert_eq!(rule(&standing, Strand::Slice).next.kind, kind, "after {days} days");
    }
}

#[test]
fn each_open_notch_says_what_it_waits_for() {
    let words = |attempts: Vec<AttemptEvidence>, notch: usize| {
        let standing = asked(attempts).standing();
        rule(&standing, Strand::Slice).notches[notch].words.to_string()
    };
    let attempt = good(Strand::Slice, DAY);
    let no_grip = AttemptEvidence { grip_ticked: false, ..attempt.clone() };
    let no_hold = AttemptEvidence { hold_ticked: false, ..attempt.clone() };
    let neither = AttemptEvidence { grip_ticked: false, hold_ticked: false, ..attempt.clone() };
    assert_eq!(words(Vec::new(), 0), "Safe: needs 3 clean attempts in a row: no attempt yet");
    assert_eq!(words(vec![no_grip], 0), "Safe: needs 3 clean attempts in a row: the grip was not ticked in the last attempt");
    assert_eq!(words(vec![no_hold], 0), "Safe: needs 3 clean attempts in a row: the hold was not ticked in the last attempt");
    assert_eq!(
        words(vec![neither], 0),
        "Safe: needs 3 clean attempts in a row: grip and hold were not ticked in the last attempt"
    );
    assert_eq!(words(vec![attempt.clone(); 2], 0), "Safe: needs 3 clean attempts in a row: 2 clean so far");
    assert_eq!(words(vec![attempt.clone()], 1), "True comes after Safe");
    let unmeasured = AttemptEvidence { pieces: Vec::new(), cv: None, seconds: None, ..attempt.clone() };
    assert_eq!(words(three(&unmeasured), 1), "True: no blind sample yet");
    let spread_unknown = AttemptEvidence { cv: None, ..attempt.clone() };
    assert_eq!(words(three(&spread_unknown), 2), "Even: needs 2 measured attempts, has 0");
    let untimed = AttemptEvidence { seconds: None, ..attempt.clone() };
    assert_eq!(words(three(&untimed), 3), "Paced: no timed attempt with a reference time yet");
    assert_eq!(words(three(&attempt), 4), "Held: all of it again, from 22 Sep on");
    assert_eq!(words(three(&attempt), 0), "Safe, cut 8 Sep");
}

#[test]
fn what_is_missing_for_true_is_a_number_of_pieces() {
    let inside = |count: usize| {
        let piece = |index| PieceEvidence { inside: index < count, thickness_off: Some(0.0), width_off: None };
        AttemptEvidence { pieces: (0..10).map(piece).collect(), ..good(Strand::Slice, DAY) }
    };
    let standing = asked(three(&inside(6))).standing();
    let words = rule(&standing, Strand::Slice).notches[1].words.to_string();
    // The last ten of these thirty stay in the window: 6 of 10. With 18 of the next 20 it is 24 of 30.
    assert_eq!(words, "True: 18 of 30 inside proves 42 %, needs 60 %; 18 of the next 20 inside would do");
    let thick = PieceEvidence { inside: true, thickness_off: Some(0.2), width_off: Some(-0.7) };
    let biased = AttemptEvidence { pieces: vec![thick; 10], ..good(Strand::Slice, DAY) };
    let standing = asked(three(&biased)).standing();
    let words = rule(&standing, Strand::Slice).notches[1].words.to_string();
    assert!(words.ends_with("thin by 70 % of the tolerance, at the most 50 %"), "the worse side is told: {words}");
}

proptest! {
    /// A clean attempt added at the end never takes a standing notch away.
    #[test]
    fn one_more_good_attempt_never_takes_a_notch_away(
        history in proptest::collection::vec((0usize..4, any::<bool>(), any::<bool>(), 0usize..=10), 0..30),
        strand in 0usize..4,
    ) {
        let of = |(strand, stop, grip, inside): &(usize, bool, bool, usize)| {
            let piece = |index| PieceEvidence { inside: index < *inside, thickness_off: Some(0.1), width_off: None };
            AttemptEvidence { stop_fault: *stop, grip_ticked: *grip, pieces: (0..10).map(piece).collect(), ..good(Strand::ALL[*strand], DAY) }
        };
        let mut attempts: Vec<AttemptEvidence> = history.iter().map(of).collect();
        let before = asked(attempts.clone()).standing();
        attempts.push(good(Strand::ALL[strand], DAY));
        let after = asked(attempts).standing();
        for (one, other) in before.strands.iter().zip(&after.strands) {
            for (was, is) in one.notches.iter().zip(&other.notches) {
                let cut = |state: NotchState| matches!(state, NotchState::Cut { .. });
                prop_assert!(!cut(was.state) || cut(is.state), "{:?} {:?}", one.strand, was.kind);
            }
        }
        prop_assert!(after.evidence_clears.length >= before.evidence_clears.length);
    }

    /// What one strand says does not hang on the attempts of another.
    #[test]
    fn strands_do_not_touch_each_other(mine in proptest::collection::vec(any::<bool>(), 0..8), others in 0usize..12) {
        let own: Vec<AttemptEvidence> =
            mine.iter().map(|clean| AttemptEvidence { hold_ticked: *clean, ..good(Strand::Slice, DAY) }).collect();
        let alone = asked(own.clone()).standing();
        let among = asked([vec![good(Strand::Dice, DAY); others], own].concat()).standing();
        prop_assert_eq!(&rule(&alone, Strand::Slice).notches, &rule(&among, Strand::Slice).notches);
    }
}
