//! The buying check.

use axum::Json;
use axum::http::StatusCode;
use notch_core::care::{CareDeed, CareFields, Inspected};
use notch_core::records::{Knife, KnifeFields};
use notch_core::views::{InspectionQuestion, InspectionView, inspection_view};
use serde::Deserialize;
use utoipa::ToSchema;

use super::{CourseRecords, exercises_of};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// A knife that was looked over and bought.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct BoughtKnife {
    /// Its fields.
    knife: KnifeFields,
    /// What was seen of it.
    seen: Inspected,
}

/// Looks a knife over, for the cuts of a course; nothing is kept.
#[utoipa::path(post, operation_id = "rack_inspect", path = "/api/courses/{id}/rack/inspect", tag = "rack", params(("id" = i64, Path)), request_body = InspectionQuestion,
    responses((status = 200, body = InspectionView)))]
pub(crate) async fn look(
    School(state): School,
    Id(id): Id,
    Body(question): Body<InspectionQuestion>,
) -> Result<Json<InspectionView>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let records = CourseRecords::read(reader, id)?;
            Ok(Json(inspection_view(&records.at_hand(catalogue), &exercises_of(reader, id)?, &question)?))
        })
        .await
}

/// Puts a knife on the rack with what was seen of it.
#[utoipa::path(post, operation_id = "rack_bought", path = "/api/courses/{id}/rack/bought", tag = "rack", params(("id" = i64, Path)), request_body = BoughtKnife,
    responses((status = 201, body = Knife)))]
pub(crate) async fn bought(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(bought): Body<BoughtKnife>,
) -> Result<(StatusCode, Json<Knife>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let course = writer.course(id)?;
                let on_day = course.fields.zone().to_datetime(at).date();
                let deed = CareDeed::Inspection { seen: bought.seen };
                let care = CareFields { deed, on_day, words: String::new() };
                let mut problems: Vec<_> =
                    bought.knife.check(catalogue).into_iter().map(|problem| problem.under("/knife")).collect();
                problems.extend(bought.seen.check().into_iter().map(|problem| problem.under("/seen")));
                ApiError::unless_empty(problems)?;
                let knife = writer.add_knife(&bought.knife)?;
                writer.add_care(knife.id, at, &care, care.deed.edge_state(catalogue))?;
                Ok(knife.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.knife(id)?))),
        )
        .await
}
