//! What a sample shows, case by case.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use notch_core::catalogue::{Catalogue, Dimension};
use notch_core::measure::{SampleCustom, Verdict, judge, parse_pieces};

fn verdict_of(cut: &str, tolerance: &str, text: &str) -> Verdict {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", cut).unwrap();
    let tolerance = catalogue.tolerance(tolerance).unwrap();
    judge(&catalogue, &target, tolerance, SampleCustom::BlindTen, &parse_pieces(text).unwrap())
}

fn first_say(verdict: &Verdict) -> &str {
    &verdict.says[0].id
}

#[test]
fn eight_of_ten_inside_proves_forty_nine_per_cent() {
    let verdict = verdict_of("julienne", "school", &format!("{}{}", "3.2\n".repeat(8), "4.5\n".repeat(2)));
    assert_eq!((verdict.inside.count, verdict.inside.of), (8, 10));
    assert!((verdict.inside.proves - 0.490_162).abs() < 1e-6);
}

#[test]
fn the_edge_of_the_tolerance_counts_as_inside() {
    // School: 25 % of 6.35 is 1.5875, so 7.9375 is the edge; exam on 1/16: the floor of 0.4 governs.
    assert_eq!(verdict_of("batonnet", "school", "7.9375\n4.7625").inside.count, 2);
    assert_eq!(verdict_of("batonnet", "school", "7.94\n4.76").inside.count, 0);
    assert_eq!(verdict_of("fine_julienne", "exam", "1.9875\n1.1875").inside.count, 2);
    assert_eq!(verdict_of("fine_julienne", "exam", "1.99\n1.18").inside.count, 0);
}

#[test]
fn a_limit_is_a_limit_and_a_range_has_its_tolerance_at_both_ends() {
    assert_eq!(verdict_of("mince", "school", "2.9\n3.0\n3.1").inside.count, 1, "mince is under 3 mm, not 3");
    // Coins 3.175 to 6.35: from 3.175 − 0.79375 to 6.35 + 1.5875.
    let verdict = verdict_of("coins", "school", "2.39\n7.93\n2.38\n7.94");
    assert_eq!(verdict.inside.count, 2);
    assert_eq!(verdict.sides[0].bias.get(), 0.0, "a mean within the range is no bias");
}

#[test]
fn a_piece_is_inside_only_if_every_measured_side_is() {
    let verdict = verdict_of("julienne", "school", "3.2 3.2 50\n3.2 4.5 50\n3.2 3.2 70\n3.2");
    assert_eq!(verdict.piece_inside, [true, false, false, true]);
}

#[test]
fn the_less_even_side_governs() {
    let verdict = verdict_of("julienne", "school", "3.2 2.8\n3.2 3.6\n3.2 2.9\n3.2 3.5");
    assert_eq!(verdict.governing, Some(Dimension::Width));
    assert!((verdict.cv.unwrap() - 0.1107).abs() < 1e-3);
    assert!(verdict.even);
}

#[test]
fn each_way_of_going_wrong_has_its_own_cue() {
    for (text, say) in [
        ("3.7 3.7\n3.8 3.7\n3.7 3.8\n3.7 3.7\n3.8 3.8", "too_thick"),
        ("2.6 2.6\n2.7 2.6\n2.6 2.7\n2.6 2.6", "too_thin"),
        ("2.4 2.5\n3.9 3.8\n2.6 2.6\n3.7 3.9\n3.2 3.1", "wide_spread"),
        ("2.5 2.5\n2.8 2.7\n3.0 3.1\n3.3 3.2\n3.6 3.6\n3.9 3.8", "drift_up"),
        ("3.9 3.8\n3.6 3.6\n3.3 3.2\n3.0 3.1\n2.8 2.7\n2.5 2.5", "drift_down"),
        ("3.2 3.2 50 4.2\n3.2 3.2 50 4.1\n3.2 3.1 50 4.2\n3.2 3.2 50 4.1", "taper"),
        ("3.2 3.2 30\n3.2 3.2 60\n3.2 3.2 45\n3.2 3.2 66", "lengths_vary"),
        ("3.2 4.0\n3.2 4.1\n3.1 4.0\n3.2 4.1", "sticks_off"),
        ("4.0 3.2\n4.1 3.2\n4.0 3.1\n4.1 3.2", "planks_off"),
        ("3.2\n3.3\n3.1", "too_few"),
        ("3.2 3.2 50\n3.1 3.2 50\n3.2 3.3 49\n3.2 3.2 51", "sound"),
        ("3.0 3.1\n5.0 5.2\n3.4 3.3\n5.5 5.4", "mixed"),
    ] {
        let verdict = verdict_of("julienne", "school", text);
        assert_eq!(first_say(&verdict), say, "{text:?}: {:?}", verdict.says);
        assert!(!verdict.says[0].cue.is_empty());
    }
}

#[test]
fn one_piece_has_no_spread_and_an_empty_sample_is_nought_of_nought() {
    let verdict = verdict_of("julienne", "school", "3.2");
    assert_eq!((verdict.cv, verdict.even), (None, false));
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "julienne").unwrap();
    let none = judge(&catalogue, &target, catalogue.tolerance("school").unwrap(), SampleCustom::BlindTen, &[]);
    assert_eq!((none.inside.of, none.inside.proves, none.sides.len()), (0, 0.0, 0));
}
