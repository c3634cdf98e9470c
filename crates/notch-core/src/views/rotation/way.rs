//! A small change that frees a rotation, as a button does it.

use serde::Serialize;

use crate::records::RotationFields;
use crate::text::Text;
use crate::views::opening::Opening;

/// A small change that frees a rotation, or a turn of it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum RotationWay {
    /// Other news of the day.
    News {
        /// What the button says.
        words: Text,
        /// The news after it.
        fields: RotationFields,
    },
    /// Opens the place in which it is mended.
    Open(Opening),
}
