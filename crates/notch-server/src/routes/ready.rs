//! A lesson with all that belongs to it, and whether it can begin.

use axum::Json;
use axum::extract::State;
use jiff::civil::Date;
use notch_core::catalogue::Catalogue;
use notch_core::progress::GoodShares;
use notch_core::views::{
    CheckInput, ClassInput, ProduceInput, ReadyInput, ReadyView, plan_view, produce_view, ready_view, rotation_view,
};
use notch_store::Reader;

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::Id;
use crate::state::AppState;

/// Reads a lesson with its plan, class, rotation, food and check sheet, on a day or on its own, and hands it to `with`.
pub(super) fn with_lesson<T>(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    (id, today): (i64, Option<Date>),
    with: impl FnOnce(&ReadyInput<'_>) -> Result<T, ApiError>,
) -> Result<T, ApiError> {
    let lesson = reader.lesson(id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    let at_hand = records.at_hand(catalogue);
    let exercises = reader.exercises(id)?;
    let plan = plan_view(&at_hand, &lesson, &exercises)?;
    let attempts = reader.attempts_of_course(lesson.course_id)?;
    let incidents = reader.incidents(lesson.course_id)?;
    let class = ClassInput {
        at_hand,
        lesson: &lesson,
        exercises: &plan.exercises,
        attempts: &attempts,
        incidents: &incidents,
        exercise_id: None,
        today: today.unwrap_or_else(|| lesson.fields.starts_at.date()),
    };
    let kept = reader.rotation(id)?;
    let rotation = rotation_view(&class, plan.time_rule.clone(), &kept, &kept.fields);
    let shares = GoodShares::of(catalogue, &attempts);
    let food =
        ProduceInput { at_hand: &at_hand, lesson: &lesson, exercises: &exercises, shares: &shares, fields: &lesson.produce };
    let produce = produce_view(&food);
    let check = CheckInput {
        at_hand,
        lesson: &lesson,
        exercises: &plan.exercises,
        histories: &reader.care_histories(catalogue, None)?,
        ticks: &reader.check_ticks(id)?,
        produce: &produce,
    };
    with(&ReadyInput { class: &class, check: &check, plan: &plan, rotation: &rotation, produce: &produce })
}

/// Whether a lesson can begin: one list, worst first, each with its way out.
#[utoipa::path(get, operation_id = "ready_show", path = "/api/lessons/{id}/ready", tag = "plan", params(("id" = i64, Path)),
    responses((status = 200, body = ReadyView)))]
pub(crate) async fn show(State(state): State<AppState>, Id(id): Id) -> Result<Json<ReadyView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let course = reader.course(reader.lesson(id)?.course_id)?;
            let today = clock.today(&course.fields.zone());
            with_lesson(reader, catalogue, (id, Some(today)), |whole| Ok(Json(ready_view(whole))))
        })
        .await
}
