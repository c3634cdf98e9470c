//! Who wants watching, and whom the instructor looks at first.

use serde::Serialize;

use super::advice::Advice;
use super::round::ClassRound;
use super::station::{ClassInput, Station, WatchKind, WatchReason};
use crate::catalogue::Catalogue;
use crate::progress::{Standing, standing_of};
use crate::records::{Attempt, MarkKind, Student};
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// So many are named at once: nobody watches more.
const AT_ONCE: usize = 3;

/// A student to look at now.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WatchNow {
    /// The student.
    pub student_id: i64,
    /// Paused after a Stop fault.
    pub stopped: bool,
    /// Why, in a few words.
    pub words: Text,
}

/// A student with all attempts, and where they stand by them.
pub(super) struct Seen<'a> {
    pub student: &'a Student,
    pub mine: Vec<&'a Attempt>,
    pub standing: Standing,
}

impl<'a> Seen<'a> {
    pub fn of(input: &ClassInput<'a>, student: &'a Student) -> Seen<'a> {
        let mine: Vec<&Attempt> = input.attempts.iter().filter(|attempt| attempt.student_id == student.id).collect();
        Seen { student, standing: standing_of(&input.at_hand, student, &mine, input.today), mine }
    }
}

/// Why a student wants watching in an exercise.
pub(super) fn watch(
    input: &ClassInput<'_>,
    Seen { student, mine, standing }: &Seen<'_>,
    advice: Option<&Advice>,
) -> Vec<WatchReason> {
    let mut reasons = Vec::new();
    let mut because = |kind: WatchKind, words: Text| reasons.push(WatchReason { kind, words });
    if let Some(rule) = standing.strands.iter().find(|rule| rule.has_lapsed()) {
        because(WatchKind::SafeFirst, text!["safe first: ", rule.strand.name()]);
    }
    let longest_used = mine
        .iter()
        .filter_map(|attempt| input.at_hand.knives.iter().find(|knife| knife.id == attempt.knife_id))
        .map(|knife| knife.fields.length)
        .reduce(Millimetres::longer);
    let clearance = student.fields.clearance;
    if let Some(setup) = advice.and_then(|advice| advice.setup.as_ref()) {
        let planned = setup.knife_length;
        if planned > clearance {
            because(WatchKind::ShorterKnife, text!["only to ", clearance]);
        } else if longest_used.is_none_or(|used| used < planned) {
            because(WatchKind::FirstLength, text!["first ", planned]);
        }
    }
    if advice.is_some_and(|advice| advice.cautions.iter().any(|caution| caution.students.contains(&student.id))) {
        because(WatchKind::Allergy, Text::from("allergy to this food"));
    }
    reasons
}

/// Whom to look at now: who is paused after a Stop fault, then who works or starts next, the gravest reason first.
pub(super) fn watch_now(catalogue: &Catalogue, stations: &[Station], round: &ClassRound) -> Vec<WatchNow> {
    let starts = |station: &Station| round.starts.iter().any(|start| start.student_id == station.student.id);
    let reason = |station: &Station| -> Option<(u8, Option<WatchKind>, Text)> {
        if let Some(stop) = &station.stop {
            return Some((0, None, text!["paused: ", fault_name(catalogue, &stop.what)]));
        }
        let rank = if station.running.is_some() { 1 } else { 2 };
        let at_work = rank == 1 || starts(station);
        // The food is on the boards around a student who does not cut it.
        let counts = |kind: WatchKind| at_work || kind == WatchKind::Allergy;
        let because = station.watch.iter().filter(|reason| counts(reason.kind)).min_by_key(|reason| reason.kind)?;
        Some((rank, Some(because.kind), because.words.clone()))
    };
    let mut found: Vec<_> = stations.iter().filter_map(|station| Some((reason(station)?, station.student.id))).collect();
    found.sort_by(|((rank, kind, _), one), ((other_rank, other_kind, _), other)| {
        (rank, kind, one).cmp(&(other_rank, other_kind, other))
    });
    found.truncate(AT_ONCE);
    let told = |((rank, _, words), student_id)| WatchNow { student_id, stopped: rank == 0, words };
    found.into_iter().map(told).collect()
}

fn fault_name(catalogue: &Catalogue, what: &MarkKind) -> Text {
    let MarkKind::Fault { fault } = what else { return Text::from("a Stop fault") };
    Text::from(catalogue.fault(fault).map_or_else(|| fault.clone(), |fault| fault.name.clone()))
}
