//! Handlers: extract, call the core and the store, answer. A file for each place of the program.

pub(crate) mod about;
pub(crate) mod ask;
pub(crate) mod bench;
pub(crate) mod calendar;
pub(crate) mod care;
pub(crate) mod catalogue;
pub(crate) mod class;
pub(crate) mod copies;
pub(crate) mod count;
pub(crate) mod course_file;
pub(crate) mod course_plan;
pub(crate) mod courses;
pub(crate) mod inspection;
pub(crate) mod live;
pub(crate) mod made_up;
pub(crate) mod own;
pub(crate) mod paper;
pub(crate) mod plan;
pub(crate) mod playbook;
pub(crate) mod produce;
pub(crate) mod rack;
pub(crate) mod ready;
pub(crate) mod room;
pub(crate) mod roster;
pub(crate) mod rotation;
pub mod run;
pub(crate) mod sharp_dull;
pub(crate) mod sign_in;
pub(crate) mod staff;
pub(crate) mod start;
pub(crate) mod students;
pub(crate) mod touches;
mod whole_lesson;
pub(crate) mod yard;

pub use paper::pages_of;
pub use staff::{NewInvitation, new_invitation};
pub use whole_lesson::LookedAt;

use jiff::civil::Date;
use jiff::tz::TimeZone;
use notch_core::at_hand::AtHand;
use notch_core::catalogue::{Catalogue, Doctrines, KnifeType};
use notch_core::records::{Course, Exercise, Knife, Student};
use notch_store::{Reader, StoreError};
use serde::Deserialize;
use utoipa::ToSchema;

use crate::clock::Clock;
use crate::error::ApiError;

/// The doctrines of a course; our defaults where none is named.
pub(crate) fn doctrines_of(reader: &Reader<'_>, course: Option<i64>) -> Result<Doctrines, StoreError> {
    course.map_or_else(|| Ok(Doctrines::default()), |id| Ok(reader.course(id)?.fields.doctrines))
}

/// The time zone of a course; this machine's where none is named.
pub(crate) fn zone_of(reader: &Reader<'_>, course: Option<i64>) -> Result<TimeZone, StoreError> {
    course.map_or_else(|| Ok(TimeZone::system()), |id| Ok(reader.course(id)?.fields.zone()))
}

/// The type of a knife.
pub(crate) fn kind_of<'c>(catalogue: &'c Catalogue, knife: &Knife) -> Result<&'c KnifeType, ApiError> {
    let found = catalogue.knife(&knife.fields.knife_type);
    found.ok_or_else(|| ApiError::Conflict(format!("the type “{}” is no longer in the catalogue", knife.fields.knife_type)))
}

/// The exercises of all lessons of a course.
pub(crate) fn exercises_of(reader: &Reader<'_>, course: i64) -> Result<Vec<Exercise>, StoreError> {
    let lessons = reader.lessons(course)?;
    let of_lessons = lessons.iter().map(|lesson| reader.exercises(lesson.id)).collect::<Result<Vec<_>, _>>()?;
    Ok(of_lessons.into_iter().flatten().collect())
}

/// A change to a record, with the version it was made from.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Change<T> {
    /// Version that was read before the change.
    pub version: i64,
    /// The new fields.
    pub fields: T,
}

/// Takes a record out, or brings it back.
#[derive(Debug, Deserialize, ToSchema)]
pub(crate) struct Archive {
    /// Version that was read before.
    pub version: i64,
    /// `true` takes it out, `false` brings it back.
    pub archived: bool,
}

/// The records of a course, read at one moment.
pub(crate) struct CourseRecords {
    pub course: Course,
    pub students: Vec<Student>,
    pub knives: Vec<Knife>,
}

impl CourseRecords {
    pub(crate) fn read(reader: &Reader<'_>, course_id: i64) -> Result<Self, StoreError> {
        Ok(CourseRecords { course: reader.course(course_id)?, students: reader.students(course_id)?, knives: reader.knives()? })
    }

    /// Today where the course is held.
    pub(crate) fn today(&self, clock: &Clock) -> Date {
        clock.today(&self.course.fields.zone())
    }

    pub(crate) fn at_hand<'a>(&'a self, catalogue: &'a Catalogue) -> AtHand<'a> {
        AtHand { catalogue, course: &self.course, students: &self.students, knives: &self.knives }
    }
}
