//! Which caution belongs here?

use std::collections::BTreeSet;

use super::knives::lower;
use super::question::{AskInput, Asked, Choice, Luck, Question};
use crate::catalogue::{Caution, CautionSeverity};
use crate::fitting::{ShownCaution, is_about_people};
use crate::records::AskAbout;
use crate::text;

/// AskAbout whom it is depends on the class, not on the work.
fn of_the_work(caution: &ShownCaution) -> bool {
    caution.students.is_empty()
}

pub(super) fn abouts(input: &AskInput<'_>, luck: &mut Luck) -> Vec<AskAbout> {
    // A lesson has a few jobs, the catalogue hundreds: no more are looked at than a round can need.
    let mut abouts = Vec::new();
    for (food, cut) in input.jobs(luck).into_iter().take(12) {
        let Some(asked) = input.job(&food, &cut).filter(|asked| !asked.suggestion.refused) else { continue };
        let cautions: Vec<&ShownCaution> = asked.suggestion.cautions.iter().filter(|caution| of_the_work(caution)).collect();
        if let Some(caution) = luck.shuffled(cautions).first() {
            abouts.push(AskAbout::Caution { food, cut, caution: caution.id.clone() });
        }
    }
    abouts
}

pub(super) fn question(input: &AskInput<'_>, (food, cut, caution): (&str, &str, &str), luck: &mut Luck) -> Option<Question> {
    let catalogue = input.at_hand.catalogue;
    let Asked { food, cut, suggestion, .. } = input.job(food, cut)?;
    let right = catalogue.caution(caution).filter(|caution| suggestion.cautions.iter().any(|each| each.id == caution.id))?;
    // What is said of the same food elsewhere is no clear no.
    let of_food: BTreeSet<String> = food
        .taught
        .iter()
        .chain(&food.odd)
        .filter_map(|cut| input.job(&food.id, cut))
        .flat_map(|asked| asked.suggestion.cautions.into_iter().map(|caution| caution.id))
        .collect();
    let choice = |caution: &Caution, right: bool| Choice {
        id: caution.id.clone(),
        words: text![caution.title.clone(), " ", caution.text.clone()],
        silhouette: None,
        right,
        reason: text![if right { "It belongs to " } else { "That belongs to " }, caution.belongs.clone(), "."],
    };
    let wrong = catalogue.cautions.iter().filter(|other| {
        other.severity != CautionSeverity::Note && !is_about_people(other) && !of_food.contains(&other.id) && other.id != right.id
    });
    let about = AskAbout::Caution { food: food.id.clone(), cut: cut.id.clone(), caution: right.id.clone() };
    let asks = text!["Which caution belongs to ", lower(&cut.of(&food.name)), "?"];
    Question::new((about, asks, None), choice(right, true), wrong.map(|other| choice(other, false)).collect(), luck)
}
