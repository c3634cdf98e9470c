//! All rules, by what they weigh.

use std::sync::LazyLock;

use super::rule::Rule;
use super::{course_rules, grip_rules, hold_rules, knife_rules, motion_rules, student_rules};

/// Those that refuse most come first: a score is known at the first refusal.
static BLADE: LazyLock<Vec<Rule>> =
    LazyLock::new(|| [motion_rules::RULES, student_rules::RULES, knife_rules::RULES, course_rules::RULES].concat());

/// The rules that score a knife with a motion: of the knife, the motion, the course and the student.
pub(crate) fn blade_rules() -> impl Iterator<Item = &'static Rule> {
    BLADE.iter()
}

/// Some of the [`blade_rules`]: a bit for each, so that what two choices have in common is one step.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub(super) struct Picked(u64);

impl Picked {
    /// Those that a question is true of.
    pub(super) fn where_true(mut asked: impl FnMut(&Rule) -> bool) -> Picked {
        Picked(blade_rules().take(64).enumerate().filter(|(_, rule)| asked(rule)).fold(0, |bits, (at, _)| bits | 1 << at))
    }

    /// Those that are in both.
    pub(super) const fn and(self, other: Picked) -> Picked {
        Picked(self.0 & other.0)
    }

    /// The rules, in their order.
    pub(super) fn rules(self) -> impl Iterator<Item = &'static Rule> {
        let (mut bits, all) = (self.0, BLADE.as_slice());
        std::iter::from_fn(move || {
            let rule = all.get(bits.trailing_zeros() as usize)?;
            bits &= bits - 1;
            Some(rule)
        })
    }
}

/// The rules of the motion alone.
pub(super) fn of_motion() -> impl Iterator<Item = &'static Rule> {
    motion_rules::RULES.iter()
}

/// The rules of the knife hand.
pub(super) fn of_grip() -> impl Iterator<Item = &'static Rule> {
    grip_rules::RULES.iter()
}

/// The rules of the guide hand.
pub(super) fn of_hold() -> impl Iterator<Item = &'static Rule> {
    hold_rules::HOLD_RULES.iter()
}

/// The rules of the part of the blade.
pub(super) fn of_third() -> impl Iterator<Item = &'static Rule> {
    hold_rules::THIRD_RULES.iter()
}

/// All rules: of the knife, the motion, the grip, the hold and the third.
pub fn rules() -> impl Iterator<Item = &'static Rule> {
    blade_rules().chain(of_grip()).chain(of_hold()).chain(of_third())
}
