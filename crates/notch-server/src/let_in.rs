//! The school that a request was let in to.

use axum::extract::FromRequestParts;
use axum::http::request::Parts;

use crate::error::ApiError;
use crate::state::AppState;

/// The school that a request was let in to: whoever let it in has put it there, and no handler can reach another.
pub(crate) struct School(pub AppState);

impl<S: Send + Sync> FromRequestParts<S> for School {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, _: &S) -> Result<Self, ApiError> {
        let let_in_to = parts.extensions.get::<AppState>().cloned();
        let_in_to.map(School).ok_or_else(|| ApiError::Internal("a request was let in to no school".to_owned()))
    }
}
