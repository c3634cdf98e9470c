//! The web server of Yard Notch: thin handlers over the core and the store.
//!
//! [`run`] takes settings, a bound listener and a shutdown future, so that tests and the program
//! take the same path.

mod auth;
mod clock;
mod copying;
mod deeds;
mod description;
mod embedded_web;
mod error;
mod extract;
mod figures;
mod groups;
mod guests;
mod host;
mod json_schema;
mod keep_answers;
mod kept_answers;
mod let_in;
mod limits;
mod live;
mod made_up;
mod passphrase;
mod plain_page;
mod resting;
mod router;
mod routes;
mod secret;
mod secure;
mod seen;
mod serve;
mod state;
mod turns;
mod watch;
mod who;

pub use clock::Clock;
pub use description::openapi;
pub use error::{ApiError, ProblemDocument};
pub use host::{Host, host_router, watched_host};
pub use json_schema::course_file_schema;
pub use made_up::MadeUp;
pub use passphrase::{MIN_PASSPHRASE, hash_passphrase};
pub use router::router;
pub use routes::{LookedAt, NewInvitation, new_invitation, pages_of};
pub use secure::{Reach, Tls, TlsError};
pub use serve::{run, run_host};
pub use state::{AppState, Settings};
pub use watch::{watch, watched};
