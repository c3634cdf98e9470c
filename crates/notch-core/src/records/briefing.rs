//! A briefing: a round of Ask me that was kept, with what was asked and answered.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

/// What a question is about: enough to ask it again, with other answers beside the right one.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum AskAbout {
    /// Which knife has this outline.
    Outline {
        /// Id of the type.
        knife_type: String,
    },
    /// Which knife for a job, and why not the others.
    Knife {
        /// Id of the food.
        food: String,
        /// Id of the cut.
        cut: String,
    },
    /// What is wrong in a picture.
    Fault {
        /// Id of the fault.
        fault: String,
    },
    /// Which cut has pieces of this size.
    Size {
        /// Id of the cut.
        cut: String,
    },
    /// Which caution belongs to a job.
    Caution {
        /// Id of the food.
        food: String,
        /// Id of the cut.
        cut: String,
        /// Id of the caution.
        caution: String,
    },
}

/// A question that was answered.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Answered {
    /// What it was about.
    pub about: AskAbout,
    /// Id of the answer that was given.
    pub answer: String,
}

/// What is kept of a briefing.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Briefing {
    /// Id; 0 before it is kept.
    #[serde(default)]
    pub id: i64,
    /// When it ended.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// The room was asked, by show of hands; otherwise one student was.
    pub room: bool,
    /// Who was there.
    pub students: Vec<i64>,
    /// New questions that were asked.
    pub asked: u32,
    /// Answered right at once.
    pub right: u32,
    /// All were asked, and what was missed was answered right in the end.
    pub passed: bool,
    /// The answers, in the order in which they were given.
    pub answered: Vec<Answered>,
}
