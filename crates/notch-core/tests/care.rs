//! Wear, what is due, and what deeds say of an edge.

use crate::common::{self, CATALOGUE};
use jiff::civil::date;
use notch_core::care::{CareDeed, CareFields, CareHistory, DueKind, Use, Wear, due, own_angle, wear};
use notch_core::catalogue::{Doctrines, Habit, HoningAngle, PullThrough, SteelOrStone};
use notch_core::records::{Bolster, EdgeState, KnifeFields};
use notch_core::units::{Degrees, Millimetres};
use proptest::prelude::*;

fn knife(kind: &str, edge_state: EdgeState) -> KnifeFields {
    KnifeFields { heel_height: Millimetres::whole(45), edge_state, ..common::knife(1, kind).fields }
}

fn worn(board_minutes: f64) -> CareHistory {
    let day = date(2026, 10, 6);
    CareHistory {
        honed_on: Some(day),
        tested_on: Some(day),
        used_from: Some(date(2026, 9, 30)),
        wear: Wear { board_minutes, habit_minutes: 0.0 },
        ..CareHistory::default()
    }
}

fn found(kind: &str, fields: &KnifeFields, history: &CareHistory, doctrines: Doctrines, class_today: bool) -> Vec<DueKind> {
    let kind = CATALOGUE.knife(kind).unwrap();
    due(&CATALOGUE, (kind, fields), history, &doctrines, date(2026, 10, 6), class_today).into_iter().map(|due| due.what).collect()
}

#[test]
fn the_stone_is_due_by_wear_or_by_days_and_overdue_by_more_wear() {
    let sharp = knife("chefs", EdgeState::Sharp);
    let at = |minutes: f64| found("chefs", &sharp, &worn(minutes), Doctrines::default(), true);
    assert_eq!(at(100.0), []);
    assert_eq!(at(240.0), [DueKind::StoneThisWeek]);
    assert_eq!(at(480.0), [DueKind::StoneNow]);
    let long_ago = CareHistory { used_from: Some(date(2026, 8, 20)), ..worn(10.0) };
    assert_eq!(found("chefs", &sharp, &long_ago, Doctrines::default(), false), [DueKind::StoneThisWeek]);
    let unused = CareHistory { used_from: None, ..worn(0.0) };
    assert_eq!(found("chefs", &sharp, &unused, Doctrines::default(), false), []);
}

#[test]
fn teeth_are_replaced_or_sent_out_and_never_steeled() {
    let teeth = knife("bread", EdgeState::Sharp);
    let fresh = CareHistory { wear: Wear { board_minutes: 1600.0, habit_minutes: 0.0 }, ..CareHistory::default() };
    assert_eq!(found("bread", &teeth, &fresh, Doctrines::default(), true), [DueKind::SendOut, DueKind::TestToday]);
}

#[test]
fn a_class_day_asks_for_steel_and_test_and_a_school_may_leave_the_steel() {
    let sharp = knife("chefs", EdgeState::Sharp);
    let none = CareHistory::default();
    assert_eq!(found("chefs", &sharp, &none, Doctrines::default(), true), [DueKind::HoneToday, DueKind::TestToday]);
    let stone = Doctrines { steel_or_stone: SteelOrStone::Stone, ..Doctrines::default() };
    assert_eq!(found("chefs", &sharp, &none, stone, true), [DueKind::TestToday]);
    let steel = Doctrines { steel_or_stone: SteelOrStone::Steel, ..Doctrines::default() };
    assert_eq!(found("chefs", &sharp, &worn(500.0), steel, true), [DueKind::SendOut]);
    assert_eq!(found("chefs", &knife("chefs", EdgeState::Dull), &none, Doctrines::default(), true), [DueKind::Failed]);
    let away = CareHistory { away: true, ..CareHistory::default() };
    assert_eq!(found("chefs", &knife("chefs", EdgeState::Dull), &away, Doctrines::default(), true), [DueKind::Away]);
}

#[test]
fn a_full_bolster_is_told_where_the_stone_is_due() {
    let fields = KnifeFields { bolster: Bolster::Full, ..knife("chefs", EdgeState::Sharp) };
    let kind = CATALOGUE.knife("chefs").unwrap();
    let told = due(&CATALOGUE, (kind, &fields), &worn(300.0), &Doctrines::default(), date(2026, 10, 6), false);
    assert!(told[0].why.contains("does not reach the heel"), "{told:?}");
}

#[test]
fn tests_decide_and_honing_says_nothing() {
    let state = |deed: CareDeed| deed.edge_state(&CATALOGUE);
    assert_eq!(state(CareDeed::PaperTest { clean: 3 }), Some(EdgeState::Sharp));
    assert_eq!(state(CareDeed::PaperTest { clean: 2 }), Some(EdgeState::Dull));
    assert_eq!(state(CareDeed::TomatoTest { passed: false }), Some(EdgeState::Dull));
    assert_eq!(state(CareDeed::Stone { angle: None, strokes: 10, grits: vec![1000] }), None);
    assert_eq!(state(CareDeed::CameBack), Some(EdgeState::Dull), "it is tested before class");
}

#[test]
fn a_pull_through_is_recorded_with_its_cost_or_refused_by_the_school() {
    let kind = CATALOGUE.knife("chefs").unwrap();
    let day = date(2026, 10, 6);
    let fields = CareFields { deed: CareDeed::Habit { habit: Habit::PullThrough }, on_day: day, words: String::new() };
    assert!(fields.check(&CATALOGUE, kind, &Doctrines::default(), day).is_empty());
    assert!(fields.warnings(&CATALOGUE, kind)[0].contains("ragged edge"));
    let never = Doctrines { pull_through: PullThrough::Never, ..Doctrines::default() };
    assert_eq!(fields.check(&CATALOGUE, kind, &never, day)[0].pointer, "/habit");
}

#[test]
fn the_angle_is_the_knifes_own_or_the_schools() {
    let kind = CATALOGUE.knife("chefs").unwrap();
    let own = Degrees::new(16.0).ok();
    let folded = Doctrines { honing_angle: HoningAngle::Fold, ..Doctrines::default() };
    assert_eq!(own_angle(kind, own, &Doctrines::default()), own);
    assert_eq!(own_angle(kind, None, &Doctrines::default()).map(Degrees::get), Some(17.5));
    assert_eq!(own_angle(kind, own, &folded).map(Degrees::get), Some(22.5));
    assert_eq!(own_angle(CATALOGUE.knife("bread").unwrap(), own, &folded), None);
}

proptest! {
    #[test]
    fn more_use_firmer_food_and_harder_boards_never_wear_less(minutes in 0.0f64..500.0, more in 0.0f64..500.0, firmness in 1u8..5, board in 0.5f64..6.0) {
        let of = |minutes, firmness, board_wear| wear(&CATALOGUE, [Use { minutes, firmness, board_wear }], []).total();
        prop_assert!(of(minutes + more, firmness, board) >= of(minutes, firmness, board));
        prop_assert!(of(minutes, firmness + 1, board) >= of(minutes, firmness, board));
        prop_assert!(of(minutes, firmness, board * 2.0) >= of(minutes, firmness, board));
    }

    #[test]
    fn what_is_no_number_wears_nothing(minutes in prop_oneof![Just(f64::NAN), Just(f64::INFINITY), Just(-5.0)]) {
        prop_assert_eq!(wear(&CATALOGUE, [Use { minutes, firmness: 3, board_wear: 1.0 }], []).total(), 0.0);
    }
}
