//! What refers to a value of the school's own.

use super::OwnKind;
use crate::problem::Problem;

/// What refers to an own value.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct OwnUses {
    /// Names of courses that chose it.
    pub courses: Vec<String>,
    /// Attempts that were judged by it.
    pub attempts: i64,
    /// Exercises that cut it.
    pub exercises: i64,
}

impl OwnUses {
    /// What stands in the way of dropping a copy: a past judgement never loses what it refers to.
    pub fn problems(&self, kind: OwnKind, id: &str) -> Vec<Problem> {
        let used = |words: String, allowed: &str| Problem::new("/id", kind.name(), id, &words, allowed);
        let mut problems = Vec::new();
        if self.exercises > 0 {
            problems.push(used(format!("is cut in {} exercises", self.exercises), "a food that no exercise uses"));
        }
        if !self.courses.is_empty() {
            let words = format!("is used by {}", self.courses.join(", "));
            problems.push(used(words, "one that no course uses: choose another there first"));
        }
        if self.attempts > 0 {
            let words = format!("judged {} attempts, which refer to it", self.attempts);
            problems.push(used(words, "one that no past judgement used; rename it instead"));
        }
        problems
    }
}
