//! All rules, by what they weigh.

use super::rule::Rule;
use super::{course_rules, grip_rules, hold_rules, knife_rules, motion_rules, student_rules};

/// The rules that score a knife with a motion: of the knife, the motion, the course and the student.
pub(crate) fn blade_rules() -> impl Iterator<Item = &'static Rule> {
    // Those that refuse most come first: a score is known at the first refusal.
    [motion_rules::RULES, student_rules::RULES, knife_rules::RULES, course_rules::RULES].into_iter().flatten()
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
