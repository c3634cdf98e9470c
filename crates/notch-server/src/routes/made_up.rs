//! The made-up school, opened from the page and left again.

use axum::http::{StatusCode, header};
use axum::response::{AppendHeaders, IntoResponse};

use crate::error::ApiError;
use crate::let_in::School;
use crate::made_up::{LEAVE, LOOK};

/// This browser looks at the made-up school from now on; it has a folder of its own.
#[utoipa::path(post, operation_id = "made_up_open", path = "/api/made-up", tag = "about", responses((status = 204)))]
pub(crate) async fn open(School(state): School) -> Result<impl IntoResponse, ApiError> {
    let nothing = || ApiError::NotFound("this program shows the made-up school already".to_owned());
    let _opened = state.settings.made_up.as_ref().ok_or_else(nothing)?.router().await?;
    Ok((StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, LOOK)])))
}

/// This browser is back at the school's own records.
#[utoipa::path(delete, operation_id = "made_up_leave", path = "/api/made-up", tag = "about", responses((status = 204)))]
pub(crate) async fn leave() -> impl IntoResponse {
    (StatusCode::NO_CONTENT, AppendHeaders([(header::SET_COOKIE, LEAVE)]))
}
