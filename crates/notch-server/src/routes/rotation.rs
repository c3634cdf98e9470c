//! The rotation of a lesson.

use axum::Json;
use axum::http::header;
use axum::response::IntoResponse;
use notch_core::records::{KeptRotation, RotationFields};
use notch_core::views::{RotationView, rotation_table};

use super::Change;
use super::whole_lesson::{LookedAt, rotation_of};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// Who works in which round on which exercise with which knife.
#[utoipa::path(get, operation_id = "rotation_show", path = "/api/lessons/{id}/rotation", tag = "rotation", params(("id" = i64, Path)),
    responses((status = 200, body = RotationView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<RotationView>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| Ok(Json(rotation_of(reader, catalogue, (id, LookedAt::Today(&clock)), None)?))).await
}

/// The rotation with other news of the day: who is away or late, which knife is out, what is held; nothing is kept.
#[utoipa::path(post, operation_id = "rotation_look", path = "/api/lessons/{id}/rotation/look", tag = "rotation", params(("id" = i64, Path)), request_body = RotationFields,
    responses((status = 200, body = RotationView)))]
pub(crate) async fn look(
    School(state): School,
    Id(id): Id,
    Body(news): Body<RotationFields>,
) -> Result<Json<RotationView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            ApiError::unless_empty(news.check())?;
            Ok(Json(rotation_of(reader, catalogue, (id, LookedAt::Today(&clock)), Some(&news))?))
        })
        .await
}

/// Announces the rotation as it is with this news of the day.
#[utoipa::path(put, operation_id = "rotation_announce", path = "/api/lessons/{id}/rotation", tag = "rotation", params(("id" = i64, Path)), request_body = Change<RotationFields>,
    responses((status = 200, body = RotationView)))]
pub(crate) async fn announce(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<RotationFields>>,
) -> Result<Json<RotationView>, ApiError> {
    let clock = state.settings.clock.clone();
    let then = clock.clone();
    state
        .write(
            write,
            move |writer, catalogue, _| {
                ApiError::unless_empty(change.fields.check())?;
                let found = rotation_of(writer, catalogue, (id, LookedAt::Today(&clock)), Some(&change.fields))?;
                ApiError::unless_empty(found.refusals())?;
                let kept = KeptRotation { version: change.version, fields: change.fields, announced: found.turns };
                writer.announce_rotation(id, &kept)?;
                Ok(id)
            },
            move |reader, catalogue, id| Ok(Json(rotation_of(reader, catalogue, (id, LookedAt::Today(&then)), None)?)),
        )
        .await
}

/// The rotation as comma-separated text.
#[utoipa::path(get, operation_id = "rotation_table", path = "/api/lessons/{id}/rotation/table", tag = "rotation", params(("id" = i64, Path)),
    responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(School(state): School, Id(id): Id) -> Result<impl IntoResponse, ApiError> {
    let clock = state.settings.clock.clone();
    let text = state
        .read(move |reader, catalogue| Ok(rotation_table(&rotation_of(reader, catalogue, (id, LookedAt::Today(&clock)), None)?)))
        .await?;
    let name = "attachment; filename=\"rotation.csv\"";
    Ok(([(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)], text))
}
