//! Whether a lesson can begin.

use axum::Json;
use notch_core::views::{ReadyView, ready_view};

use super::whole_lesson::{LookedAt, with_lesson};
use crate::error::ApiError;
use crate::extract::Id;
use crate::let_in::School;

/// Whether a lesson can begin: one list, worst first, each with its way out.
#[utoipa::path(get, operation_id = "ready_show", path = "/api/lessons/{id}/ready", tag = "plan", params(("id" = i64, Path)),
    responses((status = 200, body = ReadyView)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<ReadyView>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            with_lesson(reader, catalogue, (id, LookedAt::Today(&clock)), |whole| Ok(Json(ready_view(whole))))
        })
        .await
}
