//! How Ask me goes, and what tells a blade by its outline.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::{Edge, KnifeType, Profile};
use crate::units::Millimetres;

/// How a round of questions goes.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct AskRules {
    /// Version of the file.
    pub version: u32,
    /// New questions in a round.
    pub questions: usize,
    /// How many others come before a missed one is asked again.
    pub apart: usize,
    /// How long a round is meant to take.
    pub seconds: u32,
    /// Length of the bar that a piece is drawn beside.
    pub bar: Millimetres,
    /// How many times as thick as another a piece must be to be told from it at a glance; above 1.
    pub unlike: f64,
    /// Outlines that are not told apart at a glance.
    pub alike: Vec<Vec<Profile>>,
    /// What tells a blade with teeth, in a sentence.
    pub teeth: String,
    /// What tells a blade by its outline, in a sentence for each.
    pub outlines: BTreeMap<Profile, String>,
}

impl AskRules {
    /// Whether two types are told apart at a glance: by their teeth, or by their outlines.
    pub fn tells_apart(&self, one: &KnifeType, other: &KnifeType) -> bool {
        let toothed = |kind: &KnifeType| kind.edge == Edge::Serrated;
        if toothed(one) != toothed(other) {
            return true;
        }
        let (one, other) = (one.profile, other.profile);
        one != other && !self.alike.iter().any(|group| group.contains(&one) && group.contains(&other))
    }

    /// What tells a type from others, in a sentence.
    pub fn tells(&self, kind: &KnifeType) -> &str {
        let outline = || self.outlines.get(&kind.profile).map_or("", String::as_str);
        if kind.edge == Edge::Serrated { &self.teeth } else { outline() }
    }
}

/// The drawing of a fault.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FaultPicture {
    /// A straight finger under the blade, the knuckle behind it.
    FingerAhead,
    /// A blade that is drawn to the hand which holds the food.
    EdgeToHand,
    /// A hand under a knife that falls off the table.
    HandUnderFalling,
    /// A fist with the blade up.
    BladeUp,
    /// A handle that looks out of a sink.
    KnifeInSink,
    /// A blade that points at the hand which takes it.
    BladeFirst,
    /// A finger along an edge.
    FingerOnEdge,
    /// A board without a cloth, moving.
    BoardMoving,
    /// A round food that rolls under the knife.
    RoundRolling,
    /// A knife straight up over tall food.
    TallTapped,
    /// A knife on a pile, its edge to the cook.
    OnPile,
    /// Fingers that hang in front of a level blade.
    FingersUnderLevel,
    /// An edge that pushes pieces along.
    EdgePushes,
    /// The last stub of a food between fingers and blade.
    LastStub,
}
