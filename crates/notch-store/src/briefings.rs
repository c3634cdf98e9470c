//! Briefings that were asked, and who passed one.

use std::collections::BTreeSet;

use notch_core::records::Briefing;
use rusqlite::{Row, params};

use crate::attempts::moment;
use crate::columns::{json, to_json, word};
use crate::{Reader, StoreError, Writer};

/// A briefing, without those who were there.
pub(crate) fn briefing(row: &Row<'_>) -> rusqlite::Result<Briefing> {
    Ok(Briefing {
        id: row.get("id")?,
        at: word(row, "at")?,
        room: row.get("room")?,
        students: Vec::new(),
        asked: row.get("asked")?,
        right: row.get("right_at_once")?,
        passed: row.get("passed")?,
        answered: json(row, "answered_json")?,
    })
}

impl Reader<'_> {
    /// Briefings of a lesson in the order of time, with who was there.
    ///
    /// # Errors
    /// What the database says.
    pub fn briefings(&self, lesson_id: i64) -> Result<Vec<Briefing>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM briefing WHERE lesson_id = ?1 ORDER BY at, id")?;
        let mut briefings: Vec<Briefing> = statement.query_map([lesson_id], briefing)?.collect::<Result<_, _>>()?;
        let sql = "SELECT student_id FROM briefed WHERE briefing_id = ?1 ORDER BY student_id";
        let mut there = self.tx.prepare_cached(sql)?;
        for briefing in &mut briefings {
            briefing.students = there.query_map([briefing.id], |row| row.get(0))?.collect::<Result<_, _>>()?;
        }
        Ok(briefings)
    }

    /// Students of a course who passed a briefing in it.
    ///
    /// # Errors
    /// What the database says.
    pub fn briefed(&self, course_id: i64) -> Result<BTreeSet<i64>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT DISTINCT student_id FROM briefed JOIN briefing ON briefing.id = briefing_id
             JOIN lesson ON lesson.id = lesson_id WHERE course_id = ?1 AND passed = 1",
        )?;
        Ok(statement.query_map([course_id], |row| row.get(0))?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Keeps a briefing of a lesson; gives its id.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson or a student.
    pub fn add_briefing(&self, lesson_id: i64, briefing: &Briefing) -> Result<i64, StoreError> {
        self.lesson(lesson_id)?;
        self.tx.execute(
            "INSERT INTO briefing (lesson_id, at, room, asked, right_at_once, passed, answered_json) VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7)",
            params![
                lesson_id,
                moment(briefing.at),
                briefing.room,
                briefing.asked,
                briefing.right,
                briefing.passed,
                to_json(&briefing.answered)?
            ],
        )?;
        let id = self.tx.last_insert_rowid();
        for student in &briefing.students {
            self.student(*student)?;
            self.tx.execute("INSERT OR IGNORE INTO briefed (briefing_id, student_id) VALUES (?1, ?2)", [id, *student])?;
        }
        Ok(id)
    }
}
