//! Before and after a class: ticks on the check sheet, knives out and in, the closing.

use jiff::Timestamp;
use notch_core::catalogue::Catalogue;
use notch_core::records::{CheckTick, Closing, CountedKnife};
use rusqlite::{OptionalExtension, Row, params};

use crate::attempts::moment;
use crate::columns::{optional_word, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn tick(row: &Row<'_>) -> rusqlite::Result<CheckTick> {
    Ok(CheckTick { item: row.get("item")?, who: row.get("who")?, at: word(row, "ticked_at")? })
}

/// When a knife went out, and when it came in.
pub(crate) fn out_and_in(row: &Row<'_>) -> rusqlite::Result<(Timestamp, Option<Timestamp>)> {
    Ok((word(row, "out_at")?, optional_word(row, "in_at")?))
}

pub(crate) fn closing(row: &Row<'_>) -> rusqlite::Result<Closing> {
    Ok(Closing { at: word(row, "closed_at")?, who: row.get("who")?, words: row.get("words")? })
}

impl Reader<'_> {
    /// Ticks on the check sheet of a lesson.
    ///
    /// # Errors
    /// What the database says.
    pub fn check_ticks(&self, lesson_id: i64) -> Result<Vec<CheckTick>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM check_tick WHERE lesson_id = ?1 ORDER BY item")?;
        Ok(statement.query_map([lesson_id], tick)?.collect::<Result<_, _>>()?)
    }

    /// Knives that went out for a lesson, by number.
    ///
    /// # Errors
    /// What the database says.
    pub fn knives_out(&self, lesson_id: i64, catalogue: &Catalogue) -> Result<Vec<CountedKnife>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT knife_id, number, knife_type, length, out_at, in_at FROM knife_out JOIN knife ON knife.id = knife_id
             WHERE lesson_id = ?1 ORDER BY CAST(number AS INTEGER), number",
        )?;
        let knives = statement.query_map([lesson_id], |row| {
            let kind: String = row.get("knife_type")?;
            let length = crate::columns::length(row, "length")?;
            let (out_at, in_at) = out_and_in(row)?;
            Ok(CountedKnife {
                knife_id: row.get("knife_id")?,
                number: row.get("number")?,
                name: catalogue.knife(&kind).map_or_else(|| format!("{kind} {length}"), |kind| kind.label(length)),
                out_at,
                in_at,
            })
        })?;
        Ok(knives.collect::<Result<_, _>>()?)
    }

    /// How a lesson was closed, if it was.
    ///
    /// # Errors
    /// What the database says.
    pub fn closing(&self, lesson_id: i64) -> Result<Option<Closing>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM closing WHERE lesson_id = ?1")?;
        Ok(statement.query_row([lesson_id], closing).optional()?)
    }

    /// Attempts of a lesson that still run.
    ///
    /// # Errors
    /// What the database says.
    pub fn running_attempts(&self, lesson_id: i64) -> Result<usize, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT count(*) FROM attempt WHERE lesson_id = ?1 AND stopped_at IS NULL")?;
        Ok(usize::try_from(statement.query_row([lesson_id], |row| row.get::<_, i64>(0))?).unwrap_or(usize::MAX))
    }
}

impl Writer<'_> {
    /// Ticks a line of the check sheet, or takes the tick back.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson.
    pub fn tick(&self, lesson_id: i64, tick: &CheckTick, ticked: bool) -> Result<(), StoreError> {
        self.lesson(lesson_id)?;
        if ticked {
            self.tx.execute(
                "INSERT INTO check_tick (lesson_id, item, who, ticked_at) VALUES (?1, ?2, ?3, ?4) ON CONFLICT DO NOTHING",
                params![lesson_id, tick.item, tick.who.trim(), moment(tick.at)],
            )?;
        } else {
            self.tx.execute("DELETE FROM check_tick WHERE lesson_id = ?1 AND item = ?2", params![lesson_id, tick.item])?;
        }
        Ok(())
    }

    /// Counts a knife out; one that came in already goes out again.
    ///
    /// # Errors
    /// What the database says.
    pub fn count_out(&self, lesson_id: i64, knife_id: i64, at: Timestamp) -> Result<(), StoreError> {
        self.tx.execute(
            "INSERT INTO knife_out (lesson_id, knife_id, out_at) VALUES (?1, ?2, ?3)
             ON CONFLICT DO UPDATE SET out_at = CASE WHEN in_at IS NULL THEN out_at ELSE excluded.out_at END, in_at = NULL",
            params![lesson_id, knife_id, moment(at)],
        )?;
        Ok(())
    }

    /// Counts a knife in. `false` if it never went out.
    ///
    /// # Errors
    /// What the database says.
    pub fn count_in(&self, lesson_id: i64, knife_id: i64, at: Timestamp) -> Result<bool, StoreError> {
        let changed = self.tx.execute(
            "UPDATE knife_out SET in_at = coalesce(in_at, max(?3, out_at)) WHERE lesson_id = ?1 AND knife_id = ?2",
            params![lesson_id, knife_id, moment(at)],
        )?;
        Ok(changed > 0)
    }

    /// Takes a knife out of the count that was counted out by mistake.
    ///
    /// # Errors
    /// What the database says.
    pub fn count_not_out(&self, lesson_id: i64, knife_id: i64) -> Result<(), StoreError> {
        self.tx.execute("DELETE FROM knife_out WHERE lesson_id = ?1 AND knife_id = ?2", params![lesson_id, knife_id])?;
        Ok(())
    }

    /// Closes a lesson, or opens it again.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson; [`StoreError::Conflict`] if it is closed already.
    pub fn close_lesson(&self, lesson_id: i64, closing: Option<&Closing>) -> Result<(), StoreError> {
        self.lesson(lesson_id)?;
        match closing {
            None => {
                self.tx.execute("DELETE FROM closing WHERE lesson_id = ?1", [lesson_id])?;
            }
            Some(_) if self.closing(lesson_id)?.is_some() => {
                return Err(StoreError::Conflict("this class is closed already".to_owned()));
            }
            Some(closing) => {
                self.tx.execute(
                    "INSERT INTO closing (lesson_id, closed_at, who, words) VALUES (?1, ?2, ?3, ?4)",
                    params![lesson_id, moment(closing.at), closing.who.trim(), closing.words.trim()],
                )?;
            }
        }
        Ok(())
    }
}
