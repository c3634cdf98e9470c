//! The web server of Yard Notch: thin handlers over the core and the store.
//!
//! [`run`] takes settings, a bound listener and a shutdown future, so that tests and the program
//! take the same path. Every route is in [`router`].

mod auth;
mod clock;
mod embedded_web;
mod error;
mod extract;
mod keep_answers;
mod kept_answers;
mod limits;
mod passphrase;
mod router;
mod routes;
mod state;
mod turns;

use std::future::{Future, IntoFuture};
use std::net::SocketAddr;

use tokio::net::TcpListener;

pub use clock::Clock;
pub use error::{ApiError, ProblemDocument};
pub use passphrase::{MIN_PASSPHRASE, PASSPHRASE_KEY, hash_passphrase};
pub use router::{openapi, router};
pub use state::{AppState, Settings};

/// Serves until `shutdown` ends, then finishes the requests in hand; a stream that stays open, or a
/// request that never ends, is cut off after five seconds.
///
/// # Errors
/// What the listener says.
pub async fn run(
    state: AppState,
    listener: TcpListener,
    shutdown: impl Future<Output = ()> + Send + 'static,
) -> std::io::Result<()> {
    let service = router(state).into_make_service_with_connect_info::<SocketAddr>();
    let (stop, stopping) = tokio::sync::oneshot::channel::<()>();
    let told = async move {
        shutdown.await;
        // Nobody listens any more once serving has ended.
        let _ = stop.send(());
    };
    let serving = axum::serve(listener, service).with_graceful_shutdown(told);
    let cut_off = async {
        match stopping.await {
            Ok(()) => tokio::time::sleep(limits::GRACE).await,
            Err(_) => std::future::pending().await,
        }
    };
    tokio::select! {
        served = serving.into_future() => served,
        () = cut_off => Ok(()),
    }
}
