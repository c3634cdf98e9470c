//! Which knife for a job, and why not the others.

use super::question::{AskInput, Asked, Choice, Luck, Question, WRONG};
use crate::catalogue::BoardWork;
use crate::drawing::blade_silhouette;
use crate::fitting::{Candidate, Effect, FITS, Fit, NEARLY};
use crate::records::AskAbout;
use crate::text;
use crate::text::Text;

pub(super) fn abouts(input: &AskInput<'_>, luck: &mut Luck) -> Vec<AskAbout> {
    input.jobs(luck).into_iter().map(|(food, cut)| AskAbout::Knife { food, cut }).collect()
}

/// What speaks for it most, or else what it is good for.
fn for_it(fit: &Fit, candidate: &Candidate<'_>) -> Text {
    let found = fit.findings.iter().find(|finding| matches!(finding.effect, Effect::For(_)));
    found.map_or_else(|| text!["Its work: ", candidate.kind.good_for.clone(), "."], |finding| finding.words.clone())
}

/// What speaks against it most, or else what it is for.
fn against_it(fit: &Fit, candidate: &Candidate<'_>) -> Text {
    let made_for = || text!["Its work: ", candidate.kind.good_for.clone(), "."];
    fit.objections().next().map_or_else(made_for, |finding| finding.words.clone())
}

pub(super) fn question(input: &AskInput<'_>, (food, cut): (&str, &str), luck: &mut Luck) -> Option<Question> {
    let Asked { food, cut, candidates, suggestion } = input.job(food, cut)?;
    let chosen = suggestion.setup?.knife;
    let best = suggestion.knives.iter().find(|option| option.knife == chosen && option.fit.fits())?;
    let choice = |candidate: &Candidate<'_>, right: bool, reason: Text| Choice {
        id: candidate.kind.id.clone(),
        words: candidate.label().into(),
        silhouette: Some(blade_silhouette(candidate.kind, candidate.length, candidate.heel_height)),
        right,
        reason,
    };
    let right_one = candidates.get(best.knife)?;
    let right = choice(right_one, true, for_it(&best.fit, right_one));
    // A type that does the work in another length is no wrong answer.
    let does_it = |kind: &str| {
        let of_type = suggestion.knives.iter().filter(|option| candidates.get(option.knife).is_some_and(|c| c.kind.id == kind));
        of_type.into_iter().any(|option| !option.fit.refused && option.fit.score >= NEARLY)
    };
    let mut wrong: Vec<(bool, Choice)> = Vec::new();
    for option in &suggestion.knives {
        let Some(candidate) = candidates.get(option.knife).filter(|candidate| candidate.sharp) else { continue };
        let id = &candidate.kind.id;
        if !does_it(id) && wrong.iter().all(|(_, each)| each.id != *id) {
            let of_board = candidate.kind.board != BoardWork::None;
            wrong.push((of_board, choice(candidate, false, against_it(&option.fit, candidate))));
        }
    }
    // Nobody takes a peeler for a knife: they are offered where too few others are wrong.
    if wrong.iter().filter(|(of_board, _)| *of_board).count() >= WRONG {
        wrong.retain(|(of_board, _)| *of_board);
    }
    let wrong = wrong.into_iter().map(|(_, choice)| choice).collect();
    let about = AskAbout::Knife { food: food.id.clone(), cut: cut.id.clone() };
    let asks = text!["Which knife for ", lower(&cut.of(&food.name)), "?"];
    Question::new((about, asks, None), right, wrong, luck)
}

/// A title in the middle of a sentence.
pub(super) fn lower(title: &str) -> String {
    let mut letters = title.chars();
    letters.next().map_or_else(String::new, |first| first.to_lowercase().chain(letters).collect())
}

/// Whether a type of knife does the job.
pub(super) fn does(input: &AskInput<'_>, (food, cut): (&str, &str), knife_type: &str) -> bool {
    let Some(asked) = input.job(food, cut) else { return false };
    let of_type = |knife: usize| asked.candidates.get(knife).is_some_and(|candidate| candidate.kind.id == knife_type);
    asked.suggestion.knives.iter().any(|option| of_type(option.knife) && !option.fit.refused && option.fit.score >= FITS)
}
