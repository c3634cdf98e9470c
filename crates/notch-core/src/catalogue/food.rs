//! Foods: shape, firmness, and what to mind.

use serde::{Deserialize, Serialize};

use crate::units::Millimetres;

/// The shape that the geometry works with. All lengths are whole outer sizes. A stalk is half a ring, hollow
/// side down: `width` across, `thickness` of its wall, at most half the width.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[allow(missing_docs)] // the names say it; all fields are lengths in millimetres unless named otherwise
pub enum Shape {
    Frustum { big_end: Millimetres, small_end: Millimetres, length: Millimetres },
    Cylinder { diameter: Millimetres, length: Millimetres },
    Ellipsoid { length: Millimetres, width: Millimetres, height: Millimetres },
    Ball { diameter: Millimetres, core: Option<Millimetres> },
    LayeredBall { diameter: Millimetres, layers: u8 },
    LayeredCylinder { diameter: Millimetres, length: Millimetres, layers: u8 },
    Stalk { width: Millimetres, thickness: Millimetres, length: Millimetres },
    Sheet { length: Millimetres, width: Millimetres, wall: Millimetres },
    Block { length: Millimetres, width: Millimetres, height: Millimetres },
    Cone { diameter: Millimetres, length: Millimetres },
    Bundle { grams: f64 },
}

impl Shape {
    /// Layers, of what has them.
    pub const fn layers(self) -> Option<u8> {
        match self {
            Shape::LayeredBall { layers, .. } | Shape::LayeredCylinder { layers, .. } => Some(layers),
            _ => None,
        }
    }
}

/// A size that produce is bought in.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum ProduceSize {
    /// Small.
    Small,
    /// The usual size.
    #[default]
    Medium,
    /// Large.
    Large,
}

/// The outside of a food, as the edge meets it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Skin {
    /// Nothing that matters.
    #[default]
    Plain,
    /// Loose: slips over the layer below.
    Slips,
    /// Tough over a soft inside.
    Tough,
    /// A hard rind.
    Rind,
    /// A crust.
    Crust,
}

impl Skin {
    /// Whether teeth bite better than a plain edge: tough outside, soft inside.
    pub const fn wants_teeth(self) -> bool {
        matches!(self, Skin::Tough | Skin::Rind | Skin::Crust)
    }
}

/// What can be done with a food, or what it does, beside its shape and firmness.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FoodTrait {
    /// Slices stick to the blade.
    Sticks,
    /// Has a skin that is peeled.
    Peels,
    /// Comes apart between membranes.
    Segments,
    /// Has a core, or ribs, that come out.
    Cored,
    /// Leaves or layers that are rolled and sliced.
    Leaves,
    /// Firm enough to be turned.
    Turns,
    /// Can be rubbed to a paste.
    Pastes,
    /// Is crushed with the flat of a wide blade.
    Crushes,
    /// Has a bone to be followed along, as of fish.
    FishBone,
    /// Has joints to be parted.
    Joints,
}

/// The colour that a food is drawn in.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Tint {
    /// Pale.
    #[default]
    Pale,
    /// Orange.
    Orange,
}

/// A food of the catalogue.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Food {
    /// Id, e.g. `sweet_potato`.
    pub id: String,
    /// One of it.
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
    /// Rolls until it has a flat face.
    #[serde(default)]
    pub rolls: bool,
    /// Halved and laid on its flat face before any other cut.
    #[serde(default)]
    pub halve: bool,
    /// Outside.
    #[serde(default)]
    pub skin: Skin,
    /// Has a stem or core that thin edges chip on.
    #[serde(default)]
    pub hard_stem: bool,
    /// On the bone.
    #[serde(default)]
    pub bone: bool,
    /// Raw meat or fish.
    #[serde(default)]
    pub raw_animal: bool,
    /// What can be done with it.
    #[serde(default)]
    pub traits: Vec<FoodTrait>,
    /// The colour that it is drawn in.
    #[serde(default)]
    pub tint: Tint,
    /// Allergen that students may name.
    pub allergen: Option<String>,
    /// Ids of cautions.
    #[serde(default)]
    pub cautions: Vec<String>,
    /// A line for the instructor.
    #[serde(default)]
    pub notes: String,
    /// What the trimmings become.
    pub scraps: String,
}

impl Food {
    /// Whether it has a trait.
    pub fn is(&self, wanted: FoodTrait) -> bool {
        self.traits.contains(&wanted)
    }

    /// Height above the board when the first cuts are made; halved food lies on its flat face.
    pub fn height(&self) -> Millimetres {
        let whole = match self.shape {
            Shape::Frustum { big_end: d, .. }
            | Shape::Cylinder { diameter: d, .. }
            | Shape::Ball { diameter: d, .. }
            | Shape::LayeredBall { diameter: d, .. }
            | Shape::LayeredCylinder { diameter: d, .. }
            | Shape::Cone { diameter: d, .. } => d,
            Shape::Ellipsoid { height, .. } | Shape::Block { height, .. } => height,
            Shape::Stalk { width, .. } => Millimetres::clamped(width.get() / 2.0),
            Shape::Sheet { wall, .. } => wall,
            Shape::Bundle { .. } => Millimetres::whole(15),
        };
        if self.halve { Millimetres::clamped(whole.get() / 2.0) } else { whole }
    }

    /// Width across, as the blade crosses it.
    pub fn width(&self) -> Millimetres {
        match self.shape {
            Shape::Frustum { big_end: d, .. }
            | Shape::Cylinder { diameter: d, .. }
            | Shape::Ball { diameter: d, .. }
            | Shape::LayeredBall { diameter: d, .. }
            | Shape::LayeredCylinder { diameter: d, .. }
            | Shape::Cone { diameter: d, .. } => d,
            Shape::Ellipsoid { width, .. }
            | Shape::Block { width, .. }
            | Shape::Stalk { width, .. }
            | Shape::Sheet { width, .. } => width,
            Shape::Bundle { .. } => Millimetres::whole(60),
        }
    }

    /// Longest side.
    pub fn length(&self) -> Millimetres {
        match self.shape {
            Shape::Frustum { length, .. }
            | Shape::Cylinder { length, .. }
            | Shape::Ellipsoid { length, .. }
            | Shape::LayeredCylinder { length, .. }
            | Shape::Stalk { length, .. }
            | Shape::Sheet { length, .. }
            | Shape::Block { length, .. }
            | Shape::Cone { length, .. } => length,
            Shape::Ball { diameter, .. } | Shape::LayeredBall { diameter, .. } => diameter,
            Shape::Bundle { .. } => Millimetres::whole(120),
        }
    }
}
