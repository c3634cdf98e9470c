//! The questions on which practitioners disagree, and the schools that a course chooses.

use serde::{Deserialize, Serialize};

/// What a change of school changes.
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

/// A question on which practitioners disagree, and the schools a course can choose.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SchoolQuestion {
    /// Id.
    pub id: String,
    /// The question.
    pub ask: String,
    /// Our default, and why.
    pub why: String,
    /// What a change of school changes.
    pub touches: Touches,
    /// Field of the course that answers it, where the answer is a set of standards or a tolerance.
    pub decided_by: Option<String>,
    /// Schools; the first is our default.
    #[serde(default)]
    pub schools: Vec<School>,
    /// Schools that a course cannot choose, with the reason.
    #[serde(default)]
    pub refused: Vec<RefusedSchool>,
}

/// One answer to a question.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct School {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
}

/// An answer that is not offered.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RefusedSchool {
    /// Name.
    pub name: String,
    /// Why it cannot be chosen.
    pub why: String,
}

macro_rules! schools {
    ($($(#[$doc:meta])* $question:ident: $kind:ident { $($(#[$vdoc:meta])* $variant:ident = $word:literal),* $(,)? })*) => {
        $(
            $(#[$doc])*
            #[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
            #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
            #[serde(rename_all = "snake_case")]
            #[allow(missing_docs)]
            pub enum $kind { $($(#[$vdoc])* $variant),* }
        )*

        /// The schools that a course has chosen; each is our default unless chosen otherwise.
        #[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
        #[serde(deny_unknown_fields)]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        pub struct Schools { $($(#[$doc])* #[serde(default)] pub $question: $kind),* }

        impl Schools {
            /// Each question with the ids of its schools, in order.
            pub const QUESTIONS: &'static [(&'static str, &'static [&'static str])] =
                &[$((stringify!($question), &[$($word),*])),*];
        }
    };
}

schools! {
    /// How an onion is diced.
    onion_dice: OnionDice { #[default] Computed = "computed", LevelCut = "level_cut", Radial = "radial", Verticals = "verticals", HalfRings = "half_rings" }
    /// Whether the tip stays on the board.
    tip: TipOnBoard { #[default] ByProfile = "by_profile", Stays = "stays", Lifts = "lifts" }
    /// Which grip is taught.
    grip: GripSchool { #[default] Pinch = "pinch", PinchOnly = "pinch_only", Handle = "handle" }
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
    garlic: GarlicSchool { #[default] Both = "both", Crush = "crush", SmallKnife = "small_knife" }
    /// Whether cutting through the gap of two fingers is taught to children.
    finger_gap: FingerGap { #[default] Bridge = "bridge", ClawOnly = "claw_only" }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn each_school_is_sent_as_the_word_that_the_data_file_has() {
        for (question, words) in Schools::QUESTIONS {
            for word in *words {
                let text = format!("{{\"{question}\":\"{word}\"}}");
                let read: Schools = serde_json::from_str(&text).unwrap();
                assert_eq!(serde_json::to_value(read).unwrap()[question], *word);
            }
        }
        assert!(serde_json::from_str::<Schools>("{\"grip\":\"none\"}").is_err());
    }
}
