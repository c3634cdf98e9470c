//! Where one student stands.

use jiff::civil::Date;
use serde::Serialize;

use super::input::{Cleared, StandingInput};
use super::{NextStep, StrandRule, evidence_of, next, replay};
use crate::at_hand::AtHand;
use crate::catalogue::Strand;
use crate::records::{Attempt, Student};

/// Where one student stands.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Standing {
    /// The four rules, in the order of [`Strand::ALL`].
    pub strands: Vec<StrandRule>,
    /// What comes next for the student, over all strands.
    pub next: NextStep,
    /// What the evidence clears, by the ladder.
    pub evidence_clears: Cleared,
}

/// Replays the evidence of one student and says what comes next.
pub fn standing(input: &StandingInput<'_>) -> Standing {
    let strands: Vec<StrandRule> = Strand::ALL.into_iter().map(|strand| replay::replay(input, strand)).collect();
    let evidence_clears = next::evidence_clears(input, &strands);
    let next = next::next_for_student(input, &strands, evidence_clears);
    Standing { strands, next, evidence_clears }
}

/// The standing of one student of a course from the attempts, in the order of time.
pub fn standing_of(at_hand: &AtHand<'_>, student: &Student, attempts: &[&Attempt], today: Date) -> Standing {
    standing(&StandingInput {
        catalogue: at_hand.catalogue,
        standard_set: &at_hand.course.fields.standard_set,
        attempts: &evidence_of(at_hand.catalogue, attempts),
        cleared: Cleared { length: student.fields.clearance, special: student.fields.special_clearance },
        longest_blade: at_hand.course.fields.age_band.longest_blade(),
        today,
    })
}
