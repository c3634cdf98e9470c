//! One knife on the rack.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Catalogue, Edge};
use crate::people::Hand;
use crate::problem::Problem;
use crate::units::{Degrees, Millimetres};

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
    /// A name of its own, up to 40 characters; may be empty.
    #[serde(default)]
    pub name: String,
    /// Angle of the edge, degrees per side, where it is known.
    #[serde(default)]
    pub edge_angle: Option<Degrees>,
    /// Bolster.
    #[serde(default)]
    pub bolster: Bolster,
    /// Tang.
    #[serde(default)]
    pub tang: Tang,
    /// Sides hollowed, so that slices let go.
    #[serde(default)]
    pub hollowed: bool,
    /// Material of the handle, up to 40 characters; may be empty.
    #[serde(default)]
    pub handle: String,
    /// What it cost, in the school's own currency, 0 to 100,000.
    #[serde(default)]
    pub cost: Option<f64>,
    /// Where it is stored, up to 60 characters; may be empty.
    #[serde(default)]
    pub stored: String,
}

/// The thick part between blade and handle.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Bolster {
    /// None.
    #[default]
    None,
    /// Half: the heel can be sharpened.
    Half,
    /// Full: the heel cannot be sharpened.
    Full,
}

/// The steel inside the handle.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Tang {
    /// To the end of the handle.
    #[default]
    Full,
    /// Part of the way.
    Partial,
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
            Self::unless_short("/name", "name", &self.name, 40),
            Self::unless_short("/handle", "handle", &self.handle, 40),
            Self::unless_short("/stored", "place of storage", &self.stored, 60),
            self.cost
                .filter(|cost| !(0.0..=100_000.0).contains(cost))
                .map(|cost| Problem::new("/cost", "cost", cost, "is out of range", "0 to 100000")),
        ]
        .into_iter()
        .flatten()
        .collect();
        problems.extend(self.edge_angle.and_then(|angle| angle_problem(catalogue, "/edge_angle", angle)));
        let Some(kind) = catalogue.knife(&self.knife_type) else {
            let known: Vec<&str> = catalogue.knives.iter().map(|k| k.id.as_str()).collect();
            problems.push(Problem::new("/knife_type", "knife type", &self.knife_type, "is not known", known.join(", ")));
            return problems;
        };
        if self.length < kind.length.from || self.length > kind.length.to {
            let allowed = format!("{} to {} mm for a {}", kind.length.from, kind.length.to, kind.name);
            problems.push(Problem::new("/length", "blade length", self.length, "mm is not what this type is made in", allowed));
        }
        if kind.edge == Edge::Serrated && self.edge_angle.is_some() {
            let angle = self.edge_angle.map(Degrees::get).unwrap_or_default();
            problems.push(Problem::new("/edge_angle", "angle", angle, "is not given for teeth", "nothing"));
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

    /// An optional text of up to `most` printable characters.
    fn unless_short(pointer: &str, name: &str, value: &str, most: usize) -> Option<Problem> {
        if value.trim().is_empty() { None } else { Problem::unless_text(pointer, name, value, most) }
    }
}

/// An angle per side that no edge here is kept at.
pub(crate) fn angle_problem(catalogue: &Catalogue, pointer: &str, angle: Degrees) -> Option<Problem> {
    let rules = &catalogue.care.angle;
    let allowed = format!("{} to {}° per side", rules.least, rules.most);
    if angle.get() > rules.most {
        Some(Problem::new(pointer, "angle", format!("{angle}°"), "grinds a second, blunt edge on", allowed))
    } else {
        (angle.get() < rules.least).then(|| Problem::new(pointer, "angle", format!("{angle}°"), "is too thin to hold", allowed))
    }
}
