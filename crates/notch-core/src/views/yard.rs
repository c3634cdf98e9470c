//! Where everyone stands.

use jiff::civil::Date;
use serde::Serialize;

use super::advice::School;
use super::class::evidence_of;
use crate::progress::{Standing, StandingInput, standing};
use crate::records::{Attempt, Incident, Student};

/// One student of the yard.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct YardRow {
    /// The student.
    pub student: Student,
    /// Notches and what comes next.
    pub standing: Standing,
    /// Day of the latest attempt.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub last_seen: Option<Date>,
}

/// One student with all evidence.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StudentView {
    /// As in the yard.
    #[serde(flatten)]
    pub row: YardRow,
    /// Attempts, the latest first.
    pub attempts: Vec<Attempt>,
    /// Incidents that the student was part of, the latest first.
    pub incidents: Vec<Incident>,
}

/// The standing of one student from the attempts, in the order of time.
pub(super) fn standing_of(school: &School<'_>, student: &Student, attempts: &[&Attempt], today: Date) -> Standing {
    standing(&StandingInput {
        catalogue: school.catalogue,
        standard_set: &school.course.fields.standard_set,
        attempts: &evidence_of(school.catalogue, attempts),
        clearance: student.fields.clearance,
        longest_blade: school.course.fields.age_band.longest_blade(),
        today,
    })
}

fn row(school: &School<'_>, student: &Student, attempts: &[Attempt], today: Date) -> YardRow {
    let mine: Vec<&Attempt> = attempts.iter().filter(|attempt| attempt.student_id == student.id).collect();
    YardRow {
        standing: standing_of(school, student, &mine, today),
        last_seen: mine.iter().map(|attempt| attempt.on_day).max(),
        student: student.clone(),
    }
}

/// All students of a course, by station.
pub fn yard_view(school: &School<'_>, attempts: &[Attempt], today: Date) -> Vec<YardRow> {
    school.students.iter().map(|student| row(school, student, attempts, today)).collect()
}

/// One student with all evidence.
pub fn student_view(
    school: &School<'_>,
    student: &Student,
    attempts: &[Attempt],
    incidents: &[Incident],
    today: Date,
) -> StudentView {
    let mine = attempts.iter().rev().filter(|attempt| attempt.student_id == student.id).cloned().collect();
    StudentView {
        row: row(school, student, attempts, today),
        attempts: mine,
        incidents: incidents.iter().filter(|incident| incident.fields.student_id == Some(student.id)).cloned().collect(),
    }
}
