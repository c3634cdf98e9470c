//! Who starts next, with one touch.

use serde::Serialize;

use super::station::{ClassInput, Station, WatchKind};
use crate::records::{Attempt, KeptRotation};
use crate::rotation::one_each;

/// A student who starts, and with what.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RoundStart {
    /// The student.
    pub student_id: i64,
    /// The exercise.
    pub exercise_id: i64,
    /// The knife.
    pub knife_id: i64,
}

/// The round that starts next.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassRound {
    /// Its number, where a rotation was announced; none where all start at the exercise that is shown.
    pub number: Option<u16>,
    /// Who starts.
    pub starts: Vec<RoundStart>,
    /// Who would, and has to wait: no knife that fits is free, or all boards and all who watch are taken.
    pub waits: Vec<i64>,
}

/// The round that starts next: the first one that was announced in which somebody has a turn still to make. Without a
/// rotation, everybody whose attempt at the shown exercise is to come, each with a knife of their own, as many as
/// there are boards and people to watch.
pub(super) fn next_round(
    input: &ClassInput<'_>,
    kept: &KeptRotation,
    stations: &[Station],
    exercise_id: Option<i64>,
) -> ClassRound {
    if kept.announced.is_empty() {
        exercise_id.map_or_else(ClassRound::default, |id| all_at(input, kept, stations, id))
    } else {
        announced(kept, stations)
    }
}

/// Whether a student may start now: there, briefed where that is asked, not at work, not paused.
fn is_free(kept: &KeptRotation, station: &Station) -> bool {
    station.running.is_none()
        && station.stop.is_none()
        && !station.briefing_due
        && !kept.fields.absent.contains(&station.student.id)
}

/// Whether the food that is shown must not meet the student: nobody hands it out by starting everybody.
fn is_allergic(station: &Station) -> bool {
    station.watch.iter().any(|reason| reason.kind == WatchKind::Allergy)
}

fn has_tried(attempts: &[Attempt], exercise_id: i64) -> bool {
    attempts.iter().any(|attempt| attempt.exercise_id == exercise_id)
}

fn announced(kept: &KeptRotation, stations: &[Station]) -> ClassRound {
    let to_come = kept.announced.iter().filter_map(|turn| {
        let station = stations.iter().find(|station| station.student.id == turn.student_id)?;
        let there = !kept.fields.absent.contains(&turn.student_id);
        (there && !has_tried(&station.attempts, turn.exercise_id)).then_some((turn, station))
    });
    let to_come: Vec<_> = to_come.collect();
    let number = to_come.iter().map(|(turn, _)| turn.round).min();
    let starts = to_come.iter().filter(|(turn, station)| Some(turn.round) == number && is_free(kept, station));
    let start = |(turn, _): &(&crate::records::AnnouncedTurn, &Station)| RoundStart {
        student_id: turn.student_id,
        exercise_id: turn.exercise_id,
        knife_id: turn.knife_id,
    };
    ClassRound { number, starts: starts.map(start).collect(), waits: Vec::new() }
}

fn all_at(input: &ClassInput<'_>, kept: &KeptRotation, stations: &[Station], exercise_id: i64) -> ClassRound {
    let in_use = |knife: &i64| input.attempts.iter().any(|a| a.stopped_at.is_none() && a.knife_id == *knife);
    let at_work = stations.iter().filter(|station| station.running.is_some()).count();
    let free: Vec<&Station> = stations.iter().filter(|station| is_free(kept, station) && !is_allergic(station)).collect();
    let fresh: Vec<&Station> = free.iter().copied().filter(|station| !has_tried(&station.attempts, exercise_id)).collect();
    // All have made one: they go round again.
    let next = if fresh.is_empty() { free } else { fresh };
    let may: Vec<Vec<i64>> =
        next.iter().map(|station| station.knives.iter().copied().filter(|knife| !in_use(knife)).collect()).collect();
    let places = usize::try_from(input.at_hand.at_once()).unwrap_or(usize::MAX).saturating_sub(at_work);
    let mut round = ClassRound::default();
    for (station, knife_id) in next.iter().zip(one_each(&may)) {
        match knife_id.filter(|_| round.starts.len() < places) {
            Some(knife_id) => round.starts.push(RoundStart { student_id: station.student.id, exercise_id, knife_id }),
            None => round.waits.push(station.student.id),
        }
    }
    round
}
