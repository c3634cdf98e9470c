//! Allergies against every food of a lesson, and what is cut instead.

use serde::Serialize;

use super::input::ProduceInput;
use super::needs::Worked;
use crate::catalogue::{Catalogue, Cut, Food, FoodTrait, Nature, Standing};
use crate::records::Student;
use crate::text;
use crate::text::Text;

/// Alternatives that are offered.
const OFFERED: usize = 3;

/// A food that is cut in place of another.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Alternative {
    /// Id of the food.
    pub food: String,
    /// Name.
    pub name: String,
    /// In what it is like the other, in words.
    pub words: Text,
}

/// Students who may not have the food of an exercise.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AllergyCase {
    /// The exercise, by id.
    pub exercise_id: i64,
    /// `Julienne of celery`.
    pub title: String,
    /// The allergens of the food that they named.
    pub allergens: Vec<String>,
    /// Who, by id.
    pub student_ids: Vec<i64>,
    /// Who, by name.
    pub names: Vec<String>,
    /// Foods of similar geometry on which the same cut is taught and that nobody of the class is allergic to.
    pub alternatives: Vec<Alternative>,
    /// The one that is taken, by id.
    pub chosen: Option<String>,
    /// What it means, in words.
    pub words: Text,
}

/// How unlike two foods are to the hand that cuts them: shape, size as they are opened, firmness, what they do.
fn unlike(one: &Food, other: &Food) -> f64 {
    let ratio = |one: f64, other: f64| if one > 0.0 && other > 0.0 { (one / other).ln().abs() } else { 1.0 };
    let opened = |food: &Food| [food.opened.height.get(), food.opened.across.get(), food.opened.length.get()];
    let size: f64 = opened(one).into_iter().zip(opened(other)).map(|(one, other)| ratio(one, other)).sum();
    let kind = std::mem::discriminant(&one.shape) != std::mem::discriminant(&other.shape);
    let differs = |of: FoodTrait| one.is(of) != other.is(of);
    let traits =
        [FoodTrait::Rolls, FoodTrait::Leaves, FoodTrait::RootOn, FoodTrait::Irregular].into_iter().filter(|each| differs(*each));
    size * 0.3
        + f64::from(one.firmness.abs_diff(other.firmness)) * 0.15
        + if kind { 0.5 } else { 0.0 }
        + if one.group == other.group { 0.0 } else { 0.2 }
        + traits.count() as f64 * 0.1
}

/// Foods on which a cut is taught, most like `food` first, that none of the students is allergic to.
pub(super) fn alternatives<'c>(catalogue: &'c Catalogue, students: &[Student], food: &Food, cut: &Cut) -> Vec<&'c Food> {
    let raw = |nature: Nature| matches!(nature, Nature::Produce | Nature::Herb);
    let fits = |other: &&Food| {
        other.id != food.id
            && other.standing(&cut.id) == Standing::Taught
            && raw(other.nature) == raw(food.nature)
            && !students.iter().any(|student| student.fields.may_not_have(other))
    };
    let mut found: Vec<&Food> = catalogue.foods.iter().filter(fits).collect();
    found.sort_by(|one, other| unlike(food, one).total_cmp(&unlike(food, other)));
    found.truncate(OFFERED);
    found
}

/// The cases of a lesson: each exercise with a food that somebody is allergic to.
pub(super) fn cases(input: &ProduceInput<'_>) -> Vec<AllergyCase> {
    let at_hand = input.at_hand;
    input
        .exercises
        .iter()
        .filter_map(|exercise| {
            let fields = &exercise.fields;
            let (food, cut) = (at_hand.catalogue.food(&fields.food)?, at_hand.catalogue.cut(&fields.cut)?);
            let who: Vec<&Student> = at_hand.students.iter().filter(|student| student.fields.may_not_have(food)).collect();
            if who.is_empty() {
                return None;
            }
            let named = |allergen: &&String| who.iter().any(|student| student.fields.is_allergic_to(allergen));
            let allergens: Vec<String> = food.allergens.iter().filter(named).cloned().collect();
            let found = alternatives(at_hand.catalogue, at_hand.students, food, cut);
            let chosen = input.fields.instead_of(exercise.id).and_then(|id| at_hand.catalogue.food(id));
            let names: Vec<String> = who.iter().map(|student| student.fields.name.clone()).collect();
            let words = words(&names, food, cut, chosen, &found);
            Some(AllergyCase {
                exercise_id: exercise.id,
                title: cut.of(&food.name),
                allergens,
                student_ids: who.iter().map(|student| student.id).collect(),
                names,
                alternatives: found.into_iter().map(|other| alternative(food, other)).collect(),
                chosen: chosen.map(|food| food.id.clone()),
                words,
            })
        })
        .collect()
}

fn words(names: &[String], food: &Food, cut: &Cut, chosen: Option<&Food>, found: &[&Food]) -> Text {
    let apart = "own board, knife and cloth, washed before and after; the doctor's word and local rules come first";
    let who = names.join(", ");
    let said = match (chosen, found.first()) {
        (Some(other), _) => format!("{who}: {} instead; {apart}.", crate::words::lower(&cut.of(&other.name))),
        (None, Some(_)) => {
            format!("{who}: no {} is cut, carried or washed by them. Choose what they cut instead; {apart}.", food.name)
        }
        (None, None) => format!(
            "{who}: no other food of the catalogue takes this cut. A dry drill on an empty board, away from the {}; {apart}.",
            food.name
        ),
    };
    text![said]
}

fn alternative(food: &Food, other: &Food) -> Alternative {
    let opened = &other.opened;
    let firm = match other.firmness.cmp(&food.firmness) {
        std::cmp::Ordering::Equal => "as firm",
        std::cmp::Ordering::Greater => "firmer",
        std::cmp::Ordering::Less => "softer",
    };
    let words = text!["Opened it is ", opened.height, " high and ", opened.across, format!(" across, {firm}.")];
    Alternative { food: other.id.clone(), name: other.name.clone(), words }
}

/// What the students of a case cut instead; none if nothing is chosen, or the course does not teach the cut.
pub(super) fn instead<'a>(input: &ProduceInput<'a>, case: &AllergyCase) -> Option<Worked<'a>> {
    let exercise = input.exercises.iter().find(|exercise| exercise.id == case.exercise_id)?;
    let food = input.at_hand.catalogue.food(case.chosen.as_deref()?)?;
    let who = input.at_hand.students.iter().filter(|student| case.student_ids.contains(&student.id)).collect();
    Worked::of(input.at_hand, (exercise.id, &exercise.fields), food, who)
}
