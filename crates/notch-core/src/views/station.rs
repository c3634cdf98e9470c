//! A station of the class, and what the class is made from.

use std::collections::BTreeSet;

use jiff::civil::Date;
use serde::Serialize;

use super::plan::PlannedExercise;
use crate::at_hand::AtHand;
use crate::records::{Attempt, Incident, Lesson, Mark, StationPlace, Student};
use crate::text::Text;

/// Why a student wants watching; the gravest first.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum WatchKind {
    /// A Stop fault has closed a strand.
    SafeFirst,
    /// The first time with a blade as long as the planned one.
    FirstLength,
    /// Must not meet this food.
    Allergy,
    /// The planned knife is longer than the clearance.
    ShorterKnife,
}

/// A reason to watch a student.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WatchReason {
    /// Which.
    pub kind: WatchKind,
    /// In a few words.
    pub words: Text,
}

/// A steady beat, one stroke each.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Beat {
    /// Strokes a minute, above 0.
    pub per_minute: f64,
    /// A quicker one is held back until the pieces are even.
    pub held_back: bool,
    /// Which pace it is, and why no quicker one.
    pub words: Text,
}

/// One station with its student.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Station {
    /// The student.
    pub student: Student,
    /// The attempt that runs.
    pub running: Option<Attempt>,
    /// Attempts of this lesson, the latest last; of what was measured, the latest of the shown exercise alone.
    pub attempts: Vec<Attempt>,
    /// The latest attempt has ended, and nothing was measured of it.
    pub unmeasured: bool,
    /// Ids of the knives that this student may be handed, the best for the exercise first.
    pub knives: Vec<i64>,
    /// Why this student wants watching.
    pub watch: Vec<WatchReason>,
    /// The course asks for a passed briefing before the first knife, and this student has none yet.
    pub briefing_due: bool,
    /// The beat to cut to.
    pub beat: Beat,
    /// The Stop fault after which the student waits until the instructor clears it.
    pub stop: Option<Mark>,
}

/// What the class view is made from.
#[derive(Clone, Copy, Debug)]
pub struct ClassInput<'a> {
    /// What the course has at hand.
    pub at_hand: AtHand<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises with their advice.
    pub exercises: &'a [PlannedExercise],
    /// Attempts of the whole course, in the order of time.
    pub attempts: &'a [Attempt],
    /// Incidents of the course.
    pub incidents: &'a [Incident],
    /// Exercise asked for; the first one otherwise.
    pub exercise_id: Option<i64>,
    /// Students of the course who passed a briefing.
    pub briefed: &'a BTreeSet<i64>,
    /// Where the stations stand.
    pub room: &'a [StationPlace],
    /// Day by the school's clock.
    pub today: Date,
}
