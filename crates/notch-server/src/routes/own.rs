//! The school's own values: copied or edited standards, tolerances, foods, cues and thresholds.

use std::collections::BTreeMap;

use axum::Json;
use axum::extract::State;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::own::{Difference, OwnValue, SizeTexts, own_id, sizes_of, with_own};
use notch_core::records::OwnRecord;
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::ApiError;
use crate::extract::Body;
use crate::state::AppState;

/// An own value with where it differs from what was shipped.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct OwnLine {
    #[serde(flatten)]
    record: OwnRecord,
    /// Word of its kind.
    kind: String,
    /// Id within its kind.
    id: String,
    /// A copy beside the shipped ones, not an edited one.
    copy: bool,
    /// Where it differs.
    differences: Vec<Difference>,
}

/// Everything that a school can copy or edit, and what it did.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct OwnView {
    /// Own values.
    own: Vec<OwnLine>,
    /// Sizes of each set of standards as texts, by id.
    sizes: BTreeMap<String, BTreeMap<String, SizeTexts>>,
    /// Thresholds of the notches as they stand.
    thresholds: notch_core::catalogue::ProgressRules,
}

/// A value to keep.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct KeepOwn {
    /// Version that was read; none for a new one.
    version: Option<i64>,
    /// The value. A new copy may leave its id empty: it gets one from its name.
    value: OwnValue,
}

/// A value to drop, so that the shipped one stands again.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct DropOwn {
    /// Word of its kind.
    kind: String,
    /// Id within its kind.
    id: String,
    /// Version that was read.
    version: i64,
}

fn shipped_has(shipped: &Catalogue, kind: &str, id: &str) -> bool {
    match kind {
        "standard_set" => shipped.set(id).is_some(),
        "tolerance" => shipped.tolerance(id).is_some(),
        "food" => shipped.food(id).is_some(),
        _ => true,
    }
}

fn view(reader: &Reader<'_>, catalogue: &Catalogue, shipped: &Catalogue) -> Result<OwnView, ApiError> {
    let line = |record: OwnRecord| {
        let (kind, id) = (record.value.kind().to_owned(), record.value.id().to_owned());
        let copy = !shipped_has(shipped, &kind, &id);
        Ok(OwnLine { differences: record.value.differences(shipped)?, kind, id, copy, record })
    };
    Ok(OwnView {
        own: reader.own_values()?.into_iter().map(line).collect::<Result<_, ApiError>>()?,
        sizes: catalogue.sets.iter().map(|set| (set.id.clone(), sizes_of(set))).collect(),
        thresholds: catalogue.progress.clone(),
    })
}

/// What the school edited or copied.
#[utoipa::path(get, operation_id = "own_list", path = "/api/own", tag = "own", responses((status = 200, body = OwnView)))]
pub(crate) async fn list(State(state): State<AppState>) -> Result<Json<OwnView>, ApiError> {
    let shipped = state.catalogue.clone();
    state.read(move |reader, catalogue| Ok(Json(view(reader, catalogue, &shipped)?))).await
}

/// Gives a new copy its id.
fn with_id(value: OwnValue, catalogue: &Catalogue) -> OwnValue {
    match value {
        OwnValue::StandardSet { id, name, based_on, sizes } if id.is_empty() => {
            let id = own_id(&name, catalogue.sets.iter().map(|set| set.id.as_str()));
            OwnValue::StandardSet { id, name, based_on, sizes }
        }
        OwnValue::Tolerance { id, name, based_on, share, floor, even_cv } if id.is_empty() => {
            let id = own_id(&name, catalogue.tolerances.iter().map(|tolerance| tolerance.id.as_str()));
            OwnValue::Tolerance { id, name, based_on, share, floor, even_cv }
        }
        OwnValue::Food { based_on, mut food } if food.id.is_empty() => {
            food.id = own_id(&food.name, catalogue.foods.iter().map(|food| food.id.as_str()));
            OwnValue::Food { based_on, food }
        }
        other => other,
    }
}

/// Keeps an own value, new or changed. Past judgements keep the figures they were made with.
#[utoipa::path(post, operation_id = "own_keep", path = "/api/own", tag = "own", request_body = KeepOwn,
    responses((status = 200, body = OwnView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn keep(State(state): State<AppState>, Body(body): Body<KeepOwn>) -> Result<Json<OwnView>, ApiError> {
    let shipped = state.catalogue.clone();
    state
        .write(move |writer, catalogue| {
            let value = with_id(body.value, catalogue);
            with_own(&shipped, std::slice::from_ref(&value))?;
            writer.keep_own(body.version, &value)?;
            let all: Vec<OwnValue> = writer.own_values()?.into_iter().map(|record| record.value).collect();
            let after = with_own(&shipped, &all)?;
            Ok(Json(view(writer, &after, &shipped)?))
        })
        .await
}

/// Drops an own value, so that the shipped one stands again. A copy that is used stays.
#[utoipa::path(post, operation_id = "own_drop", path = "/api/own/drop", tag = "own", request_body = DropOwn,
    responses((status = 200, body = OwnView), (status = "4XX", body = crate::ProblemDocument)))]
pub(crate) async fn go_back(State(state): State<AppState>, Body(body): Body<DropOwn>) -> Result<Json<OwnView>, ApiError> {
    let shipped = state.catalogue.clone();
    state
        .write(move |writer, _| {
            if !shipped_has(&shipped, &body.kind, &body.id) {
                ApiError::unless_empty(uses(writer, &body)?)?;
            }
            writer.drop_own(&body.kind, &body.id, body.version)?;
            let all: Vec<OwnValue> = writer.own_values()?.into_iter().map(|record| record.value).collect();
            let after = with_own(&shipped, &all)?;
            Ok(Json(view(writer, &after, &shipped)?))
        })
        .await
}

/// What stands in the way of removing a copy.
fn uses(reader: &Reader<'_>, body: &DropOwn) -> Result<Vec<Problem>, ApiError> {
    let used = |words: String, allowed: &str| Problem::new("/id", &body.kind.replace('_', " "), &body.id, &words, allowed);
    if body.kind == "food" {
        let exercises = reader.uses_of_food(&body.id)?;
        return Ok((exercises > 0)
            .then(|| used(format!("is cut in {exercises} exercises"), "a food that no exercise uses"))
            .into_iter()
            .collect());
    }
    let (courses, attempts) = reader.uses_of_standard(&body.id)?;
    let mut problems = Vec::new();
    if !courses.is_empty() {
        problems.push(used(format!("is used by {}", courses.join(", ")), "one that no course uses: choose another there first"));
    }
    if attempts > 0 {
        problems.push(used(
            format!("judged {attempts} attempts, which refer to it"),
            "one that no past judgement used; rename it instead",
        ));
    }
    Ok(problems)
}
