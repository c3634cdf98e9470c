//! A student of a course.

use serde::{Deserialize, Serialize};

use crate::catalogue::Food;
use crate::people::{Hand, HandSize};
use crate::problem::Problem;
use crate::text;
use crate::text::Bare;
use crate::units::Millimetres;

/// Most students of a course, and stations of a room.
pub const MOST_STUDENTS: u16 = 60;

/// What a person edits of a student.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StudentFields {
    /// Name, 1 to 60 characters.
    pub name: String,
    /// Station, 1 to 60.
    pub station: u16,
    /// Working hand.
    pub hand: Hand,
    /// Size of the hand.
    pub hand_size: HandSize,
    /// Longest blade that the student is cleared for, 60 to 400 mm.
    pub clearance: Millimetres,
    /// Cleared for knives with a clearance of their own, and for blades beyond what length alone clears.
    #[serde(default)]
    pub special_clearance: bool,
    /// Allergens by name, e.g. `celery`.
    pub allergies: Vec<String>,
    /// Anything else, up to 400 characters.
    pub notes: String,
}

/// A person of the school: what goes along from course to course.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Person {
    /// Id.
    pub id: i64,
    /// Rises with each change, also of a place in a course.
    pub version: i64,
    /// Name.
    pub name: String,
    /// Working hand.
    pub hand: Hand,
    /// Size of the hand.
    pub hand_size: HandSize,
    /// Longest blade that the person is cleared for.
    pub clearance: Millimetres,
    /// Cleared for knives with a clearance of their own.
    pub special_clearance: bool,
    /// Allergens by name.
    pub allergies: Vec<String>,
    /// Anything else.
    pub notes: String,
    /// Courses that the person is or was in.
    pub courses: Vec<PersonCourse>,
}

/// The place of a person in a course.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PersonCourse {
    /// Course.
    pub course_id: i64,
    /// Id as a student of it.
    pub student_id: i64,
    /// Station.
    pub station: u16,
    /// Left the course.
    pub archived: bool,
}

impl Person {
    /// The same as a student at a station.
    pub fn at(self, station: u16) -> StudentFields {
        StudentFields {
            name: self.name,
            station,
            hand: self.hand,
            hand_size: self.hand_size,
            clearance: self.clearance,
            special_clearance: self.special_clearance,
            allergies: self.allergies,
            notes: self.notes,
        }
    }

    /// The station in a course that the person is in.
    pub fn station_in(&self, course_id: i64) -> Option<u16> {
        self.courses.iter().find(|course| course.course_id == course_id && !course.archived).map(|course| course.station)
    }
}

/// A student as kept: a person in a course.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Student {
    /// Id.
    pub id: i64,
    /// The person, who may be in other courses too.
    pub person_id: i64,
    /// Course.
    pub course_id: i64,
    /// Rises with each change.
    pub version: i64,
    /// Left the course; the record is kept with its history.
    pub archived: bool,
    /// Its fields.
    #[serde(flatten)]
    pub fields: StudentFields,
}

impl StudentFields {
    /// Every problem in the fields.
    pub fn check(&self) -> Vec<Problem> {
        let mut problems: Vec<Problem> = [
            Problem::unless_text("/name", "Name", &self.name, 60),
            Problem::unless_within("/station", "Station", i64::from(self.station), 1, i64::from(MOST_STUDENTS)),
            Self::check_clearance("/clearance", self.clearance),
            (self.notes.chars().count() > 400)
                .then(|| Problem::new("/notes", "Notes", &self.notes, "is too long", "up to 400 characters")),
            (self.allergies.len() > 20)
                .then(|| Problem::new("/allergies", "Allergies", self.allergies.len(), "are too many", "up to 20")),
        ]
        .into_iter()
        .flatten()
        .collect();
        let named = self.allergies.iter().enumerate();
        problems.extend(named.filter_map(|(i, text)| Problem::unless_text(&format!("/allergies/{i}"), "Allergies", text, 40)));
        problems
    }

    /// What is wrong with a clearance, if anything.
    pub fn check_clearance(pointer: &str, clearance: Millimetres) -> Option<Problem> {
        let (least, most) = (Millimetres::whole(60), Millimetres::whole(400));
        (!(least..=most).contains(&clearance)).then(|| {
            let allowed = text![Bare(least), " to ", most];
            Problem::new(pointer, "Blade clearance", clearance, "is out of range", allowed)
        })
    }

    /// Whether the student named an allergen of a food.
    pub fn may_not_have(&self, food: &Food) -> bool {
        food.allergens.iter().any(|allergen| self.is_allergic_to(allergen))
    }

    /// Whether the student named this allergen, whatever its case.
    pub fn is_allergic_to(&self, allergen: &str) -> bool {
        self.allergies.iter().any(|named| named.trim().eq_ignore_ascii_case(allergen))
    }
}
