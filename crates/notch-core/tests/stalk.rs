//! Curved stalks: figures by hand, every corner inside the wall, and the laws of counting.

use std::f64::consts::PI;

use crate::common::{CATALOGUE, course, mm, rack, student};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::Shape;
use notch_core::geometry::{Piece, SquaredStalk, squared_stalk, stalk_volume};
use notch_core::people::{AgeBand, Hand};
use notch_core::views::{BenchQuestion, BenchView, bench_view};
use proptest::prelude::*;

fn stalk(width: f64, wall: f64, length: f64, [t, w, l]: [f64; 3]) -> SquaredStalk {
    squared_stalk(mm(width), mm(wall), mm(length), Piece::of(t, w, l).unwrap())
}

fn celery(shape: Shape, cut: &str, [t, w, l]: [f64; 3]) -> BenchView {
    let students = [student("Ann", Hand::Left, &[])];
    let rack = rack();
    let course = course(AgeBand::Adult);
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &rack };
    let text = format!(
        r#"{{"food": "celery", "cut": "{cut}", "good": 12, "success": 0.8, "thickness": {t}, "width": {w}, "length": {l}}}"#
    );
    let asked = BenchQuestion { shape: Some(shape), ..serde_json::from_str(&text).unwrap() };
    bench_view(&at_hand, &asked).unwrap()
}

#[test]
fn a_usual_stalk_by_hand() {
    // Outer radius 15, inner 7. Sticks 3.175 a side: two deep reach from 14.9157 in to 8.5657, and take
    // 2 atan(1.5875 / 8.5657) = 0.3665 rad, eight of them in half a turn; one deep takes 0.2688, eleven.
    let julienne = stalk(30.0, 8.0, 220.0, [3.175, 3.175, 50.0]);
    assert_eq!((julienne.strips, julienne.deep, julienne.along), (8, 2, 4));
    assert!((julienne.inner_face - 8.565_75).abs() < 1e-4 && (julienne.angle - 0.366_50).abs() < 1e-4, "{julienne:?}");
    // Sticks of 6.35 go in one deep: 2 atan(3.175 / 8.3101) = 0.7297 rad, four of them.
    let batonnet = stalk(30.0, 8.0, 220.0, [6.35, 6.35, 50.0]);
    assert_eq!((batonnet.strips, batonnet.deep, batonnet.along), (4, 1, 4));
    // Thicker than the wall: nothing. As long as the stalk exactly: one end to end.
    assert_eq!(stalk(30.0, 8.0, 220.0, [8.5, 8.5, 50.0]).count(), 0);
    assert_eq!(stalk(30.0, 8.0, 220.0, [3.175, 3.175, 220.0]).along, 1);
    assert_eq!(stalk(30.0, 8.0, 220.0, [3.175, 3.175, 220.1]).count(), 0);
}

#[test]
fn a_stick_that_just_fits_counts() {
    // 3-4-5: outer radius 25, a strip 30 wide reaches to 20; 10 deep leaves its face at 10 = inner radius.
    let just = stalk(50.0, 15.0, 50.0, [30.0, 10.0, 50.0]);
    assert_eq!((just.strips, just.deep), (1, 1));
    assert_eq!(stalk(50.0, 14.9, 50.0, [30.0, 10.0, 50.0]).count(), 0);
}

#[test]
fn a_stalk_weighs_half_a_ring() {
    assert!((stalk_volume(mm(30.0), mm(8.0), mm(250.0)) - PI / 2.0 * 176.0 * 250.0).abs() < 1e-6);
    // Without a hollow it is half a rod.
    assert!((stalk_volume(mm(30.0), mm(15.0), mm(100.0)) - PI / 2.0 * 22_500.0).abs() < 1e-6);
}

#[test]
fn strokes_are_both_sides_of_each_strip_then_its_faces() {
    let shape = Shape::Stalk { width: mm(30.0), thickness: mm(8.0), length: mm(250.0) };
    let view = celery(shape, "julienne", [3.175, 3.175, 50.0]);
    let way = &view.ways[0];
    // 2 ends, 2 · 8 sides, four stacks of two strips with 3 strokes each; bundles of sticks crosscut 3 times.
    let bundle = (CATALOGUE.handling.bundle_width.get() / 3.175 * (1.0 + 1e-9)).floor() as u64;
    let stacks = 8u64.div_ceil(u64::from(CATALOGUE.handling.stack_planks));
    assert_eq!(way.strokes, 2 + 16 + stacks * 3 + 16u64.div_ceil(bundle) * 3);
    let titles: Vec<_> = view.steps.iter().map(|step| step.title.as_str()).collect();
    assert_eq!(titles, ["Trim both ends", "Strips", "Sticks", "Crosscuts"]);
    assert_eq!((view.steps[1].count, view.steps[2].count), (Some(8), Some(2)));
}

#[test]
fn a_piece_wider_one_way_is_stripped_the_better_way() {
    let shape = Shape::Stalk { width: mm(60.0), thickness: mm(7.0), length: mm(250.0) };
    // A stick 3 thick and 10 wide only goes in along the wall: seven strips of 10, each split in two.
    let view = celery(shape, "batonnet", [3.0, 10.0, 50.0]);
    let told = |title: &str| view.steps.iter().find(|step| step.title == title).map(|step| (step.count, step.size));
    assert_eq!(told("Strips"), Some((Some(7), Some(mm(10.0)))));
    assert_eq!(told("Sticks"), Some((Some(2), Some(mm(3.0)))));
}

proptest! {
    #[test]
    fn every_corner_lies_in_the_wall_and_no_two_strips_meet(
        width in 15.0f64..80.0, share in 0.1f64..1.0, t in 1.0f64..8.0, w in 1.0f64..8.0,
    ) {
        let wall = (width / 2.0 * share).max(1.0);
        let shape = Shape::Stalk { width: mm(width), thickness: mm(wall), length: mm(200.0) };
        let view = celery(shape, "batonnet", [t, w, 40.0]);
        let (outer, inner) = (width / 2.0, width / 2.0 - wall);
        let way = &view.ways[0];
        let mut before = f64::INFINITY;
        for block in &way.blocks {
            let [[_, y, z], [_, high, wide]] = [block.at, block.piece];
            let (sine, cosine) = block.turn.to_radians().sin_cos();
            let up = high * f64::from(block.count[1]);
            let across = wide * f64::from(block.count[2]);
            let mut angles = Vec::new();
            for (a, b) in [(0.0, 0.0), (up, 0.0), (0.0, across), (up, across)] {
                let (y, z) = (y + a * cosine - b * sine + outer / 2.0, z + a * sine + b * cosine);
                let radius = y.hypot(z);
                prop_assert!(radius <= outer * (1.0 + 1e-6), "{radius} of {outer}");
                prop_assert!(y >= -1e-6, "below the board: {y}");
                angles.push(y.atan2(z));
            }
            // The inner face comes nearest in its middle.
            let (my, mz) = (y - across / 2.0 * sine + outer / 2.0, z + across / 2.0 * cosine);
            prop_assert!(my.hypot(mz) >= inner * (1.0 - 1e-6) - 1e-6, "in the hollow");
            let (least, most) = angles.iter().fold((f64::INFINITY, 0.0f64), |(a, b), angle| (a.min(*angle), b.max(*angle)));
            prop_assert!(before.is_infinite() || least >= before - 1e-6, "strips meet");
            before = most;
        }
        let drawn: u32 = way.blocks.iter().map(|block| block.count.iter().product::<u32>()).sum();
        prop_assert_eq!(drawn, way.pieces);
        let kept = f64::from(way.pieces) * t * w * 40.0;
        let whole = stalk_volume(mm(width), mm(wall), mm(200.0));
        prop_assert!(kept <= whole);
        let grams = way.ends_grams + way.trimmed_grams;
        let density = CATALOGUE.food("celery").unwrap().density / 1000.0;
        prop_assert!(((grams / density + kept) / whole - 1.0).abs() < 1e-9);
    }

    #[test]
    fn thinner_or_narrower_sticks_are_never_fewer(
        width in 10.0f64..80.0, share in 0.05f64..1.0, t in 1.0f64..12.0, w in 1.0f64..12.0,
        thinner in 0.3f64..1.0, narrower in 0.3f64..1.0,
    ) {
        let wall = width / 2.0 * share;
        let count = |t: f64, w: f64| stalk(width, wall, 50.0, [t.max(0.5), w.max(0.5), 50.0]).count();
        prop_assert!(count(t * thinner, w * narrower) >= count(t, w));
        prop_assert_eq!(count(t, w), count(w, t));
    }

    #[test]
    fn scale_changes_no_count(width in 10.0f64..60.0, share in 0.05f64..1.0, t in 1.0f64..9.0, by in 0.6f64..5.0) {
        let wall = width / 2.0 * share;
        let [small, large] = [1.0, by].map(|by| stalk(width * by, wall * by, 120.0 * by, [t * by, 3.0 * by, 40.0 * by]));
        prop_assert_eq!((small.strips, small.deep, small.along), (large.strips, large.deep, large.along));
    }

    #[test]
    fn a_thicker_wall_never_gives_fewer(width in 10.0f64..60.0, share in 0.05f64..1.0, less in 0.1f64..1.0, t in 1.0f64..9.0) {
        let count = |share: f64| stalk(width, width / 2.0 * share, 50.0, [t, 3.0, 50.0]).count();
        prop_assert!(count(share) >= count(share * less));
    }
}
