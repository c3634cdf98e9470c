//! How the knife and the food are held and moved, and the kinds of segment of a lesson.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::people::Pace;

macro_rules! word_enum {
    ($(#[$doc:meta])* $name:ident { $($(#[$vdoc:meta])* $variant:ident = $word:literal),* $(,)? }) => {
        $(#[$doc])*
        #[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
        #[serde(rename_all = "snake_case")]
        #[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
        pub enum $name { $($(#[$vdoc])* $variant),* }

        impl $name {
            /// Every value, in the order of the brief.
            pub const ALL: &'static [$name] = &[$($name::$variant),*];

            /// The word it is stored and sent as.
            pub const fn word(self) -> &'static str {
                match self { $($name::$variant => $word),* }
            }
        }

        impl std::str::FromStr for $name {
            type Err = ();
            fn from_str(word: &str) -> Result<Self, ()> {
                Self::ALL.iter().copied().find(|value| value.word() == word).ok_or(())
            }
        }
    };
}

pub(crate) use word_enum;

word_enum! {
    /// How the knife hand holds the knife.
    Grip {
        /// Thumb and bent index finger on the blade.
        Pinch = "pinch",
        /// Whole hand on the handle.
        Handle = "handle",
        /// Index finger along the spine.
        IndexOnSpine = "index_on_spine",
        /// Hand far down the handle.
        ChokedBack = "choked_back",
        /// Edge facing the thumb, food in hand.
        Paring = "paring",
        /// Other hand on the spine.
        SpineTop = "spine_top",
        /// Fist, the blade out of the bottom of the hand.
        BoningFist = "boning_fist",
    }
}

word_enum! {
    /// How the guide hand holds the food.
    Hold {
        /// Fingertips curled back.
        Claw = "claw",
        /// Arch over the food.
        Bridge = "bridge",
        /// Palm on top of a level cut.
        FlatPalm = "flat_palm",
        /// Hand on the spine.
        SpineTop = "spine_top",
        /// Food off the board.
        InHand = "in_hand",
        /// Lower end of the food on the board, the upper end held.
        EndRest = "end_rest",
        /// Carving fork behind the blade.
        Fork = "fork",
    }
}

word_enum! {
    /// How the edge moves.
    Motion {
        /// Tip stays down.
        Rock = "rock",
        /// Forward and down.
        Push = "push",
        /// Drawn to the body.
        Pull = "pull",
        /// Vertical from the wrist.
        Tap = "tap",
        /// Back and forth.
        Saw = "saw",
        /// One long stroke.
        LongDraw = "long_draw",
        /// Fanned over a pile.
        PivotMince = "pivot_mince",
        /// Body weight on the spine.
        Press = "press",
        /// Thumb guides, hand flexes.
        InHandPull = "in_hand_pull",
        /// With the flat of the blade.
        Crush = "crush",
        /// A peeler along the food, away from the hand.
        PeelStroke = "peel_stroke",
        /// Tip first, straight down.
        Pierce = "pierce",
        /// The tip drawn lightly to one depth.
        Score = "score",
        /// Scissors.
        Snip = "snip",
    }
}

impl Motion {
    /// A blade works downwards on the board: not in the hand, and not as a peeler.
    pub const fn on_board(self) -> bool {
        !matches!(self, Motion::InHandPull | Motion::PeelStroke)
    }
}

word_enum! {
    /// The part of the blade that does the work.
    Third {
        /// Tip third: soft food, fine insertions.
        Tip = "tip",
        /// Middle third.
        Middle = "middle",
        /// Heel third: firm food.
        Heel = "heel",
        /// Heel to tip in one stroke.
        Whole = "whole",
    }
}

impl Third {
    /// As it is said: `heel third`, `whole blade`.
    pub const fn said(self) -> &'static str {
        match self {
            Third::Tip => "tip third",
            Third::Middle => "middle third",
            Third::Heel => "heel third",
            Third::Whole => "whole blade",
        }
    }
}

word_enum! {
    /// What a stretch of the lesson is for.
    SegmentKind {
        /// Students arrive.
        Arrival = "arrival",
        /// Boards, cloths, containers.
        StationSetUp = "station_set_up",
        /// Carry, pass, lay down, falling knife, sink, storage.
        SafetyBriefing = "safety_briefing",
        /// Test and hone each knife.
        Honing = "honing",
        /// The instructor shows, slowly.
        Demonstration = "demonstration",
        /// The motion on an empty board.
        DryDrill = "dry_drill",
        /// Students cut.
        Practice = "practice",
        /// Pieces are measured.
        Measuring = "measuring",
        /// Clean and dry.
        CleanDown = "clean_down",
        /// Count in, store.
        KnifeCount = "knife_count",
        /// A part of the instructor's own: a guest, a tasting, a break. It may lie anywhere.
        Own = "own",
    }
}

impl SegmentKind {
    /// Comes after practice in every lesson.
    pub fn follows_practice(self) -> bool {
        matches!(self, Self::Measuring | Self::CleanDown | Self::KnifeCount)
    }
}

/// Name and plain words of a grip, hold or motion.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Manner {
    /// Name.
    pub name: String,
    /// How it is done.
    pub how: String,
}

/// Plain words of all grips, holds and motions, and the figures of pace.
#[derive(Clone, Debug)]
pub struct Handling {
    /// Words of each grip.
    pub grips: BTreeMap<Grip, Manner>,
    /// Words of each hold.
    pub holds: BTreeMap<Hold, Manner>,
    /// Words of each motion.
    pub motions: BTreeMap<Motion, Manner>,
    /// Strokes a minute at each pace.
    pub strokes_per_minute: BTreeMap<Pace, f64>,
    /// Seconds each time food is stacked or gathered again.
    pub regroup_seconds: f64,
    /// Seconds to wash and lay out one unit of food.
    pub unit_seconds: f64,
    /// Planks stacked for one row of stick cuts.
    pub stack_planks: u32,
    /// Width of a bundle of sticks gathered for crosscuts.
    pub bundle_width: crate::units::Millimetres,
    /// Figures of work that is not squared.
    pub hand_work: super::HandWork,
}

impl Handling {
    /// Name of a grip, e.g. `pinch`.
    pub fn grip_name(&self, grip: Grip) -> &str {
        self.grips.get(&grip).map_or(grip.word(), |manner| &manner.name)
    }

    /// Name of a hold.
    pub fn hold_name(&self, hold: Hold) -> &str {
        self.holds.get(&hold).map_or(hold.word(), |manner| &manner.name)
    }

    /// Name of a motion.
    pub fn motion_name(&self, motion: Motion) -> &str {
        self.motions.get(&motion).map_or(motion.word(), |manner| &manner.name)
    }

    /// Strokes a minute at a pace; always above 0.
    pub fn strokes_per_minute(&self, pace: Pace) -> f64 {
        self.strokes_per_minute.get(&pace).copied().unwrap_or(30.0).max(1.0)
    }
}

/// A kind of segment with its usual and least width.
#[derive(Clone, Debug, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LessonSegment {
    /// Kind.
    pub kind: SegmentKind,
    /// Name.
    pub name: String,
    /// Name on a narrow segment.
    pub short: String,
    /// Usual minutes.
    pub minutes: u16,
    /// What it can be cut down to when time is short.
    pub least: u16,
    /// Place in the order in which minutes are taken when a lesson runs over; 1 gives first.
    pub gives: u8,
    /// Why it can give them, or what that costs.
    pub gives_because: String,
    /// What it costs to leave it out altogether; none where a class is not held without it.
    #[serde(default)]
    pub left_out: Option<String>,
    /// Minutes that each student has at a sink, where they take turns at one.
    #[serde(default)]
    pub at_sink: Option<u16>,
}
