//! Laws of the computations, on inputs that nobody chose.

use notch_core::catalogue::{Catalogue, Strand};
use notch_core::geometry::{Chain, Piece, squared_cylinder, squared_ellipsoid, squared_frustum, strokes, work_food};
use notch_core::lesson::{PlannedSegment, lay_out};
use notch_core::measure::{MeasuredPiece, SampleCustom, Z_TWO_SIDED_95, judge, parse_pieces, wilson_lower};
use notch_core::records::StoredSegment;
use notch_core::units::{Millimetres, parse_length};
use proptest::prelude::*;
use std::sync::LazyLock;

static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::shipped().unwrap());

fn mm(length: f64) -> Millimetres {
    Millimetres::new(length).unwrap()
}

prop_compose! {
    fn a_piece()(t in 0.5..25.0f64, w in 0.5..25.0f64, l in 0.5..80.0f64) -> Piece {
        Piece::of(t, w, l).unwrap()
    }
}

prop_compose! {
    fn measured()(t in 0.3..30.0f64, w in proptest::option::of(0.3..30.0f64), l in proptest::option::of(1.0..80.0f64)) -> MeasuredPiece {
        MeasuredPiece { thickness: mm(t), width: w.map(mm), length: l.map(mm), far_width: None }
    }
}

/// The obvious way, for comparison: try every (i, j).
fn squared_by_trying(d: f64, t: f64, w: f64) -> u32 {
    let mut best = 0;
    for i in 1..=(d / t) as u32 + 1 {
        for j in 1..=(d / w) as u32 + 1 {
            let diagonal = (f64::from(i) * t).powi(2) + (f64::from(j) * w).powi(2);
            if diagonal <= d * d * (1.0 + 1e-9) {
                best = best.max(i * j);
            }
        }
    }
    best
}

proptest! {
    #[test]
    fn no_text_makes_the_length_parser_panic_and_what_it_reads_is_a_length(text in "\\PC{0,40}") {
        if let Ok(length) = parse_length(&text) {
            prop_assert!(length.get().is_finite() && length.get() >= 0.0);
        }
    }

    #[test]
    fn no_fraction_makes_the_length_parser_panic(whole in 0u64..1_000_000_000_000, above in any::<u64>(), below in any::<u64>(), unit in "(mm|in|cm|\"|)") {
        let _ = parse_length(&format!("{whole}-{above}/{below}{unit}"));
        let _ = parse_length(&format!("{above}/{below} {unit}"));
    }

    #[test]
    fn no_text_makes_the_parser_of_pieces_panic(text in "[-0-9./,;×x \\t\\r\\n\"a-zµ″]{0,200}") {
        match parse_pieces(&text) {
            Ok(pieces) => prop_assert!(!pieces.is_empty()),
            Err(problems) => {
                prop_assert!(!problems.is_empty());
                for problem in problems {
                    prop_assert!(problem.line >= 1 && !problem.at("/text").message.is_empty());
                }
            }
        }
    }

    #[test]
    fn pieces_that_are_written_out_are_read_back(pieces in proptest::collection::vec((2u32..4000, 2u32..4000, 2u32..4000), 1..60)) {
        let write = |tenth: u32| format!("{}.{}", tenth / 10, tenth % 10);
        let text: Vec<String> = pieces.iter().map(|&(t, w, l)| format!("{} {}\t{}", write(t), write(w), write(l))).collect();
        let read = parse_pieces(&text.join("\n")).unwrap();
        prop_assert_eq!(read.len(), pieces.len());
        for (piece, (t, w, l)) in read.iter().zip(pieces) {
            prop_assert_eq!(piece.thickness, mm(f64::from(t) / 10.0));
            prop_assert_eq!(piece.width, Some(mm(f64::from(w) / 10.0)));
            prop_assert_eq!(piece.length, Some(mm(f64::from(l) / 10.0)));
        }
    }

    #[test]
    fn squaring_agrees_with_trying_everything(d in 1.0..90.0f64, t in 0.7..20.0f64, w in 0.7..20.0f64) {
        let found = squared_cylinder(mm(d), Piece::of(t, w, 50.0).unwrap());
        prop_assert_eq!(found.count(), squared_by_trying(d, t, w));
        prop_assert!((0.0..=1.0).contains(&found.share));
    }

    #[test]
    fn swapping_thickness_and_width_changes_no_count(d in 1.0..120.0f64, piece in a_piece()) {
        let swapped = Piece::new(piece.width(), piece.thickness(), piece.length()).unwrap();
        prop_assert_eq!(squared_cylinder(mm(d), piece).count(), squared_cylinder(mm(d), swapped).count());
        let axes = [mm(95.0), mm(d), mm(60.0)];
        prop_assert_eq!(squared_ellipsoid(axes, piece).count(), squared_ellipsoid(axes, swapped).count());
    }

    #[test]
    fn scaling_all_lengths_changes_no_count(d in 5.0..60.0f64, t in 1.0..8.0f64, l in 5.0..40.0f64, scale in 1.0..4.0f64) {
        let small = Piece::of(t, t, l).unwrap();
        let large = Piece::of(t * scale, t * scale, l * scale).unwrap();
        let count = |big: f64, piece| squared_frustum(mm(big), mm(big * 0.6), mm(big * 5.0), mm(big * 0.2), piece).count();
        // A figure that is within rounding of a boundary may fall to either side of it.
        let steady = count(d, small) == count(d * (1.0 + 1e-7), small) && count(d, small) == count(d * (1.0 - 1e-7), small);
        prop_assume!(steady);
        prop_assert_eq!(count(d, small), count(d * scale, large));
    }

    #[test]
    fn thinner_sticks_are_never_fewer(d in 5.0..90.0f64, t in 1.0..20.0f64, thinner in 0.3..1.0f64) {
        prop_assume!(t * thinner >= 0.5);
        let count = |t: f64| squared_cylinder(mm(d), Piece::of(t, t, 50.0).unwrap()).count();
        prop_assert!(count(t * thinner) >= count(t));
    }

    #[test]
    fn pieces_and_trimmings_are_the_whole_food(food in 0usize..61, cut in 0usize..47) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        let cut = &CATALOGUE.cuts[cut % CATALOGUE.cuts.len()];
        let target = CATALOGUE.target_of("eighth", cut, food).unwrap();
        if let Ok(worked) = work_food(food, cut, &target, &CATALOGUE.handling) {
            let waste = worked.trimmings.ends + worked.trimmings.squaring;
            prop_assert!(waste >= -1e-9 && waste <= worked.volume * (1.0 + 1e-9), "{} of {}: {waste} of {}", cut.id, food.id, worked.volume);
            prop_assert!(worked.pieces > 0 || worked.strokes == 0);
        }
    }

    #[test]
    fn taller_stacks_and_wider_bundles_never_take_more_strokes(i in 1u32..30, j in 1u32..30, k in 1u32..30, p in 1u32..8, q in 1u32..40) {
        let total = |stack, bundle| strokes(Chain { planks: i, sticks: j, pieces: k, stack, bundle }).total();
        prop_assert!(total(p + 1, q) <= total(p, q));
        prop_assert!(total(p, q + 1) <= total(p, q));
    }

    #[test]
    fn what_a_share_proves_is_under_it_and_grows_with_evidence(inside in 0usize..200, more in 0usize..200) {
        let of = inside + more;
        let proves = wilson_lower(inside, of, Z_TWO_SIDED_95);
        prop_assert!((0.0..=1.0).contains(&proves));
        if of > 0 {
            prop_assert!(proves <= inside as f64 / of as f64 + 1e-12);
            prop_assert!(wilson_lower(inside + 1, of + 1, Z_TWO_SIDED_95) >= proves);
            prop_assert!(wilson_lower(inside * 2, of * 2, Z_TWO_SIDED_95) >= proves - 1e-12);
        }
    }

    #[test]
    fn a_wider_tolerance_never_puts_a_piece_outside(pieces in proptest::collection::vec(measured(), 1..40), cut in 0usize..23) {
        let cut = &CATALOGUE.cuts[cut % CATALOGUE.cuts.len()];
        let target = CATALOGUE.teaches("eighth", &cut.id).unwrap();
        let inside = |tolerance: &str| {
            judge(&CATALOGUE, &target, CATALOGUE.tolerance(tolerance).unwrap(), SampleCustom::BlindTen, &pieces).inside.count
        };
        prop_assert!(inside("exam") <= inside("school") && inside("school") <= inside("home"));
    }

    #[test]
    fn the_order_of_pieces_changes_only_what_is_said_of_drift(pieces in proptest::collection::vec(measured(), 1..30)) {
        let target = CATALOGUE.target("eighth", "julienne").unwrap();
        let tolerance = CATALOGUE.tolerance("school").unwrap();
        let turned: Vec<MeasuredPiece> = pieces.iter().rev().copied().collect();
        let [there, back] = [&pieces, &turned].map(|pieces| judge(&CATALOGUE, &target, tolerance, SampleCustom::BlindTen, pieces));
        prop_assert_eq!(there.inside, back.inside);
        for (a, b) in there.sides.iter().zip(&back.sides) {
            prop_assert!((a.mean.get() - b.mean.get()).abs() < 1e-9 && (a.sd - b.sd).abs() < 1e-9);
        }
        prop_assert!(!there.says.is_empty());
    }

    #[test]
    fn segments_lie_end_to_end_and_every_way_out_makes_the_lesson_fit(minutes in proptest::collection::vec((0usize..10, 1u16..60), 1..14), lesson in 30u16..240) {
        let segments: Vec<PlannedSegment> = minutes
            .iter()
            .map(|&(kind, minutes)| StoredSegment::of(CATALOGUE.segments[kind].kind, minutes).into())
            .collect();
        let rule = lay_out(&CATALOGUE, lesson, &segments).unwrap();
        let mut at = 0;
        for segment in &rule.segments {
            prop_assert_eq!(segment.starts, at);
            at = segment.ends;
        }
        prop_assert_eq!(at, rule.total);
        prop_assert_eq!(rule.segments.iter().map(|s| s.over).sum::<u32>(), rule.over);
        prop_assert_eq!(rule.over > 0, rule.over_in.is_some());
        for way in &rule.ways_out {
            prop_assert!(way.segments.iter().map(|s| u32::from(s.minutes)).sum::<u32>() <= u32::from(lesson), "{}", way.words);
            prop_assert!(way.segments.iter().all(|s| s.minutes >= 1) && !way.reason.is_empty());
        }
    }
}

#[test]
fn every_strand_has_a_cut_in_every_set_of_standards() {
    for set in &CATALOGUE.sets {
        for strand in Strand::ALL {
            assert!(
                CATALOGUE.cuts.iter().any(|cut| cut.strand == Some(strand) && set.cuts.contains_key(&cut.id)),
                "{} {}",
                set.id,
                strand.name()
            );
        }
    }
}
