//! How a blade sits in a hand: shorter blades for small hands, longer ones for large hands.

use serde::Serialize;

use crate::catalogue::{BoardWork, KnifeType, Profile};
use crate::people::HandSize;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// Shortest and longest hand that is taken, wrist crease to the end of the middle finger.
pub const HAND_LENGTHS: (Millimetres, Millimetres) = (Millimetres::whole(110), Millimetres::whole(250));

impl HandSize {
    /// Usual length of such a hand, wrist crease to the end of the middle finger.
    pub const fn usual_length(self) -> Millimetres {
        match self {
            HandSize::Small => Millimetres::whole(165),
            HandSize::Medium => Millimetres::whole(185),
            HandSize::Large => Millimetres::whole(205),
        }
    }
}

/// How a blade's length sits in a hand.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Sits {
    /// As long as sits easily.
    Well,
    /// Shorter than that: easy to control.
    Short,
    /// Its length comes from its work.
    ByWork,
    /// Longer than sits easily.
    Long,
    /// Much longer.
    MuchTooLong,
}

/// How a knife suits a hand.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Comfort {
    /// 0 to 100.
    pub score: u8,
    /// The same in a word.
    pub sits: Sits,
    /// Why, with the figures.
    pub words: Text,
}

/// The all-round blade that sits well in a hand: 1.1 hand lengths, so that a usual hand of 185 mm
/// gets the usual chef's blade of about 205 mm, a small one 180 mm and a large one 225 mm.
pub fn easy_blade(hand: Millimetres) -> Millimetres {
    Millimetres::clamped(hand.get() * 1.1)
}

/// How well a blade of `length` of this type sits in a hand of length `hand`.
///
/// For all-round board knives the blade is compared with [`easy_blade`]: a point is lost for each
/// millimetre beyond 10 mm, and two for each millimetre too long in a heavy knife. Knives made for
/// the hand, for long draws or for bone have their length from their work; there only the weight
/// counts against a small hand.
pub fn comfort(hand: Millimetres, kind: &KnifeType, length: Millimetres) -> Comfort {
    let easy = easy_blade(hand);
    let small = hand < Millimetres::whole(175);
    let by_work = kind.board != BoardWork::All || matches!(kind.profile, Profile::LongNarrow | Profile::Narrow);
    if by_work {
        let heavy = small && kind.weight >= 4;
        let words = if heavy {
            text!["Heavy for a hand of ", hand, "; as long as its work asks for."]
        } else {
            text!["Light enough for a hand of ", hand, "; as long as its work asks for."]
        };
        return Comfort { score: if heavy { 45 } else { 75 }, sits: if heavy { Sits::Long } else { Sits::ByWork }, words };
    }
    let over = length.get() - easy.get();
    let cost = if over > 0.0 && kind.weight >= 4 { 2.0 } else { 1.0 };
    let weight = if small && kind.weight >= 5 { 25.0 } else { 0.0 };
    let score = (100.0 - (over.abs() - 10.0).max(0.0) * cost - weight).clamp(0.0, 100.0);
    let off = Millimetres::clamped(over.abs());
    let sits = match over * cost {
        ..-12.0 => Sits::Short,
        ..=12.0 => Sits::Well,
        ..=45.0 => Sits::Long,
        _ => Sits::MuchTooLong,
    };
    let words = if sits == Sits::Long || sits == Sits::MuchTooLong {
        text![length, " is ", off, " longer than sits easily in a hand of ", hand, " (about ", easy, ")."]
    } else if sits == Sits::Short {
        text![length, " is ", off, " shorter than is usual in a hand of ", hand, " (about ", easy, "): easy to control."]
    } else {
        text![length, " sits well in a hand of ", hand, " (about ", easy, ")."]
    };
    Comfort { score: score.round() as u8, sits, words }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::catalogue::Catalogue;

    #[test]
    fn a_larger_hand_prefers_the_longer_chefs_knife() {
        let catalogue = Catalogue::shipped().unwrap();
        let chefs = catalogue.knife("chefs").unwrap();
        let at = |size: HandSize, length: u16| comfort(size.usual_length(), chefs, Millimetres::whole(length)).score;
        assert!(at(HandSize::Small, 180) > at(HandSize::Small, 240));
        assert!(at(HandSize::Large, 240) > at(HandSize::Large, 180));
        assert_eq!(at(HandSize::Medium, 200), 100);
    }
}
