//! The geometry against worked figures that were computed by two independent methods.

use notch_core::geometry::{Chain, Piece, flat_first, sheet, squared_cylinder, squared_ellipsoid, squared_frustum, strokes};
use notch_core::measure::{Pile, best_share, binomial, unseen_share, wilson_lower};
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
        near(found.volume_whole, number(out, "volume_whole"), "volume of the whole");
        near(found.volume_trimmed, number(out, "volume_trimmed"), "volume between the trims");
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
        if found.count() > 0 {
            let laid = if found.thickness_across { "t_on_B" } else { "w_on_B" };
            let best = out["maximisers_nA_nB_nC"].as_array().unwrap();
            // A square stick lies the same both ways, and is listed once.
            let alike = |each: &&Value| each[3] == laid || number(inputs, "t") == number(inputs, "w");
            let [a, b, c] = [found.along, found.across, found.up].map(u64::from);
            let is_found = |each: &Value| each[0] == a && each[1] == b && each[2] == c;
            assert!(best.iter().filter(alike).any(is_found), "{found:?} is not among {best:?}");
        }
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
        let one = Piece::of(number(inputs, "T"), side, side).unwrap();
        near(one.volume(), number(out, "piece_volume"), "volume of a piece");
    }
}

#[test]
fn strokes_of_the_chain() {
    for row in figures("2_strokes") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let [planks, sticks, pieces, stack, bundle] = ["i", "j", "k", "p", "q"].map(|key| count(inputs, key));
        let found = strokes(Chain { planks, sticks, pieces, stack, bundle });
        assert_eq!(found.total(), u64::from(count(out, "strokes")), "{row}");
        assert_eq!((found.squaring, found.ends), (u64::from(count(out, "squaring")), u64::from(count(out, "ends"))), "{row}");
        near(found.total() as f64 / f64::from(planks * sticks * pieces), number(out, "strokes_per_piece"), "strokes a piece");
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
fn samples_unseen_and_chosen() {
    for row in figures("7_sampling") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let tau = number(inputs, "tau");
        let pile = Pile { bias: number(inputs, "mu") - number(inputs, "T"), sd: number(inputs, "sigma") };
        let inside = pile.within(tau);
        near(inside, number(out, "p_in"), "p_in");
        near(pile.mean_error(), number(out, "mean_abs_error_population"), "mean error");
        let random = &out["random10"];
        let (share, sd) = unseen_share(10, inside);
        near(share, number(random, "expected_share"), "expected share");
        near(sd, number(random, "sd_of_share"), "sd of share");
        let shares = binomial(10, inside);
        near(shares[10], number(random, "prob_all_10_in"), "all ten inside");
        for (k, expected) in random["binomial_pmf_0_to_10"].as_array().unwrap().iter().enumerate() {
            near(shares[k], expected.as_f64().unwrap(), "binomial");
        }
        for (of, key) in [(20, "best4_of_20"), (40, "best4_of_40")] {
            let best = &out[key];
            let error = pile.mean_error_of_best(4, of);
            near(error, number(best, "mean_abs_error"), key);
            near(error / pile.mean_error(), number(best, "ratio_to_population"), key);
            near(best_share(4, of, inside), number(best, "expected_share_in_tolerance"), key);
        }
    }
}

#[test]
fn flat_first_sticks() {
    for row in figures("1d_rustic") {
        let (inputs, out) = (&row["in"], &row["out"]);
        let found = flat_first(mm(inputs, "d"), mm(inputs, "s"), mm(inputs, "t"), mm(inputs, "w"));
        let sticks: Vec<u32> = serde_json::from_value(out["sticks_per_plank"].clone()).unwrap();
        assert_eq!(found.sticks.len() as u64, out["n_full_planks"].as_u64().unwrap(), "{row}");
        let with_sticks = found.sticks.iter().filter(|sticks| **sticks > 0).count();
        assert_eq!(with_sticks as u64, out["n_planks_with_sticks"].as_u64().unwrap(), "{row}");
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
        let enough = |n: u32| -> f64 { binomial(n, number(inputs, "p")).iter().skip(count(inputs, "G") as usize).sum() };
        near(enough(found), number(out, "prob_at_n"), "chance of enough");
        assert!((enough(found - 1) - number(out, "prob_at_n_minus_1")).abs() < 1e-9, "{row}");
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
