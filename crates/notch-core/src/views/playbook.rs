//! The Playbook: every cut against every knife, and what another doctrine would change.

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::{Catalogue, Cut, CutFamily, Doctrines, Food, Motion, Standing, Target, Touches};
use crate::fitting::{Candidate, FITS, Fixed, Job, KnifeSource, Proposal, Ways, Weighing, propose};
use crate::problem::Problem;
use crate::records::Student;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;
use crate::words::capital;

/// A knife of the matrix.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MatrixKnife {
    /// Id of the type.
    pub knife_type: String,
    /// Blade length.
    pub length: Millimetres,
    /// Label, e.g. `Chef's 200`.
    pub name: String,
    /// Numbers on the rack; none for a type of the catalogue.
    pub numbers: Vec<String>,
    /// Passed its last edge test.
    pub sharp: bool,
}

/// How a knife suits a cut.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MatrixCell {
    /// 0 to 100; for any food the mean over the foods that are cut so.
    pub score: u8,
    /// Refused; for any food, refused for each of them.
    pub refused: bool,
    /// Something speaks against it.
    pub warned: bool,
    /// The motion that suits it best; none for any food.
    pub motion: Option<Motion>,
    /// The weightiest reason, or for any food how many it fits.
    pub words: Text,
}

/// A cut of the matrix with a cell for each knife.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MatrixRow {
    /// Id of the cut.
    pub cut: String,
    /// Its name.
    pub name: String,
    /// Its family.
    pub family: CutFamily,
    /// Its sizes by the course's standards.
    pub target: Target,
    /// Taught on this food; an odd cut is shown to who asks for it.
    pub taught: bool,
    /// What it leaves.
    pub leaves: String,
    /// One for each knife.
    pub cells: Vec<MatrixCell>,
}

/// Cuts against knives, for one food or any.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Matrix {
    /// Id of the food; none for any.
    pub food: Option<String>,
    /// Columns.
    pub knives: Vec<MatrixKnife>,
    /// Rows: the cuts that are made of this food.
    pub rows: Vec<MatrixRow>,
    /// Least score that counts as fitting.
    pub fits: u8,
}

/// Works out the matrix for one food, or for all of them; the `odd` cuts of a food where they are asked for.
///
/// # Errors
/// An unknown food.
///
/// # Complexity
/// O(foods × cuts × knives × motions × rules); words are made for the best motion alone.
pub fn matrix(
    at_hand: &AtHand<'_>,
    food: Option<&str>,
    source: KnifeSource,
    student: Option<&Student>,
    odd: bool,
) -> Result<Matrix, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let foods: Vec<&Food> = match food {
        None => catalogue.foods.iter().collect(),
        Some(id) => match catalogue.food(id) {
            Some(food) => vec![food],
            None => return Err(vec![Problem::new("/food", "Food", id, "is not known", "a food of the catalogue, or any")]),
        },
    };
    let mut candidates = Candidate::all(at_hand, source);
    // As the catalogue has them, the longest first; a knife that failed its test comes last.
    let place = |kind: &str| catalogue.knives.iter().position(|each| each.id == kind);
    candidates.sort_by(|a, b| {
        let of_type = place(&a.kind.id).cmp(&place(&b.kind.id));
        b.sharp.cmp(&a.sharp).then(of_type).then(b.length.get().total_cmp(&a.length.get()))
    });
    let rows = match (food, foods.as_slice()) {
        (Some(_), [food]) => rows_of(at_hand, food, &candidates, student, odd),
        _ => rows_of_any(at_hand, &foods, &candidates, student),
    };
    Ok(Matrix { food: food.map(ToOwned::to_owned), rows, knives: candidates.iter().map(knife).collect(), fits: FITS })
}

/// The cuts of one food in the order of the work, odd ones after them where they are asked for.
fn rows_of(
    at_hand: &AtHand<'_>,
    food: &Food,
    candidates: &[Candidate<'_>],
    student: Option<&Student>,
    odd: bool,
) -> Vec<MatrixRow> {
    let cuts = |standing| at_hand.cuts_of(food, standing).map(move |found| (found, standing == Standing::Taught));
    let row = |((cut, target), taught): ((&Cut, Target), bool)| {
        let job = Job::of(at_hand, food, cut, target, student);
        let weighing = Weighing::of(&job);
        let cells = candidates.iter().map(|knife| cell(&weighing, knife));
        row(cut, target, taught, cells.collect())
    };
    cuts(Standing::Taught).chain(cuts(Standing::Odd).filter(|_| odd)).map(row).collect()
}

/// Every cut that some food is taught with.
fn rows_of_any(at_hand: &AtHand<'_>, foods: &[&Food], candidates: &[Candidate<'_>], student: Option<&Student>) -> Vec<MatrixRow> {
    let ways: Vec<Ways<'_>> = candidates.iter().map(Ways::of).collect();
    let of = |(cut, target): (&Cut, Target)| {
        let taking = foods.iter().filter(|food| food.is_taught_with(&cut.id));
        let jobs: Vec<Job<'_>> = taking.map(|food| Job::of(at_hand, food, cut, target, student)).collect();
        let weighed: Vec<Weighing<'_>> = jobs.iter().map(Weighing::of).collect();
        let cells = || ways.iter().map(|knife| cell_of_any(&weighed, knife)).collect();
        (!jobs.is_empty()).then(|| row(cut, target, true, cells()))
    };
    at_hand.taught().filter_map(of).collect()
}

fn row(cut: &Cut, target: Target, taught: bool, cells: Vec<MatrixCell>) -> MatrixRow {
    let (id, name, leaves) = (cut.id.clone(), cut.name.clone(), cut.leaves.clone());
    MatrixRow { cut: id, name, family: cut.family, target, taught, leaves, cells }
}

fn knife(candidate: &Candidate<'_>) -> MatrixKnife {
    MatrixKnife {
        knife_type: candidate.kind.id.clone(),
        length: candidate.length,
        name: candidate.label(),
        numbers: candidate.numbers.clone(),
        sharp: candidate.sharp,
    }
}

fn cell<'a>(weighing: &Weighing<'a>, knife: &'a Candidate<'a>) -> MatrixCell {
    let (motion, found) = weighing.gist(knife);
    MatrixCell { score: found.score, refused: found.refused, warned: found.warned, motion: Some(motion), words: found.words }
}

fn cell_of_any<'a>(weighed: &[Weighing<'a>], knife: &Ways<'a>) -> MatrixCell {
    let (mut sum, mut fit, mut refused) = (0, 0, 0);
    for score in weighed.iter().map(|weighing| weighing.best_score(knife)) {
        sum += usize::from(score.unwrap_or(0));
        fit += usize::from(score.is_some_and(|score| score >= FITS));
        refused += usize::from(score.is_none());
    }
    let foods = weighed.len();
    let mean = sum / foods.max(1);
    MatrixCell {
        score: u8::try_from(mean).unwrap_or(100),
        refused: refused == foods,
        warned: fit < foods,
        motion: None,
        words: text![format!("Fits {fit} of {foods} foods that are cut so; refused for {refused}.")],
    }
}

/// One suggestion that another doctrine changes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SuggestionChange {
    /// `Small dice of onion`.
    pub title: String,
    /// The setup as it is.
    pub before: Text,
    /// The setup as it would be.
    pub after: Text,
}

/// What another choice of doctrines changes.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct DoctrineChanges {
    /// Suggestions that change.
    pub changed: usize,
    /// Suggestions that were compared: each cut that is taught, of each food that is cut so.
    pub of: usize,
    /// Some of the changes, those of this course's exercises first.
    pub examples: Vec<SuggestionChange>,
    /// What changes in the care of knives and in the kit, in words.
    pub beside: Vec<String>,
}

/// Doctrines that are tried before they are saved.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TriedDoctrines {
    /// The doctrines.
    pub doctrines: Doctrines,
}

/// Most examples of changes.
const EXAMPLES: usize = 8;

/// Compares what is suggested now with what would be suggested with other doctrines, for each cut
/// and food with the knives of the rack. `first` are pairs of cut and food to tell first.
pub fn doctrine_changes(at_hand: &AtHand<'_>, tried: Doctrines, first: &[(String, String)]) -> DoctrineChanges {
    let mut course = at_hand.course.clone();
    course.fields.doctrines = tried;
    let after = AtHand { course: &course, ..*at_hand };
    let knives = Candidate::all(at_hand, KnifeSource::Rack);
    let mut changes: Vec<(bool, SuggestionChange)> = Vec::new();
    let mut of = 0;
    for food in &at_hand.catalogue.foods {
        for (cut, target) in at_hand.cuts_of(food, Standing::Taught) {
            of += 1;
            let told = |at_hand: &AtHand<'_>| {
                let job = Job::of(at_hand, food, cut, target, None);
                propose(&job, &knives, Fixed::default()).map(|found| in_words(at_hand.catalogue, &knives, &found))
            };
            let (now, then) = (told(at_hand).unwrap_or_default(), told(&after).unwrap_or_default());
            if now != then {
                let ours = first.iter().any(|(c, f)| *c == cut.id && *f == food.id);
                let title = cut.of(&food.name);
                changes.push((ours, SuggestionChange { title, before: now, after: then }));
            }
        }
    }
    changes.sort_by_key(|(ours, _)| !ours);
    DoctrineChanges {
        changed: changes.len(),
        of,
        examples: changes.into_iter().map(|(_, change)| change).take(EXAMPLES).collect(),
        beside: beside(at_hand.catalogue, &at_hand.course.fields.doctrines, &tried),
    }
}

fn in_words(catalogue: &Catalogue, knives: &[Candidate<'_>], found: &Proposal) -> Text {
    let handling = &catalogue.handling;
    let knife = knives.get(found.setup.knife).map_or_else(String::new, Candidate::label);
    let mut words = text![
        knife,
        " · ",
        handling.grip_name(found.setup.grip),
        " · ",
        handling.hold_name(found.setup.hold),
        " · ",
        handling.motion_name(found.setup.motion),
        " · ",
        found.score,
        " of 100"
    ];
    if found.refused {
        words.push(" · refused");
    }
    for note in &found.notes {
        words.push(" · ");
        words.push(note);
    }
    words
}

/// Names of the answers to questions that do not touch a setup.
fn beside(catalogue: &Catalogue, now: &Doctrines, then: &Doctrines) -> Vec<String> {
    let chosen = |doctrines: &Doctrines, question: &str| {
        let value = serde_json::to_value(doctrines).ok()?;
        let id = value.get(question)?.as_str()?.to_owned();
        let found = catalogue.doctrines.iter().find(|q| q.id == question)?;
        found.doctrines.iter().find(|doctrine| doctrine.id == id).map(|doctrine| doctrine.name.clone())
    };
    let apart = catalogue.doctrines.iter().filter(|q| q.touches != Touches::Setup && q.decided_by.is_none());
    apart
        .filter_map(|question| {
            let (before, after) = (chosen(now, &question.id)?, chosen(then, &question.id)?);
            (before != after).then(|| format!("{} {} → {}.", question.ask, capital(&before), after))
        })
        .collect()
}
