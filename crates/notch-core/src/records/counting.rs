//! Before and after a class: ticks on the check sheet, knives out and in, the closing.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

/// A tick on the sheet.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CheckTick {
    /// Id of the item.
    pub item: String,
    /// Who ticked it, 1 to 60 characters.
    pub who: String,
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
}

/// A knife in the count of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CountedKnife {
    /// Id of the knife.
    pub knife_id: i64,
    /// Number on the handle.
    pub number: String,
    /// Label, e.g. `Chef's 200`.
    pub name: String,
    /// When it went out.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub out_at: Timestamp,
    /// When it came in; none while it is out.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = DateTime))]
    pub in_at: Option<Timestamp>,
}

/// How a lesson was closed.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Closing {
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// Who closed it.
    pub who: String,
    /// What happened to knives that were missing; empty if none was.
    pub words: String,
}
