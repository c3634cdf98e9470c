//! The sharp–dull lesson: the same job with a sharp knife and with a dulled one, by the instructor.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use super::TakenBack;
use crate::catalogue::{Target, Tolerance};

/// What one knife did.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeWork {
    /// Id of the knife.
    pub knife_id: i64,
    /// Its pieces, one a line as they are measured, 3 to 60.
    pub pieces: String,
    /// Strokes that it took, 1 to 2,000.
    pub strokes: u16,
    /// Cut faces that were looked at, 1 to 200.
    pub faces: u16,
    /// Of these, crushed or torn.
    pub crushed: u16,
}

/// What is written down of a demonstration.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DemonstrationFields {
    /// The instructor who held both knives, 1 to 60 characters.
    pub who: String,
    /// Id of the food: a soft one.
    pub food: String,
    /// Id of the cut: one that is taught on it.
    pub cut: String,
    /// The sharp knife.
    pub sharp: KnifeWork,
    /// The dulled practice knife.
    pub dulled: KnifeWork,
}

/// A demonstration as kept, with what it was measured against on that day.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Demonstration {
    /// Id.
    pub id: i64,
    /// Lesson.
    pub lesson_id: i64,
    /// When it was written down.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub shown_at: Timestamp,
    /// Its fields.
    #[serde(flatten)]
    pub fields: DemonstrationFields,
    /// What the pieces were measured against.
    pub against: MeasuredAgainst,
    /// Who took it back; it is kept, and is shown no more.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub taken_back: Option<TakenBack>,
}

/// Sizes of a day.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MeasuredAgainst {
    /// The cut by name, e.g. `Coins of cucumber`.
    pub title: String,
    /// The knives by number and kind, the sharp one first.
    pub knives: [String; 2],
    /// Target sizes.
    pub target: Target,
    /// Tolerance.
    pub tolerance: Tolerance,
}
