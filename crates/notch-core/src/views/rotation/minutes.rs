//! Rounds on the minutes of the lesson.

use super::RotationRound;
use super::room::{Room, turn_minutes};
use crate::catalogue::SegmentKind;
use crate::lesson::{CHANGE_MINUTES, TimeRule};
use crate::records::AnnouncedTurn;

/// Lays the rounds into the practice of the lesson, each as long as its longest turn, with a minute between two for
/// the knives; and says how many minutes they run beyond it. Minutes that were lost are lost before the next round.
/// A round that no longer fits before the practice is broken off goes behind the break.
pub(super) fn lay_rounds(room: &Room<'_>, time_rule: &TimeRule, turns: &[AnnouncedTurn]) -> (Vec<RotationRound>, u32) {
    let practice = practice(time_rule);
    let change = CHANGE_MINUTES as u32;
    let last = turns.iter().map(|turn| turn.round).max().unwrap_or(0);
    let mut rounds = Vec::new();
    let mut stretch = 0;
    let mut at = practice.first().map_or(0, |(starts, _)| *starts);
    for number in 1..=last {
        let own = || turns.iter().filter(|turn| turn.round == number);
        let planned = |turn: &AnnouncedTurn| room.input.exercises.iter().find(|planned| planned.exercise.id == turn.exercise_id);
        let long = own().filter_map(planned).map(|planned| u32::from(turn_minutes(room.input, planned))).max().unwrap_or(0);
        if number == room.fields.rounds_done + 1 {
            at += u32::from(room.fields.minutes_lost);
        }
        while practice.get(stretch).is_some_and(|(starts, ends)| at > *starts && at + long > *ends)
            && stretch + 1 < practice.len()
        {
            stretch += 1;
            at = at.max(practice[stretch].0);
        }
        let one = own().next().map(|turn| turn.exercise_id).filter(|id| own().all(|turn| turn.exercise_id == *id));
        rounds.push(RotationRound {
            number,
            starts: at,
            ends: at + long,
            done: number <= room.fields.rounds_done,
            working: own().count() as u32,
            exercise_id: one,
        });
        at += long + change;
    }
    let end = practice.last().map_or(0, |(_, ends)| *ends);
    let over = rounds.last().map_or(0, |round| round.ends.saturating_sub(end));
    (rounds, over)
}

/// Stretches of practice, those that touch as one.
pub(super) fn practice(time_rule: &TimeRule) -> Vec<(u32, u32)> {
    let mut found: Vec<(u32, u32)> = Vec::new();
    for segment in time_rule.segments.iter().filter(|segment| segment.kept.kind == SegmentKind::Practice) {
        match found.last_mut() {
            Some((_, ends)) if *ends == segment.starts => *ends = segment.ends,
            _ => found.push((segment.starts, segment.ends)),
        }
    }
    found
}
