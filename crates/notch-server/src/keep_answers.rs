//! Answers that are given again until something changes.
//!
//! A class asks the same few things over and over: stations, the yard, the rack. What was worked out
//! since the latest change of the database, on the same day, is the same; so it is kept as the bytes
//! that were sent, with the body of the question where it has one. Which routes only read, the router
//! says. Only a whole JSON answer is kept: anything else, a stream above all, passes through untouched.

use axum::body::{Body, HttpBody, to_bytes};
use axum::extract::{Request, State};
use axum::http::{StatusCode, header};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;
use crate::limits::BODY_LIMIT;
use crate::state::AppState;

/// Answers from what is kept, or works the answer out and keeps it.
pub(crate) async fn keep_answers(State(state): State<AppState>, request: Request, next: Next) -> Response {
    // The number of the change is read before the database is: an answer is never newer than it says.
    let changes = match state.store.changes() {
        Ok(changes) => changes,
        Err(error) => return ApiError::from(error).into_response(),
    };
    let moment = (changes, state.settings.clock.now().as_second().div_euclid(15 * 60));
    let (parts, body) = request.into_parts();
    let Ok(body) = to_bytes(body, BODY_LIMIT).await else { return ApiError::TooLarge.into_response() };
    let asked = (parts.method.clone(), parts.uri.to_string(), body.clone());
    if let Some(found) = state.kept_answers.find(moment, &asked) {
        return found;
    }
    let response = next.run(Request::from_parts(parts, Body::from(body))).await;
    let plain = response.headers().keys().all(|name| *name == header::CONTENT_TYPE || *name == header::CONTENT_LENGTH);
    let kind = response.headers().get(header::CONTENT_TYPE).filter(|kind| *kind == "application/json").cloned();
    let whole = response.body().size_hint().exact().is_some();
    let (Some(kind), true) = (kind, plain && whole && response.status() == StatusCode::OK) else { return response };
    let (parts, body) = response.into_parts();
    match to_bytes(body, usize::MAX).await {
        Ok(bytes) => {
            state.kept_answers.keep(moment, asked, kind, bytes.clone());
            Response::from_parts(parts, Body::from(bytes))
        }
        Err(error) => ApiError::Internal(error.to_string()).into_response(),
    }
}

#[cfg(test)]
mod tests {
    use std::convert::Infallible;
    use std::pin::Pin;
    use std::task::{Context, Poll};
    use std::time::Duration;

    use axum::body::Bytes;
    use axum::{Router, middleware, routing};
    use http_body::Frame;
    use notch_core::catalogue::Catalogue;
    use notch_store::Store;
    use tower::ServiceExt;

    use super::*;
    use crate::{Clock, Settings};

    /// A body that is never ready.
    struct Open;

    impl HttpBody for Open {
        type Data = Bytes;
        type Error = Infallible;

        fn poll_frame(self: Pin<&mut Self>, _: &mut Context<'_>) -> Poll<Option<Result<Frame<Bytes>, Infallible>>> {
            Poll::Pending
        }
    }

    #[tokio::test]
    async fn a_stream_passes_through_untouched() {
        let folder = tempfile::tempdir().unwrap();
        let settings = Settings { demo: false, loopback: true, clock: Clock::System };
        let state = AppState::new(Catalogue::shipped().unwrap(), Store::open(folder.path()).unwrap(), settings);
        let streams = || async { ([(header::CONTENT_TYPE, "application/json")], Body::new(Open)) };
        let router = Router::new()
            .route("/open", routing::get(streams))
            .route_layer(middleware::from_fn_with_state(state.clone(), keep_answers))
            .with_state(state);
        let request = Request::builder().uri("/open").body(Body::empty()).unwrap();
        let answer = tokio::time::timeout(Duration::from_secs(5), router.oneshot(request)).await;
        assert_eq!(answer.expect("the answer is not waited for to end").unwrap().status(), StatusCode::OK);
    }
}
