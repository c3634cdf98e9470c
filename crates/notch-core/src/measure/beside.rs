//! Two samples on one rule: before and after honing, this week and a month ago, chosen and unseen.

use serde::Serialize;

use super::figures::{SideFigures, Verdict};
use super::statistics::Z_TWO_SIDED_95;
use crate::catalogue::Dimension;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// One side of both samples, measured against one target.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SideBeside {
    /// The side.
    pub dimension: Dimension,
    /// Of the first sample.
    pub first: SideFigures,
    /// Of the second.
    pub second: SideFigures,
    /// What has changed, and whether that may be chance.
    pub words: Vec<Text>,
}

/// Two samples side by side.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SamplesBeside {
    /// Both were chosen in the same way, so that a difference is one of the work.
    pub alike: bool,
    /// What is to be known first: that one was chosen, how many are inside in each.
    pub words: Vec<Text>,
    /// Sides that both have, with the same target and tolerance.
    pub sides: Vec<SideBeside>,
}

/// Lays two verdicts beside each other, the earlier one first.
pub fn beside(first: &Verdict, second: &Verdict) -> SamplesBeside {
    let alike = first.custom == second.custom;
    let share = |verdict: &Verdict| format!("{} of {}", verdict.inside.count, verdict.inside.of);
    let mut words = vec![text![format!("{} inside in the first, {} in the second.", share(first), share(second))]];
    if !alike {
        words.push(text!["One was chosen by the student, one taken unseen: what differs is the choosing too, and no progress."]);
        words.extend(
            [first, second].into_iter().filter_map(|verdict| verdict.flattery.as_ref()).map(|said| said.words.clone().into()),
        );
    }
    let with = |side: &SideFigures| {
        let other = second.sides.iter().find(|other| other.dimension == side.dimension)?;
        let same = other.target == side.target && other.inside_from == side.inside_from && other.inside_to == side.inside_to;
        let words = if alike { vec![spread_words(side, other), mean_words(side, other)] } else { Vec::new() };
        same.then(|| SideBeside { dimension: side.dimension, first: side.clone(), second: other.clone(), words })
    };
    let sides: Vec<SideBeside> = first.sides.iter().filter_map(with).collect();
    if sides.is_empty() {
        words.push(text!["They were held to other sizes, so that they do not lie on one rule."]);
    }
    SamplesBeside { alike, words, sides }
}

/// Standard deviation of all that such pieces would have: n − 1 in place of n.
fn sd(side: &SideFigures) -> f64 {
    let count = side.sizes.len() as f64;
    side.sd * (count / (count - 1.0).max(1.0)).sqrt()
}

/// Half a two-sided 95 % interval of Student's t with `freedom` degrees, from the normal quantile (Cornish and Fisher's
/// expansion, Abramowitz and Stegun 26.7.5); within 1 % from 3 degrees on.
fn t_95(freedom: f64) -> f64 {
    let (z, n) = (Z_TWO_SIDED_95, freedom.max(1.0));
    z + (z.powi(3) + z) / (4.0 * n)
        + (5.0 * z.powi(5) + 16.0 * z.powi(3) + 3.0 * z) / (96.0 * n * n)
        + (3.0 * z.powi(7) + 19.0 * z.powi(5) + 17.0 * z.powi(3) - 15.0 * z) / (384.0 * n.powi(3))
}

/// Whether pieces lie closer together: the logarithm of a standard deviation of n pieces has the standard error
/// √(1 / 2(n − 1)).
fn spread_words(first: &SideFigures, second: &SideFigures) -> Text {
    let (one, two) = (sd(first), sd(second));
    let freedom = |side: &SideFigures| (side.sizes.len() as f64 - 1.0).max(0.0);
    let said = |sd: f64| Millimetres::clamped((sd * 100.0).round() / 100.0);
    let lead = text!["Spread ", said(one), ", then ", said(two), ": "];
    if freedom(first) < 1.0 || freedom(second) < 1.0 {
        return text![lead, "one piece has no spread."];
    }
    let floor = 0.01;
    let error = (0.5 / freedom(first) + 0.5 / freedom(second)).sqrt();
    let far = (two.max(floor) / one.max(floor)).ln();
    if far.abs() <= t_95(freedom(first).min(freedom(second))) * error {
        return text![lead, "that may be chance with so few pieces."];
    }
    text![lead, if far < 0.0 { "more even, and not by chance." } else { "less even, and not by chance." }]
}

/// Whether the mean has moved: Welch's test, with the smaller number of degrees.
fn mean_words(first: &SideFigures, second: &SideFigures) -> Text {
    let lead = text!["Mean ", first.mean, ", then ", second.mean, ": "];
    let part = |side: &SideFigures| sd(side).powi(2) / side.sizes.len().max(1) as f64;
    let error = (part(first) + part(second)).sqrt();
    let freedom = (first.sizes.len().min(second.sizes.len()) as f64 - 1.0).max(1.0);
    let moved = second.mean.get() - first.mean.get();
    if moved.abs() <= (t_95(freedom) * error).max(0.01) {
        return text![lead, "that may be chance."];
    }
    let nearer = second.bias.size() < first.bias.size();
    text![lead, if nearer { "nearer to the size." } else { "further from the size." }]
}

#[cfg(test)]
mod tests {
    use super::t_95;

    #[test]
    fn the_quantile_of_t_is_that_of_the_tables() {
        for (freedom, table) in [(3.0, 3.182), (4.0, 2.776), (9.0, 2.262), (18.0, 2.101), (60.0, 2.000)] {
            let found = t_95(freedom);
            assert!((found / table - 1.0).abs() < 0.012, "{freedom}: {found} for {table}");
        }
    }
}
