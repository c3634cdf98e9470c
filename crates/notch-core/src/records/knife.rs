//! One knife on the rack.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Catalogue, Edge};
use crate::people::Hand;
use crate::problem::Problem;
use crate::text;
use crate::text::Bare;
use crate::units::{Degrees, Millimetres};

/// Most knives that are put on the rack at once as alike.
const MOST_ALIKE: i64 = 60;

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
    /// The same knife several times, with the numbers after its own.
    ///
    /// # Errors
    /// Not 1 to [`MOST_ALIKE`]; several from a number that is none to count on from.
    pub fn numbered_on(&self, count: u16) -> Result<Vec<KnifeFields>, Problem> {
        if let Some(problem) = Problem::unless_within("/count", "How many", i64::from(count), 1, MOST_ALIKE) {
            return Err(problem);
        }
        let first: Option<u32> = self.number.trim().parse().ok();
        if first.is_none() && count > 1 {
            let allowed = "a whole number to start with";
            return Err(Problem::new("/number", "Number", &self.number, "cannot be counted on from", allowed));
        }
        let numbers = (0..u32::from(count))
            .map(|step| first.map_or_else(|| self.number.clone(), |first| first.saturating_add(step).to_string()));
        Ok(numbers.map(|number| KnifeFields { number, ..self.clone() }).collect())
    }

    /// Every problem in the fields.
    pub fn check(&self, catalogue: &Catalogue) -> Vec<Problem> {
        let (least, most) = (Millimetres::whole(8), Millimetres::whole(120));
        let mut problems: Vec<Problem> = [
            Problem::unless_text("/number", "Number", &self.number, 12),
            (!(least..=most).contains(&self.heel_height)).then(|| {
                let allowed = text![Bare(least), " to ", most];
                Problem::new("/heel_height", "Height at the heel", self.heel_height, "is out of range", allowed)
            }),
            (self.note.chars().count() > 200)
                .then(|| Problem::new("/note", "Note", &self.note, "is too long", "up to 200 characters")),
            Self::unless_short("/name", "Name of its own", &self.name, 40),
            Self::unless_short("/handle", "Handle of", &self.handle, 40),
            Self::unless_short("/stored", "Stored at", &self.stored, 60),
            self.cost
                .filter(|cost| !(0.0..=100_000.0).contains(cost))
                .map(|cost| Problem::new("/cost", "Cost", cost.to_string(), "is out of range", "0 to 100000")),
        ]
        .into_iter()
        .flatten()
        .collect();
        problems.extend(self.edge_angle.and_then(|angle| angle_problem(catalogue, "/edge_angle", angle)));
        let Some(kind) = catalogue.knife(&self.knife_type) else {
            let known: Vec<&str> = catalogue.knives.iter().map(|k| k.id.as_str()).collect();
            problems.push(Problem::new("/knife_type", "Type", &self.knife_type, "is not known", known.join(", ")));
            return problems;
        };
        if self.length < kind.length.from || self.length > kind.length.to {
            let allowed = text![Bare(kind.length.from), " to ", kind.length.to, " for a ", kind.name];
            problems.push(Problem::new("/length", "Blade length", self.length, "is not what this type is made in", allowed));
        }
        if !kind.is_ground() && self.edge_angle.is_some() {
            let angle = self.edge_angle;
            problems.push(Problem::new(
                "/edge_angle",
                "Angle per side",
                angle,
                "is not given for an edge that is not ground",
                "nothing",
            ));
        }
        match (kind.edge, self.hand) {
            (Edge::SingleBevel, None) => {
                problems.push(Problem::new("/hand", "Ground for the", "", "was given", "right or left, for a single-bevel edge"));
            }
            // Some serrated knives and fixed peelers are ground on one side.
            (Edge::Straight, Some(_)) if kind.is_ground() => {
                problems.push(Problem::new(
                    "/hand",
                    "Ground for the",
                    "one hand",
                    "is for edges that are ground on one side",
                    "either hand",
                ));
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
        Some(Problem::new(pointer, "Angle per side", angle, "grinds a second, blunt edge on", allowed))
    } else {
        (angle.get() < rules.least).then(|| Problem::new(pointer, "Angle per side", angle, "is too thin to hold", allowed))
    }
}
