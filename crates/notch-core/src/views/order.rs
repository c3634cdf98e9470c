//! What to order for a lesson: the food of all its exercises, each kind once.

use serde::Serialize;

use super::advice::Advice;
use crate::catalogue::{Catalogue, Food, ProduceSize};
use crate::lesson::spare_of;
use crate::records::ExerciseFields;

/// One food to order.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OrderLine {
    /// Id of the food.
    pub food: String,
    /// What to order, e.g. `5 white cabbages`.
    pub what: String,
    /// The cuts that it is for.
    pub cuts: Vec<String>,
    /// Units for students.
    pub students: u32,
    /// Units for the demonstration.
    pub demonstration: u32,
    /// Spare units.
    pub spare: u32,
    /// Units in all.
    pub total: u32,
    /// Grams as bought.
    pub grams: f64,
    /// Statutory allergens in it.
    pub allergens: Vec<String>,
}

/// A number of units in words, in the size that they are bought; what is bought by weight as its weight.
pub(super) fn units_in_words(food: &Food, size: ProduceSize, units: u32) -> String {
    let of_size = match size {
        ProduceSize::Small => "small ",
        ProduceSize::Medium => "",
        ProduceSize::Large => "large ",
    };
    if food.by_weight {
        return format!("{:.0} g of {of_size}{}", f64::from(units) * food.grams(), food.name);
    }
    format!("{units} {of_size}{}", if units == 1 { &food.unit } else { &food.plural })
}

/// Adds up what the exercises of a lesson take, in the order in which the foods are first cut.
///
/// One food in two sizes is two lines. What is spare is spare for all exercises with a food together.
pub fn order<'a>(catalogue: &Catalogue, exercises: impl Iterator<Item = (&'a ExerciseFields, &'a Advice)>) -> Vec<OrderLine> {
    let mut lines: Vec<(ProduceSize, OrderLine)> = Vec::new();
    for (fields, advice) in exercises {
        let Some(food) = catalogue.food(&fields.food) else { continue };
        let size = fields.making.produce;
        let at = lines.iter().position(|(of_size, line)| *of_size == size && line.food == food.id).unwrap_or_else(|| {
            lines.push((size, empty(food)));
            lines.len() - 1
        });
        let Some((_, line)) = lines.get_mut(at) else { continue };
        let figures = &advice.figures;
        line.cuts.push(advice.title.clone());
        line.students = line.students.saturating_add(figures.units_students);
        line.demonstration = line.demonstration.saturating_add(figures.units_demonstration);
        let before = line.total;
        line.spare = spare_of(line.students);
        line.total = line.students.saturating_add(line.demonstration).saturating_add(line.spare);
        line.grams += f64::from(line.total.saturating_sub(before)) * figures.grams_total / f64::from(figures.units_total.max(1));
        line.what = units_in_words(&fields.making.food(food), size, line.total);
    }
    lines.into_iter().map(|(_, line)| line).collect()
}

fn empty(food: &Food) -> OrderLine {
    OrderLine {
        food: food.id.clone(),
        what: String::new(),
        cuts: Vec::new(),
        students: 0,
        demonstration: 0,
        spare: 0,
        total: 0,
        grams: 0.0,
        allergens: food.allergens.clone(),
    }
}
