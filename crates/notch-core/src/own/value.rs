//! One value of the school's own, and as it is kept.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use super::SizeTexts;
use crate::catalogue::{Bought, Catalogue, Food, ProgressRules, Shape, Sold};
use crate::units::Millimetres;

/// Kind of value that a school can make its own.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum OwnKind {
    /// A set of standards.
    StandardSet,
    /// A tolerance profile.
    Tolerance,
    /// A food.
    Food,
    /// The cue of a fault.
    Cue,
    /// Thresholds of the notches.
    Thresholds,
}

impl OwnKind {
    /// Whether the shipped catalogue has a value of this kind with this id: then an own one is an edit of
    /// it, otherwise a copy beside it.
    pub fn is_shipped(self, shipped: &Catalogue, id: &str) -> bool {
        match self {
            OwnKind::StandardSet => shipped.set(id).is_some(),
            OwnKind::Tolerance => shipped.tolerance(id).is_some(),
            OwnKind::Food => shipped.food(id).is_some(),
            OwnKind::Cue | OwnKind::Thresholds => true,
        }
    }

    /// The kind in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            OwnKind::StandardSet => "set of standards",
            OwnKind::Tolerance => "tolerance",
            OwnKind::Food => "food",
            OwnKind::Cue => "cue",
            OwnKind::Thresholds => "thresholds",
        }
    }
}

/// What a school may change of a food; all else, its cuts above all, is that of the food it was copied from.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OwnFood {
    /// Id.
    pub id: String,
    /// One of it, 1 to 60 characters.
    pub name: String,
    /// Several of it.
    pub plural: String,
    /// Shape and usual size.
    pub shape: Shape,
    /// g/cm³.
    pub density: f64,
    /// 1 soft to 5 hard.
    pub firmness: u8,
    /// Cut off each end before the work.
    #[serde(default)]
    pub trim: Millimetres,
    /// What a kilogram costs, in the school's own money, 0 to 1000; none where it is not said.
    #[serde(default)]
    pub price: Option<f64>,
    /// How it is sold, where that is neither by the piece nor by weight.
    #[serde(default)]
    pub sold: Option<Sold>,
}

impl OwnFood {
    /// Laid over the food that it was copied from.
    pub fn over(&self, base: &Food) -> Food {
        let usual = base.sized(Bought { shape: self.shape, density: self.density });
        Food {
            id: self.id.clone(),
            name: self.name.trim().to_owned(),
            unit: if self.name == base.name { base.unit.clone() } else { self.name.trim().to_owned() },
            plural: self.plural.trim().to_owned(),
            firmness: self.firmness,
            trim: self.trim,
            price: self.price,
            sold: self.sold.clone(),
            ..usual
        }
    }
}

impl From<&Food> for OwnFood {
    fn from(food: &Food) -> Self {
        OwnFood {
            id: food.id.clone(),
            name: food.name.clone(),
            plural: food.plural.clone(),
            shape: food.shape,
            density: food.density,
            firmness: food.firmness,
            trim: food.trim,
            price: food.price,
            sold: food.sold.clone(),
        }
    }
}

/// One value of the school's own.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum OwnValue {
    /// A set of standards, edited or copied.
    StandardSet {
        /// Id: a shipped one that is edited, or a new one.
        id: String,
        /// Name, 1 to 60 characters.
        name: String,
        /// Id of the shipped set that it was copied from.
        based_on: String,
        /// Sizes by id of the cut; a cut that is left out is not taught.
        sizes: BTreeMap<String, SizeTexts>,
    },
    /// A tolerance profile.
    Tolerance {
        /// Id: a shipped one that is edited, or a new one.
        id: String,
        /// Name, 1 to 60 characters.
        name: String,
        /// Id of the shipped profile that it was copied from.
        based_on: String,
        /// Share of the target, above 0 and below 1.
        share: f64,
        /// Least tolerance.
        floor: Millimetres,
        /// Largest coefficient of variation that counts as even, above 0 and up to 1.
        even_cv: f64,
    },
    /// A food, edited or copied.
    Food {
        /// Id of the shipped food that it was copied from.
        based_on: String,
        /// What is the school's own of it; its id is a shipped one, or a new one.
        food: OwnFood,
    },
    /// The cue of a fault.
    Cue {
        /// Id of the fault.
        id: String,
        /// What to say, 1 to 160 characters.
        cue: String,
    },
    /// Thresholds of the notches.
    Thresholds {
        /// All of them, with the ladder of blade lengths.
        thresholds: ProgressRules,
    },
}

impl OwnValue {
    /// Its kind.
    pub const fn kind(&self) -> OwnKind {
        match self {
            OwnValue::StandardSet { .. } => OwnKind::StandardSet,
            OwnValue::Tolerance { .. } => OwnKind::Tolerance,
            OwnValue::Food { .. } => OwnKind::Food,
            OwnValue::Cue { .. } => OwnKind::Cue,
            OwnValue::Thresholds { .. } => OwnKind::Thresholds,
        }
    }

    /// Its name for people: of a copy its own, else the id.
    pub fn name(&self) -> &str {
        match self {
            OwnValue::StandardSet { name, .. } | OwnValue::Tolerance { name, .. } => name,
            OwnValue::Food { food, .. } => &food.name,
            OwnValue::Cue { id, .. } => id,
            OwnValue::Thresholds { .. } => "notches",
        }
    }

    /// Whether it is a copy with an id of its own, and not an edit of what was shipped.
    pub fn is_copy(&self) -> bool {
        match self {
            OwnValue::StandardSet { id, based_on, .. } | OwnValue::Tolerance { id, based_on, .. } => id != based_on,
            OwnValue::Food { based_on, food } => food.id != *based_on,
            OwnValue::Cue { .. } | OwnValue::Thresholds { .. } => false,
        }
    }

    /// Id within its kind.
    pub fn id(&self) -> &str {
        match self {
            OwnValue::StandardSet { id, .. } | OwnValue::Tolerance { id, .. } | OwnValue::Cue { id, .. } => id,
            OwnValue::Food { food, .. } => &food.id,
            OwnValue::Thresholds { .. } => "notches",
        }
    }

    /// The same with an id from its name, where it is a new copy and has none.
    #[must_use]
    pub fn with_id(mut self, catalogue: &Catalogue) -> Self {
        match &mut self {
            OwnValue::StandardSet { id, name, .. } if id.is_empty() => {
                *id = own_id(name, catalogue.sets.iter().map(|set| set.id.as_str()));
            }
            OwnValue::Tolerance { id, name, .. } if id.is_empty() => {
                *id = own_id(name, catalogue.tolerances.iter().map(|tolerance| tolerance.id.as_str()));
            }
            OwnValue::Food { food, .. } if food.id.is_empty() => {
                food.id = own_id(&food.name, catalogue.foods.iter().map(|food| food.id.as_str()));
            }
            _ => {}
        }
        self
    }
}

/// An id for a copy, from its name and unlike all that are taken: `own_small_carrot`.
pub(super) fn own_id<'a>(name: &str, taken: impl IntoIterator<Item = &'a str>) -> String {
    let taken: Vec<&str> = taken.into_iter().collect();
    let plain: String = name.to_lowercase().chars().map(|c| if c.is_ascii_alphanumeric() { c } else { '_' }).take(40).collect();
    let base = format!("own_{}", plain.trim_matches('_'));
    let numbered = (2..).map(|number: u32| format!("{base}_{number}"));
    std::iter::once(base.clone()).chain(numbered).find(|id| !taken.contains(&id.as_str())).unwrap_or(base)
}

/// A value of the school's own as kept. What an older or a newer program wrote may no longer be readable.
#[derive(Clone, Debug, PartialEq)]
pub struct OwnRecord {
    /// Kind, as it is kept.
    pub kind: OwnKind,
    /// Id within its kind.
    pub id: String,
    /// Rises with each change.
    pub version: i64,
    /// The value, or why it cannot be read.
    pub value: Result<OwnValue, String>,
}
