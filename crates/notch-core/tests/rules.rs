//! Each fitting rule by itself: a case in which it speaks, and what it says.

use std::collections::BTreeSet;

use crate::common::scene::{Scene, scene};
use notch_core::at_hand::Hands;
use notch_core::catalogue::{
    BeginnerBlade, BoardMaterial, Doctrines, FingerGap, GarlicDoctrine, Grip, GripDoctrine, Hold, IndexOnSpine, Motion,
    OnionDice, SerratedUse, Third, TipOnBoard, TowardsSelf,
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

fn trainee(hand: Hand, hand_size: HandSize, clearance: u16) -> Option<Trainee> {
    Some(Trainee { hand, hand_size, clearance: Millimetres::whole(clearance), special: clearance >= 260 })
}

/// Rule, scene, what it says there.
#[allow(clippy::too_many_lines, reason = "a table: one line a case")]
fn cases() -> Vec<(&'static str, Scene, Says)> {
    use Says::{Against, For, Nothing, Refuse};
    let at_hand = |change: fn(&mut Doctrines)| move |scene: &mut Scene| change(&mut scene.doctrines);
    vec![
        ("edge.dull", carrot().with(|s| s.sharp = false), Refuse),
        ("edge.dull", carrot(), Nothing),
        ("edge.teeth_on_firm", scene("potato", "julienne", "bread"), Refuse),
        ("edge.teeth_on_firm", scene("mushroom", "coins", "bread"), Against),
        ("edge.teeth_on_firm", scene("tomato", "coins", "bread"), Nothing),
        ("edge.teeth_on_tough", scene("pineapple", "coins", "bread"), For),
        ("edge.teeth_true_faces", scene("tomato", "small_dice", "bread"), Against),
        ("edge.teeth_true_faces", scene("parsley", "mince", "bread"), Refuse),
        ("edge.plain_on_tough", scene("bread", "coins", "chefs"), Refuse),
        ("edge.plain_on_tough", scene("pineapple", "coins", "chefs"), Against),
        ("edge.single_bevel", scene("carrot", "julienne", "single_bevel_slicer"), Refuse),
        (
            "edge.single_bevel",
            scene("raw_fish", "coins", "single_bevel_slicer").with(|s| s.hands = Hands { right: 9, left: 2 }),
            Against,
        ),
        ("edge.single_bevel", scene("raw_fish", "coins", "single_bevel_slicer"), Nothing),
        ("board.in_hand_blade", scene("carrot", "julienne", "birds_beak"), Refuse),
        ("board.in_hand_blade", scene("potato", "turned", "birds_beak"), For),
        ("board.small_blade", scene("carrot", "julienne", "paring"), Refuse),
        ("board.small_blade", scene("cabbage", "coins", "paring"), Refuse),
        ("board.small_blade", scene("mushroom", "coins", "paring"), Against),
        ("board.material", carrot().with(|s| s.board = BoardMaterial::Glass), Refuse),
        ("board.material", carrot(), Nothing),
        ("length.travel", scene("cabbage", "coins", "petty"), Refuse),
        ("length.travel", scene("melon", "coins", "chefs").with(|s| s.length = Some(190)), Against),
        ("length.travel", carrot(), For),
        ("length.age", carrot().with(|s| s.age_band = AgeBand::Child), Refuse),
        ("length.in_hand", scene("potato", "turned", "petty"), Refuse),
        ("blade.firmness", scene("swede", "julienne", "petty"), Refuse),
        ("blade.firmness", carrot(), For),
        ("blade.firmness", scene("carrot", "julienne", "slicer"), Against),
        ("blade.flexible", scene("carrot", "julienne", "fillet"), Refuse),
        ("blade.flexible", scene("courgette", "coins", "fillet"), Against),
        ("blade.flat_edge", scene("carrot", "julienne", "nakiri"), For),
        ("blade.flat_edge", carrot(), Nothing),
        ("blade.knuckles", carrot(), For),
        ("blade.knuckles", scene("courgette", "coins", "petty"), Against),
        ("blade.fine_work", scene("carrot", "julienne", "cleaver"), Refuse),
        ("blade.fine_work", scene("carrot", "julienne", "flat_chefs"), For),
        ("blade.hard_stem", scene("cabbage", "coins", "flat_chefs"), Against),
        ("blade.bone", scene("poultry_joint", "coins", "bunka"), Refuse),
        ("blade.bone", scene("poultry_joint", "coins", "boning"), For),
        ("blade.bone", scene("poultry_joint", "coins", "chefs"), Against),
        ("blade.fish", scene("whole_fish", "coins", "fillet"), For),
        ("blade.fish", scene("whole_fish", "coins", "boning"), Against),
        ("blade.fish", scene("poultry_joint", "coins", "boning"), For),
        ("blade.fish", scene("poultry_joint", "coins", "fillet"), Against),
        ("blade.hollowed", scene("potato", "coins", "santoku").with(|s| s.hollowed = true), For),
        ("blade.hollowed", scene("potato", "coins", "santoku"), Nothing),
        ("blade.tiny_food", scene("strawberry", "coins", "petty"), For),
        ("blade.tiny_food", scene("strawberry", "coins", "chefs").with(|s| s.length = Some(240)), Against),
        ("blade.crush", scene("garlic", "paste", "petty").with(|s| s.motion = Motion::Crush), Refuse),
        ("blade.crush", scene("garlic", "paste", "chefs").with(|s| s.motion = Motion::Crush), Nothing),
        ("blade.raw_fish", scene("raw_fish", "coins", "slicer"), For),
        ("doctrine.serrated", scene("tomato", "coins", "bread").with(at_hand(|s| s.serrated = SerratedUse::BreadOnly)), Against),
        ("doctrine.serrated", scene("bread", "coins", "bread").with(at_hand(|s| s.serrated = SerratedUse::BreadOnly)), Nothing),
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
        ("student.clearance", carrot().with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 180)), Refuse),
        ("student.clearance", carrot(), Nothing),
        (
            "student.special",
            scene("swede", "plank", "cleaver").with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 210)),
            Refuse,
        ),
        (
            "student.hand",
            scene("raw_fish", "coins", "single_bevel_slicer")
                .with(|s| (s.ground_for, s.trainee) = (Some(Hand::Right), trainee(Hand::Left, HandSize::Medium, 300))),
            Refuse,
        ),
        (
            "student.hand",
            scene("raw_fish", "coins", "single_bevel_slicer")
                .with(|s| (s.ground_for, s.trainee) = (Some(Hand::Right), trainee(Hand::Right, HandSize::Medium, 300))),
            For,
        ),
        ("student.comfort", carrot().with(|s| s.trainee = trainee(Hand::Right, HandSize::Medium, 260)), For),
        (
            "student.comfort",
            carrot().with(|s| (s.length, s.trainee) = (Some(260), trainee(Hand::Right, HandSize::Small, 260))),
            Against,
        ),
        ("motion.suits_cut", carrot().with(|s| s.motion = Motion::InHandPull), Refuse),
        ("motion.suits_edge", scene("bread", "coins", "bread").with(|s| s.motion = Motion::Saw), For),
        ("motion.suits_edge", scene("bread", "coins", "bread"), Refuse),
        ("motion.suits_knife", carrot(), For),
        ("motion.suits_knife", scene("carrot", "julienne", "nakiri").with(|s| s.motion = Motion::Rock), Against),
        ("motion.tap_height", scene("cabbage", "coins", "santoku").with(|s| s.motion = Motion::Tap), Refuse),
        ("motion.tap_height", carrot().with(|s| s.motion = Motion::Tap), Against),
        ("motion.tap_height", scene("celery", "coins", "santoku").with(|s| s.motion = Motion::Tap), For),
        ("motion.rock", scene("carrot", "coins", "santoku").with(|s| s.motion = Motion::Rock), Against),
        ("motion.rock", scene("carrot", "coins", "chefs").with(|s| s.motion = Motion::Rock), Nothing),
        ("motion.tall_push", carrot(), For),
        ("motion.sticky", scene("potato", "coins", "flat_chefs").with(|s| s.motion = Motion::Pull), For),
        ("motion.raw_animal", scene("raw_fish", "coins", "slicer").with(|s| s.motion = Motion::LongDraw), For),
        ("motion.raw_animal", scene("raw_fish", "coins", "chefs"), Against),
        ("motion.mince_pile", scene("parsley", "mince", "chefs").with(|s| s.motion = Motion::PivotMince), For),
        ("motion.mince_pile", scene("parsley", "mince", "chefs"), Against),
        ("grip.pinch", carrot(), For),
        ("grip.pinch", scene("bread", "coins", "bread"), Against),
        ("grip.pinch", scene("potato", "turned", "paring"), Refuse),
        ("grip.handle", carrot().with(|s| s.grip = Grip::Handle), For),
        ("grip.handle", carrot().with(|s| s.grip = Grip::Handle).with(at_hand(|s| s.grip = GripDoctrine::PinchOnly)), Refuse),
        ("grip.index_on_spine", carrot().with(|s| s.grip = Grip::IndexOnSpine), Refuse),
        (
            "grip.index_on_spine",
            scene("raw_fish", "coins", "slicer")
                .with(|s| (s.grip, s.motion) = (Grip::IndexOnSpine, Motion::LongDraw))
                .with(at_hand(|s| s.index_on_spine = IndexOnSpine::TipDraw)),
            Against,
        ),
        ("grip.choked_back", carrot().with(|s| s.grip = Grip::ChokedBack), Against),
        ("grip.choked_back", scene("cabbage", "coins", "chefs").with(|s| s.grip = Grip::ChokedBack), For),
        ("grip.paring", carrot().with(|s| s.grip = Grip::Paring), Refuse),
        ("grip.paring", scene("potato", "turned", "paring").with(|s| s.grip = Grip::Paring), For),
        (
            "grip.paring",
            scene("potato", "turned", "paring")
                .with(|s| s.grip = Grip::Paring)
                .with(at_hand(|s| s.towards_self = TowardsSelf::Never)),
            Refuse,
        ),
        ("grip.spine_top", carrot().with(|s| s.grip = Grip::SpineTop), Refuse),
        (
            "grip.spine_top",
            scene("parsley", "mince", "chefs").with(|s| (s.grip, s.motion) = (Grip::SpineTop, Motion::PivotMince)),
            For,
        ),
        ("hold.claw", carrot(), For),
        ("hold.claw", scene("potato", "turned", "paring"), Refuse),
        ("hold.bridge", carrot().with(|s| s.hold = Hold::Bridge), Against),
        ("hold.bridge", carrot().with(|s| (s.hold, s.age_band) = (Hold::Bridge, AgeBand::Child)), For),
        (
            "hold.bridge",
            carrot()
                .with(|s| (s.hold, s.age_band) = (Hold::Bridge, AgeBand::Child))
                .with(at_hand(|s| s.finger_gap = FingerGap::ClawOnly)),
            Against,
        ),
        ("hold.flat_palm", carrot().with(|s| s.hold = Hold::FlatPalm), Refuse),
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
        ("hold.last_bit", scene("garlic", "coins", "petty"), Against),
        ("hold.last_bit", carrot(), Nothing),
        ("hold.level_cut", scene("onion", "small_dice", "chefs"), For),
        ("hold.level_cut", scene("onion", "small_dice", "chefs").with(at_hand(|s| s.onion_dice = OnionDice::LevelCut)), Against),
        ("hold.in_hand", carrot().with(|s| s.hold = Hold::InHand), Refuse),
        ("hold.in_hand", scene("potato", "turned", "paring").with(|s| s.hold = Hold::InHand), For),
        ("third.firmness", carrot().with(|s| s.third = Third::Heel), For),
        ("third.firmness", carrot().with(|s| s.third = Third::Tip), Against),
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
    let strawberry = || scene("strawberry", "coins", "chefs");
    let turned = || {
        scene("potato", "turned", "paring")
            .with(|s| (s.grip, s.hold, s.motion) = (Grip::Paring, Hold::InHand, Motion::InHandPull))
    };
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
    let known = ["blade", "board", "doctrine", "edge", "grip", "hold", "length", "motion", "student", "third"];
    assert_eq!(groups.into_iter().collect::<Vec<_>>(), known);
}
