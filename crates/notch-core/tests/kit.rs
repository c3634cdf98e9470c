//! The smallest kit against trying every kit.

use notch_core::kit::{Kit, KitError, KitGoal, KitJob, KitKnife, smallest_kit};
use proptest::prelude::*;

fn knives(costs: &[f64]) -> Vec<KitKnife> {
    costs.iter().enumerate().map(|(index, cost)| KitKnife { name: format!("k{index}"), cost: *cost }).collect()
}

fn jobs(scores: &[Vec<u8>]) -> Vec<KitJob> {
    scores.iter().enumerate().map(|(index, scores)| KitJob { name: format!("j{index}"), scores: scores.clone() }).collect()
}

/// Every set of knives that covers every job, by trying all of them.
fn covers(scores: &[Vec<u8>], knives: usize, least: u8) -> Vec<u32> {
    let all = 0..1u32 << knives;
    let covers = |mask: &u32| {
        scores.iter().all(|job| job.iter().enumerate().any(|(index, score)| mask >> index & 1 == 1 && *score >= least))
    };
    all.filter(covers).collect()
}

fn cost(costs: &[f64], mask: u32) -> f64 {
    costs.iter().enumerate().filter(|(index, _)| mask >> index & 1 == 1).map(|(_, cost)| cost).sum()
}

fn problem() -> impl Strategy<Value = (Vec<f64>, Vec<Vec<u8>>, u8)> {
    (2usize..9, 1usize..10).prop_flat_map(|(knives, jobs)| {
        (
            proptest::collection::vec((1u16..200).prop_map(f64::from), knives),
            proptest::collection::vec(proptest::collection::vec(0u8..=100, knives), jobs),
            1u8..100,
        )
    })
}

proptest! {
    #[test]
    fn no_smaller_kit_and_no_cheaper_kit_covers_everything((costs, scores, least) in problem()) {
        let (knives, jobs) = (knives(&costs), jobs(&scores));
        let all = covers(&scores, costs.len(), least);
        let fewest = smallest_kit(&knives, &jobs, least, KitGoal::Fewest);
        let cheapest = smallest_kit(&knives, &jobs, least, KitGoal::Cheapest { budget: 1e9 });
        if all.is_empty() {
            let told = matches!(&fewest, Err(KitError::Uncovered(told)) if !told.is_empty());
            prop_assert!(told, "{:?}", fewest);
            return Ok(());
        }
        let (fewest, cheapest) = (fewest.unwrap(), cheapest.unwrap());
        let smallest = all.iter().map(|mask| mask.count_ones() as usize).min().unwrap();
        prop_assert_eq!(fewest.knives.len(), smallest);
        let least_cost = all.iter().map(|mask| cost(&costs, *mask)).fold(f64::INFINITY, f64::min);
        prop_assert!((cheapest.cost - least_cost).abs() < 1e-9);
        for kit in [&fewest, &cheapest] {
            for (job, used) in scores.iter().zip(&kit.used_for) {
                prop_assert!(job[*used] >= least && kit.knives.contains(used));
            }
        }
        prop_assert!(steps_are_best(&fewest, &scores, least));
    }
}

/// Each step covers as many jobs as any kit of its size can.
fn steps_are_best(kit: &Kit, scores: &[Vec<u8>], least: u8) -> bool {
    let knives = scores[0].len();
    kit.steps.iter().enumerate().all(|(index, step)| {
        let of_size = (0..1u32 << knives).filter(|mask| mask.count_ones() as usize == index + 1);
        let covered = |mask: u32| {
            scores.iter().filter(|job| job.iter().enumerate().any(|(k, score)| mask >> k & 1 == 1 && *score >= least)).count()
        };
        of_size.map(covered).max() == Some(step.covered) && step.knives.len() == index + 1
    })
}

#[test]
fn a_budget_that_is_too_small_is_said_and_too_large_a_choice_is_refused() {
    let scores = vec![vec![90, 0], vec![0, 90]];
    let found = smallest_kit(&knives(&[10.0, 20.0]), &jobs(&scores), 50, KitGoal::Cheapest { budget: 25.0 }).unwrap();
    assert!(!found.within_budget && (found.cost - 30.0).abs() < 1e-9);
    assert_eq!(smallest_kit(&knives(&[1.0; 25]), &jobs(&[vec![1; 25]]), 1, KitGoal::Fewest), Err(KitError::TooLarge));
    assert_eq!(smallest_kit(&knives(&[1.0]), &[], 1, KitGoal::Fewest), Err(KitError::NoJobs));
}

#[test]
fn what_comes_nearest_is_named_for_a_job_that_nothing_covers() {
    let found = smallest_kit(&knives(&[1.0, 1.0]), &jobs(&[vec![30, 45], vec![0, 0]]), 60, KitGoal::Fewest);
    let Err(KitError::Uncovered(told)) = found else { panic!("{found:?}") };
    assert_eq!(told[0].nearest.as_ref().map(|near| (near.knife.as_str(), near.score)), Some(("k1", 45)));
    assert_eq!(told[1].nearest, None);
}
