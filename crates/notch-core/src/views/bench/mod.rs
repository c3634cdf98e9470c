//! The Bench: a cut seen before it is made.

mod beside;
mod buy;
mod facts;
mod onion;
mod steps;

pub use beside::{Beside, BesideQuestion, OnionsBeside, OnionsQuestion, bench_beside, onions_beside};
pub use buy::BenchProduct;
pub use facts::{BenchFact, FactValue};
pub use onion::{OnionQuestion, OnionView, onion_choice, onion_view};
pub use steps::{BenchStep, StepShows};

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::carry::{Carried, CarriedCut, CutErrors, carry};
use crate::catalogue::{Cut, CutFamily, Food, Handling, ProduceSize, Shape, Target, TargetSize, Third};
use crate::drawing::{
    FoodOutline, PieceGrid, Silhouette, Solid, SolidBlock, blade_silhouette, flat_first_section, food_section, kitchen_blocks,
    solid, squared_blocks,
};
use crate::fitting::{Candidate, Fixed, Job, KnifeOption, KnifeSource, ShownCaution, Suggestion, suggest};
use crate::geometry::{Block, Way, WorkedFood, peeled, volume, work_flat_first, work_food};
use crate::lesson::{pieces_to_cut, student_minutes};
use crate::people::Pace;
use crate::problem::Problem;
use crate::records::Making;
use crate::text;
use crate::text::{Bare, Text};
use crate::units::Millimetres;
use crate::words::capital;
use beside::{less_or_more, more};
use buy::Feed;
use steps::Source;

/// What is looked at.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchQuestion {
    /// Id of the food.
    pub food: String,
    /// Id of the cut.
    pub cut: String,
    /// The food's size, where it was measured or changed; its kind must be the food's own.
    #[serde(default)]
    pub shape: Option<Shape>,
    /// Thickness, where it is not the standard's.
    #[serde(default)]
    pub thickness: Option<Millimetres>,
    /// Width, where it is not the standard's.
    #[serde(default)]
    pub width: Option<Millimetres>,
    /// Length, where it is not the standard's.
    #[serde(default)]
    pub length: Option<Millimetres>,
    /// Good pieces that each student should have, 1 to 2,000.
    pub good: u16,
    /// Share of the pieces that come out good, above 0 and up to 1.
    pub success: f64,
    /// Errors along the chain.
    #[serde(default)]
    pub errors: CutErrors,
    /// The size that it is bought in; a measured shape comes first.
    #[serde(default)]
    pub produce: ProduceSize,
    /// Peeled first, so much off each side, 0 to 5 mm.
    #[serde(default)]
    pub peel: Option<Millimetres>,
    /// Wedges of one unit, even, 2 to 24, where they are not the usual number.
    #[serde(default)]
    pub wedges: Option<u8>,
    /// Pieces of each student that go on to the next cut: sticks to cubes.
    #[serde(default)]
    pub onward: u16,
    /// What a kilogram costs, up to 1,000, in the school's money.
    #[serde(default)]
    pub price: Option<f64>,
    /// Id of the knife type; goes with the length. The best on the rack where none is named.
    #[serde(default)]
    pub knife_type: Option<String>,
    /// Blade length; goes with the type.
    #[serde(default)]
    pub knife_length: Option<Millimetres>,
    /// The way that is settled on: it is what is bought for and compared.
    #[serde(default)]
    pub way: Way,
}

impl BenchQuestion {
    /// How it is made, as an exercise keeps it.
    pub const fn making(&self) -> Making {
        Making { thickness: self.thickness, width: self.width, length: self.length, way: self.way, produce: self.produce }
    }
}

/// Minutes at a pace.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PaceMinutes {
    /// The pace.
    pub pace: Pace,
    /// Minutes for one unit.
    pub minutes: f64,
}

/// Which way of working.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum BenchWayKind {
    /// Squared off, or cut as it lies.
    Squared,
    /// Flat first, as in a kitchen.
    FlatFirst,
    /// A layered food, halved.
    Layers,
}

impl BenchWayKind {
    /// Whether it is what is asked for; a layered food has one way, whatever is asked.
    fn is(self, way: Way) -> bool {
        match self {
            BenchWayKind::Squared | BenchWayKind::Layers => way == Way::Squared,
            BenchWayKind::FlatFirst => way == Way::FlatFirst,
        }
    }
}

/// One way of working, in figures and drawn.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchWay {
    /// Which.
    pub way: BenchWayKind,
    /// The way in words.
    pub name: String,
    /// Pieces of one unit.
    pub pieces: u32,
    /// Pieces of one unit that are not whole: with a rounded edge, cut too short, or crumbs.
    pub partial: u32,
    /// Strokes for one unit.
    pub strokes: u64,
    /// Minutes for one unit at the class's pace.
    pub minutes: f64,
    /// Minutes for one unit at each pace.
    pub minutes_by_pace: Vec<PaceMinutes>,
    /// Share of the food that becomes pieces, 0..1.
    pub share: f64,
    /// Grams of ends of one unit.
    pub ends_grams: f64,
    /// Grams of rounded sides, crumbs and tails of one unit.
    pub trimmed_grams: f64,
    /// Grams of core of one unit.
    pub core_grams: f64,
    /// Grams of peel of one unit.
    pub peel_grams: f64,
    /// The thickest section with its pieces.
    pub pieces_drawn: Vec<PieceGrid>,
    /// The blocks in space.
    pub blocks: Vec<SolidBlock>,
    /// Units that give each student enough.
    pub units_each: u32,
    /// Units for the class.
    pub units_class: u32,
    /// Grams for the class.
    pub grams_class: f64,
    /// What they cost, where a price was given.
    pub cost_class: Option<f64>,
}

/// A knife that could be chosen.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchKnife {
    /// Id of the type.
    pub knife_type: String,
    /// Blade length.
    pub length: Millimetres,
    /// Label, e.g. `Flat chef's 210`.
    pub name: String,
    /// Why it is refused for this cut, where it is.
    pub refused: Option<Text>,
}

/// The chosen knife, drawn.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchBlade {
    /// Which one, among the knives.
    pub index: usize,
    /// Its outline.
    pub silhouette: Silhouette,
    /// Part of the blade that does the work.
    pub third: Third,
}

/// A layered food, to be looked at cell by cell.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchLayers {
    /// Full width.
    pub across: Millimetres,
    /// Layers.
    pub layers: u8,
    /// Edge of the dice; none for other cuts.
    pub size: Option<Millimetres>,
    /// Length, of a layered cylinder.
    pub length: Option<Millimetres>,
}

/// A piece by its sides, where they have a size.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PieceSides {
    /// Thickness.
    pub thickness: Option<Millimetres>,
    /// Width.
    pub width: Option<Millimetres>,
    /// Length.
    pub length: Option<Millimetres>,
}

impl PieceSides {
    fn of(target: &Target, size: impl Fn(TargetSize) -> Millimetres) -> Self {
        PieceSides { thickness: target.thickness.map(&size), width: target.width.map(&size), length: target.length.map(&size) }
    }
}

/// Everything that the Bench shows of a cut of a food.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchView {
    /// `Julienne of carrot`.
    pub title: String,
    /// Sizes that are worked to.
    pub target: Target,
    /// The piece that plans are made with.
    pub nominal: PieceSides,
    /// The largest piece that is meant.
    pub largest: PieceSides,
    /// The food's size as it is worked with, unpeeled.
    pub shape: Shape,
    /// The thickest section.
    pub outline: Option<FoodOutline>,
    /// The food in space; none of a bundle.
    pub solid: Option<Solid>,
    /// Ways of working; squared first.
    pub ways: Vec<BenchWay>,
    /// Which of the ways is settled on; none without ways.
    pub way: Option<usize>,
    /// Why pieces are not counted, where they are not.
    pub no_count: Option<String>,
    /// How the ways differ, in a sentence.
    pub difference: Text,
    /// Where nothing fits, the largest that does, in words.
    pub nothing_fits: Option<Text>,
    /// Figures of cuts that are not counted from blocks.
    pub facts: Vec<BenchFact>,
    /// The chain, step by step.
    pub steps: Vec<BenchStep>,
    /// Pieces that each student cuts, so that nine in ten have enough good ones.
    pub pieces_each: u32,
    /// The same in a sentence.
    pub enough: Text,
    /// What comes of it: the cut, what it feeds, trimmings by use.
    pub products: Vec<BenchProduct>,
    /// The dice that the sticks can go on to.
    pub feeds: Option<String>,
    /// What errors leave, for strips and dice.
    pub carried: Option<Carried>,
    /// Knives on the rack, best first.
    pub knives: Vec<BenchKnife>,
    /// The knife that is chosen, or the best.
    pub blade: Option<BenchBlade>,
    /// Cautions of the cut with that knife.
    pub cautions: Vec<ShownCaution>,
    /// The layers, of what has them.
    pub layers: Option<BenchLayers>,
}

impl BenchView {
    /// The way that is settled on.
    pub fn chosen_way(&self) -> Option<&BenchWay> {
        self.ways.get(self.way?)
    }
}

/// Looks at a cut of a food.
///
/// # Errors
/// An unknown food or cut, a shape of another kind or of no size, sizes or shares out of range.
pub fn bench_view(at_hand: &AtHand<'_>, question: &BenchQuestion, seed: u64) -> Result<BenchView, Vec<Problem>> {
    let Asked { food: whole, cut, target, handling } = asked(at_hand, question)?;
    let pieces_each = pieces_to_cut(u32::from(question.good), question.success)?;
    let mut food = whole.clone();
    food.shape = peeled(whole.shape, question.peel.unwrap_or(Millimetres::ZERO));
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
        title: format!("{} of {}", capital(&cut.name), food.name),
        shape: whole.shape,
        outline: food_section(&food, cut, &target, &blocks).map(|drawing| drawing.outline),
        solid: solid(&food),
        difference: difference(&ways),
        nothing_fits: nothing.then(|| largest_that_fits(&food, cut, &target, &handling)),
        facts: facts::facts(&food, cut, &target, &handling),
        steps,
        carried: carried(at_hand, question, cut, &target, &blocks, seed),
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

/// What is wrong with the figures of a question, at their fields.
fn figure_problems(question: &BenchQuestion) -> Vec<Problem> {
    let most = Millimetres::whole(5);
    let mut problems: Vec<Problem> = question.errors.check();
    problems.extend(Problem::unless_within("/good", "Good pieces for each student", i64::from(question.good), 1, 2000));
    problems.extend(question.making().check(""));
    if let Some(peel) = question.peel.filter(|peel| *peel > most) {
        problems.push(Problem::new(
            "/peel",
            "Peel off each side",
            peel,
            "is out of range",
            text![Bare(Millimetres::ZERO), " to ", most],
        ));
    }
    if let Some(wedges) = question.wedges.filter(|wedges| !(2..=24).contains(wedges) || wedges % 2 == 1) {
        problems.push(Problem::new("/wedges", "Wedges", wedges, "cannot be cut by halves", "an even number, 2 to 24"));
    }
    if let Some(price) = question.price.filter(|price| !(0.0..=1000.0).contains(price)) {
        problems.push(Problem::new("/price", "A kilogram costs", price, "is out of range", "0 to 1000"));
    }
    problems
}

/// What is wrong with a food's measured shape.
fn shape_problem(food: &Food, own_kind: bool) -> Option<Problem> {
    let (least, most) = (Millimetres::whole(3), Millimetres::whole(600));
    let sides = [food.width(), food.height(), food.length()];
    match food.shape {
        _ if !own_kind => {
            let allowed = "the food's own kind of shape";
            Some(Problem::new("/shape/kind", "Shape", "another kind", "is not this food's", allowed))
        }
        Shape::Bundle { grams } if !(1.0..=5000.0).contains(&grams) => {
            Some(Problem::new("/shape", "Grams", grams, "is out of range", "1 to 5000 g"))
        }
        Shape::Stalk { width, thickness: wall, .. } if !(1.0..=width.get() / 2.0).contains(&wall.get()) => {
            let half = Millimetres::clamped(width.get() / 2.0);
            let allowed = text![Millimetres::whole(1), " to half the width, ", half];
            Some(Problem::new("/shape", "Wall", wall, "is out of range", allowed))
        }
        _ if sides.iter().any(|side| !(least..=most).contains(side)) || food.trim.get() * 2.0 >= food.length().get() => {
            let allowed = text![Bare(least), " to ", most, " on each side"];
            Some(Problem::new("/shape", "Size of the food", food.length(), "is out of range", allowed))
        }
        _ => None,
    }
}

/// What was asked, found in the catalogue and checked.
struct Asked<'a> {
    food: Food,
    cut: &'a Cut,
    target: Target,
    handling: Handling,
}

fn asked<'a>(at_hand: &AtHand<'a>, question: &BenchQuestion) -> Result<Asked<'a>, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let mut problems = Vec::new();
    let food = catalogue.food(&question.food);
    let cut = catalogue.cut(&question.cut);
    let target = at_hand.target(&question.cut);
    if food.is_none() {
        problems.push(Problem::new("/food", "Food", &question.food, "is not known", "a food of the catalogue"));
    }
    if cut.is_none() || target.is_none() {
        problems.push(Problem::new(
            "/cut",
            "Cut",
            &question.cut,
            "is not taught by this set of standards",
            "a cut that it teaches",
        ));
    }
    problems.extend(figure_problems(question));
    let (Some(food), Some(cut), Some(target)) = (food, cut, target) else { return Err(problems) };
    let making = question.making();
    let mut food = making.food(food, &catalogue.handling);
    let mut handling = catalogue.handling.clone();
    handling.hand_work.wedges = question.wedges.unwrap_or(handling.hand_work.wedges);
    if let Some(shape) = question.shape {
        let own_kind = std::mem::discriminant(&shape) == std::mem::discriminant(&food.shape);
        food.shape = shape;
        problems.extend(shape_problem(&food, own_kind));
    }
    let target = making.target(target);
    if problems.is_empty() { Ok(Asked { food, cut, target, handling }) } else { Err(problems) }
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
        let minutes = |pace: Pace| student_minutes(worked, 1, pace, self.handling);
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

fn carried(
    at_hand: &AtHand<'_>,
    question: &BenchQuestion,
    cut: &Cut,
    target: &Target,
    blocks: &[Block],
    seed: u64,
) -> Option<Carried> {
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
    Some(carry(&cut, &question.errors, tolerance, seed))
}
