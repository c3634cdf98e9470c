//! A card for each exercise: the cut at true size, the knife, how both hands work, three cautions.

use super::input::PaperInput;
use super::page::{Drawn, PaperInk, PaperPage, PaperRole, PaperSize};
use super::sheet::Sheet;
use super::true_size::{check_bar, pieces};
use crate::catalogue::Third;
use crate::drawing::Silhouette;
use crate::text;
use crate::views::{Advice, PlannedExercise};
use crate::words::capital;

/// Cautions on a card: the gravest of the cut, then what holds for every knife.
const CAUTIONS: usize = 3;

/// Widest that a knife is drawn.
const KNIFE: f64 = 150.0;

pub(super) fn station_cards(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let cards = input.plan.exercises.iter().filter_map(|planned| Some((planned, planned.advice.as_ref()?)));
    let found: Vec<PaperPage> = cards.flat_map(|(planned, advice)| card(input, size, planned, advice)).collect();
    if found.is_empty() {
        let mut sheet = Sheet::new(size, "Station cards", &input.foot());
        sheet.text("No exercise is planned yet: there is no card to print.");
        return sheet.finish();
    }
    found
}

fn card(input: &PaperInput<'_>, size: PaperSize, planned: &PlannedExercise, advice: &Advice) -> Vec<PaperPage> {
    let fields = &planned.exercise.fields;
    let (food, cut) = (input.catalogue.food(&fields.food), input.catalogue.cut(&fields.cut));
    let mut sheet = Sheet::new(size, &advice.title, &input.foot()).large();
    if advice.target.thickness.is_some() {
        sheet.strong("At true size");
        sheet.y += 1.0;
        pieces(&mut sheet, &advice.title, &advice.target);
    }
    check_bar(&mut sheet);
    if let Some(tolerance) = input.catalogue.tolerance(&input.plan.course.fields.tolerance)
        && let Some(thickness) = advice.target.thickness
    {
        let around = tolerance.around(thickness.nominal());
        let said = text!["Of the right size within ", around, format!(", by the measure “{}”.", tolerance.name)];
        sheet.text(&said.to_string());
    }
    if let Some((leaves, how)) = food.zip(cut).map(|(food, cut)| cut.told_of(food)) {
        sheet.heading("How");
        sheet.text(how);
        sheet.text(&format!("It leaves {leaves}."));
    }
    hands(&mut sheet, input, advice);
    sheet.heading("Mind");
    let own = advice.cautions.iter().map(|caution| (caution.title.to_string(), caution.text.to_string()));
    let general = input.catalogue.faults.iter().filter(|fault| fault.on_card);
    let general = general.map(|fault| (format!("{}:", capital(&fault.name)), fault.cue.clone()));
    for (title, text) in own.chain(general).take(CAUTIONS) {
        sheet.bullet(&title, &text);
    }
    sheet.heading("Each of you");
    sheet.text(&format!("{}.", capital(&advice.amount.words(food))));
    for other in &advice.others {
        let knife = other.knife.as_deref().unwrap_or("no knife that fits, a dry drill");
        sheet.text(&format!("{}: {knife}.", other.students.join(", ")));
    }
    sheet.finish()
}

fn hands(sheet: &mut Sheet, input: &PaperInput<'_>, advice: &Advice) {
    let Some(setup) = &advice.setup else {
        sheet.strong("There is no knife on the rack to make this cut with.");
        return;
    };
    let handling = &input.catalogue.handling;
    sheet.heading(&setup.knife_name);
    if let Some(silhouette) = &advice.silhouette {
        knife(sheet, silhouette, &setup.knife_name, setup.third);
    }
    let words = |manner: Option<&crate::catalogue::Manner>| manner.map_or_else(String::new, |manner| manner.how.clone());
    let lines = [
        ("Knife hand:", handling.grip_name(setup.grip), words(handling.grips.get(&setup.grip))),
        ("Guide hand:", handling.hold_name(setup.hold), words(handling.holds.get(&setup.hold))),
        ("Motion:", handling.motion_name(setup.motion), words(handling.motions.get(&setup.motion))),
    ];
    for (what, name, how) in lines {
        sheet.bullet(&format!("{what} {name}."), &how);
    }
    sheet.bullet("Blade:", &format!("the {}.", setup.third.said()));
}

/// The knife of the setup, with a bar under the part of the blade that works.
fn knife(sheet: &mut Sheet, silhouette: &Silhouette, name: &str, third: Third) {
    let wide = silhouette.width.get().max(1.0);
    let scale = (KNIFE / wide).min(0.6);
    let (x, y) = (sheet.left, sheet.y);
    let outline = |d: &str, fill: PaperInk| Drawn::Outline { d: d.to_owned(), x, y, scale, fill: Some(fill), line: Some(0.3) };
    let mut marks = vec![outline(&silhouette.blade, PaperInk::White), outline(&silhouette.handle, PaperInk::Dark)];
    marks.extend(silhouette.bolster.as_deref().map(|bolster| outline(bolster, PaperInk::Tint)));
    let blade = silhouette.heel.get() * scale;
    let (from, part) = match third {
        Third::Tip => (0.0, blade / 3.0),
        Third::Middle => (blade / 3.0, blade / 3.0),
        Third::Heel => (blade * 2.0 / 3.0, blade / 3.0),
        Third::Whole => (0.0, blade),
    };
    let under = y + silhouette.height.get() * scale + 2.0;
    marks.push(Drawn::Box { x: x + from, y: under, width: part, height: 1.6, fill: Some(PaperInk::Black), line: None });
    let shows = format!("{name} from its side; a bar marks the {} of the blade", third.said());
    sheet.add(PaperRole::Figure { shows }, marks);
    sheet.y = under + 4.0;
}
