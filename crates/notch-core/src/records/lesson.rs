//! A lesson of a course.

use jiff::civil::DateTime;
use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};

use super::ProduceFields;
use crate::catalogue::SegmentKind;
use crate::problem::Problem;

/// A stretch of the lesson as it is kept.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StoredSegment {
    /// What it is for.
    pub kind: SegmentKind,
    /// Minutes, 1 to 600.
    pub minutes: u16,
    /// Exercise that is practised in it; only for practice.
    pub exercise_id: Option<i64>,
    /// What the instructor calls it in place of its kind, 1 to 40 characters.
    #[serde(default)]
    pub own_name: Option<String>,
    /// Keeps its minutes when the lesson runs over.
    #[serde(default)]
    pub fixed: bool,
}

impl StoredSegment {
    /// A segment that is called by its kind and can give minutes.
    pub const fn of(kind: SegmentKind, minutes: u16) -> Self {
        Self { kind, minutes, exercise_id: None, own_name: None, fixed: false }
    }

    /// Practice for an exercise.
    pub const fn practice(exercise_id: i64, minutes: u16) -> Self {
        Self { kind: SegmentKind::Practice, minutes, exercise_id: Some(exercise_id), own_name: None, fixed: false }
    }
}

/// What a person edits of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LessonFields {
    /// Title, 1 to 80 characters.
    pub title: String,
    /// Day and time by the school's clock.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date-time", example = "2026-10-06T18:30:00"))]
    pub starts_at: DateTime,
    /// Minutes, 10 to 600.
    pub minutes: u16,
    /// Segments in order.
    pub segments: Vec<StoredSegment>,
}

/// A lesson as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Lesson {
    /// Id.
    pub id: i64,
    /// Course.
    pub course_id: i64,
    /// Number in the course, from 1.
    pub number: u16,
    /// Rises with each change.
    pub version: i64,
    /// What is said about its food.
    #[serde(default)]
    pub produce: ProduceFields,
    /// Its fields.
    #[serde(flatten)]
    pub fields: LessonFields,
}

impl LessonFields {
    /// Problems of the title and date, by the clock of a zone; minutes and segments are checked by laying them out.
    pub fn check(&self, zone: &TimeZone) -> Vec<Problem> {
        let year = self.starts_at.year();
        [
            Problem::unless_text("/title", "Title", &self.title, 80),
            Problem::unless_within("/starts_at", "Day and time", i64::from(year), 2000, 2100),
            crate::zone::is_skipped(zone, self.starts_at).then(|| {
                let why = "is no time that a clock shows: summer time begins over it";
                Problem::new("/starts_at", "Day and time", self.starts_at.to_string(), why, "an hour earlier or later")
            }),
        ]
        .into_iter()
        .flatten()
        .collect()
    }
}
