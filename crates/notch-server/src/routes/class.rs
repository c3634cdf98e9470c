//! Running a lesson: attempts, marks, samples, incidents.

use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use notch_core::Problem;
use notch_core::catalogue::{Catalogue, FaultSeverity};
use notch_core::measure::{MeasuredPiece, SampleCustom, Verdict, judge, parse_pieces};
use notch_core::records::{Attempt, AttemptMarks, Incident, IncidentFields, NewAttempt, check_start};
use notch_core::views::{AdviceChoice, ClassInput, ClassView, advise, class_view, plan_view, reference_seconds};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::AtHand;
use crate::error::ApiError;
use crate::extract::{Asked, Body, Id};
use crate::state::AppState;

/// Which exercise the class is seen for.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct ForExercise {
    /// Id of the exercise; the first of the lesson if it is left out.
    exercise: Option<i64>,
}

/// Starts an attempt.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Start {
    student_id: i64,
    exercise_id: i64,
    knife_id: i64,
}

/// Marks with the version they were made from.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Mark {
    version: i64,
    marks: AttemptMarks,
}

/// Pieces as typed.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct TypedSample {
    /// How they were chosen.
    custom: SampleCustom,
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
    responses((status = 200, body = ClassView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn show(
    State(state): State<AppState>,
    Id(id): Id,
    Asked(asked): Asked<ForExercise>,
) -> Result<Json<ClassView>, ApiError> {
    let today = state.settings.clock.today();
    state
        .read(move |reader, catalogue| {
            let lesson = reader.lesson(id)?;
            let at_hand = AtHand::read(reader, lesson.course_id)?;
            let school = at_hand.school(catalogue);
            let plan = plan_view(&school, &lesson, &reader.exercises(id)?)?;
            Ok(Json(class_view(&ClassInput {
                school,
                lesson: &lesson,
                exercises: &plan.exercises,
                attempts: &reader.attempts_of_course(lesson.course_id)?,
                incidents: &reader.incidents(lesson.course_id)?,
                exercise_id: asked.exercise,
                today,
            })))
        })
        .await
}

/// What an attempt will be judged by, and whether it may start.
fn new_attempt(reader: &Reader<'_>, catalogue: &Catalogue, start: &Start, state: &AppState) -> Result<NewAttempt, ApiError> {
    let student = reader.present_student(start.student_id)?;
    let exercise = reader.exercise(start.exercise_id)?;
    let lesson = reader.lesson(exercise.lesson_id)?;
    if exercise.archived || lesson.course_id != student.course_id {
        return Err(ApiError::Gone("this exercise is no longer in a lesson of the student's course".to_owned()));
    }
    let knife = reader.knife(start.knife_id)?;
    let special = catalogue.knife(&knife.fields.knife_type).is_some_and(|kind| kind.special);
    ApiError::unless_empty(check_start(&student, &knife, special))?;
    let at_hand = AtHand::read(reader, lesson.course_id)?;
    let advice = advise(&at_hand.school(catalogue), &AdviceChoice::from(&exercise.fields))?;
    let tolerance = catalogue.tolerance(&at_hand.course.fields.tolerance);
    Ok(NewAttempt {
        student_id: student.id,
        lesson_id: lesson.id,
        exercise_id: exercise.id,
        knife_id: knife.id,
        started_at: state.settings.clock.now(),
        on_day: state.settings.clock.today(),
        strand: catalogue.cut(&exercise.fields.cut).and_then(|cut| cut.strand),
        cut: exercise.fields.cut,
        standard_set: at_hand.course.fields.standard_set.clone(),
        target: advice.target,
        tolerance: tolerance.cloned().ok_or_else(|| ApiError::Internal("unknown tolerance".to_owned()))?,
        reference_seconds: reference_seconds(&advice),
    })
}

/// Starts an attempt, unless the knife is too long, dull, for the other hand, or in use.
#[utoipa::path(post, operation_id = "class_start", path = "/api/attempts", tag = "class", request_body = Start,
    responses((status = 201, body = Attempt), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn start(
    State(state): State<AppState>,
    Body(start): Body<Start>,
) -> Result<(StatusCode, Json<Attempt>), ApiError> {
    let asked = state.clone();
    state
        .write(move |writer, catalogue| {
            let new = new_attempt(writer, catalogue, &start, &asked)?;
            Ok((StatusCode::CREATED, Json(writer.start_attempt(&new)?)))
        })
        .await
}

/// Stops a running attempt.
#[utoipa::path(post, operation_id = "class_stop", path = "/api/attempts/{id}/stop", tag = "class", params(("id" = i64, Path)),
    responses((status = 200, body = Attempt), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn stop(State(state): State<AppState>, Id(id): Id) -> Result<Json<Attempt>, ApiError> {
    let now = state.settings.clock.now();
    state.write(move |writer, _| Ok(Json(writer.stop_attempt(id, now)?))).await
}

/// Replaces the marks of an attempt; a Stop fault also stops it.
#[utoipa::path(put, operation_id = "class_mark", path = "/api/attempts/{id}/marks", tag = "class", params(("id" = i64, Path)), request_body = Mark,
    responses((status = 200, body = Attempt), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn mark(State(state): State<AppState>, Id(id): Id, Body(mark): Body<Mark>) -> Result<Json<Attempt>, ApiError> {
    let now = state.settings.clock.now();
    state
        .write(move |writer, catalogue| {
            let unknown = mark.marks.faults.iter().enumerate().filter(|(_, fault)| catalogue.fault(fault).is_none());
            let problems = unknown.map(|(index, fault)| {
                Problem::new(format!("/marks/faults/{index}"), "fault", fault, "is not known", "a fault of the catalogue")
            });
            ApiError::unless_empty(problems.collect())?;
            let marked = writer.mark_attempt(id, mark.version, &mark.marks)?;
            // A Stop fault ends the attempt and pauses the student, in the same moment.
            let stops = |fault: &String| catalogue.fault(fault).is_some_and(|fault| fault.severity == FaultSeverity::Stop);
            let must_stop = marked.stopped_at.is_none() && mark.marks.faults.iter().any(stops);
            Ok(Json(if must_stop { writer.stop_attempt(id, now)? } else { marked }))
        })
        .await
}

fn judged(catalogue: &Catalogue, attempt: &Attempt, typed: &TypedSample) -> Result<Judged, ApiError> {
    let pieces = parse_pieces(&typed.text)
        .map_err(|problems| problems.iter().map(|problem| problem.at("/text")).collect::<Vec<Problem>>())?;
    if typed.custom == SampleCustom::BestFour && pieces.len() != 4 {
        let problem = Problem::new("/text", "best four", pieces.len(), "pieces were entered", "exactly 4 pieces");
        return Err(ApiError::Fields(vec![problem]));
    }
    let verdict = judge(catalogue, &attempt.target, &attempt.tolerance, typed.custom, &pieces);
    Ok(Judged { pieces, verdict })
}

/// Judges pieces while they are typed; nothing is kept.
#[utoipa::path(post, operation_id = "class_judge_pieces", path = "/api/attempts/{id}/judge", tag = "class", params(("id" = i64, Path)), request_body = TypedSample,
    responses((status = 200, body = Judged), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn judge_pieces(
    State(state): State<AppState>,
    Id(id): Id,
    Body(typed): Body<TypedSample>,
) -> Result<Json<Judged>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(judged(catalogue, &reader.attempt(id)?, &typed)?))).await
}

/// Judges pieces and keeps them with the attempt.
#[utoipa::path(post, operation_id = "class_add_sample", path = "/api/attempts/{id}/samples", tag = "class", params(("id" = i64, Path)), request_body = TypedSample,
    responses((status = 201, body = Attempt), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add_sample(
    State(state): State<AppState>,
    Id(id): Id,
    Body(typed): Body<TypedSample>,
) -> Result<(StatusCode, Json<Attempt>), ApiError> {
    let now = state.settings.clock.now();
    state
        .write(move |writer, catalogue| {
            let attempt = writer.attempt(id)?;
            writer.present_student(attempt.student_id)?;
            let Judged { pieces, verdict } = judged(catalogue, &attempt, &typed)?;
            Ok((StatusCode::CREATED, Json(writer.add_sample(id, typed.custom, now, &pieces, &verdict)?)))
        })
        .await
}

/// Writes a nick or near-miss down.
#[utoipa::path(post, operation_id = "class_add_incident", path = "/api/lessons/{id}/incidents", tag = "class", params(("id" = i64, Path)), request_body = IncidentFields,
    responses((status = 201, body = Vec<Incident>), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add_incident(
    State(state): State<AppState>,
    Id(id): Id,
    Body(fields): Body<IncidentFields>,
) -> Result<(StatusCode, Json<Vec<Incident>>), ApiError> {
    let now = state.settings.clock.now();
    state
        .write(move |writer, _| {
            ApiError::unless_empty(Problem::unless_text("/words", "what happened", &fields.words, 400).into_iter().collect())?;
            writer.add_incident(id, now, &fields)?;
            let course_id = writer.lesson(id)?.course_id;
            let incidents = writer.incidents(course_id)?.into_iter().filter(|incident| incident.lesson_id == id);
            Ok((StatusCode::CREATED, Json(incidents.collect())))
        })
        .await
}
