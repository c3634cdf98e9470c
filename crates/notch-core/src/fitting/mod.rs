//! Which knife, grip, hold, motion and third of the blade suit a cut, and why.
//!
//! Every rule is one small unit with an id, its text and its own check ([`Rule`]). A rule looks at
//! one [`Case`] and may find something *for*, *against*, or a reason to *refuse*. The score is the
//! sum of what was found, so the order of the rules never matters, and every score and refusal can
//! be told from its findings alone.

/// The words of a finding; none are made while only scores are compared.
macro_rules! say {
    ($case:expr, $($words:tt)*) => {
        if $case.quiet { String::new() } else { format!($($words)*) }
    };
}

mod cautions;
mod course_rules;
mod grip_rules;
mod hold_rules;
mod knife_rules;
mod motion_rules;
mod student_rules;
mod suggest;

use serde::Serialize;

pub use cautions::ShownCaution;
pub use suggest::{Choice, KnifeOption, Setup, Suggestion, Wanted, suggest};
pub(crate) use suggest::{Proposal, best_score, gist, propose};

use crate::catalogue::{BoardMaterial, Catalogue, Cut, CutFamily, Food, Grip, Hold, KnifeType, Motion, Schools, Target, Third};
use crate::people::{AgeBand, Hand, HandSize, Pace};
use crate::units::Millimetres;

/// Travel that a blade needs beyond the food.
pub const TRAVEL: Millimetres = Millimetres::whole(25);
/// Blade that a pinch grip uses up.
pub const PINCH: Millimetres = Millimetres::whole(25);

/// What is to be cut, and for whom.
#[derive(Clone, Debug)]
pub struct Job<'a> {
    /// The catalogue that all words come from.
    pub catalogue: &'a Catalogue,
    /// The food.
    pub food: &'a Food,
    /// The cut.
    pub cut: &'a Cut,
    /// Its target sizes.
    pub target: Target,
    /// Who the course is for.
    pub age_band: AgeBand,
    /// The pace of the class.
    pub pace: Pace,
    /// The schools that the course has chosen.
    pub schools: Schools,
    /// What the boards are made of.
    pub board: BoardMaterial,
    /// One student, where the question is about one.
    pub trainee: Option<Trainee>,
    /// Students by working hand: right, left.
    pub hands: (u32, u32),
    /// Names of students with an allergy to this food.
    pub allergic: Vec<String>,
}

impl Job<'_> {
    /// Length of the longest cut through the food: the stick, or the food's width if that is more.
    pub fn cut_length(&self) -> Millimetres {
        let across = self.food.width();
        match self.cut.family {
            CutFamily::Strips => self.target.length.map_or(across, |l| l.nominal()).longer(across),
            CutFamily::Dice | CutFamily::Chop => across.longer(Millimetres::whole(50)),
            CutFamily::Slices if self.cut.id == "plank" => self.food.length().shorter(Millimetres::whole(100)).longer(across),
            CutFamily::Slices => across,
            CutFamily::Hand => Millimetres::ZERO,
        }
    }

    /// Thinnest side of the piece, where the cut has a size.
    pub fn thinnest(&self) -> Option<Millimetres> {
        [self.target.thickness, self.target.width].into_iter().flatten().map(|s| s.nominal()).reduce(Millimetres::shorter)
    }
}

/// The student that a knife is chosen for.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Trainee {
    /// Working hand.
    pub hand: Hand,
    /// Size of the hand.
    pub hand_size: HandSize,
    /// Longest blade that the student is cleared for.
    pub clearance: Millimetres,
    /// Cleared for turning, single-bevel, boning and heavy knives.
    pub special: bool,
}

/// Knives of one type and length that are alike for a cut.
#[derive(Clone, Debug)]
pub struct Candidate<'a> {
    /// Type.
    pub kind: &'a KnifeType,
    /// Blade length.
    pub length: Millimetres,
    /// Blade height at the heel.
    pub heel_height: Millimetres,
    /// Hand it is ground for; `None` for either.
    pub hand: Option<Hand>,
    /// Sides hollowed, so that slices let go.
    pub hollowed: bool,
    /// Passed its last edge test.
    pub sharp: bool,
    /// Numbers of the knives on the rack.
    pub numbers: Vec<String>,
}

/// One way to make the cut with one knife.
#[derive(Clone, Copy, Debug)]
pub struct Case<'a> {
    /// What is to be cut.
    pub job: &'a Job<'a>,
    /// With which knife.
    pub knife: &'a Candidate<'a>,
    /// Moved how.
    pub motion: Motion,
    /// Held how.
    pub grip: Grip,
    /// The food held how.
    pub hold: Hold,
    /// With which part of the blade.
    pub third: Third,
    /// Only scores are compared: findings carry no words.
    pub quiet: bool,
}

impl Case<'_> {
    pub(crate) fn in_hand(&self) -> bool {
        self.job.cut.family == CutFamily::Hand
    }

    /// Both hands are on the knife.
    pub(crate) const fn two_handed(&self) -> bool {
        matches!(self.motion, Motion::PivotMince | Motion::Press)
    }

    /// An onion that is diced, or any layered ball.
    pub(crate) fn dices_layers(&self) -> bool {
        self.job.cut.family == CutFamily::Dice && matches!(self.job.food.shape, crate::catalogue::Shape::LayeredBall { .. })
    }
}

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
    const fn rank(self) -> (u8, u8) {
        match self {
            Effect::Refuse => (0, 0),
            Effect::Against(points) => (1, 255 - points),
            Effect::For(points) => (2, 255 - points),
        }
    }
}

/// What one rule found in one case.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Finding {
    /// Id of the rule, e.g. `edge.teeth_on_firm`.
    pub rule: &'static str,
    /// For, against, or refuse.
    pub effect: Effect,
    /// The reason in plain words, with the figures compared.
    pub words: String,
}

/// One rule: an id, its text, and its check.
#[derive(Clone, Copy, Debug)]
pub struct Rule {
    /// Id, unique over all rules.
    pub id: &'static str,
    /// The rule in one sentence, whatever the case.
    pub text: &'static str,
    /// What it finds in a case; `None` where it has nothing to say.
    pub check: fn(&Case<'_>) -> Option<(Effect, String)>,
}

impl Rule {
    fn find(&self, case: &Case<'_>) -> Option<Finding> {
        (self.check)(case).map(|(effect, words)| Finding { rule: self.id, effect, words })
    }
}

/// The rules that score a knife with a motion: of the knife, the motion, the course and the student.
pub(crate) fn blade_rules() -> impl Iterator<Item = &'static Rule> {
    [knife_rules::RULES, motion_rules::RULES, course_rules::RULES, student_rules::RULES].into_iter().flatten()
}

/// All rules: of the knife, the motion, the grip, the hold and the third.
pub fn rules() -> impl Iterator<Item = &'static Rule> {
    let settings = [grip_rules::RULES, hold_rules::HOLD_RULES, hold_rules::THIRD_RULES];
    blade_rules().chain(settings.into_iter().flatten())
}

/// How well something suits, with every reason.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Fit {
    /// 0 to 100; 0 if refused.
    pub score: u8,
    /// May not be taken.
    pub refused: bool,
    /// Reasons: refusals first, then against, then for; the weightiest first.
    pub findings: Vec<Finding>,
}

/// Where a score starts before anything is found.
const START: i32 = 35;

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
        sum(rules.into_iter().filter_map(|rule| (rule.check)(&case)).map(|(effect, _)| effect))
    }

    /// The findings that speak against, or refuse.
    pub fn objections(&self) -> impl Iterator<Item = &Finding> {
        self.findings.iter().filter(|f| !matches!(f.effect, Effect::For(_)))
    }
}

/// What a fit comes to: its score, and the first of its findings alone in words.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(crate) struct Gist {
    pub refused: bool,
    pub score: u8,
    /// Something speaks against it.
    pub warned: bool,
    pub words: String,
}

impl Gist {
    /// The same as [`Fit::of`] in short.
    pub(crate) fn of<'r>(rules: impl IntoIterator<Item = &'r Rule>, case: &Case<'_>) -> Gist {
        let quiet = Case { quiet: true, ..*case };
        let found: Vec<(&Rule, Effect)> = rules.into_iter().filter_map(|rule| Some((rule, (rule.check)(&quiet)?.0))).collect();
        let (refused, score) = sum(found.iter().map(|(_, effect)| *effect));
        let lead = found.iter().min_by(|(a, one), (b, two)| one.rank().cmp(&two.rank()).then(a.id.cmp(b.id)));
        Gist {
            refused,
            score,
            warned: found.iter().any(|(_, effect)| matches!(effect, Effect::Against(_))),
            words: lead.and_then(|(rule, _)| rule.find(case)).map_or_else(String::new, |finding| finding.words),
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
