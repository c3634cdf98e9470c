//! Copies of a school: made while it is served, checked, thinned out, and put back.

use std::ffi::OsString;
use std::fs::{self, File};
use std::path::{Path, PathBuf};

use jiff::Timestamp;
use jiff::tz::TimeZone;
use notch_core::copies::KeepCopies;

use crate::connect::take_as_whole;
use crate::error::StoreError;
use crate::lock::ServingLock;
use crate::open::{DATABASE_FILE, Reader, Store};
use crate::pages::{BEFORE_CHANGE, COPIES, MOMENT, clear_parts, copy_pages, named, part_in, put_in_place};
use crate::rights::{beside, make_folder};

/// What a copy of each day is called, before its moment.
const OF_A_DAY: &str = "school-";

/// Copies from before a change of the schema that are kept.
const KEPT_BEFORE_CHANGE: usize = 3;

/// A copy in the folder of copies.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Copy {
    /// Name of the file.
    pub name: String,
    /// When it was made.
    pub at: Timestamp,
    /// Its size.
    pub bytes: u64,
    /// Made because the schema was about to change.
    pub before_change: bool,
}

/// The folder of copies in a data folder.
#[derive(Clone, Debug)]
pub struct Copies {
    folder: PathBuf,
}

impl Copies {
    /// Of the school in a data folder.
    pub fn of(data: &Path) -> Copies {
        Copies { folder: data.join(COPIES) }
    }

    /// All copies, the newest first; files of other names are nothing to it.
    ///
    /// # Errors
    /// A folder that cannot be read; one that is missing has no copies.
    pub fn list(&self) -> Result<Vec<Copy>, StoreError> {
        let mut found = Vec::new();
        let entries = match fs::read_dir(&self.folder) {
            Err(error) if error.kind() == std::io::ErrorKind::NotFound => return Ok(found),
            read => read.map_err(|error| self.unwritable(&error))?,
        };
        for entry in entries {
            let entry = entry.map_err(|error| self.unwritable(&error))?;
            let name = entry.file_name().to_string_lossy().into_owned();
            let (Some((at, before_change)), Ok(about)) = (read_name(&name), entry.metadata()) else { continue };
            found.push(Copy { name, at, bytes: about.len(), before_change });
        }
        found.sort_by_key(|copy| std::cmp::Reverse((copy.at, copy.name.clone())));
        Ok(found)
    }

    /// Makes a copy of a school that is open, checks it, and drops those that are no longer kept.
    ///
    /// # Errors
    /// A folder that cannot be written, a full disk, damage that was found in the copy. No part of a copy is left.
    pub fn make(&self, store: &Store, at: Timestamp, keep: KeepCopies, zone: &TimeZone) -> Result<Copy, StoreError> {
        make_folder(&self.folder).map_err(|error| self.unwritable(&error))?;
        clear_parts(&self.folder);
        let name = named(OF_A_DAY, at);
        let bytes = store.copy_to(&self.folder.join(&name))?;
        self.thin_out(keep, zone)?;
        Ok(Copy { name, at, bytes, before_change: false })
    }

    /// Drops the copies that are no longer kept.
    fn thin_out(&self, keep: KeepCopies, zone: &TimeZone) -> Result<(), StoreError> {
        let (before_change, of_days): (Vec<Copy>, Vec<Copy>) = self.list()?.into_iter().partition(|copy| copy.before_change);
        let moments: Vec<_> = of_days.iter().map(|copy| zone.to_datetime(copy.at)).collect();
        let gone = of_days.iter().zip(keep.kept(&moments)).filter(|(_, kept)| !kept).map(|(copy, _)| copy);
        for copy in gone.chain(before_change.iter().skip(KEPT_BEFORE_CHANGE)) {
            fs::remove_file(self.folder.join(&copy.name)).map_err(|error| self.unwritable(&error))?;
        }
        Ok(())
    }

    fn unwritable(&self, error: &std::io::Error) -> StoreError {
        if error.kind() == std::io::ErrorKind::StorageFull {
            return StoreError::Full;
        }
        StoreError::Folder { path: self.folder.clone(), why: error.to_string() }
    }
}

/// Moment of a copy, and whether it was made before a change of the schema.
fn read_name(name: &str) -> Option<(Timestamp, bool)> {
    let name = name.strip_suffix(".db")?;
    let (moment, before_change) = match name.strip_prefix(OF_A_DAY) {
        Some(moment) => (moment, false),
        None => (name.strip_prefix(BEFORE_CHANGE)?, true),
    };
    let at = jiff::civil::DateTime::strptime(MOMENT, moment).ok()?;
    Some((TimeZone::UTC.to_timestamp(at).ok()?, before_change))
}

impl Store {
    /// Copies the school as it is at one moment to a file of its own, which is checked before it has its name: the
    /// database's own check, references, and every row through the core's types. Changes go on meanwhile.
    ///
    /// Returns the size of the copy in bytes.
    ///
    /// # Errors
    /// A folder that cannot be written, a full disk, or what was found in the copy; nothing is left of it then.
    pub fn copy_to(&self, file: &Path) -> Result<u64, StoreError> {
        let folder = file.parent().filter(|folder| !folder.as_os_str().is_empty()).unwrap_or(Path::new("."));
        let unwritable = |error: std::io::Error| match error.kind() {
            std::io::ErrorKind::StorageFull => StoreError::Full,
            _ => StoreError::Folder { path: folder.to_owned(), why: error.to_string() },
        };
        let part = part_in(folder).map_err(unwritable)?;
        let path = part.path().join(DATABASE_FILE);
        copy_pages(self.file(), &path)?;
        take_as_whole(&path)?;
        let copy = Store::open(part.path())?;
        copy.check()?;
        drop(copy);
        put_in_place(&path, file).map_err(unwritable)?;
        Ok(fs::metadata(file).map_err(unwritable)?.len())
    }
}

/// A copy that was looked at and can be put in the place of a school.
#[derive(Debug)]
pub struct Restoring {
    /// What the copy holds, opened.
    pub copy: Store,
    part: tempfile::TempDir,
    folder: PathBuf,
}

impl Restoring {
    /// Takes a copy into the data folder beside the school, brings it up to date and checks it; the school is not
    /// touched.
    ///
    /// # Errors
    /// A file that is missing, of another program, of a newer version, cut off or damaged.
    pub fn look(file: &Path, folder: &Path) -> Result<Restoring, StoreError> {
        if !file.is_file() {
            return Err(StoreError::NoSchool { path: file.to_owned(), what: "is missing" });
        }
        let unwritable = |error: std::io::Error| StoreError::Folder { path: folder.to_owned(), why: error.to_string() };
        make_folder(folder).map_err(unwritable)?;
        let part = part_in(folder).map_err(unwritable)?;
        let path = part.path().join(DATABASE_FILE);
        fs::copy(file, &path).map_err(unwritable)?;
        if beside(file, "-wal").is_file() {
            fs::copy(beside(file, "-wal"), beside(&path, "-wal")).map_err(unwritable)?;
        }
        let opened = || {
            if fs::metadata(&path).is_ok_and(|about| about.len() == 0) {
                return Err(StoreError::NoSchool { path: path.clone(), what: "is empty" });
            }
            let copy = Store::open(part.path())?;
            copy.check()?;
            Ok(copy)
        };
        let copy = opened().map_err(|error| error.at(file))?;
        Ok(Restoring { copy, part, folder: folder.to_owned() })
    }

    /// Puts the copy in the place of the school, whose files are kept in a folder beside it, which is returned; none
    /// where there was no school.
    ///
    /// A loss of current leaves either the school as it was, one that says that its latest changes are missing, with
    /// all of it in that folder, or the copy.
    ///
    /// # Errors
    /// [`StoreError::Served`] while the school is served; what the system says.
    pub fn put_back(self, at: Timestamp) -> Result<Option<PathBuf>, StoreError> {
        let Restoring { copy, part, folder } = self;
        let unwritable = |error: std::io::Error| StoreError::Folder { path: folder.clone(), why: error.to_string() };
        let _lock = ServingLock::take(&folder)?;
        drop(copy);
        let school = folder.join(DATABASE_FILE);
        let aside = school.is_file().then(|| folder.join(format!("replaced-{}", at.strftime(MOMENT))));
        if let Some(aside) = &aside {
            make_folder(aside).map_err(unwritable)?;
            let name = OsString::from(DATABASE_FILE);
            for file in [school.clone(), beside(&school, "-wal")] {
                let to = aside.join(file.file_name().unwrap_or(&name));
                match fs::copy(&file, &to).and_then(|_| File::open(&to)?.sync_all()) {
                    Err(error) if error.kind() != std::io::ErrorKind::NotFound => return Err(unwritable(error)),
                    _ => {}
                }
            }
            // What stood beside the school would be read into the copy.
            for ending in ["-wal", "-shm"] {
                match fs::remove_file(beside(&school, ending)) {
                    Err(error) if error.kind() != std::io::ErrorKind::NotFound => return Err(unwritable(error)),
                    _ => {}
                }
            }
        }
        put_in_place(&part.path().join(DATABASE_FILE), &school).map_err(unwritable)?;
        Ok(aside)
    }
}

/// How much a school holds.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Held {
    /// Courses.
    pub courses: i64,
    /// Students of all courses.
    pub students: i64,
    /// Lessons.
    pub lessons: i64,
    /// Attempts.
    pub attempts: i64,
    /// The latest moment that something was written down.
    pub latest: Option<Timestamp>,
}

impl Reader<'_> {
    /// How much the school holds.
    ///
    /// # Errors
    /// What the database says.
    pub fn held(&self) -> Result<Held, StoreError> {
        let count = |table: &str| self.tx.query_row(&format!("SELECT count(*) FROM {table}"), [], |row| row.get(0));
        Ok(Held {
            courses: count("course")?,
            students: count("student")?,
            lessons: count("lesson")?,
            attempts: count("attempt")?,
            latest: self.latest_moment()?,
        })
    }
}
