//! People who go from course to course.

use crate::common::{Tested, at, attempt, course, exercise, filled, lesson, student};
use notch_core::people::Hand;
use notch_core::records::{NewAttempt, StudentFields};
use notch_core::units::Millimetres;
use notch_store::{Store, StoreError};
use tempfile::TempDir;

/// The filled school with a second course, which has a lesson and an exercise of its own.
fn two_courses(folder: &std::path::Path) -> Result<Store, StoreError> {
    let store = filled(folder)?;
    store.write::<_, StoreError>(|writer| {
        writer.add_course(&course())?;
        writer.add_lesson(2, &lesson(Vec::new()))?;
        writer.add_exercise(2, &exercise(), &[])
    })?;
    Ok(store)
}

#[test]
fn a_person_takes_hand_allergies_and_evidence_along() -> Tested {
    let folder = TempDir::new()?;
    let store = two_courses(folder.path())?;
    let ivo = store.read(|reader| reader.student(1))?;
    let there = store.write::<_, StoreError>(|writer| writer.take_along(ivo.person_id, 2, 7))?;
    assert_eq!((there.person_id, there.course_id, there.fields.station), (ivo.person_id, 2, 7));
    assert_eq!(StudentFields { station: ivo.fields.station, ..there.fields.clone() }, ivo.fields);
    // What was done in the first course is told as the student's of the second, and the other way round.
    let old = store.read(|reader| reader.attempts_of_student(there.id))?;
    assert_eq!((old.len(), old[0].student_id, old[0].samples.len()), (1, there.id, 1));
    assert_eq!(store.read(|reader| reader.attempts_of_course(2))?.as_slice(), old.as_slice());
    let second = store.read(|reader| reader.exercises(2))?[0].id;
    let new = NewAttempt { student_id: there.id, lesson_id: 2, exercise_id: second, started_at: at(900), ..attempt(1, 1) };
    store.write::<_, StoreError>(|writer| writer.start_attempt(&new))?;
    let of_first: Vec<i64> = store.read(|reader| reader.attempts_of_course(1))?.iter().map(|each| each.student_id).collect();
    assert_eq!(of_first, [1, 1]);
    // The lesson of a course has its own attempts alone.
    assert_eq!(store.read(|reader| reader.attempts_of_lesson(1))?.len(), 1);
    assert_eq!(store.read(|reader| reader.attempt(2))?.student_id, there.id);
    Ok(())
}

#[test]
fn what_is_changed_of_a_person_is_changed_in_every_course_and_the_station_in_one() -> Tested {
    let folder = TempDir::new()?;
    let store = two_courses(folder.path())?;
    let there = store.write::<_, StoreError>(|writer| writer.take_along(1, 2, 7))?;
    let change = StudentFields { hand: Hand::Right, clearance: Millimetres::whole(210), station: 9, ..there.fields.clone() };
    let changed = store.write::<_, StoreError>(|writer| writer.change_student(there.id, there.version, &change))?;
    let here = store.read(|reader| reader.student(1))?;
    assert_eq!((here.fields.hand, here.fields.clearance, here.fields.station), (Hand::Right, Millimetres::whole(210), 1));
    assert_eq!((changed.fields.station, changed.version), (9, here.version), "one version for both");
    // Whoever still has the version of before is told so, in whichever course.
    let stale = store.write::<_, StoreError>(|writer| writer.change_student(1, there.version, &student("Ivo", 1)));
    assert!(matches!(stale, Err(StoreError::Stale { .. })), "{stale:?}");
    Ok(())
}

#[test]
fn who_is_in_the_course_is_not_taken_in_twice_and_who_left_comes_back() -> Tested {
    let folder = TempDir::new()?;
    let store = two_courses(folder.path())?;
    let twice = store.write::<_, StoreError>(|writer| writer.take_along(1, 1, 9)).unwrap_err();
    assert!(twice.to_string().contains("Ivo is in this course already"), "{twice}");
    let taken = store.write::<_, StoreError>(|writer| writer.take_along(1, 2, 1).and_then(|_| writer.take_along(2, 2, 1)));
    assert!(matches!(taken, Err(StoreError::Refused(_))), "a station is one student's: {taken:?}");
    assert!(store.read(|reader| reader.students(2))?.is_empty(), "all of it or nothing");
    let nobody = store.write::<_, StoreError>(|writer| writer.take_along(99, 2, 1)).unwrap_err();
    assert!(matches!(nobody, StoreError::NotFound { what: "person", id: 99 }));
    store.write::<_, StoreError>(|writer| writer.archive_student(1, 1, true))?;
    let people = store.read(|reader| reader.people())?;
    let ivo = people.iter().find(|person| person.name == "Ivo").unwrap();
    assert!(ivo.courses[0].archived && ivo.station_in(1).is_none());
    let back = store.write::<_, StoreError>(|writer| writer.take_along(1, 1, 5))?;
    assert_eq!((back.id, back.archived, back.fields.station), (1, false, 5));
    Ok(())
}
