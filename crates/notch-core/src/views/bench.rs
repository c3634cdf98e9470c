//! The Bench: a cut seen before it is made.

use serde::{Deserialize, Serialize};

use super::advice::School;
use crate::carry::{Carried, CarriedCut, CutErrors, carry};
use crate::catalogue::{Cut, CutFamily, Dimension, Food, Handling, Shape, Target, TargetSize};
use crate::drawing::{Outline, section};
use crate::geometry::{Block, WorkedFood, work_flat_first, work_food};
use crate::lesson::{pieces_to_cut, student_minutes};
use crate::measure::SideFigures;
use crate::onion::{self, BallFigures, Choice, Grade, Limits, Method, OnionError, Section, Wanted};
use crate::people::Pace;
use crate::problem::Problem;
use crate::units::Millimetres;
use crate::words::capital;

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
}

/// A rectangle in the section, in mm: from the left, and down from the top of the food.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchRect {
    /// Left side.
    pub x: f64,
    /// Top side.
    pub y: f64,
    /// Width.
    pub width: f64,
    /// Height.
    pub height: f64,
}

/// One way of working, in figures and drawn.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchWay {
    /// `squared` or `flat_first`.
    pub way: String,
    /// The way in words.
    pub name: String,
    /// Pieces of one unit.
    pub pieces: u32,
    /// Strokes for one unit.
    pub strokes: u64,
    /// Minutes for one unit at the class's pace.
    pub minutes: f64,
    /// Share of the food that becomes pieces, 0..1.
    pub share: f64,
    /// Grams of ends of one unit.
    pub ends_grams: f64,
    /// Grams of rounded sides and tails of one unit.
    pub trimmed_grams: f64,
    /// The thickest section with its pieces.
    pub pieces_drawn: Vec<BenchRect>,
    /// Units that give each student enough.
    pub units_each: u32,
    /// Units for the class.
    pub units_class: u32,
    /// Grams for the class.
    pub grams_class: f64,
}

/// A step of the chain.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchStep {
    /// What is done.
    pub title: String,
    /// How, with the figures.
    pub detail: String,
}

/// Everything that the Bench shows of a cut of a food.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchView {
    /// `Julienne of carrot`.
    pub title: String,
    /// Sizes that are worked to.
    pub target: Target,
    /// `3.2 × 3.2 × 50`.
    pub size: String,
    /// The food's size as it is worked with.
    pub shape: Shape,
    /// The thickest section.
    pub outline: Option<Outline>,
    /// Ways of working; squared first.
    pub ways: Vec<BenchWay>,
    /// Why pieces are not counted, where they are not.
    pub no_count: Option<String>,
    /// How the ways differ, in a sentence.
    pub difference: String,
    /// Where nothing fits, the largest that does, in words.
    pub nothing_fits: Option<String>,
    /// The chain, step by step.
    pub steps: Vec<BenchStep>,
    /// Pieces that each student cuts, so that nine in ten have enough good ones.
    pub pieces_each: u32,
    /// What errors leave, for strips and dice.
    pub carried: Option<Carried>,
    /// What the trimmings become.
    pub scraps: String,
}

/// Looks at a cut of a food.
///
/// # Errors
/// An unknown food or cut, a shape of another kind or of no size, sizes or shares out of range.
pub fn bench_view(school: &School<'_>, question: &BenchQuestion, seed: u64) -> Result<BenchView, Vec<Problem>> {
    let (food, cut, target) = asked(school, question)?;
    let handling = &school.catalogue.handling;
    let pieces_each = pieces_to_cut(u32::from(question.good), question.success)?;
    let pace = school.course.fields.pace;
    let input = Input { school, food: &food, pace, pieces_each };
    let squared = work_food(&food, cut, &target, handling);
    let no_count = squared.as_ref().err().map(ToString::to_string);
    let mut ways = Vec::new();
    let blocks = squared.as_ref().map(|worked| worked.blocks.clone()).unwrap_or_default();
    let drawn = section(&food, cut, &target, &blocks);
    if let Ok(worked) = &squared {
        let rects =
            drawn.and_then(|drawing| Some((drawing.outline, drawing.block?))).map(|(outline, block)| grid(outline, &block));
        ways.push(input.way(("squared", "Squared, as for an exam"), worked, rects.unwrap_or_default()));
    }
    if let Ok(kitchen) = work_flat_first(&food, cut, &target, handling) {
        let rects = kitchen_rects(&kitchen, cut, &target);
        ways.push(input.way(("flat_first", "Flat first, as in a kitchen"), &kitchen.worked, rects));
    }
    let nothing = squared.as_ref().is_ok_and(|worked| worked.pieces == 0);
    Ok(BenchView {
        title: format!("{} of {}", capital(&cut.name), food.name),
        size: target.written(),
        shape: food.shape,
        outline: drawn.map(|drawing| drawing.outline),
        difference: difference(&ways),
        nothing_fits: nothing.then(|| largest_that_fits(&food, cut, &target, handling)),
        steps: blocks.first().map(|block| steps(block, cut, &target, &food)).unwrap_or_default(),
        carried: carried(school, question, cut, &target, &blocks, seed),
        ways,
        no_count,
        pieces_each,
        scraps: food.scraps.clone(),
        target,
    })
}

fn asked<'a>(school: &School<'a>, question: &BenchQuestion) -> Result<(Food, &'a Cut, Target), Vec<Problem>> {
    let catalogue = school.catalogue;
    let mut problems = question.errors.check();
    let food = catalogue.food(&question.food);
    let cut = catalogue.cut(&question.cut);
    let target = catalogue.target(&school.course.fields.standard_set, &question.cut);
    if food.is_none() {
        problems.push(Problem::new("/food", "food", &question.food, "is not known", "a food of the catalogue"));
    }
    if cut.is_none() || target.is_none() {
        problems.push(Problem::new(
            "/cut",
            "cut",
            &question.cut,
            "is not taught by this set of standards",
            "a cut that it teaches",
        ));
    }
    problems.extend(Problem::unless_within("/good", "good pieces each", i64::from(question.good), 1, 2000));
    for (pointer, name, size) in [
        ("/thickness", "thickness", question.thickness),
        ("/width", "width", question.width),
        ("/length", "length", question.length),
    ] {
        if let Some(size) = size.filter(|size| !(0.5..=600.0).contains(&size.get())) {
            problems.push(Problem::new(pointer, name, size.get(), "mm is out of range", "0.5 to 600 mm"));
        }
    }
    let (Some(food), Some(cut), Some(mut target)) = (food, cut, target) else { return Err(problems) };
    let mut food = food.clone();
    if let Some(shape) = question.shape {
        if std::mem::discriminant(&shape) != std::mem::discriminant(&food.shape) {
            problems.push(Problem::new(
                "/shape/kind",
                "shape",
                "another kind",
                "is not this food's",
                "the food's own kind of shape",
            ));
        }
        food.shape = shape;
        let sides = [food.width(), food.height(), food.length()];
        if sides.iter().any(|side| !(3.0..=600.0).contains(&side.get())) || food.trim.get() * 2.0 >= food.length().get() {
            problems.push(Problem::new(
                "/shape",
                "size of the food",
                food.length(),
                "mm is out of range",
                "3 to 600 mm on each side",
            ));
        }
    }
    let exact = |size: Millimetres| Some(TargetSize::Exact { size });
    target.thickness = question.thickness.map_or(target.thickness, exact);
    target.width = question.width.map_or(target.width, exact);
    target.length = question.length.map_or(target.length, exact);
    if problems.is_empty() { Ok((food, cut, target)) } else { Err(problems) }
}

struct Input<'a> {
    school: &'a School<'a>,
    food: &'a Food,
    pace: Pace,
    pieces_each: u32,
}

impl Input<'_> {
    fn way(&self, (way, name): (&str, &str), worked: &WorkedFood, pieces_drawn: Vec<BenchRect>) -> BenchWay {
        let grams = |cubic: f64| cubic * self.food.density / 1000.0;
        let units_each = if worked.pieces == 0 { 0 } else { self.pieces_each.div_ceil(worked.pieces) };
        let students = u32::try_from(self.school.students.len()).unwrap_or(u32::MAX);
        let units_class = units_each.saturating_mul(students);
        let lost = worked.trimmings.ends + worked.trimmings.squaring;
        BenchWay {
            way: way.to_owned(),
            name: name.to_owned(),
            pieces: worked.pieces,
            strokes: worked.strokes,
            minutes: student_minutes(worked, 1, self.pace, &self.school.catalogue.handling),
            share: if worked.volume > 0.0 { (1.0 - lost / worked.volume).clamp(0.0, 1.0) } else { 0.0 },
            ends_grams: grams(worked.trimmings.ends),
            trimmed_grams: grams(worked.trimmings.squaring),
            pieces_drawn,
            units_each,
            units_class,
            grams_class: f64::from(units_class) * self.food.grams(),
        }
    }
}

/// The squared block's pieces around the middle of the section.
fn grid(outline: Outline, block: &crate::drawing::SectionBlock) -> Vec<BenchRect> {
    let (across, down) = match outline {
        Outline::Ellipse { width, height } | Outline::Rectangle { width, height } => (width.get(), height.get()),
        Outline::Rings { width, .. } => (width.get(), width.get()),
    };
    let (w, h) = (block.piece_width.get(), block.piece_height.get());
    let left = (across - f64::from(block.columns) * w) / 2.0;
    let top = (down - f64::from(block.rows) * h) / 2.0;
    let of_row = |row: u32| (0..block.columns).map(move |column| (row, column));
    (0..block.rows)
        .flat_map(of_row)
        .take(4_000)
        .map(|(row, column)| BenchRect { x: left + f64::from(column) * w, y: top + f64::from(row) * h, width: w, height: h })
        .collect()
}

fn kitchen_rects(kitchen: &crate::geometry::KitchenWork, cut: &Cut, target: &Target) -> Vec<BenchRect> {
    let side = |size: Option<TargetSize>| size.map_or(1.0, |size| size.nominal().get());
    let (t, w) = if cut.family == CutFamily::Dice {
        (side(target.width), side(target.length))
    } else {
        (side(target.thickness), side(target.width))
    };
    let d = kitchen.section.get();
    let mut found = Vec::new();
    for (plank, sticks) in (0u32..).zip(&kitchen.planks) {
        let y = d - kitchen.slice.get() - f64::from(plank + 1) * t;
        let left = (d - f64::from(*sticks) * w) / 2.0;
        found.extend((0..*sticks).map(|stick| BenchRect { x: left + f64::from(stick) * w, y, width: w, height: t }));
    }
    found.truncate(4_000);
    found
}

fn difference(ways: &[BenchWay]) -> String {
    let [squared, kitchen] = ways else { return String::new() };
    let pieces = i64::from(kitchen.pieces) - i64::from(squared.pieces);
    let strokes = i64::try_from(kitchen.strokes).unwrap_or(0) - i64::try_from(squared.strokes).unwrap_or(0);
    let more = |number: i64, of: &str| match number {
        0 => format!("as many {of}"),
        1.. => format!("{number} more {of}"),
        _ => format!("{} fewer {of}", -number),
    };
    let waste = kitchen.trimmed_grams - squared.trimmed_grams;
    let trimmed = if waste < 0.0 { format!("{:.0} g less", -waste) } else { format!("{waste:.0} g more") };
    format!("Flat first gives {} and takes {}; {trimmed} is trimmed off each.", more(pieces, "pieces"), more(strokes, "strokes"))
}

/// The thickest square stick that fits, where the asked one does not.
fn largest_that_fits(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> String {
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
        format!("Nothing of this size fits; the largest square that does is {:.1} mm.", f64::from(low) / 10.0)
    } else {
        "Nothing of this size fits: choose a shorter piece or a larger food.".to_owned()
    }
}

fn steps(block: &Block, cut: &Cut, target: &Target, food: &Food) -> Vec<BenchStep> {
    let side = |size: Option<TargetSize>| size.map_or_else(String::new, |size| format!("{} mm", size.nominal()));
    let step = |title: &str, detail: String| BenchStep { title: title.to_owned(), detail };
    let mut found = vec![step("Trim both ends", "Two strokes; they become the first trimmings.".to_owned())];
    if !matches!(food.shape, Shape::Sheet { .. } | Shape::Stalk { .. }) {
        found.push(step("One flat face", "It lies still on its flat: nothing rolls from here on.".to_owned()));
        found.push(step("Square the sides", "Turn it onto the flat each time; the blade upright.".to_owned()));
    }
    let (plank, stick, length) = match cut.family {
        CutFamily::Dice => (side(target.width), side(target.length), side(target.thickness)),
        _ => (side(target.thickness), side(target.width), side(target.length)),
    };
    found.push(step("Planks", format!("{} of {plank}: the first decides, its error is in all that follows.", block.planks)));
    found.push(step("Sticks", format!("Stack two planks, {} sticks of {stick} from each.", block.sticks)));
    if block.pieces > 1 {
        found.push(step("Crosscuts", format!("Gather, {} pieces of {length} from each stick.", block.pieces)));
    }
    found
}

fn carried(
    school: &School<'_>,
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
    let tolerance = school.catalogue.tolerance(&school.course.fields.tolerance)?;
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

/// What is asked of an onion.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionQuestion {
    /// Radius, 5 to 150 mm.
    pub radius: Millimetres,
    /// Layers, 1 to 40.
    pub layers: u8,
    /// Cuts, 1 to 60.
    pub cuts: u8,
    /// How it is cut.
    pub method: Method,
    /// Edge of the wanted dice; crosscuts are as far apart.
    pub size: Millimetres,
}

/// An onion cut one way.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionView {
    /// The method in words.
    pub name: String,
    /// The section, cell by cell.
    pub section: Section,
    /// Each cell against the wanted size, in the order of the cells.
    pub grades: Vec<Grade>,
    /// The half ball in figures.
    pub ball: BallFigures,
    /// Share of the section in pieces of the wanted size (±25 %) that are no ribbons.
    pub wanted: f64,
    /// Share of the section in ribbons.
    pub ribbons: f64,
    /// Strokes for a half.
    pub strokes: u32,
    /// Strokes that move towards the guide hand's side.
    pub strokes_towards_hand: u32,
    /// Edges of squares as large as the cells, against the wanted size (±25 % of its area), as they are
    /// drawn on the size rule.
    pub edges: Option<SideFigures>,
    /// Cautions of this way of cutting.
    pub cautions: Vec<String>,
}

fn radius_problem(radius: Millimetres) -> Option<Problem> {
    (!(5.0..=150.0).contains(&radius.get()))
        .then(|| Problem::new("/radius", "radius", radius.get(), "mm is out of range", "5 to 150 mm"))
}

/// What was wrong, at its field.
fn onion_problem(error: OnionError) -> Vec<Problem> {
    let (pointer, value) = match error {
        OnionError::NoSize => ("/radius", String::from("0")),
        OnionError::Layers(layers) => ("/layers", layers.to_string()),
        OnionError::Cuts(cuts) => ("/cuts", cuts.to_string()),
        OnionError::Level(level) => ("/method/level", level.to_string()),
        OnionError::Depth(depth) => ("/method/depth", depth.to_string()),
        OnionError::Crosscut(apart) => ("/size", apart.to_string()),
    };
    let words = error.to_string();
    let allowed = words.split("allowed: ").nth(1).unwrap_or("more than nothing").to_owned();
    vec![Problem { pointer: pointer.to_owned(), value, allowed, message: format!("{}.", capital(&words)) }]
}

/// Cuts an onion one way.
///
/// # Errors
/// Figures out of range, at their field.
pub fn onion_view(question: &OnionQuestion) -> Result<OnionView, Vec<Problem>> {
    if let Some(problem) = radius_problem(question.radius) {
        return Err(vec![problem]);
    }
    let OnionQuestion { radius, layers, cuts, method, size } = *question;
    let found = onion::section(radius, layers, cuts, method).map_err(onion_problem)?;
    let ball = onion::half_ball(radius, layers, cuts, method, size, false).map_err(onion_problem)?;
    let (wanted, ribbons) = found.against(size);
    Ok(OnionView {
        name: capital(method.words()),
        wanted,
        ribbons,
        strokes: onion::strokes(radius, cuts, method, size),
        strokes_towards_hand: method.level_cuts(),
        edges: edges(&found, size),
        grades: found.cells.iter().map(|cell| cell.grade(size)).collect(),
        cautions: cautions(method),
        section: found,
        ball,
    })
}

fn edges(section: &Section, size: Millimetres) -> Option<SideFigures> {
    let edge = |share: f64| Millimetres::clamped(size.get() * share.sqrt());
    let sizes = section.cells.iter().map(|cell| Millimetres::clamped(cell.area.sqrt())).collect();
    let (band, target) = ((edge(0.75), edge(1.25)), TargetSize::Exact { size });
    SideFigures::of(Dimension::Width, target, band, band.1.less(size), sizes)
}

fn cautions(method: Method) -> Vec<String> {
    let mut found = vec!["Keep the root on: it holds the layers together until the last cut.".to_owned()];
    match method {
        Method::Level { .. } => {
            found.push("Level cut: palm flat on top, fingers up, the blade slow and level, stopped short of the root.".to_owned())
        }
        Method::Below { .. } | Method::Centre => {
            found.push("The blade leans on each side: start upright in the middle, turn the onion for the far side.".to_owned());
        }
        Method::Turned => found.push("The last third lies on its cut face: turn it, do not hold it up.".to_owned()),
        Method::Verticals | Method::HalfRings => {}
    }
    found
}

/// Compares all ways for a wanted size.
///
/// # Errors
/// Figures out of range, at their field.
pub fn onion_choice(wanted: Wanted, limits: Limits) -> Result<Choice, Vec<Problem>> {
    if let Some(problem) = radius_problem(wanted.radius) {
        return Err(vec![problem]);
    }
    onion::choose(wanted, limits).map_err(onion_problem)
}
