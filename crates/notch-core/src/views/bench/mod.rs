//! The Bench: a cut seen before it is made.

mod beside;
mod buy;
mod compare;
mod facts;
mod look;
mod onion;
mod question;
mod rows;
mod steps;
mod view;

pub use beside::{Beside, BesideQuestion, OnionsBeside, OnionsQuestion, bench_beside, onions_beside};
pub use buy::BenchProduct;
pub use facts::{BenchFact, FactValue};
pub use look::bench_view;
pub use onion::{OnionQuestion, OnionView, onion_choice, onion_view};
pub use question::BenchQuestion;
pub use steps::{BenchStep, StepShows};
pub use view::{BenchBlade, BenchKnife, BenchLayers, BenchView, BenchWay, BenchWayKind, PaceMinutes};
