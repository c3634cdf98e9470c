//! What the rules need to know of a person: the working hand, its size, and the level.

use serde::{Deserialize, Serialize};

use crate::units::Millimetres;

/// The hand that holds the knife.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Hand {
    /// Right-handed.
    Right,
    /// Left-handed.
    Left,
}

impl Hand {
    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            Hand::Right => "right",
            Hand::Left => "left",
        }
    }

    /// The hand on the other side.
    pub const fn other(self) -> Hand {
        match self {
            Hand::Right => Hand::Left,
            Hand::Left => Hand::Right,
        }
    }
}

/// Size of a hand, as asked at the first lesson.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum HandSize {
    /// Small.
    Small,
    /// Medium.
    Medium,
    /// Large.
    Large,
}

impl HandSize {
    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            HandSize::Small => "small",
            HandSize::Medium => "medium",
            HandSize::Large => "large",
        }
    }
}

/// How quick a class or student is at an even rhythm.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Pace {
    /// First months.
    Learner,
    /// Even, not yet quick.
    Improving,
    /// Works to a trained cook's rhythm.
    Trained,
    /// Faster than most need.
    Fast,
}

impl Pace {
    /// Every pace, the slowest first.
    pub const ALL: [Pace; 4] = [Pace::Learner, Pace::Improving, Pace::Trained, Pace::Fast];
}

/// Who the course is for: it decides the hold that is taught first and the longest blade.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum AgeBand {
    /// Grown up, or trainees.
    Adult,
    /// Children with a guardian: confidence first, smaller blades, the bridge.
    Child,
}

impl AgeBand {
    /// The longest blade handed to this age band, whatever the evidence.
    pub const fn longest_blade(self) -> Millimetres {
        match self {
            AgeBand::Adult => Millimetres::whole(400),
            AgeBand::Child => Millimetres::whole(130),
        }
    }
}
