//! A lesson as it runs: which part it is in, how long that has left, when it will end.
//!
//! What was done is kept as steps in the order of time, and all else is worked out from them. Two devices may say the
//! same step, or one that came too late: each says which part it is about, and one that no longer fits changes nothing.

mod going;
mod step;

pub use going::{LessonRun, RunPart, Standing};
pub use step::{KeptStep, MOST_LONGER, PartMinutes, RunRefusal, RunStep};
