//! Lessons, their segments and exercises.

use notch_core::records::{Exercise, ExerciseFields, KeptWarning, Lesson, LessonFields, ProduceFields, StoredSegment};
use rusqlite::{OptionalExtension, Row, named_params, params};

use crate::columns::{json, length, to_json, to_word, word};
use crate::open::fresh;
use crate::{Reader, StoreError, Writer};

pub(crate) fn lesson(row: &Row<'_>) -> rusqlite::Result<Lesson> {
    Ok(Lesson {
        id: row.get("id")?,
        course_id: row.get("course_id")?,
        number: row.get("number")?,
        version: row.get("version")?,
        produce: json(row, "produce_json")?,
        fields: LessonFields {
            title: row.get("title")?,
            starts_at: word(row, "starts_at")?,
            minutes: row.get("minutes")?,
            segments: Vec::new(),
        },
    })
}

pub(crate) fn exercise(row: &Row<'_>) -> rusqlite::Result<Exercise> {
    Ok(Exercise {
        id: row.get("id")?,
        lesson_id: row.get("lesson_id")?,
        version: row.get("version")?,
        archived: row.get("archived")?,
        pinned: row.get("pinned")?,
        kept_warnings: json(row, "kept_warnings_json")?,
        fields: ExerciseFields {
            food: row.get("food")?,
            cut: row.get("cut")?,
            knife_type: row.get("knife_type")?,
            knife_length: length(row, "knife_length")?,
            grip: word(row, "grip")?,
            hold: word(row, "hold")?,
            motion: word(row, "motion")?,
            third: word(row, "third")?,
            amount: json(row, "amount_json")?,
            own_minutes: row.get("own_minutes")?,
            making: json(row, "making_json")?,
        },
    })
}

pub(crate) fn segment(row: &Row<'_>) -> rusqlite::Result<StoredSegment> {
    Ok(StoredSegment {
        kind: word(row, "kind")?,
        minutes: row.get("minutes")?,
        exercise_id: row.get("exercise_id")?,
        own_name: row.get("own_name")?,
        fixed: row.get("fixed")?,
    })
}

impl Reader<'_> {
    /// Lessons of a course by number, with their segments.
    ///
    /// # Errors
    /// What the database says.
    pub fn lessons(&self, course_id: i64) -> Result<Vec<Lesson>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM lesson WHERE course_id = ?1 ORDER BY number")?;
        let mut lessons: Vec<Lesson> = statement.query_map([course_id], lesson)?.collect::<Result<_, _>>()?;
        for lesson in &mut lessons {
            lesson.fields.segments = self.segments(lesson.id)?;
        }
        Ok(lessons)
    }

    /// One lesson with its segments.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn lesson(&self, id: i64) -> Result<Lesson, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM lesson WHERE id = ?1")?;
        let found = statement.query_row([id], lesson).optional()?;
        let mut lesson = found.ok_or(StoreError::NotFound { what: "lesson", id })?;
        lesson.fields.segments = self.segments(id)?;
        Ok(lesson)
    }

    fn segments(&self, lesson_id: i64) -> Result<Vec<StoredSegment>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM segment WHERE lesson_id = ?1 ORDER BY position")?;
        Ok(statement.query_map([lesson_id], segment)?.collect::<Result<_, _>>()?)
    }

    /// Exercises of a lesson in the order they were added; those taken out are not among them.
    ///
    /// # Errors
    /// What the database says.
    pub fn exercises(&self, lesson_id: i64) -> Result<Vec<Exercise>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM exercise WHERE lesson_id = ?1 AND archived = 0 ORDER BY id")?;
        Ok(statement.query_map([lesson_id], exercise)?.collect::<Result<_, _>>()?)
    }

    /// Whether a lesson of any course is held on a day.
    ///
    /// # Errors
    /// What the database says.
    pub fn lesson_on(&self, day: jiff::civil::Date) -> Result<bool, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT EXISTS (SELECT 1 FROM lesson WHERE substr(starts_at, 1, 10) = ?1)")?;
        Ok(statement.query_row([day.to_string()], |row| row.get(0))?)
    }

    /// One exercise, also one that was taken out.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn exercise(&self, id: i64) -> Result<Exercise, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM exercise WHERE id = ?1")?;
        statement.query_row([id], exercise).optional()?.ok_or(StoreError::NotFound { what: "exercise", id })
    }
}

impl Writer<'_> {
    /// Adds a lesson to a course, numbered by its time.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course or for an exercise of a segment.
    pub fn add_lesson(&self, course_id: i64, fields: &LessonFields) -> Result<Lesson, StoreError> {
        self.course(course_id)?;
        let last = "SELECT coalesce(max(number), 0) + 1 FROM lesson WHERE course_id = ?1";
        let number = self.tx.query_row(last, [course_id], |row| row.get(0))?;
        let id = self.insert_lesson(course_id, number, fields)?;
        self.number_lessons(course_id)?;
        self.lesson(id)
    }

    /// Keeps a lesson under a number that is free.
    pub(crate) fn insert_lesson(&self, course_id: i64, number: u16, fields: &LessonFields) -> Result<i64, StoreError> {
        self.tx.execute(
            "INSERT INTO lesson (course_id, number, title, starts_at, minutes) VALUES (?1, ?2, ?3, ?4, ?5)",
            params![course_id, number, fields.title.trim(), to_word(&fields.starts_at)?, fields.minutes],
        )?;
        let id = self.tx.last_insert_rowid();
        self.set_segments(id, &fields.segments)?;
        Ok(id)
    }

    /// Numbers the lessons of a course in the order of their time: one that is moved behind another comes after it.
    fn number_lessons(&self, course_id: i64) -> Result<(), StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT id, number FROM lesson WHERE course_id = ?1 ORDER BY starts_at, number")?;
        let found = statement.query_map([course_id], |row| Ok((row.get(0)?, row.get(1)?)))?;
        let found = found.collect::<Result<Vec<(i64, i64)>, _>>()?;
        let changed: Vec<(i64, i64)> =
            (1..).zip(&found).filter(|(number, (_, kept))| number != kept).map(|(number, (id, _))| (number, *id)).collect();
        // A number is taken until who has it has the next: all of them first stand beyond the last.
        let beyond = found.iter().map(|(_, number)| *number).max().unwrap_or(0);
        let mut statement = self.tx.prepare_cached("UPDATE lesson SET number = ?2 WHERE id = ?1")?;
        for (number, id) in &changed {
            statement.execute([*id, beyond + number])?;
        }
        for (number, id) in &changed {
            statement.execute([*id, *number])?;
        }
        Ok(())
    }

    /// Changes a lesson and its segments; its number goes by its time.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`].
    pub fn change_lesson(&self, id: i64, version: i64, fields: &LessonFields) -> Result<Lesson, StoreError> {
        let kept = self.lesson(id)?;
        fresh("lesson", version, kept.version)?;
        self.tx.execute(
            "UPDATE lesson SET version = version + 1, title = ?2, starts_at = ?3, minutes = ?4 WHERE id = ?1",
            params![id, fields.title.trim(), to_word(&fields.starts_at)?, fields.minutes],
        )?;
        self.set_segments(id, &fields.segments)?;
        if fields.starts_at != kept.fields.starts_at {
            self.number_lessons(kept.course_id)?;
        }
        self.lesson(id)
    }

    /// Keeps what is said about the food of a lesson.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`].
    pub fn change_produce(&self, id: i64, version: i64, fields: &ProduceFields) -> Result<(), StoreError> {
        fresh("lesson", version, self.lesson(id)?.version)?;
        let sql = "UPDATE lesson SET version = version + 1, produce_json = ?2 WHERE id = ?1";
        self.tx.execute(sql, params![id, to_json(fields)?])?;
        Ok(())
    }

    fn set_segments(&self, lesson_id: i64, segments: &[StoredSegment]) -> Result<(), StoreError> {
        self.tx.execute("DELETE FROM segment WHERE lesson_id = ?1", [lesson_id])?;
        let mut statement = self.tx.prepare_cached(
            "INSERT INTO segment (lesson_id, position, kind, minutes, exercise_id, own_name, fixed) VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7)",
        )?;
        for (position, segment) in (0i64..).zip(segments) {
            if let Some(exercise_id) = segment.exercise_id {
                let exercise = self.exercise(exercise_id)?;
                if exercise.lesson_id != lesson_id {
                    return Err(StoreError::NotFound { what: "exercise of this lesson", id: exercise_id });
                }
            }
            let StoredSegment { kind, minutes, exercise_id, own_name, fixed } = segment;
            let own_name = own_name.as_deref().map(str::trim);
            statement.execute(params![lesson_id, position, to_word(kind)?, minutes, exercise_id, own_name, fixed])?;
        }
        Ok(())
    }

    /// Adds an exercise to a lesson, with the warnings that the instructor keeps. It gets no
    /// segment here: the caller sets the segments.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson.
    pub fn add_exercise(&self, lesson_id: i64, fields: &ExerciseFields, kept: &[KeptWarning]) -> Result<Exercise, StoreError> {
        self.lesson(lesson_id)?;
        self.tx.execute(
            "INSERT INTO exercise (lesson_id, food, cut, knife_type, knife_length, grip, hold, motion, third, amount_json, own_minutes, making_json, kept_warnings_json)
             VALUES (:lesson_id, :food, :cut, :knife_type, :knife_length, :grip, :hold, :motion, :third, :amount, :own_minutes, :making, :kept)",
            named_params! {
                ":lesson_id": lesson_id,
                ":food": fields.food,
                ":cut": fields.cut,
                ":knife_type": fields.knife_type,
                ":knife_length": fields.knife_length.get(),
                ":grip": to_word(&fields.grip)?,
                ":hold": to_word(&fields.hold)?,
                ":motion": to_word(&fields.motion)?,
                ":third": to_word(&fields.third)?,
                ":amount": to_json(&fields.amount)?,
                ":own_minutes": fields.own_minutes,
                ":making": to_json(&fields.making)?,
                ":kept": to_json(&kept)?,
            },
        )?;
        self.exercise(self.tx.last_insert_rowid())
    }

    /// Changes an exercise.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Archived`], [`StoreError::Stale`].
    pub fn change_exercise(
        &self,
        id: i64,
        version: i64,
        fields: &ExerciseFields,
        kept: &[KeptWarning],
    ) -> Result<Exercise, StoreError> {
        let before = self.exercise(id)?;
        if before.archived {
            return Err(StoreError::Archived { what: "exercise", id });
        }
        fresh("exercise", version, before.version)?;
        self.tx.execute(
            "UPDATE exercise SET version = version + 1, food = :food, cut = :cut, knife_type = :knife_type,
                    knife_length = :knife_length, grip = :grip, hold = :hold, motion = :motion, third = :third,
                    amount_json = :amount, own_minutes = :own_minutes, making_json = :making, kept_warnings_json = :kept
             WHERE id = :id",
            named_params! {
                ":id": id,
                ":food": fields.food,
                ":cut": fields.cut,
                ":knife_type": fields.knife_type,
                ":knife_length": fields.knife_length.get(),
                ":grip": to_word(&fields.grip)?,
                ":hold": to_word(&fields.hold)?,
                ":motion": to_word(&fields.motion)?,
                ":third": to_word(&fields.third)?,
                ":amount": to_json(&fields.amount)?,
                ":own_minutes": fields.own_minutes,
                ":making": to_json(&fields.making)?,
                ":kept": to_json(&kept)?,
            },
        )?;
        self.exercise(id)
    }

    /// Takes an exercise out of its lesson, or puts it back. Attempts made at it stay.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`].
    pub fn archive_exercise(&self, id: i64, version: i64, archived: bool) -> Result<Exercise, StoreError> {
        fresh("exercise", version, self.exercise(id)?.version)?;
        self.tx.execute("UPDATE exercise SET version = version + 1, archived = ?2 WHERE id = ?1", params![id, archived])?;
        self.exercise(id)
    }
}
