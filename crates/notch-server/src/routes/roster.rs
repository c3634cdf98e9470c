//! The people of the school, and the class list of a course.

use std::collections::BTreeSet;

use axum::Json;
use axum::http::{StatusCode, header};
use axum::response::IntoResponse;
use notch_core::Problem;
use notch_core::catalogue::Catalogue;
use notch_core::records::{MOST_STUDENTS, Person, StudentFields};
use notch_core::roster::{AlreadyKnown, Roster, RosterDefaults, free_stations, read_roster, write_roster};
use notch_core::units::Millimetres;
use notch_store::{Reader, Writer};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

use crate::error::ApiError;
use crate::extract::{Body, DeviceWrite, Id};
use crate::let_in::School;

/// A class list as it was pasted.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct RosterText {
    /// One student a line.
    pub(super) text: String,
    /// Longest blade that newcomers are cleared for; the shortest of the ladder if it is left out.
    #[serde(default)]
    pub(super) clearance: Option<Millimetres>,
    /// Lines of people who are somebody else than the one of that name whom the school knows.
    #[serde(default)]
    pub(super) apart: BTreeSet<usize>,
    /// Take the lines that are understood and leave the others.
    #[serde(default)]
    pub(super) skip_wrong: bool,
}

/// What was taken from a class list.
#[derive(Debug, Serialize, Deserialize, ToSchema)]
pub(crate) struct RosterTaken {
    /// Students who were added.
    added: usize,
    /// Of them those whom the school knew.
    known: usize,
    /// Lines that were left.
    left: usize,
}

/// People who are taken into a course.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct TakenAlong {
    /// Ids of people, up to 60.
    people: BTreeSet<i64>,
}

/// Everyone of the school, with the courses that they are or were in.
#[utoipa::path(get, operation_id = "people_list", path = "/api/people", tag = "students", responses((status = 200, body = Vec<Person>)))]
pub(crate) async fn people(School(state): School) -> Result<Json<Vec<Person>>, ApiError> {
    state.read_records(|reader| Ok(Json(reader.people()?))).await
}

/// Takes people of the school into a course, with all that is known of them. Stations are numbered by themselves.
#[utoipa::path(post, operation_id = "courses_take_along", path = "/api/courses/{id}/people", tag = "courses", params(("id" = i64, Path)), request_body = TakenAlong,
    responses((status = 201, body = RosterTaken)))]
pub(crate) async fn take_along(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<TakenAlong>,
) -> Result<(StatusCode, Json<RosterTaken>), ApiError> {
    state
        .write(
            write,
            move |writer, _, _| {
                let taken = writer.students(id)?.iter().map(|student| student.fields.station).collect();
                let mut stations = free_stations(&taken);
                for person in &body.people {
                    let station = stations.next().ok_or_else(|| no_station(body.people.len()))?;
                    writer.take_along(*person, id, station)?;
                }
                Ok(RosterTaken { added: body.people.len(), known: body.people.len(), left: 0 })
            },
            |_, _, taken| Ok((StatusCode::CREATED, Json(taken))),
        )
        .await
}

fn no_station(people: usize) -> ApiError {
    let allowed = format!("up to {MOST_STUDENTS} students in a course");
    ApiError::Fields(vec![Problem::new("/people", "People", people, "are more than stations are free", allowed)])
}

/// A class list as it is understood, for a course or for one that is still to be made.
pub(super) fn understood(
    reader: &Reader<'_>,
    catalogue: &Catalogue,
    course: Option<i64>,
    asked: &RosterText,
) -> Result<Roster, ApiError> {
    if let Some(course) = course {
        reader.course(course)?;
    }
    let known = AlreadyKnown::of(reader.people()?, course);
    let shortest = catalogue.progress.ladder.first().map_or(Millimetres::whole(100), |rung| rung.length);
    let defaults = RosterDefaults { clearance: asked.clearance.unwrap_or(shortest), apart: asked.apart.clone() };
    Ok(read_roster(&catalogue.roster, &asked.text, &defaults, &known)?)
}

/// Reads a class list, line by line; nothing is kept.
#[utoipa::path(post, operation_id = "courses_read_roster", path = "/api/courses/{id}/roster/read", tag = "courses", params(("id" = i64, Path)), request_body = RosterText,
    responses((status = 200, body = Roster)))]
pub(crate) async fn read(School(state): School, Id(id): Id, Body(body): Body<RosterText>) -> Result<Json<Roster>, ApiError> {
    state.read(move |reader, catalogue| Ok(Json(understood(reader, catalogue, Some(id), &body)?))).await
}

/// Takes the people of a class list into a course: all, or with `skip_wrong` those who are understood.
#[utoipa::path(post, operation_id = "courses_take_roster", path = "/api/courses/{id}/roster", tag = "courses", params(("id" = i64, Path)), request_body = RosterText,
    responses((status = 201, body = RosterTaken)))]
pub(crate) async fn take(
    School(state): School,
    Id(id): Id,
    write: DeviceWrite,
    Body(body): Body<RosterText>,
) -> Result<(StatusCode, Json<RosterTaken>), ApiError> {
    state
        .write(
            write,
            move |writer, catalogue, _| {
                let roster = understood(writer, catalogue, Some(id), &body)?;
                if roster.wrong > 0 && !body.skip_wrong {
                    return Err(ApiError::Fields(roster.problems()));
                }
                let mut known = 0;
                for line in &roster.lines {
                    let Some(fields) = &line.fields else { continue };
                    known += usize::from(line.person_id.is_some());
                    add(writer, id, line.person_id, fields)?;
                }
                Ok(RosterTaken { added: roster.sound, known, left: roster.wrong })
            },
            |_, _, taken| Ok((StatusCode::CREATED, Json(taken))),
        )
        .await
}

/// Adds somebody of a class list to a course; who is known comes along.
pub(super) fn add(writer: &Writer<'_>, course: i64, person: Option<i64>, fields: &StudentFields) -> Result<(), ApiError> {
    let Some(person) = person else {
        writer.add_student(course, fields)?;
        return Ok(());
    };
    let student = writer.take_along(person, course, fields.station)?;
    if student.fields != *fields {
        writer.change_student(student.id, student.version, fields)?;
    }
    Ok(())
}

/// The class list as comma-separated text.
#[utoipa::path(get, operation_id = "courses_roster", path = "/api/courses/{id}/roster", tag = "courses", params(("id" = i64, Path)),
    responses((status = 200, body = String, content_type = "text/csv")))]
pub(crate) async fn table(School(state): School, Id(id): Id) -> Result<impl IntoResponse, ApiError> {
    let text = state
        .read_records(move |reader| {
            reader.course(id)?;
            Ok(write_roster(reader.students(id)?.iter().map(|student| &student.fields)))
        })
        .await?;
    let name = "attachment; filename=\"class-list.csv\"";
    Ok(([(header::CONTENT_TYPE, "text/csv; charset=utf-8"), (header::CONTENT_DISPOSITION, name)], text))
}
