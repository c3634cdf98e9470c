//! The made-up school that Yard Notch can be tried with: the Lanternfish Galley School.
//!
//! Trainees learn to cook on sail-training ships: small boards, few knives, turns. All people are
//! invented. The same seed gives the same month of attempts, so that pictures and tests repeat.

mod attempts;
mod people;
mod rack;
mod timetable;

use jiff::Timestamp;
use jiff::civil::DateTime;
use jiff::tz::TimeZone;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_store::{Store, StoreError};
use rand::SeedableRng;
use rand_chacha::ChaCha8Rng;
use thiserror::Error;

/// Setting that marks a database as the demo's, so that it never mixes with a school's own.
const MARK: &str = "demo";

/// Where the demo school is: summer time ends while its course runs.
const ZONE: &str = "Europe/Lisbon";

/// Seed of everything that is random here.
const SEED: u64 = 0x1A57_E20F;

/// Why the demo cannot be shown.
#[derive(Debug, Error)]
pub enum DemoError {
    /// The store refused.
    #[error(transparent)]
    Store(#[from] StoreError),
    /// The made-up school breaks a rule: a mistake in this crate.
    #[error("the demo school breaks a rule: {}", .0.iter().map(|p| p.message.as_str()).collect::<Vec<_>>().join(" "))]
    Rule(Vec<Problem>),
    /// The folder holds a school's own data.
    #[error("this data folder holds a school's own data, not the demo: name another folder with --data")]
    OwnData,
    /// The folder holds the demo's data.
    #[error("this data folder holds the demo, not a school's own data: name another folder with --data")]
    DemoData,
}

impl From<Vec<Problem>> for DemoError {
    fn from(problems: Vec<Problem>) -> Self {
        DemoError::Rule(problems)
    }
}

/// The evening on which the demo plays: before lesson 5 of the autumn watch.
pub fn evening() -> Timestamp {
    moment(jiff::civil::date(2026, 10, 6).at(18, 10, 0, 0))
}

/// A moment by the clock on the demo school's wall.
fn moment(at: DateTime) -> Timestamp {
    let zone = notch_core::zone::named(ZONE).unwrap_or(TimeZone::UTC);
    at.to_zoned(zone).map_or(Timestamp::UNIX_EPOCH, |zoned| zoned.timestamp())
}

/// Refuses a demo database for a school's own use.
///
/// # Errors
/// [`DemoError::DemoData`], and what the store says.
pub fn check_own(store: &Store) -> Result<(), DemoError> {
    if store.read(|reader| reader.setting(MARK))?.is_some() { Err(DemoError::DemoData) } else { Ok(()) }
}

/// Fills an empty database with the demo school; leaves one that is filled already as it is.
///
/// # Errors
/// [`DemoError::OwnData`] for a school's own database, and what the store says.
pub fn fill(store: &Store, catalogue: &Catalogue) -> Result<(), DemoError> {
    store.write(|writer| {
        if writer.setting(MARK)?.is_some() {
            return Ok(());
        }
        if !writer.courses()?.is_empty() || !writer.knives()?.is_empty() {
            return Err(DemoError::OwnData);
        }
        let mut random = ChaCha8Rng::seed_from_u64(SEED);
        rack::fill(writer, catalogue)?;
        for plan in timetable::courses() {
            attempts::fill(writer, catalogue, &plan, &mut random)?;
        }
        rack::care(writer, catalogue)?;
        writer.set_setting(MARK, "1")?;
        Ok(())
    })
}
