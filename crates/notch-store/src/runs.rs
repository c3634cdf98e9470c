//! What was done with the clock of a lesson.

use jiff::Timestamp;
use notch_core::run::{KeptStep, RunStep};
use rusqlite::{OptionalExtension, Row, params};

use crate::attempts::moment;
use crate::columns::{json, to_json, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn step(row: &Row<'_>) -> rusqlite::Result<KeptStep> {
    Ok(KeptStep { id: row.get("id")?, at: word(row, "at")?, step: json(row, "step_json")? })
}

impl Reader<'_> {
    /// What was done with the clock of a lesson, in the order of time, without what was taken back.
    ///
    /// # Errors
    /// What the database says.
    pub fn run_steps(&self, lesson_id: i64) -> Result<Vec<KeptStep>, StoreError> {
        let sql = "SELECT * FROM run_step WHERE lesson_id = ?1 AND undone = 0 ORDER BY at, id";
        let mut statement = self.tx.prepare_cached(sql)?;
        Ok(statement.query_map([lesson_id], step)?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Keeps a step; gives its id.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson.
    pub fn add_run_step(&self, lesson_id: i64, at: Timestamp, step: &RunStep) -> Result<i64, StoreError> {
        self.lesson(lesson_id)?;
        let sql = "INSERT INTO run_step (lesson_id, at, step_json) VALUES (?1, ?2, ?3)";
        self.tx.execute(sql, params![lesson_id, moment(at), to_json(step)?])?;
        Ok(self.tx.last_insert_rowid())
    }

    /// Takes a step back: it stays and changes nothing. Gives the lesson.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if it was taken back already.
    pub fn undo_run_step(&self, id: i64) -> Result<i64, StoreError> {
        let found = self.tx.query_row("SELECT lesson_id, undone FROM run_step WHERE id = ?1", [id], |row| {
            Ok((row.get(0)?, row.get::<_, bool>(1)?))
        });
        let (lesson_id, undone) = found.optional()?.ok_or(StoreError::NotFound { what: "step", id })?;
        if undone {
            return Err(StoreError::Conflict("this step was taken back already".to_owned()));
        }
        self.tx.execute("UPDATE run_step SET undone = 1 WHERE id = ?1", [id])?;
        Ok(lesson_id)
    }
}
