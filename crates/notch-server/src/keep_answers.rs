//! Answers that are given again until something changes.
//!
//! A class asks the same few things over and over: stations, the yard, the rack. What was worked out
//! since the latest change of the database, on the same day, is the same; so it is kept as the bytes
//! that were sent, with the body of the question where it has one. What several ask at once is worked out
//! once: the first works, the others wait for it, and where the first goes away the next takes over. Which
//! routes only read, the router says. Only a whole JSON answer is kept: anything else, a stream above all, passes through untouched.

use axum::body::{Body, HttpBody, to_bytes};
use axum::extract::Request;
use axum::http::{StatusCode, header};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;
use crate::kept_answers::Answer;
use crate::let_in::School;
use crate::limits::BODY_LIMIT;

/// Answers from what is kept, or works the answer out and keeps it. An answer that may not be kept is
/// nobody's but the asker's: who waited for it asks in turn.
pub(crate) async fn keep_answers(School(state): School, request: Request, next: Next) -> Response {
    // The number of the change is read before the database is: an answer is never newer than it says.
    let changes = match state.store.changes() {
        Ok(changes) => changes,
        Err(error) => return ApiError::from(error).into_response(),
    };
    let moment = (changes, state.settings.clock.now().as_second().div_euclid(15 * 60));
    let (parts, body) = request.into_parts();
    let Ok(body) = to_bytes(body, BODY_LIMIT).await else { return ApiError::TooLarge(BODY_LIMIT).into_response() };
    let asked = (parts.method.clone(), parts.uri.to_string(), body.clone());
    let place = state.kept_answers.place(moment, asked);
    let work_out = || async {
        let answer = worked_out(Request::from_parts(parts, Body::from(body)), next).await?;
        state.kept_answers.count(moment, answer.bytes.len());
        Ok(answer)
    };
    match place.get_or_try_init(work_out).await {
        Ok(answer) => answer.clone().into_response(),
        Err(as_it_is) => as_it_is,
    }
}

/// The answer as it may be given again, or as it is where it may not.
async fn worked_out(request: Request, next: Next) -> Result<Answer, Response> {
    let response = next.run(request).await;
    let plain = response.headers().keys().all(|name| *name == header::CONTENT_TYPE || *name == header::CONTENT_LENGTH);
    let kind = response.headers().get(header::CONTENT_TYPE).filter(|kind| *kind == "application/json").cloned();
    let whole = response.body().size_hint().exact().is_some();
    let (Some(kind), true) = (kind, plain && whole && response.status() == StatusCode::OK) else { return Err(response) };
    match to_bytes(response.into_body(), usize::MAX).await {
        Ok(bytes) => Ok(Answer { kind, bytes }),
        Err(error) => Err(ApiError::Internal(error.to_string()).into_response()),
    }
}

#[cfg(test)]
mod tests {
    use std::convert::Infallible;
    use std::pin::Pin;
    use std::sync::Arc;
    use std::sync::atomic::{AtomicUsize, Ordering};
    use std::task::{Context, Poll};
    use std::time::Duration;

    use axum::body::Bytes;
    use axum::{Json, Router, middleware, routing};
    use http_body::Frame;
    use notch_core::catalogue::Catalogue;
    use notch_store::Store;
    use tower::ServiceExt;

    use super::*;
    use crate::{AppState, Clock, Reach, Settings};

    /// A body that is never ready.
    struct Open;

    impl HttpBody for Open {
        type Data = Bytes;
        type Error = Infallible;

        fn poll_frame(self: Pin<&mut Self>, _: &mut Context<'_>) -> Poll<Option<Result<Frame<Bytes>, Infallible>>> {
            Poll::Pending
        }
    }

    fn asking(route: routing::MethodRouter) -> (tempfile::TempDir, Router) {
        let folder = tempfile::tempdir().unwrap();
        let settings = Settings { demo: false, beside_own: false, made_up: None, reach: Reach::default(), clock: Clock::System };
        let state = AppState::new(&Catalogue::shipped().unwrap(), Store::open(folder.path()).unwrap(), settings);
        let router =
            Router::new().route("/asked", route).route_layer(middleware::from_fn(keep_answers)).layer(axum::Extension(state));
        (folder, router)
    }

    async fn ask(router: Router) -> StatusCode {
        let request = Request::builder().uri("/asked").body(Body::empty()).unwrap();
        let answer = tokio::time::timeout(Duration::from_secs(5), router.oneshot(request)).await;
        answer.expect("it is not waited for for ever").unwrap().status()
    }

    #[tokio::test]
    async fn what_several_ask_at_once_is_worked_out_once() {
        let times = Arc::new(AtomicUsize::new(0));
        let counted = times.clone();
        let (_folder, router) = asking(routing::get(move || async move {
            counted.fetch_add(1, Ordering::Relaxed);
            tokio::time::sleep(Duration::from_millis(50)).await;
            Json(7)
        }));
        let asked = (0..20).map(|_| tokio::spawn(ask(router.clone())));
        for each in asked.collect::<Vec<_>>() {
            assert_eq!(each.await.unwrap(), StatusCode::OK);
        }
        assert_eq!(times.load(Ordering::Relaxed), 1);
    }

    #[tokio::test]
    async fn who_waits_takes_over_from_one_that_goes_away_or_fails() {
        let times = Arc::new(AtomicUsize::new(0));
        let counted = times.clone();
        let (_folder, router) = asking(routing::get(move || async move {
            match counted.fetch_add(1, Ordering::Relaxed) {
                0 => std::future::pending().await,
                1 => Err(ApiError::Busy("once")),
                _ => Ok(Json(7)),
            }
        }));
        let gone = tokio::spawn(ask(router.clone()));
        while times.load(Ordering::Relaxed) == 0 {
            tokio::task::yield_now().await;
        }
        let others: Vec<_> = (0..3).map(|_| tokio::spawn(ask(router.clone()))).collect();
        tokio::task::yield_now().await;
        gone.abort();
        let mut told = Vec::new();
        for each in others {
            told.push(each.await.unwrap());
        }
        told.sort();
        assert_eq!(told, [StatusCode::OK, StatusCode::OK, StatusCode::SERVICE_UNAVAILABLE]);
        assert_eq!(times.load(Ordering::Relaxed), 3);
    }

    #[tokio::test]
    async fn a_stream_passes_through_untouched() {
        let streams = || async { ([(header::CONTENT_TYPE, "application/json")], Body::new(Open)) };
        let (_folder, router) = asking(routing::get(streams));
        assert_eq!(ask(router).await, StatusCode::OK);
    }
}
