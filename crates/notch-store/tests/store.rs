//! The store on real files: what is kept, refused, rolled back, and found damaged.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::fs;
use std::path::Path;

use jiff::Timestamp;
use jiff::civil::date;
use notch_core::care::{CareDeed, CareFields, CareHistory};
use notch_core::catalogue::{
    BoardMaterial, Catalogue, Doctrines, Grip, GripDoctrine, Habit, Hold, IndexOnSpine, Motion, SegmentKind, Third, TowardsSelf,
};
use notch_core::geometry::Way;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::own::{OwnKind, OwnValue};
use notch_core::people::{AgeBand, Hand, HandSize, Pace};
use notch_core::records::{
    Amount, AttemptMarks, Bolster, CheckTick, Closing, CourseFields, EdgeState, ExerciseFields, IncidentFields, IncidentKind,
    KnifeFields, LessonFields, Making, NewAttempt, StoredSegment, StudentFields, Tang,
};
use notch_core::units::{Degrees, Millimetres};
use notch_store::{DATABASE_FILE, ServingLock, Store, StoreError, schema_version};
use proptest::prelude::*;
use tempfile::TempDir;

type Tested = Result<(), Box<dyn std::error::Error>>;

fn course() -> CourseFields {
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
        doctrines: Doctrines { grip: GripDoctrine::PinchOnly, ..Doctrines::default() },
    }
}

fn student(name: &str, station: u16) -> StudentFields {
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

fn knife(number: &str) -> KnifeFields {
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

fn lesson(segments: Vec<StoredSegment>) -> LessonFields {
    LessonFields { title: "First".into(), starts_at: date(2026, 9, 8).at(18, 30, 0, 0), minutes: 110, segments }
}

fn exercise() -> ExerciseFields {
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

fn at(seconds: i64) -> Timestamp {
    Timestamp::from_second(1_788_892_200 + seconds).unwrap()
}

fn attempt(student_id: i64, knife_id: i64) -> NewAttempt {
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

/// A school with two students, two knives, a lesson with an exercise, and one judged attempt.
fn filled(folder: &Path) -> Result<Store, StoreError> {
    let store = Store::open(folder)?;
    let catalogue = Catalogue::shipped().unwrap();
    store.write::<_, StoreError>(|writer| {
        writer.add_course(&course())?;
        writer.add_student(1, &student("Ivo", 1))?;
        writer.add_student(1, &student("Ann", 2))?;
        writer.add_knife(&knife("1"))?;
        writer.add_knife(&knife("2"))?;
        let arrival = StoredSegment { kind: SegmentKind::Arrival, minutes: 8, exercise_id: None };
        let lesson_1 = writer.add_lesson(1, &lesson(vec![arrival.clone()]))?;
        writer.add_exercise(1, &exercise(), &[])?;
        let practice = StoredSegment { kind: SegmentKind::Practice, minutes: 20, exercise_id: Some(1) };
        writer.change_lesson(1, lesson_1.version, &lesson(vec![arrival, practice]))?;
        let started = writer.start_attempt(&attempt(1, 1))?;
        let stopped = writer.stop_attempt(started.id, at(250))?;
        let marks = AttemptMarks { grip_ticked: true, hold_ticked: false, faults: vec!["loose_grip".into()] };
        writer.mark_attempt(1, stopped.version, &marks)?;
        let pieces = parse_pieces("3.1 3.3 50 3.4\n3.3").unwrap();
        let verdict = judge(&catalogue, &started.target, &started.tolerance, SampleCustom::BlindTen, &pieces);
        writer.add_sample(1, SampleCustom::BlindTen, at(300), &pieces, &verdict)?;
        writer.add_incident(
            1,
            at(310),
            &IncidentFields { student_id: Some(1), kind: IncidentKind::NearMiss, words: "slipped".into() },
        )?;
        Ok(())
    })?;
    Ok(store)
}

#[test]
fn everything_is_there_after_closing_and_opening_again() -> Tested {
    let folder = TempDir::new()?;
    let before = filled(folder.path())?.export()?;
    let store = Store::open(folder.path())?;
    assert_eq!(store.export()?, before);
    store.check()?;
    let attempt = store.read(|reader| reader.attempt(1))?;
    assert_eq!((attempt.seconds, attempt.marks.grip_ticked, attempt.marks.hold_ticked), (Some(250.0), true, false));
    let pieces = store.read(|reader| reader.pieces(1))?;
    assert_eq!((pieces.len(), pieces[0].far_width), (2, Some(Millimetres::clamped(3.4))));
    assert_eq!(attempt.samples[0].verdict.inside.count, 2);
    let kept = store.read(|reader| reader.lesson(1))?;
    assert_eq!(kept.fields.segments[1].exercise_id, Some(1));
    assert_eq!(store.read(|reader| reader.latest_moment())?, Some(at(310)));
    Ok(())
}

#[test]
fn a_change_that_fails_half_way_leaves_nothing() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let before = store.export()?;
    let done = store.write::<(), StoreError>(|writer| {
        writer.add_student(1, &student("New", 3))?;
        writer.add_knife(&knife("2"))?;
        Ok(())
    });
    assert!(matches!(done, Err(StoreError::Refused(problems)) if problems[0].pointer == "/number"));
    assert_eq!(store.export()?, before);
    Ok(())
}

#[test]
fn an_edit_from_an_older_version_is_refused() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let sharper = KnifeFields { note: "stoned".into(), ..knife("1") };
    store.write::<_, StoreError>(|writer| writer.change_knife(1, 1, &sharper))?;
    let stale = store.write::<_, StoreError>(|writer| writer.change_knife(1, 1, &knife("1")));
    assert!(matches!(stale, Err(StoreError::Stale { yours: 1, current: 2, .. })));
    assert_eq!(store.read(|reader| reader.knife(1))?.fields.note, "stoned");
    Ok(())
}

#[test]
fn removed_records_keep_their_history_and_come_back_unless_their_place_was_taken() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| writer.archive_student(1, 1, true))?;
    assert_eq!(store.read(|reader| reader.students(1))?.len(), 1);
    assert_eq!(store.read(|reader| reader.attempts_of_student(1))?.len(), 1);
    let change = store.write::<_, StoreError>(|writer| writer.change_student(1, 2, &student("Ivo", 1)));
    assert!(matches!(change, Err(StoreError::Archived { .. })));
    store.write::<_, StoreError>(|writer| writer.add_student(1, &student("Next", 1)))?;
    let back = store.write::<_, StoreError>(|writer| writer.archive_student(1, 2, false));
    assert!(matches!(back, Err(StoreError::Refused(problems)) if problems[0].pointer == "/station"));
    Ok(())
}

#[test]
fn a_student_and_a_knife_are_in_one_attempt_at_a_time() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(1, 1)))?;
    let again = store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(1, 2))).unwrap_err();
    assert!(again.to_string().contains("Ivo already has an attempt running"));
    let shared = store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(2, 1))).unwrap_err();
    assert!(shared.to_string().contains("in use by Ivo"));
    store.write::<_, StoreError>(|writer| writer.stop_attempt(2, at(10)))?;
    let twice = store.write::<_, StoreError>(|writer| writer.stop_attempt(2, at(20)));
    assert!(matches!(twice, Err(StoreError::Conflict(_))));
    Ok(())
}

#[test]
fn attempts_that_were_read_are_read_again_after_a_change() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let count = || store.read(|reader| reader.attempts_of_course(1)).map(|attempts| attempts.len());
    assert_eq!((count()?, count()?), (1, 1));
    store.write::<_, StoreError>(|writer| {
        writer.start_attempt(&attempt(2, 2))?;
        assert_eq!(writer.attempts_of_course(1)?.len(), 2, "a change sees its own work");
        Ok(())
    })?;
    assert_eq!(count()?, 2);
    Ok(())
}

#[test]
fn what_is_not_there_is_said_by_its_kind() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    for (found, what) in [
        (store.read(|reader| reader.course(9).map(drop)), "course 9"),
        (store.read(|reader| reader.student(9).map(drop)), "student 9"),
        (store.read(|reader| reader.knife(9).map(drop)), "knife 9"),
        (store.read(|reader| reader.lesson(9).map(drop)), "lesson 9"),
        (store.read(|reader| reader.exercise(9).map(drop)), "exercise 9"),
        (store.read(|reader| reader.attempt(9).map(drop)), "attempt 9"),
    ] {
        assert_eq!(found.unwrap_err().to_string(), format!("there is no {what}"));
    }
    Ok(())
}

#[test]
fn an_export_is_taken_into_an_empty_folder_and_nowhere_else() -> Tested {
    let (from, into) = (TempDir::new()?, TempDir::new()?);
    let document = filled(from.path())?.export()?;
    let text = serde_json::to_string(&document)?;
    let store = Store::open(into.path())?;
    store.import(&serde_json::from_str(&text)?)?;
    assert_eq!(store.export()?, document);
    let again = store.import(&document).unwrap_err().to_string();
    assert!(again.contains("already holds"), "{again}");
    Ok(())
}

#[test]
fn an_export_of_an_earlier_schema_is_brought_up_to_this_one() -> Tested {
    let from = TempDir::new()?;
    let now = filled(from.path())?.export()?;
    let steps = [include_str!("../migrations/0001_initial.sql"), include_str!("../migrations/0002_rack_and_schools.sql")];
    for schema in 1..=steps.len() {
        // The same school as it would have been exported then: without what later steps brought.
        let then = rusqlite::Connection::open_in_memory()?;
        steps[..schema].iter().try_for_each(|step| then.execute_batch(step))?;
        let mut document = now.clone();
        document.schema = i64::try_from(schema)?;
        for (table, rows) in &mut document.tables {
            let mut columns = then.prepare(&format!("SELECT name FROM pragma_table_info('{table}')"))?;
            let columns: Vec<String> = columns.query_map([], |row| row.get(0))?.collect::<Result<_, _>>()?;
            rows.iter_mut().for_each(|row| row.retain(|column, _| columns.contains(column)));
            rows.retain(|row| !row.is_empty());
        }
        if schema == 1 {
            // Two schools had columns of their own.
            for row in document.tables.get_mut("course").unwrap() {
                row.insert("index_on_spine".into(), "tip_draw".into());
                row.insert("towards_self".into(), "never".into());
            }
        }
        let into = TempDir::new()?;
        let store = Store::open(into.path())?;
        store.import(&document)?;
        let exercises = store.read(|reader| reader.exercises(1))?;
        assert_eq!(exercises[0].fields, ExerciseFields { making: Making::default(), ..exercise() }, "schema {schema}");
        let (brought, sent) = (store.export()?, document);
        for table in ["student", "attempt", "piece", "lesson"] {
            assert_eq!(brought.tables[table].len(), sent.tables[table].len(), "{table}, schema {schema}");
        }
        assert_eq!(brought.schema, schema_version());
        // A row that does not fit is still named, and nothing is kept.
        let mut wrong = sent;
        wrong.tables.get_mut("knife").unwrap()[0].insert("length".into(), (-5.0).into());
        let store = Store::open(TempDir::new()?.path())?;
        let said = store.import(&wrong).unwrap_err().to_string();
        assert!(said.contains("knife, row 1"), "{said}");
        assert!(store.export()?.tables.values().all(Vec::is_empty));
    }
    Ok(())
}

#[test]
fn a_wrong_import_names_table_and_row_and_leaves_nothing() -> Tested {
    let from = TempDir::new()?;
    let good = filled(from.path())?.export()?;
    let refusal = |change: &dyn Fn(&mut notch_store::Document)| -> Result<String, Box<dyn std::error::Error>> {
        let into = TempDir::new()?;
        let mut document = good.clone();
        change(&mut document);
        let store = Store::open(into.path())?;
        let said = store.import(&document).unwrap_err().to_string();
        assert!(store.export()?.tables.values().all(Vec::is_empty), "half-written after: {said}");
        Ok(said)
    };
    let set = |table: &'static str, column: &'static str, value: serde_json::Value| {
        move |document: &mut notch_store::Document| {
            document.tables.get_mut(table).unwrap()[0].insert(column.to_owned(), value.clone());
        }
    };
    assert!(refusal(&set("knife", "length", (-5.0).into()))?.contains("knife, row 1"));
    assert!(refusal(&set("student", "course_id", 77.into()))?.contains("student, row 1"));
    assert!(refusal(&set("student", "shoe_size", 44.into()))?.contains("no column “shoe_size”"));
    assert!(refusal(&set("attempt", "target_json", "{}x".into()))?.contains("attempt, row 1"));
    assert!(!refusal(&set("exercise", "grip", "by the teeth".into()))?.is_empty());
    assert!(refusal(&|document| document.schema = 0)?.contains("schema is 0"));
    assert!(refusal(&|document| document.schema = 99)?.contains("schema is 99"));
    assert!(refusal(&|document| document.format = "other".into())?.contains("“other”"));
    Ok(())
}

#[test]
fn a_damaged_file_is_told_and_left_as_it_is() -> Tested {
    let folder = TempDir::new()?;
    let path = folder.path().join(DATABASE_FILE);
    fs::write(&path, b"this is no database, and longer than the header of one would be, so that it is looked at in full")?;
    let before = fs::read(&path)?;
    let error = Store::open(folder.path()).unwrap_err();
    assert!(matches!(error, StoreError::Corrupt { .. }), "{error}");
    assert_eq!(fs::read(&path)?, before);
    Ok(())
}

#[test]
fn a_file_with_a_torn_page_is_told() -> Tested {
    let folder = TempDir::new()?;
    drop(filled(folder.path())?);
    let path = folder.path().join(DATABASE_FILE);
    let mut bytes = fs::read(&path)?;
    for byte in bytes.iter_mut().skip(4096).take(3 * 4096) {
        *byte = 0xA5;
    }
    fs::write(&path, bytes)?;
    assert!(matches!(Store::open(folder.path()), Err(StoreError::Corrupt { .. })));
    Ok(())
}

#[test]
fn a_file_of_a_newer_program_is_told_with_both_versions() -> Tested {
    let folder = TempDir::new()?;
    drop(filled(folder.path())?);
    let path = folder.path().join(DATABASE_FILE);
    rusqlite::Connection::open(&path)?.pragma_update(None, "user_version", schema_version() + 1)?;
    let error = Store::open(folder.path()).unwrap_err();
    assert!(matches!(error, StoreError::Newer { found, known, .. } if found == known + 1), "{error}");
    Ok(())
}

#[test]
fn a_folder_that_cannot_be_made_is_told_by_name() -> Tested {
    let folder = TempDir::new()?;
    let file = folder.path().join("a-file");
    fs::write(&file, "x")?;
    let error = Store::open(&file.join("data")).unwrap_err();
    assert!(matches!(error, StoreError::Folder { .. }) && error.to_string().contains("--data"), "{error}");
    Ok(())
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]
    #[test]
    fn any_text_in_a_record_comes_back_as_it_went_in(name in "[^\\p{C}]{1,40}", note in "[^\\p{C}]{0,80}") {
        prop_assume!(!name.trim().is_empty());
        let folder = TempDir::new().unwrap();
        let store = Store::open(folder.path()).unwrap();
        let fields = StudentFields { notes: note.clone(), ..student(&name, 1) };
        let kept = store.write::<_, StoreError>(|writer| {
            writer.add_course(&course())?;
            writer.add_student(1, &fields)
        }).unwrap();
        prop_assert_eq!(kept.fields.name, name.trim());
        prop_assert_eq!(kept.fields.notes, note.trim());
    }
}

#[test]
fn care_says_when_a_knife_was_last_cared_for_and_how_worn_it_is() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let catalogue = Catalogue::shipped()?;
    let history = |store: &Store| -> Result<CareHistory, StoreError> {
        Ok(store.read(|reader| reader.care_histories(&catalogue, Some(1)))?.remove(&1).unwrap_or_default())
    };
    // 250 seconds on carrot (firmness 4) and a plastic board.
    let minutes = 250.0 / 60.0 * catalogue.care.firmness_wear(4) * catalogue.care.board_wear(BoardMaterial::Plastic);
    assert!((history(&store)?.wear.board_minutes - minutes).abs() < 1e-3);
    let write = |deed: CareDeed, day: i8| {
        let fields = CareFields { deed, on_day: date(2026, 9, day), words: String::new() };
        let state = fields.deed.edge_state(&catalogue);
        store.write::<_, StoreError>(|writer| writer.add_care(1, at(600), &fields, state))
    };
    write(CareDeed::Habit { habit: Habit::Dishwasher }, 9)?;
    write(CareDeed::Hone { angle: None, strokes: 4 }, 10)?;
    let worn = history(&store)?;
    assert_eq!((worn.honed_on, worn.used_from), (Some(date(2026, 9, 10)), Some(date(2026, 9, 8))));
    assert!((worn.wear.habit_minutes - 60.0).abs() < 1e-9);
    write(CareDeed::Stone { angle: None, strokes: 10, grits: vec![1000] }, 11)?;
    let ground = history(&store)?;
    assert_eq!(ground.ground_on, Some(date(2026, 9, 11)));
    assert!(ground.wear.total().abs() < 1e-9, "the stone takes the wear away");
    write(CareDeed::SentOut, 12)?;
    assert!(history(&store)?.away);
    assert_eq!(store.read(|reader| reader.knife(1))?.fields.edge_state, EdgeState::Dull);
    write(CareDeed::CameBack, 14)?;
    write(CareDeed::PaperTest { clean: 3 }, 14)?;
    let back = history(&store)?;
    assert!(!back.away && back.tested_on == Some(date(2026, 9, 14)));
    assert_eq!(store.read(|reader| reader.knife(1))?.fields.edge_state, EdgeState::Sharp);
    assert_eq!(store.read(|reader| reader.care_events(1, 3))?.len(), 3);
    Ok(())
}

#[test]
fn ticks_counts_and_the_closing_are_kept_and_taken_back() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let catalogue = Catalogue::shipped()?;
    let tick = CheckTick { item: "boards".into(), who: "Mara".into(), at: at(10) };
    store.write::<_, StoreError>(|writer| {
        writer.tick(1, &tick, true)?;
        writer.tick(1, &CheckTick { who: "Ann".into(), ..tick.clone() }, true)?;
        writer.count_out(1, 1, at(20))?;
        writer.count_out(1, 2, at(21))?;
        assert!(writer.count_in(1, 1, at(30))? && !writer.count_in(1, 99, at(30))?);
        writer.close_lesson(1, Some(&Closing { at: at(40), who: "Mara".into(), words: "no. 2 chipped".into() }))
    })?;
    assert_eq!(store.read(|reader| reader.check_ticks(1))?, std::slice::from_ref(&tick), "the first tick stays");
    let out = store.read(|reader| reader.knives_out(1, &catalogue))?;
    assert_eq!(out.iter().map(|knife| knife.in_at.is_some()).collect::<Vec<_>>(), [true, false]);
    let twice = Closing { at: at(41), who: "Ann".into(), words: String::new() };
    assert!(matches!(store.write(|writer| writer.close_lesson(1, Some(&twice))), Err(StoreError::Conflict(_))));
    let document = store.export()?;
    let other = TempDir::new()?;
    let copy = Store::open(other.path())?;
    copy.import(&document)?;
    assert_eq!(copy.export()?, document);
    store.write::<_, StoreError>(|writer| {
        writer.tick(1, &tick, false)?;
        writer.count_not_out(1, 2)?;
        writer.close_lesson(1, None)
    })?;
    assert!(store.read(|reader| reader.check_ticks(1))?.is_empty());
    assert_eq!(store.read(|reader| reader.closing(1))?, None);
    Ok(())
}

#[test]
fn own_values_have_versions_and_know_what_uses_them() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let cue = |words: &str| OwnValue::Cue { id: "loose_grip".into(), cue: words.into() };
    store.write::<_, StoreError>(|writer| writer.keep_own(None, &cue("one")))?;
    assert!(matches!(store.write(|writer| writer.keep_own(None, &cue("again"))), Err(StoreError::Stale { .. })));
    store.write::<_, StoreError>(|writer| writer.keep_own(Some(1), &cue("two")))?;
    let kept = store.read(|reader| reader.own_values())?;
    assert_eq!((kept[0].version, &kept[0].value), (2, &Ok(cue("two"))));
    let sizes = store.read(|reader| reader.uses_of_own(OwnKind::StandardSet, "eighth"))?;
    assert_eq!((sizes.courses, sizes.attempts), (vec!["Tuesday knives".to_owned()], 1));
    assert_eq!(store.read(|reader| reader.uses_of_own(OwnKind::Food, "carrot"))?.exercises, 1);
    assert!(matches!(store.write(|writer| writer.drop_own(OwnKind::Cue, "loose_grip", 1)), Err(StoreError::Stale { .. })));
    store.write::<_, StoreError>(|writer| writer.drop_own(OwnKind::Cue, "loose_grip", 2))?;
    assert!(store.read(|reader| reader.own_values())?.is_empty());
    Ok(())
}

#[test]
fn a_school_of_the_first_schema_keeps_its_schools_and_gets_the_new_columns() -> Tested {
    let folder = TempDir::new()?;
    let old = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    old.execute_batch(include_str!("../migrations/0001_initial.sql"))?;
    old.execute_batch(
        "INSERT INTO course VALUES (1, 3, 'Old', 'Harbour', 'room 4', 'adult', 'learner', 'metric', 'exam', 110, 8, 'tip_draw', 'never');
         INSERT INTO knife VALUES (1, 1, 0, '1', 'chefs', 200, 47, NULL, 'sharp', 'n');
         INSERT INTO student VALUES (1, 1, 1, 0, 'Ivo', 1, 'left', 'small', 180, '[]', '');
         INSERT INTO lesson VALUES (1, 1, 1, 1, 'First', '2026-09-08T18:30:00', 110);
         INSERT INTO exercise VALUES (1, 1, 1, 0, 'carrot', 'julienne', 'chefs', 200, 'pinch', 'claw', 'push', 'heel', '{\"kind\":\"pieces\",\"count\":40}', NULL, '[]');
         INSERT INTO attempt (student_id, lesson_id, exercise_id, knife_id, started_at, on_day, cut, target_json, tolerance_json)
         VALUES (1, 1, 1, 1, '2026-09-08T19:00:00.000Z', '2026-09-08', 'julienne', '{}', '{}');
         PRAGMA user_version = 1;",
    )?;
    drop(old);
    let store = Store::open(folder.path())?;
    let course = store.read(|reader| reader.course(1))?;
    assert_eq!((course.version, course.fields.doctrines.index_on_spine), (3, IndexOnSpine::TipDraw));
    assert_eq!((course.fields.doctrines.towards_self, course.fields.board_material), (TowardsSelf::Never, BoardMaterial::Wood));
    let knife = store.read(|reader| reader.knife(1))?;
    assert_eq!((knife.fields.bolster, knife.fields.cost, knife.fields.hollowed), (Bolster::None, None, false));
    let sizes = store.read(|reader| reader.uses_of_own(OwnKind::StandardSet, "metric"))?;
    assert_eq!((sizes.courses, sizes.attempts), (vec!["Old".to_owned()], 1));
    Ok(())
}

#[test]
fn an_own_value_that_cannot_be_read_hides_no_other() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let cue = OwnValue::Cue { id: "loose_grip".into(), cue: "one".into() };
    store.write::<_, StoreError>(|writer| writer.keep_own(None, &cue))?;
    let other = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    other.execute_batch(
        r#"INSERT INTO own_value (kind, id, value_json) VALUES ('food', 'own_moon', '{"kind":"food","crater":1}')"#,
    )?;
    let kept = store.read(|reader| reader.own_values())?;
    assert_eq!(kept.iter().filter(|record| record.value.is_ok()).count(), 1);
    let broken = kept.iter().find(|record| record.id == "own_moon").unwrap();
    assert!(broken.value.as_ref().is_err_and(|why| !why.is_empty()), "{broken:?}");
    store.write::<_, StoreError>(|writer| writer.drop_own(OwnKind::Food, "own_moon", broken.version))?;
    assert_eq!(store.read(|reader| reader.own_values())?.len(), 1);
    Ok(())
}

#[test]
fn a_change_by_another_program_is_noticed() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let before = store.changes()?;
    assert_eq!(store.changes()?, before, "nothing was changed");
    let seen = store.read(|reader| reader.attempts_of_course(1))?.len();
    let other = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    other.execute_batch("UPDATE attempt SET stopped_at = started_at; UPDATE course SET version = version + 1;")?;
    assert_ne!(store.changes()?, before);
    let attempts = store.read(|reader| reader.attempts_of_course(1))?;
    assert_eq!(attempts.len(), seen);
    assert!(attempts.iter().all(|attempt| attempt.stopped_at.is_some()), "what was kept in memory is read again");
    let after = store.changes()?;
    store.write::<_, StoreError>(|writer| writer.set_setting("a", "b"))?;
    assert_ne!(store.changes()?, after, "our own changes count too");
    Ok(())
}

#[test]
fn one_folder_is_served_once_and_free_again_when_that_ends() -> Tested {
    let folder = TempDir::new()?;
    let lock = ServingLock::take(folder.path())?;
    let second = ServingLock::take(folder.path()).unwrap_err();
    assert!(matches!(second, StoreError::Served { .. }), "{second}");
    assert!(second.to_string().contains("is served by another copy of this program"), "{second}");
    drop(lock);
    ServingLock::take(folder.path())?;
    Ok(())
}

#[test]
fn a_write_of_a_device_is_remembered_for_its_action_and_forgotten_after_a_month() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let at: jiff::Timestamp = "2026-10-25T00:30:00Z".parse()?;
    store.write::<_, StoreError>(|writer| writer.remember_write("a-device-1", "POST /x", &7_i64, at))?;
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-1", "POST /x"))?, Some(7));
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-2", "POST /x"))?, None);
    let other = store.read(|reader| reader.made_by::<i64>("a-device-1", "PUT /y"));
    assert!(matches!(other, Err(StoreError::Conflict(_))), "{other:?}");
    let later = at + jiff::SignedDuration::from_hours(31 * 24);
    store.write::<_, StoreError>(|writer| writer.remember_write("a-device-3", "POST /x", &8_i64, later))?;
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-1", "POST /x"))?, None);
    Ok(())
}

/// A school of the third schema: its doctrines were called schools, ticks were kept under labels.
#[test]
fn a_school_of_the_third_schema_gets_a_zone_and_keeps_its_doctrines_and_ticks() -> Tested {
    let folder = TempDir::new()?;
    let old = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    old.execute_batch(include_str!("../migrations/0001_initial.sql"))?;
    old.execute_batch(include_str!("../migrations/0002_rack_and_schools.sql"))?;
    old.execute_batch(include_str!("../migrations/0003_making.sql"))?;
    old.execute_batch(
        r#"INSERT INTO course (id, version, name, school, place, age_band, pace, standard_set, tolerance, lesson_minutes, boards, board_material, schools_json)
           VALUES (1, 2, 'Old', 'Harbour', 'room 4', 'adult', 'learner', 'metric', 'exam', 110, 8, 'rubber', '{"onion_dice":"level_cut"}');
           INSERT INTO student VALUES (1, 1, 1, 0, 'Ivo', 1, 'left', 'small', 180, '[]', '');
           INSERT INTO lesson VALUES (1, 1, 1, 1, 'First', '2026-09-08T18:30:00', 110);
           INSERT INTO check_tick (lesson_id, item, who, ticked_at) VALUES
               (1, 'test:Flat chef''s 210', 'Mara', '2026-09-08T17:00:00.000Z'),
               (1, 'hone:Bird''s-beak 70', 'Mara', '2026-09-08T17:00:00.000Z'),
               (1, 'first_aid', 'Mara', '2026-09-08T17:00:00.000Z');
           PRAGMA user_version = 3;"#,
    )?;
    drop(old);
    let store = Store::open(folder.path())?;
    let course = store.read(|reader| reader.course(1))?;
    assert_eq!(course.fields.doctrines.onion_dice, notch_core::catalogue::OnionDice::LevelCut);
    assert_eq!(course.fields.time_zone, notch_store::machine_zone());
    assert!(!store.read(|reader| reader.student(1))?.fields.special_clearance);
    let ticks: std::collections::BTreeSet<String> =
        store.read(|reader| reader.check_ticks(1))?.into_iter().map(|tick| tick.item).collect();
    let expected = ["first_aid", "hone:birds_beak:70", "test:flat_chefs:210"];
    assert_eq!(ticks, expected.map(str::to_owned).into());
    Ok(())
}
