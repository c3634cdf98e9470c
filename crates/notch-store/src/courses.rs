//! Courses.

use notch_core::records::{Course, CourseFields};
use rusqlite::{OptionalExtension, Row, named_params};

use crate::columns::{json, to_json, to_word, word};
use crate::{Reader, StoreError, Writer};

pub(crate) fn course(row: &Row<'_>) -> rusqlite::Result<Course> {
    Ok(Course {
        id: row.get("id")?,
        version: row.get("version")?,
        fields: CourseFields {
            name: row.get("name")?,
            school: row.get("school")?,
            place: row.get("place")?,
            age_band: word(row, "age_band")?,
            pace: word(row, "pace")?,
            standard_set: row.get("standard_set")?,
            tolerance: row.get("tolerance")?,
            lesson_minutes: row.get("lesson_minutes")?,
            boards: row.get("boards")?,
            board_material: word(row, "board_material")?,
            resources: json(row, "resources_json")?,
            doctrines: json(row, "doctrines_json")?,
            time_zone: row.get("time_zone")?,
            briefing_first: row.get("briefing_first")?,
        },
    })
}

impl Reader<'_> {
    /// All courses, in the order they were made.
    ///
    /// # Errors
    /// What the database says.
    pub fn courses(&self) -> Result<Vec<Course>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM course ORDER BY id")?;
        Ok(statement.query_map([], course)?.collect::<Result<_, _>>()?)
    }

    /// One course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn course(&self, id: i64) -> Result<Course, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM course WHERE id = ?1")?;
        statement.query_row([id], course).optional()?.ok_or(StoreError::NotFound { what: "course", id })
    }
}

impl Writer<'_> {
    /// Adds a course.
    ///
    /// # Errors
    /// What the database says.
    pub fn add_course(&self, fields: &CourseFields) -> Result<Course, StoreError> {
        self.tx.execute(
            "INSERT INTO course (name, school, place, age_band, pace, standard_set, tolerance, lesson_minutes, boards, board_material, resources_json, doctrines_json, time_zone, briefing_first)
             VALUES (:name, :school, :place, :age_band, :pace, :standard_set, :tolerance, :lesson_minutes, :boards, :board_material, :resources, :doctrines, :time_zone, :briefing_first)",
            named_params! {
                ":name": fields.name.trim(),
                ":school": fields.school.trim(),
                ":place": fields.place.trim(),
                ":age_band": to_word(&fields.age_band)?,
                ":pace": to_word(&fields.pace)?,
                ":standard_set": fields.standard_set,
                ":tolerance": fields.tolerance,
                ":lesson_minutes": fields.lesson_minutes,
                ":boards": fields.boards,
                ":board_material": to_word(&fields.board_material)?,
                ":resources": to_json(&fields.resources)?,
                ":doctrines": to_json(&fields.doctrines)?,
                ":time_zone": fields.time_zone,
                ":briefing_first": fields.briefing_first,
            },
        )?;
        self.course(self.tx.last_insert_rowid())
    }

    /// Changes a course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Stale`] unless `version` is the kept one.
    pub fn change_course(&self, id: i64, version: i64, fields: &CourseFields) -> Result<Course, StoreError> {
        let kept = self.course(id)?;
        crate::open::fresh("course", version, kept.version)?;
        self.tx.execute(
            "UPDATE course SET version = version + 1, name = :name, school = :school, place = :place, age_band = :age_band,
                    pace = :pace, standard_set = :standard_set, tolerance = :tolerance, lesson_minutes = :lesson_minutes,
                    boards = :boards, board_material = :board_material, resources_json = :resources, doctrines_json = :doctrines, time_zone = :time_zone, briefing_first = :briefing_first
             WHERE id = :id",
            named_params! {
                ":id": id,
                ":name": fields.name.trim(),
                ":school": fields.school.trim(),
                ":place": fields.place.trim(),
                ":age_band": to_word(&fields.age_band)?,
                ":pace": to_word(&fields.pace)?,
                ":standard_set": fields.standard_set,
                ":tolerance": fields.tolerance,
                ":lesson_minutes": fields.lesson_minutes,
                ":boards": fields.boards,
                ":board_material": to_word(&fields.board_material)?,
                ":resources": to_json(&fields.resources)?,
                ":doctrines": to_json(&fields.doctrines)?,
                ":time_zone": fields.time_zone,
                ":briefing_first": fields.briefing_first,
            },
        )?;
        self.course(id)
    }
}
