//! Serving over TCP: who comes in, how long a request may take to arrive, and the stop.

use std::convert::Infallible;
use std::future::Future;
use std::net::{IpAddr, SocketAddr};
use std::sync::Arc;

use axum::Router;
use axum::body::Body;
use axum::extract::ConnectInfo;
use axum::http::{HeaderMap, Request};
use hyper::body::Incoming;
use hyper::rt::{Read, Write};
use hyper::server::conn::http1;
use hyper::service::service_fn;
use hyper_util::rt::{TokioIo, TokioTimer};
use hyper_util::server::graceful::{GracefulShutdown, Watcher};
use notch_store::{Store, StoreError};
use tokio::net::{TcpListener, TcpStream};
use tower::ServiceExt;

use crate::copying::make_if_due;
use crate::figures::Figures;
use crate::guests::{Guests, Place};
use crate::host::{Host, host_router};
use crate::limits::{AFTER_REFUSAL, CERTIFICATE_LOOK, CONNECTIONS, CONNECTIONS_OF_HOST, COPY_LOOK, GRACE, GREETING, HEAD};
use crate::resting::rest_when_idle;
use crate::router::router;
use crate::secure::{Reach, Tls, pointer};
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
    let reach = state.settings.reach.clone();
    let (figures, live) = (state.figures.clone(), state.live.clone());
    let doors = Doors::to(router(state), &reach, figures);
    let stopped = tokio::select! {
        () = take_in(&listener, doors, &finished, &connections) => Ok(()),
        () = shutdown => Ok(()),
        damage = damage_in(store.clone()) => Err(damage),
    };
    drop(listener);
    live.end();
    // What takes longer is cut off.
    let _ = tokio::time::timeout(GRACE, finished.shutdown()).await;
    resting.abort();
    copying.abort();
    certificate.abort();
    // A reading that goes on holds it up; then the changes stand beside the file, which says so.
    let _ = blocking(move || Ok(store.rest())).await;
    stopped
}

/// Serves the schools of a host until `shutdown` ends, then finishes the requests in hand and closes every school.
pub async fn run_host(host: Host, listener: TcpListener, shutdown: impl Future<Output = ()> + Send + 'static) {
    let house = tokio::spawn(host.clone().keep_house());
    let certificate = tokio::spawn(keep_certificate(host.reach().tls.clone()));
    let (finished, connections) = (GracefulShutdown::new(), Guests::default());
    let doors = Doors::to(host_router(host.clone()), host.reach(), host.figures().clone());
    tokio::select! {
        () = take_in(&listener, doors, &finished, &connections) => {}
        () = shutdown => {}
    }
    drop(listener);
    host.end_live().await;
    // What takes longer is cut off.
    let _ = tokio::time::timeout(GRACE, finished.shutdown()).await;
    house.abort();
    certificate.abort();
    let _ = house.await;
    host.close_all().await;
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
    /// A proxy says by whom a request was sent.
    proxied: bool,
    /// Most connections at once.
    most: usize,
}

impl Doors {
    fn to(program: Router, reach: &Reach, figures: Arc<Figures>) -> Doors {
        let tls = reach.tls.clone().map(|tls| (tls, pointer(reach.clone())));
        let most = if reach.of_many { CONNECTIONS_OF_HOST } else { CONNECTIONS };
        Doors { program, figures, tls, proxied: reach.proxied, most }
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
        guests.make_room(doors.most).await;
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
        None => watcher.watch(connection(TokioIo::new(stream), (address, doors.proxied), doors.program, place)).await,
        Some((tls, pointer)) => {
            let mut first = [0];
            match tokio::time::timeout(GREETING, stream.peek(&mut first)).await {
                Ok(Ok(1)) if first == [GREETS] => {}
                Ok(Ok(1)) => {
                    let _ = watcher.watch(connection(TokioIo::new(stream), (address, false), pointer, place)).await;
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
            watcher.watch(connection(TokioIo::new(stream), (address, doors.proxied), doors.program, place)).await
        }
    };
    if let Err(error) = done {
        tracing::debug!(%error, "a connection broke off");
    }
}

/// One connection, with a bound on the time in which the head of a request must be there.
fn connection<I: Read + Write + Unpin + 'static>(
    stream: I,
    (address, proxied): (SocketAddr, bool),
    router: Router,
    place: Place,
) -> impl hyper_util::server::graceful::GracefulConnection<Error = hyper::Error, Output = Result<(), hyper::Error>> {
    let place = Arc::new(place);
    let service = service_fn(move |request: Request<Incoming>| {
        let (router, place) = (router.clone(), place.clone());
        async move {
            place.is_busy(true);
            let mut request = request.map(Body::new);
            let sender = if proxied { sent_by(request.headers()) } else { None };
            request.extensions_mut().insert(ConnectInfo(sender.map_or(address, |sender| SocketAddr::new(sender, 0))));
            let answer = router.oneshot(request).await;
            place.is_busy(false);
            answer as Result<_, Infallible>
        }
    });
    http1::Builder::new().timer(TokioTimer::new()).header_read_timeout(HEAD).serve_connection(stream, service)
}

/// By whom a request was sent, as the proxy says that handed it on: the last of those who say so is the one that the
/// proxy saw itself.
fn sent_by(headers: &HeaderMap) -> Option<IpAddr> {
    let said = headers.get_all("x-forwarded-for").iter().next_back()?.to_str().ok()?;
    said.rsplit(',').next()?.trim().parse().ok()
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

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn of_those_who_sent_a_request_on_the_last_is_believed() {
        let mut headers = HeaderMap::new();
        assert_eq!(sent_by(&headers), None);
        headers.append("x-forwarded-for", "10.9.9.9, 192.0.2.7".parse().unwrap());
        assert_eq!(sent_by(&headers), Some("192.0.2.7".parse().unwrap()));
        headers.append("x-forwarded-for", "2001:db8::7".parse().unwrap());
        assert_eq!(sent_by(&headers), Some("2001:db8::7".parse().unwrap()));
        headers.append("x-forwarded-for", "unknown".parse().unwrap());
        assert_eq!(sent_by(&headers), None);
    }
}
