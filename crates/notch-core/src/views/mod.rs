//! What each place of the program shows, worked out from the records: plain functions without I/O.

mod advice;
mod class;
mod plan;
mod rack;
mod yard;

pub use advice::{Advice, AdviceChoice, ChosenSetup, FITS, KnifeChoice, School, advise, check_choice};
pub use class::{ClassExercise, ClassInput, ClassKnife, ClassView, Station, class_view, evidence_of, reference_seconds};
pub use plan::{PlanView, PlannedExercise, first_segments, plan_view, time_rule, with_practice_for};
pub use rack::{RackKnife, rack_view};
pub use yard::{StudentView, YardRow, student_view, yard_view};
