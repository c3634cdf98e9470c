//! Knife types.

use serde::{Deserialize, Serialize};

use super::Motion;
use crate::units::Millimetres;

/// How the edge is ground.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Edge {
    /// Plain, ground on both sides.
    Straight,
    /// Teeth; not honed on a plain steel.
    Serrated,
    /// Ground on one side, so made for one hand.
    SingleBevel,
}

/// The outline of the blade, as far as rules and drawings need it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Profile {
    /// Strong belly: rocks well.
    CurvedBelly,
    /// Flat heel third, gentle belly, thin tip.
    GentleBelly,
    /// Mostly flat, spine dropping to the tip.
    SheepsFoot,
    /// Straight edge, tip clipped at an angle.
    ClippedTip,
    /// Dead flat with a square end.
    DeadFlat,
    /// Short pointed blade.
    Short,
    /// Curved inwards for turning.
    CurvedInwards,
    /// Narrow and pointed.
    Narrow,
    /// Long, thin and narrow.
    LongNarrow,
    /// As a small chef's knife, its tip rounded.
    BluntTip,
    /// A slotted blade fixed in its handle.
    Slot,
    /// A slotted blade that turns with the food.
    Swivel,
    /// Two blades on a pivot.
    Scissors,
}

impl Profile {
    /// Whether the belly is curved enough to rock with the tip on the board.
    pub const fn rocks(self) -> bool {
        matches!(self, Profile::CurvedBelly | Profile::GentleBelly)
    }

    /// Whether it ends square, without a tip.
    pub const fn is_square_ended(self) -> bool {
        matches!(self, Profile::DeadFlat)
    }

    /// Whether the edge meets the board along most of its length in one go.
    pub const fn is_flat(self) -> bool {
        matches!(self, Profile::SheepsFoot | Profile::ClippedTip | Profile::DeadFlat)
    }
}

/// What a type may do on the board.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum BoardWork {
    /// Any food that it is long and strong enough for.
    All,
    /// Only small soft food.
    Small,
    /// Nothing: it works in the hand.
    None,
}

/// Work that a type of knife is made for, as far as it decides which knife leads.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Work {
    /// Vegetables, fruit, herbs and the like on the board.
    Produce,
    /// Hard produce of a hand's breadth or more, whole: opened with force.
    HardWhole,
    /// Peel, core, hull and segments: fine work with a short point.
    Fine,
    /// Turning.
    Turning,
    /// Peeling with a peeler, ribbons, zest.
    Peeling,
    /// Bread and rolls.
    Bread,
    /// Cakes.
    Cake,
    /// Firm cheese.
    Cheese,
    /// A clove under the flat of the blade.
    Crushing,
    /// Raw fish in slices and portions.
    FishSlices,
    /// Fish off its bone.
    FishBone,
    /// Skin off a fillet.
    Skinning,
    /// Raw meat and poultry off the bone.
    Meat,
    /// Fat and silverskin off.
    MeatTrim,
    /// Belly, dark edges and pin bones off a fillet.
    FishTrim,
    /// Joints and bones.
    Bone,
    /// Cooked or cured meat in thin slices.
    Carving,
    /// Herbs, fins and a backbone between two blades.
    Snipping,
}

impl Work {
    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            Work::Produce => "board work on produce",
            Work::HardWhole => "opening hard produce",
            Work::Fine => "fine work with a short point",
            Work::Turning => "turning",
            Work::Peeling => "peeling",
            Work::Bread => "bread",
            Work::Cake => "cakes",
            Work::Cheese => "firm cheese",
            Work::Crushing => "crushing with the flat",
            Work::FishSlices => "slices of raw fish",
            Work::FishBone => "taking fish off its bone",
            Work::Skinning => "skinning fillets",
            Work::Meat => "raw meat off the bone",
            Work::MeatTrim => "trimming fat and silverskin",
            Work::FishTrim => "trimming fillets",
            Work::Bone => "joints and bones",
            Work::Carving => "carving",
            Work::Snipping => "snipping",
        }
    }
}

/// The lengths that a type is made in.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LengthRange {
    /// Shortest blade.
    pub from: Millimetres,
    /// Longest blade.
    pub to: Millimetres,
    /// The one most often bought.
    pub usual: Millimetres,
}

/// The angles that a type is ground to.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AngleRange {
    /// Smallest, degrees per side.
    pub from: f64,
    /// Largest, degrees per side.
    pub to: f64,
}

/// A kind of knife, not one knife on the rack.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeType {
    /// Id, e.g. `flat_chefs`.
    pub id: String,
    /// Name in a sentence.
    pub name: String,
    /// Name on a label.
    pub short: String,
    /// What it is also called in a list of knives.
    #[serde(default, skip_serializing)]
    pub words: Vec<String>,
    /// Blade lengths.
    pub length: LengthRange,
    /// Edge angles; none for serrated edges.
    pub angle: Option<AngleRange>,
    /// Kind of edge.
    pub edge: Edge,
    /// Outline.
    pub profile: Profile,
    /// Usual height of the blade at the heel.
    pub heel_height: Millimetres,
    /// 1 light to 5 heavy.
    pub weight: u8,
    /// 1 flexible to 5 stiff.
    pub stiffness: u8,
    /// What it may do on the board.
    pub board: BoardWork,
    /// Needs its own clearance (turning, single-bevel, boning, heavy).
    #[serde(default)]
    pub special: bool,
    /// Work that it is made for.
    #[serde(default)]
    pub best: Vec<Work>,
    /// Work that it also does.
    #[serde(default)]
    pub good: Vec<Work>,
    /// How common it is in a class, 0 to 6: of knives that do the work alike the commoner one leads.
    #[serde(default)]
    pub common: u8,
    /// Made for children's hands.
    #[serde(default)]
    pub for_children: bool,
    /// What it is good for.
    pub good_for: String,
    /// What it is not for.
    pub not_for: String,
    /// Motions that suit it, best first.
    pub motions: Vec<Motion>,
}

impl KnifeType {
    /// Whether its edge is honed and ground: teeth, peelers are replaced or sent out.
    pub const fn is_ground(&self) -> bool {
        self.angle.is_some()
    }

    /// Label of a knife of this type, e.g. `Flat chef's 210`.
    pub fn label(&self, length: Millimetres) -> String {
        format!("{} {length}", self.short)
    }
}
