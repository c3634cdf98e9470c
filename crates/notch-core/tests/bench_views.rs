//! What the Bench shows, over every food and cut of the catalogue.

use crate::common::{CATALOGUE, bench_question as question, course, mm, rack, student};
use notch_core::Problem;
use notch_core::at_hand::AtHand;
use notch_core::carry::CutErrors;
use notch_core::catalogue::{CutFamily, ProduceSize, Shape, Standing};
use notch_core::geometry::Way;
use notch_core::measure::Cause;
use notch_core::people::{AgeBand, Hand};
use notch_core::records::Knife;
use notch_core::text::Part;
use notch_core::units::Millimetres;
use notch_core::views::{BenchQuestion, BenchView, BenchWayKind, FactValue, StepShows, bench_view};
use proptest::prelude::*;

fn with_knives(question: &BenchQuestion, knives: &[Knife]) -> Result<BenchView, Vec<Problem>> {
    let course = course(AgeBand::Adult);
    let students = [student("Ivo", Hand::Right, &["celery"]), student("Ann", Hand::Left, &[])];
    bench_view(&AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives }, question)
}

fn look(question: &BenchQuestion) -> Result<BenchView, Vec<Problem>> {
    with_knives(question, &rack())
}

#[track_caller]
fn refused_at(question: &BenchQuestion, pointer: &str) {
    let problems = look(question).unwrap_err();
    assert!(problems.iter().any(|problem| problem.pointer == pointer), "{pointer} in {problems:?}");
    assert!(problems.iter().all(|problem| !problem.allowed.is_empty()));
}

#[test]
fn every_cut_of_every_food_is_shown_or_says_why_it_is_not_counted() {
    let mut counted = 0;
    for food in &CATALOGUE.foods {
        for cut in food.taught.iter().chain(&food.odd).filter_map(|cut| CATALOGUE.cut(cut)) {
            let name = format!("{} of {}", cut.id, food.id);
            let view = look(&question(&food.id, &cut.id)).unwrap_or_else(|problems| panic!("{name}: {problems:?}"));
            assert_eq!(view.ways.is_empty(), view.no_count.is_some(), "{name}");
            assert_eq!(view.way.is_some(), !view.ways.is_empty(), "{name}");
            assert!(view.ways.len() < 2 || !view.difference.is_empty(), "{name}: two ways are compared");
            for way in &view.ways {
                counted += 1;
                assert!((0.0..=1.0).contains(&way.share), "{name}: {}", way.share);
                assert!(way.minutes.is_finite() && way.minutes > 0.0, "{name}");
                let paces: Vec<f64> = way.minutes_by_pace.iter().map(|each| each.minutes).collect();
                assert!(paces.len() == 4 && paces.windows(2).all(|pair| pair[0] >= pair[1]), "{name}: slower is never quicker");
                let grams = way.ends_grams + way.trimmed_grams + way.core_grams + way.peel_grams;
                let whole = food.grams();
                assert!((way.share - (1.0 - grams / whole)).abs() < 1e-6 || way.pieces == 0, "{name}: all grams are told");
                let in_blocks: u32 = way.blocks.iter().map(|block| block.count.iter().product::<u32>()).sum();
                assert!(way.blocks.is_empty() || in_blocks == way.pieces, "{name}: {in_blocks} drawn of {}", way.pieces);
            }
        }
    }
    assert!(counted > 250, "{counted}");
}

#[test]
fn blocks_lie_inside_the_food() {
    for food in CATALOGUE.foods.iter().filter(|food| !matches!(food.shape, Shape::Bundle { .. })) {
        let cuts = ["julienne", "batonnet", "small_dice", "medium_dice", "paysanne"];
        for cut in cuts.into_iter().filter(|cut| food.standing(cut) != Standing::No) {
            let view = look(&question(&food.id, cut)).unwrap();
            let Some(solid) = &view.solid else { continue };
            for way in &view.ways {
                // Turned blocks are seen to in the tests of the stalk.
                for block in way.blocks.iter().filter(|block| block.turn == 0.0) {
                    for axis in 0..3 {
                        let end = block.at[axis] + block.piece[axis] * f64::from(block.count[axis]);
                        let (from, to) = match axis {
                            0 => (0.0, solid.length.get()),
                            1 => (-solid.height.get() / 2.0, solid.height.get() / 2.0),
                            _ => (-solid.width.get() / 2.0, solid.width.get() / 2.0),
                        };
                        assert!(
                            block.at[axis] >= from - 1e-6 && end <= to + 1e-6,
                            "{cut} of {}, {:?}: {block:?} on {axis}: {from} to {to}",
                            food.id,
                            way.way
                        );
                    }
                }
            }
        }
    }
}

#[test]
fn round_bodies_hold_their_blocks_corner_by_corner() {
    for food in ["carrot", "potato", "cucumber", "beetroot", "apple", "daikon", "butternut"] {
        for cut in ["batonnet", "medium_dice"] {
            let view = look(&question(food, cut)).unwrap();
            let solid = view.solid.unwrap();
            // The width and height of the body anywhere, between the rings that it is drawn with.
            let at = |x: f64| {
                let after = solid.rings.iter().position(|ring| ring.at >= x).unwrap_or(solid.rings.len() - 1).max(1);
                let (a, b) = (solid.rings[after - 1], solid.rings[after]);
                let share = if b.at > a.at { (x - a.at) / (b.at - a.at) } else { 0.0 };
                (a.width + (b.width - a.width) * share, a.height + (b.height - a.height) * share)
            };
            for block in view.ways.iter().flat_map(|way| &way.blocks) {
                let end = |axis: usize| block.at[axis] + block.piece[axis] * f64::from(block.count[axis]);
                for x in [block.at[0], end(0)] {
                    let (width, height) = at(x);
                    for y in [block.at[1], end(1)] {
                        for z in [block.at[2], end(2)] {
                            // Rings are joined by straight lines, which cut a little off a ball.
                            let out = (2.0 * y / height).hypot(2.0 * z / width);
                            assert!(out < 1.03, "{cut} of {food}: {out} at {x} {y} {z}");
                        }
                    }
                }
            }
        }
    }
}

#[test]
fn the_chain_goes_from_the_whole_food_to_its_pieces() {
    let view = look(&question("carrot", "brunoise")).unwrap();
    let shows: Vec<StepShows> = view.steps.iter().map(|step| step.shows).collect();
    use StepShows::{Block, Flat, Pieces, Planks, Sticks, Whole};
    assert_eq!(shows, [Whole, Flat, Block, Planks, Sticks, Pieces]);
    assert!(view.steps.iter().all(|step| step.how.contains(" · ") && step.third.is_some()), "{:?}", view.steps);
    let told: Vec<&str> = view.steps.iter().flat_map(|step| &step.cautions).map(|caution| caution.id.as_str()).collect();
    assert!(told.contains(&"rolls"), "{told:?}");
    let once: std::collections::BTreeSet<&str> = told.iter().copied().collect();
    assert_eq!(once.len(), told.len(), "a caution is told at the step where it first comes up");
    let rolls = view.steps.iter().position(|step| step.cautions.iter().any(|caution| caution.id == "rolls")).unwrap();
    assert!(rolls < 2, "before it lies flat, not after");
    let counts: Vec<Option<u32>> = view.steps.iter().map(|step| step.count).collect();
    let squared = &view.ways[0].blocks[0];
    assert_eq!(counts[3..], [Some(squared.count[1]), Some(squared.count[2]), Some(squared.count[0])]);
}

#[test]
fn flat_first_is_not_squared_and_counts_its_own_planks() {
    for food in ["carrot", "potato", "beetroot"] {
        let view = look(&BenchQuestion { way: Way::FlatFirst, ..question(food, "batonnet") }).unwrap();
        let kitchen = view.chosen_way().unwrap();
        assert_eq!(kitchen.way, BenchWayKind::FlatFirst);
        assert!(view.steps.iter().all(|step| step.shows != StepShows::Block), "{food}: {:?}", view.steps);
        let of = |shows| view.steps.iter().find(|step| step.shows == shows).and_then(|step| step.count);
        let first = kitchen.blocks.iter().filter(|block| (block.at[0] - kitchen.blocks[0].at[0]).abs() < 40.0);
        let planks: std::collections::BTreeSet<i64> = first.map(|block| (block.at[1] * 1e6) as i64).collect();
        assert_eq!(of(StepShows::Planks), Some(planks.len() as u32), "{food}");
    }
    // A sheet has one way, whichever is asked for.
    assert_eq!(look(&BenchQuestion { way: Way::FlatFirst, ..question("bell_pepper", "julienne") }).unwrap().way, Some(0));
}

#[test]
fn pieces_that_are_not_whole_are_told() {
    let way = |food: &str, cut: &str, way: BenchWayKind| {
        let view = look(&question(food, cut)).unwrap();
        view.ways.into_iter().find(|each| each.way == way).unwrap()
    };
    // A stick of 50 mm gives fifteen cubes of 3.175 mm and 2.4 mm over: one short end a stick.
    let squared = way("carrot", "brunoise", BenchWayKind::Squared);
    assert_eq!(squared.partial * 15, squared.pieces);
    assert_eq!(way("carrot", "julienne", BenchWayKind::Squared).partial, 0, "blocks are as long as the sticks");
    let kitchen = way("carrot", "julienne", BenchWayKind::FlatFirst);
    assert!(kitchen.partial > 0 && kitchen.partial < kitchen.pieces, "rounded edges: {}", kitchen.partial);
    assert!(way("potato", "batonnet", BenchWayKind::FlatFirst).partial > 0);
    assert!(way("onion", "small_dice", BenchWayKind::Layers).partial > 0, "crumbs");
    // 250 mm less two trims, in pieces of 50 mm: nothing is over where it comes out even.
    let celery = way("celery", "batonnet", BenchWayKind::Squared);
    let food = CATALOGUE.food("celery").unwrap();
    let even = ((food.length().get() - 2.0 * food.trim.get()) / 50.0).fract() < 1e-9;
    assert_eq!(celery.partial == 0, even);
}

#[test]
fn an_opened_sheet_is_not_planked_and_an_apple_is_cut_around_its_core() {
    let pepper = look(&question("bell_pepper", "julienne")).unwrap();
    assert!(pepper.steps.iter().all(|step| !["Planks", "Square the sides", "One flat face"].contains(&step.title.as_str())));
    let apple = look(&question("apple", "medium_dice")).unwrap();
    assert_eq!(apple.steps[0].title, "Cheeks off the core");
    assert!(apple.ways[0].core_grams > 0.0);
    assert_eq!(
        apple.ways[0].pieces_drawn.iter().map(|grid| grid.columns * grid.rows).sum::<u32>(),
        apple.ways[0].blocks.iter().map(|b| b.count[1] * b.count[2]).sum::<u32>()
    );
}

#[test]
fn layered_food_has_a_chain_of_its_own() {
    let chain = |food: &str, cut: &str| -> Vec<(String, Option<u32>)> {
        let view = look(&question(food, cut)).unwrap();
        assert!(view.steps.iter().all(|step| step.how.contains(" · ")), "{:?}", view.steps);
        view.steps.into_iter().map(|step| (step.title, step.count)).collect()
    };
    let told =
        |pairs: &[(&str, Option<u32>)]| pairs.iter().map(|(title, count)| ((*title).to_owned(), *count)).collect::<Vec<_>>();
    // Peeled, 71 mm of onion in 6.35: twelve strips, the last narrower; 180 mm of leek in three lengths of 50.
    let onion = [("Trim both ends", None), ("Halve it", None), ("Verticals", Some(12)), ("Crosscuts", Some(9))];
    assert_eq!(chain("onion", "small_dice"), told(&onion));
    let leek =
        [("Trim both ends", None), ("Halve it", None), ("Lengths", Some(3)), ("Layers laid flat", Some(8)), ("Sticks", Some(16))];
    assert_eq!(chain("leek", "julienne"), told(&leek));
    assert!(look(&question("onion", "rings")).unwrap().steps.is_empty());
}

#[test]
fn the_knife_is_the_best_on_the_rack_or_the_one_that_is_asked_for() {
    let best = look(&question("potato", "batonnet")).unwrap();
    assert_eq!(best.blade.as_ref().unwrap().index, 0);
    assert!(best.knives[0].refused.is_none());
    let usual = CATALOGUE.knife("bread").unwrap().length.usual;
    let asked = BenchQuestion { knife_type: Some("bread".into()), knife_length: Some(usual), ..question("potato", "batonnet") };
    let serrated = look(&asked).unwrap();
    let knife = &serrated.knives[serrated.blade.unwrap().index];
    assert_eq!(knife.knife_type, "bread");
    assert!(knife.refused.as_ref().is_some_and(|why| !why.is_empty()));
    let none = with_knives(&question("potato", "batonnet"), &[]).unwrap();
    assert!(none.blade.is_some(), "an empty rack is answered from the types of the catalogue");
    refused_at(
        &BenchQuestion { knife_type: Some("scythe".into()), knife_length: Some(mm(800.0)), ..question("potato", "batonnet") },
        "/knife_type",
    );
}

#[test]
fn sticks_go_on_to_cubes_and_nothing_is_lost_on_the_way() {
    for (food, cut, dice, from_each) in
        [("carrot", "julienne", "brunoise", 15), ("potato", "batonnet", "small dice", 7), ("daikon", "baton", "medium dice", 4)]
    {
        let asked = BenchQuestion { onward: 6, ..question(food, cut) };
        let view = look(&asked).unwrap();
        assert_eq!(view.feeds.as_deref(), Some(dice));
        let cubes = view.products.iter().find(|product| product.name == dice).unwrap();
        assert_eq!(cubes.each, Some(6 * from_each), "{cut} of {food}");
        let way = view.chosen_way().unwrap();
        let each: f64 = view.products.iter().map(|product| product.grams_each).sum();
        let whole = f64::from(way.units_each) * CATALOGUE.food(food).unwrap().grams();
        assert!((each / whole - 1.0).abs() < 1e-6, "{cut} of {food}: {each} g of {whole} g");
        assert!(view.products.iter().all(|product| (product.grams_class / product.grams_each - 2.0).abs() < 1e-9));
        let mince = view.products.iter().find(|product| product.name == "mince").unwrap();
        assert!(mince.passes.is_some_and(|passes| passes > 0));
    }
    let all = look(&BenchQuestion { onward: 2000, ..question("carrot", "julienne") }).unwrap();
    assert_eq!(all.products[0].each, Some(0), "no more go on than there are");
    assert_eq!(look(&question("carrot", "coins")).unwrap().feeds, None);
}

#[test]
fn a_price_a_peel_and_a_size_change_what_is_bought() {
    let plain = look(&question("potato", "medium_dice")).unwrap();
    let priced = look(&BenchQuestion { price: Some(2.5), ..question("potato", "medium_dice") }).unwrap();
    let way = &priced.ways[0];
    assert!((way.cost_class.unwrap() - way.grams_class * 2.5 / 1000.0).abs() < 1e-9);
    assert_eq!(plain.ways[0].cost_class, None);
    let peeled = look(&BenchQuestion { peel: Some(mm(2.0)), ..question("potato", "medium_dice") }).unwrap();
    assert!(peeled.ways[0].peel_grams > 0.0 && peeled.ways[0].pieces <= plain.ways[0].pieces);
    assert!(
        (peeled.ways[0].grams_class / f64::from(peeled.ways[0].units_class) - CATALOGUE.food("potato").unwrap().grams()).abs()
            < 1e-6,
        "it is bought unpeeled"
    );
    let size = |produce| look(&BenchQuestion { produce, ..question("potato", "medium_dice") }).unwrap().ways[0].pieces;
    assert!(size(ProduceSize::Small) < size(ProduceSize::Medium) && size(ProduceSize::Medium) < size(ProduceSize::Large));
}

#[test]
fn what_is_out_of_range_is_told_at_its_field() {
    let plain = || question("carrot", "julienne");
    refused_at(&question("granite", "julienne"), "/food");
    refused_at(&question("carrot", "carving"), "/cut");
    refused_at(&BenchQuestion { thickness: Some(mm(0.2)), ..plain() }, "/thickness");
    refused_at(&BenchQuestion { width: Some(Millimetres::ZERO), ..plain() }, "/width");
    refused_at(&BenchQuestion { length: Some(mm(601.0)), ..plain() }, "/length");
    refused_at(&BenchQuestion { good: 0, ..plain() }, "/good");
    refused_at(&BenchQuestion { good: 2001, ..plain() }, "/good");
    refused_at(&BenchQuestion { success: 0.0, ..plain() }, "/success");
    refused_at(&BenchQuestion { success: 1.2, ..plain() }, "/success");
    refused_at(&BenchQuestion { success: f64::NAN, ..plain() }, "/success");
    refused_at(&BenchQuestion { peel: Some(mm(15.5)), ..plain() }, "/peel");
    refused_at(&question("parsley", "julienne"), "/cut");
    refused_at(&BenchQuestion { price: Some(-1.0), ..plain() }, "/price");
    refused_at(&BenchQuestion { price: Some(f64::NAN), ..plain() }, "/price");
    refused_at(&BenchQuestion { wedges: Some(7), ..question("lemon", "wedges") }, "/wedges");
    refused_at(&BenchQuestion { wedges: Some(0), ..question("lemon", "wedges") }, "/wedges");
    let ball = Shape::Ball { diameter: mm(60.0), core: None };
    refused_at(&BenchQuestion { shape: Some(ball), ..plain() }, "/shape/kind");
    let huge = Shape::Frustum { big_end: mm(900.0), small_end: mm(20.0), length: mm(180.0) };
    refused_at(&BenchQuestion { shape: Some(huge), ..plain() }, "/shape");
    let errors = CutErrors { lean_degrees: 60.0, ..CutErrors::default() };
    refused_at(&BenchQuestion { errors, ..plain() }, "/errors/lean_degrees");
    let sure = look(&BenchQuestion { success: 1.0, ..plain() }).unwrap();
    assert_eq!(sure.pieces_each, 20, "when all come out good, none is cut in vain");
}

#[test]
fn a_piece_larger_than_the_food_is_told_kindly() {
    let view = look(&BenchQuestion { thickness: Some(mm(40.0)), width: Some(mm(40.0)), ..question("carrot", "baton") }).unwrap();
    assert_eq!((view.ways[0].pieces, view.ways[0].strokes, view.ways[0].units_each), (0, 0, 0));
    let words = view.nothing_fits.unwrap();
    let largest = words.parts().iter().find_map(|part| match part {
        Part::Length { length, .. } => Some(length.get()),
        _ => None,
    });
    let largest = largest.unwrap();
    let fits = BenchQuestion { thickness: Some(mm(largest)), width: Some(mm(largest)), ..question("carrot", "baton") };
    assert!(look(&fits).unwrap().ways[0].pieces > 0, "{words}");
    let over = mm(largest + 0.2);
    let over = BenchQuestion { thickness: Some(over), width: Some(over), ..question("carrot", "baton") };
    assert_eq!(look(&over).unwrap().ways[0].pieces, 0, "{words}");
}

fn fact(view: &BenchView, name: &str) -> FactValue {
    view.facts.iter().find(|fact| fact.name == name).unwrap_or_else(|| panic!("{name} in {:?}", view.facts)).value
}

#[test]
fn cuts_without_blocks_have_their_figures() {
    let bias = look(&question("cucumber", "bias_coins")).unwrap();
    let FactValue::Length { length } = fact(&bias, "the long way across") else { panic!() };
    assert!((length.get() - 42.0 * 2.0f64.sqrt()).abs() < 1e-9, "an ellipse √2 as long as wide at 45°");
    let wedges = look(&BenchQuestion { wedges: Some(6), ..question("lemon", "wedges") }).unwrap();
    assert_eq!(fact(&wedges, "angle of each"), FactValue::Degrees { degrees: 60.0 });
    assert_eq!(wedges.ways[0].pieces, 6);
    let basil = CATALOGUE.foods.iter().find(|food| matches!(food.shape, Shape::Bundle { .. })).unwrap();
    let ribbons = look(&question(&basil.id, "chiffonade")).unwrap();
    assert!(matches!(fact(&ribbons, "rolls"), FactValue::Count { count } if count > 0));
    let mince = look(&question(&basil.id, "mince")).unwrap();
    assert_eq!(fact(&mince, "passes"), FactValue::Count { count: 3 });
    let turned = look(&question("carrot", "turned")).unwrap();
    assert_eq!(fact(&turned, "pieces"), FactValue::Count { count: 3 });
    let (FactValue::Share { share }, FactValue::Grams { grams }) = (fact(&turned, "of it in pieces"), fact(&turned, "falls off"))
    else {
        panic!()
    };
    let whole = CATALOGUE.food("carrot").unwrap().grams();
    assert!(share + grams / whole < 1.0 && share > 0.2 && share < 0.8, "{share}: peeled first");
}

#[test]
fn what_is_carried_through_the_chain_is_read_back() {
    let read_back = |errors: CutErrors| {
        let view = look(&BenchQuestion { errors, ..question("potato", "batonnet") }).unwrap();
        view.carried.unwrap().read_back
    };
    let sound = read_back(CutErrors { step_cv: 0.04, ..CutErrors::default() });
    assert_eq!(sound.likely[0].cause, Cause::Sound);
    let thick = read_back(CutErrors { plank_bias: 2.0, step_cv: 0.04, ..CutErrors::default() });
    assert_eq!(thick.likely[0].cause, Cause::PlanksTooThick, "{thick:?}");
    let narrow = read_back(CutErrors { stick_bias: -2.0, step_cv: 0.04, ..CutErrors::default() });
    assert_eq!(narrow.likely[0].cause, Cause::SticksTooNarrow, "{narrow:?}");
    let leaning = read_back(CutErrors { lean_degrees: 15.0, step_cv: 0.03, ..CutErrors::default() });
    assert_eq!(leaning.likely[0].cause, Cause::Lean, "{leaning:?}");
    assert!(thick.clear && thick.words.starts_with("Most likely"));
}

#[test]
fn layered_food_leads_to_its_layers() {
    let onion = look(&question("onion", "small_dice")).unwrap();
    let layers = onion.layers.unwrap();
    assert_eq!((layers.layers, layers.length), (8, None));
    assert!(layers.size.is_some() && onion.ways[0].way == BenchWayKind::Layers);
    let leek = look(&question("leek", "coins")).unwrap();
    assert!(leek.layers.is_some_and(|layers| layers.length.is_some() && layers.size.is_none()));
    assert!(look(&question("carrot", "coins")).unwrap().layers.is_none());
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(120))]

    #[test]
    fn no_question_panics_and_no_gram_is_lost(
        food in 0usize..200, cut in 0usize..100,
        t in 0.5f64..60.0, w in 0.5f64..60.0, l in 0.5f64..150.0,
        good in 1u16..500, success in 0.05f64..1.0, peel in 0.0f64..5.0, scale in 0usize..3,
    ) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        let cuts: Vec<_> = food.taught.iter().chain(&food.odd).filter_map(|cut| CATALOGUE.cut(cut)).collect();
        let cut = cuts[cut % cuts.len()];
        let produce = [ProduceSize::Small, ProduceSize::Medium, ProduceSize::Large][scale];
        let asked = BenchQuestion {
            thickness: Some(mm(t)), width: Some(mm(w)), length: Some(mm(l)),
            good, success, peel: Some(mm(peel)), produce,
            ..question(&food.id, &cut.id)
        };
        let found = look(&asked);
        prop_assume!(!found.as_ref().is_err_and(|problems| problems.iter().all(|problem| problem.pointer == "/shape")));
        let view = found.unwrap();
        for way in &view.ways {
            prop_assert!((0.0..=1.0).contains(&way.share) && way.minutes.is_finite());
            if way.pieces == 0 {
                prop_assert!(way.units_each == 0 && way.units_class == 0);
            } else {
                prop_assert!(way.pieces.saturating_mul(way.units_each) >= view.pieces_each);
            }
        }
        prop_assert!(view.products.iter().all(|product| product.grams_each >= -1e-9));
        if cut.family == CutFamily::Strips || cut.family == CutFamily::Dice {
            prop_assert!(view.carried.is_none() || view.ways[0].pieces > 0);
        }
    }

    #[test]
    fn swapping_thickness_and_width_of_sticks_changes_no_count(food in 0usize..200, t in 1.0f64..20.0, w in 1.0f64..20.0) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        prop_assume!(food.standing("batonnet") != Standing::No);
        let count = |t: f64, w: f64| {
            let asked = BenchQuestion { thickness: Some(mm(t)), width: Some(mm(w)), ..question(&food.id, "batonnet") };
            // What has no block is reckoned by its share, not laid either way.
            look(&asked).unwrap().ways.first().filter(|way| !way.blocks.is_empty()).map(|way| way.pieces)
        };
        // A sheet and a layer are as thick as they are, a fillet no thicker than it is.
        let free = !matches!(food.shape, Shape::Sheet { .. } | Shape::LayeredCylinder { .. } | Shape::Wedge { .. });
        if free {
            prop_assert_eq!(count(t, w), count(w, t));
        }
    }

    #[test]
    fn smaller_cubes_are_never_fewer(food in 0usize..200, size in 2.0f64..25.0, smaller in 0.3f64..1.0) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        prop_assume!(food.standing("medium_dice") != Standing::No);
        let count = |size: f64| {
            let side = Some(mm(size));
            let asked = BenchQuestion { thickness: side, width: side, length: side, ..question(&food.id, "medium_dice") };
            look(&asked).map(|view| view.ways.first().map_or(0, |way| way.pieces))
        };
        // Long roots are cut to blocks of 50 mm first, whose number of cubes jumps with the size; crumbs of
        // layers are not counted. In blocks of a length of their own smaller is never fewer.
        if matches!(food.shape, Shape::Ellipsoid { .. } | Shape::Ball { .. } | Shape::Block { .. } | Shape::Sheet { .. }) {
            // More pieces than are worked out is told at the shape.
            let (few, many) = (count(size), count(size * smaller));
            prop_assume!(many.is_ok());
            prop_assert!(many.unwrap() >= few.unwrap());
        }
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(80))]

    #[test]
    fn an_egg_cut_flat_first_holds_every_piece_above_its_flat(
        long in 40.0f64..160.0, wide in 0.5f64..1.0, high in 0.5f64..1.0, t in 2.0f64..14.0, w in 2.0f64..14.0, l in 5.0f64..50.0,
    ) {
        let (width, height) = (long * wide, long * wide * high);
        let shape = Shape::Ellipsoid { length: mm(long), width: mm(width), height: mm(height) };
        let asked = BenchQuestion {
            shape: Some(shape), thickness: Some(mm(t)), width: Some(mm(w)), length: Some(mm(l)),
            ..question("potato", "batonnet")
        };
        let view = look(&asked).unwrap();
        let kitchen = view.ways.iter().find(|way| way.way == BenchWayKind::FlatFirst).unwrap();
        let board = -height / 2.0 + height * notch_core::geometry::FLAT_SHARE;
        let mut pieces = 0;
        for block in &kitchen.blocks {
            pieces += block.count.iter().product::<u32>();
            prop_assert!(block.at[1] >= board - 1e-9);
            for x in [block.at[0], block.at[0] + block.piece[0] * f64::from(block.count[0])] {
                for y in [block.at[1], block.at[1] + block.piece[1] * f64::from(block.count[1])] {
                    for z in [block.at[2], block.at[2] + block.piece[2] * f64::from(block.count[2])] {
                        let out = (2.0 * (x - long / 2.0) / long).powi(2) + (2.0 * y / height).powi(2) + (2.0 * z / width).powi(2);
                        prop_assert!(out <= 1.0 + 1e-7, "{out} at {x} {y} {z}");
                    }
                }
            }
        }
        prop_assert_eq!(pieces, kitchen.pieces);
        let kept = f64::from(pieces) * t * w * l;
        prop_assert!(kept <= std::f64::consts::PI * long * width * height / 6.0);
    }
}

#[test]
fn a_bundle_is_weighed_and_a_weight_out_of_range_is_refused() {
    let bundle = CATALOGUE.foods.iter().find(|food| matches!(food.shape, Shape::Bundle { .. })).unwrap();
    let grams = |grams: f64| BenchQuestion { shape: Some(Shape::Bundle { grams }), ..question(&bundle.id, "mince") };
    let strokes = |view: &BenchView| match fact(view, "strokes a pass") {
        FactValue::Count { count } => count,
        other => panic!("{other:?}"),
    };
    assert!(strokes(&look(&grams(200.0)).unwrap()) > strokes(&look(&grams(20.0)).unwrap()));
    for wrong in [0.0, -5.0, 1e9, f64::NAN] {
        refused_at(&grams(wrong), "/shape");
    }
}

#[test]
fn a_food_of_more_pieces_than_anyone_waits_for_is_refused_and_a_fine_dice_of_a_large_one_is_not() {
    let dice = |food: &str, diameter: f64, edge: f64| {
        let shape = Some(Shape::Ball { diameter: mm(diameter), core: None });
        let side = Some(mm(edge));
        look(&BenchQuestion { shape, thickness: side, width: side, length: side, ..question(food, "brunoise") })
    };
    assert!(dice("celeriac", 120.0, 1.0).unwrap().way.is_some());
    let told = dice("celeriac", 400.0, 0.5).unwrap_err();
    assert_eq!(told[0].pointer, "/shape");
    assert!(told[0].message.contains("it would come to 512000000 pieces"), "{}", told[0].message);
}
