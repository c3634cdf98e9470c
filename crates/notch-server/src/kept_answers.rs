//! Answers that are given again until something changes.
//!
//! A class asks the same few things over and over: stations, the yard, the rack. What was worked out
//! since the latest change of the database, on the same day, is the same; so it is kept as the bytes
//! that were sent, with the body of the question where it has one. Which routes only read, the router
//! says. Only a whole JSON answer is kept: anything else, a stream above all, passes through untouched.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use axum::body::{Body, Bytes, HttpBody, to_bytes};
use axum::extract::{Request, State};
use axum::http::{HeaderValue, Method, StatusCode, header};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;
use crate::router::BODY_LIMIT;
use crate::state::AppState;

/// Most bytes of all answers together; over it they are dropped, and kept anew.
const MOST_BYTES: usize = 8 * 1024 * 1024;

/// What was asked: method, address with its query, body.
type Asked = (Method, String, Bytes);

/// When answers were worked out: after which change, and in which quarter of an hour of UTC. A day begins
/// at one in every time zone, so no answer of yesterday is given today.
type Moment = (i64, i64);

/// The answers of one moment.
#[derive(Debug, Default)]
pub(crate) struct KeptAnswers(Mutex<Kept>);

#[derive(Debug, Default)]
struct Kept {
    moment: Option<Moment>,
    bytes: usize,
    answers: HashMap<Asked, (HeaderValue, Bytes)>,
}

impl KeptAnswers {
    fn find(&self, moment: Moment, asked: &Asked) -> Option<Response> {
        let kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        let (kind, bytes) = kept.answers.get(asked).filter(|_| kept.moment == Some(moment))?;
        Some(([(header::CONTENT_TYPE, kind.clone())], bytes.clone()).into_response())
    }

    fn keep(&self, moment: Moment, asked: Asked, kind: HeaderValue, bytes: Bytes) {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if kept.moment != Some(moment) || kept.bytes > MOST_BYTES {
            *kept = Kept { moment: Some(moment), ..Kept::default() };
        }
        kept.bytes += bytes.len() + asked.1.len() + asked.2.len();
        kept.answers.insert(asked, (kind, bytes));
    }
}

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
