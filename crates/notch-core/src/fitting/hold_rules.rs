//! Rules about the guide hand, and about the part of the blade.

use super::rule::{Said, any_job, any_way, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{CutForm, FingerGap, FoodTrait, HalvingHold, Hold, Motion, Nature, OnionDice, Profile, Shape, Third};
use crate::people::AgeBand;
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

/// The part of a food that is not safe to hold while it is cut.
const LAST_BIT: Millimetres = Millimetres::whole(25);

/// Widest round food that the bridge stands over.
const UNDER_THE_ARCH: Millimetres = Millimetres::whole(90);

/// The rule of level cuts, which says how layers are diced.
pub(super) const LEVEL_CUTS: Rule = Rule {
    id: "hold.level_cut",
    text: "A level cut moves towards the holding hand's side: only where the course teaches it, with the palm on top.",
    about: any_job,
    takes: any_way,
    check: level_cut,
};

pub(super) const HOLD_RULES: &[Rule] = &[
    Rule {
        id: "hold.claw",
        text: "The claw is the default: the knuckle guides, fingertips and thumb are behind it.",
        about: any_job,
        takes: any_way,
        check: claw,
    },
    Rule {
        id: "hold.bridge",
        text: "The bridge comes first for children, and for halving and wedging small round food.",
        about: any_job,
        takes: any_way,
        check: bridge,
    },
    Rule { id: "hold.flat_palm", text: "The flat palm is for a level cut.", about: any_job, takes: any_way, check: flat_palm },
    Rule {
        id: "hold.spine_top",
        text: "The hand lies on the spine to mince, to press and to crush.",
        about: any_job,
        takes: any_way,
        check: spine_top,
    },
    Rule { id: "hold.fork", text: "A fork holds a roast behind the blade.", about: any_job, takes: any_way, check: fork },
    Rule {
        id: "hold.end_rest",
        text: "A peeler moves away, the food's lower end on the board.",
        about: any_job,
        takes: any_way,
        check: end_rest,
    },
    Rule {
        id: "hold.last_bit",
        text: "The last 25 mm are laid flat or turned, not held by the fingertips.",
        about: any_job,
        takes: any_way,
        check: last_bit,
    },
    LEVEL_CUTS,
    Rule {
        id: "hold.in_hand",
        text: "Food is held off the board only for hand work.",
        about: any_job,
        takes: any_way,
        check: in_hand,
    },
];

pub(super) const THIRD_RULES: &[Rule] = &[Rule {
    id: "third.motion",
    text: "The motion says which part of the blade works; where it leaves the choice, the firmness does.",
    about: any_job,
    takes: any_way,
    check: third,
}];

/// What the guide hand does: one decision, which every rule of a hold asks.
fn right_hold(case: &Case<'_>) -> Hold {
    let (job, form) = (case.job, case.job.cut.form);
    let opens = matches!(form, CutForm::Halved | CutForm::Quartered | CutForm::Stoned | CutForm::Wedge);
    let flat = matches!(job.food.shape, Shape::Block { .. } | Shape::Wedge { .. } | Shape::Disc { .. } | Shape::Stems { .. });
    let small_round = job.food.shape.width() <= UNDER_THE_ARCH && !flat && !job.is_hard_whole();
    match case.motion {
        Motion::Snip => Hold::Claw,
        Motion::InHandPull => Hold::InHand,
        Motion::PeelStroke => Hold::EndRest,
        _ if case.two_handed() => Hold::SpineTop,
        _ if job.is_level() || form == CutForm::Filleted => Hold::FlatPalm,
        _ if job.food.nature == Nature::Cooked && form == CutForm::Slice => Hold::Fork,
        _ if opens && small_round && job.doctrines.halving_hold == HalvingHold::Bridge => Hold::Bridge,
        _ if job.age_band == AgeBand::Child && job.doctrines.finger_gap == FingerGap::Bridge => Hold::Bridge,
        _ => Hold::Claw,
    }
}

fn claw(case: &Case<'_>) -> Said {
    (case.hold == Hold::Claw).then(|| match right_hold(case) {
        Hold::Claw => (For(30), say!(case, "The knuckle guides the blade; its step sets the thickness.")),
        Hold::InHand => (Refuse, say!(case, "The claw holds food down on a board; this is held in the hand.")),
        Hold::SpineTop => (Refuse, say!(case, "No guide hand while both hands are on the knife.")),
        Hold::EndRest => (Refuse, say!(case, "A peeler runs along the food: hold its upper end, the lower on the board.")),
        Hold::FlatPalm => (Refuse, say!(case, "The blade comes level: curled fingers are in its way. Palm flat, fingers up.")),
        Hold::Fork => (Against(4), say!(case, "Hot, and slippery with fat: the fork keeps the hand away.")),
        Hold::Bridge if case.job.age_band == AgeBand::Child => {
            (For(15), say!(case, "Fingertips back, knuckle leads; after the bridge is sure."))
        }
        Hold::Bridge => (For(12), say!(case, "Well clear of the blade; the bridge holds round food from both sides.")),
    })
}

fn bridge(case: &Case<'_>) -> Said {
    (case.hold == Hold::Bridge).then(|| match right_hold(case) {
        Hold::Bridge if case.job.age_band == AgeBand::Child => {
            (For(28), say!(case, "First hold for children: the knife passes under the arch."))
        }
        Hold::Bridge => (For(28), say!(case, "Thumb and fingers either side, the blade under the arch.")),
        Hold::InHand | Hold::SpineTop | Hold::EndRest => (Refuse, say!(case, "The bridge stands over food on a board.")),
        Hold::FlatPalm => (Refuse, say!(case, "The blade comes level: palm flat on top, fingers up.")),
        Hold::Claw | Hold::Fork if case.job.age_band == AgeBand::Child => {
            (Against(4), say!(case, "This course teaches the claw from the start; the bridge still halves round food."))
        }
        Hold::Claw | Hold::Fork => {
            (Against(6), say!(case, "Good for halving small round food; it cannot set the thickness of slices."))
        }
    })
}

/// Dicing an onion with level cuts, as the course may teach it.
fn slices_onion_level(case: &Case<'_>) -> bool {
    case.dices_layers() && case.job.doctrines.onion_dice == OnionDice::LevelCut
}

fn flat_palm(case: &Case<'_>) -> Said {
    (case.hold == Hold::FlatPalm).then(|| {
        if right_hold(case) == Hold::FlatPalm {
            (For(30), say!(case, "Palm on top, fingers up and straight; the blade slow, away from the palm."))
        } else if slices_onion_level(case) {
            (For(12), say!(case, "For the level cuts of this course: palm flat on top, fingers up; the claw for the rest."))
        } else if case.job.cut.form == CutForm::CoredOnBoard && case.job.food.is(FoodTrait::Ribs) {
            (For(20), say!(case, "For the white ribs: the blade level, the palm flat on top."))
        } else {
            (Refuse, say!(case, "The flat palm is for a level cut; here the blade comes from above."))
        }
    })
}

fn spine_top(case: &Case<'_>) -> Said {
    (case.hold == Hold::SpineTop).then(|| {
        if right_hold(case) != Hold::SpineTop {
            (Refuse, say!(case, "With the hand on the spine nothing guides the food."))
        } else if case.motion == Motion::Crush {
            (For(30), say!(case, "The heel of the hand on the flat of the blade, the edge pointing away."))
        } else {
            (For(30), say!(case, "Palm on the spine near the tip, fingers up."))
        }
    })
}

fn fork(case: &Case<'_>) -> Said {
    (case.hold == Hold::Fork).then(|| {
        if right_hold(case) == Hold::Fork {
            (For(30), say!(case, "Guard up, behind the blade: it holds the joint, the hand stays away."))
        } else {
            (Refuse, say!(case, "A fork holds cooked joints; here it has nothing to hold."))
        }
    })
}

fn end_rest(case: &Case<'_>) -> Said {
    (case.hold == Hold::EndRest).then(|| {
        if right_hold(case) == Hold::EndRest {
            (For(30), say!(case, "Lower end on the board, the hand above; the peeler moves down and away."))
        } else {
            (Refuse, say!(case, "Only a peeler is drawn along food that leans on the board."))
        }
    })
}

/// Food of which all is the last safe bit, or nearly.
fn last_bit(case: &Case<'_>) -> Said {
    let length = case.job.food.length();
    let short = length.get() <= LAST_BIT.get() * 1.5 && !matches!(case.job.food.shape, Shape::Bundle { .. });
    (short && case.hold == Hold::Claw && case.on_board()).then(|| {
        (Against(6), say!(case, "Only ", length, " long: the last ", LAST_BIT, " come at once. Lay it flat, fingertips back."))
    })
}

fn level_cut(case: &Case<'_>) -> Said {
    if !case.dices_layers() || case.two_handed() || case.hold != Hold::Claw {
        return None;
    }
    let how = match case.job.doctrines.onion_dice {
        OnionDice::LevelCut => {
            return Some((Against(3), say!(case, "The level cuts of this course want the flat palm; then the claw.")));
        }
        OnionDice::HalfRings => "Half-rings crosswise, turned: nothing moves towards the hand.",
        OnionDice::Radial => "Radial cuts, no level cut: nothing moves towards the hand.",
        OnionDice::Verticals => "Verticals only, the last third turned: nothing moves towards the hand.",
        OnionDice::Computed => "Verticals or radial cuts, no level cut: nothing moves towards the hand.",
    };
    Some((For(4), say!(case, how)))
}

fn in_hand(case: &Case<'_>) -> Said {
    (case.hold == Hold::InHand).then(|| {
        if case.in_hand() {
            (For(30), say!(case, "Held off the board, the thumb clear of the cut's end."))
        } else {
            (Refuse, say!(case, capital(&case.job.cut.name), " is done on the board here, not in the hand."))
        }
    })
}

/// What the motion and the blade make of the edge: one part alone, or a choice by firmness.
enum Working {
    Only(Third, &'static str),
    ByFirmness,
}

fn working(case: &Case<'_>) -> Working {
    let profile = case.knife.kind.profile;
    let form = case.job.cut.form;
    match case.motion {
        Motion::Saw => Working::Only(Third::Whole, "Sawing uses the whole blade, in long strokes"),
        Motion::LongDraw => Working::Only(Third::Whole, "A long draw uses the whole blade, heel to tip"),
        Motion::Pull if profile == Profile::LongNarrow => {
            Working::Only(Third::Whole, "A slice is drawn with the whole blade, heel to tip")
        }
        Motion::PeelStroke | Motion::Snip => Working::Only(Third::Whole, "The whole of so short a blade works"),
        Motion::Score | Motion::Pierce => Working::Only(Third::Tip, "The tip does it"),
        Motion::Pull if matches!(form, CutForm::Jointed | CutForm::Boned) => Working::Only(Third::Tip, "The tip finds the joint"),
        Motion::InHandPull if matches!(form, CutForm::Cored | CutForm::Hulled | CutForm::Segmented) => {
            Working::Only(Third::Tip, "The tip does it")
        }
        Motion::InHandPull => Working::Only(Third::Middle, "The middle of a short blade follows the food"),
        Motion::Press | Motion::Crush => Working::Only(Third::Heel, "Force comes from the heel"),
        Motion::Rock | Motion::Push | Motion::Pull | Motion::Tap | Motion::PivotMince => Working::ByFirmness,
    }
}

/// Why the tip third cannot work here.
fn tip_contradicts(case: &Case<'_>) -> Option<&'static str> {
    match case.motion {
        _ if case.knife.kind.profile.is_square_ended() => Some("A square end has no tip third."),
        Motion::Rock | Motion::PivotMince => Some("The tip stays on the board and cuts nothing."),
        Motion::Tap => Some("The tip meets the board alone, beside the food."),
        Motion::Press | Motion::Crush => Some("There is no force at the tip."),
        _ => None,
    }
}

fn third(case: &Case<'_>) -> Said {
    if case.third == Third::Tip
        && let Some(why) = tip_contradicts(case)
    {
        return Some((Refuse, say!(case, why)));
    }
    let food = case.job.food;
    match working(case) {
        Working::Only(right, why) if case.third == right => Some((For(30), say!(case, why, "."))),
        Working::Only(_, why) => Some((Refuse, say!(case, why, "."))),
        Working::ByFirmness => {
            let draws = case.motion == Motion::Pull && tip_contradicts(case).is_none();
            let (feel, right) = match food.firmness {
                _ if draws && case.job.is_flesh() => ("drawn in long strokes", Third::Whole),
                0..=2 if draws => ("soft", Third::Tip),
                0..=2 => ("soft", Third::Middle),
                3 => ("medium firm", Third::Middle),
                _ => ("firm", Third::Heel),
            };
            let words = say!(case, capital(&food.name), ", ", feel, ": the ", right.said());
            let slides = matches!(case.motion, Motion::Push | Motion::Pull);
            Some(match case.third {
                third if third == right => (For(30), say!(case, words, ".")),
                Third::Whole if slides => (For(16), say!(case, "A long stroke with the whole blade slides best.")),
                Third::Whole => (Against(10), say!(case, words, "; the whole blade does not come down at once.")),
                Third::Middle => (For(8), say!(case, words, " would do it with less force.")),
                Third::Tip if food.firmness <= 2 => (For(8), say!(case, words, " is easier to keep even.")),
                Third::Heel if food.firmness <= 3 => (Against(8), say!(case, words, " is enough; the heel is for force.")),
                Third::Tip | Third::Heel => {
                    (Against(20), say!(case, words, ", at the other end of the blade, is the one that controls it."))
                }
            })
        }
    }
}
