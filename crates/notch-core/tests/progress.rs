//! Notches, lapses and next steps, case by case.

use jiff::civil::{Date, date};
use notch_core::catalogue::{Catalogue, NotchKind, Strand};
use notch_core::progress::{AttemptEvidence, Cleared, NextKind, NotchState, PieceEvidence, Standing, StandingInput, standing};
use notch_core::units::Millimetres;
use proptest::prelude::*;

fn attempt(on: Date, strand: Strand) -> AttemptEvidence {
    let cut = match strand {
        Strand::Chop => "mince",
        Strand::Dice => "medium_dice",
        Strand::Julienne => "batonnet",
        Strand::Slice => "coins",
    };
    AttemptEvidence {
        id: 1,
        on,
        strand,
        cut: cut.to_owned(),
        stop_fault: false,
        grip_ticked: true,
        hold_ticked: true,
        pieces: pieces(10, 10, 0.1),
        cv: Some(0.08),
        even_cv: 0.15,
        seconds: Some(100.0),
        reference_seconds: Some(90.0),
    }
}

fn pieces(inside: usize, of: usize, off: f64) -> Vec<PieceEvidence> {
    (0..of).map(|i| PieceEvidence { inside: i < inside, thickness_off: Some(off), width_off: None }).collect()
}

fn stand(attempts: &[AttemptEvidence], today: Date) -> Standing {
    let catalogue = Catalogue::shipped().unwrap();
    standing(&StandingInput {
        catalogue: &catalogue,
        standard_set: "eighth",
        attempts,
        cleared: Cleared { length: Millimetres::whole(180), special: false },
        longest_blade: Millimetres::whole(400),
        today,
    })
}

fn notches(standing: &Standing, strand: Strand) -> String {
    let rule = standing.strands.iter().find(|rule| rule.strand == strand).unwrap();
    let sign = |state: &NotchState| match state {
        NotchState::Open => '.',
        NotchState::Cut { .. } => '#',
        NotchState::Lapsed { .. } => 'x',
    };
    rule.notches.iter().map(|notch| sign(&notch.state)).collect()
}

const DAY: Date = date(2026, 9, 8);

#[test]
fn safe_needs_three_clean_attempts_in_a_row() {
    let clean = attempt(DAY, Strand::Slice);
    let unticked = AttemptEvidence { grip_ticked: false, ..clean.clone() };
    assert_eq!(notches(&stand(&[clean.clone(), clean.clone()], DAY), Strand::Slice), ".....");
    assert_eq!(notches(&stand(&[clean.clone(), unticked, clean.clone()], DAY), Strand::Slice), ".....");
    assert_eq!(notches(&stand(&[clean.clone(), clean.clone(), clean], DAY), Strand::Slice), "####.");
}

#[test]
fn true_needs_the_proof_and_a_small_bias() {
    let with = |inside, off| {
        let one = AttemptEvidence { pieces: pieces(inside, 10, off), ..attempt(DAY, Strand::Slice) };
        notches(&stand(&[one.clone(), one.clone(), one], DAY), Strand::Slice)
    };
    assert_eq!(with(8, 0.1), "####.", "24 of 30 proves 62.7 %");
    assert_eq!(with(7, 0.1), "#....", "21 of 30 proves 52.1 %");
    assert_eq!(with(10, 0.5), "####.", "the edge of half the tolerance still counts");
    assert_eq!(with(10, 0.51), "#....");
    assert_eq!(with(10, -0.6), "#....", "too thin is as bad as too thick");
}

#[test]
fn only_the_last_thirty_blind_pieces_count() {
    let bad = AttemptEvidence { pieces: pieces(0, 30, 0.1), ..attempt(DAY, Strand::Slice) };
    let good = attempt(DAY, Strand::Slice);
    assert_eq!(notches(&stand(&[bad, good.clone(), good.clone(), good], DAY), Strand::Slice), "####.");
}

#[test]
fn even_and_paced_follow_their_thresholds() {
    let uneven = AttemptEvidence { cv: Some(0.16), ..attempt(DAY, Strand::Slice) };
    let good = attempt(DAY, Strand::Slice);
    assert_eq!(notches(&stand(&[good.clone(), good.clone(), uneven.clone()], DAY), Strand::Slice), "##...");
    assert_eq!(notches(&stand(&[uneven, good.clone(), good.clone()], DAY), Strand::Slice), "####.");
    let home = AttemptEvidence { cv: Some(0.24), even_cv: 0.25, ..good.clone() };
    assert_eq!(notches(&stand(&[home.clone(), home.clone(), home], DAY), Strand::Slice), "####.", "at home 0.25 is even");
    let slow = AttemptEvidence { seconds: Some(135.1), ..good.clone() };
    let just = AttemptEvidence { seconds: Some(135.0), ..good };
    assert_eq!(notches(&stand(&[slow.clone(), slow.clone(), slow], DAY), Strand::Slice), "###..");
    assert_eq!(notches(&stand(&[just.clone(), just.clone(), just], DAY), Strand::Slice), "####.");
}

#[test]
fn held_wants_all_of_it_again_two_weeks_later() {
    let early = attempt(DAY, Strand::Slice);
    let mut attempts = vec![early.clone(), early.clone(), early];
    let soon = attempt(date(2026, 9, 21), Strand::Slice);
    attempts.extend([soon.clone(), soon.clone(), soon]);
    assert_eq!(notches(&stand(&attempts, date(2026, 9, 21)), Strand::Slice), "####.", "13 days are too few");
    let later = attempt(date(2026, 9, 22), Strand::Slice);
    attempts.extend([later.clone(), later.clone()]);
    assert_eq!(notches(&stand(&attempts, date(2026, 9, 22)), Strand::Slice), "####.", "two clean attempts are not all of it");
    attempts.push(later);
    assert_eq!(notches(&stand(&attempts, date(2026, 9, 22)), Strand::Slice), "#####");
}

#[test]
fn a_stop_fault_closes_safe_and_all_that_stands_on_it_until_three_clean_attempts() {
    let good = attempt(DAY, Strand::Slice);
    let stop = AttemptEvidence { stop_fault: true, pieces: Vec::new(), ..good.clone() };
    let mut attempts = vec![good.clone(), good.clone(), good.clone(), stop];
    let standing = stand(&attempts, DAY);
    assert_eq!(notches(&standing, Strand::Slice), "xxxx.");
    assert_eq!(standing.next.kind, NextKind::SafeFirst);
    assert_eq!(notches(&standing, Strand::Chop), ".....", "other strands are not touched");
    attempts.extend([good.clone(), good.clone()]);
    assert_eq!(notches(&stand(&attempts, DAY), Strand::Slice), "xxxx.");
    attempts.push(good);
    assert_eq!(notches(&stand(&attempts, DAY), Strand::Slice), "####.");
}

#[test]
fn pieces_of_an_attempt_with_a_stop_fault_do_not_count() {
    let stop = AttemptEvidence { stop_fault: true, pieces: pieces(0, 30, 0.9), cv: Some(0.9), ..attempt(DAY, Strand::Slice) };
    let good = attempt(DAY, Strand::Slice);
    assert_eq!(notches(&stand(&[stop, good.clone(), good.clone(), good], DAY), Strand::Slice), "####.");
}

#[test]
fn the_next_step_follows_from_what_is_missing() {
    assert_eq!(stand(&[], DAY).next.kind, NextKind::Start);
    let in_strand = |attempts: &[AttemptEvidence], today| {
        stand(attempts, today).strands.into_iter().find(|rule| rule.strand == Strand::Julienne).unwrap().next
    };
    let good = attempt(DAY, Strand::Julienne);
    let three = |one: AttemptEvidence| vec![one.clone(), one.clone(), one];
    let repeat = in_strand(&three(AttemptEvidence { pieces: pieces(7, 10, 0.1), ..good.clone() }), DAY);
    assert_eq!(repeat.kind, NextKind::Repeat);
    assert!(repeat.reason.to_string().contains("21 of 30 inside proves 52 %, needs 60 %"), "{}", repeat.reason);
    let easier = in_strand(&three(AttemptEvidence { pieces: pieces(2, 10, 0.1), ..good.clone() }), DAY);
    assert_eq!((easier.kind, easier.cut.as_deref()), (NextKind::EasierCut, Some("baton")));
    let pace = in_strand(&three(AttemptEvidence { seconds: Some(300.0), ..good.clone() }), DAY);
    assert_eq!(pace.kind, NextKind::Pace);
    assert!(pace.reason.to_string().contains("5:00 against 2:15"), "{}", pace.reason);
    let harder = in_strand(&three(good.clone()), DAY);
    assert_eq!((harder.kind, harder.cut.as_deref()), (NextKind::HarderCut, Some("julienne")));
    assert_eq!(in_strand(&three(good), date(2026, 9, 22)).kind, NextKind::Hold);
}

#[test]
fn a_longer_blade_is_proposed_one_rung_at_a_time_and_never_beyond_the_age() {
    let both: Vec<AttemptEvidence> =
        [Strand::Slice, Strand::Chop].into_iter().flat_map(|strand| std::iter::repeat_n(attempt(DAY, strand), 3)).collect();
    let catalogue = Catalogue::shipped().unwrap();
    let input = StandingInput {
        catalogue: &catalogue,
        standard_set: "eighth",
        attempts: &both,
        cleared: Cleared { length: Millimetres::whole(100), special: false },
        longest_blade: Millimetres::whole(400),
        today: DAY,
    };
    let next = standing(&input).next;
    assert_eq!((next.kind, next.blade), (NextKind::LongerBlade, Some(Millimetres::whole(130))));
    let child = StandingInput {
        longest_blade: Millimetres::whole(130),
        cleared: Cleared { length: Millimetres::whole(130), special: false },
        ..input
    };
    assert_ne!(standing(&child).next.kind, NextKind::LongerBlade);
}

prop_compose! {
    fn any_attempt()(
        strand in 0usize..4, day in 0i64..40, stop in proptest::bool::weighted(0.1), grip in any::<bool>(), hold in any::<bool>(),
        inside in 0usize..=10, off in -2.0..2.0f64, cv in proptest::option::of(0.0..0.5f64), seconds in proptest::option::of(1.0..900.0f64),
    ) -> AttemptEvidence {
        AttemptEvidence {
            on: DAY.checked_add(jiff::SignedDuration::from_hours(24 * day)).unwrap(),
            stop_fault: stop, grip_ticked: grip, hold_ticked: hold, pieces: pieces(inside, 10, off), cv, seconds,
            ..attempt(DAY, Strand::ALL[strand])
        }
    }
}

proptest! {
    #[test]
    fn notches_are_cut_in_order_and_every_step_has_a_reason(mut attempts in proptest::collection::vec(any_attempt(), 0..60)) {
        attempts.sort_by_key(|attempt| attempt.on);
        let standing = stand(&attempts, date(2026, 12, 1));
        for rule in &standing.strands {
            let open = rule.notches.iter().position(|n| n.state == NotchState::Open).unwrap_or(5);
            prop_assert!(rule.notches[open..].iter().all(|n| n.state == NotchState::Open), "cut in order");
            prop_assert!(rule.notches.iter().all(|n| !n.words.is_empty()));
            prop_assert!(!rule.next.title.is_empty() && !rule.next.reason.is_empty());
            prop_assert_eq!(rule.notches.iter().map(|n| n.kind).collect::<Vec<_>>(), NotchKind::ALL.to_vec());
        }
        prop_assert!(!standing.next.title.is_empty());
    }
}
