//! The room: where the stations stand, what is drawn at them, the wall, and what to look at before a class is closed.

use axum::Json;
use notch_core::records::{StationPlace, check_room};
use notch_core::views::{ClassDrawings, ClosingInput, ClosingView, WallView, class_drawings, closing_view, wall_view};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::class::ForExercise;
use super::count::count_of;
use super::whole_lesson::{LookedAt, with_class, with_lesson};
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

/// Where the stations stand.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub(crate) struct Room {
    /// Each station once; one that is left out stands where it is not placed.
    places: Vec<StationPlace>,
}

/// Places the stations of a course as they stand in the room.
#[utoipa::path(put, operation_id = "room_keep", path = "/api/courses/{id}/room", tag = "class", params(("id" = i64, Path)), request_body = Room,
    responses((status = 200, body = Room)))]
pub(crate) async fn keep(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(room): Body<Room>,
) -> Result<Json<Room>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                ApiError::unless_empty(check_room(&room.places).into_iter().map(|problem| problem.under("/places")).collect())?;
                writer.place_stations(id, &room.places)?;
                Ok(id)
            },
            |reader, _, id| Ok(Json(Room { places: reader.room(id)? })),
        )
        .await
}

/// What is drawn at the stations of a lesson: outlines of the knives, sections of the cuts.
#[utoipa::path(get, operation_id = "class_drawings", path = "/api/lessons/{id}/drawings", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = ClassDrawings)))]
pub(crate) async fn drawings(School(state): School, Id(id): Id) -> Result<Json<ClassDrawings>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            with_class(reader, catalogue, (id, LookedAt::Today(&clock)), None, |class, _| {
                Ok(Json(class_drawings(&class.at_hand, class.exercises)))
            })
        })
        .await
}

/// The quiet view for a wall screen.
#[utoipa::path(get, operation_id = "wall_show", path = "/api/lessons/{id}/wall", tag = "class", params(("id" = i64, Path), ForExercise),
    responses((status = 200, body = WallView)))]
pub(crate) async fn wall(
    School(state): School,
    Id(id): Id,
    Asked(asked): Asked<ForExercise>,
) -> Result<Json<WallView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            with_class(reader, catalogue, (id, LookedAt::Today(&clock)), asked.exercise, |class, kept| {
                Ok(Json(wall_view(class, kept)))
            })
        })
        .await
}

/// What to look at before a class is closed, what is open first.
#[utoipa::path(get, operation_id = "closing_show", path = "/api/lessons/{id}/closing", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = ClosingView)))]
pub(crate) async fn closing(School(state): School, Id(id): Id) -> Result<Json<ClosingView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let count = count_of(reader, catalogue, id)?;
            let briefings = reader.briefings(id)?;
            with_lesson(reader, catalogue, (id, LookedAt::Today(&clock)), |whole| {
                Ok(Json(closing_view(&ClosingInput {
                    class: whole.class,
                    count: &count,
                    produce: whole.produce,
                    histories: whole.check.histories,
                    briefings: &briefings,
                })))
            })
        })
        .await
}
