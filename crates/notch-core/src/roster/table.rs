//! The class list as a table.

use csv::WriterBuilder;

use crate::records::StudentFields;
use crate::sheet::harmless;

/// Columns in the order they are written; read in any order, and only the name is needed.
pub const ROSTER_COLUMNS: [&str; 7] = ["station", "name", "hand", "hand size", "clearance", "allergies", "notes"];

/// Writes the students of a course as a table that can be pasted again.
pub fn write_roster<'a>(students: impl Iterator<Item = &'a StudentFields>) -> String {
    let mut writer = WriterBuilder::new().from_writer(Vec::new());
    let mut rows: Vec<Vec<String>> = vec![ROSTER_COLUMNS.map(str::to_owned).to_vec()];
    rows.extend(students.map(|student| {
        vec![
            student.station.to_string(),
            harmless(&student.name),
            student.hand.name().to_owned(),
            student.hand_size.name().to_owned(),
            format!("{} mm", student.clearance.get()),
            harmless(&student.allergies.join("; ")),
            harmless(&student.notes),
        ]
    }));
    for row in rows {
        // Writing into memory does not fail.
        if writer.write_record(&row).is_err() {
            break;
        }
    }
    writer.into_inner().ok().and_then(|bytes| String::from_utf8(bytes).ok()).unwrap_or_default()
}
