//! What the food of a lesson is worked out from.

use crate::at_hand::AtHand;
use crate::progress::GoodShares;
use crate::records::{Exercise, Lesson, ProduceFields};

/// What the food of a lesson is worked out from.
#[derive(Clone, Copy, Debug)]
pub struct ProduceInput<'a> {
    /// What the course has at hand.
    pub at_hand: &'a AtHand<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises.
    pub exercises: &'a [Exercise],
    /// What comes out good, as the evidence predicts it.
    pub shares: &'a GoodShares,
    /// What the instructor says about it.
    pub fields: &'a ProduceFields,
}
