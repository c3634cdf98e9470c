//! Who works in which round with which knife, for the wall.

use super::input::PaperInput;
use super::page::{PaperPage, PaperSize};
use super::sheet::{Sheet, columns};
use crate::views::{RotationCell, RotationRow, RotationView, WaitingWith};

/// Rounds beside each other on a page.
const BESIDE: usize = 8;

pub(super) fn rotation_page(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let view = input.rotation;
    let mut sheet = Sheet::new(size, &format!("Rotation: {}", view.title), &input.foot());
    for words in view.blocked.iter().chain(&view.summary) {
        sheet.text(&words.to_string());
    }
    if view.rounds.is_empty() {
        sheet.text("There is no round to print.");
        return sheet.finish();
    }
    let letters = letters(view);
    for (letter, title) in &letters {
        sheet.bullet(&format!("{letter}"), title);
    }
    sheet.small("A figure is the number of the knife; in small letters what to do while waiting: prep, dry drill, wash.");
    for first in (0..view.rounds.len()).step_by(BESIDE) {
        rounds(&mut sheet, input, first, &letters);
    }
    for left in &view.left_out {
        sheet.bullet("Without a turn:", &left.words.to_string());
    }
    sheet.finish()
}

/// A letter for each exercise.
fn letters(view: &RotationView) -> Vec<(char, String)> {
    ('A'..='Z').zip(view.exercises.iter().map(|exercise| exercise.title.clone())).collect()
}

fn rounds(sheet: &mut Sheet, input: &PaperInput<'_>, first: usize, letters: &[(char, String)]) {
    let view = input.rotation;
    let shown: Vec<_> = view.rounds.iter().skip(first).take(BESIDE).collect();
    let wide = sheet.right - sheet.left - 46.0;
    let mut widths = vec![(9.0, true), (37.0, false)];
    widths.extend(shown.iter().map(|_| (wide / BESIDE.min(view.rounds.len()) as f64, false)));
    let heads: Vec<String> = shown.iter().map(|round| format!("{} · {}", round.number, input.at(round.starts))).collect();
    let mut head = vec!["No.", "Who"];
    head.extend(heads.iter().map(String::as_str));
    let rows: Vec<Vec<String>> = view.rows.iter().map(|row| cells(view, row, first, letters)).collect();
    sheet.table(&columns(&widths), &head, &rows);
}

fn cells(view: &RotationView, row: &RotationRow, first: usize, letters: &[(char, String)]) -> Vec<String> {
    let mut cells = vec![row.station.to_string(), row.name.clone()];
    if row.absent {
        cells.push("away".to_owned());
        return cells;
    }
    cells.extend(row.cells.iter().skip(first).take(BESIDE).map(|cell| {
        match cell {
            RotationCell::Work(turn) => {
                let exercise = view.exercises.iter().position(|exercise| exercise.id == turn.exercise_id);
                let letter = exercise.and_then(|index| letters.get(index)).map_or('?', |(letter, _)| *letter);
                let knife = view.knives.iter().find(|knife| knife.id == turn.knife_id);
                format!("{letter} {}", knife.map_or("", |knife| &knife.number))
            }
            RotationCell::Wait { with, .. } => match with {
                WaitingWith::ComesLater => "later",
                WaitingWith::Preparing => "prep",
                WaitingWith::DryDrill => "dry drill",
                WaitingWith::WashingUp => "wash",
            }
            .to_owned(),
        }
    }));
    cells
}
