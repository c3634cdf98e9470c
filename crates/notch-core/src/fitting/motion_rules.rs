//! Rules about the motion.

use super::rule::{Said, any_job, any_way, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{CitrusPeel, CutFamily, CutForm, Edge, FoodTrait, Motion, PeelTool, TowardsSelf};
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "motion.suits_cut",
        text: "Each cut of a food has its motions.",
        about: any_job,
        takes: any_way,
        check: suits_cut,
    },
    Rule {
        id: "motion.suits_edge",
        text: "Teeth saw; a plain edge slides; a single bevel is drawn.",
        about: any_job,
        takes: |knife, motion| motion == Motion::Saw || knife.kind.edge != Edge::Straight,
        check: suits_edge,
    },
    Rule {
        id: "motion.suits_knife",
        text: "Each knife has the motions that it is made for.",
        about: any_job,
        takes: any_way,
        check: suits_knife,
    },
    Rule {
        id: "motion.tap_height",
        text: "Tap food up to 25 mm high; above 50 mm aim is lost.",
        about: any_job,
        takes: |_, motion| motion == Motion::Tap,
        check: tap_height,
    },
    Rule {
        id: "motion.rock",
        text: "Rocking wants a curved blade of 180 mm or more.",
        about: any_job,
        takes: |_, motion| motion == Motion::Rock,
        check: rock,
    },
    Rule {
        id: "motion.tall_push",
        text: "Tall food and learners: push forward and down in one stroke.",
        about: |job| !matches!(job.cut.form, CutForm::Minced | CutForm::Paste),
        takes: |_, motion| motion == Motion::Push,
        check: tall_push,
    },
    Rule {
        id: "motion.sticky",
        text: "Food that sticks comes off a drawn blade.",
        about: |job| job.food.is(FoodTrait::Sticks),
        takes: |_, motion| motion == Motion::Pull,
        check: sticky,
    },
    Rule {
        id: "doctrine.tip",
        text: "A course may keep the tip on the board, or lift it.",
        about: |job| matches!(job.cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices),
        takes: |_, motion| matches!(motion, Motion::Rock | Motion::Push | Motion::Tap),
        check: super::course_rules::tip,
    },
    Rule {
        id: "motion.flesh",
        text: "Meat and fish, raw, cured or cooked, are drawn in one stroke, not pushed or sawn.",
        about: |job| job.is_flesh(),
        takes: |_, motion| motion.on_board(),
        check: flesh,
    },
    Rule {
        id: "motion.mince_pile",
        text: "A pile is minced by a pivot with the tip down.",
        about: |job| job.cut.form == CutForm::Minced,
        takes: any_way,
        check: mince_pile,
    },
    Rule {
        id: "motion.snip",
        text: "A bird's backbone and the fins of a fish come off with scissors, without force.",
        about: |job| job.is_snipped(),
        takes: any_way,
        check: snip,
    },
    Rule {
        id: "motion.towards_self",
        text: "The one sanctioned cut towards oneself is made in the hand, where the course allows it.",
        about: any_job,
        takes: |_, motion| motion == Motion::InHandPull,
        check: towards_self,
    },
    Rule {
        id: "motion.in_hand_size",
        text: "In the hand only what the guide hand closes round.",
        about: any_job,
        takes: |_, motion| motion == Motion::InHandPull,
        check: in_hand_size,
    },
    Rule {
        id: "motion.level",
        text: "A level cut moves slowly in one direction, away from the palm.",
        about: |job| job.is_level(),
        takes: |_, motion| matches!(motion, Motion::Push | Motion::Rock | Motion::Tap),
        check: level,
    },
    Rule {
        id: "doctrine.peel_tool",
        text: "A course may peel with a peeler first, or with a knife.",
        about: |job| job.cut.form == CutForm::Peeled,
        takes: any_way,
        check: peel_tool,
    },
    Rule {
        id: "doctrine.citrus_peel",
        text: "A course may skin and segment citrus on the board, or in the hand.",
        about: |job| job.cut.form == CutForm::Segmented,
        takes: any_way,
        check: citrus_peel,
    },
];

fn suits_cut(case: &Case<'_>) -> Said {
    let name = || case.job.catalogue.handling.motion_name(case.motion);
    (!case.job.is_made_by(case.motion)).then(|| (Refuse, say!(case, case.title(), ": not by the ", name(), ".")))
}

fn suits_edge(case: &Case<'_>) -> Said {
    match (case.knife.kind.edge, case.motion) {
        (Edge::Serrated, Motion::Saw) => Some((For(10), say!(case, "Teeth cut by moving back and forth."))),
        (Edge::Serrated, _) => Some((Refuse, say!(case, "Teeth cut only by moving back and forth: saw."))),
        (Edge::Straight, Motion::Saw) => Some((Refuse, say!(case, "A plain edge is not sawn: it slides in one stroke."))),
        (Edge::SingleBevel, motion) if motion != Motion::Pull => {
            Some((Refuse, say!(case, "A single bevel is only drawn: wrist fixed, elbow leads.")))
        }
        _ => None,
    }
}

fn suits_knife(case: &Case<'_>) -> Said {
    let handling = &case.job.catalogue.handling;
    let (kind, name) = (case.knife.kind, || handling.motion_name(case.motion));
    match kind.motions.iter().position(|motion| *motion == case.motion) {
        Some(_) if matches!(case.motion, Motion::Score | Motion::Pierce | Motion::Crush | Motion::Snip) => {
            Some((For(14), say!(case, "The ", name(), " is what this takes.")))
        }
        Some(0) => Some((For(8), say!(case, "The ", name(), " is what the ", kind.name, " is made for."))),
        Some(1) => Some((For(6), say!(case, "The ", kind.name, " does the ", name(), " well."))),
        Some(_) => Some((For(2), say!(case, "The ", kind.name, " can do the ", name(), "."))),
        None => Some((Refuse, say!(case, "The ", kind.name, " is not made for the ", name(), "."))),
    }
}

fn tap_height(case: &Case<'_>) -> Said {
    let height = case.job.lies.height;
    Some(if height > Millimetres::whole(50) {
        (Refuse, say!(case, "Tapping food ", height, " high: above ", Millimetres::whole(50), " the aim is lost. Push or slice."))
    } else if height > Millimetres::whole(25) {
        (Against(15), say!(case, "Food stands ", height, ": tapping starts to lose its aim above ", Millimetres::whole(25), "."))
    } else {
        (For(5), say!(case, "Food stands ", height, ": low enough to tap."))
    })
}

fn rock(case: &Case<'_>) -> Said {
    let (kind, length, height) = (case.knife.kind, case.knife.length, case.job.lies.height);
    if !kind.profile.rocks() {
        Some((Against(25), say!(case, "The tip of the ", kind.name, " digs in when it rocks.")))
    } else if length < Millimetres::whole(180) {
        Some((Against(25), say!(case, length, " is short for rocking: the tip digs in under ", Millimetres::whole(180), ".")))
    } else if height > Millimetres::whole(45) {
        Some((Against(12), say!(case, "Food stands ", height, ": the blade cannot rock over it.")))
    } else {
        None
    }
}

fn tall_push(case: &Case<'_>) -> Said {
    let height = case.job.lies.height;
    Some(if height > Millimetres::whole(25) {
        (For(8), say!(case, "Food stands ", height, ": one stroke forward and down keeps the aim."))
    } else {
        (For(7), say!(case, "One stroke forward and down: the easiest to keep even."))
    })
}

fn sticky(case: &Case<'_>) -> Said {
    Some((For(4), say!(case, "Drawn with the tip down and the handle high, slices stay behind.")))
}

fn flesh(case: &Case<'_>) -> Said {
    let food = case.job.food;
    match case.motion {
        Motion::Pull | Motion::LongDraw => Some((For(12), say!(case, "Drawn in one stroke: clean faces on ", food.name, "."))),
        Motion::Push => Some((Against(4), say!(case, capital(&food.name), " is drawn rather than pushed."))),
        Motion::Rock | Motion::Tap | Motion::Saw => {
            Some((Against(14), say!(case, capital(&food.name), " is drawn in one stroke: it crushes under the edge otherwise.")))
        }
        _ => None,
    }
}

fn mince_pile(case: &Case<'_>) -> Said {
    Some(if case.motion == Motion::PivotMince && case.knife.kind.profile.rocks() {
        (For(16), say!(case, "The pile is fanned over with the tip down."))
    } else if case.motion == Motion::PivotMince {
        (For(4), say!(case, "The pile is fanned over with the tip down; a curved edge does it with less lifting."))
    } else {
        (Against(8), say!(case, "A pile moves away under single strokes."))
    })
}

fn snip(case: &Case<'_>) -> Said {
    let what = if case.job.food.is(FoodTrait::FishBone) { "Fins come" } else { "The backbone comes" };
    Some(if case.motion == Motion::Snip {
        (For(24), say!(case, what, " off between two blades, without force."))
    } else {
        (Against(14), say!(case, what, " off more safely with scissors: a blade slips on them."))
    })
}

fn towards_self(case: &Case<'_>) -> Said {
    (case.job.is_made_by(case.motion) && case.job.doctrines.towards_self == TowardsSelf::Never)
        .then(|| (Refuse, say!(case, "This course does not cut towards oneself: on the board, or with a peeler.")))
}

fn in_hand_size(case: &Case<'_>) -> Said {
    (case.job.is_made_by(case.motion) && !case.job.fits_the_hand()).then(|| {
        (
            Refuse,
            say!(case, "Too large for the hand to close round: ", case.job.food.name, " is stood on a flat end, on the board."),
        )
    })
}

fn level(case: &Case<'_>) -> Said {
    Some((Against(10), say!(case, "Level, the blade is drawn slowly away from the palm; a push runs on towards the fingers.")))
}

fn peel_tool(case: &Case<'_>) -> Said {
    match (case.job.doctrines.peel_tool, case.motion) {
        (PeelTool::Peeler, Motion::PeelStroke) => {
            Some((For(12), say!(case, "The peeler moves away from the hand: it comes first.")))
        }
        (PeelTool::Knife, Motion::InHandPull) => Some((For(20), say!(case, "This course peels with a knife."))),
        _ => None,
    }
}

fn citrus_peel(case: &Case<'_>) -> Said {
    match (case.job.doctrines.citrus_peel, case.motion) {
        (CitrusPeel::Board, Motion::Pull) => Some((For(12), say!(case, "On the board: nothing moves towards the thumb."))),
        (CitrusPeel::Hand, Motion::InHandPull) => {
            Some((For(12), say!(case, "In the hand over a bowl, as this course teaches it.")))
        }
        _ => None,
    }
}
