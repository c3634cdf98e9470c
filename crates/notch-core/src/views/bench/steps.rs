//! The chain step by step: what the hands do, how the edge moves, with which part of the blade.

use serde::Serialize;

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, CutFamily, Food, FoodTrait, Opened, Shape, Target, TargetSize, Third};
use crate::fitting::{Candidate, Fixed, Job, ShownCaution, suggest};
use crate::geometry::{Block, Piece, squared_stalk};
use crate::units::Millimetres;

/// What the drawing shows at a step.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum StepShows {
    /// The whole food, its ends marked.
    Whole,
    /// The food with one flat face.
    Flat,
    /// Half the food on its cut face.
    Halved,
    /// The block inside it.
    Block,
    /// The planks apart.
    Planks,
    /// The sticks apart.
    Sticks,
    /// The pieces apart.
    Pieces,
}

/// A step of the chain.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchStep {
    /// What is done.
    pub title: String,
    /// What the hands do.
    pub detail: String,
    /// How many come of it.
    pub count: Option<u32>,
    /// To which size they are cut.
    pub size: Option<Millimetres>,
    /// The guide hand, the motion, the part of the blade: `claw · push cut · heel third`.
    pub how: String,
    /// Part of the blade.
    pub third: Option<Third>,
    /// Cautions that first come up here.
    pub cautions: Vec<ShownCaution>,
    /// What the drawing shows.
    pub shows: StepShows,
}

struct Stage {
    title: &'static str,
    detail: &'static str,
    count: Option<u32>,
    size: Option<Millimetres>,
    shows: StepShows,
    /// The food as it lies on the board: length, width, height; none while it is whole.
    lies: Option<[f64; 3]>,
}

/// What the pieces are cut from.
pub(super) enum Source<'a> {
    /// A block; flat first its sides are not squared.
    Block { block: &'a Block, flat_first: bool },
    /// The halves of a layered food.
    Layers,
}

/// The steps that lead to the pieces, with a knife.
pub(super) fn steps(
    at_hand: &AtHand<'_>,
    (food, cut, target): (&Food, &Cut, &Target),
    source: &Source<'_>,
    knife: Option<&Candidate<'_>>,
) -> Vec<BenchStep> {
    let mut told: Vec<String> = Vec::new();
    let found = match *source {
        Source::Block { block, flat_first } => {
            stages((food, cut, target), block, flat_first, at_hand.catalogue.handling.stack_planks)
        }
        Source::Layers => layered_stages(food, cut, target),
    };
    found
        .into_iter()
        .map(|stage| {
            let mut lying = food.clone();
            if let Some([length, width, height]) = stage.lies {
                let side = |size: f64| Millimetres::clamped(size.max(1.0));
                lying.shape = Shape::Block { length: side(length), width: side(width), height: side(height) };
                lying.traits.retain(|each| *each != FoodTrait::Rolls);
                lying.opened = Opened { height: side(height), across: side(width), length: side(length), ..lying.opened };
            }
            let job = Job::of(at_hand, &lying, cut, *target, None);
            let found = knife.map(|knife| suggest(&job, std::slice::from_ref(knife), Fixed::default()));
            let setup = found.as_ref().and_then(|found| found.setup);
            let handling = &at_hand.catalogue.handling;
            let how = setup.map(|setup| {
                let (hold, motion) = (handling.hold_name(setup.hold), handling.motion_name(setup.motion));
                format!("{hold} · {motion} · {}", setup.third.said())
            });
            let mut cautions = found.map(|found| found.cautions).unwrap_or_default();
            cautions.retain(|caution| !told.contains(&caution.id));
            told.extend(cautions.iter().map(|caution| caution.id.clone()));
            BenchStep {
                title: stage.title.to_owned(),
                detail: stage.detail.to_owned(),
                count: stage.count,
                size: stage.size,
                how: how.unwrap_or_default(),
                third: setup.map(|setup| setup.third),
                cautions,
                shows: stage.shows,
            }
        })
        .collect()
}

fn stages((food, cut, target): (&Food, &Cut, &Target), block: &Block, flat_first: bool, stack: u32) -> Vec<Stage> {
    let side = |size: Option<TargetSize>| size.map(TargetSize::nominal);
    let (plank, stick, length) = match cut.family {
        CutFamily::Dice => (side(target.width), side(target.length), side(target.thickness)),
        _ => (side(target.thickness), side(target.width), side(target.length)),
    };
    let mm = |size: Option<Millimetres>| size.map_or(1.0, Millimetres::get);
    let (t, w) = (mm(plank), mm(stick));
    let (high, wide) = (f64::from(block.planks) * t, f64::from(block.sticks) * w);
    let long = f64::from(block.pieces) * mm(length);
    let mut found = to_a_block(food, long, wide, flat_first);
    if let Shape::Stalk { width, thickness, .. } = food.shape {
        let piece = [plank, stick, length].map(|side| side.unwrap_or(Millimetres::ZERO));
        let thickness_across = Piece::new(piece[0], piece[1], piece[2])
            .is_ok_and(|piece| squared_stalk(width, thickness, food.length(), piece).thickness_across);
        let sides = [(block.planks, plank), (block.sticks, stick)];
        let [strips, deep] = if thickness_across { sides } else { [sides[1], sides[0]] };
        found.extend(strips_of_a_stalk(strips, deep, stack, long));
    }
    let planked = !matches!(food.shape, Shape::Stalk { .. });
    let mut cut_up = |title, detail, count: u32, size, shows, lies| {
        if count > 1 {
            found.push(Stage { title, detail, count: Some(count), size, shows, lies: Some(lies) });
        }
    };
    if planked {
        let detail = "The first one decides: its error is in every stick and cube that is cut from it.";
        cut_up("Planks", detail, block.planks, plank, StepShows::Planks, [long, wide, high]);
    }
    let stacked = stack.min(block.planks).max(1);
    let detail = if flat_first {
        "Stack planks by twos, rounded edges off as they come; from the widest plank"
    } else if stacked > 1 {
        "Stack planks by twos on their wide face; from each plank"
    } else {
        "Flat on the board, tough side down; from each plank"
    };
    if planked {
        cut_up("Sticks", detail, block.sticks, stick, StepShows::Sticks, [long, wide, f64::from(stacked) * t]);
    }
    cut_up(
        "Crosscuts",
        if flat_first {
            "Gather the sticks, ragged ends off first; from the longest stick"
        } else {
            "Gather the sticks, ends even against the flat of the blade; from each stick"
        },
        block.pieces,
        length,
        StepShows::Pieces,
        [long, wide.max(w), t],
    );
    found
}

/// A layered food halved: sticks of its layers laid flat, or dice of its halves.
fn layered_stages(food: &Food, cut: &Cut, target: &Target) -> Vec<Stage> {
    let (across, usable) = (food.width().get(), food.length().less(food.trim + food.trim).get());
    let side = |size: Option<TargetSize>| size.map(TargetSize::nominal);
    let half = [usable, across, across / 2.0];
    let times = |whole: f64, size: Option<Millimetres>| size.map(|size| (whole / size.get() * (1.0 - 1e-9)).ceil() as u32);
    let stage = |title, detail, count, size, lies| Stage { title, detail, count, size, shows: StepShows::Halved, lies };
    let mut found = Vec::new();
    if food.trim.get() > 0.0 {
        let ends = stage("Trim both ends", "Two strokes; they are the first trimmings.", None, None, None);
        found.push(Stage { shows: StepShows::Whole, ..ends });
    }
    if cut.family == CutFamily::Dice {
        let size = side(target.width);
        let halve = "Through the root, which stays on and holds the layers; each half lies on its cut face.";
        let verticals = "Along the layers, blade upright, up to the root and not through it; each half in";
        let crosscuts = "Across, from the tip back to the root; lay the last bit flat. Each half in";
        found.push(stage("Halve it", halve, None, None, None));
        found.push(stage("Verticals", verticals, times(across, size), size, Some(half)));
        found.push(stage("Crosscuts", crosscuts, times(usable, size), size, Some(half)));
        return found;
    }
    let (width, length) = (side(target.width), side(target.length));
    let lengths = length.map(|length| (usable / length.get() * (1.0 + 1e-9)).floor() as u32);
    let layer = across / 2.0 / f64::from(food.shape.layers().unwrap_or(1).max(1));
    let long = length.map_or(usable, Millimetres::get);
    let flat = [long, std::f64::consts::FRAC_PI_2 * across, 2.0 * layer];
    found.push(stage("Halve it", "Lengthwise, held from both sides, the blade under the arch of the hand.", None, None, None));
    found.push(stage("Lengths", "Both halves on their cut faces; each half in", lengths, length, Some(half)));
    let open = "A few layers at a time, pressed flat with the inside up; each length opens to";
    found.push(stage("Layers laid flat", open, food.shape.layers().map(u32::from), None, Some(flat)));
    let along = "Sheets stacked by twos, the widest first; the widest gives";
    let sheet = std::f64::consts::PI * (across / 2.0 - layer / 2.0);
    let sticks = width.map(|width| (sheet / width.get() * (1.0 + 1e-9)).floor() as u32);
    found.push(stage("Sticks", along, sticks, width, Some(flat)));
    found
}

/// Strips around the hollow of a stalk, then each split on its side; counts with the size of each.
fn strips_of_a_stalk(
    (strips, across): (u32, Option<Millimetres>),
    (deep, depth): (u32, Option<Millimetres>),
    stack: u32,
    long: f64,
) -> [Stage; 2] {
    let mm = |size: Option<Millimetres>| size.map_or(1.0, Millimetres::get);
    let stacked = f64::from(stack.min(strips).max(1));
    [
        Stage {
            title: "Strips",
            detail: "Hollow side down; both sides of a strip square to the wall. The first one decides.",
            count: Some(strips),
            size: across,
            shows: StepShows::Block,
            lies: None,
        },
        Stage {
            title: "Sticks",
            detail: "Strips on their sides, stacked by twos: rounded faces off, then between; from each strip",
            count: Some(deep),
            size: depth,
            shows: StepShows::Sticks,
            lies: Some([long, f64::from(deep) * mm(depth), stacked * mm(across)]),
        },
    ]
}

/// What comes before the planks: ends off, a flat face, the sides squared.
fn to_a_block(food: &Food, long: f64, wide: f64, flat_first: bool) -> Vec<Stage> {
    let stage = |title, detail, shows, lies| Stage { title, detail, count: None, size: None, shows, lies };
    let cored = matches!(food.shape, Shape::Ball { core: Some(_), .. });
    let mut found = Vec::new();
    if food.trim.get() > 0.0 {
        found.push(stage("Trim both ends", "Two strokes; they are the first trimmings.", StepShows::Whole, None));
    }
    if cored {
        let detail = "Four strokes beside the core, each away from the guide hand; every cheek lies on its cut face.";
        found.push(stage("Cheeks off the core", detail, StepShows::Flat, None));
    } else if !matches!(food.shape, Shape::Sheet { .. } | Shape::Stalk { .. } | Shape::Block { .. }) {
        let detail = "One slice off; it lies on its flat, and nothing rolls from here on.";
        found.push(stage("One flat face", detail, StepShows::Flat, None));
    }
    if (food.is(FoodTrait::Rolls) || cored) && !flat_first {
        let detail = "Turn it onto the flat each time; look down the spine, the blade upright.";
        found.push(stage("Square the sides", detail, StepShows::Block, Some([long, wide, food.height().get()])));
    }
    found
}
