//! The rules that a draft never breaks by itself.

use serde::Serialize;

/// A rule that a draft never breaks by itself.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum HardRule {
    /// The cut is taught on the food, by the course's sizes.
    Taught,
    /// Nobody meets a food that they are allergic to.
    Allergy,
    /// The boards are large enough for the food as it is opened.
    Board,
    /// A sharp knife at hand fits.
    Knife,
    /// Enough of the class may hold one that fits.
    Clearance,
    /// What it stands on was taught in an earlier session.
    Order,
    /// One or two new things a session.
    New,
    /// Where something was taught before, a session with something new reviews too.
    ReviewFirst,
    /// The minutes of the session hold, with its boards and knives.
    Minutes,
    /// The food of the session costs no more than it may.
    Budget,
    /// So many techniques a session.
    Techniques,
    /// The same technique once a session.
    Twice,
}

impl HardRule {
    /// All of them.
    pub const ALL: [HardRule; 12] = [
        HardRule::Taught,
        HardRule::Allergy,
        HardRule::Board,
        HardRule::Knife,
        HardRule::Clearance,
        HardRule::Order,
        HardRule::New,
        HardRule::ReviewFirst,
        HardRule::Minutes,
        HardRule::Budget,
        HardRule::Techniques,
        HardRule::Twice,
    ];
}
