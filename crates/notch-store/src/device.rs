//! Writes that a device gave an id: one that arrives again is answered, not done twice.

use jiff::{SignedDuration, Timestamp};
use rusqlite::{OptionalExtension, params};
use serde::Serialize;
use serde::de::DeserializeOwned;

use crate::attempts::moment;
use crate::columns::to_json;
use crate::{Reader, StoreError, Writer};

/// How long the id of a write is remembered: longer than a device is without a network.
const REMEMBERED: SignedDuration = SignedDuration::from_hours(30 * 24);

impl Reader<'_> {
    /// What a write with this id made, if it was done before.
    ///
    /// # Errors
    /// [`StoreError::Conflict`] if the id was given to another kind of write.
    pub fn made_by<T: DeserializeOwned>(&self, id: &str, action: &str) -> Result<Option<T>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT action, made_json FROM device_write WHERE id = ?1")?;
        let found = statement.query_row([id], |row| Ok((row.get::<_, String>(0)?, row.get::<_, String>(1)?))).optional()?;
        match found {
            None => Ok(None),
            Some((kept, _)) if kept != action => {
                Err(StoreError::Conflict("this id was given to another change already: send it with a new one".to_owned()))
            }
            Some((_, made)) => Ok(Some(serde_json::from_str(&made)?)),
        }
    }

    /// What a write with this id made, whichever kind of write it was; none where it was none or made something else.
    ///
    /// # Errors
    /// What the database says.
    pub fn made_by_any<T: DeserializeOwned>(&self, id: &str) -> Result<Option<T>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT made_json FROM device_write WHERE id = ?1")?;
        let found: Option<String> = statement.query_row([id], |row| row.get(0)).optional()?;
        Ok(found.and_then(|made| serde_json::from_str(&made).ok()))
    }
}

impl Writer<'_> {
    /// Remembers what a write made, so that it is not done twice.
    ///
    /// # Errors
    /// What the database says.
    pub fn remember_write<T: Serialize>(&self, id: &str, action: &str, made: &T, at: Timestamp) -> Result<(), StoreError> {
        self.tx.execute(
            "INSERT INTO device_write (id, action, made_json, written_at) VALUES (?1, ?2, ?3, ?4)",
            params![id, action, to_json(made)?, moment(at)],
        )?;
        let old = at.checked_sub(REMEMBERED).unwrap_or(Timestamp::MIN);
        self.tx.execute("DELETE FROM device_write WHERE written_at < ?1", [moment(old)])?;
        Ok(())
    }
}
