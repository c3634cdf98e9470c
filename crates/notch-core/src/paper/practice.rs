//! A card for each student to take home: what comes next, a short drill a day for two weeks, and how to stay safe.

use super::input::PaperInput;
use super::page::{Drawn, PaperFace, PaperInk, PaperPage, PaperRole, PaperSize};
use super::sheet::{SMALL, Sheet};
use super::true_size::{check_bar, pieces};
use crate::people::AgeBand;
use crate::progress::NextKind;
use crate::views::YardRow;

/// Days of a card.
const DAYS: u32 = 14;

pub(super) fn practice_cards(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let mut rows: Vec<&YardRow> = input.yard.iter().collect();
    rows.sort_by_key(|row| row.student.fields.station);
    if rows.is_empty() {
        let mut sheet = Sheet::new(size, "Home practice", &input.foot());
        sheet.text("The course has no students yet: there is no card to print.");
        return sheet.finish();
    }
    rows.into_iter().flat_map(|row| card(input, size, row)).collect()
}

/// The drill for a kind of step: without food first, then with it.
const fn drill(kind: NextKind) -> (&'static str, &'static str) {
    match kind {
        NextKind::Start | NextKind::Wait | NextKind::SafeFirst => (
            "three minutes on an empty board, with a butter knife: lay the guide hand as a claw, walk it back, the knuckles lead.",
            "one soft food, sliced slowly; stop as soon as a fingertip shows.",
        ),
        NextKind::Repeat | NextKind::EasierCut => (
            "two minutes on an empty board, with a butter knife: the motion, ten times as slow as you can, then ten times at your pace.",
            "ten pieces; lay them on the drawing above and put aside those that are off.",
        ),
        NextKind::HarderCut => (
            "two minutes on an empty board, with a butter knife: the motion of the new cut.",
            "one food cut one size larger than the drawing, and the last ten pieces at its size.",
        ),
        NextKind::Pace => (
            "two minutes on an empty board, with a butter knife: even strokes to a slow count, a little quicker each day.",
            "twenty pieces by the same count; quicker only while they stay even.",
        ),
        NextKind::LongerBlade | NextKind::SpecialClearance => (
            "three minutes on an empty board, with a butter knife: grip at the blade, wrist loose, the tip stays down.",
            "the longer knife waits for the class, where somebody watches.",
        ),
        NextKind::Hold | NextKind::Complete => (
            "one minute on an empty board, with a butter knife: grip, claw, motion.",
            "ten pieces of the cut you like least; lay them on the drawing above.",
        ),
    }
}

fn card(input: &PaperInput<'_>, size: PaperSize, row: &YardRow) -> Vec<PaperPage> {
    let next = &row.standing.next;
    let mut sheet = Sheet::new(size, &format!("Home practice: {}", row.student.fields.name), &input.foot()).large();
    sheet.strong(&next.title.to_string());
    sheet.text(&next.reason.to_string());
    let cut = next.cut.as_deref().and_then(|id| input.catalogue.cut(id));
    let target = cut.and_then(|cut| input.catalogue.teaches(&input.plan.course.fields.standard_set, &cut.id));
    if let (Some(cut), Some(target)) = (cut, target) {
        sheet.y += 1.0;
        pieces(&mut sheet, &cut.name, &target);
        check_bar(&mut sheet);
    }
    sheet.heading("Five minutes a day, for two weeks");
    let (dry, food) = drill(next.kind);
    sheet.bullet("Without food:", dry);
    sheet.bullet("With food:", food);
    days(&mut sheet);
    sheet.heading("Before you begin");
    if input.plan.course.fields.age_band == AgeBand::Child {
        sheet.bullet("With a grown-up beside you,", "each time, who has read this card.");
    }
    sheet.bullet("The board lies still", "on a damp cloth; nothing else is on it, and nobody is near.");
    sheet.bullet("The knife is sharp and yours to use;", "if it slips or needs force, leave it and drill without food.");
    sheet.bullet("Fingertips behind the knuckles;", "the last bit is laid flat or left.");
    sheet.bullet("A falling knife is let fall.", "Step back; pick it up when it lies.");
    sheet.small("Home practice is for the hand: it cuts no notch. What your school or your home says about knives comes first.");
    sheet.finish()
}

/// A box for each day, to tick.
fn days(sheet: &mut Sheet) {
    const SIDE: f64 = 9.0;
    sheet.room(2.0 * (SIDE + 8.0));
    let half = DAYS / 2;
    for week in 0..2 {
        let (left, top) = (sheet.left, sheet.y);
        let x = |day: u32| left + f64::from(day) * (SIDE + 4.0);
        let boxes = (0..half).map(|day| Drawn::Box { x: x(day), y: top, width: SIDE, height: SIDE, fill: None, line: Some(0.3) });
        let numbers = (0..half).map(|day| Drawn::Words {
            x: x(day) + 1.0,
            y: top + SMALL + 0.4,
            size: SMALL,
            face: PaperFace::Figures,
            ink: PaperInk::Dark,
            text: (week * half + day + 1).to_string(),
        });
        let boxes: Vec<Drawn> = boxes.collect();
        let numbers: Vec<Drawn> = numbers.collect();
        sheet.add(PaperRole::Decoration, boxes);
        sheet.add(PaperRole::Text, numbers);
        sheet.y += SIDE + 3.0;
    }
}
