//! Between columns and the core's types.

use rusqlite::types::Type;
use rusqlite::{Row, RowIndex};
use serde::Serialize;
use serde::de::value::StrDeserializer;
use serde::de::{DeserializeOwned, IntoDeserializer};

use crate::error::StoreError;
use notch_core::units::{Degrees, Millimetres};

/// Wraps what the core said of a kept value, so that it can travel as a database error.
fn unreadable(index: usize, kind: Type, error: impl std::error::Error + Send + Sync + 'static) -> rusqlite::Error {
    rusqlite::Error::FromSqlConversionFailure(index, kind, Box::new(error))
}

/// A plain word of an enumeration, such as `adult`.
pub(crate) fn word<T: DeserializeOwned>(row: &Row<'_>, column: &str) -> rusqlite::Result<T> {
    let index = column.idx(row.as_ref())?;
    let text = row.get_ref(index)?.as_str().map_err(|error| unreadable(index, Type::Text, error))?;
    let word: StrDeserializer<'_, serde_json::Error> = text.into_deserializer();
    T::deserialize(word).map_err(|error| unreadable(index, Type::Text, error))
}

/// A plain word that may be missing.
pub(crate) fn optional_word<T: DeserializeOwned>(row: &Row<'_>, column: &str) -> rusqlite::Result<Option<T>> {
    match row.get::<_, Option<String>>(column)? {
        None => Ok(None),
        Some(_) => word(row, column).map(Some),
    }
}

/// A value kept as JSON.
pub(crate) fn json<T: DeserializeOwned>(row: &Row<'_>, column: &str) -> rusqlite::Result<T> {
    let index = column.idx(row.as_ref())?;
    let text = row.get_ref(index)?.as_str().map_err(|error| unreadable(index, Type::Text, error))?;
    serde_json::from_str(text).map_err(|error| unreadable(index, Type::Text, error))
}

/// A value kept as JSON, where there is one.
pub(crate) fn optional_json<T: DeserializeOwned>(row: &Row<'_>, column: &str) -> rusqlite::Result<Option<T>> {
    match row.get::<_, Option<String>>(column)? {
        None => Ok(None),
        Some(_) => json(row, column).map(Some),
    }
}

/// A length in millimetres.
pub(crate) fn length(row: &Row<'_>, column: &str) -> rusqlite::Result<Millimetres> {
    let index = column.idx(row.as_ref())?;
    Millimetres::new(row.get(column)?).map_err(|error| unreadable(index, Type::Real, error))
}

/// An angle that may be missing.
pub(crate) fn degrees(row: &Row<'_>, column: &str) -> rusqlite::Result<Option<Degrees>> {
    let index = column.idx(row.as_ref())?;
    let number: Option<f64> = row.get(column)?;
    number.map(Degrees::new).transpose().map_err(|error| unreadable(index, Type::Real, error))
}

/// A length that may be missing.
pub(crate) fn optional_length(row: &Row<'_>, column: &str) -> rusqlite::Result<Option<Millimetres>> {
    match row.get::<_, Option<f64>>(column)? {
        None => Ok(None),
        Some(_) => length(row, column).map(Some),
    }
}

/// The word of an enumeration, for a column.
pub(crate) fn to_word(value: &impl Serialize) -> Result<String, StoreError> {
    match serde_json::to_value(value)? {
        serde_json::Value::String(word) => Ok(word),
        other => Ok(other.to_string()),
    }
}

/// The word of an enumeration that may be missing.
pub(crate) fn to_optional_word<T: Serialize>(value: Option<&T>) -> Result<Option<String>, StoreError> {
    value.map(to_word).transpose()
}

/// JSON for a column.
pub(crate) fn to_json(value: &impl Serialize) -> Result<String, StoreError> {
    Ok(serde_json::to_string(value)?)
}
