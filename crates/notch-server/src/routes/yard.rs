//! Where everyone stands.

use axum::Json;
use notch_core::views::{StudentView, YardRow, student_view, yard_view};

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::Id;
use crate::let_in::School;

/// All students of a course with their four rules and what comes next.
#[utoipa::path(get, operation_id = "yard_show", path = "/api/courses/{id}/yard", tag = "yard", params(("id" = i64, Path)),
    responses((status = 200, body = Vec<YardRow>)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<Vec<YardRow>>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let today = records.today(&clock);
            Ok(Json(yard_view(&records.at_hand(catalogue), &reader.attempts_of_course(id)?, today)))
        })
        .await
}

/// One student with all evidence.
#[utoipa::path(get, operation_id = "yard_student", path = "/api/students/{id}/evidence", tag = "yard", params(("id" = i64, Path)),
    responses((status = 200, body = StudentView)))]
pub(crate) async fn student(School(state): School, Id(id): Id) -> Result<Json<StudentView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let student = reader.present_student(id)?;
            let records = CourseRecords::read(reader, student.course_id)?;
            let today = records.today(&clock);
            let attempts = reader.attempts_of_student(id)?;
            let incidents = reader.incidents(student.course_id)?;
            Ok(Json(student_view(&records.at_hand(catalogue), &student, &attempts, &incidents, today)))
        })
        .await
}
