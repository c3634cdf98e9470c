//! The questions on which practitioners disagree, and the doctrines that a course chooses.

use serde::{Deserialize, Serialize};

/// What a change of doctrine changes.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Touches {
    /// Knife, grip, hold, motion, cautions.
    Setup,
    /// Honing, sharpening, what is due.
    Care,
    /// The smallest kit.
    Kit,
    /// Target sizes or tolerances.
    Targets,
}

/// A question on which practitioners disagree, and the doctrines a course can choose.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DoctrineQuestion {
    /// Id.
    pub id: String,
    /// The question.
    pub ask: String,
    /// Our default, and why.
    pub why: String,
    /// What a change of doctrine changes.
    pub touches: Touches,
    /// Field of the course that answers it, where the answer is a set of standards or a tolerance.
    pub decided_by: Option<String>,
    /// Doctrines; the first is our default.
    #[serde(default)]
    pub doctrines: Vec<Doctrine>,
    /// Doctrines that a course cannot choose, with the reason.
    #[serde(default)]
    pub refused: Vec<RefusedDoctrine>,
}

/// One answer to a question.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Doctrine {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
}

/// An answer that is not offered.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RefusedDoctrine {
    /// Name.
    pub name: String,
    /// Why it cannot be chosen.
    pub why: String,
}

macro_rules! doctrines {
    ($($(#[$doc:meta])* $question:ident: $kind:ident { $($(#[$vdoc:meta])* $variant:ident = $word:literal),* $(,)? })*) => {
        $(
            $(#[$doc])*
            #[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
            #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
            #[serde(rename_all = "snake_case")]
            #[allow(missing_docs)]
            pub enum $kind { $($(#[$vdoc])* $variant),* }
        )*

        /// The doctrines that a course has chosen; each is our default unless chosen otherwise.
        #[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
        #[serde(deny_unknown_fields)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        pub struct Doctrines { $($(#[$doc])* #[serde(default)] pub $question: $kind),* }

        impl Doctrines {
            /// Each question with the ids of its doctrines, in order.
            pub const QUESTIONS: &'static [(&'static str, &'static [&'static str])] =
                &[$((stringify!($question), &[$($word),*])),*];
        }
    };
}

doctrines! {
    /// How an onion is diced.
    onion_dice: OnionDice { #[default] Computed = "computed", LevelCut = "level_cut", Radial = "radial", Verticals = "verticals", HalfRings = "half_rings" }
    /// Whether the tip stays on the board.
    tip: TipOnBoard { #[default] ByProfile = "by_profile", Stays = "stays", Lifts = "lifts" }
    /// Which grip is taught.
    grip: GripDoctrine { #[default] Pinch = "pinch", PinchOnly = "pinch_only", Handle = "handle" }
    /// Whether the index finger may lie on the spine.
    index_on_spine: IndexOnSpine { #[default] Never = "never", TipDraw = "tip_draw" }
    /// Whether a cut may go towards oneself.
    towards_self: TowardsSelf { #[default] ParingOnly = "paring_only", Never = "never" }
    /// The angle a knife is honed at.
    honing_angle: HoningAngle { #[default] Own = "own", Fifteen = "fifteen", Twenty = "twenty", Fold = "fold" }
    /// Whether a pull-through sharpener may be used.
    pull_through: PullThrough { #[default] Recorded = "recorded", Never = "never" }
    /// Whether edges are kept with steel, stone or both.
    steel_or_stone: SteelOrStone { #[default] Both = "both", Steel = "steel", Stone = "stone" }
    /// What teeth are for.
    serrated: SerratedUse { #[default] ToughOutside = "tough_outside", BreadOnly = "bread_only" }
    /// Which blade a beginner starts with.
    beginner_blade: BeginnerBlade { #[default] Ladder = "ladder", SmallFirst = "small_first", BigFirst = "big_first" }
    /// How many knives are enough.
    kit_size: KitSize { #[default] Computed = "computed", One = "one", Three = "three", Six = "six" }
    /// Whether a knife may go into the dishwasher.
    dishwasher: Dishwasher { #[default] Never = "never", ByMaker = "by_maker" }
    /// How garlic is taken apart.
    garlic: GarlicDoctrine { #[default] Both = "both", Crush = "crush", SmallKnife = "small_knife" }
    /// Whether cutting through the gap of two fingers is taught to children.
    finger_gap: FingerGap { #[default] Bridge = "bridge", ClawOnly = "claw_only" }
    /// What cuts a tomato.
    tomato_edge: TomatoEdge { #[default] Either = "either", Teeth = "teeth", Plain = "plain" }
    /// Where citrus is skinned and segmented.
    citrus_peel: CitrusPeel { #[default] Board = "board", Hand = "hand" }
    /// Which knife joints a bird.
    jointing: Jointing { #[default] Either = "either", Boning = "boning", Chefs = "chefs" }
    /// What peels.
    peel_tool: PeelTool { #[default] Peeler = "peeler", Knife = "knife" }
    /// How an avocado's stone comes out.
    avocado_stone: AvocadoStone { #[default] Spoon = "spoon", Quartered = "quartered", HeelOnBoard = "heel_on_board" }
    /// How round food is held to be halved.
    halving_hold: HalvingHold { #[default] Bridge = "bridge", Claw = "claw" }
    /// What slices raw fish.
    fish_slices: FishSlices { #[default] SingleBevel = "single_bevel", Slicer = "slicer" }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_doctrine_is_sent_as_the_word_that_the_data_file_has() {
        for (question, words) in Doctrines::QUESTIONS {
            for word in *words {
                let text = format!("{{\"{question}\":\"{word}\"}}");
                let read: Doctrines = serde_json::from_str(&text).unwrap();
                assert_eq!(serde_json::to_value(read).unwrap()[question], *word);
            }
        }
        assert!(serde_json::from_str::<Doctrines>("{\"grip\":\"none\"}").is_err());
    }
}
