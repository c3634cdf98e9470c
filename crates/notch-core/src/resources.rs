//! What a course has beside its knives: boards of a size, sinks, containers, people who watch, money for food.

use serde::{Deserialize, Serialize};

use crate::day_of_week::DayOfWeek;
use crate::problem::Problem;
use crate::units::Millimetres;

/// The size of a board.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BoardSize {
    /// The longer side, 150 to 1000 mm.
    pub length: Millimetres,
    /// The shorter side, 100 to 700 mm.
    pub width: Millimetres,
}

/// People who watch hands at work.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Watchers {
    /// How many, 0 to 20.
    pub people: u16,
    /// Students with a knife in hand whom each may watch, 1 to 60.
    pub each: u16,
}

/// What a course has beside its knives and the number of its boards. What nobody has said limits nothing.
#[derive(Clone, Debug, Default, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Resources {
    /// Size of the boards.
    #[serde(default)]
    pub board_size: Option<BoardSize>,
    /// Sinks, 1 to 60.
    #[serde(default)]
    pub sinks: Option<u16>,
    /// Containers, 0 to 1000.
    #[serde(default)]
    pub containers: Option<u16>,
    /// Instructors.
    #[serde(default)]
    pub instructors: Option<Watchers>,
    /// Assistants.
    #[serde(default)]
    pub assistants: Option<Watchers>,
    /// What the food of a lesson may cost, in the school's own money, 0 to 100000.
    #[serde(default)]
    pub food_budget: Option<f64>,
    /// Days of the week on which food comes; the day before each lesson where none is said.
    #[serde(default)]
    pub delivery_days: Vec<DayOfWeek>,
}

impl Resources {
    /// Students whom all together may watch at work at one time; none where nobody has said it.
    pub fn watched(&self) -> Option<u32> {
        let of = |watchers: Watchers| u32::from(watchers.people) * u32::from(watchers.each);
        let (instructors, assistants) = (self.instructors.map(of), self.assistants.map(of));
        instructors.map(|watched| watched + assistants.unwrap_or(0))
    }

    /// Every problem in them; `pointer` is where they stand.
    pub fn check(&self, pointer: &str) -> Vec<Problem> {
        let at = |field: &str| format!("{pointer}/{field}");
        let within = |field: &str, name: &str, value: Option<u16>, least: i64, most: i64| {
            Problem::unless_within(&at(field), name, i64::from(value?), least, most)
        };
        let size = self.board_size.map(|size| (size.length.get(), size.width.get()));
        let side = |field: &str, name: &str, value: f64, least: f64, most: f64| {
            let allowed = format!("{least} to {most} mm");
            (!(least..=most).contains(&value)).then(|| Problem::new(at(field), name, value, "is out of range", allowed))
        };
        let length = size.and_then(|(length, _)| side("board_size/length", "Length of a board", length, 150.0, 1000.0));
        let width = size
            .and_then(|(length, width)| side("board_size/width", "Width of a board", width, 100.0, length.clamp(100.0, 700.0)));
        let of = |field: &str, name: &str, watchers: Option<Watchers>, least: i64| {
            [
                within(&format!("{field}/people"), name, watchers.map(|each| each.people), least, 20),
                within(
                    &format!("{field}/each"),
                    &format!("{name}, students each watches"),
                    watchers.map(|each| each.each),
                    1,
                    60,
                ),
            ]
        };
        let alone = (self.instructors.is_none() && self.assistants.is_some())
            .then(|| Problem::new(at("instructors/people"), "Instructors", "", "are not said, and assistants are", "1 to 20"));
        let budget = self
            .food_budget
            .filter(|money| !(0.0..=100_000.0).contains(money))
            .map(|money| Problem::new(at("food_budget"), "Food for a lesson", money, "is out of range", "0 to 100000"));
        let days = (self.delivery_days.len() > 7).then(|| {
            Problem::new(at("delivery_days"), "Food comes on", self.delivery_days.len(), "are too many days", "up to 7")
        });
        [length, width, within("sinks", "Sinks", self.sinks, 1, 60), within("containers", "Containers", self.containers, 0, 1000)]
            .into_iter()
            .chain(of("instructors", "Instructors", self.instructors, 1))
            .chain(of("assistants", "Assistants", self.assistants, 0))
            .chain([alone, budget, days])
            .flatten()
            .collect()
    }
}
