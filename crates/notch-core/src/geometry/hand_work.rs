//! Work that is not squared: wedges, turned pieces, mince, rolled leaves, peel.

use crate::catalogue::{HandWork, Shape};
use crate::units::{Millimetres, times};

/// Wedges of a round food.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Wedges {
    /// How many.
    pub count: u8,
    /// Angle of each at the middle, degrees.
    pub angle: f64,
    /// Straight across the back.
    pub back: Millimetres,
    /// One to halve, and in each half one fewer than it has wedges.
    pub strokes: u32,
}

/// Cuts a round food of a diameter to wedges: halved, then each half from the middle outwards. An odd
/// number is taken as the even one above, and none as two.
pub fn wedges(diameter: Millimetres, count: u8) -> Wedges {
    let count = count.clamp(2, 64).next_multiple_of(2);
    let half_angle = std::f64::consts::PI / f64::from(count);
    Wedges {
        count,
        angle: 360.0 / f64::from(count),
        back: Millimetres::clamped(diameter.get() * half_angle.sin()),
        strokes: 1 + 2 * (u32::from(count) / 2 - 1),
    }
}

/// What one length of food gives when it is turned.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Turned {
    /// Pieces from the length.
    pub pieces: u32,
    /// Widest diameter of each.
    pub widest: Millimetres,
    /// mm³ of all pieces.
    pub volume: f64,
    /// Strokes: those that part it lengthwise, and one for each face.
    pub strokes: u32,
}

/// Turns a round length of food to barrels with flat faces.
///
/// It is parted lengthwise into 1, 2, 4, 6 or 8 parts, the most from which a piece of the wanted
/// width still comes; the widest circle in a part with the angle θ = 2π/k has the radius
/// R · sin(θ/2) / (1 + sin(θ/2)). A piece is a regular polygon of `faces` corners in that circle,
/// of area (f/2) sin(2π/f) r², drawn in towards its ends along a parabola p(u) = 1 − (1 − e) u²: over
/// its length p² is on average 1 − 2(1 − e)/3 + (1 − e)²/5.
pub fn turned(diameter: Millimetres, length: Millimetres, work: &HandWork) -> Turned {
    let radius = diameter.get() / 2.0;
    let inside = |parts: u32| match parts {
        1 => radius,
        parts => {
            let sine = (std::f64::consts::PI / f64::from(parts)).sin();
            radius * sine / (1.0 + sine)
        }
    };
    let wanted = work.turned_width.get() / 2.0;
    let parts = [8, 6, 4, 2].into_iter().find(|parts| inside(*parts) >= wanted * (1.0 - 1e-9)).unwrap_or(1);
    let r = inside(parts);
    let faces = f64::from(work.turned_faces.clamp(3, 40));
    let narrowing = 1.0 - work.turned_ends.clamp(0.0, 1.0);
    let section = faces / 2.0 * (2.0 * std::f64::consts::PI / faces).sin() * r * r;
    let along = 1.0 - 2.0 * narrowing / 3.0 + narrowing * narrowing / 5.0;
    Turned {
        pieces: parts,
        widest: Millimetres::clamped(2.0 * r),
        volume: f64::from(parts) * section * along * length.get(),
        strokes: parts - 1 + parts * u32::from(work.turned_faces),
    }
}

/// A mince in figures.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Mince {
    /// Passes over the pile, each turned against the one before.
    pub passes: u32,
    /// Strokes of one pass.
    pub strokes_each: u32,
}

/// Passes until the mean piece of a pile is as small as a size.
///
/// After some passes the cuts lie across each other at random: lines of a density of `passes / step`
/// to the millimetre leave cells of π · (step / passes)² on average (the mean cell of a field of
/// random lines), whose edge is √π · step / passes. One pass crosses the pile, taken as square.
///
/// A size or a step of 0 is taken as a tenth of a millimetre.
pub fn mince(volume: f64, size: Millimetres, work: &HandWork) -> Mince {
    let (size, step) = (size.get().max(0.1), work.fan_step.get().max(0.1));
    let passes = (std::f64::consts::PI.sqrt() * step / size * (1.0 - 1e-9)).ceil().clamp(1.0, 1e6) as u32;
    let across = (volume.max(0.0) / work.pile_height.get().max(1.0)).sqrt();
    Mince { passes, strokes_each: (across / step * (1.0 - 1e-9)).ceil().clamp(1.0, 1e6) as u32 }
}

/// Leaves rolled and cut to ribbons.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Rolls {
    /// Rolls.
    pub rolls: u32,
    /// Strokes of all rolls.
    pub strokes: u32,
}

/// Rolls of `grams` of leaves, and the strokes that cut them to ribbons of a width.
pub fn rolled_leaves(grams: f64, ribbon: Millimetres, work: &HandWork) -> Rolls {
    let rolls = (grams.max(0.0) / work.roll_grams.max(0.1) * (1.0 - 1e-9)).ceil().clamp(1.0, 1e6) as u32;
    let each = times(work.roll_length.get(), ribbon.get().max(0.1)).max(1);
    Rolls { rolls, strokes: rolls.saturating_mul(each) }
}

/// A shape that has lost so much on each side that has a peel. Opened sheets, stalks and bundles
/// are not peeled; sizes never fall below 0.
pub fn peeled(shape: Shape, peel: Millimetres) -> Shape {
    let less = |size: Millimetres| size.less(peel + peel);
    match shape {
        Shape::Frustum { big_end, small_end, length } => {
            Shape::Frustum { big_end: less(big_end), small_end: less(small_end), length }
        }
        Shape::Cylinder { diameter, length } => Shape::Cylinder { diameter: less(diameter), length },
        Shape::Ellipsoid { length, width, height } => {
            Shape::Ellipsoid { length: less(length), width: less(width), height: less(height) }
        }
        Shape::Ball { diameter, core } => Shape::Ball { diameter: less(diameter), core },
        Shape::LayeredBall { diameter, length, layers } => {
            Shape::LayeredBall { diameter: less(diameter), length: less(length), layers }
        }
        Shape::LayeredCylinder { diameter, length, layers } => {
            Shape::LayeredCylinder { diameter: less(diameter), length, layers }
        }
        Shape::Block { length, width, height } => Shape::Block { length: less(length), width: less(width), height: less(height) },
        Shape::Cone { diameter, length } => Shape::Cone { diameter: less(diameter), length: less(length) },
        Shape::Stoned { length, width, height, stone } => {
            Shape::Stoned { length: less(length), width: less(width), height: less(height), stone }
        }
        Shape::Wedge { .. }
        | Shape::Disc { .. }
        | Shape::Irregular { .. }
        | Shape::Stems { .. }
        | Shape::Stalk { .. }
        | Shape::Sheet { .. }
        | Shape::Bundle { .. } => shape,
    }
}
