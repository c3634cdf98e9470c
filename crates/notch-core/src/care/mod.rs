//! Edge care: what was done to a knife, what wears it, what is due, and at which angle.

mod angle;
mod deed;
mod due;
mod event;
mod inspected;

pub use angle::{AngleAid, angle_aid, own_angle};
pub use deed::{CareDeed, CareFields, CareKind};
pub use due::{CareHistory, Due, DueKind, Use, Wear, due, wear};
pub use event::CareEvent;
pub use inspected::{Inspected, Rivets, Steel};
