//! The food of a lesson: what each exercise takes, where it goes, what is cut instead by whom, and what to order.

mod allergies;
mod flow;
mod input;
mod needs;

use serde::Serialize;

use self::allergies::{cases, instead};
use self::flow::{Units, flow};
use self::needs::{Worked, needs, worked};
use super::order::{OrderCost, OrderLine, Take, order, order_cost};
use crate::at_hand::AtHand;
use crate::catalogue::{Food, Standing};
use crate::lesson::Parts;
use crate::problem::Problem;
use crate::records::{Exercise, ProduceFields};
use crate::text;
use crate::words::lower;

pub use self::allergies::{AllergyCase, Alternative};
pub use self::flow::{FlowKind, FlowLink, FlowNode, FoodFlow};
pub use self::input::ProduceInput;
pub use self::needs::{ExerciseNeed, StudentNeed};

/// The food of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ProduceView {
    /// The lesson, by id.
    pub lesson_id: i64,
    /// Rises with each change of the lesson.
    pub version: i64,
    /// What the instructor says about it.
    pub fields: ProduceFields,
    /// What each exercise takes, in the order of the lesson.
    pub exercises: Vec<ExerciseNeed>,
    /// Where each food goes, in the order in which they are first cut.
    pub flows: Vec<FoodFlow>,
    /// Who may not have a food, and what they cut instead.
    pub allergies: Vec<AllergyCase>,
    /// What to order.
    pub order: Vec<OrderLine>,
    /// What that costs; none where nobody has said a price or what it may cost.
    pub order_cost: Option<OrderCost>,
}

/// Works out the food of a lesson.
pub fn produce_view(input: &ProduceInput<'_>) -> ProduceView {
    let all = worked(input);
    let (mut found, fed) = needs(input, &all);
    let allergies = cases(input);
    let of_case = |case: &AllergyCase| {
        let worked = instead(input, case)?;
        let parts = Parts::each(
            worked.students.iter().map(|student| student.id),
            worked.figures.units_each,
            worked.figures.students_per_unit > 1,
        );
        Some(Other { worked, names: case.names.clone(), parts })
    };
    let others: Vec<Other<'_>> = allergies.iter().filter_map(of_case).collect();
    let order = order(input.at_hand.catalogue, &takes(&all, &found, &others));
    let mut flows: Vec<FoodFlow> = Vec::new();
    for line in &order {
        let of = |index: &usize| all.get(*index).is_some_and(|each| each.food.id == line.food && each.size == line.size);
        let exercises: Vec<usize> = (0..all.len()).filter(of).collect();
        let Some(first) = exercises.first().and_then(|index| all.get(*index)) else { continue };
        say_shared(&mut found, &exercises, line);
        let units = Units { students: line.students, demonstration: line.demonstration, spare: line.spare };
        flows.push(flow((&first.food, &line.what, input.fields.end_of(&line.food)), &exercises, (&all, &found, &fed), units));
    }
    ProduceView {
        lesson_id: input.lesson.id,
        version: input.lesson.version,
        fields: input.fields.clone(),
        exercises: found,
        flows,
        allergies,
        order_cost: order_cost(&order, input.at_hand.course.fields.resources.food_budget),
        order,
    }
}

/// Says of exercises with one food that what is left of a student's piece is cut in the next, where the order has fewer
/// for all of them than the exercises have one by one.
fn say_shared(found: &mut [ExerciseNeed], exercises: &[usize], line: &OrderLine) {
    let alone: u32 = exercises.iter().filter_map(|index| found.get(*index)).map(|need| need.units_students).sum();
    if exercises.len() < 2 || alone <= line.students {
        return;
    }
    let titles: Vec<String> = exercises.iter().filter_map(|index| found.get(*index)).map(|need| lower(&need.title)).collect();
    for (at, index) in exercises.iter().enumerate() {
        let others: Vec<&str> = (0..).zip(&titles).filter(|(other, _)| *other != at).map(|(_, title)| title.as_str()).collect();
        if let Some(need) = found.get_mut(*index).filter(|need| need.units_students > 0) {
            let (others, all) = (others.join(", "), line.students);
            need.words.push(text![
                "Shared with ",
                others,
                ": what one leaves is cut in the next, so the order has ",
                all,
                " for all of them."
            ]);
        }
    }
}

/// What students cut in place of a food that they are allergic to.
struct Other<'a> {
    worked: Worked<'a>,
    names: Vec<String>,
    parts: Parts,
}

/// What is taken of each food, exercise by exercise, and what is cut in place of it by whom.
fn takes<'a>(all: &'a [Worked<'_>], found: &'a [ExerciseNeed], others: &'a [Other<'_>]) -> Vec<Take<'a>> {
    let of_class = all.iter().zip(found).map(|(worked, need)| Take {
        food: &worked.food,
        size: worked.size,
        cut: worked.title.clone(),
        parts: &need.parts,
        shown: true,
    });
    let of_others = others.iter().map(|other| Take {
        food: &other.worked.food,
        size: other.worked.size,
        cut: format!("{}, for {}", other.worked.title, other.names.join(", ")),
        parts: &other.parts,
        shown: false,
    });
    of_class.chain(of_others).collect()
}

/// Problems of what an instructor says about the food of a lesson with these exercises.
pub fn check_produce(at_hand: &AtHand<'_>, exercises: &[Exercise], fields: &ProduceFields) -> Vec<Problem> {
    let mut problems = fields.check();
    let of = |id: i64| exercises.iter().find(|exercise| exercise.id == id);
    let unknown = |pointer: String, label: &str, id: i64| {
        of(id).is_none().then(|| Problem::new(pointer, label, id, "is no exercise of this lesson", "one of its exercises"))
    };
    for (index, good) in fields.good.iter().enumerate() {
        problems.extend(unknown(format!("/good/{index}/exercise_id"), "Exercise", good.exercise_id));
    }
    for (index, each) in fields.instead.iter().enumerate() {
        problems.extend(unknown(format!("/instead/{index}/exercise_id"), "Exercise", each.exercise_id));
        let Some(exercise) = of(each.exercise_id) else { continue };
        problems.extend(
            no_stand_in(at_hand, exercise, at_hand.catalogue.food(&each.food))
                .map(|(why, allowed)| Problem::new(format!("/instead/{index}/food"), "Cut instead", &each.food, why, allowed)),
        );
    }
    for (index, end) in fields.ends.iter().enumerate() {
        if at_hand.catalogue.food(&end.food).is_none() {
            problems.push(Problem::new(
                format!("/ends/{index}/food"),
                "Food",
                &end.food,
                "is not known",
                "a food of the catalogue",
            ));
        }
    }
    problems
}

/// Why a food cannot stand in for the one of an exercise, and what could.
fn no_stand_in(at_hand: &AtHand<'_>, exercise: &Exercise, food: Option<&Food>) -> Option<(String, String)> {
    let allowed = "a food on which this cut is taught, and that nobody who cuts it is allergic to".to_owned();
    let Some(food) = food else { return Some(("is not known".to_owned(), allowed)) };
    if food.standing(&exercise.fields.cut) == Standing::No {
        return Some(("does not take this cut".to_owned(), allowed));
    }
    let first = at_hand.catalogue.food(&exercise.fields.food)?;
    let both = |student: &&crate::records::Student| student.fields.may_not_have(first) && student.fields.may_not_have(food);
    let who = at_hand.students.iter().find(both)?;
    Some((format!("is no food for {} either", who.fields.name), allowed))
}
