//! Before and after a class: the check sheet, the count, the closing.

use axum::Json;
use jiff::Timestamp;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::eligibility::dull_barrier;
use notch_core::records::{CheckTick, Closing, parse_numbers};
use notch_core::views::{CheckSheet, KnifeCount, check_closing, check_sheet, proposed_numbers};
use notch_store::{Reader, Writer};
use serde::Deserialize;
use utoipa::ToSchema;

use super::whole_lesson::{LookedAt, with_lesson};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// A tick, or a tick taken back.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Ticking {
    /// Id of the line.
    item: String,
    /// Who.
    who: String,
    /// `true` ticks it, `false` takes the tick back.
    ticked: bool,
}

/// Which way knives are counted.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub(crate) enum Direction {
    /// Handed out.
    Out,
    /// Back on the rack.
    In,
    /// Counted out by mistake.
    NotOut,
}

/// Knives that are counted.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Counting {
    /// Which way.
    way: Direction,
    /// Numbers as typed: `1 2 5-9`.
    numbers: String,
}

/// Closing a class, or opening it again.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct CloseClass {
    /// Who.
    who: String,
    /// What happened to missing knives.
    #[serde(default)]
    words: String,
    /// `false` opens it again.
    closed: bool,
}

fn sheet_of(reader: &Reader<'_>, catalogue: &Catalogue, id: i64) -> Result<CheckSheet, ApiError> {
    with_lesson(reader, catalogue, (id, LookedAt::ItsDay), |whole| Ok(check_sheet(whole.check)))
}

pub(super) fn count_of(reader: &Reader<'_>, catalogue: &Catalogue, id: i64) -> Result<KnifeCount, ApiError> {
    let proposed = with_lesson(reader, catalogue, (id, LookedAt::ItsDay), |whole| Ok(proposed_numbers(whole.check)))?;
    let knives = reader.knives_out(id, catalogue)?;
    Ok(KnifeCount {
        lesson: reader.lesson(id)?,
        missing: knives.iter().filter(|knife| knife.in_at.is_none()).count(),
        knives,
        proposed,
        closed: reader.closing(id)?,
    })
}

/// The check sheet of a lesson.
#[utoipa::path(get, operation_id = "check_show", path = "/api/lessons/{id}/check", tag = "rack", params(("id" = i64, Path)),
    responses((status = 200, body = CheckSheet)))]
pub(crate) async fn sheet(School(state): School, Id(id): Id) -> Result<Json<CheckSheet>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(sheet_of(reader, catalogue, id)?))).await
}

/// Ticks a line of the check sheet.
#[utoipa::path(post, operation_id = "check_tick", path = "/api/lessons/{id}/check", tag = "rack", params(("id" = i64, Path)), request_body = Ticking,
    responses((status = 200, body = CheckSheet)))]
pub(crate) async fn tick(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Ticking>,
) -> Result<Json<CheckSheet>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let tick = CheckTick { item: body.item, who: body.who, at };
                ApiError::unless_empty(sheet_of(writer, catalogue, id)?.check_tick(&tick))?;
                writer.tick(id, &tick, body.ticked)?;
                Ok(id)
            },
            |reader, catalogue, id| Ok(Json(sheet_of(reader, catalogue, id)?)),
        )
        .await
}

/// The count of a lesson: knives that went out, and which are not back.
#[utoipa::path(get, operation_id = "count_show", path = "/api/lessons/{id}/count", tag = "rack", params(("id" = i64, Path)),
    responses((status = 200, body = KnifeCount)))]
pub(crate) async fn count(School(state): School, Id(id): Id) -> Result<Json<KnifeCount>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(count_of(reader, catalogue, id)?))).await
}

/// Counts the knives with these numbers; every number that cannot be counted is told.
fn count_numbers(writer: &Writer<'_>, lesson: i64, counting: &Counting, at: Timestamp) -> Result<Vec<Problem>, ApiError> {
    let numbers = parse_numbers(&counting.numbers).map_err(|problem| vec![problem])?;
    let (knives, mut problems) = (writer.knives()?, Vec::new());
    let wrong = |number: &str, why: &str, allowed: &str| Problem::new("/numbers", "Number", number, why, allowed);
    for number in &numbers {
        let Some(knife) = knives.iter().find(|knife| knife.fields.number.eq_ignore_ascii_case(number)) else {
            problems.push(wrong(number, "is on no knife of the rack", "numbers of knives on the rack"));
            continue;
        };
        match counting.way {
            Direction::Out => match dull_barrier(knife) {
                Some(barrier) => problems.push(barrier.problem(knife).under("/numbers")),
                None => writer.count_out(lesson, knife.id, at)?,
            },
            Direction::NotOut => writer.count_not_out(lesson, knife.id)?,
            Direction::In => {
                if !writer.count_in(lesson, knife.id, at)? {
                    problems.push(wrong(number, "did not go out", "knives that went out for this class"));
                }
            }
        }
    }
    if numbers.is_empty() {
        problems.push(wrong("", "was given", "e.g. 1 2 5-9"));
    }
    Ok(problems)
}

/// Counts knives out or in by their numbers. One wrong number and none is counted.
#[utoipa::path(post, operation_id = "count_knives", path = "/api/lessons/{id}/count", tag = "rack", params(("id" = i64, Path)), request_body = Counting,
    responses((status = 200, body = KnifeCount)))]
pub(crate) async fn count_knives(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Counting>,
) -> Result<Json<KnifeCount>, ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                let lesson = writer.lesson(id)?.id;
                if writer.closing(lesson)?.is_some() {
                    return Err(ApiError::Conflict("this class is closed: open it again to count".to_owned()));
                }
                ApiError::unless_empty(count_numbers(writer, lesson, &body, at)?)?;
                Ok(lesson)
            },
            |reader, catalogue, id| Ok(Json(count_of(reader, catalogue, id)?)),
        )
        .await
}

/// Closes a class. With a knife missing it must be said what happened.
#[utoipa::path(post, operation_id = "count_close", path = "/api/lessons/{id}/close", tag = "rack", params(("id" = i64, Path)), request_body = CloseClass,
    responses((status = 200, body = KnifeCount)))]
pub(crate) async fn close(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<CloseClass>,
) -> Result<Json<KnifeCount>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let closing = Closing { at, who: body.who, words: body.words };
                if body.closed {
                    let count = count_of(writer, catalogue, id)?;
                    ApiError::unless_empty(check_closing(&count, &closing.who, &closing.words, writer.running_attempts(id)?))?;
                }
                writer.close_lesson(id, body.closed.then_some(&closing))?;
                Ok(id)
            },
            |reader, catalogue, id| Ok(Json(count_of(reader, catalogue, id)?)),
        )
        .await
}
