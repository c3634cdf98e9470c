//! What a sample shows, case by case.

use notch_core::catalogue::{Catalogue, Dimension};
use notch_core::measure::{
    Cause, Causes, MeasuredPiece, PieceOrder, SampleCustom, SampleTaking, Verdict, causes, judge, parse_pieces,
};
use notch_core::units::Millimetres;

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
        ("3.2 3.2 70\n3.2 3.2 70\n3.2 3.1 71\n3.1 3.2 70\n3.2 3.2 70", "too_long"),
        ("3.2 3.2 30\n3.2 3.2 30\n3.2 3.1 31\n3.1 3.2 30\n3.2 3.2 30", "too_short"),
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

/// Ten pieces of julienne as someone with a fault would cut them, the same for a seed.
fn cut_with_a_fault(cause: Cause, seed: u64) -> Vec<MeasuredPiece> {
    use rand::{Rng, SeedableRng};
    let mut random = rand_chacha::ChaCha8Rng::seed_from_u64(seed);
    let mut near = |size: f64, cv: f64| {
        // Twelve uniform numbers make a normal one, nearly.
        let z = (0..12).map(|_| random.random::<f64>()).sum::<f64>() - 6.0;
        size * (1.0 + cv * z)
    };
    (0..10u8)
        .map(|index| {
            let along = f64::from(index) / 9.0 - 0.5;
            let (mut t, mut w, mut l) = (near(6.35, 0.05), near(6.35, 0.05), near(50.0, 0.03));
            let mut far = w + near(0.05, 1.0);
            match cause {
                Cause::StepTooBig => (t, w) = (t + 2.2, w + 2.2),
                Cause::PlanksTooThick => t += 2.2,
                Cause::SticksTooNarrow => w -= 2.2,
                Cause::StepsUneven => (t, w) = (near(6.35, 0.3), near(6.35, 0.3)),
                Cause::SticksUneven => w = near(6.35, 0.3),
                Cause::Drift => (t, w) = (t + 4.0 * along, w + 4.0 * along),
                Cause::LengthsVary => l = near(50.0, 0.4),
                Cause::TooLong => l += 20.0,
                Cause::TooShort => l -= 20.0,
                _ => {}
            }
            if cause != Cause::Lean {
                far = w + (far - w).clamp(-0.1, 0.1);
            } else {
                far = w + 2.0;
            }
            let mm = |size: f64| Millimetres::new(size.max(0.5)).unwrap();
            MeasuredPiece { thickness: mm(t), width: Some(mm(w)), length: Some(mm(l)), far_width: Some(mm(far)) }
        })
        .collect()
}

#[test]
fn each_fault_is_found_again_in_most_of_its_samples() {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "batonnet").unwrap();
    let tolerance = catalogue.tolerance("school").unwrap();
    let faults = [
        Cause::Sound,
        Cause::StepTooBig,
        Cause::PlanksTooThick,
        Cause::SticksTooNarrow,
        Cause::StepsUneven,
        Cause::SticksUneven,
        Cause::Drift,
        Cause::Lean,
        Cause::LengthsVary,
        Cause::TooLong,
        Cause::TooShort,
    ];
    for fault in faults {
        let found: Vec<Causes> =
            (0..60).map(|seed| causes(&target, tolerance, PieceOrder::AsCut, &cut_with_a_fault(fault, seed))).collect();
        let right = found.iter().filter(|each| each.likely.first().is_some_and(|first| first.cause == fault)).count();
        let sure_and_wrong = found.iter().filter(|each| each.clear && each.likely[0].cause != fault).count();
        assert!(right >= 50, "{fault:?} found in {right} of 60");
        assert!(sure_and_wrong <= 4, "{fault:?} taken for another in {sure_and_wrong} of 60");
    }
}

#[test]
fn the_cue_is_that_of_the_fault_that_was_cut_in() {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "batonnet").unwrap();
    let tolerance = catalogue.tolerance("school").unwrap();
    for (fault, say) in [
        (Cause::Sound, "sound"),
        (Cause::StepTooBig, "too_thick"),
        (Cause::PlanksTooThick, "planks_off"),
        (Cause::SticksTooNarrow, "sticks_off"),
        (Cause::StepsUneven, "wide_spread"),
        (Cause::SticksUneven, "sticks_off"),
        (Cause::Drift, "drift_up"),
        (Cause::Lean, "taper"),
        (Cause::LengthsVary, "lengths_vary"),
        (Cause::TooLong, "too_long"),
        (Cause::TooShort, "too_short"),
    ] {
        let verdicts: Vec<Verdict> = (100..160)
            .map(|seed| judge(&catalogue, &target, tolerance, SampleCustom::BlindTen, &cut_with_a_fault(fault, seed)))
            .collect();
        let right = verdicts.iter().filter(|verdict| first_say(verdict) == say).count();
        assert!(right >= 50, "{fault:?}: {say} said first in {right} of 60");
    }
}

#[test]
fn a_clear_cause_is_said_before_what_is_further_over_its_threshold() {
    // Every plank a little too thick; one stick far too short besides.
    let text = "4.4 3.2 50\n4.3 3.1 50\n4.4 3.2 49\n4.5 3.2 50\n4.4 3.3 50\n4.4 3.2 51\n4.4 3.2 50\n4.3 3.2 50";
    let verdict = verdict_of("julienne", "school", text);
    assert!(verdict.causes.clear && verdict.causes.likely[0].cause == Cause::PlanksTooThick);
    let ids: Vec<&str> = verdict.says.iter().map(|say| say.id.as_str()).collect();
    assert_eq!(ids[0], "planks_off");
    assert!(ids.len() > 1, "the others are said too: {ids:?}");
}

#[test]
fn without_the_cutting_order_no_drift_is_read() {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "batonnet").unwrap();
    let tolerance = catalogue.tolerance("school").unwrap();
    let mixed = SampleTaking { custom: SampleCustom::BlindTen, order: PieceOrder::Mixed };
    for seed in 0..30 {
        let mut pieces = cut_with_a_fault(Cause::Drift, seed);
        let there = judge(&catalogue, &target, tolerance, mixed, &pieces);
        assert!(there.causes.likely.iter().all(|each| each.cause != Cause::Drift), "{:?}", there.causes);
        assert!(there.says.iter().all(|say| !say.id.starts_with("drift")), "{:?}", there.says);
        assert!(there.causes.not_seen.iter().any(|told| told.starts_with("No drift can be seen")), "{:?}", there.causes.not_seen);
        // Where the order says nothing, another order says the same.
        pieces.reverse();
        pieces.rotate_left(3);
        let turned = judge(&catalogue, &target, tolerance, mixed, &pieces);
        assert_eq!(
            there.says.iter().map(|say| &say.id).collect::<Vec<_>>(),
            turned.says.iter().map(|say| &say.id).collect::<Vec<_>>()
        );
        for (one, two) in there.causes.likely.iter().zip(&turned.causes.likely) {
            assert!(one.cause == two.cause && (one.share - two.share).abs() < 1e-6);
        }
    }
    let in_order = judge(&catalogue, &target, tolerance, SampleCustom::BlindTen, &cut_with_a_fault(Cause::Drift, 1));
    assert!(in_order.causes.likely[0].cause == Cause::Drift && in_order.says[0].id.starts_with("drift"));
}

#[test]
fn few_pieces_and_pieces_between_two_causes_are_unclear() {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "batonnet").unwrap();
    let tolerance = catalogue.tolerance("school").unwrap();
    let few = causes(&target, tolerance, PieceOrder::AsCut, &cut_with_a_fault(Cause::StepTooBig, 1)[..4]);
    assert!(!few.clear && few.likely.is_empty() && few.words.starts_with("Unclear"));
    let none = causes(&target, tolerance, PieceOrder::AsCut, &[]);
    assert!(!none.clear && none.words.starts_with("Unclear"));
    // Planks off by just what lies between sound and faulty.
    let between: Vec<MeasuredPiece> = (0..5u8)
        .map(|index| {
            let mm = |size: f64| Some(Millimetres::new(size).unwrap());
            let off = if index % 2 == 0 { 0.5625 } else { 0.7625 };
            MeasuredPiece { thickness: mm(6.35 + off).unwrap(), width: mm(6.35), length: None, far_width: None }
        })
        .collect();
    let found = causes(&target, tolerance, PieceOrder::AsCut, &between);
    assert!(!found.clear && found.likely.len() > 1 && found.words.starts_with("Unclear"), "{found:?}");
}

#[test]
fn pieces_of_quite_another_size_are_a_step_and_not_a_scatter() {
    for (text, cause) in [
        ("9.1 6.3\n9.0 6.4\n9.2 6.3\n9.1 6.5\n8.9 6.3\n9.1 6.4", Cause::StepTooBig),
        ("4.9 3.2\n5.0 3.1\n4.8 3.3\n4.9 3.2\n5.1 3.2\n4.9 3.3", Cause::PlanksTooThick),
        ("1.3 1.4\n1.2 1.3\n1.4 1.3\n1.3 1.2\n1.3 1.3\n1.4 1.4", Cause::StepTooSmall),
        ("3.2 1.5\n3.1 1.4\n3.3 1.5\n3.2 1.6\n3.2 1.5\n3.1 1.4", Cause::SticksTooNarrow),
    ] {
        let found = verdict_of("julienne", "school", text).causes;
        assert_eq!(found.likely[0].cause, cause, "{text}: {found:?}");
        assert!(found.clear, "{text}: {found:?}");
    }
}

#[test]
fn without_a_width_planks_and_sticks_are_not_told_apart() {
    let catalogue = Catalogue::shipped().unwrap();
    let verdict = verdict_of("plank", "school", "16\n16.2\n15.9\n16.4\n16.1\n16\n15.8\n16.2");
    assert_eq!(verdict.causes.likely[0].cause, Cause::StepTooBig, "{:?}", verdict.causes);
    assert!(verdict.causes.clear);
    let target = catalogue.target("eighth", "mince").unwrap();
    let limit_only =
        causes(&target, catalogue.tolerance("school").unwrap(), PieceOrder::AsCut, &cut_with_a_fault(Cause::Sound, 1));
    assert!(limit_only.likely.is_empty(), "an upper limit is nothing to be off from");
}

proptest::proptest! {
    #[test]
    fn shares_of_causes_are_shares(sizes in proptest::collection::vec((0.2f64..30.0, 0.2f64..30.0, 1.0f64..90.0), 0..60)) {
        let catalogue = Catalogue::shipped().unwrap();
        let mm = |size: f64| Millimetres::new(size).unwrap();
        let pieces: Vec<MeasuredPiece> = sizes
            .iter()
            .map(|(t, w, l)| MeasuredPiece { thickness: mm(*t), width: Some(mm(*w)), length: Some(mm(*l)), far_width: Some(mm(*w)) })
            .collect();
        let found = causes(&catalogue.target("eighth", "julienne").unwrap(), catalogue.tolerance("exam").unwrap(), PieceOrder::AsCut, &pieces);
        let sum: f64 = found.likely.iter().map(|each| each.share).sum();
        proptest::prop_assert!(sum <= 1.0 + 1e-9 && (found.likely.is_empty() || sum > 0.85), "{}", sum);
        proptest::prop_assert!(found.likely.windows(2).all(|pair| pair[0].share >= pair[1].share));
    }
}
