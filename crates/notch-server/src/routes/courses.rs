//! Courses and their students.

use axum::Json;
use axum::http::StatusCode;
use jiff::civil::{Date, DateTime};
use notch_core::records::{Course, CourseFields, Student, StudentFields};
use serde::Serialize;
use utoipa::ToSchema;

use super::Change;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

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
    #[schema(value_type = String, format = "civil-date-time")]
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
pub(crate) async fn list(School(state): School) -> Result<Json<Vec<Course>>, ApiError> {
    state.read_records(|reader| Ok(Json(reader.courses()?))).await
}

/// Adds a course.
#[utoipa::path(post, operation_id = "courses_add", path = "/api/courses", tag = "courses", request_body = CourseFields,
    responses((status = 201, body = Course)))]
pub(crate) async fn add(
    School(state): School,
    write: DeviceWrite,
    Body(fields): Body<CourseFields>,
) -> Result<(StatusCode, Json<Course>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                ApiError::unless_empty(fields.check(catalogue))?;
                Ok(writer.add_course(&fields)?.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.course(id)?))),
        )
        .await
}

/// One course with its lessons and students.
#[utoipa::path(get, operation_id = "courses_show", path = "/api/courses/{id}", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = CourseView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<CourseView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read_records(move |reader| {
            let course = reader.course(id)?;
            let today = clock.today(&course.fields.zone());
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
            Ok(Json(CourseView { course, lessons: lessons.collect(), students: reader.students(id)?, today }))
        })
        .await
}

/// Changes a course.
#[utoipa::path(put, operation_id = "courses_change", path = "/api/courses/{id}", tag = "courses", params(("id" = i64, Path)), request_body = Change<CourseFields>,
    responses((status = 200, body = Course)))]
pub(crate) async fn change(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<CourseFields>>,
) -> Result<Json<Course>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                ApiError::unless_empty(change.fields.check(catalogue))?;
                Ok(writer.change_course(id, change.version, &change.fields)?.id)
            },
            |reader, _, id| Ok(Json(reader.course(id)?)),
        )
        .await
}

/// Adds a student.
#[utoipa::path(post, operation_id = "courses_add_student", path = "/api/courses/{id}/students", tag = "courses", params(("id" = i64, Path)), request_body = StudentFields,
    responses((status = 201, body = Student)))]
pub(crate) async fn add_student(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(fields): Body<StudentFields>,
) -> Result<(StatusCode, Json<Student>), ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(fields.check())?;
                Ok(writer.add_student(id, &fields)?.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.student(id)?))),
        )
        .await
}
