//! What to order for a lesson: the food of all its exercises, each kind once.

use serde::Serialize;

use crate::catalogue::{Catalogue, Food, ProduceSize};
use crate::lesson::{Parts, spare_of};
use crate::records::Making;
use crate::text;
use crate::text::Text;

/// One food to order.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OrderLine {
    /// Id of the food.
    pub food: String,
    /// Size that is bought.
    pub size: ProduceSize,
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
    /// In how it is sold, where the school has said it, e.g. `5 bags of 1000 g`.
    pub packs: Option<String>,
    /// What it costs, in the school's own money, where the school has said the price; of whole packs.
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

/// What one exercise takes of a food.
#[derive(Clone, Debug)]
pub(super) struct Take<'a> {
    /// The food in the size that is bought.
    pub food: &'a Food,
    /// The size.
    pub size: ProduceSize,
    /// What it is for.
    pub cut: String,
    /// Units, and parts of them, of each student.
    pub parts: &'a Parts,
    /// Whether it is shown: not where it is cut in place of another food.
    pub shown: bool,
}

/// Adds up what the exercises of a lesson take, in the order in which the foods are first cut.
///
/// One food in two sizes is two lines. What one exercise leaves of a student's unit is cut in the next, and one unit
/// is shown for several. What is spare is spare for all exercises with a food together.
pub(super) fn order(catalogue: &Catalogue, takes: &[Take<'_>]) -> Vec<OrderLine> {
    let mut lines: Vec<(&Food, OrderLine)> = Vec::new();
    let of = |line: &OrderLine, shown: bool| -> Vec<&Parts> {
        let same = takes.iter().filter(|take| take.food.id == line.food && take.size == line.size && (take.shown || !shown));
        same.map(|take| take.parts).collect()
    };
    for take in takes {
        let same = |(_, line): &(&Food, OrderLine)| line.food == take.food.id && line.size == take.size;
        let at = lines.iter().position(same).unwrap_or_else(|| {
            lines.push((take.food, empty(take.food, take.size)));
            lines.len() - 1
        });
        let Some((_, line)) = lines.get_mut(at) else { continue };
        line.cuts.push(take.cut.clone());
    }
    let finished = |(food, mut line): (&Food, OrderLine)| {
        line.students = Parts::units(&of(&line, false));
        line.demonstration = Parts::to_show(&of(&line, true));
        line.spare = spare_of(line.students);
        line.total = line.students.saturating_add(line.demonstration).saturating_add(line.spare);
        price(catalogue, food, &mut line);
        line
    };
    lines.into_iter().map(finished).collect()
}

/// Weight, packs, cost and words of a line with so many units.
pub(super) fn price(catalogue: &Catalogue, food: &Food, line: &mut OrderLine) {
    line.grams = f64::from(line.total) * food.grams();
    line.what = units_in_words(food, line.size, line.total);
    let known = catalogue.food(&line.food);
    let mut paid = line.grams;
    if let Some(sold) = known.and_then(|food| food.sold.as_ref()).filter(|sold| sold.grams > 0.0) {
        let packs = (line.grams * (1.0 - 1e-9) / sold.grams).ceil();
        paid = packs * sold.grams;
        let each = if sold.grams < 1000.0 { format!("{:.0} g", sold.grams) } else { format!("{} kg", sold.grams / 1000.0) };
        line.packs = Some(format!("{packs:.0} × {} of {each}", sold.pack));
    }
    line.cost = known.and_then(|food| food.cost_of(paid));
}

/// A food in the size in which it is bought.
pub(super) fn food_of(catalogue: &Catalogue, id: &str, size: ProduceSize) -> Option<Food> {
    let making = Making { produce: size, ..Making::default() };
    catalogue.food(id).map(|food| making.food(food))
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

fn empty(food: &Food, size: ProduceSize) -> OrderLine {
    OrderLine {
        food: food.id.clone(),
        size,
        packs: None,
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
