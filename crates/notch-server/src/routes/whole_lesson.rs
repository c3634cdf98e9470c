//! A lesson with all that belongs to it, read and worked out in one place.

use std::collections::BTreeSet;
use std::sync::Arc;

use jiff::civil::Date;
use notch_core::at_hand::AtHand;
use notch_core::catalogue::Catalogue;
use notch_core::progress::GoodShares;
use notch_core::records::{Attempt, Exercise, Incident, KeptRotation, Lesson, RotationFields, StationPlace};
use notch_core::views::{
    CheckInput, ClassInput, PlanView, ProduceInput, ReadyInput, RotationView, plan_view, produce_view, rotation_view,
};
use notch_store::Reader;

use super::CourseRecords;
use crate::clock::Clock;
use crate::error::ApiError;

/// The day on which a lesson is looked at.
#[derive(Clone, Copy, Debug)]
pub enum LookedAt<'a> {
    /// Today, where the course is held.
    Today(&'a Clock),
    /// The day of the lesson.
    ItsDay,
}

/// The records that a lesson is worked out from.
struct LessonRecords {
    lesson: Lesson,
    course: CourseRecords,
    exercises: Vec<Exercise>,
    attempts: Arc<Vec<Attempt>>,
    incidents: Vec<Incident>,
    kept: KeptRotation,
    briefed: BTreeSet<i64>,
    room: Vec<StationPlace>,
    today: Date,
}

impl LessonRecords {
    fn read(reader: &Reader<'_>, (id, at): (i64, LookedAt<'_>)) -> Result<LessonRecords, ApiError> {
        let lesson = reader.lesson(id)?;
        let course = CourseRecords::read(reader, lesson.course_id)?;
        Ok(LessonRecords {
            exercises: reader.exercises(id)?,
            attempts: reader.attempts_of_course(lesson.course_id)?,
            incidents: reader.incidents(lesson.course_id)?,
            kept: reader.rotation(id)?,
            briefed: reader.briefed(lesson.course_id)?,
            room: reader.room(lesson.course_id)?,
            today: match at {
                LookedAt::Today(clock) => course.today(clock),
                LookedAt::ItsDay => lesson.fields.starts_at.date(),
            },
            lesson,
            course,
        })
    }

    fn plan(&self, at_hand: &AtHand<'_>) -> Result<PlanView, ApiError> {
        Ok(plan_view(at_hand, &self.lesson, &self.exercises)?)
    }

    fn class<'a>(&'a self, at_hand: AtHand<'a>, plan: &'a PlanView) -> ClassInput<'a> {
        ClassInput {
            at_hand,
            lesson: &self.lesson,
            exercises: &plan.exercises,
            attempts: &self.attempts,
            incidents: &self.incidents,
            exercise_id: None,
            briefed: &self.briefed,
            room: &self.room,
            today: self.today,
        }
    }

    fn rotation(&self, class: &ClassInput<'_>, plan: &PlanView, news: Option<&RotationFields>) -> RotationView {
        rotation_view(class, plan.time_rule.clone(), &self.kept, news.unwrap_or(&self.kept.fields))
    }
}

/// The class of a lesson with its plan, seen for an exercise, and the rotation that was announced.
pub(super) fn with_class<T>(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    lesson: (i64, LookedAt<'_>),
    exercise_id: Option<i64>,
    with: impl FnOnce(&ClassInput<'_>, &KeptRotation) -> Result<T, ApiError>,
) -> Result<T, ApiError> {
    let records = LessonRecords::read(reader, lesson)?;
    let at_hand = records.course.at_hand(catalogue);
    let plan = records.plan(&at_hand)?;
    let class = ClassInput { exercise_id, ..records.class(at_hand, &plan) };
    with(&class, &records.kept)
}

/// The rotation of a lesson with what was announced, and with other news of the day where there is some.
pub(super) fn rotation_of(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    lesson: (i64, LookedAt<'_>),
    news: Option<&RotationFields>,
) -> Result<RotationView, ApiError> {
    let records = LessonRecords::read(reader, lesson)?;
    let at_hand = records.course.at_hand(catalogue);
    let plan = records.plan(&at_hand)?;
    Ok(records.rotation(&records.class(at_hand, &plan), &plan, news))
}

/// Works out the plan of a lesson, its class, rotation, food and check sheet, and hands it all to `with`.
pub(super) fn with_lesson<T>(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    lesson: (i64, LookedAt<'_>),
    with: impl FnOnce(&ReadyInput<'_>) -> Result<T, ApiError>,
) -> Result<T, ApiError> {
    let records = LessonRecords::read(reader, lesson)?;
    let at_hand = records.course.at_hand(catalogue);
    let plan = records.plan(&at_hand)?;
    let class = records.class(at_hand, &plan);
    let rotation = records.rotation(&class, &plan, None);
    let shares = GoodShares::of(catalogue, &records.attempts);
    let (lesson, exercises) = (&records.lesson, &records.exercises);
    let produce = produce_view(&ProduceInput { at_hand: &at_hand, lesson, exercises, shares: &shares, fields: &lesson.produce });
    let check = CheckInput {
        at_hand,
        lesson,
        exercises: &plan.exercises,
        histories: &reader.care_histories(catalogue, None)?,
        ticks: &reader.check_ticks(lesson.id)?,
        produce: &produce,
        rotation: &rotation,
    };
    with(&ReadyInput { class: &class, check: &check, plan: &plan, rotation: &rotation, produce: &produce })
}
