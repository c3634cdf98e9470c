//! The field's knowledge as data: read from the files in `data/`, checked as a whole.

mod ask;
mod care;
mod check;
mod course_kind;
mod cut;
mod doctrine;
mod draft;
mod fault;
mod food;
mod hand_work;
mod handling;
mod knife;
mod load;
mod mistakes;
mod roster_words;
mod tool;

use std::collections::BTreeMap;

use crate::units::Millimetres;

pub use ask::{AskRules, FaultPicture};
pub use care::{BoardMaterial, BoardWear, CareRules, Habit, HabitWear, KnifePart, PartPlace};
pub use check::CatalogueError;
pub use course_kind::{CourseKind, KindGoal};
pub use cut::{Cut, CutFamily, CutForm, Dimension, OnFlesh, StandardSet, Strand, Target, TargetSize, ToldWith, Tolerance};
pub use doctrine::{
    AvocadoStone, BeginnerBlade, CitrusPeel, Dishwasher, Doctrine, DoctrineQuestion, Doctrines, FingerGap, FishSlices,
    GarlicDoctrine, GripDoctrine, HalvingHold, HoningAngle, IndexOnSpine, Jointing, KitSize, OnionDice, PeelTool, PullThrough,
    RefusedDoctrine, SerratedUse, SteelOrStone, TipOnBoard, TomatoEdge, Touches, TowardsSelf,
};
pub use draft::{DraftLimits, DraftRules, DraftWeights, Feeds, NotchSessions, Technique};
pub use fault::{Caution, CautionSeverity, Diagnosis, Fault, FaultSeverity};
pub use food::{
    Bought, Food, FoodGroup, FoodTrait, Nature, Opened, Peeled, Peeling, ProduceSize, Shape, Skin, Sold, Standing, Tint,
};
pub use hand_work::HandWork;
pub use handling::{Grip, Handling, Hold, LessonSegment, Manner, Motion, SegmentKind, Third};
pub use knife::{AngleRange, BoardWork, Edge, KnifeType, LengthRange, Profile, Work};
pub use load::Sources;
pub use roster_words::RosterWords;
pub(crate) use roster_words::{Mark, RosterColumn, plain};
pub use tool::{ShownTool, Tool, ToolPlace};

/// Thresholds of the five notches and the ladder of blade lengths.
#[derive(Clone, Debug, PartialEq, serde::Serialize, serde::Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ProgressRules {
    /// Clean attempts in a row that cut, or restore, Safe.
    pub clean_attempts: usize,
    /// Blind pieces that True looks back on.
    pub true_pieces: usize,
    /// Least Wilson lower bound of the share inside, 0..1.
    pub true_wilson: f64,
    /// Largest |bias| as a share of the tolerance.
    pub true_bias_share: f64,
    /// Attempts that Even looks back on.
    pub even_attempts: usize,
    /// Largest time as a multiple of the reference time.
    pub paced_factor: f64,
    /// Days after the fourth notch before the fifth can be cut.
    pub held_days: i64,
    /// Blade lengths that are cleared one after the other, shortest first.
    pub ladder: Vec<ClearanceRung>,
}

/// A length of blade that is cleared by evidence.
#[derive(Clone, Debug, PartialEq, serde::Serialize, serde::Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClearanceRung {
    /// Longest blade on this rung.
    pub length: Millimetres,
    /// The notch that clears it; none for the first rung.
    pub notch: Option<NotchKind>,
    /// In how many strands the notch must be cut.
    #[serde(default)]
    pub strands: usize,
    /// The special clearance: knives with a clearance of their own, and blades beyond the rung before.
    #[serde(default)]
    pub special: bool,
}

impl ProgressRules {
    /// The longest blade that length alone clears.
    pub fn longest_by_length(&self) -> Millimetres {
        let plain = self.ladder.iter().filter(|rung| !rung.special);
        plain.map(|rung| rung.length).fold(Millimetres::ZERO, Millimetres::longer)
    }

    /// The rung of the special clearance.
    pub fn special_rung(&self) -> Option<&ClearanceRung> {
        self.ladder.iter().find(|rung| rung.special)
    }
}

/// The five notches of a strand, in the order they are cut.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, serde::Serialize, serde::Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum NotchKind {
    /// No Stop fault, grip and hold sound.
    Safe,
    /// On target.
    True,
    /// Alike.
    Even,
    /// In time.
    Paced,
    /// Still there two weeks later.
    Held,
}

impl NotchKind {
    /// All five, in order.
    pub const ALL: [NotchKind; 5] = [NotchKind::Safe, NotchKind::True, NotchKind::Even, NotchKind::Paced, NotchKind::Held];

    /// Its name as it is shown.
    pub const fn name(self) -> &'static str {
        match self {
            NotchKind::Safe => "Safe",
            NotchKind::True => "True",
            NotchKind::Even => "Even",
            NotchKind::Paced => "Paced",
            NotchKind::Held => "Held",
        }
    }
}

/// Everything the product knows of knives, cuts and foods. Built only by [`Catalogue::shipped`]
/// or [`Catalogue::load`], which check it, so that every reference in it resolves.
#[derive(Clone, Debug)]
pub struct Catalogue {
    /// Knife types, in the order of the brief.
    pub knives: Vec<KnifeType>,
    /// Foods.
    pub foods: Vec<Food>,
    /// Cuts.
    pub cuts: Vec<Cut>,
    /// Sets of standards; the first is the default.
    pub sets: Vec<StandardSet>,
    /// Tolerance profiles.
    pub tolerances: Vec<Tolerance>,
    /// Faults with their cues.
    pub faults: Vec<Fault>,
    /// Cautions.
    pub cautions: Vec<Caution>,
    /// What the figures say, by id.
    pub diagnoses: BTreeMap<String, Diagnosis>,
    /// Grips, holds, motions and paces.
    pub handling: Handling,
    /// Kinds of segment on the time rule, in their usual order.
    pub segments: Vec<LessonSegment>,
    /// Notch thresholds and the blade ladder.
    pub progress: ProgressRules,
    /// Questions with schools.
    pub doctrines: Vec<DoctrineQuestion>,
    /// Parts of a knife.
    pub parts: Vec<KnifePart>,
    /// Tools beside the knives.
    pub tools: Vec<Tool>,
    /// Figures of edge care.
    pub care: CareRules,
    /// Words of a class list.
    pub roster: RosterWords,
    /// How a course is drafted.
    pub draft: DraftRules,
    /// Courses of a known kind.
    pub kinds: Vec<CourseKind>,
    /// How Ask me goes.
    pub ask: AskRules,
    /// What the product says of its own limits, on plan, class and print.
    pub disclaimer: String,
    /// What to do when somebody is cut.
    pub first_aid: String,
}

impl Catalogue {
    /// The knife type with this id.
    pub fn knife(&self, id: &str) -> Option<&KnifeType> {
        self.knives.iter().find(|knife| knife.id == id)
    }

    /// The food with this id.
    pub fn food(&self, id: &str) -> Option<&Food> {
        self.foods.iter().find(|food| food.id == id)
    }

    /// The cut with this id.
    pub fn cut(&self, id: &str) -> Option<&Cut> {
        self.cuts.iter().find(|cut| cut.id == id)
    }

    /// The set of standards with this id.
    pub fn set(&self, id: &str) -> Option<&StandardSet> {
        self.sets.iter().find(|set| set.id == id)
    }

    /// The target of a cut in a set of standards; `None` if the set does not teach the cut.
    pub fn target(&self, set: &str, cut: &str) -> Option<Target> {
        self.set(set)?.cuts.get(cut).copied()
    }

    /// The target of a cut where a set of standards teaches it: a cut without a size is taught by every set.
    pub fn teaches(&self, set: &str, cut: &str) -> Option<Target> {
        let sized = |cut: &Cut| cut.strand.is_some() && cut.form != CutForm::Slice;
        let measured = || self.sets.iter().any(|set| set.cuts.get(cut).is_some_and(|target| *target != Target::default()));
        let unsized_cut = || self.cut(cut).is_some_and(|cut| !sized(cut)) && !measured();
        self.target(set, cut).or_else(|| unsized_cut().then(Target::default))
    }

    /// The target of a cut of a food: a slice is as thick as this food is usually sliced.
    pub fn target_of(&self, set: &str, cut: &Cut, food: &Food) -> Option<Target> {
        let mut target = self.teaches(set, &cut.id)?;
        if cut.form == CutForm::Slice && target.thickness.is_none() {
            target.thickness = food.slice.map(|size| TargetSize::Exact { size });
        }
        Some(target)
    }

    /// The tolerance profile with this id.
    pub fn tolerance(&self, id: &str) -> Option<&Tolerance> {
        self.tolerances.iter().find(|tolerance| tolerance.id == id)
    }

    /// The fault with this id.
    pub fn fault(&self, id: &str) -> Option<&Fault> {
        self.faults.iter().find(|fault| fault.id == id)
    }

    /// The caution with this id.
    pub fn caution(&self, id: &str) -> Option<&Caution> {
        self.cautions.iter().find(|caution| caution.id == id)
    }

    /// The segment kind's usual and least minutes.
    pub fn segment(&self, kind: SegmentKind) -> Option<&LessonSegment> {
        self.segments.iter().find(|segment| segment.kind == kind)
    }
}
