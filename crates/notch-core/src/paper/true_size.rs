//! What is drawn at true size: pieces of a cut, and a bar to check the printer by.

use super::page::{Drawn, PaperFace, PaperInk, PaperRole};
use super::sheet::{SMALL, Sheet};
use super::type_setting::in_type;
use crate::catalogue::{Target, TargetSize};

/// Length of the check bar.
pub const CHECK_BAR: f64 = 50.0;

const THIN: f64 = 0.2;

/// An area without a line: its sides are the true size, whoever reads them.
const fn filled(x: f64, y: f64, width: f64, height: f64, ink: PaperInk) -> Drawn {
    Drawn::Box { x, y, width, height, fill: Some(ink), line: None }
}

/// The check bar, each ten millimetres in turn black and white.
pub(super) fn check_bar(sheet: &mut Sheet) {
    const HEIGHT: f64 = 2.4;
    let (x, y) = (sheet.left, sheet.y);
    let tens = (CHECK_BAR / 10.0).round() as u32;
    let ten = |index: u32| Drawn::Box {
        x: x + f64::from(index) * 10.0,
        y,
        width: 10.0,
        height: HEIGHT,
        fill: Some(PaperInk::Black),
        line: None,
    };
    let mut marks = vec![filled(x, y, CHECK_BAR, HEIGHT, PaperInk::White)];
    marks.extend((0..tens).filter(|index| index.is_multiple_of(2)).map(ten));
    marks.push(Drawn::Box { x, y, width: CHECK_BAR, height: HEIGHT, fill: None, line: Some(THIN) });
    sheet.add(PaperRole::Figure { shows: "A bar of exactly 50 mm, to check the printer by".to_owned() }, marks);
    let words = "50 mm: lay a rule on it; if it is not, print at 100 %.";
    let y = y + HEIGHT - 0.2;
    sheet.add(
        PaperRole::Text,
        vec![Drawn::Words {
            x: x + CHECK_BAR + 3.0,
            y,
            size: SMALL,
            face: PaperFace::Plain,
            ink: PaperInk::Black,
            text: in_type(words),
        }],
    );
    sheet.y += HEIGHT + 3.5;
}

/// The pieces of a cut at true size: their end, and their side where they have a length; how high that is.
pub(super) fn pieces(sheet: &mut Sheet, title: &str, target: &Target) {
    let size = |side: Option<TargetSize>| side.map(TargetSize::nominal).map(crate::units::Millimetres::get);
    let (thickness, width, length) = (size(target.thickness), size(target.width), size(target.length));
    let Some(thickness) = thickness else { return };
    let (x, y) = (sheet.left, sheet.y);
    // The area is the true size; the line that shows it lies inside.
    let piece = |x: f64, width: f64| {
        let outline = Drawn::Box { x, y, width, height: thickness, fill: None, line: Some(THIN) };
        [filled(x, y, width, thickness, PaperInk::Tint), outline]
    };
    let mut marks = Vec::new();
    let mut end = x;
    // Of what has no width or length of its own the thickness is drawn, as wide as a slice.
    for side in [width, length].into_iter().flatten().filter(|side| *side > 0.0) {
        marks.extend(piece(end, side));
        end += side + 5.0;
    }
    if marks.is_empty() {
        marks.extend(piece(x, 30.0));
        end = x + 35.0;
    }
    let said = target.said().to_string();
    sheet.add(PaperRole::Figure { shows: format!("{title} at true size, {said}") }, marks);
    let words = Drawn::Words {
        x: end,
        y: y + thickness.clamp(SMALL, 20.0),
        size: 4.2,
        face: PaperFace::Figures,
        ink: PaperInk::Black,
        text: in_type(&said),
    };
    sheet.add(PaperRole::Text, vec![words]);
    sheet.y += thickness.max(4.6) + 3.0;
}
