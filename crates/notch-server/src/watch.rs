//! What a host watches: whether the program is well, and figures for Prometheus. On a listener of its own, which no
//! class reaches.

use std::time::Instant;

use axum::Router;
use axum::extract::{MatchedPath, Request, State};
use axum::http::{StatusCode, header};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use axum::routing::get;
use tokio::net::TcpListener;

use crate::copying::folder;
use crate::error::ApiError;
use crate::let_in::School;
use crate::state::AppState;
use crate::turns::blocking;

/// Counts a request and its time.
pub(crate) async fn count(School(state): School, request: Request, next: Next) -> Response {
    let route = request.extensions().get::<MatchedPath>().map_or("page", MatchedPath::as_str).to_owned();
    let method = request.method().clone();
    let begun = Instant::now();
    let response = next.run(request).await;
    let kind = if method.is_safe() { "read" } else { "change" };
    state.figures.answered(kind, method.as_str(), route, response.status().as_u16(), begun.elapsed());
    response
}

/// Serves what a host watches, until the program ends.
pub async fn watch(listener: TcpListener, routes: Router) {
    if let Err(error) = axum::serve(listener, routes).await {
        tracing::error!(%error, "nothing is answered to who watches any more");
    }
}

/// The routes of the listener that a host watches.
pub fn watched(state: AppState) -> Router {
    Router::new()
        .route("/healthz", get(|| async { "well\n" }))
        .route("/readyz", get(ready))
        .route("/metrics", get(metrics))
        .with_state(state)
}

/// Whether a class could be held now: the school's file can be read.
async fn ready(State(state): State<AppState>) -> Response {
    match state.read_records(|reader| Ok(reader.people_who_sign_in()?)).await {
        Ok(_) => "ready\n".into_response(),
        Err(error) => (StatusCode::SERVICE_UNAVAILABLE, format!("not ready: {}\n", error.document().detail)).into_response(),
    }
}

async fn metrics(State(state): State<AppState>) -> Result<Response, ApiError> {
    let figures = state.figures.clone();
    let text = blocking(move || {
        let newest = folder(&state.store).list()?.into_iter().find(|copy| !copy.before_change);
        let latest_copy = newest.map_or(0, |copy| copy.at.as_second());
        figures.text(state.store.bytes(), latest_copy, state.copying.failed().is_some())
    })
    .await?;
    let kind = "application/openmetrics-text; version=1.0.0; charset=utf-8";
    Ok(([(header::CONTENT_TYPE, kind)], text).into_response())
}
