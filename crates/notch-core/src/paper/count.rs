//! The count sheet: each knife out and in again, by hand.

use super::input::PaperInput;
use super::page::{Drawn, PaperFace, PaperInk, PaperPage, PaperRole, PaperSize};
use super::sheet::{PLAIN, Sheet};
use crate::words::capital;

const ROW: f64 = 7.0;
const TICK: f64 = 4.6;

pub(super) fn count_sheet(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let mut sheet = Sheet::new(size, "Knives out and in", &input.foot());
    sheet.strong(&format!("{} knives go out. A class does not end with a knife missing.", input.numbers.len()));
    sheet.text("Tick each as it is handed out and as it is back; dull or damaged ones are noted beside it.");
    head(&mut sheet);
    for number in input.numbers {
        if sheet.y + ROW > sheet.bottom() - 14.0 {
            sheet.turn();
            head(&mut sheet);
        }
        let knife = input.knives.iter().find(|knife| knife.fields.number == *number && !knife.archived);
        let kind = knife.and_then(|knife| input.catalogue.knife(&knife.fields.knife_type));
        let name = kind.map_or_else(String::new, |kind| {
            knife.map_or_else(String::new, |knife| format!("{} {:.0}", kind.name, knife.fields.length.get()))
        });
        row(&mut sheet, number, &capital(&name));
    }
    sheet.y += 6.0;
    sheet.text("Counted out by ______________________   Counted in by ______________________   At ________");
    sheet.finish()
}

fn words(x: f64, y: f64, face: PaperFace, text: &str) -> Drawn {
    Drawn::Words { x, y, size: PLAIN, face, ink: PaperInk::Black, text: super::type_setting::in_type(text) }
}

/// Where the columns begin: number, knife, out, in, note.
fn places(sheet: &Sheet) -> [f64; 5] {
    let left = sheet.left;
    [left, left + 20.0, left + 84.0, left + 102.0, left + 120.0]
}

fn head(sheet: &mut Sheet) {
    let y = sheet.y + PLAIN;
    let marks = places(sheet).into_iter().zip(["No.", "Knife", "Out", "In", "Note"]);
    let marks = marks.map(|(x, text)| words(x, y, PaperFace::Bold, text)).collect();
    sheet.add(PaperRole::Text, marks);
    sheet.y += PLAIN + 2.0;
    sheet.rule();
}

fn row(sheet: &mut Sheet, number: &str, name: &str) {
    let (top, [no, what, out, back, note]) = (sheet.y, places(sheet));
    let base = top + (ROW + PLAIN * 0.7) / 2.0;
    sheet.add(PaperRole::Text, vec![words(no, base, PaperFace::Figures, number), words(what, base, PaperFace::Plain, name)]);
    let tick = |x: f64| Drawn::Box { x, y: top + (ROW - TICK) / 2.0, width: TICK, height: TICK, fill: None, line: Some(0.3) };
    let line = |x1: f64, x2: f64, width: f64| Drawn::Line { x1, y1: top + ROW, x2, y2: top + ROW, width };
    sheet.add(PaperRole::Decoration, vec![tick(out), tick(back), line(note, sheet.right, 0.2), line(no, note, 0.1)]);
    sheet.y += ROW;
}
