//! The beat that a student cuts to: the next pace, once the pieces are even enough for it.

use super::station::{Beat, ClassInput};
use super::watch::Seen;
use crate::catalogue::{NotchKind, Strand};
use crate::people::Pace;
use crate::records::Attempt;
use crate::text;

/// The beat of a student at a cut: the pace of the latest timed attempts, and the next above it once the strand's
/// pieces are even. Without evidence it is the slowest.
pub(super) fn beat(input: &ClassInput<'_>, seen: &Seen<'_>, strand: Option<Strand>) -> Beat {
    let handling = &input.at_hand.catalogue.handling;
    let per_minute = |pace: Pace| handling.strokes_per_minute(pace);
    let shown = strand.and_then(|strand| shown_pace(input, &seen.mine, strand)).unwrap_or(Pace::Learner);
    let even = strand.is_some_and(|strand| {
        let rule = seen.standing.strands.iter().find(|rule| rule.strand == strand);
        rule.is_some_and(|rule| rule.has(NotchKind::Even) && !rule.has_lapsed())
    });
    let next = Pace::ALL.into_iter().find(|pace| *pace > shown).unwrap_or(shown);
    if even {
        return Beat {
            per_minute: per_minute(next),
            held_back: false,
            words: text!["Even: ", per_minute(next), " strokes a minute, the next pace."],
        };
    }
    Beat {
        per_minute: per_minute(shown),
        held_back: next != shown,
        words: text!["Even first: ", per_minute(shown), " strokes a minute until the pieces are alike."],
    }
}

/// The quickest pace that the latest timed attempt of a strand kept to. Its reference time is the time of the set amount
/// at the course's pace, so that its own pace is that one, times reference over time.
fn shown_pace(input: &ClassInput<'_>, mine: &[&Attempt], strand: Strand) -> Option<Pace> {
    let handling = &input.at_hand.catalogue.handling;
    let timed = mine.iter().rev().filter(|attempt| attempt.strand == Some(strand));
    let (seconds, reference) = timed.filter_map(|attempt| attempt.seconds.zip(attempt.reference_seconds)).next()?;
    if !(seconds > 0.0 && reference > 0.0) {
        return None;
    }
    let own = handling.strokes_per_minute(input.at_hand.course.fields.pace) * reference / seconds;
    Pace::ALL.into_iter().rev().find(|pace| own >= handling.strokes_per_minute(*pace))
}
