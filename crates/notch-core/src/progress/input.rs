//! What a standing is worked out from.

use jiff::civil::Date;
use serde::Serialize;

use super::AttemptEvidence;
use crate::catalogue::Catalogue;
use crate::units::Millimetres;

/// What a student is cleared for.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Cleared {
    /// Longest blade.
    pub length: Millimetres,
    /// Knives with a clearance of their own, and blades beyond what length alone clears.
    pub special: bool,
}

/// What the standing is worked out for.
#[derive(Clone, Copy, Debug)]
pub struct StandingInput<'a> {
    /// Thresholds and names.
    pub catalogue: &'a Catalogue,
    /// Id of the set of standards: its cuts are the ones that can come next.
    pub standard_set: &'a str,
    /// Finished attempts in the order of time, of all strands.
    pub attempts: &'a [AttemptEvidence],
    /// What the student is cleared for now.
    pub cleared: Cleared,
    /// Longest blade of the student's age band.
    pub longest_blade: Millimetres,
    /// The day of asking.
    pub today: Date,
}
