//! What was announced of a lesson's rotation.

use notch_core::records::KeptRotation;
use rusqlite::{OptionalExtension, Row, params};

use crate::columns::{json, to_json};
use crate::open::fresh;
use crate::{Reader, StoreError, Writer};

pub(crate) fn rotation(row: &Row<'_>) -> rusqlite::Result<KeptRotation> {
    Ok(KeptRotation { version: row.get("version")?, fields: json(row, "fields_json")?, announced: json(row, "announced_json")? })
}

impl Reader<'_> {
    /// The rotation of a lesson; one of version 0 while nothing was announced.
    ///
    /// # Errors
    /// What the database says.
    pub fn rotation(&self, lesson_id: i64) -> Result<KeptRotation, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM rotation WHERE lesson_id = ?1")?;
        Ok(statement.query_row([lesson_id], rotation).optional()?.unwrap_or_default())
    }
}

impl Writer<'_> {
    /// Keeps the rotation of a lesson in place of the one of `rotation.version`; it gets the next version.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson; [`StoreError::Stale`].
    pub fn announce_rotation(&self, lesson_id: i64, rotation: &KeptRotation) -> Result<(), StoreError> {
        self.lesson(lesson_id)?;
        fresh("rotation", rotation.version, self.rotation(lesson_id)?.version)?;
        self.tx.execute(
            "INSERT INTO rotation (lesson_id, version, fields_json, announced_json) VALUES (?1, ?2, ?3, ?4)
             ON CONFLICT (lesson_id) DO UPDATE SET version = ?2, fields_json = ?3, announced_json = ?4",
            params![lesson_id, rotation.version + 1, to_json(&rotation.fields)?, to_json(&rotation.announced)?],
        )?;
        Ok(())
    }
}
