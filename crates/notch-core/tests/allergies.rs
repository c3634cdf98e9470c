//! Whom an allergy is about is data: no name is looked for in a sentence.

use std::collections::BTreeSet;

use crate::common::{CATALOGUE, course, rack, student};
use jiff::civil::date;
use notch_core::at_hand::AtHand;
use notch_core::lesson::first_segments;
use notch_core::people::{AgeBand, Hand};
use notch_core::progress::GoodShares;
use notch_core::records::{Amount, Exercise, ExerciseFields, KeptRotation, Lesson, LessonFields, Making, Student};
use notch_core::views::{
    AdviceChoice, CheckInput, ClassInput, ProduceInput, WatchKind, advise, check_sheet, class_view, plan_view, produce_view,
    rotation_view,
};
use proptest::prelude::*;

fn celery() -> AdviceChoice {
    serde_json::from_str(r#"{ "food": "celery", "cut": "batonnet", "amount": { "kind": "pieces", "count": 20 } }"#).unwrap()
}

/// A class of these students that cuts celery.
fn with_class<T>(students: &[Student], look: impl FnOnce(&ClassInput<'_>) -> T) -> T {
    let (course, knives) = (course(AgeBand::Adult), rack());
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students, knives: &knives };
    let setup = advise(&at_hand, &celery()).unwrap().setup.unwrap();
    let fields = ExerciseFields {
        food: "celery".into(),
        cut: "batonnet".into(),
        knife_type: setup.knife_type,
        knife_length: setup.knife_length,
        grip: setup.grip,
        hold: setup.hold,
        motion: setup.motion,
        third: setup.third,
        amount: Amount::Pieces { count: 20 },
        own_minutes: None,
        making: Making::default(),
    };
    let exercise = Exercise { id: 1, lesson_id: 1, version: 1, archived: false, pinned: true, fields, kept_warnings: Vec::new() };
    let fields = LessonFields {
        title: "Celery".into(),
        starts_at: date(2026, 10, 6).at(18, 30, 0, 0),
        minutes: 110,
        segments: first_segments(&CATALOGUE, 110),
    };
    let lesson =
        Lesson { id: 1, course_id: 1, version: 1, number: 1, produce: notch_core::records::ProduceFields::default(), fields };
    let plan = plan_view(&at_hand, &lesson, &[exercise]).unwrap();
    look(&ClassInput {
        at_hand,
        lesson: &lesson,
        exercises: &plan.exercises,
        attempts: &[],
        incidents: &[],
        exercise_id: None,
        briefed: &BTreeSet::new(),
        room: &[],
        today: date(2026, 10, 6),
    })
}

/// Names of those who are watched for an allergy.
fn watched(students: &[Student]) -> Vec<String> {
    with_class(students, |input| {
        let view = class_view(input, &KeptRotation::default());
        let allergic =
            view.stations.iter().filter(|station| station.watch.iter().any(|reason| reason.kind == WatchKind::Allergy));
        allergic.map(|station| station.student.fields.name.clone()).collect()
    })
}

fn numbered(students: Vec<Student>) -> Vec<Student> {
    (1..).zip(students).map(|(id, student)| Student { id, ..student }).collect()
}

#[test]
fn ann_is_not_flagged_for_the_allergy_of_anna() {
    let students = vec![student("Ann", Hand::Right, &[]), student("Anna Berg", Hand::Right, &["celery"])];
    assert_eq!(watched(&numbered(students)), ["Anna Berg"]);
}

#[test]
fn a_student_whose_name_is_a_word_of_the_caution_is_not_flagged() {
    let names = ["must", "not", "meet", "Celery", "An", "a"];
    let students = names.iter().map(|name| student(name, Hand::Right, &[]));
    let students = numbered(students.chain([student("Ivo", Hand::Left, &["celery"])]).collect());
    assert_eq!(watched(&students), ["Ivo"]);
}

#[test]
fn two_of_the_same_name_are_told_apart() {
    let students = numbered(vec![student("Kim Lee", Hand::Right, &["celery"]), student("Kim Lee", Hand::Left, &[])]);
    let (course, knives) = (course(AgeBand::Adult), rack());
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
    let cautions = advise(&at_hand, &celery()).unwrap().cautions;
    let about: Vec<i64> = cautions.iter().flat_map(|caution| caution.students.clone()).collect();
    assert_eq!(about, [1]);
}

/// What ticks are kept under does not hang on how a knife type is called.
#[test]
fn the_lines_of_the_check_sheet_keep_their_ids_when_knives_are_renamed() {
    let ids = |catalogue: &notch_core::catalogue::Catalogue| -> Vec<String> {
        let (course, knives) = (course(AgeBand::Adult), rack());
        let students = numbered(vec![student("Ivo", Hand::Right, &[])]);
        with_class(&students, |input| {
            let at_hand = AtHand { catalogue, course: &course, students: &students, knives: &knives };
            let exercises: Vec<Exercise> = input.exercises.iter().map(|planned| planned.exercise.clone()).collect();
            let plan = plan_view(&at_hand, input.lesson, &exercises).unwrap();
            let (shares, fields) = (GoodShares::default(), &input.lesson.produce);
            let food = ProduceInput { at_hand: &at_hand, lesson: input.lesson, exercises: &exercises, shares: &shares, fields };
            let histories = std::collections::BTreeMap::default();
            let class = ClassInput { at_hand, exercises: &plan.exercises, ..*input };
            let kept = KeptRotation::default();
            let sheet = check_sheet(&CheckInput {
                at_hand,
                lesson: input.lesson,
                exercises: &plan.exercises,
                histories: &histories,
                ticks: &[],
                produce: &produce_view(&food),
                rotation: &rotation_view(&class, plan.time_rule.clone(), &kept, &kept.fields),
            });
            sheet.items.into_iter().map(|item| item.id).collect()
        })
    };
    let mut renamed = CATALOGUE.clone();
    for kind in &mut renamed.knives {
        kind.name = format!("{} of another name", kind.name);
        kind.short = format!("{}!", kind.short);
    }
    let before = ids(&CATALOGUE);
    assert!(before.iter().any(|id| id.starts_with("test:")), "{before:?}");
    assert_eq!(ids(&renamed), before);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(64))]

    /// Whatever they are called, those are watched who are allergic.
    #[test]
    fn those_are_watched_who_are_allergic(names in prop::collection::vec(("[A-Za-z ]{1,12}", any::<bool>()), 1..8)) {
        let students = names.iter().map(|(name, allergic)| {
            student(name, Hand::Right, if *allergic { &["celery"] } else { &[] })
        });
        let expected: Vec<String> = names.iter().filter(|(_, allergic)| *allergic).map(|(name, _)| name.clone()).collect();
        prop_assert_eq!(watched(&numbered(students.collect())), expected);
    }
}
