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
use hyper::rt::{Read, Write};
use hyper::server::conn::http1;
use hyper::service::service_fn;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::{GracefulShutdown, Watcher};
use notch_store::{Store, StoreError};
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::Notify;
use tower::ServiceExt;

use crate::copying::make_if_due;
use crate::figures::Figures;
use crate::guests::{Guests, Place};
use crate::limits::{AFTER_REFUSAL, CERTIFICATE_LOOK, CONNECTIONS, COPY_LOOK, GRACE, GREETING, HEAD, REST_AFTER};
use crate::router::router;
use crate::secure::{Tls, pointer};
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
    let certificate = tokio::spawn(keep_certificate(state.settings.reach.tls.clone()));
    // What was changed before serving, the demo's evening for one, is made whole too.
    state.written.notify_one();
    let (finished, connections) = (GracefulShutdown::new(), Guests::default());
    let doors = Doors::of(state);
    let stopped = tokio::select! {
        () = take_in(&listener, doors, &finished, &connections) => Ok(()),
        () = shutdown => Ok(()),
        damage = damage_in(store.clone()) => Err(damage),
    };
    drop(listener);
    // What takes longer is cut off.
    let _ = tokio::time::timeout(GRACE, finished.shutdown()).await;
    resting.abort();
    copying.abort();
    certificate.abort();
    // A reading that goes on holds it up; then the changes stand beside the file, which says so.
    let _ = blocking(move || Ok(store.rest())).await;
    stopped
}

/// What is behind a connection.
#[derive(Clone)]
struct Doors {
    /// The program.
    program: Router,
    /// Counts who comes.
    figures: Arc<Figures>,
    /// Where TLS is spoken: that, and what is answered without it.
    tls: Option<(Arc<Tls>, Router)>,
}

impl Doors {
    fn of(state: AppState) -> Doors {
        let reach = state.settings.reach.clone();
        let tls = reach.tls.clone().map(|tls| (tls, pointer(reach)));
        Doors { figures: state.figures.clone(), program: router(state), tls }
    }
}

/// Takes in every connection there is room for.
async fn take_in(listener: &TcpListener, doors: Doors, finished: &GracefulShutdown, guests: &Guests) {
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
        // Small answers go at once.
        let _ = stream.set_nodelay(true);
        let task = tokio::spawn(let_in(stream, address, doors.clone(), place, finished.watcher()));
        guests.ended_by(number, task.abort_handle());
    }
}

/// First byte of a greeting in TLS; no request in plain HTTP begins with it.
const GREETS: u8 = 0x16;

/// Serves a connection to its end, by TLS where it greets so.
async fn let_in(stream: TcpStream, address: SocketAddr, doors: Doors, place: Place, watcher: Watcher) {
    let _connected = doors.figures.connected();
    let done = match doors.tls {
        None => watcher.watch(connection(TokioIo::new(stream), address, doors.program, place)).await,
        Some((tls, pointer)) => {
            let mut first = [0];
            match tokio::time::timeout(GREETING, stream.peek(&mut first)).await {
                Ok(Ok(1)) if first == [GREETS] => {}
                Ok(Ok(1)) => {
                    let _ = watcher.watch(connection(TokioIo::new(stream), address, pointer, place)).await;
                    return;
                }
                _ => return,
            }
            let stream = match tokio::time::timeout(GREETING, tls.acceptor().accept(stream)).await {
                Ok(Ok(stream)) => stream,
                // A device that does not trust the school yet breaks off here.
                Ok(Err(error)) => return tracing::debug!(%error, "no TLS with {address}"),
                Err(_) => return,
            };
            watcher.watch(connection(TokioIo::new(stream), address, doors.program, place)).await
        }
    };
    if let Err(error) = done {
        tracing::debug!(%error, "a connection broke off");
    }
}

/// One connection, with a bound on the time in which the head of a request must be there.
fn connection<I: Read + Write + Unpin + 'static>(
    stream: I,
    address: SocketAddr,
    router: Router,
    place: Place,
) -> impl hyper_util::server::graceful::GracefulConnection<Error = hyper::Error, Output = Result<(), hyper::Error>> {
    let place = Arc::new(place);
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
    http1::Builder::new().timer(TokioTimer::new()).header_read_timeout(HEAD).serve_connection(stream, service)
}

/// Has the certificate follow the calendar, the addresses of this machine, and given files.
async fn keep_certificate(tls: Option<Arc<Tls>>) {
    let Some(tls) = tls else { return };
    loop {
        tokio::time::sleep(CERTIFICATE_LOOK).await;
        let tls = tls.clone();
        if let Ok(Err(error)) = tokio::task::spawn_blocking(move || tls.refresh()).await {
            tracing::warn!(%error, "the certificate stays as it was");
        }
    }
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
