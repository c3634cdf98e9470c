//! Many schools on one host: each behind a door of its own, opened when somebody asks and closed when nobody has for a
//! while.

mod door;
mod front;
mod page;
mod schools;
mod under;

pub use front::host_router;
pub use page::watched_host;
pub use schools::Host;
