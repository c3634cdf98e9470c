//! An exercise of a lesson: a cut of a food, with everything chosen for it.

use serde::{Deserialize, Serialize};

use super::Making;
use crate::catalogue::{Catalogue, Food, Grip, Hold, Motion, Third};
use crate::problem::Problem;
use crate::text::Text;
use crate::units::Millimetres;

/// How much each student cuts.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Amount {
    /// So many finished pieces.
    Pieces {
        /// Pieces for each student.
        count: u16,
    },
    /// So many whole units of food.
    Units {
        /// Units for each student.
        count: u16,
    },
    /// So many grams of cut food.
    Grams {
        /// Grams for each student.
        count: u16,
    },
}

impl Amount {
    /// In words, e.g. `2 carrots`, `40 pieces`.
    pub fn words(self, food: Option<&Food>) -> String {
        match (self, food) {
            (Amount::Units { count: 1 }, Some(food)) => format!("one {}", food.unit),
            (Amount::Units { count }, Some(food)) => format!("{count} {}", food.plural),
            (Amount::Units { count }, None) => count.to_string(),
            (Amount::Pieces { count: 1 }, _) => "one piece".to_owned(),
            (Amount::Pieces { count }, _) => format!("{count} pieces"),
            (Amount::Grams { count }, _) => format!("{count} g"),
        }
    }
}

/// Grams of cut food that one student can be set.
pub(crate) const MOST_GRAMS: u16 = 5000;

/// What a person chooses for an exercise.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ExerciseFields {
    /// Id of the food.
    pub food: String,
    /// Id of the cut.
    pub cut: String,
    /// Id of the knife type.
    pub knife_type: String,
    /// Blade length.
    pub knife_length: Millimetres,
    /// Grip of the knife hand.
    pub grip: Grip,
    /// Hold of the guide hand.
    pub hold: Hold,
    /// Motion.
    pub motion: Motion,
    /// Third of the blade.
    pub third: Third,
    /// How much each student cuts.
    pub amount: Amount,
    /// The instructor's own minutes for each student, 0.5 to 240, in place of the computed ones.
    pub own_minutes: Option<f64>,
    /// How it is made, where that is not the course's usual.
    #[serde(default)]
    pub making: Making,
}

/// A warning that the instructor saw and kept when the exercise was saved.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KeptWarning {
    /// Id of the rule.
    pub rule: String,
    /// Its words on that day.
    pub words: Text,
}

/// An exercise as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Exercise {
    /// Id.
    pub id: i64,
    /// Lesson.
    pub lesson_id: i64,
    /// Rises with each change.
    pub version: i64,
    /// Taken out of the lesson; kept for the attempts that were made.
    pub archived: bool,
    /// Stays where it is when the course is drafted again.
    pub pinned: bool,
    /// Warnings taken over when it was saved.
    pub kept_warnings: Vec<KeptWarning>,
    /// Its fields.
    #[serde(flatten)]
    pub fields: ExerciseFields,
}

impl ExerciseFields {
    /// Problems of ids and figures; whether the choice suits is for the fitting rules.
    pub fn check(&self, catalogue: &Catalogue, standard_set: &str) -> Vec<Problem> {
        let mut problems = self.check_known(catalogue);
        if catalogue.cut(&self.cut).is_some() && catalogue.teaches(standard_set, &self.cut).is_none() {
            let set = catalogue.set(standard_set);
            let taught: Vec<&str> = set.map(|set| set.cuts.keys().map(String::as_str).collect()).unwrap_or_default();
            problems.push(Problem::new("/cut", "Cut", &self.cut, "is not taught by this set of standards", taught.join(", ")));
        }
        problems
    }

    /// Problems of ids and figures, whatever the course teaches by now.
    pub fn check_known(&self, catalogue: &Catalogue) -> Vec<Problem> {
        let mut problems = Vec::new();
        if catalogue.food(&self.food).is_none() {
            problems.push(Problem::new("/food", "Food", &self.food, "is not known", "a food of the catalogue"));
        }
        if catalogue.cut(&self.cut).is_none() {
            problems.push(Problem::new("/cut", "Cut", &self.cut, "is not known", "a cut of the catalogue"));
        }
        if catalogue.knife(&self.knife_type).is_none() {
            problems.push(Problem::new("/knife_type", "Knife", &self.knife_type, "is not known", "a type of the catalogue"));
        }
        problems.extend(check_amount(self.amount, self.own_minutes));
        problems.extend(self.making.check("/making"));
        problems
    }
}

/// Problems of the amount and the instructor's own minutes.
pub(crate) fn check_amount(amount: Amount, own_minutes: Option<f64>) -> Vec<Problem> {
    let count = match amount {
        Amount::Pieces { count } => Problem::unless_within("/amount/count", "Each student cuts", i64::from(count), 1, 2000),
        Amount::Units { count } => Problem::unless_within("/amount/count", "Each student cuts", i64::from(count), 1, 100),
        Amount::Grams { count } => {
            Problem::unless_within("/amount/count", "Each student cuts", i64::from(count), 1, i64::from(MOST_GRAMS))
        }
    };
    let minutes = own_minutes.filter(|minutes| !(0.5..=240.0).contains(minutes)).map(|minutes| {
        Problem::new("/own_minutes", "Your own minutes for each", minutes.to_string(), "are out of range", "0.5 to 240")
    });
    count.into_iter().chain(minutes).collect()
}
