//! Rules about the motion.

use super::rule::{Said, say};
use super::{Case, Effect, Rule};
use crate::catalogue::{Cut, CutFamily, CutForm, Edge, FoodTrait, Motion};
use crate::units::Millimetres;
use crate::words::capital;
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule { id: "motion.suits_cut", text: "Each family of cuts has its motions.", check: suits_cut },
    Rule { id: "motion.suits_edge", text: "Teeth saw; a plain edge slides; a single bevel is drawn.", check: suits_edge },
    Rule { id: "motion.suits_knife", text: "Each knife has the motions that it is made for.", check: suits_knife },
    Rule { id: "motion.tap_height", text: "Tap food up to 25 mm high; above 50 mm aim is lost.", check: tap_height },
    Rule { id: "motion.rock", text: "Rocking wants a curved blade of 180 mm or more.", check: rock },
    Rule { id: "motion.tall_push", text: "Tall food and learners: push forward and down in one stroke.", check: tall_push },
    Rule { id: "motion.sticky", text: "Food that sticks comes off a drawn blade.", check: sticky },
    Rule { id: "doctrine.tip", text: "A course may keep the tip on the board, or lift it.", check: super::course_rules::tip },
    Rule { id: "motion.raw_animal", text: "Raw meat and fish are drawn in one stroke, not pushed or sawn.", check: raw_animal },
    Rule { id: "motion.mince_pile", text: "A pile is minced by a pivot with the tip down.", check: mince_pile },
];

/// Motions that a family of cuts is made with.
fn of_family(cut: &Cut) -> &'static [Motion] {
    match cut.family {
        CutFamily::Strips | CutFamily::Dice => &[Motion::Push, Motion::Pull, Motion::Tap, Motion::Rock, Motion::Saw],
        CutFamily::Slices => {
            &[Motion::Push, Motion::Pull, Motion::Tap, Motion::Rock, Motion::Saw, Motion::LongDraw, Motion::Press]
        }
        CutFamily::Chop => &[Motion::PivotMince, Motion::Rock, Motion::Push, Motion::Tap, Motion::Crush],
        CutFamily::Hand => &[Motion::InHandPull],
    }
}

fn suits_cut(case: &Case<'_>) -> Said {
    let name = case.job.catalogue.handling.motion_name(case.motion);
    (!of_family(case.job.cut).contains(&case.motion))
        .then(|| (Refuse, say!(case, "The ", name, " does not make ", case.job.cut.name, ".")))
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
    let (kind, name) = (case.knife.kind, handling.motion_name(case.motion));
    match kind.motions.iter().position(|motion| *motion == case.motion) {
        Some(0) => Some((For(8), say!(case, "The ", name, " is what a ", kind.name, " is made for."))),
        Some(1) => Some((For(6), say!(case, "A ", kind.name, " does the ", name, " well."))),
        Some(_) => Some((For(2), say!(case, "A ", kind.name, " can do the ", name, "."))),
        None => Some((Against(25), say!(case, "A ", kind.name, " is not made for the ", name, "."))),
    }
}

fn tap_height(case: &Case<'_>) -> Said {
    if case.motion != Motion::Tap {
        return None;
    }
    let height = case.job.food.height();
    Some(if height > Millimetres::whole(50) {
        (Refuse, say!(case, "Tapping food ", height, " high: above ", Millimetres::whole(50), " the aim is lost. Push or slice."))
    } else if height > Millimetres::whole(25) {
        (Against(15), say!(case, "Food stands ", height, ": tapping starts to lose its aim above ", Millimetres::whole(25), "."))
    } else {
        (For(5), say!(case, "Food stands ", height, ": low enough to tap."))
    })
}

fn rock(case: &Case<'_>) -> Said {
    if case.motion != Motion::Rock {
        return None;
    }
    let (kind, length) = (case.knife.kind, case.knife.length);
    if !kind.profile.rocks() {
        Some((Against(25), say!(case, "The tip of a ", kind.name, " digs in when it rocks.")))
    } else if length < Millimetres::whole(180) {
        Some((Against(25), say!(case, length, " is short for rocking: the tip digs in under ", Millimetres::whole(180), ".")))
    } else if case.job.food.height() > Millimetres::whole(45) {
        Some((Against(12), say!(case, "Food stands ", case.job.food.height(), ": the blade cannot rock over it.")))
    } else {
        None
    }
}

fn tall_push(case: &Case<'_>) -> Said {
    let height = case.job.food.height();
    (case.motion == Motion::Push && case.job.cut.family != CutFamily::Chop).then(|| {
        if height > Millimetres::whole(25) {
            (For(10), say!(case, "Food stands ", height, ": one stroke forward and down keeps the aim."))
        } else {
            (For(7), say!(case, "One stroke forward and down: the easiest to keep even."))
        }
    })
}

fn sticky(case: &Case<'_>) -> Said {
    (case.job.food.is(FoodTrait::Sticks) && case.motion == Motion::Pull)
        .then(|| (For(4), say!(case, "Drawn with the tip up, slices stay behind.")))
}

fn raw_animal(case: &Case<'_>) -> Said {
    let food = case.job.food;
    if !food.raw_animal || case.in_hand() {
        return None;
    }
    Some(match case.motion {
        Motion::Pull | Motion::LongDraw => (For(14), say!(case, "Drawn in one stroke: clean faces on ", food.name, ".")),
        Motion::Press | Motion::Crush => return None,
        _ => (Against(14), say!(case, capital(&food.name), " is drawn in one stroke, not pushed.")),
    })
}

fn mince_pile(case: &Case<'_>) -> Said {
    if case.job.cut.form != CutForm::Minced {
        return None;
    }
    Some(if case.motion == Motion::PivotMince {
        (For(16), say!(case, "The pile is fanned over with the tip down."))
    } else {
        (Against(8), say!(case, "A pile moves away under single strokes."))
    })
}
