//! Before and after a class: the check sheet, the count, the closing.

use axum::Json;
use axum::extract::State;
use jiff::Timestamp;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::records::parse_numbers;
use notch_core::views::{
    CheckInput, CheckSheet, CheckTick, Closing, KnifeCount, check_closing, check_sheet, plan_view, proposed_numbers,
};
use notch_store::{Reader, Writer};
use serde::Deserialize;
use utoipa::ToSchema;

use super::AtHand;
use crate::error::ApiError;
use crate::extract::{Body, Id};
use crate::state::AppState;

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

/// Reads everything a sheet is made from and hands it to `with`.
fn with_input<T>(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    id: i64,
    with: impl FnOnce(&CheckInput<'_>) -> T,
) -> Result<T, ApiError> {
    let lesson = reader.lesson(id)?;
    let at_hand = AtHand::read(reader, lesson.course_id)?;
    let school = at_hand.school(catalogue);
    let plan = plan_view(&school, &lesson, &reader.exercises(id)?)?;
    Ok(with(&CheckInput {
        school,
        lesson: &lesson,
        exercises: &plan.exercises,
        histories: &reader.care_histories(catalogue, None)?,
        ticks: &reader.check_ticks(id)?,
    }))
}

fn sheet_of(reader: &Reader<'_>, catalogue: &Catalogue, id: i64) -> Result<CheckSheet, ApiError> {
    with_input(reader, catalogue, id, check_sheet)
}

fn count_of(reader: &Reader<'_>, catalogue: &Catalogue, id: i64) -> Result<KnifeCount, ApiError> {
    let proposed = with_input(reader, catalogue, id, proposed_numbers)?;
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
    responses((status = 200, body = CheckSheet), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn sheet(State(state): State<AppState>, Id(id): Id) -> Result<Json<CheckSheet>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(sheet_of(reader, catalogue, id)?))).await
}

/// Ticks a line of the check sheet.
#[utoipa::path(post, operation_id = "check_tick", path = "/api/lessons/{id}/check", tag = "rack", params(("id" = i64, Path)), request_body = Ticking,
    responses((status = 200, body = CheckSheet), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn tick(
    State(state): State<AppState>,
    Id(id): Id,
    Body(body): Body<Ticking>,
) -> Result<Json<CheckSheet>, ApiError> {
    let at = state.settings.clock.now();
    state
        .write(move |writer, catalogue| {
            let tick = CheckTick { item: body.item, who: body.who, at };
            ApiError::unless_empty(tick.check(&sheet_of(writer, catalogue, id)?))?;
            writer.tick(id, &tick, body.ticked)?;
            Ok(Json(sheet_of(writer, catalogue, id)?))
        })
        .await
}

/// The count of a lesson: knives that went out, and which are not back.
#[utoipa::path(get, operation_id = "count_show", path = "/api/lessons/{id}/count", tag = "rack", params(("id" = i64, Path)),
    responses((status = 200, body = KnifeCount), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn count(State(state): State<AppState>, Id(id): Id) -> Result<Json<KnifeCount>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(count_of(reader, catalogue, id)?))).await
}

fn count_one(writer: &Writer<'_>, lesson: i64, (way, knife): (Direction, i64), at: Timestamp) -> Result<bool, ApiError> {
    match way {
        Direction::Out => writer.count_out(lesson, knife, at).map(|()| true)?,
        Direction::NotOut => writer.count_not_out(lesson, knife).map(|()| true)?,
        Direction::In => return Ok(writer.count_in(lesson, knife, at)?),
    };
    Ok(true)
}

/// Counts knives out or in by their numbers. One wrong number and none is counted.
#[utoipa::path(post, operation_id = "count_knives", path = "/api/lessons/{id}/count", tag = "rack", params(("id" = i64, Path)), request_body = Counting,
    responses((status = 200, body = KnifeCount), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn count_knives(
    State(state): State<AppState>,
    Id(id): Id,
    Body(body): Body<Counting>,
) -> Result<Json<KnifeCount>, ApiError> {
    let at = state.settings.clock.now();
    state
        .write(move |writer, catalogue| {
            if writer.closing(id)?.is_some() {
                return Err(ApiError::Conflict("this class is closed: open it again to count".to_owned()));
            }
            let numbers = parse_numbers(&body.numbers).map_err(|problem| ApiError::Fields(vec![problem]))?;
            let (knives, mut problems) = (writer.knives()?, Vec::new());
            for number in &numbers {
                let found = knives.iter().find(|knife| knife.fields.number.eq_ignore_ascii_case(number));
                let wrong = |why: &str, allowed: &str| Problem::new("/numbers", "number", number, why, allowed);
                match found {
                    None => problems.push(wrong("is on no knife of the rack", "numbers of knives on the rack")),
                    Some(knife) => {
                        let fit = knife.fields.edge_state == notch_core::records::EdgeState::Sharp;
                        if body.way == Direction::Out && !fit {
                            problems.push(wrong("failed its edge test and stays out of class", "knives that are fit for class"));
                        } else if !count_one(writer, id, (body.way, knife.id), at)? {
                            problems.push(wrong("did not go out", "knives that went out for this class"));
                        }
                    }
                }
            }
            if numbers.is_empty() {
                problems.push(Problem::new("/numbers", "numbers", "", "was given", "e.g. 1 2 5-9"));
            }
            ApiError::unless_empty(problems)?;
            Ok(Json(count_of(writer, catalogue, id)?))
        })
        .await
}

/// Closes a class. With a knife missing it must be said what happened.
#[utoipa::path(post, operation_id = "count_close", path = "/api/lessons/{id}/close", tag = "rack", params(("id" = i64, Path)), request_body = CloseClass,
    responses((status = 200, body = KnifeCount), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn close(
    State(state): State<AppState>,
    Id(id): Id,
    Body(body): Body<CloseClass>,
) -> Result<Json<KnifeCount>, ApiError> {
    let at = state.settings.clock.now();
    state
        .write(move |writer, catalogue| {
            let closing = Closing { at, who: body.who, words: body.words };
            if body.closed {
                let count = count_of(writer, catalogue, id)?;
                ApiError::unless_empty(check_closing(&count, &closing.who, &closing.words, writer.running_attempts(id)?))?;
            }
            writer.close_lesson(id, body.closed.then_some(&closing))?;
            Ok(Json(count_of(writer, catalogue, id)?))
        })
        .await
}
