//! The rotation of a lesson as it is shown: students against rounds, on the minutes of the lesson.

mod freeing;
mod minutes;
mod room;
mod table;
mod way;
mod words;

pub use table::rotation_table;
pub use way::RotationWay;

use serde::Serialize;

use super::class::knife_name;
use super::station::ClassInput;
use crate::drawing::{SectionDrawing, Silhouette, blade_silhouette};
use crate::lesson::TimeRule;
use crate::problem::Problem;
use crate::records::{AnnouncedTurn, KeptRotation, RotationFields};
use crate::rotation::{Blocked, Rotation, Seat, rotate};
use crate::text::Text;
use room::Room;

/// What a student does who has no turn in a round.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum WaitingWith {
    /// Not there yet.
    ComesLater,
    /// Before the first turn: wash, peel, set the station up.
    Preparing,
    /// Between turns: the next cut on an empty board.
    DryDrill,
    /// After the last turn.
    WashingUp,
}

/// What a student does in a round.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum RotationCell {
    /// Works.
    Work(RotationTurn),
    /// Waits.
    Wait {
        /// With what.
        with: WaitingWith,
        /// The same in words.
        words: Text,
    },
}

/// A student's exercise in its round.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationTurn {
    /// The exercise.
    pub exercise_id: i64,
    /// The knife.
    pub knife_id: i64,
    /// How well it fits, in words; none for a round that is over.
    pub fit_words: Option<String>,
    /// The knife before it would have done, and is laid down all the same.
    pub hand_over: bool,
    /// Held where it is.
    pub pinned: bool,
    /// What was announced instead; none where this is what was announced, or nothing was.
    pub announced: Option<Text>,
    /// The cell in words.
    pub words: Text,
}

/// A student's row.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationRow {
    /// The student.
    pub student_id: i64,
    /// Name.
    pub name: String,
    /// Station.
    pub station: u16,
    /// Not there.
    pub absent: bool,
    /// First round that the student is there for, from 1.
    pub from_round: u16,
    /// One for each round; none for a student who is not there.
    pub cells: Vec<RotationCell>,
}

/// A round.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationRound {
    /// Number, from 1.
    pub number: u16,
    /// Minute of the lesson at which it starts.
    pub starts: u32,
    /// Minute at which it ends, behind the longest turn in it.
    pub ends: u32,
    /// Over.
    pub done: bool,
    /// Students who work in it.
    pub working: u32,
    /// The exercise that all of them do; none where they do several.
    pub exercise_id: Option<i64>,
}

/// An exercise of the rotation.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationExercise {
    /// Id.
    pub id: i64,
    /// `Julienne of carrot`.
    pub title: String,
    /// Minutes of a turn, rounded up.
    pub minutes: u16,
    /// The section of its cut.
    pub section: Option<SectionDrawing>,
}

/// A knife of the rotation.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationKnife {
    /// Id.
    pub id: i64,
    /// Number on the handle.
    pub number: String,
    /// `Flat chef's 210, no. 9`.
    pub name: String,
    /// Its silhouette.
    pub silhouette: Option<Silhouette>,
    /// Out of this lesson.
    pub out: bool,
}

/// A turn that nobody can be given.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LeftOut {
    /// The student.
    pub student_id: i64,
    /// The exercise.
    pub exercise_id: i64,
    /// Who, what, why.
    pub words: Text,
    /// What would free it.
    pub way: RotationWay,
}

/// The rotation of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RotationView {
    /// The lesson.
    pub lesson_id: i64,
    /// Its title.
    pub title: String,
    /// Version of what was announced; 0 while nothing was.
    pub version: i64,
    /// What is known of the day.
    pub fields: RotationFields,
    /// The segments of the lesson, for its rule.
    pub time_rule: TimeRule,
    /// Rounds.
    pub rounds: Vec<RotationRound>,
    /// Students by station, those who are not there last.
    pub rows: Vec<RotationRow>,
    /// Exercises.
    pub exercises: Vec<RotationExercise>,
    /// Knives, those that are used first.
    pub knives: Vec<RotationKnife>,
    /// How many rounds, how long, and why not fewer.
    pub summary: Vec<Text>,
    /// Minutes beyond the practice of the lesson.
    pub over: u32,
    /// What one more knife, board or pair of eyes would save.
    pub savings: Vec<Text>,
    /// Each of the smallest changes that would make it fit; empty where it does.
    pub to_fit: Vec<Text>,
    /// Turns that nobody can be given.
    pub left_out: Vec<LeftOut>,
    /// Why there is no rotation.
    pub blocked: Vec<Text>,
    /// The smallest changes, each of which would free it.
    pub ways: Vec<RotationWay>,
    /// What differs from what was announced.
    pub differences: Vec<Text>,
    /// It is what was announced.
    pub is_announced: bool,
    /// What would be announced.
    pub turns: Vec<AnnouncedTurn>,
}

impl RotationView {
    /// Why it cannot be announced.
    pub fn refusals(&self) -> Vec<Problem> {
        let said = |words: &Text| Problem::said("/pins", "Held turns", self.fields.pins.len(), words.clone(), "fewer of them");
        self.blocked.iter().map(said).collect()
    }
}

/// Works out the rotation of a lesson: anew, or with as little as possible that differs from what was announced.
///
/// A student without a knife that fits, or with an allergy to the food, is left out of that exercise and named; the
/// others rotate.
pub fn rotation_view(input: &ClassInput<'_>, time_rule: TimeRule, kept: &KeptRotation, fields: &RotationFields) -> RotationView {
    let room = Room::of(input, kept, fields);
    let (rotation, blocked) = match rotate(&room.question) {
        Ok(rotation) => (Some(rotation), Vec::new()),
        Err(blocked) => (None, blocked),
    };
    let seats = rotation.as_ref().map(|rotation| rotation.seats.as_slice()).unwrap_or_default();
    let turns = announced_turns(&room, seats);
    let (rounds, over) = minutes::lay_rounds(&room, &time_rule, &turns);
    let practice = minutes::practice(&time_rule);
    View { room: &room, rotation: rotation.as_ref(), blocked: &blocked, turns, rounds, practice, over }.show(time_rule)
}

/// What is shown, before it is put into words.
struct View<'a> {
    room: &'a Room<'a>,
    rotation: Option<&'a Rotation>,
    blocked: &'a [Blocked],
    /// All turns, those of rounds that are over too.
    turns: Vec<AnnouncedTurn>,
    rounds: Vec<RotationRound>,
    /// Stretches of practice.
    practice: Vec<(u32, u32)>,
    over: u32,
}

/// All turns as they would be announced, by round and station.
fn announced_turns(room: &Room<'_>, seats: &[Seat]) -> Vec<AnnouncedTurn> {
    let planned = room.turns.iter().zip(seats).map(|((student, planned), seat)| AnnouncedTurn {
        student_id: room.students[*student].id,
        exercise_id: planned.exercise.id,
        round: room.fields.rounds_done.saturating_add(seat.round as u16).saturating_add(1),
        // A knife that a richer room would have has no id.
        knife_id: room.knives.get(seat.knife).map_or(0, |knife| knife.id),
    });
    let mut turns: Vec<AnnouncedTurn> = room.done.iter().copied().chain(planned).collect();
    let station = |turn: &AnnouncedTurn| room.input.at_hand.student(turn.student_id).map(|student| student.fields.station);
    turns.sort_by_key(|turn| (turn.round, station(turn), turn.student_id));
    turns
}

impl View<'_> {
    fn show(self, time_rule: TimeRule) -> RotationView {
        let room = self.room;
        let input = room.input;
        let announced = &room.kept.announced;
        let differences = self.differences();
        let to_fit = self.to_fit(&time_rule);
        let same = room.kept.version > 0 && room.kept.fields == *room.fields && self.is_what_was_announced();
        RotationView {
            lesson_id: input.lesson.id,
            title: input.lesson.fields.title.clone(),
            version: room.kept.version,
            fields: room.fields.clone(),
            time_rule,
            rows: self.rows(),
            exercises: self.exercises(),
            knives: self.knives(),
            summary: self.summary(),
            savings: self.savings(),
            to_fit,
            left_out: self.left_out(),
            blocked: self.blocked_words(),
            ways: if self.blocked.is_empty() { Vec::new() } else { freeing::ways(room) },
            differences: if announced.is_empty() { Vec::new() } else { differences },
            is_announced: same,
            over: self.over,
            rounds: self.rounds,
            turns: self.turns,
        }
    }

    /// Whether every turn lies where it was announced, and nothing else was.
    fn is_what_was_announced(&self) -> bool {
        let announced = &self.room.kept.announced;
        announced.len() == self.turns.len() && self.turns.iter().all(|turn| announced.contains(turn))
    }

    /// Rows of those who are there, then of those who are not.
    fn rows(&self) -> Vec<RotationRow> {
        let room = self.room;
        let from = |id: i64| room.fields.late.iter().find(|late| late.student_id == id).map_or(1, |late| late.from_round);
        let there = room.students.iter().map(|student| RotationRow {
            student_id: student.id,
            name: student.fields.name.clone(),
            station: student.fields.station,
            absent: false,
            from_round: from(student.id),
            cells: self.cells(student.id, from(student.id)),
        });
        let away = room.input.at_hand.students.iter().filter(|student| room.fields.absent.contains(&student.id));
        let away = away.map(|student| RotationRow {
            student_id: student.id,
            name: student.fields.name.clone(),
            station: student.fields.station,
            absent: true,
            from_round: 1,
            cells: Vec::new(),
        });
        there.chain(away).collect()
    }

    fn cells(&self, student_id: i64, from_round: u16) -> Vec<RotationCell> {
        let own: Vec<&AnnouncedTurn> = self.turns.iter().filter(|turn| turn.student_id == student_id).collect();
        let last = own.last().map_or(0, |turn| turn.round);
        let mut before: Option<&AnnouncedTurn> = None;
        let mut cells = Vec::new();
        for round in &self.rounds {
            if let Some(turn) = own.iter().find(|turn| turn.round == round.number) {
                cells.push(RotationCell::Work(self.work(turn, before)));
                before = Some(turn);
                continue;
            }
            let with = if round.number < from_round {
                WaitingWith::ComesLater
            } else if round.number > last {
                WaitingWith::WashingUp
            } else if before.is_none() {
                WaitingWith::Preparing
            } else {
                WaitingWith::DryDrill
            };
            let next = own.iter().find(|turn| turn.round > round.number);
            cells.push(RotationCell::Wait { with, words: self.wait_words(with, next.map(|turn| turn.exercise_id)) });
        }
        cells
    }

    fn work(&self, turn: &AnnouncedTurn, before: Option<&AnnouncedTurn>) -> RotationTurn {
        let room = self.room;
        let asked = room.turns.iter().zip(&room.question.turns).find(|((student, planned), _)| {
            (room.students[*student].id, planned.exercise.id) == (turn.student_id, turn.exercise_id)
        });
        let place = |id: i64| room.knives.iter().position(|knife| knife.id == id);
        let fit = |id: i64| asked.and_then(|(_, asked)| asked.fit(place(id)?));
        let hand_over = before.is_some_and(|before| before.knife_id != turn.knife_id && fit(before.knife_id).is_some());
        let was = room.kept.announced.iter().find(|was| (was.student_id, was.exercise_id) == (turn.student_id, turn.exercise_id));
        RotationTurn {
            exercise_id: turn.exercise_id,
            knife_id: turn.knife_id,
            fit_words: fit(turn.knife_id).map(|fit| words::of_fit(fit).to_owned()),
            hand_over,
            pinned: asked.is_some_and(|(_, asked)| asked.pin.is_some()),
            announced: was.filter(|was| *was != turn).map(|was| self.was_words(was, turn)),
            words: self.turn_words(turn),
        }
    }

    fn exercises(&self) -> Vec<RotationExercise> {
        let of = self.room.input.exercises.iter();
        of.map(|planned| RotationExercise {
            id: planned.exercise.id,
            title: words::title(planned),
            minutes: room::turn_minutes(self.room.input, planned),
            section: planned.advice.as_ref().and_then(|advice| advice.section.clone()),
        })
        .collect()
    }

    /// Knives that are used, and those that are out; the others of the rack are none of this lesson's.
    fn knives(&self) -> Vec<RotationKnife> {
        let at_hand = self.room.input.at_hand;
        let used = |id: i64| self.turns.iter().any(|turn| turn.knife_id == id);
        let announced = |id: i64| self.room.kept.announced.iter().any(|turn| turn.knife_id == id);
        let out = |id: i64| self.room.fields.knives_out.contains(&id);
        let mut knives: Vec<_> =
            at_hand.knives.iter().filter(|knife| used(knife.id) || announced(knife.id) || out(knife.id)).collect();
        knives.sort_by_key(|knife| (!used(knife.id), knife.id));
        knives
            .into_iter()
            .map(|knife| RotationKnife {
                id: knife.id,
                number: knife.fields.number.clone(),
                name: knife_name(at_hand.catalogue, knife),
                silhouette: at_hand
                    .catalogue
                    .knife(&knife.fields.knife_type)
                    .map(|kind| blade_silhouette(kind, knife.fields.length, knife.fields.heel_height)),
                out: out(knife.id),
            })
            .collect()
    }
}
