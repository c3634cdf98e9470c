//! A knife's outline from its figures, at true relative scale.

use std::fmt::Write;

use serde::Serialize;

use crate::catalogue::{Edge, KnifeType, Profile};
use crate::records::{Bolster, KnifeFields, Tang};
use crate::units::Millimetres;

/// A knife seen from its side: tip at the left, x 0; spine at the top, y 0; millimetres.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Silhouette {
    /// Path of the blade.
    pub blade: String,
    /// Path of the handle.
    pub handle: String,
    /// Whole length, handle included.
    pub width: Millimetres,
    /// Whole height.
    pub height: Millimetres,
    /// x of the heel: the blade is `0..heel`; its thirds are equal parts of that.
    pub heel: Millimetres,
    /// Height of the blade at the heel.
    pub heel_height: Millimetres,
    /// Hollows in the side, as a path; none where the side is plain.
    pub hollows: Option<String>,
    /// Bolster, as a path; none where there is none.
    pub bolster: Option<String>,
    /// Rivets of a full tang: x and y of each.
    pub rivets: Vec<[f64; 2]>,
}

/// How a profile is drawn, as shares of the blade's length and heel height.
struct Form {
    /// Part of the edge, from the heel on, that is flat.
    flat: f64,
    /// Height of the tip: 0 at the spine, 1 at the edge.
    tip: f64,
    /// Part of the spine, from the tip on, that falls.
    fall: f64,
    /// 0 the spine falls straight to the tip, 1 it rounds over late.
    round: f64,
}

fn form(profile: Profile) -> Form {
    let (flat, tip, fall, round) = match profile {
        Profile::CurvedBelly => (0.18, 0.22, 0.55, 0.45),
        Profile::GentleBelly => (0.42, 0.45, 0.5, 0.5),
        Profile::SheepsFoot => (0.7, 0.88, 0.34, 0.95),
        Profile::ClippedTip => (0.82, 0.9, 0.26, 0.0),
        Profile::DeadFlat => (0.97, 0.06, 0.03, 1.0),
        Profile::Short => (0.3, 0.5, 0.55, 0.5),
        Profile::CurvedInwards => (0.0, 0.95, 0.75, 0.85),
        Profile::Narrow => (0.45, 0.5, 0.7, 0.55),
        Profile::LongNarrow => (0.86, 0.35, 0.14, 0.9),
        Profile::BluntTip => (0.4, 0.3, 0.3, 1.0),
        Profile::Slot => (0.9, 0.5, 0.2, 0.8),
        Profile::Swivel => (0.8, 0.5, 0.3, 1.0),
        Profile::Scissors => (0.85, 0.5, 0.9, 0.2),
    };
    Form { flat, tip, fall, round }
}

/// Draws one knife: its type's profile with its own length, heel, bolster, tang and hollows.
pub fn silhouette(kind: &KnifeType, knife: &KnifeFields) -> Silhouette {
    let plain = blade_silhouette(kind, knife.length, knife.heel_height);
    let (l, h) = (knife.length.get().max(1.0), knife.heel_height.get().max(1.0));
    let bolster = match knife.bolster {
        Bolster::None => None,
        Bolster::Half => Some(format!("M{:.1} 0h9v{:.1}q-5 0 -9 -4z", l - 2.0, (h * 0.62).clamp(13.0, 25.0))),
        Bolster::Full => Some(format!("M{:.1} 0h11v{:.1}L{:.1} {h:.1}h-4z", l - 4.0, (h * 0.6).clamp(12.0, 25.0), l)),
    };
    let rivets = if knife.tang == Tang::Full && kind.weight > 1 {
        let middle = (h * 0.62).clamp(13.0, 25.0) * 0.46;
        [0.22, 0.5, 0.78].map(|share| [l + (plain.width.get() - l) * share, middle + 1.5]).to_vec()
    } else {
        Vec::new()
    };
    Silhouette { hollows: knife.hollowed.then(|| hollows(l, h)), bolster, rivets, ..plain }
}

/// Long ovals along the side, above the edge, from a fifth of the blade to its heel.
fn hollows(l: f64, h: f64) -> String {
    let (from, to) = (l * 0.2, l * 0.94);
    let count = ((to - from) / 12.0).floor().clamp(1.0, 40.0) as u32;
    let mut path = String::new();
    for index in 0..count {
        let x = from + (to - from) * (f64::from(index) + 0.5) / f64::from(count);
        let _ = write!(path, "M{:.1} {:.1}a2.6 {r:.1} 0 1 0 5.2 0a2.6 {r:.1} 0 1 0 -5.2 0z", x - 2.6, h * 0.66, r = h * 0.17);
    }
    path
}

/// A plain knife of a type with a blade of `length` and `heel_height`: no bolster, hollows or rivets.
pub fn blade_silhouette(kind: &KnifeType, length: Millimetres, heel_height: Millimetres) -> Silhouette {
    let (l, h) = (length.get().max(1.0), heel_height.get().max(1.0));
    let form = form(kind.profile);
    let (tip_y, fall_x) = (form.tip * h, form.fall * l);
    let flat_x = l * (1.0 - form.flat);
    let mut blade = format!("M{l:.1} 0L{fall_x:.1} 0");
    let bend = fall_x * (1.0 - form.round).clamp(0.05, 0.95);
    let _ = write!(blade, "Q{bend:.1} {:.1} 0 {tip_y:.1}", tip_y * (1.0 - form.round).min(0.9) * 0.35);
    match (kind.profile, kind.edge) {
        (Profile::CurvedInwards, _) => {
            let _ = write!(blade, "Q{:.1} {:.1} {l:.1} {h:.1}", l * 0.45, h * 0.42);
        }
        (Profile::DeadFlat, _) => {
            let _ = write!(blade, "L0 {:.1}Q0 {h:.1} {flat_x:.1} {h:.1}L{l:.1} {h:.1}", h * 0.94);
        }
        (_, Edge::Serrated) => teeth(&mut blade, (0.0, tip_y), (l, h), flat_x),
        _ => {
            let _ = write!(
                blade,
                "C{:.1} {:.1} {:.1} {h:.1} {flat_x:.1} {h:.1}L{l:.1} {h:.1}",
                flat_x * 0.18,
                tip_y + (h - tip_y) * 0.62,
                flat_x * 0.55,
            );
        }
    }
    blade.push('Z');
    let (handle, handle_length, drop) = handle(kind, l, h);
    Silhouette {
        blade,
        handle,
        width: Millimetres::clamped(l + handle_length),
        height: Millimetres::clamped(h.max(drop)),
        heel: length,
        heel_height,
        hollows: None,
        bolster: None,
        rivets: Vec::new(),
    }
}

/// Scalloped teeth of about 7 mm from the tip to the heel.
fn teeth(path: &mut String, tip: (f64, f64), heel: (f64, f64), flat_x: f64) {
    let count = (heel.0 / 7.0).round().clamp(4.0, 60.0);
    let edge_y = |x: f64| {
        let share = (x / flat_x.max(1.0)).min(1.0);
        tip.1 + (heel.1 - tip.1) * (1.0 - (1.0 - share).powi(2))
    };
    for tooth in 1..=(count as u32) {
        let x = heel.0 * f64::from(tooth) / count;
        let middle = x - heel.0 / count / 2.0;
        let _ = write!(path, "Q{middle:.1} {:.1} {x:.1} {:.1}", edge_y(middle) - 2.2, edge_y(x));
    }
}

/// Path, length and lowest point of the handle.
fn handle(kind: &KnifeType, l: f64, h: f64) -> (String, f64, f64) {
    let length = if kind.weight <= 1 { 95.0 } else { 118.0 };
    let thick = (h * 0.62).clamp(13.0, 25.0);
    let end = l + length;
    let path = format!(
        "M{l:.1} 0L{:.1} 0Q{end:.1} 0 {end:.1} {:.1}Q{end:.1} {:.1} {:.1} {:.1}Q{:.1} {:.1} {:.1} {:.1}L{l:.1} {:.1}Z",
        end - 6.0,
        thick * 0.5,
        thick * 1.22,
        end - 10.0,
        thick * 1.2,
        l + length * 0.55,
        thick * 0.82,
        l + 14.0,
        thick,
        thick * 0.92,
    );
    (path, length, thick * 1.22)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::catalogue::Catalogue;

    #[test]
    fn a_longer_blade_is_drawn_longer_and_every_type_has_an_outline() {
        let catalogue = Catalogue::shipped().unwrap();
        for kind in &catalogue.knives {
            let short = blade_silhouette(kind, kind.length.from, kind.heel_height);
            let long = blade_silhouette(kind, kind.length.to, kind.heel_height);
            assert!(long.width >= short.width, "{}", kind.id);
            assert!(short.blade.starts_with('M') && short.blade.ends_with('Z'), "{}", kind.id);
            assert!(!short.blade.contains("NaN") && !short.blade.contains("inf"), "{}", kind.id);
        }
    }
}
