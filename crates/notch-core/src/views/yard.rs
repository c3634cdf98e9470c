//! Where everyone stands.

use jiff::civil::Date;
use serde::Serialize;

use crate::at_hand::AtHand;
use crate::catalogue::Strand;
use crate::progress::{Standing, standing_of};
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
    /// Share of the pieces inside that must be proven for the True notch.
    pub must_prove: f64,
    /// The strand to look at first: that of the next step, or else the most practised.
    pub first_strand: Option<Strand>,
}

fn row(at_hand: &AtHand<'_>, student: &Student, attempts: &[Attempt], today: Date) -> YardRow {
    let mine: Vec<&Attempt> = attempts.iter().filter(|attempt| attempt.student_id == student.id).collect();
    YardRow {
        standing: standing_of(at_hand, student, &mine, today),
        last_seen: mine.iter().map(|attempt| attempt.on_day).max(),
        student: student.clone(),
    }
}

/// All students of a course, by station.
pub fn yard_view(at_hand: &AtHand<'_>, attempts: &[Attempt], today: Date) -> Vec<YardRow> {
    at_hand.students.iter().map(|student| row(at_hand, student, attempts, today)).collect()
}

/// One student with all evidence.
pub fn student_view(
    at_hand: &AtHand<'_>,
    student: &Student,
    attempts: &[Attempt],
    incidents: &[Incident],
    today: Date,
) -> StudentView {
    let mine = attempts.iter().rev().filter(|attempt| attempt.student_id == student.id).cloned().collect();
    let row = row(at_hand, student, attempts, today);
    let strands = &row.standing.strands;
    let of_next = strands.iter().find(|rule| Some(rule.strand) == row.standing.next.strand);
    // Of equally practised strands the first is looked at.
    let most_practised = strands.iter().rev().max_by_key(|rule| rule.attempts);
    StudentView {
        must_prove: at_hand.catalogue.progress.true_wilson,
        first_strand: of_next.or(most_practised).map(|rule| rule.strand),
        row,
        attempts: mine,
        incidents: incidents.iter().filter(|incident| incident.fields.student_id == Some(student.id)).cloned().collect(),
    }
}
