//! Faults, cautions, and what figures say.

use serde::{Deserialize, Serialize};

use super::FaultPicture;
use crate::text::{Text, marked};

/// How bad a fault is.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FaultSeverity {
    /// Coach when the rest is sound.
    Polish,
    /// Fix before the next piece.
    Hold,
    /// The attempt does not count and the student pauses.
    Stop,
}

/// A fault that an instructor ticks.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fault {
    /// Id, e.g. `loose_grip`.
    pub id: String,
    /// How bad.
    pub severity: FaultSeverity,
    /// What was seen, in a sentence.
    pub name: String,
    /// What is on the button.
    pub short: String,
    /// What to say to the student.
    pub cue: String,
    /// Said on a station card whose cut has few cautions of its own.
    #[serde(default)]
    pub on_card: bool,
    /// Tells of an edge that is no longer sharp.
    #[serde(default)]
    pub of_the_edge: bool,
    /// Its drawing, where it can be told from one.
    #[serde(default)]
    pub picture: Option<FaultPicture>,
    /// Ids of faults that may be seen in its drawing too: neither is offered beside the other.
    #[serde(default, skip_serializing)]
    pub alike: Vec<String>,
}

/// How a caution is marked.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CautionSeverity {
    /// Good to know.
    Note,
    /// Mind it.
    Caution,
    /// Somebody can come to harm.
    Stop,
}

/// A caution shown where a choice is made.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Caution {
    /// Id.
    pub id: String,
    /// How it is marked.
    pub severity: CautionSeverity,
    /// First words, set bold.
    #[serde(deserialize_with = "marked")]
    pub title: Text,
    /// The rest of the sentence.
    #[serde(deserialize_with = "marked")]
    pub text: Text,
    /// To what work it belongs, in a phrase.
    #[serde(deserialize_with = "marked", skip_serializing)]
    pub belongs: Text,
}

/// What figures say, and the cue to say.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Diagnosis {
    /// What is going wrong, for the instructor.
    pub words: String,
    /// The cue, for the student.
    pub cue: String,
}
