//! What is touched while a class runs: attempts that start and stop, marks, and what takes them back.
//!
//! A device sends each touch with the moment at which it was made, maybe long after it: which attempt it belongs to
//! follows from that moment, not from what the device knew.

use std::collections::BTreeSet;

use axum::Json;
use axum::http::StatusCode;
use jiff::Timestamp;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::eligibility::{Barrier, Holder, barriers, briefing_barrier};
use notch_core::records::{Attempt, Lesson, MOST_STUDENTS, Mark, MarkKind, NewAttempt, TakeBack, TakenBack};
use notch_core::text::Text;
use notch_core::views::{AdviceChoice, advise, reference_seconds};
use notch_store::{Reader, Writer};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::{CourseRecords, kind_of};
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// Who starts with what.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Start {
    student_id: i64,
    exercise_id: i64,
    knife_id: i64,
}

/// Starts attempts, several at once.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Starts {
    /// 1 to 60, each student once.
    starts: Vec<Start>,
}

/// Stops the attempts of students.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Stops {
    /// 1 to 60.
    student_ids: Vec<i64>,
}

/// A mark for a student: it belongs to the attempt of that moment.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct NewMark {
    student_id: i64,
    /// What was seen.
    what: MarkKind,
}

/// Takes a touch back.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Undo {
    /// The Idempotency-Key that the touch was sent with.
    touch: String,
}

/// Takes a mark back after the class has gone on, and puts another in its place if one is named.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct CorrectMark {
    /// Who and why.
    #[serde(flatten)]
    said: TakeBack,
    /// What was seen in truth.
    instead: Option<MarkKind>,
}

/// A student whose attempt could not be started, while others were.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub(crate) struct RefusedStart {
    student_id: i64,
    /// Why.
    words: Vec<Text>,
}

/// What a touch came to.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct TouchAnswer {
    /// The attempts that it touched, as they are now.
    attempts: Vec<Attempt>,
    /// Who could not be started.
    refused: Vec<RefusedStart>,
}

/// What a touch made; kept under its id, so that it can be taken back by it.
#[derive(Debug, Default, Serialize, Deserialize)]
struct Made {
    deed: Deed,
    /// Attempts that it touched.
    attempts: Vec<i64>,
    /// Attempts that it ended.
    ended: Vec<i64>,
    refused: Vec<RefusedStart>,
}

#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
enum Deed {
    Started,
    Stopped,
    Marked {
        mark: i64,
    },
    /// It takes something else back, and is not taken back itself.
    #[default]
    TookBack,
}

fn answer(reader: &Reader<'_>, made: Made) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    let attempts = made.attempts.iter().map(|id| reader.attempt(*id)).collect::<Result<_, _>>()?;
    Ok((StatusCode::CREATED, Json(TouchAnswer { attempts, refused: made.refused })))
}

fn check_many(pointer: &str, name: &str, many: usize) -> Result<(), ApiError> {
    let most = i64::from(MOST_STUDENTS);
    let many = i64::try_from(many).unwrap_or(i64::MAX);
    ApiError::unless_empty(Problem::unless_within(pointer, name, many, 1, most).into_iter().collect())
}

/// What attempts of a lesson are started from.
struct Starting<'a> {
    reader: &'a Reader<'a>,
    catalogue: &'a Catalogue,
    lesson: Lesson,
    records: CourseRecords,
    briefed: BTreeSet<i64>,
    at: Timestamp,
}

impl Starting<'_> {
    /// What an attempt will be judged by, and whether it may start.
    fn new_attempt(&self, start: &Start) -> Result<NewAttempt, ApiError> {
        let Starting { reader, catalogue, lesson, records, at, .. } = self;
        let student = reader.present_student(start.student_id)?;
        let exercise = reader.exercise(start.exercise_id)?;
        if exercise.archived || exercise.lesson_id != lesson.id || lesson.course_id != student.course_id {
            return Err(ApiError::Gone("this exercise is no longer in a lesson of the student's course".to_owned()));
        }
        let knife = reader.knife(start.knife_id)?;
        let kind = kind_of(catalogue, &knife)?;
        let holder = reader.holder(knife.id)?;
        let holder = holder.as_ref().map(|(student_id, name)| Holder { student_id: *student_id, name });
        let briefing = briefing_barrier(&records.course.fields, &self.briefed, &student);
        if let Some(barrier) = briefing {
            return Err(ApiError::Conflict(barrier.words().to_string()));
        }
        let barred = barriers(&student, records.course.fields.age_band, (kind, &knife), holder, &catalogue.progress);
        // That the knife is in use is the state of the class, not a wrong choice: it may be free in a minute.
        if let [in_use @ Barrier::InUse { .. }] = barred.as_slice() {
            return Err(ApiError::Conflict(in_use.words().to_string()));
        }
        ApiError::unless_empty(barred.iter().map(|barrier| barrier.problem(&knife)).collect())?;
        if let Some(latest) = reader.attempt_at(student.id, lesson.id, *at)?
            && reader.attempt(latest)?.open_stop(catalogue).is_some()
        {
            let name = &student.fields.name;
            let why = format!("{name} is paused after a Stop fault: look at it together, then clear it");
            return Err(ApiError::Conflict(why));
        }
        let advice = advise(&records.at_hand(catalogue), &AdviceChoice::from(&exercise.fields))?;
        let unknown =
            || ApiError::Conflict("the tolerance of this course is no longer there: choose another in its settings".to_owned());
        Ok(NewAttempt {
            student_id: student.id,
            lesson_id: lesson.id,
            exercise_id: exercise.id,
            knife_id: knife.id,
            started_at: *at,
            on_day: records.course.fields.zone().to_datetime(*at).date(),
            strand: catalogue.cut(&exercise.fields.cut).and_then(|cut| cut.strand),
            cut: exercise.fields.cut,
            standard_set: records.course.fields.standard_set.clone(),
            target: advice.target,
            tolerance: catalogue.tolerance(&records.course.fields.tolerance).cloned().ok_or_else(unknown)?,
            reference_seconds: reference_seconds(&advice),
        })
    }
}

fn start_each(
    writer: &Writer<'_>,
    catalogue: &Catalogue,
    lesson_id: i64,
    starts: &[Start],
    at: Timestamp,
) -> Result<Made, ApiError> {
    check_many("/starts", "Students who start", starts.len())?;
    let lesson = writer.lesson(lesson_id)?;
    let records = CourseRecords::read(writer, lesson.course_id)?;
    let briefed = writer.briefed(lesson.course_id)?;
    let starting = Starting { reader: writer, catalogue, lesson, records, briefed, at };
    let mut made = Made { deed: Deed::Started, ..Made::default() };
    for start in starts {
        let started = starting.new_attempt(start).and_then(|new| Ok(writer.start_attempt(&new)?));
        let words = match started {
            Ok(attempt) => {
                made.attempts.push(attempt.id);
                continue;
            }
            // Alone, it is told at its fields.
            Err(error) if starts.len() == 1 => return Err(error),
            Err(ApiError::Fields(problems)) => problems.into_iter().map(|problem| problem.sentence).collect(),
            Err(ApiError::Conflict(why) | ApiError::Gone(why) | ApiError::NotFound(why)) => vec![Text::from(why)],
            Err(error) => return Err(error),
        };
        made.refused.push(RefusedStart { student_id: start.student_id, words });
    }
    Ok(made)
}

/// Starts attempts, unless something stands between a student and the knife. Of several, those start that can; the
/// answer says who could not and why.
#[utoipa::path(post, operation_id = "class_start", path = "/api/lessons/{id}/attempts", tag = "class", params(("id" = i64, Path)), request_body = Starts,
    responses((status = 201, body = TouchAnswer)))]
pub(crate) async fn start(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(Starts { starts }): Body<Starts>,
) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| start_each(writer, catalogue, id, &starts, at),
            |reader, _, made| answer(reader, made),
        )
        .await
}

/// The attempt of a student that a moment belongs to.
fn attempt_of(reader: &Reader<'_>, student: i64, lesson: i64, at: Timestamp) -> Result<i64, ApiError> {
    match reader.attempt_at(student, lesson, at)? {
        Some(found) => Ok(found),
        None => Err(no_attempt(reader, student)?),
    }
}

fn no_attempt(reader: &Reader<'_>, student: i64) -> Result<ApiError, ApiError> {
    let name = reader.student(student)?.fields.name;
    Ok(ApiError::Conflict(format!("{name} had no attempt in this lesson at that moment: start one first")))
}

/// Stops the attempts of students. One that was stopped before keeps the earlier moment of the two.
#[utoipa::path(post, operation_id = "class_stop", path = "/api/lessons/{id}/stop", tag = "class", params(("id" = i64, Path)), request_body = Stops,
    responses((status = 201, body = TouchAnswer)))]
pub(crate) async fn stop(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(Stops { student_ids }): Body<Stops>,
) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    state
        .write(
            write,
            move |writer, _, at| {
                check_many("/student_ids", "Students who stop", student_ids.len())?;
                writer.lesson(id)?;
                let mut made = Made { deed: Deed::Stopped, ..Made::default() };
                for student in &student_ids {
                    // One whose start was refused has none; the others stop all the same.
                    if let Some(attempt) = writer.attempt_at(*student, id, at)? {
                        end(writer, attempt, at, &mut made)?;
                        made.attempts.push(attempt);
                    }
                }
                if let ([student, ..], []) = (student_ids.as_slice(), made.attempts.as_slice()) {
                    return Err(no_attempt(writer, *student)?);
                }
                Ok(made)
            },
            |reader, _, made| answer(reader, made),
        )
        .await
}

/// Stops an attempt; one that ran is noted as ended by this.
fn end(writer: &Writer<'_>, attempt: i64, at: Timestamp, made: &mut Made) -> Result<(), ApiError> {
    if writer.attempt(attempt)?.stopped_at.is_none() {
        made.ended.push(attempt);
    }
    writer.stop_attempt(attempt, at)?;
    Ok(())
}

/// Marks what was seen of a student. A Stop fault also stops the attempt, and the student waits until it is cleared.
#[utoipa::path(post, operation_id = "class_mark", path = "/api/lessons/{id}/marks", tag = "class", params(("id" = i64, Path)), request_body = NewMark,
    responses((status = 201, body = TouchAnswer)))]
pub(crate) async fn mark(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(NewMark { student_id, what }): Body<NewMark>,
) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    if what == MarkKind::Cleared && !write.instructs() {
        return Err(ApiError::Forbidden("An instructor clears a Stop fault, having looked at it with the student."));
    }
    let by = write.by();
    state
        .write(
            write,
            move |writer, catalogue, at| {
                ApiError::unless_empty(what.check(catalogue, "/what").into_iter().collect())?;
                writer.lesson(id)?;
                let attempt = attempt_of(writer, student_id, id, at)?;
                let mark = writer.add_mark(attempt, &what, at, by.as_deref(), None)?;
                let mut made = Made { deed: Deed::Marked { mark }, attempts: vec![attempt], ..Made::default() };
                if what.stops(catalogue) {
                    end(writer, attempt, at, &mut made)?;
                }
                Ok(made)
            },
            |reader, _, made| answer(reader, made),
        )
        .await
}

/// Takes a touch back: an attempt that it started is gone, one that it stopped runs on, its mark counts no more.
#[utoipa::path(post, operation_id = "class_undo", path = "/api/lessons/{id}/undo", tag = "class", params(("id" = i64, Path)), request_body = Undo,
    responses((status = 201, body = TouchAnswer)))]
pub(crate) async fn undo(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(Undo { touch }): Body<Undo>,
) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    let by = write.by();
    state
        .write(
            write,
            move |writer, catalogue, at| {
                writer.lesson(id)?;
                let unknown = || ApiError::Conflict("there is nothing to undo: that touch was not taken".to_owned());
                let made: Made = writer.made_by_any(&touch)?.ok_or_else(unknown)?;
                for attempt in &made.attempts {
                    if writer.attempt(*attempt)?.lesson_id != id {
                        return Err(unknown());
                    }
                }
                take_back(writer, catalogue, &made, at, by.as_deref())
            },
            |reader, _, made| answer(reader, made),
        )
        .await
}

fn take_back(writer: &Writer<'_>, catalogue: &Catalogue, made: &Made, at: Timestamp, by: Option<&str>) -> Result<Made, ApiError> {
    match made.deed {
        Deed::TookBack => Err(ApiError::Conflict("what takes something back is not taken back itself".to_owned())),
        Deed::Started => {
            made.attempts.iter().try_for_each(|attempt| writer.unstart_attempt(*attempt))?;
            Ok(Made::default())
        }
        Deed::Stopped => {
            for attempt in &made.ended {
                writer.let_attempt_run_on(*attempt)?;
            }
            Ok(Made { attempts: made.ended.clone(), ..Made::default() })
        }
        Deed::Marked { mark: id } => {
            let (attempt, mark) = writer.mark(id)?;
            if !mark.undoes_at(at) {
                let why = "this mark is more than ten minutes old: correct it, with a reason";
                return Err(ApiError::Conflict(why.to_owned()));
            }
            writer.take_mark_back(id, &TakenBack::undone(at, by))?;
            run_on(writer, catalogue, attempt, &mark)?;
            Ok(Made { attempts: vec![attempt], ..Made::default() })
        }
    }
}

/// Lets an attempt run on that nothing but this mark had ended, where student and knife are still free.
fn run_on(writer: &Writer<'_>, catalogue: &Catalogue, attempt: i64, mark: &Mark) -> Result<(), ApiError> {
    let ended = writer.attempt(attempt)?;
    if mark.what.stops(catalogue) && ended.stopped_at == Some(mark.at) && !ended.marks.has_stop(catalogue) {
        // Where they are in another attempt by now, it stays stopped.
        let free = writer.holder(ended.knife_id)?.is_none() && !writer.runs(ended.student_id)?;
        if free {
            writer.let_attempt_run_on(attempt)?;
        }
    }
    Ok(())
}

/// Corrects a mark: the original stays, with who took it back and why; what is put in its place stands beside it.
#[utoipa::path(post, operation_id = "class_correct_mark", path = "/api/marks/{id}/correct", tag = "class", params(("id" = i64, Path)), request_body = CorrectMark,
    responses((status = 201, body = TouchAnswer)))]
pub(crate) async fn correct(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(CorrectMark { said, instead }): Body<CorrectMark>,
) -> Result<(StatusCode, Json<TouchAnswer>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, at| {
                let unknown = instead.as_ref().and_then(|what| what.check(catalogue, "/instead"));
                ApiError::unless_empty(said.check().into_iter().chain(unknown).collect())?;
                let (attempt, mark) = writer.mark(id)?;
                let who = said.who.clone();
                writer.take_mark_back(id, &TakenBack { at, said })?;
                let mut made = Made { attempts: vec![attempt], ..Made::default() };
                if let Some(what) = instead {
                    // It was seen when the original was made.
                    writer.add_mark(attempt, &what, mark.at, Some(&who), Some(id))?;
                    if what.stops(catalogue) {
                        end(writer, attempt, mark.at, &mut made)?;
                    }
                }
                Ok(made)
            },
            |reader, _, made| answer(reader, made),
        )
        .await
}
