//! Answers that are kept, as the bytes that were sent.

use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};

use axum::body::Bytes;
use axum::http::{HeaderValue, Method, header};
use axum::response::{IntoResponse, Response};
use tokio::sync::OnceCell;

/// Most bytes of all answers together; over it they are dropped, and kept anew.
const MOST_BYTES: usize = 8 * 1024 * 1024;

/// What a place takes, whether an answer comes into it or not.
const PLACE_BYTES: usize = 256;

/// What was asked: method, address with its query, body.
pub(crate) type Asked = (Method, String, Bytes);

/// When answers were worked out: after which change, and in which quarter of an hour of UTC. A day begins
/// at one in every time zone, so no answer of yesterday is given today.
pub(crate) type Moment = (i64, i64);

/// An answer that may be given again.
#[derive(Clone, Debug)]
pub(crate) struct Answer {
    pub(crate) kind: HeaderValue,
    pub(crate) bytes: Bytes,
}

impl IntoResponse for Answer {
    fn into_response(self) -> Response {
        ([(header::CONTENT_TYPE, self.kind)], self.bytes).into_response()
    }
}

/// The place of one question's answer: who asks first works it out, the others wait for it.
pub(crate) type Place = Arc<OnceCell<Answer>>;

/// The answers of one moment.
#[derive(Debug, Default)]
pub(crate) struct KeptAnswers(Mutex<Kept>);

#[derive(Debug, Default)]
struct Kept {
    moment: Option<Moment>,
    bytes: usize,
    places: HashMap<Asked, Place>,
}

impl KeptAnswers {
    /// The place of a question's answer at this moment.
    pub(crate) fn place(&self, moment: Moment, asked: Asked) -> Place {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if kept.moment != Some(moment) || kept.bytes > MOST_BYTES {
            *kept = Kept { moment: Some(moment), ..Kept::default() };
        }
        if let Some(place) = kept.places.get(&asked) {
            return place.clone();
        }
        kept.bytes += PLACE_BYTES + asked.1.len() + asked.2.len();
        kept.places.entry(asked).or_default().clone()
    }

    /// Nothing is kept any more.
    pub(crate) fn forget(&self) {
        *self.0.lock().unwrap_or_else(PoisonError::into_inner) = Kept::default();
    }

    /// So many bytes were kept.
    pub(crate) fn count(&self, moment: Moment, bytes: usize) {
        let mut kept = self.0.lock().unwrap_or_else(PoisonError::into_inner);
        if kept.moment == Some(moment) {
            kept.bytes += bytes;
        }
    }
}
