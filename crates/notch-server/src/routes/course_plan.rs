//! The whole course on one picture: tried, drafted, kept.

use axum::Json;
use axum::http::StatusCode;
use jiff::civil::DateTime;
use notch_core::catalogue::Catalogue;
use notch_core::draft::{DraftBlock, GoalFields};
use notch_core::lesson::first_segments;
use notch_core::records::{Attempt, Course, Exercise, Lesson, LessonFields, SessionsRule};
use notch_core::views::{CoursePlan, CourseRecord, PlanQuestion, check_plan, course_plan, lay_down};
use notch_store::{Reader, StoreError, Writer};
use serde::Deserialize;
use std::sync::Arc;
use utoipa::ToSchema;

use super::{CourseRecords, exercises_of};
use crate::clock::Clock;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// A plan that is to be kept.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct KeptPlan {
    /// The stamp of what was read before.
    stamp: i64,
    /// Blocks of all sessions; those of sessions that were held stay as they are.
    blocks: Vec<DraftBlock>,
    /// Goals.
    goals: Vec<GoalFields>,
}

/// Everything that a course's plan is made of, read at one moment.
pub(super) struct PlanRecords {
    pub(super) records: CourseRecords,
    lessons: Vec<Lesson>,
    exercises: Vec<Exercise>,
    goals: Vec<GoalFields>,
    attempts: Arc<Vec<Attempt>>,
    now: DateTime,
}

impl PlanRecords {
    pub(super) fn read(reader: &Reader<'_>, id: i64, clock: &Clock) -> Result<Self, StoreError> {
        let records = CourseRecords::read(reader, id)?;
        let now = clock.now().to_zoned(records.course.fields.zone()).datetime();
        Ok(PlanRecords {
            lessons: reader.lessons(id)?,
            exercises: exercises_of(reader, id)?,
            goals: reader.goals(id)?,
            attempts: reader.attempts_of_course(id)?,
            records,
            now,
        })
    }

    pub(super) fn record(&self) -> CourseRecord<'_> {
        CourseRecord {
            lessons: &self.lessons,
            exercises: &self.exercises,
            goals: &self.goals,
            attempts: &self.attempts,
            now: self.now,
        }
    }

    pub(super) fn picture(&self, catalogue: &Catalogue, question: &PlanQuestion) -> Result<Json<CoursePlan>, ApiError> {
        Ok(Json(course_plan(&self.records.at_hand(catalogue), &self.record(), question, self.now.date())?))
    }
}

/// The course as it is planned.
#[utoipa::path(get, operation_id = "course_plan_show", path = "/api/courses/{id}/plan", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = CoursePlan)))]
pub(crate) async fn show(School(state): School, Id(id): Id) -> Result<Json<CoursePlan>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| PlanRecords::read(reader, id, &clock)?.picture(catalogue, &PlanQuestion::default())).await
}

/// The course as it stands on the screen, or drafted from there; nothing is kept.
#[utoipa::path(post, operation_id = "course_plan_try", path = "/api/courses/{id}/plan/try", tag = "courses", params(("id" = i64, Path)), request_body = PlanQuestion,
    responses((status = 200, body = CoursePlan)))]
pub(crate) async fn attempt(
    School(state): School,
    Id(id): Id,
    Body(question): Body<PlanQuestion>,
) -> Result<Json<CoursePlan>, ApiError> {
    let clock = state.settings.clock.clone();
    state.read(move |reader, catalogue| PlanRecords::read(reader, id, &clock)?.picture(catalogue, &question)).await
}

/// Adds lessons by a rule of weekdays, each with the usual segments; their ids.
pub(super) fn add_lessons(
    writer: &Writer<'_>,
    catalogue: &Catalogue,
    course: &Course,
    rule: &SessionsRule,
) -> Result<Vec<i64>, ApiError> {
    let (before, minutes) = (writer.lessons(course.id)?.len(), course.fields.lesson_minutes);
    let mut added = Vec::new();
    for (number, starts_at) in (before + 1..).zip(rule.moments()?) {
        let segments = first_segments(catalogue, minutes);
        let fields = LessonFields { title: format!("Lesson {number}"), starts_at, minutes, segments };
        ApiError::unless_empty(fields.check(&course.fields.zone()))?;
        added.push(writer.add_lesson(course.id, &fields)?.id);
    }
    Ok(added)
}

/// Adds lessons by a rule of weekdays, after those that are there.
#[utoipa::path(post, operation_id = "course_plan_add_sessions", path = "/api/courses/{id}/sessions", tag = "courses", params(("id" = i64, Path)), request_body = SessionsRule,
    responses((status = 201, body = CoursePlan)))]
pub(crate) async fn add_sessions(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(rule): Body<SessionsRule>,
) -> Result<(StatusCode, Json<CoursePlan>), ApiError> {
    let clock = state.settings.clock.clone();
    state
        .write(
            write,
            move |writer, catalogue, _| {
                add_lessons(writer, catalogue, &writer.course(id)?, &rule)?;
                Ok(id)
            },
            move |reader, catalogue, id| {
                let read = PlanRecords::read(reader, id, &clock)?;
                Ok((StatusCode::CREATED, read.picture(catalogue, &PlanQuestion::default())?))
            },
        )
        .await
}

/// Keeps a plan: exercises and their practice in every session to come, and the goals.
#[utoipa::path(put, operation_id = "course_plan_keep", path = "/api/courses/{id}/plan", tag = "courses", params(("id" = i64, Path)), request_body = KeptPlan,
    responses((status = 200, body = CoursePlan)))]
pub(crate) async fn keep(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(plan): Body<KeptPlan>,
) -> Result<Json<CoursePlan>, ApiError> {
    let clock = state.settings.clock.clone();
    let then = clock.clone();
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let read = PlanRecords::read(writer, id, &clock)?;
                let (record, at_hand) = (read.record(), read.records.at_hand(catalogue));
                if record.stamp() != plan.stamp {
                    return Err(ApiError::Conflict("the course was changed meanwhile: read it again".to_owned()));
                }
                let goals = PlanQuestion { goals: Some(plan.goals.clone()), ..PlanQuestion::default() };
                ApiError::unless_empty(check_plan(&at_hand, &record, &goals))?;
                for change in lay_down(&at_hand, &record, &plan.blocks)? {
                    writer.change_plan(catalogue, &change)?;
                }
                writer.set_goals(id, &plan.goals)?;
                Ok(id)
            },
            move |reader, catalogue, id| PlanRecords::read(reader, id, &then)?.picture(catalogue, &PlanQuestion::default()),
        )
        .await
}
