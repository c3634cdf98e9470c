//! Looking a whole school through: the database's own check, references, and every row through the core's types.
//!
//! In a large school each takes seconds, so they go on side by side, on connections of their own.

use std::num::NonZero;
use std::path::Path;
use std::sync::atomic::{AtomicUsize, Ordering};
use std::sync::{Mutex, PoisonError};
use std::thread;

use rusqlite::Connection;
use rusqlite::functions::FunctionFlags;

use crate::connect::{connect, explain};
use crate::document::{TABLES, read_table};
use crate::error::StoreError;
use crate::open::Store;

/// Most that looks at the same time.
const HANDS: usize = 4;

/// One thing that is looked at.
#[derive(Clone, Copy)]
enum Look {
    /// The pages, by the database itself.
    Pages,
    /// References that lead nowhere.
    References,
    /// The rows of a table.
    Rows(&'static str),
}

/// Tables that grow with each class: they are begun first, so that no long one is left at the end.
const LARGE: [&str; 4] = ["sample", "attempt", "piece", "mark"];

/// In the order in which they are begun; what the first of them finds is told.
fn looks() -> Vec<Look> {
    let small = TABLES.into_iter().filter(|table| !LARGE.contains(table));
    let rows = LARGE.into_iter().chain(small).map(Look::Rows);
    [Look::Pages].into_iter().chain(rows).chain([Look::References]).collect()
}

impl Store {
    /// Looks for damage: the database's own check, references that lead nowhere, rows that the core cannot read.
    ///
    /// # Errors
    /// [`StoreError::Corrupt`] with what was found first; [`StoreError::Row`] by table and row.
    pub fn check(&self) -> Result<(), StoreError> {
        let (looks, next) = (looks(), AtomicUsize::new(0));
        let found: Mutex<Vec<(usize, StoreError)>> = Mutex::default();
        let hands = thread::available_parallelism().map_or(1, NonZero::get).min(HANDS);
        let (file, path) = (self.file(), self.path());
        thread::scope(|scope| {
            for _ in 0..hands {
                scope.spawn(|| {
                    let connection = connection(file);
                    loop {
                        let index = next.fetch_add(1, Ordering::Relaxed);
                        let Some(look) = looks.get(index) else { return };
                        let done = match &connection {
                            Ok(connection) => look_at(*look, connection, path),
                            Err(error) => Err(StoreError::Folder { path: path.to_owned(), why: error.to_string() }),
                        };
                        if let Err(error) = done {
                            found.lock().unwrap_or_else(PoisonError::into_inner).push((index, error));
                        }
                    }
                });
            }
        });
        let found = found.into_inner().unwrap_or_else(PoisonError::into_inner);
        // Damaged pages show up in rows and references too.
        found.into_iter().min_by_key(|(index, _)| *index).map_or(Ok(()), |(_, error)| Err(error))
    }
}

/// A connection that reads much, once.
fn connection(file: &Path) -> Result<Connection, StoreError> {
    let connection = connect(file)?;
    connection.pragma_update(None, "query_only", true)?;
    connection.pragma_update(None, "cache_size", -32_000)?;
    Ok(connection)
}

/// Spares the database's own check the JSON, most of what it would otherwise do: [`Look::Rows`] reads that of every
/// row more strictly. All other constraints of the tables are looked at as before.
fn json_is_read_elsewhere(connection: &Connection) -> Result<(), StoreError> {
    Ok(connection.create_scalar_function("json_valid", 1, FunctionFlags::default(), |_| Ok(true))?)
}

fn look_at(look: Look, connection: &Connection, path: &Path) -> Result<(), StoreError> {
    let found: Vec<String> = match look {
        Look::Rows(table) => return read_table(connection, table),
        Look::Pages => {
            json_is_read_elsewhere(connection)?;
            let mut statement = connection.prepare("PRAGMA integrity_check(20)").map_err(|error| explain(path, error))?;
            let lines = statement.query_map([], |row| row.get(0)).and_then(Iterator::collect::<Result<Vec<String>, _>>);
            lines.map_err(|error| explain(path, error))?.into_iter().filter(|line| line != "ok").collect()
        }
        Look::References => {
            let mut statement = connection.prepare("PRAGMA foreign_key_check").map_err(|error| explain(path, error))?;
            let dangling = statement.query_map([], |row| {
                let (table, row, missing): (String, Option<i64>, String) = (row.get(0)?, row.get(1)?, row.get(2)?);
                Ok(format!("{table} row {row:?} refers to a missing {missing}"))
            });
            dangling.and_then(Iterator::collect::<Result<_, _>>).map_err(|error| explain(path, error))?
        }
    };
    if found.is_empty() { Ok(()) } else { Err(StoreError::Corrupt { path: path.to_owned(), why: found.join("; ") }) }
}
