//! The Playbook: the matrix, doctrines, the smallest kit.

use axum::Json;
use notch_core::Problem;
use notch_core::at_hand::AtHand;
use notch_core::catalogue::Doctrines;
use notch_core::fitting::KnifeSource;
use notch_core::kit::{Kit, Uncovered};
use notch_core::records::{Course, Student};
use notch_core::views::{
    DoctrineChanges, KitOptions, KitQuestion, Matrix, Preparation, TriedDoctrines, doctrine_changes, kit_options, kit_view,
    matrix, preparation,
};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::{CourseRecords, exercises_of};
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

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
    /// With the cuts that are odd for the food.
    odd: Option<bool>,
}

/// Which preparation.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct WhichPreparation {
    /// Id of the food.
    food: String,
    /// Id of the cut that it leads to.
    cut: String,
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
pub(crate) async fn show(School(state): School, Id(id): Id, Asked(asked): Asked<WhichMatrix>) -> Result<Json<Matrix>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let at_hand = records.at_hand(catalogue);
            let student = student_of(&at_hand, asked.student)?;
            let (source, odd) = (asked.knives.unwrap_or_default(), asked.odd.unwrap_or(false));
            Ok(Json(matrix(&at_hand, asked.food.as_deref(), source, student, odd)?))
        })
        .await
}

fn student_of<'a>(at_hand: &AtHand<'a>, asked: Option<i64>) -> Result<Option<&'a Student>, ApiError> {
    let Some(id) = asked else { return Ok(None) };
    let found = at_hand.student(id).ok_or_else(|| {
        let problem = Problem::new("/student", "For", id.to_string(), "is not in this course", "a student of this course");
        ApiError::Fields(vec![problem])
    })?;
    Ok(Some(found))
}

/// The preparation of a food, step by step up to a cut.
#[utoipa::path(get, operation_id = "playbook_preparation", path = "/api/courses/{id}/playbook/preparation", tag = "playbook", params(("id" = i64, Path), WhichPreparation),
    responses((status = 200, body = Preparation)))]
pub(crate) async fn prepare(
    School(state): School,
    Id(id): Id,
    Asked(asked): Asked<WhichPreparation>,
) -> Result<Json<Preparation>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            let at_hand = records.at_hand(catalogue);
            let student = student_of(&at_hand, asked.student)?;
            let of = (asked.food.as_str(), asked.cut.as_str());
            Ok(Json(preparation(&at_hand, of, asked.knives.unwrap_or_default(), student)?))
        })
        .await
}

/// What other doctrines would change; nothing is kept.
#[utoipa::path(post, operation_id = "playbook_try_doctrines", path = "/api/courses/{id}/doctrines/try", tag = "playbook", params(("id" = i64, Path)), request_body = TriedDoctrines,
    responses((status = 200, body = DoctrineChanges)))]
pub(crate) async fn try_doctrines(
    School(state): School,
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
    School(state): School,
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
pub(crate) async fn kit_choices(School(state): School, Id(id): Id) -> Result<Json<KitOptions>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            Ok(Json(kit_options(&records.at_hand(catalogue), &exercises_of(reader, id)?)))
        })
        .await
}

/// The smallest, or the cheapest, kit that covers the cuts.
#[utoipa::path(post, operation_id = "playbook_kit", path = "/api/courses/{id}/kit", tag = "playbook", params(("id" = i64, Path)), request_body = KitQuestion,
    responses((status = 200, body = KitAnswer)))]
pub(crate) async fn kit(
    School(state): School,
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
