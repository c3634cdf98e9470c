//! A question with its answers, and what all of them are made with.

use rand::seq::SliceRandom;
use rand::{Rng, SeedableRng};
use rand_xoshiro::Xoshiro256PlusPlus;
use serde::Serialize;

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, FaultPicture, Food};
use crate::drawing::Silhouette;
use crate::fitting::{Candidate, Fixed, Job, KnifeSource, Suggestion, suggest};
use crate::records::{AskAbout, Exercise, Student};
use crate::text::Text;
use crate::units::Millimetres;

/// What is drawn with a question.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Shown {
    /// A knife's outline.
    Outline {
        /// The outline.
        silhouette: Silhouette,
    },
    /// A fault.
    Fault {
        /// Which drawing.
        picture: FaultPicture,
    },
    /// A piece at true size, beside a bar.
    Piece {
        /// Its thickness.
        thickness: Millimetres,
        /// Its length.
        length: Millimetres,
        /// Length of the bar beside it.
        bar: Millimetres,
    },
}

/// One of the answers that are offered.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Choice {
    /// What it is sent by.
    pub id: String,
    /// Its words.
    pub words: Text,
    /// The outline of a knife.
    pub silhouette: Option<Silhouette>,
    /// Whether it is the right one.
    pub right: bool,
    /// Why, or why not.
    pub reason: Text,
}

/// A question with two to four answers, one of them right.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Question {
    /// What it is about.
    pub about: AskAbout,
    /// The question.
    pub asks: Text,
    /// What is drawn with it.
    pub shown: Option<Shown>,
    /// What can be answered.
    pub answers: Vec<Choice>,
    /// It was missed before.
    pub again: bool,
}

/// What questions are made from.
#[derive(Clone, Copy, Debug)]
pub struct AskInput<'a> {
    /// What the course has at hand.
    pub at_hand: AtHand<'a>,
    /// The exercises of the lesson: jobs are theirs before they are others.
    pub exercises: &'a [Exercise],
    /// The student who is asked; none where the room is.
    pub student: Option<&'a Student>,
    /// So that one round is not like another.
    pub seed: u32,
}

/// Wrong answers beside the right one.
pub(super) const WRONG: usize = 3;

/// Chance of one question, always the same for the same place in the same round.
pub(super) struct Luck(Xoshiro256PlusPlus);

impl Luck {
    pub fn of(seed: u32, place: usize) -> Luck {
        let place = u64::try_from(place).unwrap_or(u64::MAX);
        Luck(Xoshiro256PlusPlus::seed_from_u64(u64::from(seed) << 16 ^ place))
    }

    pub fn shuffled<T>(&mut self, mut all: Vec<T>) -> Vec<T> {
        all.shuffle(&mut self.0);
        all
    }

    /// Whether it falls on one in so many.
    pub fn one_in(&mut self, many: u32) -> bool {
        self.0.random_range(0..many.max(1)) == 0
    }
}

impl Question {
    /// The right answer among at most three wrong ones; `None` where nothing wrong is left to tell it from.
    pub(super) fn new(
        (about, asks, shown): (AskAbout, Text, Option<Shown>),
        right: Choice,
        wrong: Vec<Choice>,
        luck: &mut Luck,
    ) -> Option<Question> {
        let mut answers: Vec<Choice> = luck.shuffled(wrong).into_iter().take(WRONG).collect();
        if answers.is_empty() {
            return None;
        }
        answers.push(right);
        Some(Question { about, asks, shown, answers: luck.shuffled(answers), again: false })
    }
}

/// A cut of a food as the rules see it, with the knives that the course has.
pub(super) struct Asked<'a> {
    pub food: &'a Food,
    pub cut: &'a Cut,
    pub candidates: Vec<Candidate<'a>>,
    pub suggestion: Suggestion,
}

impl<'a> AskInput<'a> {
    /// What the rules say of a cut of a food; `None` where the course's standards do not teach it.
    pub(super) fn job(&self, food: &str, cut: &str) -> Option<Asked<'a>> {
        let catalogue = self.at_hand.catalogue;
        let (food, cut) = (catalogue.food(food)?, catalogue.cut(cut)?);
        let target = self.at_hand.target_of(cut, food)?;
        let candidates = Candidate::planned(&self.at_hand, KnifeSource::Rack);
        let suggestion = suggest(&Job::of(&self.at_hand, food, cut, target, self.student), &candidates, Fixed::default());
        Some(Asked { food, cut, candidates, suggestion })
    }

    /// Jobs to ask about: two in three the lesson's own where it has some, otherwise any cut that is taught.
    pub(super) fn jobs(&self, luck: &mut Luck) -> Vec<(String, String)> {
        let own = self.exercises.iter().map(|each| (each.fields.food.clone(), each.fields.cut.clone()));
        let own = luck.shuffled(own.collect::<Vec<_>>());
        let foods = self.at_hand.catalogue.foods.iter();
        let any = foods.flat_map(|food| food.taught.iter().map(|cut| (food.id.clone(), cut.clone())));
        let any = luck.shuffled(any.collect::<Vec<_>>());
        if luck.one_in(3) { any.into_iter().chain(own).collect() } else { own.into_iter().chain(any).collect() }
    }
}
