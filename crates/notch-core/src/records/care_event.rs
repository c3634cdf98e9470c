//! What was done to a knife, as kept; and the school's own values, as kept.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use crate::care::CareFields;
use crate::own::OwnValue;

/// A deed of care as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CareEvent {
    /// Id.
    pub id: i64,
    /// Knife.
    pub knife_id: i64,
    /// When it was written down.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub written_at: Timestamp,
    /// Its fields.
    #[serde(flatten)]
    pub fields: CareFields,
}

/// A value of the school's own as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OwnRecord {
    /// Rises with each change.
    pub version: i64,
    /// The value.
    pub value: OwnValue,
}
