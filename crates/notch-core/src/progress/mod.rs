//! From evidence to notches, and from notches to what comes next.
//!
//! Evidence is a list of [`AttemptEvidence`] in the order of time. [`standing`] replays it: a notch is
//! cut at the attempt that first meets its threshold, and stays cut; a Stop fault lapses Safe and
//! all that stands on it until clean attempts restore them.

mod evidence;
mod good_shares;
mod input;
mod next;
mod notch;
mod replay;
mod standing;
mod step;
mod windows;

pub use evidence::{AttemptEvidence, PieceEvidence, evidence_of, pieces_as_evidence};
pub use good_shares::{GoodShare, GoodShares, UNKNOWN_SHARE};
pub use input::{Cleared, StandingInput};
pub use notch::{Notch, NotchState, StrandRule};
pub use standing::{Standing, standing, standing_of};
pub use step::{NextKind, NextStep};
