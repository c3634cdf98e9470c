//! Out as one document, in whole or not at all.

use crate::common::{Tested, exercise, filled};
use notch_core::records::{ExerciseFields, Making};
use notch_store::{Store, schema_version};
use tempfile::TempDir;

#[test]
fn an_export_is_taken_into_an_empty_folder_and_nowhere_else() -> Tested {
    let (from, into) = (TempDir::new()?, TempDir::new()?);
    let document = filled(from.path())?.export()?;
    let text = serde_json::to_string(&document)?;
    let store = Store::open(into.path())?;
    store.import(&serde_json::from_str(&text)?)?;
    assert_eq!(store.export()?, document);
    let again = store.import(&document).unwrap_err().to_string();
    assert!(again.contains("already holds"), "{again}");
    Ok(())
}

#[test]
fn an_export_of_an_earlier_schema_is_brought_up_to_this_one() -> Tested {
    let from = TempDir::new()?;
    let now = filled(from.path())?.export()?;
    let steps = [include_str!("../migrations/0001_initial.sql"), include_str!("../migrations/0002_rack_and_schools.sql")];
    for schema in 1..=steps.len() {
        // The same school as it would have been exported then: without what later steps brought.
        let then = rusqlite::Connection::open_in_memory()?;
        steps[..schema].iter().try_for_each(|step| then.execute_batch(step))?;
        let mut document = now.clone();
        document.schema = i64::try_from(schema)?;
        // A student was a person of one course.
        let people = document.tables.remove("person").unwrap();
        for row in document.tables.get_mut("student").unwrap() {
            let person = people.iter().find(|person| person["id"] == row["person_id"]).unwrap().clone();
            person.into_iter().filter(|(column, _)| column != "id").for_each(|(column, value)| drop(row.insert(column, value)));
        }
        // What was seen was ticked, or a fault of the attempt, with no moment of its own.
        document.tables.remove("mark");
        for row in document.tables.get_mut("attempt").unwrap() {
            row.insert("grip_ticked".into(), 1.into());
            row.insert("hold_ticked".into(), 0.into());
        }
        let fault = [("attempt_id".to_owned(), 1.into()), ("fault".to_owned(), "loose_grip".into())];
        document.tables.insert("attempt_fault".into(), vec![fault.into_iter().collect()]);
        for (table, rows) in &mut document.tables {
            let mut columns = then.prepare(&format!("SELECT name FROM pragma_table_info('{table}')"))?;
            let columns: Vec<String> = columns.query_map([], |row| row.get(0))?.collect::<Result<_, _>>()?;
            rows.iter_mut().for_each(|row| row.retain(|column, _| columns.contains(column)));
            rows.retain(|row| !row.is_empty());
        }
        if schema == 1 {
            // Two schools had columns of their own.
            for row in document.tables.get_mut("course").unwrap() {
                row.insert("index_on_spine".into(), "tip_draw".into());
                row.insert("towards_self".into(), "never".into());
            }
        }
        let into = TempDir::new()?;
        let store = Store::open(into.path())?;
        store.import(&document)?;
        let exercises = store.read(|reader| reader.exercises(1))?;
        assert_eq!(exercises[0].fields, ExerciseFields { making: Making::default(), ..exercise() }, "schema {schema}");
        let attempt = store.read(|reader| reader.attempt(1))?;
        assert_eq!((attempt.marks.grip_ticked, attempt.marks.hold_ticked), (true, false), "schema {schema}");
        assert_eq!(attempt.marks.faults, ["loose_grip"], "schema {schema}");
        assert!(attempt.made.iter().all(|mark| Some(mark.at) == attempt.stopped_at && mark.by.is_none()));
        let (brought, sent) = (store.export()?, document);
        for table in ["student", "attempt", "piece", "lesson"] {
            assert_eq!(brought.tables[table].len(), sent.tables[table].len(), "{table}, schema {schema}");
        }
        assert_eq!(brought.schema, schema_version());
        // A row that does not fit is still named, and nothing is kept.
        let mut wrong = sent;
        wrong.tables.get_mut("knife").unwrap()[0].insert("length".into(), (-5.0).into());
        let folder = TempDir::new()?;
        let store = Store::open(folder.path())?;
        let said = store.import(&wrong).unwrap_err().to_string();
        assert!(said.contains("knife, row 1"), "{said}");
        assert!(store.export()?.tables.values().all(Vec::is_empty));
    }
    Ok(())
}

#[test]
fn a_wrong_import_names_table_and_row_and_leaves_nothing() -> Tested {
    let from = TempDir::new()?;
    let good = filled(from.path())?.export()?;
    let refusal = |change: &dyn Fn(&mut notch_store::Document)| -> Result<String, Box<dyn std::error::Error>> {
        let into = TempDir::new()?;
        let mut document = good.clone();
        change(&mut document);
        let store = Store::open(into.path())?;
        let said = store.import(&document).unwrap_err().to_string();
        assert!(store.export()?.tables.values().all(Vec::is_empty), "half-written after: {said}");
        Ok(said)
    };
    let set = |table: &'static str, column: &'static str, value: serde_json::Value| {
        move |document: &mut notch_store::Document| {
            document.tables.get_mut(table).unwrap()[0].insert(column.to_owned(), value.clone());
        }
    };
    assert!(refusal(&set("knife", "length", (-5.0).into()))?.contains("knife, row 1"));
    assert!(refusal(&set("student", "course_id", 77.into()))?.contains("student, row 1"));
    assert!(refusal(&set("student", "shoe_size", 44.into()))?.contains("no column “shoe_size”"));
    assert!(refusal(&set("attempt", "target_json", "{}x".into()))?.contains("attempt, row 1"));
    assert!(!refusal(&set("exercise", "grip", "by the teeth".into()))?.is_empty());
    assert!(refusal(&|document| document.schema = 0)?.contains("schema is 0"));
    assert!(refusal(&|document| document.schema = 99)?.contains("schema is 99"));
    assert!(refusal(&|document| document.format = "other".into())?.contains("“other”"));
    Ok(())
}

#[test]
fn whatever_the_core_cannot_read_is_named_by_table_row_and_column() -> Tested {
    let from = TempDir::new()?;
    let store = filled(from.path())?;
    let mut whole = store.export()?;
    let first = |table: &str, column: &str| whole.tables[table][0][column].clone();
    let (lesson, knife) = (first("lesson", "id"), first("knife", "id"));
    let at = "2026-11-03T17:42:00Z";
    let row =
        |fields: &[(&str, serde_json::Value)]| fields.iter().map(|(name, value)| ((*name).to_owned(), value.clone())).collect();
    let tick = row(&[("lesson_id", lesson.clone()), ("item", "board".into()), ("who", "Mara".into()), ("ticked_at", at.into())]);
    let out = row(&[("lesson_id", lesson.clone()), ("knife_id", knife), ("out_at", at.into()), ("in_at", at.into())]);
    let closing = row(&[("lesson_id", lesson), ("closed_at", at.into()), ("who", "Mara".into()), ("words", "".into())]);
    for (table, row) in [("check_tick", tick), ("knife_out", out), ("closing", closing)] {
        whole.tables.insert(table.to_owned(), vec![row]);
    }
    let taken = |document: &notch_store::Document| -> Tested { Ok(Store::open(TempDir::new()?.path())?.import(document)?) };
    taken(&whole)?;
    for (table, column) in [
        ("check_tick", "ticked_at"),
        ("knife_out", "in_at"),
        ("closing", "closed_at"),
        ("lesson", "starts_at"),
        ("segment", "kind"),
        ("exercise", "grip"),
        ("attempt", "on_day"),
        ("sample", "taken_at"),
    ] {
        let mut wrong = whole.clone();
        let rows = wrong.tables.get_mut(table).unwrap();
        let last = rows.len();
        rows[last - 1].insert(column.to_owned(), "zz".into());
        let said = taken(&wrong).unwrap_err().to_string();
        assert!(said.contains(&format!("{table}, row {last}: {column}: ")), "{said}");
    }
    Ok(())
}

#[test]
fn a_row_that_cannot_be_read_is_found_wherever_it_stands() -> Tested {
    let folder = TempDir::new()?;
    let store = filled(folder.path())?;
    store.check()?;
    let other = rusqlite::Connection::open(store.path())?;
    // Not among the exercises that a lesson shows.
    other.execute_batch("UPDATE exercise SET archived = 1, hold = 'none'")?;
    let said = store.check().unwrap_err().to_string();
    assert!(said.contains("exercise, row 1, cannot be read: hold"), "{said}");
    Ok(())
}
