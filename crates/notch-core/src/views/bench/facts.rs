//! Figures of cuts that are not counted from blocks: ellipses, wedges, turned pieces, mince, ribbons.

use serde::Serialize;

use crate::catalogue::{Cut, CutForm, Food, Handling, Shape, Target, TargetSize};
use crate::geometry::{mince, rolled_leaves, turned_lengths, volume, wedges};
use crate::units::Millimetres;

/// A figure with its unit.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum FactValue {
    /// A length.
    Length {
        /// The length.
        length: Millimetres,
    },
    /// A number of things.
    Count {
        /// How many.
        count: u32,
    },
    /// A share, 0..1.
    Share {
        /// The share.
        share: f64,
    },
    /// A weight.
    Grams {
        /// Grams.
        grams: f64,
    },
    /// An angle.
    Degrees {
        /// Degrees.
        degrees: f64,
    },
}

/// A named figure of a cut.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BenchFact {
    /// What it is.
    pub name: String,
    /// The figure.
    pub value: FactValue,
}

fn fact(name: &str, value: FactValue) -> BenchFact {
    BenchFact { name: name.to_owned(), value }
}

const fn count(count: u32) -> FactValue {
    FactValue::Count { count }
}

const fn length(length: Millimetres) -> FactValue {
    FactValue::Length { length }
}

/// What a cut comes to beside its pieces; empty for dice, and for strips of what has no layers.
pub(super) fn facts(food: &Food, cut: &Cut, target: &Target, handling: &Handling) -> Vec<BenchFact> {
    let work = &handling.hand_work;
    let whole = volume(food);
    let grams = |volume: f64| FactValue::Grams { grams: volume * food.density / 1000.0 };
    let thick = target.thickness.map(TargetSize::nominal);
    let across = food.width();
    match cut.form {
        // A cut at 45° through a round food is an ellipse, √2 as long as it is wide.
        CutForm::BiasCoin => {
            let root = std::f64::consts::SQRT_2;
            let mut found = vec![
                fact("the long way across", length(Millimetres::clamped(across.get() * root))),
                fact("the short way across", length(across)),
            ];
            found.extend(thick.map(|t| fact("step along the food", length(Millimetres::clamped(t.get() * root)))));
            found
        }
        CutForm::Coin | CutForm::HalfMoon => {
            let mut found = vec![fact("largest across", length(across))];
            if let Shape::Frustum { small_end, .. } = food.shape {
                found.push(fact("smallest across", length(small_end)));
            }
            found
        }
        CutForm::Wedge if !matches!(food.shape, Shape::Bundle { .. } | Shape::Sheet { .. } | Shape::Stalk { .. }) => {
            let found = wedges(across, work.wedges);
            vec![
                fact("angle of each", FactValue::Degrees { degrees: found.angle }),
                fact("across the back", length(found.back)),
                fact("each weighs", grams(whole / f64::from(found.count))),
            ]
        }
        CutForm::Ribbon => match food.shape {
            Shape::Bundle { grams } => {
                let found = rolled_leaves(grams, thick.unwrap_or(Millimetres::whole(3)), work);
                vec![
                    fact("rolls", count(found.rolls)),
                    fact("strokes", count(found.strokes)),
                    fact("length of a roll", length(work.roll_length)),
                ]
            }
            _ => Vec::new(),
        },
        CutForm::Minced => {
            let Some(size) = thick else { return Vec::new() };
            let found = mince(whole, size, work);
            vec![
                fact("passes", count(found.passes)),
                fact("strokes a pass", count(found.strokes_each)),
                fact("strokes", count(found.passes.saturating_mul(found.strokes_each))),
                fact("step of the fan", length(work.fan_step)),
            ]
        }
        CutForm::Turned => turned_facts(food, target, handling, whole),
        CutForm::Stick => layer_fact(food),
        _ => Vec::new(),
    }
}

/// A stick of a layer that is laid flat is as thick as the layer.
fn layer_fact(food: &Food) -> Vec<BenchFact> {
    match food.shape {
        Shape::LayeredCylinder { diameter, layers, .. } if layers > 0 => {
            let layer = diameter.get() / 2.0 / f64::from(layers);
            vec![fact("as thick as a layer", length(Millimetres::clamped(layer)))]
        }
        _ => Vec::new(),
    }
}

/// A food cut to the length of a turned piece, each length turned by itself.
fn turned_facts(food: &Food, target: &Target, handling: &Handling, whole: f64) -> Vec<BenchFact> {
    let work = &handling.hand_work;
    let Ok(found) = turned_lengths(food, target, handling) else { return Vec::new() };
    if found.is_empty() {
        return vec![fact("pieces", count(0))];
    }
    let kept: f64 = found.iter().map(|each| each.volume).sum();
    let widest = found.iter().map(|each| each.widest).fold(Millimetres::ZERO, Millimetres::longer);
    vec![
        fact("pieces", count(found.iter().map(|each| each.pieces).sum())),
        fact("widest", length(widest)),
        fact("faces", count(u32::from(work.turned_faces))),
        fact("strokes", count(found.iter().map(|each| each.strokes).sum())),
        fact("of it in pieces", FactValue::Share { share: (kept / whole).clamp(0.0, 1.0) }),
        fact("falls off", FactValue::Grams { grams: (whole - kept).max(0.0) * food.density / 1000.0 }),
    ]
}
