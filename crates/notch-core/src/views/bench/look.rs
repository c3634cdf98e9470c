//! Looks at a cut of a food: pieces, strokes, minutes, knives and what is left.

use super::buy::Feed;
use super::compare::{less_or_more, more};
use super::question::{Asked, BenchQuestion, asked};
use super::steps::Source;
use super::view::{BenchBlade, BenchKnife, BenchLayers, BenchView, BenchWay, BenchWayKind, PaceMinutes, PieceSides};
use super::{facts, steps};
use crate::at_hand::AtHand;
use crate::carry::{Carried, CarriedCut, carry};
use crate::catalogue::{Cut, CutFamily, Food, Handling, Shape, Target, TargetSize};
use crate::drawing::{
    PieceGrid, SolidBlock, blade_silhouette, flat_first_section, food_section, kitchen_blocks, solid, squared_blocks,
};
use crate::fitting::{Candidate, Fixed, Job, KnifeOption, KnifeSource, Suggestion, suggest};
use crate::geometry::{Block, WorkedFood, volume, work_flat_first, work_food};
use crate::lesson::{pieces_to_cut, student_minutes};
use crate::people::Pace;
use crate::problem::Problem;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// Looks at a cut of a food.
///
/// # Errors
/// An unknown food or cut, a shape of another kind or of no size, sizes or shares out of range.
pub fn bench_view(at_hand: &AtHand<'_>, question: &BenchQuestion) -> Result<BenchView, Vec<Problem>> {
    let Asked { food: whole, cut, target, handling } = asked(at_hand, question)?;
    let pieces_each = pieces_to_cut(u32::from(question.good), question.success)?;
    let food = question.making().peeled(&whole, cut);
    let peel = (volume(&whole) - volume(&food)).max(0.0);
    let knives_at_hand = Candidate::all(at_hand, if at_hand.knives.is_empty() { KnifeSource::Types } else { KnifeSource::Rack });
    let chosen = Candidate::named(&knives_at_hand, question.knife_type.as_deref(), question.knife_length);
    let chosen = chosen.map_err(|problem| vec![problem])?;
    let job = Job::of(at_hand, &food, cut, target, None);
    let suggestion = suggest(&job, &knives_at_hand, Fixed { knife: chosen, ..Fixed::default() });
    let squared = work_food(&food, cut, &target, &handling);
    let blocks = squared.as_ref().map(|worked| worked.blocks.clone()).unwrap_or_default();
    let input = Input { at_hand, question, food: &food, cut, target: &target, handling: &handling, pieces_each, peel };
    let ways = input.ways(squared.as_ref().ok());
    let way = ways.iter().position(|each| each.1.way.is(question.way)).unwrap_or(0);
    let feed = |units| Feed { at_hand, food: &food, cut, target: &target, units, onward: u32::from(question.onward), peel };
    let products = ways.get(way).map(|(worked, way)| feed(way.units_each).products(worked)).unwrap_or_default();
    let blade = suggestion.setup.and_then(|setup| knives_at_hand.get(setup.knife));
    let layered = food.shape.layers().is_some();
    let source = ways.get(way).and_then(|(worked, way)| match worked.blocks.first() {
        Some(block) => Some(Source::Block { block, flat_first: way.way == BenchWayKind::FlatFirst }),
        None => (layered && worked.pieces > 0 && cut.family != CutFamily::Slices).then_some(Source::Layers),
    });
    let steps = source.map(|source| steps::steps(at_hand, (&food, cut, &target), &source, blade)).unwrap_or_default();
    let ways: Vec<BenchWay> = ways.into_iter().map(|(_, way)| way).collect();
    let nothing = squared.as_ref().is_ok_and(|worked| worked.pieces == 0);
    Ok(BenchView {
        title: cut.of(&food.name),
        shape: whole.shape,
        outline: food_section(&food, cut, &target, &blocks).map(|drawing| drawing.outline),
        solid: solid(&food),
        difference: difference(&ways),
        nothing_fits: nothing.then(|| largest_that_fits(&food, cut, &target, &handling)),
        facts: facts::facts(&food, cut, &target, &handling),
        steps,
        carried: carried(at_hand, question, cut, &target, &blocks),
        feeds: feed(0).next().map(|(dice, _)| dice.name.clone()),
        layers: layers(&food, cut, &target),
        knives: knives(&suggestion, &knives_at_hand),
        blade: drawn_blade(&suggestion, &knives_at_hand),
        cautions: suggestion.cautions,
        no_count: squared.as_ref().err().map(ToString::to_string),
        way: (!ways.is_empty()).then_some(way),
        ways,
        enough: text!["Each student cuts ", pieces_each.to_string(), ", so that nine in ten have enough good ones."],
        pieces_each,
        products,
        nominal: PieceSides::of(&target, TargetSize::nominal),
        largest: PieceSides::of(&target, TargetSize::largest),
        target,
    })
}

fn knives(found: &Suggestion, at_hand: &[Candidate<'_>]) -> Vec<BenchKnife> {
    let named = |option: &KnifeOption| {
        let knife = at_hand.get(option.knife)?;
        let refused = option.fit.objections().next().filter(|_| option.fit.refused);
        Some(BenchKnife {
            knife_type: knife.kind.id.clone(),
            length: knife.length,
            name: knife.label(),
            refused: refused.map(|finding| finding.words.clone()),
        })
    };
    found.knives.iter().filter_map(named).collect()
}

fn drawn_blade(found: &Suggestion, at_hand: &[Candidate<'_>]) -> Option<BenchBlade> {
    let setup = found.setup?;
    let knife = at_hand.get(setup.knife)?;
    Some(BenchBlade {
        index: found.knives.iter().position(|option| option.knife == setup.knife)?,
        silhouette: blade_silhouette(knife.kind, knife.length, knife.heel_height),
        third: setup.third,
    })
}

fn layers(food: &Food, cut: &Cut, target: &Target) -> Option<BenchLayers> {
    let length = matches!(food.shape, Shape::LayeredCylinder { .. }).then(|| food.length());
    let across = match food.shape {
        Shape::LayeredBall { diameter, .. } | Shape::LayeredCylinder { diameter, .. } => diameter,
        _ => return None,
    };
    let size = target.width.map(TargetSize::nominal).filter(|_| cut.family == CutFamily::Dice);
    Some(BenchLayers { across, layers: food.shape.layers()?, size, length })
}

struct Input<'a> {
    at_hand: &'a AtHand<'a>,
    question: &'a BenchQuestion,
    food: &'a Food,
    cut: &'a Cut,
    target: &'a Target,
    handling: &'a Handling,
    pieces_each: u32,
    /// mm³ of peel of one unit.
    peel: f64,
}

impl Input<'_> {
    /// Every way of working, with what it gives.
    fn ways(&self, squared: Option<&WorkedFood>) -> Vec<(WorkedFood, BenchWay)> {
        let Input { food, cut, target, .. } = *self;
        let mut ways = Vec::new();
        if let Some(worked) = squared {
            let drawn = food_section(food, cut, target, &worked.blocks).map(|drawing| drawing.pieces);
            let blocks = squared_blocks(food, cut, target, &worked.blocks);
            let name = if food.shape.layers().is_some() && cut.family == CutFamily::Dice {
                (BenchWayKind::Layers, "Halved, verticals and crosscuts")
            } else if food.shape.layers().is_some() && cut.family == CutFamily::Strips {
                (BenchWayKind::Layers, "Halved, layers laid flat")
            } else if matches!(cut.family, CutFamily::Slices) {
                (BenchWayKind::Squared, "Cut across")
            } else if matches!(food.shape, Shape::Sheet { .. } | Shape::Block { .. }) {
                (BenchWayKind::Squared, "Laid flat as it is")
            } else if matches!(food.shape, Shape::Stalk { .. }) {
                (BenchWayKind::Squared, "Strips square to the wall")
            } else {
                (BenchWayKind::Squared, "Squared, as for an exam")
            };
            ways.push((worked.clone(), self.way(name, worked, drawn.unwrap_or_default(), blocks)));
        }
        if let Ok(kitchen) = work_flat_first(food, cut, target, self.handling) {
            let drawn = flat_first_section(food, cut, target, &kitchen).map(|drawing| drawing.pieces);
            let blocks = kitchen_blocks(food, cut, target, &kitchen.segments);
            let name = (BenchWayKind::FlatFirst, "Flat first, as in a kitchen");
            let way = self.way(name, &kitchen.worked, drawn.unwrap_or_default(), blocks);
            ways.push((kitchen.worked, way));
        }
        ways
    }

    fn way(
        &self,
        (way, name): (BenchWayKind, &str),
        worked: &WorkedFood,
        drawn: Vec<PieceGrid>,
        blocks: Vec<SolidBlock>,
    ) -> BenchWay {
        let grams = |cubic: f64| cubic * self.food.density / 1000.0;
        let units_each = if worked.pieces == 0 { 0 } else { self.pieces_each.div_ceil(worked.pieces) };
        let students = self.at_hand.class_size();
        let units_class = units_each.saturating_mul(students);
        let whole = worked.volume + self.peel;
        let grams_class = f64::from(units_class) * grams(whole);
        let minutes = |pace: Pace| student_minutes(worked, 1.0, pace, self.handling);
        BenchWay {
            way,
            name: name.to_owned(),
            pieces: worked.pieces,
            partial: worked.partial,
            strokes: worked.strokes,
            minutes: minutes(self.at_hand.course.fields.pace),
            minutes_by_pace: Pace::ALL.iter().map(|pace| PaceMinutes { pace: *pace, minutes: minutes(*pace) }).collect(),
            share: if whole > 0.0 { ((worked.volume - worked.trimmings.total()) / whole).clamp(0.0, 1.0) } else { 0.0 },
            ends_grams: grams(worked.trimmings.ends),
            trimmed_grams: grams(worked.trimmings.squaring),
            core_grams: grams(worked.trimmings.core),
            peel_grams: grams(self.peel),
            pieces_drawn: drawn,
            blocks,
            units_each,
            units_class,
            grams_class,
            cost_class: self.question.price.map(|price| price * grams_class / 1000.0),
        }
    }
}

fn difference(ways: &[BenchWay]) -> Text {
    let [squared, kitchen] = ways else { return Text::default() };
    let pieces = i64::from(kitchen.pieces) - i64::from(squared.pieces);
    let strokes = i64::try_from(kitchen.strokes).unwrap_or(0) - i64::try_from(squared.strokes).unwrap_or(0);
    text![
        "Flat first gives ",
        more(pieces, "pieces"),
        " and takes ",
        more(strokes, "strokes"),
        "; ",
        less_or_more(kitchen.trimmed_grams - squared.trimmed_grams),
        " is trimmed off each."
    ]
}

/// The thickest square stick that fits, where the asked one does not.
fn largest_that_fits(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Text {
    let fits = |tenths: u32| {
        let exact = |size: Millimetres| Some(TargetSize::Exact { size });
        let size = Millimetres::clamped(f64::from(tenths) / 10.0);
        let dice = cut.family == CutFamily::Dice;
        let length = if dice { exact(size) } else { target.length };
        let tried = Target { thickness: exact(size), width: exact(size), length };
        work_food(food, cut, &tried, handling).is_ok_and(|worked| worked.pieces > 0)
    };
    let (mut low, mut high) = (4u32, 3_000u32);
    while high - low > 1 {
        let middle = low.midpoint(high);
        if fits(middle) {
            low = middle;
        } else {
            high = middle;
        }
    }
    if low > 4 {
        text!["Nothing of this size fits; the largest square that does is ", Millimetres::clamped(f64::from(low) / 10.0), "."]
    } else {
        Text::from("Nothing of this size fits: choose a shorter piece or a larger food.")
    }
}

fn carried(at_hand: &AtHand<'_>, question: &BenchQuestion, cut: &Cut, target: &Target, blocks: &[Block]) -> Option<Carried> {
    if !matches!(cut.family, CutFamily::Strips | CutFamily::Dice) {
        return None;
    }
    let block = blocks.iter().find(|block| block.count() > 0)?;
    let tolerance = at_hand.catalogue.tolerance(&at_hand.course.fields.tolerance)?;
    let size = |side: Option<TargetSize>| side.map(TargetSize::nominal);
    let cut = CarriedCut {
        thickness: size(target.thickness)?,
        width: size(target.width)?,
        length: size(target.length)?,
        planks: block.planks,
        sticks: block.sticks,
        pieces: block.pieces,
    };
    Some(carry(&cut, &question.errors, tolerance))
}
