//! Puts the rules together: the best setup, every other option with its reasons.

use serde::Serialize;

use super::{Candidate, Case, Fit, Gist, Job, ShownCaution, blade_rules, grip_rules, hold_rules, motion_rules};
use crate::catalogue::{CutFamily, Edge, Grip, GripSchool, Hold, Motion, Third};
use crate::people::AgeBand;

/// What the instructor has chosen so far; what is `None` is proposed.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Wanted {
    /// Index of the knife among the candidates.
    pub knife: Option<usize>,
    /// Motion.
    pub motion: Option<Motion>,
    /// Grip.
    pub grip: Option<Grip>,
    /// Hold.
    pub hold: Option<Hold>,
    /// Third of the blade.
    pub third: Option<Third>,
}

/// One option among others, e.g. a grip.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Choice<T> {
    /// The option.
    pub value: T,
    /// Its name.
    pub name: String,
    /// How well it suits.
    pub fit: Fit,
}

/// A knife among the candidates, with its best motion.
#[derive(Clone, Debug, PartialEq)]
pub struct KnifeOption {
    /// Index among the candidates.
    pub knife: usize,
    /// The motion that suits it best here.
    pub motion: Motion,
    /// How well the knife with this motion suits.
    pub fit: Fit,
}

/// How the cut will be made.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Setup {
    /// Index of the knife among the candidates.
    pub knife: usize,
    /// Motion.
    pub motion: Motion,
    /// Grip.
    pub grip: Grip,
    /// Hold.
    pub hold: Hold,
    /// Third of the blade.
    pub third: Third,
}

/// Everything that Plan shows for a cut.
#[derive(Clone, Debug, PartialEq)]
pub struct Suggestion {
    /// What is chosen, or proposed; `None` if there is no knife at all.
    pub setup: Option<Setup>,
    /// Whether a rule refuses the setup.
    pub refused: bool,
    /// All knives, best first, refused ones last.
    pub knives: Vec<KnifeOption>,
    /// All motions for the knife of the setup.
    pub motions: Vec<Choice<Motion>>,
    /// All grips.
    pub grips: Vec<Choice<Grip>>,
    /// All holds.
    pub holds: Vec<Choice<Hold>>,
    /// All thirds.
    pub thirds: Vec<Choice<Third>>,
    /// Cautions of the setup, the gravest first.
    pub cautions: Vec<ShownCaution>,
}

/// Finds the best setup for a job among `candidates`, honouring what is `wanted`.
///
/// A wanted option that a rule refuses stays in the setup, and the suggestion says `refused`, so
/// that the screen can show the reason. A knife index outside the candidates is ignored.
///
/// # Complexity
/// O(knives × motions of the type × rules).
pub fn suggest(job: &Job<'_>, candidates: &[Candidate<'_>], wanted: Wanted) -> Suggestion {
    let mut knives: Vec<KnifeOption> =
        candidates.iter().enumerate().map(|(index, candidate)| best_motion(job, candidate, index, wanted)).collect();
    knives.sort_by(|a, b| {
        let size = |option: &KnifeOption| candidates.get(option.knife).map_or(0, |c| c.numbers.len());
        a.fit
            .refused
            .cmp(&b.fit.refused)
            .then(b.fit.score.cmp(&a.fit.score))
            .then(size(b).cmp(&size(a)))
            .then(a.knife.cmp(&b.knife))
    });
    let chosen = wanted.knife.and_then(|index| knives.iter().find(|k| k.knife == index)).or(knives.first());
    let Some((option, candidate)) = chosen.and_then(|o| candidates.get(o.knife).map(|c| (o.clone(), c))) else {
        return Suggestion {
            setup: None,
            refused: true,
            knives,
            motions: Vec::new(),
            grips: Vec::new(),
            holds: Vec::new(),
            thirds: Vec::new(),
            cautions: Vec::new(),
        };
    };
    let mut case = opening_case(job, candidate, option.motion, wanted);
    let motions = choices(
        Motion::ALL,
        |m| job.catalogue.handling.motion_name(m),
        |motion| Fit::of(motion_rules::RULES, &Case { motion, ..case }),
    );
    let grips =
        choices(Grip::ALL, |g| job.catalogue.handling.grip_name(g), |grip| Fit::of(grip_rules::RULES, &Case { grip, ..case }));
    let holds = choices(
        Hold::ALL,
        |h| job.catalogue.handling.hold_name(h),
        |hold| Fit::of(hold_rules::HOLD_RULES, &Case { hold, ..case }),
    );
    let thirds = choices(Third::ALL, |t: Third| t.word(), |third| Fit::of(hold_rules::THIRD_RULES, &Case { third, ..case }));
    case.grip = wanted.grip.or_else(|| best(&grips)).unwrap_or(case.grip);
    case.hold = wanted.hold.or_else(|| best(&holds)).unwrap_or(case.hold);
    case.third = wanted.third.or_else(|| best(&thirds)).unwrap_or(case.third);
    let refused = option.fit.refused
        || is_refused(&motions, case.motion)
        || is_refused(&grips, case.grip)
        || is_refused(&holds, case.hold)
        || is_refused(&thirds, case.third);
    Suggestion {
        setup: Some(Setup { knife: option.knife, motion: case.motion, grip: case.grip, hold: case.hold, third: case.third }),
        refused,
        cautions: super::cautions::cautions(&case),
        knives,
        motions,
        grips,
        holds,
        thirds,
    }
}

/// The case from which the choices are judged: the usual grip and hold, unless others are wanted.
fn opening_case<'a>(job: &'a Job<'a>, knife: &'a Candidate<'a>, motion: Motion, wanted: Wanted) -> Case<'a> {
    let two_handed = matches!(motion, Motion::PivotMince | Motion::Press);
    let (grip, hold) = if job.cut.family == CutFamily::Hand {
        (Grip::Paring, Hold::InHand)
    } else if two_handed {
        (Grip::SpineTop, Hold::SpineTop)
    } else if knife.kind.edge == Edge::Serrated || job.age_band == AgeBand::Child || job.schools.grip == GripSchool::Handle {
        (Grip::Handle, Hold::Claw)
    } else {
        (Grip::Pinch, Hold::Claw)
    };
    Case {
        job,
        knife,
        motion,
        grip: wanted.grip.unwrap_or(grip),
        hold: wanted.hold.unwrap_or(hold),
        third: wanted.third.unwrap_or(Third::for_firmness(job.food.firmness)),
        quiet: false,
    }
}

/// The knife with the motion that suits it best, or with the wanted one; of equals the motion that
/// the type is made for.
fn best_motion(job: &Job<'_>, candidate: &Candidate<'_>, index: usize, wanted: Wanted) -> KnifeOption {
    let is_wanted = wanted.knife.is_none_or(|knife| knife == index);
    let fixed = wanted.motion.filter(|_| is_wanted);
    // What is wanted of grip and hold is meant for the wanted knife, not for comparing all others.
    let wanted = if wanted.knife == Some(index) { wanted } else { Wanted::default() };
    let motion = fixed.unwrap_or_else(|| suited_motion(job, candidate, wanted));
    KnifeOption { knife: index, motion, fit: Fit::of(blade_rules(), &opening_case(job, candidate, motion, wanted)) }
}

/// The motion in which a knife scores best; scores are compared without words.
fn suited_motion(job: &Job<'_>, candidate: &Candidate<'_>, wanted: Wanted) -> Motion {
    let rank = |motion: &Motion| {
        let (refused, score) = Fit::score_of(blade_rules(), &opening_case(job, candidate, *motion, wanted));
        (refused, u8::MAX - score)
    };
    candidate.kind.motions.iter().copied().min_by_key(rank).unwrap_or(Motion::Push)
}

/// A knife with its best motion, in short.
pub(crate) fn gist(job: &Job<'_>, candidate: &Candidate<'_>) -> (Motion, Gist) {
    let motion = suited_motion(job, candidate, Wanted::default());
    (motion, Gist::of(blade_rules(), &opening_case(job, candidate, motion, Wanted::default())))
}

/// The score of a knife with its best motion; `None` if each is refused. No words are made.
pub(crate) fn best_score(job: &Job<'_>, knife: &Candidate<'_>) -> Option<u8> {
    let scores = knife.kind.motions.iter().map(|motion| {
        let case = opening_case(job, knife, *motion, Wanted::default());
        Fit::score_of(blade_rules(), &case)
    });
    scores.filter(|(refused, _)| !refused).map(|(_, score)| score).max()
}

/// The best setup of a job without the words: what is compared when a school changes.
#[derive(Clone, Debug, PartialEq)]
pub(crate) struct Proposal {
    pub setup: Setup,
    pub score: u8,
    pub refused: bool,
    /// What the course's own way of dicing layers or its cautions add.
    pub notes: Vec<String>,
}

/// The setup that [`suggest`] would propose, without the words of all other options.
pub(crate) fn propose(job: &Job<'_>, candidates: &[Candidate<'_>]) -> Option<Proposal> {
    let ranked = candidates.iter().enumerate().flat_map(|(index, knife)| {
        knife.kind.motions.iter().map(move |motion| {
            let case = opening_case(job, knife, *motion, Wanted::default());
            let (refused, score) = Fit::score_of(blade_rules(), &case);
            ((refused, u8::MAX - score, usize::MAX - knife.numbers.len(), index), *motion)
        })
    });
    let ((refused, rest, _, index), motion) = ranked.min_by_key(|(rank, _)| *rank)?;
    let mut case = opening_case(job, candidates.get(index)?, motion, Wanted::default());
    let lightest = |rank: (bool, u8)| (rank.0, u8::MAX - rank.1);
    let grip = Grip::ALL.iter().min_by_key(|grip| lightest(Fit::score_of(grip_rules::RULES, &Case { grip: **grip, ..case })));
    let hold =
        Hold::ALL.iter().min_by_key(|hold| lightest(Fit::score_of(hold_rules::HOLD_RULES, &Case { hold: **hold, ..case })));
    case.grip = grip.copied().unwrap_or(case.grip);
    case.hold = hold.copied().unwrap_or(case.hold);
    let layers = hold_rules::HOLD_RULES.iter().find(|rule| rule.id == "hold.level_cut").filter(|_| case.dices_layers());
    let of_level = super::cautions::cautions(&case).into_iter().filter(|caution| caution.id == "level_cut");
    let cautions = of_level.map(|caution| format!("caution: {}", caution.title.trim_end_matches(':').to_lowercase()));
    let said = layers.and_then(|rule| rule.find(&case)).map(|finding| finding.words);
    Some(Proposal {
        setup: Setup { knife: index, motion, grip: case.grip, hold: case.hold, third: case.third },
        score: u8::MAX - rest,
        refused,
        notes: said.into_iter().chain(cautions).collect(),
    })
}

fn choices<'n, T: Copy>(all: &[T], name: impl Fn(T) -> &'n str, fit: impl Fn(T) -> Fit) -> Vec<Choice<T>> {
    all.iter().map(|&value| Choice { value, name: name(value).to_owned(), fit: fit(value) }).collect()
}

fn best<T: Copy>(choices: &[Choice<T>]) -> Option<T> {
    choices
        .iter()
        .filter(|choice| !choice.fit.refused)
        .reduce(|best, next| if next.fit.score > best.fit.score { next } else { best })
        .map(|choice| choice.value)
}

fn is_refused<T: PartialEq>(choices: &[Choice<T>], value: T) -> bool {
    choices.iter().any(|choice| choice.value == value && choice.fit.refused)
}
