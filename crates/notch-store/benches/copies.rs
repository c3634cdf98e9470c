//! A school with 200,000 attempts is copied and checked while changes go on: how long it takes, and how long the
//! slowest change waits meanwhile.

#![allow(clippy::unwrap_used, missing_docs, reason = "a measurement that cannot go on stops")]

use std::sync::atomic::{AtomicBool, Ordering};
use std::time::{Duration, Instant};

use notch_core::catalogue::Catalogue;
use notch_store::{DATABASE_FILE, Store, StoreError};

const ATTEMPTS: i64 = 200_000;

/// The demo school, its attempts many times over with their faults, samples and pieces.
fn large(folder: &std::path::Path) {
    let store = Store::open(folder).unwrap();
    notch_demo::fill(&store, &Catalogue::shipped().unwrap()).unwrap();
    drop(store);
    let file = rusqlite::Connection::open(folder.join(DATABASE_FILE)).unwrap();
    let columns = |table: &str| -> Vec<String> {
        let mut statement = file.prepare(&format!("SELECT name FROM pragma_table_info('{table}')")).unwrap();
        statement.query_map([], |row| row.get(0)).unwrap().collect::<Result<_, _>>().unwrap()
    };
    let times: i64 = file.query_row("SELECT ?1 / (SELECT count(*) FROM attempt) + 1", [ATTEMPTS], |row| row.get(0)).unwrap();
    file.execute_batch("PRAGMA foreign_keys = OFF; BEGIN").unwrap();
    file.execute_batch(&format!(
        "CREATE TEMP TABLE time (n INTEGER); WITH RECURSIVE t (n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM t WHERE n < {times})
         INSERT INTO time SELECT n FROM t"
    ))
    .unwrap();
    // Ids are moved by so many for each time over.
    let moved = [
        ("attempt", vec![("id", 10_000)]),
        ("mark", vec![("id", 10_000), ("attempt_id", 10_000)]),
        ("sample", vec![("id", 10_000), ("attempt_id", 10_000)]),
        ("piece", vec![("sample_id", 10_000)]),
    ];
    for (table, ids) in moved {
        let of = |column: &String| match ids.iter().find(|(id, _)| id == column) {
            Some((_, by)) => format!("{column} + {by} * n"),
            None => column.clone(),
        };
        let (into, from): (Vec<String>, Vec<String>) = columns(table)
            .iter()
            .filter(|column| *column != "id" || ids.iter().any(|(id, _)| id == column))
            .map(|c| (c.clone(), of(c)))
            .unzip();
        let sql = format!("INSERT INTO {table} ({}) SELECT {} FROM {table}, time", into.join(", "), from.join(", "));
        file.execute(&sql, []).unwrap();
    }
    file.execute_batch("COMMIT; PRAGMA wal_checkpoint(TRUNCATE)").unwrap();
}

fn main() {
    let folder = tempfile::tempdir().unwrap();
    large(folder.path());
    let bytes = std::fs::metadata(folder.path().join(DATABASE_FILE)).unwrap().len();
    let store = Store::open(folder.path()).unwrap();
    let attempts = store.read(|reader| reader.held()).unwrap().attempts;
    println!("{attempts} attempts, {} MB", bytes / 1_000_000);
    for round in 1..=3 {
        let done = AtomicBool::new(false);
        let (took, slowest, changes) = std::thread::scope(|scope| {
            let marking = scope.spawn(|| {
                let (mut slowest, mut changes) = (Duration::ZERO, 0);
                while !done.load(Ordering::Relaxed) {
                    let begun = Instant::now();
                    store.write::<_, StoreError>(|writer| writer.set_setting("mark", "one more")).unwrap();
                    slowest = slowest.max(begun.elapsed());
                    changes += 1;
                    std::thread::sleep(Duration::from_millis(10));
                }
                (slowest, changes)
            });
            let begun = Instant::now();
            store.copy_to(&folder.path().join(format!("copy-{round}.db"))).unwrap();
            let took = begun.elapsed();
            done.store(true, Ordering::Relaxed);
            let (slowest, changes) = marking.join().unwrap();
            (took, slowest, changes)
        });
        println!(
            "copied and checked in {:.2} s; the slowest of {changes} changes took {} ms",
            took.as_secs_f64(),
            slowest.as_millis()
        );
    }
}
