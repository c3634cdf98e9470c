//! What was kept by mistake, and was taken back.

use jiff::Timestamp;
use serde::{Deserialize, Serialize};

use crate::problem::Problem;

/// What is said when something that was kept is taken back.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TakeBack {
    /// Who, 1 to 60 characters.
    pub who: String,
    /// Why, 1 to 200 characters.
    pub why: String,
}

/// Something that was kept by mistake, or twice, and was taken back.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TakenBack {
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// Who and why.
    #[serde(flatten)]
    pub said: TakeBack,
}

impl TakenBack {
    /// What was undone at once, with a touch.
    pub fn undone(at: Timestamp, by: Option<&str>) -> TakenBack {
        let who = by.unwrap_or("this device").to_owned();
        TakenBack { at, said: TakeBack { who, why: "undone".to_owned() } }
    }
}

impl TakeBack {
    /// Every problem in the fields.
    pub fn check(&self) -> Vec<Problem> {
        let who = Problem::unless_text("/who", "Who takes it back", &self.who, 60);
        who.into_iter().chain(Problem::unless_text("/why", "Why", &self.why, 200)).collect()
    }
}
