//! Drafting a course: which technique in which session, on which food.
//!
//! A technique is a cut that the rules of drafting list ([`Technique`](crate::catalogue::Technique)); a
//! *block* is one technique on one food in one session. It is *new* where the class has not been taught it
//! before, and a *review* after that.
//!
//! A draft is a search with a stated objective, not a template. Hard rules come first: a plan that
//! breaks them less is better whatever its points. The points are a sum, weighed by
//! [`DraftWeights`](crate::catalogue::DraftWeights). The search fills the sessions one by one with the block
//! that gains most, and then tries every addition, drop, move, swap and change of food until none betters the
//! plan. What is pinned, and what was held already, is never touched; what stood there before is worth
//! something, so that drafting again changes little.

mod choices;
mod drafting;
mod goal;
mod hard_rule;
mod remedies;
mod search;
mod walk;

pub use choices::Choice;
pub use drafting::{DraftBlock, DraftQuestion, DraftSession, Drafting, Place, Plan};
pub use goal::{ClassEvidence, GoalFields, GoalState};
pub use hard_rule::HardRule;
pub(crate) use remedies::{LONGER, MOST_SESSIONS};
pub use remedies::{Remedy, remedies};
pub use walk::{BlockKind, Said, Value, Weighed};
