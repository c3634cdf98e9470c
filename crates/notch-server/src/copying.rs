//! Copies of the school that the program makes by itself while it serves.

use std::path::Path;
use std::sync::{Mutex, PoisonError};

use jiff::Timestamp;
use jiff::tz::TimeZone;
use notch_core::copies::{KeepCopies, copy_is_due};
use notch_store::{Copies, Copy, DATABASE_FILE, Store, StoreError};

/// Setting under which it is kept how many copies are.
pub(crate) const KEEP_KEY: &str = "copies/keep";

/// What is known of the copies beside the files themselves.
#[derive(Debug, Default)]
pub(crate) struct Copying {
    /// One copy at a time.
    making: Mutex<()>,
    /// Why the last try made none.
    failed: Mutex<Option<String>>,
}

impl Copying {
    /// Why the last try made no copy.
    pub fn failed(&self) -> Option<String> {
        self.failed.lock().unwrap_or_else(PoisonError::into_inner).clone()
    }

    /// Makes a copy now, and notes when that fails.
    pub fn make(&self, store: &Store) -> Result<Copy, StoreError> {
        let _alone = self.making.lock().unwrap_or_else(PoisonError::into_inner);
        let made = keep(store).and_then(|keep| folder(store).make(store, Timestamp::now(), keep, &TimeZone::system()));
        let failed = made.as_ref().err().map(ToString::to_string);
        *self.failed.lock().unwrap_or_else(PoisonError::into_inner) = failed;
        made
    }
}

/// The copies of a school.
pub(crate) fn folder(store: &Store) -> Copies {
    Copies::of(store.path().parent().unwrap_or(Path::new(".")))
}

/// How many copies are kept; the usual numbers where nobody has said others.
pub(crate) fn keep(store: &Store) -> Result<KeepCopies, StoreError> {
    let kept = store.read(|reader| reader.setting(KEEP_KEY))?;
    Ok(kept.and_then(|text| serde_json::from_str(&text).ok()).unwrap_or_default())
}

/// Makes a copy where none was made on this day yet.
pub(crate) fn make_if_due(copying: &Copying, store: &Store) -> Result<(), StoreError> {
    let newest = folder(store).list()?.into_iter().find(|copy| !copy.before_change).map(|copy| copy.at);
    let day = |at: Timestamp| TimeZone::system().to_datetime(at).date();
    if copy_is_due(newest.map(day), day(Timestamp::now())) {
        copying.make(store)?;
    }
    Ok(())
}

/// Whether a copy of the school in a folder is due: none was made on this day, and something was changed since the
/// latest. Looks at names and dates alone, so that nothing need be opened.
pub(crate) fn is_due(data: &Path) -> bool {
    let changed = std::fs::metadata(data.join(DATABASE_FILE)).and_then(|about| about.modified()).ok();
    let Some(changed) = changed.and_then(|changed| Timestamp::try_from(changed).ok()) else { return false };
    let Ok(copies) = Copies::of(data).list() else { return true };
    let newest = copies.into_iter().find(|copy| !copy.before_change).map(|copy| copy.at);
    let day = |at: Timestamp| TimeZone::system().to_datetime(at).date();
    newest.is_none_or(|newest| changed > newest) && copy_is_due(newest.map(day), day(Timestamp::now()))
}
