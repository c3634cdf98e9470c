//! Answers that are kept, as the bytes that were sent.

use std::collections::HashMap;
use std::sync::{Mutex, PoisonError};

use axum::body::Bytes;
use axum::http::{HeaderValue, Method, header};
use axum::response::{IntoResponse, Response};

/// Most bytes of all answers together; over it they are dropped, and kept anew.
const MOST_BYTES: usize = 8 * 1024 * 1024;

/// What was asked: method, address with its query, body.
pub(crate) type Asked = (Method, String, Bytes);

/// When answers were worked out: after which change, and in which quarter of an hour of UTC. A day begins
/// at one in every time zone, so no answer of yesterday is given today.
pub(crate) type Moment = (i64, i64);

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
    pub(crate) fn find(&self, moment: Moment, asked: &Asked) -> Option<Response> {
        let kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        let (kind, bytes) = kept.answers.get(asked).filter(|_| kept.moment == Some(moment))?;
        Some(([(header::CONTENT_TYPE, kind.clone())], bytes.clone()).into_response())
    }

    pub(crate) fn keep(&self, moment: Moment, asked: Asked, kind: HeaderValue, bytes: Bytes) {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if kept.moment != Some(moment) || kept.bytes > MOST_BYTES {
            *kept = Kept { moment: Some(moment), ..Kept::default() };
        }
        kept.bytes += bytes.len() + asked.1.len() + asked.2.len();
        kept.answers.insert(asked, (kind, bytes));
    }
}
