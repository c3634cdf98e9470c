//! How much of a food there is.

use super::stalk_volume;
use crate::catalogue::{Food, Shape};

/// Share of the box around it that a fillet or breast fills: it thins out towards one end.
pub(super) const WEDGE_SHARE: f64 = 0.6;

/// Share of the box around it that a bird, a leg or a head on its stem fills.
const IRREGULAR_SHARE: f64 = 0.5;

/// mm³ of one unit of a food.
pub(crate) fn volume(food: &Food) -> f64 {
    use std::f64::consts::PI;
    match food.shape {
        Shape::Frustum { big_end, small_end, length } => {
            let (a, b) = (big_end.get(), small_end.get());
            PI * length.get() * (a * a + a * b + b * b) / 12.0
        }
        Shape::Cylinder { diameter, length } | Shape::LayeredCylinder { diameter, length, .. } => {
            PI * diameter.get().powi(2) * length.get() / 4.0
        }
        Shape::Ellipsoid { length, width, height } => PI * length.get() * width.get() * height.get() / 6.0,
        Shape::Ball { diameter, .. } => PI * diameter.get().powi(3) / 6.0,
        Shape::LayeredBall { diameter, length, .. } => PI * diameter.get().powi(2) * length.get() / 6.0,
        Shape::Stoned { length, width, height, .. } => PI * length.get() * width.get() * height.get() / 6.0,
        Shape::Wedge { length, width, height } => WEDGE_SHARE * length.get() * width.get() * height.get(),
        Shape::Irregular { length, width, height } => IRREGULAR_SHARE * length.get() * width.get() * height.get(),
        Shape::Disc { diameter, height } => PI * diameter.get().powi(2) * height.get() / 4.0,
        Shape::Stems { diameter, length, stems } => PI * diameter.get().powi(2) * length.get() * f64::from(stems) / 4.0,
        Shape::Stalk { width, thickness, length } => stalk_volume(width, thickness, length),
        Shape::Sheet { length, width, wall } => length.get() * width.get() * wall.get(),
        Shape::Block { length, width, height } => length.get() * width.get() * height.get(),
        Shape::Cone { diameter, length } => PI * diameter.get().powi(2) * length.get() / 12.0,
        Shape::Bundle { grams } => grams / food.density * 1000.0,
    }
}

impl Food {
    /// Grams of one unit: volume × density.
    pub fn grams(&self) -> f64 {
        volume(self) * self.density / 1000.0
    }
}
