//! The knives.

use std::collections::BTreeSet;

use axum::Json;
use axum::http::{StatusCode, header};
use axum::response::IntoResponse;
use notch_core::Problem;
use notch_core::people::Hand;
use notch_core::records::{Knife, KnifeFields, KnifeList, KnifeTable, read_knife_list, read_knives, write_knives};
use notch_core::units::Millimetres;
use notch_core::views::{RackInput, RackView, rack_view};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::{Archive, Change, doctrines_of, zone_of};
use crate::error::ApiError;
use crate::extract::{Asked, Body, DeviceWrite, Id};
use crate::let_in::School;

/// How the rack is seen.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct SeenFrom {
    /// Course whose doctrines and time zone count; our defaults if it is left out.
    course: Option<i64>,
    /// Length of a hand in mm, 110 to 250, to order by comfort.
    hand_length: Option<f64>,
    /// Working hand, `right` or `left`.
    hand: Option<Hand>,
}

/// Knives that are alike.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct ManyKnives {
    /// Fields of the first; the others take the numbers after its own.
    fields: KnifeFields,
    /// How many, 1 to 60.
    count: u16,
}

/// A table of knives as text.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct TableText {
    /// Comma-separated text with a head.
    text: String,
    /// Take the sound rows and leave the wrong ones.
    #[serde(default)]
    skip_wrong: bool,
}

/// What was taken from a table.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub(crate) struct TableTaken {
    /// Knives that were added.
    added: usize,
    /// Rows that were left.
    left: usize,
}

/// The rack, each knife drawn, with what is due.
#[utoipa::path(get, operation_id = "rack_list", path = "/api/rack", tag = "rack", params(SeenFrom), responses((status = 200, body = RackView)))]
pub(crate) async fn list(School(state): School, Asked(asked): Asked<SeenFrom>) -> Result<Json<RackView>, ApiError> {
    let clock = state.settings.clock.clone();
    let hand = asked.hand_length.map(|length| hand_length(length).map(|length| (length, asked.hand.unwrap_or(Hand::Right))));
    let hand = hand.transpose()?;
    state
        .read(move |reader, catalogue| {
            let today = clock.today(&zone_of(reader, asked.course)?);
            Ok(Json(rack_view(&RackInput {
                catalogue,
                knives: &reader.knives()?,
                histories: &reader.care_histories(catalogue, None)?,
                doctrines: doctrines_of(reader, asked.course)?,
                today,
                class_today: reader.lesson_on(today)?,
                hand,
            })))
        })
        .await
}

fn hand_length(length: f64) -> Result<Millimetres, ApiError> {
    let (least, most) = notch_core::comfort::HAND_LENGTHS;
    let read = Millimetres::new(length).ok().filter(|length| (least..=most).contains(length));
    read.ok_or_else(|| {
        let allowed = format!("{least} to {most} mm, wrist crease to the end of the middle finger");
        ApiError::Fields(vec![Problem::new(
            "/hand_length",
            "Length of the hand",
            length.to_string(),
            "mm is out of range",
            allowed,
        )])
    })
}

/// Puts a knife on the rack.
#[utoipa::path(post, operation_id = "rack_add", path = "/api/rack", tag = "rack", request_body = KnifeFields,
    responses((status = 201, body = Knife)))]
pub(crate) async fn add(
    School(state): School,
    write: DeviceWrite,
    Body(fields): Body<KnifeFields>,
) -> Result<(StatusCode, Json<Knife>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                ApiError::unless_empty(fields.check(catalogue))?;
                Ok(writer.add_knife(&fields)?.id)
            },
            |reader, _, id| Ok((StatusCode::CREATED, Json(reader.knife(id)?))),
        )
        .await
}

/// Puts several knives on the rack that are alike but for their numbers.
#[utoipa::path(post, operation_id = "rack_add_many", path = "/api/rack/many", tag = "rack", request_body = ManyKnives,
    responses((status = 201, body = Vec<Knife>)))]
pub(crate) async fn add_many(
    School(state): School,
    write: DeviceWrite,
    Body(many): Body<ManyKnives>,
) -> Result<(StatusCode, Json<Vec<Knife>>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let alike = many.fields.numbered_on(many.count);
                let mut problems = many.fields.check(catalogue);
                problems.extend(alike.as_ref().err().cloned());
                ApiError::unless_empty(problems)?;
                let added = alike.into_iter().flatten().map(|fields| Ok(writer.add_knife(&fields)?.id));
                added.collect::<Result<Vec<i64>, ApiError>>()
            },
            |reader, _, ids| {
                let knives = ids.into_iter().map(|id| reader.knife(id)).collect::<Result<Vec<_>, _>>()?;
                Ok((StatusCode::CREATED, Json(knives)))
            },
        )
        .await
}

/// Changes a knife.
#[utoipa::path(put, operation_id = "rack_change", path = "/api/rack/{id}", tag = "rack", params(("id" = i64, Path)), request_body = Change<KnifeFields>,
    responses((status = 200, body = Knife)))]
pub(crate) async fn change(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(change): Body<Change<KnifeFields>>,
) -> Result<Json<Knife>, ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                ApiError::unless_empty(change.fields.check(catalogue))?;
                Ok(writer.change_knife(id, change.version, &change.fields)?.id)
            },
            |reader, _, id| Ok(Json(reader.knife(id)?)),
        )
        .await
}

/// Takes a knife off the rack, or puts it back.
#[utoipa::path(post, operation_id = "rack_archive", path = "/api/rack/{id}/archive", tag = "rack", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Knife)))]
pub(crate) async fn archive(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<Archive>,
) -> Result<Json<Knife>, ApiError> {
    state
        .write(
            write,
            move |writer, _, _| Ok(writer.archive_knife(id, body.version, body.archived)?.id),
            |reader, _, id| Ok(Json(reader.knife(id)?)),
        )
        .await
}

/// The rack as comma-separated text.
#[utoipa::path(get, operation_id = "rack_table", path = "/api/rack/table", tag = "rack", responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(School(state): School) -> Result<impl IntoResponse, ApiError> {
    let text = state.read_records(|reader| Ok(write_knives(reader.knives()?.iter().map(|knife| &knife.fields)))).await?;
    let name = "attachment; filename=\"rack.csv\"";
    Ok(([(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)], text))
}

fn read_table(
    text: &str,
    taken: &BTreeSet<String>,
    catalogue: &notch_core::catalogue::Catalogue,
) -> Result<KnifeTable, ApiError> {
    Ok(read_knives(catalogue, text, taken)?)
}

/// Reads a table of knives, row by row; nothing is kept.
#[utoipa::path(post, operation_id = "rack_read_table", path = "/api/rack/table/read", tag = "rack", request_body = TableText,
    responses((status = 200, body = KnifeTable)))]
pub(crate) async fn read(School(state): School, Body(body): Body<TableText>) -> Result<Json<KnifeTable>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(read_table(&body.text, &reader.knife_numbers()?, catalogue)?))).await
}

/// Puts the knives of a table on the rack: all, or with `skip_wrong` the sound ones.
#[utoipa::path(post, operation_id = "rack_take_table", path = "/api/rack/table", tag = "rack", request_body = TableText,
    responses((status = 201, body = TableTaken)))]
pub(crate) async fn take(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<TableText>,
) -> Result<(StatusCode, Json<TableTaken>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let table = read_table(&body.text, &writer.knife_numbers()?, catalogue)?;
                if table.wrong > 0 && !body.skip_wrong {
                    return Err(ApiError::Fields(table.problems()));
                }
                for fields in table.rows.iter().filter_map(|row| row.fields.as_ref()) {
                    writer.add_knife(fields)?;
                }
                Ok(TableTaken { added: table.sound, left: table.wrong })
            },
            |_, _, taken| Ok((StatusCode::CREATED, Json(taken))),
        )
        .await
}

/// Reads knives by count, as `6 chef's 200, 4 paring 90`; nothing is kept.
#[utoipa::path(post, operation_id = "rack_read_list", path = "/api/rack/list/read", tag = "rack", request_body = TableText,
    responses((status = 200, body = KnifeList)))]
pub(crate) async fn read_list(School(state): School, Body(body): Body<TableText>) -> Result<Json<KnifeList>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(read_knife_list(catalogue, &body.text, &reader.knife_numbers()?)?))).await
}

/// Puts knives by count on the rack, numbered after those that are there: all, or with `skip_wrong` those
/// that are understood.
#[utoipa::path(post, operation_id = "rack_take_list", path = "/api/rack/list", tag = "rack", request_body = TableText,
    responses((status = 201, body = TableTaken)))]
pub(crate) async fn take_list(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<TableText>,
) -> Result<(StatusCode, Json<TableTaken>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let list = read_knife_list(catalogue, &body.text, &writer.knife_numbers()?)?;
                if list.wrong > 0 && !body.skip_wrong {
                    return Err(ApiError::Fields(list.items.into_iter().flat_map(|item| item.problems).collect()));
                }
                for fields in list.items.iter().flat_map(|item| &item.knives) {
                    writer.add_knife(fields)?;
                }
                Ok(TableTaken { added: list.sound, left: list.wrong })
            },
            |_, _, taken| Ok((StatusCode::CREATED, Json(taken))),
        )
        .await
}
