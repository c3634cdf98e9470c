//! Rules that follow from what a course has chosen: its schools and its boards.

use super::{Case, Effect, Rule};
use crate::catalogue::{BeginnerBlade, CutFamily, Edge, GarlicSchool, Motion, SerratedUse, Skin, TipOnBoard};
use crate::people::{AgeBand, Pace};
use crate::units::Millimetres;
use Effect::{Against, For, Refuse};

type Found = Option<(Effect, String)>;

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "board.material",
        text: "Glass, stone and ceramic boards are never used: they ruin the edge.",
        check: board_material,
    },
    Rule { id: "school.serrated", text: "A course may keep teeth for bread alone.", check: serrated },
    Rule { id: "school.beginner_blade", text: "A course may start learners small, or big.", check: beginner_blade },
    Rule { id: "school.garlic", text: "A course may crush garlic with the flat, or take a small knife to it.", check: garlic },
];

fn board_material(case: &Case<'_>) -> Found {
    let (care, board) = (&case.job.catalogue.care, case.job.board);
    (!case.in_hand() && !care.board_allowed(board)).then(|| {
        (
            Refuse,
            say!(case, "The boards of this course are {}: they ruin any edge. Wood, rubber or plastic.", care.board_name(board)),
        )
    })
}

fn serrated(case: &Case<'_>) -> Found {
    let skin = case.job.food.skin;
    (case.job.schools.serrated == SerratedUse::BreadOnly
        && case.knife.kind.edge == Edge::Serrated
        && skin.wants_teeth()
        && skin != Skin::Crust)
        .then(|| (Against(45), say!(case, "This course keeps teeth for bread.")))
}

fn beginner_blade(case: &Case<'_>) -> Found {
    let beginner = case.job.pace == Pace::Learner && case.job.age_band == AgeBand::Adult && !case.in_hand();
    let length = case.knife.length;
    if !beginner || case.knife.kind.edge != Edge::Straight {
        return None;
    }
    match case.job.schools.beginner_blade {
        BeginnerBlade::Ladder => None,
        BeginnerBlade::SmallFirst if length > Millimetres::whole(180) => {
            Some((Against(18), say!(case, "This course starts learners small; {length} mm is for later.")))
        }
        BeginnerBlade::SmallFirst => Some((For(6), say!(case, "{length} mm: this course starts learners small."))),
        BeginnerBlade::BigFirst if length >= Millimetres::whole(200) => {
            Some((For(8), say!(case, "{length} mm keeps the hands clear, as this course teaches it.")))
        }
        BeginnerBlade::BigFirst => Some((Against(10), say!(case, "This course starts learners with 200 mm or more."))),
    }
}

pub(super) fn tip(case: &Case<'_>) -> Found {
    if !matches!(case.job.cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices) {
        return None;
    }
    match (case.job.schools.tip, case.motion) {
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

fn garlic(case: &Case<'_>) -> Found {
    if case.job.food.id != "garlic" || case.in_hand() {
        return None;
    }
    let (crushes, small) = (case.motion == Motion::Crush, case.knife.length <= Millimetres::whole(150));
    match case.job.schools.garlic {
        GarlicSchool::Both => None,
        GarlicSchool::Crush if crushes => Some((For(30), say!(case, "This course crushes garlic with the flat."))),
        GarlicSchool::Crush if case.job.cut.family == CutFamily::Chop => {
            Some((Against(8), say!(case, "This course crushes garlic with the flat first.")))
        }
        GarlicSchool::SmallKnife if crushes => {
            Some((Refuse, say!(case, "This course takes a small knife to garlic, not the flat.")))
        }
        GarlicSchool::SmallKnife if small => Some((For(24), say!(case, "A small knife for garlic, as this course teaches it."))),
        GarlicSchool::Crush | GarlicSchool::SmallKnife => None,
    }
}
