//! Whether a lesson can begin: one list, worst first, each with its way out.

use serde::Serialize;

use super::check_sheet::{CheckInput, CheckSheet, check_sheet};
use super::opening::{MendingPlace, Opening};
use super::plan::{PlanView, PlannedExercise};
use super::produce::ProduceView;
use super::rotation::{RotationView, RotationWay};
use super::station::ClassInput;
use super::watch::{Seen, watch};
use crate::lesson::WayOut;
use crate::records::{Attempt, EdgeState, Student};
use crate::text;
use crate::text::Text;
use crate::words::{day, lower, of_number, weekday};

/// How bad it is.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ReadyWeight {
    /// The lesson cannot begin like that.
    Stop,
    /// It can, and somebody will miss something.
    Caution,
    /// Still to be done.
    ToDo,
}

/// What it is about.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ReadyAbout {
    /// Minutes.
    Time,
    /// An exercise that is refused today.
    Exercise,
    /// The rotation cannot be, or runs over.
    Rotation,
    /// Too few knives, boards or other things.
    Short,
    /// Students whom no knife fits.
    Hands,
    /// Knives that failed their edge test.
    Dull,
    /// People who watch.
    Watching,
    /// What the boards are made of.
    Boards,
    /// Food.
    Produce,
    /// Allergies.
    Allergy,
    /// What students have not learnt that an exercise stands on.
    Before,
    /// The first-aid box.
    FirstAid,
}

/// What a button does about it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ReadyWay {
    /// Keeps the time rule as it is after this.
    Fit {
        /// The way out.
        way: WayOut,
    },
    /// Has those with the allergy cut another food.
    Instead {
        /// The exercise, by id.
        exercise_id: i64,
        /// Id of the food.
        food: String,
        /// What the button says.
        words: String,
    },
    /// Opens the place in which it is mended.
    Open(Opening),
}

/// One thing that is not as it should be.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ReadyItem {
    /// How bad it is.
    pub weight: ReadyWeight,
    /// What it is about.
    pub about: ReadyAbout,
    /// What is the matter, in one sentence.
    pub words: Text,
    /// Its way out.
    pub way: ReadyWay,
}

/// Whether a lesson can begin.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ReadyView {
    /// The lesson, by id.
    pub lesson_id: i64,
    /// Its title.
    pub title: String,
    /// Rises with each change of the lesson.
    pub version: i64,
    /// What is not as it should be, worst first; empty when all is.
    pub items: Vec<ReadyItem>,
    /// The state in one sentence.
    pub words: String,
}

/// What readiness is worked out from.
#[derive(Clone, Copy, Debug)]
pub struct ReadyInput<'a> {
    /// The class.
    pub class: &'a ClassInput<'a>,
    /// The check sheet's.
    pub check: &'a CheckInput<'a>,
    /// The lesson with its exercises.
    pub plan: &'a PlanView,
    /// Its rotation.
    pub rotation: &'a RotationView,
    /// Its food.
    pub produce: &'a ProduceView,
}

/// Students who want watching, for each person who watches, from which on it is said.
const WATCHED_EACH: usize = 2;

/// Looks through all that a lesson needs.
pub fn ready_view(input: &ReadyInput<'_>) -> ReadyView {
    let sheet = check_sheet(input.check);
    let mut items = Vec::new();
    time(input, &mut items);
    exercises(input, &mut items);
    rotation(input, &mut items);
    knives(input, &sheet, &mut items);
    watching(input, &mut items);
    before(input, &mut items);
    food(input, &mut items);
    of_sheet(input, &sheet, &mut items);
    items.sort_by_key(|item| item.weight);
    let count = |weight: ReadyWeight| items.iter().filter(|item| item.weight == weight).count();
    let words = match (count(ReadyWeight::Stop), count(ReadyWeight::Caution), count(ReadyWeight::ToDo)) {
        (0, 0, 0) => "Ready: nothing is missing.".to_owned(),
        (0, 0, left) => format!("Nothing stands in the way; {} left to do.", of_number(left, "thing", "things")),
        (0, cautions, _) => format!("It can begin; {} to look at.", of_number(cautions, "thing", "things")),
        (stops, ..) => format!("Not ready: {} in the way.", of_number(stops, "thing stands", "things stand")),
    };
    let lesson = &input.plan.lesson;
    let words = if is_over(input) {
        format!("It was on {}. If it is held again: {}", day(lesson.fields.starts_at.date()), lower(&words))
    } else {
        words
    };
    ReadyView { lesson_id: lesson.id, title: lesson.fields.title.clone(), version: lesson.version, items, words }
}

/// Whether the day of the lesson lies behind.
fn is_over(input: &ReadyInput<'_>) -> bool {
    input.plan.lesson.fields.starts_at.date() < input.class.today
}

fn open(place: MendingPlace, words: &str) -> ReadyWay {
    ReadyWay::Open(Opening::of(place, words))
}

fn open_exercise(id: i64, words: &str) -> ReadyWay {
    ReadyWay::Open(Opening::exercise(id, words))
}

fn item(weight: ReadyWeight, about: ReadyAbout, words: Text, way: ReadyWay) -> ReadyItem {
    ReadyItem { weight, about, words, way }
}

fn time(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    let rule = &input.plan.time_rule;
    if rule.over > 0 {
        let first = rule.ways_out.first().cloned();
        let way = first.map_or_else(|| open(MendingPlace::Plan, "Open the time rule"), |way| ReadyWay::Fit { way });
        items.push(item(ReadyWeight::Stop, ReadyAbout::Time, text![rule.words.clone(), "."], way));
    }
    for segment in rule.segments.iter().filter(|segment| segment.short_by > 0) {
        let words = text![format!("{} needs {} min more than it has. {}", segment.name, segment.short_by, segment.basis)];
        items.push(item(ReadyWeight::Caution, ReadyAbout::Time, words, open(MendingPlace::Plan, "Open the time rule")));
    }
}

fn exercises(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    if input.plan.exercises.is_empty() {
        let words = text!["Nothing is cut in this lesson yet."];
        items.push(item(ReadyWeight::Stop, ReadyAbout::Exercise, words, open(MendingPlace::Plan, "Add an exercise")));
    }
    for planned in &input.plan.exercises {
        for problem in &planned.problems {
            let words = text![problem.message.to_string()];
            items.push(item(
                ReadyWeight::Stop,
                ReadyAbout::Exercise,
                words,
                open_exercise(planned.exercise.id, "Change the exercise"),
            ));
        }
    }
}

fn rotation(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    let view = input.rotation;
    let way = || open(MendingPlace::Rotation, "Open the rotation");
    let of_class = input.class.at_hand.class_size() > 0 && !input.plan.exercises.is_empty();
    for words in view.blocked.iter().filter(|_| of_class) {
        items.push(item(ReadyWeight::Stop, ReadyAbout::Rotation, words.clone(), way()));
    }
    if view.over > 0 {
        let words = text![format!("The rounds run {} min beyond the practice.", view.over)];
        items.push(item(ReadyWeight::Caution, ReadyAbout::Rotation, words, way()));
    }
    let allergic = |student: i64, exercise: i64| {
        let cases = input.produce.allergies.iter();
        cases.filter(|case| case.exercise_id == exercise).any(|case| case.student_ids.contains(&student))
    };
    for left in view.left_out.iter().filter(|left| !allergic(left.student_id, left.exercise_id)) {
        let way = match &left.way {
            RotationWay::Open(opening) => ReadyWay::Open(opening.clone()),
            RotationWay::News { .. } => way(),
        };
        items.push(item(ReadyWeight::Stop, ReadyAbout::Hands, left.words.clone(), way));
    }
}

fn knives(input: &ReadyInput<'_>, sheet: &CheckSheet, items: &mut Vec<ReadyItem>) {
    let at_hand = &input.class.at_hand;
    let wanted = |kind: &str| {
        let setups = input.plan.exercises.iter().filter_map(|planned| planned.advice.as_ref()?.setup.as_ref());
        setups.into_iter().any(|setup| setup.knife_type == kind)
    };
    let failed = at_hand.knives.iter().filter(|knife| !knife.archived && knife.fields.edge_state == EdgeState::Dull);
    let dull: Vec<String> =
        failed.filter(|knife| wanted(&knife.fields.knife_type)).map(|knife| format!("no. {}", knife.fields.number)).collect();
    if !dull.is_empty() {
        let failed = format!("Failed the edge test, and nobody gets one: {}.", dull.join(", "));
        let (weight, enough) =
            if sheet.short.is_empty() { (ReadyWeight::ToDo, " There are enough without.") } else { (ReadyWeight::Caution, "") };
        let way = open(MendingPlace::RackDue, "What is due on the rack");
        items.push(item(weight, ReadyAbout::Dull, text![failed, enough], way));
    }
    let course = &at_hand.course.fields;
    if !at_hand.catalogue.care.board_allowed(course.board_material) {
        let name = at_hand.catalogue.care.board_name(course.board_material);
        let words = text![format!("Boards of {name} are never cut on: edges chip and slip.")];
        items.push(item(ReadyWeight::Stop, ReadyAbout::Boards, words, open(MendingPlace::SetUp, "Change the boards")));
    }
}

fn watching(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    let resources = &input.class.at_hand.course.fields.resources;
    let way = || open(MendingPlace::SetUp, "Say who watches");
    let Some(instructors) = resources.instructors else {
        let words = text!["Nobody has said who watches, so the plan has all of them cut at one time."];
        items.push(item(ReadyWeight::Caution, ReadyAbout::Watching, words, way()));
        return;
    };
    let people = usize::from(instructors.people) + resources.assistants.map_or(0, |assistants| usize::from(assistants.people));
    for planned in &input.plan.exercises {
        let wants = |student: &&Student| !watch(input.class, &Seen::of(input.class, student), planned.advice.as_ref()).is_empty();
        let names: Vec<&str> =
            input.class.at_hand.students.iter().filter(wants).map(|student| student.fields.name.as_str()).collect();
        if names.len() > people * WATCHED_EACH
            && let Some(advice) = &planned.advice
        {
            let words = text![format!(
                "{} want watching at {}, and {} watch: {}.",
                names.len(),
                lower(&advice.title),
                people,
                names.join(", ")
            )];
            items.push(item(
                ReadyWeight::Caution,
                ReadyAbout::Watching,
                words,
                open(MendingPlace::Rotation, "Open the rotation"),
            ));
        }
    }
}

/// Students who have not made what an exercise stands on, by name.
fn before(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    let mut earlier: Vec<&str> = Vec::new();
    for planned in &input.plan.exercises {
        let cut = planned.exercise.fields.cut.as_str();
        if let Some(words) = lacking(input, planned, &earlier) {
            let way = open_exercise(planned.exercise.id, "Change the exercise");
            items.push(item(ReadyWeight::Caution, ReadyAbout::Before, words, way));
        }
        earlier.push(cut);
    }
}

fn lacking(input: &ReadyInput<'_>, planned: &PlannedExercise, earlier: &[&str]) -> Option<Text> {
    let catalogue = input.class.at_hand.catalogue;
    let after = &catalogue.draft.technique(&planned.exercise.fields.cut)?.after;
    if after.is_empty() || after.iter().any(|cut| earlier.contains(&cut.as_str())) {
        return None;
    }
    let known = |student: &Student| {
        let made = |attempt: &&Attempt| attempt.student_id == student.id && attempt.stopped_at.is_some();
        let own = planned.exercise.fields.cut.as_str();
        input.class.attempts.iter().filter(made).any(|attempt| attempt.cut == own || after.contains(&attempt.cut))
    };
    let lacks: Vec<&str> = input
        .class
        .at_hand
        .students
        .iter()
        .filter(|student| !known(student))
        .map(|student| student.fields.name.as_str())
        .collect();
    if lacks.is_empty() {
        return None;
    }
    let names = after.iter().filter_map(|id| catalogue.cut(id)).map(|cut| cut.name.as_str()).collect::<Vec<_>>().join(" or ");
    let title = planned.advice.as_ref().map_or_else(String::new, |advice| advice.title.clone());
    Some(text![format!("{title} stands on {names}, which these have not made yet: {}.", lacks.join(", "))])
}

fn food(input: &ReadyInput<'_>, items: &mut Vec<ReadyItem>) {
    let way = || open(MendingPlace::Produce, "Open the food");
    for case in &input.produce.allergies {
        if case.chosen.is_some() {
            items.push(item(ReadyWeight::ToDo, ReadyAbout::Allergy, case.words.clone(), way()));
            continue;
        }
        let first = case.alternatives.first().map(|other| ReadyWay::Instead {
            exercise_id: case.exercise_id,
            food: other.food.clone(),
            words: format!("They cut {} instead", other.name),
        });
        let (weight, way) = first.map_or_else(|| (ReadyWeight::Caution, way()), |instead| (ReadyWeight::Stop, instead));
        items.push(item(weight, ReadyAbout::Allergy, case.words.clone(), way));
    }
    for need in &input.produce.exercises {
        let Some((minutes, to_cut)) = need.minutes_more.zip(need.to_cut) else { continue };
        let words = text![format!(
            "{}: for the good ones that are wanted each cuts {to_cut}, {} longer than the lesson plans.",
            need.title,
            of_number(minutes as usize, "minute", "minutes")
        )];
        let way = open_exercise(need.exercise_id, "Plan for more pieces");
        items.push(item(ReadyWeight::Caution, ReadyAbout::Time, words, way));
    }
    if let Some(cost) = input.produce.order_cost.as_ref().filter(|cost| cost.over) {
        items.push(item(ReadyWeight::Caution, ReadyAbout::Produce, cost.words.clone(), way()));
    }
    if !input.produce.order.is_empty() && !is_over(input) {
        let course = &input.plan.course.fields;
        let comes = super::course_order::delivery_day(input.plan.lesson.fields.starts_at.date(), &course.resources.delivery_days);
        let what: Vec<&str> = input.produce.order.iter().map(|line| line.what.as_str()).collect();
        let comes_in_words = if comes < input.class.today { "Should be here since" } else { "To come" };
        let words = text![format!("{comes_in_words} {}, {}: {}.", weekday(comes), day(comes), what.join(", "))];
        items.push(item(ReadyWeight::ToDo, ReadyAbout::Produce, words, way()));
    }
}

/// What the check sheet is short of, and the first-aid box.
fn of_sheet(input: &ReadyInput<'_>, sheet: &CheckSheet, items: &mut Vec<ReadyItem>) {
    for short in &sheet.short {
        let way = open(MendingPlace::Rotation, "Who takes turns");
        items.push(item(ReadyWeight::Caution, ReadyAbout::Short, text![short.clone()], way));
    }
    let box_there = sheet.items.iter().any(|line| line.id == super::check_sheet::FIRST_AID && line.tick.is_some());
    if !box_there && !is_over(input) {
        let words = text!["Nobody has ticked that the first-aid box is at hand and open."];
        // Before the day it is still to be done; on the day nobody begins without it.
        let today = input.class.today >= input.plan.lesson.fields.starts_at.date();
        let weight = if today { ReadyWeight::Stop } else { ReadyWeight::ToDo };
        items.push(item(weight, ReadyAbout::FirstAid, words, open(MendingPlace::CheckSheet, "Open the check sheet")));
    }
}
