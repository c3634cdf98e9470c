//! What would free a rotation that cannot be, and make one fit that is too long: the smallest changes.

use super::View;
use super::room::Room;
use super::way::RotationWay;
use crate::lesson::TimeRule;
use crate::records::{PinnedTurn, RotationFields};
use crate::rotation::{BoundBy, Question, Turn, can_rotate, least_rounds, rotate};
use crate::text;
use crate::text::{Name, Text};
use crate::views::opening::{MendingPlace, Opening};
use crate::words::{lower, of_number};

/// Ways that are offered, at most.
const WAYS: usize = 3;

/// Rounds before and behind the one in which a turn is held that are tried instead.
const MOVED_BY: u16 = 4;

/// Knives, boards and people that are tried together to make a rotation fit.
const MORE_OF_ROOM: usize = 6;

/// The smallest changes of what is held, each of which alone frees the rotation; none where nothing is held.
///
/// A turn keeps its round where another knife does, moves to the nearest round where none does, and is let go where
/// nothing else helps. Where no single one is enough, as few as can be are let go together, the latest first.
pub(super) fn ways(room: &Room<'_>) -> Vec<RotationWay> {
    if room.question.boards == 0 {
        return vec![RotationWay::Open(Opening::of(MendingPlace::SetUp, "Say how many boards there are"))];
    }
    if room.question.watch == 0 {
        return vec![RotationWay::Open(Opening::of(MendingPlace::SetUp, "Say who watches"))];
    }
    let pins = &room.fields.pins;
    let frees = |pins: Vec<PinnedTurn>| {
        let fields = RotationFields { pins, ..room.fields.clone() };
        can_rotate(&Room::of(room.input, room.kept, &fields).question).then_some(fields)
    };
    let mut found = Vec::new();
    for (at, pin) in pins.iter().enumerate().rev() {
        let others = || pins.iter().enumerate().filter(move |(other, _)| *other != at).map(|(_, pin)| *pin);
        // What does not help when it is let go does not help when it is moved.
        let Some(without) = frees(others().collect()) else { continue };
        let instead = |pin: PinnedTurn| frees(others().chain([pin]).collect());
        let (words, fields) = smaller(room, pin, instead).unwrap_or_else(|| (text!["Let go of ", turn(room, pin)], without));
        found.push(RotationWay::News { words, fields });
        if found.len() == WAYS {
            break;
        }
    }
    if found.is_empty()
        && let Some((gone, fields)) = as_few_as_can_be(pins, frees)
    {
        let gone = Text::joined(gone.iter().map(|pin| turn(room, pin)), "; ");
        found.push(RotationWay::News { words: text!["Let go of ", gone], fields });
    }
    found
}

/// Keeps a turn held, with any knife or in the nearest other round.
fn smaller(
    room: &Room<'_>,
    pin: &PinnedTurn,
    instead: impl Fn(PinnedTurn) -> Option<RotationFields>,
) -> Option<(Text, RotationFields)> {
    let any_knife = pin.knife_id.and_then(|_| instead(PinnedTurn { knife_id: None, ..*pin }));
    if let Some(fields) = any_knife {
        return Some((text!["Hold ", turn(room, pin), ", in round ", pin.round, " with any knife"], fields));
    }
    let over = room.fields.rounds_done;
    let nearest = (1..=MOVED_BY).flat_map(|by| [pin.round.saturating_add(by), pin.round.saturating_sub(by)]);
    nearest.filter(|round| *round > over).find_map(|round| {
        let fields = instead(PinnedTurn { round, ..*pin })?;
        Some((text!["Hold ", turn(room, pin), ", in round ", round, " instead of ", pin.round], fields))
    })
}

/// Lets all go, and holds again what can be held, the first first.
fn as_few_as_can_be(
    pins: &[PinnedTurn],
    frees: impl Fn(Vec<PinnedTurn>) -> Option<RotationFields>,
) -> Option<(Vec<PinnedTurn>, RotationFields)> {
    let mut fields = frees(Vec::new())?;
    let mut gone = Vec::new();
    for pin in pins {
        let more = fields.pins.iter().copied().chain([*pin]).collect();
        match frees(more) {
            Some(with) => fields = with,
            None => gone.push(*pin),
        }
    }
    Some((gone, fields))
}

fn turn(room: &Room<'_>, pin: &PinnedTurn) -> Text {
    let name = room.input.at_hand.student(pin.student_id).map_or("", |student| student.fields.name.as_str());
    let planned = room.input.exercises.iter().find(|planned| planned.exercise.id == pin.exercise_id);
    text![Name(name), ", ", planned.map_or_else(String::new, |planned| lower(&super::words::title(planned)))]
}

/// More of what a room has.
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord)]
enum More {
    /// A knife like one of its own, by its place.
    Knife(usize),
    Board,
    Watching,
}

impl More {
    fn given(&self, question: &Question, each: u32) -> Question {
        match self {
            More::Knife(knife) => super::words::with_another(question, *knife),
            More::Board => Question { boards: question.boards.saturating_add(1), ..question.clone() },
            More::Watching => Question { watch: question.watch.saturating_add(each), ..question.clone() },
        }
    }
}

impl View<'_> {
    /// Each of the smallest changes that make a rotation fit which is longer than the practice.
    pub(super) fn to_fit(&self, time_rule: &TimeRule) -> Vec<Text> {
        if self.over == 0 {
            return Vec::new();
        }
        let minutes = of_number(self.over as usize, "minute", "minutes");
        let longer = text!["It fits with ", minutes, " more of practice."];
        let richer = self.richer_room(time_rule).map(|more| text!["It fits with ", self.counted(&more), "."]);
        [longer].into_iter().chain(richer).collect()
    }

    /// What the room must have more of; nothing where that alone does not help, or where nothing more is needed
    /// than to plan anew.
    fn richer_room(&self, time_rule: &TimeRule) -> Option<Vec<More>> {
        let turns = self.room.question.turns.iter().map(|turn| Turn { announced: None, ..turn.clone() });
        let anew = Question { turns: turns.collect(), ..self.room.question.clone() };
        let watchers = self.room.input.at_hand.course.fields.resources.instructors;
        let each = watchers.map_or(0, |watchers| u32::from(watchers.each));
        let of_room = |more: &[More]| more.iter().fold(anew.clone(), |question, more| more.given(&question, each));
        let fits = |question: &Question| {
            rotate(question).is_ok_and(|found| {
                let turns = super::announced_turns(self.room, &found.seats);
                super::minutes::lay_rounds(self.room, time_rule, &turns).1 == 0
            })
        };
        let mut tried = self.rotation?.worth.rounds;
        let mut more = Vec::new();
        for _ in 0..MORE_OF_ROOM {
            let bound = least_rounds(&of_room(&more))?;
            more.push(match bound.by {
                BoundBy::Knives { knives, .. } => More::Knife(*knives.first().filter(|knife| **knife < anew.knives)?),
                BoundBy::Boards => More::Board,
                BoundBy::Watch if each > 0 => More::Watching,
                BoundBy::Watch | BoundBy::Windows | BoundBy::Student { .. } | BoundBy::Order => return None,
            });
            let richer = of_room(&more);
            let least = least_rounds(&richer)?.rounds;
            if least < tried && fits(&richer) {
                // One thing may have made another needless.
                for at in (0..more.len()).rev() {
                    let mut fewer = more.clone();
                    fewer.remove(at);
                    if !fewer.is_empty() && fits(&of_room(&fewer)) {
                        more = fewer;
                    }
                }
                more.sort();
                return Some(more);
            }
            tried = tried.min(least);
        }
        None
    }

    /// `2 more bird's-beak 70 and 1 more board`.
    fn counted(&self, more: &[More]) -> Text {
        let mut told: Vec<(usize, String)> = Vec::new();
        for each in more {
            let what = match each {
                More::Knife(knife) => self.model(*knife),
                More::Board => "board".to_owned(),
                More::Watching => "to watch".to_owned(),
            };
            match told.iter_mut().find(|(_, known)| *known == what) {
                Some((number, _)) => *number += 1,
                None => told.push((1, what)),
            }
        }
        let told = told.into_iter().map(|(number, what)| text![number, " more ", what]);
        Text::joined(told, " and ")
    }
}
