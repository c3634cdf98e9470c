//! All tests of this crate beside those within its files: one program, linked once.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

mod common;

mod api;
mod ask;
mod copies;
mod course_file;
mod course_plan;
mod every_route;
mod first_evening;
mod host;
mod house;
mod paper;
mod plan;
mod produce;
mod room;
mod roster;
mod rotation;
mod secure;
mod sound;
mod staff;
mod start;
mod touches;
mod watch;
mod workshop;
mod writes;
