//! Everything of Yard Notch that knows SQL.
//!
//! Open a [`Store`] on a data folder; read through [`Reader`], change through [`Writer`]. A writer
//! that is not committed leaves nothing behind: one action is one transaction. Callers see the
//! core's record types only.

mod attempts;
mod briefings;
mod care;
mod check;
mod columns;
mod connect;
mod copies;
mod count;
mod course_file;
mod course_plan;
mod courses;
mod demonstrations;
mod device;
mod document;
mod error;
mod knives;
mod lessons;
mod lock;
mod marks;
mod migrations;
mod open;
mod own;
mod pages;
mod rights;
mod rooms;
mod rotations;
mod runs;
mod schools;
mod settings;
mod staff;
mod students;
mod whole;

pub use copies::{Copies, Copy, Held, Restoring};
pub use document::{Document, FORMAT};
pub use error::StoreError;
pub use lock::{LOCK_FILE, ServingLock};
pub use migrations::schema_version;
pub use open::{DATABASE_FILE, READERS, Reader, Store, Writer, machine_zone};
pub use pages::COPIES;
pub use schools::{CARD_FILE, Moved, Schools, is_held};
pub use staff::{ChangeMade, NewSession, StaffSession};
