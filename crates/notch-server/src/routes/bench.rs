//! The Bench: a cut seen before it is made.

use axum::Json;
use notch_core::onion::{Limits, RankedMethods, WantedDice};
use notch_core::views::{
    BenchQuestion, BenchView, Beside, BesideQuestion, OnionQuestion, OnionView, OnionsBeside, OnionsQuestion, bench_beside,
    bench_view, onion_choice, onion_view, onions_beside,
};
use serde::Deserialize;
use utoipa::ToSchema;

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::{Body, Id};
use crate::let_in::School;

/// Seed of uneven cuts of an onion, so that the same question has the same answer.
const SEED: u64 = 7;

/// A wanted size with its limits.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct ChooseForMe {
    /// Onion and size.
    wanted: WantedDice,
    /// What may not be exceeded.
    #[serde(default)]
    limits: Limits,
}

/// Pieces, waste, strokes and minutes of a cut, both ways of working; nothing is kept.
#[utoipa::path(post, operation_id = "bench_cut", path = "/api/courses/{id}/bench", tag = "bench", params(("id" = i64, Path)), request_body = BenchQuestion,
    responses((status = 200, body = BenchView)))]
pub(crate) async fn cut(
    School(state): School,
    Id(id): Id,
    Body(question): Body<BenchQuestion>,
) -> Result<Json<BenchView>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            Ok(Json(bench_view(&records.at_hand(catalogue), &question)?))
        })
        .await
}

/// Two or three cuts beside each other, with their differences in words; nothing is kept.
#[utoipa::path(post, operation_id = "bench_beside", path = "/api/courses/{id}/bench/beside", tag = "bench", params(("id" = i64, Path)), request_body = BesideQuestion,
    responses((status = 200, body = Beside)))]
pub(crate) async fn beside(
    School(state): School,
    Id(id): Id,
    Body(question): Body<BesideQuestion>,
) -> Result<Json<Beside>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            Ok(Json(bench_beside(&records.at_hand(catalogue), &question)?))
        })
        .await
}

/// Two or three onions beside each other, with their differences in words; nothing is kept.
#[utoipa::path(post, operation_id = "bench_onions_beside", path = "/api/bench/onion/beside", tag = "bench", request_body = OnionsQuestion,
    responses((status = 200, body = OnionsBeside)))]
pub(crate) async fn onions(School(state): School, Body(question): Body<OnionsQuestion>) -> Result<Json<OnionsBeside>, ApiError> {
    state.compute(move |_| Ok(Json(onions_beside(&question, SEED)?))).await
}

/// An onion cut one way, cell by cell; nothing is kept.
#[utoipa::path(post, operation_id = "bench_onion", path = "/api/bench/onion", tag = "bench", request_body = OnionQuestion,
    responses((status = 200, body = OnionView)))]
pub(crate) async fn onion(School(state): School, Body(question): Body<OnionQuestion>) -> Result<Json<OnionView>, ApiError> {
    state.compute(move |_| Ok(Json(onion_view(&question, SEED)?))).await
}

/// The way of cutting an onion that gives most of a wanted size; nothing is kept.
#[utoipa::path(post, operation_id = "bench_choose", path = "/api/bench/onion/choose", tag = "bench", request_body = ChooseForMe,
    responses((status = 200, body = RankedMethods)))]
pub(crate) async fn choose(School(state): School, Body(body): Body<ChooseForMe>) -> Result<Json<RankedMethods>, ApiError> {
    state.compute(move |still_wanted| Ok(Json(onion_choice(body.wanted, body.limits, still_wanted)?))).await
}
