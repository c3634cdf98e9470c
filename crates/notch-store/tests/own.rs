//! Own values, settings and what devices wrote.

use crate::common::{Tested, filled};
use notch_core::own::{OwnKind, OwnValue};
use notch_store::{DATABASE_FILE, StoreError};
use tempfile::TempDir;

#[test]
fn own_values_have_versions_and_know_what_uses_them() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let cue = |words: &str| OwnValue::Cue { id: "loose_grip".into(), cue: words.into() };
    store.write::<_, StoreError>(|writer| writer.keep_own(None, &cue("one")))?;
    assert!(matches!(store.write(|writer| writer.keep_own(None, &cue("again"))), Err(StoreError::Stale { .. })));
    store.write::<_, StoreError>(|writer| writer.keep_own(Some(1), &cue("two")))?;
    let kept = store.read(|reader| reader.own_values())?;
    assert_eq!((kept[0].version, &kept[0].value), (2, &Ok(cue("two"))));
    let sizes = store.read(|reader| reader.uses_of_own(OwnKind::StandardSet, "eighth"))?;
    assert_eq!((sizes.courses, sizes.attempts), (vec!["Tuesday knives".to_owned()], 1));
    assert_eq!(store.read(|reader| reader.uses_of_own(OwnKind::Food, "carrot"))?.exercises, 1);
    assert!(matches!(store.write(|writer| writer.drop_own(OwnKind::Cue, "loose_grip", 1)), Err(StoreError::Stale { .. })));
    store.write::<_, StoreError>(|writer| writer.drop_own(OwnKind::Cue, "loose_grip", 2))?;
    assert!(store.read(|reader| reader.own_values())?.is_empty());
    Ok(())
}

#[test]
fn an_own_value_that_cannot_be_read_hides_no_other() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let cue = OwnValue::Cue { id: "loose_grip".into(), cue: "one".into() };
    store.write::<_, StoreError>(|writer| writer.keep_own(None, &cue))?;
    let other = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    other.execute_batch(
        r#"INSERT INTO own_value (kind, id, value_json) VALUES ('food', 'own_moon', '{"kind":"food","crater":1}')"#,
    )?;
    let kept = store.read(|reader| reader.own_values())?;
    assert_eq!(kept.iter().filter(|record| record.value.is_ok()).count(), 1);
    let broken = kept.iter().find(|record| record.id == "own_moon").unwrap();
    assert!(broken.value.as_ref().is_err_and(|why| !why.is_empty()), "{broken:?}");
    store.write::<_, StoreError>(|writer| writer.drop_own(OwnKind::Food, "own_moon", broken.version))?;
    assert_eq!(store.read(|reader| reader.own_values())?.len(), 1);
    Ok(())
}

#[test]
fn a_write_of_a_device_is_remembered_for_its_action_and_forgotten_after_a_month() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    let at: jiff::Timestamp = "2026-10-25T00:30:00Z".parse()?;
    store.write::<_, StoreError>(|writer| writer.remember_write("a-device-1", "POST /x", &7_i64, at))?;
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-1", "POST /x"))?, Some(7));
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-2", "POST /x"))?, None);
    let other = store.read(|reader| reader.made_by::<i64>("a-device-1", "PUT /y"));
    assert!(matches!(other, Err(StoreError::Conflict(_))), "{other:?}");
    let later = at + jiff::SignedDuration::from_hours(31 * 24);
    store.write::<_, StoreError>(|writer| writer.remember_write("a-device-3", "POST /x", &8_i64, later))?;
    assert_eq!(store.read(|reader| reader.made_by::<i64>("a-device-1", "POST /x"))?, None);
    Ok(())
}
