//! One order over the lessons of a course: by delivery day, in how the food is sold, with its cost.

use std::collections::BTreeMap;

use jiff::ToSpan;
use jiff::civil::Date;
use serde::Serialize;

use super::order::{OrderCost, OrderLine, food_of, order_cost, price};
use super::produce::{ProduceInput, produce_view};
use crate::at_hand::AtHand;
use crate::catalogue::ProduceSize;
use crate::progress::GoodShares;
use crate::records::{DayOfWeek, Exercise, Lesson};
use crate::sheet::harmless;

/// Days before a lesson on which its food may come at the earliest.
const LONGEST_KEPT: i64 = 7;

/// A lesson that an order is for.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OrderedLesson {
    /// The lesson, by id.
    pub id: i64,
    /// Its number in the course.
    pub number: u16,
    /// Its title.
    pub title: String,
    /// Its day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date"))]
    pub on: Date,
}

/// What comes on one day.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Delivery {
    /// The day.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date"))]
    pub on: Date,
    /// The lessons that it is for.
    pub lessons: Vec<OrderedLesson>,
    /// What comes, those of one food together.
    pub lines: Vec<OrderLine>,
    /// What that costs; none where nobody has said a price.
    pub cost: Option<OrderCost>,
}

/// One order over the lessons of a course.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseOrder {
    /// The first day of the lessons that it is for.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date"))]
    pub from: Date,
    /// The last one.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = "civil-date"))]
    pub until: Date,
    /// Days of the week on which food comes; the day before each lesson where none is said.
    pub delivery_days: Vec<DayOfWeek>,
    /// What comes on each day.
    pub deliveries: Vec<Delivery>,
    /// What all of it costs.
    pub cost: Option<f64>,
}

/// The day on which the food of a lesson comes: the last delivery day before it, within a week; the day before it
/// where no day is said.
pub fn delivery_day(lesson: Date, days: &[DayOfWeek]) -> Date {
    let before = |days_before: i64| lesson.checked_sub(days_before.days()).unwrap_or(lesson);
    let comes = |day: &Date| days.iter().any(|each| each.weekday() == day.weekday());
    (1..=LONGEST_KEPT).map(before).find(comes).unwrap_or_else(|| before(1))
}

/// Adds up the food of lessons with their exercises, those whose day is from `from` until `until`.
pub fn course_order(
    at_hand: &AtHand<'_>,
    lessons: &[(Lesson, Vec<Exercise>)],
    shares: &GoodShares,
    (from, until): (Date, Date),
) -> CourseOrder {
    let days = &at_hand.course.fields.resources.delivery_days;
    let mut found: BTreeMap<Date, Delivery> = BTreeMap::new();
    let within = |lesson: &Lesson| (from..=until).contains(&lesson.fields.starts_at.date());
    for (lesson, exercises) in lessons.iter().filter(|(lesson, _)| within(lesson)) {
        let view = produce_view(&ProduceInput { at_hand, lesson, exercises, shares, fields: &lesson.produce });
        if view.order.is_empty() {
            continue;
        }
        let on = lesson.fields.starts_at.date();
        let comes = delivery_day(on, days);
        let empty = || Delivery { on: comes, lessons: Vec::new(), lines: Vec::new(), cost: None };
        let delivery = found.entry(comes).or_insert_with(empty);
        let title = lesson.fields.title.clone();
        delivery.lessons.push(OrderedLesson { id: lesson.id, number: lesson.number, title, on });
        for line in view.order {
            add(at_hand, delivery, line);
        }
    }
    let mut deliveries: Vec<Delivery> = found.into_values().collect();
    for delivery in &mut deliveries {
        delivery.cost = order_cost(&delivery.lines, None);
    }
    let costs: Vec<f64> = deliveries.iter().filter_map(|delivery| Some(delivery.cost.as_ref()?.cost)).collect();
    let cost = (!costs.is_empty()).then(|| costs.iter().sum());
    CourseOrder { from, until, delivery_days: days.clone(), deliveries, cost }
}

fn add(at_hand: &AtHand<'_>, delivery: &mut Delivery, line: OrderLine) {
    let Some(there) = delivery.lines.iter_mut().find(|there| there.food == line.food && there.size == line.size) else {
        delivery.lines.push(line);
        return;
    };
    there.students = there.students.saturating_add(line.students);
    there.demonstration = there.demonstration.saturating_add(line.demonstration);
    there.spare = there.spare.saturating_add(line.spare);
    there.total = there.total.saturating_add(line.total);
    there.cuts.extend(line.cuts);
    if let Some(food) = food_of(at_hand.catalogue, &there.food, there.size) {
        price(at_hand.catalogue, &food, there);
    }
}

/// Columns of the table.
const COLUMNS: [&str; 12] = [
    "delivery day",
    "food",
    "size",
    "units",
    "for students",
    "to show",
    "spare",
    "grams",
    "sold as",
    "cost",
    "allergens",
    "for lessons",
];

/// Writes an order as comma-separated text, a line for each food of each delivery.
pub fn order_table(order: &CourseOrder) -> String {
    let mut writer = csv::Writer::from_writer(Vec::new());
    // Writing into memory cannot fail.
    let _ = writer.write_record(COLUMNS);
    for delivery in &order.deliveries {
        let lessons: Vec<String> = delivery.lessons.iter().map(|lesson| lesson.number.to_string()).collect();
        for line in &delivery.lines {
            let size = match line.size {
                ProduceSize::Small => "small",
                ProduceSize::Medium => "medium",
                ProduceSize::Large => "large",
            };
            let _ = writer.write_record([
                delivery.on.to_string(),
                harmless(&line.what),
                size.to_owned(),
                line.total.to_string(),
                line.students.to_string(),
                line.demonstration.to_string(),
                line.spare.to_string(),
                format!("{:.0}", line.grams),
                harmless(line.packs.as_deref().unwrap_or("")),
                line.cost.map_or_else(String::new, |cost| format!("{cost:.2}")),
                harmless(&line.allergens.join("; ")),
                lessons.join("; "),
            ]);
        }
    }
    String::from_utf8(writer.into_inner().unwrap_or_default()).unwrap_or_default()
}
