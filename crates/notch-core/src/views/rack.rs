//! The rack: each knife drawn at the same scale.

use serde::Serialize;

use crate::catalogue::Catalogue;
use crate::drawing::{Silhouette, silhouette};
use crate::records::{EdgeState, Knife};

/// A knife on the rack.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RackKnife {
    /// As kept.
    pub knife: Knife,
    /// Name of its type.
    pub type_name: String,
    /// Label, e.g. `Chef's 200`.
    pub label: String,
    /// What it is good for.
    pub good_for: String,
    /// What it is not for.
    pub not_for: String,
    /// Its outline.
    pub silhouette: Option<Silhouette>,
    /// Fit for class.
    pub fit: bool,
    /// Why it is, or is not.
    pub why: String,
}

/// Draws the rack.
pub fn rack_view(catalogue: &Catalogue, knives: &[Knife]) -> Vec<RackKnife> {
    knives
        .iter()
        .map(|knife| {
            let kind = catalogue.knife(&knife.fields.knife_type);
            let fit = knife.fields.edge_state == EdgeState::Sharp;
            RackKnife {
                type_name: kind.map_or_else(|| knife.fields.knife_type.clone(), |kind| kind.name.clone()),
                label: kind.map_or_else(String::new, |kind| format!("{} {}", kind.short, knife.fields.length)),
                good_for: kind.map_or_else(String::new, |kind| kind.good_for.clone()),
                not_for: kind.map_or_else(String::new, |kind| kind.not_for.clone()),
                silhouette: kind.map(|kind| silhouette(kind, knife.fields.length, knife.fields.heel_height)),
                fit,
                why: if fit {
                    "Passed its edge test.".to_owned()
                } else {
                    "Failed its edge test: dull is the dangerous one, since it needs force and slips. Out until it passes."
                        .to_owned()
                },
                knife: knife.clone(),
            }
        })
        .collect()
}
