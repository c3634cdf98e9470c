//! What a knife looks like in the hand before it is bought, or when it is looked over again.

use serde::{Deserialize, Serialize};

use crate::comfort::HAND_LENGTHS;
use crate::people::Hand;
use crate::problem::Problem;
use crate::text;
use crate::text::Bare;
use crate::units::{Deviation, Millimetres};

/// How the handle is held together.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Rivets {
    /// Flush with the handle.
    Flush,
    /// Standing proud of it.
    Proud,
    /// With a gap at a rivet, or where the handle meets the blade.
    Gaps,
    /// None: moulded, or of one piece with the blade.
    None,
}

/// What the blade is made of.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Steel {
    /// Carbon steel: keen, rusts.
    Carbon,
    /// Stainless steel.
    Stainless,
    /// Hard steel: keen for long, chips.
    Hard,
    /// No steel: ceramic.
    Ceramic,
}

/// What was seen of a knife; what was not looked at is left out.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Inspected {
    /// Sighted from heel to tip, the edge is one straight line.
    pub straight: Option<bool>,
    /// Sighted down the spine, the blade lies in one plane: no warp, no wave.
    pub flat: Option<bool>,
    /// How the handle is held together.
    pub rivets: Option<Rivets>,
    /// Where it rests level on one finger, mm from the heel: towards the tip, or below 0 in the handle;
    /// −150 to 300.
    pub balance: Option<Deviation>,
    /// What the blade is made of.
    pub steel: Option<Steel>,
    /// Length of the hand that is to hold it, wrist crease to the end of the middle finger.
    pub hand_length: Option<Millimetres>,
    /// That hand.
    pub hand: Option<Hand>,
}

impl Inspected {
    /// Every problem in it.
    pub fn check(&self) -> Vec<Problem> {
        let (least, most) = HAND_LENGTHS;
        let hand = self.hand_length.filter(|length| !(least..=most).contains(length)).map(|length| {
            let allowed = text![Bare(least), " to ", most];
            Problem::new("/hand_length", "Length of the hand", length, "is out of range", allowed)
        });
        let balance = self.balance.filter(|balance| !(-150.0..=300.0).contains(&balance.get())).map(|balance| {
            let allowed = "-150 to 300 mm from the heel";
            Problem::new("/balance", "Balance point", balance.get(), "is out of range", allowed)
        });
        hand.into_iter().chain(balance).collect()
    }

    /// In a line of the knife's record, e.g. `inspected: edge straight, rivets flush, balance 12 mm ahead of the heel`.
    pub fn words(&self) -> String {
        let told = |seen: Option<bool>, yes: &str, no: &str| seen.map(|seen| (if seen { yes } else { no }).to_owned());
        let rivets = self.rivets.map(|rivets| match rivets {
            Rivets::Flush => "rivets flush",
            Rivets::Proud => "rivets proud",
            Rivets::Gaps => "gaps at the handle",
            Rivets::None => "no rivets",
        });
        let steel = self.steel.map(|steel| match steel {
            Steel::Carbon => "carbon steel",
            Steel::Stainless => "stainless steel",
            Steel::Hard => "hard steel",
            Steel::Ceramic => "ceramic",
        });
        let balance = self.balance.map(|balance| {
            let side = if balance.get() < 0.0 { "behind" } else { "ahead of" };
            format!("balance {} mm {side} the heel", balance.size())
        });
        let seen: Vec<String> = [
            told(self.straight, "edge straight", "edge not straight"),
            told(self.flat, "no warp", "warped"),
            rivets.map(str::to_owned),
            balance,
            steel.map(str::to_owned),
            self.hand_length.map(|hand| format!("for a hand of {hand} mm")),
        ]
        .into_iter()
        .flatten()
        .collect();
        if seen.is_empty() { "inspected".to_owned() } else { format!("inspected: {}", seen.join(", ")) }
    }
}
