//! People who work at the school: who may change what, and who must remain.

use serde::{Deserialize, Serialize};

use crate::problem::Problem;

/// Most characters of a name.
const NAME: usize = 60;

/// What a person who works here may change. Everybody may read.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Role {
    /// Everything.
    Instructor,
    /// What is written down while a class goes on: marks, measured pieces, counts, ticks, care.
    Assistant,
}

impl Role {
    /// Its name in a sentence.
    pub const fn name(self) -> &'static str {
        match self {
            Role::Instructor => "instructor",
            Role::Assistant => "assistant",
        }
    }
}

/// What is said of a person who works here.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StaffFields {
    /// Name, by which the person signs in; 1 to 60 characters, unlike all others here.
    pub name: String,
    /// What may be changed.
    pub role: Role,
}

impl StaffFields {
    /// Every problem of its fields.
    pub fn check(&self) -> Vec<Problem> {
        check_name(&self.name).into_iter().collect()
    }
}

/// What is wrong with a name, if anything.
pub fn check_name(name: &str) -> Option<Problem> {
    Problem::unless_text("/name", "Name", name, NAME)
}

/// A person who works here.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StaffMember {
    /// Id.
    pub id: i64,
    /// Grows with each change.
    pub version: i64,
    /// Name, by which the person signs in.
    pub name: String,
    /// What may be changed.
    pub role: Role,
    /// No longer works here.
    pub archived: bool,
    /// Has a passphrase.
    pub signs_in: bool,
    /// Has a link that was not used yet.
    pub invited: bool,
}

impl StaffMember {
    /// Can sign in and change everything.
    const fn leads(&self) -> bool {
        matches!(self.role, Role::Instructor) && self.signs_in && !self.archived
    }
}

/// Where somebody signs in, an instructor must be among those who can: without one nothing could be
/// changed any more. The result is what is wrong, if anything.
pub fn check_staff(staff: &[StaffMember]) -> Option<Problem> {
    let somebody = staff.iter().any(|member| member.signs_in);
    (somebody && !staff.iter().any(StaffMember::leads)).then(|| {
        Problem::new(
            "/role",
            "Role",
            "",
            "would leave no instructor who can sign in",
            "another instructor first, with a passphrase",
        )
    })
}
