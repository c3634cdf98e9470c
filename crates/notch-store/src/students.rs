//! People of the school, and students: people in a course.

use std::collections::BTreeMap;

use notch_core::Problem;
use notch_core::records::{Person, PersonCourse, Student, StudentFields};
use rusqlite::{OptionalExtension, Row, named_params, params};

use crate::columns::{json, length, to_json, to_word, word};
use crate::open::{fresh, unless_taken};
use crate::{Reader, StoreError, Writer};

/// A person in one course.
pub(crate) struct Participation {
    person_id: i64,
    course: PersonCourse,
}

pub(crate) fn participation(row: &Row<'_>) -> rusqlite::Result<Participation> {
    let course = PersonCourse {
        course_id: row.get("course_id")?,
        student_id: row.get("id")?,
        station: row.get("station")?,
        archived: row.get("archived")?,
    };
    Ok(Participation { person_id: row.get("person_id")?, course })
}

/// A person, without the courses.
pub(crate) fn person(row: &Row<'_>) -> rusqlite::Result<Person> {
    Ok(Person {
        id: row.get("id")?,
        version: row.get("version")?,
        name: row.get("name")?,
        hand: word(row, "hand")?,
        hand_size: word(row, "hand_size")?,
        clearance: length(row, "clearance")?,
        special_clearance: row.get("special_clearance")?,
        allergies: json(row, "allergies_json")?,
        notes: row.get("notes")?,
        courses: Vec::new(),
    })
}

/// A student of `STUDENTS`.
pub(crate) fn student(row: &Row<'_>) -> rusqlite::Result<Student> {
    let person = person(row)?;
    Ok(Student {
        id: row.get("student_id")?,
        person_id: person.id,
        course_id: row.get("course_id")?,
        version: person.version,
        archived: row.get("archived")?,
        fields: person.at(row.get("station")?),
    })
}

/// Students as they are read: a person with the place in a course.
macro_rules! students_where {
    ($condition:literal) => {
        concat!(
            "SELECT person.*, student.id AS student_id, course_id, archived, station
             FROM student JOIN person ON person.id = person_id ",
            $condition
        )
    };
}

/// Students of a course in the order in which they came, those who left too.
pub(crate) const OF_COURSE: &str = students_where!("WHERE course_id = ?1 ORDER BY student.id");

impl Reader<'_> {
    /// Students of a course by station; those who left are not among them.
    ///
    /// # Errors
    /// What the database says.
    pub fn students(&self, course_id: i64) -> Result<Vec<Student>, StoreError> {
        let sql = students_where!("WHERE course_id = ?1 AND archived = 0 ORDER BY station");
        Ok(self.tx.prepare_cached(sql)?.query_map([course_id], student)?.collect::<Result<_, _>>()?)
    }

    /// One student, also one who left.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn student(&self, id: i64) -> Result<Student, StoreError> {
        let mut statement = self.tx.prepare_cached(students_where!("WHERE student.id = ?1"))?;
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

    /// Everyone of the school by name, with the courses that they are or were in.
    ///
    /// # Errors
    /// What the database says.
    pub fn people(&self) -> Result<Vec<Person>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM person ORDER BY name COLLATE NOCASE, id")?;
        let mut people: Vec<Person> = statement.query_map([], person)?.collect::<Result<_, _>>()?;
        let mut statement = self.tx.prepare_cached("SELECT * FROM student ORDER BY course_id, id")?;
        let mut courses: BTreeMap<i64, Vec<PersonCourse>> = BTreeMap::new();
        for each in statement.query_map([], participation)? {
            let each = each?;
            courses.entry(each.person_id).or_default().push(each.course);
        }
        for person in &mut people {
            person.courses = courses.remove(&person.id).unwrap_or_default();
        }
        Ok(people)
    }
}

fn station_taken(station: u16) -> StoreError {
    StoreError::Refused(vec![Problem::new("/station", "Station", station, "is taken", "a station that is free")])
}

impl Writer<'_> {
    /// Adds somebody new to the school and to a course.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course; [`StoreError::Refused`] for a station that is taken.
    pub fn add_student(&self, course_id: i64, fields: &StudentFields) -> Result<Student, StoreError> {
        self.course(course_id)?;
        self.insert_student(course_id, fields, false)
    }

    /// Keeps somebody new, in the course or gone from it.
    pub(crate) fn insert_student(&self, course_id: i64, fields: &StudentFields, archived: bool) -> Result<Student, StoreError> {
        self.tx.execute(
            "INSERT INTO person (name, hand, hand_size, clearance, special_clearance, allergies_json, notes)
             VALUES (:name, :hand, :hand_size, :clearance, :special, :allergies, :notes)",
            named_params! {
                ":name": fields.name.trim(),
                ":hand": to_word(&fields.hand)?,
                ":hand_size": to_word(&fields.hand_size)?,
                ":clearance": fields.clearance.get(),
                ":special": fields.special_clearance,
                ":allergies": to_json(&fields.allergies)?,
                ":notes": fields.notes.trim(),
            },
        )?;
        self.take_part(self.tx.last_insert_rowid(), course_id, fields.station, archived)
    }

    /// Takes somebody whom the school knows into a course, or back into it.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course or the person; [`StoreError::Refused`] for a station that is
    /// taken; [`StoreError::Conflict`] for who is in the course.
    pub fn take_along(&self, person_id: i64, course_id: i64, station: u16) -> Result<Student, StoreError> {
        self.course(course_id)?;
        let known: bool =
            self.tx.query_row("SELECT EXISTS (SELECT 1 FROM person WHERE id = ?1)", [person_id], |row| row.get(0))?;
        if !known {
            return Err(StoreError::NotFound { what: "person", id: person_id });
        }
        let sql = "SELECT id, archived FROM student WHERE person_id = ?1 AND course_id = ?2";
        let there = self.tx.query_row(sql, params![person_id, course_id], |row| Ok((row.get(0)?, row.get(1)?))).optional()?;
        let Some((id, left)): Option<(i64, bool)> = there else { return self.take_part(person_id, course_id, station, false) };
        if !left {
            let name = self.student(id)?.fields.name;
            return Err(StoreError::Conflict(format!("{name} is in this course already")));
        }
        let done = self.tx.execute("UPDATE student SET archived = 0, station = ?2 WHERE id = ?1", params![id, station]);
        unless_taken(done, || station_taken(station))?;
        self.changed(person_id)?;
        self.student(id)
    }

    fn take_part(&self, person_id: i64, course_id: i64, station: u16, archived: bool) -> Result<Student, StoreError> {
        let sql = "INSERT INTO student (person_id, course_id, station, archived) VALUES (?1, ?2, ?3, ?4)";
        unless_taken(self.tx.execute(sql, params![person_id, course_id, station, archived]), || station_taken(station))?;
        self.student(self.tx.last_insert_rowid())
    }

    /// A new version of a person: what is known, or a place in a course, was changed.
    fn changed(&self, person_id: i64) -> Result<(), StoreError> {
        self.tx.execute("UPDATE person SET version = version + 1 WHERE id = ?1", [person_id])?;
        Ok(())
    }

    /// Changes a student: what is known of the person, in all courses, and the station in this one.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Archived`], [`StoreError::Stale`], a taken station.
    pub fn change_student(&self, id: i64, version: i64, fields: &StudentFields) -> Result<Student, StoreError> {
        let kept = self.present_student(id)?;
        fresh("student", version, kept.version)?;
        self.tx.execute(
            "UPDATE person SET name = :name, hand = :hand, hand_size = :hand_size, clearance = :clearance,
                    special_clearance = :special, allergies_json = :allergies, notes = :notes
             WHERE id = :id",
            named_params! {
                ":id": kept.person_id,
                ":name": fields.name.trim(),
                ":hand": to_word(&fields.hand)?,
                ":hand_size": to_word(&fields.hand_size)?,
                ":clearance": fields.clearance.get(),
                ":special": fields.special_clearance,
                ":allergies": to_json(&fields.allergies)?,
                ":notes": fields.notes.trim(),
            },
        )?;
        let done = self.tx.execute("UPDATE student SET station = ?2 WHERE id = ?1", params![id, fields.station]);
        unless_taken(done, || station_taken(fields.station))?;
        self.changed(kept.person_id)?;
        self.student(id)
    }

    /// Takes a student out of the course, or brings one back. The history stays.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`]; a station that was taken meanwhile.
    pub fn archive_student(&self, id: i64, version: i64, archived: bool) -> Result<Student, StoreError> {
        let kept = self.student(id)?;
        fresh("student", version, kept.version)?;
        let done = self.tx.execute("UPDATE student SET archived = ?2 WHERE id = ?1", params![id, archived]);
        unless_taken(done, || station_taken(kept.fields.station))?;
        self.changed(kept.person_id)?;
        self.student(id)
    }
}
