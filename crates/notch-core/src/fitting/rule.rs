//! A rule: one small unit with an id, its text and its own check.

use serde::Serialize;

use super::{Candidate, Case, Job};
use crate::catalogue::Motion;
use crate::text::Text;

/// The words of a finding; none are made while only scores are compared.
macro_rules! say {
    ($case:expr, $($part:expr),+ $(,)?) => {
        if $case.quiet { $crate::text::Text::default() } else { $crate::text![$($part),+] }
    };
}
pub(super) use say;

/// What a rule says.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(tag = "kind", content = "points", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Effect {
    /// Speaks for it, by points.
    For(u8),
    /// Speaks against it, by points; it may be taken, and the warning stays.
    Against(u8),
    /// May not be taken.
    Refuse,
}

impl Effect {
    /// Refusals first, then against, then for; the weightiest first.
    pub(super) const fn rank(self) -> (u8, u8) {
        match self {
            Effect::Refuse => (0, 0),
            Effect::Against(points) => (1, 255 - points),
            Effect::For(points) => (2, 255 - points),
        }
    }
}

/// What one rule found in one case.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Finding {
    /// Id of the rule, e.g. `edge.teeth_on_firm`.
    pub rule: &'static str,
    /// For, against, or refuse.
    pub effect: Effect,
    /// The reason in plain words, with the figures compared.
    pub words: Text,
}

/// What a check finds: its effect and its words; nothing where the rule has nothing to say.
pub(super) type Said = Option<(Effect, Text)>;

/// One rule: an id, its text, what it is about, and its check.
#[derive(Clone, Copy, Debug)]
pub struct Rule {
    /// Id, unique over all rules.
    pub id: &'static str,
    /// The rule in one sentence, whatever the case.
    pub text: &'static str,
    /// The jobs that it is about, whatever the knife and the motion; of others it says nothing.
    pub about: fn(&Job<'_>) -> bool,
    /// The knives and motions that it is about, whatever the job; of others it says nothing.
    pub takes: fn(&Candidate<'_>, Motion) -> bool,
    /// What it finds in a case of such a job and such a knife; `None` where it has nothing to say.
    pub check: fn(&Case<'_>) -> Option<(Effect, Text)>,
}

/// What a rule is about that speaks of every job.
pub(super) const fn any_job(_: &Job<'_>) -> bool {
    true
}

/// What a rule takes that speaks of every knife and motion.
pub(super) const fn any_way(_: &Candidate<'_>, _: Motion) -> bool {
    true
}

impl Rule {
    /// What it says of a case: its effect, and why.
    pub fn says(&self, case: &Case<'_>) -> Option<(Effect, Text)> {
        if (self.about)(case.job) && (self.takes)(case.knife, case.motion) { (self.check)(case) } else { None }
    }

    pub(super) fn find(&self, case: &Case<'_>) -> Option<Finding> {
        self.says(case).map(|(effect, words)| Finding { rule: self.id, effect, words })
    }
}
