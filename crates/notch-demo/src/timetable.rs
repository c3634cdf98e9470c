//! Courses, lessons and exercises of the demo.

use jiff::civil::{DateTime, date};
use notch_core::catalogue::{BoardMaterial, Doctrines, NotchKind, TowardsSelf};
use notch_core::draft::GoalFields;
use notch_core::people::{AgeBand, Pace};
use notch_core::records::{Amount, CourseFields, DayOfWeek};
use notch_core::resources::{BoardSize, Resources, Watchers};
use notch_core::units::Millimetres;

use crate::ZONE;
use crate::people::{CHILDREN, Person, TRAINEES};

/// An exercise, and how often each student tried it.
pub(crate) struct PlannedExercise {
    pub cut: &'static str,
    pub food: &'static str,
    pub amount: Amount,
    /// The instructor's own minutes for each student.
    pub own_minutes: Option<f64>,
    /// Minutes of its practice, where they are not the usual ones.
    pub practice: Option<u16>,
    /// Attempts of each student; 0 in lessons that are still to come.
    pub attempts: u32,
}

/// A lesson of the demo.
pub(crate) struct PlannedLesson {
    pub title: &'static str,
    pub starts_at: DateTime,
    pub exercises: Vec<PlannedExercise>,
}

/// A Stop fault of the demo: who, in which lesson and exercise, at which attempt, what.
pub(crate) struct PlannedStop {
    pub student: &'static str,
    pub lesson: usize,
    pub exercise: usize,
    pub attempt: u32,
    pub fault: &'static str,
}

/// A course of the demo.
pub(crate) struct PlannedCourse {
    pub fields: CourseFields,
    pub people: &'static [Person],
    pub lessons: Vec<PlannedLesson>,
    /// What it is to reach; lessons to come that are empty are filled by the draft.
    pub goals: Vec<GoalFields>,
    pub stops: Vec<PlannedStop>,
    /// Lesson (from 0), student, and what nearly happened.
    pub near_miss: Option<(usize, &'static str, &'static str)>,
}

fn pieces(cut: &'static str, food: &'static str, count: u16, attempts: u32) -> PlannedExercise {
    PlannedExercise { cut, food, amount: Amount::Pieces { count }, own_minutes: None, practice: None, attempts }
}

fn units(cut: &'static str, food: &'static str, minutes: f64, attempts: u32) -> PlannedExercise {
    PlannedExercise { cut, food, amount: Amount::Units { count: 1 }, own_minutes: Some(minutes), practice: Some(12), attempts }
}

fn stop(student: &'static str, lesson: usize, exercise: usize, attempt: u32, fault: &'static str) -> PlannedStop {
    PlannedStop { student, lesson, exercise, attempt, fault }
}

pub(crate) fn courses() -> [PlannedCourse; 2] {
    [autumn_watch(), small_galley()]
}

fn autumn_watch() -> PlannedCourse {
    let evening = |month: i8, day: i8| date(2026, month, day).at(18, 30, 0, 0);
    let lesson = |title, starts_at, exercises| PlannedLesson { title, starts_at, exercises };
    PlannedCourse {
        fields: autumn_watch_fields(),
        people: &TRAINEES,
        lessons: vec![
            lesson(
                "Claw, pinch and first coins",
                evening(9, 8),
                vec![pieces("coins", "courgette", 30, 3), units("mince", "parsley", 5.0, 2)],
            ),
            lesson(
                "Coins again, then the pile",
                evening(9, 15),
                vec![pieces("coins", "cucumber", 40, 3), units("mince", "parsley", 5.0, 2)],
            ),
            lesson(
                "The first stick: batons",
                evening(9, 22),
                vec![pieces("coins", "courgette", 30, 2), pieces("baton", "potato", 6, 3)],
            ),
            lesson(
                "Batonnet, and the first cubes",
                evening(9, 29),
                vec![
                    pieces("coins", "cucumber", 40, 3),
                    pieces("batonnet", "potato", 25, 3),
                    pieces("medium_dice", "potato", 20, 2),
                ],
            ),
            lesson(
                "Sticks: batonnet, then julienne",
                evening(10, 6),
                vec![
                    pieces("batonnet", "potato", 70, 0),
                    PlannedExercise { practice: Some(30), ..pieces("julienne", "carrot", 150, 0) },
                ],
            ),
            lesson("Julienne, then brunoise", evening(10, 13), Vec::new()),
            lesson("An onion, three ways", evening(10, 20), Vec::new()),
            lesson("The captain's table", evening(10, 27), Vec::new()),
        ],
        goals: vec![
            GoalFields { cut: "julienne".to_owned(), notch: NotchKind::True, by: 7 },
            GoalFields { cut: "small_dice".to_owned(), notch: NotchKind::True, by: 8 },
        ],
        stops: vec![
            stop("Rafa Solis", 1, 0, 2, "fingertip_ahead"),
            stop("Rafa Solis", 3, 0, 1, "fingertip_ahead"),
            stop("Maren Oake", 3, 0, 2, "towards_hand"),
            stop("Ada Quill", 0, 0, 1, "knife_hidden"),
        ],
        near_miss: Some((
            2,
            "Wim Aalto",
            "Knife knocked off the board by a cloth. Stepped back, nobody was hurt. Cloths now hang on the rail.",
        )),
    }
}

fn autumn_watch_fields() -> CourseFields {
    CourseFields {
        name: "Galley hands, autumn watch".to_owned(),
        school: "Lanternfish Galley School".to_owned(),
        place: "quay kitchen".to_owned(),
        age_band: AgeBand::Adult,
        pace: Pace::Learner,
        standard_set: "eighth".to_owned(),
        tolerance: "school".to_owned(),
        time_zone: ZONE.to_owned(),
        lesson_minutes: 110,
        boards: 16,
        board_material: BoardMaterial::Wood,
        resources: Resources {
            board_size: Some(BoardSize { length: Millimetres::whole(360), width: Millimetres::whole(260) }),
            sinks: Some(3),
            containers: Some(48),
            instructors: Some(Watchers { people: 1, each: 10 }),
            assistants: Some(Watchers { people: 1, each: 6 }),
            food_budget: None,
            delivery_days: vec![DayOfWeek::Monday, DayOfWeek::Thursday],
        },
        doctrines: Doctrines::default(),
        briefing_first: false,
    }
}

fn small_galley() -> PlannedCourse {
    let fields = CourseFields {
        name: "Small galley, ages 9 to 12".to_owned(),
        school: "Lanternfish Galley School".to_owned(),
        place: "training kitchen".to_owned(),
        age_band: AgeBand::Child,
        pace: Pace::Learner,
        standard_set: "metric".to_owned(),
        tolerance: "home".to_owned(),
        time_zone: ZONE.to_owned(),
        lesson_minutes: 75,
        boards: 8,
        board_material: BoardMaterial::Plastic,
        resources: Resources {
            board_size: Some(BoardSize { length: Millimetres::whole(350), width: Millimetres::whole(250) }),
            sinks: Some(2),
            containers: Some(24),
            instructors: Some(Watchers { people: 1, each: 5 }),
            assistants: Some(Watchers { people: 1, each: 3 }),
            food_budget: None,
            delivery_days: Vec::new(),
        },
        doctrines: Doctrines { towards_self: TowardsSelf::Never, ..Doctrines::default() },
        briefing_first: false,
    };
    let morning = |month: i8, day: i8| date(2026, month, day).at(10, 0, 0, 0);
    let lesson = |title, starts_at, exercises| PlannedLesson { title, starts_at, exercises };
    PlannedCourse {
        fields,
        people: &CHILDREN,
        lessons: vec![
            lesson("The bridge", morning(9, 26), vec![pieces("coins", "cucumber", 15, 2)]),
            lesson("Bridge, then claw", morning(10, 3), vec![pieces("coins", "cucumber", 20, 2)]),
            lesson("Courgette coins for soup", morning(10, 10), vec![pieces("coins", "courgette", 20, 0)]),
        ],
        goals: vec![GoalFields { cut: "coins".to_owned(), notch: NotchKind::Safe, by: 3 }],
        stops: Vec::new(),
        near_miss: None,
    }
}
