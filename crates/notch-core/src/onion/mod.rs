//! Layered balls cut into pieces: the half disc in section, the half ball, and which way is best.
//!
//! The half lies on its flat face: y is height above the board, the root–stem axis is z. Layers are
//! shells of equal thickness around the centre; layer `k` of `n` reaches from `R (k−1) / n` to
//! `R k / n`. Cuts have no width.

mod ball;
mod choose;
mod cuts;
mod disc;
mod fan;
mod grade;
mod method;
mod outline;
mod regions;
mod section;

pub use ball::{BallFigures, half_ball, half_cylinder};
pub use choose::{Limits, MethodAtBest, RankedMethods, Trade, WantedDice, choose};
pub use cuts::Cuts;
pub use grade::{Figures, Grade};
pub use method::{
    MAX_COMPARED, MAX_CUTS, MAX_DEPTH, MAX_LAYERS, MAX_LEVEL, MAX_PLACES, MAX_UNEVEN, MIN_DEPTH, Method, OnionError,
};
pub use section::{Cell, CellSection, cell_section};
