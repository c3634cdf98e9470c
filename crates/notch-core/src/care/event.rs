//! What was done to a knife, as kept.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use super::CareFields;

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
