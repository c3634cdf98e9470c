//! Marks: what was seen of a student at work, one at a time, each with its moment and who made it.

use jiff::{SignedDuration, Timestamp};
use serde::{Deserialize, Serialize};

use super::taken_back::TakenBack;
use crate::catalogue::{Catalogue, FaultSeverity};
use crate::problem::Problem;

/// How long after a mark it is undone with one touch; later it is corrected, with a reason.
const UNDO: SignedDuration = SignedDuration::from_mins(10);

/// What was seen.
#[derive(Clone, Debug, PartialEq, Eq, Hash, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case", deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum MarkKind {
    /// A fault.
    Fault {
        /// Id of the fault.
        fault: String,
    },
    /// The grip was good.
    Grip,
    /// The hold of the guide hand was good.
    Hold,
    /// Something was done well.
    Praise,
    /// The instructor has looked at a Stop fault with the student, who may go on.
    Cleared,
}

/// A mark as kept.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Mark {
    /// Id.
    pub id: i64,
    /// What was seen.
    pub what: MarkKind,
    /// When, by the clock of the device set right by the school's.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub at: Timestamp,
    /// Who made it; none where nobody signs in.
    pub by: Option<String>,
    /// Who took it back; it is kept beside the others and counts no more.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub taken_back: Option<TakenBack>,
    /// The mark that it was put in the place of.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub instead_of: Option<i64>,
}

impl MarkKind {
    /// What is wrong with it: a fault that the catalogue does not have.
    pub fn check(&self, catalogue: &Catalogue, pointer: &str) -> Option<Problem> {
        let MarkKind::Fault { fault } = self else { return None };
        let unknown = catalogue.fault(fault).is_none();
        unknown.then(|| Problem::new(format!("{pointer}/fault"), "Fault", fault, "is not known", "a fault of the catalogue"))
    }

    /// Whether it ends the attempt and pauses the student.
    pub fn stops(&self, catalogue: &Catalogue) -> bool {
        let MarkKind::Fault { fault } = self else { return false };
        catalogue.fault(fault).is_some_and(|fault| fault.severity == FaultSeverity::Stop)
    }
}

impl Mark {
    /// Whether it counts.
    pub const fn counts(&self) -> bool {
        self.taken_back.is_none()
    }

    /// Whether one touch takes it back at this moment.
    pub fn undoes_at(&self, at: Timestamp) -> bool {
        at.duration_since(self.at) <= UNDO
    }
}

/// The Stop fault that keeps a student from cutting: the latest that counts, unless it was cleared after it.
pub fn open_stop<'a>(made: &'a [Mark], catalogue: &Catalogue) -> Option<&'a Mark> {
    let counted = || made.iter().filter(|mark| mark.counts());
    let latest = counted().rfind(|mark| mark.what.stops(catalogue))?;
    let cleared = counted().any(|mark| mark.what == MarkKind::Cleared && (mark.at, mark.id) > (latest.at, latest.id));
    (!cleared).then_some(latest)
}
