//! What the instructor has chosen so far.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Grip, Hold, Motion, Third};
use crate::fitting::KnifeSource;
use crate::records::{Amount, ExerciseFields, Making};
use crate::units::Millimetres;

/// What the instructor has chosen so far; what is missing is proposed.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AdviceChoice {
    /// Id of the food.
    pub food: String,
    /// Id of the cut.
    pub cut: String,
    /// How much each student cuts; the usual where none is given.
    #[serde(default)]
    pub amount: Option<Amount>,
    /// The instructor's own minutes for each student.
    pub own_minutes: Option<f64>,
    /// How it is made, where that is not the course's usual.
    #[serde(default)]
    pub making: Making,
    /// Id of the knife type; goes with the length.
    pub knife_type: Option<String>,
    /// Blade length; goes with the type.
    pub knife_length: Option<Millimetres>,
    /// Motion.
    pub motion: Option<Motion>,
    /// Grip.
    pub grip: Option<Grip>,
    /// Hold.
    pub hold: Option<Hold>,
    /// Third of the blade.
    pub third: Option<Third>,
    /// Which knives are compared.
    #[serde(default)]
    pub knives: KnifeSource,
    /// Id of a student of the course, where the question is about one.
    #[serde(default)]
    pub student: Option<i64>,
}

impl AdviceChoice {
    /// Only a food and a cut, all else to be proposed.
    pub fn asking(food: &str, cut: &str, knives: KnifeSource) -> Self {
        AdviceChoice {
            food: food.to_owned(),
            cut: cut.to_owned(),
            amount: None,
            own_minutes: None,
            making: Making::default(),
            knife_type: None,
            knife_length: None,
            motion: None,
            grip: None,
            hold: None,
            third: None,
            knives,
            student: None,
        }
    }
}

impl From<&ExerciseFields> for AdviceChoice {
    fn from(fields: &ExerciseFields) -> Self {
        AdviceChoice {
            food: fields.food.clone(),
            cut: fields.cut.clone(),
            amount: Some(fields.amount),
            own_minutes: fields.own_minutes,
            making: fields.making,
            knife_type: Some(fields.knife_type.clone()),
            knife_length: Some(fields.knife_length),
            motion: Some(fields.motion),
            grip: Some(fields.grip),
            hold: Some(fields.hold),
            third: Some(fields.third),
            knives: KnifeSource::Rack,
            student: None,
        }
    }
}
