//! The pages of a school's file, copied while it is served.

use std::fs::{self, File};
use std::path::Path;
use std::thread::sleep;
use std::time::{Duration, Instant};

use jiff::Timestamp;
use rusqlite::Connection;
use rusqlite::backup::{Backup, StepResult};

use crate::connect::{BUSY, connect, explain, take_as_whole};
use crate::error::StoreError;
use crate::rights::{for_the_owner_alone, make_folder};

/// Name of the folder of copies in a data folder.
pub const COPIES: &str = "copies";

/// What a copy from before the schema was changed is called, before its moment.
pub(crate) const BEFORE_CHANGE: &str = "before-schema-change-";

/// How a moment is written in a name.
pub(crate) const MOMENT: &str = "%Y%m%dT%H%M%SZ";

/// Name of a copy.
pub(crate) fn named(kind: &str, at: Timestamp) -> String {
    format!("{kind}{}.db", at.strftime(MOMENT))
}

/// Pages that are copied in one go: 4 MB.
const PAGES_AT_ONCE: i32 = 1024;

/// Goes after which what was copied is written to the disk: a change that wants to be kept meanwhile waits for no
/// more than that.
const GOES_PER_SYNC: u32 = 4;

/// Copies all pages at one moment, a part after the other. Changes go on meanwhile: the reading that holds the moment
/// is on a connection of its own.
pub(crate) fn copy_pages(from: &Path, to: &Path) -> Result<(), StoreError> {
    let unwritable = |error: std::io::Error| StoreError::Folder { path: to.to_owned(), why: error.to_string() };
    let from = connect(from)?;
    let mut into = Connection::open(to).map_err(|error| explain(to, error))?;
    // It has its name only when all of it is on the disk, so it needs no journal and waits for no disk on the way.
    into.pragma_update(None, "synchronous", "OFF")?;
    for_the_owner_alone(to).map_err(unwritable)?;
    let file = File::open(to).map_err(unwritable)?;
    // A moment is held from the first reading on.
    from.execute_batch("BEGIN; SELECT count(*) FROM sqlite_schema")?;
    let begun = Instant::now();
    let backup = Backup::new(&from, &mut into)?;
    for go in 1.. {
        match backup.step(PAGES_AT_ONCE)? {
            StepResult::Done => break,
            StepResult::More => {}
            _ if begun.elapsed() > BUSY => return Err(StoreError::Locked),
            _ => sleep(Duration::from_millis(5)),
        }
        if go % GOES_PER_SYNC == 0 {
            file.sync_data().map_err(unwritable)?;
        }
    }
    Ok(())
}

/// Has a whole file on the disk, then gives it its name.
pub(crate) fn put_in_place(part: &Path, file: &Path) -> std::io::Result<()> {
    for_the_owner_alone(part)?;
    File::open(part)?.sync_all()?;
    fs::rename(part, file)?;
    #[cfg(unix)]
    if let Some(folder) = file.parent().filter(|folder| !folder.as_os_str().is_empty()) {
        File::open(folder)?.sync_all()?;
    }
    Ok(())
}

/// What a folder is called in which a copy is made; one that a loss of current left behind is known by it.
const PART: &str = ".copy-being-made-";

/// A folder for a copy that is being made, gone with what is returned.
pub(crate) fn part_in(folder: &Path) -> std::io::Result<tempfile::TempDir> {
    tempfile::Builder::new().prefix(PART).tempdir_in(folder)
}

/// How old a part is that nobody makes any more.
const LEFT_BEHIND: Duration = Duration::from_secs(24 * 3600);

/// Clears away the parts of copies that a loss of current left behind, as far as that can be done.
pub(crate) fn clear_parts(folder: &Path) {
    let Ok(entries) = fs::read_dir(folder) else { return };
    for entry in entries.flatten() {
        let is_part = entry.file_name().to_str().is_some_and(|name| name.starts_with(PART));
        let age = entry.metadata().and_then(|about| about.modified()).ok().and_then(|at| at.elapsed().ok());
        if is_part && age.is_some_and(|age| age > LEFT_BEHIND) {
            let _ = fs::remove_dir_all(entry.path());
        }
    }
}

/// Keeps a school's file as it is before its schema is changed.
pub(crate) fn keep_before_change(data: &Path, school: &Path) -> Result<(), StoreError> {
    let folder = data.join(COPIES);
    let unwritable = |error: std::io::Error| StoreError::Folder { path: folder.clone(), why: error.to_string() };
    make_folder(&folder).map_err(unwritable)?;
    let part = part_in(&folder).map_err(unwritable)?;
    let path = part.path().join("part.db");
    copy_pages(school, &path)?;
    take_as_whole(&path)?;
    put_in_place(&path, &folder.join(named(BEFORE_CHANGE, Timestamp::now()))).map_err(unwritable)
}
