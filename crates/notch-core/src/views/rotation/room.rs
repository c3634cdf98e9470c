//! The class as a question to the rotation: which turns there are, and what is known of the day.

use std::collections::HashMap;

use super::way::RotationWay;
use crate::hand_out::HandOut;
use crate::records::{AnnouncedTurn, Exercise, KeptRotation, Knife, RotationFields, Student};
use crate::rotation::{Pin, Question, Seat, Turn};
use crate::text;
use crate::text::Text;
use crate::views::class::knife_name;
use crate::views::opening::{MendingPlace, Opening};
use crate::views::plan::PlannedExercise;
use crate::views::station::{ClassInput, WatchKind};
use crate::views::watch::{Seen, watch};

/// Watching that a student takes who wants watching; all others take one.
const WATCHED_CLOSELY: u32 = 2;

/// How well a knife fits, as far as a hand notices: 100, 75, 50 or 25. So a knife stays in the hand where another
/// would be better by a point or two.
fn in_steps(fit: u8) -> u8 {
    match fit {
        80.. => 100,
        60..80 => 75,
        40..60 => 50,
        _ => 25,
    }
}

/// A turn that nobody can be given.
#[derive(Clone, Debug)]
pub(super) struct LeftOver<'a> {
    pub student: &'a Student,
    pub exercise: &'a PlannedExercise,
    pub words: Text,
    pub way: RotationWay,
}

/// The class with its question.
#[derive(Debug)]
pub(super) struct Room<'a> {
    pub input: &'a ClassInput<'a>,
    pub kept: &'a KeptRotation,
    pub fields: &'a RotationFields,
    /// Students who are there, by station.
    pub students: Vec<&'a Student>,
    /// Knives that may go out.
    pub knives: Vec<&'a Knife>,
    /// The question; its rounds begin behind those that are over.
    pub question: Question,
    /// Place of the student in `students`, and the exercise, of each turn.
    pub turns: Vec<(usize, &'a PlannedExercise)>,
    /// What was announced for rounds that are over.
    pub done: Vec<AnnouncedTurn>,
    pub left_over: Vec<LeftOver<'a>>,
}

/// Which turn of the question belongs to which student and exercise.
type Places = HashMap<(i64, i64), usize>;

impl<'a> Room<'a> {
    /// Lays the class out.
    pub fn of(input: &'a ClassInput<'a>, kept: &'a KeptRotation, fields: &'a RotationFields) -> Room<'a> {
        let at_hand = input.at_hand;
        let mut students: Vec<&Student> =
            at_hand.students.iter().filter(|student| !fields.absent.contains(&student.id)).collect();
        students.sort_by_key(|student| (student.fields.station, student.id));
        let knives: Vec<&Knife> =
            at_hand.knives.iter().filter(|knife| !knife.archived && !fields.knives_out.contains(&knife.id)).collect();
        let boards = u32::from(at_hand.course.fields.boards);
        let watch = at_hand.course.fields.resources.watched().unwrap_or(u32::MAX);
        let question = Question { students: students.len(), knives: knives.len(), boards, watch, ..Question::default() };
        let done: Vec<AnnouncedTurn> = kept.announced.iter().copied().filter(|turn| turn.round <= fields.rounds_done).collect();
        let mut room = Room { input, kept, fields, students, knives, question, turns: Vec::new(), done, left_over: Vec::new() };
        room.add_turns();
        room
    }

    fn add_turns(&mut self) {
        let mut hand_out = HandOut::of(self.input.at_hand);
        let mut places = Places::new();
        for at in 0..self.students.len() {
            let student = self.students[at];
            for (place, planned) in self.input.exercises.iter().enumerate() {
                let id = planned.exercise.id;
                if self.is_done(student.id, id) {
                    continue;
                }
                match self.fits(&mut hand_out, student, planned) {
                    Ok(fits) => {
                        places.insert((student.id, id), self.question.turns.len());
                        let watch = self.watching(student, planned);
                        let minutes = turn_minutes(self.input, planned);
                        self.question.turns.push(Turn {
                            student: at,
                            watch,
                            fits,
                            place: place as u16,
                            minutes,
                            ..Turn::default()
                        });
                        self.turns.push((at, planned));
                    }
                    Err((words, way)) => self.left_over.push(LeftOver { student, exercise: planned, words, way }),
                }
            }
        }
        self.add_order(&places);
        self.add_day(&places);
    }

    /// Whether a student did an exercise in a round that is over.
    fn is_done(&self, student_id: i64, exercise_id: i64) -> bool {
        self.done.iter().any(|turn| (turn.student_id, turn.exercise_id) == (student_id, exercise_id))
    }

    /// Knives that a student may be handed for an exercise, or why there is none and what would free it.
    fn fits(
        &self,
        hand_out: &mut HandOut<'a>,
        student: &Student,
        planned: &PlannedExercise,
    ) -> Result<Vec<(usize, u8)>, (Text, RotationWay)> {
        let catalogue = self.input.at_hand.catalogue;
        let food = catalogue.food(&planned.exercise.fields.food);
        if let Some(food) = food.filter(|food| student.fields.may_not_have(food)) {
            let way = Opening::of(MendingPlace::Produce, "Choose another food");
            return Err((text!["must not meet ", food.name, ": another food, or another exercise."], RotationWay::Open(way)));
        }
        let fitting = hand_out.knives(planned.exercise.id, &planned.exercise.fields, student);
        let place = |knife: &Knife| self.knives.iter().position(|there| there.id == knife.id);
        let there: Vec<(usize, u8)> = fitting.iter().filter_map(|(knife, fit)| Some((place(knife)?, in_steps(*fit)))).collect();
        if !there.is_empty() {
            return Ok(there);
        }
        if let Some((best, _)) = fitting.iter().max_by_key(|(_, fit)| *fit) {
            let out: Vec<&str> = fitting.iter().map(|(knife, _)| knife.fields.number.as_str()).collect();
            let knives_out = self.fields.knives_out.iter().copied().filter(|id| *id != best.id).collect();
            let fields = RotationFields { knives_out, ..self.fields.clone() };
            let way = RotationWay::News { words: text!["No. ", best.fields.number.as_str(), " back in"], fields };
            let are = if out.len() == 1 { "is" } else { "are" };
            return Err((text!["has no knife: no. ", out.join(", "), " would do, and ", are, " out of this lesson."], way));
        }
        let way = if self.input.at_hand.knows_no_knives() {
            Opening::of(MendingPlace::Rack, "Open the rack")
        } else {
            Opening::exercise(planned.exercise.id, "Choose another knife or cut")
        };
        Err((self.why_none(student, planned), RotationWay::Open(way)))
    }

    /// Why no knife of the rack is for a student in an exercise: the one that is nearest, and what is in its way.
    fn why_none(&self, student: &Student, planned: &PlannedExercise) -> Text {
        let at_hand = self.input.at_hand;
        if at_hand.knows_no_knives() {
            return text!["has no knife: the rack is empty. Write the knives down first."];
        }
        let Some(advice) = &planned.advice else {
            return text!["has no knife: this course no longer teaches the cut."];
        };
        // What is planned is named too, where it is for nobody who is here.
        let fits = |knife: &&Knife| {
            let planned = &planned.exercise.fields;
            let is_planned = knife.fields.knife_type == planned.knife_type && knife.fields.length.is_about(planned.knife_length);
            let choice = advice.knives.iter().find(|choice| choice.numbers.contains(&knife.fields.number));
            is_planned || choice.is_some_and(|choice| choice.fit.fits())
        };
        let age_band = at_hand.course.fields.age_band;
        let barred = self.knives.iter().copied().filter(fits).filter_map(|knife| {
            let kind = at_hand.catalogue.knife(&knife.fields.knife_type)?;
            Some((knife, crate::eligibility::barriers(student, age_band, (kind, knife), None, &at_hand.catalogue.progress)))
        });
        let nearest = barred.filter(|(_, barriers)| !barriers.is_empty()).min_by_key(|(_, barriers)| barriers.len());
        match nearest {
            Some((knife, barriers)) => {
                let words = Text::joined(barriers.iter().map(crate::eligibility::Barrier::words), " ");
                text!["has no knife. Nearest is ", knife_name(at_hand.catalogue, knife), ": ", words]
            }
            None => text!["has no knife: none on the rack fits this cut and this hand."],
        }
    }

    /// How much of the watching a turn takes.
    fn watching(&self, student: &'a Student, planned: &PlannedExercise) -> u32 {
        let reasons = watch(self.input, &Seen::of(self.input, student), planned.advice.as_ref());
        let closely = reasons.iter().any(|reason| matches!(reason.kind, WatchKind::SafeFirst | WatchKind::FirstLength));
        if closely { WATCHED_CLOSELY.min(self.question.watch.max(1)) } else { 1 }
    }

    /// What must come first: the cut of the lesson that a technique stands on, unless the student has done one before.
    fn add_order(&mut self, places: &Places) {
        let catalogue = self.input.at_hand.catalogue;
        for (index, (at, planned)) in self.turns.iter().enumerate() {
            let student = self.students[*at];
            let Some(technique) = catalogue.draft.technique(&planned.exercise.fields.cut) else { continue };
            let stands_on = |exercise: &Exercise| technique.after.contains(&exercise.fields.cut);
            let before = self.input.attempts.iter().filter(|attempt| {
                attempt.student_id == student.id && attempt.lesson_id != self.input.lesson.id && attempt.stopped_at.is_some()
            });
            let known = before.into_iter().any(|attempt| technique.after.contains(&attempt.cut))
                || self
                    .input
                    .exercises
                    .iter()
                    .any(|other| stands_on(&other.exercise) && self.is_done(student.id, other.exercise.id));
            if known {
                continue;
            }
            let first = self.input.exercises.iter().filter(|other| stands_on(&other.exercise));
            self.question.turns[index].after =
                first.filter_map(|other| places.get(&(student.id, other.exercise.id)).copied()).take(1).collect();
        }
    }

    /// What is known of the day: who comes late, what is held, what was announced.
    fn add_day(&mut self, places: &Places) {
        let over = self.fields.rounds_done;
        let round = |round: u16| usize::from(round.saturating_sub(1).saturating_sub(over));
        for late in &self.fields.late {
            for (index, (at, _)) in self.turns.iter().enumerate() {
                if self.students[*at].id == late.student_id {
                    self.question.turns[index].not_before = round(late.from_round);
                }
            }
        }
        let knife = |id: i64| self.knives.iter().position(|knife| knife.id == id);
        let to_come = self.kept.announced.iter().filter(|announced| announced.round > over && !self.fields.anew);
        for announced in to_come {
            let Some(turn) = places.get(&(announced.student_id, announced.exercise_id)) else { continue };
            // A knife that is gone is no place that could be kept: one past the last stands for it.
            let knife = knife(announced.knife_id).unwrap_or(self.knives.len());
            self.question.turns[*turn].announced = Some(Seat { round: round(announced.round), knife });
        }
        for pin in self.fields.pins.iter().filter(|pin| pin.round > over) {
            let Some(turn) = places.get(&(pin.student_id, pin.exercise_id)) else { continue };
            self.question.turns[*turn].pin = Some(Pin { round: round(pin.round), knife: pin.knife_id.and_then(knife) });
        }
    }
}

/// Minutes of a student's turn: the exercise's own, else the practice that it has in the lesson, else the least.
pub(super) fn turn_minutes(input: &ClassInput<'_>, planned: &PlannedExercise) -> u16 {
    let worked_out = planned.advice.as_ref().and_then(|advice| advice.figures.minutes_each);
    let practice = || {
        let segments = input.lesson.fields.segments.iter();
        let own = segments.filter(|segment| segment.exercise_id == Some(planned.exercise.id)).map(|segment| segment.minutes);
        Some(own.sum::<u16>()).filter(|minutes| *minutes > 0)
    };
    let least = || input.at_hand.catalogue.draft.limits.minutes;
    worked_out.map_or_else(|| practice().unwrap_or_else(least), |minutes| minutes.ceil().clamp(1.0, 600.0) as u16)
}
