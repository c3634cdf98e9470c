//! What to look at before a class is closed: one list, what is open first, to be gone through in two minutes.

use std::collections::BTreeMap;

use serde::Serialize;

use super::check_sheet::KnifeCount;
use super::class::knife_name;
use super::opening::{MendingPlace, Opening};
use super::produce::{FlowKind, FoodFlow, ProduceView};
use super::station::ClassInput;
use crate::care::{CareHistory, due};
use crate::catalogue::FaultSeverity;
use crate::records::{Attempt, Briefing, IncidentKind, Knife, MarkKind};
use crate::text;
use crate::text::{Grams, Name, Text};
use crate::words::{capital, of_number};

/// How it stands; what is open first.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ClosingState {
    /// The class does not end like that.
    Stop,
    /// Still to be done.
    ToDo,
    /// Done.
    Done,
    /// Good to know.
    Note,
}

/// What it is about.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ClosingAbout {
    /// Knives out and in.
    Knives,
    /// Attempts that still run.
    Running,
    /// Stop faults that nobody cleared.
    Paused,
    /// Attempts of which nothing was measured.
    Measuring,
    /// Nicks and near-misses.
    Incident,
    /// Edges to sharpen.
    Edge,
    /// Trimmings, and what becomes of them.
    Scraps,
    /// The briefing.
    Briefing,
    /// What was marked most.
    Marks,
}

/// One thing to look at.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClosingItem {
    /// How it stands.
    pub state: ClosingState,
    /// What it is about.
    pub about: ClosingAbout,
    /// In one sentence.
    pub words: Text,
    /// Students whom a button stops, where attempts still run.
    pub running: Vec<i64>,
    /// The place in which it is looked after.
    pub way: Option<Opening>,
}

/// Everything to look at before a class is closed.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClosingView {
    /// The lesson, by id.
    pub lesson_id: i64,
    /// Its title.
    pub title: String,
    /// It is closed.
    pub closed: bool,
    /// Open things first.
    pub items: Vec<ClosingItem>,
}

/// What a closing is worked out from.
#[derive(Clone, Copy, Debug)]
pub struct ClosingInput<'a> {
    /// The class.
    pub class: &'a ClassInput<'a>,
    /// The count of its knives.
    pub count: &'a KnifeCount,
    /// Its food.
    pub produce: &'a ProduceView,
    /// Care by id of the knife.
    pub histories: &'a BTreeMap<i64, CareHistory>,
    /// Briefings of the lesson.
    pub briefings: &'a [Briefing],
}

/// Works out what to look at.
pub fn closing_view(input: &ClosingInput<'_>) -> ClosingView {
    let lesson = input.class.lesson;
    let attempts: Vec<&Attempt> = input.class.attempts.iter().filter(|attempt| attempt.lesson_id == lesson.id).collect();
    let mut items = knives(input);
    items.extend(unfinished(input, &attempts));
    items.extend(incidents(input));
    items.extend(edges(input, &attempts));
    items.extend(input.produce.flows.iter().flat_map(scraps));
    items.extend(briefing(input));
    items.extend(marks(input, &attempts));
    items.sort_by_key(|item| (item.state, item.about));
    ClosingView { lesson_id: lesson.id, title: lesson.fields.title.clone(), closed: input.count.closed.is_some(), items }
}

impl ClosingItem {
    fn of(state: ClosingState, about: ClosingAbout, words: Text) -> ClosingItem {
        ClosingItem { state, about, words, running: Vec::new(), way: None }
    }

    fn at(self, place: MendingPlace, words: &str) -> ClosingItem {
        ClosingItem { way: Some(Opening::of(place, words)), ..self }
    }
}

fn knives(input: &ClosingInput<'_>) -> Vec<ClosingItem> {
    let count = input.count;
    let out: Vec<String> = count
        .knives
        .iter()
        .filter(|knife| knife.in_at.is_none())
        .map(|knife| format!("{} ({})", knife.number, knife.name))
        .collect();
    let (state, words, button) = if count.knives.is_empty() {
        (ClosingState::ToDo, text!["No knife was counted out: count the rack."], "Count")
    } else if out.is_empty() {
        let all = of_number(count.knives.len(), "knife", "knives");
        (ClosingState::Done, text![capital(&all), " went out, and every one came in."], "See the count")
    } else {
        let missing = out.len();
        let words = text![format!("{missing} of {} not counted in: no. ", count.knives.len()), out.join(", "), "."];
        (ClosingState::Stop, words, "Count in")
    };
    vec![ClosingItem::of(state, ClosingAbout::Knives, words).at(MendingPlace::Count, button)]
}

/// Names of students, each once, in the order of their stations.
fn names(input: &ClosingInput<'_>, ids: &[i64]) -> Text {
    let named = input.class.at_hand.students.iter().filter(|student| ids.contains(&student.id));
    Text::joined(named.map(|student| text![Name(&student.fields.name)]), ", ")
}

fn unfinished(input: &ClosingInput<'_>, attempts: &[&Attempt]) -> Vec<ClosingItem> {
    let catalogue = input.class.at_hand.catalogue;
    let of = |holds: &dyn Fn(&Attempt) -> bool| -> Vec<i64> {
        attempts.iter().filter(|attempt| holds(attempt)).map(|attempt| attempt.student_id).collect()
    };
    let mut items = Vec::new();
    let running = of(&|attempt| attempt.stopped_at.is_none());
    if !running.is_empty() {
        let words = text!["Still cutting: ", names(input, &running), "."];
        items.push(ClosingItem { running, ..ClosingItem::of(ClosingState::Stop, ClosingAbout::Running, words) });
    }
    let paused = of(&|attempt| attempt.open_stop(catalogue).is_some());
    if !paused.is_empty() {
        let words = text!["Paused after a Stop fault, not yet looked at together: ", names(input, &paused), "."];
        let item = ClosingItem::of(ClosingState::ToDo, ClosingAbout::Paused, words);
        items.push(item.at(MendingPlace::Class, "To the stations"));
    }
    // One that ended in a Stop fault does not count: nobody measures it.
    let bare = of(&|attempt| {
        let counts = attempt.stopped_at.is_some() && !attempt.marks.has_stop(catalogue);
        counts && attempt.samples.is_empty() && attempt.target.thickness.is_some()
    });
    if !bare.is_empty() {
        let words = text!["Nothing measured yet of an attempt: ", names(input, &bare), "."];
        let item = ClosingItem::of(ClosingState::ToDo, ClosingAbout::Measuring, words);
        items.push(item.at(MendingPlace::Class, "To the stations"));
    }
    items
}

fn incidents(input: &ClosingInput<'_>) -> Vec<ClosingItem> {
    let here = input.class.incidents.iter().filter(|incident| incident.lesson_id == input.class.lesson.id);
    here.filter(|incident| incident.taken_back.is_none())
        .map(|incident| {
            let fields = &incident.fields;
            let kind = if fields.kind == IncidentKind::Nick { "Nick" } else { "Near-miss" };
            let who = fields.student_id.map(|id| names(input, &[id])).unwrap_or_default();
            let mut words = text![kind];
            if !who.is_empty() {
                words = text![words, ", ", who];
            }
            words = text![words, ": ", fields.words.trim_end_matches('.').to_owned(), "."];
            let aid_open = fields.kind == IncidentKind::Nick && fields.first_aid.trim().is_empty();
            if aid_open {
                words = text![words, " First aid is not written down yet."];
            }
            let state = if aid_open { ClosingState::ToDo } else { ClosingState::Note };
            ClosingItem::of(state, ClosingAbout::Incident, words)
        })
        .collect()
}

/// Knives whose edge was seen to be at fault, and those that are due by wear.
fn edges(input: &ClosingInput<'_>, attempts: &[&Attempt]) -> Vec<ClosingItem> {
    let at_hand = input.class.at_hand;
    let catalogue = at_hand.catalogue;
    let seen = |knife: &Knife| {
        let of_knife = attempts.iter().filter(|attempt| attempt.knife_id == knife.id).flat_map(|attempt| &attempt.made);
        let of_edge =
            |kind: &MarkKind| matches!(kind, MarkKind::Fault { fault } if catalogue.fault(fault).is_some_and(|f| f.of_the_edge));
        of_knife.filter(|mark| mark.counts() && of_edge(&mark.what)).count()
    };
    let used = |knife: &Knife| attempts.iter().any(|attempt| attempt.knife_id == knife.id);
    let mut items = Vec::new();
    for knife in at_hand.knives.iter().filter(|knife| !knife.archived && used(knife)) {
        let times = seen(knife);
        let none = CareHistory::default();
        let history = input.histories.get(&knife.id).unwrap_or(&none);
        let doctrines = &at_hand.course.fields.doctrines;
        let worn = catalogue.knife(&knife.fields.knife_type).and_then(|kind| {
            let all = due(catalogue, (kind, &knife.fields), history, doctrines, input.class.today, false);
            all.into_iter().find(|due| due.what.is_of_the_edge())
        });
        let name = knife_name(catalogue, knife);
        let words = match (times, worn) {
            (0, None) => continue,
            (0, Some(due)) => text![name, ": ", crate::words::lower(&due.title), "."],
            (times, _) => text![
                name,
                ": its edge was marked ",
                of_number(times, "time", "times"),
                ". Test it on paper before it goes back."
            ],
        };
        items.push(ClosingItem::of(ClosingState::ToDo, ClosingAbout::Edge, words).at(MendingPlace::RackDue, "To the edges"));
    }
    items
}

/// What was trimmed off a food, by the plan, and what becomes of it.
fn scraps(flow: &FoodFlow) -> Option<ClosingItem> {
    let node = flow.nodes.iter().find(|node| node.kind == FlowKind::Trimmings)?;
    let words =
        text!["About ", Grams(node.grams), " of trimmings of ", flow.name.clone(), " by the plan: ", node.label.clone(), "."];
    Some(ClosingItem::of(ClosingState::Note, ClosingAbout::Scraps, words))
}

fn briefing(input: &ClosingInput<'_>) -> Option<ClosingItem> {
    let latest = input.briefings.iter().rev().find(|briefing| briefing.room)?;
    let words = text![format!(
        "Briefing of the room: {} of {} right at once{}.",
        latest.right,
        latest.asked,
        if latest.passed { ", passed" } else { ", not passed" }
    )];
    Some(ClosingItem::of(ClosingState::Note, ClosingAbout::Briefing, words))
}

/// How many attempts, how much praise, and the fault that was seen most: the next demonstration.
fn marks(input: &ClosingInput<'_>, attempts: &[&Attempt]) -> Option<ClosingItem> {
    if attempts.is_empty() {
        return None;
    }
    let made = || attempts.iter().flat_map(|attempt| &attempt.made).filter(|mark| mark.counts());
    let mut seen: Vec<(&str, usize)> = Vec::new();
    for mark in made() {
        let MarkKind::Fault { fault } = &mark.what else { continue };
        match seen.iter_mut().find(|(id, _)| id == fault) {
            Some((_, times)) => *times += 1,
            None => seen.push((fault, 1)),
        }
    }
    let catalogue = input.class.at_hand.catalogue;
    // The gravest of those that were seen as often.
    let weight = |id: &str| catalogue.fault(id).map_or(FaultSeverity::Polish, |fault| fault.severity);
    let most = seen.iter().max_by_key(|(id, times)| (*times, weight(id)));
    let praise = made().filter(|mark| mark.what == MarkKind::Praise).count();
    let given = if praise == 0 { "no praise".to_owned() } else { format!("praise {}", of_number(praise, "time", "times")) };
    let mut words = text![of_number(attempts.len(), "attempt", "attempts"), ", ", given].capital();
    words = match most.and_then(|(id, times)| Some((catalogue.fault(id)?, times))) {
        Some((fault, times)) => text![words, "; seen most: ", fault.name.clone(), ", ", of_number(*times, "time", "times"), "."],
        None => text![words, "; no fault was marked."],
    };
    Some(ClosingItem::of(ClosingState::Note, ClosingAbout::Marks, words))
}
