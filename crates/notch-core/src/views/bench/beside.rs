//! Two or three cuts, sizes or ways beside each other, with their differences in a sentence.

use serde::{Deserialize, Serialize};

use super::onion::{OnionQuestion, OnionView, onion_view};
use super::{BenchQuestion, BenchView, BenchWay, School, bench_view};
use crate::problem::Problem;
use crate::words::capital;

/// Most that stand beside each other.
const MOST: usize = 3;

/// Cuts that are set beside each other, two or three.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BesideQuestion {
    /// The cuts; the first is what the others are compared with.
    pub cuts: Vec<BenchQuestion>,
}

/// Onions that are set beside each other, two or three.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionsQuestion {
    /// The onions; the first is what the others are compared with.
    pub onions: Vec<OnionQuestion>,
}

/// Cuts beside each other.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Beside {
    /// Each cut, as it is shown alone.
    pub cuts: Vec<BenchView>,
    /// How each after the first differs from it.
    pub differences: Vec<String>,
}

/// Onions beside each other.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionsBeside {
    /// Each onion, as it is shown alone.
    pub onions: Vec<OnionView>,
    /// How each after the first differs from it.
    pub differences: Vec<String>,
}

fn check_number(pointer: &str, number: usize) -> Vec<Problem> {
    let number = i64::try_from(number).unwrap_or(i64::MAX);
    Problem::unless_within(pointer, "set side by side", number, 2, MOST as i64).into_iter().collect()
}

/// Puts problems of one of several under its place.
fn at(pointer: &str, index: usize, problems: Vec<Problem>) -> Vec<Problem> {
    let under = |problem: Problem| Problem { pointer: format!("{pointer}/{index}{}", problem.pointer), ..problem };
    problems.into_iter().map(under).collect()
}

/// Looks at two or three cuts.
///
/// # Errors
/// Fewer than two or more than three, and what is wrong with one of them, under its place.
pub fn bench_beside(school: &School<'_>, question: &BesideQuestion, seed: u64) -> Result<Beside, Vec<Problem>> {
    let problems = check_number("/cuts", question.cuts.len());
    if !problems.is_empty() {
        return Err(problems);
    }
    let looked = question.cuts.iter().enumerate();
    let cuts = looked
        .map(|(index, cut)| bench_view(school, cut, seed).map_err(|problems| at("/cuts", index, problems)))
        .collect::<Result<Vec<_>, _>>()?;
    let differences = match cuts.split_first() {
        Some((first, rest)) => rest.iter().map(|other| difference_of_cuts(first, other)).collect(),
        None => Vec::new(),
    };
    Ok(Beside { cuts, differences })
}

/// Looks at two or three onions.
///
/// # Errors
/// As [`bench_beside`].
pub fn onions_beside(question: &OnionsQuestion, seed: u64) -> Result<OnionsBeside, Vec<Problem>> {
    let problems = check_number("/onions", question.onions.len());
    if !problems.is_empty() {
        return Err(problems);
    }
    let looked = question.onions.iter().enumerate();
    let onions = looked
        .map(|(index, onion)| onion_view(onion, seed).map_err(|problems| at("/onions", index, problems)))
        .collect::<Result<Vec<_>, _>>()?;
    let differences = match onions.split_first() {
        Some((first, rest)) => rest.iter().map(|other| difference_of_onions(first, other)).collect(),
        None => Vec::new(),
    };
    Ok(OnionsBeside { onions, differences })
}

/// `12 more strokes`, `as many strokes`.
pub(super) fn more(number: i64, of: &str) -> String {
    match number {
        0 => format!("as many {of}"),
        1.. => format!("{number} more {of}"),
        _ => format!("{} fewer {of}", number.unsigned_abs()),
    }
}

pub(super) fn less_or_more(grams: f64) -> String {
    if grams.abs() < 0.5 {
        "as much".to_owned()
    } else if grams < 0.0 {
        format!("{:.0} g less", -grams)
    } else {
        format!("{grams:.0} g more")
    }
}

fn signed(number: u64) -> i64 {
    i64::try_from(number).unwrap_or(i64::MAX)
}

/// `julienne of carrot, 3.2 × 3.2 × 50 mm, flat first`.
fn named(view: &BenchView, way: &BenchWay) -> String {
    let size = if view.size.is_empty() { String::new() } else { format!(", {} mm", view.size) };
    let way = if way.way == "flat_first" { ", flat first" } else { "" };
    format!("{}{size}{way}", view.title.to_lowercase())
}

fn difference_of_cuts(first: &BenchView, other: &BenchView) -> String {
    let (Some(a), Some(b)) = (first.chosen_way(), other.chosen_way()) else {
        return format!("{} and {} are not both counted in pieces.", first.title, other.title.to_lowercase());
    };
    let units = if a.units_each == b.units_each {
        format!("each student needs {} of either", a.units_each)
    } else {
        format!("each student needs {} instead of {}", b.units_each, a.units_each)
    };
    let grams = if (a.grams_class - b.grams_class).abs() < 0.5 {
        format!("the class {:.0} g", a.grams_class)
    } else {
        format!("the class {:.0} g instead of {:.0} g", b.grams_class, a.grams_class)
    };
    format!(
        "{}: {} from one and {} than {}; {units}, {grams}.",
        capital(&named(other, b)),
        more(i64::from(b.pieces) - i64::from(a.pieces), "pieces"),
        more(signed(b.strokes) - signed(a.strokes), "strokes"),
        named(first, a),
    )
}

/// Shares nearer than this are called equal.
const AS_GOOD: f64 = 0.01;

fn difference_of_onions(first: &OnionView, other: &OnionView) -> String {
    let points = |share: f64| format!("{:.0}", (share.abs() * 100.0).round());
    let even = other.wanted - first.wanted;
    let wanted = if even.abs() <= AS_GOOD {
        "as much of it comes out at the wanted size".to_owned()
    } else {
        let which = if even > 0.0 { "more" } else { "less" };
        format!("{} in a hundred {which} of it comes out at the wanted size", points(even))
    };
    let ribbons = other.ribbons - first.ribbons;
    let ribbons = if ribbons.abs() <= AS_GOOD {
        "as much as ribbons".to_owned()
    } else {
        format!("{} in a hundred {} as ribbons", points(ribbons), if ribbons > 0.0 { "more" } else { "less" })
    };
    let strokes = more(i64::from(other.strokes) - i64::from(first.strokes), "strokes");
    let hand = match i64::from(other.strokes_towards_hand) - i64::from(first.strokes_towards_hand) {
        0 => String::new(),
        towards => format!(
            ", {} towards the guide hand",
            if towards > 0 { format!("{towards} more") } else { format!("{} fewer", -towards) }
        ),
    };
    format!(
        "{} against {}: {wanted}, {ribbons}, in {strokes}{hand}.",
        capital(&other.name.to_lowercase()),
        first.name.to_lowercase()
    )
}
