//! A small school for the tests: two students, two knives, a lesson with an exercise, one judged attempt.

#![allow(dead_code, reason = "each test file takes what it needs")]

use std::path::Path;

use jiff::Timestamp;
use jiff::civil::date;
use notch_core::catalogue::{BoardMaterial, Catalogue, Doctrines, Grip, GripDoctrine, Hold, Motion, SegmentKind, Third};
use notch_core::geometry::Way;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::people::{AgeBand, Hand, HandSize, Pace};
use notch_core::records::{
    Amount, Answered, AskAbout, Bolster, Briefing, CourseFields, EdgeState, ExerciseFields, IncidentFields, IncidentKind,
    KnifeFields, LessonFields, Making, MarkKind, NewAttempt, StationPlace, StoredSegment, StudentFields, Tang,
};
use notch_core::resources::Resources;
use notch_core::units::{Degrees, Millimetres};
use notch_store::{Store, StoreError};

pub type Tested = Result<(), Box<dyn std::error::Error>>;

pub fn course() -> CourseFields {
    CourseFields {
        name: "Tuesday knives".into(),
        school: "Harbour".into(),
        place: "room 4".into(),
        age_band: AgeBand::Adult,
        pace: Pace::Learner,
        standard_set: "eighth".into(),
        tolerance: "school".into(),
        time_zone: "Australia/Lord_Howe".into(),
        lesson_minutes: 110,
        boards: 8,
        board_material: BoardMaterial::Plastic,
        resources: Resources::default(),
        doctrines: Doctrines { grip: GripDoctrine::PinchOnly, ..Doctrines::default() },
        briefing_first: false,
    }
}

pub fn student(name: &str, station: u16) -> StudentFields {
    StudentFields {
        name: name.into(),
        station,
        hand: Hand::Left,
        hand_size: HandSize::Small,
        clearance: Millimetres::whole(180),
        special_clearance: true,
        allergies: vec!["celery".into()],
        notes: "n".into(),
    }
}

pub fn knife(number: &str) -> KnifeFields {
    KnifeFields {
        number: number.into(),
        knife_type: "chefs".into(),
        length: Millimetres::whole(200),
        heel_height: Millimetres::whole(47),
        hand: None,
        edge_state: EdgeState::Sharp,
        note: String::new(),
        name: "the old one".into(),
        edge_angle: Degrees::new(17.5).ok(),
        bolster: Bolster::Half,
        tang: Tang::Partial,
        hollowed: true,
        handle: "beech".into(),
        cost: Some(48.5),
        stored: "strip".into(),
    }
}

pub fn lesson(segments: Vec<StoredSegment>) -> LessonFields {
    LessonFields { title: "First".into(), starts_at: date(2026, 9, 8).at(18, 30, 0, 0), minutes: 110, segments }
}

pub fn exercise() -> ExerciseFields {
    ExerciseFields {
        food: "carrot".into(),
        cut: "julienne".into(),
        knife_type: "chefs".into(),
        knife_length: Millimetres::whole(200),
        grip: Grip::Pinch,
        hold: Hold::Claw,
        motion: Motion::Push,
        third: Third::Heel,
        amount: Amount::Pieces { count: 40 },
        own_minutes: Some(6.5),
        making: Making { width: Some(Millimetres::clamped(4.5)), way: Way::FlatFirst, ..Making::default() },
    }
}

pub fn at(seconds: i64) -> Timestamp {
    Timestamp::from_second(1_788_892_200 + seconds).unwrap()
}

pub fn attempt(student_id: i64, knife_id: i64) -> NewAttempt {
    let catalogue = Catalogue::shipped().unwrap();
    NewAttempt {
        student_id,
        lesson_id: 1,
        exercise_id: 1,
        knife_id,
        started_at: at(0),
        on_day: date(2026, 9, 8),
        cut: "julienne".into(),
        strand: catalogue.cut("julienne").unwrap().strand,
        standard_set: "eighth".into(),
        target: catalogue.target("eighth", "julienne").unwrap(),
        tolerance: catalogue.tolerance("school").unwrap().clone(),
        reference_seconds: Some(202.0),
    }
}

pub fn fault(id: &str) -> MarkKind {
    MarkKind::Fault { fault: id.into() }
}

/// A school with two students, two knives, a lesson with an exercise, and one judged attempt.
pub fn filled(folder: &Path) -> Result<Store, StoreError> {
    let store = Store::open(folder)?;
    let catalogue = Catalogue::shipped().unwrap();
    store.write::<_, StoreError>(|writer| {
        writer.add_course(&course())?;
        writer.add_student(1, &student("Ivo", 1))?;
        writer.add_student(1, &student("Ann", 2))?;
        writer.add_knife(&knife("1"))?;
        writer.add_knife(&knife("2"))?;
        let arrival = StoredSegment::of(SegmentKind::Arrival, 8);
        let lesson_1 = writer.add_lesson(1, &lesson(vec![arrival.clone()]))?;
        writer.add_exercise(1, &exercise(), &[])?;
        let practice = StoredSegment::practice(1, 20);
        writer.change_lesson(1, lesson_1.version, &lesson(vec![arrival, practice]))?;
        let started = writer.start_attempt(&attempt(1, 1))?;
        writer.stop_attempt(started.id, at(250))?;
        writer.add_mark(1, &fault("loose_grip"), at(200), Some("Mara"), None)?;
        writer.add_mark(1, &MarkKind::Grip, at(210), None, None)?;
        let pieces = parse_pieces("3.1 3.3 50 3.4\n3.3").unwrap();
        let verdict = judge(&catalogue, &started.target, &started.tolerance, SampleCustom::BlindTen, &pieces);
        writer.add_sample(1, SampleCustom::BlindTen, at(300), &pieces, &verdict)?;
        writer.add_incident(
            1,
            at(310),
            &IncidentFields {
                student_id: Some(1),
                kind: IncidentKind::NearMiss,
                words: "slipped".into(),
                place: "at the sink".into(),
                first_aid: "pressed and raised".into(),
                aid_by: "Ben".into(),
            },
        )?;
        let about = AskAbout::Fault { fault: "blade_up".into() };
        writer.add_briefing(
            1,
            &Briefing {
                id: 0,
                at: at(5),
                room: true,
                students: vec![1, 2],
                asked: 1,
                right: 1,
                passed: false,
                answered: vec![Answered { about, answer: "blade_up".into() }],
            },
        )?;
        writer.place_stations(1, &[StationPlace { station: 1, x: 40, y: 1000 }])?;
        Ok(())
    })?;
    Ok(store)
}
