//! What to order for the lesson, for who buys.

use super::input::PaperInput;
use super::page::{PaperPage, PaperSize};
use super::sheet::{Sheet, columns};

/// A weight as it is said on a market.
pub(super) fn weight(grams: f64) -> String {
    if grams >= 1000.0 { format!("{:.1} kg", grams / 1000.0) } else { format!("{:.0} g", (grams / 10.0).ceil() * 10.0) }
}

pub(super) fn order_page(input: &PaperInput<'_>, size: PaperSize) -> Vec<PaperPage> {
    let mut sheet = Sheet::new(size, "To order", &input.foot());
    let fields = &input.plan.lesson.fields;
    let days = &input.plan.course.fields.resources.delivery_days;
    let on = fields.starts_at.date();
    let comes = crate::views::delivery_day(on, days);
    sheet.strong(&format!(
        "Comes {}, {}, for {}, {} · {} students",
        crate::words::weekday(comes),
        crate::words::day(comes),
        crate::words::weekday(on),
        crate::words::day(on),
        input.plan.students
    ));
    if input.produce.order.is_empty() {
        sheet.text("Nothing is cut in this lesson yet: there is nothing to order.");
        return sheet.finish();
    }
    let wide = sheet.right - sheet.left;
    let widths = columns(&[(wide * 0.27, false), (wide * 0.34, false), (wide * 0.21, false), (wide * 0.18, true)]);
    let rows: Vec<Vec<String>> = input
        .produce
        .order
        .iter()
        .map(|line| {
            let what = match &line.packs {
                Some(packs) => format!("{} ({packs})", line.what),
                None => line.what.clone(),
            };
            let allergen =
                if line.allergens.is_empty() { String::new() } else { format!(" Allergen: {}.", line.allergens.join(", ")) };
            let of = format!("{} students, {} to show, {} spare", line.students, line.demonstration, line.spare);
            let cost = line.cost.map_or_else(String::new, |cost| format!(", {cost:.2}"));
            vec![what, format!("{}.{allergen}", line.cuts.join("; ")), of, format!("{}{cost}", weight(line.grams))]
        })
        .collect();
    sheet.table(&widths, &["Food", "For", "Of these", "About"], &rows);
    if let Some(cost) = &input.produce.order_cost {
        sheet.text(&cost.words.to_string());
    }
    if !input.produce.allergies.is_empty() {
        sheet.heading("Allergies");
        for case in &input.produce.allergies {
            sheet.bullet(&format!("{}:", case.title), &case.words.to_string());
        }
    }
    for need in input.produce.exercises.iter().filter(|need| need.fed_by.is_some()) {
        sheet.small(&format!("{}: {}", need.title, need.words.iter().map(ToString::to_string).collect::<Vec<_>>().join(" ")));
    }
    sheet.finish()
}
