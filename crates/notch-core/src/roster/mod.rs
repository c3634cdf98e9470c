//! A class list as it is pasted or kept in a table: names with hands, sizes of hands and allergies, in any
//! order and with any sign between them. What was understood is told line by line before it is kept.

mod read;
mod table;

pub use read::{AlreadyKnown, Roster, RosterDefaults, RosterLine, free_stations, read_roster};
pub use table::{ROSTER_COLUMNS, write_roster};
