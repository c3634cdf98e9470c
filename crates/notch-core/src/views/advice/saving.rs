//! Whether a choice may be saved, and the warnings that are kept with it.

use std::collections::BTreeSet;

use super::{Advice, AdviceChoice, advise};
use crate::at_hand::AtHand;
use crate::fitting::{Fit, Rated, Setup, Suggestion};
use crate::problem::Problem;
use crate::records::{ExerciseFields, KeptWarning};

/// Checks a choice that is to be saved and gives the warnings that go with it.
///
/// # Errors
/// As [`advise`]; and each refusal, at the field that it is about.
pub fn check_choice(at_hand: &AtHand<'_>, fields: &ExerciseFields) -> Result<Vec<KeptWarning>, Vec<Problem>> {
    let problems = fields.check(at_hand.catalogue, &at_hand.course.fields.standard_set);
    if !problems.is_empty() {
        return Err(problems);
    }
    let advice = advise(at_hand, &AdviceChoice::from(fields))?;
    if !advice.refused {
        return Ok(advice.warnings);
    }
    Err(refusals(&advice, fields))
}

/// Each refusal at the field that it is about; a refusal of the motion is also one of the knife with that
/// motion, and told once.
fn refusals(advice: &Advice, fields: &ExerciseFields) -> Vec<Problem> {
    fn chosen<T: PartialEq>(rated: &[Rated<T>], value: T) -> Option<(&str, &Fit)> {
        rated.iter().find(|each| each.value == value).map(|each| (each.name.as_str(), &each.fit))
    }
    let knife = advice.knife.and_then(|index| advice.knives.get(index)).map(|knife| (knife.name.as_str(), &knife.fit));
    let fields = [
        ("/motion", "Motion", chosen(&advice.motions, fields.motion)),
        ("/knife_type", "Knife", knife),
        ("/grip", "Knife-hand grip", chosen(&advice.grips, fields.grip)),
        ("/hold", "Guide-hand hold", chosen(&advice.holds, fields.hold)),
        ("/third", "Third of the blade", chosen(&advice.thirds, fields.third)),
    ];
    let mut told: BTreeSet<&str> = BTreeSet::new();
    let mut problems = Vec::new();
    for (pointer, name, found) in fields {
        let Some((value, fit)) = found else { continue };
        for finding in fit.refusals().filter(|finding| told.insert(finding.rule)) {
            let allowed = format!("another {}", name.to_lowercase());
            problems.push(Problem::said(pointer, name, value, finding.words.clone(), allowed).by_rule(finding.rule));
        }
    }
    problems
}

/// Every objection to the setup, refusals first.
fn objections(found: &Suggestion, setup: Setup) -> Vec<(&'static str, Vec<KeptWarning>)> {
    fn of(fit: Option<&Fit>) -> Vec<KeptWarning> {
        let found = fit.into_iter().flat_map(Fit::objections);
        found.map(|finding| KeptWarning { rule: finding.rule.to_owned(), words: finding.words.clone() }).collect()
    }
    fn chosen<T: PartialEq>(choices: &[Rated<T>], value: T) -> Option<&Fit> {
        choices.iter().find(|choice| choice.value == value).map(|choice| &choice.fit)
    }
    let knife = found.knives.iter().find(|option| option.knife == setup.knife).map(|option| &option.fit);
    let motion = of(chosen(&found.motions, setup.motion));
    // The knife's fit includes its motion: what the motion says is told once, at the motion.
    let knife: Vec<KeptWarning> = of(knife).into_iter().filter(|warning| !motion.contains(warning)).collect();
    vec![
        ("/knife_type", knife),
        ("/motion", motion),
        ("/grip", of(chosen(&found.grips, setup.grip))),
        ("/hold", of(chosen(&found.holds, setup.hold))),
        ("/third", of(chosen(&found.thirds, setup.third))),
    ]
}

pub(super) fn warnings(found: &Suggestion, setup: Setup) -> Vec<KeptWarning> {
    objections(found, setup).into_iter().flat_map(|(_, warnings)| warnings).collect()
}
