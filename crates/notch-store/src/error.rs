//! What can go wrong in the store.

use std::path::{Path, PathBuf};

use notch_core::Problem;
use rusqlite::ErrorCode;
use thiserror::Error;

/// Why the store refused, or could not.
#[derive(Debug, Error)]
pub enum StoreError {
    /// There is no such record.
    #[error("there is no {what} {id}")]
    NotFound {
        /// Kind of record, in plain words.
        what: &'static str,
        /// Id asked for.
        id: i64,
    },
    /// The record was taken out, perhaps in another window.
    #[error("this {what} was removed, perhaps in another window")]
    Archived {
        /// Kind of record.
        what: &'static str,
        /// Id asked for.
        id: i64,
    },
    /// Somebody else changed the record since it was read.
    #[error("this {what} was changed meanwhile, perhaps in another window: you have version {yours}, it is at {current}")]
    Stale {
        /// Kind of record.
        what: &'static str,
        /// Version sent.
        yours: i64,
        /// Version kept.
        current: i64,
    },
    /// The state does not allow it now.
    #[error("{0}")]
    Conflict(String),
    /// Fields that cannot be kept.
    #[error("{}", .0.iter().map(|problem| problem.message.as_str()).collect::<Vec<_>>().join(" "))]
    Refused(Vec<Problem>),
    /// The file was made by a newer program.
    #[error(
        "{path} was made by a newer version of this program (schema {found}; this one knows {known}): use that version, or another data folder"
    )]
    Newer {
        /// The file.
        path: PathBuf,
        /// Its schema.
        found: i64,
        /// The newest known here.
        known: i64,
    },
    /// The file is no database, or a damaged one.
    #[error("{path} is damaged or is no database ({why}): restore it from an export or a copy; it was not changed")]
    Corrupt {
        /// The file.
        path: PathBuf,
        /// What was found.
        why: String,
    },
    /// The latest changes are missing, or can no longer be read.
    #[error(
        "{path} is not all of the school: {why}. Copy that file too, from where this one comes from, or restore from an export. To go on without the latest changes: yard-notch accept --data {folder}; it was not changed",
        folder = path.parent().unwrap_or(path).display()
    )]
    Part {
        /// The file.
        path: PathBuf,
        /// What was found.
        why: String,
    },
    /// The file is a database, and no school's.
    #[error(
        "there is no school in {folder}: {path} {what}. Name its folder with --data",
        folder = path.parent().unwrap_or(path).display()
    )]
    NoSchool {
        /// The file.
        path: PathBuf,
        /// What it is.
        what: &'static str,
    },
    /// The folder cannot be written.
    #[error("the data folder {path} cannot be written ({why}): give the folder write permission, or name another with --data")]
    Folder {
        /// The folder.
        path: PathBuf,
        /// What the system said.
        why: String,
    },
    /// Another server holds the folder.
    #[error("{path} is served by another copy of this program: stop that one, or name another folder with --data")]
    Served {
        /// The folder.
        path: PathBuf,
    },
    /// An export that cannot be taken in.
    #[error("the file cannot be imported: {0}")]
    Import(String),
    /// A row that cannot be read.
    #[error("{table}, row {row}, cannot be read: {why}")]
    Row {
        /// The table.
        table: &'static str,
        /// Its number in the order of the first columns, as in an export.
        row: usize,
        /// Column, and what is wrong with it.
        why: String,
    },
    /// Another program holds the file.
    #[error("another program holds the file: try again in a moment")]
    Locked,
    /// No room is left.
    #[error("the disk is full: make room, then try again")]
    Full,
    /// Anything else the database said.
    #[error("the database said: {0}")]
    Sqlite(rusqlite::Error),
    /// A value in the database that is not what the core writes.
    #[error("a kept value cannot be read: {0}")]
    Value(#[from] serde_json::Error),
}

impl StoreError {
    /// The same of another file: what was found in a copy is told of the original.
    pub(crate) fn at(mut self, original: &Path) -> Self {
        if let StoreError::Newer { path, .. }
        | StoreError::Corrupt { path, .. }
        | StoreError::Part { path, .. }
        | StoreError::NoSchool { path, .. } = &mut self
        {
            original.clone_into(path);
        }
        self
    }
}

impl From<rusqlite::Error> for StoreError {
    fn from(error: rusqlite::Error) -> Self {
        match error.sqlite_error_code() {
            Some(ErrorCode::DatabaseBusy | ErrorCode::DatabaseLocked) => StoreError::Locked,
            Some(ErrorCode::DiskFull) => StoreError::Full,
            _ => StoreError::Sqlite(error),
        }
    }
}
