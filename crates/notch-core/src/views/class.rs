//! The class as it runs: stations, knives, attempts.

use serde::Serialize;

use super::advice::Advice;
use super::beat::beat;
use super::plan::PlannedExercise;
use super::round::{ClassRound, next_round};
use super::station::{ClassInput, Station};
use super::watch::{Seen, WatchNow, watch, watch_now};
use crate::catalogue::{Catalogue, CutFamily, Target};
use crate::eligibility::briefing_barrier;
use crate::hand_out::HandOut;
use crate::records::{Attempt, Course, Incident, KeptRotation, Knife, Lesson, StationPlace, Student};
use crate::units::Millimetres;

/// An exercise as Class needs it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassExercise {
    /// Id.
    pub id: i64,
    /// `Julienne of carrot`.
    pub title: String,
    /// Target sizes; none where there is no advice.
    pub target: Option<Target>,
    /// `pinch · claw · push cut · heel third`.
    pub setup: String,
    /// What to measure of each piece, in the order to type it.
    pub columns: Vec<String>,
    /// Seconds of the reference pace.
    pub reference_seconds: Option<f64>,
    /// Pieces that each student's share gives, from the geometry.
    pub pieces_each: Option<u32>,
    /// Strokes that they take.
    pub strokes_each: Option<u64>,
}

/// A knife that can be handed out.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassKnife {
    /// Id.
    pub id: i64,
    /// `Flat chef's 210, no. 9`.
    pub name: String,
    /// Blade length.
    pub length: Millimetres,
    /// Student who has it in a running attempt.
    pub in_use_by: Option<i64>,
}

/// Everything that Class shows of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassView {
    /// The course.
    pub course: Course,
    /// The lesson.
    pub lesson: Lesson,
    /// Exercises.
    pub exercises: Vec<ClassExercise>,
    /// The exercise that stations and knives are shown for.
    pub exercise_id: Option<i64>,
    /// Who starts next with one touch.
    pub round: ClassRound,
    /// Whom to look at now, three at most.
    pub watch_now: Vec<WatchNow>,
    /// Stations in order.
    pub stations: Vec<Station>,
    /// Knives by id.
    pub knives: Vec<ClassKnife>,
    /// Where the stations stand; one without a place stands in the row of those that were not placed yet.
    pub room: Vec<StationPlace>,
    /// What went wrong in this lesson.
    pub incidents: Vec<Incident>,
    /// What to do when somebody is cut.
    pub first_aid: String,
    /// The limits of the advice, in words.
    pub disclaimer: String,
}

/// Works out the class, with the rotation that was announced for it.
pub fn class_view(input: &ClassInput<'_>, kept: &KeptRotation) -> ClassView {
    let current = input
        .exercise_id
        .and_then(|id| input.exercises.iter().find(|planned| planned.exercise.id == id))
        .or(input.exercises.first());
    let mut hand_out = HandOut::of(input.at_hand);
    let running = |knife: &Knife| input.attempts.iter().find(|a| a.stopped_at.is_none() && a.knife_id == knife.id);
    let knives = input.at_hand.knives.iter().map(|knife| ClassKnife {
        id: knife.id,
        name: knife_name(input.at_hand.catalogue, knife),
        length: knife.fields.length,
        in_use_by: running(knife).map(|attempt| attempt.student_id),
    });
    let stations: Vec<Station> =
        input.at_hand.students.iter().map(|student| station(input, &mut hand_out, student, current)).collect();
    let exercise_id = current.map(|planned| planned.exercise.id);
    let round = next_round(input, kept, &stations, exercise_id);
    ClassView {
        course: input.at_hand.course.clone(),
        lesson: input.lesson.clone(),
        exercises: input.exercises.iter().map(|planned| class_exercise(input, planned)).collect(),
        exercise_id,
        watch_now: watch_now(input.at_hand.catalogue, &stations, &round),
        round,
        stations,
        knives: knives.collect(),
        room: input.room.to_vec(),
        incidents: input.incidents.iter().filter(|i| i.lesson_id == input.lesson.id).cloned().collect(),
        first_aid: input.at_hand.catalogue.first_aid.clone(),
        disclaimer: input.at_hand.catalogue.disclaimer.clone(),
    }
}

/// A knife as it is called: `Flat chef's 210, no. 9`.
pub(super) fn knife_name(catalogue: &Catalogue, knife: &Knife) -> String {
    let short = catalogue.knife(&knife.fields.knife_type).map_or("Knife", |kind| kind.short.as_str());
    format!("{short} {}, no. {}", knife.fields.length, knife.fields.number)
}

/// Seconds of the reference pace for the set amount; none where strokes are not counted.
pub fn reference_seconds(advice: &Advice) -> Option<f64> {
    advice.figures.minutes_each.filter(|minutes| *minutes > 0.0).map(|minutes| minutes * 60.0)
}

fn class_exercise(input: &ClassInput<'_>, planned: &PlannedExercise) -> ClassExercise {
    let fields = &planned.exercise.fields;
    let catalogue = input.at_hand.catalogue;
    let family = catalogue.cut(&fields.cut).map(|cut| cut.family);
    let columns: &[&str] = match family {
        Some(CutFamily::Strips) => &["thickness", "width", "length", "far width"],
        Some(CutFamily::Dice) => &["thickness", "width", "length"],
        Some(CutFamily::Slices | CutFamily::Chop | CutFamily::Hand | CutFamily::Open | CutFamily::Break) | None => &["thickness"],
    };
    let advice = planned.advice.as_ref();
    ClassExercise {
        id: planned.exercise.id,
        title: advice.map_or_else(|| format!("{} of {}", fields.cut, fields.food), |advice| advice.title.clone()),
        target: advice.map(|advice| advice.target),
        setup: advice
            .and_then(|a| a.setup.as_ref())
            .map_or_else(String::new, |setup| format!("{} · {}", setup.knife_name, setup.words)),
        columns: columns.iter().map(ToString::to_string).collect(),
        reference_seconds: advice.and_then(reference_seconds),
        pieces_each: advice.and_then(|advice| advice.figures.pieces_each),
        strokes_each: advice.and_then(|advice| advice.figures.strokes_each),
    }
}

fn station<'a>(
    input: &ClassInput<'a>,
    hand_out: &mut HandOut<'a>,
    student: &'a Student,
    current: Option<&PlannedExercise>,
) -> Station {
    let catalogue = input.at_hand.catalogue;
    let attempts: Vec<Attempt> = input
        .attempts
        .iter()
        .filter(|attempt| attempt.student_id == student.id && attempt.lesson_id == input.lesson.id)
        .cloned()
        .collect();
    let seen = Seen::of(input, student);
    let strand = current.and_then(|planned| catalogue.cut(&planned.exercise.fields.cut)).and_then(|cut| cut.strand);
    let latest = attempts.last();
    let unmeasured = latest.is_some_and(|attempt| attempt.stopped_at.is_some() && attempt.samples.is_empty());
    Station {
        running: latest.filter(|attempt| attempt.stopped_at.is_none()).cloned(),
        knives: current.map_or_else(Vec::new, |planned| knives_for(hand_out, student, planned)),
        watch: watch(input, &seen, current.and_then(|planned| planned.advice.as_ref())),
        beat: beat(input, &seen, strand),
        briefing_due: briefing_barrier(&input.at_hand.course.fields, input.briefed, student).is_some(),
        stop: latest.and_then(|attempt| attempt.open_stop(catalogue)).cloned(),
        student: student.clone(),
        unmeasured,
        attempts: without_measures(attempts, current.map(|planned| planned.exercise.id)),
    }
}

/// The same attempts with the latest sample of the latest one of an exercise: no more of it is on a screen, and what is
/// read after each touch stays small.
fn without_measures(mut attempts: Vec<Attempt>, exercise_id: Option<i64>) -> Vec<Attempt> {
    let shown = attempts.iter().rposition(|attempt| Some(attempt.exercise_id) == exercise_id);
    for (index, attempt) in attempts.iter_mut().enumerate() {
        let kept = if Some(index) == shown { attempt.samples.pop() } else { None };
        attempt.samples = kept.into_iter().collect();
        if Some(index) != shown {
            attempt.taken_back = Vec::new();
        }
    }
    attempts
}

/// Knives that may be handed to a student for an exercise, best fit first, then the longest. One that somebody else
/// holds is among them: it is shown as in use.
fn knives_for(hand_out: &mut HandOut<'_>, student: &Student, planned: &PlannedExercise) -> Vec<i64> {
    let mut knives = hand_out.knives(planned.exercise.id, &planned.exercise.fields, student);
    knives.sort_by(|(one, fit), (other, other_fit)| {
        let longer = other.fields.length.get().total_cmp(&one.fields.length.get());
        other_fit.cmp(fit).then(longer).then(one.id.cmp(&other.id))
    });
    knives.into_iter().map(|(knife, _)| knife.id).collect()
}
