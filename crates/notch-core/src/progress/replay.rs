//! Replays the attempts of one strand and cuts its notches.

use jiff::ToSpan;
use jiff::civil::Date;

use super::input::StandingInput;
use super::windows::{Met, even, paced, safe, truth};
use super::{AttemptEvidence, NextStep, Notch, NotchState, StrandRule, next};
use crate::catalogue::{NotchKind, ProgressRules, Strand};
use crate::text;
use crate::text::Text;
use crate::words::day;

/// Notches while the attempts are replayed.
#[derive(Default)]
struct Replay {
    /// Day each notch was cut, in the order of [`NotchKind::ALL`].
    cut: [Option<Date>; 5],
    /// Day of the Stop fault that closed them.
    lapsed: Option<Date>,
}

impl Replay {
    fn standing(&self) -> usize {
        if self.lapsed.is_some() { 0 } else { self.cut.iter().take_while(|day| day.is_some()).count() }
    }
}

pub(super) fn replay(input: &StandingInput<'_>, strand: Strand) -> StrandRule {
    let rules = &input.catalogue.progress;
    let attempts: Vec<&AttemptEvidence> = input.attempts.iter().filter(|attempt| attempt.strand == strand).collect();
    let mut state = Replay::default();
    for end in 1..=attempts.len() {
        step(rules, &mut state, attempts.get(..end).unwrap_or(&[]));
    }
    let notches: Vec<Notch> = NotchKind::ALL
        .into_iter()
        .zip(state.cut)
        .map(|(kind, day)| Notch {
            kind,
            state: match (day, state.lapsed) {
                (Some(on), Some(since)) => NotchState::Lapsed { on, since },
                (Some(on), None) => NotchState::Cut { on },
                (None, _) => NotchState::Open,
            },
            words: words(rules, &state, &attempts, kind, day),
        })
        .collect();
    let mut rule = StrandRule {
        strand,
        notches,
        attempts: attempts.len(),
        cut: attempts.last().map(|attempt| attempt.cut.clone()),
        next: NextStep::placeholder(strand),
    };
    rule.next = next::next_in_strand(input, &rule, held_from(rules, &state), &attempts);
    rule
}

/// Takes the last of `attempts` into account.
fn step(rules: &ProgressRules, state: &mut Replay, attempts: &[&AttemptEvidence]) {
    let Some(last) = attempts.last() else { return };
    if last.stop_fault {
        if state.cut[0].is_some() {
            state.lapsed.get_or_insert(last.on);
        }
        return;
    }
    if safe(rules, attempts).met {
        state.lapsed = None;
        state.cut[0].get_or_insert(last.on);
    }
    if state.lapsed.is_some() {
        return;
    }
    // Notches are cut in order: stop at the first that stays open.
    while let Some(kind) = NotchKind::ALL.get(state.standing()).copied() {
        if kind == NotchKind::Safe || !met(rules, state, attempts, kind).met {
            return;
        }
        state.cut[kind as usize] = Some(last.on);
    }
}

/// Whether the threshold of a notch is met by the attempts so far.
fn met(rules: &ProgressRules, state: &Replay, attempts: &[&AttemptEvidence], kind: NotchKind) -> Met {
    match kind {
        NotchKind::Safe => safe(rules, attempts),
        NotchKind::True => truth(rules, attempts),
        NotchKind::Even => even(rules, attempts),
        NotchKind::Paced => in_turn([truth(rules, attempts), even(rules, attempts)], paced(rules, attempts)),
        NotchKind::Held => held(rules, state, attempts),
    }
}

/// `last`, unless one of the earlier ones no longer holds.
fn in_turn<const N: usize>(first: [Met; N], last: Met) -> Met {
    first.into_iter().find(|met| !met.met).map_or(last, |lost| Met { met: false, words: text!["must still hold: ", lost.words] })
}

/// The first day on which evidence counts for Held: so many days after the fourth notch.
fn held_from(rules: &ProgressRules, state: &Replay) -> Option<Date> {
    state.cut[NotchKind::Paced as usize].and_then(|day| day.checked_add(rules.held_days.days()).ok())
}

/// Held: everything again, from evidence that is late enough alone.
fn held(rules: &ProgressRules, state: &Replay, attempts: &[&AttemptEvidence]) -> Met {
    let Some(from) = held_from(rules, state) else {
        return Met { met: false, words: Text::from("comes two weeks after Paced") };
    };
    let late: Vec<&AttemptEvidence> = attempts.iter().copied().filter(|attempt| attempt.on >= from).collect();
    if late.is_empty() {
        return Met { met: false, words: text!["all of it again, from ", day(from), " on"] };
    }
    let again = in_turn([safe(rules, &late), truth(rules, &late), even(rules, &late)], paced(rules, &late));
    Met { met: again.met, words: text!["since ", day(from), ": ", again.words] }
}

fn words(rules: &ProgressRules, state: &Replay, attempts: &[&AttemptEvidence], kind: NotchKind, cut: Option<Date>) -> Text {
    let Some(on) = cut else {
        if state.lapsed.is_some() {
            return text![kind.name(), " waits for Safe"];
        }
        // Only the first open notch is worked on; those after it wait.
        return match NotchKind::ALL.get(state.standing()) {
            Some(open) if *open == kind => text![kind.name(), ": ", met(rules, state, attempts, kind).words],
            Some(open) => text![kind.name(), " comes after ", open.name()],
            None => Text::default(),
        };
    };
    match state.lapsed {
        Some(since) => {
            text![kind.name(), ", cut ", day(on), ", closed by a Stop fault on ", day(since), ": ", safe(rules, attempts).words]
        }
        None => text![kind.name(), ", cut ", day(on)],
    }
}
