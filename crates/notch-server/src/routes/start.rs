//! The first evening: from a kind of course, names and knives to a drafted first lesson.

use std::collections::BTreeSet;

use axum::Json;
use axum::http::StatusCode;
use jiff::Unit;
use jiff::civil::{Date, Time};
use notch_core::Problem;
use notch_core::catalogue::{Catalogue, CourseKind, KnifeType};
use notch_core::draft::GoalFields;
use notch_core::drawing::{Silhouette, blade_silhouette};
use notch_core::people::AgeBand;
use notch_core::records::{CourseFields, KnifeList, SessionsRule, StudentFields, read_knife_list};
use notch_core::roster::Roster;
use notch_core::units::Millimetres;
use notch_core::views::{PlanQuestion, lay_down};
use notch_store::Reader;
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use super::course_plan::{PlanRecords, add_lessons};
use super::roster::{self, RosterText};
use crate::clock::Clock;
use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite};
use crate::let_in::School;

/// What a new school can start with.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Doors {
    /// Courses of a known kind.
    kinds: Vec<Door>,
    /// The next day and half hour at which a lesson can begin.
    #[schema(value_type = String, format = Date)]
    first: Date,
    /// When it begins.
    #[schema(value_type = String, format = "civil-time")]
    at: Time,
    /// The school's name, where a course has one already.
    school: Option<String>,
}

/// A kind of course, with the knives that such classes have.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Door {
    /// The kind.
    #[serde(flatten)]
    kind: CourseKind,
    /// Knives to count by touch: those that a newcomer of it may hold, the commonest first.
    knives: Vec<CountedByTouch>,
}

/// A knife that is counted by touch.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct CountedByTouch {
    /// As it is said in a list of knives by count: `Chef's 200`.
    words: String,
    /// Its outline.
    silhouette: Silhouette,
}

/// Knives that are shown to count by touch.
const BY_TOUCH: usize = 8;

fn door(catalogue: &Catalogue, kind: &CourseKind) -> Door {
    let usual = |knife: &&KnifeType| match kind.age_band {
        AgeBand::Adult => knife.common >= 2,
        AgeBand::Child => knife.for_children || knife.length.usual <= kind.newcomers,
    };
    let mut knives: Vec<&KnifeType> = catalogue.knives.iter().filter(|knife| !knife.special).filter(usual).collect();
    knives.sort_by_key(|knife| (!knife.for_children, std::cmp::Reverse(knife.common)));
    let shown = |knife: &KnifeType| CountedByTouch {
        words: knife.label(knife.length.usual),
        silhouette: blade_silhouette(knife, knife.length.usual, knife.heel_height),
    };
    Door { kind: kind.clone(), knives: knives.into_iter().take(BY_TOUCH).map(shown).collect() }
}

/// A course of a known kind, as it is started.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Started {
    /// Id of the kind.
    kind: String,
    /// The school's name.
    school: String,
    /// Day of the first session.
    #[schema(value_type = String, format = Date)]
    first: Date,
    /// When sessions begin, by the school's clock.
    #[schema(value_type = String, format = "civil-time")]
    at: Time,
    /// Days on which there is no session; as many come after the last.
    #[serde(default)]
    #[schema(value_type = Vec<String>)]
    skip: Vec<Date>,
    /// Longest blade of who has no evidence yet, 60 to 400 mm; the kind's usual one if left out.
    #[serde(default)]
    newcomers: Option<Millimetres>,
    /// Names, one a line; may be empty.
    names: String,
    /// Take the lines that are understood and leave the others.
    #[serde(default)]
    skip_wrong: bool,
    /// Knives by count; empty while they are not known: then it is planned on types.
    knives: String,
}

/// Names and knives while they are typed.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Typed {
    /// Id of the kind.
    kind: String,
    /// Day of the first session; none while it is not said.
    #[serde(default)]
    #[schema(value_type = Option<String>, format = Date)]
    first: Option<Date>,
    /// Days on which there is no session.
    #[serde(default)]
    #[schema(value_type = Vec<String>)]
    skip: Vec<Date>,
    /// Names, one a line.
    names: String,
    /// Knives by count.
    knives: String,
}

/// Names and knives as they are understood.
#[derive(Debug, Serialize, ToSchema)]
pub(crate) struct Understood {
    /// The class list.
    names: Roster,
    /// The knives.
    knives: KnifeList,
    /// Days of the sessions.
    #[schema(value_type = Vec<String>)]
    days: Vec<Date>,
}

/// What was started.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub(crate) struct FirstLesson {
    /// Id of the course.
    course_id: i64,
    /// Id of its first lesson.
    lesson_id: i64,
}

/// What a new school can start with.
#[utoipa::path(get, operation_id = "start_doors", path = "/api/start", tag = "courses", responses((status = 200, body = Doors)))]
pub(crate) async fn doors(School(state): School) -> Result<Json<Doors>, ApiError> {
    let clock = state.settings.clock.clone();
    state
        .read(move |reader, catalogue| {
            let (first, at) = next_half_hour(&clock);
            let school = reader.courses()?.into_iter().next_back().map(|course| course.fields.school);
            Ok(Json(Doors { kinds: catalogue.kinds.iter().map(|kind| door(catalogue, kind)).collect(), first, at, school }))
        })
        .await
}

/// The next half hour that is at least a quarter of an hour away, by this machine's clock on the wall.
fn next_half_hour(clock: &Clock) -> (Date, Time) {
    let zone = jiff::tz::TimeZone::get(&notch_store::machine_zone()).unwrap_or(jiff::tz::TimeZone::UTC);
    let soon = clock.now().to_zoned(zone).datetime().saturating_add(jiff::SignedDuration::from_mins(15));
    let half = jiff::civil::DateTimeRound::new().smallest(Unit::Minute).increment(30).mode(jiff::RoundMode::Ceil);
    let begins = soon.round(half).unwrap_or(soon);
    (begins.date(), begins.time())
}

fn kind_of<'c>(catalogue: &'c Catalogue, id: &str) -> Result<&'c CourseKind, ApiError> {
    let allowed = || catalogue.kinds.iter().map(|kind| kind.id.as_str()).collect::<Vec<_>>().join(", ");
    let found = catalogue.kinds.iter().find(|kind| kind.id == id);
    found.ok_or_else(|| ApiError::Fields(vec![Problem::new("/kind", "Kind of course", id, "is not known", allowed())]))
}

/// The sessions of a kind, a week apart.
fn sessions(kind: &CourseKind, first: Date, at: Time, skip: &[Date]) -> SessionsRule {
    SessionsRule { first, at, weekdays: Vec::new(), count: kind.sessions, skip: skip.to_vec() }
}

fn names(reader: &Reader<'_>, catalogue: &Catalogue, newcomers: Millimetres, text: &str) -> Result<Roster, ApiError> {
    let asked = RosterText { text: text.to_owned(), clearance: Some(newcomers), apart: BTreeSet::new(), skip_wrong: false };
    roster::understood(reader, catalogue, None, &asked)
}

/// Names and knives while they are typed; nothing is kept.
#[utoipa::path(post, operation_id = "start_read", path = "/api/start/read", tag = "courses", request_body = Typed,
    responses((status = 200, body = Understood)))]
pub(crate) async fn read(School(state): School, Body(typed): Body<Typed>) -> Result<Json<Understood>, ApiError> {
    state
        .read(move |reader, catalogue| {
            let kind = kind_of(catalogue, &typed.kind)?;
            let names = names(reader, catalogue, kind.newcomers, &typed.names)?;
            let knives = read_knife_list(catalogue, &typed.knives, &reader.knife_numbers()?)?;
            let moments = typed.first.map(|first| sessions(kind, first, kind.at, &typed.skip).moments()).transpose()?;
            let days = moments.into_iter().flatten().map(|moment| moment.date()).collect();
            Ok(Json(Understood { names, knives, days }))
        })
        .await
}

/// Starts a course of a known kind: its sessions, people, knives, goals, and its lessons drafted; all or nothing.
#[utoipa::path(post, operation_id = "start_course", path = "/api/start", tag = "courses", request_body = Started,
    responses((status = 201, body = FirstLesson)))]
pub(crate) async fn start(
    School(state): School,
    write: DeviceWrite,
    Body(body): Body<Started>,
) -> Result<(StatusCode, Json<FirstLesson>), ApiError> {
    let clock = state.settings.clock.clone();
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let kind = kind_of(catalogue, &body.kind)?;
                let newcomers = body.newcomers.unwrap_or(kind.newcomers);
                ApiError::unless_empty(StudentFields::check_clearance("/newcomers", newcomers).into_iter().collect())?;
                let people = names(writer, catalogue, newcomers, &body.names)?;
                let knives = read_knife_list(catalogue, &body.knives, &writer.knife_numbers()?)?;
                let mut problems = if body.skip_wrong { Vec::new() } else { people.problems() };
                problems.extend(knives.items.iter().flat_map(|item| item.problems.clone()));
                let fields = CourseFields::of_kind(kind, &body.school, &notch_store::machine_zone());
                problems.extend(fields.check(catalogue));
                ApiError::unless_empty(problems)?;
                let course = writer.add_course(&fields)?;
                for fields in knives.items.iter().flat_map(|item| &item.knives) {
                    writer.add_knife(fields)?;
                }
                for line in &people.lines {
                    if let Some(fields) = &line.fields {
                        roster::add(writer, course.id, line.person_id, fields)?;
                    }
                }
                let lessons = add_lessons(writer, catalogue, &course, &sessions(kind, body.first, body.at, &body.skip))?;
                let goals: Vec<GoalFields> = kind.goals.iter().map(GoalFields::from).collect();
                writer.set_goals(course.id, &goals)?;
                let read = PlanRecords::read(writer, course.id, &clock)?;
                let question = PlanQuestion { draft: true, ..PlanQuestion::default() };
                let blocks = read.picture(catalogue, &question)?.0.into_blocks();
                for change in lay_down(&read.records.at_hand(catalogue), &read.record(), &blocks)? {
                    writer.change_plan(catalogue, &change)?;
                }
                Ok(FirstLesson { course_id: course.id, lesson_id: lessons.first().copied().unwrap_or_default() })
            },
            |_, _, first| Ok((StatusCode::CREATED, Json(first))),
        )
        .await
}
