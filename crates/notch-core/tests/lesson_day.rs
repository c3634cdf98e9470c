//! The day of a lesson as a whole: its rotation with what would free it, and whether it is ready.

use std::collections::{BTreeMap, BTreeSet};

use crate::common::{CATALOGUE, course, knife, student};
use jiff::civil::{Date, date};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::{Catalogue, SegmentKind};
use notch_core::people::{AgeBand, Hand};
use notch_core::progress::GoodShares;
use notch_core::records::{
    Amount, Course, EdgeState, Exercise, ExerciseFields, KeptRotation, Knife, LateStudent, Lesson, LessonFields, Making,
    PinnedTurn, ProduceFields, RotationFields, StoredSegment, Student,
};
use notch_core::resources::Watchers;
use notch_core::units::Millimetres;
use notch_core::views::{
    AdviceChoice, CheckInput, ClassInput, MendingPlace, ProduceInput, ReadyAbout, ReadyInput, ReadyView, ReadyWay, ReadyWeight,
    RotationView, RotationWay, advise, plan_view, produce_view, proposed_numbers, ready_view, rotation_view,
};
use proptest::prelude::*;

const DAY: Date = date(2026, 10, 6);

/// A class on the day of its lesson; every part can be changed.
struct Day {
    catalogue: Catalogue,
    course: Course,
    students: Vec<Student>,
    knives: Vec<Knife>,
    exercises: Vec<Exercise>,
    segments: Vec<StoredSegment>,
    minutes: u16,
    kept: KeptRotation,
    today: Date,
}

fn chefs(count: i64) -> Vec<Knife> {
    (1..=count).map(|id| knife(id, "chefs")).collect()
}

fn watchers(people: u16, each: u16) -> Option<Watchers> {
    Some(Watchers { people, each })
}

/// Carrots cut by a class that has a knife for each: one exercise for each of these cuts.
fn day(pupils: i64, cuts: &[&str]) -> Day {
    let pupil = |id: i64| {
        let mut one = Student { id, ..student(&format!("Student {id}"), Hand::Right, &[]) };
        one.fields.station = id as u16;
        one.fields.clearance = Millimetres::whole(260);
        one
    };
    let exercise = |(id, cut): (i64, &&str)| {
        let choice = serde_json::json!({ "food": "carrot", "cut": cut, "amount": { "kind": "pieces", "count": 20 } });
        let choice: AdviceChoice = serde_json::from_value(choice).unwrap();
        let (course, knives) = (course(AgeBand::Adult), chefs(1));
        let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
        let setup = advise(&at_hand, &choice).unwrap().setup.unwrap();
        let fields = ExerciseFields {
            food: "carrot".into(),
            cut: (*cut).into(),
            knife_type: setup.knife_type,
            knife_length: setup.knife_length,
            grip: setup.grip,
            hold: setup.hold,
            motion: setup.motion,
            third: setup.third,
            amount: Amount::Pieces { count: 20 },
            own_minutes: Some(6.0),
            making: Making::default(),
        };
        Exercise { id, lesson_id: 1, version: 1, archived: false, pinned: true, kept_warnings: Vec::new(), fields }
    };
    let exercises: Vec<Exercise> = (1..).zip(cuts).map(exercise).collect();
    let mut course = course(AgeBand::Adult);
    course.fields.resources.instructors = watchers(1, 16);
    Day {
        catalogue: CATALOGUE.clone(),
        course,
        students: (1..=pupils).map(pupil).collect(),
        knives: chefs(pupils),
        segments: exercises.iter().map(|exercise| StoredSegment::practice(exercise.id, 20)).collect(),
        exercises,
        minutes: 110,
        kept: KeptRotation::default(),
        today: DAY,
    }
}

impl Day {
    fn change(mut self, change: impl FnOnce(&mut Self)) -> Self {
        change(&mut self);
        self
    }

    fn whole<T>(&self, news: Option<&RotationFields>, with: impl FnOnce(&ReadyInput<'_>) -> T) -> T {
        let at_hand = AtHand { catalogue: &self.catalogue, course: &self.course, students: &self.students, knives: &self.knives };
        let fields = LessonFields {
            title: "Carrots".into(),
            starts_at: DAY.at(18, 30, 0, 0),
            minutes: self.minutes,
            segments: self.segments.clone(),
        };
        let lesson = Lesson { id: 1, course_id: 1, number: 1, version: 1, produce: ProduceFields::default(), fields };
        let plan = plan_view(&at_hand, &lesson, &self.exercises).unwrap();
        let class = ClassInput {
            at_hand,
            lesson: &lesson,
            exercises: &plan.exercises,
            attempts: &[],
            incidents: &[],
            exercise_id: None,
            briefed: &BTreeSet::new(),
            room: &[],
            today: self.today,
        };
        let rotation = rotation_view(&class, plan.time_rule.clone(), &self.kept, news.unwrap_or(&self.kept.fields));
        let (shares, fields) = (GoodShares::default(), &lesson.produce);
        let food = ProduceInput { at_hand: &at_hand, lesson: &lesson, exercises: &self.exercises, shares: &shares, fields };
        let produce = produce_view(&food);
        let histories = BTreeMap::default();
        let check = CheckInput {
            at_hand,
            lesson: &lesson,
            exercises: &plan.exercises,
            histories: &histories,
            ticks: &[],
            produce: &produce,
            rotation: &rotation,
        };
        with(&ReadyInput { class: &class, check: &check, plan: &plan, rotation: &rotation, produce: &produce })
    }

    fn looked(&self, news: &RotationFields) -> RotationView {
        self.whole(Some(news), |whole| whole.rotation.clone())
    }

    fn rotation(&self) -> RotationView {
        self.whole(None, |whole| whole.rotation.clone())
    }

    fn ready(&self) -> ReadyView {
        self.whole(None, ready_view)
    }
}

fn pin(student_id: i64, exercise_id: i64, round: u16, knife_id: Option<i64>) -> PinnedTurn {
    PinnedTurn { student_id, exercise_id, round, knife_id }
}

fn held(pins: &[PinnedTurn]) -> RotationFields {
    RotationFields { pins: pins.to_vec(), ..RotationFields::default() }
}

fn told<'a>(texts: impl IntoIterator<Item = &'a notch_core::text::Text>) -> Vec<String> {
    texts.into_iter().map(ToString::to_string).collect()
}

/// What the buttons say; each of them frees it.
fn ways(day: &Day, view: &RotationView) -> Vec<String> {
    let of = |way: &RotationWay| match way {
        RotationWay::News { words, fields } => {
            assert_eq!(told(&day.looked(fields).blocked), [""; 0], "{words}");
            words.to_string()
        }
        RotationWay::Open(opening) => opening.words.clone(),
    };
    view.ways.iter().map(of).collect()
}

#[test]
fn two_hands_on_one_knife_are_freed_by_another_knife() {
    let day = day(3, &["batonnet"]);
    let view = day.looked(&held(&[pin(1, 1, 1, Some(2)), pin(2, 1, 1, Some(2))]));
    let words = "Student 1, batonnet of carrot is held in round 1 with no. 2, and so is Student 2, batonnet of carrot.";
    assert_eq!(told(&view.blocked), [words]);
    let words = ["Student 2", "Student 1"].map(|name| format!("Hold {name}, batonnet of carrot, in round 1 with any knife"));
    assert_eq!(ways(&day, &view), words);
}

#[test]
fn one_student_held_twice_in_a_round_is_freed_by_the_next_round() {
    let day = day(2, &["batonnet", "julienne"]);
    let view = day.looked(&held(&[pin(1, 1, 1, None), pin(1, 2, 1, None)]));
    let told = told(&view.blocked);
    assert!(told[0].ends_with("one student has one turn a round."), "{told:?}");
    let ways = ways(&day, &view);
    assert_eq!(ways[0], "Hold Student 1, julienne of carrot, in round 2 instead of 1");
}

#[test]
fn more_held_in_a_round_than_there_are_boards_is_told_with_both_numbers() {
    let day = day(3, &["batonnet"]).change(|day| day.course.fields.boards = 2);
    let view = day.looked(&held(&[1, 2, 3].map(|student| pin(student, 1, 1, None))));
    let told = told(&view.blocked);
    assert!(told[0].starts_with("3 turns must lie in the rounds in which they are held"), "{told:?}");
    assert!(told[0].ends_with("A round has 2 boards."), "{told:?}");
    assert_eq!(ways(&day, &view)[0], "Hold Student 3, batonnet of carrot, in round 2 instead of 1");
}

#[test]
fn too_little_watching_and_too_few_knives_in_a_round_are_told_apart() {
    let all = held(&[1, 2, 3].map(|student| pin(student, 1, 1, None)));
    let unwatched = day(3, &["batonnet"]).change(|day| day.course.fields.resources.instructors = watchers(1, 2));
    let words = told(&unwatched.looked(&all).blocked);
    assert!(words[0].contains("At a time 2 students can be watched"), "{words:?}");
    let few = day(3, &["batonnet"]).change(|day| day.knives.truncate(2));
    let view = few.looked(&all);
    let words = told(&view.blocked);
    assert!(words[0].ends_with("They share 2 knives: no. 1, 2."), "{words:?}");
    assert!(!ways(&few, &view).is_empty());
}

#[test]
fn who_is_held_before_they_come_is_held_when_they_are_there() {
    let day = day(2, &["batonnet"]);
    let late = vec![LateStudent { student_id: 1, from_round: 3 }];
    let view = day.looked(&RotationFields { late, ..held(&[pin(1, 1, 1, None)]) });
    assert_eq!(told(&view.blocked), ["Student 1, batonnet of carrot: held in round 1, and comes in round 3."]);
    assert_eq!(ways(&day, &view), ["Hold Student 1, batonnet of carrot, in round 3 instead of 1"]);
}

#[test]
fn where_no_single_one_is_enough_as_few_as_can_be_are_let_go() {
    let day = day(6, &["batonnet"]).change(|day| day.course.fields.boards = 1);
    let pins: Vec<PinnedTurn> = (1..=6).map(|student| pin(student, 1, 1, None)).collect();
    let view = day.looked(&held(&pins));
    let [RotationWay::News { fields, .. }] = view.ways.as_slice() else { panic!("{:?}", view.ways) };
    assert_eq!(fields.pins, [pins[0]], "five must go, and the first stays");
    assert_eq!(ways(&day, &view).len(), 1);
}

#[test]
fn a_kitchen_without_boards_or_without_eyes_says_where_that_is_said() {
    let bare = day(3, &["batonnet"]).change(|day| day.course.fields.boards = 0);
    assert_eq!(ways(&bare, &bare.rotation()), ["Say how many boards there are"]);
    let alone = day(3, &["batonnet"]).change(|day| day.course.fields.resources.instructors = watchers(0, 8));
    let view = alone.rotation();
    assert_eq!((view.blocked.len(), ways(&alone, &view)), (1, vec!["Say who watches".to_owned()]));
    let ready = alone.ready();
    assert!(ready.items.iter().any(|item| item.about == ReadyAbout::Rotation && item.weight == ReadyWeight::Stop));
}

#[test]
fn who_has_no_turn_because_a_knife_is_out_gets_it_back() {
    let day = day(2, &["batonnet"]);
    let news = RotationFields { knives_out: vec![1, 2], ..RotationFields::default() };
    let view = day.looked(&news);
    assert_eq!(view.left_out.len(), 2);
    let words = view.left_out[0].words.to_string();
    assert_eq!(words, "Student 1, batonnet of carrot: has no knife: no. 1, 2 would do, and are out of this lesson.");
    let RotationWay::News { fields, .. } = &view.left_out[0].way else { panic!("{:?}", view.left_out) };
    assert_eq!(day.looked(fields).left_out.len(), 0);
}

/// 12 students, 3 knives, 6 minutes a turn: four rounds and 27 minutes, where the practice has 20.
#[test]
fn what_is_too_long_fits_with_so_many_more_knives_or_minutes() {
    let day = day(12, &["batonnet"]).change(|day| day.knives.truncate(3));
    let view = day.rotation();
    assert_eq!((view.rounds.len(), view.over), (4, 7));
    let told = told(&view.to_fit);
    assert_eq!(told[0], "It fits with 7 minutes more of practice.");
    assert!(told[1].starts_with("It fits with 1 more ") && told[1].contains("chef"), "{told:?}");
    let richer = Day { knives: chefs(4), ..day };
    assert_eq!((richer.rotation().over, richer.rotation().to_fit), (0, Vec::new()));
}

#[test]
fn what_is_too_long_for_want_of_boards_and_of_eyes_needs_both() {
    let day = day(12, &["batonnet"]).change(|day| {
        day.course.fields.boards = 3;
        day.course.fields.resources.instructors = watchers(1, 3);
    });
    let told = told(&day.rotation().to_fit);
    assert_eq!(told[1], "It fits with 1 more board and 2 more to watch.", "beginners count double");
}

#[test]
fn the_knives_that_go_out_are_those_that_the_rotation_hands_out() {
    let day = day(4, &["batonnet"]).change(|day| {
        day.knives = chefs(9);
        day.kept.fields.knives_out = vec![1, 2];
    });
    day.whole(None, |whole| {
        let handed: Vec<i64> = whole.rotation.turns.iter().map(|turn| turn.knife_id).collect();
        let proposed: Vec<i64> = proposed_numbers(whole.check).iter().map(|number| number.parse().unwrap()).collect();
        assert_eq!(proposed.len(), 4);
        assert!(proposed.iter().all(|knife| handed.contains(knife) && !day.kept.fields.knives_out.contains(knife)));
    });
}

fn about(ready: &ReadyView, about: ReadyAbout) -> Vec<String> {
    told(ready.items.iter().filter(|item| item.about == about).map(|item| &item.words))
}

#[test]
fn with_all_knives_dull_nobody_cuts_and_each_is_told_why() {
    let day = day(3, &["batonnet"]).change(|day| {
        for knife in &mut day.knives {
            knife.fields.edge_state = EdgeState::Dull;
        }
    });
    let ready = day.ready();
    assert_eq!(about(&ready, ReadyAbout::Dull), ["Failed the edge test, and nobody gets one: no. 1, no. 2, no. 3."]);
    assert_eq!(about(&ready, ReadyAbout::Hands).len(), 3);
    assert!(ready.words.starts_with("Not ready"), "{}", ready.words);
    assert_eq!(day.rotation().turns, []);
}

#[test]
fn a_dull_knife_that_nobody_misses_is_no_caution() {
    let day = day(3, &["batonnet"]).change(|day| {
        let mut dull = knife(9, "chefs");
        dull.fields.edge_state = EdgeState::Dull;
        day.knives.push(dull);
    });
    let ready = day.ready();
    let item = ready.items.iter().find(|item| item.about == ReadyAbout::Dull).unwrap();
    assert_eq!(item.weight, ReadyWeight::ToDo);
    assert!(item.words.to_string().ends_with("There are enough without."));
}

#[test]
fn a_left_hand_for_which_nothing_is_ground_is_told_with_the_nearest_knife() {
    let day = day(2, &["batonnet"]).change(|day| {
        let fields = &mut day.exercises[0].fields;
        (fields.food, fields.cut) = ("raw_fish".into(), "slice".into());
        (fields.knife_type, fields.knife_length) = ("single_bevel_slicer".into(), Millimetres::whole(270));
        day.students[0].fields.hand = Hand::Left;
        for student in &mut day.students {
            (student.fields.clearance, student.fields.special_clearance) = (Millimetres::whole(300), true);
        }
        day.knives = vec![knife(1, "single_bevel_slicer"), knife(2, "single_bevel_slicer")];
    });
    let ready = day.ready();
    let told = about(&ready, ReadyAbout::Hands);
    assert!(told.len() == 1 && told[0].starts_with("Student 1, "), "{told:?}");
    assert!(told[0].contains("has no knife. Nearest is Single-bevel") && told[0].contains("right hand"), "{told:?}");
    let item = ready.items.iter().find(|item| item.about == ReadyAbout::Hands).unwrap();
    let ReadyWay::Open(opening) = &item.way else { panic!("{:?}", item.way) };
    assert_eq!((opening.place, opening.exercise_id), (MendingPlace::Plan, Some(1)));
}

#[test]
fn an_allergy_without_an_alternative_is_said_and_the_others_cut() {
    let day = day(3, &["batonnet"]).change(|day| {
        day.catalogue.foods.retain(|food| food.id == "celery");
        day.exercises[0].fields.food = "celery".into();
        day.students[1].fields.allergies = vec!["celery".into()];
    });
    let ready = day.ready();
    let item = ready.items.iter().find(|item| item.about == ReadyAbout::Allergy).unwrap();
    assert_eq!(item.weight, ReadyWeight::Caution);
    assert!(item.words.to_string().contains("Student 2"), "{}", item.words);
    assert_eq!(about(&ready, ReadyAbout::Hands), [""; 0], "the allergy is said once");
    assert_eq!(day.rotation().turns.len(), 2);
}

#[test]
fn sixty_students_on_four_knives_and_a_lesson_of_ten_minutes_are_answered() {
    let many = day(60, &["batonnet", "julienne"]).change(|day| day.knives.truncate(4));
    let view = many.rotation();
    assert_eq!((view.rounds.len(), view.turns.len()), (30, 120));
    assert!(view.over > 100 && view.blocked.is_empty());
    let ready = day(4, &["batonnet"]).change(|day| day.minutes = 10).ready();
    let item = ready.items.iter().find(|item| item.about == ReadyAbout::Time).unwrap();
    assert_eq!(item.weight, ReadyWeight::Stop);
    assert!(ready.words.starts_with("Not ready"));
}

#[test]
fn a_lesson_that_is_over_is_said_to_be_and_asks_for_no_food() {
    let day = day(3, &["batonnet"]).change(|day| day.segments.insert(0, StoredSegment::of(SegmentKind::Arrival, 10)));
    let on_the_day = day.ready();
    assert!(about(&on_the_day, ReadyAbout::Produce)[0].starts_with("Should be here since Monday, "), "{on_the_day:?}");
    assert_eq!(about(&on_the_day, ReadyAbout::FirstAid).len(), 1);
    let after = Day { today: date(2026, 10, 20), ..day }.ready();
    assert!(after.words.starts_with("It was on 6 Oct. If it is held again: "), "{}", after.words);
    assert_eq!(about(&after, ReadyAbout::Produce).len() + about(&after, ReadyAbout::FirstAid).len(), 0);
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(40))]

    /// Whatever is held where: either there is a rotation, or every way that is offered frees it, and there is one.
    #[test]
    fn what_is_held_is_freed_by_every_way_that_is_offered(
        boards in 1..4_u16,
        knives in 1..4_i64,
        pins in prop::collection::vec((1..5_i64, 1..3_i64, 1..4_u16, prop::option::of(1..4_i64)), 0..6),
    ) {
        let day = day(4, &["batonnet", "brunoise"]).change(|day| {
            day.course.fields.boards = boards;
            day.knives = chefs(knives);
        });
        let mut news = RotationFields::default();
        for (student, exercise, round, knife) in pins {
            if !news.pins.iter().any(|pin| (pin.student_id, pin.exercise_id) == (student, exercise)) {
                news.pins.push(pin(student, exercise, round, knife));
            }
        }
        let view = day.looked(&news);
        if view.blocked.is_empty() {
            prop_assert_eq!(view.turns.len(), 8);
            for pin in &news.pins {
                let turn = view.turns.iter().find(|turn| (turn.student_id, turn.exercise_id) == (pin.student_id, pin.exercise_id));
                prop_assert_eq!(turn.unwrap().round, pin.round);
            }
        } else {
            prop_assert!(!ways(&day, &view).is_empty(), "{:?}", told(&view.blocked));
            prop_assert!(view.blocked.iter().all(|words| !words.to_string().is_empty()));
        }
    }
}
