//! How a sample is taken: which pieces, and in which order they are measured.

use serde::{Deserialize, Serialize};

use crate::problem::Problem;

/// How the pieces of a sample were chosen. The two are never compared with each other.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum SampleCustom {
    /// The first ten, taken unseen: the default, and the only evidence for a notch.
    BlindTen,
    /// The student's own choice: flatters, so it is kept and shown but proves nothing.
    BestFour,
}

impl SampleCustom {
    /// The problem with a number of pieces, if it is not what the custom asks for.
    pub fn check_count(self, pieces: usize) -> Option<Problem> {
        let best_four = self == SampleCustom::BestFour && pieces != 4;
        best_four.then(|| Problem::new("/text", "Best four", pieces.to_string(), "pieces were entered", "exactly 4 pieces"))
    }
}

/// In which order the pieces were measured.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PieceOrder {
    /// As they were cut: sizes that drift along the board can be seen.
    #[default]
    AsCut,
    /// In any order: they cannot.
    Mixed,
}

/// How a sample was taken.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct SampleTaking {
    /// How the pieces were chosen.
    pub custom: SampleCustom,
    /// In which order they were measured.
    pub order: PieceOrder,
}

/// Measured in the order they were cut.
impl From<SampleCustom> for SampleTaking {
    fn from(custom: SampleCustom) -> SampleTaking {
        SampleTaking { custom, order: PieceOrder::AsCut }
    }
}
