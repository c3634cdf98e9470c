//! What wears an edge, and what is due.

use jiff::civil::Date;
use serde::Serialize;

use crate::catalogue::{Catalogue, Doctrines, Edge, Habit, KnifeType, SteelOrStone};
use crate::records::{Bolster, EdgeState, KnifeFields};
use crate::words::day;

/// A stretch of class with a knife.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Use {
    /// Minutes in hand.
    pub minutes: f64,
    /// Firmness of the food, 1 to 5.
    pub firmness: u8,
    /// Wear of the board, as a multiple of wood.
    pub board_wear: f64,
}

/// Wear since the edge was last ground.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Wear {
    /// Board minutes in class: minutes × firmness × board.
    pub board_minutes: f64,
    /// Board minutes that bad habits count for.
    pub habit_minutes: f64,
}

impl Wear {
    /// Both together.
    pub fn total(&self) -> f64 {
        self.board_minutes + self.habit_minutes
    }

    /// The same to the minute.
    pub fn minutes(&self) -> u32 {
        self.total().round() as u32
    }
}

/// Adds up the wear of uses and habits. What is not a number counts for nothing.
pub fn wear(catalogue: &Catalogue, uses: impl IntoIterator<Item = Use>, habits: impl IntoIterator<Item = (Habit, u32)>) -> Wear {
    let care = &catalogue.care;
    let of_use = |each: Use| {
        let minutes = each.minutes.max(0.0) * care.firmness_wear(each.firmness) * each.board_wear.max(0.0);
        if minutes.is_finite() { minutes } else { 0.0 }
    };
    let of_habit = |(habit, times): (Habit, u32)| care.habit.get(&habit).map_or(0.0, |wear| wear.wear) * f64::from(times);
    Wear { board_minutes: uses.into_iter().map(of_use).sum(), habit_minutes: habits.into_iter().map(of_habit).sum() }
}

/// What is known of a knife's care.
#[derive(Clone, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CareHistory {
    /// Last day on the steel.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub honed_on: Option<Date>,
    /// Last day that it was ground, on the stone or away.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub ground_on: Option<Date>,
    /// Last day that it was tested.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub tested_on: Option<Date>,
    /// Sent out and not back.
    pub away: bool,
    /// First day in class since it was ground.
    #[cfg_attr(feature = "openapi", schema(value_type = Option<String>, format = Date))]
    pub used_from: Option<Date>,
    /// Wear since it was ground.
    pub wear: Wear,
}

/// What is to be done.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum DueKind {
    /// It failed: grind it, then test it again.
    Failed,
    /// To the stone now.
    StoneNow,
    /// To the stone this week.
    StoneThisWeek,
    /// Replace or send out: teeth, or a course without a stone.
    SendOut,
    /// Away; ask when it comes back.
    Away,
    /// Hone today, before the class.
    HoneToday,
    /// Test today, before the class.
    TestToday,
}

impl DueKind {
    /// Belongs to the morning of a class: alike for all knives of a kind.
    pub const fn is_of_the_class(self) -> bool {
        matches!(self, DueKind::HoneToday | DueKind::TestToday)
    }

    /// The edge has to be ground, or the knife sent out.
    pub const fn is_of_the_edge(self) -> bool {
        matches!(self, DueKind::StoneNow | DueKind::StoneThisWeek | DueKind::SendOut)
    }
}

/// Something that is due for a knife, with the reason.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Due {
    /// What.
    pub what: DueKind,
    /// In a few words, e.g. `stone this week`.
    pub title: String,
    /// Why, with the figures.
    pub why: String,
}

/// What is due for a knife on a day, the gravest first.
///
/// `class_today` is whether a lesson is held that day: honing and testing belong to its morning.
pub fn due(
    catalogue: &Catalogue,
    (kind, knife): (&KnifeType, &KnifeFields),
    history: &CareHistory,
    doctrines: &Doctrines,
    today: Date,
    class_today: bool,
) -> Vec<Due> {
    let mut found = Vec::new();
    let mut say = |what: DueKind, title: &str, why: String| found.push(Due { what, title: title.to_owned(), why });
    if history.away {
        say(DueKind::Away, "away to be ground", "Sent out and not back yet; it is tested before it returns to class.".to_owned());
        return found;
    }
    if knife.edge_state == EdgeState::Dull {
        let repair = if !kind.is_ground() || doctrines.steel_or_stone == SteelOrStone::Steel {
            "replace it or send it out"
        } else {
            "to the stone"
        };
        say(
            DueKind::Failed,
            "failed its test",
            format!("Out of class until it passes: {repair}, then three clean cuts in paper."),
        );
    } else if let Some((what, title, why)) = grinding(catalogue, kind, knife, history, doctrines, today) {
        say(what, title, why);
    }
    let in_class = class_today && knife.edge_state == EdgeState::Sharp;
    let steel = kind.edge == Edge::Straight && kind.is_ground() && doctrines.steel_or_stone != SteelOrStone::Stone;
    if in_class && steel && history.honed_on != Some(today) {
        let hone = &catalogue.care.hone;
        let before = history.honed_on.map_or("never logged".to_owned(), |on| format!("last on {}", day(on)));
        say(
            DueKind::HoneToday,
            "hone today",
            format!("Before each class, {} to {} strokes a side; {before}.", hone.strokes_from, hone.strokes_to),
        );
    }
    if in_class && history.tested_on != Some(today) {
        let before = history.tested_on.map_or("never logged".to_owned(), |on| format!("last on {}", day(on)));
        say(DueKind::TestToday, "test today", format!("Each knife is tested on the morning of its class; {before}."));
    }
    found.sort_by_key(|due| due.what);
    found
}

fn grinding(
    catalogue: &Catalogue,
    kind: &KnifeType,
    knife: &KnifeFields,
    history: &CareHistory,
    doctrines: &Doctrines,
    today: Date,
) -> Option<(DueKind, &'static str, String)> {
    let (care, worn) = (&catalogue.care, history.wear.total());
    let habits = history.wear.habit_minutes;
    let part = if habits > 0.0 { format!(", {habits:.0} of them from bad habits") } else { String::new() };
    let days = history.used_from.map_or(0, |from| (today - from).get_days());
    let used = worn > 0.0;
    if !kind.is_ground() {
        let due = worn >= care.serrated.due_minutes || (used && days >= care.serrated.due_days);
        return due.then(|| {
            (
                DueKind::SendOut,
                "replace or send out",
                format!("{worn:.0} board minutes{part}; an edge like this is not ground on a flat stone."),
            )
        });
    }
    let (limit, late) = (care.stone.due_minutes, care.stone.overdue_minutes);
    let by_days = used && days >= care.stone.due_days;
    if worn < limit && !by_days {
        return None;
    }
    let mut why = if worn >= limit {
        format!("{worn:.0} board minutes since it was ground{part}; due at {limit:.0}.")
    } else {
        format!("{days} days in use since it was ground; due at {}.", care.stone.due_days)
    };
    if knife.bolster == Bolster::Full {
        why.push_str(" Full bolster: the stone does not reach the heel.");
    }
    Some(if doctrines.steel_or_stone == SteelOrStone::Steel {
        (DueKind::SendOut, "send out to be ground", why)
    } else if worn >= late {
        (DueKind::StoneNow, "stone now", why)
    } else {
        (DueKind::StoneThisWeek, "stone this week", why)
    })
}
