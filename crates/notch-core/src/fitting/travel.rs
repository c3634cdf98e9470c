//! How much blade a cut needs.

use crate::units::Millimetres;

/// Travel that a blade needs beyond the food.
pub const TRAVEL: Millimetres = Millimetres::whole(25);
/// Blade that a pinch grip uses up.
pub const PINCH: Millimetres = Millimetres::whole(25);
