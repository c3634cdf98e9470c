//! Foods: shape, firmness, how they are opened, which cuts are made of them, and what to mind.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::units::Millimetres;

/// The shape that the geometry works with. All lengths are whole outer sizes. A stalk is half a ring, hollow
/// side down: `width` across, `thickness` of its wall, at most half the width. A layered ball is `length` long
/// from root to tip. A wedge lies on its broad side and thins out towards one end. Stoned food has its flesh
/// around a stone. An irregular one is only known by the box around it.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
#[allow(missing_docs)] // the names say it; all fields are lengths in millimetres unless named otherwise
pub enum Shape {
    Frustum { big_end: Millimetres, small_end: Millimetres, length: Millimetres },
    Cylinder { diameter: Millimetres, length: Millimetres },
    Ellipsoid { length: Millimetres, width: Millimetres, height: Millimetres },
    Ball { diameter: Millimetres, core: Option<Millimetres> },
    LayeredBall { diameter: Millimetres, length: Millimetres, layers: u8 },
    LayeredCylinder { diameter: Millimetres, length: Millimetres, layers: u8 },
    Stalk { width: Millimetres, thickness: Millimetres, length: Millimetres },
    Sheet { length: Millimetres, width: Millimetres, wall: Millimetres },
    Block { length: Millimetres, width: Millimetres, height: Millimetres },
    Wedge { length: Millimetres, width: Millimetres, height: Millimetres },
    Disc { diameter: Millimetres, height: Millimetres },
    Stoned { length: Millimetres, width: Millimetres, height: Millimetres, stone: Millimetres },
    Irregular { length: Millimetres, width: Millimetres, height: Millimetres },
    Stems { diameter: Millimetres, length: Millimetres, stems: u8 },
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

    /// Width across, as the blade crosses the whole of it.
    pub fn width(self) -> Millimetres {
        match self {
            Shape::Frustum { big_end: d, .. }
            | Shape::Cylinder { diameter: d, .. }
            | Shape::Ball { diameter: d, .. }
            | Shape::LayeredBall { diameter: d, .. }
            | Shape::LayeredCylinder { diameter: d, .. }
            | Shape::Disc { diameter: d, .. }
            | Shape::Cone { diameter: d, .. } => d,
            Shape::Ellipsoid { width, .. }
            | Shape::Block { width, .. }
            | Shape::Wedge { width, .. }
            | Shape::Stoned { width, .. }
            | Shape::Irregular { width, .. }
            | Shape::Stalk { width, .. }
            | Shape::Sheet { width, .. } => width,
            Shape::Stems { .. } | Shape::Bundle { .. } => Millimetres::whole(60),
        }
    }

    /// Height above the board, whole.
    pub fn height(self) -> Millimetres {
        match self {
            Shape::Frustum { big_end: d, .. }
            | Shape::Cylinder { diameter: d, .. }
            | Shape::Ball { diameter: d, .. }
            | Shape::LayeredBall { diameter: d, .. }
            | Shape::LayeredCylinder { diameter: d, .. }
            | Shape::Stems { diameter: d, .. }
            | Shape::Cone { diameter: d, .. } => d,
            Shape::Ellipsoid { height, .. }
            | Shape::Block { height, .. }
            | Shape::Wedge { height, .. }
            | Shape::Disc { height, .. }
            | Shape::Stoned { height, .. }
            | Shape::Irregular { height, .. } => height,
            Shape::Stalk { width, .. } => Millimetres::clamped(width.get() / 2.0),
            Shape::Sheet { wall, .. } => wall,
            Shape::Bundle { .. } => Millimetres::whole(15),
        }
    }

    /// Longest side.
    pub fn length(self) -> Millimetres {
        match self {
            Shape::Frustum { length, .. }
            | Shape::Cylinder { length, .. }
            | Shape::Ellipsoid { length, .. }
            | Shape::LayeredBall { length, .. }
            | Shape::LayeredCylinder { length, .. }
            | Shape::Stalk { length, .. }
            | Shape::Sheet { length, .. }
            | Shape::Block { length, .. }
            | Shape::Wedge { length, .. }
            | Shape::Stoned { length, .. }
            | Shape::Irregular { length, .. }
            | Shape::Stems { length, .. }
            | Shape::Cone { length, .. } => length,
            Shape::Ball { diameter, .. } | Shape::Disc { diameter, .. } => diameter,
            Shape::Bundle { .. } => Millimetres::whole(120),
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

impl ProduceSize {
    /// The word that it is kept under.
    pub const fn word(self) -> &'static str {
        match self {
            ProduceSize::Small => "small",
            ProduceSize::Medium => "medium",
            ProduceSize::Large => "large",
        }
    }
}

/// The outside of a food, as the edge meets it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Skin {
    /// Nothing that matters.
    #[default]
    Plain,
    /// Dry and papery: it is peeled off.
    Papery,
    /// Thin over a soft inside: slips under the edge.
    Slips,
    /// Tough over a soft inside.
    Tough,
    /// A hard rind.
    Rind,
    /// A crust.
    Crust,
}

/// Shelf of the pantry: foods are found by it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FoodGroup {
    /// Roots and tubers.
    Roots,
    /// Onions and their kin.
    Alliums,
    /// Stalks and pods.
    Stalks,
    /// Fruit that is cooked as a vegetable, squash, mushrooms.
    FruitVegetables,
    /// Cabbages, lettuce, florets.
    Leaves,
    /// Herbs.
    Herbs,
    /// Fruit.
    Fruit,
    /// Bread and cake.
    Bakery,
    /// Cheese, tofu, nuts.
    DairyAndMore,
    /// Fish.
    Fish,
    /// Poultry and meat.
    Meat,
}

impl FoodGroup {
    /// Every group, in the order of the pantry.
    pub const ALL: [FoodGroup; 11] = [
        FoodGroup::Roots,
        FoodGroup::Alliums,
        FoodGroup::Stalks,
        FoodGroup::FruitVegetables,
        FoodGroup::Leaves,
        FoodGroup::Herbs,
        FoodGroup::Fruit,
        FoodGroup::Bakery,
        FoodGroup::DairyAndMore,
        FoodGroup::Fish,
        FoodGroup::Meat,
    ];

    /// Its name as a heading.
    pub const fn name(self) -> &'static str {
        match self {
            FoodGroup::Roots => "Roots and tubers",
            FoodGroup::Alliums => "Onions and leeks",
            FoodGroup::Stalks => "Stalks and pods",
            FoodGroup::FruitVegetables => "Fruit vegetables and mushrooms",
            FoodGroup::Leaves => "Cabbages and leaves",
            FoodGroup::Herbs => "Herbs",
            FoodGroup::Fruit => "Fruit",
            FoodGroup::Bakery => "Bakery",
            FoodGroup::DairyAndMore => "Cheese, tofu, nuts",
            FoodGroup::Fish => "Fish",
            FoodGroup::Meat => "Poultry and meat",
        }
    }
}

/// What a food is made of, as far as it decides which knives are for it.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Nature {
    /// Vegetables, fruit, nuts, tofu.
    Produce,
    /// Leaves that are chopped in a pile.
    Herb,
    /// A crust over soft crumb.
    Bread,
    /// Crumb and filling.
    Cake,
    /// Firm cheese.
    Cheese,
    /// Raw fish.
    Fish,
    /// A cured side that is carved in thin slices.
    Cured,
    /// Raw meat and poultry.
    Meat,
    /// Cooked meat that is carved.
    Cooked,
}

/// What a food does, or has, beside its shape and firmness.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FoodTrait {
    /// Rolls until it has a flat face.
    Rolls,
    /// Browns once it is cut.
    Browns,
    /// Stains hands and boards.
    Stains,
    /// Slices stick to the blade.
    Sticks,
    /// Wet and slippery.
    Slippery,
    /// Of no even shape.
    Irregular,
    /// Tough outside over a soft inside, while the outside is on: teeth bite where a plain edge slips.
    Teeth,
    /// A hard core.
    HardCore,
    /// A hard stem that thin edges chip on.
    HardStem,
    /// A core that is cut out of the quarters.
    QuarterCore,
    /// White ribs inside.
    Ribs,
    /// Burns skin and eyes.
    Hot,
    /// A stone.
    Stone,
    /// Flesh cut off in cheeks beside a flat stone.
    Cheeks,
    /// Comes apart between membranes, under a skin with pith.
    Segments,
    /// Sand between its layers.
    Sandy,
    /// The root holds its layers together.
    RootOn,
    /// Leaves or layers that are rolled or gathered.
    Leaves,
    /// A calyx that is turned out.
    Calyx,
    /// A clove in its skin.
    Clove,
    /// Raw meat or fish.
    RawAnimal,
    /// Cooked.
    Cooked,
    /// On the bone.
    Bone,
    /// Has a bone to be followed along, as of fish.
    FishBone,
    /// Fine bones in the fillet.
    PinBones,
    /// A grain that is cut across.
    Grain,
    /// So dense that two hands press the blade through.
    Dense,
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
    /// Red.
    Red,
    /// Green.
    Green,
    /// Brown.
    Brown,
}

/// Whether a food is peeled for a kind of work.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Peeling {
    /// It is.
    Yes,
    /// It is not.
    #[default]
    No,
    /// The instructor says; not, where nothing is said.
    Either,
}

/// Whether a food is peeled, by the kind of work.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Peeled {
    /// For an exam: cuts of true size.
    pub exam: Peeling,
    /// In a kitchen.
    pub kitchen: Peeling,
}

/// A food in another size than the usual one.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Bought {
    /// Shape and size.
    pub shape: Shape,
    /// g/cm³ of the shape.
    pub density: f64,
}

/// How a food is sold, where that is neither by the piece nor by weight.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Sold {
    /// What it is sold as, e.g. `bag`, 1 to 30 characters.
    pub pack: String,
    /// Grams of one, 10 to 50000, and no less than one of the food.
    pub grams: f64,
}

/// A food as it is opened, which is how it lies on the board for all that follows.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Opened {
    /// How it is opened.
    pub how: String,
    /// Height above the board.
    pub height: Millimetres,
    /// Across, as the blade crosses it.
    pub across: Millimetres,
    /// Length.
    pub length: Millimetres,
    /// Parts that lie side by side.
    #[serde(default = "one")]
    pub parts: u8,
    /// The skin, rind or crust is still on.
    #[serde(default)]
    pub skin_on: bool,
}

const fn one() -> u8 {
    1
}

/// Whether a cut is made of a food.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Standing {
    /// Taught: offered and counted.
    Taught,
    /// Possible, never proposed, shown with a warning to who asks for it.
    Odd,
    /// No cut of this food.
    No,
}

/// A food of the catalogue.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Food {
    /// Id, e.g. `sweet_potato`.
    pub id: String,
    /// Its name in a sentence.
    pub name: String,
    /// One of it as it is bought.
    pub unit: String,
    /// Several of those.
    pub plural: String,
    /// Bought by weight: a unit is a portion that is weighed out.
    #[serde(default)]
    pub by_weight: bool,
    /// Shelf of the pantry.
    pub group: FoodGroup,
    /// What it is made of.
    pub nature: Nature,
    /// Shape and size at hand; the usual one in the catalogue.
    pub shape: Shape,
    /// g/cm³: mass as bought over the shape's volume.
    pub density: f64,
    /// As commonly sold small.
    pub small: Bought,
    /// As commonly sold large.
    pub large: Bought,
    /// Share of the mass as bought that is eaten, 0..1.
    pub edible: f64,
    /// Taken off each side by peeling.
    #[serde(default)]
    pub peel: Millimetres,
    /// Whether it is peeled.
    #[serde(default)]
    pub peeled: Peeled,
    /// What a kilogram costs, in the school's own money, where the school has said it.
    #[serde(default)]
    pub price: Option<f64>,
    /// How it is sold, where the school has said it.
    #[serde(default)]
    pub sold: Option<Sold>,
    /// 1 soft to 5 hard.
    pub firmness: u8,
    /// Cut off each end before the work.
    #[serde(default)]
    pub trim: Millimetres,
    /// Outside.
    #[serde(default)]
    pub skin: Skin,
    /// What it does, or has.
    #[serde(default)]
    pub traits: Vec<FoodTrait>,
    /// Allergens of the statutory list.
    #[serde(default)]
    pub allergens: Vec<String>,
    /// How it lies on the board once it is opened.
    pub opened: Opened,
    /// Students who share one unit.
    #[serde(default = "one")]
    pub students_per_unit: u8,
    /// Units that a student usually works.
    #[serde(default = "one")]
    pub units_each: u8,
    /// Usual thickness of a slice.
    #[serde(default)]
    pub slice: Option<Millimetres>,
    /// What one usual unit gives of a cut, from least to most, where no geometry says it.
    #[serde(default)]
    pub pieces: BTreeMap<String, [u16; 2]>,
    /// Cuts that are taught on it, in the order of the work.
    pub taught: Vec<String>,
    /// Cuts that are possible, and never proposed.
    #[serde(default)]
    pub odd: Vec<String>,
    /// Hand work that its size allows.
    #[serde(default)]
    pub in_hand: Vec<String>,
    /// The colour that it is drawn in.
    #[serde(default)]
    pub tint: Tint,
    /// A line for the instructor.
    #[serde(default)]
    pub notes: String,
    /// What the trimmings become.
    pub scraps: String,
}

impl Food {
    /// What so many grams as bought cost; none where nobody has said the price.
    pub fn cost_of(&self, grams: f64) -> Option<f64> {
        self.price.map(|price| price * grams / 1000.0)
    }

    /// Whether it has a trait.
    pub fn is(&self, wanted: FoodTrait) -> bool {
        self.traits.contains(&wanted)
    }

    /// Whether a cut is made of it: decided here, asked everywhere.
    pub fn standing(&self, cut: &str) -> Standing {
        if self.is_taught_with(cut) {
            Standing::Taught
        } else if self.odd.iter().any(|odd| odd == cut) {
            Standing::Odd
        } else {
            Standing::No
        }
    }

    /// Whether a cut is taught on it.
    pub fn is_taught_with(&self, cut: &str) -> bool {
        self.taught.iter().any(|taught| taught == cut)
    }

    /// Halved through its layers, and laid on its flat face.
    pub fn halved(&self) -> bool {
        self.shape.layers().is_some()
    }

    /// Height of a piece of the food as it is worked: halved layers lie on their flat face.
    pub fn height(&self) -> Millimetres {
        let whole = self.shape.height();
        if self.halved() { Millimetres::clamped(whole.get() / 2.0) } else { whole }
    }

    /// Width across, whole.
    pub fn width(&self) -> Millimetres {
        self.shape.width()
    }

    /// Longest side, whole.
    pub fn length(&self) -> Millimetres {
        self.shape.length()
    }

    /// The same food in another size: what is left to cut once it is opened grows with it.
    #[must_use]
    pub fn sized(&self, size: Bought) -> Food {
        let mut food = Food { shape: size.shape, density: size.density, ..self.clone() };
        let by = |one: Millimetres, now: Millimetres, before: Millimetres| {
            let factor = if before > Millimetres::ZERO { now.get() / before.get() } else { 1.0 };
            Millimetres::clamped(one.get() * factor)
        };
        let opened = &mut food.opened;
        opened.height = by(opened.height, size.shape.height(), self.shape.height());
        opened.across = by(opened.across, size.shape.width(), self.shape.width());
        // Long food is cut to the same lengths whatever it was before.
        if opened.length.get() > 60.0 {
            opened.length = by(opened.length, size.shape.length(), self.shape.length());
        }
        food
    }
}
