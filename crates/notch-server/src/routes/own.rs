//! The school's own values: copied or edited standards, tolerances, foods, cues and thresholds.

use std::collections::BTreeMap;

use axum::Json;
use notch_core::Problem;
use notch_core::own::{Difference, InForce, OwnKind, OwnValue, SizeTexts, sizes_of, with_own};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite};
use crate::let_in::School;
use crate::state::AppState;

/// An own value with where it differs from what was shipped.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct OwnLine {
    kind: OwnKind,
    /// Id within its kind.
    id: String,
    /// Rises with each change.
    version: i64,
    value: OwnValue,
    /// A copy beside the shipped ones, not an edited one.
    copy: bool,
    /// Where it differs.
    differences: Vec<Difference>,
}

/// An own value that no longer fits the catalogue, and is not laid over it until it is mended.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct SetAsideLine {
    kind: OwnKind,
    /// Id within its kind.
    id: String,
    /// Version that it is mended or dropped by.
    version: i64,
    /// The value, where it can be read.
    value: Option<OwnValue>,
    /// A copy beside the shipped ones: nothing stands in its place.
    copy: bool,
    /// Why it does not fit.
    problems: Vec<Problem>,
}

/// Everything that a school can copy or edit, and what it did.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct OwnView {
    /// Own values in force.
    own: Vec<OwnLine>,
    /// Own values that no longer fit.
    set_aside: Vec<SetAsideLine>,
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
    kind: OwnKind,
    /// Id within its kind.
    id: String,
    /// Version that was read.
    version: i64,
}

fn view(state: &AppState, reader: &Reader<'_>) -> Result<OwnView, ApiError> {
    let (shipped, in_force) = (&state.shipped.catalogue, state.in_force(reader)?);
    let InForce { catalogue, set_aside } = &*in_force;
    let mut own = Vec::new();
    for record in reader.own_values()? {
        let is_set_aside = set_aside.iter().any(|aside| (aside.record.kind, &aside.record.id) == (record.kind, &record.id));
        let Ok(value) = record.value else { continue };
        if is_set_aside {
            continue;
        }
        let (copy, differences) = (!record.kind.is_shipped(shipped, &record.id), value.differences(shipped)?);
        own.push(OwnLine { kind: record.kind, id: record.id, version: record.version, value, copy, differences });
    }
    let set_aside = set_aside.iter().map(|aside| SetAsideLine {
        kind: aside.record.kind,
        id: aside.record.id.clone(),
        version: aside.record.version,
        value: aside.record.value.clone().ok(),
        copy: !aside.record.kind.is_shipped(shipped, &aside.record.id),
        problems: aside.problems.clone(),
    });
    Ok(OwnView {
        own,
        set_aside: set_aside.collect(),
        sizes: catalogue.sets.iter().map(|set| (set.id.clone(), sizes_of(set))).collect(),
        thresholds: catalogue.progress.clone(),
    })
}

/// What the school edited or copied.
#[utoipa::path(get, operation_id = "own_list", path = "/api/own", tag = "own", responses((status = 200, body = OwnView)))]
pub(crate) async fn list(School(state): School) -> Result<Json<OwnView>, ApiError> {
    let asked = state.clone();
    state.read_records(move |reader| Ok(Json(view(&asked, reader)?))).await
}

/// Keeps an own value, new or changed. Past judgements keep the figures they were made with.
#[utoipa::path(post, operation_id = "own_keep", path = "/api/own", tag = "own", request_body = KeepOwn,
    responses((status = 200, body = OwnView)))]
pub(crate) async fn keep(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<KeepOwn>,
) -> Result<Json<OwnView>, ApiError> {
    let asked = state.clone();
    let shipped = state.shipped.clone();
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let value = body.value.with_id(catalogue);
                with_own(&shipped.catalogue, std::slice::from_ref(&value))?;
                Ok(writer.keep_own(body.version, &value)?)
            },
            move |reader, _, ()| Ok(Json(view(&asked, reader)?)),
        )
        .await
}

/// Drops an own value, so that the shipped one stands again. A copy that is used stays.
#[utoipa::path(post, operation_id = "own_drop", path = "/api/own/drop", tag = "own", request_body = DropOwn,
    responses((status = 200, body = OwnView)))]
pub(crate) async fn go_back(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<DropOwn>,
) -> Result<Json<OwnView>, ApiError> {
    let asked = state.clone();
    let shipped = state.shipped.clone();
    state
        .write(
            write,
            move |writer, _, _| {
                if !body.kind.is_shipped(&shipped.catalogue, &body.id) {
                    ApiError::unless_empty(writer.uses_of_own(body.kind, &body.id)?.problems(body.kind, &body.id))?;
                }
                Ok(writer.drop_own(body.kind, &body.id, body.version)?)
            },
            move |reader, _, ()| Ok(Json(view(&asked, reader)?)),
        )
        .await
}
