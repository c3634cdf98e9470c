//! A course read into one file, and taken from one.

use std::collections::BTreeMap;

use notch_core::course_file::{
    CourseFile, FORMAT, FileAttempt, FileDemonstration, FileExercise, FileIncident, FileKnife, FileKnifeOut, FileLesson,
    FileRunStep, FileSample, FileSegment, FileStudent, VERSION,
};
use notch_core::own::{OwnKind, OwnValue};
use notch_core::records::{
    Attempt, Briefing, CheckTick, Course, DemonstrationFields, Exercise, IncidentFields, KeptRotation, KnifeWork, Lesson,
    LessonFields, Mark, NewAttempt, StoredSegment,
};
use notch_core::views::CheckSheet;
use rusqlite::Row;

use crate::count::out_and_in;
use crate::{Reader, StoreError, Writer, attempts, knives, lessons, students};

/// Places in the lists of a file, by the ids of this school.
#[derive(Default)]
struct Places {
    students: BTreeMap<i64, usize>,
    knives: BTreeMap<i64, usize>,
}

/// Ids of this school, by the places in the lists of a file.
#[derive(Default)]
struct Ids {
    students: Vec<i64>,
    knives: Vec<i64>,
}

fn place_in(places: &BTreeMap<i64, usize>, what: &'static str, id: i64) -> Result<usize, StoreError> {
    places.get(&id).copied().ok_or(StoreError::NotFound { what, id })
}

fn id_at(ids: &[i64], what: &'static str, place: usize) -> Result<i64, StoreError> {
    let id = i64::try_from(place).unwrap_or(i64::MAX);
    ids.get(place).copied().ok_or(StoreError::NotFound { what, id })
}

/// The same demonstration with knives by other numbers.
fn with_knives(
    fields: &DemonstrationFields,
    other: impl Fn(i64) -> Result<i64, StoreError>,
) -> Result<DemonstrationFields, StoreError> {
    let work = |work: &KnifeWork| Ok::<_, StoreError>(KnifeWork { knife_id: other(work.knife_id)?, ..work.clone() });
    Ok(DemonstrationFields { sharp: work(&fields.sharp)?, dulled: work(&fields.dulled)?, ..fields.clone() })
}

impl Reader<'_> {
    /// A course as one file, whole.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] while an attempt of it runs.
    pub fn course_file(&self, course_id: i64) -> Result<CourseFile, StoreError> {
        let course = self.course(course_id)?;
        let lessons = self.lessons(course_id)?;
        let mut places = Places::default();
        let students: Vec<FileStudent> = self.listed(students::OF_COURSE, course_id, |row| {
            let student = students::student(row)?;
            places.students.insert(student.id, places.students.len());
            Ok(FileStudent { fields: student.fields, archived: student.archived })
        })?;
        let knives: Vec<FileKnife> = self.listed(KNIVES_OF_COURSE, course_id, |row| {
            let knife = knives::knife(row)?;
            places.knives.insert(knife.id, places.knives.len());
            Ok(FileKnife { fields: knife.fields, archived: knife.archived })
        })?;
        let lessons = lessons.into_iter().map(|lesson| self.file_lesson(lesson, &places)).collect::<Result<Vec<_>, _>>()?;
        Ok(CourseFile {
            format: FORMAT.to_owned(),
            version: VERSION,
            own: self.own_of(&course, &lessons)?,
            course: course.fields,
            goals: self.goals(course_id)?,
            knives,
            students,
            room: self.room(course_id)?,
            lessons,
        })
    }

    fn listed<T>(&self, sql: &str, id: i64, read: impl FnMut(&Row<'_>) -> rusqlite::Result<T>) -> Result<Vec<T>, StoreError> {
        Ok(self.tx.prepare_cached(sql)?.query_map([id], read)?.collect::<Result<_, _>>()?)
    }

    /// The copies of its own that a course uses.
    fn own_of(&self, course: &Course, lessons: &[FileLesson]) -> Result<Vec<OwnValue>, StoreError> {
        let foods: Vec<&str> =
            lessons.iter().flat_map(|lesson| &lesson.exercises).map(|exercise| exercise.fields.food.as_str()).collect();
        let judged_by = |id: &str| lessons.iter().flat_map(|lesson| &lesson.attempts).any(|attempt| attempt.standard_set == id);
        let is_used = |kind: OwnKind, id: &str| match kind {
            OwnKind::StandardSet => course.fields.standard_set == id || judged_by(id),
            OwnKind::Tolerance => course.fields.tolerance == id,
            OwnKind::Food => foods.contains(&id),
            OwnKind::Cue | OwnKind::Thresholds => false,
        };
        let own = self.own_values()?.into_iter().filter(|own| is_used(own.kind, &own.id));
        Ok(own.filter_map(|own| own.value.ok()).filter(OwnValue::is_copy).collect())
    }

    fn file_lesson(&self, lesson: Lesson, places: &Places) -> Result<FileLesson, StoreError> {
        let sql = "SELECT * FROM exercise WHERE lesson_id = ?1 ORDER BY id";
        let exercises: Vec<Exercise> = self.listed(sql, lesson.id, lessons::exercise)?;
        let by_id: BTreeMap<i64, usize> = exercises.iter().enumerate().map(|(place, each)| (each.id, place)).collect();
        let segment = |segment: &StoredSegment| {
            let exercise = segment.exercise_id.map(|id| place_in(&by_id, "exercise", id)).transpose()?;
            Ok::<_, StoreError>(FileSegment::of(segment, exercise))
        };
        let attempt = |attempt: Attempt| self.file_attempt(attempt, &by_id, places);
        let tick = |tick: CheckTick| {
            // A line about an exercise of another lesson is none that this sheet can show.
            let item = CheckSheet::line_for(&tick.item, |id| by_id.get(&id).and_then(|place| i64::try_from(*place).ok()))?;
            Some(CheckTick { item, ..tick })
        };
        let mut demonstrations = self.demonstrations(lesson.id)?;
        demonstrations.reverse();
        let demonstrations = demonstrations.into_iter().map(|shown| {
            let place = |id| Ok(i64::try_from(place_in(&places.knives, "knife", id)?).unwrap_or(i64::MAX));
            let fields = with_knives(&shown.fields, place)?;
            let (shown_at, against, taken_back) = (shown.shown_at, shown.against, shown.taken_back);
            Ok::<_, StoreError>(FileDemonstration { shown_at, fields, against, taken_back })
        });
        Ok(FileLesson {
            number: lesson.number,
            segments: lesson.fields.segments.iter().map(segment).collect::<Result<_, _>>()?,
            attempts: self.attempts_of_lesson(lesson.id)?.into_iter().map(attempt).collect::<Result<_, _>>()?,
            incidents: self.file_incidents(lesson.id, places)?,
            briefings: self.file_briefings(lesson.id, places)?,
            ticks: self.check_ticks(lesson.id)?.into_iter().filter_map(tick).collect(),
            knives_out: self.file_knives_out(lesson.id, places)?,
            closed: self.closing(lesson.id)?,
            demonstrations: demonstrations.collect::<Result<_, _>>()?,
            rotation: self.file_rotation(lesson.id, &by_id, places)?,
            run: self.run_steps(lesson.id)?.into_iter().map(|kept| FileRunStep { at: kept.at, step: kept.step }).collect(),
            produce: lesson.produce.with_ids(|id| by_id.get(&id).and_then(|place| i64::try_from(*place).ok())),
            exercises: exercises
                .into_iter()
                .map(|each| FileExercise {
                    fields: each.fields,
                    pinned: each.pinned,
                    archived: each.archived,
                    kept_warnings: each.kept_warnings,
                })
                .collect(),
            title: lesson.fields.title,
            starts_at: lesson.fields.starts_at,
            minutes: lesson.fields.minutes,
        })
    }

    /// What was announced of a rotation, by places.
    fn file_rotation(
        &self,
        lesson_id: i64,
        exercises: &BTreeMap<i64, usize>,
        places: &Places,
    ) -> Result<Option<KeptRotation>, StoreError> {
        let kept = self.rotation(lesson_id)?;
        let place = |of: &BTreeMap<i64, usize>, id: i64| of.get(&id).and_then(|place| i64::try_from(*place).ok());
        let at = kept.with_ids(|id| place(&places.students, id), |id| place(exercises, id), |id| place(&places.knives, id));
        // Versions are counted by the school that keeps it: in a file it is a first one.
        Ok((kept.version > 0).then_some(KeptRotation { version: 1, ..at }))
    }

    fn file_attempt(
        &self,
        attempt: Attempt,
        exercises: &BTreeMap<i64, usize>,
        places: &Places,
    ) -> Result<FileAttempt, StoreError> {
        let Some(stopped_at) = attempt.stopped_at else {
            return Err(StoreError::Conflict("an attempt of this course still runs: stop it first".to_owned()));
        };
        let mut samples: Vec<_> = attempt.samples.into_iter().chain(attempt.taken_back).collect();
        samples.sort_by_key(|sample| sample.id);
        let sample = |sample: notch_core::records::Sample| {
            Ok::<_, StoreError>(FileSample {
                custom: sample.custom,
                taken_at: sample.taken_at,
                pieces: self.pieces(sample.id)?,
                verdict: sample.verdict,
                taken_back: sample.taken_back,
            })
        };
        Ok(FileAttempt {
            student: place_in(&places.students, "student", attempt.student_id)?,
            exercise: place_in(exercises, "exercise", attempt.exercise_id)?,
            knife: place_in(&places.knives, "knife", attempt.knife_id)?,
            started_at: attempt.started_at,
            stopped_at,
            on_day: attempt.on_day,
            cut: attempt.cut,
            strand: attempt.strand,
            standard_set: attempt.standard_set,
            target: attempt.target,
            tolerance: attempt.tolerance,
            reference_seconds: attempt.reference_seconds,
            marks: attempt.marks,
            made: attempt.made.into_iter().map(|mark| Mark { id: 0, instead_of: None, ..mark }).collect(),
            samples: samples.into_iter().map(sample).collect::<Result<_, _>>()?,
        })
    }

    fn file_incidents(&self, lesson_id: i64, places: &Places) -> Result<Vec<FileIncident>, StoreError> {
        let sql = "SELECT * FROM incident WHERE lesson_id = ?1 ORDER BY id";
        let incidents = self.listed(sql, lesson_id, attempts::incident)?;
        let of = |incident: notch_core::records::Incident| {
            let student = incident.fields.student_id.map(|id| place_in(&places.students, "student", id)).transpose()?;
            let IncidentFields { kind, words, place, first_aid, aid_by, .. } = incident.fields;
            let (happened_at, taken_back) = (incident.happened_at, incident.taken_back);
            Ok(FileIncident { student, kind, words, place, first_aid, aid_by, happened_at, taken_back })
        };
        incidents.into_iter().map(of).collect()
    }

    fn file_briefings(&self, lesson_id: i64, places: &Places) -> Result<Vec<Briefing>, StoreError> {
        let place = |id: &i64| Ok(i64::try_from(place_in(&places.students, "student", *id)?).unwrap_or(i64::MAX));
        let of = |briefing: Briefing| {
            let students = briefing.students.iter().map(place).collect::<Result<_, StoreError>>()?;
            Ok(Briefing { id: 0, students, ..briefing })
        };
        self.briefings(lesson_id)?.into_iter().map(of).collect()
    }

    fn file_knives_out(&self, lesson_id: i64, places: &Places) -> Result<Vec<FileKnifeOut>, StoreError> {
        let sql = "SELECT * FROM knife_out WHERE lesson_id = ?1 ORDER BY knife_id";
        let out = self.listed(sql, lesson_id, |row| Ok((row.get("knife_id")?, out_and_in(row)?)))?;
        let of = |(id, (out_at, in_at))| Ok(FileKnifeOut { knife: place_in(&places.knives, "knife", id)?, out_at, in_at });
        out.into_iter().map(of).collect()
    }
}

/// Knives that a course used, in the order in which they came to the rack.
const KNIVES_OF_COURSE: &str = "
    SELECT * FROM knife WHERE id IN (
        SELECT knife_id FROM attempt WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
        UNION SELECT knife_id FROM knife_out WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
        UNION SELECT json_extract(fields_json, '$.sharp.knife_id') FROM demonstration
            WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
        UNION SELECT json_extract(fields_json, '$.dulled.knife_id') FROM demonstration
            WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
        UNION SELECT turn.value ->> 'knife_id' FROM rotation, json_each(announced_json) AS turn
            WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
        UNION SELECT out.value FROM rotation, json_each(fields_json, '$.knives_out') AS out
            WHERE lesson_id IN (SELECT id FROM lesson WHERE course_id = ?1)
    ) ORDER BY id";

impl Writer<'_> {
    /// Takes a course from a file that was checked: a new course, new people, and its knives beside the rack,
    /// or on it where it is empty. All of it or nothing.
    ///
    /// # Errors
    /// [`StoreError::Conflict`] for a copy that this school has and that is another one; [`StoreError::NotFound`]
    /// for a place that is not in the file.
    pub fn take_course_file(&self, file: &CourseFile) -> Result<Course, StoreError> {
        self.take_own(&file.own)?;
        let course = self.add_course(&file.course)?;
        self.set_goals(course.id, &file.goals)?;
        self.place_stations(course.id, &file.room)?;
        let rack_is_empty = self.knife_numbers()?.is_empty();
        let mut ids = Ids::default();
        for knife in &file.knives {
            ids.knives.push(self.insert_knife(&knife.fields, knife.archived || !rack_is_empty)?.id);
        }
        for student in &file.students {
            ids.students.push(self.insert_student(course.id, &student.fields, student.archived)?.id);
        }
        for lesson in &file.lessons {
            self.take_lesson(course.id, lesson, &ids)?;
        }
        Ok(course)
    }

    fn take_own(&self, own: &[OwnValue]) -> Result<(), StoreError> {
        let kept = self.own_values()?;
        for value in own {
            match kept.iter().find(|each| each.kind == value.kind() && each.id == value.id()) {
                None => self.keep_own(None, value)?,
                Some(same) if same.value.as_ref() == Ok(value) => {}
                Some(_) => {
                    let (kind, name) = (value.kind().name(), value.name());
                    let other = format!("this school has a {kind} “{name}” of its own that is another one: rename one of them");
                    return Err(StoreError::Conflict(other));
                }
            }
        }
        Ok(())
    }

    fn take_lesson(&self, course_id: i64, file: &FileLesson, ids: &Ids) -> Result<(), StoreError> {
        let mut fields =
            LessonFields { title: file.title.clone(), starts_at: file.starts_at, minutes: file.minutes, segments: Vec::new() };
        let lesson = self.lesson(self.insert_lesson(course_id, file.number, &fields)?)?;
        let mut exercises = Vec::new();
        for exercise in &file.exercises {
            let made = self.add_exercise(lesson.id, &exercise.fields, &exercise.kept_warnings)?;
            self.pin_exercise(made.id, exercise.pinned)?;
            exercises.push(made.id);
        }
        for segment in &file.segments {
            let exercise_id = segment.exercise.map(|place| id_at(&exercises, "exercise", place)).transpose()?;
            fields.segments.push(segment.kept(exercise_id));
        }
        self.change_lesson(lesson.id, lesson.version, &fields)?;
        for attempt in &file.attempts {
            self.take_attempt(lesson.id, attempt, &exercises, ids)?;
        }
        for incident in &file.incidents {
            let student_id = incident.student.map(|place| id_at(&ids.students, "student", place)).transpose()?;
            let fields = IncidentFields {
                student_id,
                kind: incident.kind,
                words: incident.words.clone(),
                place: incident.place.clone(),
                first_aid: incident.first_aid.clone(),
                aid_by: incident.aid_by.clone(),
            };
            let id = self.add_incident(lesson.id, incident.happened_at, &fields)?;
            if let Some(taken_back) = &incident.taken_back {
                self.take_incident_back(id, taken_back)?;
            }
        }
        for briefing in &file.briefings {
            let id = |place: &i64| id_at(&ids.students, "student", usize::try_from(*place).unwrap_or(usize::MAX));
            let students = briefing.students.iter().map(id).collect::<Result<_, _>>()?;
            self.add_briefing(lesson.id, &Briefing { students, ..briefing.clone() })?;
        }
        for (_, id) in file.exercises.iter().zip(&exercises).filter(|(exercise, _)| exercise.archived) {
            self.archive_exercise(*id, self.exercise(*id)?.version, true)?;
        }
        if let Some(rotation) = &file.rotation {
            let id = |of: &[i64], place: i64| usize::try_from(place).ok().and_then(|place| of.get(place).copied());
            let kept = rotation.with_ids(|at| id(&ids.students, at), |at| id(&exercises, at), |at| id(&ids.knives, at));
            self.announce_rotation(lesson.id, &KeptRotation { version: 0, ..kept })?;
        }
        let produce = file.produce.with_ids(|at| usize::try_from(at).ok().and_then(|at| exercises.get(at).copied()));
        self.change_produce(lesson.id, self.lesson(lesson.id)?.version, &produce)?;
        self.take_counting(lesson.id, file, &exercises, ids)
    }

    fn take_attempt(&self, lesson_id: i64, file: &FileAttempt, exercises: &[i64], ids: &Ids) -> Result<(), StoreError> {
        let attempt = self.start_attempt(&NewAttempt {
            student_id: id_at(&ids.students, "student", file.student)?,
            lesson_id,
            exercise_id: id_at(exercises, "exercise", file.exercise)?,
            knife_id: id_at(&ids.knives, "knife", file.knife)?,
            started_at: file.started_at,
            on_day: file.on_day,
            cut: file.cut.clone(),
            strand: file.strand,
            standard_set: file.standard_set.clone(),
            target: file.target,
            tolerance: file.tolerance.clone(),
            reference_seconds: file.reference_seconds,
        })?;
        self.stop_attempt(attempt.id, file.stopped_at)?;
        for mark in &file.made {
            let id = self.add_mark(attempt.id, &mark.what, mark.at, mark.by.as_deref(), None)?;
            if let Some(taken_back) = &mark.taken_back {
                self.take_mark_back(id, taken_back)?;
            }
        }
        for what in file.marks.each().filter(|_| file.made.is_empty()) {
            self.add_mark(attempt.id, &what, file.stopped_at, None, None)?;
        }
        for sample in &file.samples {
            let attempt = self.add_sample(attempt.id, sample.custom, sample.taken_at, &sample.pieces, &sample.verdict)?;
            let added = attempt.samples.last().map(|sample| sample.id);
            if let (Some(id), Some(taken_back)) = (added, &sample.taken_back) {
                self.take_sample_back(id, taken_back)?;
            }
        }
        Ok(())
    }

    fn take_counting(&self, lesson_id: i64, file: &FileLesson, exercises: &[i64], ids: &Ids) -> Result<(), StoreError> {
        for tick in &file.ticks {
            let id = |place: i64| usize::try_from(place).ok().and_then(|place| exercises.get(place)).copied();
            let item = CheckSheet::line_for(&tick.item, id).unwrap_or_else(|| tick.item.clone());
            self.tick(lesson_id, &CheckTick { item, ..tick.clone() }, true)?;
        }
        for out in &file.knives_out {
            let knife = id_at(&ids.knives, "knife", out.knife)?;
            self.count_out(lesson_id, knife, out.out_at)?;
            if let Some(in_at) = out.in_at {
                self.count_in(lesson_id, knife, in_at)?;
            }
        }
        self.close_lesson(lesson_id, file.closed.as_ref())?;
        for kept in &file.run {
            self.add_run_step(lesson_id, kept.at, &kept.step)?;
        }
        for shown in &file.demonstrations {
            let id = |place| id_at(&ids.knives, "knife", usize::try_from(place).unwrap_or(usize::MAX));
            let fields = with_knives(&shown.fields, id)?;
            let made = self.add_demonstration(lesson_id, shown.shown_at, &fields, &shown.against)?;
            if let Some(taken_back) = &shown.taken_back {
                self.take_demonstration_back(made, taken_back)?;
            }
        }
        Ok(())
    }
}
