//! The sharp–dull lesson: what a dull edge does, told by figures, and who may show it.

use crate::common::{CATALOGUE, course, knife, student};
use notch_core::at_hand::AtHand;
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{DemonstrationFields, EdgeState, Knife, KnifeWork};
use notch_core::views::{SharpDullView, check_demonstration, sharp_dull_lesson, sharp_dull_view};
use proptest::prelude::*;

/// Two chef's knives, the second dull, and a sharp paring knife.
fn knives() -> Vec<Knife> {
    let mut dull = knife(2, "chefs");
    dull.fields.edge_state = EdgeState::Dull;
    vec![knife(1, "chefs"), dull, knife(3, "paring")]
}

fn at_hand<T>(look: impl FnOnce(&AtHand<'_>) -> T) -> T {
    let (course, students, knives) = (course(AgeBand::Adult), [student("Ivo", Hand::Right, &[])], knives());
    look(&AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives })
}

fn work(knife_id: i64, pieces: &str, strokes: u16, crushed: u16) -> KnifeWork {
    KnifeWork { knife_id, pieces: pieces.into(), strokes, faces: 20, crushed }
}

fn shown() -> DemonstrationFields {
    DemonstrationFields {
        who: "Mara".into(),
        food: "cucumber".into(),
        cut: "coins".into(),
        sharp: work(1, "3.1\n3.2\n3.3\n3.2\n3.1", 24, 0),
        dulled: work(2, "2.4\n3.9\n3.2\n4.4\n2.7", 33, 7),
    }
}

fn view(fields: &DemonstrationFields) -> SharpDullView {
    at_hand(|at_hand| sharp_dull_view(at_hand, fields)).unwrap()
}

fn refused(fields: &DemonstrationFields) -> Vec<String> {
    let problems = at_hand(|at_hand| check_demonstration(at_hand, fields)).unwrap_err();
    assert!(problems.iter().all(|problem| !problem.allowed.is_empty()), "{problems:?}");
    problems.into_iter().map(|problem| problem.pointer).collect()
}

#[test]
fn the_dulled_knife_is_told_apart_by_spread_crushed_faces_and_strokes() {
    let found = view(&shown());
    assert!(found.told_apart);
    // Sizes around 3.18 with a standard deviation of 0.075, and around 3.32 with 0.744: 2 % and 22 %.
    assert_eq!(
        found.words.to_string(),
        "The dulled knife shows: sizes that scatter by 22 % and not by 2 %, 7 of 20 faces crushed and not 0 of 20, 33 strokes and not 24."
    );
    let names: Vec<&str> = found.rows.iter().map(|row| row.name.as_str()).collect();
    assert_eq!(names, ["spread of thickness", "inside the tolerance", "faces crushed", "strokes"]);
    assert!(found.rows.iter().all(|row| row.better == Some(0) || row.name.starts_with("inside")), "{:?}", found.rows);
    let difference = |row: usize| found.rows[row].differences[0].as_ref().unwrap().to_string();
    assert_eq!((difference(0), difference(2), difference(3)), ("+ 0.67 mm".into(), "+ 35 in 100".into(), "+ 9".into()));
    assert_eq!(found.knives, ["No. 1, chef's 200", "No. 2, chef's 200"]);
}

#[test]
fn figures_that_are_alike_tell_nothing_apart() {
    let alike = DemonstrationFields { dulled: KnifeWork { knife_id: 2, ..shown().sharp }, ..shown() };
    let found = view(&alike);
    assert!(!found.told_apart && found.words.to_string().starts_with("These figures do not tell them apart"), "{}", found.words);
    assert!(found.rows.iter().all(|row| row.better.is_none()), "{:?}", found.rows);
}

#[test]
fn only_on_soft_food_with_two_knives_of_a_kind_and_a_name() {
    let with = |change: fn(&mut DemonstrationFields)| {
        let mut fields = shown();
        change(&mut fields);
        refused(&fields)
    };
    assert_eq!(with(|fields| fields.food = "carrot".into()), ["/food"], "a dull edge slips on a hard root");
    assert_eq!(with(|fields| fields.cut = "turned".into()), ["/cut"]);
    assert_eq!(with(|fields| fields.who = " ".into()), ["/who"]);
    assert_eq!(with(|fields| fields.sharp.knife_id = 2), ["/sharp/knife_id"], "a dull one is not the sharp one");
    assert_eq!(with(|fields| fields.dulled.knife_id = 1), ["/dulled/knife_id"]);
    assert_eq!(with(|fields| fields.sharp.knife_id = 3), ["/dulled/knife_id"], "two of one kind");
    assert_eq!(with(|fields| fields.sharp.knife_id = 99), ["/sharp/knife_id"]);
    assert_eq!(with(|fields| fields.dulled.crushed = 21), ["/dulled/crushed"]);
    assert_eq!(with(|fields| fields.dulled.faces = 0), ["/dulled/faces", "/dulled/crushed"]);
    assert_eq!(with(|fields| fields.sharp.strokes = 0), ["/sharp/strokes"]);
    assert_eq!(with(|fields| fields.sharp.pieces = "3.1\n3.2".into()), ["/sharp/pieces"], "two pieces have no spread");
    assert!(with(|fields| fields.sharp.pieces = "thin\nthick\n3".into())[0].starts_with("/sharp/pieces"));
}

#[test]
fn what_can_be_shown_is_soft_and_the_caution_stands_beside_it() {
    let lesson = at_hand(|at_hand| sharp_dull_lesson(at_hand, Vec::new()));
    assert!(lesson.foods.iter().any(|food| food.id == "cucumber") && !lesson.foods.iter().any(|food| food.id == "carrot"));
    for food in &lesson.foods {
        assert!(CATALOGUE.food(&food.id).unwrap().firmness <= 2 && !food.cuts.is_empty());
        assert!(food.cuts.iter().all(|cut| !cut.columns.is_empty()));
    }
    assert_eq!(lesson.sharp.iter().map(|knife| knife.id).collect::<Vec<_>>(), [1], "of the kind of which a dull one is there");
    assert_eq!(lesson.dulled.iter().map(|knife| knife.id).collect::<Vec<_>>(), [2]);
    assert!(lesson.caution.contains("Only the instructor") && lesson.caution.contains("soft food"));
}

proptest! {
    #[test]
    fn every_soft_food_and_cut_is_measured_whatever_is_typed(food in 0usize..60, cut in 0usize..20, size in 0.5..60.0f64, strokes in 1u16..2000) {
        let lesson = at_hand(|at_hand| sharp_dull_lesson(at_hand, Vec::new()));
        let food = &lesson.foods[food % lesson.foods.len()];
        let cut = &food.cuts[cut % food.cuts.len()];
        let line = vec![format!("{size:.1}"); cut.columns.len()].join(" ");
        let pieces = vec![line; 4].join("\n");
        let fields = DemonstrationFields {
            food: food.id.clone(),
            cut: cut.id.clone(),
            sharp: work(1, &pieces, strokes, 0),
            dulled: work(2, &pieces, strokes, 20),
            ..shown()
        };
        let found = view(&fields);
        prop_assert!(found.told_apart, "all faces are crushed");
        prop_assert!(found.rows.iter().all(|row| row.values.len() == 2 && row.differences.len() == 1));
    }
}
