//! Opening the database, and the transactions through which it is read and changed.

use std::collections::HashMap;
use std::ops::Deref;
use std::path::{Path, PathBuf};
use std::sync::atomic::{AtomicBool, AtomicUsize, Ordering};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use std::time::Duration;
use std::{fs, io};

use jiff::tz::TimeZone;
use notch_core::records::Attempt;
use rusqlite::config::DbConfig;
use rusqlite::{Connection, OpenFlags, Transaction, TransactionBehavior};

use tempfile::TempDir;

use crate::connect::{BUSY, connect, explain, quick_check, take_as_whole};
use crate::error::StoreError;
use crate::lock::ServingLock;
use crate::migrations::{MIGRATIONS, WITH_ZONES, schema_version};
use crate::pages::keep_before_change;
use crate::rights::{beside, for_the_owner_alone, make_folder};
use crate::whole::{Beside, Found, close_for_now, count_change, look, look_beside, open_for_changes, refuse_part};

/// Name of the database in a data folder.
pub const DATABASE_FILE: &str = "yard-notch.db";

/// Connections that read at the same time; more wait their turn.
pub const READERS: usize = 4;

/// Steps of the database's machine between two questions whether a reading is still wanted: some tenth of a
/// millisecond.
const STEPS: i32 = 10_000;

/// Most bytes of a file that is looked at for damage before it is served.
const CHECKED_AT_ONCE: u64 = 16 * 1024 * 1024;

/// An open database: one connection that writes, some that read.
#[derive(Debug)]
pub struct Store {
    /// What is told of it.
    path: PathBuf,
    /// The file itself; of a copy that was opened to be looked at it is another than the one that is told.
    file: PathBuf,
    writer: Mutex<Connection>,
    /// Whether the main file surely says that changes stand beside it.
    said_open: AtomicBool,
    /// Connections that read, each opened when it is first needed.
    readers: [Mutex<Option<Connection>>; READERS],
    next_reader: AtomicUsize,
    /// Only looks whether the file was changed, by this program or by another.
    watch: Mutex<Connection>,
    attempts: Mutex<HashMap<i64, KeptAttempts>>,
    /// The folder of a copy, which goes with the store.
    copy: Option<TempDir>,
    /// Says that no other server may serve it; let go last of all.
    served: Option<ServingLock>,
}

impl Drop for Store {
    fn drop(&mut self) {
        if self.copy.is_none() {
            // Nobody is left to tell; the file then says that changes stand beside it, as is the case.
            let _ = self.rest();
        }
    }
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
    /// A folder that cannot be written, a damaged file, a file of a newer or of another program, a file
    /// whose latest changes are missing. The file is unchanged in each case.
    pub fn open(folder: &Path) -> Result<Self, StoreError> {
        let unwritable = |why: String| StoreError::Folder { path: folder.to_owned(), why };
        make_folder(folder).map_err(|error| unwritable(error.to_string()))?;
        let path = folder.join(DATABASE_FILE);
        let beside = look_beside(&path).map_err(|error| unwritable(error.to_string()))?;
        let connection = connect(&path)?;
        // A file that is refused is left as it is, with what stands beside it.
        connection.set_db_config(DbConfig::SQLITE_DBCONFIG_NO_CKPT_ON_CLOSE, true)?;
        for_the_owner_alone(&path).map_err(|error| unwritable(error.to_string()))?;
        if connection.is_readonly("main")? {
            return Err(unwritable("the database file is read-only".to_owned()));
        }
        Self::with_writer(path, connection, &beside)
    }

    /// The same of a school that this program alone serves, until what is returned is dropped.
    ///
    /// # Errors
    /// [`StoreError::Served`] if another server has it, and those of [`Store::open`].
    pub fn open_served(folder: &Path) -> Result<Self, StoreError> {
        let served = ServingLock::take(folder)?;
        let mut store = Self::open(folder)?;
        store.served = Some(served);
        Ok(store)
    }

    /// Opens a copy of the database, so that nothing is made or changed in the data folder. The copy is
    /// brought up to date and goes with what is returned.
    ///
    /// # Errors
    /// No file, an empty one, one of another program, and those of [`Store::open`].
    pub fn open_copy(folder: &Path) -> Result<Self, StoreError> {
        let original = folder.join(DATABASE_FILE);
        let unreadable = |error: io::Error| StoreError::Folder { path: folder.to_owned(), why: error.to_string() };
        if !original.is_file() {
            return Err(StoreError::NoSchool { path: original, what: "is missing" });
        }
        let copy = tempfile::tempdir().map_err(unreadable)?;
        let path = copy.path().join(DATABASE_FILE);
        if ServingLock::is_held(folder) {
            let live = Connection::open_with_flags(&original, OpenFlags::SQLITE_OPEN_READ_ONLY | OpenFlags::SQLITE_OPEN_NO_MUTEX)
                .map_err(|error| explain(&original, error))?;
            live.busy_timeout(BUSY).map_err(|error| explain(&original, error))?;
            live.backup("main", &path, None).map_err(|error| explain(&original, error))?;
            take_as_whole(&path).map_err(|error| error.at(&original))?;
        } else {
            fs::copy(&original, &path).map_err(unreadable)?;
            match fs::copy(beside(&original, "-wal"), beside(&path, "-wal")) {
                Err(error) if error.kind() != io::ErrorKind::NotFound => return Err(unreadable(error)),
                _ => {}
            }
        }
        let opened = || {
            let beside = look_beside(&path).map_err(unreadable)?;
            let connection = connect(&path)?;
            if matches!(look(&connection)?, Found::Empty) {
                return Err(StoreError::NoSchool { path: path.clone(), what: "is empty" });
            }
            Self::with_writer(path.clone(), connection, &beside)
        };
        let mut store = opened().map_err(|error| error.at(&original))?;
        store.path = original;
        store.copy = Some(copy);
        Ok(store)
    }

    /// Goes on with what a file holds whose latest changes are missing or damaged.
    ///
    /// # Errors
    /// No school's file, or what the database says.
    pub fn accept(folder: &Path) -> Result<(), StoreError> {
        let path = folder.join(DATABASE_FILE);
        if !path.is_file() {
            return Err(StoreError::NoSchool { path, what: "is missing" });
        }
        take_as_whole(&path)
    }

    fn with_writer(path: PathBuf, mut connection: Connection, beside: &Beside) -> Result<Self, StoreError> {
        let explain = |error: rusqlite::Error| explain(&path, error);
        let found = match look(&connection).map_err(explain)? {
            Found::Empty => 0,
            Found::School(version) => version,
            Found::Foreign => return Err(StoreError::NoSchool { path, what: "is a file of another program" }),
        };
        if found > schema_version() {
            return Err(StoreError::Newer { path, found, known: schema_version() });
        }
        refuse_part(&connection, found, beside, &path)?;
        // Damage is looked for before anything is written; in a large file, beside serving.
        if fs::metadata(&path).is_ok_and(|file| file.len() <= CHECKED_AT_ONCE) {
            quick_check(&connection, &path)?;
            // Of many schools that are open none keeps all its pages in memory because they were looked at once.
            connection.execute_batch("PRAGMA shrink_memory").map_err(explain)?;
        }
        connection.set_db_config(DbConfig::SQLITE_DBCONFIG_NO_CKPT_ON_CLOSE, false).map_err(explain)?;
        connection.pragma_update(None, "journal_mode", "WAL").map_err(explain)?;
        // Changes are moved over when the file can be told to hold them.
        connection.pragma_update(None, "wal_autocheckpoint", 0).map_err(explain)?;
        if (1..schema_version()).contains(&found)
            && let Some(folder) = path.parent()
        {
            keep_before_change(folder, &path)?;
        }
        if found < schema_version() {
            MIGRATIONS
                .to_latest(&mut connection)
                .map_err(|error| StoreError::Corrupt { path: path.clone(), why: error.to_string() })?;
        }
        if (1..WITH_ZONES).contains(&found) {
            set_zones(&connection, &machine_zone()).map_err(explain)?;
        }
        let watch = Mutex::new(connect(&path)?);
        let readers = <[Mutex<Option<Connection>>; READERS]>::default();
        Ok(Store {
            file: path.clone(),
            path,
            writer: Mutex::new(connection),
            said_open: AtomicBool::new(false),
            readers,
            next_reader: AtomicUsize::default(),
            watch,
            attempts: Mutex::default(),
            copy: None,
            served: None,
        })
    }

    /// Looks for damage in a file that was too large to be looked at when it was opened, on a connection of
    /// its own: nobody waits for it.
    ///
    /// # Errors
    /// [`StoreError::Corrupt`] with what was found, or what the database says.
    pub fn look_for_damage(&self) -> Result<(), StoreError> {
        if fs::metadata(&self.path).is_ok_and(|file| file.len() <= CHECKED_AT_ONCE) {
            return Ok(());
        }
        quick_check(&connect(&self.path)?, &self.path)
    }

    /// Moves all changes into the one file, while nobody changes anything, so that a copy of it is all of
    /// the school. `false`: a reading held it up; try again later.
    ///
    /// # Errors
    /// What the database says.
    pub fn rest(&self) -> Result<bool, StoreError> {
        let connection = lock(&self.writer);
        self.said_open.store(false, Ordering::Relaxed);
        connection.busy_timeout(Duration::ZERO)?;
        let rested = close_for_now(&connection);
        connection.busy_timeout(BUSY)?;
        match rested.map_err(StoreError::from) {
            Err(StoreError::Locked) => Ok(false),
            rested => rested,
        }
    }

    /// Size of the school's file, with the latest changes that stand beside it.
    pub fn bytes(&self) -> u64 {
        let size = |path: &Path| fs::metadata(path).map_or(0, |about| about.len());
        size(&self.path) + size(&beside(&self.path, "-wal"))
    }

    /// The file itself.
    pub(crate) fn file(&self) -> &Path {
        &self.file
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
        self.read_while(|| true, read)
    }

    /// Reads at one moment, for as long as the answer is wanted: the database asks between its steps, and
    /// breaks off with an error at the first no.
    ///
    /// # Errors
    /// What `read` returns, and what the database says.
    pub fn read_while<T>(
        &self,
        still_wanted: impl Fn() -> bool + Send + 'static,
        read: impl FnOnce(&Reader<'_>) -> Result<T, StoreError>,
    ) -> Result<T, StoreError> {
        let changes = self.changes()?;
        let mut reader = self.free_reader();
        let connection = self.opened(&mut reader)?;
        connection.progress_handler(STEPS, Some(move || !still_wanted()))?;
        let done =
            connection.transaction().map_err(StoreError::from).and_then(|tx| read(&Reader { tx, kept: Some((self, changes)) }));
        connection.progress_handler(0, None::<fn() -> bool>)?;
        done
    }

    /// Changes in one transaction: all of it when `write` returns `Ok`, none of it otherwise.
    ///
    /// # Errors
    /// What `write` returns, and what the database says.
    pub fn write<T, E: From<StoreError>>(&self, write: impl FnOnce(&Writer<'_>) -> Result<T, E>) -> Result<T, E> {
        let mut connection = lock(&self.writer);
        let said = open_for_changes(&connection, self.said_open.load(Ordering::Relaxed)).map_err(StoreError::from)?;
        self.said_open.store(said, Ordering::Relaxed);
        let begun = connection.transaction_with_behavior(TransactionBehavior::Immediate);
        let writer = Writer { reader: Reader { tx: begun.map_err(StoreError::from)?, kept: None } };
        let done = write(&writer)?;
        count_change(&writer.tx).map_err(StoreError::from)?;
        writer.commit()?;
        Ok(done)
    }

    /// A place for a connection that reads, one that is open before one that is not.
    fn free_reader(&self) -> MutexGuard<'_, Option<Connection>> {
        let mut free = None;
        for reader in self.readers.iter().filter_map(|reader| reader.try_lock().ok()) {
            if reader.is_some() {
                return reader;
            }
            free.get_or_insert(reader);
        }
        free.unwrap_or_else(|| {
            let turn = self.next_reader.fetch_add(1, Ordering::Relaxed);
            let [first, ..] = &self.readers;
            lock(self.readers.get(turn % READERS).unwrap_or(first))
        })
    }

    fn opened<'r>(&self, reader: &'r mut Option<Connection>) -> Result<&'r mut Connection, StoreError> {
        if reader.is_none() {
            *reader = Some(connect(&self.file)?);
        }
        reader.as_mut().ok_or(StoreError::Locked)
    }

    /// Lets go of what is held in memory to be quick: nobody has asked for a while. It is taken up again by who does.
    pub fn be_small(&self) {
        for mut reader in self.readers.iter().filter_map(|reader| reader.try_lock().ok()) {
            *reader = None;
        }
        self.attempts.lock().unwrap_or_else(PoisonError::into_inner).clear();
        for connection in [&self.writer, &self.watch] {
            if let Ok(connection) = connection.try_lock() {
                connection.flush_prepared_statement_cache();
                let _ = connection.execute_batch("PRAGMA shrink_memory");
            }
        }
    }
}

impl Reader<'_> {
    /// Attempts of a course, read again only after something was changed: the yard and the class
    /// ask for all of them each time, and reading their verdicts is what takes longest. `read` is given them as they
    /// were, none where that is not known.
    pub(crate) fn kept_attempts(
        &self,
        course_id: i64,
        read: impl FnOnce(Vec<Attempt>) -> Result<Vec<Attempt>, StoreError>,
    ) -> Result<Arc<Vec<Attempt>>, StoreError> {
        let Some((store, changes)) = self.kept else { return Ok(Arc::new(read(Vec::new())?)) };
        let lock = || store.attempts.lock().unwrap_or_else(PoisonError::into_inner);
        let before = {
            let mut kept = lock();
            if let Some(kept) = kept.get(&course_id).filter(|kept| kept.changes == changes) {
                return Ok(kept.attempts.clone());
            }
            kept.remove(&course_id).map(|kept| kept.attempts)
        };
        let attempts = Arc::new(read(before.map(Arc::unwrap_or_clone).unwrap_or_default())?);
        lock().insert(course_id, KeptAttempts { changes, attempts: attempts.clone() });
        Ok(attempts)
    }
}

/// A connection of a thread that panicked has rolled back; it is sound to go on with it.
fn lock<T>(connection: &Mutex<T>) -> MutexGuard<'_, T> {
    connection.lock().unwrap_or_else(PoisonError::into_inner)
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
