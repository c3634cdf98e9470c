//! The rotation of a lesson.

use axum::Json;
use axum::extract::State;
use axum::http::header;
use axum::response::IntoResponse;
use notch_core::catalogue::Catalogue;
use notch_core::records::{KeptRotation, RotationFields};
use notch_core::views::{ClassInput, RotationView, plan_view, rotation_table, rotation_view};
use notch_store::Reader;

use super::{Change, CourseRecords};
use crate::clock::Clock;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::state::AppState;

/// The rotation of a lesson with what was announced, and with other news of the day where there is some.
fn rotation_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    clock: &Clock,
    (id, news): (i64, Option<&RotationFields>),
) -> Result<RotationView, ApiError> {
    let lesson = reader.lesson(id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    let at_hand = records.at_hand(catalogue);
    let plan = plan_view(&at_hand, &lesson, &reader.exercises(id)?)?;
    let kept = reader.rotation(id)?;
    let attempts = reader.attempts_of_course(lesson.course_id)?;
    let incidents = reader.incidents(lesson.course_id)?;
    let input = ClassInput {
        at_hand,
        lesson: &lesson,
        exercises: &plan.exercises,
        attempts: &attempts,
        incidents: &incidents,
        exercise_id: None,
        today: records.today(clock),
    };
    Ok(rotation_view(&input, plan.time_rule, &kept, news.unwrap_or(&kept.fields)))
}

/// Who works in which round on which exercise with which knife.
#[utoipa::path(get, operation_id = "rotation_show", path = "/api/lessons/{id}/rotation", tag = "rotation", params(("id" = i64, Path)),
    responses((status = 200, body = RotationView)))]
pub(crate) async fn show(State(state): State<AppState>, Id(id): Id) -> Result<Json<RotationView>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| Ok(Json(rotation_of(reader, catalogue, &clock, (id, None))?))).await
}

/// The rotation with other news of the day: who is away or late, which knife is out, what is held; nothing is kept.
#[utoipa::path(post, operation_id = "rotation_look", path = "/api/lessons/{id}/rotation/look", tag = "rotation", params(("id" = i64, Path)), request_body = RotationFields,
    responses((status = 200, body = RotationView)))]
pub(crate) async fn look(
    State(state): State<AppState>,
    Id(id): Id,
    Body(news): Body<RotationFields>,
) -> Result<Json<RotationView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            ApiError::unless_empty(news.check())?;
            Ok(Json(rotation_of(reader, catalogue, &clock, (id, Some(&news)))?))
        })
        .await
}

/// Announces the rotation as it is with this news of the day.
#[utoipa::path(put, operation_id = "rotation_announce", path = "/api/lessons/{id}/rotation", tag = "rotation", params(("id" = i64, Path)), request_body = Change<RotationFields>,
    responses((status = 200, body = RotationView)))]
pub(crate) async fn announce(
    State(state): State<AppState>,
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
                let found = rotation_of(writer, catalogue, &clock, (id, Some(&change.fields)))?;
                ApiError::unless_empty(found.refusals())?;
                let kept = KeptRotation { version: change.version, fields: change.fields, announced: found.turns };
                writer.announce_rotation(id, &kept)?;
                Ok(id)
            },
            move |reader, catalogue, id| Ok(Json(rotation_of(reader, catalogue, &then, (id, None))?)),
        )
        .await
}

/// The rotation as comma-separated text.
#[utoipa::path(get, operation_id = "rotation_table", path = "/api/lessons/{id}/rotation/table", tag = "rotation", params(("id" = i64, Path)),
    responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(State(state): State<AppState>, Id(id): Id) -> Result<impl IntoResponse, ApiError> {
    let clock = state.settings.clock.clone();
    let text =
        state.read(move |reader, catalogue| Ok(rotation_table(&rotation_of(reader, catalogue, &clock, (id, None))?))).await?;
    let name = "attachment; filename=\"rotation.csv\"";
    Ok(([(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)], text))
}
