//! What the pages of a lesson are made of.

use crate::catalogue::Catalogue;
use crate::records::{Knife, Student};
use crate::views::{PlanView, ProduceView, RotationView, YardRow};

/// What the pages of a lesson are made of.
#[derive(Clone, Copy, Debug)]
pub struct PaperInput<'a> {
    /// The field's knowledge.
    pub catalogue: &'a Catalogue,
    /// The lesson with its exercises.
    pub plan: &'a PlanView,
    /// Lessons of the course.
    pub lessons: usize,
    /// Students of the course.
    pub students: &'a [Student],
    /// Its food.
    pub produce: &'a ProduceView,
    /// Its rotation.
    pub rotation: &'a RotationView,
    /// The rack.
    pub knives: &'a [Knife],
    /// Numbers of the knives that go out.
    pub numbers: &'a [String],
    /// Where everyone stands.
    pub yard: &'a [YardRow],
}

impl PaperInput<'_> {
    /// What stands at the foot of each page: which lesson it is, and the limits of the advice.
    pub(super) fn foot(&self) -> String {
        let fields = &self.plan.lesson.fields;
        let day = crate::words::day(fields.starts_at.date());
        let (number, school) = (self.plan.lesson.number, &self.plan.course.fields.school);
        format!("{school} · lesson {number}, {} · {day} · {}", fields.title, self.plan.disclaimer)
    }

    /// A moment of the lesson by the clock on the wall, so many minutes after it begins.
    pub(super) fn at(&self, minutes: u32) -> String {
        let starts = self.plan.lesson.fields.starts_at;
        let at = starts.checked_add(jiff::Span::new().minutes(i64::from(minutes))).unwrap_or(starts);
        format!("{:02}:{:02}", at.hour(), at.minute())
    }
}
