//! Marks of an attempt.

use jiff::Timestamp;
use notch_core::records::{Mark, MarkKind, TakenBack};
use rusqlite::types::Type;
use rusqlite::{OptionalExtension, Row, params};

use crate::attempts::moment;
use crate::columns::InOrder;
use crate::{Reader, StoreError, Writer};

/// What [`mark`] reads.
pub(crate) const MARK: &str = "id, at, made_by, taken_back_json, instead_of, kind, fault";

pub(crate) fn mark(row: &Row<'_>) -> rusqlite::Result<Mark> {
    let mut at = InOrder::of(row);
    Ok(Mark {
        id: at.get()?,
        at: at.word()?,
        by: at.get()?,
        taken_back: at.optional_json()?,
        instead_of: at.get()?,
        what: what(&at.get::<String>()?, at.get()?)?,
    })
}

/// Columns of what was seen: kind, fault.
fn columns(what: &MarkKind) -> (&'static str, Option<&str>) {
    match what {
        MarkKind::Fault { fault } => ("fault", Some(fault)),
        MarkKind::Grip => ("grip", None),
        MarkKind::Hold => ("hold", None),
        MarkKind::Praise => ("praise", None),
        MarkKind::Cleared => ("cleared", None),
    }
}

fn what(kind: &str, fault: Option<String>) -> rusqlite::Result<MarkKind> {
    if let Some(fault) = fault {
        return Ok(MarkKind::Fault { fault });
    }
    let others = [MarkKind::Grip, MarkKind::Hold, MarkKind::Praise, MarkKind::Cleared];
    let unknown = || rusqlite::Error::FromSqlConversionFailure(5, Type::Text, format!("unknown mark “{kind}”").into());
    others.into_iter().find(|what| columns(what).0 == kind).ok_or_else(unknown)
}

impl Reader<'_> {
    /// Marks of an attempt in the order of time, those that were taken back too.
    pub(crate) fn marks(&self, attempt_id: i64) -> Result<Vec<Mark>, StoreError> {
        let sql = format!("SELECT {MARK} FROM mark WHERE attempt_id = ?1 ORDER BY at, id");
        let mut statement = self.tx.prepare_cached(&sql)?;
        Ok(statement.query_map([attempt_id], mark)?.collect::<Result<_, _>>()?)
    }

    /// A mark with the id of its attempt.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn mark(&self, id: i64) -> Result<(i64, Mark), StoreError> {
        let sql = format!("SELECT {MARK}, attempt_id FROM mark WHERE id = ?1");
        let mut statement = self.tx.prepare_cached(&sql)?;
        let found = statement.query_row([id], |row| Ok((row.get("attempt_id")?, mark(row)?))).optional()?;
        found.ok_or(StoreError::NotFound { what: "mark", id })
    }

    /// The attempt of a student that a moment of a lesson belongs to: the latest that was begun by then.
    ///
    /// # Errors
    /// What the database says.
    pub fn attempt_at(&self, student_id: i64, lesson_id: i64, at: Timestamp) -> Result<Option<i64>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT id FROM attempt WHERE student_id = ?1 AND lesson_id = ?2 AND started_at <= ?3
             ORDER BY started_at DESC, id DESC LIMIT 1",
        )?;
        Ok(statement.query_row(params![student_id, lesson_id, moment(at)], |row| row.get(0)).optional()?)
    }
}

impl Writer<'_> {
    /// Keeps a mark, with who made it and which it stands in the place of; gives its id.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the attempt.
    pub fn add_mark(
        &self,
        attempt_id: i64,
        what: &MarkKind,
        at: Timestamp,
        by: Option<&str>,
        instead_of: Option<i64>,
    ) -> Result<i64, StoreError> {
        self.changed_attempt(attempt_id)?;
        let (kind, fault) = columns(what);
        let sql = "INSERT INTO mark (attempt_id, kind, fault, at, made_by, instead_of) VALUES (?1, ?2, ?3, ?4, ?5, ?6)";
        self.tx.prepare_cached(sql)?.execute(params![attempt_id, kind, fault, moment(at), by, instead_of])?;
        Ok(self.tx.last_insert_rowid())
    }

    /// Takes a mark back: it stays beside the others and counts no more. Gives its attempt.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if it was taken back already.
    pub fn take_mark_back(&self, id: i64, taken_back: &TakenBack) -> Result<i64, StoreError> {
        let attempt_id = self.take_back("mark", "attempt_id", id, taken_back)?;
        self.changed_attempt(attempt_id)?;
        Ok(attempt_id)
    }

    /// Gives an attempt its next version.
    pub(crate) fn changed_attempt(&self, id: i64) -> Result<(), StoreError> {
        let changed = self.tx.prepare_cached("UPDATE attempt SET version = version + 1 WHERE id = ?1")?.execute([id])?;
        if changed == 0 { Err(StoreError::NotFound { what: "attempt", id }) } else { Ok(()) }
    }
}
