//! A lesson on its rule of minutes, and what an exercise takes.

use crate::common::CATALOGUE;
use notch_core::catalogue::SegmentKind;
use notch_core::geometry::Way;
use notch_core::lesson::{
    ClassSize, ExerciseFigures, Fewer, FewerOf, MAX_MINUTES, PlannedSegment, Practised, TimeRule, WayOut, Worked,
    exercise_figures, first_segments, lay_out, rounds, with_practice_for,
};
use notch_core::people::Pace;
use notch_core::records::{Amount, Making, StoredSegment};
use proptest::prelude::*;

fn segment(kind: SegmentKind, minutes: u16) -> PlannedSegment {
    StoredSegment::of(kind, minutes).into()
}

fn practice(minutes: u16, needs: u16) -> PlannedSegment {
    PlannedSegment { needs: Some(needs), ..StoredSegment::practice(1, minutes).into() }
}

fn laid(minutes: u16, segments: &[PlannedSegment]) -> TimeRule {
    lay_out(&CATALOGUE, minutes, segments).unwrap()
}

#[test]
fn segments_follow_each_other_and_what_is_left_is_told() {
    let rule = laid(60, &[segment(SegmentKind::Arrival, 8), segment(SegmentKind::Demonstration, 12), practice(30, 20)]);
    let places: Vec<(u32, u32)> = rule.segments.iter().map(|each| (each.starts, each.ends)).collect();
    assert_eq!(places, [(0, 8), (8, 20), (20, 50)]);
    assert_eq!((rule.total, rule.over, rule.spare, rule.over_in), (50, 0, 10, None));
    assert_eq!(rule.words, "Fits, 10 min to spare");
    assert!(rule.ways_out.is_empty());
    assert_eq!(laid(50, &[practice(50, 20)]).words, "Fills its time exactly");
}

#[test]
fn the_segment_that_runs_over_is_named_and_only_its_share_is_over() {
    let rule = laid(40, &[segment(SegmentKind::Arrival, 10), practice(25, 20), segment(SegmentKind::CleanDown, 12)]);
    assert_eq!((rule.over, rule.over_in), (7, Some(2)));
    assert_eq!(rule.words, "Runs 7 min over, in Clean-down");
    assert_eq!(rule.segments.iter().map(|each| each.over).collect::<Vec<_>>(), [0, 0, 7]);
    let far = laid(20, &[practice(25, 20), segment(SegmentKind::CleanDown, 12)]);
    assert_eq!(far.segments.iter().map(|each| each.over).collect::<Vec<_>>(), [5, 12]);
    assert_eq!(far.over_in, Some(0));
}

#[test]
fn several_practices_are_numbered_and_one_is_not() {
    let names = |segments: &[PlannedSegment]| laid(200, segments).segments.into_iter().map(|each| each.name).collect::<Vec<_>>();
    assert_eq!(names(&[practice(20, 10)]), ["Practice"]);
    assert_eq!(
        names(&[practice(20, 10), segment(SegmentKind::Measuring, 10), practice(20, 10)]),
        ["Practice 1", "Measuring", "Practice 2"]
    );
}

#[test]
fn a_practice_that_is_too_short_for_its_exercise_says_by_how_much() {
    let rule = laid(100, &[practice(20, 26), practice(30, 26)]);
    assert_eq!(rule.segments.iter().map(|each| each.short_by).collect::<Vec<_>>(), [6, 0]);
}

fn minutes(way: &WayOut) -> Vec<u16> {
    way.segments.iter().map(|segment| segment.minutes).collect()
}

fn words(rule: &TimeRule) -> Vec<&str> {
    rule.ways_out.iter().map(|way| way.words.as_str()).collect()
}

#[test]
fn a_way_out_never_takes_what_an_exercise_needs_or_a_segment_must_have() {
    let segments = [segment(SegmentKind::Arrival, 8), practice(30, 28), segment(SegmentKind::Demonstration, 12)];
    let rule = laid(44, &segments);
    assert_eq!(rule.over, 6);
    // Arrival can give 3, the practice 2, the demonstration 7: only the last can give all six alone.
    assert_eq!(
        words(&rule),
        ["Take 6 min from Demonstration", "A little from several: 2 from Practice, 3 from Arrival, 1 from Demonstration"]
    );
    assert_eq!(minutes(&rule.ways_out[0]), [8, 30, 6]);
    assert_eq!(minutes(&rule.ways_out[1]), [5, 28, 11]);
    assert!(rule.ways_out.iter().all(|way| !way.reason.is_empty()));
    let tight = laid(30, &[segment(SegmentKind::Arrival, 8), practice(30, 30)]);
    assert_eq!(tight.over, 8);
    assert!(tight.ways_out.is_empty(), "nobody can give eight minutes: {:?}", tight.ways_out);
    assert_eq!(tight.words, "Runs 8 min over, in Practice; nothing that may be cut is enough");
}

#[test]
fn what_is_fixed_gives_nothing() {
    let guest = StoredSegment { own_name: Some("The cook of the ship".into()), ..StoredSegment::of(SegmentKind::Own, 15) };
    let of = |fixed| {
        laid(40, &[segment(SegmentKind::Demonstration, 20), StoredSegment { fixed, ..guest.clone() }.into(), practice(8, 8)])
    };
    let free = of(false);
    assert_eq!(free.segments[1].name, "The cook of the ship");
    assert_eq!(words(&free)[0], "Take 3 min from The cook of the ship", "what the cutting does not hang on gives first");
    assert!(words(&free).contains(&"Leave out The cook of the ship"));
    let fixed = of(true);
    assert_eq!((fixed.segments[1].gives, words(&fixed)), (0, vec!["Take 3 min from Demonstration"]));
}

/// Practice of an exercise that needs all its minutes, with what each could cut less.
fn needed(id: i64, title: &str, minutes: u16, fewer: Vec<Fewer>) -> PlannedSegment {
    let practised = Practised { title: title.to_owned(), basis: String::new(), own_minutes: false, fewer };
    PlannedSegment { needs: Some(minutes), practised: Some(practised), ..StoredSegment::practice(id, minutes).into() }
}

#[test]
fn what_is_dropped_first_is_least_missed_and_exercises_go_from_the_last() {
    let one = Fewer { amount: Amount::Units { count: 1 }, words: "one carrot for each in place of 2 carrots".into(), needs: 16 };
    let segments = [
        segment(SegmentKind::SafetyBriefing, 6),
        segment(SegmentKind::DryDrill, 4),
        needed(1, "Coins of cucumber", 20, Vec::new()),
        needed(2, "Julienne of carrot", 30, vec![one]),
        segment(SegmentKind::KnifeCount, 5),
    ];
    let little = laid(62, &segments);
    assert_eq!(
        words(&little),
        [
            "A little from several: 2 from Dry drill, 1 from Safety briefing",
            "Julienne of carrot: one carrot for each in place of 2 carrots",
            "Leave out Dry drill",
            "Leave out Julienne of carrot",
        ]
    );
    assert_eq!(little.ways_out[1].fewer, [FewerOf { exercise_id: 2, amount: Amount::Units { count: 1 } }]);
    assert_eq!(minutes(&little.ways_out[1]), [6, 4, 20, 27, 5], "no more is taken than is needed");
    assert_eq!((minutes(&little.ways_out[3]), &little.ways_out[3].leave_out), (vec![6, 4, 20, 5], &vec![2]));
    let far = laid(15, &segments);
    assert_eq!(words(&far), ["Leave out Julienne of carrot and Coins of cucumber"]);
    assert_eq!(far.ways_out[0].leave_out, [2, 1]);
    let close = laid(33, &segments);
    assert_eq!(words(&close), ["Leave out Julienne of carrot, and 2 from Dry drill"], "and a little beside it");
}

#[test]
fn three_segments_at_the_most_are_asked_to_give_all() {
    let segments: Vec<PlannedSegment> = (0..6).map(|index| segment(SegmentKind::Demonstration, 20 + index)).collect();
    let rule = laid(130, &segments);
    assert_eq!(rule.over, 5);
    assert_eq!(words(&rule).into_iter().filter(|words| words.starts_with("Take")).count(), 3);
    assert_eq!(minutes(&rule.ways_out[0]), [20, 21, 22, 23, 24, 20], "of alike ones the longest gives first");
}

#[test]
fn what_cannot_be_laid_out_is_told_at_its_field() {
    let pointers = |minutes, segments: &[PlannedSegment]| {
        let problems = lay_out(&CATALOGUE, minutes, segments).unwrap_err();
        problems.into_iter().map(|problem| problem.pointer).collect::<Vec<_>>()
    };
    assert_eq!(pointers(9, &[]), ["/minutes"]);
    assert_eq!(pointers(MAX_MINUTES + 1, &[]), ["/minutes"]);
    assert_eq!(pointers(60, &[segment(SegmentKind::Arrival, 0)]), ["/segments/0/minutes"]);
    assert_eq!(pointers(60, &[segment(SegmentKind::Arrival, 5), practice(MAX_MINUTES + 1, 1)]), ["/segments/1/minutes"]);
    let named = StoredSegment { own_name: Some(" ".into()), ..StoredSegment::of(SegmentKind::Own, 5) };
    assert_eq!(pointers(60, &[named.into()]), ["/segments/0/own_name"]);
    assert_eq!(pointers(60, &vec![segment(SegmentKind::Arrival, 1); 41]), ["/segments"]);
    let misplaced = StoredSegment { exercise_id: Some(4), ..StoredSegment::of(SegmentKind::Honing, 5) }.into();
    assert_eq!(pointers(60, &[misplaced]), ["/segments/0/exercise_id"]);
}

#[test]
fn a_new_lesson_has_every_segment_but_practice() {
    let first = first_segments(&CATALOGUE, 110);
    assert!(first.iter().all(|segment| segment.kind != SegmentKind::Practice && segment.exercise_id.is_none()));
    assert_eq!(first.len() + 2, CATALOGUE.segments.len(), "nor a part of its own");
}

#[test]
fn practice_for_an_exercise_goes_where_practice_belongs() {
    let usual = CATALOGUE.segment(SegmentKind::Practice).unwrap().minutes;
    let kinds = |segments: &[StoredSegment]| segments.iter().map(|segment| segment.kind).collect::<Vec<_>>();
    let first = with_practice_for(&CATALOGUE, &first_segments(&CATALOGUE, 110), 7, None);
    let place = kinds(&first).iter().position(|kind| *kind == SegmentKind::Practice).unwrap();
    assert!(first[..place].iter().all(|segment| !segment.kind.follows_practice()), "after what comes before it");
    assert!(first[place + 1..].iter().all(|segment| segment.kind.follows_practice()), "before what comes after it");
    assert_eq!((first[place].minutes, first[place].exercise_id), (usual, Some(7)));
    let second = with_practice_for(&CATALOGUE, &first, 8, Some(usual + 9));
    assert_eq!((second[place + 1].exercise_id, second[place + 1].minutes), (Some(8), usual + 9), "behind the first");
    assert_eq!(second[place], first[place]);
    let guest = [StoredSegment::of(SegmentKind::Own, 5), StoredSegment::of(SegmentKind::Arrival, 5)];
    assert_eq!(
        kinds(&with_practice_for(&CATALOGUE, &guest, 1, None)).last(),
        Some(&SegmentKind::Practice),
        "an own part may come first"
    );
    let short = with_practice_for(&CATALOGUE, &first, 8, Some(3));
    assert_eq!(short[place + 1].minutes, usual, "never under the usual");
    let empty = StoredSegment::of(SegmentKind::Practice, 44);
    let filled = with_practice_for(&CATALOGUE, &[empty], 9, Some(25));
    assert_eq!(filled, [StoredSegment::practice(9, 25)]);
    assert_eq!(kinds(&with_practice_for(&CATALOGUE, &[], 1, None)), [SegmentKind::Practice]);
}

const fn class(students: u32, boards: u32, knives: u32) -> ClassSize {
    ClassSize { students, boards, knives, watched: None }
}

#[test]
fn a_class_takes_turns_at_the_boards_and_the_knives_there_are() {
    for (size, expected) in [
        (class(16, 16, 16), 1),
        (class(16, 8, 16), 2),
        (class(16, 16, 5), 4),
        (class(17, 8, 16), 3),
        (class(1, 1, 1), 1),
        (class(0, 8, 8), 0),
        (class(16, 16, 0), 0),
        (class(16, 0, 16), 0),
    ] {
        assert_eq!(rounds(size), expected, "{size:?}");
    }
    assert_eq!(rounds(ClassSize { watched: Some(6), ..class(16, 16, 16) }), 3, "as many as are watched");
    assert_eq!(rounds(ClassSize { watched: Some(40), ..class(16, 16, 16) }), 1);
}

fn figures(food: &str, cut: &str, amount: Amount, size: ClassSize, own_minutes: Option<f64>) -> ExerciseFigures {
    let (food, cut) = (CATALOGUE.food(food).unwrap(), CATALOGUE.cut(cut).unwrap());
    let target = CATALOGUE.target_of("eighth", cut, food).unwrap();
    let peeled = Making::default().peeled(food, cut);
    let work = Worked { bought: food, peeled: &peeled, cut, target: &target, way: Way::Squared };
    exercise_figures(work, amount, size, Pace::Learner, own_minutes, &CATALOGUE.handling)
}

#[test]
fn food_is_bought_for_each_student_for_showing_and_a_tenth_to_spare() {
    let one = figures("carrot", "julienne", Amount::Units { count: 2 }, class(16, 16, 16), None);
    assert_eq!((one.units_each, one.units_students, one.units_demonstration), (2.0, 32, 1));
    assert_eq!((one.units_spare, one.units_total), (4, 37), "a tenth of 32, rounded up");
    let grams = CATALOGUE.food("carrot").unwrap().grams();
    assert!((one.grams_total - 37.0 * grams).abs() < 1e-6);
    let few = figures("carrot", "julienne", Amount::Units { count: 1 }, class(3, 3, 3), None);
    assert_eq!((few.units_spare, few.units_total), (1, 5), "at least one to spare");
}

#[test]
fn pieces_are_made_from_as_many_foods_as_it_takes() {
    let per_unit = figures("carrot", "julienne", Amount::Units { count: 1 }, class(1, 1, 1), None).pieces_per_unit.unwrap();
    for (pieces, units) in [(1, 1), (per_unit, 1), (per_unit + 1, 2), (per_unit * 3, 3)] {
        let count = u16::try_from(pieces).unwrap();
        let found = figures("carrot", "julienne", Amount::Pieces { count }, class(1, 1, 1), None);
        assert_eq!((found.units_each, found.pieces_each), (f64::from(units), Some(units * per_unit)), "{pieces} pieces");
    }
}

#[test]
fn minutes_are_worked_out_or_the_instructors_own() {
    let amount = Amount::Units { count: 1 };
    let computed = figures("carrot", "julienne", amount, class(16, 16, 16), None);
    assert!(computed.minutes_each.unwrap() > 0.0);
    assert_eq!(computed.minutes_needed, Some(computed.minutes_each.unwrap().ceil() as u16));
    let own = figures("carrot", "julienne", amount, class(16, 8, 16), Some(10.0));
    assert_eq!((own.minutes_each, own.rounds, own.minutes_needed), (Some(10.0), 2, Some(21)), "one minute to change over");
    assert_eq!(figures("carrot", "julienne", amount, class(16, 16, 0), Some(10.0)).minutes_needed, None, "no knife, no time");
    let endless = figures("carrot", "julienne", amount, class(600, 1, 1), Some(240.0));
    assert_eq!(endless.minutes_needed, Some(MAX_MINUTES));
}

proptest! {
    #[test]
    fn more_students_never_need_less(students in 1u32..60, more in 0u32..60, boards in 1u32..20, knives in 1u32..20, count in 1u16..200) {
        let of = |students| figures("carrot", "julienne", Amount::Pieces { count }, class(students, boards, knives), Some(4.0));
        let (few, many) = (of(students), of(students + more));
        prop_assert!(many.units_total >= few.units_total && many.rounds >= few.rounds);
        prop_assert!(many.minutes_needed >= few.minutes_needed);
        prop_assert!(many.grams_total >= few.grams_total);
    }

    #[test]
    fn every_way_out_ends_exactly_at_the_end(minutes in proptest::collection::vec(6u16..40, 1..9), cut in 1u16..12) {
        let segments: Vec<PlannedSegment> = minutes.iter().map(|minutes| segment(SegmentKind::Demonstration, *minutes)).collect();
        let total: u16 = minutes.iter().sum();
        let lesson = total.saturating_sub(cut).max(10);
        let rule = laid(lesson, &segments);
        for way in &rule.ways_out {
            let after: Vec<u16> = way.segments.iter().map(|segment| segment.minutes).collect();
            prop_assert_eq!(after.iter().map(|minutes| u32::from(*minutes)).sum::<u32>(), u32::from(lesson), "{}", &way.words);
            prop_assert!(after.iter().zip(&minutes).all(|(after, before)| after <= before));
        }
    }
}
