//! Cored balls, wedges, turned pieces, mince, rolled leaves, peel: by counting another way, and their laws.

use std::f64::consts::PI;
use std::sync::LazyLock;

use notch_core::catalogue::{Catalogue, Food, HandWork, Shape, Target, TargetSize};
use notch_core::geometry::{
    Cheek, Piece, core_volume, mince, peeled, rolled_leaves, squared_cored_ball, turned, wedges, work_food,
};
use notch_core::units::Millimetres;
use proptest::prelude::*;

static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::shipped().unwrap());

fn mm(size: f64) -> Millimetres {
    Millimetres::new(size).unwrap()
}

fn work() -> HandWork {
    CATALOGUE.handling.hand_work
}

fn cubes(size: f64) -> Target {
    let exact = Some(TargetSize::Exact { size: mm(size) });
    Target { thickness: exact, width: exact, length: exact }
}

/// The best cheek by trying every block of up to so many pieces a side.
fn cheek_by_trial(radius: f64, from: f64, widest: f64, [t, w, l]: [f64; 3]) -> u32 {
    let fits = |a: f64, b: f64| a <= b * (1.0 + 1e-9);
    let mut best = 0;
    for up in 1..60u32 {
        for across in 1..60u32 {
            for along in 1..60u32 {
                let (deep, wide, long) = (from + f64::from(up) * t, f64::from(across) * w, f64::from(along) * l);
                if fits(deep * deep + wide * wide / 4.0 + long * long / 4.0, radius * radius) && fits(wide, widest) {
                    best = best.max(up * across * along);
                }
            }
        }
    }
    best
}

#[test]
fn a_core_is_the_ball_less_a_drilled_ball() {
    // A hole through the whole ball leaves nothing; none takes nothing; half the radius by the closed form.
    assert!((core_volume(mm(80.0), mm(80.0)) - 4.0 / 3.0 * PI * 64_000.0).abs() < 1e-6);
    assert!(core_volume(mm(80.0), Millimetres::ZERO).abs() < 1e-9);
    // A core of 40 in a ball of 80: slices of thickness dz, each a disc of the smaller radius.
    let steps = 200_000;
    let by_slices: f64 = (0..steps)
        .map(|k| {
            let z = -40.0 + 80.0 * (f64::from(k) + 0.5) / f64::from(steps);
            PI * (1600.0 - z * z).min(400.0) * 80.0 / f64::from(steps)
        })
        .sum();
    assert!((core_volume(mm(80.0), mm(40.0)) / by_slices - 1.0).abs() < 1e-6);
}

#[test]
fn a_core_as_wide_as_the_ball_leaves_no_cheek() {
    let found = squared_cored_ball(mm(70.0), mm(70.0), Piece::of(5.0, 5.0, 5.0).unwrap());
    assert_eq!((found.wide, found.narrow), (Cheek::default(), Cheek::default()));
}

#[test]
fn wedges_are_halved_first() {
    let found = wedges(mm(60.0), 8);
    assert_eq!((found.count, found.strokes), (8, 7));
    assert!((found.angle - 45.0).abs() < 1e-12);
    // The back of a wedge is the chord of its angle: twice the radius times the sine of half of it.
    assert!((found.back.get() - 60.0 * (22.5f64).to_radians().sin()).abs() < 1e-9);
    assert_eq!(wedges(mm(60.0), 2).strokes, 1);
    assert_eq!((wedges(mm(60.0), 0).count, wedges(mm(60.0), 7).count), (2, 8), "an odd number is taken as the even one above");
}

#[test]
fn a_thick_length_is_parted_before_it_is_turned() {
    let work = work();
    let thin = turned(mm(26.0), mm(50.0), &work);
    assert_eq!((thin.pieces, thin.strokes), (1, u32::from(work.turned_faces)));
    assert!((thin.widest.get() - 26.0).abs() < 1e-9, "a thin one keeps its width");
    // Quarters of a section of 50 mm hold a circle of 50 · 0.414 = 20.7 mm, eighths one of 13.8.
    let thick = turned(mm(50.0), mm(50.0), &work);
    assert_eq!(thick.pieces, 4);
    assert!((thick.widest.get() - 50.0 * (2.0f64.sqrt() - 1.0)).abs() < 1e-9);
    assert_eq!(thick.strokes, 3 + 4 * u32::from(work.turned_faces));
}

#[test]
fn a_turned_volume_is_the_sum_of_its_slices() {
    let work = HandWork { turned_faces: 7, turned_ends: 0.6, turned_width: mm(20.0), ..work() };
    let found = turned(mm(30.0), mm(50.0), &work);
    let steps = 100_000;
    let by_slices: f64 = (0..steps)
        .map(|k| {
            let u = -1.0 + 2.0 * (f64::from(k) + 0.5) / f64::from(steps);
            let radius = 15.0 * (1.0 - 0.4 * u * u);
            3.5 * (2.0 * PI / 7.0).sin() * radius * radius * 50.0 / f64::from(steps)
        })
        .sum();
    assert!((found.volume / by_slices - 1.0).abs() < 1e-6, "{} {by_slices}", found.volume);
}

#[test]
fn mince_takes_more_passes_the_finer_it_is() {
    let work = HandWork { fan_step: mm(5.0), pile_height: mm(8.0), ..work() };
    // √π · 5 / 3 = 2.95: three passes; a pile of 80 mm square and 8 mm high is crossed in 16 strokes.
    let found = mince(80.0 * 80.0 * 8.0, mm(3.0), &work);
    assert_eq!((found.passes, found.strokes_each), (3, 16));
    assert_eq!(mince(80.0 * 80.0 * 8.0, mm(2.0), &work).passes, 5);
    assert_eq!(mince(0.0, mm(50.0), &work), mince(-5.0, mm(50.0), &work), "nothing is one stroke, and no panic");
    assert!(mince(f64::MAX, Millimetres::ZERO, &work).passes > 0);
}

#[test]
fn the_mean_cell_of_random_lines_is_as_small_as_reckoned() {
    // Lines of three directions at steps of 5 mm, shifted at random: by counting crossings, cells of a
    // field of lines are one more than lines and crossings; their mean is near π · (step / passes)².
    use rand::{Rng, SeedableRng};
    let mut random = rand_chacha::ChaCha8Rng::seed_from_u64(5);
    let (side, passes, step) = (400.0f64, 12, 5.0f64);
    let mut lines: Vec<(f64, f64)> = Vec::new();
    for _ in 0..passes {
        let angle = random.random::<f64>() * PI;
        let shift = random.random::<f64>() * step;
        let mut at = -side + shift;
        while at < side {
            lines.push((angle, at));
            at += step;
        }
    }
    // Crossings inside the middle square.
    let half = side / 4.0;
    let mut crossings = 0u32;
    for (index, (a, p)) in lines.iter().enumerate() {
        for (b, q) in lines.iter().skip(index + 1) {
            let turn = (b - a).sin();
            if turn.abs() > 1e-9 {
                let x = (p * b.sin() - q * a.sin()) / turn;
                let y = (q * a.cos() - p * b.cos()) / turn;
                if x.abs() < half && y.abs() < half {
                    crossings += 1;
                }
            }
        }
    }
    // Deep inside a field of lines there are as many cells as crossings.
    let mean = 4.0 * half * half / f64::from(crossings);
    let reckoned = PI * (step / f64::from(passes)).powi(2);
    assert!((mean / reckoned - 1.0).abs() < 0.2, "{mean} {reckoned}");
}

#[test]
fn leaves_are_rolled_and_cut() {
    let work = HandWork { roll_length: mm(90.0), roll_grams: 8.0, ..work() };
    let found = rolled_leaves(20.0, mm(3.0), &work);
    assert_eq!((found.rolls, found.strokes), (3, 90));
    assert_eq!(rolled_leaves(8.0, mm(3.0), &work).rolls, 1, "exactly a roll is one roll");
}

#[test]
fn wedges_layers_and_cores_are_counted_in_the_catalogue() {
    let food = |id: &str| CATALOGUE.food(id).unwrap();
    let cut = |id: &str| CATALOGUE.cut(id).unwrap();
    let target = |id: &str| CATALOGUE.target("eighth", id).unwrap();
    let lemon = work_food(food("lemon"), cut("wedges"), &target("wedges"), &CATALOGUE.handling).unwrap();
    assert_eq!(lemon.pieces, 8);
    let apple = work_food(food("apple"), cut("medium_dice"), &target("medium_dice"), &CATALOGUE.handling).unwrap();
    assert!(apple.pieces > 0 && apple.trimmings.core > 0.0 && apple.blocks.len() == 4);
    let onion = work_food(food("onion"), cut("small_dice"), &target("small_dice"), &CATALOGUE.handling).unwrap();
    assert!(onion.pieces > 300 && onion.strokes > 40, "{onion:?}");
    let large = work_food(food("shallot"), cut("large_dice"), &cubes(40.0), &CATALOGUE.handling).unwrap();
    assert_eq!((large.pieces, large.strokes), (0, 0), "a dice larger than the half gives nothing, which is no error");
    let strips = work_food(food("onion"), cut("julienne"), &target("julienne"), &CATALOGUE.handling);
    assert!(strips.is_err(), "layers fall apart in sticks");
}

fn with_shape(shape: Shape) -> Food {
    Food { shape, trim: Millimetres::ZERO, ..CATALOGUE.food("apple").unwrap().clone() }
}

proptest! {
    #[test]
    fn cheeks_are_as_many_as_by_trial(d in 40.0f64..100.0, core in 0.1f64..0.6, t in 6.0f64..16.0, w in 6.0f64..16.0, l in 6.0f64..30.0) {
        let core = core * d;
        let found = squared_cored_ball(mm(d), mm(core), Piece::of(t, w, l).unwrap());
        let best = |widest: f64| {
            let one_way = |t: f64, w: f64| cheek_by_trial(d / 2.0, core / 2.0, widest, [t, w, l]);
            one_way(t, w).max(one_way(w, t))
        };
        prop_assert_eq!(found.wide.count(), best(d));
        prop_assert_eq!(found.narrow.count(), best(core));
        let swapped = squared_cored_ball(mm(d), mm(core), Piece::of(w, t, l).unwrap());
        prop_assert_eq!(swapped.wide.count() + swapped.narrow.count(), found.wide.count() + found.narrow.count());
    }

    #[test]
    fn pieces_and_waste_are_the_whole_of_a_cored_ball(d in 30.0f64..120.0, core in 0.05f64..0.7, size in 3.0f64..20.0) {
        let food = with_shape(Shape::Ball { diameter: mm(d), core: Some(mm(core * d)) });
        let found = work_food(&food, CATALOGUE.cut("medium_dice").unwrap(), &cubes(size), &CATALOGUE.handling).unwrap();
        let whole = PI * d.powi(3) / 6.0;
        let pieces = f64::from(found.pieces) * size.powi(3);
        prop_assert!(((pieces + found.trimmings.total()) / whole - 1.0).abs() < 1e-9);
        prop_assert!(pieces < whole);
    }

    #[test]
    fn a_larger_core_never_leaves_more(d in 40.0f64..100.0, core in 0.1f64..0.5, more in 0.0f64..0.3, size in 4.0f64..14.0) {
        let count = |share: f64| {
            let found = squared_cored_ball(mm(d), mm(share * d), Piece::of(size, size, size).unwrap());
            found.wide.count()
        };
        prop_assert!(count(core + more) <= count(core));
    }

    #[test]
    fn scaling_everything_changes_no_cheek(d in 40.0f64..100.0, core in 0.1f64..0.6, size in 4.0f64..14.0, by in 1.0f64..3.0) {
        let found = squared_cored_ball(mm(d), mm(core * d), Piece::of(size, size, size).unwrap());
        let scaled = squared_cored_ball(mm(d * by), mm(core * d * by), Piece::of(size * by, size * by, size * by).unwrap());
        prop_assert_eq!(found, scaled);
    }

    #[test]
    fn turned_pieces_never_weigh_more_than_the_length(d in 8.0f64..120.0, l in 10.0f64..100.0, faces in 3u8..12, ends in 0.0f64..1.0) {
        let work = HandWork { turned_faces: faces, turned_ends: ends, ..work() };
        let found = turned(mm(d), mm(l), &work);
        prop_assert!(found.volume <= PI * d * d / 4.0 * l, "{:?}", found);
        prop_assert!(found.pieces >= 1 && found.widest.get() <= d + 1e-9);
        if found.pieces > 1 {
            prop_assert!(found.widest.get() >= work.turned_width.get() - 1e-6, "parts are never too thin for the piece");
        }
    }

    #[test]
    fn finer_mince_never_takes_fewer_passes(volume in 0.0f64..1e6, size in 0.5f64..10.0, finer in 0.1f64..1.0) {
        let (coarse, fine) = (mince(volume, mm(size), &work()), mince(volume, mm(size * finer), &work()));
        prop_assert!(fine.passes >= coarse.passes && fine.strokes_each == coarse.strokes_each);
    }

    #[test]
    fn peeling_takes_off_and_never_adds(index in 0usize..200, peel in 0.0f64..5.0, more in 0.0f64..3.0) {
        let food = CATALOGUE.foods.get(index % CATALOGUE.foods.len()).unwrap();
        let grams = |peel: f64| Food { shape: peeled(food.shape, mm(peel)), ..food.clone() }.grams();
        prop_assert!(grams(peel) <= food.grams() * (1.0 + 1e-12));
        prop_assert!(grams(peel + more) <= grams(peel) * (1.0 + 1e-12));
    }
}
