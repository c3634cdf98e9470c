//! The rack.

use notch_core::Problem;
use notch_core::records::{Knife, KnifeFields};
use rusqlite::{OptionalExtension, Row, named_params};

use crate::columns::{degrees, length, optional_word, to_optional_word, to_word, word};
use crate::open::{fresh, unless_taken};
use crate::{Reader, StoreError, Writer};

pub(crate) fn knife(row: &Row<'_>) -> rusqlite::Result<Knife> {
    Ok(Knife {
        id: row.get("id")?,
        version: row.get("version")?,
        archived: row.get("archived")?,
        fields: KnifeFields {
            number: row.get("number")?,
            knife_type: row.get("knife_type")?,
            length: length(row, "length")?,
            heel_height: length(row, "heel_height")?,
            hand: optional_word(row, "hand")?,
            edge_state: word(row, "edge_state")?,
            note: row.get("note")?,
            name: row.get("name")?,
            edge_angle: degrees(row, "edge_angle")?,
            bolster: word(row, "bolster")?,
            tang: word(row, "tang")?,
            hollowed: row.get("hollowed")?,
            handle: row.get("handle")?,
            cost: row.get("cost")?,
            stored: row.get("stored")?,
        },
    })
}

impl Reader<'_> {
    /// Knives on the rack: by type, then length, then number as a person counts.
    ///
    /// # Errors
    /// What the database says.
    pub fn knives(&self) -> Result<Vec<Knife>, StoreError> {
        let mut statement = self.tx.prepare_cached(
            "SELECT * FROM knife WHERE archived = 0 ORDER BY knife_type, length DESC, CAST(number AS INTEGER), number",
        )?;
        Ok(statement.query_map([], knife)?.collect::<Result<_, _>>()?)
    }

    /// One knife, also one that was taken off the rack.
    ///
    /// # Errors
    /// [`StoreError::NotFound`].
    pub fn knife(&self, id: i64) -> Result<Knife, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM knife WHERE id = ?1")?;
        statement.query_row([id], knife).optional()?.ok_or(StoreError::NotFound { what: "knife", id })
    }
}

fn number_taken(number: &str) -> StoreError {
    let problem = Problem::new("/number", "Number", number, "is already on the rack", "a number that no other knife has");
    StoreError::Refused(vec![problem])
}

impl Reader<'_> {
    /// Numbers that are taken on the rack.
    ///
    /// # Errors
    /// What the database says.
    pub fn knife_numbers(&self) -> Result<std::collections::BTreeSet<String>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT number FROM knife WHERE archived = 0")?;
        Ok(statement.query_map([], |row| row.get(0))?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Puts a knife on the rack.
    ///
    /// # Errors
    /// [`StoreError::Refused`] for a number that is taken.
    pub fn add_knife(&self, fields: &KnifeFields) -> Result<Knife, StoreError> {
        self.insert_knife(fields, false)
    }

    /// Keeps a knife, on the rack or beside it.
    pub(crate) fn insert_knife(&self, fields: &KnifeFields, archived: bool) -> Result<Knife, StoreError> {
        let done = self.tx.execute(
            "INSERT INTO knife (archived, number, knife_type, length, heel_height, hand, edge_state, note, name, edge_angle, bolster, tang, hollowed, handle, cost, stored)
             VALUES (:archived, :number, :knife_type, :length, :heel_height, :hand, :edge_state, :note, :name, :edge_angle, :bolster, :tang, :hollowed, :handle, :cost, :stored)",
            named_params! {
                ":archived": archived,
                ":number": fields.number.trim(),
                ":knife_type": fields.knife_type,
                ":length": fields.length.get(),
                ":heel_height": fields.heel_height.get(),
                ":hand": to_optional_word(fields.hand.as_ref())?,
                ":edge_state": to_word(&fields.edge_state)?,
                ":note": fields.note.trim(),
                ":name": fields.name.trim(),
                ":edge_angle": fields.edge_angle.map(f64::from),
                ":bolster": to_word(&fields.bolster)?,
                ":tang": to_word(&fields.tang)?,
                ":hollowed": fields.hollowed,
                ":handle": fields.handle.trim(),
                ":cost": fields.cost,
                ":stored": fields.stored.trim(),
            },
        );
        unless_taken(done, || number_taken(&fields.number))?;
        self.knife(self.tx.last_insert_rowid())
    }

    /// Changes a knife.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Archived`], [`StoreError::Stale`], a taken number.
    pub fn change_knife(&self, id: i64, version: i64, fields: &KnifeFields) -> Result<Knife, StoreError> {
        let kept = self.knife(id)?;
        if kept.archived {
            return Err(StoreError::Archived { what: "knife", id });
        }
        fresh("knife", version, kept.version)?;
        let done = self.tx.execute(
            "UPDATE knife SET version = version + 1, number = :number, knife_type = :knife_type, length = :length,
                    heel_height = :heel_height, hand = :hand, edge_state = :edge_state, note = :note, name = :name, edge_angle = :edge_angle,
                    bolster = :bolster, tang = :tang, hollowed = :hollowed, handle = :handle, cost = :cost, stored = :stored
             WHERE id = :id",
            named_params! {
                ":id": id,
                ":number": fields.number.trim(),
                ":knife_type": fields.knife_type,
                ":length": fields.length.get(),
                ":heel_height": fields.heel_height.get(),
                ":hand": to_optional_word(fields.hand.as_ref())?,
                ":edge_state": to_word(&fields.edge_state)?,
                ":note": fields.note.trim(),
                ":name": fields.name.trim(),
                ":edge_angle": fields.edge_angle.map(f64::from),
                ":bolster": to_word(&fields.bolster)?,
                ":tang": to_word(&fields.tang)?,
                ":hollowed": fields.hollowed,
                ":handle": fields.handle.trim(),
                ":cost": fields.cost,
                ":stored": fields.stored.trim(),
            },
        );
        unless_taken(done, || number_taken(&fields.number))?;
        self.knife(id)
    }

    /// Takes a knife off the rack, or puts it back. The history stays.
    ///
    /// # Errors
    /// [`StoreError::NotFound`], [`StoreError::Stale`]; a number that was taken meanwhile.
    pub fn archive_knife(&self, id: i64, version: i64, archived: bool) -> Result<Knife, StoreError> {
        let kept = self.knife(id)?;
        fresh("knife", version, kept.version)?;
        let done = self.tx.execute(
            "UPDATE knife SET version = version + 1, archived = :archived WHERE id = :id",
            named_params! { ":id": id, ":archived": archived },
        );
        unless_taken(done, || number_taken(&kept.fields.number))?;
        self.knife(id)
    }
}
