//! Serving over TCP: who comes in, how long a request may take to arrive, and the stop.

use std::convert::Infallible;
use std::future::Future;
use std::net::SocketAddr;
use std::sync::Arc;

use axum::Router;
use axum::body::Body;
use axum::extract::ConnectInfo;
use axum::http::Request;
use hyper::body::Incoming;
use hyper::server::conn::http1;
use hyper::service::service_fn;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::GracefulShutdown;
use notch_store::{Store, StoreError};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::Notify;
use tower::ServiceExt;

use crate::copying::make_if_due;
use crate::guests::{Guests, Place};
use crate::limits::{AFTER_REFUSAL, CONNECTIONS, COPY_LOOK, GRACE, HEAD, REST_AFTER};
use crate::router::router;
use crate::state::AppState;
use crate::turns::blocking;

/// Serves until `shutdown` ends, then finishes the requests in hand; whatever is still open after a few
/// seconds is cut off. The school's file is then all of the school.
///
/// # Errors
/// Damage that was found in the file, beside serving.
pub async fn run(
    state: AppState,
    listener: TcpListener,
    shutdown: impl Future<Output = ()> + Send + 'static,
) -> Result<(), StoreError> {
    let store = state.store.clone();
    let resting = tokio::spawn(rest_when_idle(store.clone(), state.written.clone()));
    let copying = tokio::spawn(copy_each_day(state.clone()));
    // What was changed before serving, the demo's evening for one, is made whole too.
    state.written.notify_one();
    let (finished, connections) = (GracefulShutdown::new(), Guests::default());
    let stopped = tokio::select! {
        () = take_in(&listener, router(state), &finished, &connections) => Ok(()),
        () = shutdown => Ok(()),
        damage = damage_in(store.clone()) => Err(damage),
    };
    drop(listener);
    // What takes longer is cut off.
    let _ = tokio::time::timeout(GRACE, finished.shutdown()).await;
    resting.abort();
    copying.abort();
    // A reading that goes on holds it up; then the changes stand beside the file, which says so.
    let _ = blocking(move || Ok(store.rest())).await;
    stopped
}

/// Takes in every connection there is room for.
async fn take_in(listener: &TcpListener, router: Router, finished: &GracefulShutdown, guests: &Guests) {
    let mut number = 0;
    loop {
        let (stream, address) = match listener.accept().await {
            Ok(accepted) => accepted,
            Err(error) => {
                tracing::warn!(%error, "a connection could not be taken in");
                tokio::time::sleep(AFTER_REFUSAL).await;
                continue;
            }
        };
        guests.make_room(CONNECTIONS).await;
        number += 1;
        let place = guests.enter(number);
        let connection = finished.watch(connection(stream, address, router.clone(), place));
        let task = tokio::spawn(async move {
            if let Err(error) = connection.await {
                tracing::debug!(%error, "a connection broke off");
            }
        });
        guests.ended_by(number, task.abort_handle());
    }
}

/// One connection, with a bound on the time in which the head of a request must be there.
fn connection(
    stream: TcpStream,
    address: SocketAddr,
    router: Router,
    place: Place,
) -> impl hyper_util::server::graceful::GracefulConnection<Error = hyper::Error, Output = Result<(), hyper::Error>> {
    let place = Arc::new(place);
    // Small answers go at once.
    let _ = stream.set_nodelay(true);
    let service = service_fn(move |request: Request<Incoming>| {
        let (router, place) = (router.clone(), place.clone());
        async move {
            place.is_busy(true);
            let mut request = request.map(Body::new);
            request.extensions_mut().insert(ConnectInfo(address));
            let answer = router.oneshot(request).await;
            place.is_busy(false);
            answer as Result<_, Infallible>
        }
    });
    http1::Builder::new().timer(TokioTimer::new()).header_read_timeout(HEAD).serve_connection(TokioIo::new(stream), service)
}

/// Makes a copy of the school each day, the first soon after the program begins to serve.
async fn copy_each_day(state: AppState) {
    loop {
        let (store, copying) = (state.store.clone(), state.copying.clone());
        if let Err(error) = blocking(move || Ok(make_if_due(&copying, &store)?)).await {
            tracing::warn!(?error, "no copy of the school could be made");
        }
        tokio::time::sleep(COPY_LOOK).await;
    }
}

/// A while after the latest change, has the file hold all changes.
async fn rest_when_idle(store: Arc<Store>, written: Arc<Notify>) {
    loop {
        written.notified().await;
        loop {
            while tokio::time::timeout(REST_AFTER, written.notified()).await.is_ok() {}
            let store = store.clone();
            match blocking(move || Ok(store.rest()?)).await {
                Ok(true) => break,
                // A reading held it up: later.
                Ok(false) => {}
                Err(error) => {
                    tracing::warn!(?error, "the latest changes stand beside the school's file and could not be moved into it");
                    break;
                }
            }
        }
    }
}

/// Ends when damage is found.
async fn damage_in(store: Arc<Store>) -> StoreError {
    match tokio::task::spawn_blocking(move || store.look_for_damage()).await {
        Ok(Err(damage @ StoreError::Corrupt { .. })) => damage,
        Ok(Err(error)) => {
            tracing::warn!(%error, "the school's file could not be looked at for damage");
            std::future::pending().await
        }
        Ok(Ok(())) | Err(_) => std::future::pending().await,
    }
}
