//! The pages of a lesson: for the screen, as PDF, and as SVG.

use axum::Json;
use axum::http::header;
use axum::response::IntoResponse;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::paper::{PaperInput, PaperKind, PaperPage, PaperSize, page_as_svg, paper};
use notch_core::views::{proposed_numbers, yard_view};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::{IntoParams, ToSchema};

use super::whole_lesson::{LookedAt, with_lesson};
use crate::error::ApiError;
use crate::extract::{Asked, Id};
use crate::let_in::School;
use crate::state::AppState;

/// Which pages.
#[derive(Clone, Copy, Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct Wanted {
    /// What is printed; the lesson on one page where nothing is said.
    #[serde(default)]
    #[param(inline)]
    page: PaperKind,
    /// Size of the paper; A4 where nothing is said.
    #[serde(default)]
    #[param(inline)]
    paper: PaperSize,
}

/// One page of them.
#[derive(Clone, Copy, Debug, Deserialize, IntoParams)]
#[into_params(parameter_in = Query)]
pub(crate) struct WantedPage {
    /// What is printed; the lesson on one page where nothing is said.
    #[serde(default)]
    #[param(inline)]
    page: PaperKind,
    /// Size of the paper; A4 where nothing is said.
    #[serde(default)]
    #[param(inline)]
    paper: PaperSize,
    /// Which page, from 1; the first where nothing is said.
    #[serde(default = "first")]
    number: usize,
}

const fn first() -> usize {
    1
}

/// Pages as they are printed.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Pages {
    /// What the lesson is called.
    title: String,
    /// What is printed.
    page: PaperKind,
    /// Size of the paper.
    paper: PaperSize,
    /// The pages.
    pages: Vec<PaperPage>,
}

/// The title of a lesson, and its pages, worked out from all that is known of it on a day.
///
/// # Errors
/// No such lesson, and what the database says.
pub fn pages_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    lesson: (i64, LookedAt<'_>),
    (kind, size): (PaperKind, PaperSize),
) -> Result<(String, Vec<PaperPage>), ApiError> {
    with_lesson(reader, catalogue, lesson, |whole| {
        let at_hand = &whole.class.at_hand;
        let input = PaperInput {
            catalogue,
            plan: whole.plan,
            lessons: reader.lessons(whole.plan.course.id)?.len(),
            students: at_hand.students,
            produce: whole.produce,
            rotation: whole.rotation,
            knives: at_hand.knives,
            numbers: &proposed_numbers(whole.check),
            yard: &yard_view(at_hand, whole.class.attempts, whole.class.today),
        };
        Ok((whole.plan.lesson.fields.title.clone(), paper(&input, kind, size)))
    })
}

/// The pages of a lesson, for the screen.
#[utoipa::path(get, operation_id = "paper_show", path = "/api/lessons/{id}/paper", tag = "paper", params(("id" = i64, Path), Wanted),
    responses((status = 200, body = Pages)))]
pub(crate) async fn show(School(state): School, Id(id): Id, Asked(wanted): Asked<Wanted>) -> Result<Json<Pages>, ApiError> {
    let Wanted { page, paper } = wanted;
    with_pages(state, id, (page, paper), move |title, pages| Ok(Json(Pages { title, page, paper, pages }))).await
}

/// Hands the title of a lesson and its pages, as they are today where the course is held, to `with`, off the async
/// threads.
async fn with_pages<T: Send + 'static>(
    state: AppState,
    id: i64,
    wanted: (PaperKind, PaperSize),
    with: impl FnOnce(String, Vec<PaperPage>) -> Result<T, ApiError> + Send + 'static,
) -> Result<T, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let (title, pages) = pages_of(reader, catalogue, (id, LookedAt::Today(&clock)), wanted)?;
            with(title, pages)
        })
        .await
}

/// The pages of a lesson as one PDF file.
#[utoipa::path(get, operation_id = "paper_pdf", path = "/api/lessons/{id}/paper/pdf", tag = "paper", params(("id" = i64, Path), Wanted),
    responses((status = 200, body = Vec<u8>, content_type = "application/pdf")))]
pub(crate) async fn pdf(School(state): School, Id(id): Id, Asked(wanted): Asked<Wanted>) -> Result<impl IntoResponse, ApiError> {
    let written = |title: String, pages: Vec<PaperPage>| {
        notch_paper::pdf(&title, &pages).map_err(|error| ApiError::Conflict(error.to_string()))
    };
    let bytes = with_pages(state, id, (wanted.page, wanted.paper), written).await?;
    let name = format!("inline; filename=\"lesson-{id}-{}.pdf\"", wanted.page.word());
    Ok(([(header::CONTENT_TYPE, "application/pdf".to_owned()), (header::CONTENT_DISPOSITION, name)], bytes))
}

/// One page of a lesson as an SVG file.
#[utoipa::path(get, operation_id = "paper_svg", path = "/api/lessons/{id}/paper/svg", tag = "paper", params(("id" = i64, Path), WantedPage),
    responses((status = 200, body = String, content_type = "image/svg+xml")))]
pub(crate) async fn svg(
    School(state): School,
    Id(id): Id,
    Asked(wanted): Asked<WantedPage>,
) -> Result<impl IntoResponse, ApiError> {
    let number = wanted.number;
    let one = move |_, pages: Vec<PaperPage>| {
        let page = number.checked_sub(1).and_then(|index| pages.get(index));
        page.map(page_as_svg).ok_or_else(|| {
            let allowed = format!("1 to {}", pages.len());
            ApiError::Fields(vec![Problem::new("/number", "Page", number, "is not there", allowed)])
        })
    };
    let text = with_pages(state, id, (wanted.page, wanted.paper), one).await?;
    let name = format!("attachment; filename=\"lesson-{id}-{}-{}.svg\"", wanted.page.word(), wanted.number);
    Ok(([(header::CONTENT_TYPE, "image/svg+xml".to_owned()), (header::CONTENT_DISPOSITION, name)], text))
}
