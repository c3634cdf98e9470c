//! Where the stations of a course stand in the room.

use std::collections::BTreeSet;

use serde::{Deserialize, Serialize};

use super::MOST_STUDENTS;
use crate::problem::Problem;

/// Breadth and depth of the room, in which places are told.
const ROOM: u16 = 1000;

/// Where a station stands: its middle, from the left and from the front of the room, in thousandths of it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StationPlace {
    /// The station's number.
    pub station: u16,
    /// From the left, 0 to 1000.
    pub x: u16,
    /// From the front, 0 to 1000.
    pub y: u16,
}

/// Every problem in the places of a room, by their place in the list: a station twice, one outside the room, too many.
pub fn check_room(places: &[StationPlace]) -> Vec<Problem> {
    let most = usize::from(MOST_STUDENTS);
    if places.len() > most {
        return vec![Problem::new("", "Stations", places.len(), "are too many", format!("up to {most}"))];
    }
    let mut seen = BTreeSet::new();
    let mut problems = Vec::new();
    for (index, place) in places.iter().enumerate() {
        let at = |field: &str| format!("/{index}/{field}");
        if !seen.insert(place.station) {
            problems.push(Problem::new(at("station"), "Station", place.station, "stands twice", "each station once"));
        }
        for (field, name, value) in [("x", "From the left", place.x), ("y", "From the front", place.y)] {
            problems.extend(Problem::unless_within(&at(field), name, i64::from(value), 0, i64::from(ROOM)));
        }
    }
    problems
}
