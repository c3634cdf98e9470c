//! The food of a lesson, and one order over the lessons of a course.

use axum::Json;
use axum::http::header;
use axum::response::IntoResponse;
use jiff::ToSpan;
use jiff::civil::Date;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::progress::GoodShares;
use notch_core::records::ProduceFields;
use notch_core::views::{CourseOrder, ProduceInput, ProduceView, check_produce, course_order, order_table, produce_view};
use notch_store::Reader;
use serde::Deserialize;
use utoipa::IntoParams;

use super::{Change, CourseRecords};
use crate::clock::Clock;
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

/// The food of a lesson, with what is said about it or with something else.
fn produce_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    (id, other): (i64, Option<&ProduceFields>),
) -> Result<ProduceView, ApiError> {
    let lesson = reader.lesson(id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    let exercises = reader.exercises(id)?;
    let at_hand = records.at_hand(catalogue);
    if let Some(fields) = other {
        ApiError::unless_empty(check_produce(&at_hand, &exercises, fields))?;
    }
    let shares = GoodShares::of(catalogue, &reader.attempts_of_course(lesson.course_id)?);
    let fields = other.unwrap_or(&lesson.produce);
    Ok(produce_view(&ProduceInput { at_hand: &at_hand, lesson: &lesson, exercises: &exercises, shares: &shares, fields }))
}

/// What each exercise of a lesson takes, where the food goes, who may not have it, and what to order.
#[utoipa::path(get, operation_id = "produce_show", path = "/api/lessons/{id}/produce", tag = "produce", params(("id" = i64, Path)),
    responses((status = 200, body = ProduceView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<ProduceView>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(produce_of(reader, catalogue, (id, None))?))).await
}

/// The food of a lesson with something else said about it; nothing is kept.
#[utoipa::path(post, operation_id = "produce_look", path = "/api/lessons/{id}/produce/look", tag = "produce", params(("id" = i64, Path)), request_body = ProduceFields,
    responses((status = 200, body = ProduceView)))]
pub(crate) async fn look(
    School(state): School,
    Id(id): Id,
    Body(fields): Body<ProduceFields>,
) -> Result<Json<ProduceView>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(produce_of(reader, catalogue, (id, Some(&fields)))?))).await
}

/// Keeps what is said about the food of a lesson.
#[utoipa::path(put, operation_id = "produce_keep", path = "/api/lessons/{id}/produce", tag = "produce", params(("id" = i64, Path)), request_body = Change<ProduceFields>,
    responses((status = 200, body = ProduceView)))]
pub(crate) async fn keep(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<ProduceFields>>,
) -> Result<Json<ProduceView>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                produce_of(writer, catalogue, (id, Some(&change.fields)))?;
                writer.change_produce(id, change.version, &change.fields)?;
                Ok(id)
            },
            |reader, catalogue, id| Ok(Json(produce_of(reader, catalogue, (id, None))?)),
        )
        .await
}

/// The lessons that an order is for.
#[derive(Clone, Copy, Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct OrderSpan {
    /// First day of the lessons; today where none is given.
    #[param(value_type = Option<String>, format = "civil-date")]
    from: Option<Date>,
    /// Last day; the end of the course where none is given.
    #[param(value_type = Option<String>, format = "civil-date")]
    until: Option<Date>,
}

fn order_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    clock: &Clock,
    (id, span): (i64, OrderSpan),
) -> Result<CourseOrder, ApiError> {
    let records = CourseRecords::read(reader, id)?;
    let lessons = reader.lessons(id)?;
    let from = span.from.unwrap_or_else(|| records.today(clock));
    let last = lessons.iter().map(|lesson| lesson.fields.starts_at.date()).max().unwrap_or(from).max(from);
    let until = span.until.unwrap_or(last);
    if until < from || from.checked_add(3.years()).is_ok_and(|far| until > far) {
        let allowed = format!("{from} to three years later");
        return Err(ApiError::Fields(vec![Problem::new("/until", "Until", until.to_string(), "is out of range", allowed)]));
    }
    let with_exercises = lessons.into_iter().map(|lesson| {
        let exercises = reader.exercises(lesson.id)?;
        Ok((lesson, exercises))
    });
    let lessons = with_exercises.collect::<Result<Vec<_>, ApiError>>()?;
    let shares = GoodShares::of(catalogue, &reader.attempts_of_course(id)?);
    Ok(course_order(&records.at_hand(catalogue), &lessons, &shares, (from, until)))
}

/// One order over the lessons of a course, by delivery day.
#[utoipa::path(get, operation_id = "order_show", path = "/api/courses/{id}/order", tag = "produce", params(("id" = i64, Path), OrderSpan),
    responses((status = 200, body = CourseOrder)))]
pub(crate) async fn order(
    School(state): School,
    Id(id): Id,
    Asked(span): Asked<OrderSpan>,
) -> Result<Json<CourseOrder>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| Ok(Json(order_of(reader, catalogue, &clock, (id, span))?))).await
}

/// The same order as comma-separated text.
#[utoipa::path(get, operation_id = "order_table", path = "/api/courses/{id}/order/table", tag = "produce", params(("id" = i64, Path), OrderSpan),
    responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(
    School(state): School,
    Id(id): Id,
    Asked(span): Asked<OrderSpan>,
) -> Result<impl IntoResponse, ApiError> {
    let clock = state.settings.clock.clone();
    let text = state.read(move |reader, catalogue| Ok(order_table(&order_of(reader, catalogue, &clock, (id, span))?))).await?;
    let name = "attachment; filename=\"order.csv\"";
    Ok(([(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)], text))
}
