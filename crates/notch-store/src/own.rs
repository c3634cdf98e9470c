//! The school's own values, laid over the shipped catalogue.

use notch_core::own::{OwnKind, OwnRecord, OwnUses, OwnValue};
use rusqlite::{OptionalExtension, Row, params};

use crate::columns::{to_json, to_word, word};
use crate::open::fresh;
use crate::{Reader, StoreError, Writer};

/// A value that cannot be read, as an upgrade can leave one behind, is told as such: it never stands in
/// the way of the others.
pub(crate) fn record(row: &Row<'_>) -> rusqlite::Result<OwnRecord> {
    let text: String = row.get("value_json")?;
    Ok(OwnRecord {
        kind: word(row, "kind")?,
        id: row.get("id")?,
        version: row.get("version")?,
        value: serde_json::from_str::<OwnValue>(&text).map_err(|error| error.to_string()),
    })
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

    /// Courses, attempts and exercises that refer to a value.
    ///
    /// # Errors
    /// What the database says.
    pub fn uses_of_own(&self, kind: OwnKind, id: &str) -> Result<OwnUses, StoreError> {
        let count = |sql: &str| self.tx.query_row(sql, [id], |row| row.get(0));
        Ok(match kind {
            OwnKind::Food => OwnUses { exercises: count("SELECT count(*) FROM exercise WHERE food = ?1")?, ..OwnUses::default() },
            OwnKind::StandardSet | OwnKind::Tolerance => {
                let sql = "SELECT name FROM course WHERE standard_set = ?1 OR tolerance = ?1 ORDER BY id";
                let mut statement = self.tx.prepare_cached(sql)?;
                let courses = statement.query_map([id], |row| row.get(0))?.collect::<Result<_, _>>()?;
                let attempts = count("SELECT count(*) FROM attempt WHERE standard_set = ?1")?;
                OwnUses { courses, attempts, exercises: 0 }
            }
            OwnKind::Cue | OwnKind::Thresholds => OwnUses::default(),
        })
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
            params![to_word(&value.kind())?, value.id(), to_json(value)?],
        )?;
        Ok(())
    }

    /// Drops an own value, so that the shipped one stands again.
    ///
    /// # Errors
    /// [`StoreError::Conflict`] if there is none, [`StoreError::Stale`].
    pub fn drop_own(&self, kind: OwnKind, id: &str, version: i64) -> Result<(), StoreError> {
        let kept = self.own_version(kind, id)?;
        let Some(kept) = kept else {
            return Err(StoreError::Conflict(format!("there is no {} “{id}” of the school's own", kind.name())));
        };
        fresh("own value", version, kept)?;
        self.tx.execute("DELETE FROM own_value WHERE kind = ?1 AND id = ?2", params![to_word(&kind)?, id])?;
        Ok(())
    }

    fn own_version(&self, kind: OwnKind, id: &str) -> Result<Option<i64>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT version FROM own_value WHERE kind = ?1 AND id = ?2")?;
        Ok(statement.query_row(params![to_word(&kind)?, id], |row| row.get(0)).optional()?)
    }
}
