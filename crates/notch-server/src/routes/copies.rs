//! Copies of the school: how they stand, one more now, how many are kept.

use axum::Json;
use axum::http::StatusCode;
use jiff::Timestamp;
use notch_core::copies::{CopiesState, KeepCopies, copies_state};
use serde::Serialize;
use utoipa::ToSchema;

use crate::copying::{KEEP_KEY, folder, keep};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite};
use crate::let_in::School;
use crate::state::AppState;
use crate::turns::blocking;

/// A copy of the school.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct KeptCopy {
    /// Name of its file.
    name: String,
    /// When it was made.
    #[schema(value_type = String, format = DateTime)]
    at: Timestamp,
    /// Its size, bytes.
    bytes: u64,
    /// Made because a newer program was about to change the file.
    before_change: bool,
}

/// The copies of the school.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CopiesView {
    /// How they stand.
    state: CopiesState,
    /// All of them, the newest first.
    copies: Vec<KeptCopy>,
    /// How many are kept.
    keep: KeepCopies,
}

async fn view(state: AppState) -> Result<CopiesView, ApiError> {
    blocking(move || {
        let copies = folder(&state.store).list()?;
        let newest = copies.iter().find(|copy| !copy.before_change).map(|copy| copy.at);
        Ok(CopiesView {
            state: copies_state(newest, state.copying.failed().as_deref(), Timestamp::now()),
            keep: keep(&state.store)?,
            copies: copies
                .into_iter()
                .map(|copy| KeptCopy { name: copy.name, at: copy.at, bytes: copy.bytes, before_change: copy.before_change })
                .collect(),
        })
    })
    .await
}

/// How the copies of the school stand.
#[utoipa::path(get, operation_id = "copies_show", path = "/api/copies", tag = "copies", responses((status = 200, body = CopiesView)))]
pub(crate) async fn show(School(state): School) -> Result<Json<CopiesView>, ApiError> {
    Ok(Json(view(state).await?))
}

/// Makes a copy now, while the school goes on, and checks it.
#[utoipa::path(post, operation_id = "copies_make", path = "/api/copies", tag = "copies", responses((status = 201, body = CopiesView)))]
pub(crate) async fn make(School(state): School) -> Result<(StatusCode, Json<CopiesView>), ApiError> {
    let making = state.clone();
    blocking(move || Ok(making.copying.make(&making.store).map(drop)?)).await?;
    Ok((StatusCode::CREATED, Json(view(state).await?)))
}

/// Says how many copies are kept; the next one thins them out.
#[utoipa::path(put, operation_id = "copies_keep", path = "/api/copies/keep", tag = "copies", request_body = KeepCopies,
    responses((status = 200, body = KeepCopies)))]
pub(crate) async fn say_keep(
    School(state): School,
    write: DeviceWrite,
    Body(asked): Body<KeepCopies>,
) -> Result<Json<KeepCopies>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(asked.check())?;
                writer.set_setting(
                    KEEP_KEY,
                    &serde_json::to_string(&asked).map_err(|error| ApiError::Internal(error.to_string()))?,
                )?;
                Ok(asked)
            },
            |_, _, kept| Ok(Json(kept)),
        )
        .await
}
