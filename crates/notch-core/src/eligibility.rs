//! Whether a student may use a knife. Plan, Class, Playbook and Rack all ask here.
//!
//! A knife stays with nobody that is dull, off the rack or in use. A student uses blades up to the
//! clearance; blades beyond the last plain rung of the ladder, and the types that the catalogue marks,
//! need the special clearance, whatever their length; a single bevel goes to the hand it is ground for. No clearance
//! takes a child over the length of the age band.

use std::collections::BTreeSet;

use crate::catalogue::{Edge, KnifeType, Motion, ProgressRules};
use crate::people::{AgeBand, Hand, HandSize};
use crate::problem::Problem;
use crate::records::{CourseFields, EdgeState, Knife, Student};
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// The student that a knife is chosen for.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Trainee {
    /// Working hand.
    pub hand: Hand,
    /// Size of the hand.
    pub hand_size: HandSize,
    /// Longest blade that the student is cleared for.
    pub clearance: Millimetres,
    /// Cleared for turning, single-bevel, boning, heavy and very long knives.
    pub special: bool,
}

impl Trainee {
    /// What the rules need to know of a student.
    pub const fn of(student: &Student) -> Trainee {
        let fields = &student.fields;
        Trainee { hand: fields.hand, hand_size: fields.hand_size, clearance: fields.clearance, special: fields.special_clearance }
    }
}

/// What stands between a student and a knife.
#[derive(Clone, Debug, PartialEq)]
pub enum Barrier {
    /// No longer on the rack.
    OffTheRack {
        /// Number on the handle.
        number: String,
    },
    /// Failed its edge test.
    Dull {
        /// Numbers on the handles.
        numbers: String,
    },
    /// In a running attempt of somebody else.
    InUse {
        /// Number on the handle.
        number: String,
        /// Name of who has it.
        by: String,
    },
    /// Longer than the age band may have, whatever the evidence.
    Age {
        /// Blade length.
        length: Millimetres,
        /// Longest for this age band.
        most: Millimetres,
    },
    /// Longer than the clearance.
    TooLong {
        /// Blade length.
        length: Millimetres,
        /// Cleared to.
        clearance: Millimetres,
    },
    /// Of a type, or of a length, with a clearance of its own.
    NeedsSpecial {
        /// Name of the type.
        kind: String,
        /// Blade length, where that is what asks for it.
        length: Option<Millimetres>,
    },
    /// The course asks for a passed briefing first.
    NotBriefed {
        /// Name of the student.
        name: String,
    },
    /// Ground for the other hand.
    OtherHand {
        /// The hand that it is ground for.
        ground_for: Hand,
    },
}

impl Barrier {
    /// Id, the same for every sentence of a kind.
    pub const fn id(&self) -> &'static str {
        match self {
            Barrier::OffTheRack { .. } => "rack.archived",
            Barrier::Dull { .. } => "edge.dull",
            Barrier::InUse { .. } => "rack.in_use",
            Barrier::Age { .. } => "length.age",
            Barrier::TooLong { .. } => "student.clearance",
            Barrier::NeedsSpecial { .. } => "student.special",
            Barrier::NotBriefed { .. } => "student.briefing",
            Barrier::OtherHand { .. } => "student.hand",
        }
    }

    /// The reason in plain words.
    pub fn words(&self) -> Text {
        match self {
            Barrier::OffTheRack { number } => text!["No. ", number, " is no longer on the rack."],
            Barrier::Dull { numbers } => {
                text!["No. ", numbers, " failed its edge test. A dull edge needs force and slips: out until it passes."]
            }
            Barrier::InUse { number, by } => text!["No. ", number, " is in use by ", text::Name(by), "."],
            Barrier::Age { length, most } => text![length, " is too long for this age group: ", most, " at the most."],
            Barrier::TooLong { length, clearance } => {
                text![length, " is longer than this student is cleared for: to ", clearance, " until the evidence clears more."]
            }
            Barrier::NeedsSpecial { kind, length: None } => {
                text!["A ", kind, " needs the special clearance, which this student has not earned yet."]
            }
            Barrier::NeedsSpecial { length: Some(length), .. } => {
                text![
                    length,
                    " is beyond what length alone clears: it needs the special clearance, which this student has not earned yet."
                ]
            }
            Barrier::NotBriefed { name } => {
                text![text::Name(name), " has not passed a briefing in this course yet: two minutes of Ask me come first."]
            }
            Barrier::OtherHand { ground_for } => {
                text!["Ground for the ", ground_for.name(), " hand; this student works with the ", ground_for.other().name(), "."]
            }
        }
    }

    /// The barrier as a problem of a chosen knife.
    pub fn problem(&self, knife: &Knife) -> Problem {
        Problem::said("/knife_id", "Knife in hand", &knife.fields.number, self.words(), self.allowed()).by_rule(self.id())
    }

    /// What would be allowed instead.
    pub fn allowed(&self) -> Text {
        match self {
            Barrier::OffTheRack { .. } => text!["a knife on the rack"],
            Barrier::Dull { .. } => text!["a sharp knife"],
            Barrier::InUse { .. } => text!["a knife that is free, or stop that attempt"],
            Barrier::Age { most, .. } => text!["up to ", most],
            Barrier::TooLong { clearance, .. } => text!["up to ", clearance, " until the evidence clears more"],
            Barrier::NeedsSpecial { .. } => text!["a knife that needs no special clearance"],
            Barrier::NotBriefed { .. } => text!["a passed briefing, then a knife"],
            Barrier::OtherHand { ground_for } => text!["a knife for the ", ground_for.other().name(), " hand"],
        }
    }
}

/// What keeps a knife out of every class: it failed its edge test.
pub fn dull_barrier(knife: &Knife) -> Option<Barrier> {
    (knife.fields.edge_state == EdgeState::Dull).then(|| Barrier::Dull { numbers: knife.fields.number.clone() })
}

/// What keeps a student from the first knife where the course asks for a passed briefing: `briefed` are those who passed
/// one in this course.
pub fn briefing_barrier(course: &CourseFields, briefed: &BTreeSet<i64>, student: &Student) -> Option<Barrier> {
    let due = course.briefing_first && !briefed.contains(&student.id);
    due.then(|| Barrier::NotBriefed { name: student.fields.name.clone() })
}

/// A blade as eligibility looks at it.
#[derive(Clone, Copy, Debug)]
pub struct Blade<'a> {
    /// Type.
    pub kind: &'a KnifeType,
    /// Blade length.
    pub length: Millimetres,
    /// Hand it is ground for; `None` for either.
    pub hand: Option<Hand>,
}

impl Blade<'_> {
    /// Too long for an age band.
    pub fn age_barrier(&self, age_band: AgeBand) -> Option<Barrier> {
        let most = age_band.longest_blade();
        (self.length > most).then_some(Barrier::Age { length: self.length, most })
    }

    /// Longer than the student is cleared for.
    pub fn length_barrier(&self, trainee: &Trainee, ladder: &ProgressRules) -> Option<Barrier> {
        // A long-draw blade is longer than any rung: its clearance is the special one, not a length.
        let long_draw = self.kind.edge == Edge::SingleBevel || self.kind.motions.contains(&Motion::LongDraw);
        let cleared = long_draw && trainee.special || trainee.clearance >= ladder.longest_by_length();
        let drawn = self.is_beyond(ladder) && cleared;
        if self.length <= trainee.clearance || drawn {
            return None;
        }
        Some(Barrier::TooLong { length: self.length, clearance: trainee.clearance })
    }

    /// Needs the special clearance, by its type or its length, and the student has none.
    pub fn special_barrier(&self, trainee: &Trainee, ladder: &ProgressRules) -> Option<Barrier> {
        let by_length = self.is_beyond(ladder) && self.length > trainee.clearance;
        let needed = !trainee.special && (self.kind.special || by_length);
        let length = (!self.kind.special).then_some(self.length);
        needed.then(|| Barrier::NeedsSpecial { kind: self.kind.name.clone(), length })
    }

    /// Ground for the other hand.
    pub fn hand_barrier(&self, hand: Hand) -> Option<Barrier> {
        let one_hand = self.hand.filter(|ground_for| self.kind.edge == Edge::SingleBevel && *ground_for != hand);
        one_hand.map(|ground_for| Barrier::OtherHand { ground_for })
    }

    /// Beyond what length alone clears, within what the special clearance reaches.
    fn is_beyond(&self, ladder: &ProgressRules) -> bool {
        self.length > ladder.longest_by_length() && ladder.special_rung().is_some_and(|rung| self.length <= rung.length)
    }
}

/// Who has a knife in a running attempt.
#[derive(Clone, Copy, Debug)]
pub struct Holder<'a> {
    /// The student.
    pub student_id: i64,
    /// Name, as it is told.
    pub name: &'a str,
}

/// Everything that stands between a student and a knife of the rack, gravest first; nothing if the
/// student may have it.
pub fn barriers(
    student: &Student,
    age_band: AgeBand,
    (kind, knife): (&KnifeType, &Knife),
    holder: Option<Holder<'_>>,
    ladder: &ProgressRules,
) -> Vec<Barrier> {
    let trainee = Trainee::of(student);
    let blade = Blade { kind, length: knife.fields.length, hand: knife.fields.hand };
    let number = || knife.fields.number.clone();
    let held = holder.filter(|holder| holder.student_id != student.id);
    [
        knife.archived.then(|| Barrier::OffTheRack { number: number() }),
        dull_barrier(knife),
        held.map(|holder| Barrier::InUse { number: number(), by: holder.name.to_owned() }),
        blade.age_barrier(age_band),
        blade.length_barrier(&trainee, ladder),
        blade.special_barrier(&trainee, ladder),
        blade.hand_barrier(trainee.hand),
    ]
    .into_iter()
    .flatten()
    .collect()
}
