//! What a class draws again and again: outlines of its knives, sections of its cuts. They change with the rack and the
//! plan alone, so that they are not sent with each touch.

use serde::Serialize;

use super::plan::PlannedExercise;
use crate::at_hand::AtHand;
use crate::catalogue::Tint;
use crate::drawing::{SectionDrawing, Silhouette, silhouette};

/// An outline, and the knives that have it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnivesOutline {
    /// Ids of the knives.
    pub knife_ids: Vec<i64>,
    /// Their outline.
    pub silhouette: Silhouette,
}

/// The section of an exercise's cut.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ExerciseSection {
    /// Id of the exercise.
    pub exercise_id: i64,
    /// The section; none where there is none to draw.
    pub section: Option<SectionDrawing>,
    /// Colour of the food.
    pub tint: Tint,
}

/// The drawings of a class.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassDrawings {
    /// Outlines, each once.
    pub outlines: Vec<KnivesOutline>,
    /// Sections.
    pub sections: Vec<ExerciseSection>,
}

/// Draws the knives of the rack and the cuts of a lesson.
pub fn class_drawings(at_hand: &AtHand<'_>, exercises: &[PlannedExercise]) -> ClassDrawings {
    let mut outlines: Vec<KnivesOutline> = Vec::new();
    for knife in at_hand.knives.iter().filter(|knife| !knife.archived) {
        let Some(kind) = at_hand.catalogue.knife(&knife.fields.knife_type) else { continue };
        let drawn = silhouette(kind, &knife.fields);
        match outlines.iter_mut().find(|each| each.silhouette == drawn) {
            Some(alike) => alike.knife_ids.push(knife.id),
            None => outlines.push(KnivesOutline { knife_ids: vec![knife.id], silhouette: drawn }),
        }
    }
    let section = |planned: &PlannedExercise| ExerciseSection {
        exercise_id: planned.exercise.id,
        section: planned.advice.as_ref().and_then(|advice| advice.section.clone()),
        tint: at_hand.catalogue.food(&planned.exercise.fields.food).map(|food| food.tint).unwrap_or_default(),
    };
    ClassDrawings { outlines, sections: exercises.iter().map(section).collect() }
}
