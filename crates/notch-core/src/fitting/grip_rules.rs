//! Rules about the knife hand.

use super::rule::{Said, any_job, any_way, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{Edge, Grip, GripDoctrine, IndexOnSpine, Motion};
use crate::people::AgeBand;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "grip.pinch",
        text: "The pinch at the balance point is the default on the board.",
        about: any_job,
        takes: any_way,
        check: pinch,
    },
    Rule {
        id: "grip.handle",
        text: "The handle grip suits serrated knives, small hands and first lessons.",
        about: any_job,
        takes: any_way,
        check: handle,
    },
    Rule {
        id: "grip.index_on_spine",
        text: "The index lies on the spine only for a tip-draw, where the course allows it.",
        about: any_job,
        takes: any_way,
        check: index_on_spine,
    },
    Rule {
        id: "grip.choked_back",
        text: "The hand goes far back only for very large food.",
        about: any_job,
        takes: any_way,
        check: choked_back,
    },
    Rule {
        id: "grip.paring",
        text: "The paring grip is for the hand, never for the board.",
        about: any_job,
        takes: any_way,
        check: paring,
    },
    Rule {
        id: "grip.spine_top",
        text: "The other hand lies on the spine to mince and to press.",
        about: any_job,
        takes: any_way,
        check: spine_top,
    },
    Rule {
        id: "grip.boning_fist",
        text: "The fist with the blade down is for hanging and large joints, and not taught here.",
        about: any_job,
        takes: any_way,
        check: boning_fist,
    },
];

/// Peelers and scissors have no blade to pinch.
const fn held_by_handle(case: &Case<'_>) -> bool {
    matches!(case.motion, Motion::PeelStroke | Motion::Snip)
}

fn pinch(case: &Case<'_>) -> Said {
    (case.grip == Grip::Pinch).then(|| {
        if case.in_hand() {
            (Refuse, say!(case, "A pinch does not cut in the hand: curl the fingers round the handle."))
        } else if held_by_handle(case) {
            (Refuse, say!(case, "There is no blade to pinch: it is held by its handle."))
        } else if case.knife.kind.edge == Edge::Serrated {
            (Against(8), say!(case, "Teeth saw: the whole hand on the handle steers better."))
        } else if case.job.age_band == AgeBand::Child && case.job.doctrines.grip != GripDoctrine::PinchOnly {
            (For(8), say!(case, "Thumb and bent finger on the blade, once the handle grip is sure."))
        } else if case.job.doctrines.grip == GripDoctrine::Handle {
            (For(14), say!(case, "Firmer than the handle; this course teaches the handle first."))
        } else {
            (For(30), say!(case, "Thumb and bent finger at the balance point: a nudge does not move it."))
        }
    })
}

fn handle(case: &Case<'_>) -> Said {
    (case.grip == Grip::Handle).then(|| {
        if case.in_hand() {
            (Against(15), say!(case, "In the hand the fingers curl round, thumb ahead of the cut's end."))
        } else if held_by_handle(case) {
            (For(30), say!(case, "Held by its handle."))
        } else if case.knife.kind.edge == Edge::Serrated {
            (For(28), say!(case, "The handle is shaped for it, and sawing wants the whole hand."))
        } else if case.job.doctrines.grip == GripDoctrine::PinchOnly {
            (Refuse, say!(case, "This course teaches the pinch only."))
        } else if case.job.doctrines.grip == GripDoctrine::Handle {
            (For(32), say!(case, "The whole hand on the handle, as this course teaches it."))
        } else if case.job.age_band == AgeBand::Child {
            (For(25), say!(case, "Small hands: the whole hand on the handle first."))
        } else {
            (For(12), say!(case, "Accepted; the pinch gives more control."))
        }
    })
}

fn index_on_spine(case: &Case<'_>) -> Said {
    (case.grip == Grip::IndexOnSpine).then(|| match (case.job.doctrines.index_on_spine, case.motion) {
        (IndexOnSpine::Never, _) => {
            (Refuse, say!(case, "This course does not allow the index on the spine: less control, a tired wrist, slips."))
        }
        (IndexOnSpine::TipDraw, Motion::Pull | Motion::LongDraw | Motion::Score) if !case.job.cut.form.parts_whole() => {
            (Against(10), say!(case, "Allowed in this course for the light tip-draw only."))
        }
        (IndexOnSpine::TipDraw, _) => (Refuse, say!(case, "The index lies on the spine only for the light tip-draw.")),
    })
}

fn choked_back(case: &Case<'_>) -> Said {
    (case.grip == Grip::ChokedBack).then(|| {
        let (cut, blade) = (case.job.cut_length(), case.knife.length);
        if !case.on_board() || held_by_handle(case) || case.two_handed() {
            (Refuse, say!(case, "Small work is held close to the blade."))
        } else if cut.get() > blade.get() - 50.0 {
            (For(14), say!(case, "Frees the whole ", blade, " for a ", cut, " cut. Less control: watched."))
        } else {
            (Against(30), say!(case, "Less control, and this cut does not need the whole ", blade, "."))
        }
    })
}

fn paring(case: &Case<'_>) -> Said {
    (case.grip == Grip::Paring).then(|| {
        if case.in_hand() {
            (For(30), say!(case, "Only the hand flexes; the thumb stays ahead of the cut's end."))
        } else {
            (Refuse, say!(case, "The paring grip cuts towards the thumb: in the hand only, never on the board."))
        }
    })
}

fn spine_top(case: &Case<'_>) -> Said {
    (case.grip == Grip::SpineTop).then(|| {
        if case.two_handed() {
            (For(38), say!(case, "The other palm on the spine, fingers up: both hands above the edge."))
        } else {
            (Refuse, say!(case, "Both hands on the knife leave none to guide the food."))
        }
    })
}

fn boning_fist(case: &Case<'_>) -> Said {
    (case.grip == Grip::BoningFist)
        .then(|| (Refuse, say!(case, "The fist with the blade down is for hanging and large joints; it is not taught here.")))
}
