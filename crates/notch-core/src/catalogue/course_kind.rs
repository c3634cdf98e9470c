//! Courses of a known kind: what a new course starts with.

use jiff::civil::Time;
use serde::{Deserialize, Serialize};

use super::{BoardMaterial, Doctrines, NotchKind};
use crate::people::{AgeBand, Pace};
use crate::resources::Resources;
use crate::units::Millimetres;

/// A goal that a course starts with: every student has a notch in a cut by a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KindGoal {
    /// Id of the cut.
    pub cut: String,
    /// The notch.
    pub notch: NotchKind,
    /// Number of the session.
    pub by: u16,
}

/// What a course of a known kind starts with.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseKind {
    /// Id.
    pub id: String,
    /// Name, e.g. `Eight lessons for trainees`.
    pub name: String,
    /// Whom it is for, in a sentence.
    pub text: String,
    /// Name of the course.
    pub course: String,
    /// Sessions, a week apart.
    pub sessions: u16,
    /// When they begin, by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-time"))]
    pub at: Time,
    /// Who it is for.
    pub age_band: AgeBand,
    /// Pace.
    pub pace: Pace,
    /// Id of the set of standards.
    pub standard_set: String,
    /// Id of the tolerance profile.
    pub tolerance: String,
    /// Minutes of a lesson.
    pub lesson_minutes: u16,
    /// Boards.
    pub boards: u16,
    /// What they are made of.
    pub board_material: BoardMaterial,
    /// What else a course of the kind usually has.
    #[serde(default)]
    pub resources: Resources,
    /// Doctrines.
    pub doctrines: Doctrines,
    /// Longest blade of who has no evidence yet.
    pub newcomers: Millimetres,
    /// Goals.
    #[serde(default)]
    pub goals: Vec<KindGoal>,
}
