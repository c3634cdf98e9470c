//! The web server of Yard Notch: thin handlers over the core and the store.
//!
//! [`run`] takes settings, a bound listener and a shutdown future, so that tests and the program
//! take the same path. Every route is in [`router`].

mod auth;
mod clock;
mod embedded_web;
mod error;
mod extract;
mod kept_answers;
mod router;
mod routes;
mod state;

use std::future::Future;
use std::net::SocketAddr;

use tokio::net::TcpListener;

pub use auth::{MIN_PASSPHRASE, PASSPHRASE_KEY, hash_passphrase};
pub use clock::Clock;
pub use error::{ApiError, ProblemDocument};
pub use router::{openapi, router};
pub use state::{AppState, Settings};

/// Serves until `shutdown` ends, then finishes the requests in hand.
///
/// # Errors
/// What the listener says.
pub async fn run(
    state: AppState,
    listener: TcpListener,
    shutdown: impl Future<Output = ()> + Send + 'static,
) -> std::io::Result<()> {
    let service = router(state).into_make_service_with_connect_info::<SocketAddr>();
    axum::serve(listener, service).with_graceful_shutdown(shutdown).await
}
