//! The sharp–dull lesson.

use axum::Json;
use axum::http::StatusCode;
use notch_core::records::{DemonstrationFields, TakeBack, TakenBack};
use notch_core::views::{SharpDullLesson, SharpDullView, check_demonstration, sharp_dull_lesson, sharp_dull_view};
use notch_store::Reader;

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

fn lesson_of(
    reader: &Reader<'_>,
    catalogue: &notch_core::catalogue::Catalogue,
    lesson: i64,
) -> Result<SharpDullLesson, ApiError> {
    let records = CourseRecords::read(reader, reader.lesson(lesson)?.course_id)?;
    Ok(sharp_dull_lesson(&records.at_hand(catalogue), reader.demonstrations(lesson)?))
}

/// What can be shown with a sharp and a dulled knife, and what was shown in this lesson.
#[utoipa::path(get, operation_id = "sharp_dull_show", path = "/api/lessons/{id}/sharp-dull", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = SharpDullLesson)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<SharpDullLesson>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(lesson_of(reader, catalogue, id)?))).await
}

/// Looks at both knives while figures are typed; nothing is kept.
#[utoipa::path(post, operation_id = "sharp_dull_look", path = "/api/lessons/{id}/sharp-dull/look", tag = "class", params(("id" = i64, Path)), request_body = DemonstrationFields,
    responses((status = 200, body = SharpDullView)))]
pub(crate) async fn look(
    School(state): School,
    Id(id): Id,
    Body(fields): Body<DemonstrationFields>,
) -> Result<Json<SharpDullView>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, reader.lesson(id)?.course_id)?;
            Ok(Json(sharp_dull_view(&records.at_hand(catalogue), &fields)?))
        })
        .await
}

/// Keeps what was shown with the lesson.
#[utoipa::path(post, operation_id = "sharp_dull_keep", path = "/api/lessons/{id}/sharp-dull", tag = "class", params(("id" = i64, Path)), request_body = DemonstrationFields,
    responses((status = 201, body = SharpDullLesson)))]
pub(crate) async fn keep(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(fields): Body<DemonstrationFields>,
) -> Result<(StatusCode, Json<SharpDullLesson>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let records = CourseRecords::read(writer, writer.lesson(id)?.course_id)?;
                let against = check_demonstration(&records.at_hand(catalogue), &fields)?;
                writer.add_demonstration(id, at, &fields, &against)?;
                Ok(id)
            },
            |reader, catalogue, id| Ok((StatusCode::CREATED, Json(lesson_of(reader, catalogue, id)?))),
        )
        .await
}

/// Takes a demonstration back: it stays, with who and why.
#[utoipa::path(post, operation_id = "sharp_dull_take_back", path = "/api/demonstrations/{id}/take-back", tag = "class", params(("id" = i64, Path)), request_body = TakeBack,
    responses((status = 200, body = SharpDullLesson)))]
pub(crate) async fn take_back(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(said): Body<TakeBack>,
) -> Result<Json<SharpDullLesson>, ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                ApiError::unless_empty(said.check())?;
                Ok(writer.take_demonstration_back(id, &TakenBack { at, said })?)
            },
            |reader, catalogue, lesson| Ok(Json(lesson_of(reader, catalogue, lesson)?)),
        )
        .await
}
