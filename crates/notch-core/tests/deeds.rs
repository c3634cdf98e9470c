//! What may be written down of a knife, and what is said of it.

use crate::common::CATALOGUE;
use jiff::civil::{Date, date};
use notch_core::care::{CareDeed, CareFields, CareHistory, DueKind, Wear, due, wear};
use notch_core::catalogue::{Doctrines, Habit, KnifeType, PullThrough, SteelOrStone};
use notch_core::records::{EdgeState, KnifeFields};
use notch_core::units::Degrees;

const TODAY: Date = date(2026, 10, 6);

fn kind(id: &str) -> &'static KnifeType {
    CATALOGUE.knife(id).unwrap()
}

fn degrees(angle: f64) -> Option<Degrees> {
    Some(Degrees::new(angle).unwrap())
}

fn fields(deed: CareDeed) -> CareFields {
    CareFields { deed, on_day: TODAY, words: String::new() }
}

/// Pointers of what is refused.
fn refused(id: &str, fields: &CareFields) -> Vec<String> {
    fields.check(&CATALOGUE, kind(id), &Doctrines::default(), TODAY).into_iter().map(|problem| problem.pointer).collect()
}

#[test]
fn strokes_angles_and_grits_have_their_ranges() {
    let hone = |strokes, angle| fields(CareDeed::Hone { angle, strokes });
    let stone = |strokes, angle, grits: &[u32]| fields(CareDeed::Stone { angle, strokes, grits: grits.to_vec() });
    let most = CATALOGUE.care.angle.most;
    let least = CATALOGUE.care.angle.least;
    let cases = [
        (hone(1, None), &[][..]),
        (hone(50, degrees(most)), &[]),
        (hone(0, None), &["/strokes"]),
        (hone(51, None), &["/strokes"]),
        (hone(4, degrees(most + 0.5)), &["/angle"]),
        (hone(4, degrees(least)), &[]),
        (hone(4, degrees(least - 0.5)), &["/angle"]),
        (stone(200, degrees(15.0), &[1000, 6000]), &[]),
        (stone(201, None, &[1000]), &["/strokes"]),
        (stone(10, None, &[]), &["/grits"]),
        (stone(10, None, &[400, 1000, 3000, 6000]), &[]),
        (stone(10, None, &[400, 800, 1000, 3000, 6000]), &["/grits"]),
        (stone(10, None, &[80, 30_000]), &[]),
        (stone(10, None, &[1000, 79]), &["/grits/1"]),
        (stone(0, None, &[30_001]), &["/strokes", "/grits/0"]),
    ];
    for (fields, expected) in cases {
        assert_eq!(refused("chefs", &fields), expected, "{:?}", fields.deed);
    }
}

#[test]
fn teeth_meet_neither_steel_nor_stone() {
    let hone = fields(CareDeed::Hone { angle: None, strokes: 4 });
    let stone = fields(CareDeed::Stone { angle: None, strokes: 10, grits: vec![1000] });
    for fields in [&hone, &stone] {
        assert_eq!(refused("bread", fields), ["/kind"], "{:?}", fields.deed);
        assert_eq!(refused("chefs", fields), [""; 0]);
    }
    for deed in [CareDeed::SentOut, CareDeed::CameBack, CareDeed::PaperTest { clean: 3 }, CareDeed::TomatoTest { passed: true }] {
        assert_eq!(refused("bread", &fields(deed)), [""; 0]);
    }
}

#[test]
fn nothing_is_written_down_ahead_of_time_and_an_incident_needs_words() {
    let tomorrow = CareFields { on_day: date(2026, 10, 7), ..fields(CareDeed::SentOut) };
    assert_eq!(refused("chefs", &tomorrow), ["/on_day"]);
    assert_eq!(refused("chefs", &CareFields { on_day: TODAY, ..tomorrow }), [""; 0]);
    assert_eq!(refused("chefs", &fields(CareDeed::Incident)), ["/words"]);
    let told = CareFields { words: "dropped, tip bent".into(), ..fields(CareDeed::Incident) };
    assert_eq!(refused("chefs", &told), [""; 0]);
    let long = CareFields { words: "x".repeat(201), ..fields(CareDeed::SentOut) };
    assert_eq!(refused("chefs", &long), ["/words"]);
    assert_eq!(refused("chefs", &CareFields { words: "x".repeat(200), ..long }), [""; 0]);
}

#[test]
fn a_paper_test_has_as_many_cuts_as_the_school_makes() {
    let cuts = CATALOGUE.care.test.paper_cuts;
    for clean in 0..=cuts {
        let deed = CareDeed::PaperTest { clean };
        assert_eq!(refused("chefs", &fields(deed.clone())), [""; 0]);
        let state = if clean == cuts { EdgeState::Sharp } else { EdgeState::Dull };
        assert_eq!(deed.edge_state(&CATALOGUE), Some(state), "{clean} clean");
    }
    assert_eq!(refused("chefs", &fields(CareDeed::PaperTest { clean: cuts + 1 })), ["/clean"]);
}

#[test]
fn too_many_strokes_and_single_bevels_are_warned_of() {
    let warned = |id: &str, deed: CareDeed| fields(deed).warnings(&CATALOGUE, kind(id));
    let (from, to) = (CATALOGUE.care.hone.strokes_from, CATALOGUE.care.hone.strokes_to);
    for strokes in [from, to] {
        assert_eq!(warned("chefs", CareDeed::Hone { angle: None, strokes }), [""; 0]);
    }
    for strokes in [from - 1, to + 1] {
        assert!(warned("chefs", CareDeed::Hone { angle: None, strokes })[0].contains("are enough"));
    }
    let single = warned("single_bevel_slicer", CareDeed::Hone { angle: None, strokes: from });
    assert!(single[0].contains("not steeled"), "{single:?}");
    let ground = warned("single_bevel_slicer", CareDeed::Stone { angle: None, strokes: 10, grits: vec![1000] });
    assert!(ground[0].contains("One side only"), "{ground:?}");
}

#[test]
fn every_habit_has_its_cost_and_its_reason() {
    for habit in CATALOGUE.care.habit.keys() {
        let deed = CareDeed::Habit { habit: *habit };
        assert!(wear(&CATALOGUE, [], [(*habit, 1)]).habit_minutes > 0.0, "{habit:?}");
        assert_eq!(wear(&CATALOGUE, [], [(*habit, 0)]).total(), 0.0);
        let warned = fields(deed.clone()).warnings(&CATALOGUE, kind("chefs"));
        assert!(warned.len() == 1 && warned[0].ends_with('.'), "{habit:?}: {warned:?}");
        assert!(!deed.words(&CATALOGUE).contains('_'), "{}", deed.words(&CATALOGUE));
    }
}

#[test]
fn a_school_may_forbid_the_pull_through_and_nothing_else_with_it() {
    let never = Doctrines { pull_through: PullThrough::Never, ..Doctrines::default() };
    for habit in CATALOGUE.care.habit.keys() {
        let fields = fields(CareDeed::Habit { habit: *habit });
        let problems = fields.check(&CATALOGUE, kind("chefs"), &never, TODAY);
        assert_eq!(!problems.is_empty(), *habit == Habit::PullThrough, "{habit:?}");
    }
}

#[test]
fn deeds_are_told_in_words() {
    let told = |deed: CareDeed| deed.words(&CATALOGUE);
    assert_eq!(told(CareDeed::Hone { angle: degrees(17.0), strokes: 5 }), "honed, 5 strokes a side at 17°");
    assert_eq!(told(CareDeed::Hone { angle: None, strokes: 4 }), "honed, 4 strokes a side");
    let stone = CareDeed::Stone { angle: degrees(15.0), strokes: 12, grits: vec![1000, 6000] };
    assert_eq!(told(stone), "stone, 12 strokes a side at 15°, grits 1000 and 6000");
    assert_eq!(told(CareDeed::PaperTest { clean: 3 }), "passed the paper test, 3 of 3 clean");
    assert_eq!(told(CareDeed::PaperTest { clean: 1 }), "failed the paper test, 1 of 3 clean");
    assert_eq!(told(CareDeed::TomatoTest { passed: false }), "failed the tomato test");
}

#[test]
fn what_is_due_is_told_in_the_order_in_which_it_matters() {
    let knife = |edge_state| KnifeFields { edge_state, ..crate::common::rack()[0].fields.clone() };
    let kind = kind(&crate::common::rack()[0].fields.knife_type);
    let worn = CareHistory {
        used_from: Some(date(2026, 9, 1)),
        wear: Wear { board_minutes: 500.0, habit_minutes: 40.0 },
        ..CareHistory::default()
    };
    let found = due(&CATALOGUE, (kind, &knife(EdgeState::Sharp)), &worn, &Doctrines::default(), TODAY, true);
    let kinds: Vec<DueKind> = found.iter().map(|due| due.what).collect();
    assert_eq!(kinds, [DueKind::StoneNow, DueKind::HoneToday, DueKind::TestToday]);
    assert!(
        found[0].why.contains("540 board minutes") && found[0].why.contains("40 of them from bad habits"),
        "{}",
        found[0].why
    );
    assert!(found.is_sorted_by_key(|due| due.what));
    let failed = due(&CATALOGUE, (kind, &knife(EdgeState::Dull)), &worn, &Doctrines::default(), TODAY, true);
    assert_eq!(failed.iter().map(|due| due.what).collect::<Vec<_>>(), [DueKind::Failed], "it is in no class");
    assert!(failed[0].why.contains("to the stone"));
    let steel = Doctrines { steel_or_stone: SteelOrStone::Steel, ..Doctrines::default() };
    let sent = due(&CATALOGUE, (kind, &knife(EdgeState::Dull)), &worn, &steel, TODAY, true);
    assert!(sent[0].why.contains("replace it or send it out"), "{}", sent[0].why);
}

#[test]
fn what_was_done_today_is_not_asked_for_again() {
    let knife = crate::common::rack()[0].fields.clone();
    let kind = kind(&knife.knife_type);
    let due_with = |history: &CareHistory, class_today| {
        let found = due(&CATALOGUE, (kind, &knife), history, &Doctrines::default(), TODAY, class_today);
        found.into_iter().map(|due| due.what).collect::<Vec<_>>()
    };
    let honed = CareHistory { honed_on: Some(TODAY), ..CareHistory::default() };
    let tested = CareHistory { tested_on: Some(TODAY), ..CareHistory::default() };
    let yesterday =
        CareHistory { honed_on: Some(date(2026, 10, 5)), tested_on: Some(date(2026, 10, 5)), ..CareHistory::default() };
    assert_eq!(due_with(&honed, true), [DueKind::TestToday]);
    assert_eq!(due_with(&tested, true), [DueKind::HoneToday]);
    assert_eq!(due_with(&yesterday, true), [DueKind::HoneToday, DueKind::TestToday]);
    assert_eq!(due_with(&yesterday, false), [], "on a day without a class nothing is asked");
}
