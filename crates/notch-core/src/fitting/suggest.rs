//! Puts the rules together: the best setup, every other option with its reasons.

use serde::Serialize;

use super::cautions::{self, LEVEL_CUT};
use super::rules::{of_grip, of_hold, of_motion, of_third};
use super::weighing::{Fixed, Weighing, opening_case};
use super::{Candidate, Case, Fit, Job, Rule, ShownCaution, hold_rules};
use crate::catalogue::{Grip, Handling, Hold, Motion, Third};
use crate::text;
use crate::text::Text;

/// One option among others, e.g. a grip, with how well it suits.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Rated<T> {
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

impl Handling {
    /// A setup as it is said: `pinch · claw · push cut · heel third`.
    pub(crate) fn in_words(&self, setup: Setup) -> String {
        let (grip, hold, motion) = (self.grip_name(setup.grip), self.hold_name(setup.hold), self.motion_name(setup.motion));
        format!("{grip} · {hold} · {motion} · {}", setup.third.said())
    }
}

/// The setup that is proposed for a job, without the words of all other options.
#[derive(Clone, Debug, PartialEq)]
pub struct Proposal {
    /// The setup.
    pub setup: Setup,
    /// How well the knife with its motion suits, 0 to 100.
    pub score: u8,
    /// Whether a rule refuses a part of the setup.
    pub refused: bool,
    /// What the course's own way of dicing layers or its cautions add.
    pub notes: Vec<Text>,
}

/// Everything that Plan shows for a cut.
#[derive(Clone, Debug, PartialEq)]
pub struct Suggestion {
    /// What is fixed, or proposed; `None` if there is no knife at all.
    pub setup: Option<Setup>,
    /// Whether a rule refuses the setup.
    pub refused: bool,
    /// All knives, best first, refused ones last.
    pub knives: Vec<KnifeOption>,
    /// All motions for the knife of the setup.
    pub motions: Vec<Rated<Motion>>,
    /// All grips.
    pub grips: Vec<Rated<Grip>>,
    /// All holds.
    pub holds: Vec<Rated<Hold>>,
    /// All thirds.
    pub thirds: Vec<Rated<Third>>,
    /// Cautions of the setup, the gravest first.
    pub cautions: Vec<ShownCaution>,
}

/// Finds the best setup for a job among `candidates`, honouring what is `fixed`, with the reasons of
/// every option.
///
/// A fixed option that a rule refuses stays in the setup, and the suggestion says `refused`, so that
/// the screen can show the reason. A knife index outside the candidates is ignored.
///
/// # Complexity
/// O(knives × motions of the type × rules).
pub fn suggest(job: &Job<'_>, candidates: &[Candidate<'_>], fixed: Fixed) -> Suggestion {
    let weighing = Weighing::of(job);
    let knives: Vec<KnifeOption> = ranked(&weighing, candidates, fixed)
        .into_iter()
        .filter_map(|ranked| {
            let fit = weighing.fit(candidates.get(ranked.knife)?, ranked.motion, meant_for(fixed, ranked.knife));
            Some(KnifeOption { knife: ranked.knife, motion: ranked.motion, fit })
        })
        .collect();
    let chosen = chosen(&knives, fixed, |option| option.knife);
    let found = chosen.and_then(|option| Some((option.knife, option.motion, candidates.get(option.knife)?)));
    let Some((knife, motion, candidate)) = found else { return Suggestion::without_knife(knives) };
    let case = settled(opening_case(job, candidate, motion, fixed), fixed);
    let handling = &job.catalogue.handling;
    let motions = rated(
        Motion::ALL,
        |m| handling.motion_name(m),
        |motion| Fit::of(of_motion(), &Case { motion, work: job.work(motion), ..case }),
    );
    let grips = rated(Grip::ALL, |g| handling.grip_name(g), |grip| Fit::of(of_grip(), &Case { grip, ..case }));
    let holds = rated(Hold::ALL, |h| handling.hold_name(h), |hold| Fit::of(of_hold(), &Case { hold, ..case }));
    let thirds = rated(Third::ALL, Third::said, |third| Fit::of(of_third(), &Case { third, ..case }));
    let refused = knives.iter().any(|option| option.knife == knife && option.fit.refused) || refuses(&case);
    Suggestion {
        setup: Some(Setup { knife, motion: case.motion, grip: case.grip, hold: case.hold, third: case.third }),
        refused,
        cautions: cautions::cautions(&case),
        knives,
        motions,
        grips,
        holds,
        thirds,
    }
}

impl Suggestion {
    fn without_knife(knives: Vec<KnifeOption>) -> Suggestion {
        Suggestion {
            setup: None,
            refused: true,
            knives,
            motions: Vec::new(),
            grips: Vec::new(),
            holds: Vec::new(),
            thirds: Vec::new(),
            cautions: Vec::new(),
        }
    }
}

/// The setup that [`suggest`] gives, without the words of all other options.
pub fn propose(job: &Job<'_>, candidates: &[Candidate<'_>], fixed: Fixed) -> Option<Proposal> {
    let ranked = ranked(&Weighing::of(job), candidates, fixed);
    let best = *chosen(&ranked, fixed, |ranked| ranked.knife)?;
    let case = settled(opening_case(job, candidates.get(best.knife)?, best.motion, fixed), fixed);
    let layers = case.dices_layers().then_some(hold_rules::LEVEL_CUTS);
    let said = layers.and_then(|rule| rule.find(&case)).map(|finding| finding.words);
    let of_level = cautions::cautions(&case).into_iter().filter(|caution| caution.id == LEVEL_CUT);
    Some(Proposal {
        setup: Setup { knife: best.knife, motion: case.motion, grip: case.grip, hold: case.hold, third: case.third },
        score: best.score,
        refused: best.refused || refuses(&case),
        notes: said.into_iter().chain(of_level.map(|caution| text!["caution: ", caution.title])).collect(),
    })
}

/// A knife with its best motion, as it is ranked.
#[derive(Clone, Copy)]
struct Ranked {
    knife: usize,
    motion: Motion,
    refused: bool,
    score: u8,
}

/// All knives, best first: those that are not refused, then the better fit, then the larger group, then
/// the order of the candidates.
fn ranked<'a>(weighing: &Weighing<'a>, candidates: &'a [Candidate<'a>], fixed: Fixed) -> Vec<Ranked> {
    let of = |(knife, candidate): (usize, &'a Candidate<'a>)| {
        let meant = meant_for(fixed, knife);
        let motion = meant.motion.unwrap_or_else(|| weighing.suited_motion(candidate, meant));
        let (refused, score) = weighing.score(candidate, motion, meant);
        Ranked { knife, motion, refused, score }
    };
    let mut all: Vec<Ranked> = candidates.iter().enumerate().map(of).collect();
    let size = |ranked: &Ranked| candidates.get(ranked.knife).map_or(0, |candidate| candidate.numbers.len());
    all.sort_by(|a, b| {
        let better = a.refused.cmp(&b.refused).then(b.score.cmp(&a.score));
        better.then(size(b).cmp(&size(a))).then(a.knife.cmp(&b.knife))
    });
    all
}

/// What is fixed of motion, grip and hold is meant for the fixed knife, not for comparing all others; a
/// motion that is fixed before any knife is meant for all.
fn meant_for(fixed: Fixed, knife: usize) -> Fixed {
    match fixed.knife {
        Some(named) if named == knife => fixed,
        Some(_) => Fixed::default(),
        None => Fixed { motion: fixed.motion, ..Fixed::default() },
    }
}

/// The fixed knife, or the best.
fn chosen<T>(all: &[T], fixed: Fixed, knife: impl Fn(&T) -> usize) -> Option<&T> {
    fixed.knife.and_then(|named| all.iter().find(|each| knife(each) == named)).or(all.first())
}

/// The case with the best grip, hold and third where none is fixed.
fn settled<'a>(mut case: Case<'a>, fixed: Fixed) -> Case<'a> {
    let grip = best(of_grip, Grip::ALL, |grip| Case { grip, ..case });
    let hold = best(of_hold, Hold::ALL, |hold| Case { hold, ..case });
    let third = best(of_third, Third::ALL, |third| Case { third, ..case });
    case.grip = fixed.grip.or(grip).unwrap_or(case.grip);
    case.hold = fixed.hold.or(hold).unwrap_or(case.hold);
    case.third = fixed.third.or(third).unwrap_or(case.third);
    case
}

/// The best of the options that no rule refuses; of equals the first.
fn best<'a, T: Copy, R: Iterator<Item = &'static Rule>>(rules: fn() -> R, all: &[T], case: impl Fn(T) -> Case<'a>) -> Option<T> {
    let scored = all.iter().map(|option| (*option, Fit::score_of(rules(), &case(*option))));
    let open = scored.filter(|(_, (refused, _))| !refused);
    open.reduce(|best, next| if next.1.1 > best.1.1 { next } else { best }).map(|(option, _)| option)
}

/// Whether the motion, grip, hold or third of a case is refused.
fn refuses(case: &Case<'_>) -> bool {
    Fit::score_of(of_motion(), case).0
        || Fit::score_of(of_grip(), case).0
        || Fit::score_of(of_hold(), case).0
        || Fit::score_of(of_third(), case).0
}

fn rated<'n, T: Copy>(all: &[T], name: impl Fn(T) -> &'n str, fit: impl Fn(T) -> Fit) -> Vec<Rated<T>> {
    all.iter().map(|&value| Rated { value, name: name(value).to_owned(), fit: fit(value) }).collect()
}
