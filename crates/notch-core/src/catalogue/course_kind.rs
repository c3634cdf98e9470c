//! Courses of a known kind: what a new course starts with.

use jiff::civil::Time;
use serde::{Deserialize, Serialize};

use super::{BoardMaterial, Doctrines};
use crate::draft::GoalFields;
use crate::people::{AgeBand, Pace};
use crate::records::CourseFields;
use crate::units::Millimetres;

/// What a course of a known kind starts with.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
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
    /// Doctrines.
    pub doctrines: Doctrines,
    /// Longest blade of who has no evidence yet.
    pub newcomers: Millimetres,
    /// Goals.
    #[serde(default)]
    pub goals: Vec<GoalFields>,
}

impl CourseKind {
    /// A course of this kind, of a school, by the clock of a time zone.
    pub fn fields(&self, school: &str, time_zone: &str) -> CourseFields {
        CourseFields {
            name: self.course.clone(),
            school: school.to_owned(),
            place: "kitchen".to_owned(),
            age_band: self.age_band,
            pace: self.pace,
            standard_set: self.standard_set.clone(),
            tolerance: self.tolerance.clone(),
            time_zone: time_zone.to_owned(),
            lesson_minutes: self.lesson_minutes,
            boards: self.boards,
            board_material: self.board_material,
            doctrines: self.doctrines,
        }
    }
}
