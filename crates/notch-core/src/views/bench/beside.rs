//! Two or three cuts, sizes or ways beside each other, with their differences in a sentence.

use serde::{Deserialize, Serialize};

use super::compare::more;
use super::look::bench_view;
use super::onion::{OnionQuestion, OnionView, onion_view};
use super::question::BenchQuestion;
use super::rows::{rows_of_cuts, rows_of_onions};
use super::view::{BenchView, BenchWay, BenchWayKind};
use crate::at_hand::AtHand;
use crate::problem::Problem;
use crate::text;
use crate::text::{Grams, Text};
use crate::views::beside_rows::BesideRow;
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
    /// Their figures, one row a figure.
    pub rows: Vec<BesideRow>,
    /// How each after the first differs from it.
    pub differences: Vec<Text>,
}

/// Onions beside each other.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionsBeside {
    /// Each onion, as it is shown alone.
    pub onions: Vec<OnionView>,
    /// Their figures, one row a figure.
    pub rows: Vec<BesideRow>,
    /// How each after the first differs from it.
    pub differences: Vec<Text>,
}

fn check_number(pointer: &str, number: usize) -> Vec<Problem> {
    let number = i64::try_from(number).unwrap_or(i64::MAX);
    Problem::unless_within(pointer, "Side by side", number, 2, MOST as i64).into_iter().collect()
}

/// Puts problems of one of several under its place.
fn at(pointer: &str, index: usize, problems: Vec<Problem>) -> Vec<Problem> {
    let under = |problem: Problem| problem.under(&format!("{pointer}/{index}"));
    problems.into_iter().map(under).collect()
}

/// Looks at two or three cuts.
///
/// # Errors
/// Fewer than two or more than three, and what is wrong with one of them, under its place.
pub fn bench_beside(at_hand: &AtHand<'_>, question: &BesideQuestion) -> Result<Beside, Vec<Problem>> {
    let problems = check_number("/cuts", question.cuts.len());
    if !problems.is_empty() {
        return Err(problems);
    }
    let looked = question.cuts.iter().enumerate();
    let cuts = looked
        .map(|(index, cut)| bench_view(at_hand, cut).map_err(|problems| at("/cuts", index, problems)))
        .collect::<Result<Vec<_>, _>>()?;
    let differences = match cuts.split_first() {
        Some((first, rest)) => rest.iter().map(|other| difference_of_cuts(first, other)).collect(),
        None => Vec::new(),
    };
    Ok(Beside { rows: rows_of_cuts(&cuts), cuts, differences })
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
    Ok(OnionsBeside { rows: rows_of_onions(&onions), onions, differences })
}

fn signed(number: u64) -> i64 {
    i64::try_from(number).unwrap_or(i64::MAX)
}

/// `julienne of carrot, 3.2 × 3.2 × 50 mm, flat first`.
fn named(view: &BenchView, way: &BenchWay) -> Text {
    let size = view.target.said();
    let comma = if size.is_empty() { "" } else { ", " };
    let way = if way.way == BenchWayKind::FlatFirst { ", flat first" } else { "" };
    text![view.title.to_lowercase(), comma, size, way]
}

fn difference_of_cuts(first: &BenchView, other: &BenchView) -> Text {
    let (Some(a), Some(b)) = (first.chosen_way(), other.chosen_way()) else {
        return text![first.title, " and ", other.title.to_lowercase(), " are not both counted in pieces."];
    };
    let units = if a.units_each == b.units_each {
        text!["each student needs ", a.units_each, " of either"]
    } else {
        text!["each student needs ", b.units_each, " instead of ", a.units_each]
    };
    let grams = if (a.grams_class - b.grams_class).abs() < 0.5 {
        text!["the class ", Grams(a.grams_class)]
    } else {
        text!["the class ", Grams(b.grams_class), " instead of ", Grams(a.grams_class)]
    };
    text![
        named(other, b).capital(),
        ": ",
        more(i64::from(b.pieces) - i64::from(a.pieces), "pieces"),
        " from one and ",
        more(signed(b.strokes) - signed(a.strokes), "strokes"),
        " than ",
        named(first, a),
        "; ",
        units,
        ", ",
        grams,
        "."
    ]
}

/// Shares nearer than this are called equal.
const AS_GOOD: f64 = 0.01;

fn difference_of_onions(first: &OnionView, other: &OnionView) -> Text {
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
    text![
        capital(&other.name.to_lowercase()),
        " against ",
        first.name.to_lowercase(),
        ": ",
        wanted,
        ", ",
        ribbons,
        ", in ",
        strokes,
        hand,
        "."
    ]
}
