//! From measured pieces to a verdict: how many are inside, how true, how even, what goes wrong.

mod beside;
mod causes;
mod diagnose;
mod figures;
mod judge;
mod parse;
mod sampling;
mod statistics;
mod taking;

pub use beside::{SamplesBeside, SideBeside, beside};
pub use causes::{Cause, CauseShare, Causes, causes};
pub use figures::{Diagnosis, InsideShare, SideFigures, TaperFigures, Verdict};
pub use judge::judge;
pub use parse::{MAX_PIECES, MeasuredPiece, PieceLimits, PieceProblem, PieceProblemKind, parse_pieces};
pub use sampling::{Flattery, Pile, best_share, binomial, drawn, unseen_share};
pub use statistics::{Spread, Z_TWO_SIDED_95, wilson_lower};
pub use taking::{PieceOrder, SampleCustom, SampleTaking};
