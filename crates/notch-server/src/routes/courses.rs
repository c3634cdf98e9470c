//! Courses and their students.

use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use jiff::civil::{Date, DateTime};
use notch_core::records::{Course, CourseFields, Student, StudentFields};
use serde::Serialize;
use utoipa::ToSchema;

use super::Change;
use crate::error::ApiError;
use crate::extract::{Body, Id};
use crate::state::AppState;

/// When a lesson is, seen from today.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub(crate) enum LessonWhen {
    /// It was.
    Past,
    /// Today, or the first one to come.
    Next,
    /// After that.
    Later,
}

/// A lesson on the course rule.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct LessonPlace {
    id: i64,
    number: u16,
    title: String,
    #[schema(value_type = String)]
    starts_at: DateTime,
    when: LessonWhen,
}

/// A course with its lessons and students.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CourseView {
    course: Course,
    lessons: Vec<LessonPlace>,
    students: Vec<Student>,
    #[schema(value_type = String, format = Date)]
    today: Date,
}

/// All courses.
#[utoipa::path(get, operation_id = "courses_list", path = "/api/courses", tag = "courses", responses((status = 200, body = Vec<Course>)))]
pub(crate) async fn list(State(state): State<AppState>) -> Result<Json<Vec<Course>>, ApiError> {
    state.read(|reader, _| Ok(Json(reader.courses()?))).await
}

/// Adds a course.
#[utoipa::path(post, operation_id = "courses_add", path = "/api/courses", tag = "courses", request_body = CourseFields,
    responses((status = 201, body = Course), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add(
    State(state): State<AppState>,
    Body(fields): Body<CourseFields>,
) -> Result<(StatusCode, Json<Course>), ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(fields.check(catalogue))?;
            Ok((StatusCode::CREATED, Json(writer.add_course(&fields)?)))
        })
        .await
}

/// One course with its lessons and students.
#[utoipa::path(get, operation_id = "courses_show", path = "/api/courses/{id}", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = CourseView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn show(State(state): State<AppState>, Id(id): Id) -> Result<Json<CourseView>, ApiError> {
    let today = state.settings.clock.today();
    state
        .read(move |reader, _| {
            let lessons = reader.lessons(id)?;
            let next = lessons.iter().filter(|l| l.fields.starts_at.date() >= today).map(|l| l.fields.starts_at).min();
            let when = |starts_at: DateTime| match next {
                Some(next) if starts_at == next => LessonWhen::Next,
                Some(next) if starts_at > next => LessonWhen::Later,
                _ => LessonWhen::Past,
            };
            let lessons = lessons.into_iter().map(|lesson| LessonPlace {
                id: lesson.id,
                number: lesson.number,
                when: when(lesson.fields.starts_at),
                starts_at: lesson.fields.starts_at,
                title: lesson.fields.title,
            });
            Ok(Json(CourseView { course: reader.course(id)?, lessons: lessons.collect(), students: reader.students(id)?, today }))
        })
        .await
}

/// Changes a course.
#[utoipa::path(put, operation_id = "courses_change", path = "/api/courses/{id}", tag = "courses", params(("id" = i64, Path)), request_body = Change<CourseFields>,
    responses((status = 200, body = Course), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn change(
    State(state): State<AppState>,
    Id(id): Id,
    Body(change): Body<Change<CourseFields>>,
) -> Result<Json<Course>, ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(change.fields.check(catalogue))?;
            Ok(Json(writer.change_course(id, change.version, &change.fields)?))
        })
        .await
}

/// Adds a student.
#[utoipa::path(post, operation_id = "courses_add_student", path = "/api/courses/{id}/students", tag = "courses", params(("id" = i64, Path)), request_body = StudentFields,
    responses((status = 201, body = Student), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add_student(
    State(state): State<AppState>,
    Id(id): Id,
    Body(fields): Body<StudentFields>,
) -> Result<(StatusCode, Json<Student>), ApiError> {
    state
        .write(move |writer, _| {
            ApiError::unless_empty(fields.check())?;
            Ok((StatusCode::CREATED, Json(writer.add_student(id, &fields)?)))
        })
        .await
}
