//! Finding and keeping an angle on the stone.

use serde::Serialize;

use crate::catalogue::{Catalogue, Doctrines, Edge, HoningAngle, KnifeType};
use crate::units::{Degrees, Millimetres};

/// How to find an angle with this knife.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AngleAid {
    /// Degrees per side.
    pub angle: Degrees,
    /// Height of the middle of the spine above the stone: b sin α.
    pub spine_height: Millimetres,
    /// Height of the underside of the spine above the stone: b sin α − T/2 cos α, at least 0.
    pub underside: Millimetres,
    /// Angles that folding a square corner gives: 90, 45, 22.5, 11.25.
    pub folds: [f64; 4],
    /// The fold that comes nearest, in words.
    pub fold: String,
    /// What to mind.
    pub warnings: Vec<String>,
}

/// The height of the spine above the stone for an angle.
///
/// `spine_height = b sin α` for the blade's mid-plane with its edge on the stone, `b` the height of
/// the blade; a spine of thickness `T` has its underside at `b sin α − (T / 2) cos α`.
pub fn angle_aid(
    catalogue: &Catalogue,
    kind: &KnifeType,
    blade_height: Millimetres,
    angle: Degrees,
    spine: Millimetres,
) -> AngleAid {
    let (sine, cosine) = angle.get().to_radians().sin_cos();
    let height = blade_height.get() * sine;
    let folds = [90.0, 45.0, 22.5, 11.25];
    let nearest = folds.iter().copied().reduce(|a, b| if (b - angle.get()).abs() < (a - angle.get()).abs() { b } else { a });
    let nearest = nearest.unwrap_or(22.5);
    let times = folds.iter().position(|fold| (fold - nearest).abs() < f64::EPSILON).unwrap_or(0);
    let off = angle.get() - nearest;
    let fold = if off.abs() < 0.5 {
        format!("A square corner of paper folded {times} times is {nearest}°: just this.")
    } else {
        let side = if off > 0.0 { "above" } else { "below" };
        format!("A square corner of paper folded {times} times is {nearest}°; stay {:.0}° {side} it.", off.abs())
    };
    let most = catalogue.care.angle.most;
    let mut warnings = Vec::new();
    if angle.get() > most {
        warnings.push(format!("{angle}° is over {most}° a side: it grinds a second, blunt edge on. Refused."));
    }
    match kind.edge {
        Edge::Serrated => warnings.push("Teeth are not ground on a flat stone: replace it or send it out.".to_owned()),
        Edge::SingleBevel => {
            warnings.push("Single bevel: only the bevel is laid at its angle; the other side lies flat on the stone.".to_owned());
        }
        Edge::Straight => {}
    }
    AngleAid {
        angle,
        spine_height: Millimetres::clamped(height),
        underside: Millimetres::clamped(height - spine.get() / 2.0 * cosine),
        folds,
        fold,
        warnings,
    }
}

/// The angle that a knife is kept at: the one that is written down for it, or the school's, or the
/// middle of its type's range; none for teeth.
pub fn own_angle(kind: &KnifeType, written: Option<Degrees>, doctrines: &Doctrines) -> Option<Degrees> {
    let range = kind.angle?;
    let degrees = match doctrines.honing_angle {
        HoningAngle::Own => return written.or_else(|| Degrees::new(f64::midpoint(range.from, range.to)).ok()),
        HoningAngle::Fifteen => 15.0,
        HoningAngle::Twenty => 20.0,
        HoningAngle::Fold => 22.5,
    };
    Degrees::new(degrees).ok()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_spine_of_a_45_mm_blade_at_15_degrees_stands_11_6_mm_high() {
        let catalogue = Catalogue::shipped().unwrap();
        let kind = catalogue.knife("chefs").unwrap();
        let aid = angle_aid(&catalogue, kind, Millimetres::whole(45), Degrees::new(15.0).unwrap(), Millimetres::whole(2));
        assert!((aid.spine_height.get() - 11.646_857).abs() < 1e-6);
        assert!((aid.underside.get() - (11.646_857 - 0.965_926)).abs() < 1e-6);
        assert!(aid.warnings.is_empty());
    }

    #[test]
    fn teeth_single_bevels_and_45_degrees_are_warned_of() {
        let catalogue = Catalogue::shipped().unwrap();
        let aid = |id: &str, degrees: f64| {
            let kind = catalogue.knife(id).unwrap();
            angle_aid(&catalogue, kind, Millimetres::whole(40), Degrees::new(degrees).unwrap(), Millimetres::whole(2)).warnings
        };
        assert!(aid("chefs", 45.0)[0].contains("over 25°"));
        assert!(aid("bread", 15.0)[0].contains("Teeth"));
        assert!(aid("single_bevel_slicer", 12.0)[0].contains("Single bevel"));
    }
}
