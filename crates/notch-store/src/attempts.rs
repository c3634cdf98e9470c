//! Attempts, samples and incidents.

use std::collections::HashMap;
use std::sync::Arc;

use jiff::Timestamp;
use notch_core::measure::{MeasuredPiece, SampleCustom, Verdict};
use notch_core::records::{Attempt, AttemptMarks, Incident, IncidentFields, NewAttempt, Sample, TakenBack};
use rusqlite::{OptionalExtension, Row, ToSql, named_params, params};

use crate::columns::{InOrder, optional_json, optional_word, to_json, to_optional_word, to_word, word};
use crate::open::unless_taken;
use crate::{Reader, StoreError, Writer};

/// What [`attempt`] reads of the table of that name, but for whose it is, which stands before it.
macro_rules! of_attempt {
    () => {
        "attempt.id, attempt.lesson_id, attempt.exercise_id, attempt.knife_id, attempt.version, attempt.started_at, attempt.stopped_at, \
         attempt.on_day, attempt.cut, attempt.strand, attempt.standard_set, attempt.target_json, attempt.tolerance_json, \
         attempt.reference_seconds"
    };
}

/// An attempt without its marks and samples.
pub(crate) const ATTEMPT: &str = concat!("student_id, ", of_attempt!());

pub(crate) fn attempt(row: &Row<'_>) -> rusqlite::Result<Attempt> {
    let mut at = InOrder::of(row);
    let student_id = at.get()?;
    let (id, lesson_id, exercise_id, knife_id, version) = (at.get()?, at.get()?, at.get()?, at.get()?, at.get()?);
    let (started_at, stopped_at): (Timestamp, Option<Timestamp>) = (at.word()?, at.optional_word()?);
    Ok(Attempt {
        id,
        student_id,
        lesson_id,
        exercise_id,
        knife_id,
        version,
        started_at,
        stopped_at,
        seconds: stopped_at.map(|stopped| stopped.duration_since(started_at).as_secs_f64().max(0.0)),
        on_day: at.word()?,
        cut: at.get()?,
        strand: at.optional_word()?,
        standard_set: at.get()?,
        target: at.json()?,
        tolerance: at.json()?,
        reference_seconds: at.get()?,
        marks: AttemptMarks::default(),
        made: Vec::new(),
        samples: Vec::new(),
        taken_back: Vec::new(),
    })
}

/// What [`sample`] reads.
pub(crate) const SAMPLE: &str = "id, attempt_id, custom, taken_at, verdict_json, taken_back_json";

pub(crate) fn sample(row: &Row<'_>) -> rusqlite::Result<Sample> {
    let mut at = InOrder::of(row);
    Ok(Sample {
        id: at.get()?,
        attempt_id: at.get()?,
        custom: at.word()?,
        taken_at: at.word()?,
        verdict: at.json()?,
        taken_back: at.optional_json()?,
    })
}

/// What [`piece`] reads.
pub(crate) const PIECE: &str = "thickness, width, length, far_width";

pub(crate) fn piece(row: &Row<'_>) -> rusqlite::Result<MeasuredPiece> {
    let mut at = InOrder::of(row);
    Ok(MeasuredPiece {
        thickness: at.length()?,
        width: at.optional_length()?,
        length: at.optional_length()?,
        far_width: at.optional_length()?,
    })
}

pub(crate) fn incident(row: &Row<'_>) -> rusqlite::Result<Incident> {
    Ok(Incident {
        id: row.get("id")?,
        lesson_id: row.get("lesson_id")?,
        happened_at: word(row, "happened_at")?,
        fields: IncidentFields {
            student_id: row.get("student_id")?,
            kind: word(row, "kind")?,
            words: row.get("words")?,
            place: row.get("place")?,
            first_aid: row.get("first_aid")?,
            aid_by: row.get("aid_by")?,
        },
        taken_back: optional_json(row, "taken_back_json")?,
    })
}

/// Attempts, each told as the `$student`'s: who takes part in several courses has the evidence of all of them in each.
macro_rules! attempts_where {
    ($condition:literal) => {
        attempts_where!("attempt.student_id", $condition)
    };
    ($student:literal, $condition:literal) => {
        concat!("SELECT ", $student, ", ", of_attempt!(), " FROM attempt ", $condition, " ORDER BY started_at, attempt.id")
    };
}

impl Reader<'_> {
    fn attempts_by(&self, sql: &str, id: i64) -> Result<Vec<Attempt>, StoreError> {
        let mut statement = self.tx.prepare_cached(sql)?;
        let mut attempts: Vec<Attempt> = statement.query_map([id], attempt)?.collect::<Result<_, _>>()?;
        for attempt in &mut attempts {
            let samples = self.samples(attempt.id)?;
            (attempt.taken_back, attempt.samples) = samples.into_iter().partition(|sample| sample.taken_back.is_some());
            attempt.made = self.marks(attempt.id)?;
            attempt.marks = AttemptMarks::of(&attempt.made);
        }
        Ok(attempts)
    }

    /// Attempts of all students of a course, in the order of time; what they did in other courses goes along.
    ///
    /// # Errors
    /// What the database says.
    pub fn attempts_of_course(&self, course_id: i64) -> Result<Arc<Vec<Attempt>>, StoreError> {
        self.kept_attempts(course_id, |before| self.attempts_since(before, course_id))
    }

    /// Attempts of a course, of which those are read that are others than before: each change of one, of its marks or
    /// samples too, gives it another version.
    fn attempts_since(&self, before: Vec<Attempt>, course_id: i64) -> Result<Vec<Attempt>, StoreError> {
        if before.is_empty() {
            let sql = attempts_where!(
                "here.id",
                "JOIN student AS made ON made.id = attempt.student_id
                 JOIN student AS here ON here.person_id = made.person_id WHERE here.course_id = ?1"
            );
            return self.attempts_by(sql, course_id);
        }
        let mut before: HashMap<(i64, i64, i64), Attempt> =
            before.into_iter().map(|attempt| ((attempt.student_id, attempt.id, attempt.version), attempt)).collect();
        let mut statement = self.tx.prepare_cached(
            "SELECT here.id, attempt.id, attempt.version FROM attempt
             JOIN student AS made ON made.id = attempt.student_id
             JOIN student AS here ON here.person_id = made.person_id WHERE here.course_id = ?1
             ORDER BY started_at, attempt.id",
        )?;
        let now: Vec<(i64, i64, i64)> =
            statement.query_map([course_id], |row| Ok((row.get(0)?, row.get(1)?, row.get(2)?)))?.collect::<Result<_, _>>()?;
        let as_it_is = |key: (i64, i64, i64)| match before.remove(&key) {
            Some(attempt) => Ok(attempt),
            None => Ok(Attempt { student_id: key.0, ..self.attempt(key.1)? }),
        };
        now.into_iter().map(as_it_is).collect()
    }

    /// Attempts of one student, in the order of time, those in other courses among them.
    ///
    /// # Errors
    /// What the database says.
    pub fn attempts_of_student(&self, student_id: i64) -> Result<Vec<Attempt>, StoreError> {
        let sql = attempts_where!(
            "here.id",
            "JOIN student AS made ON made.id = attempt.student_id
             JOIN student AS here ON here.person_id = made.person_id WHERE here.id = ?1"
        );
        self.attempts_by(sql, student_id)
    }

    /// Attempts made in one lesson, in the order of time.
    ///
    /// # Errors
    /// What the database says.
    pub fn attempts_of_lesson(&self, lesson_id: i64) -> Result<Vec<Attempt>, StoreError> {
        self.attempts_by(attempts_where!("WHERE lesson_id = ?1"), lesson_id)
    }

    /// One attempt.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn attempt(&self, id: i64) -> Result<Attempt, StoreError> {
        self.attempts_by(attempts_where!("WHERE attempt.id = ?1"), id)?.pop().ok_or(StoreError::NotFound { what: "attempt", id })
    }

    /// One sample.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn sample(&self, id: i64) -> Result<Sample, StoreError> {
        let mut statement = self.tx.prepare_cached(&format!("SELECT {SAMPLE} FROM sample WHERE id = ?1"))?;
        statement.query_row([id], sample).optional()?.ok_or(StoreError::NotFound { what: "sample", id })
    }

    fn samples(&self, attempt_id: i64) -> Result<Vec<Sample>, StoreError> {
        let mut statement = self.tx.prepare_cached(&format!("SELECT {SAMPLE} FROM sample WHERE attempt_id = ?1 ORDER BY id"))?;
        Ok(statement.query_map([attempt_id], sample)?.collect::<Result<_, _>>()?)
    }

    /// Pieces of a sample in the order entered.
    ///
    /// # Errors
    /// What the database says.
    pub fn pieces(&self, sample_id: i64) -> Result<Vec<MeasuredPiece>, StoreError> {
        let mut statement =
            self.tx.prepare_cached(&format!("SELECT {PIECE} FROM piece WHERE sample_id = ?1 ORDER BY position"))?;
        Ok(statement.query_map([sample_id], piece)?.collect::<Result<_, _>>()?)
    }

    /// Who has a knife in a running attempt: id and name of the student.
    ///
    /// # Errors
    /// What the database says.
    pub fn holder(&self, knife_id: i64) -> Result<Option<(i64, String)>, StoreError> {
        let sql = "SELECT student.id, person.name FROM attempt JOIN student ON student.id = student_id
                   JOIN person ON person.id = person_id WHERE stopped_at IS NULL AND knife_id = ?1";
        let mut statement = self.tx.prepare_cached(sql)?;
        Ok(statement.query_row([knife_id], |row| Ok((row.get(0)?, row.get(1)?))).optional()?)
    }

    /// Whether a student has an attempt that runs.
    ///
    /// # Errors
    /// What the database says.
    pub fn runs(&self, student_id: i64) -> Result<bool, StoreError> {
        let sql = "SELECT EXISTS (SELECT 1 FROM attempt WHERE stopped_at IS NULL AND student_id = ?1)";
        Ok(self.tx.prepare_cached(sql)?.query_row([student_id], |row| row.get(0))?)
    }

    /// Incidents of a course, the latest first.
    ///
    /// # Errors
    /// What the database says.
    pub fn incidents(&self, course_id: i64) -> Result<Vec<Incident>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT incident.* FROM incident JOIN lesson ON lesson.id = lesson_id WHERE course_id = ?1 ORDER BY happened_at DESC, incident.id DESC",
        )?;
        Ok(statement.query_map([course_id], incident)?.collect::<Result<_, _>>()?)
    }

    /// The latest moment that anything was written down, as far as the latest thousand attempts and samples
    /// tell; the demo's clock never runs behind it.
    ///
    /// # Errors
    /// What the database says.
    pub fn latest_moment(&self) -> Result<Option<Timestamp>, StoreError> {
        let latest = self.tx.query_row(
            "SELECT max(moment) AS moment FROM (
                 SELECT max(started_at) AS moment FROM (SELECT started_at FROM attempt ORDER BY id DESC LIMIT 1000)
                 UNION ALL SELECT max(stopped_at) FROM (SELECT stopped_at FROM attempt ORDER BY id DESC LIMIT 1000)
                 UNION ALL SELECT max(taken_at) FROM (SELECT taken_at FROM sample ORDER BY id DESC LIMIT 1000)
                 UNION ALL SELECT max(happened_at) FROM incident
                 UNION ALL SELECT max(written_at) FROM care_event UNION ALL SELECT max(ticked_at) FROM check_tick
                 UNION ALL SELECT max(out_at) FROM knife_out UNION ALL SELECT max(in_at) FROM knife_out
                 UNION ALL SELECT max(closed_at) FROM closing UNION ALL SELECT max(shown_at) FROM demonstration)",
            [],
            |row| optional_word(row, "moment"),
        );
        Ok(latest.optional()?.flatten())
    }
}

impl Writer<'_> {
    /// Starts an attempt.
    ///
    /// # Errors
    /// [`StoreError::Conflict`] if the student or the knife is in another attempt that still runs.
    pub fn start_attempt(&self, new: &NewAttempt) -> Result<Attempt, StoreError> {
        let running = "SELECT person.name FROM attempt JOIN student ON student.id = student_id
                       JOIN person ON person.id = person_id WHERE stopped_at IS NULL AND ";
        let who = |column: &str, id: i64| {
            self.tx.query_row(&format!("{running}{column} = ?1"), [id], |row| row.get::<_, String>(0)).optional()
        };
        if let Some(name) = who("student_id", new.student_id)? {
            return Err(StoreError::Conflict(format!("{name} already has an attempt running: stop it first")));
        }
        if let Some(name) = who("knife_id", new.knife_id)? {
            return Err(StoreError::Conflict(format!("this knife is in use by {name}: choose another or stop that attempt")));
        }
        let done = self.tx.execute(
            "INSERT INTO attempt (student_id, lesson_id, exercise_id, knife_id, started_at, on_day, cut, strand, standard_set, target_json, tolerance_json, reference_seconds)
             VALUES (:student, :lesson, :exercise, :knife, :started_at, :on_day, :cut, :strand, :standard_set, :target, :tolerance, :reference)",
            named_params! {
                ":student": new.student_id,
                ":lesson": new.lesson_id,
                ":exercise": new.exercise_id,
                ":knife": new.knife_id,
                ":started_at": moment(new.started_at),
                ":on_day": to_word(&new.on_day)?,
                ":cut": new.cut,
                ":strand": to_optional_word(new.strand.as_ref())?,
                ":standard_set": new.standard_set,
                ":target": to_json(&new.target)?,
                ":tolerance": to_json(&new.tolerance)?,
                ":reference": new.reference_seconds,
            },
        );
        unless_taken(done, || StoreError::Conflict("an attempt is already running".to_owned()))?;
        self.attempt(self.tx.last_insert_rowid())
    }

    /// Stops an attempt. Where two devices stop the same one, the earlier moment counts, whichever arrives first.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn stop_attempt(&self, id: i64, at: Timestamp) -> Result<Attempt, StoreError> {
        let kept = self.attempt(id)?;
        let at = kept.stopped_at.map_or(at, |before| before.min(at)).max(kept.started_at);
        if kept.stopped_at == Some(at) {
            return Ok(kept);
        }
        self.tx.execute("UPDATE attempt SET version = version + 1, stopped_at = ?2 WHERE id = ?1", params![id, moment(at)])?;
        self.attempt(id)
    }

    /// Lets an attempt run on that was stopped by mistake.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if the student or the knife is in another attempt by now.
    pub fn let_attempt_run_on(&self, id: i64) -> Result<Attempt, StoreError> {
        let sql = "UPDATE attempt SET version = version + 1, stopped_at = NULL WHERE id = ?1";
        let busy = || StoreError::Conflict("the student or the knife is in another attempt by now: it stays stopped".to_owned());
        unless_taken(self.tx.execute(sql, [id]), busy)?;
        self.attempt(id)
    }

    /// Takes an attempt away that was started by mistake: there is nothing of it to keep.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if something was marked or measured.
    pub fn unstart_attempt(&self, id: i64) -> Result<(), StoreError> {
        let kept = self.attempt(id)?;
        if !kept.made.is_empty() || !kept.samples.is_empty() || !kept.taken_back.is_empty() {
            let why = "something was marked or measured in this attempt: stop it instead";
            return Err(StoreError::Conflict(why.to_owned()));
        }
        self.tx.execute("DELETE FROM attempt WHERE id = ?1", [id])?;
        Ok(())
    }

    /// Keeps a judged sample with its pieces.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the attempt.
    pub fn add_sample(
        &self,
        attempt_id: i64,
        custom: SampleCustom,
        at: Timestamp,
        pieces: &[MeasuredPiece],
        verdict: &Verdict,
    ) -> Result<Attempt, StoreError> {
        self.attempt(attempt_id)?;
        self.tx.execute(
            "INSERT INTO sample (attempt_id, custom, taken_at, verdict_json) VALUES (?1, ?2, ?3, ?4)",
            params![attempt_id, to_word(&custom)?, moment(at), to_json(verdict)?],
        )?;
        let sample_id = self.tx.last_insert_rowid();
        let mut statement = self.tx.prepare_cached(
            "INSERT INTO piece (sample_id, position, thickness, width, length, far_width) VALUES (?1, ?2, ?3, ?4, ?5, ?6)",
        )?;
        for (position, piece) in (0i64..).zip(pieces) {
            let side = |side: Option<notch_core::units::Millimetres>| side.map(f64::from);
            let row: [&dyn ToSql; 6] =
                [&sample_id, &position, &piece.thickness.get(), &side(piece.width), &side(piece.length), &side(piece.far_width)];
            statement.execute(row)?;
        }
        self.changed_attempt(attempt_id)?;
        self.attempt(attempt_id)
    }

    /// Takes a sample back: it is kept beside the others and counts no more. Gives the attempt.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if it was taken back already.
    pub fn take_sample_back(&self, id: i64, taken_back: &TakenBack) -> Result<Attempt, StoreError> {
        let attempt_id = self.take_back("sample", "attempt_id", id, taken_back)?;
        self.changed_attempt(attempt_id)?;
        self.attempt(attempt_id)
    }

    /// Takes an incident back: it is kept, with who and why. Gives the lesson that it is of.
    ///
    /// # Errors
    /// [`StoreError::NotFound`]; [`StoreError::Conflict`] if it was taken back already.
    pub fn take_incident_back(&self, id: i64, taken_back: &TakenBack) -> Result<i64, StoreError> {
        self.take_back("incident", "lesson_id", id, taken_back)
    }

    /// Marks a row of a table as taken back; gives what it belongs to.
    pub(crate) fn take_back(&self, what: &'static str, owner: &str, id: i64, taken_back: &TakenBack) -> Result<i64, StoreError> {
        let sql = format!("SELECT {owner}, taken_back_json IS NOT NULL FROM {what} WHERE id = ?1");
        let found = self.tx.query_row(&sql, [id], |row| Ok((row.get(0)?, row.get::<_, bool>(1)?))).optional()?;
        let (owner, already) = found.ok_or(StoreError::NotFound { what, id })?;
        if already {
            return Err(StoreError::Conflict(format!("this {what} was taken back already")));
        }
        let sql = format!("UPDATE {what} SET taken_back_json = ?2 WHERE id = ?1");
        self.tx.execute(&sql, params![id, to_json(taken_back)?])?;
        Ok(owner)
    }

    /// Writes an incident down.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the lesson or the student.
    pub fn add_incident(&self, lesson_id: i64, at: Timestamp, fields: &IncidentFields) -> Result<i64, StoreError> {
        self.lesson(lesson_id)?;
        if let Some(student_id) = fields.student_id {
            self.student(student_id)?;
        }
        self.tx.execute(
            "INSERT INTO incident (lesson_id, student_id, kind, happened_at, words, place, first_aid, aid_by)
             VALUES (?1, ?2, ?3, ?4, ?5, ?6, ?7, ?8)",
            params![
                lesson_id,
                fields.student_id,
                to_word(&fields.kind)?,
                moment(at),
                fields.words.trim(),
                fields.place.trim(),
                fields.first_aid.trim(),
                fields.aid_by.trim()
            ],
        )?;
        Ok(self.tx.last_insert_rowid())
    }
}

/// A moment with a fixed number of digits, so that text order is time order.
pub(crate) fn moment(at: Timestamp) -> String {
    format!("{at:.3}")
}
