//! A briefing: a round of Ask me that was kept.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use crate::ask::Answered;

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
