//! The catalogue, as the screens choose from it.

use axum::Json;
use notch_core::catalogue::{
    BoardMaterial, Catalogue, Cut, DoctrineQuestion, Fault, Food, FoodGroup, Grip, Hold, KnifePart, KnifeType, LessonSegment,
    Manner, Motion, StandardSet, Third, Tolerance,
};
use notch_core::units::Millimetres;
use serde::Serialize;
use utoipa::ToSchema;

use crate::error::ApiError;
use crate::let_in::School;

/// A grip, hold or motion in plain words.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Way<T> {
    /// Its id.
    value: T,
    /// Name and how it is done.
    /// Name.
    name: String,
    /// How it is done.
    how: String,
}

/// Everything the screens choose from.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CatalogueView {
    knives: Vec<KnifeType>,
    foods: Vec<Food>,
    cuts: Vec<Cut>,
    sets: Vec<StandardSet>,
    tolerances: Vec<Tolerance>,
    faults: Vec<Fault>,
    segments: Vec<LessonSegment>,
    doctrines: Vec<DoctrineQuestion>,
    grips: Vec<Way<Grip>>,
    holds: Vec<Way<Hold>>,
    motions: Vec<Way<Motion>>,
    thirds: Vec<Named<Third>>,
    /// Shelves of the pantry, in order.
    food_groups: Vec<Named<FoodGroup>>,
    disclaimer: String,
    first_aid: String,
    parts: Vec<KnifePart>,
    boards: Vec<Board>,
    /// Blade lengths that a student is cleared for by length alone, the shortest first.
    clearances: Vec<Millimetres>,
    /// Names of all time zones.
    time_zones: Vec<String>,
}

/// A word with its name.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Named<T> {
    /// Its id.
    value: T,
    /// Name.
    name: String,
}

/// A board material.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Board {
    /// Its id.
    value: BoardMaterial,
    /// Name.
    name: String,
    /// May be used at all.
    allowed: bool,
}

/// Knives, foods, cuts, standards, faults and all other words of the field.
#[utoipa::path(get, operation_id = "catalogue", path = "/api/catalogue", tag = "catalogue", responses((status = 200, body = CatalogueView)))]
pub(crate) async fn catalogue(School(state): School) -> Result<Json<CatalogueView>, ApiError> {
    state.read(|_, catalogue| Ok(Json(view(catalogue)))).await
}

fn view(catalogue: &Catalogue) -> CatalogueView {
    fn ways<T: Copy>(map: &std::collections::BTreeMap<T, Manner>) -> Vec<Way<T>> {
        map.iter().map(|(value, manner)| Way { value: *value, name: manner.name.clone(), how: manner.how.clone() }).collect()
    }
    CatalogueView {
        knives: catalogue.knives.clone(),
        foods: catalogue.foods.clone(),
        cuts: catalogue.cuts.clone(),
        sets: catalogue.sets.clone(),
        tolerances: catalogue.tolerances.clone(),
        faults: catalogue.faults.clone(),
        segments: catalogue.segments.clone(),
        doctrines: catalogue.doctrines.clone(),
        grips: ways(&catalogue.handling.grips),
        holds: ways(&catalogue.handling.holds),
        motions: ways(&catalogue.handling.motions),
        thirds: Third::ALL.iter().map(|third| Named { value: *third, name: third.said().to_owned() }).collect(),
        food_groups: FoodGroup::ALL.iter().map(|group| Named { value: *group, name: group.name().to_owned() }).collect(),
        disclaimer: catalogue.disclaimer.clone(),
        first_aid: catalogue.first_aid.clone(),
        parts: catalogue.parts.clone(),
        boards: catalogue
            .care
            .board
            .iter()
            .map(|(value, board)| Board { value: *value, name: board.name.clone(), allowed: board.allowed })
            .collect(),
        clearances: catalogue.progress.ladder.iter().filter(|rung| !rung.special).map(|rung| rung.length).collect(),
        time_zones: notch_core::zone::names(),
    }
}
