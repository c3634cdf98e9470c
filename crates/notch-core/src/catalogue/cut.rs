//! Cuts, their targets and tolerances.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::{Food, FoodTrait, Nature};
use crate::text;
use crate::text::{Bare, Text};
use crate::units::Millimetres;

/// Family of a cut: the chain of work that makes it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CutFamily {
    /// Planks, then sticks.
    Strips,
    /// Sticks, then crosscuts.
    Dice,
    /// Coins, planks, bias coins.
    Slices,
    /// Rough chop, mince.
    Chop,
    /// Fine work on one piece: peel, core, turn.
    Hand,
    /// Opening and trimming on the board.
    Open,
    /// Fish, poultry and meat taken apart.
    Break,
}

/// What the pieces of a cut are: it decides how they are counted, and which foods take the cut.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CutForm {
    /// Long and square.
    Stick,
    /// As long as it is wide.
    Cube,
    /// Square and flat.
    Tile,
    /// A thick slice along the food.
    Plank,
    /// A slice across.
    Coin,
    /// Half a slice across.
    HalfMoon,
    /// A slice across at 45°.
    BiasCoin,
    /// From the middle outwards.
    Wedge,
    /// Rolled leaves or layers sliced thin.
    Ribbon,
    /// Uneven, by feel.
    Chopped,
    /// A pile fanned over.
    Minced,
    /// Minced and rubbed with the flat.
    Paste,
    /// Without its skin.
    Peeled,
    /// Without its core.
    Cored,
    /// Between the membranes.
    Segmented,
    /// Barrel-shaped, with faces.
    Turned,
    /// A closed ring or round.
    Ring,
    /// A flat slice, as thick as the food's own.
    Slice,
    /// Two slanting faces, turned between cuts.
    RollCut,
    /// Long thin strips off a peeler.
    Peelings,
    /// Split by the flat of the blade.
    Crushed,
    /// Without its calyx.
    Hulled,
    /// Strips of skin.
    Zest,
    /// Without its ends, fat or silverskin.
    Trimmed,
    /// Two halves.
    Halved,
    /// Four quarters.
    Quartered,
    /// Cheeks beside a flat stone.
    Cheeks,
    /// Halves without a stone.
    Stoned,
    /// Two layers, cut level.
    Split,
    /// Stood on a flat end, the skin cut down.
    SkinnedDown,
    /// The core cut out on the board.
    CoredOnBoard,
    /// Bite-sized heads.
    Florets,
    /// A shallow pattern.
    Scored,
    /// Joints on the bone.
    Jointed,
    /// Without its bone.
    Boned,
    /// Fillets and a frame.
    Filleted,
    /// A fillet without skin.
    SkinOff,
    /// Opened like a book, cut level.
    Butterflied,
    /// Equal portions.
    Portioned,
}

impl CutForm {
    /// The family that pieces of this form belong to.
    pub const fn family(self) -> CutFamily {
        match self {
            CutForm::Stick => CutFamily::Strips,
            CutForm::Cube | CutForm::Tile => CutFamily::Dice,
            CutForm::Plank
            | CutForm::Coin
            | CutForm::HalfMoon
            | CutForm::BiasCoin
            | CutForm::Wedge
            | CutForm::Ribbon
            | CutForm::Ring
            | CutForm::Slice
            | CutForm::RollCut
            | CutForm::Peelings => CutFamily::Slices,
            CutForm::Chopped | CutForm::Minced | CutForm::Paste | CutForm::Crushed => CutFamily::Chop,
            CutForm::Peeled | CutForm::Cored | CutForm::Segmented | CutForm::Turned | CutForm::Hulled | CutForm::Zest => {
                CutFamily::Hand
            }
            CutForm::Trimmed
            | CutForm::Halved
            | CutForm::Quartered
            | CutForm::Cheeks
            | CutForm::Stoned
            | CutForm::Split
            | CutForm::SkinnedDown
            | CutForm::CoredOnBoard
            | CutForm::Florets
            | CutForm::Scored => CutFamily::Open,
            CutForm::Jointed
            | CutForm::Boned
            | CutForm::Filleted
            | CutForm::SkinOff
            | CutForm::Butterflied
            | CutForm::Portioned => CutFamily::Break,
        }
    }

    /// Cut level, the palm on top.
    pub const fn is_level(self) -> bool {
        matches!(self, CutForm::Split | CutForm::SkinOff | CutForm::Butterflied)
    }

    /// Meets the food whole, before it is opened.
    pub const fn meets_whole(self) -> bool {
        matches!(
            self,
            CutForm::Trimmed
                | CutForm::Halved
                | CutForm::Quartered
                | CutForm::Cheeks
                | CutForm::Stoned
                | CutForm::Split
                | CutForm::SkinnedDown
                | CutForm::Florets
                | CutForm::Ring
        )
    }

    /// Parts the whole food: the longest cut there is through it.
    pub const fn parts_whole(self) -> bool {
        matches!(self, CutForm::Halved | CutForm::Quartered | CutForm::Split | CutForm::Stoned)
    }
}

/// One of the four strands of progress.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Strand {
    /// Rough chop, mince.
    Chop,
    /// Dice, large to fine.
    Dice,
    /// Strips, baton to fine julienne.
    Julienne,
    /// Slices.
    Slice,
}

impl Strand {
    /// All four, in the order of the yard.
    pub const ALL: [Strand; 4] = [Strand::Chop, Strand::Dice, Strand::Julienne, Strand::Slice];

    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            Strand::Chop => "chop",
            Strand::Dice => "dice",
            Strand::Julienne => "julienne",
            Strand::Slice => "slice",
        }
    }

    /// Strands that must be safe before this one starts.
    pub const fn stands_on(self) -> &'static [Strand] {
        match self {
            Strand::Chop | Strand::Slice => &[],
            Strand::Julienne => &[Strand::Slice, Strand::Chop],
            Strand::Dice => &[Strand::Julienne],
        }
    }
}

/// A measured side of a piece.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Dimension {
    /// Set by the plank cut.
    Thickness,
    /// Set by the stick cut.
    Width,
    /// Set by the crosscut, or by the block.
    Length,
}

impl Dimension {
    /// All of them, in the order in which they are cut.
    pub const ALL: [Dimension; 3] = [Dimension::Thickness, Dimension::Width, Dimension::Length];

    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            Dimension::Thickness => "thickness",
            Dimension::Width => "width",
            Dimension::Length => "length",
        }
    }
}

/// What one side of a piece should measure.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum TargetSize {
    /// One size.
    Exact {
        /// The size.
        size: Millimetres,
    },
    /// Anything from one size to another.
    Range {
        /// Smallest good size.
        from: Millimetres,
        /// Largest good size.
        to: Millimetres,
    },
    /// Anything smaller than a size.
    Below {
        /// The limit; a piece of just this size is not below it.
        limit: Millimetres,
    },
}

impl TargetSize {
    /// The size that plans are made with: the size itself, the middle of a range, the limit.
    pub fn nominal(self) -> Millimetres {
        match self {
            TargetSize::Exact { size } => size,
            TargetSize::Range { from, to } => Millimetres::clamped((from.get() + to.get()) / 2.0),
            TargetSize::Below { limit } => limit,
        }
    }
}

impl TargetSize {
    /// The largest size that is meant: the size itself, the end of a range, the limit.
    pub fn largest(self) -> Millimetres {
        match self {
            TargetSize::Exact { size } => size,
            TargetSize::Range { to, .. } => to,
            TargetSize::Below { limit } => limit,
        }
    }
}

/// The target of a cut: which sides are held to a size.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Target {
    /// Thickness, set by the plank cut.
    pub thickness: Option<TargetSize>,
    /// Width, set by the stick cut.
    pub width: Option<TargetSize>,
    /// Length.
    pub length: Option<TargetSize>,
}

impl Target {
    /// The target of one side.
    pub const fn side(&self, dimension: Dimension) -> Option<TargetSize> {
        match dimension {
            Dimension::Thickness => self.thickness,
            Dimension::Width => self.width,
            Dimension::Length => self.length,
        }
    }

    /// `3.2 × 3.2 × 50 mm`, as it is said; nothing for a cut without sizes.
    pub fn said(&self) -> Text {
        let sides: Vec<TargetSize> = [self.thickness, self.width, self.length].into_iter().flatten().collect();
        let mut text = Text::default();
        for (index, side) in sides.iter().enumerate() {
            let last = index + 1 == sides.len();
            if index > 0 {
                text.push(" × ");
            }
            let (before, size) = match *side {
                TargetSize::Exact { size } => (Text::default(), size),
                TargetSize::Range { from, to } => (text![Bare(from), " to "], to),
                TargetSize::Below { limit } => (text!["under "], limit),
            };
            text.push(before);
            if last {
                text.push(size);
            } else {
                text.push(Bare(size));
            }
        }
        text
    }
}

/// A cut of the catalogue.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Cut {
    /// Id, e.g. `fine_julienne`.
    pub id: String,
    /// Name in a sentence.
    pub name: String,
    /// As a cut of a food is said, with `{food}` in its place; `julienne of carrot` where nothing is said.
    #[serde(default)]
    pub titled: Option<String>,
    /// Family.
    pub family: CutFamily,
    /// What the pieces are.
    pub form: CutForm,
    /// What it leaves, in a few words.
    pub leaves: String,
    /// How it is done, in a sentence or two.
    pub how: String,
    /// The same of meat and fish, where that is other work.
    #[serde(default)]
    pub on_flesh: Option<OnFlesh>,
    /// The same of foods that have something, where that is other work again; the first that fits is told.
    #[serde(default)]
    pub told_with: Vec<ToldWith>,
    /// The strand it counts for; turning has none.
    pub strand: Option<Strand>,
    /// Order within the strand, 1 first.
    #[serde(default)]
    pub rung: u8,
}

/// What a cut is on meat and fish.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnFlesh {
    /// What it leaves, in a few words.
    pub leaves: String,
    /// How it is done, in a sentence or two.
    pub how: String,
}

/// What a cut is on foods that have something.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ToldWith {
    /// What the food has.
    pub has: FoodTrait,
    /// What it leaves, in a few words.
    pub leaves: String,
    /// How it is done, in a sentence or two.
    pub how: String,
}

impl Cut {
    /// What it leaves of a food, and how that is done.
    pub fn told_of(&self, food: &Food) -> (&str, &str) {
        if let Some(told) = self.told_with.iter().find(|told| food.is(told.has)) {
            return (&told.leaves, &told.how);
        }
        match &self.on_flesh {
            Some(other) if matches!(food.nature, Nature::Meat | Nature::Fish | Nature::Cured | Nature::Cooked) => {
                (&other.leaves, &other.how)
            }
            _ => (&self.leaves, &self.how),
        }
    }
}

/// A set of standards: a target for each cut it teaches.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StandardSet {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// Why a school would choose it.
    pub why: String,
    /// Targets by id of the cut.
    pub cuts: BTreeMap<String, Target>,
}

impl Cut {
    /// The cut of a food as a heading: `Julienne of carrot`, `Halve cabbage`.
    pub fn of(&self, food: &str) -> String {
        let said =
            self.titled.as_ref().map_or_else(|| format!("{} of {food}", self.name), |titled| titled.replace("{food}", food));
        crate::words::capital(&said)
    }
}

/// A tolerance profile: a share of the target, but not under a floor.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Tolerance {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// Share of the target, 0..1.
    pub share: f64,
    /// Least tolerance.
    pub floor: Millimetres,
    /// Largest coefficient of variation that counts as even.
    pub even_cv: f64,
}

impl Tolerance {
    /// The tolerance τ for a size: `max(share × size, floor)`.
    pub fn around(&self, size: Millimetres) -> Millimetres {
        Millimetres::clamped(self.share * size.get()).longer(self.floor)
    }
}
