//! The rotation as comma-separated text: one line a turn.

use super::RotationView;
use crate::sheet::harmless;

/// Columns of the table.
const COLUMNS: [&str; 8] = ["round", "from minute", "to minute", "station", "student", "exercise", "knife no.", "knife"];

/// Writes the turns as comma-separated text, by round and station.
pub fn rotation_table(view: &RotationView) -> String {
    let mut writer = csv::Writer::from_writer(Vec::new());
    // Writing into memory cannot fail.
    let _ = writer.write_record(COLUMNS);
    for turn in &view.turns {
        let round = view.rounds.iter().find(|round| round.number == turn.round);
        let row = view.rows.iter().find(|row| row.student_id == turn.student_id);
        let exercise = view.exercises.iter().find(|exercise| exercise.id == turn.exercise_id);
        let knife = view.knives.iter().find(|knife| knife.id == turn.knife_id);
        let _ = writer.write_record([
            turn.round.to_string(),
            round.map_or_else(String::new, |round| round.starts.to_string()),
            round.map_or_else(String::new, |round| round.ends.to_string()),
            row.map_or_else(String::new, |row| row.station.to_string()),
            harmless(row.map_or("", |row| &row.name)),
            harmless(exercise.map_or("", |exercise| &exercise.title)),
            harmless(knife.map_or("", |knife| &knife.number)),
            harmless(knife.map_or("", |knife| &knife.name)),
        ]);
    }
    String::from_utf8(writer.into_inner().unwrap_or_default()).unwrap_or_default()
}
