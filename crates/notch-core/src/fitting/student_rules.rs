//! Rules about one student: clearance, working hand, size of the hand.

use super::rule::{Said, any_way, say};
use super::{Case, Effect, Rule};
use crate::catalogue::Edge;
use crate::comfort::{Sits, comfort};
use Effect::{Against, For, Refuse};

pub(super) const RULES: &[Rule] = &[
    Rule {
        id: "student.clearance",
        text: "Confidence with a shorter blade is shown before a longer one is handed over.",
        about: |job| job.trainee.is_some(),
        takes: any_way,
        check: clearance,
    },
    Rule {
        id: "student.special",
        text: "Turning, single-bevel, boning, heavy and very long knives have a clearance of their own.",
        about: |job| job.trainee.is_some(),
        takes: any_way,
        check: special,
    },
    Rule {
        id: "student.hand",
        text: "A single-bevel edge is ground for one hand.",
        about: |job| job.trainee.is_some(),
        takes: |knife, _| knife.hand.is_some(),
        check: hand,
    },
    Rule {
        id: "student.comfort",
        text: "Shorter blades for small hands, longer ones for large hands.",
        about: |job| job.trainee.is_some(),
        takes: |_, motion| motion.on_board(),
        check: comfort_of,
    },
];

fn clearance(case: &Case<'_>) -> Said {
    let barrier = case.blade().length_barrier(&case.job.trainee?, &case.job.catalogue.progress)?;
    Some((Refuse, say!(case, barrier.words())))
}

fn special(case: &Case<'_>) -> Said {
    let barrier = case.blade().special_barrier(&case.job.trainee?, &case.job.catalogue.progress)?;
    Some((Refuse, say!(case, barrier.words())))
}

fn hand(case: &Case<'_>) -> Said {
    let trainee = case.job.trainee?;
    let ground_for = case.knife.hand?;
    if case.knife.kind.edge != Edge::SingleBevel && ground_for != trainee.hand {
        return Some((
            Against(10),
            say!(case, "Ground on one side for the ", ground_for.name(), " hand: it steers in the other."),
        ));
    }
    Some(match case.blade().hand_barrier(trainee.hand) {
        Some(barrier) => (Refuse, say!(case, barrier.words())),
        None => (For(4), say!(case, "Ground for the ", ground_for.name(), " hand, which is this student's.")),
    })
}

fn comfort_of(case: &Case<'_>) -> Said {
    let trainee = case.job.trainee?;
    let found = comfort(trainee.hand_size.usual_length(), case.knife.kind, case.knife.length);
    Some((found.sits.effect(), found.words))
}

impl Sits {
    const fn effect(self) -> Effect {
        match self {
            Sits::Well => For(6),
            Sits::Short => For(2),
            Sits::ByWork => For(1),
            Sits::Long => Against(8),
            Sits::MuchTooLong => Against(16),
        }
    }
}
