//! Opening the database, and the transactions through which it is read and changed.

use std::collections::HashMap;
use std::ops::Deref;
use std::path::{Path, PathBuf};
use std::sync::atomic::{AtomicUsize, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::Duration;

use jiff::tz::TimeZone;
use notch_core::records::Attempt;
use rusqlite::{Connection, ErrorCode, OpenFlags, Transaction, TransactionBehavior};

use crate::error::StoreError;
use crate::migrations::{MIGRATIONS, WITH_ZONES, found_version, schema_version};
use crate::rights::{for_the_owner_alone, make_folder};

/// Name of the database in a data folder.
pub const DATABASE_FILE: &str = "yard-notch.db";

/// Connections that read at the same time; more wait their turn.
pub const READERS: usize = 4;

/// An open database: one connection that writes, some that read.
#[derive(Debug)]
pub struct Store {
    path: PathBuf,
    writer: Mutex<Connection>,
    readers: Vec<Mutex<Connection>>,
    next_reader: AtomicUsize,
    /// Only looks whether the file was changed, by this program or by another.
    watch: Mutex<Connection>,
    attempts: Mutex<HashMap<i64, KeptAttempts>>,
}

/// Attempts of a course as they were after so many changes.
#[derive(Clone, Debug)]
struct KeptAttempts {
    changes: i64,
    attempts: Arc<Vec<Attempt>>,
}

/// A view of the database at one moment. Nothing can be changed through it.
#[derive(Debug)]
pub struct Reader<'s> {
    pub(crate) tx: Transaction<'s>,
    /// The store and its count of changes before this view was opened; none inside a change, which
    /// must see its own work.
    kept: Option<(&'s Store, i64)>,
}

/// One change of the database. Dropped without [`Writer::commit`], it leaves nothing behind.
#[derive(Debug)]
pub struct Writer<'s> {
    reader: Reader<'s>,
}

impl<'s> Deref for Writer<'s> {
    type Target = Reader<'s>;
    fn deref(&self) -> &Reader<'s> {
        &self.reader
    }
}

impl Writer<'_> {
    /// Keeps what was changed.
    ///
    /// # Errors
    /// What the database says; then nothing was kept.
    pub fn commit(self) -> Result<(), StoreError> {
        Ok(self.reader.tx.commit()?)
    }
}

impl Store {
    /// Opens the database in a data folder, making both where they are missing, and brings an older
    /// schema up to date.
    ///
    /// # Errors
    /// A folder that cannot be written, a damaged file, a file of a newer program. The file is
    /// unchanged in each case.
    pub fn open(folder: &Path) -> Result<Self, StoreError> {
        let unwritable = |why: String| StoreError::Folder { path: folder.to_owned(), why };
        make_folder(folder).map_err(|error| unwritable(error.to_string()))?;
        let path = folder.join(DATABASE_FILE);
        let connection = connect(&path)?;
        for_the_owner_alone(&path).map_err(|error| unwritable(error.to_string()))?;
        if connection.is_readonly("main")? {
            return Err(unwritable("the database file is read-only".to_owned()));
        }
        Self::with_writer(path, connection)
    }

    fn with_writer(path: PathBuf, mut connection: Connection) -> Result<Self, StoreError> {
        let explain = |error: rusqlite::Error| explain(&path, error);
        let found = found_version(&connection).map_err(explain)?;
        if found > schema_version() {
            return Err(StoreError::Newer { path, found, known: schema_version() });
        }
        // Damage is looked for before anything is written.
        let sound: String = connection.query_row("PRAGMA quick_check(1)", [], |row| row.get(0)).map_err(explain)?;
        if sound != "ok" {
            return Err(StoreError::Corrupt { path, why: sound });
        }
        connection.pragma_update(None, "journal_mode", "WAL").map_err(explain)?;
        if found < schema_version() {
            MIGRATIONS
                .to_latest(&mut connection)
                .map_err(|error| StoreError::Corrupt { path: path.clone(), why: error.to_string() })?;
        }
        if (1..WITH_ZONES).contains(&found) {
            set_zones(&connection, &machine_zone()).map_err(explain)?;
        }
        let watch = Mutex::new(connect(&path)?);
        let readers = (0..READERS).map(|_| connect(&path).map(Mutex::new)).collect::<Result<_, _>>()?;
        Ok(Store {
            path,
            writer: Mutex::new(connection),
            readers,
            next_reader: AtomicUsize::default(),
            watch,
            attempts: Mutex::default(),
        })
    }

    /// The database file.
    pub fn path(&self) -> &Path {
        &self.path
    }

    /// A number that is another one after each committed change, whether this program made it or another
    /// one that writes the same file: what was read once can be told from what is new.
    ///
    /// # Errors
    /// What the database says.
    pub fn changes(&self) -> Result<i64, StoreError> {
        let connection = lock(&self.watch);
        let mut statement = connection.prepare_cached("PRAGMA data_version")?;
        Ok(statement.query_row([], |row| row.get(0))?)
    }

    /// Reads at one moment.
    ///
    /// # Errors
    /// What `read` returns, and what the database says.
    pub fn read<T>(&self, read: impl FnOnce(&Reader<'_>) -> Result<T, StoreError>) -> Result<T, StoreError> {
        let changes = self.changes()?;
        let mut connection = self.free_reader();
        let tx = connection.transaction()?;
        read(&Reader { tx, kept: Some((self, changes)) })
    }

    /// Changes in one transaction: all of it when `write` returns `Ok`, none of it otherwise.
    ///
    /// # Errors
    /// What `write` returns, and what the database says.
    pub fn write<T, E: From<StoreError>>(&self, write: impl FnOnce(&Writer<'_>) -> Result<T, E>) -> Result<T, E> {
        let mut connection = lock(&self.writer);
        let begun = connection.transaction_with_behavior(TransactionBehavior::Immediate);
        let writer = Writer { reader: Reader { tx: begun.map_err(StoreError::from)?, kept: None } };
        let done = write(&writer)?;
        writer.commit()?;
        Ok(done)
    }

    /// Looks for damage: the database's own check, and references that lead nowhere.
    ///
    /// # Errors
    /// Everything that was found, or what the database says.
    pub fn check(&self) -> Result<(), StoreError> {
        let connection = lock(&self.writer);
        let mut statement = connection.prepare("PRAGMA integrity_check(20)")?;
        let mut found: Vec<String> = statement.query_map([], |row| row.get(0))?.collect::<Result<_, _>>()?;
        found.retain(|line| line != "ok");
        let mut statement = connection.prepare("PRAGMA foreign_key_check")?;
        let dangling = statement.query_map([], |row| {
            Ok(format!(
                "{} row {:?} refers to a missing {}",
                row.get::<_, String>(0)?,
                row.get::<_, Option<i64>>(1)?,
                row.get::<_, String>(2)?
            ))
        })?;
        found.extend(dangling.collect::<Result<Vec<_>, _>>()?);
        if found.is_empty() { Ok(()) } else { Err(StoreError::Corrupt { path: self.path.clone(), why: found.join("; ") }) }
    }

    fn free_reader(&self) -> MutexGuard<'_, Connection> {
        if let Some(free) = self.readers.iter().find_map(|reader| reader.try_lock().ok()) {
            return free;
        }
        let turn = self.next_reader.fetch_add(1, Ordering::Relaxed);
        self.readers.get(turn % self.readers.len().max(1)).map_or_else(|| lock(&self.writer), lock)
    }
}

impl Reader<'_> {
    /// Attempts of a course, read again only after something was changed: the yard and the class
    /// ask for all of them each time, and reading their verdicts is what takes longest.
    pub(crate) fn kept_attempts(
        &self,
        course_id: i64,
        read: impl FnOnce() -> Result<Vec<Attempt>, StoreError>,
    ) -> Result<Arc<Vec<Attempt>>, StoreError> {
        let Some((store, changes)) = self.kept else { return Ok(Arc::new(read()?)) };
        let lock = || store.attempts.lock().unwrap_or_else(PoisonError::into_inner);
        if let Some(kept) = lock().get(&course_id).filter(|kept| kept.changes == changes) {
            return Ok(kept.attempts.clone());
        }
        let attempts = Arc::new(read()?);
        lock().insert(course_id, KeptAttempts { changes, attempts: attempts.clone() });
        Ok(attempts)
    }
}

/// A connection of a thread that panicked has rolled back; it is sound to go on with it.
fn lock(connection: &Mutex<Connection>) -> MutexGuard<'_, Connection> {
    connection.lock().unwrap_or_else(PoisonError::into_inner)
}

fn connect(path: &Path) -> Result<Connection, StoreError> {
    let explain = |error| explain(path, error);
    let flags = OpenFlags::SQLITE_OPEN_READ_WRITE | OpenFlags::SQLITE_OPEN_CREATE | OpenFlags::SQLITE_OPEN_NO_MUTEX;
    let connection = Connection::open_with_flags(path, flags).map_err(explain)?;
    connection.busy_timeout(Duration::from_secs(5)).map_err(explain)?;
    connection.pragma_update(None, "foreign_keys", true).map_err(explain)?;
    connection.pragma_update(None, "synchronous", "FULL").map_err(explain)?;
    connection.pragma_update(None, "trusted_schema", false).map_err(explain)?;
    connection.pragma_update(None, "cache_size", -2000).map_err(explain)?;
    connection.set_prepared_statement_cache_capacity(64);
    Ok(connection)
}

/// Name of this machine's time zone; UTC where it has none.
pub fn machine_zone() -> String {
    let zone = TimeZone::system();
    zone.iana_name().filter(|name| notch_core::zone::named(name).is_some()).unwrap_or("UTC").to_owned()
}

/// Courses of before they had a time zone get one.
pub(crate) fn set_zones(connection: &Connection, zone: &str) -> rusqlite::Result<()> {
    connection.execute("UPDATE course SET time_zone = ?1", [zone])?;
    Ok(())
}

/// Tells a damaged file and a folder that cannot be written from other errors.
fn explain(path: &Path, error: rusqlite::Error) -> StoreError {
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

/// Refuses a change that was made from an older version of a record.
pub(crate) fn fresh(what: &'static str, yours: i64, current: i64) -> Result<(), StoreError> {
    if yours == current { Ok(()) } else { Err(StoreError::Stale { what, yours, current }) }
}

/// Turns a broken unique index into a problem at its field.
pub(crate) fn unless_taken<T>(done: rusqlite::Result<T>, taken: impl FnOnce() -> StoreError) -> Result<T, StoreError> {
    match done {
        Err(rusqlite::Error::SqliteFailure(error, _)) if error.extended_code == rusqlite::ffi::SQLITE_CONSTRAINT_UNIQUE => {
            Err(taken())
        }
        other => Ok(other?),
    }
}
