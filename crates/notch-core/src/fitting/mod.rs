//! Which knife, grip, hold, motion and third of the blade suit a cut, and why.
//!
//! Every rule is one small unit with an id, its text and its own check ([`Rule`]). A rule looks at
//! one [`Case`] and may find something *for*, *against*, or a reason to *refuse*. The score is the
//! sum of what was found, so the order of the rules never matters, and every score and refusal can
//! be told from its findings alone.

mod candidate;
mod case;
mod cautions;
mod course_rules;
mod fit;
mod grip_rules;
mod hold_rules;
mod job;
mod knife_rules;
mod motion_rules;
mod motions;
mod rule;
mod rules;
mod student_rules;
mod suggest;
mod travel;
mod weighing;

pub use candidate::{Candidate, KnifeSource};
pub use case::Case;
pub use cautions::ShownCaution;
pub(crate) use cautions::is_about_people;
pub(crate) use fit::Gist;
pub use fit::{FITS, Fit, NEARLY};
pub use job::{Allergic, Job, Lies};
pub use rule::{Effect, Finding, Rule};
pub use rules::rules;
pub use suggest::{KnifeOption, Proposal, Rated, Setup, Suggestion, propose, suggest};
pub use travel::{PINCH, TRAVEL};
pub use weighing::Fixed;
pub(crate) use weighing::{Ways, Weighing};
