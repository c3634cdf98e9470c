//! A small made-up school for the tests.

#![allow(dead_code, reason = "each test file takes what it needs")]

pub mod attempts;
pub mod scene;

use std::sync::LazyLock;

use notch_core::carry::CutErrors;
use notch_core::catalogue::{BoardMaterial, Catalogue, Doctrines, Grip, Hold, Motion, ProduceSize, Third};
use notch_core::geometry::Way;
use notch_core::people::{AgeBand, Hand, HandSize, Pace};
use notch_core::records::{Amount, Course, CourseFields, ExerciseFields, Knife, KnifeFields, Making, Student, StudentFields};
use notch_core::resources::Resources;
use notch_core::units::Millimetres;
use notch_core::views::BenchQuestion;

/// The shipped catalogue.
pub static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::shipped().unwrap());

pub fn course(age_band: AgeBand) -> Course {
    Course {
        id: 1,
        version: 1,
        fields: CourseFields {
            name: "c".into(),
            school: "s".into(),
            place: "p".into(),
            age_band,
            pace: Pace::Learner,
            standard_set: "eighth".into(),
            tolerance: "school".into(),
            time_zone: "Europe/Lisbon".into(),
            lesson_minutes: 110,
            boards: 16,
            board_material: BoardMaterial::Wood,
            resources: Resources::default(),
            doctrines: Doctrines::default(),
            briefing_first: false,
        },
    }
}

pub fn student(name: &str, hand: Hand, allergies: &[&str]) -> Student {
    let fields = StudentFields {
        name: name.into(),
        station: 1,
        hand,
        hand_size: HandSize::Medium,
        clearance: Millimetres::whole(210),
        special_clearance: false,
        allergies: allergies.iter().map(ToString::to_string).collect(),
        notes: String::new(),
    };
    Student { id: 1, person_id: 1, course_id: 1, version: 1, archived: false, fields }
}

/// A sharp knife of a type at its usual length, for the right hand where it is ground for one.
pub fn knife(id: i64, kind: &str) -> Knife {
    let kind = CATALOGUE.knife(kind).unwrap();
    let fields = KnifeFields::usual(kind, kind.length.usual, id.to_string());
    Knife { id, version: 1, archived: false, fields }
}

/// One sharp knife of each type, numbered from 1.
pub fn rack() -> Vec<Knife> {
    (1..).zip(&CATALOGUE.knives).map(|(id, kind)| knife(id, &kind.id)).collect()
}

/// A cut as every class makes it: a chef's knife of 200 mm, pinch, claw, push, with the heel.
pub fn exercise_fields(food: &str, cut: &str, amount: Amount) -> ExerciseFields {
    ExerciseFields {
        food: food.into(),
        cut: cut.into(),
        knife_type: "chefs".into(),
        knife_length: Millimetres::whole(200),
        grip: Grip::Pinch,
        hold: Hold::Claw,
        motion: Motion::Push,
        third: Third::Heel,
        amount,
        own_minutes: None,
        making: Making::default(),
    }
}

/// A length of so many millimetres.
pub fn mm(size: f64) -> Millimetres {
    Millimetres::new(size).unwrap()
}

/// A cut on the bench, twenty good pieces a student.
pub fn bench_question(food: &str, cut: &str) -> BenchQuestion {
    BenchQuestion {
        food: food.into(),
        cut: cut.into(),
        shape: None,
        thickness: None,
        width: None,
        length: None,
        good: 20,
        success: 0.8,
        errors: CutErrors::default(),
        produce: ProduceSize::Medium,
        peel: None,
        wedges: None,
        onward: 0,
        price: None,
        knife_type: None,
        knife_length: None,
        way: Way::Squared,
    }
}
