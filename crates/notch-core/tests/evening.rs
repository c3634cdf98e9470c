//! The class as it runs, the sheet before it, and the count after it.

use std::collections::{BTreeMap, BTreeSet};

use crate::common::attempts::{Marked, attempt, blind, stopped};
use crate::common::{CATALOGUE, course, rack, student};
use jiff::civil::{Date, date};
use notch_core::at_hand::AtHand;
use notch_core::care::CareHistory;
use notch_core::catalogue::{Grip, Hold, Motion, SegmentKind, Third};
use notch_core::eligibility::briefing_barrier;
use notch_core::people::{AgeBand, Hand};
use notch_core::progress::GoodShares;
use notch_core::records::{
    Amount, AnnouncedTurn, Attempt, AttemptMarks, CheckTick, CountedKnife, Course, EdgeState, Exercise, ExerciseFields,
    KeptRotation, Knife, Lesson, LessonFields, Making, Mark, MarkKind, StoredSegment, Student, StudentFields, TakenBack,
};
use notch_core::resources::{BoardSize, Resources, Watchers};
use notch_core::units::Millimetres;
use notch_core::views::{
    CheckInput, CheckPart, CheckSheet, ClassInput, ClassRound, ClassView, KnifeCount, PlannedExercise, ProduceInput, ProduceView,
    WatchKind, check_closing, check_sheet, class_view, plan_view, produce_view, proposed_numbers, rotation_view,
};

const TODAY: Date = date(2026, 10, 6);

/// A school on the evening of its lesson; every part can be changed.
struct Evening {
    course: Course,
    students: Vec<Student>,
    knives: Vec<Knife>,
    cut: (&'static str, &'static str),
    knife: (&'static str, u16),
    histories: BTreeMap<i64, CareHistory>,
    ticks: Vec<CheckTick>,
    attempts: Vec<Attempt>,
    rotation: KeptRotation,
    briefed: BTreeSet<i64>,
}

/// So many chef's knives of 200 mm, numbered from 1.
fn chefs(count: u8) -> Vec<Knife> {
    let one = rack().into_iter().find(|knife| knife.fields.knife_type == "chefs").unwrap();
    (1..=count)
        .map(|number| {
            let mut knife = Knife { id: i64::from(number), ..one.clone() };
            knife.fields.number = number.to_string();
            knife.fields.length = Millimetres::whole(200);
            knife
        })
        .collect()
}

fn students(count: i64) -> Vec<Student> {
    (1..=count).map(|id| Student { id, ..student(&format!("Student {id}"), Hand::Right, &[]) }).collect()
}

fn evening(pupils: i64, knives: u8) -> Evening {
    Evening {
        course: course(AgeBand::Adult),
        students: students(pupils),
        knives: chefs(knives),
        cut: ("carrot", "julienne"),
        knife: ("chefs", 200),
        histories: BTreeMap::new(),
        ticks: Vec::new(),
        attempts: Vec::new(),
        rotation: KeptRotation::default(),
        briefed: BTreeSet::new(),
    }
}

fn lesson() -> Lesson {
    let fields = LessonFields { title: "Sticks".into(), starts_at: TODAY.at(18, 30, 0, 0), minutes: 110, segments: Vec::new() };
    Lesson { id: 1, course_id: 1, number: 5, version: 1, produce: notch_core::records::ProduceFields::default(), fields }
}

impl Evening {
    fn at_hand(&self) -> AtHand<'_> {
        AtHand { catalogue: &CATALOGUE, course: &self.course, students: &self.students, knives: &self.knives }
    }

    fn exercise(&self) -> Exercise {
        let fields = ExerciseFields {
            food: self.cut.0.into(),
            cut: self.cut.1.into(),
            knife_type: self.knife.0.into(),
            knife_length: Millimetres::whole(self.knife.1),
            grip: Grip::Pinch,
            hold: Hold::Claw,
            motion: Motion::Push,
            third: Third::Heel,
            amount: Amount::Pieces { count: 40 },
            own_minutes: None,
            making: Making::default(),
        };
        Exercise { id: 1, lesson_id: 1, version: 1, archived: false, pinned: true, kept_warnings: Vec::new(), fields }
    }

    fn planned(&self) -> Vec<PlannedExercise> {
        plan_view(&self.at_hand(), &lesson(), &[self.exercise()]).unwrap().exercises
    }

    fn produce(&self, lesson: &Lesson) -> ProduceView {
        let (at_hand, exercises, shares) = (self.at_hand(), [self.exercise()], GoodShares::default());
        let fields = &lesson.produce;
        produce_view(&ProduceInput { at_hand: &at_hand, lesson, exercises: &exercises, shares: &shares, fields })
    }

    fn sheet(&self) -> CheckSheet {
        self.checked(check_sheet)
    }

    fn proposed(&self) -> Vec<String> {
        self.checked(proposed_numbers)
    }

    fn checked<T>(&self, with: impl Fn(&CheckInput<'_>) -> T) -> T {
        let lesson = lesson();
        let plan = plan_view(&self.at_hand(), &lesson, &[self.exercise()]).unwrap();
        let class = self.class_input(&lesson, &plan.exercises);
        let kept = KeptRotation::default();
        with(&CheckInput {
            at_hand: self.at_hand(),
            lesson: &lesson,
            exercises: &plan.exercises,
            histories: &self.histories,
            ticks: &self.ticks,
            produce: &self.produce(&lesson),
            rotation: &rotation_view(&class, plan.time_rule.clone(), &kept, &kept.fields),
        })
    }

    fn class_input<'a>(&'a self, lesson: &'a Lesson, exercises: &'a [PlannedExercise]) -> ClassInput<'a> {
        ClassInput {
            at_hand: self.at_hand(),
            lesson,
            exercises,
            attempts: &self.attempts,
            incidents: &[],
            exercise_id: None,
            briefed: &self.briefed,
            room: &[],
            today: TODAY,
        }
    }

    fn class(&self) -> ClassView {
        class_view(&self.class_input(&lesson(), &self.planned()), &self.rotation)
    }

    fn change_student(mut self, id: i64, change: impl FnOnce(&mut StudentFields)) -> Self {
        change(&mut self.students.iter_mut().find(|student| student.id == id).unwrap().fields);
        self
    }
}

fn titles(sheet: &CheckSheet, part: CheckPart) -> Vec<String> {
    sheet.items.iter().filter(|item| item.part == part).map(|item| item.title.clone()).collect()
}

#[test]
fn a_sheet_asks_for_a_knife_a_board_and_towels_for_each_student() {
    let sheet = evening(6, 8).sheet();
    assert_eq!(titles(&sheet, CheckPart::Knives), ["6 knives for julienne of carrot"]);
    let stations = titles(&sheet, CheckPart::Stations);
    assert_eq!(stations[0], "6 boards of wood, anchored");
    assert_eq!(stations[1..3], ["12 damp towels", "18 containers"]);
    assert!(sheet.short.is_empty() && sheet.done == 0);
    let food = sheet.items.iter().find(|item| item.part == CheckPart::Food).unwrap();
    assert_eq!(food.title, "8 carrots");
    assert_eq!(food.detail, "For julienne of carrot. Washed and laid out: 6 for students, 1 to show, 1 to spare.");
}

#[test]
fn too_few_knives_or_boards_are_told_with_their_number() {
    let sheet = evening(6, 4).sheet();
    let knives = sheet.items.iter().find(|item| item.part == CheckPart::Knives).unwrap();
    assert_eq!(knives.short, 2);
    assert!(knives.detail.starts_with("Short of 2 for julienne of carrot: 4 fit"), "{}", knives.detail);
    assert!(knives.detail.ends_with("2 rounds in turns."), "{}", knives.detail);
    assert_eq!(sheet.short.as_slice(), std::slice::from_ref(&knives.detail));
    let mut few_boards = evening(6, 6);
    few_boards.course.fields.boards = 4;
    let sheet = few_boards.sheet();
    let boards = sheet.items.iter().find(|item| item.id == "boards").unwrap();
    assert_eq!((boards.short, boards.title.as_str()), (2, "4 boards of wood, anchored"));
}

#[test]
fn a_rack_without_a_fit_knife_says_so() {
    let mut evening = evening(3, 2);
    for knife in &mut evening.knives {
        knife.fields.edge_state = EdgeState::Dull;
    }
    let sheet = evening.sheet();
    assert_eq!(sheet.short, ["No knife on the rack is fit for julienne of carrot."]);
    assert!(evening.proposed().is_empty());
}

#[test]
fn edges_are_asked_for_by_model_with_the_numbers_of_their_knives() {
    let done = CareHistory { honed_on: Some(TODAY), tested_on: Some(TODAY), ..CareHistory::default() };
    let mut evening = evening(3, 3);
    let edges = |evening: &Evening| {
        let sheet = evening.sheet();
        let of = sheet.items.into_iter().filter(|item| item.part == CheckPart::Edges);
        of.map(|item| (item.title, item.numbers)).collect::<Vec<_>>()
    };
    let all = vec!["1".to_owned(), "2".into(), "3".into()];
    let label = CATALOGUE.knife("chefs").unwrap().label(Millimetres::whole(200));
    assert_eq!(edges(&evening), [(format!("Test {label}"), all.clone()), (format!("Hone {label}"), all)]);
    evening.histories.insert(2, done.clone());
    assert_eq!(edges(&evening)[0].1, ["1", "3"]);
    evening.histories.extend([(1, done.clone()), (3, done)]);
    assert_eq!(edges(&evening), []);
}

#[test]
fn a_tick_stays_with_its_line_and_a_line_that_is_not_there_is_refused() {
    let tick = |item: &str| CheckTick { item: item.into(), who: "Noor".into(), at: "2026-10-06T17:00:00Z".parse().unwrap() };
    let mut evening = evening(3, 3);
    evening.ticks = vec![tick("towels"), tick("knives:1"), tick("no longer on the sheet")];
    let sheet = evening.sheet();
    assert_eq!(sheet.done, 2);
    let ticked: Vec<&str> = sheet.items.iter().filter(|item| item.tick.is_some()).map(|item| item.id.as_str()).collect();
    assert_eq!(ticked, ["knives:1", "towels"]);
    let refused = |item: &str, who: &str| {
        let problems = sheet.check_tick(&CheckTick { who: who.into(), ..tick(item) });
        problems.into_iter().map(|problem| problem.pointer).collect::<Vec<_>>()
    };
    assert_eq!(refused("towels", "Noor"), [""; 0]);
    assert_eq!(refused("curtains", "Noor"), ["/item"]);
    assert_eq!(refused("towels", " "), ["/who"]);
}

#[test]
fn every_line_of_a_sheet_has_an_id_of_its_own() {
    let sheet = evening(6, 4).sheet();
    let mut ids: Vec<&str> = sheet.items.iter().map(|item| item.id.as_str()).collect();
    ids.sort_unstable();
    let all = ids.len();
    ids.dedup();
    assert_eq!(ids.len(), all);
}

#[test]
fn no_more_knives_are_proposed_than_students_or_boards() {
    assert_eq!(evening(3, 8).proposed().len(), 3);
    assert_eq!(evening(8, 5).proposed().len(), 5);
    let mut few_boards = evening(8, 8);
    few_boards.course.fields.boards = 2;
    assert_eq!(few_boards.proposed(), ["1", "2"]);
}

fn count(knives: &[(&str, bool)]) -> KnifeCount {
    let at = "2026-10-06T17:00:00Z".parse().unwrap();
    let counted: Vec<CountedKnife> = (1..)
        .zip(knives)
        .map(|(knife_id, (number, back))| CountedKnife {
            knife_id,
            number: (*number).into(),
            name: "Chef's".into(),
            out_at: at,
            in_at: back.then_some(at),
        })
        .collect();
    let missing = counted.iter().filter(|knife| knife.in_at.is_none()).count();
    KnifeCount { lesson: lesson(), knives: counted, missing, proposed: Vec::new(), closed: None }
}

#[test]
fn a_class_closes_when_all_knives_are_in_or_it_is_said_what_happened() {
    let refused = |count: &KnifeCount, who: &str, words: &str, running: usize| {
        check_closing(count, who, words, running).into_iter().map(|problem| problem.pointer).collect::<Vec<_>>()
    };
    let all_in = count(&[("1", true), ("2", true)]);
    assert_eq!(refused(&all_in, "Noor", "", 0), [""; 0]);
    assert_eq!(refused(&all_in, "", "", 0), ["/who"]);
    assert_eq!(refused(&all_in, "Noor", "", 2), ["/attempts"]);
    assert_eq!(refused(&all_in, "Noor", &"x".repeat(401), 0), ["/words"]);
    let one_missing = count(&[("1", true), ("14", false)]);
    assert_eq!(refused(&one_missing, "Noor", "", 0), ["/words"]);
    assert_eq!(refused(&one_missing, "Noor", "in the dishwasher", 0), [""; 0]);
    let told = check_closing(&one_missing, "Noor", " ", 0);
    assert_eq!(told[0].message, "2 went out and 1 came in: no. 14 missing. Count again, or say what happened.");
    assert_eq!(refused(&count(&[]), "Noor", "", 0), [""; 0], "nothing went out");
}

fn watched(view: &ClassView, student: i64) -> Vec<WatchKind> {
    let station = view.stations.iter().find(|station| station.student.id == student).unwrap();
    station.watch.iter().map(|reason| reason.kind).collect()
}

#[test]
fn a_station_shows_what_runs_there_and_whose_knife_is_taken() {
    let mut evening = evening(2, 2);
    evening.attempts = vec![stopped(1, "julienne", 120.0), Attempt { knife_id: 2, ..attempt(2, "julienne") }];
    let view = evening.class();
    let first = &view.stations[0];
    assert_eq!(first.running.as_ref().map(|attempt| attempt.id), Some(2));
    assert_eq!(first.attempts.len(), 2);
    assert!(view.stations[1].running.is_none() && view.stations[1].attempts.is_empty());
    let held: Vec<Option<i64>> = view.knives.iter().map(|knife| knife.in_use_by).collect();
    assert_eq!(held, [None, Some(1)]);
    assert_eq!(view.exercises[0].columns, ["thickness", "width", "length", "far width"]);
}

#[test]
fn attempts_of_another_lesson_are_not_of_this_class() {
    let mut evening = evening(1, 1);
    evening.attempts = vec![Attempt { lesson_id: 9, ..attempt(1, "julienne") }];
    let station = evening.class().stations.remove(0);
    assert!(station.running.is_none() && station.attempts.is_empty());
}

#[test]
fn a_stop_fault_pauses_the_student_until_it_is_cleared() {
    let marks = AttemptMarks { faults: vec!["fingertip_ahead".into()], ..AttemptMarks::default() };
    let stopped_for_it = stopped(1, "julienne", 60.0).marked(marks);
    let mut evening = evening(2, 2);
    evening.attempts = vec![stopped_for_it.clone()];
    let waits = |evening: &Evening| evening.class().stations.iter().map(|s| s.stop.is_some()).collect::<Vec<_>>();
    assert_eq!(waits(&evening), [true, false]);
    let stop = &stopped_for_it.made[0];
    let cleared = Mark { id: 2, what: MarkKind::Cleared, ..stop.clone() };
    let with = |made: Vec<Mark>| Attempt { made, ..stopped_for_it.clone() };
    evening.attempts = vec![with(vec![stop.clone(), cleared.clone()])];
    assert_eq!(waits(&evening), [false, false], "looked at together");
    let again = Mark { id: 3, ..stop.clone() };
    evening.attempts = vec![with(vec![stop.clone(), cleared.clone(), again.clone()])];
    assert_eq!(waits(&evening), [true, false], "the next one is not cleared by it");
    let undone = Some(TakenBack::undone(stop.at, None));
    evening.attempts = vec![with(vec![stop.clone(), cleared, Mark { taken_back: undone, ..again }])];
    assert_eq!(waits(&evening), [false, false]);
}

/// Who starts with which knife, and who waits.
fn next_round(evening: &Evening) -> (Vec<(i64, i64)>, Vec<i64>) {
    let round = evening.class().round;
    (round.starts.iter().map(|start| (start.student_id, start.knife_id)).collect(), round.waits)
}

#[test]
fn everybody_starts_at_once_as_far_as_knives_boards_and_watching_go() {
    let mut evening = evening(3, 3).change_student(2, |student| student.clearance = Millimetres::whole(180));
    assert_eq!(next_round(&evening), (vec![(1, 1), (3, 2)], vec![2]), "no knife of up to 180 mm");
    evening.course.fields.boards = 1;
    assert_eq!(next_round(&evening), (vec![(1, 1)], vec![2, 3]));
    evening.course.fields.boards = 8;
    evening.attempts = vec![attempt(1, "julienne")];
    assert_eq!(next_round(&evening), (vec![(3, 2)], vec![2]), "who works is not started again, nor with that knife");
    evening.rotation.fields.absent = vec![3];
    assert_eq!(next_round(&evening), (vec![], vec![2]));
    evening.rotation.fields.absent = vec![2];
    evening.attempts = vec![stopped(1, "julienne", 60.0)];
    assert_eq!(next_round(&evening), (vec![(3, 1)], vec![]), "who has made one lets the others go first");
    evening.attempts.push(Attempt { student_id: 3, ..stopped(2, "julienne", 60.0) });
    assert_eq!(next_round(&evening), (vec![(1, 1), (3, 2)], vec![]), "then all go round again");
}

#[test]
fn whom_to_look_at_now_is_three_at_most_and_the_gravest_first() {
    let mut evening = evening(6, 6).change_student(2, |student| student.allergies = vec!["celery".into()]);
    evening.cut = ("celery", "julienne");
    let names = |evening: &Evening| -> Vec<(i64, String)> {
        evening.class().watch_now.iter().map(|now| (now.student_id, now.words.to_string())).collect()
    };
    // Nobody has used such a blade: the first three who start.
    assert_eq!(names(&evening).iter().map(|(id, _)| *id).collect::<Vec<_>>(), [1, 3, 4]);
    assert!(evening.class().round.starts.iter().all(|start| start.student_id != 2), "not handed out by starting all");
    evening.attempts = (1..=6).map(|id| Attempt { id, student_id: id, knife_id: id, ..stopped(id, "julienne", 60.0) }).collect();
    assert_eq!(names(&evening), [(2, "allergy to this food".to_owned())]);
    let marks = AttemptMarks { faults: vec!["fingertip_ahead".into()], ..AttemptMarks::default() };
    evening.attempts.push(Attempt { student_id: 5, ..stopped(7, "julienne", 60.0).marked(marks) });
    let stopped = evening.class().watch_now;
    assert_eq!((stopped[0].student_id, stopped[0].stopped, stopped.len()), (5, true, 2));
    assert!(stopped[0].words.to_string().starts_with("paused: "), "{}", stopped[0].words);
}

#[test]
fn what_is_read_after_each_touch_holds_the_latest_sample_alone() {
    let mut evening = evening(1, 1);
    let measured = |id| Attempt { samples: vec![blind("julienne", "3.2 3.2 50")], ..stopped(id, "julienne", 60.0) };
    evening.attempts = vec![measured(1), measured(2)];
    let station = evening.class().stations.remove(0);
    assert_eq!(station.attempts.iter().map(|attempt| attempt.samples.len()).collect::<Vec<_>>(), [0, 1]);
    assert!(!station.unmeasured);
    evening.attempts.push(stopped(3, "julienne", 60.0));
    assert!(evening.class().stations[0].unmeasured);
}

#[test]
fn the_next_round_is_the_first_of_the_rotation_that_somebody_has_still_to_make() {
    let mut evening = evening(3, 3);
    let turn = |student_id, round, knife_id| AnnouncedTurn { student_id, exercise_id: 1, round, knife_id };
    evening.rotation.announced = vec![turn(1, 1, 2), turn(2, 1, 3), turn(3, 2, 2)];
    assert_eq!(evening.class().round.number, Some(1));
    assert_eq!(next_round(&evening).0, [(1, 2), (2, 3)]);
    evening.attempts = vec![Attempt { knife_id: 2, ..stopped(1, "julienne", 60.0) }];
    assert_eq!(next_round(&evening).0, [(2, 3)], "the rest of the round");
    evening.rotation.fields.absent = vec![2];
    assert_eq!(evening.class().round.number, Some(2), "nobody waits for who is not there");
    assert_eq!(next_round(&evening).0, [(3, 2)]);
    evening.attempts.push(Attempt { student_id: 3, ..stopped(2, "julienne", 60.0) });
    assert_eq!(evening.class().round, ClassRound::default(), "all have made their turns");
}

#[test]
fn the_first_time_with_a_longer_blade_is_watched_and_one_beyond_the_clearance_is_not_offered() {
    let mut evening = evening(2, 2).change_student(2, |student| student.clearance = Millimetres::whole(180));
    let view = evening.class();
    assert_eq!(watched(&view, 1), [WatchKind::FirstLength]);
    assert_eq!(watched(&view, 2), [WatchKind::ShorterKnife]);
    assert_eq!(view.stations[0].knives, [1, 2]);
    assert!(view.stations[1].knives.is_empty(), "200 mm is more than 180");
    evening.attempts = vec![stopped(1, "julienne", 100.0)];
    assert_eq!(watched(&evening.class(), 1), [], "used before");
}

#[test]
fn an_allergy_to_the_food_is_watched_at_that_station_only() {
    let mut evening = evening(3, 3).change_student(2, |student| student.allergies = vec!["celery".into()]);
    evening.cut = ("celery", "julienne");
    evening.attempts = (1..=3).map(|id| Attempt { id, student_id: id, ..stopped(id, "julienne", 100.0) }).collect();
    let view = evening.class();
    assert_eq!(watched(&view, 1), []);
    assert_eq!(watched(&view, 2), [WatchKind::Allergy]);
    assert_eq!(watched(&view, 3), []);
}

#[test]
fn a_lapsed_strand_is_watched() {
    let mut evening = evening(1, 1);
    evening.attempts = (1..=3).map(|id| stopped(id, "julienne", 100.0)).collect();
    assert_eq!(watched(&evening.class(), 1), []);
    let marks = AttemptMarks { faults: vec!["towards_hand".into()], ..AttemptMarks::default() };
    evening.attempts.push(stopped(4, "julienne", 100.0).marked(marks));
    assert_eq!(watched(&evening.class(), 1), [WatchKind::SafeFirst]);
}

#[test]
fn the_sheet_reckons_with_what_the_kitchen_has() {
    let with = |resources: Resources| {
        let mut evening = evening(6, 8);
        evening.course.fields.resources = resources;
        evening.sheet().items.into_iter().filter(|item| item.part == CheckPart::Stations).collect::<Vec<_>>()
    };
    let board_size = Some(BoardSize { length: Millimetres::whole(360), width: Millimetres::whole(260) });
    let all = with(Resources { board_size, containers: Some(18), ..Resources::default() });
    assert_eq!(all[0].title, "6 boards of wood, 360 × 260 mm, anchored");
    assert!(all.iter().all(|item| item.short == 0), "{all:?}");
    assert_eq!(with(Resources { containers: Some(14), ..Resources::default() })[2].short, 4, "three a station");
    // Four are watched at one time: the others wait, and no more boards are laid out than are worked at.
    let watched = with(Resources { instructors: Some(Watchers { people: 1, each: 4 }), ..Resources::default() });
    assert_eq!((watched[0].title.as_str(), watched[0].short), ("4 boards of wood, anchored", 0));
    assert_eq!(watched[2].title, "12 containers");
}

#[test]
fn each_washes_up_in_turn_at_the_sinks_there_are() {
    let short_by = |sinks: Option<u16>, kind: SegmentKind| {
        let mut evening = evening(30, 8);
        evening.course.fields.resources.sinks = sinks;
        let mut lesson = lesson();
        lesson.fields.segments = vec![StoredSegment::of(kind, 12)];
        plan_view(&evening.at_hand(), &lesson, &[]).unwrap().time_rule.segments[0].short_by
    };
    assert_eq!(short_by(Some(2), SegmentKind::CleanDown), 3, "thirty at two sinks, a minute each, in twelve");
    assert_eq!(short_by(Some(3), SegmentKind::CleanDown), 0);
    assert_eq!(short_by(None, SegmentKind::CleanDown), 0, "nobody has said how many there are");
    assert_eq!(short_by(Some(2), SegmentKind::Arrival), 0, "nobody washes up then");
}

#[test]
fn the_beat_is_held_back_until_the_pieces_are_even() {
    let beat = |evening: &Evening| evening.class().stations[0].beat.clone();
    let first = beat(&evening(3, 3));
    assert_eq!((first.per_minute, first.held_back), (30.0, true), "who has shown nothing begins slowly");
    // As quick as a trained hand, and nothing measured: no quicker than the class is planned with.
    let quick = |id: i64| Attempt { reference_seconds: Some(200.0), ..stopped(id, "julienne", 60.0) };
    let mut uneven = Evening { attempts: vec![quick(1)], ..evening(3, 3) };
    assert_eq!((beat(&uneven).per_minute, beat(&uneven).held_back), (30.0, true));
    // Thirty even pieces, taken unseen, with grip and hold seen: the next pace.
    let pieces = ["3.2 3.2 50"; 10].join("\n");
    let even = |id: i64| Attempt { samples: vec![blind("julienne", &pieces)], ..quick(id) };
    uneven.attempts = (1..=3).map(even).collect();
    assert_eq!((beat(&uneven).per_minute, beat(&uneven).held_back), (160.0, false));
    // One that was stopped at once says nothing of the pace.
    uneven.attempts.push(Attempt { samples: Vec::new(), ..stopped(9, "julienne", 0.4) });
    assert_eq!(beat(&uneven).per_minute, 160.0);
    // A Stop fault closes what was cut: back to the pace that was shown.
    let marks = AttemptMarks { grip_ticked: true, hold_ticked: true, faults: vec!["blade_up".into()] };
    uneven.attempts.push(even(4).marked(marks));
    assert!(beat(&uneven).held_back);
}

#[test]
fn nobody_starts_before_a_briefing_where_the_course_asks_for_one() {
    let mut evening = evening(3, 3);
    let due = |evening: &Evening| {
        let view = evening.class();
        let due: Vec<bool> = view.stations.iter().map(|station| station.briefing_due).collect();
        (due, view.round.starts.len())
    };
    let (all, starts) = due(&evening);
    assert!(all.iter().all(|due| !due) && starts > 1);
    evening.course.fields.briefing_first = true;
    let (all, starts) = due(&evening);
    assert!(all.iter().all(|due| *due) && starts == 0);
    let (first, others) = (evening.students[0].id, evening.students.len() - 1);
    evening.briefed.insert(first);
    let (all, starts) = due(&evening);
    assert_eq!((all.iter().filter(|due| **due).count(), starts), (others, 1));
    let barrier = briefing_barrier(&evening.course.fields, &evening.briefed, &evening.students[1]).unwrap();
    assert_eq!(barrier.id(), "student.briefing");
}
