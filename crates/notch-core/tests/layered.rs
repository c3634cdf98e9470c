//! Sticks of layered cylinders: figures by hand, and the laws of counting.

use std::f64::consts::PI;

use crate::common::{CATALOGUE, mm};
use notch_core::catalogue::{Food, Shape, Target, TargetSize};
use notch_core::geometry::{NoCount, WorkedFood, work_food};
use proptest::prelude::*;

fn leek(diameter: f64, length: f64, layers: u8, trim: f64) -> Food {
    let shape = Shape::LayeredCylinder { diameter: mm(diameter), length: mm(length), layers };
    Food { shape, trim: mm(trim), ..CATALOGUE.food("leek").unwrap().clone() }
}

fn sticks(food: &Food, width: f64, length: f64) -> WorkedFood {
    let exact = |size: f64| Some(TargetSize::Exact { size: mm(size) });
    let target = Target { thickness: exact(width), width: exact(width), length: exact(length) };
    work_food(food, CATALOGUE.cut("julienne").unwrap(), &target, &CATALOGUE.handling).unwrap()
}

#[test]
fn a_usual_leek_by_hand() {
    // Layers of 35 / 2 / 8 = 2.1875 mm; half a layer k opens to 6.872 (k − ½): 1, 3, 5, 7, 9, 11, 14, 16 sticks
    // of 3.175. Two halves, three lengths of 50 from the 180 mm between the trims.
    let found = sticks(&leek(35.0, 200.0, 8, 10.0), 3.175, 50.0);
    assert_eq!(found.pieces, 2 * 3 * (1 + 3 + 5 + 7 + 9 + 11 + 14 + 16));
    assert_eq!(found.partial, 2 * 3 * 8, "each sheet leaves a narrow rest");
    // Ends, halves, two partings and the tail's; a stack of each pair of layers, a stroke after each stick.
    assert_eq!(CATALOGUE.handling.stack_planks, 2);
    assert_eq!(found.strokes, 2 + 1 + 3 + 3 * 66);
    assert_eq!(found.regroupings, 3 * 8);
    let kept = f64::from(found.pieces) * 2.1875 * 3.175 * 50.0;
    assert!(((kept + found.trimmings.total()) / (PI * 17.5 * 17.5 * 200.0) - 1.0).abs() < 1e-9);
}

#[test]
fn what_exactly_fits_counts_and_leaves_nothing() {
    // One layer of 8 mm: half of it opens to 4 π, three sticks of 4 π / 3 exactly; one length, no tail.
    let food = leek(16.0, 100.0, 1, 25.0);
    let found = sticks(&food, 4.0 * PI / 3.0, 50.0);
    assert_eq!((found.pieces, found.partial), (6, 0));
    assert_eq!(found.strokes, 2 + 1 + 2, "the last stick of a sheet leaves nothing to cut off");
    let too_long = sticks(&food, 4.0, 50.1);
    assert_eq!((too_long.pieces, too_long.partial, too_long.strokes), (0, 0, 0));
    assert_eq!(sticks(&food, 4.0 * PI + 0.1, 50.0).pieces, 0);
}

#[test]
fn layers_of_a_ball_are_not_laid_flat() {
    let cut = CATALOGUE.cut("julienne").unwrap();
    let target = CATALOGUE.target("eighth", "julienne").unwrap();
    let found = work_food(CATALOGUE.food("onion").unwrap(), cut, &target, &CATALOGUE.handling);
    assert_eq!(found, Err(NoCount::Layered));
}

proptest! {
    #[test]
    fn sticks_and_trimmings_are_the_leek(
        d in 15.0f64..80.0, long in 60.0f64..400.0, layers in 1u8..40, w in 1.0f64..15.0, l in 10.0f64..120.0,
    ) {
        let food = leek(d, long, layers, 8.0);
        let found = sticks(&food, w, l);
        let kept = f64::from(found.pieces) * (d / 2.0 / f64::from(layers)) * w * l;
        let whole = PI * d * d / 4.0 * long;
        prop_assert!(kept <= whole * (1.0 + 1e-9));
        prop_assert!(((kept + found.trimmings.total()) / whole - 1.0).abs() < 1e-9);
        prop_assert!(found.trimmings.ends >= 0.0 && found.trimmings.squaring >= 0.0);
    }

    #[test]
    fn smaller_sticks_are_never_fewer_and_scale_changes_no_count(
        d in 15.0f64..60.0, layers in 1u8..20, w in 2.0f64..15.0, l in 10.0f64..80.0, smaller in 0.3f64..1.0, by in 0.5f64..3.0,
    ) {
        let count = |w: f64, l: f64| sticks(&leek(d, 190.0, layers, 5.0), w, l).pieces;
        prop_assert!(count((w * smaller).max(0.5), l * smaller) >= count(w, l));
        let scaled = sticks(&leek(d * by, 190.0 * by, layers, 5.0 * by), w * by, l * by).pieces;
        prop_assert_eq!(scaled, count(w, l));
    }
}
