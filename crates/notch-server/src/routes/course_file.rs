//! A course as one file: written, looked into, taken.

use axum::Json;
use axum::http::{StatusCode, header};
use axum::response::IntoResponse;
use notch_core::catalogue::Catalogue;
use notch_core::course_file::{CourseFile, FileContents, FileHead};
use notch_core::records::Course;
use notch_store::Reader;
use serde_json::Value;

use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id, not_as_expected};
use crate::let_in::School;

/// A course as one file: all that was chosen, planned, made and measured in it.
#[utoipa::path(get, operation_id = "course_file_write", path = "/api/courses/{id}/file", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = CourseFile)))]
pub(crate) async fn write(School(state): School, Id(id): Id) -> Result<impl IntoResponse, ApiError> {
    let file = state.read_records(move |reader| Ok(reader.course_file(id)?)).await?;
    Ok(([(header::CONTENT_DISPOSITION, "attachment; filename=\"course.json\"")], Json(file)))
}

/// Looks into a file before it is taken: what it holds, or everything that keeps it from being taken.
#[utoipa::path(post, operation_id = "course_file_read", path = "/api/course-file/read", tag = "courses", request_body = CourseFile,
    responses((status = 200, body = FileContents)))]
pub(crate) async fn read(School(state): School, Body(body): Body<Value>) -> Result<Json<FileContents>, ApiError> {
    let shipped = state.shipped.clone();
    state
        .read_records(move |reader| {
            let file = checked(reader, &shipped.catalogue, body)?;
            Ok(Json(file.contents(reader.knife_numbers()?.is_empty())))
        })
        .await
}

/// Takes a course from a file: a new course with people of its own. All of it or nothing.
#[utoipa::path(post, operation_id = "course_file_take", path = "/api/course-file", tag = "courses", request_body = CourseFile,
    responses((status = 201, body = Course)))]
pub(crate) async fn take(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<Value>,
) -> Result<(StatusCode, Json<Course>), ApiError> {
    let shipped = state.shipped.clone();
    state
        .write(
            write,
            move |writer, _, _| Ok(writer.take_course_file(&checked(writer, &shipped.catalogue, body)?)?.id),
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.course(id)?))),
        )
        .await
}

/// Reads a file and checks it for this school. The head first: what a newer version wrote is not read further.
fn checked(reader: &Reader<'_>, shipped: &Catalogue, body: Value) -> Result<CourseFile, ApiError> {
    let head: FileHead = serde_path_to_error::deserialize(&body).map_err(|error| not_as_expected(&error))?;
    ApiError::unless_empty(head.problem().into_iter().collect())?;
    let file: CourseFile = serde_path_to_error::deserialize(body).map_err(|error| not_as_expected(&error))?;
    ApiError::unless_empty(file.problems(shipped, &reader.own_values()?))?;
    Ok(file)
}
