//! How well something suits: the sum of what the rules found.

use serde::Serialize;

use super::Case;
use super::rule::{Effect, Finding, Rule};
use crate::text::Text;

/// How well something suits, with every reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fit {
    /// 0 to 100; 0 if refused.
    pub score: u8,
    /// May not be taken.
    pub refused: bool,
    /// Reasons: refusals first, then against, then for; the weightiest first.
    pub findings: Vec<Finding>,
}

/// Least score at which a knife counts as fitting for a class.
pub const FITS: u8 = 40;

/// Least score at which a knife that does not fit is named for want of a better: a petty for a carrot, none for a
/// cabbage.
pub const NEARLY: u8 = 30;

/// Where a score starts before anything is found.
const START: i32 = 30;

impl Fit {
    /// Runs rules on a case. The order of the rules does not change the result.
    pub fn of<'r>(rules: impl IntoIterator<Item = &'r Rule>, case: &Case<'_>) -> Fit {
        let mut findings: Vec<Finding> = rules.into_iter().filter_map(|rule| rule.find(case)).collect();
        findings.sort_by(|a, b| a.effect.rank().cmp(&b.effect.rank()).then(a.rule.cmp(b.rule)));
        let (refused, score) = sum(findings.iter().map(|finding| finding.effect));
        Fit { score, refused, findings }
    }

    /// The same score, refused or not, without words and findings.
    pub(crate) fn score_of<'r>(rules: impl IntoIterator<Item = &'r Rule>, case: &Case<'_>) -> (bool, u8) {
        let case = Case { quiet: true, ..*case };
        Fit::score_of_said(rules.into_iter().filter_map(|rule| rule.says(&case)))
    }

    /// The same of rules that are all about the job, the knife and the motion.
    pub(super) fn score_of_picked<'r>(rules: impl IntoIterator<Item = &'r Rule>, case: &Case<'_>) -> (bool, u8) {
        let case = Case { quiet: true, ..*case };
        Fit::score_of_said(rules.into_iter().filter_map(|rule| (rule.check)(&case)))
    }

    fn score_of_said(said: impl Iterator<Item = (Effect, Text)>) -> (bool, u8) {
        let mut points = START;
        for (effect, _) in said {
            match effect {
                // What is refused has no score: the rest need not be asked.
                Effect::Refuse => return (true, 0),
                Effect::For(more) => points += i32::from(more),
                Effect::Against(less) => points -= i32::from(less),
            }
        }
        (false, u8::try_from(points.clamp(0, 100)).unwrap_or(0))
    }

    /// Whether it counts as fitting for a class.
    pub const fn fits(&self) -> bool {
        !self.refused && self.score >= FITS
    }

    /// The findings that speak against, or refuse.
    pub fn objections(&self) -> impl Iterator<Item = &Finding> {
        self.findings.iter().filter(|f| !matches!(f.effect, Effect::For(_)))
    }

    /// The findings that refuse.
    pub fn refusals(&self) -> impl Iterator<Item = &Finding> {
        self.findings.iter().filter(|f| f.effect == Effect::Refuse)
    }
}

/// What a fit comes to: its score, and the first of its findings alone in words.
#[derive(Clone, Debug, PartialEq)]
pub(crate) struct Gist {
    pub refused: bool,
    pub score: u8,
    /// Something speaks against it.
    pub warned: bool,
    pub words: Text,
}

impl Gist {
    /// The same as [`Fit::of`] in short.
    pub(crate) fn of<'r>(rules: impl IntoIterator<Item = &'r Rule>, case: &Case<'_>) -> Gist {
        let quiet = Case { quiet: true, ..*case };
        let found: Vec<(&Rule, Effect)> = rules.into_iter().filter_map(|rule| Some((rule, rule.says(&quiet)?.0))).collect();
        let (refused, score) = sum(found.iter().map(|(_, effect)| *effect));
        let lead = found.iter().min_by(|(a, one), (b, two)| one.rank().cmp(&two.rank()).then(a.id.cmp(b.id)));
        Gist {
            refused,
            score,
            warned: found.iter().any(|(_, effect)| matches!(effect, Effect::Against(_))),
            words: lead.and_then(|(rule, _)| rule.find(case)).map_or_else(Text::default, |finding| finding.words),
        }
    }
}

/// Whether anything refuses, and the score of all effects together: a sum, so that their order never matters.
fn sum(effects: impl Iterator<Item = Effect>) -> (bool, u8) {
    let (refused, points) = effects.fold((false, START), |(refused, points), effect| match effect {
        Effect::For(more) => (refused, points + i32::from(more)),
        Effect::Against(less) => (refused, points - i32::from(less)),
        Effect::Refuse => (true, points),
    });
    (refused, if refused { 0 } else { u8::try_from(points.clamp(0, 100)).unwrap_or(0) })
}
