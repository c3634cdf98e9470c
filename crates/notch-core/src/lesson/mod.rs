//! A lesson: does it fit its minutes, what must be bought, how long does each student cut.

mod figures;
mod how_many;
mod segments;
mod time_rule;

pub(crate) use figures::{CHANGE_MINUTES, spare_of, student_minutes};
pub use figures::{ClassSize, ExerciseFigures, WasteFigures, Worked, exercise_figures, rounds, usual_amounts};
pub use how_many::{CONFIDENCE, pieces_to_cut};
pub use segments::{first_segments, with_practice_for};
pub use time_rule::{MAX_MINUTES, PlannedSegment, SegmentOnRule, TimeRule, WayOut, lay_out};
