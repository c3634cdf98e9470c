//! The Playbook: the matrix, doctrines, the smallest kit.

use axum::Json;
use axum::extract::State;
use notch_core::Problem;
use notch_core::catalogue::Doctrines;
use notch_core::fitting::KnifeSource;
use notch_core::kit::{Kit, Uncovered};
use notch_core::records::Course;
use notch_core::views::{
    DoctrineChanges, KitOptions, KitQuestion, Matrix, TriedDoctrines, doctrine_changes, kit_options, kit_view, matrix,
};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::CourseRecords;
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
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

/// Doctrines to save, with the version of the course that they were chosen from.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct ChosenDoctrines {
    version: i64,
    doctrines: Doctrines,
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
    responses((status = 200, body = Matrix)))]
pub(crate) async fn show(
    State(state): State<AppState>,
    Id(id): Id,
    Asked(asked): Asked<WhichMatrix>,
) -> Result<Json<Matrix>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let at_hand = records.at_hand(catalogue);
            let student = match asked.student {
                None => None,
                Some(student) => Some(at_hand.student(student).ok_or_else(|| {
                    let allowed = "a student of this course";
                    ApiError::Fields(vec![Problem::new("/student", "For", student.to_string(), "is not in this course", allowed)])
                })?),
            };
            let source = asked.knives.unwrap_or_default();
            Ok(Json(matrix(&at_hand, asked.food.as_deref(), source, student)?))
        })
        .await
}

/// What other doctrines would change; nothing is kept.
#[utoipa::path(post, operation_id = "playbook_try_doctrines", path = "/api/courses/{id}/doctrines/try", tag = "playbook", params(("id" = i64, Path)), request_body = TriedDoctrines,
    responses((status = 200, body = DoctrineChanges)))]
pub(crate) async fn try_doctrines(
    State(state): State<AppState>,
    Id(id): Id,
    Body(tried): Body<TriedDoctrines>,
) -> Result<Json<DoctrineChanges>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let mut first = Vec::new();
            for lesson in reader.lessons(id)? {
                first.extend(reader.exercises(lesson.id)?.into_iter().map(|e| (e.fields.cut, e.fields.food)));
            }
            Ok(Json(doctrine_changes(&records.at_hand(catalogue), tried.doctrines, &first)))
        })
        .await
}

/// Chooses the doctrines of a course.
#[utoipa::path(put, operation_id = "playbook_choose_doctrines", path = "/api/courses/{id}/doctrines", tag = "playbook", params(("id" = i64, Path)), request_body = ChosenDoctrines,
    responses((status = 200, body = Course)))]
pub(crate) async fn choose_doctrines(
    State(state): State<AppState>,
    Id(id): Id,
    write: DeviceWrite,
    Body(chosen): Body<ChosenDoctrines>,
) -> Result<Json<Course>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                let mut fields = writer.course(id)?.fields;
                fields.doctrines = chosen.doctrines;
                Ok(writer.change_course(id, chosen.version, &fields)?.id)
            },
            |reader, _, id| Ok(Json(reader.course(id)?)),
        )
        .await
}

/// The exercises and knives that a kit of this course is worked out from.
#[utoipa::path(get, operation_id = "playbook_kit_options", path = "/api/courses/{id}/kit", tag = "playbook", params(("id" = i64, Path)),
    responses((status = 200, body = KitOptions)))]
pub(crate) async fn kit_choices(State(state): State<AppState>, Id(id): Id) -> Result<Json<KitOptions>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let mut exercises = Vec::new();
            for lesson in reader.lessons(id)? {
                exercises.extend(reader.exercises(lesson.id)?);
            }
            Ok(Json(kit_options(&records.at_hand(catalogue), &exercises)))
        })
        .await
}

/// The smallest, or the cheapest, kit that covers the cuts.
#[utoipa::path(post, operation_id = "playbook_kit", path = "/api/courses/{id}/kit", tag = "playbook", params(("id" = i64, Path)), request_body = KitQuestion,
    responses((status = 200, body = KitAnswer)))]
pub(crate) async fn kit(
    State(state): State<AppState>,
    Id(id): Id,
    Body(question): Body<KitQuestion>,
) -> Result<Json<KitAnswer>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let found = kit_view(&records.at_hand(catalogue), &question)?;
            Ok(Json(KitAnswer { knives: found.knives, jobs: found.jobs, kit: found.kit, uncovered: found.uncovered }))
        })
        .await
}
