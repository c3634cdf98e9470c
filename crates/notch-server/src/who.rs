//! Who asks.

use axum::extract::FromRequestParts;
use axum::http::request::Parts;
use notch_core::staff::Role;

use crate::error::ApiError;

/// Who asks; the sign-in tells it to the handlers.
#[derive(Clone, Debug)]
pub(crate) struct Who {
    /// Id, if signed in.
    pub staff_id: Option<i64>,
    /// The session, if signed in.
    pub session_id: Option<i64>,
    /// Name; empty while none was chosen on a device where nobody signs in.
    pub name: String,
    /// What may be changed.
    pub role: Role,
}

impl<S: Send + Sync> FromRequestParts<S> for Who {
    type Rejection = ApiError;

    async fn from_request_parts(parts: &mut Parts, _state: &S) -> Result<Self, ApiError> {
        parts.extensions.get::<Who>().cloned().ok_or(ApiError::SignInNeeded)
    }
}
