//! Whether one file is all of a school: copies with and without what stands beside it.

use std::path::Path;
use std::{fs, io};

use crate::common::{Tested, filled};
use notch_store::{DATABASE_FILE, Store, StoreError};
use tempfile::TempDir;

const WAL: &str = "yard-notch.db-wal";

fn write(store: &Store, value: &str) -> Result<(), StoreError> {
    store.write::<_, StoreError>(|writer| writer.set_setting("latest", value))
}

fn latest(store: &Store) -> Result<Option<String>, StoreError> {
    store.read(|reader| reader.setting("latest"))
}

/// What a person does who copies some files of a folder.
fn copied(folder: &Path, files: &[&str]) -> io::Result<TempDir> {
    let copy = TempDir::new()?;
    for file in files {
        fs::copy(folder.join(file), copy.path().join(file))?;
    }
    Ok(copy)
}

fn files(folder: &Path) -> io::Result<Vec<(String, Vec<u8>)>> {
    let mut found: Vec<_> = fs::read_dir(folder)?
        .map(|entry| {
            let entry = entry?;
            Ok((entry.file_name().to_string_lossy().into_owned(), fs::read(entry.path())?))
        })
        .collect::<io::Result<_>>()?;
    found.sort();
    Ok(found)
}

/// A store in use, with one change that stands beside its file.
fn in_use() -> Result<(TempDir, Store), Box<dyn std::error::Error>> {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    assert!(store.rest()?);
    write(&store, "kept")?;
    Ok((folder, store))
}

#[test]
fn a_copy_of_a_file_in_use_is_all_only_with_the_file_beside_it() -> Tested {
    let (folder, store) = in_use()?;
    let both = copied(folder.path(), &[DATABASE_FILE, WAL])?;
    assert_eq!(latest(&Store::open(both.path())?)?.as_deref(), Some("kept"));
    for emptied in [false, true] {
        let alone = copied(folder.path(), &[DATABASE_FILE])?;
        if emptied {
            fs::write(alone.path().join(WAL), b"")?;
        }
        let before = files(alone.path())?;
        for opened in [Store::open_copy(alone.path()), Store::open(alone.path())] {
            let Err(told @ StoreError::Part { .. }) = opened else { panic!("taken for all: {opened:?}") };
            assert!(told.to_string().contains("yard-notch.db-wal beside it is missing or empty"), "{told}");
            assert!(told.to_string().contains("yard-notch accept"), "{told}");
        }
        assert_eq!(fs::read(alone.path().join(DATABASE_FILE))?, before[0].1, "it was not changed");
        Store::accept(alone.path())?;
        assert_eq!(latest(&Store::open(alone.path())?)?, None, "it goes on without the latest");
    }
    drop(store);
    Ok(())
}

#[test]
fn after_a_rest_and_after_the_end_the_one_file_is_all() -> Tested {
    let (folder, store) = in_use()?;
    assert!(store.rest()?);
    let at_rest = copied(folder.path(), &[DATABASE_FILE])?;
    assert_eq!(latest(&Store::open(at_rest.path())?)?.as_deref(), Some("kept"));
    write(&store, "later")?;
    drop(store);
    let ended = copied(folder.path(), &[DATABASE_FILE])?;
    assert_eq!(latest(&Store::open(ended.path())?)?.as_deref(), Some("later"));
    Ok(())
}

#[test]
fn a_reading_that_goes_on_holds_a_rest_up_and_the_file_says_so() -> Tested {
    let (folder, store) = in_use()?;
    store.read(|reader| {
        assert_eq!(reader.setting("latest")?.as_deref(), Some("kept"));
        // Another device changes something meanwhile: this view is of before.
        write(&store, "meanwhile")?;
        assert!(!store.rest()?, "a view of before is open");
        let alone = copied(folder.path(), &[DATABASE_FILE]).map_err(|error| StoreError::Import(error.to_string()))?;
        assert!(matches!(Store::open(alone.path()), Err(StoreError::Part { .. })));
        Ok(())
    })?;
    assert!(store.rest()?);
    Ok(())
}

#[test]
fn in_a_long_evening_without_rest_the_file_never_passes_for_all() -> Tested {
    let (folder, store) = in_use()?;
    for number in 0..1200 {
        write(&store, &number.to_string())?;
        if number % 97 == 0 {
            let alone = copied(folder.path(), &[DATABASE_FILE])?;
            assert!(matches!(Store::open(alone.path()), Err(StoreError::Part { .. })), "after {number}");
        }
    }
    let beside = fs::metadata(folder.path().join(WAL))?.len();
    assert!(beside < 16 * 1024 * 1024, "{beside} bytes stand beside it: they are moved over now and then");
    Ok(())
}

#[test]
fn changes_that_a_damaged_part_hides_are_told() -> Tested {
    let (folder, store) = in_use()?;
    for number in 0..6 {
        write(&store, &number.to_string())?;
    }
    let copy = copied(folder.path(), &[DATABASE_FILE, WAL])?;
    let beside = fs::read(copy.path().join(WAL))?;
    let frame = 24 + 4096;
    let damaged = |at: usize| -> io::Result<()> {
        let mut bytes = beside.clone();
        bytes[at] ^= 0x40;
        fs::write(copy.path().join(WAL), bytes)
    };
    // Its head; the head, the sum and the page of an early part.
    for at in [3, 17, 25, 32 + frame + 5, 32 + frame + 17, 32 + frame + 1000] {
        damaged(at)?;
        let opened = Store::open_copy(copy.path());
        assert!(matches!(opened, Err(StoreError::Part { .. })), "byte {at}: {opened:?}");
        let kept = |name| fs::read(copy.path().join(name));
        let before = (kept(DATABASE_FILE)?, kept(WAL)?);
        let opened = Store::open(copy.path());
        assert!(matches!(opened, Err(StoreError::Part { .. })), "byte {at}: {opened:?}");
        assert!(before == (kept(DATABASE_FILE)?, kept(WAL)?), "byte {at}: both are as they were");
    }
    Store::accept(copy.path())?;
    Store::open(copy.path())?.check()?;
    let copy = copied(folder.path(), &[DATABASE_FILE, WAL])?;
    // A change that was being written when the current failed was never told as kept.
    fs::write(copy.path().join(WAL), &beside[..beside.len() - 1000])?;
    assert!(latest(&Store::open_copy(copy.path())?)?.is_some());
    Ok(())
}

#[test]
fn a_look_makes_and_changes_nothing() -> Tested {
    let missing = TempDir::new()?;
    assert!(matches!(Store::open_copy(missing.path()), Err(StoreError::NoSchool { .. })));
    assert!(files(missing.path())?.is_empty());
    let (folder, store) = in_use()?;
    let crashed = copied(folder.path(), &[DATABASE_FILE, WAL])?;
    let before = files(crashed.path())?;
    let copy = Store::open_copy(crashed.path())?;
    assert_eq!(latest(&copy)?.as_deref(), Some("kept"));
    assert_eq!(copy.path(), crashed.path().join(DATABASE_FILE));
    copy.check()?;
    drop(copy);
    assert_eq!(files(crashed.path())?, before);
    drop(store);
    Ok(())
}

#[test]
fn a_school_that_is_served_is_looked_at_as_it_stands() -> Tested {
    let (folder, store) = in_use()?;
    let _served = notch_store::ServingLock::take(folder.path())?;
    assert_eq!(latest(&Store::open_copy(folder.path())?)?.as_deref(), Some("kept"));
    write(&store, "later")?;
    assert_eq!(latest(&Store::open_copy(folder.path())?)?.as_deref(), Some("later"));
    Ok(())
}

#[test]
fn an_empty_file_and_one_of_another_program_are_no_school() -> Tested {
    let folder = TempDir::new()?;
    let path = folder.path().join(DATABASE_FILE);
    fs::write(&path, b"")?;
    let told = Store::open_copy(folder.path()).unwrap_err().to_string();
    assert!(told.contains("is empty"), "{told}");
    rusqlite::Connection::open(&path)?.execute_batch("CREATE TABLE recipe (name TEXT); PRAGMA user_version = 3;")?;
    let before = fs::read(&path)?;
    for told in [Store::open_copy(folder.path()).unwrap_err(), Store::open(folder.path()).unwrap_err()] {
        assert!(told.to_string().contains("another program"), "{told}");
    }
    assert_eq!(fs::read(&path)?, before);
    Ok(())
}
