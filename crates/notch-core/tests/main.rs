//! All tests of this crate beside those within its files: one program, linked once.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

mod common;

mod advice;
mod allergies;
mod ask;
mod bench;
mod bench_views;
mod beside;
mod calendar;
mod care;
mod copies;
mod deeds;
mod draft;
mod eligibility;
mod evening;
mod evidence;
mod geometry_figures;
mod hand_work;
mod inspection;
mod kit;
mod laws;
mod layered;
mod lengths;
mod lesson;
mod lesson_day;
mod measuring;
mod next_step;
mod offers;
mod one_choice;
mod onion;
mod panel;
mod produce;
mod progress;
mod records;
mod register;
mod roster;
mod rotation;
mod rules;
mod run;
mod said;
mod sampling;
mod school;
mod sections;
mod sharp_dull;
mod stalk;
mod tools;
