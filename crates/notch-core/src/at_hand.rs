//! What a course has at hand: the bundle that a question is asked with.

use crate::catalogue::{Catalogue, Cut, Food, Standing, Target};
use crate::lesson::ClassSize;
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

impl<'a> AtHand<'a> {
    /// The target of a cut of a food by the course's standards; `None` if they do not teach it.
    pub fn target_of(&self, cut: &Cut, food: &Food) -> Option<Target> {
        self.catalogue.target_of(&self.course.fields.standard_set, cut, food)
    }

    /// The cuts that the course's standards teach, with their targets.
    pub fn taught(&self) -> impl Iterator<Item = (&'a Cut, Target)> + use<'a> {
        let (catalogue, set) = (self.catalogue, self.course.fields.standard_set.as_str());
        catalogue.cuts.iter().filter_map(move |cut| Some((cut, catalogue.teaches(set, &cut.id)?)))
    }

    /// The cuts of a food of one standing that the course's standards teach, in the order of the work.
    pub fn cuts_of(&self, food: &'a Food, standing: Standing) -> impl Iterator<Item = (&'a Cut, Target)> + use<'a> {
        let (catalogue, set) = (self.catalogue, self.course.fields.standard_set.as_str());
        let ids = match standing {
            Standing::Taught => food.taught.as_slice(),
            Standing::Odd => food.odd.as_slice(),
            Standing::No => &[],
        };
        ids.iter().filter_map(move |id| {
            let cut = catalogue.cut(id)?;
            Some((cut, catalogue.target_of(set, cut, food)?))
        })
    }

    /// Whether the rack holds no knife at all: then one of each type is planned with.
    pub fn knows_no_knives(&self) -> bool {
        self.knives.iter().all(|knife| knife.archived)
    }

    /// Students in the course.
    pub fn class_size(&self) -> u32 {
        u32::try_from(self.students.len()).unwrap_or(u32::MAX)
    }

    /// Students who may work at one time: one at each board, and no more than are watched.
    pub fn at_once(&self) -> u32 {
        let fields = &self.course.fields;
        self.class_size().min(u32::from(fields.boards)).min(fields.resources.watched().unwrap_or(u32::MAX))
    }

    /// The class with so many knives that fit.
    pub fn class_with(&self, knives: u32) -> ClassSize {
        let fields = &self.course.fields;
        let watched = fields.resources.watched();
        ClassSize { students: self.class_size(), boards: u32::from(fields.boards), knives, watched }
    }

    /// The student of the course with this id.
    pub fn student(&self, id: i64) -> Option<&'a Student> {
        self.students.iter().find(|student| student.id == id)
    }
}
