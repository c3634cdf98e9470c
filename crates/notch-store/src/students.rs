//! Students.

use notch_core::Problem;
use notch_core::records::{Student, StudentFields};
use rusqlite::{OptionalExtension, Row, named_params};

use crate::columns::{json, length, to_json, to_word, word};
use crate::open::{fresh, unless_taken};
use crate::{Reader, StoreError, Writer};

pub(crate) fn student(row: &Row<'_>) -> rusqlite::Result<Student> {
    Ok(Student {
        id: row.get("id")?,
        course_id: row.get("course_id")?,
        version: row.get("version")?,
        archived: row.get("archived")?,
        fields: StudentFields {
            name: row.get("name")?,
            station: row.get("station")?,
            hand: word(row, "hand")?,
            hand_size: word(row, "hand_size")?,
            clearance: length(row, "clearance")?,
            special_clearance: row.get("special_clearance")?,
            allergies: json(row, "allergies_json")?,
            notes: row.get("notes")?,
        },
    })
}

impl Reader<'_> {
    /// Students of a course by station; those who left are not among them.
    ///
    /// # Errors
    /// What the database says.
    pub fn students(&self, course_id: i64) -> Result<Vec<Student>, StoreError> {
        let mut statement =
            self.tx.prepare_cached("SELECT * FROM student WHERE course_id = ?1 AND archived = 0 ORDER BY station")?;
        Ok(statement.query_map([course_id], student)?.collect::<Result<_, _>>()?)
    }

    /// One student, also one who left.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn student(&self, id: i64) -> Result<Student, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM student WHERE id = ?1")?;
        statement.query_row([id], student).optional()?.ok_or(StoreError::NotFound { what: "student", id })
    }

    /// One student who is still in the course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Archived`].
    pub fn present_student(&self, id: i64) -> Result<Student, StoreError> {
        let student = self.student(id)?;
        if student.archived { Err(StoreError::Archived { what: "student", id }) } else { Ok(student) }
    }
}

fn station_taken(station: u16) -> StoreError {
    StoreError::Refused(vec![Problem::new("/station", "Station", station, "is taken", "a station that is free")])
}

impl Writer<'_> {
    /// Adds a student to a course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course; [`StoreError::Refused`] for a station that is taken.
    pub fn add_student(&self, course_id: i64, fields: &StudentFields) -> Result<Student, StoreError> {
        self.course(course_id)?;
        let done = self.tx.execute(
            "INSERT INTO student (course_id, name, station, hand, hand_size, clearance, special_clearance, allergies_json, notes)
             VALUES (:course_id, :name, :station, :hand, :hand_size, :clearance, :special, :allergies, :notes)",
            named_params! {
                ":course_id": course_id,
                ":name": fields.name.trim(),
                ":station": fields.station,
                ":hand": to_word(&fields.hand)?,
                ":hand_size": to_word(&fields.hand_size)?,
                ":clearance": fields.clearance.get(),
                ":special": fields.special_clearance,
                ":allergies": to_json(&fields.allergies)?,
                ":notes": fields.notes.trim(),
            },
        );
        unless_taken(done, || station_taken(fields.station))?;
        self.student(self.tx.last_insert_rowid())
    }

    /// Changes a student.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Archived`], [`StoreError::Stale`], a taken station.
    pub fn change_student(&self, id: i64, version: i64, fields: &StudentFields) -> Result<Student, StoreError> {
        fresh("student", version, self.present_student(id)?.version)?;
        let done = self.tx.execute(
            "UPDATE student SET version = version + 1, name = :name, station = :station, hand = :hand, hand_size = :hand_size,
                    clearance = :clearance, special_clearance = :special, allergies_json = :allergies, notes = :notes
             WHERE id = :id",
            named_params! {
                ":id": id,
                ":name": fields.name.trim(),
                ":station": fields.station,
                ":hand": to_word(&fields.hand)?,
                ":hand_size": to_word(&fields.hand_size)?,
                ":clearance": fields.clearance.get(),
                ":special": fields.special_clearance,
                ":allergies": to_json(&fields.allergies)?,
                ":notes": fields.notes.trim(),
            },
        );
        unless_taken(done, || station_taken(fields.station))?;
        self.student(id)
    }

    /// Takes a student out of the course, or brings one back. The history stays.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`]; a station that was taken meanwhile.
    pub fn archive_student(&self, id: i64, version: i64, archived: bool) -> Result<Student, StoreError> {
        let kept = self.student(id)?;
        fresh("student", version, kept.version)?;
        let done = self.tx.execute(
            "UPDATE student SET version = version + 1, archived = :archived WHERE id = :id",
            named_params! { ":id": id, ":archived": archived },
        );
        unless_taken(done, || station_taken(kept.fields.station))?;
        self.student(id)
    }
}
