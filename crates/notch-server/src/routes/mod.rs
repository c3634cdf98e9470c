//! Handlers: extract, call the core and the store, answer. A file for each place of the program.

pub(crate) mod about;
pub(crate) mod bench;
pub(crate) mod care;
pub(crate) mod catalogue;
pub(crate) mod class;
pub(crate) mod count;
pub(crate) mod courses;
pub(crate) mod own;
pub(crate) mod plan;
pub(crate) mod playbook;
pub(crate) mod rack;
pub(crate) mod sign_in;
pub(crate) mod students;
pub(crate) mod yard;

use notch_core::catalogue::{Catalogue, Schools};
use notch_core::records::{Course, Knife, Student};
use notch_core::views::School;
use notch_store::{Reader, StoreError};
use serde::Deserialize;
use utoipa::ToSchema;

/// The schools of a course; our defaults where none is named.
pub(crate) fn schools_of(reader: &Reader<'_>, course: Option<i64>) -> Result<Schools, StoreError> {
    course.map_or_else(|| Ok(Schools::default()), |id| Ok(reader.course(id)?.fields.schools))
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

/// What a course has at hand, read at one moment.
pub(crate) struct AtHand {
    pub course: Course,
    pub students: Vec<Student>,
    pub knives: Vec<Knife>,
}

impl AtHand {
    pub(crate) fn read(reader: &Reader<'_>, course_id: i64) -> Result<Self, StoreError> {
        Ok(AtHand { course: reader.course(course_id)?, students: reader.students(course_id)?, knives: reader.knives()? })
    }

    pub(crate) fn school<'a>(&'a self, catalogue: &'a Catalogue) -> School<'a> {
        School { catalogue, course: &self.course, students: &self.students, knives: &self.knives }
    }
}
