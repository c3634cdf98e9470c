//! Made-up students: hands, allergies, and how they learn.

use notch_core::people::Hand::{Left, Right};
use notch_core::people::HandSize::{Large, Medium, Small};
use notch_core::people::{Hand, HandSize};

/// A made-up student.
pub(crate) struct Person {
    pub name: &'static str,
    pub hand: Hand,
    pub hand_size: HandSize,
    /// Cleared to so many millimetres of blade when the demo plays.
    pub clearance: u16,
    /// Earned the special clearance.
    pub special_clearance: bool,
    pub allergies: &'static [&'static str],
    pub notes: &'static str,
    /// Relative spread of the first pieces.
    pub spread: f64,
    /// First bias as a share of the target.
    pub bias: f64,
    /// First time as a multiple of the reference.
    pub slow: f64,
    /// What is left of each flaw from one attempt to the next.
    pub keeps: f64,
}

#[allow(clippy::too_many_arguments)] // one line a student reads better than eight
const fn person(
    name: &'static str,
    hand: Hand,
    hand_size: HandSize,
    clearance: u16,
    spread: f64,
    bias: f64,
    slow: f64,
    keeps: f64,
) -> Person {
    Person { name, hand, hand_size, clearance, special_clearance: false, allergies: &[], notes: "", spread, bias, slow, keeps }
}

pub(crate) const TRAINEES: [Person; 14] = [
    person("Tove Brandal", Right, Medium, 210, 0.42, 0.16, 2.4, 0.965),
    person("Ishaan Roy", Right, Large, 210, 0.36, -0.14, 2.1, 0.95),
    person("Pell Quist", Right, Medium, 210, 0.34, 0.10, 2.3, 0.96),
    person("Maren Oake", Left, Small, 180, 0.24, 0.06, 1.9, 0.93),
    person("Osk Lindt", Left, Large, 260, 0.15, 0.03, 1.4, 0.92),
    person("Bee Adomako", Right, Medium, 210, 0.22, 0.08, 2.9, 0.975),
    Person { notes: "Cooked two seasons on a training ship.", ..person("Juno Pike", Right, Medium, 260, 0.10, 0.02, 1.1, 0.95) },
    person("Rafa Solis", Right, Large, 130, 0.50, 0.20, 1.5, 0.98),
    person("Wim Aalto", Right, Medium, 180, 0.40, -0.26, 2.2, 0.98),
    person("Dara Fenn", Right, Small, 210, 0.21, -0.08, 2.0, 0.93),
    person("Noor Hale", Right, Medium, 210, 0.18, 0.30, 1.8, 0.985),
    Person {
        allergies: &["celery"],
        notes: "Carries an adrenaline pen; the assistant knows where.",
        ..person("Sef Marsh", Right, Medium, 210, 0.30, 0.06, 2.2, 0.95)
    },
    person("Ada Quill", Right, Small, 130, 0.48, 0.12, 2.8, 0.97),
    person("Lio Tern", Right, Medium, 180, 0.28, 0.10, 2.1, 0.94),
];

pub(crate) const CHILDREN: [Person; 6] = [
    person("Mina Starling", Right, Small, 130, 0.30, 0.20, 2.4, 0.92),
    person("Otto Reed", Right, Small, 130, 0.34, 0.10, 2.6, 0.93),
    person("Isla Fathom", Left, Small, 130, 0.28, -0.10, 2.2, 0.92),
    person("Ravi Cole", Right, Small, 100, 0.38, 0.25, 2.8, 0.95),
    person("June Harbour", Right, Small, 130, 0.26, 0.12, 2.3, 0.91),
    person("Teo Marl", Right, Small, 100, 0.36, 0.15, 2.7, 0.94),
];
