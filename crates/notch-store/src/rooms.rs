//! Where the stations of a course stand.

use notch_core::records::StationPlace;
use rusqlite::{Row, params};

use crate::{Reader, StoreError, Writer};

pub(crate) fn place(row: &Row<'_>) -> rusqlite::Result<StationPlace> {
    Ok(StationPlace { station: row.get("station")?, x: row.get("x")?, y: row.get("y")? })
}

impl Reader<'_> {
    /// Where the stations of a course stand; those that nobody placed are not among them.
    ///
    /// # Errors
    /// What the database says.
    pub fn room(&self, course_id: i64) -> Result<Vec<StationPlace>, StoreError> {
        let mut statement = self.tx.prepare_cached("SELECT * FROM station_place WHERE course_id = ?1 ORDER BY station")?;
        Ok(statement.query_map([course_id], place)?.collect::<Result<_, _>>()?)
    }
}

impl Writer<'_> {
    /// Places the stations of a course anew; none of the earlier places stays.
    ///
    /// # Errors
    /// [`StoreError::NotFound`] for the course.
    pub fn place_stations(&self, course_id: i64, places: &[StationPlace]) -> Result<(), StoreError> {
        self.course(course_id)?;
        self.tx.execute("DELETE FROM station_place WHERE course_id = ?1", [course_id])?;
        let sql = "INSERT INTO station_place (course_id, station, x, y) VALUES (?1, ?2, ?3, ?4)";
        for StationPlace { station, x, y } in places {
            self.tx.execute(sql, params![course_id, station, x, y])?;
        }
        Ok(())
    }
}
