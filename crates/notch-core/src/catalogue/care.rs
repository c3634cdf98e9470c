//! The figures of edge care: wear, what is due, angles.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::handling::word_enum;

word_enum! {
    /// What the boards of a course are made of.
    BoardMaterial {
        /// Wood.
        Wood = "wood",
        /// Rubber.
        Rubber = "rubber",
        /// Plastic.
        Plastic = "plastic",
        /// Glass: never used.
        Glass = "glass",
        /// Stone: never used.
        Stone = "stone",
        /// Ceramic: never used.
        Ceramic = "ceramic",
    }
}

word_enum! {
    /// A habit that costs an edge.
    Habit {
        /// Washed in a machine.
        Dishwasher = "dishwasher",
        /// Used on glass, stone or ceramic.
        HardBoard = "hard_board",
        /// Food moved with the edge.
        Scraped = "scraped",
        /// Kept loose in a drawer.
        LooseDrawer = "loose_drawer",
        /// Drawn through a fixed-angle sharpener.
        PullThrough = "pull_through",
    }
}

/// What a board does to an edge.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct BoardWear {
    /// Name.
    pub name: String,
    /// Wear of a minute, as a multiple of a minute on wood.
    pub wear: f64,
    /// May be used at all.
    pub allowed: bool,
}

/// What a habit costs.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct HabitWear {
    /// Name.
    pub name: String,
    /// Board minutes that one occasion counts for.
    pub wear: f64,
    /// Why, and what to do instead.
    pub why: String,
}

/// Honing on a steel.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct HoneRules {
    /// Fewest strokes a side.
    pub strokes_from: u16,
    /// Most strokes a side.
    pub strokes_to: u16,
}

/// Sharpening on a stone.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct StoneRules {
    /// Strokes a side, or until a burr.
    pub strokes: u16,
    /// Grits, coarse first.
    pub grits: Vec<u32>,
    /// Board minutes after which the stone is due.
    pub due_minutes: f64,
    /// Board minutes after which it is overdue.
    pub overdue_minutes: f64,
    /// Days after which it is due, with any use in them.
    pub due_days: i32,
}

/// Serrated edges.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct SerratedRules {
    /// Board minutes after which the knife is replaced or sent out.
    pub due_minutes: f64,
    /// Days after which it is, with any use in them.
    pub due_days: i32,
}

/// Edge tests.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct TestRules {
    /// Cuts in held paper, all of which must be clean.
    pub paper_cuts: u8,
}

/// Angles that are taken.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct AngleRules {
    /// Largest, degrees per side.
    pub most: f64,
    /// Smallest, degrees per side.
    pub least: f64,
}

/// All figures of edge care.
#[derive(Clone, Debug, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct CareRules {
    /// Version of the file.
    pub version: u32,
    /// What a minute counts for by firmness 1 to 5.
    pub firmness: [f64; 5],
    /// Boards.
    pub board: BTreeMap<BoardMaterial, BoardWear>,
    /// Habits.
    pub habit: BTreeMap<Habit, HabitWear>,
    /// Honing.
    pub hone: HoneRules,
    /// Stone.
    pub stone: StoneRules,
    /// Serrated edges.
    pub serrated: SerratedRules,
    /// Tests.
    pub test: TestRules,
    /// Angles.
    pub angle: AngleRules,
}

impl CareRules {
    /// Wear of a minute on food of a firmness, as a multiple of firmness 3.
    pub fn firmness_wear(&self, firmness: u8) -> f64 {
        let index = usize::from(firmness.clamp(1, 5)) - 1;
        self.firmness.get(index).copied().unwrap_or(1.0)
    }

    /// Name of a board material.
    pub fn board_name(&self, board: BoardMaterial) -> &str {
        self.board.get(&board).map_or(board.word(), |wear| &wear.name)
    }

    /// Whether a board may be used at all.
    pub fn board_allowed(&self, board: BoardMaterial) -> bool {
        self.board.get(&board).is_none_or(|wear| wear.allowed)
    }

    /// Wear of a minute on a board, as a multiple of wood.
    pub fn board_wear(&self, board: BoardMaterial) -> f64 {
        self.board.get(&board).map_or(1.0, |wear| wear.wear)
    }
}

/// Where a label points on a knife.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PartPlace {
    /// 0 at the tip, 1 at the heel, 2 at the end of the handle.
    pub x: f64,
    /// 0 at the spine, 1 at the edge.
    pub y: f64,
}

/// A part of a knife.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifePart {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// What it is for.
    pub does: String,
    /// Where its label points.
    pub at: PartPlace,
}
