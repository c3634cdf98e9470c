//! Copies of a school: made while it is in use, checked, thinned out, put back.

use std::fs;
use std::path::Path;
use std::sync::atomic::{AtomicBool, Ordering};

use crate::common::{Tested, filled};
use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};
use notch_core::copies::KeepCopies;
use notch_store::{COPIES, Copies, DATABASE_FILE, Restoring, ServingLock, Store, StoreError, schema_version};
use tempfile::TempDir;

fn write(store: &Store, value: &str) -> Result<(), StoreError> {
    store.write::<_, StoreError>(|writer| writer.set_setting("latest", value))
}

fn latest(store: &Store) -> Result<Option<String>, StoreError> {
    store.read(|reader| reader.setting("latest"))
}

fn names(folder: &Path) -> Vec<String> {
    let mut found: Vec<String> = fs::read_dir(folder)
        .map(|entries| entries.filter_map(|entry| Some(entry.ok()?.file_name().to_string_lossy().into_owned())).collect())
        .unwrap_or_default();
    found.sort();
    found
}

/// A folder that holds a file as a school's.
fn opened(file: &Path) -> Result<(TempDir, Store), Box<dyn std::error::Error>> {
    let folder = TempDir::new()?;
    fs::copy(file, folder.path().join(DATABASE_FILE))?;
    let store = Store::open(folder.path())?;
    Ok((folder, store))
}

fn at() -> Timestamp {
    Timestamp::UNIX_EPOCH + SignedDuration::from_hours(500_000)
}

#[test]
fn a_copy_made_under_changes_is_one_whole_file_of_one_moment() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let done = AtomicBool::new(false);
    let files = std::thread::scope(|scope| -> Result<Vec<_>, StoreError> {
        let changes = scope.spawn(|| {
            let mut count = 0;
            while !done.load(Ordering::Relaxed) {
                count += 1;
                write(&store, &count.to_string())?;
            }
            Ok::<_, StoreError>(count)
        });
        let files: Vec<_> = (0..5).map(|number| folder.path().join(format!("{number}.copy"))).collect();
        for file in &files {
            store.copy_to(file)?;
        }
        done.store(true, Ordering::Relaxed);
        assert!(changes.join().unwrap()? > 5, "changes went on");
        Ok(files)
    })?;
    let mut before = 0;
    for file in files {
        let (_kept, copy) = opened(&file)?;
        copy.check()?;
        let number: i64 = latest(&copy)?.map_or(0, |value| value.parse().unwrap());
        assert!(number >= before, "{number} after {before}");
        before = number;
        #[cfg(unix)]
        assert_eq!(std::os::unix::fs::PermissionsExt::mode(&fs::metadata(&file)?.permissions()) & 0o777, 0o600);
    }
    assert!(!names(folder.path()).iter().any(|name| name.starts_with(".tmp")), "{:?}", names(folder.path()));
    Ok(())
}

#[test]
fn copies_of_many_days_are_thinned_out_and_other_files_are_left_alone() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let copies = Copies::of(folder.path());
    assert_eq!(copies.list()?, []);
    let keep = KeepCopies { daily: 2, weekly: 1, monthly: 0 };
    let days = |number: i64| at() + SignedDuration::from_hours(24 * number);
    for number in 0..5 {
        copies.make(&store, days(number), keep, &TimeZone::UTC)?;
    }
    fs::write(folder.path().join(COPIES).join("notes.txt"), "mine")?;
    copies.make(&store, days(5), keep, &TimeZone::UTC)?;
    let left: Vec<Timestamp> = copies.list()?.into_iter().map(|copy| copy.at).collect();
    assert_eq!(left, [days(5), days(4)]);
    assert!(names(&folder.path().join(COPIES)).contains(&"notes.txt".to_owned()));
    Ok(())
}

#[test]
fn a_copy_of_a_folder_that_cannot_be_written_is_told_and_the_school_goes_on() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    fs::write(folder.path().join(COPIES), "no folder")?;
    let failed = Copies::of(folder.path()).make(&store, at(), KeepCopies::default(), &TimeZone::UTC);
    assert!(matches!(failed, Err(StoreError::Folder { .. })), "{failed:?}");
    Ok(write(&store, "goes on")?)
}

#[test]
fn a_school_of_an_older_schema_is_copied_before_it_is_changed() -> Tested {
    let folder = TempDir::new()?;
    let old = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    old.execute_batch(include_str!("../migrations/0001_initial.sql"))?;
    old.pragma_update(None, "user_version", 1)?;
    drop(old);
    drop(Store::open(folder.path())?);
    let copies = Copies::of(folder.path()).list()?;
    assert_eq!(copies.iter().map(|copy| copy.before_change).collect::<Vec<_>>(), [true]);
    let copy = rusqlite::Connection::open(folder.path().join(COPIES).join(&copies[0].name))?;
    assert_eq!(copy.query_row("PRAGMA user_version", [], |row| row.get::<_, i64>(0))?, 1);
    drop(Store::open(folder.path())?);
    assert_eq!(Copies::of(folder.path()).list()?.len(), 1, "nothing was changed the second time");
    Ok(())
}

#[test]
fn a_copy_takes_the_place_of_a_school_which_is_kept_aside() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    write(&store, "then")?;
    let file = folder.path().join("then.db");
    store.copy_to(&file)?;
    write(&store, "now")?;
    // As after a loss of current: changes stand beside the file.
    let crashed = TempDir::new()?;
    for name in names(folder.path()) {
        let from = folder.path().join(&name);
        if from.is_file() {
            fs::copy(&from, crashed.path().join(&name))?;
        }
    }
    let looked = Restoring::look(&file, crashed.path())?;
    assert_eq!(latest(&looked.copy)?.as_deref(), Some("then"));
    let aside = looked.put_back(at())?.unwrap();
    assert_eq!(latest(&Store::open(crashed.path())?)?.as_deref(), Some("then"));
    assert_eq!(latest(&Store::open(&aside)?)?.as_deref(), Some("now"), "with what stood beside it");
    let empty = TempDir::new()?;
    assert_eq!(Restoring::look(&file, empty.path())?.put_back(at())?, None);
    assert_eq!(latest(&Store::open(empty.path())?)?.as_deref(), Some("then"));
    Ok(())
}

#[test]
fn a_school_that_is_served_is_not_replaced() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let file = folder.path().join("copy.db");
    store.copy_to(&file)?;
    let lock = ServingLock::take(folder.path())?;
    write(&store, "served")?;
    assert!(matches!(Restoring::look(&file, folder.path())?.put_back(at()), Err(StoreError::Served { .. })));
    assert_eq!(latest(&store)?.as_deref(), Some("served"));
    drop(lock);
    Ok(())
}

#[test]
fn what_is_no_copy_of_a_school_is_refused_by_its_name_and_nothing_is_touched() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let good = folder.path().join("good.db");
    store.copy_to(&good)?;
    drop(store);
    let before = names(folder.path());
    let bad = TempDir::new()?;
    let refused = |name: &str, bytes: Option<&[u8]>| {
        let file = bad.path().join(name);
        if let Some(bytes) = bytes {
            fs::write(&file, bytes).unwrap();
        }
        let error = Restoring::look(&file, folder.path()).unwrap_err();
        assert!(error.to_string().contains(name), "{error}");
        error
    };
    assert!(matches!(refused("missing.db", None), StoreError::NoSchool { .. }));
    assert!(matches!(refused("empty.db", Some(b"")), StoreError::NoSchool { .. }));
    assert!(matches!(refused("text.db", Some(b"a recipe for soup, and no database")), StoreError::Corrupt { .. }));
    let whole = fs::read(&good)?;
    assert!(matches!(refused("cut-off.db", whole.get(..whole.len() / 2)), StoreError::Corrupt { .. }));
    let other = rusqlite::Connection::open(bad.path().join("other.db"))?;
    other.execute_batch("CREATE TABLE recipe (id INTEGER) STRICT; PRAGMA user_version = 3;")?;
    drop(other);
    assert!(matches!(refused("other.db", None), StoreError::NoSchool { .. }));
    fs::write(bad.path().join("newer.db"), &whole)?;
    rusqlite::Connection::open(bad.path().join("newer.db"))?.pragma_update(None, "user_version", schema_version() + 1)?;
    assert!(matches!(refused("newer.db", None), StoreError::Newer { .. }));
    assert_eq!(names(folder.path()), before);
    Ok(())
}

#[test]
fn what_a_loss_of_current_left_of_a_copy_is_cleared_away_and_nothing_else() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let copies = folder.path().join(COPIES);
    let long_ago = std::time::SystemTime::now() - std::time::Duration::from_secs(3 * 24 * 3600);
    for (name, old) in [(".copy-being-made-old", true), (".copy-being-made-now", false), ("somebody-elses", true)] {
        fs::create_dir_all(copies.join(name))?;
        fs::write(copies.join(name).join(DATABASE_FILE), "a part")?;
        if old {
            fs::File::open(copies.join(name))?.set_modified(long_ago)?;
        }
    }
    let copy = Copies::of(folder.path()).make(&store, at(), KeepCopies::default(), &TimeZone::UTC)?;
    assert_eq!(names(&copies), [".copy-being-made-now", &copy.name, "somebody-elses"]);
    Ok(())
}
