//! The lesson on one page, for the wall of the kitchen and the instructor's pocket.

use super::input::PaperInput;
use super::page::{PaperPage, PaperSize};
use super::sheet::Sheet;
use crate::views::PlannedExercise;
use crate::words::{capital, day};

/// Width of the column with the time and the stations.
const SIDE: f64 = 60.0;

/// Between the columns.
const GAP: f64 = 7.0;

/// The page; with fewer cautions where it would not fit on one, and without columns where even that is too much.
pub(super) fn lesson_page(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let on_one = [3, 2, 1, 0].into_iter().map(|cautions| in_columns(input, size, cautions)).find(|pages| pages.len() == 1);
    on_one.unwrap_or_else(|| one_below_the_other(input, size))
}

fn head(input: &PaperInput<'_>, size: PaperSize) -> Sheet {
    let fields = &input.plan.lesson.fields;
    let mut sheet = Sheet::new(size, &fields.title, &input.foot());
    let course = &input.plan.course.fields;
    let (from, until) = (input.at(0), input.at(u32::from(fields.minutes)));
    let on = fields.starts_at.date();
    sheet.strong(&format!("{}, {}, {from} to {until} · {}", crate::words::weekday(on), day(on), course.place));
    sheet.text(&format!(
        "{} · lesson {} of {} · {} boards · {} students",
        course.name, input.plan.lesson.number, input.lessons, course.boards, input.plan.students
    ));
    sheet
}

fn in_columns(input: &PaperInput<'_>, size: PaperSize, cautions: usize) -> Vec<PaperPage> {
    let mut sheet = head(input, size);
    let (top, left, right) = (sheet.y, sheet.left, sheet.right);
    sheet.right = right - SIDE - GAP;
    exercises(&mut sheet, input, cautions);
    to_buy(&mut sheet, input);
    sheet.y = top;
    sheet.left = right - SIDE;
    sheet.right = right;
    time(&mut sheet, input);
    stations(&mut sheet, input);
    sheet.left = left;
    sheet.finish()
}

fn one_below_the_other(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let mut sheet = head(input, size);
    exercises(&mut sheet, input, 1);
    time(&mut sheet, input);
    stations(&mut sheet, input);
    to_buy(&mut sheet, input);
    sheet.finish()
}

fn exercises(sheet: &mut Sheet, input: &PaperInput<'_>, cautions: usize) {
    for planned in &input.plan.exercises {
        exercise(sheet, input, planned, cautions);
    }
    if input.plan.exercises.is_empty() {
        sheet.text("No exercise is planned yet.");
    }
}

fn exercise(sheet: &mut Sheet, input: &PaperInput<'_>, planned: &PlannedExercise, cautions: usize) {
    let Some(advice) = &planned.advice else {
        for problem in &planned.problems {
            sheet.text(&problem.message.to_string());
        }
        return;
    };
    sheet.heading(&format!("{} {}", advice.title, advice.target.said()));
    if let Some(setup) = &advice.setup {
        sheet.strong(&format!("{} · {}", setup.knife_name, setup.words));
    }
    let food = input.catalogue.food(&planned.exercise.fields.food);
    let mut figures = format!("{} each", capital(&advice.amount.words(food)));
    if let Some(minutes) = advice.figures.minutes_each {
        figures += &format!(" · {minutes:.0} min each");
    }
    if advice.figures.rounds > 1 {
        figures += &format!(" · {} rounds", advice.figures.rounds);
    }
    sheet.text(&figures);
    for other in &advice.others {
        let knife = other.knife.as_deref().unwrap_or("no knife that fits, a dry drill");
        sheet.text(&format!("{}: {knife}", other.students.join(", ")));
    }
    for caution in advice.cautions.iter().take(cautions) {
        sheet.bullet(&caution.title.to_string(), &caution.text.to_string());
    }
}

fn to_buy(sheet: &mut Sheet, input: &PaperInput<'_>) {
    if input.produce.order.is_empty() {
        return;
    }
    sheet.heading("To buy");
    for line in &input.produce.order {
        let allergens =
            if line.allergens.is_empty() { String::new() } else { format!(" · allergen: {}", line.allergens.join(", ")) };
        sheet.bullet(&line.what, &format!("about {}{allergens}", super::order_page::weight(line.grams)));
    }
    for case in &input.produce.allergies {
        sheet.bullet(&format!("Allergy, {}:", crate::words::lower(&case.title)), &case.words.to_string());
    }
}

fn time(sheet: &mut Sheet, input: &PaperInput<'_>) {
    sheet.heading("Time");
    if input.plan.time_rule.over > 0 {
        sheet.strong(&format!("{}.", input.plan.time_rule.words));
    }
    let titled = |id: Option<i64>| {
        let planned = input.plan.exercises.iter().find(|planned| Some(planned.exercise.id) == id)?;
        Some(planned.advice.as_ref()?.title.clone())
    };
    let columns = super::sheet::columns(&[(13.0, false), (SIDE - 24.0, false), (11.0, true)]);
    let rows: Vec<Vec<String>> = input
        .plan
        .time_rule
        .segments
        .iter()
        .map(|segment| {
            let what = titled(segment.kept.exercise_id).unwrap_or_else(|| segment.name.clone());
            vec![input.at(segment.starts), what, segment.kept.minutes.to_string()]
        })
        .collect();
    sheet.table(&columns, &["At", "What", "Min"], &rows);
}

fn stations(sheet: &mut Sheet, input: &PaperInput<'_>) {
    if input.students.is_empty() {
        return;
    }
    sheet.heading("Stations");
    let mut students: Vec<_> = input.students.iter().map(|student| &student.fields).collect();
    students.sort_by_key(|student| student.station);
    let columns = super::sheet::columns(&[(10.0, true), (SIDE - 10.0, false)]);
    let rows: Vec<Vec<String>> = students
        .into_iter()
        .map(|student| {
            let hand = if student.hand == crate::people::Hand::Left { ", left hand" } else { "" };
            let none =
                if student.allergies.is_empty() { String::new() } else { format!(", no {}", student.allergies.join(", ")) };
            vec![student.station.to_string(), format!("{}{hand}{none}", student.name)]
        })
        .collect();
    sheet.table(&columns, &["No.", "Who"], &rows);
}
