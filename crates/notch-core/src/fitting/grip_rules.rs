//! Rules about the knife hand.

use super::{Case, Effect, Rule};
use crate::catalogue::{CutFamily, Edge, Grip, Motion};
use crate::people::AgeBand;
use Effect::{Against, For, Refuse};

type Found = Option<(Effect, String)>;

pub(super) const RULES: &[Rule] = &[
    Rule { id: "grip.pinch", text: "The pinch at the balance point is the default on the board.", check: pinch },
    Rule { id: "grip.handle", text: "The handle grip suits serrated knives, small hands and first lessons.", check: handle },
    Rule {
        id: "grip.index_on_spine",
        text: "The index lies on the spine only for a tip-draw, where the course allows it.",
        check: index_on_spine,
    },
    Rule { id: "grip.choked_back", text: "The hand goes far back only for very large food.", check: choked_back },
    Rule { id: "grip.paring", text: "The paring grip is for the hand, never for the board.", check: paring },
    Rule { id: "grip.spine_top", text: "The other hand lies on the spine to mince and to press.", check: spine_top },
];

fn in_hand(case: &Case<'_>) -> bool {
    case.job.cut.family == CutFamily::Hand
}

fn two_handed(motion: Motion) -> bool {
    matches!(motion, Motion::PivotMince | Motion::Press)
}

fn pinch(case: &Case<'_>) -> Found {
    (case.grip == Grip::Pinch).then(|| {
        if in_hand(case) {
            (Refuse, "A pinch does not cut in the hand: curl the fingers round the handle.".to_owned())
        } else if case.knife.kind.edge == Edge::Serrated {
            (Against(8), "Teeth saw: the whole hand on the handle steers better.".to_owned())
        } else if case.job.age_band == AgeBand::Child {
            (For(8), "Thumb and bent finger on the blade, once the handle grip is sure.".to_owned())
        } else {
            (For(30), "Thumb and bent finger at the balance point: a nudge does not move it.".to_owned())
        }
    })
}

fn handle(case: &Case<'_>) -> Found {
    (case.grip == Grip::Handle).then(|| {
        if in_hand(case) {
            (Against(15), "In the hand the fingers curl round, thumb ahead of the cut's end.".to_owned())
        } else if case.knife.kind.edge == Edge::Serrated {
            (For(28), "The handle is shaped for it, and sawing wants the whole hand.".to_owned())
        } else if case.job.age_band == AgeBand::Child {
            (For(25), "Small hands: the whole hand on the handle first.".to_owned())
        } else {
            (For(12), "Accepted; the pinch gives more control.".to_owned())
        }
    })
}

fn index_on_spine(case: &Case<'_>) -> Found {
    (case.grip == Grip::IndexOnSpine).then(|| match (case.job.index_on_spine, case.motion) {
        (false, _) => {
            (Refuse, "This course does not allow the index on the spine: less control, a tired wrist, slips.".to_owned())
        }
        (true, Motion::Pull | Motion::LongDraw) => {
            (Against(10), "Allowed in this course for the light tip-draw only.".to_owned())
        }
        (true, _) => (Refuse, "The index lies on the spine only for the light tip-draw.".to_owned()),
    })
}

fn choked_back(case: &Case<'_>) -> Found {
    (case.grip == Grip::ChokedBack).then(|| {
        let (cut, blade) = (case.job.cut_length(), case.knife.length);
        if cut.get() > blade.get() - 50.0 && !in_hand(case) {
            (For(14), format!("Frees the whole {blade} mm for a {cut} mm cut. Less control: watched."))
        } else {
            (Against(30), format!("Less control, and a {cut} mm cut does not need the whole {blade} mm."))
        }
    })
}

fn paring(case: &Case<'_>) -> Found {
    (case.grip == Grip::Paring).then(|| match (in_hand(case), case.job.towards_self) {
        (true, true) => (For(30), "Only the hand flexes; the thumb stays ahead of the cut's end.".to_owned()),
        (true, false) => (Refuse, "This course does not cut towards oneself.".to_owned()),
        (false, _) => (Refuse, "The paring grip cuts towards the thumb: in the hand only, never on the board.".to_owned()),
    })
}

fn spine_top(case: &Case<'_>) -> Found {
    (case.grip == Grip::SpineTop).then(|| {
        if two_handed(case.motion) {
            (For(38), "The other palm on the spine, fingers up: both hands above the edge.".to_owned())
        } else {
            (Refuse, "Both hands on the knife leave none to guide the food.".to_owned())
        }
    })
}
