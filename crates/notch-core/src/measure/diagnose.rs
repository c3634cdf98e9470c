//! What the figures of a sample say, as small rules over a verdict.

use super::Cause;
use super::figures::{Diagnosis, SideFigures, Verdict};
use super::statistics::trend;
use super::taking::PieceOrder;
use crate::catalogue::{Catalogue, Dimension, Tolerance};
use crate::text;
use crate::text::Text;

/// Fewest pieces from which anything but their size is read.
const LEAST_PIECES: usize = 4;

/// Share of the variance that a straight line must explain before it is called a drift.
const DRIFT_EXPLAINS: f64 = 0.5;

/// A diagnosis with how far it is over its threshold (1 is at the threshold).
type Weighed = (f64, &'static str, Text);

pub(super) fn diagnose(catalogue: &Catalogue, verdict: &Verdict, tolerance: &Tolerance) -> Vec<Diagnosis> {
    let mut found = Vec::new();
    if verdict.inside.of < LEAST_PIECES {
        found.push((1.0, "too_few", Text::default()));
    } else {
        found.extend(one_side_off(verdict, tolerance));
        found.extend(section_faults(verdict, tolerance));
        found.extend(taper_fault(verdict));
        found.extend(length_fault(verdict, tolerance));
        if found.is_empty() {
            found.push((1.0, "sound", Text::default()));
        }
    }
    // The thresholds decide what is said at all; which is said first, the likeliest cause where it is clear.
    let likeliest = verdict.causes.likely.first().filter(|_| verdict.causes.clear).map(|each| each.cause);
    let explains = |id: &str| likeliest.is_some_and(|cause| said_of(cause).contains(&id));
    found.sort_by(|a, b| explains(b.1).cmp(&explains(a.1)).then(b.0.total_cmp(&a.0)).then(a.1.cmp(b.1)));
    found
        .into_iter()
        .filter_map(|(_, id, figures)| {
            let text = catalogue.diagnoses.get(id)?;
            let between = if figures.is_empty() { "" } else { " " };
            let words = text![text.words, between, figures];
            Some(Diagnosis { id: id.to_owned(), words, cue: text.cue.clone() })
        })
        .collect()
}

/// Ids of what is said where a cause is the likeliest.
const fn said_of(cause: Cause) -> &'static [&'static str] {
    match cause {
        Cause::Sound => &["sound"],
        Cause::StepTooBig => &["too_thick"],
        Cause::StepTooSmall => &["too_thin"],
        Cause::PlanksTooThick | Cause::PlanksTooThin | Cause::PlanksUneven => &["planks_off"],
        Cause::SticksTooWide | Cause::SticksTooNarrow | Cause::SticksUneven => &["sticks_off"],
        Cause::StepsUneven => &["wide_spread"],
        Cause::Drift => &["drift_up", "drift_down"],
        Cause::Lean => &["taper"],
        Cause::LengthsVary => &["lengths_vary"],
        Cause::TooLong => &["too_long"],
        Cause::TooShort => &["too_short"],
    }
}

fn side(verdict: &Verdict, dimension: Dimension) -> Option<&SideFigures> {
    verdict.sides.iter().find(|side| side.dimension == dimension)
}

/// |bias| over τ/2.
fn off_by(side: &SideFigures) -> f64 {
    side.bias.size().get() / (side.tolerance.get() / 2.0).max(f64::MIN_POSITIVE)
}

/// CV over the largest that counts as even.
fn uneven_by(side: &SideFigures, tolerance: &Tolerance) -> f64 {
    side.cv.unwrap_or(0.0) / tolerance.even_cv
}

/// How far under its thresholds the better side must be before only the other cut is blamed.
const CLEARLY_SOUND: f64 = 0.67;

/// Thickness right and width wrong, or the reverse: which of the two cuts was off.
fn one_side_off(verdict: &Verdict, tolerance: &Tolerance) -> Option<Weighed> {
    let (thickness, width) = (side(verdict, Dimension::Thickness)?, side(verdict, Dimension::Width)?);
    let worst = |side: &SideFigures| off_by(side).max(uneven_by(side, tolerance));
    let (of_planks, of_sticks) = (worst(thickness), worst(width));
    if of_sticks > 1.0 && of_planks <= CLEARLY_SOUND {
        Some((of_sticks * 1.1, "sticks_off", told(width)))
    } else if of_planks > 1.0 && of_sticks <= CLEARLY_SOUND {
        Some((of_planks * 1.1, "planks_off", told(thickness)))
    } else {
        None
    }
}

fn told(side: &SideFigures) -> Text {
    text![
        "(",
        side.dimension.name(),
        " ",
        side.mean,
        " on average, ",
        side.bias,
        " from the target, sd ",
        format!("{:.2} mm", side.sd),
        ")"
    ]
}

/// Bias, spread and drift of the section's worse side.
fn section_faults(verdict: &Verdict, tolerance: &Tolerance) -> Vec<Weighed> {
    let worse = |dimension: Dimension| side(verdict, dimension).map(|s| (off_by(s).max(uneven_by(s, tolerance)), s));
    let sides = [worse(Dimension::Thickness), worse(Dimension::Width)];
    let Some((_, side)) = sides.into_iter().flatten().reduce(|a, b| if b.0 > a.0 { b } else { a }) else {
        return Vec::new();
    };
    let (off, uneven) = (off_by(side), uneven_by(side, tolerance));
    let mut found = Vec::new();
    if let Some((slope, explained)) = drift(side).filter(|_| verdict.order == PieceOrder::AsCut)
        && uneven > 0.5
    {
        let id = if slope > 0.0 { "drift_up" } else { "drift_down" };
        let change = slope * (side.sizes.len() as f64 - 1.0);
        found.push((
            1.2 * off.max(uneven).max(1.0) * explained.max(DRIFT_EXPLAINS),
            id,
            text!["(", format!("{change:+.1} mm"), " from the first piece to the last)"],
        ));
    }
    if off > 1.0 && uneven > 1.0 {
        found.push((off.max(uneven), "mixed", told(side)));
    } else if off > 1.0 {
        let id = if side.bias.get() > 0.0 { "too_thick" } else { "too_thin" };
        found.push((off, id, told(side)));
    } else if uneven > 1.0 {
        found.push((uneven, "wide_spread", told(side)));
    }
    found
}

/// A steady growth or shrinking that explains at least half of the variance, over at least six pieces.
fn drift(side: &SideFigures) -> Option<(f64, f64)> {
    if side.sizes.len() < 6 {
        return None;
    }
    let sizes: Vec<f64> = side.sizes.iter().map(|size| size.get()).collect();
    trend(&sizes).filter(|(_, explained)| *explained >= DRIFT_EXPLAINS)
}

/// Taper of more than half the tolerance.
fn taper_fault(verdict: &Verdict) -> Option<Weighed> {
    let taper = verdict.taper?;
    let width = side(verdict, Dimension::Width)?;
    let weight = taper.mean_size.get() / (width.tolerance.get() / 2.0).max(f64::MIN_POSITIVE);
    (weight > 1.0).then(|| (weight, "taper", text!["(the ends differ by ", format!("{:.2} mm", taper.mean_size.get()), ")"]))
}

/// Lengths that are uneven, or even and off, where the length is not itself a side of the section.
fn length_fault(verdict: &Verdict, tolerance: &Tolerance) -> Option<Weighed> {
    let length = side(verdict, Dimension::Length)?;
    let (off, uneven) = (off_by(length), uneven_by(length, tolerance));
    let id = match (uneven > 1.0, off > 1.0) {
        (true, _) => "lengths_vary",
        (false, true) if length.bias.get() > 0.0 => "too_long",
        (false, true) => "too_short",
        (false, false) => return None,
    };
    Some((off.max(uneven), id, told(length)))
}
