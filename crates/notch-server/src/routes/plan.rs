//! Lessons, exercises and advice.

use axum::Json;
use axum::http::StatusCode;
use jiff::civil::DateTime;
use notch_core::catalogue::Catalogue;
use notch_core::lesson::{FewerOf, TimeRule, first_segments, with_practice_for};
use notch_core::records::{ExerciseFields, Lesson, LessonFields, StoredSegment};
use notch_core::views::{
    Advice, AdviceChoice, PlanView, advise, check_choice, exercises_after, plan_view, time_rule as lay_out_segments,
};
use notch_store::{Reader, StoreError};
use serde::Deserialize;
use utoipa::ToSchema;

use super::{Archive, Change, CourseRecords};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// A new lesson; it gets the usual segments.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct NewLesson {
    /// Title.
    title: String,
    /// Day and time by the school's clock.
    #[schema(value_type = String, format = "civil-date-time", example = "2026-10-06T18:30:00")]
    starts_at: DateTime,
}

/// Segments as they stand on the screen, with what else makes the lesson fit.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct DraftSegments {
    /// Minutes of the lesson.
    minutes: u16,
    /// Segments in order.
    segments: Vec<StoredSegment>,
    /// Exercises of which each student cuts another amount.
    #[serde(default)]
    fewer: Vec<FewerOf>,
    /// Exercises that are left out, by id.
    #[serde(default)]
    leave_out: Vec<i64>,
}

/// A lesson with everything worked out.
fn plan_of(reader: &Reader<'_>, catalogue: &Catalogue, id: i64) -> Result<PlanView, ApiError> {
    let lesson = reader.lesson(id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    Ok(plan_view(&records.at_hand(catalogue), &lesson, &reader.exercises(id)?)?)
}

/// Advice for a choice of food and cut, worked out while choosing; nothing is kept.
#[utoipa::path(post, operation_id = "plan_advice", path = "/api/courses/{id}/advice", tag = "plan", params(("id" = i64, Path)), request_body = AdviceChoice,
    responses((status = 200, body = Advice)))]
pub(crate) async fn advice(
    School(state): School,
    Id(id): Id,
    Body(choice): Body<AdviceChoice>,
) -> Result<Json<Advice>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            Ok(Json(advise(&records.at_hand(catalogue), &choice)?))
        })
        .await
}

/// Adds a lesson to a course.
#[utoipa::path(post, operation_id = "plan_add_lesson", path = "/api/courses/{id}/lessons", tag = "plan", params(("id" = i64, Path)), request_body = NewLesson,
    responses((status = 201, body = PlanView)))]
pub(crate) async fn add_lesson(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(new): Body<NewLesson>,
) -> Result<(StatusCode, Json<PlanView>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let course = writer.course(id)?.fields;
                let minutes = course.lesson_minutes;
                let fields = LessonFields {
                    title: new.title,
                    starts_at: new.starts_at,
                    minutes,
                    segments: first_segments(catalogue, minutes),
                };
                ApiError::unless_empty(fields.check(&course.zone()))?;
                Ok(writer.add_lesson(id, &fields)?.id)
            },
            |reader, catalogue, id| Ok((StatusCode::CREATED, Json(plan_of(reader, catalogue, id)?))),
        )
        .await
}

/// A lesson on its rule, with its exercises.
#[utoipa::path(get, operation_id = "plan_show", path = "/api/lessons/{id}/plan", tag = "plan", params(("id" = i64, Path)),
    responses((status = 200, body = PlanView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<PlanView>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(plan_of(reader, catalogue, id)?))).await
}

/// Changes a lesson: title, time, segments.
#[utoipa::path(put, operation_id = "plan_change_lesson", path = "/api/lessons/{id}", tag = "plan", params(("id" = i64, Path)), request_body = Change<LessonFields>,
    responses((status = 200, body = PlanView)))]
pub(crate) async fn change_lesson(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<LessonFields>>,
) -> Result<Json<PlanView>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let records = CourseRecords::read(writer, writer.lesson(id)?.course_id)?;
                ApiError::unless_empty(change.fields.check(&records.course.fields.zone()))?;
                lay_out_segments(&records.at_hand(catalogue), change.fields.minutes, &change.fields.segments, &[])?;
                Ok(writer.change_lesson(id, change.version, &change.fields)?.id)
            },
            |reader, catalogue, id| Ok(Json(plan_of(reader, catalogue, id)?)),
        )
        .await
}

/// Lays segments out as they stand on the screen; nothing is kept.
#[utoipa::path(post, operation_id = "plan_time_rule", path = "/api/lessons/{id}/time-rule", tag = "plan", params(("id" = i64, Path)), request_body = DraftSegments,
    responses((status = 200, body = TimeRule)))]
pub(crate) async fn time_rule(
    School(state): School,
    Id(id): Id,
    Body(draft): Body<DraftSegments>,
) -> Result<Json<TimeRule>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let lesson = reader.lesson(id)?;
            let records = CourseRecords::read(reader, lesson.course_id)?;
            let exercises = exercises_after(&reader.exercises(id)?, &draft.fewer, &draft.leave_out);
            let fields = LessonFields { minutes: draft.minutes, segments: draft.segments, ..lesson.fields };
            Ok(Json(plan_view(&records.at_hand(catalogue), &Lesson { fields, ..lesson }, &exercises)?.time_rule))
        })
        .await
}

/// Keeps the time rule: its segments, less to cut of some exercises, and others left out; all or nothing.
#[utoipa::path(put, operation_id = "plan_keep_time_rule", path = "/api/lessons/{id}/time-rule", tag = "plan", params(("id" = i64, Path)), request_body = Change<DraftSegments>,
    responses((status = 200, body = PlanView)))]
pub(crate) async fn keep_time_rule(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<DraftSegments>>,
) -> Result<Json<PlanView>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let lesson = writer.lesson(id)?;
                let records = CourseRecords::read(writer, lesson.course_id)?;
                let DraftSegments { minutes, segments, fewer, leave_out } = change.fields;
                let before = writer.exercises(id)?;
                let after = exercises_after(&before, &fewer, &leave_out);
                let fields = LessonFields { minutes, segments, ..lesson.fields };
                lay_out_segments(&records.at_hand(catalogue), minutes, &fields.segments, &[])?;
                let kept = writer.change_lesson(id, change.version, &fields)?.id;
                let of_lesson = |exercise_id: &i64| before.iter().any(|exercise| exercise.id == *exercise_id);
                if let Some(other) = fewer.iter().map(|less| less.exercise_id).chain(leave_out).find(|id| !of_lesson(id)) {
                    return Err(StoreError::NotFound { what: "exercise of this lesson", id: other }.into());
                }
                for exercise in &before {
                    match after.iter().find(|left| left.id == exercise.id) {
                        None => drop(writer.archive_exercise(exercise.id, exercise.version, true)?),
                        Some(left) if left.fields != exercise.fields => {
                            let kept = check_choice(&records.at_hand(catalogue), &left.fields)?;
                            writer.change_exercise(exercise.id, exercise.version, &left.fields, &kept)?;
                        }
                        Some(_) => {}
                    }
                }
                Ok(kept)
            },
            |reader, catalogue, id| Ok(Json(plan_of(reader, catalogue, id)?)),
        )
        .await
}

/// Adds an exercise to a lesson, with a practice segment for it.
#[utoipa::path(post, operation_id = "plan_add_exercise", path = "/api/lessons/{id}/exercises", tag = "plan", params(("id" = i64, Path)), request_body = ExerciseFields,
    responses((status = 201, body = PlanView)))]
pub(crate) async fn add_exercise(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(fields): Body<ExerciseFields>,
) -> Result<(StatusCode, Json<PlanView>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let lesson = writer.lesson(id)?;
                let records = CourseRecords::read(writer, lesson.course_id)?;
                let at_hand = records.at_hand(catalogue);
                let kept = check_choice(&at_hand, &fields)?;
                let needs = advise(&at_hand, &AdviceChoice::from(&fields))?.figures.minutes_needed;
                let exercise = writer.add_exercise(id, &fields, &kept)?;
                let segments = with_practice_for(catalogue, &lesson.fields.segments, exercise.id, needs);
                Ok(writer.change_lesson(id, lesson.version, &LessonFields { segments, ..lesson.fields })?.id)
            },
            |reader, catalogue, id| Ok((StatusCode::CREATED, Json(plan_of(reader, catalogue, id)?))),
        )
        .await
}

/// Changes an exercise.
#[utoipa::path(put, operation_id = "plan_change_exercise", path = "/api/exercises/{id}", tag = "plan", params(("id" = i64, Path)), request_body = Change<ExerciseFields>,
    responses((status = 200, body = PlanView)))]
pub(crate) async fn change_exercise(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<ExerciseFields>>,
) -> Result<Json<PlanView>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let lesson = writer.lesson(writer.exercise(id)?.lesson_id)?;
                let records = CourseRecords::read(writer, lesson.course_id)?;
                let kept = check_choice(&records.at_hand(catalogue), &change.fields)?;
                Ok(writer.change_exercise(id, change.version, &change.fields, &kept)?.lesson_id)
            },
            |reader, catalogue, id| Ok(Json(plan_of(reader, catalogue, id)?)),
        )
        .await
}

/// Takes an exercise and its practice out of the lesson, or puts both back.
#[utoipa::path(post, operation_id = "plan_archive_exercise", path = "/api/exercises/{id}/archive", tag = "plan", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = PlanView)))]
pub(crate) async fn archive_exercise(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Archive>,
) -> Result<Json<PlanView>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let exercise = writer.archive_exercise(id, body.version, body.archived)?;
                let lesson = writer.lesson(exercise.lesson_id)?;
                let mut fields = lesson.fields;
                if body.archived {
                    fields.segments.retain(|segment| segment.exercise_id != Some(id));
                } else {
                    let records = CourseRecords::read(writer, lesson.course_id)?;
                    let advice = advise(&records.at_hand(catalogue), &AdviceChoice::from(&exercise.fields)).ok();
                    let needs = advice.and_then(|advice| advice.figures.minutes_needed);
                    fields.segments = with_practice_for(catalogue, &fields.segments, id, needs);
                }
                Ok(writer.change_lesson(lesson.id, lesson.version, &fields)?.id)
            },
            |reader, catalogue, id| Ok(Json(plan_of(reader, catalogue, id)?)),
        )
        .await
}
