//! Each fitting rule by itself: a case in which it speaks, and what it says.

use std::collections::BTreeSet;

use crate::common::scene::{Scene, scene};
use notch_core::catalogue::{
    BeginnerBlade, BoardMaterial, CitrusPeel, Doctrines, FingerGap, FishSlices, GarlicDoctrine, Grip, GripDoctrine, HalvingHold,
    Hold, IndexOnSpine, Jointing, Motion, OnionDice, PeelTool, SerratedUse, Third, TipOnBoard, TomatoEdge, TowardsSelf,
};
use notch_core::eligibility::Trainee;
use notch_core::fitting::{Effect, rules};
use notch_core::people::{AgeBand, Hand, HandSize};
use notch_core::units::Millimetres;

#[derive(Clone, Copy, Debug, PartialEq)]
enum Says {
    For,
    Against,
    Refuse,
    Nothing,
}

impl Says {
    fn of(scene: &Scene, rule: &str) -> Says {
        match scene.finds(rule) {
            None => Says::Nothing,
            Some((Effect::For(_), _)) => Says::For,
            Some((Effect::Against(_), _)) => Says::Against,
            Some((Effect::Refuse, _)) => Says::Refuse,
        }
    }
}

fn carrot() -> Scene {
    scene("carrot", "julienne", "chefs")
}

/// Sawn.
fn saw(food: &'static str, cut: &'static str, knife: &'static str) -> Scene {
    scene(food, cut, knife).with(|s| s.motion = Motion::Saw)
}

/// Cut towards the thumb, off the board.
fn in_hand(food: &'static str, cut: &'static str, knife: &'static str) -> Scene {
    scene(food, cut, knife).with(|s| (s.grip, s.hold, s.motion) = (Grip::Paring, Hold::InHand, Motion::InHandPull))
}

fn trainee(hand: Hand, hand_size: HandSize, clearance: u16) -> Option<Trainee> {
    Some(Trainee { hand, hand_size, clearance: Millimetres::whole(clearance), special: clearance > 260 })
}

/// Rule, scene, what it says there.
#[allow(clippy::too_many_lines, reason = "a table: one line a case")]
fn cases() -> Vec<(&'static str, Scene, Says)> {
    use Says::{Against, For, Nothing, Refuse};
    let at_hand = |change: fn(&mut Doctrines)| move |scene: &mut Scene| change(&mut scene.doctrines);
    vec![
        ("edge.dull", carrot().with(|s| s.sharp = false), Refuse),
        ("edge.dull", carrot(), Nothing),
        ("blade.made_for", carrot(), For),
        ("blade.made_for", scene("carrot", "julienne", "petty"), For),
        ("blade.made_for", scene("carrot", "julienne", "boning"), Against),
        ("blade.made_for", scene("poultry_joint", "joint", "boning").with(|s| s.motion = Motion::Pull), For),
        ("blade.made_for", scene("carrot", "peel", "peeler_fixed").with(|s| s.motion = Motion::PeelStroke), For),
        ("blade.made_for", scene("raw_fish", "large_dice", "single_bevel_slicer").with(|s| s.motion = Motion::Pull), Against),
        ("blade.common", carrot(), For),
        ("blade.special", scene("swede", "halve", "cleaver"), Against),
        ("blade.special", scene("poultry_joint", "joint", "boning").with(|s| s.motion = Motion::Pull), Nothing),
        ("cut.odd", scene("carrot", "large_dice", "chefs"), Against),
        ("cut.odd", scene("parsley", "julienne", "chefs"), Refuse),
        ("cut.odd", carrot(), Nothing),
        ("edge.teeth", saw("potato", "julienne", "bread"), Refuse),
        ("edge.teeth", saw("mushroom", "slice", "bread"), Against),
        ("edge.teeth", saw("bell_pepper", "julienne", "bread"), Against),
        ("edge.teeth", saw("tomato", "slice", "tomato"), For),
        ("edge.teeth", saw("tomato", "slice", "tomato").with(at_hand(|s| s.tomato_edge = TomatoEdge::Plain)), Against),
        ("edge.teeth", saw("pineapple", "trim_skin", "bread"), For),
        ("edge.teeth", saw("pineapple", "slice", "bread"), Against),
        ("edge.teeth", saw("lemon", "halve", "tomato"), Against),
        ("edge.teeth", carrot(), Nothing),
        ("edge.teeth_true_faces", saw("tomato", "small_dice", "bread"), Against),
        ("edge.teeth_true_faces", saw("parsley", "mince", "bread"), Refuse),
        ("edge.teeth_true_faces", saw("bread", "medium_dice", "bread"), Nothing),
        ("edge.plain_on_tough", scene("bread", "slice", "chefs"), Refuse),
        ("edge.plain_on_tough", scene("melon", "halve", "chefs"), Against),
        ("edge.plain_on_tough", scene("melon", "large_dice", "chefs"), Nothing),
        ("edge.plain_on_tough", scene("tomato", "slice", "chefs").with(at_hand(|s| s.tomato_edge = TomatoEdge::Teeth)), Against),
        ("edge.single_bevel", scene("carrot", "julienne", "single_bevel_slicer"), Refuse),
        ("edge.single_bevel", scene("raw_fish", "slice", "single_bevel_slicer").with(|s| s.motion = Motion::Pull), For),
        (
            "edge.single_bevel",
            scene("raw_fish", "slice", "single_bevel_slicer")
                .with(|s| s.motion = Motion::Pull)
                .with(at_hand(|s| s.fish_slices = FishSlices::Slicer)),
            Against,
        ),
        ("board.in_hand_blade", scene("carrot", "julienne", "birds_beak"), Refuse),
        ("board.in_hand_blade", scene("carrot", "julienne", "peeler_swivel"), Refuse),
        ("board.in_hand_blade", in_hand("potato", "turned", "birds_beak"), Nothing),
        ("board.small_blade", scene("carrot", "julienne", "paring"), Refuse),
        ("board.small_blade", scene("lettuce", "chiffonade", "paring"), Refuse),
        ("board.small_blade", scene("mushroom", "slice", "paring"), Against),
        ("board.small_blade", scene("parsley", "rough_chop", "paring"), Against),
        ("board.child_blade", scene("swede", "halve", "child_cooks"), Refuse),
        ("board.child_blade", scene("celery", "slice", "child_cooks"), Against),
        ("board.child_blade", scene("celery", "slice", "child_cooks").with(|s| s.age_band = AgeBand::Child), For),
        ("board.child_blade", scene("cabbage", "chiffonade", "child_cooks").with(|s| s.age_band = AgeBand::Child), Against),
        ("board.material", carrot().with(|s| s.board = BoardMaterial::Glass), Refuse),
        ("board.material", carrot(), Nothing),
        ("board.blade", carrot(), Nothing),
        ("board.blade", carrot().with(|s| s.board_size = Some((250, 180))), Nothing),
        ("board.blade", carrot().with(|s| (s.length, s.board_size) = (Some(210), Some((250, 180)))), Against),
        ("board.blade", carrot().with(|s| (s.length, s.board_size) = (Some(260), Some((250, 180)))), Refuse),
        ("board.food", carrot().with(|s| s.board_size = Some((250, 180))), Nothing),
        ("board.food", scene("cucumber", "halve", "chefs").with(|s| s.board_size = Some((250, 180))), Against),
        ("board.food", scene("watermelon", "halve", "chefs").with(|s| s.board_size = Some((300, 200))), Refuse),
        ("board.food", scene("watermelon", "halve", "chefs").with(|s| s.board_size = Some((450, 300))), Nothing),
        ("board.food", scene("cabbage", "chiffonade", "chefs").with(|s| s.board_size = Some((250, 180))), Nothing),
        ("length.travel", scene("ham", "slice", "petty"), Refuse),
        ("length.travel", scene("watermelon", "halve", "chefs"), Against),
        ("length.travel", scene("cabbage", "chiffonade", "petty"), Against),
        ("length.travel", carrot(), For),
        ("length.age", carrot().with(|s| s.age_band = AgeBand::Child), Refuse),
        ("length.in_hand", in_hand("potato", "turned", "petty"), Refuse),
        ("blade.firmness", scene("swede", "julienne", "petty"), Refuse),
        ("blade.firmness", carrot(), For),
        ("blade.firmness", scene("carrot", "julienne", "slicer"), Against),
        ("blade.flexible", scene("carrot", "julienne", "fillet"), Against),
        ("blade.flexible", scene("whole_fish", "fillet", "fillet").with(|s| s.motion = Motion::LongDraw), Nothing),
        ("blade.flat_edge", scene("carrot", "julienne", "nakiri"), For),
        ("blade.flat_edge", carrot(), Nothing),
        ("blade.knuckles", carrot(), For),
        ("blade.knuckles", scene("courgette", "coins", "petty"), Against),
        ("blade.low", scene("cabbage", "chiffonade", "petty"), Against),
        ("blade.low", scene("cabbage", "chiffonade", "chefs"), Nothing),
        ("blade.silverskin", scene("red_meat", "trim", "boning").with(|s| s.motion = Motion::Pull), For),
        ("blade.silverskin", scene("red_meat", "trim", "chefs").with(|s| s.motion = Motion::Pull), Against),
        ("blade.fine_work", scene("carrot", "julienne", "cleaver"), Refuse),
        ("blade.fine_work", scene("carrot", "julienne", "flat_chefs"), For),
        ("blade.hard_stem", scene("butternut", "trim", "flat_chefs"), Against),
        ("blade.hard_stem", scene("butternut", "large_dice", "flat_chefs"), Nothing),
        ("blade.bone", scene("poultry_joint", "joint", "bunka").with(|s| s.motion = Motion::Pull), Refuse),
        ("blade.bone", scene("poultry_joint", "joint", "boning").with(|s| s.motion = Motion::Pull), For),
        ("blade.bone", scene("poultry_joint", "joint", "chefs").with(|s| s.motion = Motion::Pull), Against),
        (
            "blade.bone",
            scene("poultry_joint", "joint", "chefs")
                .with(|s| s.motion = Motion::Pull)
                .with(at_hand(|s| s.jointing = Jointing::Chefs)),
            For,
        ),
        ("blade.hollowed", scene("potato", "coins", "santoku").with(|s| s.hollowed = true), For),
        ("blade.hollowed", scene("potato", "coins", "santoku"), Nothing),
        ("blade.tiny_food", scene("strawberry", "slice", "petty"), For),
        ("blade.tiny_food", scene("strawberry", "slice", "chefs").with(|s| s.length = Some(240)), Against),
        ("blade.crush", scene("garlic", "crush", "petty").with(|s| s.motion = Motion::Crush), Refuse),
        ("blade.crush", scene("garlic", "crush", "chefs").with(|s| s.motion = Motion::Crush), Nothing),
        ("blade.long_slices", scene("raw_fish", "slice", "slicer").with(|s| s.motion = Motion::LongDraw), For),
        ("blade.peeler_shape", scene("carrot", "peel", "peeler_fixed").with(|s| s.motion = Motion::PeelStroke), For),
        ("blade.peeler_shape", scene("apple", "peel", "peeler_fixed").with(|s| s.motion = Motion::PeelStroke), Against),
        ("class.may_hold", carrot().with(|s| s.barred = 2), Against),
        ("class.may_hold", carrot().with(|s| (s.barred, s.trainee) = (2, trainee(Hand::Right, HandSize::Medium, 260))), Nothing),
        ("class.may_hold", carrot(), Nothing),
        ("doctrine.serrated", saw("tomato", "slice", "bread").with(at_hand(|s| s.serrated = SerratedUse::BreadOnly)), Against),
        ("doctrine.serrated", saw("bread", "slice", "bread").with(at_hand(|s| s.serrated = SerratedUse::BreadOnly)), Nothing),
        ("doctrine.beginner_blade", carrot().with(at_hand(|s| s.beginner_blade = BeginnerBlade::SmallFirst)), Against),
        ("doctrine.beginner_blade", carrot().with(at_hand(|s| s.beginner_blade = BeginnerBlade::BigFirst)), For),
        ("doctrine.beginner_blade", carrot(), Nothing),
        ("doctrine.tip", carrot().with(at_hand(|s| s.tip = TipOnBoard::Stays)), Against),
        ("doctrine.tip", carrot().with(|s| s.motion = Motion::Rock).with(at_hand(|s| s.tip = TipOnBoard::Stays)), For),
        ("doctrine.tip", carrot().with(|s| s.motion = Motion::Rock).with(at_hand(|s| s.tip = TipOnBoard::Lifts)), Against),
        ("doctrine.garlic", scene("garlic", "paste", "petty").with(at_hand(|s| s.garlic = GarlicDoctrine::SmallKnife)), For),
        (
            "doctrine.garlic",
            scene("garlic", "paste", "chefs")
                .with(|s| s.motion = Motion::Crush)
                .with(at_hand(|s| s.garlic = GarlicDoctrine::SmallKnife)),
            Refuse,
        ),
        (
            "doctrine.garlic",
            scene("garlic", "paste", "chefs")
                .with(|s| s.motion = Motion::Crush)
                .with(at_hand(|s| s.garlic = GarlicDoctrine::Crush)),
            For,
        ),
        ("doctrine.peel_tool", scene("carrot", "peel", "peeler_fixed").with(|s| s.motion = Motion::PeelStroke), For),
        ("doctrine.peel_tool", in_hand("carrot", "peel", "paring").with(at_hand(|s| s.peel_tool = PeelTool::Knife)), For),
        ("doctrine.peel_tool", in_hand("carrot", "peel", "paring"), Nothing),
        ("doctrine.citrus_peel", scene("orange", "segment", "paring").with(|s| s.motion = Motion::Pull), For),
        ("doctrine.citrus_peel", in_hand("orange", "segment", "paring").with(at_hand(|s| s.citrus_peel = CitrusPeel::Hand)), For),
        ("doctrine.citrus_peel", in_hand("orange", "segment", "paring"), Nothing),
        ("student.clearance", carrot().with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 180)), Refuse),
        ("student.clearance", carrot(), Nothing),
        (
            "student.special",
            scene("swede", "halve", "cleaver").with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 210)),
            Refuse,
        ),
        (
            "student.special",
            in_hand("potato", "turned", "birds_beak").with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 210)),
            Refuse,
        ),
        (
            "student.hand",
            scene("raw_fish", "slice", "single_bevel_slicer")
                .with(|s| (s.ground_for, s.trainee) = (Some(Hand::Right), trainee(Hand::Left, HandSize::Medium, 300))),
            Refuse,
        ),
        (
            "student.hand",
            saw("bread", "slice", "bread")
                .with(|s| (s.ground_for, s.trainee) = (Some(Hand::Right), trainee(Hand::Left, HandSize::Medium, 300))),
            Against,
        ),
        (
            "student.hand",
            scene("raw_fish", "slice", "single_bevel_slicer")
                .with(|s| (s.ground_for, s.trainee) = (Some(Hand::Right), trainee(Hand::Right, HandSize::Medium, 300))),
            For,
        ),
        ("student.comfort", carrot().with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 260)), For),
        (
            "student.comfort",
            scene("onion", "half_moons", "flat_chefs").with(|s| s.trainee = trainee(Hand::Right, HandSize::Small, 260)),
            Against,
        ),
        (
            "student.comfort",
            carrot().with(|s| (s.length, s.trainee) = (Some(260), trainee(Hand::Right, HandSize::Small, 260))),
            Against,
        ),
        ("motion.suits_cut", carrot().with(|s| s.motion = Motion::InHandPull), Refuse),
        ("motion.suits_cut", scene("cabbage", "chiffonade", "chefs").with(|s| s.motion = Motion::Press), Refuse),
        ("motion.suits_cut", scene("raw_fish", "slice", "chefs").with(|s| s.motion = Motion::Crush), Refuse),
        ("motion.suits_edge", saw("bread", "slice", "bread"), For),
        ("motion.suits_edge", scene("bread", "slice", "bread"), Refuse),
        ("motion.suits_knife", carrot(), For),
        ("motion.suits_knife", scene("carrot", "julienne", "nakiri").with(|s| s.motion = Motion::Rock), Refuse),
        ("motion.tap_height", scene("cabbage", "wedges", "santoku").with(|s| s.motion = Motion::Tap), Refuse),
        ("motion.tap_height", carrot().with(|s| s.motion = Motion::Tap), Against),
        ("motion.tap_height", scene("celery", "slice", "santoku").with(|s| s.motion = Motion::Tap), For),
        ("motion.rock", scene("carrot", "coins", "santoku").with(|s| s.motion = Motion::Rock), Against),
        ("motion.rock", scene("carrot", "coins", "chefs").with(|s| s.motion = Motion::Rock), Nothing),
        ("motion.tall_push", carrot(), For),
        ("motion.sticky", scene("potato", "coins", "flat_chefs").with(|s| s.motion = Motion::Pull), For),
        ("motion.flesh", scene("raw_fish", "slice", "slicer").with(|s| s.motion = Motion::LongDraw), For),
        ("motion.flesh", scene("raw_fish", "slice", "chefs"), Against),
        ("motion.snip", scene("whole_fish", "trim", "scissors").with(|s| s.motion = Motion::Snip), For),
        ("motion.snip", scene("whole_chicken", "butterfly", "boning").with(|s| s.motion = Motion::Pull), Against),
        ("motion.mince_pile", scene("parsley", "mince", "chefs").with(|s| s.motion = Motion::PivotMince), For),
        ("motion.mince_pile", scene("parsley", "mince", "chefs"), Against),
        (
            "motion.towards_self",
            in_hand("carrot", "peel", "paring").with(at_hand(|s| s.towards_self = TowardsSelf::Never)),
            Refuse,
        ),
        ("motion.towards_self", in_hand("carrot", "peel", "paring"), Nothing),
        ("motion.in_hand_size", in_hand("swede", "peel", "paring"), Refuse),
        ("motion.in_hand_size", in_hand("apple", "core", "paring").with(|s| s.age_band = AgeBand::Child), Refuse),
        ("motion.in_hand_size", in_hand("apple", "core", "paring"), Nothing),
        ("motion.level", scene("cake", "split", "chefs"), Against),
        ("motion.level", saw("cake", "split", "bread"), Nothing),
        ("grip.pinch", carrot(), For),
        ("grip.pinch", saw("bread", "slice", "bread"), Against),
        ("grip.pinch", in_hand("potato", "turned", "paring").with(|s| s.grip = Grip::Pinch), Refuse),
        ("grip.pinch", scene("carrot", "peel", "peeler_fixed").with(|s| s.motion = Motion::PeelStroke), Refuse),
        ("grip.handle", carrot().with(|s| s.grip = Grip::Handle), For),
        ("grip.handle", carrot().with(|s| s.grip = Grip::Handle).with(at_hand(|s| s.grip = GripDoctrine::PinchOnly)), Refuse),
        ("grip.index_on_spine", carrot().with(|s| s.grip = Grip::IndexOnSpine), Refuse),
        (
            "grip.index_on_spine",
            scene("raw_fish", "slice", "slicer")
                .with(|s| (s.grip, s.motion) = (Grip::IndexOnSpine, Motion::LongDraw))
                .with(at_hand(|s| s.index_on_spine = IndexOnSpine::TipDraw)),
            Against,
        ),
        ("grip.choked_back", carrot().with(|s| s.grip = Grip::ChokedBack), Against),
        ("grip.choked_back", scene("cabbage", "halve", "chefs").with(|s| s.grip = Grip::ChokedBack), For),
        ("grip.choked_back", in_hand("potato", "turned", "paring").with(|s| s.grip = Grip::ChokedBack), Refuse),
        ("grip.paring", carrot().with(|s| s.grip = Grip::Paring), Refuse),
        ("grip.paring", in_hand("potato", "turned", "paring"), For),
        ("grip.spine_top", carrot().with(|s| s.grip = Grip::SpineTop), Refuse),
        (
            "grip.spine_top",
            scene("parsley", "mince", "chefs").with(|s| (s.grip, s.motion) = (Grip::SpineTop, Motion::PivotMince)),
            For,
        ),
        ("grip.boning_fist", carrot().with(|s| s.grip = Grip::BoningFist), Refuse),
        ("hold.claw", carrot(), For),
        ("hold.claw", in_hand("potato", "turned", "paring").with(|s| s.hold = Hold::Claw), Refuse),
        ("hold.claw", saw("bread_roll", "split", "bread"), Refuse),
        ("hold.bridge", carrot().with(|s| s.hold = Hold::Bridge), Against),
        ("hold.bridge", scene("lime", "halve", "chefs").with(|s| s.hold = Hold::Bridge), For),
        (
            "hold.bridge",
            scene("lime", "halve", "chefs").with(|s| s.hold = Hold::Bridge).with(at_hand(|s| s.halving_hold = HalvingHold::Claw)),
            Against,
        ),
        ("hold.bridge", carrot().with(|s| (s.hold, s.age_band) = (Hold::Bridge, AgeBand::Child)), For),
        (
            "hold.bridge",
            carrot()
                .with(|s| (s.hold, s.age_band) = (Hold::Bridge, AgeBand::Child))
                .with(at_hand(|s| s.finger_gap = FingerGap::ClawOnly)),
            Against,
        ),
        ("hold.flat_palm", carrot().with(|s| s.hold = Hold::FlatPalm), Refuse),
        ("hold.flat_palm", saw("bread_roll", "split", "bread").with(|s| s.hold = Hold::FlatPalm), For),
        (
            "hold.flat_palm",
            scene("onion", "small_dice", "chefs")
                .with(|s| s.hold = Hold::FlatPalm)
                .with(at_hand(|s| s.onion_dice = OnionDice::LevelCut)),
            For,
        ),
        ("hold.spine_top", carrot().with(|s| s.hold = Hold::SpineTop), Refuse),
        (
            "hold.spine_top",
            scene("parsley", "mince", "chefs").with(|s| (s.hold, s.motion) = (Hold::SpineTop, Motion::PivotMince)),
            For,
        ),
        ("hold.fork", carrot().with(|s| s.hold = Hold::Fork), Refuse),
        ("hold.fork", scene("roast", "slice", "slicer").with(|s| (s.hold, s.motion) = (Hold::Fork, Motion::LongDraw)), For),
        ("hold.end_rest", carrot().with(|s| s.hold = Hold::EndRest), Refuse),
        (
            "hold.end_rest",
            scene("carrot", "peel", "peeler_fixed").with(|s| (s.hold, s.motion) = (Hold::EndRest, Motion::PeelStroke)),
            For,
        ),
        ("hold.last_bit", scene("garlic", "slice", "petty"), Against),
        ("hold.last_bit", carrot(), Nothing),
        ("hold.level_cut", scene("onion", "small_dice", "chefs"), For),
        ("hold.level_cut", scene("onion", "small_dice", "chefs").with(at_hand(|s| s.onion_dice = OnionDice::LevelCut)), Against),
        ("hold.in_hand", carrot().with(|s| s.hold = Hold::InHand), Refuse),
        ("hold.in_hand", in_hand("potato", "turned", "paring"), For),
        ("third.motion", carrot().with(|s| s.third = Third::Heel), For),
        ("third.motion", carrot().with(|s| s.third = Third::Tip), Against),
        ("third.motion", carrot().with(|s| (s.third, s.motion) = (Third::Tip, Motion::Rock)), Refuse),
        ("third.motion", scene("celery", "slice", "nakiri").with(|s| s.third = Third::Tip), Refuse),
        ("third.motion", saw("bread", "slice", "bread").with(|s| s.third = Third::Whole), For),
        ("third.motion", saw("bread", "slice", "bread").with(|s| s.third = Third::Heel), Refuse),
    ]
}

#[test]
fn each_rule_says_what_it_should() {
    for (rule, scene, expected) in cases() {
        assert_eq!(Says::of(&scene, rule), expected, "{rule}: {} of {} with {}", scene.cut, scene.food, scene.knife);
    }
}

#[test]
fn no_rule_is_without_a_case_in_which_it_speaks() {
    let spoken: BTreeSet<&str> = cases().iter().filter(|(_, _, says)| *says != Says::Nothing).map(|(rule, ..)| *rule).collect();
    let silent: Vec<&str> = rules().map(|rule| rule.id).filter(|id| !spoken.contains(id)).collect();
    assert!(silent.is_empty(), "{silent:?}");
}

/// Every case above with the points and the words that it is given: what is changed in a rule shows here.
#[test]
fn the_points_and_words_of_each_rule() {
    let lines: Vec<String> = cases()
        .iter()
        .map(|(rule, scene, _)| {
            let case = format!("{rule}: {} of {}, {}", scene.cut, scene.food, scene.knife);
            match scene.finds(rule) {
                None => format!("{case} | nothing"),
                Some((effect, words)) => format!("{case} | {effect:?} | {words}"),
            }
        })
        .collect();
    insta::assert_snapshot!(lines.join("\n"));
}

/// Where a rule turns: a scene on each side of its figure.
#[allow(clippy::too_many_lines, reason = "a table: one line an edge")]
fn edges() -> Vec<(&'static str, Scene, Scene, Says, Says)> {
    use Says::{Against, For, Nothing, Refuse};
    let long = |scene: Scene, length: u16| scene.with(|s| s.length = Some(length));
    let heel = |scene: Scene, height: f64| scene.with(|s| s.heel_height = Some(height));
    let tall = |scene: Scene, height: f64| scene.with(|s| s.food_height = Some(height));
    let moved = |scene: Scene, motion: Motion| scene.with(|s| s.motion = motion);
    let small_first = |scene: Scene| scene.with(|s| s.doctrines.beginner_blade = BeginnerBlade::SmallFirst);
    let big_first = |scene: Scene| scene.with(|s| s.doctrines.beginner_blade = BeginnerBlade::BigFirst);
    let child = |scene: Scene| scene.with(|s| s.age_band = AgeBand::Child);
    let strawberry = || scene("strawberry", "slice", "chefs");
    let turned = || in_hand("potato", "turned", "paring");
    let cleared = |scene: Scene, to: u16| scene.with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, to));
    vec![
        ("length.age", child(long(carrot(), 130)), child(long(carrot(), 131)), Nothing, Refuse),
        ("length.in_hand", long(turned(), 100), long(turned(), 101), Nothing, Refuse),
        // Julienne of carrot is 50 mm long; a pinch takes 25 mm, and 25 mm of travel are wanted.
        ("length.travel", long(carrot(), 75), long(carrot(), 74), Against, Refuse),
        ("length.travel", long(carrot(), 100), long(carrot(), 99), For, Against),
        ("length.travel", long(carrot(), 275), long(carrot(), 276), For, Against),
        ("length.travel", long(carrot(), 74).with(|s| s.grip = Grip::Handle), long(carrot(), 74), Against, Refuse),
        ("blade.knuckles", heel(carrot(), 40.0), heel(carrot(), 39.9), For, Nothing),
        ("blade.knuckles", heel(carrot(), 30.0), heel(carrot(), 29.9), Nothing, Against),
        (
            "blade.crush",
            heel(moved(scene("garlic", "paste", "chefs"), Motion::Crush), 40.0),
            heel(moved(scene("garlic", "paste", "chefs"), Motion::Crush), 39.9),
            Nothing,
            Refuse,
        ),
        ("blade.tiny_food", long(strawberry(), 150), long(strawberry(), 151), For, Nothing),
        ("blade.tiny_food", long(strawberry(), 220), long(strawberry(), 221), Nothing, Against),
        ("motion.tap_height", tall(moved(carrot(), Motion::Tap), 25.0), tall(moved(carrot(), Motion::Tap), 25.1), For, Against),
        (
            "motion.tap_height",
            tall(moved(carrot(), Motion::Tap), 50.0),
            tall(moved(carrot(), Motion::Tap), 50.1),
            Against,
            Refuse,
        ),
        ("motion.rock", long(moved(carrot(), Motion::Rock), 180), long(moved(carrot(), Motion::Rock), 179), Nothing, Against),
        ("motion.rock", tall(moved(carrot(), Motion::Rock), 45.0), tall(moved(carrot(), Motion::Rock), 45.1), Nothing, Against),
        ("doctrine.beginner_blade", small_first(long(carrot(), 180)), small_first(long(carrot(), 181)), For, Against),
        ("doctrine.beginner_blade", big_first(long(carrot(), 200)), big_first(long(carrot(), 199)), For, Against),
        (
            "grip.choked_back",
            long(carrot().with(|s| s.grip = Grip::ChokedBack), 99),
            long(carrot().with(|s| s.grip = Grip::ChokedBack), 100),
            For,
            Against,
        ),
        ("student.clearance", cleared(long(carrot(), 180), 180), cleared(long(carrot(), 181), 180), Nothing, Refuse),
    ]
}

#[test]
fn each_rule_turns_where_its_figure_says() {
    for (rule, before, after, first, second) in edges() {
        let place = format!("{rule}: {} of {}, {:?} mm", before.cut, before.food, (before.length, after.length));
        assert_eq!(Says::of(&before, rule), first, "{place}, this side");
        assert_eq!(Says::of(&after, rule), second, "{place}, the other side");
    }
}

#[test]
fn every_rule_has_an_id_of_its_own_of_a_known_group() {
    let ids: Vec<&str> = rules().map(|rule| rule.id).collect();
    let distinct: BTreeSet<&str> = ids.iter().copied().collect();
    assert_eq!(ids.len(), distinct.len(), "{ids:?}");
    let groups: BTreeSet<&str> = ids.iter().filter_map(|id| id.split_once('.')).map(|(group, _)| group).collect();
    let known = ["blade", "board", "class", "cut", "doctrine", "edge", "grip", "hold", "length", "motion", "student", "third"];
    assert_eq!(groups.into_iter().collect::<Vec<_>>(), known);
}
