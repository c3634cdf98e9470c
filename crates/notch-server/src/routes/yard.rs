//! Where everyone stands.

use axum::Json;
use axum::extract::State;
use notch_core::views::{StudentView, YardRow, student_view, yard_view};

use super::AtHand;
use crate::error::ApiError;
use crate::extract::Id;
use crate::state::AppState;

/// All students of a course with their four rules and what comes next.
#[utoipa::path(get, operation_id = "yard_show", path = "/api/courses/{id}/yard", tag = "yard", params(("id" = i64, Path)),
    responses((status = 200, body = Vec<YardRow>), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn show(State(state): State<AppState>, Id(id): Id) -> Result<Json<Vec<YardRow>>, ApiError> {
    let today = state.settings.clock.today();
    state
        .read(move |reader, catalogue| {
            let at_hand = AtHand::read(reader, id)?;
            Ok(Json(yard_view(&at_hand.school(catalogue), &reader.attempts_of_course(id)?, today)))
        })
        .await
}

/// One student with all evidence.
#[utoipa::path(get, operation_id = "yard_student", path = "/api/students/{id}/evidence", tag = "yard", params(("id" = i64, Path)),
    responses((status = 200, body = StudentView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn student(State(state): State<AppState>, Id(id): Id) -> Result<Json<StudentView>, ApiError> {
    let today = state.settings.clock.today();
    state
        .read(move |reader, catalogue| {
            let student = reader.present_student(id)?;
            let at_hand = AtHand::read(reader, student.course_id)?;
            let attempts = reader.attempts_of_student(id)?;
            let incidents = reader.incidents(student.course_id)?;
            Ok(Json(student_view(&at_hand.school(catalogue), &student, &attempts, &incidents, today)))
        })
        .await
}
