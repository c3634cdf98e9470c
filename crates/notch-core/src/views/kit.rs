//! The smallest kit for a course: its own cuts against the knife types.

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::KitSize;
use crate::fitting::{Candidate, FITS, Job, KnifeSource, Ways, Weighing};
use crate::kit::{Kit, KitError, KitGoal, KitJob, KitKnife, Nearest, Uncovered, smallest_kit};
use crate::problem::Problem;
use crate::records::Exercise;
use crate::words::capital;

/// A cut of a food.
#[derive(Clone, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CutOfFood {
    /// Id of the cut.
    pub cut: String,
    /// Id of the food.
    pub food: String,
}

/// A knife type to choose from, with its price.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PricedType {
    /// Id of the knife type; a usual length of it is meant.
    pub knife_type: String,
    /// What one costs, in the school's own currency, 0 to 100,000. Without it the type is left out of
    /// the search for the cheapest kit.
    pub cost: Option<f64>,
}

/// What a kit is asked for.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KitQuestion {
    /// Cuts to cover.
    pub jobs: Vec<CutOfFood>,
    /// Types to choose from; up to 24.
    pub knives: Vec<PricedType>,
    /// Least score that covers a cut, 1 to 100.
    pub least_fit: u8,
    /// Fewest, or cheapest.
    pub goal: KitGoal,
}

/// A cut of the course, by name.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KitCut {
    /// Cut and food.
    #[serde(flatten)]
    pub job: CutOfFood,
    /// `Julienne of carrot`.
    pub title: String,
}

/// A knife type with the price that the rack knows.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KitType {
    /// Type and price: the mean cost of those on the rack, where one has a cost.
    #[serde(flatten)]
    pub priced: PricedType,
    /// `Chef's 200`.
    pub name: String,
    /// How many are on the rack.
    pub on_rack: usize,
}

/// What a kit can be worked out from.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KitOptions {
    /// Cuts of the course's exercises, each once.
    pub jobs: Vec<KitCut>,
    /// Knife types.
    pub knives: Vec<KitType>,
    /// Knives that the course's doctrine holds to be enough; none where it is worked out.
    pub doctrine_says: Option<u8>,
    /// Fit from which a knife counts as fit for class, of 100.
    pub fits: u8,
}

/// A kit by names, or what stands in its way.
#[derive(Clone, Debug, PartialEq)]
pub struct KitView {
    /// Knives to choose from.
    pub knives: Vec<String>,
    /// Cuts to cover.
    pub jobs: Vec<String>,
    /// The kit.
    pub kit: Option<Kit>,
    /// Cuts that nothing covers.
    pub uncovered: Vec<Uncovered>,
}

fn title(at_hand: &AtHand<'_>, job: &CutOfFood) -> String {
    let cut = at_hand.catalogue.cut(&job.cut).map_or(job.cut.as_str(), |cut| cut.name.as_str());
    let food = at_hand.catalogue.food(&job.food).map_or(job.food.as_str(), |food| food.name.as_str());
    format!("{} of {food}", capital(cut))
}

/// The course's own cuts, and the types with their prices.
pub fn kit_options(at_hand: &AtHand<'_>, exercises: &[Exercise]) -> KitOptions {
    let mut jobs: Vec<CutOfFood> =
        exercises.iter().map(|each| CutOfFood { cut: each.fields.cut.clone(), food: each.fields.food.clone() }).collect();
    jobs.sort();
    jobs.dedup();
    let knives = at_hand.catalogue.knives.iter().map(|kind| {
        let same: Vec<_> = at_hand.knives.iter().filter(|knife| knife.fields.knife_type == kind.id).collect();
        let costs: Vec<f64> = same.iter().filter_map(|knife| knife.fields.cost).collect();
        let mean = costs.iter().sum::<f64>() / costs.len() as f64;
        let cost = (!costs.is_empty()).then(|| (mean * 100.0).round() / 100.0);
        KitType {
            priced: PricedType { knife_type: kind.id.clone(), cost },
            name: kind.label(kind.length.usual),
            on_rack: same.len(),
        }
    });
    KitOptions {
        jobs: jobs.into_iter().map(|job| KitCut { title: title(at_hand, &job), job }).collect(),
        knives: knives.collect(),
        fits: FITS,
        doctrine_says: match at_hand.course.fields.doctrines.kit_size {
            KitSize::Computed => None,
            KitSize::One => Some(1),
            KitSize::Three => Some(3),
            KitSize::Six => Some(6),
        },
    }
}

/// Works out a kit.
///
/// # Errors
/// Unknown cuts, foods or types, prices out of range, too many or none of them.
pub fn kit_view(at_hand: &AtHand<'_>, question: &KitQuestion) -> Result<KitView, Vec<Problem>> {
    let mut problems = Vec::new();
    let types = Candidate::all(at_hand, KnifeSource::Types);
    let mut chosen = Vec::new();
    let mut knives = Vec::new();
    for (index, priced) in question.knives.iter().enumerate() {
        let pointer = format!("/knives/{index}");
        match types.iter().find(|candidate| candidate.kind.id == priced.knife_type) {
            Some(_) if priced.cost.is_none() && matches!(question.goal, KitGoal::Cheapest { .. }) => {}
            Some(candidate) => {
                knives.push(KitKnife { name: candidate.label(), cost: priced.cost.unwrap_or(0.0) });
                chosen.push(candidate);
            }
            None => problems.push(Problem::new(
                pointer,
                "Knives to choose from",
                &priced.knife_type,
                "is not known",
                "a type of the catalogue",
            )),
        }
        if let Some(cost) = priced.cost.filter(|cost| !(0.0..=100_000.0).contains(cost)) {
            problems.push(Problem::new(format!("/knives/{index}/cost"), "Cost", cost, "is out of range", "0 to 100000"));
        }
    }
    problems.extend(Problem::unless_within("/least_fit", "Least fit that covers a cut", i64::from(question.least_fit), 1, 100));
    if let KitGoal::Cheapest { budget } = question.goal
        && !(0.0..=1_000_000.0).contains(&budget)
    {
        problems.push(Problem::new("/goal/budget", "Budget", budget, "is out of range", "0 to 1000000"));
    }
    let jobs = kit_jobs(at_hand, question, &chosen, &mut problems);
    if !problems.is_empty() {
        return Err(problems);
    }
    let names = |knives: Vec<KitKnife>, jobs: Vec<KitJob>| {
        (knives.into_iter().map(|knife| knife.name).collect(), jobs.into_iter().map(|job| job.name).collect())
    };
    match smallest_kit(&knives, &jobs, question.least_fit, question.goal) {
        Ok(kit) => {
            let (knives, jobs) = names(knives, jobs);
            Ok(KitView { knives, jobs, kit: Some(kit), uncovered: Vec::new() })
        }
        Err(KitError::Uncovered(found)) => {
            let uncovered = found.into_iter().map(|each| beyond_the_choice(at_hand, question, each)).collect();
            let (knives, jobs) = names(knives, jobs);
            Ok(KitView { knives, jobs, kit: None, uncovered })
        }
        Err(error @ KitError::TooLarge) => Err(vec![Problem::new(
            "/knives",
            "Knives to choose from",
            question.knives.len(),
            error.to_string(),
            "up to 24 types, 128 cuts",
        )]),
        Err(error @ KitError::NoJobs) => Err(vec![Problem::new("/jobs", "Cuts to cover", "", error.to_string(), "at least one")]),
    }
}

/// How well each knife does a cut of a food, 0 where it is refused; none for a cut that the course does not teach.
pub(super) fn scores_of<'k, 'c: 'k>(
    at_hand: &AtHand<'_>,
    each: &CutOfFood,
    knives: impl IntoIterator<Item = &'k Candidate<'c>>,
) -> Option<Vec<u8>> {
    let (food, cut) = (at_hand.catalogue.food(&each.food)?, at_hand.catalogue.cut(&each.cut)?);
    let job = Job::of(at_hand, food, cut, at_hand.target_of(cut, food)?, None);
    let weighing = Weighing::of(&job);
    Some(knives.into_iter().map(|knife| weighing.best_score(&Ways::of(knife)).unwrap_or(0)).collect())
}

/// The cuts to cover, with how well each knife does them.
fn kit_jobs(at_hand: &AtHand<'_>, question: &KitQuestion, chosen: &[&Candidate<'_>], problems: &mut Vec<Problem>) -> Vec<KitJob> {
    let mut jobs = Vec::new();
    for (index, each) in question.jobs.iter().enumerate() {
        let Some(scores) = scores_of(at_hand, each, chosen.iter().copied()) else {
            let value = format!("{} of {}", each.cut, each.food);
            let allowed = "cuts that the course teaches, of foods of the catalogue";
            problems.push(Problem::new(format!("/jobs/{index}"), "Cuts to cover", value, "is not known here", allowed));
            continue;
        };
        jobs.push(KitJob { name: title(at_hand, each), scores });
    }
    jobs
}

/// What would cover a cut, of all types and not only of those that were to choose from.
fn beyond_the_choice(at_hand: &AtHand<'_>, question: &KitQuestion, found: Uncovered) -> Uncovered {
    let asked = question.jobs.get(found.job);
    let best = asked.and_then(|each| {
        let types = Candidate::all(at_hand, KnifeSource::Types);
        let scores = scores_of(at_hand, each, &types)?;
        let scored = types.iter().zip(scores).filter(|(_, score)| *score > 0);
        scored.map(|(knife, score)| Nearest { knife: knife.label(), score }).max_by_key(|nearest| nearest.score)
    });
    Uncovered { nearest: best.or(found.nearest), ..found }
}
