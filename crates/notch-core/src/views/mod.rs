//! What each place of the program shows, worked out from the records: plain functions without I/O.

mod advice;
mod answers;
mod beat;
mod bench;
mod beside_rows;
mod check_sheet;
mod class;
mod closing;
mod course_order;
mod course_plan;
mod drawings;
mod inspection;
mod kit;
mod lay_down;
mod opening;
mod order;
mod plan;
mod playbook;
mod preparation;
mod produce;
mod rack;
mod ready;
mod rotation;
mod round;
mod run;
mod sharp_dull;
mod station;
mod wall;
mod watch;
mod yard;

pub(crate) use advice::no_cut_of;
pub use advice::{Advice, AdviceChoice, ChosenSetup, KnifeChoice, OtherKnife, advise, check_choice};
pub use answers::{AnsweredKnife, AskedJob, AskedJobs, JobAnswer, JobAnswers, answer_jobs};
pub use bench::{
    BenchBlade, BenchFact, BenchKnife, BenchLayers, BenchProduct, BenchQuestion, BenchStep, BenchView, BenchWay, BenchWayKind,
    Beside, BesideQuestion, FactValue, OnionQuestion, OnionView, OnionsBeside, OnionsQuestion, PaceMinutes, StepShows,
    bench_beside, bench_view, onion_choice, onion_view, onions_beside,
};
pub use beside_rows::BesideRow;
pub use check_sheet::{CheckInput, CheckItem, CheckPart, CheckSheet, KnifeCount, check_closing, check_sheet, proposed_numbers};
pub use class::{ClassExercise, ClassKnife, ClassView, class_view, reference_seconds};
pub use closing::{ClosingAbout, ClosingInput, ClosingItem, ClosingState, ClosingView, closing_view};
pub use course_order::{CourseOrder, Delivery, OrderedLesson, course_order, delivery_day, order_table};
pub use course_plan::{
    BrokenRule, CourseBlock, CourseGoal, CoursePlan, CourseRecord, CourseSession, OfferedFood, OfferedTechnique, PlanQuestion,
    WayToGoal, check_plan, course_plan,
};
pub use drawings::{ClassDrawings, ExerciseSection, KnivesOutline, class_drawings};
pub use inspection::{InspectionFinding, InspectionPoint, InspectionQuestion, InspectionView, Says, inspection_view};
pub use kit::{CutOfFood, KitCut, KitOptions, KitQuestion, KitType, KitView, PricedType, kit_options, kit_view};
pub use lay_down::{LessonChange, NewExercise, lay_down};
pub use opening::{MendingPlace, Opening};
pub use order::{OrderCost, OrderLine};
pub use plan::{PlanView, PlannedExercise, exercises_after, plan_view, time_rule};
pub use playbook::{
    DoctrineChanges, Matrix, MatrixCell, MatrixKnife, MatrixRow, SuggestionChange, TriedDoctrines, doctrine_changes, matrix,
};
pub use preparation::{Preparation, PreparationStep, preparation};
pub use produce::{
    AllergyCase, Alternative, ExerciseNeed, FlowKind, FlowLink, FlowNode, FoodFlow, ProduceInput, ProduceView, StudentNeed,
    check_produce, produce_view,
};
pub use rack::{DueKnife, DueLine, FoodAgainstBlade, RackGroup, RackInput, RackKnife, RackView, food_against_blade, rack_view};
pub use ready::{ReadyAbout, ReadyInput, ReadyItem, ReadyView, ReadyWay, ReadyWeight, ready_view};
pub use rotation::{
    LeftOut, RotationCell, RotationExercise, RotationKnife, RotationRound, RotationRow, RotationTurn, RotationView, RotationWay,
    WaitingWith, rotation_table, rotation_view,
};
pub use round::{ClassRound, RoundStart};
pub use run::{LastRunStep, RunInput, RunPartState, RunPartView, RunState, RunView, RunWay, run_view};
pub use sharp_dull::{
    KeptDemonstration, SharpDullLesson, SharpDullView, ShownKnife, SoftCut, SoftFood, check_demonstration, sharp_dull_lesson,
    sharp_dull_view,
};
pub use station::{Beat, ClassInput, Station, WatchKind, WatchReason};
pub use wall::{WallCaution, WallStep, WallView, wall_view};
pub use watch::WatchNow;
pub use yard::{StudentView, YardRow, student_view, yard_view};
