//! Rules about the guide hand, and about the part of the blade.

use super::{Case, Effect, Rule};
use crate::catalogue::{CutFamily, Hold, Motion, Third};
use crate::people::AgeBand;
use Effect::{Against, For, Refuse};

type Found = Option<(Effect, String)>;

pub(super) const HOLD_RULES: &[Rule] = &[
    Rule {
        id: "hold.claw",
        text: "The claw is the default: the knuckle guides, fingertips and thumb are behind it.",
        check: claw,
    },
    Rule { id: "hold.bridge", text: "The bridge comes first for children, and for halving round food.", check: bridge },
    Rule { id: "hold.flat_palm", text: "The flat palm is for a level cut.", check: flat_palm },
    Rule { id: "hold.spine_top", text: "The hand lies on the spine to mince and to press.", check: spine_top },
    Rule { id: "hold.in_hand", text: "Food is held off the board only for hand work.", check: in_hand },
];

pub(super) const THIRD_RULES: &[Rule] =
    &[Rule { id: "third.firmness", text: "Soft food meets the tip third, medium the middle, firm the heel.", check: third }];

fn two_handed(case: &Case<'_>) -> bool {
    matches!(case.motion, Motion::PivotMince | Motion::Press)
}

fn on_board(case: &Case<'_>) -> bool {
    case.job.cut.family != CutFamily::Hand
}

fn claw(case: &Case<'_>) -> Found {
    (case.hold == Hold::Claw).then(|| {
        if !on_board(case) {
            (Refuse, "The claw holds food down on a board; this is held in the hand.".to_owned())
        } else if two_handed(case) {
            (Refuse, "No guide hand while both hands are on the knife.".to_owned())
        } else if case.job.age_band == AgeBand::Child {
            (For(15), "Fingertips back, knuckle leads; after the bridge is sure.".to_owned())
        } else {
            (For(30), "The knuckle guides the blade; its step sets the thickness.".to_owned())
        }
    })
}

fn bridge(case: &Case<'_>) -> Found {
    (case.hold == Hold::Bridge).then(|| {
        if !on_board(case) || two_handed(case) {
            (Refuse, "The bridge stands over food on a board.".to_owned())
        } else if case.job.age_band == AgeBand::Child {
            (For(28), "First hold for children: the knife passes under the arch.".to_owned())
        } else {
            (Against(6), "Good for halving round food; it cannot set the thickness of slices.".to_owned())
        }
    })
}

fn flat_palm(case: &Case<'_>) -> Found {
    (case.hold == Hold::FlatPalm)
        .then(|| (Refuse, "The flat palm is for a level cut; here the blade comes from above.".to_owned()))
}

fn spine_top(case: &Case<'_>) -> Found {
    (case.hold == Hold::SpineTop).then(|| {
        if two_handed(case) {
            (For(30), "Palm on the spine near the tip, fingers up.".to_owned())
        } else {
            (Refuse, "With the hand on the spine nothing guides the food.".to_owned())
        }
    })
}

fn in_hand(case: &Case<'_>) -> Found {
    (case.hold == Hold::InHand).then(|| {
        if on_board(case) {
            (Refuse, format!("{} is cut on the board, not in the hand.", capital(&case.job.cut.name)))
        } else {
            (For(30), "Held off the board, the thumb clear of the cut's end.".to_owned())
        }
    })
}

fn third(case: &Case<'_>) -> Found {
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
    let words = format!("{} is {feel} ({} of 5): the {} third", capital(&food.name), food.firmness, right.word());
    Some(match (place(case.third) - place(right)).abs() {
        0 => (For(30), format!("{words}.")),
        1 => (Against(8), format!("{words} would do it with less force.")),
        _ => (Against(20), format!("{words}, at the other end of the blade, is the one that controls it.")),
    })
}

fn capital(text: &str) -> String {
    let mut letters = text.chars();
    letters.next().map_or_else(String::new, |first| first.to_uppercase().chain(letters).collect())
}
