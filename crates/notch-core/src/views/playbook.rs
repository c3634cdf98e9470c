//! The Playbook: every cut against every knife, and what another school would change.

use serde::{Deserialize, Serialize};

use super::advice::{FITS, KnifeSource, School, candidates, job, label};
use crate::catalogue::{Catalogue, Cut, CutFamily, Food, Motion, Schools, Shape, Skin};
use crate::fitting::{Candidate, Job, Proposal, best_score, gist, propose};
use crate::problem::Problem;
use crate::records::Student;
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
    pub words: String,
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
    /// Its size by the course's standards; empty where it has none.
    pub size: String,
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

impl Food {
    /// Whether a cut is made of this food at all; whether a knife suits it is for the rules.
    ///
    /// Bundles of herbs are sliced into ribbons or chopped; leaves and layers make ribbons; only
    /// food with a core is cored, only citrus is segmented; loaves, herbs, meat and fish are not
    /// peeled; roots and the like are turned.
    pub fn takes(&self, cut: &Cut) -> bool {
        let bundle = matches!(self.shape, Shape::Bundle { .. });
        let loaf = self.skin == Skin::Crust;
        let citrus = self.cautions.iter().any(|caution| caution == "start_then_bridge");
        let leaves = bundle || self.hard_stem && self.density < 0.9 || matches!(self.shape, Shape::LayeredCylinder { .. });
        match cut.id.as_str() {
            "chiffonade" => leaves,
            "peel" => !bundle && !loaf && !self.raw_animal,
            "core" => {
                matches!(self.shape, Shape::Ball { core: Some(_), .. } | Shape::Sheet { .. } | Shape::Cone { .. })
                    || self.hard_stem
            }
            "segment" => citrus,
            "turned" => self.firmness >= 3 && !self.raw_animal && !loaf && !matches!(self.shape, Shape::Stalk { .. }),
            "wedges" => matches!(
                self.shape,
                Shape::Ball { .. } | Shape::LayeredBall { .. } | Shape::Ellipsoid { .. } | Shape::Cylinder { .. }
            ),
            "paste" => !loaf && !self.raw_animal && self.firmness <= 4 && self.length() <= Millimetres::whole(130),
            _ => match cut.family {
                CutFamily::Strips | CutFamily::Dice | CutFamily::Slices => {
                    let on_the_bone = self.bone && cut.family != CutFamily::Slices;
                    !bundle && !on_the_bone
                }
                CutFamily::Chop => !loaf && self.firmness <= 4,
                CutFamily::Hand => false,
            },
        }
    }
}

/// Works out the matrix for one food, or for all of them.
///
/// # Errors
/// An unknown food.
///
/// # Complexity
/// O(foods × cuts × knives × motions × rules); words are made for the best motion alone.
pub fn matrix(
    school: &School<'_>,
    food: Option<&str>,
    source: KnifeSource,
    student: Option<&Student>,
) -> Result<Matrix, Vec<Problem>> {
    let catalogue = school.catalogue;
    let foods: Vec<&Food> = match food {
        None => catalogue.foods.iter().collect(),
        Some(id) => match catalogue.food(id) {
            Some(food) => vec![food],
            None => return Err(vec![Problem::new("/food", "food", id, "is not known", "a food of the catalogue, or any")]),
        },
    };
    let mut candidates = candidates(school, source);
    // As the catalogue has them, the longest first; a knife that failed its test comes last.
    let place = |kind: &str| catalogue.knives.iter().position(|each| each.id == kind);
    candidates.sort_by(|a, b| {
        let of_type = place(&a.kind.id).cmp(&place(&b.kind.id));
        b.sharp.cmp(&a.sharp).then(of_type).then(b.length.get().total_cmp(&a.length.get()))
    });
    let one = food.is_some();
    let rows = taught(school).filter_map(|(cut, size)| {
        let jobs: Vec<Job<'_>> = foods
            .iter()
            .filter(|food| food.takes(cut))
            .filter_map(|food| Some(job(school, food, cut, target_of(school, cut)?, student)))
            .collect();
        if jobs.is_empty() {
            return None;
        }
        let cells = candidates.iter().map(|knife| match jobs.as_slice() {
            [job] if one => cell(job, knife),
            _ => cell_of_any(&jobs, knife),
        });
        Some(MatrixRow { cut: cut.id.clone(), name: cut.name.clone(), family: cut.family, size, cells: cells.collect() })
    });
    Ok(Matrix {
        food: food.map(ToOwned::to_owned),
        rows: rows.collect(),
        knives: candidates.iter().map(knife).collect(),
        fits: FITS,
    })
}

fn target_of(school: &School<'_>, cut: &Cut) -> Option<crate::catalogue::Target> {
    school.catalogue.target(&school.course.fields.standard_set, &cut.id)
}

/// The cuts that the course's standards teach, with their sizes.
fn taught<'a>(school: &'a School<'a>) -> impl Iterator<Item = (&'a Cut, String)> {
    school.catalogue.cuts.iter().filter_map(|cut| Some((cut, target_of(school, cut)?.written())))
}

fn knife(candidate: &Candidate<'_>) -> MatrixKnife {
    MatrixKnife {
        knife_type: candidate.kind.id.clone(),
        length: candidate.length,
        name: label(candidate.kind, candidate.length),
        numbers: candidate.numbers.clone(),
        sharp: candidate.sharp,
    }
}

fn cell(job: &Job<'_>, knife: &Candidate<'_>) -> MatrixCell {
    let (motion, found) = gist(job, knife);
    MatrixCell { score: found.score, refused: found.refused, warned: found.warned, motion: Some(motion), words: found.words }
}

fn cell_of_any(jobs: &[Job<'_>], knife: &Candidate<'_>) -> MatrixCell {
    let scores: Vec<Option<u8>> = jobs.iter().map(|job| best_score(job, knife)).collect();
    let fit = scores.iter().flatten().filter(|score| **score >= FITS).count();
    let refused = scores.iter().filter(|score| score.is_none()).count();
    let sum: u32 = scores.iter().flatten().map(|score| u32::from(*score)).sum();
    let mean = sum / u32::try_from(scores.len().max(1)).unwrap_or(1);
    MatrixCell {
        score: u8::try_from(mean).unwrap_or(100),
        refused: refused == scores.len(),
        warned: fit < scores.len(),
        motion: None,
        words: format!("Fits {fit} of {} foods that are cut so; refused for {refused}.", scores.len()),
    }
}

/// One suggestion that another school changes.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SuggestionChange {
    /// `Small dice of onion`.
    pub title: String,
    /// The setup as it is.
    pub before: String,
    /// The setup as it would be.
    pub after: String,
}

/// What another choice of schools changes.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SchoolChanges {
    /// Suggestions that change.
    pub changed: usize,
    /// Suggestions that were compared: each cut that is taught, of each food that is cut so.
    pub of: usize,
    /// Some of the changes, those of this course's exercises first.
    pub examples: Vec<SuggestionChange>,
    /// What changes in the care of knives and in the kit, in words.
    pub beside: Vec<String>,
}

/// Schools that are tried before they are saved.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TriedSchools {
    /// The schools.
    pub schools: Schools,
}

/// Most examples of changes.
const EXAMPLES: usize = 8;

/// Compares what is suggested now with what would be suggested with other schools, for each cut
/// and food with the knives of the rack. `first` are pairs of cut and food to tell first.
pub fn school_changes(school: &School<'_>, tried: Schools, first: &[(String, String)]) -> SchoolChanges {
    let mut course = school.course.clone();
    course.fields.schools = tried;
    let after = School { course: &course, ..*school };
    let knives = candidates(school, KnifeSource::Rack);
    let mut changes: Vec<(bool, SuggestionChange)> = Vec::new();
    let mut of = 0;
    for (cut, _) in taught(school) {
        let Some(target) = target_of(school, cut) else { continue };
        for food in school.catalogue.foods.iter().filter(|food| food.takes(cut)) {
            of += 1;
            let told = |school: &School<'_>| {
                let job = job(school, food, cut, target, None);
                propose(&job, &knives).map(|found| in_words(school.catalogue, &knives, &found))
            };
            let (now, then) = (told(school).unwrap_or_default(), told(&after).unwrap_or_default());
            if now != then {
                let ours = first.iter().any(|(c, f)| *c == cut.id && *f == food.id);
                let title = format!("{} of {}", capital(&cut.name), food.name);
                changes.push((ours, SuggestionChange { title, before: now, after: then }));
            }
        }
    }
    changes.sort_by_key(|(ours, _)| !ours);
    SchoolChanges {
        changed: changes.len(),
        of,
        examples: changes.into_iter().map(|(_, change)| change).take(EXAMPLES).collect(),
        beside: beside(school.catalogue, &school.course.fields.schools, &tried),
    }
}

fn in_words(catalogue: &Catalogue, knives: &[Candidate<'_>], found: &Proposal) -> String {
    let handling = &catalogue.handling;
    let knife = knives.get(found.setup.knife).map_or_else(String::new, |knife| label(knife.kind, knife.length));
    let mut words = format!(
        "{knife} · {} · {} · {} · {} of 100",
        handling.grip_name(found.setup.grip),
        handling.hold_name(found.setup.hold),
        handling.motion_name(found.setup.motion),
        found.score
    );
    if found.refused {
        words.push_str(" · refused");
    }
    for note in &found.notes {
        words.push_str(" · ");
        words.push_str(note);
    }
    words
}

/// Names of the answers to questions that do not touch a setup.
fn beside(catalogue: &Catalogue, now: &Schools, then: &Schools) -> Vec<String> {
    let chosen = |schools: &Schools, question: &str| {
        let value = serde_json::to_value(schools).ok()?;
        let id = value.get(question)?.as_str()?.to_owned();
        let found = catalogue.schools.iter().find(|q| q.id == question)?;
        found.schools.iter().find(|school| school.id == id).map(|school| school.name.clone())
    };
    let apart = catalogue.schools.iter().filter(|q| q.touches != crate::catalogue::Touches::Setup && q.decided_by.is_none());
    apart
        .filter_map(|question| {
            let (before, after) = (chosen(now, &question.id)?, chosen(then, &question.id)?);
            (before != after).then(|| format!("{} {} → {}.", question.ask, capital(&before), after))
        })
        .collect()
}
