//! How a course is drafted, as data: the techniques, the limits of a session, and what the search weighs.

use serde::Deserialize;

use super::mistakes::Mistakes;
use super::{Catalogue, NotchKind, Strand};

/// Limits of a session that a draft never passes.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct DraftLimits {
    /// New techniques in a session.
    pub new: usize,
    /// New techniques of a course of one session, where one follows from the other.
    pub new_alone: usize,
    /// Techniques in a session, new or not.
    pub techniques: usize,
    /// Least minutes that a technique is practised.
    pub minutes: u16,
    /// Share of the class that may be without a knife that fits, 0..1.
    pub without_knife: f64,
    /// Share of the class that has tried a technique, from which it counts as known, 0..1.
    pub known: f64,
}

/// Points of what a draft is weighed by.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct DraftWeights {
    /// A goal that is expected in time.
    pub goal: i32,
    /// The share of a goal that is.
    pub towards: i32,
    /// A technique that a goal stands on.
    pub on_the_way: i32,
    /// The second new thing of a session.
    pub second_new: i32,
    /// A review on the very day.
    pub review: i32,
    /// Days after which what was learnt comes back.
    pub review_days: [u16; 2],
    /// What was new the last time comes first.
    pub review_last: i32,
    /// Once more, after so many days without it; less when sooner.
    pub practice: i32,
    /// Days after which it is due again.
    pub practice_days: u16,
    /// One technique's product is what the next begins with.
    pub feeds: i32,
    /// Each food of a session after the first.
    pub food: i32,
    /// The same food as the last time.
    pub same_food: i32,
    /// A food that was there in earlier sessions, for each of them.
    pub food_again: i32,
    /// Five minutes that are left over.
    pub spare: i32,
    /// A student without a knife that fits.
    pub without_knife: i32,
    /// A technique that stands where it stood.
    pub stays: i32,
}

/// Sessions of practice that each notch usually takes after the one before.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct NotchSessions {
    safe: u16,
    #[serde(rename = "true")]
    on_target: u16,
    even: u16,
    paced: u16,
    held: u16,
}

impl NotchSessions {
    /// Sessions for one notch.
    pub const fn of(&self, notch: NotchKind) -> u16 {
        match notch {
            NotchKind::Safe => self.safe,
            NotchKind::True => self.on_target,
            NotchKind::Even => self.even,
            NotchKind::Paced => self.paced,
            NotchKind::Held => self.held,
        }
    }
}

/// A technique that a course can be drafted from.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Technique {
    /// Id of the cut.
    pub cut: String,
    /// The strand that it stands in.
    pub strand: Strand,
    /// Ids of cuts of which one was taught before; none for a first one of its strand.
    #[serde(default)]
    pub after: Vec<String>,
    /// Points for teaching it.
    pub worth: i32,
    /// Minutes for each student, where strokes are not counted.
    pub minutes_each: Option<f64>,
    /// Ids of foods, from easy to hard.
    pub foods: Vec<String>,
}

/// Two techniques of which one begins with what the other leaves, on the same food.
#[derive(Clone, Debug, PartialEq, Deserialize)]
#[serde(deny_unknown_fields)]
pub struct Feeds {
    /// Id of the cut that leaves it.
    pub from: String,
    /// Id of the cut that begins with it.
    pub into: String,
}

/// How a course is drafted.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct DraftRules {
    /// Limits of a session.
    pub limits: DraftLimits,
    /// What is weighed.
    pub weights: DraftWeights,
    /// Sessions that a notch takes.
    pub sessions: NotchSessions,
    /// The techniques.
    #[serde(rename = "technique")]
    pub techniques: Vec<Technique>,
    /// What feeds what.
    pub feeds: Vec<Feeds>,
}

impl DraftRules {
    /// The technique of a cut.
    pub fn technique(&self, cut: &str) -> Option<&Technique> {
        self.techniques.iter().find(|technique| technique.cut == cut)
    }

    /// The first technique that stands on itself, where the order of learning goes in a circle.
    fn circle(&self) -> Option<&Technique> {
        let mut open: Vec<&Technique> = self.techniques.iter().collect();
        loop {
            let left = open.len();
            let waiting: Vec<&str> = open.iter().map(|technique| technique.cut.as_str()).collect();
            // It can be taught once one that it stands on can be.
            let waits = |technique: &&Technique| {
                !technique.after.is_empty() && technique.after.iter().all(|cut| waiting.contains(&cut.as_str()))
            };
            open.retain(waits);
            if open.len() == left {
                return open.first().copied();
            }
        }
    }
}

/// Mistakes in the rules of drafting.
pub(super) fn check_draft(catalogue: &Catalogue, mistakes: &mut Mistakes) {
    let rules = &catalogue.draft;
    for technique in &rules.techniques {
        let cut = &technique.cut;
        mistakes.unless(catalogue.cut(cut).is_some(), || format!("draft: cut “{cut}” is not known"));
        let own = catalogue.cut(cut).and_then(|cut| cut.strand);
        mistakes.unless(own.is_none_or(|strand| strand == technique.strand), || format!("draft: strand of {cut}"));
        for before in &technique.after {
            mistakes.unless(rules.technique(before).is_some(), || format!("draft: {cut} after “{before}”"));
        }
        let minutes = technique.minutes_each.is_none_or(|minutes| (0.5..=60.0).contains(&minutes));
        mistakes.unless(minutes && !technique.foods.is_empty(), || format!("draft: minutes or foods of {cut}"));
    }
    for feeds in &rules.feeds {
        let known = rules.technique(&feeds.from).is_some() && rules.technique(&feeds.into).is_some();
        mistakes.unless(known, || format!("draft: {} feeds {}", feeds.from, feeds.into));
    }
    let circle = rules.circle().map(|technique| technique.cut.clone());
    mistakes.unless(circle.is_none(), || format!("draft: {} stands on itself", circle.unwrap_or_default()));
    let shares = [rules.limits.without_knife, rules.limits.known];
    mistakes.unless(shares.iter().all(|share| (0.0..=1.0).contains(share)), || "draft: a share is 0 to 1".to_owned());
    mistakes.unless(rules.techniques.len() <= 32, || "draft: 32 techniques at the most".to_owned());
    mistakes.unless(rules.limits.minutes > 0 && rules.limits.new > 0, || "draft: limits".to_owned());
}
