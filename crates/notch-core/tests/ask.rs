//! Ask me: one right answer, the same right answer that the rules give, and what is missed comes back.

use std::collections::BTreeSet;

use crate::common::{CATALOGUE, course, exercise_fields, rack, student};
use notch_core::ask::{AskInput, AskView, Question, Shown, ask_view};
use notch_core::at_hand::AtHand;
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{Amount, Answered, AskAbout, Exercise};
use proptest::prelude::*;

fn exercise(id: i64, food: &str, cut: &str) -> Exercise {
    let fields = exercise_fields(food, cut, Amount::Pieces { count: 20 });
    Exercise { id, lesson_id: 1, version: 1, archived: false, pinned: true, fields, kept_warnings: Vec::new() }
}

/// A lesson of carrot and onion in a course of this age, asked with this seed.
fn asked<T>(age_band: AgeBand, seed: u32, look: impl FnOnce(&AskInput<'_>) -> T) -> T {
    let (course, knives, students) = (course(age_band), rack(), [student("Ada", Hand::Left, &["celery"])]);
    let exercises = [exercise(1, "carrot", "julienne"), exercise(2, "onion", "small_dice")];
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
    look(&AskInput { at_hand, exercises: &exercises, student: None, seed })
}

fn answer(question: &Question, right: bool) -> Answered {
    let found = question.answers.iter().find(|each| each.right == right).unwrap();
    Answered { about: question.about.clone(), answer: found.id.clone() }
}

/// Answers all questions, wrong at these places, until none is left.
fn whole_round(input: &AskInput<'_>, missed: &[usize]) -> (Vec<Question>, AskView) {
    let (mut answered, mut seen) = (Vec::new(), Vec::new());
    loop {
        let view = ask_view(input, &answered);
        let Some(question) = view.question.clone() else { return (seen, view) };
        assert!(seen.len() < 60, "a round ends");
        answered.push(answer(&question, !missed.contains(&seen.len())));
        seen.push(question);
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(24))]

    #[test]
    fn every_question_has_one_right_answer_and_each_answer_its_reason(seed in any::<u32>(), child in any::<bool>()) {
        let age_band = if child { AgeBand::Child } else { AgeBand::Adult };
        let (questions, view) = asked(age_band, seed, |input| whole_round(input, &[]));
        prop_assert!(view.standing.passed);
        prop_assert_eq!((view.standing.asked, view.standing.right, view.standing.open), (10, 10, 0));
        prop_assert_eq!(questions.len(), 10);
        for question in &questions {
            prop_assert_eq!(question.answers.iter().filter(|each| each.right).count(), 1, "{:?}", question);
            prop_assert!((2..=4).contains(&question.answers.len()));
            let ids: BTreeSet<&str> = question.answers.iter().map(|each| each.id.as_str()).collect();
            prop_assert_eq!(ids.len(), question.answers.len());
            let words: BTreeSet<String> = question.answers.iter().map(|each| each.words.to_string()).collect();
            prop_assert_eq!(words.len(), question.answers.len());
            prop_assert!(question.answers.iter().all(|each| !each.reason.is_empty()));
            prop_assert!(!question.again);
        }
        let kinds: BTreeSet<_> = questions.iter().map(|each| std::mem::discriminant(&each.about)).map(|d| format!("{d:?}")).collect();
        prop_assert_eq!(kinds.len(), 5, "all kinds come");
    }

    #[test]
    fn what_is_missed_comes_back_until_it_is_answered_right(seed in any::<u32>(), at in 0_usize..10, twice in any::<bool>()) {
        let (questions, view) = asked(AgeBand::Adult, seed, |input| {
            let first = whole_round(input, &[at]).0;
            let back = first.iter().skip(at + 1).position(|each| each.again).map(|after| at + 1 + after);
            let missed: Vec<usize> = if twice { std::iter::once(at).chain(back).collect() } else { vec![at] };
            whole_round(input, &missed)
        });
        let about = &questions[at].about;
        let places: Vec<usize> = (0..questions.len()).filter(|place| questions[*place].about == *about).collect();
        prop_assert_eq!(places.len(), if twice { 3 } else { 2 });
        for pair in places.windows(2) {
            prop_assert!(questions[pair[1]].again);
            prop_assert!(pair[1] - pair[0] == CATALOGUE.ask.apart + 1 || pair[1] >= 10, "two others come between: {:?}", places);
        }
        prop_assert!(view.standing.passed);
        prop_assert_eq!((view.standing.asked, view.standing.right, view.standing.open), (10, 9, 0));
    }

    #[test]
    fn no_answers_break_it(answers in proptest::collection::vec(("[a-z_]{0,12}", "[a-z_]{0,12}", "[a-z_]{0,12}", 0_u8..5), 0..12), seed in any::<u32>()) {
        let answered: Vec<Answered> = answers.into_iter().map(|(one, two, three, kind)| Answered {
            about: match kind {
                0 => AskAbout::Outline { knife_type: one },
                1 => AskAbout::Knife { food: one, cut: two.clone() },
                2 => AskAbout::Fault { fault: one },
                3 => AskAbout::Size { cut: one },
                _ => AskAbout::Caution { food: one, cut: two.clone(), caution: three.clone() },
            },
            answer: three,
        }).collect();
        let view = asked(AgeBand::Adult, seed, |input| ask_view(input, &answered));
        prop_assert!(view.standing.asked as usize <= answered.len());
    }
}

#[test]
fn which_knife_has_an_answer_that_the_rules_give_and_wrong_ones_that_they_do_not() {
    let questions: Vec<Question> =
        (0..20).flat_map(|seed| asked(AgeBand::Adult, seed, |input| whole_round(input, &[]).0)).collect();
    let mut seen = 0;
    for question in questions {
        let AskAbout::Knife { .. } = &question.about else { continue };
        seen += 1;
        assert!(question.answers.iter().all(|each| each.silhouette.is_some()));
        for each in &question.answers {
            let answered = Answered { about: question.about.clone(), answer: each.id.clone() };
            let standing = asked(AgeBand::Adult, 1, |input| ask_view(input, &[answered]).standing);
            assert_eq!(standing.right, u32::from(each.right), "{}: {}", question.asks, each.words);
        }
    }
    assert!(seen >= 40);
}

#[test]
fn a_piece_is_drawn_at_its_size_and_the_others_are_clearly_of_another() {
    for seed in 0..30 {
        for question in asked(AgeBand::Adult, seed, |input| whole_round(input, &[]).0) {
            let (AskAbout::Size { cut }, Some(Shown::Piece { thickness, .. })) = (&question.about, &question.shown) else {
                continue;
            };
            let of = |cut: &str| CATALOGUE.target("eighth", cut).unwrap().thickness.unwrap().nominal();
            assert_eq!(of(cut), *thickness);
            for other in question.answers.iter().filter(|each| !each.right) {
                let ratio = of(&other.id).get() / thickness.get();
                assert!(ratio >= 1.39 || ratio <= 1.0 / 1.39, "{cut} beside {}", other.id);
            }
        }
    }
}

#[test]
fn a_caution_that_the_same_food_brings_elsewhere_is_never_a_wrong_answer() {
    for seed in 0..30 {
        for question in asked(AgeBand::Adult, seed, |input| whole_round(input, &[]).0) {
            let AskAbout::Caution { food, .. } = &question.about else { continue };
            if food == "onion" {
                let wrong = question.answers.iter().filter(|each| !each.right);
                for each in wrong {
                    assert!(
                        !["root_on", "skin_slips", "rolls", "last_bit", "allergy"].contains(&each.id.as_str()),
                        "{}",
                        each.words
                    );
                }
            }
        }
    }
}

#[test]
#[ignore = "prints fifty questions to be read"]
fn fifty_to_read() {
    for (seed, band) in [(1, AgeBand::Adult), (2, AgeBand::Child), (3, AgeBand::Adult), (4, AgeBand::Child), (5, AgeBand::Adult)]
    {
        for question in asked(band, seed, |input| whole_round(input, &[]).0) {
            println!("\n{band:?} {} {:?}", question.asks, question.about);
            for each in &question.answers {
                println!("   {} {} — {}", if each.right { "✓" } else { " " }, each.words, each.reason);
            }
        }
    }
}
