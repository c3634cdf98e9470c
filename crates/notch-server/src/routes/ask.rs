//! Ask me: questions at briefing or while waiting, and the briefings that were kept.

use axum::Json;
use axum::http::StatusCode;
use jiff::Timestamp;
use notch_core::Problem;
use notch_core::ask::{AskInput, AskView, ask_view};
use notch_core::catalogue::Catalogue;
use notch_core::records::{Answered, Briefing};
use notch_store::Reader;
use serde::Deserialize;
use utoipa::ToSchema;

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// Answers of a round; more are never given.
const MOST_ANSWERS: i64 = 200;

/// A round of questions, as far as it was answered.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct AskRound {
    /// So that one round is not like another.
    seed: u32,
    /// The student who is asked; none where the room is.
    #[serde(default)]
    student_id: Option<i64>,
    /// Answers in the order in which they were given, up to 200.
    answered: Vec<Answered>,
}

fn look(reader: &Reader<'_>, catalogue: &Catalogue, lesson_id: i64, round: &AskRound) -> Result<AskView, ApiError> {
    let answers = i64::try_from(round.answered.len()).unwrap_or(i64::MAX);
    ApiError::unless_empty(Problem::unless_within("/answered", "Answers", answers, 0, MOST_ANSWERS).into_iter().collect())?;
    let lesson = reader.lesson(lesson_id)?;
    let records = CourseRecords::read(reader, lesson.course_id)?;
    let at_hand = records.at_hand(catalogue);
    let student = round.student_id.map(|id| of_course(&at_hand, id)).transpose()?;
    let exercises = reader.exercises(lesson_id)?;
    Ok(ask_view(&AskInput { at_hand, exercises: &exercises, student, seed: round.seed }, &round.answered))
}

fn of_course<'a>(at_hand: &notch_core::at_hand::AtHand<'a>, id: i64) -> Result<&'a notch_core::records::Student, ApiError> {
    let other = || Problem::new("/student_id", "Student", id, "is not in this course", "a student of this course");
    at_hand.student(id).ok_or_else(|| ApiError::Fields(vec![other()]))
}

/// The next question of a round, and how it stands; nothing is kept.
#[utoipa::path(post, operation_id = "ask_look", path = "/api/lessons/{id}/ask", tag = "class", params(("id" = i64, Path)), request_body = AskRound,
    responses((status = 200, body = AskView)))]
pub(crate) async fn next(School(state): School, Id(id): Id, Body(round): Body<AskRound>) -> Result<Json<AskView>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(look(reader, catalogue, id, &round)?))).await
}

fn kept(reader: &Reader<'_>, catalogue: &Catalogue, id: i64, round: &AskRound, at: Timestamp) -> Result<Briefing, ApiError> {
    let standing = look(reader, catalogue, id, round)?.standing;
    if round.answered.is_empty() {
        let none = Problem::new("/answered", "Answers", "", "was given", "at least one answer");
        return Err(ApiError::Fields(vec![none]));
    }
    let students = match round.student_id {
        Some(id) => vec![id],
        None => {
            let absent = reader.rotation(id)?.fields.absent;
            let students = reader.students(reader.lesson(id)?.course_id)?;
            students.into_iter().map(|student| student.id).filter(|id| !absent.contains(id)).collect()
        }
    };
    Ok(Briefing {
        id: 0,
        at,
        room: round.student_id.is_none(),
        students,
        asked: standing.asked,
        right: standing.right,
        passed: standing.passed,
        answered: round.answered.clone(),
    })
}

/// Keeps a round as a briefing: of one student, or of everybody who is there. Passed or not is worked out here.
#[utoipa::path(post, operation_id = "ask_keep", path = "/api/lessons/{id}/briefings", tag = "class", params(("id" = i64, Path)), request_body = AskRound,
    responses((status = 201, body = Vec<Briefing>)))]
pub(crate) async fn keep(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(round): Body<AskRound>,
) -> Result<(StatusCode, Json<Vec<Briefing>>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| Ok(writer.add_briefing(id, &kept(writer, catalogue, id, &round, at)?)?),
            move |reader, _, _| Ok((StatusCode::CREATED, Json(reader.briefings(id)?))),
        )
        .await
}
