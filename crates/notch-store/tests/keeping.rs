//! What is kept, refused and rolled back.

use crate::common::{Tested, at, course, filled, knife, lesson, student};
use jiff::civil::date;
use notch_core::records::{CourseFields, KnifeFields, LessonFields, StudentFields};
use notch_core::units::Millimetres;
use notch_store::{Store, StoreError};
use proptest::prelude::*;
use tempfile::TempDir;

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
fn what_is_typed_around_a_name_is_not_kept() -> Tested {
    let folder = TempDir::new()?;
    let store = Store::open(folder.path())?;
    let kept = store.write::<_, StoreError>(|writer| {
        writer.add_course(&CourseFields { name: "  Evening  ".into(), ..course() })?;
        writer.add_knife(&KnifeFields { number: " 7 ".into(), ..knife("7") })
    })?;
    assert_eq!(kept.fields.number, "7");
    assert_eq!(store.read(|reader| reader.course(1))?.fields.name, "Evening");
    Ok(())
}

#[test]
fn a_number_of_a_knife_and_a_station_are_taken_once() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let station = store.write::<_, StoreError>(|writer| writer.add_student(1, &student("Third", 2)));
    assert!(matches!(station, Err(StoreError::Refused(problems)) if problems[0].pointer == "/station"));
    let moved = store.write::<_, StoreError>(|writer| writer.change_student(1, 1, &student("Ivo", 2)));
    assert!(matches!(moved, Err(StoreError::Refused(problems)) if problems[0].pointer == "/station"));
    let number = store.write::<_, StoreError>(|writer| writer.change_knife(2, 1, &knife("1")));
    assert!(matches!(number, Err(StoreError::Refused(problems)) if problems[0].pointer == "/number"));
    store.write::<_, StoreError>(|writer| {
        writer.archive_knife(1, 1, true)?;
        writer.change_knife(2, 1, &knife("1"))
    })?;
    let back = store.write::<_, StoreError>(|writer| writer.archive_knife(1, 2, false));
    assert!(matches!(back, Err(StoreError::Refused(problems)) if problems[0].pointer == "/number"), "its number was given on");
    Ok(())
}

#[test]
fn stations_are_of_a_course_and_numbers_are_of_the_rack() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| {
        let other = writer.add_course(&course())?;
        writer.add_student(other.id, &student("Ivo", 1))
    })?;
    assert_eq!(store.read(|reader| reader.students(2))?.len(), 1);
    assert_eq!(store.read(|reader| reader.students(1))?.len(), 2);
    assert_eq!(store.read(|reader| reader.knife_numbers())?, ["1", "2"].map(str::to_owned).into());
    Ok(())
}

#[test]
fn a_student_who_was_taken_out_is_told_apart_from_one_who_never_was() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| writer.archive_student(2, 1, true))?;
    assert!(matches!(store.read(|reader| reader.present_student(2)), Err(StoreError::Archived { what: "student", id: 2 })));
    assert!(matches!(store.read(|reader| reader.present_student(9)), Err(StoreError::NotFound { what: "student", id: 9 })));
    assert!(store.read(|reader| reader.student(2))?.archived, "the record is kept");
    Ok(())
}

#[test]
fn settings_are_kept_and_replaced() -> Tested {
    let folder = TempDir::new()?;
    let store = Store::open(folder.path())?;
    assert_eq!(store.read(|reader| reader.setting("lamp"))?, None);
    for value in ["on", "off", ""] {
        store.write::<_, StoreError>(|writer| writer.set_setting("lamp", value))?;
        assert_eq!(store.read(|reader| reader.setting("lamp"))?.as_deref(), Some(value));
    }
    Ok(())
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(16))]
    /// However edits and stale edits follow each other, the version counts the edits that were taken.
    #[test]
    fn a_version_counts_the_edits_that_were_taken(tries in proptest::collection::vec(0i64..6, 1..20)) {
        let folder = TempDir::new().unwrap();
        let store = filled(folder.path()).unwrap();
        let mut version = 1;
        for tried in tries {
            let done = store.write::<_, StoreError>(|writer| writer.change_student(1, tried, &student("Ivo", 1)));
            prop_assert_eq!(done.is_ok(), tried == version);
            version += i64::from(tried == version);
            prop_assert_eq!(store.read(|reader| reader.student(1)).unwrap().version, version);
        }
    }
}

proptest! {
    /// Whatever order lessons are added and moved in, their numbers go by their time, from 1, each once.
    #[test]
    fn lessons_are_numbered_by_their_time(days in proptest::collection::vec(1i8..28, 1..9), moves in proptest::collection::vec((0usize..9, 1i8..28), 0..6)) {
        let folder = TempDir::new().unwrap();
        let store = Store::open(folder.path()).unwrap();
        let on = |day: i8| LessonFields { starts_at: date(2026, 10, day).at(18, 30, 0, 0), ..lesson(Vec::new()) };
        let (course, added) = store.write::<_, StoreError>(|writer| {
            let id = writer.add_course(&course())?.id;
            Ok((id, days.iter().map(|day| Ok(writer.add_lesson(id, &on(*day))?.id)).collect::<Result<Vec<_>, StoreError>>()?))
        }).unwrap();
        for (which, day) in moves {
            let id = added[which % added.len()];
            store.write::<_, StoreError>(|writer| writer.change_lesson(id, writer.lesson(id)?.version, &on(day))).unwrap();
            let lessons = store.read(|reader| reader.lessons(course)).unwrap();
            let numbers: Vec<u16> = lessons.iter().map(|lesson| lesson.number).collect();
            prop_assert_eq!(numbers, (1..=u16::try_from(added.len()).unwrap()).collect::<Vec<_>>());
            prop_assert!(lessons.is_sorted_by_key(|lesson| lesson.fields.starts_at));
        }
    }
}
