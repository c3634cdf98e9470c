//! A course and its choices.

use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};

use crate::catalogue::{BoardMaterial, Catalogue, CourseKind, Doctrines};
use crate::people::{AgeBand, Pace};
use crate::problem::Problem;
use crate::resources::Resources;

/// What a person edits of a course.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CourseFields {
    /// Name, 1 to 80 characters.
    pub name: String,
    /// School that gives it, 1 to 80 characters.
    pub school: String,
    /// Where it is taught, 1 to 80 characters.
    pub place: String,
    /// Who it is for.
    pub age_band: AgeBand,
    /// Pace that minutes are planned with.
    pub pace: Pace,
    /// Id of the set of standards.
    pub standard_set: String,
    /// Id of the tolerance profile.
    pub tolerance: String,
    /// Time zone of the school, by its name in the time zone database, e.g. `Europe/Lisbon`.
    pub time_zone: String,
    /// Minutes of a lesson, 10 to 600.
    pub lesson_minutes: u16,
    /// Boards, 1 to 60.
    pub boards: u16,
    /// What the boards are made of.
    pub board_material: BoardMaterial,
    /// What else it has: size of the boards, sinks, containers, people who watch, money for food.
    #[serde(default)]
    pub resources: Resources,
    /// The doctrines that the course has chosen.
    pub doctrines: Doctrines,
    /// Nobody is handed a knife before a passed briefing.
    #[serde(default)]
    pub briefing_first: bool,
}

/// A course as it is kept.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Course {
    /// Id.
    pub id: i64,
    /// Rises with each change.
    pub version: i64,
    /// Its fields.
    #[serde(flatten)]
    pub fields: CourseFields,
}

impl CourseFields {
    /// A course of a known kind, of a school, by the clock of a time zone.
    pub fn of_kind(kind: &CourseKind, school: &str, time_zone: &str) -> CourseFields {
        CourseFields {
            name: kind.course.clone(),
            school: school.to_owned(),
            place: "kitchen".to_owned(),
            age_band: kind.age_band,
            pace: kind.pace,
            standard_set: kind.standard_set.clone(),
            tolerance: kind.tolerance.clone(),
            time_zone: time_zone.to_owned(),
            lesson_minutes: kind.lesson_minutes,
            boards: kind.boards,
            board_material: kind.board_material,
            resources: kind.resources.clone(),
            doctrines: kind.doctrines,
            briefing_first: false,
        }
    }

    /// The school's time zone; UTC where the name is no longer known.
    pub fn zone(&self) -> TimeZone {
        crate::zone::named(&self.time_zone).unwrap_or(TimeZone::UTC)
    }

    /// Every problem in the fields.
    pub fn check(&self, catalogue: &Catalogue) -> Vec<Problem> {
        let one_of = |pointer: &str, name: &str, value: &str, ids: Vec<&str>| {
            (!ids.contains(&value)).then(|| Problem::new(pointer, name, value, "is not known", ids.join(", ")))
        };
        [
            Problem::unless_text("/name", "Name of the course", &self.name, 80),
            Problem::unless_text("/school", "School", &self.school, 80),
            Problem::unless_text("/place", "Kitchen", &self.place, 80),
            one_of("/standard_set", "Sizes", &self.standard_set, catalogue.sets.iter().map(|s| s.id.as_str()).collect()),
            one_of("/tolerance", "Exactness", &self.tolerance, catalogue.tolerances.iter().map(|t| t.id.as_str()).collect()),
            crate::zone::named(&self.time_zone).is_none().then(|| {
                Problem::new("/time_zone", "Time zone", &self.time_zone, "is not known", "a name such as Europe/Lisbon")
            }),
            Problem::unless_within("/lesson_minutes", "Minutes of a lesson", i64::from(self.lesson_minutes), 10, 600),
            Problem::unless_within("/boards", "Boards", i64::from(self.boards), 1, 60),
            (!catalogue.care.board_allowed(self.board_material)).then(|| {
                let named = catalogue.care.board_name(self.board_material);
                Problem::new(
                    "/board_material",
                    "Boards are of",
                    named,
                    "ruin the edge and are never used",
                    "wood, rubber or plastic",
                )
            }),
        ]
        .into_iter()
        .flatten()
        .chain(self.resources.check("/resources"))
        .collect()
    }
}
