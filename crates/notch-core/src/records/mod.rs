//! What a school keeps: courses, students, knives, lessons, exercises, attempts.
//!
//! Each record that a person edits has a `…Fields` type with a `check` that tells every problem at
//! its field. A record is its fields with an id and a version; the version guards against two
//! people overwriting each other.

mod attempt;
mod course;
mod exercise;
mod knife;
mod lesson;
mod student;

pub use attempt::{Attempt, AttemptMarks, Incident, IncidentFields, IncidentKind, NewAttempt, Sample, check_start};
pub use course::{Course, CourseFields};
pub(crate) use exercise::check_amount;
pub use exercise::{Exercise, ExerciseFields, KeptWarning};
pub use knife::{EdgeState, Knife, KnifeFields};
pub use lesson::{Lesson, LessonFields, StoredSegment};
pub use student::{Student, StudentFields};
