//! Rules that follow from what a course has chosen: its doctrines and its boards.

use super::rule::{Said, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{BeginnerBlade, CutFamily, Edge, FoodTrait, GarlicDoctrine, Motion, SerratedUse, Skin, TipOnBoard};
use crate::people::{AgeBand, Pace};
use crate::units::Millimetres;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "board.material",
        text: "Glass, stone and ceramic boards are never used: they ruin the edge.",
        check: board_material,
    },
    Rule { id: "doctrine.serrated", text: "A course may keep teeth for bread alone.", check: serrated },
    Rule { id: "doctrine.beginner_blade", text: "A course may start learners small, or big.", check: beginner_blade },
    Rule { id: "doctrine.garlic", text: "A course may crush garlic with the flat, or take a small knife to it.", check: garlic },
];

fn board_material(case: &Case<'_>) -> Said {
    let (care, board) = (&case.job.catalogue.care, case.job.board);
    (!case.in_hand() && !care.board_allowed(board)).then(|| {
        (
            Refuse,
            say!(
                case,
                "The boards of this course are ",
                care.board_name(board),
                ": they ruin any edge. Wood, rubber or plastic."
            ),
        )
    })
}

fn serrated(case: &Case<'_>) -> Said {
    let skin = case.job.food.skin;
    (case.job.doctrines.serrated == SerratedUse::BreadOnly
        && case.knife.kind.edge == Edge::Serrated
        && skin.wants_teeth()
        && skin != Skin::Crust)
        .then(|| (Against(45), say!(case, "This course keeps teeth for bread.")))
}

fn beginner_blade(case: &Case<'_>) -> Said {
    let beginner = case.job.pace == Pace::Learner && case.job.age_band == AgeBand::Adult && !case.in_hand();
    let length = case.knife.length;
    if !beginner || case.knife.kind.edge != Edge::Straight {
        return None;
    }
    match case.job.doctrines.beginner_blade {
        BeginnerBlade::Ladder => None,
        BeginnerBlade::SmallFirst if length > Millimetres::whole(180) => {
            Some((Against(18), say!(case, "This course starts learners small; ", length, " is for later.")))
        }
        BeginnerBlade::SmallFirst => Some((For(6), say!(case, length, ": this course starts learners small."))),
        BeginnerBlade::BigFirst if length >= Millimetres::whole(200) => {
            Some((For(8), say!(case, length, " keeps the hands clear, as this course teaches it.")))
        }
        BeginnerBlade::BigFirst => {
            Some((Against(10), say!(case, "This course starts learners with ", Millimetres::whole(200), " or more.")))
        }
    }
}

pub(super) fn tip(case: &Case<'_>) -> Said {
    if !matches!(case.job.cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices) {
        return None;
    }
    match (case.job.doctrines.tip, case.motion) {
        (TipOnBoard::Stays, Motion::Rock) => Some((For(22), say!(case, "This course keeps the tip on the board."))),
        (TipOnBoard::Stays, Motion::Push | Motion::Tap) => {
            Some((Against(6), say!(case, "The tip leaves the board; this course keeps it down.")))
        }
        (TipOnBoard::Lifts, Motion::Push | Motion::Tap) => {
            Some((For(4), say!(case, "The tip lifts, as this course teaches it.")))
        }
        (TipOnBoard::Lifts, Motion::Rock) => Some((Against(20), say!(case, "The tip stays on the board; this course lifts it."))),
        _ => None,
    }
}

fn garlic(case: &Case<'_>) -> Said {
    if !case.job.food.is(FoodTrait::Crushes) || case.in_hand() {
        return None;
    }
    let (crushes, small) = (case.motion == Motion::Crush, case.knife.length <= Millimetres::whole(150));
    match case.job.doctrines.garlic {
        GarlicDoctrine::Both => None,
        GarlicDoctrine::Crush if crushes => Some((For(30), say!(case, "This course crushes garlic with the flat."))),
        GarlicDoctrine::Crush if case.job.cut.family == CutFamily::Chop => {
            Some((Against(8), say!(case, "This course crushes garlic with the flat first.")))
        }
        GarlicDoctrine::SmallKnife if crushes => {
            Some((Refuse, say!(case, "This course takes a small knife to garlic, not the flat.")))
        }
        GarlicDoctrine::SmallKnife if small => {
            Some((For(24), say!(case, "A small knife for garlic, as this course teaches it.")))
        }
        GarlicDoctrine::Crush | GarlicDoctrine::SmallKnife => None,
    }
}
