//! Settings of the school's copy of the program.

use rusqlite::{OptionalExtension, params};

use crate::{Reader, StoreError, Writer};

impl Reader<'_> {
    /// A setting by its key.
    ///
    /// # Errors
    /// What the database says.
    pub fn setting(&self, key: &str) -> Result<Option<String>, StoreError> {
        let found = self.tx.query_row("SELECT value FROM setting WHERE key = ?1", [key], |row| row.get(0));
        Ok(found.optional()?)
    }
}

impl Writer<'_> {
    /// Keeps a setting.
    ///
    /// # Errors
    /// What the database says.
    pub fn set_setting(&self, key: &str, value: &str) -> Result<(), StoreError> {
        self.tx.execute(
            "INSERT INTO setting (key, value) VALUES (?1, ?2) ON CONFLICT (key) DO UPDATE SET value = ?2",
            params![key, value],
        )?;
        Ok(())
    }
}
