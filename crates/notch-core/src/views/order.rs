//! What to order for a lesson: the food of all its exercises, each kind once.

use serde::Serialize;

use super::advice::Advice;
use crate::catalogue::{Catalogue, Food, ProduceSize};
use crate::lesson::spare_of;
use crate::records::ExerciseFields;
use crate::text;
use crate::text::Text;

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
    /// What it costs, in the school's own money, where the school has said the price.
    pub cost: Option<f64>,
    /// Statutory allergens in it.
    pub allergens: Vec<String>,
}

/// What an order costs, in the school's own money.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OrderCost {
    /// Of all lines with a price.
    pub cost: f64,
    /// More than it may cost.
    pub over: bool,
    /// In words.
    pub words: Text,
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
    let priced = |mut line: OrderLine| {
        line.cost = catalogue.food(&line.food).and_then(|food| food.cost_of(line.grams));
        line
    };
    lines.into_iter().map(|(_, line)| priced(line)).collect()
}

/// What an order costs; none where no price is known and nothing is said about what it may cost.
pub fn order_cost(lines: &[OrderLine], budget: Option<f64>) -> Option<OrderCost> {
    let cost: f64 = lines.iter().filter_map(|line| line.cost).sum();
    let unpriced: Vec<&str> = lines.iter().filter(|line| line.cost.is_none()).map(|line| line.what.as_str()).collect();
    if lines.is_empty() || budget.is_none() && unpriced.len() == lines.len() {
        return None;
    }
    let may = budget.map_or_else(String::new, |budget| format!("; it may cost {budget:.2}"));
    let mut words = text!["About ", format!("{cost:.2}"), may, "."];
    if !unpriced.is_empty() {
        words.push(format!(" Not counted, since nobody has said the price: {}.", unpriced.join(", ")));
    }
    Some(OrderCost { cost, over: budget.is_some_and(|budget| cost > budget), words })
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
        cost: None,
        allergens: food.allergens.clone(),
    }
}
