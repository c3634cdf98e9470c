//! The goals of a course, and its plan laid down in its lessons.

use notch_core::catalogue::Catalogue;
use notch_core::draft::GoalFields;
use notch_core::records::LessonFields;
use notch_core::views::LessonChange;
use rusqlite::{Row, params};

use crate::columns::{to_word, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn goal(row: &Row<'_>) -> rusqlite::Result<GoalFields> {
    Ok(GoalFields { cut: row.get("cut")?, notch: word(row, "notch")?, by: row.get("by_number")? })
}

impl Reader<'_> {
    /// The goals of a course, in their order.
    ///
    /// # Errors
    /// What the database says.
    pub fn goals(&self, course_id: i64) -> Result<Vec<GoalFields>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM goal WHERE course_id = ?1 ORDER BY position")?;
        Ok(statement.query_map([course_id], goal)?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Sets the goals of a course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course.
    pub fn set_goals(&self, course_id: i64, goals: &[GoalFields]) -> Result<(), StoreError> {
        self.course(course_id)?;
        self.tx.execute("DELETE FROM goal WHERE course_id = ?1", [course_id])?;
        let mut statement = self
            .tx
            .prepare_cached("INSERT INTO goal (course_id, position, cut, notch, by_number) VALUES (?1, ?2, ?3, ?4, ?5)")?;
        for (position, goal) in (0i64..).zip(goals) {
            statement.execute(params![course_id, position, goal.cut, to_word(&goal.notch)?, goal.by])?;
        }
        Ok(())
    }

    /// Lays a plan down in one lesson: exercises that go, stay and come, each with its practice.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson or an exercise of it.
    pub fn change_plan(&self, catalogue: &Catalogue, change: &LessonChange) -> Result<(), StoreError> {
        for (id, pinned, _) in &change.stays {
            self.pin_exercise(*id, *pinned)?;
        }
        if change.gone.is_empty() && change.new.is_empty() {
            return Ok(());
        }
        for id in &change.gone {
            self.archive_exercise(*id, self.exercise(*id)?.version, true)?;
        }
        let mut added = Vec::new();
        for new in &change.new {
            let exercise = self.add_exercise(change.lesson_id, &new.fields, &new.kept)?;
            self.pin_exercise(exercise.id, new.pinned)?;
            added.push(exercise.id);
        }
        let lesson = self.lesson(change.lesson_id)?;
        let segments = change.segments(catalogue, &lesson, &added);
        self.change_lesson(lesson.id, lesson.version, &LessonFields { segments, ..lesson.fields })?;
        Ok(())
    }

    pub(crate) fn pin_exercise(&self, id: i64, pinned: bool) -> Result<(), StoreError> {
        self.tx.execute(
            "UPDATE exercise SET pinned = ?2, version = version + 1 WHERE id = ?1 AND pinned <> ?2",
            params![id, pinned],
        )?;
        Ok(())
    }
}
