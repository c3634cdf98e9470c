//! The knives.

use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use notch_core::records::{Knife, KnifeFields};
use notch_core::views::{RackKnife, rack_view};

use super::{Archive, Change};
use crate::error::ApiError;
use crate::extract::{Body, Id};
use crate::state::AppState;

/// The rack, each knife drawn.
#[utoipa::path(get, operation_id = "rack_list", path = "/api/rack", tag = "rack", responses((status = 200, body = Vec<RackKnife>)))]
pub(crate) async fn list(State(state): State<AppState>) -> Result<Json<Vec<RackKnife>>, ApiError> {
    state.read(|reader, catalogue| Ok(Json(rack_view(catalogue, &reader.knives()?)))).await
}

/// Puts a knife on the rack.
#[utoipa::path(post, operation_id = "rack_add", path = "/api/rack", tag = "rack", request_body = KnifeFields,
    responses((status = 201, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add(
    State(state): State<AppState>,
    Body(fields): Body<KnifeFields>,
) -> Result<(StatusCode, Json<Knife>), ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(fields.check(catalogue))?;
            Ok((StatusCode::CREATED, Json(writer.add_knife(&fields)?)))
        })
        .await
}

/// Changes a knife.
#[utoipa::path(put, operation_id = "rack_change", path = "/api/rack/{id}", tag = "rack", params(("id" = i64, Path)), request_body = Change<KnifeFields>,
    responses((status = 200, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn change(
    State(state): State<AppState>,
    Id(id): Id,
    Body(change): Body<Change<KnifeFields>>,
) -> Result<Json<Knife>, ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(change.fields.check(catalogue))?;
            Ok(Json(writer.change_knife(id, change.version, &change.fields)?))
        })
        .await
}

/// Takes a knife off the rack, or puts it back.
#[utoipa::path(post, operation_id = "rack_archive", path = "/api/rack/{id}/archive", tag = "rack", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn archive(
    State(state): State<AppState>,
    Id(id): Id,
    Body(body): Body<Archive>,
) -> Result<Json<Knife>, ApiError> {
    state.write(move |writer, _| Ok(Json(writer.archive_knife(id, body.version, body.archived)?))).await
}
