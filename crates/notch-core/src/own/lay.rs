//! Lays a school's own values over the shipped catalogue.

use std::collections::BTreeMap;

use super::sizes::parse_size;
use super::{OwnRecord, OwnValue, SizeTexts};
use crate::catalogue::{Catalogue, CatalogueError, ProgressRules, StandardSet, Target, Tolerance};
use crate::problem::Problem;
use crate::words::capital;

/// Lays a school's own values over the shipped catalogue.
///
/// # Errors
/// Each value that cannot be taken: sizes that are no sizes, ids that are not known, figures out of
/// range.
pub fn with_own(shipped: &Catalogue, own: &[OwnValue]) -> Result<Catalogue, Vec<Problem>> {
    let mut catalogue = shipped.clone();
    let mut problems = Vec::new();
    for value in own {
        lay(&mut catalogue, shipped, value, &mut problems);
    }
    if problems.is_empty() {
        problems.extend(catalogue.check().err().map(told).unwrap_or_default());
    }
    if problems.is_empty() { Ok(catalogue) } else { Err(problems) }
}

/// An own value that no longer fits, as an upgrade can leave one behind.
#[derive(Clone, Debug, PartialEq)]
pub struct SetAside {
    /// The value as kept.
    pub record: OwnRecord,
    /// Why it is not laid over the catalogue.
    pub problems: Vec<Problem>,
}

/// The catalogue in force: what was shipped with those own values laid over it that fit.
#[derive(Clone, Debug)]
pub struct InForce {
    /// The catalogue.
    pub catalogue: Catalogue,
    /// Own values that do not fit; the shipped ones stand in their place.
    pub set_aside: Vec<SetAside>,
}

/// Lays over the shipped catalogue what fits of a school's own values, and sets the rest aside: one
/// value that no longer fits never takes the others with it.
pub fn in_force(shipped: &Catalogue, own: &[OwnRecord]) -> InForce {
    let mut found = InForce { catalogue: shipped.clone(), set_aside: Vec::new() };
    for record in own {
        let laid = match &record.value {
            Ok(value) => laid_over(&found.catalogue, shipped, value),
            Err(_) => {
                let sentence = "It cannot be read: another version of this program wrote it.";
                Err(vec![Problem::said("/value", "Own value", "", sentence.into(), "drop it, or keep it anew")])
            }
        };
        match laid {
            Ok(catalogue) => found.catalogue = catalogue,
            Err(problems) => found.set_aside.push(SetAside { record: record.clone(), problems }),
        }
    }
    found
}

fn laid_over(catalogue: &Catalogue, shipped: &Catalogue, value: &OwnValue) -> Result<Catalogue, Vec<Problem>> {
    let mut next = catalogue.clone();
    let mut problems = Vec::new();
    lay(&mut next, shipped, value, &mut problems);
    if problems.is_empty() {
        problems.extend(next.check().err().map(told).unwrap_or_default());
    }
    if problems.is_empty() { Ok(next) } else { Err(problems) }
}

fn told(error: CatalogueError) -> Vec<Problem> {
    let mistakes = match error {
        CatalogueError::Wrong(mistakes) => mistakes,
        CatalogueError::Unreadable { why, .. } => vec![why],
    };
    let problem = |mistake: String| {
        let sentence = format!("Out of range or not known: {mistake}.");
        Problem::said("", "Own value", "", sentence.into(), "figures within the ranges of the catalogue")
    };
    mistakes.into_iter().map(problem).collect()
}

fn replace<T>(all: &mut Vec<T>, is_it: impl Fn(&T) -> bool, new: T) {
    match all.iter_mut().find(|each| is_it(each)) {
        Some(kept) => *kept = new,
        None => all.push(new),
    }
}

fn lay(catalogue: &mut Catalogue, shipped: &Catalogue, value: &OwnValue, problems: &mut Vec<Problem>) {
    let before = problems.len();
    match value {
        OwnValue::StandardSet { id, name, based_on, sizes } => {
            problems.extend(Problem::unless_text("/name", "Name of a copy", name, 60));
            let Some(base) = shipped.set(based_on) else {
                return problems.push(unknown("/based_on", "Set of standards", based_on));
            };
            let cuts = read_sizes(catalogue, sizes, problems);
            if problems.len() == before {
                let set = StandardSet { id: id.clone(), name: name.trim().to_owned(), why: base.why.clone(), cuts };
                replace(&mut catalogue.sets, |set| set.id == *id, set);
            }
        }
        OwnValue::Tolerance { id, name, share, floor, even_cv, .. } => {
            problems.extend(Problem::unless_text("/name", "Name of a copy", name, 60));
            let within = |pointer: &str, name: &str, value: f64, most: f64| {
                (!(value > 0.0 && value <= most))
                    .then(|| Problem::new(pointer, name, value, "is out of range", format!("above 0, up to {most}")))
            };
            problems.extend(within("/share", "Share of the size, 0 to 1", *share, 0.95));
            problems.extend(within("/even_cv", "Even up to a spread (CV) of", *even_cv, 1.0));
            problems.extend(within("/floor", "But at least", floor.get(), 20.0));
            if problems.len() == before {
                let profile =
                    Tolerance { id: id.clone(), name: name.trim().to_owned(), share: *share, floor: *floor, even_cv: *even_cv };
                replace(&mut catalogue.tolerances, |tolerance| tolerance.id == *id, profile);
            }
        }
        OwnValue::Food { based_on, food } => {
            problems.extend(Problem::unless_text("/food/name", "Name of a copy", &food.name, 60));
            let Some(base) = shipped.food(based_on) else { return problems.push(unknown("/based_on", "Food", based_on)) };
            if problems.len() == before {
                replace(&mut catalogue.foods, |each| each.id == food.id, food.over(base));
            }
        }
        OwnValue::Cue { id, cue } => {
            problems.extend(Problem::unless_text("/cue", "Cue", cue, 160));
            match catalogue.faults.iter_mut().find(|fault| fault.id == *id) {
                Some(fault) => fault.cue = cue.trim().to_owned(),
                None => problems.push(unknown("/id", "Fault", id)),
            }
        }
        OwnValue::Thresholds { thresholds } => {
            check_thresholds(thresholds, problems);
            catalogue.progress = thresholds.clone();
            // Thresholds of before the special clearance was a rung of the ladder have none.
            if catalogue.progress.special_rung().is_none() {
                catalogue.progress.ladder.extend(shipped.progress.special_rung().cloned());
            }
        }
    }
}

fn check_thresholds(thresholds: &ProgressRules, problems: &mut Vec<Problem>) {
    let limits = [
        ("/thresholds/clean_attempts", "Safe: clean attempts in a row", thresholds.clean_attempts, 20),
        ("/thresholds/true_pieces", "True: blind pieces looked back on", thresholds.true_pieces, 500),
        ("/thresholds/even_attempts", "Even: attempts looked back on", thresholds.even_attempts, 20),
    ];
    for (pointer, name, value, most) in limits {
        let value = i64::try_from(value).unwrap_or(i64::MAX);
        problems.extend(Problem::unless_within(pointer, name, value, 1, most));
    }
    let share = thresholds.true_wilson;
    if !(share > 0.0 && share < 1.0) {
        problems.push(Problem::new(
            "/thresholds/true_wilson",
            "True: share that must be proven",
            share,
            "is out of range",
            "above 0, below 1",
        ));
    }
    let days = thresholds.held_days;
    problems.extend(Problem::unless_within("/thresholds/held_days", "Held: days until it is shown again", days, 1, 365));
}

fn unknown(pointer: &str, what: &str, id: &str) -> Problem {
    Problem::new(pointer, what, id, "is not known", format!("a {} of the catalogue", what.to_lowercase()))
}

pub(super) fn read_sizes(
    catalogue: &Catalogue,
    sizes: &BTreeMap<String, SizeTexts>,
    problems: &mut Vec<Problem>,
) -> BTreeMap<String, Target> {
    let mut cuts = BTreeMap::new();
    for (cut, texts) in sizes {
        let Some(known) = catalogue.cut(cut) else {
            problems.push(unknown("/sizes", "Cut", cut));
            continue;
        };
        let mut side = |name: &str, text: &str| match parse_size(text) {
            Ok(size) => size,
            Err(why) => {
                let allowed = "a size (3.2, 1/8 in), a range (2-5), or a limit (under 3)";
                problems.push(Problem::new(
                    format!("/sizes/{cut}/{name}"),
                    &format!("{}, {name}", capital(&known.name)),
                    text,
                    why,
                    allowed,
                ));
                None
            }
        };
        let target = Target {
            thickness: side("thickness", &texts.thickness),
            width: side("width", &texts.width),
            length: side("length", &texts.length),
        };
        cuts.insert(cut.clone(), target);
    }
    if cuts.is_empty() {
        problems.push(Problem::new("/sizes", "Sizes", "", "was given", "at least one cut with its size"));
    }
    cuts
}
