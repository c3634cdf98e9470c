//! The sheet that the assistant goes through before a class, and the count of knives at its ends.

use std::collections::{BTreeMap, HashSet};

use jiff::civil::Date;
use serde::Serialize;

use super::advice::{Advice, KnifeChoice};
use super::order::OrderLine;
use super::plan::PlannedExercise;
use super::produce::ProduceView;
use super::rotation::RotationView;
use crate::at_hand::AtHand;
use crate::care::{CareHistory, DueKind, due};
use crate::catalogue::{Catalogue, KnifeType, ProduceSize};
use crate::eligibility::Blade;
use crate::people::Hand;
use crate::problem::Problem;
use crate::records::{CheckTick, Closing, CountedKnife, Knife, Lesson};
use crate::units::Millimetres;
use crate::words::lower;

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
    pub at_hand: AtHand<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises with their advice.
    pub exercises: &'a [PlannedExercise],
    /// Care by id of the knife.
    pub histories: &'a BTreeMap<i64, CareHistory>,
    /// Ticks so far.
    pub ticks: &'a [CheckTick],
    /// The food of the lesson.
    pub produce: &'a ProduceView,
    /// Its rotation.
    pub rotation: &'a RotationView,
}

impl CheckSheet {
    /// The id of a line on the sheet of another lesson, where the exercises have other numbers; none for a line
    /// about an exercise that `other` does not know.
    pub fn line_for(item: &str, other: impl Fn(i64) -> Option<i64>) -> Option<String> {
        let about = item.split_once(':').and_then(|(about, exercise)| LineAbout::of_exercise(about, exercise.parse().ok()?));
        let Some(about) = about else { return Some(item.to_owned()) };
        Some(about.with(other)?.id())
    }

    /// Every problem of a tick for this sheet.
    pub fn check_tick(&self, tick: &CheckTick) -> Vec<Problem> {
        let known = self.items.iter().any(|item| item.id == tick.item);
        let item = (!known).then(|| Problem::new("/item", "Line", &tick.item, "is not on this sheet", "a line of the sheet"));
        item.into_iter().chain(Problem::unless_text("/who", "Who is checking", &tick.who, 60)).collect()
    }
}

/// Id of the line about the first-aid box.
pub(super) const FIRST_AID: &str = "first_aid";

/// What a line is about. Its id is what ticks are kept under, so it is made of ids and figures alone: a
/// label may be renamed.
enum LineAbout<'a> {
    Knives { exercise: i64 },
    Hands { exercise: i64 },
    Edge { task: EdgeTask, knife_type: &'a str, length: Millimetres },
    Food { food: &'a str, size: ProduceSize },
    Thing(&'static str),
}

/// What is done to the edges of a model before class, in the order of the work: what fails its test is
/// not honed for the class.
#[derive(Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
enum EdgeTask {
    Test,
    Hone,
    Stone,
    Send,
}

impl EdgeTask {
    const fn of(due: DueKind) -> EdgeTask {
        match due {
            DueKind::TestToday => EdgeTask::Test,
            DueKind::HoneToday => EdgeTask::Hone,
            DueKind::StoneNow | DueKind::StoneThisWeek => EdgeTask::Stone,
            DueKind::SendOut | DueKind::Failed | DueKind::Away => EdgeTask::Send,
        }
    }

    const fn word(self) -> &'static str {
        match self {
            EdgeTask::Test => "test",
            EdgeTask::Hone => "hone",
            EdgeTask::Stone => "stone",
            EdgeTask::Send => "send",
        }
    }
}

impl LineAbout<'_> {
    /// The line about an exercise that an id begins like.
    fn of_exercise(about: &str, exercise: i64) -> Option<LineAbout<'static>> {
        let lines = [LineAbout::Knives { exercise }, LineAbout::Hands { exercise }];
        let id = format!("{about}:{exercise}");
        lines.into_iter().find(|line| line.id() == id)
    }

    /// The same about the exercise that has another number.
    fn with(self, other: impl Fn(i64) -> Option<i64>) -> Option<Self> {
        Some(match self {
            LineAbout::Knives { exercise } => LineAbout::Knives { exercise: other(exercise)? },
            LineAbout::Hands { exercise } => LineAbout::Hands { exercise: other(exercise)? },
            line => line,
        })
    }

    fn id(&self) -> String {
        match self {
            LineAbout::Knives { exercise } => format!("knives:{exercise}"),
            LineAbout::Hands { exercise } => format!("hands:{exercise}"),
            LineAbout::Edge { task, knife_type, length } => format!("{}:{knife_type}:{}", task.word(), length.get()),
            LineAbout::Food { food, size } => format!("food:{food}:{}", size.word()),
            LineAbout::Thing(id) => (*id).to_owned(),
        }
    }
}

/// Makes the sheet of a lesson.
pub fn check_sheet(input: &CheckInput<'_>) -> CheckSheet {
    let mut items = Vec::new();
    let mut short = Vec::new();
    for planned in input.exercises {
        let Some(advice) = &planned.advice else { continue };
        let item = knives_item(input, planned.exercise.id, advice);
        if item.short > 0 {
            short.push(item.detail.clone());
        }
        items.push(item);
        items.extend(handed_item(input, planned.exercise.id, advice));
    }
    items.extend(edge_items(input, &going_out(input)));
    items.extend(station_items(input));
    items.extend(tools_item(input));
    items.extend(food_items(input));
    let safety = |id: &'static str, title: &str, detail: &str| {
        line(&LineAbout::Thing(id), CheckPart::Safety, title.to_owned(), detail.to_owned())
    };
    items.push(safety(
        FIRST_AID,
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
        disclaimer: input.at_hand.catalogue.disclaimer.clone(),
    }
}

fn line(about: &LineAbout<'_>, part: CheckPart, title: String, detail: String) -> CheckItem {
    CheckItem { id: about.id(), part, title, detail, numbers: Vec::new(), short: 0, tick: None }
}

/// Each food as it is ordered: what several exercises share is laid out once.
fn food_items(input: &CheckInput<'_>) -> Vec<CheckItem> {
    let of_food = |line_of: &OrderLine| {
        let cuts: Vec<String> = line_of.cuts.iter().map(|cut| lower(cut)).collect();
        let units = [(line_of.students, "for students"), (line_of.demonstration, "to show"), (line_of.spare, "to spare")];
        let units: Vec<String> =
            units.iter().filter(|(units, _)| *units > 0).map(|(units, what)| format!("{units} {what}")).collect();
        let detail = format!("For {}. Washed and laid out: {}.", cuts.join(", "), units.join(", "));
        let about = LineAbout::Food { food: &line_of.food, size: line_of.size };
        line(&about, CheckPart::Food, line_of.what.clone(), detail)
    };
    input.produce.order.iter().map(of_food).collect()
}

/// Students who cut at the same time.
fn wanted(input: &CheckInput<'_>) -> u32 {
    input.at_hand.at_once()
}

/// Labels of the knives that fit an exercise, best first, with how many there are of each.
fn fitting(advice: &Advice) -> impl Iterator<Item = &KnifeChoice> {
    advice.knives.iter().filter(|knife| knife.sharp && knife.fit.fits())
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
    CheckItem { short, ..line(&LineAbout::Knives { exercise }, CheckPart::Knives, title, detail) }
}

/// Where the planned knife is ground for one hand: enough of them for each hand.
fn handed_item(input: &CheckInput<'_>, exercise: i64, advice: &Advice) -> Option<CheckItem> {
    let setup = advice.setup.as_ref()?;
    let of_setup =
        |knife: &&Knife| knife.fields.knife_type == setup.knife_type && knife.fields.length.is_about(setup.knife_length);
    let planned: Vec<&Knife> = input.at_hand.knives.iter().filter(of_setup).collect();
    if planned.iter().all(|knife| knife.fields.hand.is_none()) {
        return None;
    }
    let students = |hand: Hand| input.at_hand.students.iter().filter(|student| student.fields.hand == hand).count();
    let kind = input.at_hand.catalogue.knife(&setup.knife_type)?;
    let knives = |hand: Hand| {
        let blade = |knife: &&&Knife| Blade { kind, length: knife.fields.length, hand: knife.fields.hand };
        planned.iter().filter(|knife| blade(knife).hand_barrier(hand).is_none()).count()
    };
    let missing = [Hand::Right, Hand::Left].into_iter().filter(|hand| students(*hand) > 0 && knives(*hand) == 0).count();
    let detail = format!(
        "Right hand: {} for {} students; left hand: {} for {}.",
        knives(Hand::Right),
        students(Hand::Right),
        knives(Hand::Left),
        students(Hand::Left)
    );
    let item = line(&LineAbout::Hands { exercise }, CheckPart::Knives, format!("{} by hand", setup.knife_name), detail);
    Some(CheckItem { short: u32::try_from(missing).unwrap_or(u32::MAX), ..item })
}

/// The knives that go out for a lesson, each once: those that the rotation hands out; where it hands out none, of
/// each exercise the best that fit, as many as are wanted.
fn going_out<'a>(input: &CheckInput<'a>) -> Vec<&'a Knife> {
    let knives = || input.at_hand.knives.iter();
    let handed: Vec<&Knife> =
        knives().filter(|knife| input.rotation.turns.iter().any(|turn| turn.knife_id == knife.id)).collect();
    if !handed.is_empty() {
        return handed;
    }
    let wanted = wanted(input) as usize;
    let advised = || input.exercises.iter().filter_map(|planned| planned.advice.as_ref());
    let numbers: HashSet<&String> =
        advised().flat_map(|advice| fitting(advice).flat_map(|knife| &knife.numbers).take(wanted)).collect();
    knives().filter(|knife| numbers.contains(&knife.fields.number)).collect()
}

/// Tests and honing that are still to do on the day of the lesson, model by model.
fn edge_items(input: &CheckInput<'_>, knives: &[&Knife]) -> Vec<CheckItem> {
    let (catalogue, day): (_, Date) = (input.at_hand.catalogue, input.lesson.fields.starts_at.date());
    let doctrines = &input.at_hand.course.fields.doctrines;
    let none = CareHistory::default();
    // Models in the order of their labels, each with its task.
    let mut found: BTreeMap<(EdgeTask, String), (&KnifeType, Millimetres, Vec<String>)> = BTreeMap::new();
    for knife in knives {
        let Some(kind) = catalogue.knife(&knife.fields.knife_type) else { continue };
        let history = input.histories.get(&knife.id).unwrap_or(&none);
        let length = knife.fields.length;
        for each in due(catalogue, (kind, &knife.fields), history, doctrines, day, true) {
            let model = found.entry((EdgeTask::of(each.what), kind.label(length)));
            model.or_insert_with(|| (kind, length, Vec::new())).2.push(knife.fields.number.clone());
        }
    }
    let of_model = |((task, label), (kind, length, numbers)): ((EdgeTask, String), (&KnifeType, Millimetres, Vec<String>))| {
        let (title, detail) = edge_words(catalogue, task, &label);
        let about = LineAbout::Edge { task, knife_type: &kind.id, length };
        CheckItem { numbers, ..line(&about, CheckPart::Edges, title, detail) }
    };
    found.into_iter().map(of_model).collect()
}

fn edge_words(catalogue: &Catalogue, task: EdgeTask, label: &str) -> (String, String) {
    let (hone, cuts) = (&catalogue.care.hone, catalogue.care.test.paper_cuts);
    match task {
        EdgeTask::Test => (format!("Test {label}"), format!("{cuts} clean cuts in held paper; never a finger along the edge.")),
        EdgeTask::Hone => (
            format!("Hone {label}"),
            format!("{} to {} light strokes a side, heel to tip, at its own angle.", hone.strokes_from, hone.strokes_to),
        ),
        EdgeTask::Stone => (format!("{label}: to the stone"), "Due for the stone; test it before it goes out.".to_owned()),
        EdgeTask::Send => (format!("{label}: replace or send out"), "Test it before it goes out.".to_owned()),
    }
}

/// What is laid out beside the knives: the tools of all exercises, each once.
fn tools_item(input: &CheckInput<'_>) -> Option<CheckItem> {
    let mut names: Vec<String> = Vec::new();
    let mut uses: Vec<String> = Vec::new();
    for tool in input.exercises.iter().filter_map(|planned| planned.advice.as_ref()).flat_map(|advice| &advice.tools) {
        if !names.contains(&tool.name) {
            names.push(tool.name.clone());
            uses.push(format!("{}: {}", crate::words::capital(&tool.name), lower(&tool.does)));
        }
    }
    let title = format!("Laid out: {}", names.join(", "));
    (!names.is_empty()).then(|| line(&LineAbout::Thing("tools"), CheckPart::Stations, title, uses.join(" ")))
}

fn station_items(input: &CheckInput<'_>) -> Vec<CheckItem> {
    let (course, stations) = (&input.at_hand.course.fields, wanted(input));
    let board = input.at_hand.catalogue.care.board_name(course.board_material);
    let size = course.resources.board_size;
    let size = size.map(|size| format!(", {} × {} mm", size.length, size.width)).unwrap_or_default();
    let item = |id: &'static str, title: String, detail: &str| {
        line(&LineAbout::Thing(id), CheckPart::Stations, title, detail.to_owned())
    };
    let boards = item(
        "boards",
        format!("{stations} boards of {board}{size}, anchored"),
        "A damp cloth or rubber feet under each: push it, it must not move.",
    );
    let students = input.at_hand.class_size();
    let missing = students.min(course.resources.watched().unwrap_or(u32::MAX)).saturating_sub(u32::from(course.boards));
    let containers = item("containers", format!("{} containers", stations * 3), "Three a station: raw, ready, waste.");
    let lacking = course.resources.containers.map_or(0, |there| (stations * 3).saturating_sub(u32::from(there)));
    vec![
        CheckItem { short: missing, ..boards },
        item(
            "towels",
            format!("{} damp towels", stations * 2),
            "Two a station: one under the board, one to wipe blade and board.",
        ),
        CheckItem { short: lacking, ..containers },
        item("surfaces", "Clear surfaces, dry floor".to_owned(), "Nothing lies where a knife may fall or a foot may slip."),
    ]
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

/// The numbers of the knives that go out for a lesson.
pub fn proposed_numbers(input: &CheckInput<'_>) -> Vec<String> {
    going_out(input).into_iter().map(|knife| knife.fields.number.clone()).collect()
}

/// What must be said to close a class: a knife that is missing needs words.
pub fn check_closing(count: &KnifeCount, who: &str, words: &str, running: usize) -> Vec<Problem> {
    let mut problems: Vec<Problem> = Problem::unless_text("/who", "Who closes it", who, 60).into_iter().collect();
    if running > 0 {
        problems.push(Problem::new("/attempts", "Attempts", running, "are still running", "stop each attempt first"));
    }
    let missing: Vec<&str> = count.knives.iter().filter(|k| k.in_at.is_none()).map(|k| k.number.as_str()).collect();
    if missing.is_empty() {
        if words.chars().count() > 400 {
            problems.push(Problem::new("/words", "Anything to say", words, "has too many characters", "up to 400 characters"));
        }
    } else if Problem::unless_text("/words", "", words, 400).is_some() {
        let (out, back) = (count.knives.len(), count.knives.len() - missing.len());
        let missing = missing.join(", ");
        let sentence = format!("{out} went out and {back} came in: no. {missing} missing. Count again, or say what happened.");
        let name = "What happened to the missing knife";
        problems.push(Problem::said("/words", name, words, sentence.into(), "1 to 400 characters"));
    }
    problems
}
