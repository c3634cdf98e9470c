//! One student.

use axum::Json;
use notch_core::records::{Student, StudentFields};

use super::{Archive, Change};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// Changes a student.
#[utoipa::path(put, operation_id = "students_change", path = "/api/students/{id}", tag = "students", params(("id" = i64, Path)), request_body = Change<StudentFields>,
    responses((status = 200, body = Student)))]
pub(crate) async fn change(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<StudentFields>>,
) -> Result<Json<Student>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(change.fields.check())?;
                Ok(writer.change_student(id, change.version, &change.fields)?.id)
            },
            |reader, _, id| Ok(Json(reader.student(id)?)),
        )
        .await
}

/// Takes a student out of the course, or brings one back.
#[utoipa::path(post, operation_id = "students_archive", path = "/api/students/{id}/archive", tag = "students", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Student)))]
pub(crate) async fn archive(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Archive>,
) -> Result<Json<Student>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| Ok(writer.archive_student(id, body.version, body.archived)?.id),
            |reader, _, id| Ok(Json(reader.student(id)?)),
        )
        .await
}
