//! Tools beside the knives, and the work that they are laid out for.

use serde::{Deserialize, Serialize};

use super::{Catalogue, Cut, CutFamily, Food, Nature};

/// A tool that is no knife.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Tool {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// What it is for, and what to mind.
    pub does: String,
    /// Work that it is laid out for: where one of them holds.
    pub places: Vec<ToolPlace>,
}

/// Work that a tool is laid out for: all that is named must hold; an empty list names nothing.
#[derive(Clone, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default, deny_unknown_fields)]
pub struct ToolPlace {
    /// Ids of foods.
    pub foods: Vec<String>,
    /// Natures of food.
    pub natures: Vec<Nature>,
    /// Ids of cuts.
    pub cuts: Vec<String>,
    /// Families of cuts.
    pub families: Vec<CutFamily>,
}

impl ToolPlace {
    fn holds(&self, food: &Food, cut: &Cut) -> bool {
        (self.foods.is_empty() || self.foods.contains(&food.id))
            && (self.natures.is_empty() || self.natures.contains(&food.nature))
            && (self.cuts.is_empty() || self.cuts.contains(&cut.id))
            && (self.families.is_empty() || self.families.contains(&cut.family))
    }
}

/// A tool as it is shown.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ShownTool {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// What it is for, and what to mind.
    pub does: String,
}

impl Catalogue {
    /// The tools that are laid out for a cut of a food.
    pub fn tools_for(&self, food: &Food, cut: &Cut) -> Vec<ShownTool> {
        let shown = |tool: &Tool| ShownTool { id: tool.id.clone(), name: tool.name.clone(), does: tool.does.clone() };
        self.tools.iter().filter(|tool| tool.places.iter().any(|place| place.holds(food, cut))).map(shown).collect()
    }
}
