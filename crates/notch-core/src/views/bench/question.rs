//! What is asked of the Bench, and what is wrong with it.

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::carry::CutErrors;
use crate::catalogue::{Bought, Cut, Food, Handling, ProduceSize, Shape, Target, TargetSize};
use crate::geometry::Way;
use crate::problem::Problem;
use crate::records::Making;
use crate::text;
use crate::text::Bare;
use crate::units::Millimetres;
use crate::views::no_cut_of;

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
    /// Share of the pieces that come out good, 0.001 to 1.
    pub success: f64,
    /// Errors along the chain.
    #[serde(default)]
    pub errors: CutErrors,
    /// The size that it is bought in; a measured shape comes first.
    #[serde(default)]
    pub produce: ProduceSize,
    /// Peeled first, so much off each side, 0 to 15 mm; the food's usual where nothing is said.
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
        Making {
            thickness: self.thickness,
            width: self.width,
            length: self.length,
            way: self.way,
            produce: self.produce,
            peel: self.peel,
        }
    }
}

/// What is wrong with the figures of a question, at their fields.
pub(super) fn figure_problems(question: &BenchQuestion) -> Vec<Problem> {
    let mut problems: Vec<Problem> = question.errors.check();
    problems.extend(Problem::unless_within("/good", "Good pieces for each student", i64::from(question.good), 1, 2000));
    problems.extend(question.making().check(""));
    if let Some(wedges) = question.wedges.filter(|wedges| !(2..=24).contains(wedges) || wedges % 2 == 1) {
        problems.push(Problem::new("/wedges", "Wedges", wedges, "cannot be cut by halves", "an even number, 2 to 24"));
    }
    if let Some(price) = question.price.filter(|price| !(0.0..=1000.0).contains(price)) {
        problems.push(Problem::new("/price", "A kilogram costs", price, "is out of range", "0 to 1000"));
    }
    problems
}

/// What is wrong with a food's measured shape.
pub(super) fn shape_problem(food: &Food, own_kind: bool) -> Option<Problem> {
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

/// Most pieces of one unit that are worked out: a celeriac of 120 mm has 2,400,000 by this measure in dice
/// of 0.9 mm.
const MOST_PIECES: f64 = 6e6;

/// More pieces than are worked out while somebody waits, by the box around the food.
fn too_many(food: &Food, target: &Target) -> Option<Problem> {
    let along = |whole: Millimetres, side: Option<TargetSize>| {
        side.map_or(1.0, |side| (whole.get() / side.nominal().get().max(0.1)).max(1.0))
    };
    let pieces = along(food.height(), target.thickness) * along(food.width(), target.width) * along(food.length(), target.length);
    (pieces > MOST_PIECES).then(|| {
        let (pieces, most) = (format!("{pieces:.0}"), format!("{MOST_PIECES:.0}"));
        let allowed = format!("up to {most}: larger pieces, or a smaller food");
        let sentence = text!["Size of the food: it would come to ", pieces, " pieces. Allowed: ", allowed, "."];
        Problem::said("/shape", "Size of the food", pieces, sentence, allowed)
    })
}

/// What was asked, found in the catalogue and checked.
pub(super) struct Asked<'a> {
    pub food: Food,
    pub cut: &'a Cut,
    pub target: Target,
    pub handling: Handling,
}

pub(super) fn asked<'a>(at_hand: &AtHand<'a>, question: &BenchQuestion) -> Result<Asked<'a>, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let mut problems = Vec::new();
    let food = catalogue.food(&question.food);
    let cut = catalogue.cut(&question.cut);
    let target = food.zip(cut).and_then(|(food, cut)| at_hand.target_of(cut, food));
    if food.is_none() {
        problems.push(Problem::new("/food", "Food", &question.food, "is not known", "a food of the catalogue"));
    }
    if food.is_some() && (cut.is_none() || target.is_none()) {
        problems.push(Problem::new(
            "/cut",
            "Cut",
            &question.cut,
            "is not taught by this set of standards",
            "a cut that it teaches",
        ));
    }
    problems.extend(food.zip(cut).and_then(|(food, cut)| no_cut_of(food, cut)));
    problems.extend(figure_problems(question));
    let (Some(food), Some(cut), Some(target)) = (food, cut, target) else { return Err(problems) };
    let making = question.making();
    let mut food = making.food(food);
    if question.wedges.is_some() {
        food.pieces.remove(&cut.id);
    }
    let mut handling = catalogue.handling.clone();
    handling.hand_work.wedges = question.wedges.unwrap_or(handling.hand_work.wedges);
    if let Some(shape) = question.shape {
        let own_kind = std::mem::discriminant(&shape) == std::mem::discriminant(&food.shape);
        let density = food.density;
        food = food.sized(Bought { shape, density });
        problems.extend(shape_problem(&food, own_kind));
    }
    let target = making.target(target);
    if problems.is_empty() {
        problems.extend(too_many(&food, &target));
    }
    if problems.is_empty() { Ok(Asked { food, cut, target, handling }) } else { Err(problems) }
}
