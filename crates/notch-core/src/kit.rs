//! The smallest kit: the fewest knives, or the cheapest, that cover a course's own cuts.
//!
//! A knife covers a cut if it fits it at least as well as asked. The search is complete: it tries
//! one knife, then two, and so on, and each number is ruled out before the next is tried, so a kit
//! that is found is proven smallest.

use serde::{Deserialize, Serialize};
use thiserror::Error;

/// Most knives to choose from.
pub const MOST_KNIVES: usize = 24;
/// Most cuts to cover.
pub const MOST_JOBS: usize = 128;
/// Knives up to which the best kit of each size is worked out.
const STEPS: usize = 6;

/// A knife to choose from.
#[derive(Clone, Debug, PartialEq)]
pub struct KitKnife {
    /// Label.
    pub name: String,
    /// What it costs, in the school's own currency, at least 0.
    pub cost: f64,
}

/// A cut to cover.
#[derive(Clone, Debug, PartialEq)]
pub struct KitJob {
    /// Title, e.g. `Julienne of carrot`.
    pub name: String,
    /// Score of each knife, 0 where it is refused; as many as there are knives.
    pub scores: Vec<u8>,
}

/// What is wanted of a kit.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum KitGoal {
    /// The fewest knives; of equal numbers the one that fits better, then the cheaper.
    Fewest,
    /// The lowest cost; within `budget`, in the school's own currency.
    Cheapest {
        /// Most that may be spent.
        budget: f64,
    },
}

/// A cut that no knife covers.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Uncovered {
    /// Index of the cut among those to cover.
    pub job: usize,
    /// The knife that comes nearest, with its score; none if all are refused.
    pub nearest: Option<Nearest>,
}

/// A knife with its score.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Nearest {
    /// Label of the knife.
    pub knife: String,
    /// Its score, 1 to 100.
    pub score: u8,
}

/// Why there is no kit.
#[derive(Clone, Debug, PartialEq, Error)]
pub enum KitError {
    /// Too many knives or cuts, or scores that do not match them.
    #[error("a kit is worked out for up to {MOST_KNIVES} knives and {MOST_JOBS} cuts")]
    TooLarge,
    /// No cut was named.
    #[error("there is no cut to cover: choose exercises first")]
    NoJobs,
    /// Cuts that no knife covers.
    #[error("{} cuts are covered by no knife", .0.len())]
    Uncovered(Vec<Uncovered>),
}

/// The best kit of one size.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KitStep {
    /// Indices of its knives.
    pub knives: Vec<usize>,
    /// Cuts that it covers.
    pub covered: usize,
    /// Indices of cuts that it covers and the best kit of one knife fewer does not.
    pub adds: Vec<usize>,
    /// Mean of the best score over all cuts, uncovered ones as 0.
    pub mean_score: f64,
}

/// A kit with its proof.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Kit {
    /// Indices of its knives, the one that covers most first.
    pub knives: Vec<usize>,
    /// What it costs.
    pub cost: f64,
    /// Whether it keeps within the budget, where there is one.
    pub within_budget: bool,
    /// For each cut, the index of the knife that fits it best.
    pub used_for: Vec<usize>,
    /// The best kit of 1, 2, 3 … knives.
    pub steps: Vec<KitStep>,
    /// Kits that were looked at to rule out smaller or cheaper ones.
    pub looked_at: u64,
}

/// Works out a kit in which each job is covered by a knife that scores at least `least_fit`.
///
/// # Errors
/// [`KitError::Uncovered`] names each job that nothing covers, with what comes nearest.
///
/// # Complexity
/// A minimum hitting set: exponential in the size of the kit, bounded by a count of jobs that share
/// no knife. The steps take the best of all kits of up to six knives.
pub fn smallest_kit(knives: &[KitKnife], jobs: &[KitJob], least_fit: u8, goal: KitGoal) -> Result<Kit, KitError> {
    if knives.len() > MOST_KNIVES || jobs.len() > MOST_JOBS || jobs.iter().any(|job| job.scores.len() != knives.len()) {
        return Err(KitError::TooLarge);
    }
    if jobs.is_empty() {
        return Err(KitError::NoJobs);
    }
    let least = least_fit.max(1);
    let masks: Vec<u32> = jobs.iter().map(|job| mask_of(&job.scores, least)).collect();
    let uncovered: Vec<Uncovered> = (0..)
        .zip(jobs)
        .zip(&masks)
        .filter(|(_, mask)| **mask == 0)
        .map(|((index, job), _)| nearest(knives, index, job))
        .collect();
    if !uncovered.is_empty() {
        return Err(KitError::Uncovered(uncovered));
    }
    let mut search = Search { knives, jobs, masks: &masks, best: None, looked_at: 0 };
    match goal {
        KitGoal::Fewest => {
            for size in 1..=knives.len() {
                search.of_size(0, size);
                if search.best.is_some() {
                    break;
                }
            }
        }
        KitGoal::Cheapest { .. } => search.cheapest(0, 0.0),
    }
    let looked_at = search.looked_at;
    let chosen = search.best.map_or(0, |best| best.mask);
    let mut kit: Vec<usize> = (0..knives.len()).filter(|index| chosen >> index & 1 == 1).collect();
    kit.sort_by_key(|index| std::cmp::Reverse(masks.iter().filter(|mask| *mask >> index & 1 == 1).count()));
    let cost = cost_of(knives, chosen);
    let within_budget = match goal {
        KitGoal::Fewest => true,
        KitGoal::Cheapest { budget } => cost <= budget,
    };
    let used_for = jobs.iter().map(|job| best_for(job, &kit)).collect();
    Ok(Kit { used_for, steps: steps(knives.len(), jobs, least), knives: kit, cost, within_budget, looked_at })
}

fn mask_of(scores: &[u8], least: u8) -> u32 {
    scores.iter().enumerate().filter(|(_, score)| **score >= least).fold(0, |mask, (index, _)| mask | 1 << index)
}

fn nearest(knives: &[KitKnife], index: usize, job: &KitJob) -> Uncovered {
    let best = job.scores.iter().zip(knives).filter(|(score, _)| **score > 0).max_by_key(|(score, _)| **score);
    Uncovered { job: index, nearest: best.map(|(score, knife)| Nearest { knife: knife.name.clone(), score: *score }) }
}

fn cost_of(knives: &[KitKnife], mask: u32) -> f64 {
    knives.iter().enumerate().filter(|(index, _)| mask >> index & 1 == 1).map(|(_, knife)| knife.cost.max(0.0)).sum()
}

fn best_for(job: &KitJob, kit: &[usize]) -> usize {
    let score = |index: usize| job.scores.get(index).copied().unwrap_or(0);
    kit.iter().copied().reduce(|best, next| if score(next) > score(best) { next } else { best }).unwrap_or(0)
}

/// A kit that covers everything, with what it is ranked by.
#[derive(Clone, Copy)]
struct FoundKit {
    mask: u32,
    score: u32,
    cost: f64,
}

struct Search<'a> {
    knives: &'a [KitKnife],
    jobs: &'a [KitJob],
    masks: &'a [u32],
    best: Option<FoundKit>,
    looked_at: u64,
}

impl Search<'_> {
    /// The uncovered job with the fewest knives to choose from.
    fn tightest(&self, picked: u32) -> Option<u32> {
        self.masks.iter().copied().filter(|mask| mask & picked == 0).min_by_key(|mask| mask.count_ones())
    }

    /// Uncovered jobs of which no two share a knife: each needs a knife of its own.
    fn needs_at_least(&self, picked: u32) -> usize {
        let mut taken = 0u32;
        let mut open: Vec<u32> = self.masks.iter().copied().filter(|mask| mask & picked == 0).collect();
        open.sort_by_key(|mask| mask.count_ones());
        open.into_iter()
            .filter(|mask| {
                let apart = mask & taken == 0;
                if apart {
                    taken |= mask;
                }
                apart
            })
            .count()
    }

    fn score_of(&self, mask: u32) -> u32 {
        let best = |job: &KitJob| {
            let held = job.scores.iter().enumerate().filter(|(index, _)| mask >> index & 1 == 1);
            held.map(|(_, score)| u32::from(*score)).max().unwrap_or(0)
        };
        self.jobs.iter().map(best).sum()
    }

    fn of_size(&mut self, picked: u32, left: usize) {
        self.looked_at += 1;
        let Some(options) = self.tightest(picked) else {
            let found = FoundKit { mask: picked, score: self.score_of(picked), cost: cost_of(self.knives, picked) };
            let better = self.best.is_none_or(|best| (found.score, -found.cost) > (best.score, -best.cost));
            if better {
                self.best = Some(found);
            }
            return;
        };
        if left == 0 || self.needs_at_least(picked) > left {
            return;
        }
        for index in 0..self.knives.len() {
            if options >> index & 1 == 1 {
                self.of_size(picked | 1 << index, left - 1);
            }
        }
    }

    fn cheapest(&mut self, picked: u32, cost: f64) {
        self.looked_at += 1;
        if self.best.is_some_and(|best| cost > best.cost) {
            return;
        }
        let Some(options) = self.tightest(picked) else {
            let found = FoundKit { mask: picked, score: self.score_of(picked), cost };
            if self.best.is_none_or(|best| (-found.cost, found.score) > (-best.cost, best.score)) {
                self.best = Some(found);
            }
            return;
        };
        for index in 0..self.knives.len() {
            if options >> index & 1 == 1 {
                let more = self.knives.get(index).map_or(0.0, |knife| knife.cost.max(0.0));
                self.cheapest(picked | 1 << index, cost + more);
            }
        }
    }
}

/// The best kit of each size from one knife on: most jobs covered, then the better fit.
fn steps(knives: usize, jobs: &[KitJob], least: u8) -> Vec<KitStep> {
    let mut found: Vec<KitStep> = Vec::new();
    let mut before = vec![false; jobs.len()];
    for size in 1..=STEPS.min(knives) {
        let mut best = Best { knives: Vec::new(), rank: (0, 0) };
        best_of_size(jobs, least, (0, knives), size, &mut Vec::new(), &vec![0; jobs.len()], &mut best);
        let score = |job: &KitJob| best.knives.iter().filter_map(|index| job.scores.get(*index)).copied().max().unwrap_or(0);
        let covers: Vec<bool> = jobs.iter().map(|job| score(job) >= least).collect();
        let adds = (0..jobs.len()).filter(|index| covers.get(*index) == Some(&true) && before.get(*index) == Some(&false));
        found.push(KitStep {
            covered: best.rank.0,
            adds: adds.collect(),
            mean_score: f64::from(best.rank.1) / jobs.len().max(1) as f64,
            knives: best.knives,
        });
        before = covers;
    }
    found
}

struct Best {
    knives: Vec<usize>,
    rank: (usize, u32),
}

fn best_of_size(
    jobs: &[KitJob],
    least: u8,
    (from, knives): (usize, usize),
    left: usize,
    picked: &mut Vec<usize>,
    scores: &[u8],
    best: &mut Best,
) {
    if left == 0 {
        let covered = scores.iter().filter(|score| **score >= least).count();
        let rank = (covered, scores.iter().map(|score| u32::from(*score)).sum());
        if rank > best.rank {
            *best = Best { knives: picked.clone(), rank };
        }
        return;
    }
    for index in from..knives.saturating_sub(left - 1) {
        let better = |(job, score): (&KitJob, &u8)| job.scores.get(index).copied().unwrap_or(0).max(*score);
        let next: Vec<u8> = jobs.iter().zip(scores).map(better).collect();
        picked.push(index);
        best_of_size(jobs, least, (index + 1, knives), left - 1, picked, &next, best);
        picked.pop();
    }
}
