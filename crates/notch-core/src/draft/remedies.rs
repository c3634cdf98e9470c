//! What would reach a goal that a draft does not.

use jiff::Span;
use serde::Serialize;

use super::drafting::{DraftQuestion, DraftSession, Drafting};
use super::goal::GoalFields;
use crate::at_hand::AtHand;
use crate::catalogue::NotchKind;

/// A change that would reach a goal.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Remedy {
    /// More sessions before it is due.
    MoreSessions {
        /// How many.
        sessions: u16,
    },
    /// Longer sessions.
    Longer {
        /// Minutes more, each.
        minutes: u16,
    },
    /// A later session.
    Later {
        /// Number of the session.
        by: u16,
    },
    /// A lower notch.
    Lower {
        /// The notch that is reached.
        notch: NotchKind,
    },
}

/// Most sessions that are tried beside those of the course.
pub(crate) const MOST_SESSIONS: u16 = 3;

/// Longer sessions that are tried, minutes more.
pub(crate) const LONGER: [u16; 2] = [15, 30];

/// Changes that would reach a goal, each drafted to see that it does: the smallest of each kind.
pub fn remedies(at_hand: &AtHand<'_>, question: &DraftQuestion<'_>, goal: usize) -> Vec<Remedy> {
    let Some(wanted) = question.goals.get(goal) else { return Vec::new() };
    let more = (1..=MOST_SESSIONS).find(|sessions| reaches(at_hand, &with_sessions(question, *sessions), goal));
    let longer = LONGER.into_iter().find(|minutes| {
        let mut longer = question.clone();
        longer.sessions.iter_mut().filter(|session| !session.held).for_each(|session| session.minutes += minutes);
        reaches(at_hand, &longer, goal)
    });
    let with = |fields: GoalFields| {
        let mut changed = question.clone();
        if let Some(goal) = changed.goals.get_mut(goal) {
            *goal = fields;
        }
        changed
    };
    let by = |by: u16| with(GoalFields { by, ..wanted.clone() });
    // Due at the end it is expected in some session; due by then, it is reached by then or at the end.
    let last = question.sessions.last().map_or(0, |session| session.number);
    let expected = expected(at_hand, &by(last), goal).filter(|session| *session > wanted.by);
    let later = expected.into_iter().chain((last > wanted.by).then_some(last)).find(|due| reaches(at_hand, &by(*due), goal));
    let lower = NotchKind::ALL.into_iter().rev().filter(|notch| *notch < wanted.notch);
    let lower = lower.into_iter().find(|notch| reaches(at_hand, &with(GoalFields { notch: *notch, ..wanted.clone() }), goal));
    [
        more.map(|sessions| Remedy::MoreSessions { sessions }),
        longer.map(|minutes| Remedy::Longer { minutes }),
        later.map(|by| Remedy::Later { by }),
        lower.map(|notch| Remedy::Lower { notch }),
    ]
    .into_iter()
    .flatten()
    .collect()
}

fn reaches(at_hand: &AtHand<'_>, question: &DraftQuestion<'_>, goal: usize) -> bool {
    let drafting = Drafting::of(at_hand, question);
    drafting.goal_state(&drafting.draft(), goal).in_time
}

/// Number of the session in which a draft expects the goal.
fn expected(at_hand: &AtHand<'_>, question: &DraftQuestion<'_>, goal: usize) -> Option<u16> {
    let drafting = Drafting::of(at_hand, question);
    Some(drafting.session_number(drafting.goal_state(&drafting.draft(), goal).expected?))
}

/// The course with more sessions at its end, in its usual rhythm, and its goals due so much later.
fn with_sessions<'q>(question: &DraftQuestion<'q>, more: u16) -> DraftQuestion<'q> {
    let mut changed = question.clone();
    for _ in 0..more {
        changed.sessions.extend(next_session(&changed.sessions));
    }
    for goal in &mut changed.goals {
        goal.by = goal.by.saturating_add(more);
    }
    changed
}

/// One more session, as long after the last as that was after the one before; a week where there is no such.
pub(super) fn next_session(sessions: &[DraftSession]) -> Option<DraftSession> {
    let last = sessions.last()?;
    let before = sessions.len().checked_sub(2).and_then(|index| sessions.get(index));
    let gap = before.map_or(7, |before| before.day.until(last.day).map_or(7, |span| span.get_days().max(1)));
    let day = last.day.checked_add(Span::new().days(gap)).unwrap_or(last.day);
    Some(DraftSession { number: last.number + 1, day, minutes: last.minutes, held: false })
}
