//! What a school keeps: courses, students, knives, lessons, exercises, attempts.
//!
//! Each record that a person edits has a `…Fields` type with a `check` that tells every problem at
//! its field. A record is its fields with an id and a version; the version guards against two
//! people overwriting each other.

mod attempt;
mod briefing;
mod counting;
mod course;
mod demonstration;
mod exercise;
mod knife;
mod knife_csv;
mod knife_list;
mod lesson;
mod making;
mod mark;
mod produce;
mod room;
mod rotation;
mod sessions;
mod student;
mod taken_back;

pub use crate::day_of_week::DayOfWeek;
pub use attempt::{Attempt, AttemptMarks, Incident, IncidentFields, IncidentKind, NewAttempt, Sample};
pub use briefing::{Answered, AskAbout, Briefing};
pub use counting::{CheckTick, Closing, CountedKnife};
pub use course::{Course, CourseFields};
pub use demonstration::{Demonstration, DemonstrationFields, KnifeWork, MeasuredAgainst};
pub use exercise::{Amount, Exercise, ExerciseFields, KeptWarning};
pub(crate) use exercise::{MOST_GRAMS, check_amount};
pub(crate) use knife::angle_problem;
pub use knife::{Bolster, EdgeState, Knife, KnifeFields, Tang};
pub use knife_csv::{KNIFE_COLUMNS, KnifeRow, KnifeTable, parse_numbers, read_knives, write_knives};
pub use knife_list::{KnifeCounted, KnifeList, read_knife_list};
pub use lesson::{Lesson, LessonFields, StoredSegment};
pub use making::Making;
pub use mark::{Mark, MarkKind, open_stop};
pub use produce::{EndUse, FoodEnd, GoodWanted, Instead, ProduceFields};
pub use room::{StationPlace, check_room};
pub use rotation::{AnnouncedTurn, KeptRotation, LateStudent, PinnedTurn, RotationFields};
pub use sessions::SessionsRule;
pub use student::{MOST_STUDENTS, Person, PersonCourse, Student, StudentFields};
pub use taken_back::{TakeBack, TakenBack};
