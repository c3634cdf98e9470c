//! The geometry against worked figures that were computed by two independent methods.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use notch_core::geometry::{Chain, Piece, flat_first, sheet, squared_cylinder, squared_ellipsoid, squared_frustum, strokes};
use notch_core::measure::wilson_lower;
use notch_core::units::Millimetres;
use serde_json::Value;

fn figures(section: &str) -> Vec<Value> {
    let all: Value = serde_json::from_str(include_str!("figures/geometry.json")).unwrap();
    all[section].as_array().unwrap().clone()
}

fn number(value: &Value, key: &str) -> f64 {
    value[key].as_f64().unwrap_or_else(|| panic!("{key} in {value}"))
}

fn mm(value: &Value, key: &str) -> Millimetres {
    Millimetres::new(number(value, key)).unwrap()
}

fn count(value: &Value, key: &str) -> u32 {
    u32::try_from(value[key].as_u64().unwrap_or_else(|| panic!("{key} in {value}"))).unwrap()
}

fn piece(inputs: &Value) -> Piece {
    Piece::of(number(inputs, "t"), number(inputs, "w"), number(inputs, "l")).unwrap()
}

#[track_caller]
fn near(found: f64, expected: f64, what: &str) {
    let allowed = 1e-6 * expected.abs().max(1e-12);
    assert!((found - expected).abs() <= allowed, "{what}: {found} is not {expected}");
}

#[test]
fn squared_cylinders() {
    for row in figures("1a_squared_cylinder") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let found = squared_cylinder(mm(inputs, "d"), piece(inputs));
        assert_eq!(found.count(), count(out, "count"), "{row}");
        assert_eq!((found.across, found.up), (count(out, "i"), count(out, "j")), "{row}");
        let ties: Vec<(u32, u32)> = serde_json::from_value(out["ties"].clone()).unwrap();
        assert_eq!(found.ties, ties, "{row}");
        near(found.share, number(out, "yield"), "yield");
    }
}

#[test]
fn frusta_segment_by_segment() {
    for row in figures("1b_frustum") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let (big, small) = (mm(inputs, "d_big"), mm(inputs, "d_small"));
        let found = squared_frustum(big, small, mm(inputs, "L"), mm(inputs, "e"), piece(inputs));
        assert_eq!(found.segments.len(), count(out, "n_segments") as usize, "{row}");
        assert_eq!(found.count(), count(out, "count"), "{row}");
        for (segment, expected) in found.segments.iter().zip(out["segments"].as_array().unwrap()) {
            near(segment.far_diameter.get(), number(expected, "d_small_end"), "far diameter");
            assert_eq!(segment.count(), count(expected, "count"), "{row}");
            assert_eq!((segment.across, segment.up), (count(expected, "i"), count(expected, "j")), "{row}");
        }
        assert!((found.tail.get() - number(out, "tail")).abs() < 1e-6, "{row}");
        near(found.stick_volume, number(out, "stick_volume"), "stick volume");
        near(found.stick_volume / found.volume_whole, number(out, "yield_of_whole"), "yield of whole");
        near(found.stick_volume / found.volume_trimmed, number(out, "yield_of_trimmed"), "yield of trimmed");
    }
}

#[test]
fn ellipsoids() {
    for row in figures("1c_ellipsoid") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let axes = [mm(inputs, "A"), mm(inputs, "B"), mm(inputs, "C")];
        let found = squared_ellipsoid(axes, piece(inputs));
        assert_eq!(found.count(), count(out, "count"), "{row}");
        near(found.share, number(out, "yield"), "yield");
        let [b, a, c] = axes;
        assert_eq!(squared_ellipsoid([b, a, c], piece(inputs)).count(), found.count(), "axes in another order");
    }
}

#[test]
fn sheets() {
    for row in figures("1e_sheet") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let side = number(inputs, "s");
        let found = sheet(mm(inputs, "a"), mm(inputs, "b"), Piece::of(number(inputs, "T"), side, side).unwrap());
        assert_eq!((found.along, found.across), (count(out, "n_a"), count(out, "n_b")), "{row}");
        assert_eq!(found.count(), count(out, "count"), "{row}");
        near(found.share, number(out, "yield"), "yield");
    }
}

#[test]
fn strokes_of_the_chain() {
    for row in figures("2_strokes") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let [planks, sticks, pieces, stack, bundle] = ["i", "j", "k", "p", "q"].map(|key| count(inputs, key));
        let found = strokes(Chain { planks, sticks, pieces, stack, bundle });
        assert_eq!(found.total(), u64::from(count(out, "strokes")), "{row}");
        assert_eq!(found.planking, u64::from(count(out, "planking")), "{row}");
        assert_eq!(found.sticking, u64::from(count(out, "sticking")), "{row}");
        assert_eq!(found.crosscutting, u64::from(count(out, "crosscutting")), "{row}");
    }
}

#[test]
fn wilson_bounds() {
    let all: Value = serde_json::from_str(include_str!("figures/geometry.json")).unwrap();
    let wilson = &all["7_wilson_lower"];
    for row in wilson["table"].as_array().unwrap() {
        let (inside, of) = (count(row, "x") as usize, count(row, "n") as usize);
        for (z, bound) in [("z_one_sided_95", "one_sided_95"), ("z_two_sided_95", "two_sided_95")] {
            let found = wilson_lower(inside, of, number(wilson, z));
            assert!((found - number(row, bound)).abs() < 1e-9, "{row}: {found}");
        }
    }
}

#[test]
fn flat_first_sticks() {
    for row in figures("1d_rustic") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let found = flat_first(mm(inputs, "d"), mm(inputs, "s"), mm(inputs, "t"), mm(inputs, "w"));
        let sticks: Vec<u32> = serde_json::from_value(out["sticks_per_plank"].clone()).unwrap();
        assert_eq!(found.sticks, sticks, "{row}");
        assert_eq!(found.count, count(out, "count"), "{row}");
        assert_eq!(found.count + found.rounded, count(out, "count_if_larger_chord_used"), "{row}");
        near(found.share, number(out, "area_fraction"), "area");
        near(found.slice_share, number(out, "slice_area_fraction"), "slice");
        assert!((found.cap.get() - number(out, "cap_height_left")).abs() < 1e-9, "{row}");
    }
}

#[test]
fn pieces_for_nine_in_ten_students() {
    for row in figures("8_how_many") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let found = notch_core::lesson::pieces_to_cut(count(inputs, "G"), number(inputs, "p")).unwrap();
        assert_eq!(found, count(out, "n"), "{row}");
    }
}

#[test]
fn spines_above_the_stone() {
    let catalogue = notch_core::catalogue::Catalogue::shipped().unwrap();
    let kind = catalogue.knife("chefs").unwrap();
    for row in figures("6_spine_height") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let angle = notch_core::units::Degrees::new(number(inputs, "angle_deg")).unwrap();
        let aid = notch_core::care::angle_aid(&catalogue, kind, mm(inputs, "b"), angle, Millimetres::whole(2));
        near(aid.spine_height.get(), number(out, "spine_height"), "spine");
        near(aid.underside.get(), number(out, "spine_underside_if_2mm_spine"), "underside");
    }
}
