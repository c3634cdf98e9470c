//! All tests of this crate beside those within its files: one program, linked once.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

mod common;

mod class;
mod copies;
mod export;
mod files;
mod keeping;
mod migrations;
mod own;
mod people;
mod schools;
mod whole;
