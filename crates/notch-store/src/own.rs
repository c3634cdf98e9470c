//! The school's own values, laid over the shipped catalogue.

use notch_core::own::OwnValue;
use notch_core::records::OwnRecord;
use rusqlite::{OptionalExtension, Row, params};

use crate::columns::{json, to_json};
use crate::open::fresh;
use crate::{Reader, StoreError, Writer};

fn record(row: &Row<'_>) -> rusqlite::Result<OwnRecord> {
    Ok(OwnRecord { version: row.get("version")?, value: json(row, "value_json")? })
}

impl Reader<'_> {
    /// All own values, by kind and id.
    ///
    /// # Errors
    /// What the database says.
    pub fn own_values(&self) -> Result<Vec<OwnRecord>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM own_value ORDER BY kind, id")?;
        Ok(statement.query_map([], record)?.collect::<Result<_, _>>()?)
    }

    /// Names of the courses that use a set of standards or a tolerance, and attempts judged by the set.
    ///
    /// # Errors
    /// What the database says.
    pub fn uses_of_standard(&self, id: &str) -> Result<(Vec<String>, i64), StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT name FROM course WHERE standard_set = ?1 OR tolerance = ?1 ORDER BY id")?;
        let courses = statement.query_map([id], |row| row.get(0))?.collect::<Result<_, _>>()?;
        let attempts = self.tx.query_row("SELECT count(*) FROM attempt WHERE standard_set = ?1", [id], |row| row.get(0))?;
        Ok((courses, attempts))
    }

    /// Exercises that use a food.
    ///
    /// # Errors
    /// What the database says.
    pub fn uses_of_food(&self, id: &str) -> Result<i64, StoreError> {
        Ok(self.tx.query_row("SELECT count(*) FROM exercise WHERE food = ?1", [id], |row| row.get(0))?)
    }
}

impl Writer<'_> {
    /// Keeps an own value, new or changed. `version` is the one that was read; `None` for a new one.
    ///
    /// # Errors
    /// [`StoreError::Stale`] for one that was changed meanwhile, a new one that is there already too.
    pub fn keep_own(&self, version: Option<i64>, value: &OwnValue) -> Result<(), StoreError> {
        let kept = self.own_version(value.kind(), value.id())?;
        fresh("own value", version.unwrap_or(0), kept.unwrap_or(0))?;
        self.tx.execute(
            "INSERT INTO own_value (kind, id, value_json) VALUES (?1, ?2, ?3)
             ON CONFLICT DO UPDATE SET version = version + 1, value_json = excluded.value_json",
            params![value.kind(), value.id(), to_json(value)?],
        )?;
        Ok(())
    }

    /// Drops an own value, so that the shipped one stands again.
    ///
    /// # Errors
    /// [`StoreError::Conflict`] if there is none, [`StoreError::Stale`].
    pub fn drop_own(&self, kind: &str, id: &str, version: i64) -> Result<(), StoreError> {
        let kept = self.own_version(kind, id)?;
        let Some(kept) = kept else {
            return Err(StoreError::Conflict(format!("there is no {kind} “{id}” of the school's own")));
        };
        fresh("own value", version, kept)?;
        self.tx.execute("DELETE FROM own_value WHERE kind = ?1 AND id = ?2", params![kind, id])?;
        Ok(())
    }

    fn own_version(&self, kind: &str, id: &str) -> Result<Option<i64>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT version FROM own_value WHERE kind = ?1 AND id = ?2")?;
        Ok(statement.query_row(params![kind, id], |row| row.get(0)).optional()?)
    }
}
