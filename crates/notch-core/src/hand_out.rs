//! How well each knife of the rack would fit a student for a cut of a food: asked wherever an actual knife is handed
//! to an actual student.

use crate::at_hand::AtHand;
use crate::eligibility::{Trainee, barriers};
use crate::fitting::{Candidate, Job, KnifeSource, NEARLY, Ways, Weighing};
use crate::records::{ExerciseFields, Knife, Student};

/// The rack, laid out so that it is asked once for students who are alike.
#[derive(Debug)]
pub struct HandOut<'a> {
    at_hand: AtHand<'a>,
    candidates: Vec<Candidate<'a>>,
    /// Scores of the candidates that were worked out, by exercise and trainee.
    known: Vec<(i64, Trainee, Vec<Option<u8>>)>,
}

impl<'a> HandOut<'a> {
    /// The rack of a course.
    pub fn of(at_hand: AtHand<'a>) -> HandOut<'a> {
        HandOut { at_hand, candidates: Candidate::all(&at_hand, KnifeSource::Rack), known: Vec::new() }
    }

    /// Knives that a student may be handed for an exercise, each with how well it fits, 0 to 100: the hand, the
    /// clearance, the work and the comfort of the blade. In the order of the rack; nothing for a cut that is not
    /// taught.
    pub fn knives(&mut self, exercise_id: i64, fields: &ExerciseFields, student: &Student) -> Vec<(&'a Knife, u8)> {
        let scores = self.scores(exercise_id, fields, student);
        let catalogue = self.at_hand.catalogue;
        let age_band = self.at_hand.course.fields.age_band;
        let score = |knife: &Knife| {
            let of = self.candidates.iter().position(|each| each.sharp && each.numbers.contains(&knife.fields.number))?;
            scores.get(of).copied().flatten().filter(|score| *score >= NEARLY)
        };
        let may = |knife: &Knife| {
            let kind = catalogue.knife(&knife.fields.knife_type);
            kind.is_some_and(|kind| barriers(student, age_band, (kind, knife), None, &catalogue.progress).is_empty())
        };
        let knives = self.at_hand.knives.iter().filter(|knife| may(knife));
        knives.filter_map(|knife| Some((knife, score(knife)?))).collect()
    }

    /// The scores of all candidates.
    fn scores(&mut self, exercise_id: i64, fields: &ExerciseFields, student: &Student) -> Vec<Option<u8>> {
        let trainee = Trainee::of(student);
        if let Some((_, _, scores)) = self.known.iter().find(|(id, known, _)| *id == exercise_id && *known == trainee) {
            return scores.clone();
        }
        let scores = self.worked_out(fields, student).unwrap_or_default();
        self.known.push((exercise_id, trainee, scores.clone()));
        scores
    }

    fn worked_out(&self, fields: &ExerciseFields, student: &Student) -> Option<Vec<Option<u8>>> {
        let catalogue = self.at_hand.catalogue;
        let (food, cut) = (catalogue.food(&fields.food)?, catalogue.cut(&fields.cut)?);
        let target = fields.making.target(self.at_hand.target_of(cut, food)?);
        let food = fields.making.food(food);
        let job = Job::of(&self.at_hand, &food, cut, target, Some(student));
        let weighing = Weighing::of(&job);
        Some(self.candidates.iter().map(|candidate| weighing.best_score(&Ways::of(candidate))).collect())
    }
}
