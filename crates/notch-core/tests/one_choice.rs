//! Which knife is meant, and what is proposed for a cut: the same wherever it is asked.

use crate::common::{CATALOGUE, course, rack};
use notch_core::at_hand::AtHand;
use notch_core::fitting::{Candidate, Fixed, Job, KnifeSource, propose, suggest};
use notch_core::people::AgeBand;
use notch_core::records::{EdgeState, Knife};
use notch_core::views::{BenchQuestion, bench_view};

/// A rack with a dull knife of each model before the sharp one.
fn dull_before_sharp() -> Vec<Knife> {
    let dull = rack().into_iter().map(|mut knife| {
        knife.fields.edge_state = EdgeState::Dull;
        knife
    });
    let sharp = rack().into_iter().map(|mut knife| {
        knife.id += 100;
        knife.fields.number = knife.id.to_string();
        knife
    });
    dull.chain(sharp).collect()
}

#[test]
fn a_model_that_is_there_dull_and_sharp_is_the_sharp_one() {
    let (course, knives) = (course(AgeBand::Adult), dull_before_sharp());
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
    let all = Candidate::all(&at_hand, KnifeSource::Rack);
    for kind in &CATALOGUE.knives {
        let found = Candidate::named(&all, Some(&kind.id), Some(kind.length.usual)).unwrap().unwrap();
        assert!(all[found].sharp, "{}", kind.id);
    }
    let question: BenchQuestion = serde_json::from_str(
        r#"{ "food": "carrot", "cut": "julienne", "good": 20, "success": 0.8, "knife_type": "chefs", "knife_length": 200 }"#,
    )
    .unwrap();
    let view = bench_view(&at_hand, &question).unwrap();
    let chosen = &view.knives[view.blade.unwrap().index];
    assert_eq!((chosen.knife_type.as_str(), &chosen.refused), ("chefs", &None), "the Bench takes the sharp one, as Plan does");
}

#[test]
fn a_model_that_is_only_dull_stays_the_choice_with_its_reason() {
    let (course, mut knives) = (course(AgeBand::Adult), rack());
    for knife in &mut knives {
        knife.fields.edge_state = EdgeState::Dull;
    }
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
    let all = Candidate::all(&at_hand, KnifeSource::Rack);
    let kind = CATALOGUE.knife("chefs").unwrap();
    assert!(Candidate::named(&all, Some("chefs"), Some(kind.length.usual)).unwrap().is_some());
    assert_eq!(Candidate::named(&all, Some("chefs"), None).unwrap(), None, "half a name names nothing");
    let unknown = Candidate::named(&all, Some("halberd"), Some(kind.length.usual)).unwrap_err();
    assert_eq!((unknown.pointer.as_str(), unknown.name.as_str()), ("/knife_type", "Knife"));
}

/// The proposal is the suggestion without its words: the same setup, the same fit, refused alike.
#[test]
fn what_is_proposed_is_what_is_suggested_for_every_food_cut_and_knife() {
    let mut compared = 0;
    for age_band in [AgeBand::Adult, AgeBand::Child] {
        let (course, knives) = (course(age_band), dull_before_sharp());
        let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
        for source in [KnifeSource::Rack, KnifeSource::Types] {
            let all = Candidate::all(&at_hand, source);
            for food in &CATALOGUE.foods {
                for (cut, target) in at_hand.taught() {
                    let job = Job::of(&at_hand, food, cut, target, None);
                    let fixed = (0..all.len()).step_by(5).map(Some).chain([None]);
                    for knife in fixed {
                        let fixed = Fixed { knife, ..Fixed::default() };
                        let (whole, short) = (suggest(&job, &all, fixed), propose(&job, &all, fixed).unwrap());
                        let setup = whole.setup.unwrap();
                        let option = whole.knives.iter().find(|option| option.knife == setup.knife).unwrap();
                        let told = (short.setup, short.score, short.refused);
                        assert_eq!(told, (setup, option.fit.score, whole.refused), "{} of {} with {knife:?}", cut.id, food.id);
                        compared += 1;
                    }
                }
            }
        }
    }
    assert!(compared > 5_000, "{compared}");
}
