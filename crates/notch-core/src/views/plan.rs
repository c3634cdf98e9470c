//! The lesson as it is planned.

use serde::Serialize;

use super::advice::{Advice, AdviceChoice, advise, check_choice};
use crate::at_hand::AtHand;
use crate::catalogue::SegmentKind;
use crate::lesson::{ExerciseFigures, Fewer, FewerOf, PlannedSegment, Practised, TimeRule, lay_out};
use crate::problem::Problem;
use crate::records::{Amount, Course, Exercise, Lesson, StoredSegment};

/// An exercise of the lesson with its advice.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PlannedExercise {
    /// As kept.
    pub exercise: Exercise,
    /// As it stands today, with today's rack; none if the course no longer teaches the cut, or the
    /// knife has left the rack.
    pub advice: Option<Advice>,
    /// Why there is no advice, or why the setup is refused today.
    pub problems: Vec<Problem>,
}

/// Everything that Plan shows of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PlanView {
    /// The course.
    pub course: Course,
    /// The lesson.
    pub lesson: Lesson,
    /// Students in the course.
    pub students: usize,
    /// Its segments on the rule of minutes.
    pub time_rule: TimeRule,
    /// Its exercises.
    pub exercises: Vec<PlannedExercise>,
    /// The limits of the advice, in words.
    pub disclaimer: String,
}

/// Works out a lesson.
///
/// # Errors
/// Minutes or segments out of range, which a saved lesson never has.
pub fn plan_view(at_hand: &AtHand<'_>, lesson: &Lesson, exercises: &[Exercise]) -> Result<PlanView, Vec<Problem>> {
    let exercises: Vec<PlannedExercise> = exercises
        .iter()
        .map(|exercise| {
            let (advice, problems) = match advise(at_hand, &AdviceChoice::from(&exercise.fields)) {
                Ok(advice) => (Some(advice), Vec::new()),
                Err(problems) => (None, problems),
            };
            let problems = match &advice {
                Some(advice) if advice.refused => check_choice(at_hand, &exercise.fields).err().unwrap_or_default(),
                _ => problems,
            };
            PlannedExercise { exercise: exercise.clone(), advice, problems }
        })
        .collect();
    Ok(PlanView {
        course: at_hand.course.clone(),
        lesson: lesson.clone(),
        students: at_hand.students.len(),
        time_rule: time_rule(at_hand, lesson.fields.minutes, &lesson.fields.segments, &exercises)?,
        exercises,
        disclaimer: at_hand.catalogue.disclaimer.clone(),
    })
}

/// A lesson as it would stand with other segments, less to cut of some exercises and without others.
#[must_use]
pub fn exercises_after(exercises: &[Exercise], fewer: &[FewerOf], leave_out: &[i64]) -> Vec<Exercise> {
    let stays = exercises.iter().filter(|exercise| !leave_out.contains(&exercise.id));
    stays
        .map(|exercise| {
            let mut exercise = exercise.clone();
            if let Some(less) = fewer.iter().find(|less| less.exercise_id == exercise.id) {
                exercise.fields.amount = less.amount;
            }
            exercise
        })
        .collect()
}

/// Lays segments on the rule, with the minutes that their exercises and the turns at the sinks need.
///
/// # Errors
/// As [`lay_out`].
pub fn time_rule(
    at_hand: &AtHand<'_>,
    minutes: u16,
    segments: &[StoredSegment],
    exercises: &[PlannedExercise],
) -> Result<TimeRule, Vec<Problem>> {
    let over = segments.iter().map(|segment| u32::from(segment.minutes)).sum::<u32>() > u32::from(minutes);
    lay_out(at_hand.catalogue, minutes, &planned_segments(at_hand, segments, exercises, over))
}

/// Segments with what is known of their practice; `over` where less to cut is asked for too.
pub(super) fn planned_segments(
    at_hand: &AtHand<'_>,
    segments: &[StoredSegment],
    exercises: &[PlannedExercise],
    over: bool,
) -> Vec<PlannedSegment> {
    segments
        .iter()
        .map(|segment| {
            let exercise = exercises.iter().find(|planned| Some(planned.exercise.id) == segment.exercise_id);
            let advice = exercise.and_then(|planned| Some((planned, planned.advice.as_ref()?)));
            let needs = advice.and_then(|(_, advice)| advice.figures.minutes_needed);
            let practised = advice.map(|(planned, advice)| Practised {
                title: advice.title.clone(),
                basis: basis(at_hand, planned, &advice.figures),
                own_minutes: planned.exercise.fields.own_minutes.is_some(),
                fewer: if over { fewer(at_hand, planned, advice) } else { Vec::new() },
            });
            PlannedSegment { kept: segment.clone(), needs: needs.or_else(|| minutes_at_sinks(at_hand, segment.kind)), practised }
        })
        .collect()
}

/// What the minutes of an exercise are made of, in one sentence.
fn basis(at_hand: &AtHand<'_>, planned: &PlannedExercise, figures: &ExerciseFigures) -> String {
    let Some(each) = figures.minutes_each else { return "Its strokes are not counted: say your own minutes.".to_owned() };
    let turns = match figures.rounds {
        0 => return "No knife on the rack is fit for it.".to_owned(),
        1 => "all at once".to_owned(),
        rounds => format!("in {rounds} rounds with a minute between to wash and hand over the knives"),
    };
    let pace = at_hand.catalogue.handling.strokes_per_minute(at_hand.course.fields.pace);
    match (planned.exercise.fields.own_minutes, figures.strokes_each) {
        (Some(own), _) => format!("Your own {own} min each, {turns}."),
        (None, Some(strokes)) => {
            format!("{strokes} strokes at {pace:.0} a minute, and handling: {each:.1} min each, {turns}.")
        }
        (None, None) => format!("{each:.1} min each, {turns}."),
    }
}

/// Shares of an amount that would still be worth the practice, the most first.
const FEWER: [f64; 2] = [0.75, 0.5];

/// Less of an exercise that would still be worth the practice: a unit fewer, or three quarters or half of it.
fn fewer(at_hand: &AtHand<'_>, planned: &PlannedExercise, advice: &Advice) -> Vec<Fewer> {
    let fields = &planned.exercise.fields;
    let food = at_hand.catalogue.food(&fields.food);
    let part =
        |count: u16, step: u16| FEWER.map(|share| ((f64::from(count) * share / f64::from(step)).round() as u16 * step).max(step));
    let (of, counts): (fn(u16) -> Amount, Vec<u16>) = match fields.amount {
        Amount::Units { count } => (|count| Amount::Units { count }, (1..count).rev().collect()),
        Amount::Pieces { count } => (|count| Amount::Pieces { count }, part(count, 5).to_vec()),
        Amount::Grams { count } => (|count| Amount::Grams { count }, part(count, 10).to_vec()),
    };
    if fields.own_minutes.is_some() {
        return Vec::new();
    }
    let smaller = counts.into_iter().map(of).filter(|amount| *amount != fields.amount).take(3);
    smaller
        .filter_map(|amount| {
            let choice = AdviceChoice { amount: Some(amount), ..AdviceChoice::from(fields) };
            let needs = advise(at_hand, &choice).ok()?.figures.minutes_needed?;
            (Some(needs) < advice.figures.minutes_needed).then(|| Fewer {
                amount,
                words: format!("{} for each in place of {}", amount.words(food), fields.amount.words(food)),
                needs,
            })
        })
        .collect()
}

/// Minutes that the class needs for a segment in which each takes a turn at a sink; none where nobody has said
/// how many sinks there are.
fn minutes_at_sinks(at_hand: &AtHand<'_>, kind: SegmentKind) -> Option<u16> {
    let each = at_hand.catalogue.segment(kind)?.at_sink?;
    let sinks = at_hand.course.fields.resources.sinks.filter(|sinks| *sinks > 0)?;
    u16::try_from((at_hand.class_size() * u32::from(each)).div_ceil(u32::from(sinks))).ok()
}
