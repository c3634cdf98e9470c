//! Notches of a strand, cut from evidence.

use jiff::civil::Date;
use serde::Serialize;

use super::NextStep;
use crate::catalogue::{NotchKind, Strand};
use crate::text::Text;

/// State of one notch.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum NotchState {
    /// Not yet cut.
    Open,
    /// Cut, and standing.
    Cut {
        /// Day it was cut.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        on: Date,
    },
    /// Cut once, closed by a Stop fault until clean attempts follow.
    Lapsed {
        /// Day it was cut.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        on: Date,
        /// Day of the Stop fault.
        #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
        since: Date,
    },
}

/// One notch with its reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Notch {
    /// Which of the five.
    pub kind: NotchKind,
    /// Cut, open or lapsed.
    pub state: NotchState,
    /// Why it stands as it does, with the figures.
    pub words: Text,
}

/// One strand's rule with its five places.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct StrandRule {
    /// Strand.
    pub strand: Strand,
    /// Five notches, in order.
    pub notches: Vec<Notch>,
    /// Finished attempts so far.
    pub attempts: usize,
    /// Id of the cut last worked on.
    pub cut: Option<String>,
    /// What comes next in this strand.
    pub next: NextStep,
}

impl StrandRule {
    /// Whether a notch is cut and standing.
    pub fn has(&self, kind: NotchKind) -> bool {
        self.notches.iter().any(|n| n.kind == kind && matches!(n.state, NotchState::Cut { .. }))
    }

    /// Whether a Stop fault has closed what was cut.
    pub fn has_lapsed(&self) -> bool {
        self.notches.iter().any(|n| matches!(n.state, NotchState::Lapsed { .. }))
    }

    /// Notches cut and standing.
    pub fn standing(&self) -> usize {
        self.notches.iter().filter(|n| matches!(n.state, NotchState::Cut { .. })).count()
    }
}
