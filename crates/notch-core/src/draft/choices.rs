//! What can be taught: each technique on each food, with what it takes of this course.

use super::hard_rule::HardRule;
use crate::at_hand::AtHand;
use crate::catalogue::{Cut, Food, SegmentKind, Target, Technique};
use crate::eligibility::Trainee;
use crate::fitting::{Candidate, FITS, Job, KnifeSource, NEARLY, Ways, Weighing};
use crate::geometry::Block;
use crate::lesson::{ExerciseFigures, Worked, exercise_figures, usual_amounts};
use crate::records::{Amount, Making};
use crate::text;
use crate::text::Text;
use crate::words::capital;

/// A technique on a food.
#[derive(Clone, Debug)]
pub struct Choice {
    /// Index of the technique among the rules of drafting; none for what is pinned and not drafted.
    pub technique: Option<usize>,
    /// Id of the cut.
    pub cut: String,
    /// Id of the food.
    pub food: String,
    /// How much each student cuts.
    pub amount: Amount,
    /// Minutes for each student, where strokes are not counted.
    pub own_minutes: Option<f64>,
    /// Minutes that the class needs.
    pub minutes: u16,
    /// What the food costs, in hundredths of the school's money; 0 where nobody has said its price.
    pub cost: u32,
    /// Blocks that one unit is cut from, the largest first.
    pub blocks: Vec<Block>,
    /// Rounds in which it takes turns.
    pub rounds: u32,
    /// Names of students without a knife that fits.
    pub without_knife: Vec<String>,
    /// What speaks for it by itself.
    pub points: i32,
    /// Rules that it breaks wherever it stands, with the reason.
    pub faults: Vec<(HardRule, Text)>,
}

impl Choice {
    /// Name of the food.
    pub(crate) fn food_name<'a>(&'a self, at_hand: &AtHand<'a>) -> &'a str {
        at_hand.catalogue.food(&self.food).map_or(self.food.as_str(), |food| food.name.as_str())
    }
}

/// A cut without sizes.
const UNSIZED: Target = Target { thickness: None, width: None, length: None };

/// The course as its choices are worked out.
pub(super) struct Kitchen<'a> {
    at_hand: &'a AtHand<'a>,
    ways: Vec<Ways<'a>>,
    /// Of each candidate: how many there are, and who may hold it.
    knives: Vec<(u32, Vec<bool>)>,
}

impl<'a> Kitchen<'a> {
    pub(super) fn of(at_hand: &'a AtHand<'a>, candidates: &'a [Candidate<'a>]) -> Kitchen<'a> {
        let trainees: Vec<Trainee> = at_hand.students.iter().map(Trainee::of).collect();
        let knives = candidates.iter().map(|candidate| {
            let may = trainees.iter().map(|trainee| candidate.may_be_held_by(trainee, at_hand)).collect();
            (candidate.how_many(at_hand), may)
        });
        Kitchen { at_hand, ways: candidates.iter().map(Ways::of).collect(), knives: knives.collect() }
    }

    /// The candidates of a course.
    pub(super) fn candidates(at_hand: &AtHand<'a>) -> Vec<Candidate<'a>> {
        Candidate::planned(at_hand, KnifeSource::Rack)
    }

    /// A technique on the foods that it is taught on here, the easiest first.
    pub(super) fn of_technique(&self, index: usize, technique: &Technique) -> Vec<Choice> {
        let catalogue = self.at_hand.catalogue;
        let Some(cut) = catalogue.cut(&technique.cut) else { return Vec::new() };
        let foods = technique.foods.iter().filter_map(|food| catalogue.food(food));
        let taught = foods.filter(|food| food.is_taught_with(&cut.id));
        let choices = taught.enumerate().map(|(place, food)| {
            let mut choice = self.choice(food, cut, None, None, technique.minutes_each);
            choice.technique = Some(index);
            // From easy to hard.
            choice.points -= i32::try_from(place).unwrap_or(0) * 3;
            choice
        });
        choices.collect()
    }

    /// A cut of a food as somebody has chosen it.
    ///
    /// The instructor's own minutes come before all; the usual ones of a technique stand in where strokes are
    /// not counted.
    pub(super) fn choice(
        &self,
        food: &Food,
        cut: &Cut,
        amount: Option<Amount>,
        own_minutes: Option<f64>,
        usual_minutes: Option<f64>,
    ) -> Choice {
        let target = self.at_hand.target_of(cut, food);
        let mut faults = Vec::new();
        if target.is_none() || !food.is_taught_with(&cut.id) {
            faults.push((HardRule::Taught, text![cut.of(&food.name), ": not taught in this course."]));
        }
        let (without_knife, fitting) = self.knives_for(food, cut, target.unwrap_or(UNSIZED), &mut faults);
        let allergic: Vec<&str> = self
            .at_hand
            .students
            .iter()
            .filter(|student| food.allergens.iter().any(|each| student.fields.is_allergic_to(each)))
            .map(|student| student.fields.name.as_str())
            .collect();
        if !allergic.is_empty() {
            faults.push((HardRule::Allergy, text![allergic.join(", "), ": must not meet ", food.name, "."]));
        }
        let (amount, figures) = self.figures(food, cut, target.unwrap_or(UNSIZED), amount, own_minutes, fitting);
        let uncounted = usual_minutes.filter(|_| figures.minutes_each.is_none());
        let (own_minutes, figures) = match uncounted {
            Some(usual) => {
                let minutes = Some(usual);
                (minutes, self.figures(food, cut, target.unwrap_or(UNSIZED), Some(amount), minutes, fitting).1)
            }
            None => (own_minutes, figures),
        };
        let practice = self.at_hand.catalogue.segment(SegmentKind::Practice).map_or(20, |segment| segment.minutes);
        let rules = &self.at_hand.catalogue.draft;
        let lacking = i32::try_from(without_knife.len()).unwrap_or(i32::MAX);
        Choice {
            technique: None,
            cut: cut.id.clone(),
            food: food.id.clone(),
            amount,
            own_minutes,
            cost: food.cost_of(figures.grams_total).map_or(0, |cost| (cost * 100.0).ceil() as u32),
            minutes: figures.minutes_needed.unwrap_or(practice).max(rules.limits.minutes),
            rounds: figures.rounds,
            blocks: figures.blocks,
            points: rules.weights.without_knife.saturating_mul(lacking),
            without_knife,
            faults,
        }
    }

    /// Who has no knife for it, and how many knives fit.
    fn knives_for(&self, food: &Food, cut: &Cut, target: Target, faults: &mut Vec<(HardRule, Text)>) -> (Vec<String>, u32) {
        // Who may hold a knife is asked for each student: the class as a whole takes nothing off.
        let job = Job { class_size: 0, ..Job::of(self.at_hand, food, cut, target, None) };
        let weighing = Weighing::of(&job);
        let scores: Vec<u8> = self.ways.iter().map(|ways| weighing.best_score(ways).unwrap_or(0)).collect();
        let with = |least: u8| self.knives.iter().zip(&scores).filter(move |(_, score)| **score >= least).map(|(knife, _)| knife);
        let fitting = with(FITS).map(|(number, _)| *number).fold(0, u32::saturating_add);
        let students = self.at_hand.students.iter().enumerate();
        let without = students.filter(|(place, _)| !with(NEARLY).any(|(_, may)| may.get(*place) == Some(&true)));
        let without: Vec<String> = without.map(|(_, student)| student.fields.name.clone()).collect();
        let most = self.at_hand.catalogue.draft.limits.without_knife * self.at_hand.students.len() as f64;
        if let Some((breadth, side)) = job.board_size.and_then(|board| job.too_broad_for(board)) {
            let words = text![capital(&food.name), ": ", breadth, " across on boards ", side, " wide. A larger board."];
            faults.push((HardRule::Board, words));
        } else if fitting == 0 {
            faults.push((HardRule::Knife, text!["No sharp knife at hand fits ", cut.of(&food.name), "."]));
        } else if without.len() as f64 > most {
            let words = text![
                without.len(),
                " of ",
                self.at_hand.students.len(),
                " may not yet hold a knife that fits ",
                cut.of(&food.name),
                "."
            ];
            faults.push((HardRule::Clearance, words));
        }
        (without, fitting)
    }

    fn figures(
        &self,
        food: &Food,
        cut: &Cut,
        target: Target,
        amount: Option<Amount>,
        own_minutes: Option<f64>,
        knives: u32,
    ) -> (Amount, ExerciseFigures) {
        let (fields, handling) = (&self.at_hand.course.fields, &self.at_hand.catalogue.handling);
        let making = Making::default();
        let peeled = making.peeled(food, cut);
        let worked = Worked { bought: food, peeled: &peeled, cut, target: &target, way: making.way };
        let amount = amount.unwrap_or_else(|| usual_amounts(worked, handling)[0]);
        let class = self.at_hand.class_with(knives);
        (amount, exercise_figures(worked, amount, class, fields.pace, own_minutes, handling))
    }
}
