//! The share of pieces that comes out good, as each student's own evidence predicts it.

use std::collections::BTreeMap;

use super::evidence::evidence_of;
use crate::catalogue::Catalogue;
use crate::records::Attempt;

/// Blind pieces that are looked at, the latest.
const LATEST: usize = 30;

/// Pieces that what is known beforehand counts as.
const BEFOREHAND: f64 = 10.0;

/// Share that comes out good where nothing is known of anybody.
pub const UNKNOWN_SHARE: f64 = 0.7;

/// The least and the most that is predicted.
const LIMITS: (f64, f64) = (0.3, 0.98);

/// What is predicted for one student and cut.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct GoodShare {
    /// Share of pieces inside on every side.
    pub share: f64,
    /// Of so many blind pieces.
    pub seen: u32,
    /// So many were inside.
    pub inside: u32,
}

/// Shares by student and cut.
#[derive(Clone, Debug, Default)]
pub struct GoodShares {
    seen: BTreeMap<(i64, String), (u32, u32)>,
}

impl GoodShares {
    /// From all attempts of a course, in the order of time. Like is compared with like: each cut by itself, and only
    /// blind pieces.
    pub fn of(catalogue: &Catalogue, attempts: &[Attempt]) -> Self {
        let mut pieces: BTreeMap<(i64, String), Vec<bool>> = BTreeMap::new();
        for attempt in attempts {
            for evidence in evidence_of(catalogue, &[attempt]).into_iter().filter(|evidence| !evidence.stop_fault) {
                let of_cut = pieces.entry((attempt.student_id, evidence.cut)).or_default();
                of_cut.extend(evidence.pieces.iter().map(|piece| piece.inside));
            }
        }
        let count = |pieces: Vec<bool>| {
            let latest = &pieces[pieces.len().saturating_sub(LATEST)..];
            (latest.iter().filter(|inside| **inside).count() as u32, latest.len() as u32)
        };
        GoodShares { seen: pieces.into_iter().map(|(key, pieces)| (key, count(pieces))).collect() }
    }

    /// The share of a whole class: what all were seen to cut, with [`UNKNOWN_SHARE`] of ten pieces beside it.
    fn of_class(&self, cut: &str) -> f64 {
        let all = self.seen.iter().filter(|((_, of), _)| of == cut).map(|(_, seen)| *seen);
        let (inside, seen) = all.fold((0u32, 0u32), |(inside, seen), each| (inside + each.0, seen + each.1));
        (f64::from(inside) + UNKNOWN_SHARE * BEFOREHAND) / (f64::from(seen) + BEFOREHAND)
    }

    /// What is predicted for a student: the own latest blind pieces of the cut, with the class's share of ten pieces
    /// beside them (the mean of a beta distribution), kept between 0.3 and 0.98.
    pub fn share(&self, student_id: i64, cut: &str) -> GoodShare {
        let (inside, seen) = self.seen.get(&(student_id, cut.to_owned())).copied().unwrap_or_default();
        let share = (f64::from(inside) + self.of_class(cut) * BEFOREHAND) / (f64::from(seen) + BEFOREHAND);
        GoodShare { share: share.clamp(LIMITS.0, LIMITS.1), seen, inside }
    }
}
