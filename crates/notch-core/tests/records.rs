//! What a school may keep: every field with its range, told by the name on the screen.

use crate::common::{CATALOGUE, course, mm, rack, student};
use notch_core::Problem;
use notch_core::catalogue::{BoardMaterial, Grip, Hold, Motion, ProduceSize, Third};
use notch_core::geometry::Way;
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{
    Amount, AttemptMarks, CourseFields, ExerciseFields, IncidentFields, IncidentKind, KnifeFields, LessonFields, Making,
    StudentFields,
};
use notch_core::resources::{BoardSize, Resources, Watchers};
use notch_core::units::{Degrees, Millimetres};
use proptest::prelude::*;

fn pointers(problems: &[Problem]) -> Vec<&str> {
    problems.iter().map(|problem| problem.pointer.as_str()).collect()
}

fn with<T: Clone>(usual: &T, change: impl FnOnce(&mut T)) -> T {
    let mut changed = usual.clone();
    change(&mut changed);
    changed
}

fn usual_course() -> CourseFields {
    course(AgeBand::Adult).fields
}

fn usual_student() -> StudentFields {
    student("Ann", Hand::Right, &["celery"]).fields
}

fn usual_exercise() -> ExerciseFields {
    ExerciseFields {
        food: "carrot".into(),
        cut: "julienne".into(),
        knife_type: "chefs".into(),
        knife_length: mm(200.0),
        grip: Grip::Pinch,
        hold: Hold::Claw,
        motion: Motion::Push,
        third: Third::Middle,
        amount: Amount::Pieces { count: 40 },
        own_minutes: None,
        making: Making::default(),
    }
}

fn knife_of(kind: &str) -> KnifeFields {
    rack().into_iter().map(|knife| knife.fields).find(|fields| fields.knife_type == kind).unwrap()
}

#[test]
fn a_course_is_refused_at_each_of_its_fields() {
    let refused = |change: fn(&mut CourseFields)| {
        pointers(&with(&usual_course(), change).check(&CATALOGUE)).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(refused(|_| {}), [""; 0]);
    assert_eq!(refused(|c| c.name = "  ".into()), ["/name"]);
    assert_eq!(refused(|c| c.name = "x".repeat(81)), ["/name"]);
    assert_eq!(refused(|c| c.name = "x".repeat(80)), [""; 0]);
    assert_eq!(refused(|c| c.school = String::new()), ["/school"]);
    assert_eq!(refused(|c| c.place = "Kitchen\u{7}".into()), ["/place"]);
    assert_eq!(refused(|c| c.standard_set = "ninth".into()), ["/standard_set"]);
    assert_eq!(refused(|c| c.tolerance = String::new()), ["/tolerance"]);
    assert_eq!(refused(|c| c.time_zone = "Mars/Olympus".into()), ["/time_zone"]);
    assert_eq!(refused(|c| c.lesson_minutes = 9), ["/lesson_minutes"]);
    assert_eq!(refused(|c| c.lesson_minutes = 600), [""; 0]);
    assert_eq!(refused(|c| c.lesson_minutes = 601), ["/lesson_minutes"]);
    assert_eq!(refused(|c| c.boards = 0), ["/boards"]);
    assert_eq!(refused(|c| c.boards = 61), ["/boards"]);
    for board in [BoardMaterial::Glass, BoardMaterial::Stone, BoardMaterial::Ceramic] {
        assert_eq!(pointers(&CourseFields { board_material: board, ..usual_course() }.check(&CATALOGUE)), ["/board_material"]);
    }
    assert_eq!(refused(|c| (c.name, c.boards) = (String::new(), 0)), ["/name", "/boards"], "all at once");
}

#[test]
fn a_student_is_refused_at_each_field() {
    let refused = |change: fn(&mut StudentFields)| {
        pointers(&with(&usual_student(), change).check()).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(refused(|_| {}), [""; 0]);
    assert_eq!(refused(|s| s.name = String::new()), ["/name"]);
    assert_eq!(refused(|s| s.name = "x".repeat(61)), ["/name"]);
    assert_eq!(refused(|s| s.station = 0), ["/station"]);
    assert_eq!(refused(|s| s.station = 61), ["/station"]);
    assert_eq!(refused(|s| s.clearance = Millimetres::whole(59)), ["/clearance"]);
    assert_eq!(refused(|s| s.clearance = Millimetres::whole(60)), [""; 0]);
    assert_eq!(refused(|s| s.clearance = Millimetres::whole(400)), [""; 0]);
    assert_eq!(refused(|s| s.clearance = Millimetres::whole(401)), ["/clearance"]);
    assert_eq!(refused(|s| s.notes = "x".repeat(401)), ["/notes"]);
    assert_eq!(refused(|s| s.allergies = vec!["nuts".into(); 21]), ["/allergies"]);
    assert_eq!(refused(|s| s.allergies = vec!["nuts".into(), " ".into()]), ["/allergies/1"]);
}

#[test]
fn an_allergy_is_the_whole_word_whatever_its_case() {
    let allergic =
        |named: &str, allergen: &str| with(&usual_student(), |s| s.allergies = vec![named.into()]).is_allergic_to(allergen);
    assert!(allergic("Celery ", "celery") && allergic("FISH", "fish"));
    assert!(!allergic("celeriac", "celery") && !allergic("shellfish", "fish") && !allergic("", "fish"));
}

#[test]
fn a_knife_is_refused_at_each_field() {
    let refused = |kind: &str, change: fn(&mut KnifeFields)| {
        pointers(&with(&knife_of(kind), change).check(&CATALOGUE)).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    for kind in &CATALOGUE.knives {
        assert_eq!(refused(&kind.id, |_| {}), [""; 0], "the usual {}", kind.name);
    }
    assert_eq!(refused("chefs", |k| k.number = String::new()), ["/number"]);
    assert_eq!(refused("chefs", |k| k.number = "1234567890123".into()), ["/number"]);
    assert_eq!(refused("chefs", |k| k.heel_height = Millimetres::whole(7)), ["/heel_height"]);
    assert_eq!(refused("chefs", |k| k.heel_height = Millimetres::whole(120)), [""; 0]);
    assert_eq!(refused("chefs", |k| k.note = "x".repeat(201)), ["/note"]);
    assert_eq!(refused("chefs", |k| k.name = "x".repeat(41)), ["/name"]);
    assert_eq!(refused("chefs", |k| k.handle = "x".repeat(41)), ["/handle"]);
    assert_eq!(refused("chefs", |k| k.stored = "x".repeat(61)), ["/stored"]);
    assert_eq!(refused("chefs", |k| k.cost = Some(-1.0)), ["/cost"]);
    assert_eq!(refused("chefs", |k| k.cost = Some(f64::NAN)), ["/cost"]);
    assert_eq!(refused("chefs", |k| k.cost = Some(0.0)), [""; 0]);
    assert_eq!(refused("chefs", |k| k.knife_type = "spoon".into()), ["/knife_type"]);
    assert_eq!(refused("chefs", |k| k.edge_angle = Some(Degrees::new(40.0).unwrap())), ["/edge_angle"]);
    assert_eq!(refused("bread", |k| k.edge_angle = Some(Degrees::new(15.0).unwrap())), ["/edge_angle"]);
    assert_eq!(refused("chefs", |k| k.hand = Some(Hand::Left)), ["/hand"]);
    assert_eq!(refused("single_bevel_slicer", |k| k.hand = None), ["/hand"]);
    assert_eq!(refused("single_bevel_slicer", |k| k.hand = Some(Hand::Left)), [""; 0]);
}

#[test]
fn a_blade_has_the_lengths_that_its_type_is_made_in() {
    for kind in &CATALOGUE.knives {
        let of = |length: f64| with(&knife_of(&kind.id), |knife| knife.length = mm(length)).check(&CATALOGUE);
        assert!(of(kind.length.from.get()).is_empty() && of(kind.length.to.get()).is_empty(), "{}", kind.id);
        for wrong in [of(kind.length.from.get() - 1.0), of(kind.length.to.get() + 1.0)] {
            assert_eq!(pointers(&wrong), ["/length"], "{}", kind.id);
            assert!(wrong[0].message.contains(&format!("for a {}", kind.name)), "{}", wrong[0].message);
        }
    }
}

#[test]
fn alike_knives_are_numbered_on_from_the_first() {
    let numbers = |first: &str, count: u16| {
        let knife = with(&knife_of("chefs"), |knife| knife.number = first.into());
        knife.numbered_on(count).map(|knives| knives.into_iter().map(|knife| knife.number).collect::<Vec<_>>())
    };
    assert_eq!(numbers(" 7", 3).unwrap(), ["7", "8", "9"]);
    assert_eq!(numbers("C1", 1).unwrap(), ["C1"]);
    assert_eq!(numbers("C1", 2).unwrap_err().pointer, "/number");
    assert_eq!(numbers("7", 0).unwrap_err().pointer, "/count");
    assert_eq!(numbers("7", 61).unwrap_err().pointer, "/count");
    assert_eq!(numbers("4294967295", 2).unwrap(), ["4294967295", "4294967295"], "two alike: the rack refuses the second");
}

#[test]
fn a_lesson_has_a_title_and_a_year_of_this_century() {
    let lesson = |title: &str, starts_at: &str| {
        let fields =
            LessonFields { title: title.into(), starts_at: starts_at.parse().unwrap(), minutes: 110, segments: Vec::new() };
        pointers(&fields.check(&course(AgeBand::Adult).fields.zone())).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(lesson("Sticks", "2026-10-06T18:30:00"), [""; 0]);
    assert_eq!(lesson("", "2026-10-06T18:30:00"), ["/title"]);
    assert_eq!(lesson("Sticks", "1999-12-31T23:59:00"), ["/starts_at"]);
    assert_eq!(lesson("Sticks", "2101-01-01T00:00:00"), ["/starts_at"]);
    // In the night on which summer time begins no clock shows half past one; across it a lesson may go.
    assert_eq!(lesson("Sticks", "2027-03-28T01:30:00"), ["/starts_at"]);
    assert_eq!(lesson("Sticks", "2027-03-28T00:30:00"), [""; 0]);
    assert_eq!(lesson("Sticks", "2027-10-31T01:30:00"), [""; 0], "this one the clock shows twice");
}

#[test]
fn an_exercise_is_of_things_that_there_are_and_that_are_taught() {
    let refused = |change: fn(&mut ExerciseFields)| {
        let fields = with(&usual_exercise(), change);
        pointers(&fields.check(&CATALOGUE, "eighth")).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(refused(|_| {}), [""; 0]);
    assert_eq!(refused(|e| e.food = "gravel".into()), ["/food"]);
    assert_eq!(refused(|e| e.cut = "shatter".into()), ["/cut"]);
    assert_eq!(refused(|e| e.knife_type = "spoon".into()), ["/knife_type"]);
    assert_eq!(refused(|e| e.amount = Amount::Pieces { count: 0 }), ["/amount/count"]);
    assert_eq!(refused(|e| e.amount = Amount::Pieces { count: 2001 }), ["/amount/count"]);
    assert_eq!(refused(|e| e.amount = Amount::Units { count: 100 }), [""; 0]);
    assert_eq!(refused(|e| e.amount = Amount::Units { count: 101 }), ["/amount/count"]);
    for (minutes, fine) in [(0.5, true), (0.49, false), (240.0, true), (240.1, false), (f64::NAN, false)] {
        let fields = ExerciseFields { own_minutes: Some(minutes), ..usual_exercise() };
        assert_eq!(fields.check(&CATALOGUE, "eighth").is_empty(), fine, "{minutes} minutes");
    }
    assert_eq!(pointers(&usual_exercise().check(&CATALOGUE, "no such set")), ["/cut"]);
}

#[test]
fn own_sizes_are_laid_over_the_standard_and_the_rest_stays() {
    let standard = CATALOGUE.target("eighth", "julienne").unwrap();
    assert_eq!(Making::default().target(standard), standard);
    let wider = Making { width: Some(mm(5.0)), ..Making::default() }.target(standard);
    assert_eq!((wider.thickness, wider.length), (standard.thickness, standard.length));
    assert_eq!(wider.width.unwrap().nominal(), mm(5.0));
    let refused = |making: Making| {
        let fields = ExerciseFields { making, ..usual_exercise() };
        pointers(&fields.check(&CATALOGUE, "eighth")).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(refused(Making { thickness: Some(mm(0.4)), ..Making::default() }), ["/making/thickness"]);
    assert_eq!(refused(Making { thickness: Some(mm(0.5)), length: Some(mm(601.0)), ..Making::default() }), ["/making/length"]);
    assert_eq!(refused(Making { way: Way::FlatFirst, width: Some(mm(600.0)), ..Making::default() }), [""; 0]);
}

#[test]
fn produce_is_bought_small_usual_or_large_and_what_is_opened_goes_with_it() {
    for usual in &CATALOGUE.foods {
        let [small, medium, large] = [ProduceSize::Small, ProduceSize::Medium, ProduceSize::Large]
            .map(|produce| Making { produce, ..Making::default() }.food(usual));
        assert_eq!(&medium, usual);
        assert!(small.grams() <= medium.grams() * 1.01 && medium.grams() <= large.grams() * 1.01, "{}", usual.id);
        assert!(small.opened.height <= medium.opened.height && medium.opened.height <= large.opened.height, "{}", usual.id);
        assert_eq!((small.shape, large.shape), (usual.small.shape, usual.large.shape));
    }
}

#[test]
fn a_food_is_counted_peeled_as_it_is_worked_or_as_the_instructor_says() {
    let peel = |food: &str, cut: &str, making: Making| making.peel_of(CATALOGUE.food(food).unwrap(), CATALOGUE.cut(cut).unwrap());
    let flat = Making { way: Way::FlatFirst, ..Making::default() };
    assert_eq!(peel("potato", "batonnet", Making::default()), mm(1.2), "an exam's potato is peeled");
    assert_eq!(peel("potato", "batonnet", flat), mm(0.0), "a kitchen's only where the instructor says");
    assert_eq!(peel("potato", "batonnet", Making { peel: Some(mm(2.0)), ..flat }), mm(2.0));
    assert_eq!(peel("courgette", "batonnet", Making::default()), mm(0.0));
    assert_eq!(peel("potato", "peel", Making::default()), mm(0.0), "what is peeled is not peeled before");
    let most = Making { peel: Some(mm(16.0)), ..Making::default() };
    assert_eq!(pointers(&with(&usual_exercise(), |e| e.making = most).check(&CATALOGUE, "eighth")), ["/making/peel"]);
}

#[test]
fn marks_and_incidents_are_checked() {
    let marks = AttemptMarks { faults: vec!["fingertip_ahead".into(), "hummed".into()], ..AttemptMarks::default() };
    assert_eq!(pointers(&marks.check(&CATALOGUE)), ["/marks/faults/1"]);
    let incident = |words: &str| IncidentFields {
        student_id: None,
        kind: IncidentKind::NearMiss,
        words: words.into(),
        place: String::new(),
        first_aid: String::new(),
        aid_by: String::new(),
    };
    assert_eq!(pointers(&incident(" ").check()), ["/words"]);
    assert_eq!(pointers(&incident(&"x".repeat(401)).check()), ["/words"]);
    assert!(incident("a knife slid off the board").check().is_empty());
}

proptest! {
    /// No text breaks a check, and what is told never carries what cannot be printed.
    #[test]
    fn any_text_is_taken_or_told(text in "\\PC{0,120}|[\\x00-\\x1f]{1,4}") {
        let mut problems = with(&usual_course(), |c| c.name.clone_from(&text)).check(&CATALOGUE);
        problems.extend(with(&usual_student(), |s| s.allergies = vec![text.clone()]).check());
        problems.extend(with(&knife_of("chefs"), |k| k.number.clone_from(&text)).check(&CATALOGUE));
        for problem in problems {
            prop_assert!(!problem.name.is_empty() && !problem.allowed.is_empty());
            prop_assert!(!problem.value.chars().any(char::is_control));
            prop_assert!(problem.value.chars().count() <= 61);
        }
    }
}

#[test]
fn what_a_course_has_is_refused_at_each_field() {
    let refused = |change: fn(&mut Resources)| {
        let mut fields = usual_course();
        change(&mut fields.resources);
        pointers(&fields.check(&CATALOGUE)).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    let board = |length: f64, width: f64| Some(BoardSize { length: mm(length), width: mm(width) });
    let none: [&str; 0] = [];
    assert_eq!(refused(|_| {}), none);
    assert_eq!(refused(|r| r.instructors = Some(Watchers { people: 1, each: 12 })), none);
    assert_eq!(
        refused(|r| r.instructors = Some(Watchers { people: 0, each: 61 })),
        ["/resources/instructors/people", "/resources/instructors/each"]
    );
    assert_eq!(
        refused(|r| r.assistants = Some(Watchers { people: 1, each: 6 })),
        ["/resources/instructors/people"],
        "nobody answers for it"
    );
    assert_eq!(refused(|r| (r.sinks, r.containers) = (Some(0), Some(1001))), ["/resources/sinks", "/resources/containers"]);
    assert_eq!(refused(|r| r.food_budget = Some(-1.0)), ["/resources/food_budget"]);
    let size = |length, width| {
        let mut fields = usual_course();
        fields.resources.board_size = board(length, width);
        pointers(&fields.check(&CATALOGUE)).into_iter().map(str::to_owned).collect::<Vec<_>>()
    };
    assert_eq!(size(450.0, 300.0), none);
    assert_eq!(size(140.0, 90.0), ["/resources/board_size/length", "/resources/board_size/width"]);
    assert_eq!(size(300.0, 301.0), ["/resources/board_size/width"], "the shorter side is the shorter");
    let watched = |instructors, assistants| Resources { instructors, assistants, ..Resources::default() }.watched();
    assert_eq!(watched(None, None), None);
    assert_eq!(watched(Some(Watchers { people: 1, each: 10 }), Some(Watchers { people: 2, each: 6 })), Some(22));
}
