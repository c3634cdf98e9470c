//! Running a lesson: the room, samples, incidents.

use axum::Json;
use axum::http::StatusCode;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::measure::{
    MeasuredPiece, PieceOrder, SampleCustom, SampleTaking, SamplesBeside, Verdict, beside, drawn, judge, parse_pieces,
};
use notch_core::records::{Attempt, Incident, IncidentFields, TakeBack, TakenBack};
use notch_core::views::{ClassView, class_view};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::whole_lesson::{LookedAt, with_class};
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

/// Pieces that are taken unseen.
const BLIND: u16 = 10;

/// Which exercise the class is seen for.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct ForExercise {
    /// Id of the exercise; the first of the lesson if it is left out.
    pub(super) exercise: Option<i64>,
}

/// Pieces as typed.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct TypedSample {
    /// How they were chosen.
    custom: SampleCustom,
    /// Whether they lie in the order they were cut.
    #[serde(default)]
    order: PieceOrder,
    /// One piece a line.
    text: String,
}

/// What was read, and what it shows.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Judged {
    /// Pieces as they were read.
    pieces: Vec<MeasuredPiece>,
    /// What they show.
    verdict: Verdict,
}

/// The class: stations, knives and attempts of a lesson.
#[utoipa::path(get, operation_id = "class_show", path = "/api/lessons/{id}/class", tag = "class", params(("id" = i64, Path), ForExercise),
    responses((status = 200, body = ClassView)))]
pub(crate) async fn show(
    School(state): School,
    Id(id): Id,
    Asked(asked): Asked<ForExercise>,
) -> Result<Json<ClassView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            with_class(reader, catalogue, (id, LookedAt::Today(&clock)), asked.exercise, |class, kept| {
                Ok(Json(class_view(class, kept)))
            })
        })
        .await
}

fn judged(catalogue: &Catalogue, attempt: &Attempt, typed: &TypedSample) -> Result<Judged, ApiError> {
    let pieces = parse_pieces(&typed.text)
        .map_err(|problems| problems.iter().map(|problem| problem.at("/text")).collect::<Vec<Problem>>())?;
    ApiError::unless_empty(typed.custom.check_count(pieces.len()).into_iter().collect())?;
    let verdict =
        judge(catalogue, &attempt.target, &attempt.tolerance, SampleTaking { custom: typed.custom, order: typed.order }, &pieces);
    Ok(Judged { pieces, verdict })
}

/// Judges pieces while they are typed; nothing is kept.
#[utoipa::path(post, operation_id = "class_judge_pieces", path = "/api/attempts/{id}/judge", tag = "class", params(("id" = i64, Path)), request_body = TypedSample,
    responses((status = 200, body = Judged)))]
pub(crate) async fn judge_pieces(
    School(state): School,
    Id(id): Id,
    Body(typed): Body<TypedSample>,
) -> Result<Json<Judged>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(judged(catalogue, &reader.attempt(id)?, &typed)?))).await
}

/// Judges pieces and keeps them with the attempt.
#[utoipa::path(post, operation_id = "class_add_sample", path = "/api/attempts/{id}/samples", tag = "class", params(("id" = i64, Path)), request_body = TypedSample,
    responses((status = 201, body = Attempt)))]
pub(crate) async fn add_sample(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(typed): Body<TypedSample>,
) -> Result<(StatusCode, Json<Attempt>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let attempt = writer.attempt(id)?;
                writer.present_student(attempt.student_id)?;
                let Judged { pieces, verdict } = judged(catalogue, &attempt, &typed)?;
                Ok(writer.add_sample(id, typed.custom, at, &pieces, &verdict)?.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.attempt(id)?))),
        )
        .await
}

/// Which pieces of a pile are taken unseen.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct ForDraw {
    /// Pieces that lie in the row, 1 to 500.
    of: u16,
    /// So that one draw is not like another.
    seed: u32,
}

/// Places of the pieces to measure, when a pile is laid in a row: ten, or all where there are fewer.
#[utoipa::path(get, operation_id = "class_draw", path = "/api/blind-draw", tag = "class", params(ForDraw),
    responses((status = 200, body = Vec<u16>)))]
pub(crate) async fn draw(Asked(asked): Asked<ForDraw>) -> Result<Json<Vec<u16>>, ApiError> {
    ApiError::unless_empty(
        Problem::unless_within("/of", "Pieces in the row", i64::from(asked.of), 1, 500).into_iter().collect(),
    )?;
    Ok(Json(drawn(asked.of, BLIND, asked.seed)))
}

/// The sample that another is laid beside.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct OtherSample {
    /// Id of the sample.
    other: i64,
}

/// Two samples side by side, the earlier one first. They must be of the same cut.
#[utoipa::path(get, operation_id = "class_beside", path = "/api/samples/{id}/beside", tag = "class",
    params(("id" = i64, Path), OtherSample), responses((status = 200, body = SamplesBeside)))]
pub(crate) async fn samples_beside(
    School(state): School,
    Id(id): Id,
    Asked(asked): Asked<OtherSample>,
) -> Result<Json<SamplesBeside>, ApiError> {
    state
        .read(move |reader, _| {
            let [one, other] = [reader.sample(id)?, reader.sample(asked.other)?];
            let (one_of, other_of) = (reader.attempt(one.attempt_id)?, reader.attempt(other.attempt_id)?);
            if one_of.cut != other_of.cut {
                return Err(ApiError::Conflict("these samples are of two cuts: only like is laid beside like".to_owned()));
            }
            let (first, second) = if (other.taken_at, other.id) < (one.taken_at, one.id) { (other, one) } else { (one, other) };
            Ok(Json(beside(&first.verdict, &second.verdict)))
        })
        .await
}

/// Writes a nick or near-miss down.
#[utoipa::path(post, operation_id = "class_add_incident", path = "/api/lessons/{id}/incidents", tag = "class", params(("id" = i64, Path)), request_body = IncidentFields,
    responses((status = 201, body = Vec<Incident>)))]
pub(crate) async fn add_incident(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(fields): Body<IncidentFields>,
) -> Result<(StatusCode, Json<Vec<Incident>>), ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                ApiError::unless_empty(fields.check())?;
                Ok(writer.add_incident(id, at, &fields)?)
            },
            move |reader, _, _| Ok((StatusCode::CREATED, Json(incidents_of(reader, id)?))),
        )
        .await
}

/// Takes a sample back: it stays beside the others, with who and why, and is no evidence any more.
#[utoipa::path(post, operation_id = "class_take_sample_back", path = "/api/samples/{id}/take-back", tag = "class", params(("id" = i64, Path)), request_body = TakeBack,
    responses((status = 200, body = Attempt)))]
pub(crate) async fn take_sample_back(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(said): Body<TakeBack>,
) -> Result<Json<Attempt>, ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                ApiError::unless_empty(said.check())?;
                Ok(writer.take_sample_back(id, &TakenBack { at, said })?.id)
            },
            |reader, _, id| Ok(Json(reader.attempt(id)?)),
        )
        .await
}

/// Takes an incident back: it stays, with who and why. Answers with all incidents of its lesson.
#[utoipa::path(post, operation_id = "class_take_incident_back", path = "/api/incidents/{id}/take-back", tag = "class", params(("id" = i64, Path)), request_body = TakeBack,
    responses((status = 200, body = Vec<Incident>)))]
pub(crate) async fn take_incident_back(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(said): Body<TakeBack>,
) -> Result<Json<Vec<Incident>>, ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                ApiError::unless_empty(said.check())?;
                Ok(writer.take_incident_back(id, &TakenBack { at, said })?)
            },
            |reader, _, lesson| Ok(Json(incidents_of(reader, lesson)?)),
        )
        .await
}

fn incidents_of(reader: &Reader<'_>, lesson: i64) -> Result<Vec<Incident>, ApiError> {
    let all = reader.incidents(reader.lesson(lesson)?.course_id)?;
    Ok(all.into_iter().filter(|incident| incident.lesson_id == lesson).collect())
}
