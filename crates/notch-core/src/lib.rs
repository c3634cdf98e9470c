//! The rules and computations of Yard Notch: pure functions over plain types.
//!
//! No I/O, no clock, no randomness: dates, figures and seeds are passed in.
//!
//! | question | module |
//! |---|---|
//! | what is a length, how is `1/8` read | [`units`] |
//! | which knives, cuts, foods, faults, cautions are there | [`catalogue`] |
//! | how many pieces, strokes, grams | [`geometry`] |
//! | which copies of a school are kept | [`copies`] |
//! | what is a school called on its host, and how much may it take | [`school`] |
//! | what is asked with: catalogue, course, students, rack | [`at_hand`] |
//! | may this student use this knife | [`eligibility`] |
//! | which actual knives could this student be handed for this exercise | [`hand_out`] |
//! | who works in which round with which knife | [`rotation`] |
//! | which knife, grip, hold, motion for this cut, and why | [`fitting`] |
//! | what must be bought, how long does it take | [`lesson::figures`] |
//! | does the lesson fit its minutes | [`lesson::time_rule`] |
//! | where does a lesson stand that runs | [`run`] |
//! | what do these measured pieces say | [`measure`] |
//! | which notches are cut, what comes next | [`progress`] |
//! | what is said, with its lengths | [`text`] |
//! | what does a school keep | [`records`] |
//! | what does each place show | [`views`] |
//! | what does it look like | [`drawing`] |
//!
//! ```
//! use notch_core::catalogue::Catalogue;
//! use notch_core::measure::{SampleCustom, judge, parse_pieces};
//!
//! let catalogue = Catalogue::shipped().expect("the shipped data is checked by a test");
//! let target = catalogue.target("eighth", "julienne").expect("a shipped cut");
//! let tolerance = catalogue.tolerance("school").expect("a shipped profile");
//! let pieces = parse_pieces("3.1 3.3 50\n1/8 3.2 49").expect("two pieces");
//! let verdict = judge(&catalogue, &target, tolerance, SampleCustom::BlindTen, &pieces);
//! assert_eq!(verdict.inside.count, 2);
//! ```

pub mod ask;
pub mod at_hand;
pub mod calendar;
pub mod care;
pub mod carry;
pub mod catalogue;
pub mod comfort;
pub mod copies;
pub mod course_file;
mod day_of_week;
pub mod draft;
pub mod drawing;
pub mod eligibility;
pub mod fitting;
pub mod geometry;
pub mod hand_out;
pub mod kit;
pub mod lesson;
pub mod measure;
pub mod onion;
pub mod own;
pub mod paper;
pub mod people;
mod problem;
pub mod progress;
pub mod records;
pub mod resources;
pub mod roster;
pub mod rotation;
pub mod run;
pub mod school;
mod sheet;
pub mod staff;
pub mod text;
pub mod units;
pub mod views;
mod words;
pub mod zone;

pub use problem::Problem;
