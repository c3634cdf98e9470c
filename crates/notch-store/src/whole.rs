//! Whether one file is all of a school, and whose it is.
//!
//! The database keeps the latest changes in a file beside it (the `-wal`) and moves them over later. So
//! that a copy without that file is noticed, the main file itself says that later changes stand beside
//! it, from before the first of them until all were moved over: see `file_state` in the schema.

use std::path::Path;
use std::{fs, io};

use rusqlite::Connection;

use crate::error::StoreError;
use crate::migrations::{WITH_FILE_STATE, found_version};
use crate::rights::beside;

/// Changes after which those that stand beside are moved over though the school does not rest.
const MOVE_OVER_AFTER: i64 = 500;

/// What stands at the head of a school's file, from schema 6 on.
const APPLICATION_ID: i64 = 1_316_250_472;

/// What a database file is.
pub(crate) enum Found {
    /// Nothing is in it.
    Empty,
    /// A school, of this schema.
    School(i64),
    /// Another program's.
    Foreign,
}

/// Looks whose file it is.
pub(crate) fn look(connection: &Connection) -> rusqlite::Result<Found> {
    let count = |sql: &str| connection.query_row(sql, [], |row| row.get::<_, i64>(0));
    let version = found_version(connection)?;
    let id = count("PRAGMA application_id")?;
    let tables = count("SELECT count(*) FROM sqlite_schema WHERE type = 'table'")?;
    // Files of before there was an id have tables of these names.
    let ours = id == APPLICATION_ID
        || (id == 0 && count("SELECT count(*) FROM sqlite_schema WHERE name IN ('course', 'lesson', 'attempt')")? == 3);
    Ok(match (version, tables) {
        (0, 0) if id == 0 => Found::Empty,
        (version, _) if ours && version > 0 => Found::School(version),
        _ => Found::Foreign,
    })
}

/// What stands beside a database, before it is opened.
pub(crate) enum Beside {
    /// No changes.
    Nothing,
    /// Changes that can be read, or a last one that was never kept in whole.
    Changes,
    /// Changes that can no longer be reached.
    Damaged(String),
}

/// Looks at the file of the latest changes, as the database's file format lays it down: a head of 32
/// bytes, then frames of 24 bytes and a page, each with a sum over all before it. The database ends at
/// the first frame that does not fit, silently. That is right for a change that was being written when the
/// current failed; but where two more changes were kept behind it, it had been whole once.
pub(crate) fn look_beside(path: &Path) -> io::Result<Beside> {
    let bytes = match fs::read(beside(path, "-wal")) {
        Err(error) if error.kind() == io::ErrorKind::NotFound => return Ok(Beside::Nothing),
        read => read?,
    };
    Ok(wal(&bytes))
}

fn wal(bytes: &[u8]) -> Beside {
    const HEAD: usize = 32;
    const FRAME_HEAD: usize = 24;
    if bytes.is_empty() {
        return Beside::Nothing;
    }
    let word = |at: usize| bytes.get(at..at + 4).and_then(|four| four.try_into().ok()).map(u32::from_be_bytes);
    let words = |at: usize| Some((word(at)?, word(at + 4)?));
    let little = match word(0) {
        Some(0x377f_0682) => true,
        Some(0x377f_0683) => false,
        _ => return Beside::Damaged("its head is not that of such a file".to_owned()),
    };
    let sum = |from: (u32, u32), part: &[u8]| {
        part.chunks_exact(8).fold(from, |(first, second), eight| {
            let half = |four: &[u8]| {
                let four = four.try_into().unwrap_or_default();
                if little { u32::from_le_bytes(four) } else { u32::from_be_bytes(four) }
            };
            let (one, two) = eight.split_at(4);
            let first = first.wrapping_add(half(one)).wrapping_add(second);
            (first, second.wrapping_add(half(two)).wrapping_add(first))
        })
    };
    let head_sum = bytes.get(..24).map(|head| sum((0, 0), head));
    let (Some(head_sum), Some(page), salts) = (head_sum, word(8), words(16)) else {
        return Beside::Damaged("it is cut short".to_owned());
    };
    if words(24) != Some(head_sum) || page == 0 {
        return Beside::Damaged("the sum of its head is wrong".to_owned());
    }
    let frame_size = FRAME_HEAD.saturating_add(usize::try_from(page).unwrap_or(usize::MAX - FRAME_HEAD));
    let mut before = Some(head_sum);
    let (mut broken_at, mut changes_behind) = (None, 0);
    for (index, frame) in bytes.get(HEAD..).unwrap_or_default().chunks_exact(frame_size).enumerate() {
        let at = HEAD + index * frame_size;
        let (head, content) = frame.split_at(FRAME_HEAD);
        let of_this = words(at + 8) == salts;
        let fits = of_this && before.map(|before| sum(sum(before, head.get(..8).unwrap_or_default()), content)) == words(at + 16);
        if !fits && broken_at.is_none() {
            broken_at = Some(index + 1);
        } else if fits && broken_at.is_some() && word(at + 4) != Some(0) {
            changes_behind += 1;
        }
        before = words(at + 16);
    }
    match broken_at {
        Some(frame) if changes_behind >= 2 => Beside::Damaged(format!(
            "its part {frame} is damaged, and {changes_behind} changes behind it can no longer be reached"
        )),
        _ => Beside::Changes,
    }
}

/// The latest changes cannot all be read.
pub(crate) fn refuse_part(connection: &Connection, version: i64, beside: &Beside, shown: &Path) -> Result<(), StoreError> {
    let missing = |why: &str| Err(StoreError::Part { path: shown.to_owned(), why: why.to_owned() });
    match beside {
        Beside::Damaged(why) => missing(&format!("{} beside it is damaged: {why}", name_beside(shown))),
        Beside::Nothing if version >= WITH_FILE_STATE => {
            let (writes, open_since) = state(connection)?;
            if open_since == Some(writes) {
                return missing(&format!("{} beside it is missing or empty", name_beside(shown)));
            }
            Ok(())
        }
        Beside::Nothing | Beside::Changes => Ok(()),
    }
}

fn name_beside(path: &Path) -> String {
    beside(path, "-wal").file_name().unwrap_or_default().to_string_lossy().into_owned()
}

/// Changes so far, and those that the file held when it was opened for more.
fn state(connection: &Connection) -> rusqlite::Result<(i64, Option<i64>)> {
    let mut statement = connection.prepare_cached("SELECT writes, open_since FROM file_state")?;
    statement.query_row([], |row| Ok((row.get(0)?, row.get(1)?)))
}

/// Before a change: has the main file say that changes stand beside it. `said` is whether it surely does;
/// what comes back is the same. A long reading can hold it up; then the next change tries again.
pub(crate) fn open_for_changes(connection: &Connection, said: bool) -> rusqlite::Result<bool> {
    let (writes, open_since) = state(connection)?;
    let fresh = open_since.is_some_and(|since| writes - since < MOVE_OVER_AFTER);
    if said && fresh {
        return Ok(true);
    }
    if !fresh {
        connection.execute("UPDATE file_state SET open_since = writes", [])?;
    }
    move_over(connection, "PASSIVE")
}

/// Counts a change, inside of it.
pub(crate) fn count_change(connection: &Connection) -> rusqlite::Result<()> {
    connection.prepare_cached("UPDATE file_state SET writes = writes + 1")?.execute([])?;
    Ok(())
}

/// Moves every change into the main file, then has it say that it is all. `false`: a reading held it up.
pub(crate) fn close_for_now(connection: &Connection) -> rusqlite::Result<bool> {
    if state(connection)?.1.is_none() {
        return move_over(connection, "TRUNCATE");
    }
    if !move_over(connection, "TRUNCATE")? {
        return Ok(false);
    }
    connection.execute("UPDATE file_state SET open_since = NULL", [])?;
    move_over(connection, "TRUNCATE")
}

/// Has the file say that it is all, whatever stood beside it.
pub(crate) fn accept_as_whole(connection: &Connection, version: i64) -> rusqlite::Result<()> {
    if version >= WITH_FILE_STATE {
        connection.execute("UPDATE file_state SET open_since = NULL", [])?;
    }
    move_over(connection, "TRUNCATE")?;
    Ok(())
}

/// Whether all of it was moved.
fn move_over(connection: &Connection, how: &str) -> rusqlite::Result<bool> {
    connection.query_row(&format!("PRAGMA wal_checkpoint({how})"), [], |row| {
        let (held_up, standing, moved): (i64, i64, i64) = (row.get(0)?, row.get(1)?, row.get(2)?);
        Ok(held_up == 0 && standing == moved)
    })
}
