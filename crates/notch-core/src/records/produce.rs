//! What the instructor says about the food of a lesson.

use serde::{Deserialize, Serialize};

use crate::problem::Problem;

/// Good pieces that each student should end with.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct GoodWanted {
    /// The exercise, by id.
    pub exercise_id: i64,
    /// Good pieces for each student, 1 to 2000.
    pub count: u16,
}

/// Another food for those who may not have the one of an exercise.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Instead {
    /// The exercise, by id.
    pub exercise_id: i64,
    /// Id of the food that they cut.
    pub food: String,
}

/// What becomes of a food at the end of a lesson.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum EndUse {
    /// The class eats it together.
    #[default]
    Eaten,
    /// Each takes their own home.
    TakenHome,
    /// It goes to the kitchen.
    Kitchen,
}

impl EndUse {
    /// In words.
    pub const fn words(self) -> &'static str {
        match self {
            EndUse::Eaten => "eaten together",
            EndUse::TakenHome => "taken home",
            EndUse::Kitchen => "to the kitchen",
        }
    }
}

/// What becomes of one food.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FoodEnd {
    /// Id of the food.
    pub food: String,
    /// What becomes of it.
    pub end: EndUse,
}

/// What the instructor says about the food of a lesson.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ProduceFields {
    /// Exercises of which each student should end with so many good pieces.
    #[serde(default)]
    pub good: Vec<GoodWanted>,
    /// Foods for those with an allergy.
    #[serde(default)]
    pub instead: Vec<Instead>,
    /// Foods that are not eaten together at the end.
    #[serde(default)]
    pub ends: Vec<FoodEnd>,
}

/// Most entries of each kind.
const MOST: usize = 100;

impl ProduceFields {
    /// Good pieces that are wanted of an exercise.
    pub fn good_of(&self, exercise_id: i64) -> Option<u32> {
        self.good.iter().find(|good| good.exercise_id == exercise_id).map(|good| u32::from(good.count))
    }

    /// The food that stands in for the one of an exercise.
    pub fn instead_of(&self, exercise_id: i64) -> Option<&str> {
        self.instead.iter().find(|instead| instead.exercise_id == exercise_id).map(|instead| instead.food.as_str())
    }

    /// What becomes of a food.
    pub fn end_of(&self, food: &str) -> EndUse {
        self.ends.iter().find(|end| end.food == food).map(|end| end.end).unwrap_or_default()
    }

    /// Figures out of range, and more entries than are taken; whether an exercise is one of the lesson, who keeps
    /// them says.
    pub fn check(&self) -> Vec<Problem> {
        let most = |pointer: &str, label: &str, count: usize| {
            (count > MOST).then(|| Problem::new(pointer, label, count, "are too many", format!("up to {MOST}")))
        };
        let lists = [
            most("/good", "Good pieces", self.good.len()),
            most("/instead", "Foods instead", self.instead.len()),
            most("/ends", "What becomes of it", self.ends.len()),
        ];
        let counts = self.good.iter().enumerate().filter_map(|(index, good)| {
            Problem::unless_within(&format!("/good/{index}/count"), "Good pieces for each", i64::from(good.count), 1, 2000)
        });
        lists.into_iter().flatten().chain(counts).collect()
    }

    /// The same with other ids of its exercises; entries whose exercise has none fall away.
    #[must_use]
    pub fn with_ids(&self, exercise: impl Fn(i64) -> Option<i64>) -> ProduceFields {
        let good = self.good.iter().filter_map(|good| Some(GoodWanted { exercise_id: exercise(good.exercise_id)?, ..*good }));
        let instead = self
            .instead
            .iter()
            .filter_map(|each| Some(Instead { exercise_id: exercise(each.exercise_id)?, food: each.food.clone() }));
        ProduceFields { good: good.collect(), instead: instead.collect(), ends: self.ends.clone() }
    }
}
