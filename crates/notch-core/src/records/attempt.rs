//! An attempt of a student, its marks and its samples; and what went wrong.

use jiff::Timestamp;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::{EdgeState, Knife, Student};
use crate::catalogue::{Strand, Target, Tolerance};
use crate::measure::{SampleCustom, Verdict};
use crate::people::Hand;
use crate::problem::Problem;
use crate::units::Millimetres;

/// What starts an attempt; all that it will be judged by is kept with it.
#[derive(Clone, Debug, PartialEq)]
pub struct NewAttempt {
    /// Student.
    pub student_id: i64,
    /// Lesson.
    pub lesson_id: i64,
    /// Exercise.
    pub exercise_id: i64,
    /// Knife in hand.
    pub knife_id: i64,
    /// Moment of the start.
    pub started_at: Timestamp,
    /// Day by the school's clock.
    pub on_day: Date,
    /// Id of the cut.
    pub cut: String,
    /// Strand that it counts for.
    pub strand: Option<Strand>,
    /// Id of the set of standards on that day.
    pub standard_set: String,
    /// Target sizes on that day.
    pub target: Target,
    /// Tolerance on that day.
    pub tolerance: Tolerance,
    /// Seconds of the reference pace for the set amount, where strokes are counted.
    pub reference_seconds: Option<f64>,
}

/// What the instructor ticks.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AttemptMarks {
    /// Grip was right.
    pub grip_ticked: bool,
    /// Hold was right.
    pub hold_ticked: bool,
    /// Ids of the faults seen.
    pub faults: Vec<String>,
}

/// A judged sample.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Sample {
    /// Id.
    pub id: i64,
    /// Attempt.
    pub attempt_id: i64,
    /// How it was chosen.
    pub custom: SampleCustom,
    /// When it was entered.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub taken_at: Timestamp,
    /// What it showed, by the figures of that day.
    pub verdict: Verdict,
}

/// An attempt as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Attempt {
    /// Id.
    pub id: i64,
    /// Student.
    pub student_id: i64,
    /// Lesson.
    pub lesson_id: i64,
    /// Exercise.
    pub exercise_id: i64,
    /// Knife in hand.
    pub knife_id: i64,
    /// Rises with each change.
    pub version: i64,
    /// Moment of the start.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub started_at: Timestamp,
    /// Moment of the stop; none while it runs.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = DateTime))]
    pub stopped_at: Option<Timestamp>,
    /// Seconds from start to stop; none while it runs.
    pub seconds: Option<f64>,
    /// Day by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub on_day: Date,
    /// Id of the cut.
    pub cut: String,
    /// Strand that it counts for.
    pub strand: Option<Strand>,
    /// Target sizes on that day.
    pub target: Target,
    /// Tolerance on that day.
    pub tolerance: Tolerance,
    /// Seconds of the reference pace for the set amount.
    pub reference_seconds: Option<f64>,
    /// What the instructor ticked.
    pub marks: AttemptMarks,
    /// Samples in the order entered.
    pub samples: Vec<Sample>,
}

/// Kind of incident.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum IncidentKind {
    /// Somebody was cut.
    Nick,
    /// It nearly happened.
    NearMiss,
}

/// What is written down of an incident.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct IncidentFields {
    /// Student, if one was part of it.
    pub student_id: Option<i64>,
    /// Kind.
    pub kind: IncidentKind,
    /// What happened, 1 to 400 characters.
    pub words: String,
}

/// An incident as kept.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Incident {
    /// Id.
    pub id: i64,
    /// Lesson.
    pub lesson_id: i64,
    /// When it was written down.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub happened_at: Timestamp,
    /// Its fields.
    #[serde(flatten)]
    pub fields: IncidentFields,
}

/// Turning, single-bevel, boning and heavy knives come after the last rung of the ladder.
pub fn is_cleared_for_special(student: &Student) -> bool {
    student.fields.clearance >= Millimetres::whole(260)
}

/// Whether this student may start with this knife: sharp, on the rack, within the clearance, for
/// the right hand. Confidence with a small blade comes before a long one, whatever is asked for.
pub fn check_start(student: &Student, knife: &Knife, is_special: bool) -> Vec<Problem> {
    let number = &knife.fields.number;
    let mut problems = Vec::new();
    let mut refuse = |value: String, why: &str, allowed: String| {
        problems.push(Problem::new("/knife_id", "knife", value, why, allowed));
    };
    if knife.archived {
        refuse(format!("no. {number}"), "is no longer on the rack", "a knife on the rack".to_owned());
    }
    if knife.fields.edge_state == EdgeState::Dull {
        refuse(format!("no. {number}"), "failed its edge test and is out until it passes", "a sharp knife".to_owned());
    }
    let clearance = student.fields.clearance;
    if knife.fields.length > clearance {
        let allowed = format!("up to {clearance} mm until the evidence clears more");
        refuse(format!("{} mm", knife.fields.length), "is longer than this student is cleared for", allowed);
    }
    if is_special && !is_cleared_for_special(student) {
        refuse(
            format!("no. {number}"),
            "needs the last clearance (turning, single-bevel, boning, heavy)",
            "a student cleared to 260 mm".to_owned(),
        );
    }
    if knife.fields.hand.is_some_and(|hand| hand != student.fields.hand) {
        let hand = if student.fields.hand == Hand::Left { "left" } else { "right" };
        refuse(format!("no. {number}"), "is ground for the other hand", format!("a knife for the {hand} hand"));
    }
    problems
}
