//! The clock of a lesson.

use axum::Json;
use axum::http::StatusCode;
use jiff::Timestamp;
use notch_core::catalogue::Catalogue;
use notch_core::run::{LessonRun, RunStep};
use notch_core::views::{RunInput, RunView, plan_view, run_view};
use notch_store::Reader;

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

fn run_of(reader: &Reader<'_>, catalogue: &Catalogue, lesson_id: i64, now: Timestamp) -> Result<Json<RunView>, ApiError> {
    let lesson = reader.lesson(lesson_id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    let at_hand = records.at_hand(catalogue);
    let plan = plan_view(&at_hand, &lesson, &reader.exercises(lesson_id)?)?;
    let steps = reader.run_steps(lesson_id)?;
    let (exercises, time_rule) = (&plan.exercises, &plan.time_rule);
    Ok(Json(run_view(&RunInput { at_hand, lesson: &lesson, exercises, time_rule, steps: &steps, now })))
}

/// How a lesson runs: the part that runs, what comes next, whether it ends in time.
#[utoipa::path(get, operation_id = "run_show", path = "/api/lessons/{id}/run", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = RunView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<RunView>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| run_of(reader, catalogue, id, clock.now())).await
}

/// Begins the lesson, stops its clock, goes on to the next part, gives a part more minutes or changes the rest.
/// A step that no longer fits, since another device was quicker, is refused.
#[utoipa::path(post, operation_id = "run_step", path = "/api/lessons/{id}/run", tag = "class", params(("id" = i64, Path)), request_body = RunStep,
    responses((status = 201, body = RunView)))]
pub(crate) async fn step(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(step): Body<RunStep>,
) -> Result<(StatusCode, Json<RunView>), ApiError> {
    let clock = state.settings.clock.clone();
    state
        .write(
            write,
            move |writer, _, at| {
                ApiError::unless_empty(step.check())?;
                let minutes = writer.lesson(id)?.fields.segments.into_iter().map(|segment| segment.minutes);
                LessonRun::with(minutes, &writer.run_steps(id)?, &step, at)
                    .map_err(|refusal| ApiError::Conflict(refusal.to_string()))?;
                writer.add_run_step(id, at, &step)?;
                Ok(id)
            },
            move |reader, catalogue, id| Ok((StatusCode::CREATED, run_of(reader, catalogue, id, clock.now())?)),
        )
        .await
}

/// Takes a step of the clock back.
#[utoipa::path(post, operation_id = "run_undo", path = "/api/run-steps/{id}/undo", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = RunView)))]
pub(crate) async fn undo(School(state): School, Id(id): Id, write: DeviceWrite) -> Result<Json<RunView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .write(
            write,
            move |writer, _, _| Ok(writer.undo_run_step(id)?),
            move |reader, catalogue, lesson| run_of(reader, catalogue, lesson, clock.now()),
        )
        .await
}
