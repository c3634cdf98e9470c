//! Rules about one student: clearance, working hand, size of the hand.

use super::{Case, Effect, Rule};
use crate::comfort::comfort;
use crate::people::Hand;
use Effect::{Against, For, Refuse};

type Found = Option<(Effect, String)>;

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "student.clearance",
        text: "Confidence with a shorter blade is shown before a longer one is handed over.",
        check: clearance,
    },
    Rule {
        id: "student.special",
        text: "Turning, single-bevel, boning and heavy knives have a clearance of their own.",
        check: special,
    },
    Rule { id: "student.hand", text: "A single-bevel edge is ground for one hand.", check: hand },
    Rule { id: "student.comfort", text: "Shorter blades for small hands, longer ones for large hands.", check: comfort_of },
];

fn clearance(case: &Case<'_>) -> Found {
    let (trainee, length) = (case.job.trainee?, case.knife.length);
    (length > trainee.clearance).then(|| {
        let to = trainee.clearance;
        (Refuse, say!(case, "{length} mm is longer than this student is cleared for: to {to} mm until the evidence clears more."))
    })
}

fn special(case: &Case<'_>) -> Found {
    let trainee = case.job.trainee?;
    (case.knife.kind.special && !trainee.special).then(|| {
        (Refuse, say!(case, "A {} needs the last clearance, which this student has not earned yet.", case.knife.kind.name))
    })
}

fn hand(case: &Case<'_>) -> Found {
    let trainee = case.job.trainee?;
    let ground_for = case.knife.hand?;
    let name = |hand: Hand| if hand == Hand::Left { "left" } else { "right" };
    Some(if ground_for == trainee.hand {
        (For(4), say!(case, "Ground for the {} hand, which is this student's.", name(ground_for)))
    } else {
        (Refuse, say!(case, "Ground for the {} hand; this student works with the {}.", name(ground_for), name(trainee.hand)))
    })
}

fn comfort_of(case: &Case<'_>) -> Found {
    let trainee = case.job.trainee?;
    if case.in_hand() {
        return None;
    }
    let found = comfort(trainee.hand_size.usual_length(), case.knife.kind, case.knife.length);
    Some(match found.score {
        80.. => (For(6), found.words),
        50.. => (For(1), found.words),
        _ => (Against(8), found.words),
    })
}
