//! What a course has at hand: the bundle that a question is asked with.

use crate::catalogue::{Catalogue, Cut, Target};
use crate::people::Hand;
use crate::records::{Course, Knife, Student};

/// What a course has at hand.
#[derive(Clone, Copy, Debug)]
pub struct AtHand<'a> {
    /// The field's knowledge.
    pub catalogue: &'a Catalogue,
    /// The course.
    pub course: &'a Course,
    /// Its students.
    pub students: &'a [Student],
    /// The rack.
    pub knives: &'a [Knife],
}

/// Students by working hand.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq)]
pub struct Hands {
    /// Right-handed.
    pub right: u32,
    /// Left-handed.
    pub left: u32,
}

impl Hands {
    /// Students who work with a hand.
    pub const fn of(self, hand: Hand) -> u32 {
        match hand {
            Hand::Right => self.right,
            Hand::Left => self.left,
        }
    }
}

impl<'a> AtHand<'a> {
    /// The target of a cut by the course's standards; `None` if they do not teach it.
    pub fn target(&self, cut: &str) -> Option<Target> {
        self.catalogue.target(&self.course.fields.standard_set, cut)
    }

    /// The cuts that the course's standards teach, with their targets.
    pub fn taught(&self) -> impl Iterator<Item = (&'a Cut, Target)> + use<'a> {
        let (catalogue, set) = (self.catalogue, self.catalogue.set(&self.course.fields.standard_set));
        catalogue.cuts.iter().filter_map(move |cut| Some((cut, *set?.cuts.get(&cut.id)?)))
    }

    /// Students in the course.
    pub fn class_size(&self) -> u32 {
        u32::try_from(self.students.len()).unwrap_or(u32::MAX)
    }

    /// Students by working hand.
    pub fn hands(&self) -> Hands {
        let count = |hand: Hand| {
            let working = self.students.iter().filter(|student| student.fields.hand == hand);
            u32::try_from(working.count()).unwrap_or(u32::MAX)
        };
        Hands { right: count(Hand::Right), left: count(Hand::Left) }
    }

    /// The student of the course with this id.
    pub fn student(&self, id: i64) -> Option<&'a Student> {
        self.students.iter().find(|student| student.id == id)
    }
}
