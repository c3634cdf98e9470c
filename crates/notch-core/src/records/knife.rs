//! One knife on the rack.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Catalogue, Edge};
use crate::people::Hand;
use crate::problem::Problem;
use crate::units::Millimetres;

/// What the last edge test said.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum EdgeState {
    /// Passed: fit for class.
    Sharp,
    /// Failed: out until it passes.
    Dull,
}

/// What a person edits of a knife.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeFields {
    /// Number on the handle, 1 to 12 characters, unique on the rack.
    pub number: String,
    /// Id of the knife type.
    pub knife_type: String,
    /// Blade length, within the type's range.
    pub length: Millimetres,
    /// Blade height at the heel, 8 to 120 mm.
    pub heel_height: Millimetres,
    /// Hand it is ground for; a single-bevel edge has one, others have none.
    pub hand: Option<Hand>,
    /// What the last edge test said.
    pub edge_state: EdgeState,
    /// Note, up to 200 characters, e.g. where and why it failed.
    pub note: String,
}

/// A knife as kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Knife {
    /// Id.
    pub id: i64,
    /// Rises with each change.
    pub version: i64,
    /// No longer on the rack; the record is kept with its history.
    pub archived: bool,
    /// Its fields.
    #[serde(flatten)]
    pub fields: KnifeFields,
}

impl KnifeFields {
    /// Every problem in the fields.
    pub fn check(&self, catalogue: &Catalogue) -> Vec<Problem> {
        let mut problems: Vec<Problem> = [
            Problem::unless_text("/number", "number", &self.number, 12),
            (!(8.0..=120.0).contains(&self.heel_height.get())).then(|| {
                Problem::new("/heel_height", "height at the heel", self.heel_height, "mm is out of range", "8 to 120 mm")
            }),
            (self.note.chars().count() > 200)
                .then(|| Problem::new("/note", "note", &self.note, "is too long", "up to 200 characters")),
        ]
        .into_iter()
        .flatten()
        .collect();
        let Some(kind) = catalogue.knife(&self.knife_type) else {
            let known: Vec<&str> = catalogue.knives.iter().map(|k| k.id.as_str()).collect();
            problems.push(Problem::new("/knife_type", "knife type", &self.knife_type, "is not known", known.join(", ")));
            return problems;
        };
        if self.length < kind.length.from || self.length > kind.length.to {
            let allowed = format!("{} to {} mm for a {}", kind.length.from, kind.length.to, kind.name);
            problems.push(Problem::new("/length", "blade length", self.length, "mm is not what this type is made in", allowed));
        }
        match (kind.edge, self.hand) {
            (Edge::SingleBevel, None) => {
                problems.push(Problem::new("/hand", "hand", "", "was given", "right or left, for a single-bevel edge"));
            }
            (Edge::Straight | Edge::Serrated, Some(_)) => {
                problems.push(Problem::new("/hand", "hand", "one hand", "is for single-bevel edges", "either hand"));
            }
            _ => {}
        }
        problems
    }
}
