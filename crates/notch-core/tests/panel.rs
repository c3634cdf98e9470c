//! Everyday jobs, judged as a chef-instructor would: the answers must hold.

use std::collections::BTreeMap;

use notch_core::views::{AskedJobs, JobAnswer, answer_jobs};
use serde::Deserialize;

use crate::common::CATALOGUE;

/// Least score at which a knife fits.
const FITS: u8 = 40;

/// What was judged of a job; what it does not say is not looked at.
#[derive(Debug, Deserialize)]
struct Judged {
    id: String,
    taught: Option<bool>,
    #[serde(default)]
    first: Vec<String>,
    #[serde(default)]
    fit: Vec<String>,
    #[serde(default)]
    not_fit: Vec<String>,
    #[serde(default)]
    refused: Vec<String>,
    #[serde(default)]
    order: Vec<[String; 2]>,
    motion: Option<Vec<String>>,
    #[serde(default)]
    motion_not: Vec<String>,
    hold: Option<Vec<String>>,
    #[serde(default)]
    hold_not: Vec<String>,
    grip: Option<Vec<String>>,
    #[serde(default)]
    grip_refused: Vec<String>,
    #[serde(default)]
    grip_open: Vec<String>,
    third: Option<Thirds>,
    #[serde(default)]
    cautions: Vec<String>,
    #[serde(default)]
    cautions_not: Vec<String>,
    figures: Option<BTreeMap<String, serde_json::Value>>,
    #[serde(default)]
    r#unsafe: bool,
}

#[derive(Debug, Deserialize)]
#[serde(rename_all = "snake_case")]
enum Consistent {
    Consistent,
}

#[derive(Debug, Deserialize)]
#[serde(untagged)]
enum Thirds {
    /// What the motion and the blade allow.
    Rule(Consistent),
    OneOf(Vec<String>),
}

fn word<T: serde::Serialize>(value: &T) -> String {
    serde_json::to_value(value).unwrap().as_str().unwrap_or_default().to_owned()
}

/// Everything in which an answer misses what was judged.
#[allow(clippy::too_many_lines, reason = "one line a kind of check")]
fn misses(job: &Judged, answer: &JobAnswer) -> Vec<String> {
    let mut found = Vec::new();
    let mut check = |holds: bool, what: String| {
        if !holds {
            found.push(what);
        }
    };
    let score = |kind: &str| -> i32 {
        let knife = answer.knives.iter().find(|knife| knife.knife_type == kind);
        knife.filter(|knife| !knife.refused).map_or(-1, |knife| i32::from(knife.score))
    };
    let first = answer.first.as_ref();
    let is = |said: Option<String>, allowed: &[String]| said.is_some_and(|said| allowed.contains(&said));
    check(answer.unknown.is_empty(), format!("unknown: {:?}", answer.unknown));
    match job.taught {
        Some(true) => check(answer.taught, "not taught".into()),
        Some(false) => check(!answer.offered, "offered".into()),
        None => {}
    }
    let lead = first.map(|first| first.knife.clone());
    check(job.first.is_empty() || is(lead.clone(), &job.first), format!("{lead:?} is first"));
    for kind in &job.fit {
        check(score(kind) >= i32::from(FITS), format!("{kind} has {}", score(kind)));
    }
    for kind in &job.not_fit {
        check(score(kind) < i32::from(FITS), format!("{kind} fits with {}", score(kind)));
    }
    for kind in &job.refused {
        check(score(kind) < 0, format!("{kind} is not refused"));
    }
    for [better, worse] in &job.order {
        check(score(better) > score(worse), format!("{better} is not over {worse}"));
    }
    let open = |kind: &&notch_core::views::AnsweredKnife| !kind.refused && kind.score >= FITS;
    for motion in &job.motion_not {
        check(!answer.knives.iter().filter(open).any(|knife| word(&knife.motion) == *motion), format!("{motion} is offered"));
    }
    for (wanted, said) in [
        (&job.motion, first.map(|first| word(&first.motion))),
        (&job.hold, first.map(|first| word(&first.hold))),
        (&job.grip, first.map(|first| word(&first.grip))),
    ] {
        if let Some(wanted) = wanted {
            check(is(said.clone(), wanted), format!("{said:?} of {wanted:?}"));
        }
    }
    check(!is(first.map(|first| word(&first.hold)), &job.hold_not), "a wrong hold".into());
    let grip = |grip: &str| answer.grips.get(grip).copied();
    check(job.grip_refused.iter().all(|each| grip(each) != Some("open")), "a grip is open".into());
    check(job.grip_open.iter().all(|each| grip(each) == Some("open")), "a grip is refused".into());
    match (&job.third, first) {
        (Some(Thirds::OneOf(allowed)), said) => check(is(said.map(|first| word(&first.third)), allowed), "third".into()),
        (Some(Thirds::Rule(Consistent::Consistent)), Some(first)) => {
            check(consistent(&first.knife, &word(&first.motion), &word(&first.third)), "third".into())
        }
        (Some(Thirds::Rule(_)), None) => check(false, "no third".into()),
        (None, _) => {}
    }
    for caution in &job.cautions {
        check(answer.cautions.contains(caution), format!("{caution} is missing"));
    }
    for caution in &job.cautions_not {
        check(!answer.cautions.contains(caution), format!("{caution} is out of place"));
    }
    let figures = serde_json::to_value(&answer.figures).unwrap();
    for (name, range) in job.figures.iter().flatten() {
        let Ok([low, high]) = serde_json::from_value::<[f64; 2]>(range.clone()) else { continue };
        let value = figures[name].as_f64();
        check(value.is_some_and(|value| (low..=high).contains(&value)), format!("{name} {value:?} of {low} to {high}"));
    }
    found
}

/// A part of the blade that the motion and the blade allow.
fn consistent(knife: &str, motion: &str, third: &str) -> bool {
    match motion {
        "saw" | "long_draw" => third == "whole",
        _ if third == "tip" => {
            !["rock", "pivot_mince", "tap", "press", "crush"].contains(&motion) && !["nakiri", "cleaver"].contains(&knife)
        }
        _ => true,
    }
}

/// At least 95 % hold, and none misses that could hurt someone.
#[test]
fn the_panel_holds() {
    let text = include_str!("data/panel.json");
    let asked: AskedJobs = serde_json::from_str(text).unwrap();
    let jobs: Vec<Judged> =
        serde_json::from_value(serde_json::from_str::<serde_json::Value>(text).unwrap()["jobs"].take()).unwrap();
    let answers = answer_jobs(&CATALOGUE, &asked).answers;
    assert_eq!(answers.len(), jobs.len());
    let missed: Vec<(&Judged, Vec<String>)> = jobs
        .iter()
        .zip(&answers)
        .map(|(job, answer)| (job, misses(job, answer)))
        .filter(|(_, misses)| !misses.is_empty())
        .collect();
    let told: Vec<String> = missed.iter().map(|(job, misses)| format!("{}: {}", job.id, misses.join("; "))).collect();
    assert!(missed.iter().all(|(job, _)| !job.r#unsafe), "unsafe: {told:#?}");
    assert!(missed.len() * 20 <= jobs.len(), "{} of {}: {told:#?}", missed.len(), jobs.len());
}

/// The check itself can fail: an answer that leads with the cleaver, in the hand, is told.
#[test]
fn a_wrong_answer_is_a_miss() {
    let asked = r#"{"jobs": [{"id": "x", "food": "carrot", "cut": "julienne", "first": ["cleaver"], "hold": ["in_hand"],
        "cautions": ["hot_chilli"], "not_fit": ["chefs"], "figures": {"amount": {"kind": "pieces", "count": 40}, "pieces_per_unit": [1, 2]}}]}"#;
    let jobs: AskedJobs = serde_json::from_str(asked).unwrap();
    let judged: Judged =
        serde_json::from_value(serde_json::from_str::<serde_json::Value>(asked).unwrap()["jobs"][0].take()).unwrap();
    let answers = answer_jobs(&CATALOGUE, &jobs).answers;
    assert_eq!(misses(&judged, &answers[0]).len(), 5);
}
