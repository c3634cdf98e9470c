//! What is done with the clock of a lesson.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use crate::lesson::MAX_MINUTES;
use crate::problem::Problem;

/// Most minutes by which a part is made longer at once.
pub const MOST_LONGER: u16 = 60;

/// Other minutes for a part.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PartMinutes {
    /// Index of the part among the lesson's segments.
    pub part: usize,
    /// Minutes, 0 to 600; with none of them it is left out.
    pub minutes: u16,
}

/// A step in the run of a lesson.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(tag = "step", rename_all = "snake_case", deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum RunStep {
    /// The lesson begins with its first part.
    Begin,
    /// Knives down: the clock rests.
    Pause,
    /// The clock goes on.
    GoOn,
    /// The part that runs is over: the next one begins, or the lesson ends.
    Next {
        /// Index of the part that is over.
        part: usize,
    },
    /// The part that runs has more minutes.
    Longer {
        /// Index of the part.
        part: usize,
        /// By so many minutes, 1 to 60.
        minutes: u16,
    },
    /// The part that runs, or parts to come, have other minutes.
    Rest {
        /// Each part that changes.
        parts: Vec<PartMinutes>,
    },
}

/// A step as kept.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct KeptStep {
    /// Id.
    pub id: i64,
    /// When it was done.
    pub at: Timestamp,
    /// What was done.
    pub step: RunStep,
}

/// Why a step does not fit the lesson as it stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq, thiserror::Error)]
pub enum RunRefusal {
    /// It has begun already.
    #[error("the lesson has begun already")]
    Begun,
    /// It has not begun.
    #[error("the lesson has not begun yet")]
    NotBegun,
    /// It is over.
    #[error("the lesson is over")]
    Over,
    /// It has no parts.
    #[error("the lesson has no part: give it some in Plan")]
    NoParts,
    /// The clock rests already.
    #[error("the clock rests already")]
    Resting,
    /// The clock does not rest.
    #[error("the clock does not rest")]
    NotResting,
    /// The part is not the one that runs.
    #[error("another part has begun meanwhile")]
    OtherPart,
    /// The part is over, or there is none.
    #[error("a part that is over keeps its minutes")]
    PartOver,
}

impl RunStep {
    /// Problems of the figures in it.
    pub fn check(&self) -> Vec<Problem> {
        match self {
            RunStep::Begin | RunStep::Pause | RunStep::GoOn | RunStep::Next { .. } => Vec::new(),
            RunStep::Longer { minutes, .. } => {
                Problem::unless_within("/minutes", "Minutes", i64::from(*minutes), 1, i64::from(MOST_LONGER))
                    .into_iter()
                    .collect()
            }
            RunStep::Rest { parts } => parts
                .iter()
                .enumerate()
                .filter_map(|(index, part)| {
                    let pointer = format!("/parts/{index}/minutes");
                    Problem::unless_within(&pointer, "Minutes", i64::from(part.minutes), 0, i64::from(MAX_MINUTES))
                })
                .collect(),
        }
    }
}
