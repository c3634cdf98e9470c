//! A stretch of the lesson: as it is planned, and in its place on the rule.

use serde::Serialize;

use crate::records::{Amount, StoredSegment};

/// A stretch of the lesson as it is planned, with what is known of its practice.
#[derive(Clone, Debug, PartialEq)]
pub struct PlannedSegment {
    /// As kept.
    pub kept: StoredSegment,
    /// Minutes that its exercise, or the turns at the sinks, need, where that is known.
    pub needs: Option<u16>,
    /// What is practised in it.
    pub practised: Option<Practised>,
}

/// What is practised in a segment.
#[derive(Clone, Debug, PartialEq)]
pub struct Practised {
    /// The exercise in words, e.g. `Julienne of carrot`.
    pub title: String,
    /// What its minutes are made of, in one sentence.
    pub basis: String,
    /// The minutes for each student are the instructor's own.
    pub own_minutes: bool,
    /// Less of it that would still be worth the practice, the most first.
    pub fewer: Vec<Fewer>,
}

/// Less for each student to cut.
#[derive(Clone, Debug, PartialEq)]
pub struct Fewer {
    /// What each cuts then.
    pub amount: Amount,
    /// In words, e.g. `1 carrot in place of 2`.
    pub words: String,
    /// Minutes that the practice needs then.
    pub needs: u16,
}

impl From<StoredSegment> for PlannedSegment {
    fn from(kept: StoredSegment) -> Self {
        Self { kept, needs: None, practised: None }
    }
}

/// A segment in its place on the rule.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SegmentOnRule {
    /// The segment as kept.
    #[serde(flatten)]
    pub kept: StoredSegment,
    /// Minutes that its exercise, or the turns at the sinks, need, where that is known.
    pub needs: Option<u16>,
    /// What the minutes that it needs are made of, in one sentence; empty where nothing is reckoned.
    pub basis: String,
    /// The minutes for each student are the instructor's own, not reckoned from strokes.
    pub own_minutes: bool,
    /// Minutes that it can give when the lesson runs over; 0 if it is fixed, at its least or at what it needs.
    pub gives: u16,
    /// Name, e.g. `Practice`.
    pub name: String,
    /// Name for a narrow segment.
    pub short: String,
    /// Minute at which it starts.
    pub starts: u32,
    /// Minute at which it ends.
    pub ends: u32,
    /// Minutes of it that lie past the end of the lesson.
    pub over: u32,
    /// Minutes that its exercise needs more than it has.
    pub short_by: u32,
}
