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
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
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
}

impl Profile {
    /// Whether the belly is curved enough to rock with the tip on the board.
    pub const fn rocks(self) -> bool {
        matches!(self, Profile::CurvedBelly | Profile::GentleBelly)
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
    /// What it is good for.
    pub good_for: String,
    /// What it is not for.
    pub not_for: String,
    /// Motions that suit it, best first.
    pub motions: Vec<Motion>,
}

impl KnifeType {
    /// Label of a knife of this type, e.g. `Flat chef's 210`.
    pub fn label(&self, length: Millimetres) -> String {
        format!("{} {length}", self.short)
    }
}
