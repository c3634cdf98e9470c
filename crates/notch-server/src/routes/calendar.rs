//! The lessons of a course as a calendar: once as a file, or as an address that calendars subscribe to.

use axum::Json;
use axum::extract::Path;
use axum::http::header;
use axum::response::IntoResponse;
use notch_core::calendar::course_calendar;
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::clock::Clock;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;
use crate::secret::random_token;

/// The address of a course's calendar.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CalendarAddress {
    /// Path on this server; none while nobody can subscribe. Who has it reads the lessons without signing in.
    path: Option<String>,
}

/// Whether the lessons can be subscribed to.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct CalendarShared {
    /// `true` makes a new address, `false` takes it back. An address from before is good no more either way.
    shared: bool,
}

const KIND: (header::HeaderName, &str) = (header::CONTENT_TYPE, "text/calendar; charset=utf-8");

fn calendar_of(reader: &Reader<'_>, course: i64, clock: &Clock) -> Result<String, ApiError> {
    Ok(course_calendar(&reader.course(course)?, &reader.lessons(course)?, clock.now()))
}

fn address_of(reader: &Reader<'_>, course: i64) -> Result<Json<CalendarAddress>, ApiError> {
    let secret = reader.calendar_secret(course)?;
    Ok(Json(CalendarAddress { path: secret.map(|secret| format!("/api/calendar/{secret}")) }))
}

/// The lessons of a course as a calendar (iCalendar), by the clock of its time zone.
#[utoipa::path(get, operation_id = "courses_calendar", path = "/api/courses/{id}/calendar", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = String, content_type = "text/calendar")))]
pub(crate) async fn file(School(state): School, Id(id): Id) -> Result<impl IntoResponse, ApiError> {
    let clock = state.settings.clock.clone();
    let text = state.read_records(move |reader| calendar_of(reader, id, &clock)).await?;
    Ok(([KIND, (header::CONTENT_DISPOSITION, "attachment; filename=\"lessons.ics\"")], text))
}

/// The address to which calendars subscribe.
#[utoipa::path(get, operation_id = "courses_calendar_address", path = "/api/courses/{id}/calendar/address", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = CalendarAddress)))]
pub(crate) async fn address(School(state): School, Id(id): Id) -> Result<Json<CalendarAddress>, ApiError> {
    state.read_records(move |reader| address_of(reader, id)).await
}

/// Makes an address to which calendars subscribe, of 128 random bits, or takes it back.
#[utoipa::path(post, operation_id = "courses_share_calendar", path = "/api/courses/{id}/calendar/address", tag = "courses", params(("id" = i64, Path)), request_body = CalendarShared,
    responses((status = 200, body = CalendarAddress)))]
pub(crate) async fn share(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<CalendarShared>,
) -> Result<Json<CalendarAddress>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                let secret = if body.shared { Some(random_token()?) } else { None };
                writer.set_calendar_secret(id, secret.as_deref())?;
                Ok(id)
            },
            |reader, _, id| address_of(reader, id),
        )
        .await
}

/// The lessons of the course whose calendar has this address; without signing in.
#[utoipa::path(get, operation_id = "calendar_subscribed", path = "/api/calendar/{secret}", tag = "courses", params(("secret" = String, Path)),
    responses((status = 200, body = String, content_type = "text/calendar")))]
pub(crate) async fn subscribed(School(state): School, Path(secret): Path<String>) -> Result<impl IntoResponse, ApiError> {
    let clock = state.settings.clock.clone();
    let text = state
        .read_records(move |reader| {
            let gone = || ApiError::NotFound("there is no calendar at this address, or no more".to_owned());
            calendar_of(reader, reader.course_of_calendar(&secret)?.ok_or_else(gone)?, &clock)
        })
        .await?;
    Ok(([KIND], text))
}
