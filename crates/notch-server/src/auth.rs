//! Who may ask.

use axum::extract::{Request, State};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};

use crate::error::ApiError;
use crate::passphrase::PASSPHRASE_KEY;
use crate::state::AppState;

/// The passphrase's hash, if one was set; refused if one was and is gone.
pub(crate) async fn passphrase_hash(state: &AppState) -> Result<Option<String>, ApiError> {
    state.sign_ins.noted(state.read_records(|reader| Ok(reader.setting(PASSPHRASE_KEY)?)).await?)
}

/// Lets a request through if no passphrase was set, or if its browser is signed in.
pub(crate) async fn require_sign_in(State(state): State<AppState>, request: Request, next: Next) -> Response {
    match passphrase_hash(&state).await {
        Ok(Some(hash)) if !state.sign_ins.is_signed_in(request.headers(), &hash) => ApiError::SignInNeeded.into_response(),
        Ok(_) => next.run(request).await,
        Err(error) => error.into_response(),
    }
}
