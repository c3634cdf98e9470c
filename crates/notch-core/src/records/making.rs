//! How an exercise is made, where that is not the course's usual.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Cut, CutFamily, CutForm, Food, Peeling, ProduceSize, Target, TargetSize};
use crate::geometry::{Way, peeled};
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
    /// Taken off each side before it is counted, where that is not the food's usual; 0 for unpeeled.
    pub peel: Option<Millimetres>,
}

impl Making {
    /// Least and greatest size of a piece, mm.
    const SIZES: std::ops::RangeInclusive<f64> = 0.5..=600.0;

    /// Most that is peeled off a side.
    pub(crate) const MOST_PEEL: Millimetres = Millimetres::whole(15);

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
    pub fn food(self, usual: &Food) -> Food {
        match self.produce {
            ProduceSize::Small => usual.sized(usual.small),
            ProduceSize::Medium => usual.clone(),
            ProduceSize::Large => usual.sized(usual.large),
        }
    }

    /// What is peeled off each side before pieces are counted: peeled for true sizes or not, as the food has
    /// it for this way of working, or as the instructor says. Nothing where the cut is the peeling itself.
    pub fn peel_of(self, food: &Food, cut: &Cut) -> Millimetres {
        let by_food = match self.way {
            Way::Squared => food.peeled.exam,
            Way::FlatFirst => food.peeled.kitchen,
        };
        let usual = if by_food == Peeling::Yes { food.peel } else { Millimetres::ZERO };
        match cut.family {
            CutFamily::Strips | CutFamily::Dice | CutFamily::Slices => self.peel.unwrap_or(usual),
            _ if cut.form == CutForm::Turned => self.peel.unwrap_or(usual),
            _ => Millimetres::ZERO,
        }
    }

    /// The food as it is counted: peeled.
    pub fn peeled(self, food: &Food, cut: &Cut) -> Food {
        Food { shape: peeled(food.shape, self.peel_of(food, cut)), ..food.clone() }
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
        let peel = self.peel.filter(|peel| *peel > Self::MOST_PEEL).map(|peel| {
            Problem::new(
                format!("{pointer}/peel"),
                "Peel off each side",
                peel,
                "is out of range",
                text!["0 to ", Self::MOST_PEEL],
            )
        });
        sides.into_iter().filter_map(wrong).chain(peel).collect()
    }
}
