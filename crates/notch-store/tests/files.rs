//! Files that are damaged, newer, served twice or changed by another program.

use crate::common::{Tested, filled};
use notch_store::{DATABASE_FILE, ServingLock, Store, StoreError, schema_version};
use std::fs;
use tempfile::TempDir;

#[test]
fn a_damaged_file_is_told_and_left_as_it_is() -> Tested {
    let folder = TempDir::new()?;
    let path = folder.path().join(DATABASE_FILE);
    fs::write(&path, b"this is no database, and longer than the header of one would be, so that it is looked at in full")?;
    let before = fs::read(&path)?;
    let error = Store::open(folder.path()).unwrap_err();
    assert!(matches!(error, StoreError::Corrupt { .. }), "{error}");
    assert_eq!(fs::read(&path)?, before);
    Ok(())
}

#[test]
fn a_file_with_a_torn_page_is_told() -> Tested {
    let folder = TempDir::new()?;
    drop(filled(folder.path())?);
    let path = folder.path().join(DATABASE_FILE);
    let mut bytes = fs::read(&path)?;
    for byte in bytes.iter_mut().skip(4096).take(3 * 4096) {
        *byte = 0xA5;
    }
    fs::write(&path, bytes)?;
    assert!(matches!(Store::open(folder.path()), Err(StoreError::Corrupt { .. })));
    Ok(())
}

#[test]
fn every_json_that_cannot_be_read_is_found_by_the_table_that_it_stands_in() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let file = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    file.pragma_update(None, "ignore_check_constraints", true)?;
    let mut columns = file.prepare(
        "SELECT tables.name, columns.name FROM sqlite_schema AS tables, pragma_table_info(tables.name) AS columns
         WHERE tables.type = 'table' AND columns.name LIKE '%\\_json' ESCAPE '\\'",
    )?;
    let columns: Vec<(String, String)> =
        columns.query_map([], |row| Ok((row.get(0)?, row.get(1)?)))?.collect::<Result<_, _>>()?;
    let mut found = 0;
    for (table, column) in columns {
        let of = format!("{table} WHERE rowid = (SELECT min(rowid) FROM {table})");
        let Ok(before) = file.query_row(&format!("SELECT {column} FROM {of}"), [], |row| row.get::<_, Option<String>>(0)) else {
            continue;
        };
        let set = format!("UPDATE {table} SET {column} = ?1 WHERE rowid = (SELECT min(rowid) FROM {table})");
        file.execute(&set, ["{ broken"])?;
        let error = store.check().unwrap_err();
        assert!(matches!(error, StoreError::Row { table: told, .. } if told == table), "{table}.{column}: {error}");
        file.execute(&set, [before])?;
        found += 1;
    }
    assert!(found > 9, "{found} columns hold JSON in this school");
    store.check()?;
    Ok(())
}

#[test]
fn a_file_of_a_newer_program_is_told_with_both_versions() -> Tested {
    let folder = TempDir::new()?;
    drop(filled(folder.path())?);
    let path = folder.path().join(DATABASE_FILE);
    rusqlite::Connection::open(&path)?.pragma_update(None, "user_version", schema_version() + 1)?;
    let error = Store::open(folder.path()).unwrap_err();
    assert!(matches!(error, StoreError::Newer { found, known, .. } if found == known + 1), "{error}");
    Ok(())
}

#[test]
fn a_folder_that_cannot_be_made_is_told_by_name() -> Tested {
    let folder = TempDir::new()?;
    let file = folder.path().join("a-file");
    fs::write(&file, "x")?;
    let error = Store::open(&file.join("data")).unwrap_err();
    assert!(matches!(error, StoreError::Folder { .. }) && error.to_string().contains("--data"), "{error}");
    Ok(())
}

#[test]
fn a_change_by_another_program_is_noticed() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let before = store.changes()?;
    assert_eq!(store.changes()?, before, "nothing was changed");
    let seen = store.read(|reader| reader.attempts_of_course(1))?.len();
    let other = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    other.execute_batch("UPDATE attempt SET stopped_at = started_at; UPDATE course SET version = version + 1;")?;
    assert_ne!(store.changes()?, before);
    let attempts = store.read(|reader| reader.attempts_of_course(1))?;
    assert_eq!(attempts.len(), seen);
    assert!(attempts.iter().all(|attempt| attempt.stopped_at.is_some()), "what was kept in memory is read again");
    let after = store.changes()?;
    store.write::<_, StoreError>(|writer| writer.set_setting("a", "b"))?;
    assert_ne!(store.changes()?, after, "our own changes count too");
    Ok(())
}

#[test]
fn one_folder_is_served_once_and_free_again_when_that_ends() -> Tested {
    let folder = TempDir::new()?;
    let lock = ServingLock::take(folder.path())?;
    let second = ServingLock::take(folder.path()).unwrap_err();
    assert!(matches!(second, StoreError::Served { .. }), "{second}");
    assert!(second.to_string().contains("is served by another copy of this program"), "{second}");
    drop(lock);
    ServingLock::take(folder.path())?;
    Ok(())
}

#[cfg(unix)]
#[test]
fn a_school_is_for_its_owner_alone() -> Tested {
    use std::os::unix::fs::PermissionsExt;
    let folder = TempDir::new()?;
    let data = folder.path().join("new").join("data");
    let _lock = ServingLock::take(&data)?;
    drop(filled(&data)?);
    let rights = |path: &std::path::Path| fs::metadata(path).map(|found| found.permissions().mode() & 0o777);
    assert_eq!(rights(&data)?, 0o700);
    fs::set_permissions(data.join(DATABASE_FILE), fs::Permissions::from_mode(0o644))?;
    let store = Store::open(&data)?;
    store.write::<_, StoreError>(|writer| writer.set_setting("a", "b"))?;
    for entry in fs::read_dir(&data)? {
        let path = entry?.path();
        assert_eq!(rights(&path)?, 0o600, "{}", path.display());
    }
    Ok(())
}

#[test]
fn a_file_that_another_program_holds_is_told_and_nothing_is_kept() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let before = store.export()?;
    let other = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    other.execute_batch("BEGIN IMMEDIATE; UPDATE course SET version = version;")?;
    let told = store.write::<_, StoreError>(|writer| writer.set_setting("a", "b"));
    assert!(matches!(told, Err(StoreError::Locked)), "{told:?}");
    other.execute_batch("ROLLBACK")?;
    assert_eq!(store.export()?, before);
    assert_eq!(store.read(|reader| reader.setting("a"))?, None);
    Ok(())
}
