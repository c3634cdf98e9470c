//! What the Bench shows of a cut of a food.

use serde::Serialize;

use super::buy::BenchProduct;
use super::facts::BenchFact;
use super::steps::BenchStep;
use crate::carry::Carried;
use crate::catalogue::{Shape, Target, TargetSize, Third};
use crate::drawing::{FoodOutline, PieceGrid, Silhouette, Solid, SolidBlock};
use crate::fitting::ShownCaution;
use crate::geometry::Way;
use crate::people::Pace;
use crate::text::Text;
use crate::units::Millimetres;

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
    pub(super) fn is(self, way: Way) -> bool {
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
    pub(super) fn of(target: &Target, size: impl Fn(TargetSize) -> Millimetres) -> Self {
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
