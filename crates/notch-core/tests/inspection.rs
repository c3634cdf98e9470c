//! The buying check: what speaks for a knife and against it.

use crate::common::{CATALOGUE, course, knife, mm, rack, student};
use notch_core::Problem;
use notch_core::at_hand::AtHand;
use notch_core::care::{CareDeed, Inspected, Rivets, Steel};
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{Bolster, Exercise, Knife, Tang};
use notch_core::views::{InspectionPoint, InspectionQuestion, InspectionView, Says, inspection_view};
use proptest::prelude::*;

fn balance(mm: f64) -> Inspected {
    serde_json::from_value(serde_json::json!({ "balance": mm })).unwrap()
}

/// Looked over from all sides, and nothing against it.
fn sound() -> Inspected {
    Inspected {
        straight: Some(true),
        flat: Some(true),
        rivets: Some(Rivets::Flush),
        steel: Some(Steel::Stainless),
        hand_length: Some(mm(185.0)),
        hand: Some(Hand::Right),
        ..balance(12.0)
    }
}

fn look(knives: &[Knife], exercises: &[Exercise], question: &InspectionQuestion) -> Result<InspectionView, Vec<Problem>> {
    let (course, students) = (course(AgeBand::Adult), [student("Ivo", Hand::Right, &[])]);
    inspection_view(&AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives }, exercises, question)
}

fn asked(kind: &str, seen: Inspected) -> InspectionQuestion {
    let mut knife = knife(90, kind).fields;
    knife.number = String::new();
    InspectionQuestion { knife, knife_id: None, seen }
}

/// Only its cut and its food matter here.
fn exercise((cut, food): (&str, &str)) -> Exercise {
    let fields = serde_json::from_value(serde_json::json!({
        "food": food, "cut": cut, "knife_type": "chefs", "knife_length": 200, "grip": "pinch", "hold": "claw", "motion": "push",
        "third": "middle", "amount": { "kind": "pieces", "count": 20 }, "own_minutes": null,
    }));
    Exercise {
        id: 1,
        lesson_id: 1,
        version: 1,
        archived: false,
        pinned: true,
        kept_warnings: Vec::new(),
        fields: fields.unwrap(),
    }
}

fn says(view: &InspectionView, point: InspectionPoint) -> Says {
    view.findings.iter().find(|finding| finding.point == point).unwrap().says
}

fn told(view: &InspectionView, point: InspectionPoint) -> String {
    view.findings.iter().find(|finding| finding.point == point).unwrap().words.to_string()
}

#[test]
fn what_was_not_looked_at_is_asked_for_and_a_fault_is_a_reason_to_leave_it() {
    let nothing = look(&rack(), &[], &asked("chefs", Inspected::default())).unwrap();
    assert_eq!(nothing.says, Says::NotSeen);
    assert!(
        nothing.words.to_string().contains("Still to look at: edge, blade, rivets, balance, hand, sharpening, price"),
        "{}",
        nothing.words
    );
    assert!(told(&nothing, InspectionPoint::Edge).contains("Never a finger along it"), "the caution stands where one looks");

    let bent = look(&rack(), &[], &asked("chefs", Inspected { straight: Some(false), ..sound() })).unwrap();
    assert_eq!((bent.says, bent.words.to_string().as_str()), (Says::Leave, "Leave it: edge."));
    for seen in [Inspected { flat: Some(false), ..sound() }, Inspected { rivets: Some(Rivets::Gaps), ..sound() }] {
        assert_eq!(look(&rack(), &[], &asked("chefs", seen)).unwrap().says, Says::Leave, "{seen:?}");
    }
    let proud = look(&rack(), &[], &asked("chefs", Inspected { rivets: Some(Rivets::Proud), ..sound() })).unwrap();
    assert_eq!(says(&proud, InspectionPoint::Rivets), Says::Mind);
}

#[test]
fn the_balance_is_shown_against_the_pinch() {
    for (kind, from_heel, expected) in [
        ("chefs", 12.0, Says::Good),
        ("chefs", -8.0, Says::Good),
        ("chefs", 48.0, Says::Mind),
        ("chefs", -30.0, Says::Mind),
        ("cleaver", 60.0, Says::Good),
        ("paring", -30.0, Says::Good),
    ] {
        let view = look(&rack(), &[], &asked(kind, Inspected { ..balance(from_heel) })).unwrap();
        assert_eq!(says(&view, InspectionPoint::Balance), expected, "{kind} at {from_heel}");
        let heel = view.silhouette.heel.get();
        assert_eq!(view.pinch, [heel - 25.0, heel]);
        assert!((view.balance.unwrap() - (heel - from_heel)).abs() < 1e-9);
    }
}

#[test]
fn hand_tang_bolster_and_steel_are_weighed_for_this_knife() {
    let small = |kind: &str, length: f64| {
        let mut question = asked(kind, Inspected { hand_length: Some(mm(165.0)), ..sound() });
        question.knife.length = mm(length);
        look(&rack(), &[], &question).unwrap()
    };
    assert_eq!(says(&small("chefs", 180.0), InspectionPoint::Hand), Says::Good);
    assert_eq!(says(&small("chefs", 270.0), InspectionPoint::Hand), Says::Leave, "much too long");
    let mut left = asked("single_bevel_slicer", Inspected { hand: Some(Hand::Left), ..sound() });
    left.knife.hand = Some(Hand::Right);
    assert_eq!(says(&look(&rack(), &[], &left).unwrap(), InspectionPoint::Hand), Says::Leave, "ground for the other hand");

    let made = |kind: &str, bolster, tang, steel| {
        let mut question = asked(kind, Inspected { steel: Some(steel), ..sound() });
        (question.knife.bolster, question.knife.tang) = (bolster, tang);
        look(&rack(), &[], &question).unwrap()
    };
    let full = made("chefs", Bolster::Full, Tang::Full, Steel::Carbon);
    assert_eq!(says(&full, InspectionPoint::Sharpening), Says::Mind);
    assert!(told(&full, InspectionPoint::Sharpening).contains("stops the heel"));
    assert_eq!(says(&made("chefs", Bolster::Half, Tang::Full, Steel::Carbon), InspectionPoint::Sharpening), Says::Good);
    assert_eq!(says(&made("chefs", Bolster::None, Tang::Full, Steel::Hard), InspectionPoint::Sharpening), Says::Mind);
    assert_eq!(says(&made("bread", Bolster::None, Tang::Full, Steel::Stainless), InspectionPoint::Sharpening), Says::Mind);
    assert_eq!(says(&made("paring", Bolster::None, Tang::Partial, Steel::Carbon), InspectionPoint::Tang), Says::Mind);
    assert_eq!(says(&made("cleaver", Bolster::None, Tang::Partial, Steel::Carbon), InspectionPoint::Tang), Says::Leave);
}

#[test]
fn a_price_is_weighed_against_what_the_knife_adds_to_the_course() {
    let exercises: Vec<Exercise> = [("julienne", "carrot"), ("batonnet", "potato"), ("slice", "bread")].map(exercise).into();
    let chefs = vec![knife(1, "chefs")];
    let priced = |kind: &str, cost: f64| {
        let mut question = asked(kind, sound());
        question.knife.cost = Some(cost);
        question
    };
    let bread = look(&chefs, &exercises, &priced("bread", 40.0)).unwrap();
    assert_eq!(says(&bread, InspectionPoint::Price), Says::Good);
    assert!(told(&bread, InspectionPoint::Price).contains("nothing on the rack does"), "{bread:?}");
    assert!(told(&bread, InspectionPoint::Price).contains("40.00 for each"), "one cut for the whole price");

    let same = look(&chefs, &exercises, &priced("chefs", 60.0)).unwrap();
    assert_eq!(says(&same, InspectionPoint::Price), Says::Mind);
    assert!(told(&same, InspectionPoint::Price).starts_with("Adds nothing"), "{}", told(&same, InspectionPoint::Price));
    // A knife that is on the rack already is not weighed against itself.
    let own = InspectionQuestion { knife_id: Some(1), ..priced("chefs", 60.0) };
    let own = look(&chefs, &exercises, &own).unwrap();
    assert_eq!(says(&own, InspectionPoint::Price), Says::Good, "{}", told(&own, InspectionPoint::Price));
    let free = InspectionQuestion { knife: asked("chefs", sound()).knife, ..priced("chefs", 1.0) };
    assert!(told(&look(&chefs, &exercises, &free).unwrap(), InspectionPoint::Price).ends_with("Give its price to weigh it."));
    assert_eq!(says(&look(&chefs, &[], &priced("chefs", 1.0)).unwrap(), InspectionPoint::Price), Says::NotSeen, "no cuts yet");
}

#[test]
fn what_is_wrong_is_told_at_its_field() {
    let refused = |question: &InspectionQuestion| {
        look(&rack(), &[], question).unwrap_err().into_iter().map(|problem| problem.pointer).collect::<Vec<_>>()
    };
    assert_eq!(refused(&asked("chefs", balance(400.0))), ["/seen/balance"]);
    assert_eq!(refused(&asked("chefs", Inspected { hand_length: Some(mm(90.0)), ..sound() })), ["/seen/hand_length"]);
    let mut long = asked("paring", sound());
    long.knife.length = mm(300.0);
    assert_eq!(refused(&long), ["/knife/length"], "a number is not needed yet");
    let mut unknown = asked("chefs", sound());
    unknown.knife.knife_type = "sword".into();
    assert_eq!(refused(&unknown), ["/knife/knife_type"]);
}

#[test]
fn it_is_a_line_of_the_record_and_says_nothing_of_the_edge() {
    let deed = CareDeed::Inspection { seen: sound() };
    assert_eq!(
        deed.words(&CATALOGUE),
        "inspected: edge straight, no warp, rivets flush, balance 12 mm ahead of the heel, stainless steel, for a hand of 185 mm"
    );
    assert_eq!(deed.edge_state(&CATALOGUE), None);
    let kept: CareDeed = serde_json::from_str(&serde_json::to_string(&deed).unwrap()).unwrap();
    assert_eq!(kept, deed);
    assert_eq!(CareDeed::Inspection { seen: Inspected::default() }.words(&CATALOGUE), "inspected");
}

proptest! {
    #[test]
    fn every_knife_is_looked_over_whatever_was_seen(
        kind in 0usize..40, share in 0.0..1.0f64, at in -150.0..300.0f64, hand in 110.0..250.0f64, cost in proptest::option::of(0.0..500.0f64),
    ) {
        let kind = &CATALOGUE.knives[kind % CATALOGUE.knives.len()];
        let mut question = asked(&kind.id, Inspected { hand_length: Some(mm(hand)), ..balance(at) });
        question.knife.length = mm((kind.length.from.get() + (kind.length.to.get() - kind.length.from.get()) * share).round());
        question.knife.cost = cost;
        prop_assume!(question.knife.check(&CATALOGUE).iter().all(|problem| problem.pointer == "/number"));
        let view = look(&rack(), &[], &question).unwrap();
        prop_assert_eq!(view.findings.len(), 8);
        prop_assert!(view.findings.iter().all(|finding| finding.says <= view.says && !finding.words.is_empty()));
        prop_assert!((0.0..=view.silhouette.width.get()).contains(&view.balance.unwrap()));
    }
}
