//! The Bench: flat first against squared, errors carried through the chain, the onion chosen.

use std::sync::LazyLock;

use notch_core::carry::{CarriedCut, CutErrors, carry};
use notch_core::catalogue::{Catalogue, Shape, Target, TargetSize};
use notch_core::geometry::{work_flat_first, work_food};
use notch_core::lesson::pieces_to_cut;
use notch_core::onion::{Cuts, Limits, Method, WantedDice, choose};
use notch_core::units::Millimetres;
use proptest::prelude::*;

static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::shipped().unwrap());

fn mm(size: f64) -> Millimetres {
    Millimetres::new(size).unwrap()
}

fn target(t: f64, w: f64, l: f64) -> Target {
    let exact = |size: f64| Some(TargetSize::Exact { size: mm(size) });
    Target { thickness: exact(t), width: exact(w), length: exact(l) }
}

fn cut(planks: u32, sticks: u32) -> CarriedCut {
    CarriedCut { thickness: mm(6.0), width: mm(6.0), length: mm(50.0), planks, sticks, pieces: 1 }
}

/// Errors as they come in a class, and far over it.
fn any_errors() -> impl Strategy<Value = CutErrors> {
    let off = || prop_oneof![2 => Just(0.0), 4 => -1.5..1.5f64, 1 => -20.0..20.0f64];
    let lean = prop_oneof![1 => Just(0.0), 3 => 0.0..15.0f64, 1 => 0.0..=45.0f64];
    let cv = prop_oneof![1 => Just(0.0), 4 => 0.02..0.3f64, 1 => 0.0..=1.0f64];
    (off(), off(), off(), off(), lean, cv).prop_map(|(first, plank, stick, length, lean_degrees, step_cv)| CutErrors {
        first_plank_bias: first,
        plank_bias: plank,
        stick_bias: stick,
        length_bias: length,
        lean_degrees,
        step_cv,
    })
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(80))]

    /// What is drawn step by step and what the formulas say are worked out apart; blocks of one plank, of an
    /// odd number of sticks, and of more pieces than anybody cuts.
    #[test]
    fn trials_agree_with_the_closed_form(
        errors in any_errors(),
        size in 1.0..12.0f64,
        long in prop_oneof![Just(None), (10.0..70.0f64).prop_map(Some)],
        (planks, sticks, pieces) in (1u32..90, 1u32..90, 1u32..90),
    ) {
        let tolerance = CATALOGUE.tolerance("school").unwrap();
        let (thickness, length) = (mm(size), mm(long.unwrap_or(size)));
        let cut = CarriedCut { thickness, width: thickness, length, planks, sticks, pieces };
        let found = carry(&cut, &errors, tolerance);
        prop_assert!((found.tried - found.inside).abs() <= 5.0 * found.error + 0.004, "{found:?}");
        prop_assert!(found.error <= 0.0051, "{}", found.error);
        for (side, target) in [(&found.thickness, thickness), (&found.width, thickness), (&found.length, length)] {
            let [mean, sd] = side.closed_form;
            // Where nearly all is cut to nothing, a few draws make the moments.
            let allowed = 0.06 * sd + 0.02 + 0.005 * target.get();
            prop_assert!((0.0..=1.0 + 1e-12).contains(&side.inside) && mean >= 0.0 && sd >= 0.0, "{side:?}");
            prop_assert!((side.mean.get() - mean).abs() <= allowed, "{side:?}");
            prop_assert!((side.sd - sd).abs() <= allowed, "{side:?}");
        }
        prop_assert_eq!(&carry(&cut, &errors, tolerance), &found, "the same question is tried alike");
    }
}

#[test]
fn of_an_odd_number_of_sticks_one_more_has_its_wider_end_near() {
    // Three sticks of a 6.35 mm plank, the blade leaning 20 degrees: 6.35 · tan 20° / 2 = 1.156 more, less, more.
    let cut = CarriedCut { thickness: mm(6.35), width: mm(6.35), length: mm(50.0), planks: 3, sticks: 3, pieces: 1 };
    let leaning = CutErrors { lean_degrees: 20.0, ..CutErrors::default() };
    let width = carry(&cut, &leaning, CATALOGUE.tolerance("school").unwrap()).width;
    let [mean, sd] = width.closed_form;
    assert!((mean - 6.735).abs() < 5e-4 && (sd - 1.090).abs() < 5e-4, "{width:?}");
    assert!((width.mean.get() - mean).abs() < 1e-6 && (width.sd - sd).abs() < 1e-6, "{width:?}");
}

#[test]
fn a_thick_first_plank_is_in_each_of_its_pieces_and_in_no_other() {
    let tolerance = CATALOGUE.tolerance("school").unwrap();
    let errors = CutErrors { first_plank_bias: 3.0, ..CutErrors::default() };
    for planks in [1u32, 2, 5, 8] {
        let found = carry(&cut(planks, 6), &errors, tolerance);
        let share = 1.0 / f64::from(planks);
        assert!((found.inside - (1.0 - share)).abs() < 1e-9, "one plank of {planks} is lost: {}", found.inside);
        assert!((found.thickness.mean.get() - found.thickness.closed_form[0]).abs() < 1e-9);
        assert!((found.thickness.sd - found.thickness.closed_form[1]).abs() < 1e-9, "{:?}", found.thickness);
        assert!(found.width.sd < 1e-9 && found.words.contains("The first cut decides"), "{}", found.words);
    }
    let scattered = CutErrors { step_cv: 0.06, ..errors };
    let found = carry(&cut(5, 6), &scattered, tolerance).thickness;
    assert!((found.sd / found.closed_form[1] - 1.0).abs() < 0.03, "{found:?}");
}

#[test]
fn a_leaning_blade_widens_the_spread_of_widths_and_not_of_planks() {
    let tolerance = CATALOGUE.tolerance("school").unwrap();
    let lean = |degrees: f64| carry(&cut(6, 6), &CutErrors { lean_degrees: degrees, ..CutErrors::default() }, tolerance);
    let (upright, leaning) = (lean(0.0), lean(5.0));
    assert!(upright.width.sd < 1e-9 && leaning.width.sd > 0.2);
    assert!(leaning.thickness.sd < 1e-9);
    assert!((upright.inside - 1.0).abs() < 1e-12);
}

#[test]
fn the_best_small_dice_in_few_strokes_has_no_level_cut() {
    let wanted = WantedDice { radius: mm(40.0), layers: 8, size: mm(25.4 / 4.0), length: None };
    let found = choose(wanted, Limits { strokes: Some(20), no_level_cut: true }, &|| true).unwrap();
    assert!(!found.found.is_empty());
    assert!(found.found.iter().all(|each| each.strokes <= 20 && each.strokes_towards_hand == 0));
    assert!(found.found.windows(2).all(|pair| pair[0].wanted >= pair[1].wanted));
    let free = choose(wanted, Limits::default(), &|| true).unwrap();
    assert!(free.found.iter().any(|each| matches!(each.method, Method::Level { .. })), "level cuts are compared where allowed");
    assert!(free.found[0].wanted >= found.found[0].wanted, "fewer limits are never worse");
    let kinds: std::collections::BTreeSet<&str> = free.found.iter().map(|each| each.method.words()).collect();
    assert_eq!(kinds.len(), 6, "every way is compared: {kinds:?}");
    let of = |words: &str| free.found.iter().find(|each| each.method.words() == words).unwrap();
    let (verticals, half_rings) = (of("verticals only"), of("crosswise half-rings, turned"));
    assert_eq!((verticals.cuts, verticals.wanted), (half_rings.cuts, half_rings.wanted), "the same cells in another order");
    let none = choose(wanted, Limits { strokes: Some(3), no_level_cut: true }, &|| true).unwrap();
    assert!(none.found.is_empty() && none.words.starts_with("No way"));
}

#[test]
fn the_chosen_way_is_the_best_of_what_was_tried_and_its_depths_are_as_good() {
    for (size, layers) in [(5.0, 8), (6.35, 8), (10.0, 6), (12.7, 10)] {
        let wanted = WantedDice { radius: mm(40.0), layers, size: mm(size), length: None };
        let against = |cuts: u8, method: Method| {
            let section = notch_core::onion::cell_section(mm(40.0), layers, &Cuts::even(cuts).unwrap(), method).unwrap();
            section.against(mm(size))
        };
        let found = choose(wanted, Limits::default(), &|| true).unwrap();
        for each in &found.found {
            let (share, ribbons) = against(each.cuts, each.method);
            assert!((share - each.wanted).abs() < 1e-12 && (ribbons - each.ribbons).abs() < 1e-12, "{each:?}");
            assert_eq!(each.strokes, wanted.strokes(each.cuts, each.method));
            if let (Some([from, to]), Method::Below { depth }) = (each.depths, each.method) {
                assert!(from <= depth && depth <= to, "{from} to {to} holds {depth}");
                for end in [from, to] {
                    let share = against(each.cuts, Method::Below { depth: end }).0;
                    assert!(share >= each.wanted * 0.99, "{end} is as good within 1 %");
                }
            }
            for cuts in [each.cuts - 1, each.cuts + 1].into_iter().filter(|cuts| *cuts > 0) {
                assert!(against(cuts, each.method).0 <= each.wanted + 1e-12, "{cuts} cuts beat {each:?}");
            }
        }
        let trade: Vec<(u32, f64)> = found.trade.iter().map(|point| (point.strokes, point.wanted)).collect();
        assert!(
            trade.windows(2).all(|pair| pair[0].0 < pair[1].0 && pair[0].1 < pair[1].1),
            "more strokes, more of it: {trade:?}"
        );
        assert!((trade.last().unwrap().1 - found.found[0].wanted).abs() < 1e-12, "the trade ends at the best");
    }
}

#[test]
fn a_leek_is_chosen_for_by_its_own_strokes() {
    let wanted = WantedDice { radius: mm(17.5), layers: 6, size: mm(10.0), length: Some(mm(200.0)) };
    // Nineteen crosscuts part twenty slabs of 10 mm; three cuts above them.
    assert_eq!(wanted.strokes(3, Method::Verticals), 22);
    let found = choose(wanted, Limits { strokes: Some(22), no_level_cut: true }, &|| true).unwrap();
    assert!(found.found.iter().all(|each| each.cuts <= 3 && each.ball.slabs == 20));
}

proptest! {
    #[test]
    fn pieces_and_waste_are_the_whole_food(d in 12.0f64..90.0, taper in 0.4f64..1.0, length in 60.0f64..300.0, t in 1.0f64..12.0, dice in any::<bool>()) {
        let mut food = CATALOGUE.food("carrot").unwrap().clone();
        food.shape = Shape::Frustum { big_end: mm(d), small_end: mm(d * taper), length: mm(length) };
        let cut = CATALOGUE.cut(if dice { "small_dice" } else { "julienne" }).unwrap();
        let target = if dice { target(t, t, t) } else { target(t, t, 50.0) };
        let squared = work_food(&food, cut, &target, &CATALOGUE.handling).unwrap();
        let kitchen = work_flat_first(&food, cut, &target, &CATALOGUE.handling).unwrap().worked;
        for worked in [squared, kitchen] {
            let side = |size: Option<TargetSize>| size.unwrap().nominal().get();
            let pieces = f64::from(worked.pieces) * side(target.thickness) * side(target.width) * side(target.length);
            let all = pieces + worked.trimmings.ends + worked.trimmings.squaring;
            prop_assert!((all / worked.volume - 1.0).abs() < 1e-9, "{} of {}", all, worked.volume);
        }
    }

    #[test]
    fn more_success_never_asks_for_more_pieces(good in 1u32..60, p in 0.05f64..0.99, more in 0.0f64..0.5) {
        let n = pieces_to_cut(good, p).unwrap();
        prop_assert!(pieces_to_cut(good, (p + more).min(1.0)).unwrap() <= n);
        prop_assert!(n >= good);
    }
}
