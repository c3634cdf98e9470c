//! Places of the program in which something is mended, for the button that opens them.

use serde::Serialize;

/// A place of the program.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum MendingPlace {
    /// The lesson on its rule.
    Plan,
    /// The rotation.
    Rotation,
    /// The food.
    Produce,
    /// The knives.
    Rack,
    /// What is due on the rack.
    RackDue,
    /// The count of the knives.
    Count,
    /// The running class.
    Class,
    /// The check sheet.
    CheckSheet,
    /// The course and what its kitchen has.
    SetUp,
}

/// Opens the place in which something is mended.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Opening {
    /// The place.
    pub place: MendingPlace,
    /// The exercise that is opened there, by id.
    pub exercise_id: Option<i64>,
    /// What the button says.
    pub words: String,
}

impl Opening {
    /// Opens a place.
    pub fn of(place: MendingPlace, words: &str) -> Opening {
        Opening { place, exercise_id: None, words: words.to_owned() }
    }

    /// Opens an exercise in the plan.
    pub fn exercise(id: i64, words: &str) -> Opening {
        Opening { exercise_id: Some(id), ..Opening::of(MendingPlace::Plan, words) }
    }
}
