//! The beat that a student cuts to: the next pace, once the pieces are even enough for it.

use super::station::{Beat, ClassInput};
use super::watch::Seen;
use crate::catalogue::{NotchKind, Strand};
use crate::people::Pace;
use crate::records::Attempt;
use crate::text;

/// So many times as quick as the quickest pace nobody cuts: an attempt that short was stopped at once.
const MISTOUCHED: f64 = 2.0;

/// The beat of a student at a cut: once the strand's pieces are even, the pace above that of the latest timed attempt.
/// Until then no quicker than the class is planned with, however quick the hands are; without evidence the slowest.
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
    let held = shown.min(input.at_hand.course.fields.pace);
    Beat {
        per_minute: per_minute(held),
        held_back: true,
        words: text!["Even first: ", per_minute(held), " strokes a minute until the pieces are alike."],
    }
}

/// The quickest pace that the latest timed attempt of a strand kept to; one that was stopped at once is passed over. Its reference time is the time of the set amount
/// at the course's pace, so that its own pace is that one, times reference over time.
fn shown_pace(input: &ClassInput<'_>, mine: &[&Attempt], strand: Strand) -> Option<Pace> {
    let handling = &input.at_hand.catalogue.handling;
    let timed = mine.iter().rev().filter(|attempt| attempt.strand == Some(strand));
    let planned = handling.strokes_per_minute(input.at_hand.course.fields.pace);
    let paces = timed.filter_map(|attempt| {
        let (seconds, reference) = attempt.seconds.zip(attempt.reference_seconds)?;
        (seconds > 0.0 && reference > 0.0).then(|| planned * reference / seconds)
    });
    let mut cut = paces.filter(|own| *own <= MISTOUCHED * handling.strokes_per_minute(Pace::Fast));
    let own = cut.next()?;
    Pace::ALL.into_iter().rev().find(|pace| own >= handling.strokes_per_minute(*pace))
}
