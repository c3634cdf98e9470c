//! One job weighed against knives: the rules that are about it are picked once, for all of them.

use super::rules::Picked;
use super::{Candidate, Case, Fit, Gist, Job, Rule};
use crate::catalogue::{Edge, Grip, GripDoctrine, Hold, Motion, Third};
use crate::people::AgeBand;

/// What the instructor has fixed so far; what is `None` is proposed.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Fixed {
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

/// A knife with its motions, each with the rules that it is about: worked out once, for all jobs.
pub(crate) struct Ways<'a> {
    knife: &'a Candidate<'a>,
    of: Vec<(Motion, Picked)>,
}

impl<'a> Ways<'a> {
    /// Of a knife.
    pub(crate) fn of(knife: &'a Candidate<'a>) -> Ways<'a> {
        let picked = |motion: &Motion| (*motion, Picked::where_true(|rule| (rule.takes)(knife, *motion)));
        Ways { knife, of: knife.kind.motions.iter().map(picked).collect() }
    }
}

/// A job, and the rules of a knife with a motion that are about it.
pub(crate) struct Weighing<'a> {
    job: &'a Job<'a>,
    rules: Picked,
    /// The motions that make the cut.
    made_by: Vec<Motion>,
}

impl<'a> Weighing<'a> {
    /// Of a job.
    pub(crate) fn of(job: &'a Job<'a>) -> Weighing<'a> {
        let made_by = Motion::ALL.iter().copied().filter(|motion| job.is_made_by(*motion)).collect();
        Weighing { job, rules: Picked::where_true(|rule| (rule.about)(job)), made_by }
    }

    fn picked(&self, knife: &Candidate<'_>, motion: Motion) -> impl Iterator<Item = &'static Rule> {
        self.rules.rules().filter(move |rule| (rule.takes)(knife, motion))
    }

    /// How well a knife with a motion suits, with every reason.
    pub(super) fn fit(&self, knife: &'a Candidate<'a>, motion: Motion, fixed: Fixed) -> Fit {
        Fit::of(self.picked(knife, motion), &opening_case(self.job, knife, motion, fixed))
    }

    /// Whether a knife with a motion is refused, and its score.
    pub(super) fn score(&self, knife: &'a Candidate<'a>, motion: Motion, fixed: Fixed) -> (bool, u8) {
        Fit::score_of_picked(self.picked(knife, motion), &opening_case(self.job, knife, motion, fixed))
    }

    /// The motion in which a knife scores best, of equals the one that the type is made for; scores are
    /// compared without words.
    pub(super) fn suited_motion(&self, knife: &'a Candidate<'a>, fixed: Fixed) -> Motion {
        let rank = |motion: &Motion| {
            // Where all are refused, the reason told is that of a motion which makes the cut.
            if !self.made_by.contains(motion) {
                return (true, true, u8::MAX);
            }
            let (refused, score) = self.score(knife, *motion, fixed);
            (refused, false, u8::MAX - score)
        };
        knife.kind.motions.iter().copied().min_by_key(rank).unwrap_or(Motion::Push)
    }

    /// A knife with its best motion, in short.
    pub(crate) fn gist(&self, knife: &'a Candidate<'a>) -> (Motion, Gist) {
        let motion = self.suited_motion(knife, Fixed::default());
        (motion, Gist::of(self.picked(knife, motion), &opening_case(self.job, knife, motion, Fixed::default())))
    }

    /// The score of a knife with its best motion; `None` if each is refused. No words are made.
    pub(crate) fn best_score(&self, ways: &Ways<'a>) -> Option<u8> {
        let made = ways.of.iter().filter(|(motion, _)| self.made_by.contains(motion));
        let scores = made.map(|(motion, picked)| {
            let case = opening_case(self.job, ways.knife, *motion, Fixed::default());
            Fit::score_of_picked(self.rules.and(*picked).rules(), &case)
        });
        scores.filter(|(refused, _)| !refused).map(|(_, score)| score).max()
    }
}

/// The case from which the options are judged: the usual grip and hold, unless others are fixed.
pub(super) fn opening_case<'a>(job: &'a Job<'a>, knife: &'a Candidate<'a>, motion: Motion, fixed: Fixed) -> Case<'a> {
    let handle_first = job.age_band == AgeBand::Child || job.doctrines.grip == GripDoctrine::Handle;
    let (grip, hold) = match motion {
        Motion::InHandPull => (Grip::Paring, Hold::InHand),
        Motion::PeelStroke => (Grip::Handle, Hold::EndRest),
        Motion::PivotMince | Motion::Press | Motion::Crush => (Grip::SpineTop, Hold::SpineTop),
        _ if knife.kind.edge == Edge::Serrated || handle_first => (Grip::Handle, Hold::Claw),
        _ => (Grip::Pinch, Hold::Claw),
    };
    Case {
        job,
        knife,
        motion,
        work: job.work(motion),
        grip: fixed.grip.unwrap_or(grip),
        hold: fixed.hold.unwrap_or(hold),
        third: fixed.third.unwrap_or(Third::Middle),
        quiet: false,
    }
}
