//! The Playbook: the matrix, schools, the smallest kit.

use axum::Json;
use axum::extract::State;
use notch_core::Problem;
use notch_core::catalogue::Schools;
use notch_core::kit::{Kit, KitGoal, Uncovered};
use notch_core::records::Course;
use notch_core::views::{
    KitOptions, KitQuestion, KnifeSource, Matrix, SchoolChanges, TriedSchools, kit_options, kit_view, matrix, school_changes,
};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::AtHand;
use crate::error::ApiError;
use crate::extract::{Asked, Body, Id};
use crate::state::AppState;

/// Which matrix.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct WhichMatrix {
    /// Id of the food; any if it is left out.
    food: Option<String>,
    /// `rack` or `types`.
    knives: Option<KnifeSource>,
    /// Id of a student of the course, for whose hand and clearance the knives are judged.
    student: Option<i64>,
}

/// Schools to save, with the version of the course that they were chosen from.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct ChosenSchools {
    version: i64,
    schools: Schools,
}

/// A kit, or what stands in its way.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct KitAnswer {
    /// Knives to choose from, by name.
    knives: Vec<String>,
    /// Cuts to cover, by title.
    jobs: Vec<String>,
    /// The kit; none if a cut is covered by nothing.
    kit: Option<Kit>,
    /// Cuts that nothing covers, with what comes nearest.
    uncovered: Vec<Uncovered>,
}

/// Cuts against knives.
#[utoipa::path(get, operation_id = "playbook_matrix", path = "/api/courses/{id}/playbook", tag = "playbook", params(("id" = i64, Path), WhichMatrix),
    responses((status = 200, body = Matrix), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn show(
    State(state): State<AppState>,
    Id(id): Id,
    Asked(asked): Asked<WhichMatrix>,
) -> Result<Json<Matrix>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let at_hand = AtHand::read(reader, id)?;
            let student = match asked.student {
                None => None,
                Some(student) => Some(at_hand.students.iter().find(|s| s.id == student).ok_or_else(|| {
                    ApiError::Fields(vec![Problem::new(
                        "/student",
                        "student",
                        student,
                        "is not in this course",
                        "a student of this course",
                    )])
                })?),
            };
            let source = asked.knives.unwrap_or_default();
            Ok(Json(matrix(&at_hand.school(catalogue), asked.food.as_deref(), source, student)?))
        })
        .await
}

/// What other schools would change; nothing is kept.
#[utoipa::path(post, operation_id = "playbook_try_schools", path = "/api/courses/{id}/schools/try", tag = "playbook", params(("id" = i64, Path)), request_body = TriedSchools,
    responses((status = 200, body = SchoolChanges), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn try_schools(
    State(state): State<AppState>,
    Id(id): Id,
    Body(tried): Body<TriedSchools>,
) -> Result<Json<SchoolChanges>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let at_hand = AtHand::read(reader, id)?;
            let mut first = Vec::new();
            for lesson in reader.lessons(id)? {
                first.extend(reader.exercises(lesson.id)?.into_iter().map(|e| (e.fields.cut, e.fields.food)));
            }
            Ok(Json(school_changes(&at_hand.school(catalogue), tried.schools, &first)))
        })
        .await
}

/// Chooses the schools of a course.
#[utoipa::path(put, operation_id = "playbook_choose_schools", path = "/api/courses/{id}/schools", tag = "playbook", params(("id" = i64, Path)), request_body = ChosenSchools,
    responses((status = 200, body = Course), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn choose_schools(
    State(state): State<AppState>,
    Id(id): Id,
    Body(chosen): Body<ChosenSchools>,
) -> Result<Json<Course>, ApiError> {
    state
        .write(move |writer, _| {
            let mut fields = writer.course(id)?.fields;
            fields.schools = chosen.schools;
            Ok(Json(writer.change_course(id, chosen.version, &fields)?))
        })
        .await
}

/// The exercises and knives that a kit of this course is worked out from.
#[utoipa::path(get, operation_id = "playbook_kit_options", path = "/api/courses/{id}/kit", tag = "playbook", params(("id" = i64, Path)),
    responses((status = 200, body = KitOptions), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn kit_choices(State(state): State<AppState>, Id(id): Id) -> Result<Json<KitOptions>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let at_hand = AtHand::read(reader, id)?;
            let mut exercises = Vec::new();
            for lesson in reader.lessons(id)? {
                exercises.extend(reader.exercises(lesson.id)?);
            }
            Ok(Json(kit_options(&at_hand.school(catalogue), &exercises)))
        })
        .await
}

/// The smallest, or the cheapest, kit that covers the cuts.
#[utoipa::path(post, operation_id = "playbook_kit", path = "/api/courses/{id}/kit", tag = "playbook", params(("id" = i64, Path)), request_body = KitQuestion,
    responses((status = 200, body = KitAnswer), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn kit(
    State(state): State<AppState>,
    Id(id): Id,
    Body(question): Body<KitQuestion>,
) -> Result<Json<KitAnswer>, ApiError> {
    if let KitGoal::Cheapest { budget } = question.goal
        && !(0.0..=1_000_000.0).contains(&budget)
    {
        let problem = Problem::new("/goal/budget", "budget", budget, "is out of range", "0 to 1000000");
        return Err(ApiError::Fields(vec![problem]));
    }
    state
        .read(move |reader, catalogue| {
            let at_hand = AtHand::read(reader, id)?;
            let found = kit_view(&at_hand.school(catalogue), &question)?;
            Ok(Json(KitAnswer { knives: found.knives, jobs: found.jobs, kit: found.kit, uncovered: found.uncovered }))
        })
        .await
}
