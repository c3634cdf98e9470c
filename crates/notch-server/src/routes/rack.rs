//! The knives.

use std::collections::BTreeSet;

use axum::Json;
use axum::extract::State;
use axum::http::{StatusCode, header};
use axum::response::IntoResponse;
use notch_core::Problem;
use notch_core::people::Hand;
use notch_core::records::{Knife, KnifeFields, KnifeTable, read_knives, write_knives};
use notch_core::units::Millimetres;
use notch_core::views::{RackInput, RackView, rack_view};
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::{Archive, Change, schools_of};
use crate::error::ApiError;
use crate::extract::{Asked, Body, Id};
use crate::state::AppState;

/// How the rack is seen.
#[derive(Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct SeenFrom {
    /// Course whose schools of care count; our defaults if it is left out.
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
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct TableTaken {
    /// Knives that were added.
    added: usize,
    /// Rows that were left.
    left: usize,
}

/// The rack, each knife drawn, with what is due.
#[utoipa::path(get, operation_id = "rack_list", path = "/api/rack", tag = "rack", params(SeenFrom), responses((status = 200, body = RackView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn list(State(state): State<AppState>, Asked(asked): Asked<SeenFrom>) -> Result<Json<RackView>, ApiError> {
    let today = state.settings.clock.today();
    let hand = asked.hand_length.map(|length| hand_length(length).map(|length| (length, asked.hand.unwrap_or(Hand::Right))));
    let hand = hand.transpose()?;
    state
        .read(move |reader, catalogue| {
            Ok(Json(rack_view(&RackInput {
                catalogue,
                knives: &reader.knives()?,
                histories: &reader.care_histories(catalogue, None)?,
                schools: schools_of(reader, asked.course)?,
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
        ApiError::Fields(vec![Problem::new("/hand_length", "length of the hand", length, "mm is out of range", allowed)])
    })
}

/// Puts a knife on the rack.
#[utoipa::path(post, operation_id = "rack_add", path = "/api/rack", tag = "rack", request_body = KnifeFields,
    responses((status = 201, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add(
    State(state): State<AppState>,
    Body(fields): Body<KnifeFields>,
) -> Result<(StatusCode, Json<Knife>), ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(fields.check(catalogue))?;
            Ok((StatusCode::CREATED, Json(writer.add_knife(&fields)?)))
        })
        .await
}

/// Puts several knives on the rack that are alike but for their numbers.
#[utoipa::path(post, operation_id = "rack_add_many", path = "/api/rack/many", tag = "rack", request_body = ManyKnives,
    responses((status = 201, body = Vec<Knife>), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn add_many(
    State(state): State<AppState>,
    Body(many): Body<ManyKnives>,
) -> Result<(StatusCode, Json<Vec<Knife>>), ApiError> {
    state
        .write(move |writer, catalogue| {
            let mut problems = many.fields.check(catalogue);
            problems.extend(Problem::unless_within("/count", "how many", i64::from(many.count), 1, 60));
            let first: Option<u32> = many.fields.number.trim().parse().ok();
            if first.is_none() && many.count > 1 {
                let number = &many.fields.number;
                problems.push(Problem::new(
                    "/number",
                    "number",
                    number,
                    "cannot be counted on from",
                    "a whole number to start with",
                ));
            }
            ApiError::unless_empty(problems)?;
            let added = (0..u32::from(many.count)).map(|step| {
                let number = first.map_or_else(|| many.fields.number.clone(), |first| first.saturating_add(step).to_string());
                writer.add_knife(&KnifeFields { number, ..many.fields.clone() })
            });
            Ok((StatusCode::CREATED, Json(added.collect::<Result<_, _>>()?)))
        })
        .await
}

/// Changes a knife.
#[utoipa::path(put, operation_id = "rack_change", path = "/api/rack/{id}", tag = "rack", params(("id" = i64, Path)), request_body = Change<KnifeFields>,
    responses((status = 200, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn change(
    State(state): State<AppState>,
    Id(id): Id,
    Body(change): Body<Change<KnifeFields>>,
) -> Result<Json<Knife>, ApiError> {
    state
        .write(move |writer, catalogue| {
            ApiError::unless_empty(change.fields.check(catalogue))?;
            Ok(Json(writer.change_knife(id, change.version, &change.fields)?))
        })
        .await
}

/// Takes a knife off the rack, or puts it back.
#[utoipa::path(post, operation_id = "rack_archive", path = "/api/rack/{id}/archive", tag = "rack", params(("id" = i64, Path)), request_body = Archive,
    responses((status = 200, body = Knife), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn archive(
    State(state): State<AppState>,
    Id(id): Id,
    Body(body): Body<Archive>,
) -> Result<Json<Knife>, ApiError> {
    state.write(move |writer, _| Ok(Json(writer.archive_knife(id, body.version, body.archived)?))).await
}

/// The rack as comma-separated text.
#[utoipa::path(get, operation_id = "rack_table", path = "/api/rack/table", tag = "rack", responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(State(state): State<AppState>) -> Result<impl IntoResponse, ApiError> {
    let text = state.read(|reader, _| Ok(write_knives(reader.knives()?.iter().map(|knife| &knife.fields)))).await?;
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
    responses((status = 200, body = KnifeTable), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn read(State(state): State<AppState>, Body(body): Body<TableText>) -> Result<Json<KnifeTable>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(read_table(&body.text, &reader.knife_numbers()?, catalogue)?))).await
}

/// Puts the knives of a table on the rack: all, or with `skip_wrong` the sound ones.
#[utoipa::path(post, operation_id = "rack_take_table", path = "/api/rack/table", tag = "rack", request_body = TableText,
    responses((status = 201, body = TableTaken), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn take(
    State(state): State<AppState>,
    Body(body): Body<TableText>,
) -> Result<(StatusCode, Json<TableTaken>), ApiError> {
    state
        .write(move |writer, catalogue| {
            let table = read_table(&body.text, &writer.knife_numbers()?, catalogue)?;
            if table.wrong > 0 && !body.skip_wrong {
                let of_row = |row: &notch_core::records::KnifeRow| {
                    let line = row.line;
                    row.problems
                        .iter()
                        .map(move |problem| Problem { message: format!("Line {line}: {}", problem.message), ..problem.clone() })
                        .collect::<Vec<_>>()
                };
                return Err(ApiError::Fields(table.rows.iter().flat_map(of_row).collect()));
            }
            for fields in table.rows.iter().filter_map(|row| row.fields.as_ref()) {
                writer.add_knife(fields)?;
            }
            Ok((StatusCode::CREATED, Json(TableTaken { added: table.sound, left: table.wrong })))
        })
        .await
}
