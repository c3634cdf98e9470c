//! Rules that follow from what a course has chosen: its doctrines and its boards.

use super::rule::{Said, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{BeginnerBlade, CutForm, Edge, FoodTrait, GarlicDoctrine, Motion, Nature, SerratedUse, TipOnBoard, Work};
use crate::people::{AgeBand, Pace};
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "board.material",
        text: "Glass, stone and ceramic boards are never used: they ruin the edge.",
        about: |job| !job.board_allowed,
        takes: |_, motion| motion.on_board(),
        check: board_material,
    },
    Rule {
        id: "board.blade",
        text: "A blade lies on its board from tip to heel, with 50 mm to spare.",
        about: |job| job.board_size.is_some(),
        takes: |_, motion| motion.on_board() && motion != Motion::Snip,
        check: blade_on_board,
    },
    Rule {
        id: "board.food",
        text: "Food lies on its board whole, as it is opened.",
        about: |job| job.board_size.is_some(),
        takes: |_, motion| motion.on_board(),
        check: food_on_board,
    },
    Rule {
        id: "doctrine.serrated",
        text: "A course may keep teeth for bread alone.",
        about: |job| job.doctrines.serrated == SerratedUse::BreadOnly && !matches!(job.food.nature, Nature::Bread | Nature::Cake),
        takes: |knife, _| knife.kind.edge == Edge::Serrated,
        check: serrated,
    },
    Rule {
        id: "doctrine.beginner_blade",
        text: "A course may start learners small, or big.",
        about: |job| {
            job.pace == Pace::Learner && job.age_band == AgeBand::Adult && job.doctrines.beginner_blade != BeginnerBlade::Ladder
        },
        takes: |knife, motion| knife.kind.edge == Edge::Straight && motion.on_board(),
        check: beginner_blade,
    },
    Rule {
        id: "class.may_hold",
        text: "A knife for the whole class is one that every student may hold.",
        about: |job| job.trainee.is_none(),
        takes: |knife, _| knife.barred > 0,
        check: may_hold,
    },
    Rule {
        id: "doctrine.garlic",
        text: "A course may crush garlic with the flat, or take a small knife to it.",
        about: |job| job.food.is(FoodTrait::Clove),
        takes: |_, motion| motion.on_board(),
        check: garlic,
    },
];

fn board_material(case: &Case<'_>) -> Said {
    let (care, board) = (&case.job.catalogue.care, case.job.board);
    let name = care.board_name(board);
    Some((Refuse, say!(case, "The boards of this course are ", name, ": they ruin any edge. Wood, rubber or plastic.")))
}

/// Board beyond the blade, so that the tip stays over it as the blade travels.
const BEYOND_THE_BLADE: Millimetres = Millimetres::whole(50);

fn blade_on_board(case: &Case<'_>) -> Said {
    let (board, blade) = (case.job.board_size?, case.knife.length);
    if blade > board.length {
        return Some((
            Refuse,
            say!(case, "A blade of ", blade, " on a board of ", board.length, ": the tip stands over the edge."),
        ));
    }
    (blade + BEYOND_THE_BLADE > board.length).then(|| {
        (Against(15), say!(case, "A blade of ", blade, " on a board of ", board.length, ": the tip soon stands over the edge."))
    })
}

fn food_on_board(case: &Case<'_>) -> Said {
    let board = case.job.board_size?;
    if let Some((breadth, side)) = case.job.too_broad_for(board) {
        return Some((
            Refuse,
            say!(case, capital(&case.job.food.name), ": ", breadth, " across on a board ", side, " wide: a larger board."),
        ));
    }
    let long = case.job.lies.length.longer(case.job.lies.across);
    (long > board.length).then(|| {
        (
            Against(10),
            say!(
                case,
                capital(&case.job.food.name),
                ": ",
                long,
                " long on a board of ",
                board.length,
                ": cut it across first, or take a larger board."
            ),
        )
    })
}

fn serrated(case: &Case<'_>) -> Said {
    Some((Against(45), say!(case, "This course keeps teeth for bread.")))
}

fn beginner_blade(case: &Case<'_>) -> Said {
    let length = case.knife.length;
    if case.work != Work::Produce {
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

fn may_hold(case: &Case<'_>) -> Said {
    let (all, barred) = (case.job.class_size, case.knife.barred);
    if all == 0 {
        return None;
    }
    // A knife that nobody may hold stands behind every one that fits and somebody may.
    let less = if barred >= all { 60 } else { 8 + u8::try_from(u64::from(barred) * 32 / u64::from(all)).unwrap_or(32) };
    Some((
        Against(less),
        if barred >= all {
            say!(case, "Nobody in this class may hold it yet.")
        } else {
            say!(case, barred, " of ", all, " in this class may not hold it yet; they take another.")
        },
    ))
}

pub(super) fn tip(case: &Case<'_>) -> Said {
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
    let small = case.knife.length <= Millimetres::whole(150);
    let asked_for = case.job.cut.form == CutForm::Crushed;
    match case.job.doctrines.garlic {
        GarlicDoctrine::Crush if case.motion == Motion::Crush => {
            Some((For(30), say!(case, "This course crushes garlic with the flat.")))
        }
        GarlicDoctrine::Crush if matches!(case.job.cut.form, CutForm::Minced | CutForm::Paste) => {
            Some((Against(8), say!(case, "This course crushes garlic with the flat first.")))
        }
        GarlicDoctrine::SmallKnife if case.motion == Motion::Crush && !asked_for => {
            Some((Refuse, say!(case, "This course takes a small knife to garlic, not the flat.")))
        }
        GarlicDoctrine::SmallKnife if small && case.motion != Motion::Crush => {
            Some((For(40), say!(case, "A small knife for garlic, as this course teaches it.")))
        }
        _ => None,
    }
}
