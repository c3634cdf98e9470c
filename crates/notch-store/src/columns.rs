//! Between columns and the core's types.

use rusqlite::types::{FromSql, FromSqlError, Type};
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

/// The text of a column, and where the column stands.
fn text<'r>(row: &'r Row<'_>, column: impl RowIndex) -> rusqlite::Result<(usize, Option<&'r str>)> {
    let index = column.idx(row.as_ref())?;
    let text = row.get_ref(index)?.as_str_or_null().map_err(|error| unreadable(index, Type::Text, error))?;
    Ok((index, text))
}

/// For a column that holds nothing where something is needed.
fn missing(index: usize, kind: Type) -> rusqlite::Error {
    unreadable(index, kind, FromSqlError::InvalidType)
}

fn as_word<T: DeserializeOwned>(index: usize, text: &str) -> rusqlite::Result<T> {
    let word: StrDeserializer<'_, serde_json::Error> = text.into_deserializer();
    T::deserialize(word).map_err(|error| unreadable(index, Type::Text, error))
}

fn as_json<T: DeserializeOwned>(index: usize, text: &str) -> rusqlite::Result<T> {
    serde_json::from_str(text).map_err(|error| unreadable(index, Type::Text, error))
}

/// A plain word of an enumeration, such as `adult`.
pub(crate) fn word<T: DeserializeOwned>(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<T> {
    let (index, text) = text(row, column)?;
    as_word(index, text.ok_or_else(|| missing(index, Type::Text))?)
}

/// A plain word that may be missing.
pub(crate) fn optional_word<T: DeserializeOwned>(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<Option<T>> {
    let (index, text) = text(row, column)?;
    text.map(|text| as_word(index, text)).transpose()
}

/// A value kept as JSON.
pub(crate) fn json<T: DeserializeOwned>(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<T> {
    let (index, text) = text(row, column)?;
    as_json(index, text.ok_or_else(|| missing(index, Type::Text))?)
}

/// A value kept as JSON, where there is one.
pub(crate) fn optional_json<T: DeserializeOwned>(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<Option<T>> {
    let (index, text) = text(row, column)?;
    text.map(|text| as_json(index, text)).transpose()
}

/// A length in millimetres.
pub(crate) fn length(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<Millimetres> {
    let index = column.idx(row.as_ref())?;
    Millimetres::new(row.get(index)?).map_err(|error| unreadable(index, Type::Real, error))
}

/// A length that may be missing.
pub(crate) fn optional_length(row: &Row<'_>, column: impl RowIndex) -> rusqlite::Result<Option<Millimetres>> {
    let index = column.idx(row.as_ref())?;
    let number: Option<f64> = row.get(index)?;
    number.map(Millimetres::new).transpose().map_err(|error| unreadable(index, Type::Real, error))
}

/// An angle that may be missing.
pub(crate) fn degrees(row: &Row<'_>, column: &str) -> rusqlite::Result<Option<Degrees>> {
    let index = column.idx(row.as_ref())?;
    let number: Option<f64> = row.get(index)?;
    number.map(Degrees::new).transpose().map_err(|error| unreadable(index, Type::Real, error))
}

/// The columns of a row, read in the order in which they were asked for. To look each up by its name takes longer than
/// to read it, and of some a school has millions.
pub(crate) struct InOrder<'r, 's> {
    row: &'r Row<'s>,
    next: usize,
}

impl<'r, 's> InOrder<'r, 's> {
    pub fn of(row: &'r Row<'s>) -> InOrder<'r, 's> {
        InOrder { row, next: 0 }
    }

    fn place(&mut self) -> usize {
        let place = self.next;
        self.next += 1;
        place
    }

    pub fn get<T: FromSql>(&mut self) -> rusqlite::Result<T> {
        self.row.get(self.place())
    }

    pub fn word<T: DeserializeOwned>(&mut self) -> rusqlite::Result<T> {
        word(self.row, self.place())
    }

    pub fn optional_word<T: DeserializeOwned>(&mut self) -> rusqlite::Result<Option<T>> {
        optional_word(self.row, self.place())
    }

    pub fn json<T: DeserializeOwned>(&mut self) -> rusqlite::Result<T> {
        json(self.row, self.place())
    }

    pub fn optional_json<T: DeserializeOwned>(&mut self) -> rusqlite::Result<Option<T>> {
        optional_json(self.row, self.place())
    }

    pub fn length(&mut self) -> rusqlite::Result<Millimetres> {
        length(self.row, self.place())
    }

    pub fn optional_length(&mut self) -> rusqlite::Result<Option<Millimetres>> {
        optional_length(self.row, self.place())
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
