//! A lesson: does it fit its minutes, what must be bought, how long does each student cut.

mod feeding;
mod figures;
mod how_many;
mod on_rule;
mod parts;
mod segments;
mod time_rule;
mod ways_out;

pub use feeding::{Onward, onward};
pub(crate) use figures::{CHANGE_MINUTES, spare_of, student_minutes};
pub use figures::{ClassSize, ExerciseFigures, WasteFigures, Worked, exercise_figures, rounds, usual_amounts};
pub use how_many::{CONFIDENCE, good_at_least, pieces_to_cut};
pub use on_rule::{Fewer, PlannedSegment, Practised, SegmentOnRule};
pub use parts::Parts;
pub use segments::{first_segments, minutes_for_practice, with_practice_for};
pub use time_rule::{MAX_MINUTES, TimeRule, lay_out, win_back};
pub use ways_out::{FewerOf, WayOut};
