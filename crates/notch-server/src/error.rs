//! Failures as `application/problem+json` (RFC 9457).

use axum::Json;
use axum::http::{HeaderValue, StatusCode, header};
use axum::response::{IntoResponse, Response};
use notch_core::Problem;
use notch_store::StoreError;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::limits::COME_AGAIN;

/// A failure, by its cause.
#[derive(Debug)]
pub enum ApiError {
    /// Fields that were refused (422).
    Fields(Vec<Problem>),
    /// A body that cannot be read at all (400).
    Body(String),
    /// A body over the limit (413).
    TooLarge(usize),
    /// No such record, or no such address (404).
    NotFound(String),
    /// The record was removed (410).
    Gone(String),
    /// Changed meanwhile, or not possible now (409).
    Conflict(String),
    /// Not signed in (401).
    SignInNeeded,
    /// Wrong passphrase (401).
    WrongPassphrase,
    /// Too many tries (429): how many seconds to wait.
    TooManyTries(u32),
    /// A school asks for more than its host gives it (429).
    TooMuchAsked,
    /// The school has grown to the size that its host gives it (507).
    SchoolFull {
        /// Its size.
        bytes: u64,
        /// What it is given.
        most: u64,
    },
    /// No time for it now; nothing was begun, or nothing of it was kept (503).
    Busy(&'static str),
    /// A body that did not come in time (408).
    TooSlow,
    /// The disk is full (507).
    DiskFull,
    /// Another method (405).
    Method,
    /// From another site, or for another host (403).
    Forbidden(&'static str),
    /// Not the caller's fault; told to the log only (500).
    Internal(String),
}

/// The body of every failure.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub struct ProblemDocument {
    /// Kind of failure, a path that never changes.
    #[serde(rename = "type")]
    pub kind: String,
    /// The kind in words.
    pub title: String,
    /// HTTP status.
    pub status: u16,
    /// What happened here.
    pub detail: String,
    /// Each refused field with its value and what is allowed.
    pub problems: Vec<Problem>,
}

impl From<StoreError> for ApiError {
    fn from(error: StoreError) -> Self {
        match error {
            StoreError::NotFound { .. } => ApiError::NotFound(error.to_string()),
            StoreError::Archived { .. } => ApiError::Gone(error.to_string()),
            StoreError::Stale { .. } | StoreError::Conflict(_) => ApiError::Conflict(error.to_string()),
            StoreError::Refused(problems) => ApiError::Fields(problems),
            StoreError::Locked => {
                ApiError::Busy("Another program holds the school's file. Nothing of this was kept; try again in a moment.")
            }
            StoreError::Full => ApiError::DiskFull,
            StoreError::Newer { .. }
            | StoreError::Corrupt { .. }
            | StoreError::Folder { .. }
            | StoreError::Part { .. }
            | StoreError::NoSchool { .. }
            | StoreError::Served { .. }
            | StoreError::Import(_)
            | StoreError::Row { .. }
            | StoreError::Sqlite(_)
            | StoreError::Value(_) => ApiError::Internal(error.to_string()),
        }
    }
}

impl From<Vec<Problem>> for ApiError {
    fn from(problems: Vec<Problem>) -> Self {
        ApiError::Fields(problems)
    }
}

impl ApiError {
    /// `Ok` if there is no problem.
    pub(crate) fn unless_empty(problems: Vec<Problem>) -> Result<(), ApiError> {
        if problems.is_empty() { Ok(()) } else { Err(ApiError::Fields(problems)) }
    }

    /// What happened, as who runs the program is told.
    pub(crate) fn for_the_host(self) -> String {
        match self {
            ApiError::Internal(chain) => chain,
            other => other.document().detail,
        }
    }

    /// What happened, as it is told.
    pub fn document(self) -> ProblemDocument {
        let (status, kind, title, detail, problems) = match self {
            ApiError::Fields(problems) => {
                let detail = problems.iter().map(|problem| problem.message.as_str()).collect::<Vec<_>>().join(" ");
                (StatusCode::UNPROCESSABLE_ENTITY, "fields", "Some fields cannot be taken", detail, problems)
            }
            ApiError::Body(detail) => (StatusCode::BAD_REQUEST, "body", "The request cannot be read", detail, Vec::new()),
            ApiError::TooLarge(most) => {
                let detail = format!("The request is larger than the {} kB that are allowed.", most / 1024);
                (StatusCode::PAYLOAD_TOO_LARGE, "too-large", "Too large", detail, Vec::new())
            }
            ApiError::NotFound(detail) => (StatusCode::NOT_FOUND, "not-found", "Not found", detail, Vec::new()),
            ApiError::Gone(detail) => (StatusCode::GONE, "gone", "Removed meanwhile", detail, Vec::new()),
            ApiError::Conflict(detail) => (StatusCode::CONFLICT, "conflict", "Not as it was", detail, Vec::new()),
            ApiError::SignInNeeded => (
                StatusCode::UNAUTHORIZED,
                "sign-in",
                "Sign in first",
                "Sign in with your passphrase first.".to_owned(),
                Vec::new(),
            ),
            ApiError::WrongPassphrase => {
                let detail = "Name and passphrase do not belong together.".to_owned();
                (StatusCode::UNAUTHORIZED, "passphrase", "Wrong passphrase", detail, vec![wrong_passphrase()])
            }
            ApiError::TooManyTries(seconds) => {
                let detail = format!("Too many tries. Wait {seconds} s, then try again.");
                (StatusCode::TOO_MANY_REQUESTS, "too-many", "Too many tries", detail, Vec::new())
            }
            ApiError::TooMuchAsked => {
                let detail =
                    "This school asks for more at once than its host gives it. Nothing of this was begun; try again in a moment.";
                (StatusCode::TOO_MANY_REQUESTS, "too-much-asked", "Too much at once", detail.to_owned(), Vec::new())
            }
            ApiError::SchoolFull { bytes, most } => {
                (StatusCode::INSUFFICIENT_STORAGE, "school-full", "The school is full", school_full(bytes, most), Vec::new())
            }
            ApiError::Busy(detail) => (StatusCode::SERVICE_UNAVAILABLE, "busy", "No time now", detail.to_owned(), Vec::new()),
            ApiError::TooSlow => {
                let detail = "The request did not come in time. Nothing of it was done.".to_owned();
                (StatusCode::REQUEST_TIMEOUT, "too-slow", "Too slow", detail, Vec::new())
            }
            ApiError::DiskFull => {
                let detail = "The disk is full. Nothing of this was kept; make room, then try again.".to_owned();
                (StatusCode::INSUFFICIENT_STORAGE, "disk-full", "The disk is full", detail, Vec::new())
            }
            ApiError::Method => {
                let detail = "This address does not take that method.".to_owned();
                (StatusCode::METHOD_NOT_ALLOWED, "method", "Not this method", detail, Vec::new())
            }
            ApiError::Forbidden(detail) => (StatusCode::FORBIDDEN, "forbidden", "Refused", detail.to_owned(), Vec::new()),
            ApiError::Internal(chain) => {
                tracing::error!(error = chain, "request failed");
                let detail = "Something went wrong on our side. Nothing was changed.".to_owned();
                (StatusCode::INTERNAL_SERVER_ERROR, "internal", "Our fault", detail, Vec::new())
            }
        };
        ProblemDocument { kind: format!("/problems/{kind}"), title: title.to_owned(), status: status.as_u16(), detail, problems }
    }
}

fn school_full(bytes: u64, most: u64) -> String {
    format!(
        "The school has {} MB, and its host gives it {}. Nothing of this was kept; all can still be read. Ask who runs the host.",
        bytes.div_ceil(1_000_000),
        most / 1_000_000
    )
}

fn wrong_passphrase() -> Problem {
    Problem::new("/passphrase", "Passphrase", "", "that belongs to this name was given", "the passphrase of this name")
}

impl IntoResponse for ApiError {
    fn into_response(self) -> Response {
        let wait = match &self {
            ApiError::TooManyTries(seconds) => Some(*seconds),
            ApiError::TooMuchAsked => Some(1),
            ApiError::Busy(_) => Some(COME_AGAIN),
            _ => None,
        };
        let document = self.document();
        let status = StatusCode::from_u16(document.status).unwrap_or(StatusCode::INTERNAL_SERVER_ERROR);
        let mut response = (status, Json(document)).into_response();
        response.headers_mut().insert(header::CONTENT_TYPE, HeaderValue::from_static("application/problem+json"));
        if let Some(seconds) = wait {
            response.headers_mut().insert(header::RETRY_AFTER, HeaderValue::from(seconds));
        }
        response
    }
}
