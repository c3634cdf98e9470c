//! The rack: each knife drawn at the same scale, with what is due for it.

use std::collections::BTreeMap;

use jiff::civil::Date;
use serde::Serialize;

use crate::care::{CareHistory, Due, due};
use crate::catalogue::{Catalogue, Doctrines, Food, KnifeType};
use crate::comfort::{Comfort, Sits, comfort};
use crate::drawing::{Silhouette, silhouette};
use crate::eligibility::{Blade, dull_barrier};
use crate::fitting::{PINCH, TRAVEL};
use crate::people::Hand;
use crate::records::Knife;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// A knife on the rack.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RackKnife {
    /// As kept.
    pub knife: Knife,
    /// Fit for class.
    pub fit: bool,
    /// What is due, the gravest first.
    pub due: Vec<Due>,
    /// Its edge has to be ground, or it is to be sent out.
    pub worn: bool,
}

/// A knife in the list of what is due.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DueKnife {
    /// Id.
    pub id: i64,
    /// Number on the handle.
    pub number: String,
}

/// A line of what is due: for one knife, or for all of a kind before a class.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DueLine {
    /// What is due.
    #[serde(flatten)]
    pub due: Due,
    /// Label of the knives.
    pub label: String,
    /// Knives, by number.
    pub knives: Vec<DueKnife>,
}

/// Knives of one type, length and hand: they hang together.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RackGroup {
    /// Label, e.g. `Chef's 200`.
    pub label: String,
    /// Id of the type.
    pub knife_type: String,
    /// Name of the type.
    pub type_name: String,
    /// Blade length.
    pub length: Millimetres,
    /// What it is good for.
    pub good_for: String,
    /// What it is not for.
    pub not_for: String,
    /// Its outline; none for a type that is no longer known.
    pub silhouette: Option<Silhouette>,
    /// How it suits the hand that was asked for.
    pub comfort: Option<Comfort>,
    /// Its knives by number.
    pub knives: Vec<RackKnife>,
}

/// The whole rack.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RackView {
    /// Groups, the longest first, or the easiest for a hand first.
    pub groups: Vec<RackGroup>,
    /// Knives.
    pub count: usize,
    /// Of these fit for class.
    pub fit: usize,
    /// Knives for which something is due.
    pub due: usize,
    /// What is due, the gravest first.
    pub due_lines: Vec<DueLine>,
    /// Whether a lesson is held today.
    pub class_today: bool,
}

/// What the rack is made from.
#[derive(Clone, Copy, Debug)]
pub struct RackInput<'a> {
    /// The catalogue.
    pub catalogue: &'a Catalogue,
    /// Knives on the rack.
    pub knives: &'a [Knife],
    /// Care by id of the knife; a knife without any has no entry.
    pub histories: &'a BTreeMap<i64, CareHistory>,
    /// Doctrines of the course in hand.
    pub doctrines: Doctrines,
    /// Day by the school's clock.
    pub today: Date,
    /// Whether a lesson is held today.
    pub class_today: bool,
    /// Length and side of the hand to order by.
    pub hand: Option<(Millimetres, Hand)>,
}

/// Draws the rack.
pub fn rack_view(input: &RackInput<'_>) -> RackView {
    let mut groups: Vec<RackGroup> = Vec::new();
    let mut places: BTreeMap<(String, u64, Option<bool>), usize> = BTreeMap::new();
    for knife in input.knives {
        let key = (
            knife.fields.knife_type.clone(),
            knife.fields.length.get().to_bits(),
            knife.fields.hand.map(|hand| hand == Hand::Left),
        );
        let place = *places.entry(key).or_insert_with(|| {
            groups.push(group(input, knife));
            groups.len() - 1
        });
        if let Some(group) = groups.get_mut(place) {
            group.knives.push(rack_knife(input, knife));
        }
    }
    match input.hand {
        None => groups.sort_by(|a, b| b.length.get().total_cmp(&a.length.get())),
        Some(_) => groups.sort_by_key(|group| std::cmp::Reverse(group.comfort.as_ref().map_or(0, |comfort| comfort.score))),
    }
    let all = || groups.iter().flat_map(|group| &group.knives);
    RackView {
        count: all().count(),
        fit: all().filter(|knife| knife.fit).count(),
        due: all().filter(|knife| !knife.due.is_empty()).count(),
        class_today: input.class_today,
        due_lines: due_lines(&groups),
        groups,
    }
}

/// What is due over all groups, the gravest first. What belongs to the morning of a class is one line for
/// all knives of a group.
fn due_lines(groups: &[RackGroup]) -> Vec<DueLine> {
    let mut lines: Vec<DueLine> = Vec::new();
    for group in groups {
        let first = lines.len();
        for RackKnife { knife, due, .. } in &group.knives {
            for due in due {
                let entry = DueKnife { id: knife.id, number: knife.fields.number.clone() };
                let alike = |line: &&mut DueLine| due.what.is_of_the_class() && line.due.what == due.what;
                match lines.iter_mut().skip(first).find(alike) {
                    Some(line) => line.knives.push(entry),
                    None => lines.push(DueLine { due: due.clone(), label: group.label.clone(), knives: vec![entry] }),
                }
            }
        }
    }
    lines.sort_by_key(|line| line.due.what);
    lines
}

fn rack_knife(input: &RackInput<'_>, knife: &Knife) -> RackKnife {
    let none = CareHistory::default();
    let history = input.histories.get(&knife.id).unwrap_or(&none);
    let kind = input.catalogue.knife(&knife.fields.knife_type);
    let due =
        kind.map(|kind| due(input.catalogue, (kind, &knife.fields), history, &input.doctrines, input.today, input.class_today));
    let due = due.unwrap_or_default();
    RackKnife {
        fit: dull_barrier(knife).is_none(),
        worn: due.iter().any(|due| due.what.is_of_the_edge()),
        due,
        knife: knife.clone(),
    }
}

fn group(input: &RackInput<'_>, knife: &Knife) -> RackGroup {
    let kind = input.catalogue.knife(&knife.fields.knife_type);
    let length = knife.fields.length;
    let comfort = input.hand.and_then(|(hand_length, hand)| {
        let blade = Blade { kind: kind?, length, hand: knife.fields.hand };
        Some(match blade.hand_barrier(hand) {
            Some(barrier) => Comfort { score: 0, sits: Sits::MuchTooLong, words: barrier.words() },
            None => comfort(hand_length, kind?, length),
        })
    });
    RackGroup {
        label: kind.map_or_else(|| knife.fields.knife_type.clone(), |kind| kind.label(length)),
        knife_type: knife.fields.knife_type.clone(),
        type_name: kind.map_or_else(|| knife.fields.knife_type.clone(), |kind| kind.name.clone()),
        length,
        good_for: kind.map_or_else(String::new, |kind| kind.good_for.clone()),
        not_for: kind.map_or_else(String::new, |kind| kind.not_for.clone()),
        silhouette: kind.map(|kind| silhouette(kind, &knife.fields)),
        comfort,
        knives: Vec::new(),
    }
}

/// A food laid against a blade.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FoodAgainstBlade {
    /// Width of the food as the blade crosses it.
    pub width: Millimetres,
    /// Height above the board.
    pub height: Millimetres,
    /// Blade that is left beyond it under a pinch; below 0 it is too short.
    pub left: f64,
    /// Long enough, with the travel that a stroke needs.
    pub long_enough: bool,
    /// The same in words.
    pub words: Text,
}

/// Whether a blade is long enough for a food: longer by 25 mm of travel, less 25 mm under a pinch.
pub fn food_against_blade(kind: &KnifeType, length: Millimetres, food: &Food) -> FoodAgainstBlade {
    let width = food.width();
    let pinch = if kind.board == crate::catalogue::BoardWork::All { PINCH } else { Millimetres::ZERO };
    let left = length.get() - pinch.get() - width.get();
    let long_enough = left >= TRAVEL.get();
    let travel = Millimetres::clamped(left);
    let words = if long_enough {
        text!["Long enough: ", travel, " of travel across ", width, " of ", food.name, "."]
    } else if left >= 0.0 {
        text!["Short: ", travel, " of travel across ", width, " of ", food.name, "; ", TRAVEL, " is wanted."]
    } else {
        text!["Too short for ", food.name, ": ", width + pinch + TRAVEL, " of blade is wanted."]
    };
    FoodAgainstBlade { width, height: food.height(), left, long_enough, words }
}
