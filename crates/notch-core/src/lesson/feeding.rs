//! What of one cut another is made of: sticks feed dice, coins half-moons, and what is chopped or diced a mince.

use crate::catalogue::{Cut, CutForm, Target, TargetSize};
use crate::units::Millimetres;

/// How one cut goes on into another.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Onward {
    /// So many pieces come of one.
    Pieces(u32),
    /// It goes on by weight.
    Weight,
}

/// Two sizes are the same to the eye.
const ALIKE: f64 = 0.02;

fn same(one: Option<TargetSize>, other: Option<TargetSize>) -> bool {
    let (Some(one), Some(other)) = (one.map(TargetSize::nominal), other.map(TargetSize::nominal)) else { return false };
    (one.get() - other.get()).abs() < ALIKE * one.get()
}

/// How pieces of one cut go on into another; `None` where they do not: by the form of both and their sizes.
pub fn onward((cut, target): (&Cut, &Target), (into, into_target): (&Cut, &Target)) -> Option<Onward> {
    let length = |size: Option<TargetSize>| size.map_or(Millimetres::ZERO, TargetSize::nominal).get();
    match (cut.form, into.form) {
        (CutForm::Stick, CutForm::Cube) if same(target.thickness, into_target.thickness) => {
            let cubes = crate::units::times(length(target.length), length(target.thickness));
            (cubes > 0).then_some(Onward::Pieces(cubes))
        }
        (CutForm::Coin, CutForm::HalfMoon) if same(target.thickness, into_target.thickness) => Some(Onward::Pieces(2)),
        (CutForm::Chopped | CutForm::Cube | CutForm::Ribbon, CutForm::Minced) => Some(Onward::Weight),
        _ => None,
    }
}
