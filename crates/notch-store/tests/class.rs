//! Attempts, care, check sheet and count.

use crate::common::{Tested, at, attempt, fault, filled};
use jiff::civil::date;
use notch_core::care::{CareDeed, CareFields, CareHistory};
use notch_core::catalogue::{BoardMaterial, Catalogue, Grip, Habit, Hold, Motion, Third};
use notch_core::records::{
    Attempt, CheckTick, Closing, EdgeState, ExerciseFields, IncidentFields, IncidentKind, KeptWarning, MarkKind, NewAttempt,
    StoredSegment, TakeBack, TakenBack,
};
use notch_store::{Store, StoreError, Writer};
use tempfile::TempDir;

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
    store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(2, 1)))?;
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
fn attempts_that_were_kept_are_always_what_a_fresh_reading_finds() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let same = |after: &str| -> Tested {
        let fresh = Store::open(folder.path())?.read(|reader| reader.attempts_of_course(1))?;
        assert_eq!(store.read(|reader| reader.attempts_of_course(1))?, fresh, "after {after}");
        Ok(())
    };
    same("nothing")?;
    let (id, sample) = (1, store.read(|reader| reader.attempt(1))?.samples[0].id);
    store.write::<_, StoreError>(|writer| {
        writer.add_mark(id, &MarkKind::Hold, at(220), None, None)?;
        writer.add_mark(id, &fault("fingertip_ahead"), at(230), None, None)
    })?;
    same("marks")?;
    store.write::<_, StoreError>(|writer| writer.take_mark_back(1, &TakenBack::undone(at(240), None)))?;
    same("a mark that was undone")?;
    store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(2, 2)))?;
    same("another attempt")?;
    store.write::<_, StoreError>(|writer| writer.stop_attempt(2, at(900)))?;
    same("its end")?;
    let taken_back = TakenBack { at: at(950), said: TakeBack { who: "Mara".into(), why: "Pieces of another".into() } };
    store.write::<_, StoreError>(|writer| writer.take_sample_back(sample, &taken_back))?;
    same("a sample that was taken back")?;
    store.write::<_, StoreError>(|writer| writer.archive_student(1, 1, true))?;
    same("a student who left")?;
    store.be_small();
    same("nothing was kept any more")
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
fn a_lesson_takes_the_next_number_of_its_own_course() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let numbers = store.write::<_, StoreError>(|writer| {
        let other = writer.add_course(&crate::common::course())?;
        let first = writer.add_lesson(other.id, &crate::common::lesson(Vec::new()))?;
        let third = writer.add_lesson(1, &crate::common::lesson(Vec::new()))?;
        Ok((first.number, third.number))
    })?;
    assert_eq!(numbers, (1, 2));
    Ok(())
}

#[test]
fn a_segment_holds_an_exercise_of_its_own_lesson_only() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let practice = StoredSegment::practice(1, 20);
    let done = store.write::<(), StoreError>(|writer| {
        let other = writer.add_lesson(1, &crate::common::lesson(Vec::new()))?;
        writer.change_lesson(other.id, other.version, &crate::common::lesson(vec![practice.clone()]))?;
        Ok(())
    });
    assert!(matches!(done, Err(StoreError::NotFound { what: "exercise of this lesson", id: 1 })), "{done:?}");
    assert_eq!(store.read(|reader| reader.lessons(1))?.len(), 1, "the new lesson is not kept either");
    Ok(())
}

#[test]
fn an_exercise_keeps_its_warnings_and_an_archived_one_is_not_changed() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let kept = [KeptWarning { rule: "length.travel".into(), words: "short of travel".into() }];
    let changed = store.write::<_, StoreError>(|writer| writer.change_exercise(1, 1, &crate::common::exercise(), &kept))?;
    assert_eq!((changed.version, changed.kept_warnings.as_slice()), (2, &kept[..]));
    let stale = store.write::<_, StoreError>(|writer| writer.change_exercise(1, 1, &crate::common::exercise(), &[]));
    assert!(matches!(stale, Err(StoreError::Stale { yours: 1, current: 2, .. })));
    store.write::<_, StoreError>(|writer| writer.archive_exercise(1, 2, true))?;
    assert!(store.read(|reader| reader.exercises(1))?.is_empty());
    let gone = store.write::<_, StoreError>(|writer| writer.change_exercise(1, 3, &crate::common::exercise(), &[]));
    assert!(matches!(gone, Err(StoreError::Archived { what: "exercise", id: 1 })));
    assert_eq!(store.read(|reader| reader.attempts_of_student(1))?.len(), 1, "attempts made at it stay");
    store.write::<_, StoreError>(|writer| writer.archive_exercise(1, 3, false))?;
    assert_eq!(store.read(|reader| reader.exercises(1))?[0].kept_warnings, kept);
    Ok(())
}

#[test]
fn an_exercise_keeps_every_grip_hold_motion_and_third_that_there_is() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let most = Grip::ALL.len().max(Hold::ALL.len()).max(Motion::ALL.len()).max(Third::ALL.len());
    for turn in 0..most {
        let fields = ExerciseFields {
            grip: Grip::ALL[turn % Grip::ALL.len()],
            hold: Hold::ALL[turn % Hold::ALL.len()],
            motion: Motion::ALL[turn % Motion::ALL.len()],
            third: Third::ALL[turn % Third::ALL.len()],
            ..crate::common::exercise()
        };
        let kept = store.write::<_, StoreError>(|writer| writer.add_exercise(1, &fields, &[]))?;
        assert_eq!(store.read(|reader| reader.exercise(kept.id))?.fields, fields);
    }
    Ok(())
}

#[test]
fn marks_of_two_devices_stand_side_by_side_and_each_is_taken_back_alone() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let again = store.write::<_, StoreError>(|writer| writer.add_mark(1, &fault("loose_grip"), at(205), Some("Ben"), None))?;
    let both = store.read(|reader| reader.attempt(1))?;
    assert_eq!((both.made.len(), both.marks.faults.len()), (3, 1), "seen twice, and it is one fault");
    assert_eq!(both.made.iter().map(|mark| mark.by.as_deref()).collect::<Vec<_>>(), [Some("Mara"), Some("Ben"), None]);
    let undone = TakenBack::undone(at(208), Some("Ben"));
    store.write::<_, StoreError>(|writer| writer.take_mark_back(again, &undone))?;
    let one = store.read(|reader| reader.attempt(1))?;
    assert_eq!(one.marks.faults, ["loose_grip"], "the other still counts");
    assert_eq!(one.made[1].taken_back.as_ref(), Some(&undone));
    assert!(one.version > both.version);
    let twice = store.write::<_, StoreError>(|writer| writer.take_mark_back(again, &undone));
    assert!(matches!(twice, Err(StoreError::Conflict(_))));
    Ok(())
}

#[test]
fn of_two_ends_of_an_attempt_the_earlier_counts_whichever_arrives_first() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    for (first, second) in [(190, 240), (240, 190)] {
        let stopped = store.write::<_, StoreError>(|writer| {
            writer.let_attempt_run_on(1)?;
            writer.stop_attempt(1, at(first))?;
            writer.stop_attempt(1, at(second))
        })?;
        assert_eq!(stopped.stopped_at, Some(at(190)));
    }
    Ok(())
}

#[test]
fn an_attempt_started_by_mistake_goes_and_one_with_marks_stays() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let kept = store.write::<_, StoreError>(|writer| writer.unstart_attempt(1));
    assert!(matches!(kept, Err(StoreError::Conflict(_))));
    store.write::<_, StoreError>(|writer| {
        let started = writer.start_attempt(&attempt(2, 2))?;
        writer.unstart_attempt(started.id)
    })?;
    assert_eq!(store.read(|reader| reader.attempts_of_lesson(1))?.len(), 1);
    // The knife is in another attempt by now: the first stays stopped.
    store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(2, 1)))?;
    let busy = store.write::<_, StoreError>(|writer| writer.let_attempt_run_on(1));
    assert!(matches!(busy, Err(StoreError::Conflict(_))));
    Ok(())
}

#[test]
fn a_moment_belongs_to_the_latest_attempt_that_was_begun_by_then() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| {
        writer.start_attempt(&NewAttempt { started_at: at(400), ..attempt(1, 1) })?;
        Ok(())
    })?;
    let found = |seconds| store.read(|reader| reader.attempt_at(1, 1, at(seconds)));
    assert_eq!((found(-1)?, found(0)?, found(399)?, found(400)?), (None, Some(1), Some(1), Some(2)));
    assert_eq!(store.read(|reader| reader.attempt_at(2, 1, at(900)))?, None);
    Ok(())
}

#[test]
fn a_clock_that_was_set_back_gives_no_negative_time() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let stopped = store.write::<_, StoreError>(|writer| {
        let started = writer.start_attempt(&attempt(2, 2))?;
        writer.stop_attempt(started.id, at(-90))
    })?;
    assert_eq!((stopped.stopped_at, stopped.seconds), (Some(stopped.started_at), Some(0.0)));
    store.write::<_, StoreError>(|writer| writer.count_out(1, 1, at(50)))?;
    store.write::<_, StoreError>(|writer| writer.count_in(1, 1, at(10)))?;
    let out = store.read(|reader| reader.knives_out(1, &Catalogue::shipped().unwrap()))?;
    assert_eq!(out[0].in_at, Some(at(50)), "in no earlier than out");
    Ok(())
}

#[test]
fn a_knife_that_goes_out_again_is_out_again() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let catalogue = Catalogue::shipped()?;
    let counted = |write: &dyn Fn(&Writer<'_>) -> Result<(), StoreError>| -> Result<_, StoreError> {
        store.write::<_, StoreError>(|writer| write(writer))?;
        Ok(store.read(|reader| reader.knives_out(1, &catalogue))?.first().map(|knife| (knife.out_at, knife.in_at)))
    };
    assert_eq!(counted(&|writer| writer.count_out(1, 1, at(20)))?, Some((at(20), None)));
    assert_eq!(counted(&|writer| writer.count_out(1, 1, at(25)))?, Some((at(20), None)), "counted twice, out since the first");
    assert_eq!(counted(&|writer| writer.count_in(1, 1, at(30)).map(drop))?, Some((at(20), Some(at(30)))));
    assert_eq!(counted(&|writer| writer.count_in(1, 1, at(40)).map(drop))?, Some((at(20), Some(at(30)))), "in since the first");
    assert_eq!(counted(&|writer| writer.count_out(1, 1, at(50)))?, Some((at(50), None)), "out again");
    assert_eq!(counted(&|writer| writer.count_not_out(1, 1))?, None);
    Ok(())
}

#[test]
fn a_knife_is_held_while_an_attempt_runs_and_by_nobody_after_it() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let holder = |knife: i64| store.read(|reader| reader.holder(knife));
    assert_eq!((holder(1)?, store.read(|reader| reader.running_attempts(1))?), (None, 0));
    let started = store.write::<_, StoreError>(|writer| writer.start_attempt(&attempt(2, 1)))?;
    assert_eq!((holder(1)?, holder(2)?), (Some((2, "Ann".to_owned())), None));
    assert_eq!(store.read(|reader| reader.running_attempts(1))?, 1);
    store.write::<_, StoreError>(|writer| writer.stop_attempt(started.id, at(60)))?;
    assert_eq!((holder(1)?, store.read(|reader| reader.running_attempts(1))?), (None, 0));
    Ok(())
}

#[test]
fn incidents_are_of_their_course_the_latest_first() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let nick = |words: &str| IncidentFields {
        student_id: None,
        kind: IncidentKind::Nick,
        words: words.into(),
        place: String::new(),
        first_aid: String::new(),
        aid_by: String::new(),
    };
    store.write::<_, StoreError>(|writer| {
        let other = writer.add_course(&crate::common::course())?;
        let elsewhere = writer.add_lesson(other.id, &crate::common::lesson(Vec::new()))?;
        writer.add_incident(elsewhere.id, at(900), &nick("in another course"))?;
        writer.add_incident(1, at(320), &nick(" a thumb "))?;
        writer.add_incident(1, at(305), &nick("before that"))
    })?;
    let told = store.read(|reader| reader.incidents(1))?;
    assert_eq!(told.iter().map(|each| each.fields.words.as_str()).collect::<Vec<_>>(), ["a thumb", "slipped", "before that"]);
    for (lesson, student, what) in [(9, None, "lesson"), (1, Some(9), "student")] {
        let fields = IncidentFields { student_id: student, ..nick("x") };
        let refused = store.write::<_, StoreError>(|writer| writer.add_incident(lesson, at(1), &fields));
        assert!(matches!(refused, Err(StoreError::NotFound { what: named, id: 9 }) if named == what), "{refused:?}");
    }
    Ok(())
}

#[test]
fn a_reading_that_nobody_waits_for_is_broken_off_and_the_next_is_not() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let slip = IncidentFields {
        student_id: None,
        kind: IncidentKind::Nick,
        words: "slipped".into(),
        place: String::new(),
        first_aid: String::new(),
        aid_by: String::new(),
    };
    store.write::<_, StoreError>(|writer| (0..3000).try_for_each(|at_s| writer.add_incident(1, at(at_s), &slip).map(|_| ())))?;
    let broken_off = store.read_while(|| false, |reader| reader.incidents(1));
    assert!(broken_off.unwrap_err().to_string().contains("interrupted"));
    assert_eq!(store.read(|reader| reader.incidents(1))?.len(), 3001);
    assert_eq!(store.read_while(|| true, |reader| reader.incidents(1))?.len(), 3001);
    Ok(())
}

#[test]
fn evidence_comes_in_the_order_of_time_whoever_wrote_it_down_first() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.write::<_, StoreError>(|writer| {
        for (start, knife) in [(5_000, 1), (4_000, 1), (6_000, 2)] {
            let started = writer.start_attempt(&NewAttempt { started_at: at(start), ..attempt(1, knife) })?;
            writer.stop_attempt(started.id, at(start + 100))?;
        }
        Ok(())
    })?;
    let order = |attempts: &[Attempt]| attempts.iter().map(|each| each.started_at).collect::<Vec<_>>();
    let expected = [at(0), at(4_000), at(5_000), at(6_000)];
    assert_eq!(order(&store.read(|reader| reader.attempts_of_student(1))?), expected);
    assert_eq!(order(&store.read(|reader| reader.attempts_of_course(1))?), expected);
    assert_eq!(order(&store.read(|reader| reader.attempts_of_lesson(1))?), expected);
    Ok(())
}

#[test]
fn what_was_kept_twice_is_taken_back_once_and_stays_beside_with_who_and_why() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let said = TakeBack { who: "Mara".into(), why: "entered twice".into() };
    let taken = TakenBack { at: at(400), said };
    let version = store.read(|reader| reader.attempt(1))?.version;
    let attempt = store.write::<_, StoreError>(|writer| writer.take_sample_back(1, &taken))?;
    assert_eq!((attempt.samples.len(), attempt.version), (0, version + 1));
    assert_eq!(attempt.taken_back[0].taken_back.as_ref(), Some(&taken));
    assert_eq!(store.read(|reader| reader.pieces(1))?.len(), 2, "its pieces stay");
    let again = store.write::<_, StoreError>(|writer| writer.take_sample_back(1, &taken));
    assert!(matches!(again, Err(StoreError::Conflict(_))), "{again:?}");
    let none = store.write::<_, StoreError>(|writer| writer.take_sample_back(9, &taken));
    assert!(matches!(none, Err(StoreError::NotFound { what: "sample", id: 9 })), "{none:?}");
    assert_eq!(store.write::<_, StoreError>(|writer| writer.take_incident_back(1, &taken))?, 1);
    assert_eq!(store.read(|reader| reader.incidents(1))?[0].taken_back.as_ref(), Some(&taken));
    let again = store.write::<_, StoreError>(|writer| writer.take_incident_back(1, &taken));
    assert!(matches!(again, Err(StoreError::Conflict(_))), "{again:?}");
    let other = TempDir::new()?;
    let copy = Store::open(other.path())?;
    copy.import(&store.export()?)?;
    assert_eq!(copy.read(|reader| reader.attempt(1))?.taken_back, store.read(|reader| reader.attempt(1))?.taken_back);
    Ok(())
}
