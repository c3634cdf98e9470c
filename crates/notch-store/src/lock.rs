//! One server for one school.

use std::fs::{File, OpenOptions, TryLockError};
use std::path::Path;

use crate::StoreError;
use crate::rights::{for_the_owner_alone, make_folder};

/// Name of the file in a data folder that a server holds while it serves.
pub const LOCK_FILE: &str = "yard-notch.lock";

/// Held while a school is served; let go when it is dropped, or when the program ends however it ends.
#[derive(Debug)]
pub struct ServingLock {
    _file: File,
}

impl ServingLock {
    /// Takes the lock of a data folder.
    ///
    /// # Errors
    /// [`StoreError::Served`] if another server holds it; a folder that cannot be written.
    pub fn take(folder: &Path) -> Result<Self, StoreError> {
        let unwritable = |error: std::io::Error| StoreError::Folder { path: folder.to_owned(), why: error.to_string() };
        make_folder(folder).map_err(unwritable)?;
        let path = folder.join(LOCK_FILE);
        let file = OpenOptions::new().create(true).truncate(false).write(true).open(&path).map_err(unwritable)?;
        for_the_owner_alone(&path).map_err(unwritable)?;
        match file.try_lock() {
            Ok(()) => Ok(ServingLock { _file: file }),
            Err(TryLockError::WouldBlock) => Err(StoreError::Served { path: folder.to_owned() }),
            Err(TryLockError::Error(error)) => Err(unwritable(error)),
        }
    }

    /// Whether a server holds the folder at this moment. Makes nothing.
    pub(crate) fn is_held(folder: &Path) -> bool {
        let file = OpenOptions::new().write(true).open(folder.join(LOCK_FILE));
        file.is_ok_and(|file| matches!(file.try_lock(), Err(TryLockError::WouldBlock)))
    }
}
