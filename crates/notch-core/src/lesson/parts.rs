//! Units of a food, and parts of them, by student: how several exercises share them.

use std::collections::BTreeMap;

/// Units, and parts of them, that each student cuts of a food.
#[derive(Clone, Debug, Default, PartialEq)]
pub struct Parts {
    /// By student.
    of: Vec<(i64, f64)>,
    /// Several students share a unit.
    shared: bool,
}

impl Parts {
    pub(crate) fn of(of: Vec<(i64, f64)>, shared: bool) -> Parts {
        Parts { of, shared }
    }

    pub(crate) fn sum(&self) -> f64 {
        self.of.iter().map(|(_, part)| part).sum()
    }

    /// Whole units for several exercises with one food: what is left of a student's unit is cut in the next one, and
    /// what students share is rounded up once for all of them.
    pub(crate) fn units(all: &[&Parts]) -> u32 {
        let whole = |units: f64| (units * (1.0 - 1e-9)).ceil().max(0.0) as u32;
        let mut own: BTreeMap<i64, f64> = BTreeMap::new();
        for (student, part) in all.iter().filter(|parts| !parts.shared).flat_map(|parts| &parts.of) {
            *own.entry(*student).or_default() += part;
        }
        let shared: f64 = all.iter().filter(|parts| parts.shared).map(|parts| parts.sum()).sum();
        own.into_values().map(whole).fold(whole(shared), u32::saturating_add)
    }

    /// Units to show several exercises with one food: each takes what a student cuts of it, a whole one at the most;
    /// what is shared is shown from what is over of it, where that is half a unit.
    pub(crate) fn to_show(all: &[&Parts]) -> u32 {
        let shared: f64 = all.iter().filter(|parts| parts.shared).map(|parts| parts.sum()).sum();
        let over = (shared * (1.0 - 1e-9)).ceil() - shared;
        let part = |parts: &&&Parts| {
            let most = parts.of.iter().map(|(_, part)| *part).fold(f64::NAN, f64::max);
            if most.is_nan() { 1.0 } else { most.min(1.0) }
        };
        let shown = all.iter().filter(|parts| !parts.shared || over < 0.5);
        (shown.map(|parts| part(&parts)).sum::<f64>() * (1.0 - 1e-9)).ceil() as u32
    }

    /// So many units for each of the students.
    pub(crate) fn each(students: impl Iterator<Item = i64>, units: f64, shared: bool) -> Parts {
        Parts { of: students.map(|student| (student, units)).collect(), shared }
    }
}
