//! Rules about the guide hand, and about the part of the blade.

use super::rule::{Said, say};
use super::{Case, Effect, Rule};
use crate::catalogue::Shape;
use crate::catalogue::{FingerGap, Hold, OnionDice, Third};
use crate::people::AgeBand;
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

/// The part of a food that is not safe to hold while it is cut.
const LAST_BIT: Millimetres = Millimetres::whole(25);

/// The rule of level cuts, which says how layers are diced.
pub(super) const LEVEL_CUTS: Rule = Rule {
    id: "hold.level_cut",
    text: "A level cut moves towards the holding hand's side: only where the course teaches it, with the palm on top.",
    check: level_cut,
};

pub(super) const HOLD_RULES: &[Rule] = &[
    Rule {
        id: "hold.claw",
        text: "The claw is the default: the knuckle guides, fingertips and thumb are behind it.",
        check: claw,
    },
    Rule { id: "hold.bridge", text: "The bridge comes first for children, and for halving round food.", check: bridge },
    Rule { id: "hold.flat_palm", text: "The flat palm is for a level cut.", check: flat_palm },
    Rule { id: "hold.spine_top", text: "The hand lies on the spine to mince and to press.", check: spine_top },
    Rule { id: "hold.last_bit", text: "The last 25 mm are laid flat or turned, not held by the fingertips.", check: last_bit },
    LEVEL_CUTS,
    Rule { id: "hold.in_hand", text: "Food is held off the board only for hand work.", check: in_hand },
];

pub(super) const THIRD_RULES: &[Rule] =
    &[Rule { id: "third.firmness", text: "Soft food meets the tip third, medium the middle, firm the heel.", check: third }];

fn claw(case: &Case<'_>) -> Said {
    (case.hold == Hold::Claw).then(|| {
        if case.in_hand() {
            (Refuse, say!(case, "The claw holds food down on a board; this is held in the hand."))
        } else if case.two_handed() {
            (Refuse, say!(case, "No guide hand while both hands are on the knife."))
        } else if case.job.age_band == AgeBand::Child && case.job.doctrines.finger_gap == FingerGap::Bridge {
            (For(15), say!(case, "Fingertips back, knuckle leads; after the bridge is sure."))
        } else {
            (For(30), say!(case, "The knuckle guides the blade; its step sets the thickness."))
        }
    })
}

fn bridge(case: &Case<'_>) -> Said {
    (case.hold == Hold::Bridge).then(|| {
        if case.in_hand() || case.two_handed() {
            (Refuse, say!(case, "The bridge stands over food on a board."))
        } else if case.job.age_band == AgeBand::Child && case.job.doctrines.finger_gap == FingerGap::ClawOnly {
            (Against(4), say!(case, "This course teaches the claw from the start; the bridge still halves round food."))
        } else if case.job.age_band == AgeBand::Child {
            (For(28), say!(case, "First hold for children: the knife passes under the arch."))
        } else {
            (Against(6), say!(case, "Good for halving round food; it cannot set the thickness of slices."))
        }
    })
}

fn flat_palm(case: &Case<'_>) -> Said {
    (case.hold == Hold::FlatPalm).then(|| {
        if case.dices_layers() && case.job.doctrines.onion_dice == OnionDice::LevelCut {
            (For(12), say!(case, "For the level cuts of this course: palm flat on top, fingers up; the claw for the rest."))
        } else {
            (Refuse, say!(case, "The flat palm is for a level cut; here the blade comes from above."))
        }
    })
}

fn spine_top(case: &Case<'_>) -> Said {
    (case.hold == Hold::SpineTop).then(|| {
        if case.two_handed() {
            (For(30), say!(case, "Palm on the spine near the tip, fingers up."))
        } else {
            (Refuse, say!(case, "With the hand on the spine nothing guides the food."))
        }
    })
}

/// Food of which all is the last safe bit, or nearly.
fn last_bit(case: &Case<'_>) -> Said {
    let length = case.job.food.length();
    let short = length.get() <= LAST_BIT.get() * 1.5 && !matches!(case.job.food.shape, Shape::Bundle { .. });
    (short && case.hold == Hold::Claw && !case.in_hand()).then(|| {
        (Against(6), say!(case, "Only ", length, " long: the last ", LAST_BIT, " come at once. Lay it flat, fingertips back."))
    })
}

fn level_cut(case: &Case<'_>) -> Said {
    if !case.dices_layers() || case.two_handed() {
        return None;
    }
    match (case.job.doctrines.onion_dice, case.hold) {
        (OnionDice::LevelCut, Hold::Claw) => {
            Some((Against(3), say!(case, "The level cuts of this course want the flat palm; then the claw.")))
        }
        (OnionDice::LevelCut, _) | (_, Hold::FlatPalm | Hold::Bridge | Hold::SpineTop | Hold::InHand) => None,
        (OnionDice::HalfRings, Hold::Claw) => {
            Some((For(4), say!(case, "Half-rings crosswise, turned: nothing moves towards the hand.")))
        }
        (OnionDice::Radial, Hold::Claw) => {
            Some((For(4), say!(case, "Radial cuts, no level cut: nothing moves towards the hand.")))
        }
        (OnionDice::Verticals, Hold::Claw) => {
            Some((For(4), say!(case, "Verticals only, the last third turned: nothing moves towards the hand.")))
        }
        (OnionDice::Computed, Hold::Claw) => {
            Some((For(4), say!(case, "Verticals or radial cuts, no level cut: nothing moves towards the hand.")))
        }
    }
}

fn in_hand(case: &Case<'_>) -> Said {
    (case.hold == Hold::InHand).then(|| {
        if !case.in_hand() {
            (Refuse, say!(case, capital(&case.job.cut.name), " is cut on the board, not in the hand."))
        } else {
            (For(30), say!(case, "Held off the board, the thumb clear of the cut's end."))
        }
    })
}

fn third(case: &Case<'_>) -> Said {
    let (food, right) = (case.job.food, Third::for_firmness(case.job.food.firmness));
    let feel = match food.firmness {
        0..=2 => "soft",
        3 => "medium",
        _ => "firm",
    };
    let place = |third: Third| match third {
        Third::Tip => 0i8,
        Third::Middle => 1,
        Third::Heel => 2,
    };
    let words = say!(case, capital(&food.name), " is ", feel, " (", food.firmness, " of 5): the ", right.word(), " third");
    Some(match (place(case.third) - place(right)).abs() {
        0 => (For(30), say!(case, words, ".")),
        1 => (Against(8), say!(case, words, " would do it with less force.")),
        _ => (Against(20), say!(case, words, ", at the other end of the blade, is the one that controls it.")),
    })
}
