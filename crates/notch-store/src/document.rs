//! The whole school as one JSON document: the open format of export and import.

use std::collections::BTreeMap;

use rusqlite::types::{Value as Sql, ValueRef};
use rusqlite::{Connection, Row, params_from_iter};
use serde::{Deserialize, Serialize};
use serde_json::Value;

use crate::error::StoreError;
use crate::migrations::{MIGRATIONS, WITH_ZONES, schema_version};
use crate::open::{Store, machine_zone, set_zones};
use crate::{
    attempts, briefings, care, count, course_plan, courses, demonstrations, knives, lessons, marks, own, rooms, rotations, runs,
    staff, students,
};

/// Name of the format, in every document.
pub const FORMAT: &str = "yard-notch-school";

/// Tables in an order in which each refers only to earlier ones. Settings, passphrases, invitations and sessions
/// stay home.
pub(crate) const TABLES: [&str; 26] = [
    "own_value",
    "course",
    "person",
    "student",
    "knife",
    "care_event",
    "lesson",
    "exercise",
    "segment",
    "attempt",
    "mark",
    "sample",
    "piece",
    "incident",
    "briefing",
    "briefed",
    "station_place",
    "check_tick",
    "knife_out",
    "closing",
    "demonstration",
    "goal",
    "rotation",
    "run_step",
    "staff",
    "change_made",
];

/// Tables of documents of earlier schemas, with the last schema that had them.
const GONE: [(&str, i64); 1] = [("attempt_fault", 17)];

/// Everything a school keeps, table by table, row by row, by column name.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
pub struct Document {
    /// Always [`FORMAT`].
    pub format: String,
    /// Schema that the rows have.
    pub schema: i64,
    /// Rows by table.
    pub tables: BTreeMap<String, Vec<BTreeMap<String, Value>>>,
}

impl Store {
    /// The whole school. Settings, passphrases, invitations and sessions are left out.
    ///
    /// # Errors
    /// What the database says.
    pub fn export(&self) -> Result<Document, StoreError> {
        self.read(|reader| everything(&reader.tx))
    }

    /// Takes a whole school into an empty database, all of it or nothing.
    ///
    /// # Errors
    /// [`StoreError::Import`] for a database that is not empty, another format, a newer schema, an
    /// unknown table or column, or a row that breaks a rule of the schema; it names table and row.
    pub fn import(&self, document: &Document) -> Result<(), StoreError> {
        let wrong = |why: String| StoreError::Import(why);
        if document.format != FORMAT {
            return Err(wrong(format!("its format is “{}”; allowed: “{FORMAT}”", document.format)));
        }
        if !(1..=schema_version()).contains(&document.schema) {
            return Err(wrong(format!("its schema is {}; this program reads 1 to {}", document.schema, schema_version())));
        }
        if let Some(unknown) = document.tables.keys().find(|table| {
            let gone = GONE.iter().any(|(name, last)| name == table && document.schema <= *last);
            !TABLES.contains(&table.as_str()) && !gone
        }) {
            return Err(wrong(format!("there is no table “{unknown}”")));
        }
        let current = if document.schema < schema_version() { Some(brought_up(document)?) } else { None };
        let document = current.as_ref().unwrap_or(document);
        self.write(|writer| {
            for table in TABLES {
                let kept: i64 = writer.tx.query_row(&format!("SELECT count(*) FROM {table}"), [], |row| row.get(0))?;
                if kept > 0 {
                    return Err(wrong(format!(
                        "this data folder already holds {kept} rows of {table}; import into an empty one"
                    )));
                }
            }
            // A value that SQL accepts and the core does not undoes the import too.
            insert_all(&writer.tx, document, true)
        })
    }
}

/// Reads every row of a table once through the core's types.
///
/// # Errors
/// The first row that cannot be read, by table, row and column.
pub(crate) fn read_table(connection: &Connection, table: &'static str) -> Result<(), StoreError> {
    let order = match table {
        "attempt" | "mark" => "id",
        "piece" => "sample_id, position",
        _ => "1, 2",
    };
    let mut statement = connection.prepare(&format!("SELECT {} FROM {table} ORDER BY {order}", read_of(table)))?;
    let mut rows = statement.query([])?;
    let mut number = 0;
    while let Some(row) = rows.next()? {
        number += 1;
        read_row(table, row).map_err(|why| StoreError::Row { table, row: number, why })?;
    }
    Ok(())
}

/// What [`read_row`] reads of a table; what the core reads with a row and stands in another table is left empty.
fn read_of(table: &str) -> &'static str {
    match table {
        "attempt" => attempts::ATTEMPT,
        "mark" => marks::MARK,
        "sample" => attempts::SAMPLE,
        "piece" => attempts::PIECE,
        "staff" => "*, 0 AS signs_in, 0 AS invited",
        _ => "*",
    }
}

/// Reads one row, of which [`read_of`] was asked, through the core's types.
fn read_row(table: &str, row: &Row<'_>) -> Result<(), String> {
    let read = match table {
        "own_value" => own::record(row).map(drop),
        "course" => courses::course(row).map(drop),
        "person" => students::person(row).map(drop),
        "student" => students::participation(row).map(drop),
        "knife" => knives::knife(row).map(drop),
        "care_event" => care::event(row).map(drop),
        "lesson" => lessons::lesson(row).map(drop),
        "exercise" => lessons::exercise(row).map(drop),
        "segment" => lessons::segment(row).map(drop),
        "attempt" => attempts::attempt(row).map(drop),
        "mark" => marks::mark(row).map(drop),
        "sample" => attempts::sample(row).map(drop),
        "piece" => attempts::piece(row).map(drop),
        "incident" => attempts::incident(row).map(drop),
        "briefing" => briefings::briefing(row).map(drop),
        "station_place" => rooms::place(row).map(drop),
        "check_tick" => count::tick(row).map(drop),
        "knife_out" => count::out_and_in(row).map(drop),
        "closing" => count::closing(row).map(drop),
        "goal" => course_plan::goal(row).map(drop),
        "rotation" => rotations::rotation(row).map(drop),
        "run_step" => runs::step(row).map(drop),
        "demonstration" => demonstrations::demonstration(row).map(drop),
        "staff" => staff::member(row).map(drop),
        "change_made" => staff::change(row).map(drop),
        _ => Ok(()),
    };
    read.map_err(|error| match error {
        rusqlite::Error::FromSqlConversionFailure(column, _, why) => {
            format!("{}: {why}", row.as_ref().column_name(column).unwrap_or("a column"))
        }
        error => error.to_string(),
    })
}

/// Every table, at the newest schema.
fn everything(connection: &Connection) -> Result<Document, StoreError> {
    let tables = TABLES.iter().map(|table| Ok(((*table).to_owned(), rows(connection, table)?)));
    Ok(Document { format: FORMAT.to_owned(), schema: schema_version(), tables: tables.collect::<Result<_, StoreError>>()? })
}

/// A document of an earlier schema, taken through the later steps of the schema in a database of its own.
fn brought_up(document: &Document) -> Result<Document, StoreError> {
    let wrong = |why: rusqlite_migration::Error| StoreError::Import(format!("its rows do not fit its schema: {why}"));
    let mut connection = Connection::open_in_memory()?;
    let version = usize::try_from(document.schema).unwrap_or(usize::MAX);
    MIGRATIONS.to_version(&mut connection, version).map_err(wrong)?;
    insert_all(&connection, document, false)?;
    MIGRATIONS.to_latest(&mut connection).map_err(wrong)?;
    if document.schema < WITH_ZONES {
        set_zones(&connection, &machine_zone())?;
    }
    everything(&connection)
}

/// Puts all rows in; those of the newest schema are read, each as it then stands.
fn insert_all(connection: &Connection, document: &Document, newest: bool) -> Result<(), StoreError> {
    for table in TABLES.into_iter().chain(GONE.map(|(table, _)| table)) {
        for (index, row) in document.tables.get(table).into_iter().flatten().enumerate() {
            let named = |why: String| StoreError::Import(format!("{table}, row {}: {why}", index + 1));
            insert(connection, table, row, newest).map_err(named)?;
        }
    }
    Ok(())
}

fn rows(connection: &Connection, table: &str) -> Result<Vec<BTreeMap<String, Value>>, StoreError> {
    let mut statement = connection.prepare(&format!("SELECT * FROM {table} ORDER BY 1, 2"))?;
    let columns: Vec<String> = statement.column_names().iter().map(ToString::to_string).collect();
    let rows = statement.query_map([], |row| {
        columns
            .iter()
            .enumerate()
            .map(|(index, column)| {
                let value = match row.get_ref(index)? {
                    ValueRef::Null => Value::Null,
                    ValueRef::Integer(number) => number.into(),
                    ValueRef::Real(number) => number.into(),
                    ValueRef::Text(text) | ValueRef::Blob(text) => String::from_utf8_lossy(text).into_owned().into(),
                };
                Ok((column.clone(), value))
            })
            .collect()
    })?;
    Ok(rows.collect::<Result<_, _>>()?)
}

fn insert(connection: &Connection, table: &str, row: &BTreeMap<String, Value>, newest: bool) -> Result<(), String> {
    let known: Vec<String> = connection
        .prepare_cached(&format!("SELECT name FROM pragma_table_info('{table}')"))
        .and_then(|mut statement| statement.query_map([], |row| row.get(0))?.collect())
        .map_err(|error| error.to_string())?;
    if let Some(unknown) = row.keys().find(|column| !known.contains(column)) {
        return Err(format!("there is no column “{unknown}”"));
    }
    let columns: Vec<&str> = row.keys().map(String::as_str).collect();
    let places: Vec<String> = (1..=columns.len()).map(|place| format!("?{place}")).collect();
    let sql = format!(
        "INSERT INTO {table} ({}) VALUES ({}) RETURNING {}",
        columns.join(", "),
        places.join(", "),
        if newest { read_of(table) } else { "1" }
    );
    let values = row.iter().map(|(column, value)| sql_value(column, value)).collect::<Result<Vec<Sql>, String>>()?;
    let told = |error: rusqlite::Error| error.to_string();
    let mut statement = connection.prepare_cached(&sql).map_err(told)?;
    let mut stands = statement.query(params_from_iter(values)).map_err(told)?;
    while let Some(row) = stands.next().map_err(told)? {
        if newest {
            read_row(table, row)?;
        }
    }
    Ok(())
}

fn sql_value(column: &str, value: &Value) -> Result<Sql, String> {
    match value {
        Value::Null => Ok(Sql::Null),
        Value::String(text) => Ok(Sql::Text(text.clone())),
        Value::Number(number) => match (number.as_i64(), number.as_f64()) {
            (Some(whole), _) => Ok(Sql::Integer(whole)),
            (None, Some(real)) => Ok(Sql::Real(real)),
            (None, None) => Err(format!("{column}: {number} is out of range")),
        },
        Value::Bool(_) | Value::Array(_) | Value::Object(_) => Err(format!("{column}: only text, numbers and null are allowed")),
    }
}
