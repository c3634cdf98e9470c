//! The fitting rules and the advice built on them.

use crate::common::{CATALOGUE, course, mm, rack, student};
use notch_core::Problem;
use notch_core::at_hand::AtHand;
use notch_core::catalogue::{AngleRange, Doctrines, Edge, Grip, Hold, IndexOnSpine, Motion, ProduceSize, Standing, Third};
use notch_core::fitting::{Candidate, Case, Fit, Fixed, Job, KnifeSource, rules, suggest};
use notch_core::geometry::{Way, work_flat_first};
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{Amount, ExerciseFields, Knife, Making, Student};
use notch_core::units::Millimetres;
use notch_core::views::{Advice, AdviceChoice, advise, check_choice};
use proptest::prelude::*;

fn choice(food: &str, cut: &str) -> AdviceChoice {
    AdviceChoice { amount: Some(Amount::Pieces { count: 40 }), ..AdviceChoice::asking(food, cut, KnifeSource::Rack) }
}

fn tried(age_band: AgeBand, choice: &AdviceChoice) -> Result<Advice, Vec<Problem>> {
    let (course, students, knives) =
        (course(age_band), [student("Ivo", Hand::Right, &["celery"]), student("Ann", Hand::Left, &[])], rack());
    advise(&AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives }, choice)
}

fn advice(age_band: AgeBand, choice: &AdviceChoice) -> Advice {
    tried(age_band, choice).unwrap()
}

fn refusal(advice: &Advice, knife_type: &str) -> String {
    let knife = advice.knives.iter().find(|knife| knife.knife_type == knife_type).unwrap();
    assert!(knife.fit.refused, "{knife_type} is not refused: {:?}", knife.fit);
    knife.fit.findings[0].words.to_string()
}

#[test]
fn every_rule_has_its_own_id_and_text() {
    let ids: std::collections::BTreeSet<&str> = rules().map(|rule| rule.id).collect();
    assert_eq!(ids.len(), rules().count());
    assert!(rules().all(|rule| rule.text.ends_with('.') && rule.id.contains('.')));
}

#[test]
fn julienne_of_carrot_gets_the_usual_setup() {
    let advice = advice(AgeBand::Adult, &choice("carrot", "julienne"));
    let setup = advice.setup.as_ref().unwrap();
    assert_eq!((setup.grip, setup.hold, setup.motion, setup.third), (Grip::Pinch, Hold::Claw, Motion::Push, Third::Heel));
    assert_eq!(setup.knife_type, "chefs");
    assert!(!advice.refused && advice.warnings.is_empty());
    assert_eq!(advice.figures.pieces_per_unit, Some(62), "peeled, as for an exam");
    assert!(refusal(&advice, "bread").contains("skate"));
    assert!(refusal(&advice, "paring").contains("force"));
    assert!(refusal(&advice, "birds_beak").contains("not by the in-hand pull"));
    assert!(refusal(&advice, "single_bevel_slicer").contains("anything hard"));
}

#[test]
fn teeth_for_a_crust_and_nothing_else() {
    let bread = advice(AgeBand::Adult, &choice("bread", "slice"));
    let setup = bread.setup.as_ref().unwrap();
    assert_eq!((setup.knife_type.as_str(), setup.motion, setup.grip), ("bread", Motion::Saw, Grip::Handle));
    assert!(refusal(&bread, "chefs").contains("crushes"));
}

#[test]
fn a_child_gets_a_short_blade_the_handle_and_the_bridge() {
    let advice = advice(AgeBand::Child, &choice("cucumber", "coins"));
    let setup = advice.setup.as_ref().unwrap();
    assert_eq!((setup.grip, setup.hold), (Grip::Handle, Hold::Bridge));
    assert!(setup.knife_length <= Millimetres::whole(130));
    assert!(refusal(&advice, "chefs").contains("too long for this age group"));
}

#[test]
fn tapping_is_free_to_25_mm_warned_to_50_and_refused_above() {
    let tap = |food: &str, cut: &str| {
        let wanted = AdviceChoice {
            motion: Some(Motion::Tap),
            knife_type: Some("santoku".into()),
            knife_length: Some(Millimetres::whole(165)),
            ..choice(food, cut)
        };
        let advice = advice(AgeBand::Adult, &wanted);
        let found = advice.motions.iter().find(|motion| motion.value == Motion::Tap).unwrap().fit.clone();
        let against = found.findings.iter().any(|finding| {
            finding.rule == "motion.tap_height" && matches!(finding.effect, notch_core::fitting::Effect::Against(_))
        });
        (advice.refused, against)
    };
    assert_eq!(tap("celery", "slice"), (false, false));
    assert_eq!(tap("carrot", "coins"), (false, true));
    assert_eq!(tap("cabbage", "wedges"), (true, false));
}

#[test]
fn an_allergy_is_named_before_all_other_cautions() {
    let advice = advice(AgeBand::Adult, &choice("celery", "batonnet"));
    assert!(advice.cautions[0].text.to_string().starts_with("Ivo must not meet celery"), "{:?}", advice.cautions[0]);
}

#[test]
fn a_refused_setup_is_told_at_its_fields_and_an_allowed_one_keeps_its_warnings() {
    let (course, students, knives) = (course(AgeBand::Adult), [student("Ivo", Hand::Right, &[])], rack());
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
    let fields = |knife: &str, length: u16, motion, grip, third| ExerciseFields {
        food: "carrot".into(),
        cut: "julienne".into(),
        knife_type: knife.into(),
        knife_length: Millimetres::whole(length),
        grip,
        hold: Hold::Claw,
        motion,
        third,
        amount: Amount::Pieces { count: 40 },
        own_minutes: None,
        making: Making::default(),
    };
    let refused = check_choice(&at_hand, &fields("bread", 230, Motion::Saw, Grip::IndexOnSpine, Third::Heel)).unwrap_err();
    let at: Vec<&str> = refused.iter().map(|problem| problem.pointer.as_str()).collect();
    assert!(at.contains(&"/knife_type") && at.contains(&"/grip"), "{refused:?}");
    let kept = check_choice(&at_hand, &fields("petty", 130, Motion::Push, Grip::Handle, Third::Middle)).unwrap();
    let rules: Vec<&str> = kept.iter().map(|warning| warning.rule.as_str()).collect();
    assert!(rules.contains(&"blade.firmness") && rules.contains(&"blade.knuckles"), "{rules:?}");
    let unknown = check_choice(&at_hand, &fields("chefs", 250, Motion::Push, Grip::Pinch, Third::Heel)).unwrap_err();
    assert!(unknown[0].message.contains("is not on the rack"));
}

fn blunted(mut knife: Knife) -> Knife {
    knife.fields.edge_state = notch_core::records::EdgeState::Dull;
    knife
}

#[test]
fn a_class_with_fewer_knives_than_students_takes_turns() {
    let course = course(AgeBand::Adult);
    let students: Vec<Student> = (0..14).map(|_| student("S", Hand::Right, &[])).collect();
    let knives: Vec<Knife> = rack().into_iter().filter(|knife| knife.fields.knife_type == "chefs").collect();
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
    let figures = advise(&at_hand, &choice("carrot", "julienne")).unwrap().figures;
    assert_eq!(figures.rounds, 14);
    // 3.37 minutes each, a minute to change knives between rounds.
    assert_eq!(figures.minutes_needed, Some((14.0 * figures.minutes_each.unwrap() + 13.0).ceil() as u16));
    assert_eq!((figures.units_students, figures.units_demonstration, figures.units_spare), (14, 1, 2));
    // While no knife is known it is planned with one of each type for everybody, in one round.
    let unknown = advise(&AtHand { knives: &[], ..at_hand }, &choice("carrot", "julienne")).unwrap();
    assert_eq!((unknown.refused, unknown.figures.rounds), (false, 1));
    let dull: Vec<Knife> = knives.iter().cloned().map(blunted).collect();
    let none = advise(&AtHand { knives: &dull, ..at_hand }, &choice("carrot", "julienne")).unwrap();
    assert!(none.refused && none.figures.minutes_needed.is_none());
}

#[test]
fn food_without_a_piece_of_that_size_says_nought_and_a_bundle_is_planned_whole() {
    let large = advice(AgeBand::Adult, &choice("ginger", "fine_julienne"));
    assert!(large.figures.pieces_per_unit.is_some());
    let parsley = advice(
        AgeBand::Adult,
        &AdviceChoice { amount: Some(Amount::Units { count: 1 }), own_minutes: Some(5.0), ..choice("parsley", "mince") },
    );
    assert_eq!((parsley.figures.pieces_per_unit, parsley.figures.minutes_each), (None, Some(5.0)));
    assert!(parsley.figures.no_count.is_some());
    assert_eq!(parsley.setup.unwrap().motion, Motion::PivotMince);
}

#[test]
fn every_food_and_cut_of_the_catalogue_gets_an_answer() {
    for food in &CATALOGUE.foods {
        for cut in &CATALOGUE.cuts {
            let found = tried(AgeBand::Adult, &choice(&food.id, &cut.id));
            let Ok(advice) = found else {
                let told = found.unwrap_err();
                assert_eq!((food.standing(&cut.id), told[0].rule.as_deref()), (Standing::No, Some("cut.none")), "{told:?}");
                continue;
            };
            assert_eq!(advice.taught, food.standing(&cut.id) == Standing::Taught);
            assert_eq!(advice.knives.len(), CATALOGUE.knives.len(), "{} of {}", cut.id, food.id);
            for knife in advice.knives.iter().filter(|knife| knife.fit.refused) {
                assert!(!knife.fit.findings[0].words.is_empty());
            }
            assert!(advice.figures.units_total > 0);
        }
    }
}

proptest! {
    #[test]
    fn the_order_of_the_rules_never_changes_a_fit(
        food in 0usize..61, cut in 0usize..47, knife in 0usize..19, motion in 0usize..14, grip in 0usize..7, hold in 0usize..7, third in 0usize..4,
        sharp in any::<bool>(), order in Just(rules().collect::<Vec<_>>()).prop_shuffle(),
    ) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        let cut = &CATALOGUE.cuts[cut % CATALOGUE.cuts.len()];
        let kind = &CATALOGUE.knives[knife % CATALOGUE.knives.len()];
        let target = CATALOGUE.target_of("eighth", cut, food).unwrap();
        let job = Job { doctrines: Doctrines { index_on_spine: IndexOnSpine::TipDraw, ..Doctrines::default() }, ..Job::plain(&CATALOGUE, food, cut, target) };
        let knife = Candidate { sharp, ..Candidate::of_type(kind) };
        let case = Case {
            job: &job, knife: &knife, motion: Motion::ALL[motion], work: job.work(Motion::ALL[motion]), grip: Grip::ALL[grip], hold: Hold::ALL[hold], third: Third::ALL[third], quiet: false,
        };
        let fit = Fit::of(rules(), &case);
        prop_assert_eq!(&Fit::of(order, &case), &fit);
        prop_assert_eq!(fit.refused, fit.findings.iter().any(|f| f.effect == notch_core::fitting::Effect::Refuse));
        let points: i32 = fit.findings.iter().map(|f| match f.effect {
            notch_core::fitting::Effect::For(points) => i32::from(points),
            notch_core::fitting::Effect::Against(points) => -i32::from(points),
            notch_core::fitting::Effect::Refuse => 0,
        }).sum();
        prop_assert_eq!(i32::from(fit.score), if fit.refused { 0 } else { (30 + points).clamp(0, 100) }, "a score is told by its findings alone");
        prop_assert!(fit.score <= 100 && (!fit.refused || fit.score == 0));
        if !sharp {
            prop_assert!(fit.refused);
        }
    }

    #[test]
    fn a_refused_knife_is_never_proposed_while_another_fits(food in 0usize..61, cut in 0usize..47) {
        let food = &CATALOGUE.foods[food % CATALOGUE.foods.len()];
        let cut = &CATALOGUE.cuts[cut % CATALOGUE.cuts.len()];
        let target = CATALOGUE.target_of("eighth", cut, food).unwrap();
        let job = Job { doctrines: Doctrines::default(), ..Job::plain(&CATALOGUE, food, cut, target) };
        let knives: Vec<Candidate<'_>> = CATALOGUE.knives.iter().map(Candidate::of_type).collect();
        let found = suggest(&job, &knives, Fixed::default());
        let chosen = found.setup.unwrap().knife;
        let refused = found.knives.iter().find(|option| option.knife == chosen).unwrap().fit.refused;
        prop_assert_eq!(refused, found.knives.iter().all(|option| option.fit.refused));
    }
}

#[test]
fn a_knife_has_an_angle_unless_it_has_teeth() {
    for kind in &CATALOGUE.knives {
        let peels = kind.motions == [Motion::PeelStroke];
        assert_eq!(kind.angle.is_none(), kind.edge == Edge::Serrated || peels, "{}", kind.id);
        assert!(kind.angle.is_none_or(|AngleRange { to, .. }| to <= 30.0), "{}", kind.id);
    }
}

#[test]
fn an_exercise_of_its_own_sizes_is_worked_to_them() {
    let usual = advice(AgeBand::Adult, &choice("carrot", "julienne"));
    let thick = Making { thickness: Some(mm(5.0)), width: Some(mm(5.0)), ..Making::default() };
    let own = advice(AgeBand::Adult, &AdviceChoice { making: thick, ..choice("carrot", "julienne") });
    assert_eq!(
        (own.target.said().to_string(), usual.target.said().to_string()),
        ("5 × 5 × 50 mm".to_owned(), "3.2 × 3.2 × 50 mm".to_owned())
    );
    assert_eq!(own.target.length, usual.target.length, "what is not set stays the standard's");
    let pieces = |advice: &Advice| advice.figures.pieces_per_unit.unwrap();
    assert!(pieces(&own) < pieces(&usual));
    assert!(own.figures.units_total >= usual.figures.units_total);
}

#[test]
fn an_exercise_flat_first_has_the_figures_of_that_way() {
    let (squared, flat) = (choice("carrot", "julienne"), Making { way: Way::FlatFirst, ..Making::default() });
    let flat = AdviceChoice { making: flat, ..squared.clone() };
    let (squared, flat) = (advice(AgeBand::Adult, &squared), advice(AgeBand::Adult, &flat));
    let food = CATALOGUE.food("carrot").unwrap();
    let (cut, target) = (CATALOGUE.cut("julienne").unwrap(), CATALOGUE.target("eighth", "julienne").unwrap());
    let peeled = Making { way: Way::FlatFirst, ..Making::default() }.peeled(food, cut);
    let kitchen = work_flat_first(&peeled, cut, &target, &CATALOGUE.handling).unwrap();
    assert_eq!(flat.figures.pieces_per_unit, Some(kitchen.worked.pieces));
    assert_ne!(flat.figures.pieces_per_unit, squared.figures.pieces_per_unit);
    let drawn = |advice: &Advice| advice.section.clone().unwrap().pieces;
    assert!(drawn(&flat).len() > 1 && drawn(&squared).len() == 1, "planks one by one, and one block");
    // What is not worked flat first is squared whichever way is asked for.
    let pepper = |way: Way| AdviceChoice { making: Making { way, ..Making::default() }, ..choice("bell_pepper", "julienne") };
    let figures = |way: Way| advice(AgeBand::Adult, &pepper(way)).figures;
    assert_eq!(figures(Way::FlatFirst), figures(Way::Squared));
}

#[test]
fn larger_produce_is_fewer_to_buy() {
    let of = |produce: ProduceSize| {
        let making = Making { produce, ..Making::default() };
        advice(AgeBand::Adult, &AdviceChoice { making, ..choice("potato", "medium_dice") }).figures
    };
    let [small, usual, large] = [ProduceSize::Small, ProduceSize::Medium, ProduceSize::Large].map(of);
    assert!(small.pieces_per_unit < usual.pieces_per_unit && usual.pieces_per_unit < large.pieces_per_unit);
    assert!(small.units_total >= usual.units_total && usual.units_total >= large.units_total);
}

#[test]
fn own_sizes_out_of_range_are_told_at_their_fields() {
    let making = Making { thickness: Some(mm(0.2)), length: Some(mm(900.0)), ..Making::default() };
    let problems = tried(AgeBand::Adult, &AdviceChoice { making, ..choice("carrot", "julienne") }).unwrap_err();
    let pointers: Vec<String> = problems.into_iter().map(|problem| problem.pointer).collect();
    assert_eq!(pointers, ["/making/thickness", "/making/length"]);
}

#[test]
fn without_an_amount_a_student_cuts_a_share_of_what_is_shared_and_forty_at_most() {
    let usual = |food: &str, cut: &str| {
        let asked = AdviceChoice { amount: None, ..choice(food, cut) };
        advice(AgeBand::Adult, &asked).amount
    };
    assert_eq!(usual("bread", "slice"), Amount::Pieces { count: 4 });
    assert_eq!(usual("cabbage", "wedges"), Amount::Pieces { count: 2 });
    assert_eq!(usual("cabbage", "chiffonade"), Amount::Grams { count: 220 });
    assert_eq!(usual("carrot", "julienne"), Amount::Pieces { count: 40 });
    let small = usual("potato", "batonnet");
    assert!(matches!(small, Amount::Pieces { count: 25..40 }), "{small:?}: one potato, not two");
    let kinds = advice(AgeBand::Adult, &choice("carrot", "julienne")).usual;
    assert_eq!(kinds.len(), 3);
    assert_eq!(kinds[0], Amount::Pieces { count: 40 });
}

#[test]
fn a_knife_that_nobody_may_hold_is_not_proposed_where_another_fits() {
    let nobody = |knife: &notch_core::views::KnifeChoice| {
        knife
            .fit
            .findings
            .iter()
            .any(|finding| finding.rule == "class.may_hold" && finding.words.to_string().starts_with("Nobody"))
    };
    let mut barred = 0;
    for food in &CATALOGUE.foods {
        for cut in &food.taught {
            let found = advice(AgeBand::Adult, &AdviceChoice::asking(&food.id, cut, KnifeSource::Rack));
            let Some(proposed) = found.knife.map(|knife| &found.knives[knife]) else { continue };
            if nobody(proposed) {
                let other = found.knives.iter().find(|knife| knife.fit.fits() && !nobody(knife));
                assert!(other.is_none(), "{cut} of {}: {} and not {}", food.id, proposed.name, other.unwrap().name);
                barred += 1;
            }
        }
    }
    // Where nothing else fits, such as a boning knife for a joint, it is proposed with that reason.
    assert!(barred < 20, "{barred}");
}

#[test]
fn less_than_a_piece_for_each_is_proposed_by_weight() {
    let usual = |food: &str, cut: &str| advice(AgeBand::Adult, &AdviceChoice::asking(food, cut, KnifeSource::Rack));
    for (food, cut) in [("ham", "trim_skin"), ("swede", "trim_skin"), ("cabbage", "halve"), ("pineapple", "core_board")] {
        let found = usual(food, cut);
        assert!(matches!(found.amount, Amount::Grams { .. }), "{cut} of {food}: {:?}", found.amount);
    }
    assert!(matches!(usual("carrot", "trim").amount, Amount::Pieces { .. }));
    assert!(matches!(usual("lemon", "zest").amount, Amount::Pieces { .. }));
}
