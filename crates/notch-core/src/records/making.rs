//! How an exercise is made, where that is not the course's usual.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Food, Handling, ProduceSize, Target, TargetSize};
use crate::geometry::Way;
use crate::problem::Problem;
use crate::text;
use crate::text::Bare;
use crate::units::Millimetres;

/// Sizes of its own, the way of working, the size that the produce is bought in.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[serde(default, deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Making {
    /// Thickness, where it is not the standard's.
    pub thickness: Option<Millimetres>,
    /// Width, where it is not the standard's.
    pub width: Option<Millimetres>,
    /// Length, where it is not the standard's.
    pub length: Option<Millimetres>,
    /// Way of working sticks and dice; food that is not worked flat first is squared.
    pub way: Way,
    /// The size that the produce is bought in.
    pub produce: ProduceSize,
}

impl Making {
    /// Least and greatest size of a piece, mm.
    const SIZES: std::ops::RangeInclusive<f64> = 0.5..=600.0;

    /// The standard's target with the sizes of its own laid over it.
    pub fn target(self, standard: Target) -> Target {
        let exact = |size: Millimetres| Some(TargetSize::Exact { size });
        Target {
            thickness: self.thickness.map_or(standard.thickness, exact),
            width: self.width.map_or(standard.width, exact),
            length: self.length.map_or(standard.length, exact),
        }
    }

    /// The food in the size that it is bought in.
    pub fn food(self, usual: &Food, handling: &Handling) -> Food {
        let mut food = usual.clone();
        food.shape = match self.produce {
            ProduceSize::Small => food.shape.scaled(handling.produce.small),
            ProduceSize::Medium => food.shape,
            ProduceSize::Large => food.shape.scaled(handling.produce.large),
        };
        food
    }

    /// Sizes out of range, at their fields under `pointer`.
    pub(crate) fn check(self, pointer: &str) -> Vec<Problem> {
        let (least, most) = (Millimetres::clamped(*Self::SIZES.start()), Millimetres::clamped(*Self::SIZES.end()));
        let sides =
            [("thickness", "Thickness", self.thickness), ("width", "Width", self.width), ("length", "Length", self.length)];
        let wrong = |(field, name, size): (&str, &str, Option<Millimetres>)| {
            let size = size.filter(|size| !(least..=most).contains(size))?;
            let allowed = text![Bare(least), " to ", most];
            Some(Problem::new(format!("{pointer}/{field}"), name, size, "is out of range", allowed))
        };
        sides.into_iter().filter_map(wrong).collect()
    }
}
