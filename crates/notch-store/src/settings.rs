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

/// Key of the secret address of a course's calendar.
fn calendar_key(course_id: i64) -> String {
    format!("calendar/{course_id}")
}

impl Reader<'_> {
    /// The secret of a course's calendar, while its lessons can be subscribed to.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course.
    pub fn calendar_secret(&self, course_id: i64) -> Result<Option<String>, StoreError> {
        self.course(course_id)?;
        self.setting(&calendar_key(course_id))
    }

    /// The course whose calendar has this secret.
    ///
    /// # Errors
    /// What the database says.
    pub fn course_of_calendar(&self, secret: &str) -> Result<Option<i64>, StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT id FROM course JOIN setting ON key = 'calendar/' || id WHERE value = ?1")?;
        Ok(statement.query_row([secret], |row| row.get(0)).optional()?)
    }
}

impl Writer<'_> {
    /// Gives a course's calendar a secret, or takes it back.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course.
    pub fn set_calendar_secret(&self, course_id: i64, secret: Option<&str>) -> Result<(), StoreError> {
        self.course(course_id)?;
        match secret {
            Some(secret) => self.set_setting(&calendar_key(course_id), secret),
            None => {
                self.tx.execute("DELETE FROM setting WHERE key = ?1", [calendar_key(course_id)])?;
                Ok(())
            }
        }
    }
}
