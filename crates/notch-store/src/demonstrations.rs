//! What an instructor showed with a sharp and a dulled knife.

use jiff::Timestamp;
use notch_core::records::{Demonstration, DemonstrationFields, MeasuredAgainst, TakenBack};
use rusqlite::{Row, params};

use crate::attempts::moment;
use crate::columns::{json, optional_json, to_json, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn demonstration(row: &Row<'_>) -> rusqlite::Result<Demonstration> {
    Ok(Demonstration {
        id: row.get("id")?,
        lesson_id: row.get("lesson_id")?,
        shown_at: word(row, "shown_at")?,
        fields: json(row, "fields_json")?,
        against: json(row, "against_json")?,
        taken_back: optional_json(row, "taken_back_json")?,
    })
}

impl Reader<'_> {
    /// What was shown in a lesson, the latest first.
    ///
    /// # Errors
    /// What the database says.
    pub fn demonstrations(&self, lesson_id: i64) -> Result<Vec<Demonstration>, StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT * FROM demonstration WHERE lesson_id = ?1 ORDER BY shown_at DESC, id DESC")?;
        Ok(statement.query_map([lesson_id], demonstration)?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Writes a demonstration down. Gives its id.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson.
    pub fn add_demonstration(
        &self,
        lesson_id: i64,
        at: Timestamp,
        fields: &DemonstrationFields,
        against: &MeasuredAgainst,
    ) -> Result<i64, StoreError> {
        self.lesson(lesson_id)?;
        self.tx.execute(
            "INSERT INTO demonstration (lesson_id, shown_at, fields_json, against_json) VALUES (?1, ?2, ?3, ?4)",
            params![lesson_id, moment(at), to_json(fields)?, to_json(against)?],
        )?;
        Ok(self.tx.last_insert_rowid())
    }

    /// Takes a demonstration back: it is kept, with who and why. Gives the lesson that it is of.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if it was taken back already.
    pub fn take_demonstration_back(&self, id: i64, taken_back: &TakenBack) -> Result<i64, StoreError> {
        self.take_back("demonstration", "lesson_id", id, taken_back)
    }
}
