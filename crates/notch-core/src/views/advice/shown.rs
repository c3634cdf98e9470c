//! What Plan shows about one exercise.

use serde::Serialize;

use crate::catalogue::{Grip, Hold, Motion, ShownTool, Target, Third};
use crate::drawing::{SectionDrawing, Silhouette};
use crate::fitting::{Fit, Rated, ShownCaution};
use crate::lesson::ExerciseFigures;
use crate::records::{Amount, KeptWarning};
use crate::units::Millimetres;

/// A knife model on the rack, or one dull knife, with how it suits.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeChoice {
    /// Id of the type.
    pub knife_type: String,
    /// Blade length.
    pub length: Millimetres,
    /// Label, e.g. `Flat chef's 210`.
    pub name: String,
    /// Numbers on the rack.
    pub numbers: Vec<String>,
    /// Passed the last edge test.
    pub sharp: bool,
    /// The motion that suits it best here.
    pub motion: Motion,
    /// How well it suits.
    pub fit: Fit,
}

/// Students who may not hold the knife of the setup yet, with what suits them best.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OtherKnife {
    /// Names of the students, by station.
    pub students: Vec<String>,
    /// Label of the knife that they take; none where nothing at hand is for them.
    pub knife: Option<String>,
    /// Whether it fits the job; one that does not is taken for want of a better.
    pub fits: bool,
}

/// How the cut will be made, in ids and in words.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ChosenSetup {
    /// Id of the knife type.
    pub knife_type: String,
    /// Blade length.
    pub knife_length: Millimetres,
    /// Label of the knife.
    pub knife_name: String,
    /// Motion.
    pub motion: Motion,
    /// Grip.
    pub grip: Grip,
    /// Hold.
    pub hold: Hold,
    /// Third of the blade.
    pub third: Third,
    /// `pinch · claw · push cut · heel third`.
    pub words: String,
}

/// Everything that Plan shows about one exercise.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Advice {
    /// `Julienne of carrot`.
    pub title: String,
    /// Target: of the course's set of standards, with the exercise's own sizes laid over it.
    pub target: Target,
    /// How much each student cuts: as chosen, else the usual.
    pub amount: Amount,
    /// The usual amounts, in pieces, units and grams, the proposed one first.
    pub usual: Vec<Amount>,
    /// The cut is taught on this food; if not, it is possible, and never proposed.
    pub taught: bool,
    /// What is chosen or proposed; none if the rack is empty.
    pub setup: Option<ChosenSetup>,
    /// A rule refuses the setup: it cannot be saved.
    pub refused: bool,
    /// All knives, best first.
    pub knives: Vec<KnifeChoice>,
    /// Who of the class may not hold the knife of the setup yet, and what they take.
    pub others: Vec<OtherKnife>,
    /// Index in `knives` of the one in the setup.
    pub knife: Option<usize>,
    /// All motions for that knife.
    pub motions: Vec<Rated<Motion>>,
    /// All grips.
    pub grips: Vec<Rated<Grip>>,
    /// All holds.
    pub holds: Vec<Rated<Hold>>,
    /// All thirds.
    pub thirds: Vec<Rated<Third>>,
    /// Cautions, the gravest first.
    pub cautions: Vec<ShownCaution>,
    /// Tools beside the knife to lay out.
    pub tools: Vec<ShownTool>,
    /// Pieces, minutes, food to buy.
    pub figures: ExerciseFigures,
    /// The knife of the setup.
    pub silhouette: Option<Silhouette>,
    /// The food's section with its block.
    pub section: Option<SectionDrawing>,
    /// Sharp knives on the rack that fit, of any model.
    pub knives_that_fit: u32,
    /// Warnings of the setup as it stands; saving keeps them.
    pub warnings: Vec<KeptWarning>,
}
