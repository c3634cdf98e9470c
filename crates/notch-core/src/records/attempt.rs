//! An attempt of a student, its marks and its samples; and what went wrong.

use jiff::Timestamp;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::mark::{Mark, MarkKind, open_stop};
use super::taken_back::TakenBack;
use crate::catalogue::{Catalogue, FaultSeverity, Strand, Target, Tolerance};
use crate::measure::{SampleCustom, Verdict};
use crate::problem::Problem;

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

/// What the marks of an attempt come to.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AttemptMarks {
    /// Grip was right.
    pub grip_ticked: bool,
    /// Hold was right.
    pub hold_ticked: bool,
    /// Ids of the faults seen, each once.
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
    /// Who took it back; it is kept beside the others and is no evidence.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub taken_back: Option<TakenBack>,
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
    /// Id of the set of standards on that day.
    #[serde(default)]
    pub standard_set: String,
    /// Target sizes on that day.
    pub target: Target,
    /// Tolerance on that day.
    pub tolerance: Tolerance,
    /// Seconds of the reference pace for the set amount.
    pub reference_seconds: Option<f64>,
    /// What the marks come to.
    pub marks: AttemptMarks,
    /// Marks in the order of time, those that were taken back too.
    #[serde(default)]
    pub made: Vec<Mark>,
    /// Samples in the order entered, without those that were taken back.
    pub samples: Vec<Sample>,
    /// Samples that were taken back: kept, and no evidence.
    #[serde(default)]
    pub taken_back: Vec<Sample>,
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
    /// Where in the room, up to 80 characters.
    #[serde(default)]
    pub place: String,
    /// First aid that was given, up to 200 characters.
    #[serde(default)]
    pub first_aid: String,
    /// Who gave it, up to 60 characters.
    #[serde(default)]
    pub aid_by: String,
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
    /// Who took it back: it was written down twice, or did not happen.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub taken_back: Option<TakenBack>,
}

impl Attempt {
    /// The Stop fault that keeps the student from cutting until the instructor clears it.
    pub fn open_stop(&self, catalogue: &Catalogue) -> Option<&Mark> {
        open_stop(&self.made, catalogue)
    }
}

impl IncidentFields {
    /// Every problem in the fields.
    pub fn check(&self) -> Vec<Problem> {
        [
            Problem::unless_text("/words", "What happened", &self.words, 400),
            Problem::unless_short("/place", "Where", &self.place, 80),
            Problem::unless_short("/first_aid", "First aid given", &self.first_aid, 200),
            Problem::unless_short("/aid_by", "By whom", &self.aid_by, 60),
        ]
        .into_iter()
        .flatten()
        .collect()
    }
}

impl AttemptMarks {
    /// What marks come to, without those that were taken back.
    pub fn of(made: &[Mark]) -> AttemptMarks {
        let mut marks = AttemptMarks::default();
        for mark in made.iter().filter(|mark| mark.counts()) {
            match &mark.what {
                MarkKind::Grip => marks.grip_ticked = true,
                MarkKind::Hold => marks.hold_ticked = true,
                MarkKind::Fault { fault } if !marks.faults.contains(fault) => marks.faults.push(fault.clone()),
                MarkKind::Fault { .. } | MarkKind::Praise | MarkKind::Cleared => {}
            }
        }
        marks
    }

    /// The marks that come to this.
    pub fn each(&self) -> impl Iterator<Item = MarkKind> {
        let faults = self.faults.iter().map(|fault| MarkKind::Fault { fault: fault.clone() });
        faults.chain(self.grip_ticked.then_some(MarkKind::Grip)).chain(self.hold_ticked.then_some(MarkKind::Hold))
    }

    /// Faults that the catalogue does not have.
    pub fn check(&self, catalogue: &Catalogue) -> Vec<Problem> {
        let unknown = self.faults.iter().enumerate().filter(|(_, fault)| catalogue.fault(fault).is_none());
        unknown
            .map(|(index, fault)| {
                let pointer = format!("/marks/faults/{index}");
                Problem::new(pointer, "Fault", fault, "is not known", "a fault of the catalogue")
            })
            .collect()
    }

    /// Whether a Stop fault was seen: the attempt does not count, and the student pauses.
    pub fn has_stop(&self, catalogue: &Catalogue) -> bool {
        let severity = |id: &String| catalogue.fault(id).map(|fault| fault.severity);
        self.faults.iter().any(|id| severity(id) == Some(FaultSeverity::Stop))
    }
}
