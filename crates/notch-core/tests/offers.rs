//! Laws that every offer keeps, of every cut of every food with every knife.

use std::collections::BTreeSet;

use notch_core::at_hand::AtHand;
use notch_core::catalogue::{
    CutFamily, CutForm, Doctrines, Edge, FoodTrait, Hold, Motion, Nature, Skin, Standing, Third, TowardsSelf,
};
use notch_core::fitting::{Candidate, Fixed, Job, KnifeSource, Suggestion, suggest};
use notch_core::lesson::{ClassSize, Worked, exercise_figures};
use notch_core::people::{AgeBand, Hand, Pace};
use notch_core::records::{Amount, Course, Making};
use notch_core::views::{AdviceChoice, advise, matrix, preparation};
use proptest::prelude::*;

use crate::common::{CATALOGUE, course, student};

/// Every taught and odd cut, each knife type chosen in turn: what is proposed with it.
fn each_offer(course: &Course, mut look: impl FnMut(&Job<'_>, &Candidate<'_>, &Suggestion)) {
    let students = [student("Ann", Hand::Right, &[])];
    let at_hand = AtHand { catalogue: &CATALOGUE, course, students: &students, knives: &[] };
    let knives = Candidate::all(&at_hand, KnifeSource::Types);
    for food in &CATALOGUE.foods {
        for standing in [Standing::Taught, Standing::Odd] {
            for (cut, target) in at_hand.cuts_of(food, standing) {
                let job = Job::of(&at_hand, food, cut, target, None);
                for (index, knife) in knives.iter().enumerate() {
                    let found = suggest(&job, std::slice::from_ref(knife), Fixed::default());
                    if found.knives.iter().any(|option| !option.fit.refused) {
                        look(&job, knife, &found);
                    }
                    assert_eq!(found.knives.len(), 1, "{index}");
                }
            }
        }
    }
}

#[test]
fn the_part_of_the_blade_never_contradicts_motion_or_blade() {
    let mut looked = 0;
    for band in [AgeBand::Adult, AgeBand::Child] {
        each_offer(&course(band), |job, knife, found| {
            let setup = found.setup.unwrap();
            let name = format!("{} of {} with {}: {setup:?}", job.cut.id, job.food.id, knife.kind.id);
            looked += 1;
            match setup.motion {
                Motion::Saw | Motion::LongDraw => assert_eq!(setup.third, Third::Whole, "{name}"),
                Motion::Rock | Motion::PivotMince | Motion::Tap | Motion::Press | Motion::Crush => {
                    assert_ne!(setup.third, Third::Tip, "{name}");
                }
                _ => {}
            }
            assert!(setup.third != Third::Tip || !knife.kind.profile.is_square_ended(), "{name}");
            assert_eq!(setup.hold == Hold::InHand, setup.motion == Motion::InHandPull, "{name}");
            assert!(
                setup.hold != Hold::Claw
                    || !job.cut.form.is_level()
                    || ["whole_chicken", "poultry_joint"].contains(&job.food.id.as_str()),
                "{name}"
            );
            assert!(!found.refused, "{name}: what is proposed may be taken");
        });
    }
    assert!(looked > 4000, "{looked}");
}

#[test]
fn where_nothing_is_cut_towards_oneself_nothing_is_offered_in_the_hand() {
    for band in [AgeBand::Adult, AgeBand::Child] {
        let mut never = course(band);
        never.fields.doctrines = Doctrines { towards_self: TowardsSelf::Never, ..Doctrines::default() };
        each_offer(&never, |job, knife, found| {
            let motion = found.knives[0].motion;
            assert_ne!(motion, Motion::InHandPull, "{} of {} with {}", job.cut.id, job.food.id, knife.kind.id);
        });
    }
}

#[test]
fn only_what_the_hand_closes_round_is_cut_in_the_hand() {
    each_offer(&course(AgeBand::Adult), |job, knife, found| {
        if found.knives[0].motion == Motion::InHandPull {
            let name = format!("{} of {} with {}", job.cut.id, job.food.id, knife.kind.id);
            assert!(job.food.grams() <= 350.0 && knife.length.get() <= 100.0, "{name}");
            assert!(found.cautions.iter().any(|caution| caution.id == "towards_self"), "{name}");
        }
    });
}

/// Where each caution belongs, told anew from the food and the cut alone.
#[test]
fn every_caution_stands_only_where_it_belongs() {
    let mut seen = BTreeSet::new();
    each_offer(&course(AgeBand::Adult), |job, knife, found| {
        let (food, cut, setup) = (job.food, job.cut, found.setup.unwrap());
        let board_pieces = matches!(cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices | CutFamily::Chop);
        for caution in &found.cautions {
            seen.insert(caution.id.clone());
            let belongs = match caution.id.as_str() {
                "towards_self" => setup.motion == Motion::InHandPull,
                "peel_away" => setup.motion == Motion::PeelStroke && cut.form == CutForm::Peeled,
                "press_hands" => setup.motion == Motion::Press,
                "pivot_hand" => setup.motion == Motion::PivotMince,
                "crush_wide" => setup.motion == Motion::Crush,
                "tall_tap" => setup.motion == Motion::Tap && job.lies.height.get() > 25.0,
                "turn_the_berry" => cut.form == CutForm::Hulled,
                "hot_chilli" => food.id == "chilli",
                "stains" => food.id == "beetroot",
                "rind_slips" => food.skin == Skin::Rind && ["pineapple", "melon", "watermelon"].contains(&food.id.as_str()),
                "hard_core" => ["cabbage", "fennel", "cauliflower"].contains(&food.id.as_str()),
                "stone_safe" => food.id == "avocado",
                "start_then_bridge" => ["lemon", "lime", "orange"].contains(&food.id.as_str()),
                "cut_from_inside" | "white_ribs" => ["bell_pepper", "chilli"].contains(&food.id.as_str()),
                "wash_between" => food.id == "leek",
                "root_on" => ["onion", "shallot"].contains(&food.id.as_str()) && cut.form != CutForm::Ring,
                "own_board" => matches!(food.nature, Nature::Fish | Nature::Meat),
                "bone_care" => food.is(FoodTrait::Bone),
                "crust_saw" => matches!(food.nature, Nature::Bread | Nature::Cake),
                "pin_bones" => ["raw_fish", "smoked_salmon"].contains(&food.id.as_str()),
                "single_bevel_hand" => knife.kind.edge == Edge::SingleBevel,
                "cleaver_care" => knife.kind.id == "cleaver",
                "last_bit" => board_pieces && cut.form != CutForm::Minced,
                "heavy_blade" => {
                    food.firmness == 5 && !matches!(cut.family, CutFamily::Strips | CutFamily::Dice | CutFamily::Chop)
                }
                "stem_clear" => food.id.starts_with("butternut") && matches!(cut.form, CutForm::Trimmed | CutForm::Halved),
                "quarter_core" => ["apple", "pear"].contains(&food.id.as_str()) && board_pieces,
                "rolls" => food.is(FoodTrait::Rolls) && cut.family != CutFamily::Hand && cut.family != CutFamily::Break,
                "level_cut" => cut.form.is_level() && food.id != "whole_chicken",
                "stand_on_flat" => matches!(cut.form, CutForm::SkinnedDown | CutForm::Cheeks),
                "irregular" => ["ginger", "celeriac"].contains(&food.id.as_str()),
                "grain" => matches!(food.nature, Nature::Meat | Nature::Cooked),
                "roll_tight" => cut.form == CutForm::Ribbon,
                "long_strokes" => food.firmness == 5 && food.length().get() > 100.0,
                "skin_slips" => ["onion", "shallot", "tomato"].contains(&food.id.as_str()),
                "sticks" => ["potato", "hard_cheese", "cake", "garlic", "smoked_salmon", "ham"].contains(&food.id.as_str()),
                "slippery" => {
                    matches!(food.nature, Nature::Fish | Nature::Meat) || ["mango", "avocado", "tofu"].contains(&food.id.as_str())
                }
                "browns" => food.is(FoodTrait::Browns),
                other => panic!("where does {other} belong?"),
            };
            assert!(belongs, "{} on {} of {} with {}", caution.id, cut.id, food.id, knife.kind.id);
        }
    });
    assert!(seen.len() >= 37, "{} seen: {seen:?}", seen.len());
}

#[test]
fn the_matrix_and_the_plan_offer_the_same_cuts() {
    let course = course(AgeBand::Adult);
    let students = [student("Ann", Hand::Right, &[])];
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &[] };
    for food in &CATALOGUE.foods {
        let table = matrix(&at_hand, Some(&food.id), KnifeSource::Types, None, true).unwrap();
        let rows: Vec<(&str, bool)> = table.rows.iter().map(|row| (row.cut.as_str(), row.taught)).collect();
        let expected: Vec<(&str, bool)> =
            food.taught.iter().map(|cut| (cut.as_str(), true)).chain(food.odd.iter().map(|cut| (cut.as_str(), false))).collect();
        assert_eq!(rows, expected, "{}", food.id);
        for cut in &CATALOGUE.cuts {
            let choice = AdviceChoice::asking(&food.id, &cut.id, KnifeSource::Types);
            let planned = advise(&at_hand, &choice);
            let row = rows.iter().find(|(id, _)| *id == cut.id);
            assert_eq!(
                planned.as_ref().ok().map(|advice| advice.taught),
                row.map(|(_, taught)| *taught),
                "{} of {}",
                cut.id,
                food.id
            );
            if let Ok(advice) = planned {
                let warned = advice.knives.iter().all(|knife| knife.fit.findings.iter().any(|finding| finding.rule == "cut.odd"));
                assert_eq!(!advice.taught, warned, "{} of {}: an odd cut is told as such", cut.id, food.id);
            }
        }
    }
}

#[test]
fn each_preparation_ends_in_its_cut_and_opens_the_food_first() {
    let course = course(AgeBand::Adult);
    let students = [student("Ann", Hand::Right, &[])];
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &[] };
    let steps = |food: &str, cut: &str| -> Vec<String> {
        let found = preparation(&at_hand, (food, cut), KnifeSource::Types, None).unwrap();
        found.steps.into_iter().map(|step| step.cut).collect()
    };
    for food in &CATALOGUE.foods {
        for cut in food.taught.iter().chain(&food.odd) {
            let found = preparation(&at_hand, (&food.id, cut), KnifeSource::Types, None).unwrap();
            let ids: Vec<&str> = found.steps.iter().map(|step| step.cut.as_str()).collect();
            assert_eq!(ids.last(), Some(&cut.as_str()), "{ids:?} of {}", food.id);
            let distinct: BTreeSet<&&str> = ids.iter().collect();
            assert_eq!(distinct.len(), ids.len(), "{ids:?} of {}", food.id);
            let told: Vec<&str> = found.steps.iter().flat_map(|step| &step.cautions).map(|caution| caution.id.as_str()).collect();
            assert_eq!(told.len(), told.iter().collect::<BTreeSet<_>>().len(), "each caution once: {told:?} of {}", food.id);
        }
    }
    assert_eq!(steps("cabbage", "chiffonade"), ["trim", "quarter", "core_board", "chiffonade"]);
    assert_eq!(steps("carrot", "brunoise"), ["trim", "peel", "plank", "julienne", "brunoise"]);
    assert_eq!(steps("apple", "slice"), ["peel", "quarter", "core_board", "slice"]);
    assert_eq!(steps("orange", "segment"), ["trim_skin", "segment"]);
    assert_eq!(steps("pineapple", "rings"), ["trim", "trim_skin", "rings"]);
    assert_eq!(steps("mango", "small_dice"), ["trim", "peel", "cheeks", "small_dice"]);
    assert_eq!(steps("raw_fish", "slice"), ["trim", "skin", "slice"]);
    assert_eq!(steps("strawberry", "slice"), ["hull", "halve", "slice"]);
    assert!(preparation(&at_hand, ("parsley", "julienne"), KnifeSource::Types, None).is_err());
}

proptest! {
    /// Never more than half again of what the pieces need with one to show and a tenth to spare.
    #[test]
    fn nothing_is_bought_twice_over(food in 0usize..61, cut in 0usize..30, count in 1u16..60, students in 6u32..30, grams in any::<bool>()) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        let cut = CATALOGUE.cut(&food.taught[cut % food.taught.len()]).unwrap();
        let target = CATALOGUE.target_of("eighth", cut, food).unwrap();
        let peeled = Making::default().peeled(food, cut);
        let work = Worked { bought: food, peeled: &peeled, cut, target: &target, way: Making::default().way };
        let amount = if grams { Amount::Grams { count: count * 10 } } else { Amount::Pieces { count } };
        let class = ClassSize { students, boards: 16, knives: 16, watched: None };
        let found = exercise_figures(work, amount, class, Pace::Learner, None, &CATALOGUE.handling);
        let needed = match amount {
            Amount::Grams { count } => Some(f64::from(count) / (food.grams() * food.edible)),
            _ => found.pieces_per_unit.filter(|pieces| *pieces > 0).map(|pieces| f64::from(count) / f64::from(pieces)),
        };
        prop_assume!(needed.is_some());
        // Who has units of one's own gets whole ones.
        let each = if grams || food.students_per_unit > 1 { needed.unwrap() } else { needed.unwrap().ceil() };
        let exact = each * f64::from(students);
        let wanted = exact.ceil() + 1.0 + (exact * 0.1).ceil().max(1.0);
        prop_assert!(f64::from(found.units_total) <= wanted * 1.5, "{} of {}: {} for {wanted}", cut.id, food.id, found.units_total);
        prop_assert!(f64::from(found.units_students) >= exact * (1.0 - 1e-9), "enough is bought");
    }
}
