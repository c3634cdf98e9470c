//! What a student does next.

use serde::Serialize;

use crate::catalogue::{Cut, Strand};
use crate::text::Text;
use crate::units::Millimetres;

/// Kind of next step.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum NextKind {
    /// First attempts in a strand.
    Start,
    /// Another strand comes first.
    Wait,
    /// Clean attempts before anything else.
    SafeFirst,
    /// The same cut again.
    Repeat,
    /// A bigger size of the same family.
    EasierCut,
    /// The next finer cut.
    HarderCut,
    /// The same, quicker.
    Pace,
    /// A longer blade.
    LongerBlade,
    /// The special clearance.
    SpecialClearance,
    /// The two-week check.
    Hold,
    /// Nothing is left in this strand.
    Complete,
}

/// The step with its reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NextStep {
    /// Kind.
    pub kind: NextKind,
    /// Strand it is about; none for a longer blade.
    pub strand: Option<Strand>,
    /// Id of the cut to practise.
    pub cut: Option<String>,
    /// Blade length to clear, for a longer blade.
    pub blade: Option<Millimetres>,
    /// Headline, e.g. `Harder cut: fine julienne`.
    pub title: Text,
    /// Why.
    pub reason: Text,
}

impl NextStep {
    /// Stands in the rule until the step is worked out from the rule itself.
    pub(super) fn placeholder(strand: Strand) -> Self {
        NextStep::of(NextKind::Wait, strand, None, Text::default(), Text::default())
    }

    /// A step in a strand.
    pub(super) fn of(kind: NextKind, strand: Strand, cut: Option<&Cut>, title: Text, reason: Text) -> Self {
        NextStep { kind, strand: Some(strand), cut: cut.map(|cut| cut.id.clone()), blade: None, title, reason }
    }
}
