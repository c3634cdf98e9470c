//! Connections to a school's file.

use std::path::Path;
use std::time::Duration;

use rusqlite::{Connection, ErrorCode, OpenFlags};

use crate::error::StoreError;
use crate::whole::{Found, accept_as_whole, look};

/// Longest that a connection waits for another program.
pub(crate) const BUSY: Duration = Duration::from_secs(5);

/// Opens a file, making it where it is missing.
pub(crate) fn connect(path: &Path) -> Result<Connection, StoreError> {
    let explain = |error| explain(path, error);
    let flags = OpenFlags::SQLITE_OPEN_READ_WRITE | OpenFlags::SQLITE_OPEN_CREATE | OpenFlags::SQLITE_OPEN_NO_MUTEX;
    let connection = Connection::open_with_flags(path, flags).map_err(explain)?;
    connection.busy_timeout(BUSY).map_err(explain)?;
    connection.pragma_update(None, "foreign_keys", true).map_err(explain)?;
    connection.pragma_update(None, "synchronous", "FULL").map_err(explain)?;
    connection.pragma_update(None, "trusted_schema", false).map_err(explain)?;
    connection.pragma_update(None, "cache_size", -1000).map_err(explain)?;
    connection.set_prepared_statement_cache_capacity(64);
    Ok(connection)
}

/// The database's own look at its pages.
pub(crate) fn quick_check(connection: &Connection, path: &Path) -> Result<(), StoreError> {
    let found: String =
        connection.query_row("PRAGMA quick_check(1)", [], |row| row.get(0)).map_err(|error| explain(path, error))?;
    if found == "ok" { Ok(()) } else { Err(StoreError::Corrupt { path: path.to_owned(), why: found }) }
}

/// Has a school's file say that it is all, whatever stood beside it.
pub(crate) fn take_as_whole(path: &Path) -> Result<(), StoreError> {
    let connection = connect(path)?;
    match look(&connection).map_err(|error| explain(path, error))? {
        Found::School(version) => Ok(accept_as_whole(&connection, version).map_err(|error| explain(path, error))?),
        Found::Empty => Err(StoreError::NoSchool { path: path.to_owned(), what: "is empty" }),
        Found::Foreign => Err(StoreError::NoSchool { path: path.to_owned(), what: "is a file of another program" }),
    }
}

/// Tells a damaged file and a folder that cannot be written from other errors.
pub(crate) fn explain(path: &Path, error: rusqlite::Error) -> StoreError {
    let folder = path.parent().unwrap_or(path).to_owned();
    match error.sqlite_error_code() {
        Some(ErrorCode::NotADatabase | ErrorCode::DatabaseCorrupt) => {
            StoreError::Corrupt { path: path.to_owned(), why: error.to_string() }
        }
        Some(ErrorCode::ReadOnly | ErrorCode::CannotOpen | ErrorCode::PermissionDenied) => {
            StoreError::Folder { path: folder, why: error.to_string() }
        }
        _ => StoreError::from(error),
    }
}
