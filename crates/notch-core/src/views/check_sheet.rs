//! The sheet that the assistant goes through before a class, and the count of knives at its ends.

use std::collections::BTreeMap;

use jiff::Timestamp;
use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::advice::{Advice, FITS, School};
use super::plan::PlannedExercise;
use crate::care::{CareHistory, DueKind, due};
use crate::people::Hand;
use crate::problem::Problem;
use crate::records::{Knife, Lesson};
use crate::words::lower;

/// A tick on the sheet.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CheckTick {
    /// Id of the item.
    pub item: String,
    /// Who ticked it, 1 to 60 characters.
    pub who: String,
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
}

/// Part of the sheet.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CheckPart {
    /// Enough knives that fit.
    Knives,
    /// Tested and honed.
    Edges,
    /// Boards, towels, containers.
    Stations,
    /// Food.
    Food,
    /// First aid.
    Safety,
}

/// One line of the sheet.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CheckItem {
    /// Id, the same each time the sheet is made.
    pub id: String,
    /// Part of the sheet.
    pub part: CheckPart,
    /// What to see to.
    pub title: String,
    /// How, and why.
    pub detail: String,
    /// Knives that it is about, by number.
    pub numbers: Vec<String>,
    /// How many are missing; 0 where nothing is.
    pub short: u32,
    /// Who ticked it, and when.
    pub tick: Option<CheckTick>,
}

/// The sheet of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CheckSheet {
    /// The lesson.
    pub lesson: Lesson,
    /// Lines in the order of the work.
    pub items: Vec<CheckItem>,
    /// Lines that are ticked.
    pub done: usize,
    /// What the class is short of, in words.
    pub short: Vec<String>,
    /// The limits of the advice, in words.
    pub disclaimer: String,
}

/// What the sheet is made from.
#[derive(Clone, Copy, Debug)]
pub struct CheckInput<'a> {
    /// What the course has at hand.
    pub school: School<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises with their advice.
    pub exercises: &'a [PlannedExercise],
    /// Care by id of the knife.
    pub histories: &'a BTreeMap<i64, CareHistory>,
    /// Ticks so far.
    pub ticks: &'a [CheckTick],
}

impl CheckTick {
    /// Every problem of a tick for this sheet.
    pub fn check(&self, sheet: &CheckSheet) -> Vec<Problem> {
        let known = sheet.items.iter().any(|item| item.id == self.item);
        let item = (!known).then(|| Problem::new("/item", "line", &self.item, "is not on this sheet", "a line of the sheet"));
        item.into_iter().chain(Problem::unless_text("/who", "name", &self.who, 60)).collect()
    }
}

/// Makes the sheet of a lesson.
pub fn check_sheet(input: &CheckInput<'_>) -> CheckSheet {
    let mut items = Vec::new();
    let mut short = Vec::new();
    let mut in_class: Vec<&Knife> = Vec::new();
    for planned in input.exercises {
        let Some(advice) = &planned.advice else { continue };
        let item = knives_item(input, planned.exercise.id, advice);
        if item.short > 0 {
            short.push(item.detail.clone());
        }
        items.push(item);
        items.extend(handed_item(input, planned.exercise.id, advice));
        in_class.extend(taken_out(input, advice));
    }
    in_class.sort_by_key(|knife| knife.id);
    in_class.dedup_by_key(|knife| knife.id);
    items.extend(edge_items(input, &in_class));
    items.extend(station_items(input));
    for planned in input.exercises {
        let Some(advice) = &planned.advice else { continue };
        let food = input.school.catalogue.food(&planned.exercise.fields.food);
        let plural = food.map_or("", |food| food.plural.as_str());
        let figures = &advice.figures;
        items.push(line(
            format!("food:{}", planned.exercise.id),
            CheckPart::Food,
            format!("{} {plural}", figures.units_total),
            format!("For {}: washed, laid out, one to show and {} spare.", lower(&advice.title), figures.units_spare),
        ));
    }
    let safety =
        |id: &str, title: &str, detail: &str| line(id.to_owned(), CheckPart::Safety, title.to_owned(), detail.to_owned());
    items.push(safety(
        "first_aid",
        "First-aid box at hand",
        "Open it: cloths, plasters, gloves; everyone knows where it stands and who the first-aider is.",
    ));
    items.push(safety("count_out", "Knives counted out", "The number that goes out is the number that comes in."));
    for item in &mut items {
        item.tick = input.ticks.iter().find(|tick| tick.item == item.id).cloned();
    }
    CheckSheet {
        lesson: input.lesson.clone(),
        done: items.iter().filter(|item| item.tick.is_some()).count(),
        items,
        short,
        disclaimer: input.school.catalogue.disclaimer.clone(),
    }
}

fn line(id: String, part: CheckPart, title: String, detail: String) -> CheckItem {
    CheckItem { id, part, title, detail, numbers: Vec::new(), short: 0, tick: None }
}

/// Students who cut at the same time: one at each board.
fn wanted(input: &CheckInput<'_>) -> u32 {
    let students = u32::try_from(input.school.students.len()).unwrap_or(u32::MAX);
    students.min(u32::from(input.school.course.fields.boards))
}

/// Labels of the knives that fit an exercise, best first, with how many there are of each.
fn fitting(advice: &Advice) -> impl Iterator<Item = &super::KnifeChoice> {
    advice.knives.iter().filter(|knife| knife.sharp && !knife.fit.refused && knife.fit.score >= FITS)
}

fn knives_item(input: &CheckInput<'_>, exercise: i64, advice: &Advice) -> CheckItem {
    let (wanted, fit) = (wanted(input), advice.knives_that_fit);
    let models: Vec<String> = fitting(advice).map(|knife| format!("{} ×{}", knife.name, knife.numbers.len())).collect();
    let short = wanted.saturating_sub(fit);
    let title = format!("{wanted} knives for {}", lower(&advice.title));
    let detail = if short == 0 {
        format!("{fit} are fit: {}.", models.join(", "))
    } else if fit == 0 {
        format!("No knife on the rack is fit for {}.", lower(&advice.title))
    } else {
        let rounds = advice.figures.rounds;
        format!("Short of {short} for {}: {fit} fit ({}), {rounds} rounds in turns.", lower(&advice.title), models.join(", "))
    };
    CheckItem { short, ..line(format!("knives:{exercise}"), CheckPart::Knives, title, detail) }
}

/// Where the planned knife is ground for one hand: enough of them for each hand.
fn handed_item(input: &CheckInput<'_>, exercise: i64, advice: &Advice) -> Option<CheckItem> {
    let setup = advice.setup.as_ref()?;
    let of_setup = |knife: &&Knife| {
        knife.fields.knife_type == setup.knife_type && (knife.fields.length.get() - setup.knife_length.get()).abs() < 0.05
    };
    let planned: Vec<&Knife> = input.school.knives.iter().filter(of_setup).collect();
    if planned.iter().all(|knife| knife.fields.hand.is_none()) {
        return None;
    }
    let students = |hand: Hand| input.school.students.iter().filter(|s| s.fields.hand == hand).count();
    let knives = |hand: Hand| planned.iter().filter(|k| k.fields.hand.is_none_or(|ground| ground == hand)).count();
    let missing = [Hand::Right, Hand::Left].into_iter().filter(|hand| students(*hand) > 0 && knives(*hand) == 0).count();
    let detail = format!(
        "Right hand: {} for {} students; left hand: {} for {}.",
        knives(Hand::Right),
        students(Hand::Right),
        knives(Hand::Left),
        students(Hand::Left)
    );
    let item = line(format!("hands:{exercise}"), CheckPart::Knives, format!("{} by hand", setup.knife_name), detail);
    Some(CheckItem { short: u32::try_from(missing).unwrap_or(u32::MAX), ..item })
}

/// The knives that go out for an exercise: the best that fit, as many as are wanted.
fn taken_out<'a>(input: &CheckInput<'a>, advice: &Advice) -> Vec<&'a Knife> {
    let numbers: Vec<&String> = fitting(advice).flat_map(|knife| &knife.numbers).take(wanted(input) as usize).collect();
    input.school.knives.iter().filter(|knife| numbers.contains(&&knife.fields.number)).collect()
}

/// Tests and honing that are still to do on the day of the lesson, model by model.
fn edge_items(input: &CheckInput<'_>, knives: &[&Knife]) -> Vec<CheckItem> {
    let (catalogue, day): (_, Date) = (input.school.catalogue, input.lesson.fields.starts_at.date());
    let none = CareHistory::default();
    let mut found: BTreeMap<(DueKind, String), Vec<String>> = BTreeMap::new();
    for knife in knives {
        let Some(kind) = catalogue.knife(&knife.fields.knife_type) else { continue };
        let history = input.histories.get(&knife.id).unwrap_or(&none);
        let label = super::advice::label(kind, knife.fields.length);
        for each in due(catalogue, (kind, &knife.fields), history, &input.school.course.fields.schools, day, true) {
            found.entry((each.what, label.clone())).or_default().push(knife.fields.number.clone());
        }
    }
    let strokes = (catalogue.care.hone.strokes_from, catalogue.care.hone.strokes_to);
    let cuts = catalogue.care.test.paper_cuts;
    let item = |((what, label), numbers): ((DueKind, String), Vec<String>)| {
        let (word, title, detail) = match what {
            DueKind::TestToday => {
                ("test", format!("Test {label}"), format!("{cuts} clean cuts in held paper; never a finger along the edge."))
            }
            DueKind::HoneToday => (
                "hone",
                format!("Hone {label}"),
                format!("{} to {} light strokes a side, heel to tip, at its own angle.", strokes.0, strokes.1),
            ),
            DueKind::StoneNow | DueKind::StoneThisWeek => {
                ("stone", format!("{label}: to the stone"), "Due for the stone; test it before it goes out.".to_owned())
            }
            DueKind::SendOut | DueKind::Failed | DueKind::Away => {
                ("send", format!("{label}: replace or send out"), "Test it before it goes out.".to_owned())
            }
        };
        CheckItem { numbers, ..line(format!("{word}:{label}"), CheckPart::Edges, title, detail) }
    };
    // Tests come before honing: what fails is not honed for the class.
    let mut items: Vec<CheckItem> = found.into_iter().map(item).collect();
    items.sort_by_key(|item| (!item.id.starts_with("test"), item.id.starts_with("hone")));
    items
}

fn station_items(input: &CheckInput<'_>) -> Vec<CheckItem> {
    let (course, stations) = (&input.school.course.fields, wanted(input));
    let board = input.school.catalogue.care.board_name(course.board_material);
    let item = |id: &str, title: String, detail: &str| line(id.to_owned(), CheckPart::Stations, title, detail.to_owned());
    let boards = item(
        "boards",
        format!("{stations} boards of {board}, anchored"),
        "A damp cloth or rubber feet under each: push it, it must not move.",
    );
    let missing = u32::try_from(input.school.students.len()).unwrap_or(u32::MAX).saturating_sub(u32::from(course.boards));
    vec![
        CheckItem { short: missing, ..boards },
        item(
            "towels",
            format!("{} damp towels", stations * 2),
            "Two a station: one under the board, one to wipe blade and board.",
        ),
        item("containers", format!("{} containers", stations * 3), "Three a station: raw, ready, waste."),
        item("surfaces", "Clear surfaces, dry floor".to_owned(), "Nothing lies where a knife may fall or a foot may slip."),
    ]
}

/// A knife in the count of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CountedKnife {
    /// Id of the knife.
    pub knife_id: i64,
    /// Number on the handle.
    pub number: String,
    /// Label, e.g. `Chef's 200`.
    pub name: String,
    /// When it went out.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub out_at: Timestamp,
    /// When it came in; none while it is out.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = DateTime))]
    pub in_at: Option<Timestamp>,
}

/// How a lesson was closed.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Closing {
    /// When.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// Who closed it.
    pub who: String,
    /// What happened to knives that were missing; empty if none was.
    pub words: String,
}

/// The count of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeCount {
    /// The lesson.
    pub lesson: Lesson,
    /// Knives that went out, by number.
    pub knives: Vec<CountedKnife>,
    /// Knives that are still out.
    pub missing: usize,
    /// Numbers that the check sheet would take out, to start with.
    pub proposed: Vec<String>,
    /// How the class was closed; none while it is open.
    pub closed: Option<Closing>,
}

/// The numbers that go out for a lesson: of each exercise the best that fit, as many as are wanted.
pub fn proposed_numbers(input: &CheckInput<'_>) -> Vec<String> {
    let mut knives: Vec<&Knife> = input
        .exercises
        .iter()
        .filter_map(|planned| planned.advice.as_ref())
        .flat_map(|advice| taken_out(input, advice))
        .collect();
    knives.sort_by_key(|knife| knife.id);
    knives.dedup_by_key(|knife| knife.id);
    knives.into_iter().map(|knife| knife.fields.number.clone()).collect()
}

/// What must be said to close a class: a knife that is missing needs words.
pub fn check_closing(count: &KnifeCount, who: &str, words: &str, running: usize) -> Vec<Problem> {
    let mut problems: Vec<Problem> = Problem::unless_text("/who", "name", who, 60).into_iter().collect();
    if running > 0 {
        problems.push(Problem::new("/attempts", "attempts", running, "are still running", "stop each attempt first"));
    }
    let missing: Vec<&str> = count.knives.iter().filter(|k| k.in_at.is_none()).map(|k| k.number.as_str()).collect();
    if missing.is_empty() {
        if words.chars().count() > 400 {
            problems.push(Problem::new("/words", "words", words, "are too many", "up to 400 characters"));
        }
    } else if let Some(wrong) = Problem::unless_text("/words", "what happened", words, 400) {
        let (out, back) = (count.knives.len(), count.knives.len() - missing.len());
        problems.push(Problem {
            message: format!(
                "{out} went out and {back} came in: no. {} missing. Count again, or say what happened.",
                missing.join(", ")
            ),
            ..wrong
        });
    }
    problems
}
