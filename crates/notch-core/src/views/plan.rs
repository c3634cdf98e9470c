//! The lesson as it is planned.

use serde::Serialize;

use super::advice::{Advice, AdviceChoice, advise, check_choice};
use super::order::{OrderCost, OrderLine, order, order_cost};
use crate::at_hand::AtHand;
use crate::catalogue::SegmentKind;
use crate::lesson::{PlannedSegment, TimeRule, lay_out};
use crate::problem::Problem;
use crate::records::{Course, Exercise, Lesson, StoredSegment};

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
    /// What to order for all of them.
    pub order: Vec<OrderLine>,
    /// What that costs; none where nobody has said a price or what it may cost.
    pub order_cost: Option<OrderCost>,
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
    let order = order(
        at_hand.catalogue,
        exercises.iter().filter_map(|planned| Some((&planned.exercise.fields, planned.advice.as_ref()?))),
    );
    Ok(PlanView {
        course: at_hand.course.clone(),
        lesson: lesson.clone(),
        students: at_hand.students.len(),
        time_rule: time_rule(at_hand, lesson.fields.minutes, &lesson.fields.segments, &exercises)?,
        order_cost: order_cost(&order, at_hand.course.fields.resources.food_budget),
        order,
        exercises,
        disclaimer: at_hand.catalogue.disclaimer.clone(),
    })
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
    let needs = |id: i64| {
        let planned = exercises.iter().find(|planned| planned.exercise.id == id)?;
        planned.advice.as_ref()?.figures.minutes_needed
    };
    let planned: Vec<PlannedSegment> = segments
        .iter()
        .map(|segment| PlannedSegment {
            kind: segment.kind,
            minutes: segment.minutes,
            exercise_id: segment.exercise_id,
            needs: segment.exercise_id.and_then(needs).or_else(|| minutes_at_sinks(at_hand, segment.kind)),
        })
        .collect();
    lay_out(at_hand.catalogue, minutes, &planned)
}

/// Minutes that the class needs for a segment in which each takes a turn at a sink; none where nobody has said
/// how many sinks there are.
fn minutes_at_sinks(at_hand: &AtHand<'_>, kind: SegmentKind) -> Option<u16> {
    let each = at_hand.catalogue.segment(kind)?.at_sink?;
    let sinks = at_hand.course.fields.resources.sinks.filter(|sinks| *sinks > 0)?;
    u16::try_from((at_hand.class_size() * u32::from(each)).div_ceil(u32::from(sinks))).ok()
}
