//! What a course is to reach, and what the class has shown of it.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::{Catalogue, DraftRules, KindGoal, NotchKind};
use crate::problem::Problem;
use crate::progress::{StrandRule, standing_of};
use crate::records::Attempt;

/// A goal: every student has a notch in a cut by a session.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct GoalFields {
    /// Id of the cut.
    pub cut: String,
    /// The notch.
    pub notch: NotchKind,
    /// Number of the session by which it is reached.
    pub by: u16,
}

impl From<&KindGoal> for GoalFields {
    fn from(goal: &KindGoal) -> Self {
        GoalFields { cut: goal.cut.clone(), notch: goal.notch, by: goal.by }
    }
}

impl GoalFields {
    /// Every problem in the fields, of a course with so many sessions; `pointer` is where they stand.
    pub fn check(&self, catalogue: &Catalogue, sessions: u16, pointer: &str) -> Vec<Problem> {
        let known = catalogue.draft.technique(&self.cut).is_some();
        let name = catalogue.cut(&self.cut).map_or(self.cut.as_str(), |cut| cut.name.as_str());
        let cut = (!known).then(|| {
            let cuts = catalogue.draft.techniques.iter().filter_map(|each| Some(catalogue.cut(&each.cut)?.name.as_str()));
            let allowed = cuts.collect::<Vec<_>>().join(", ");
            Problem::new(format!("{pointer}/cut"), "Cut", name, "is none that a course is drafted to", allowed)
        });
        let by =
            Problem::unless_within(&format!("{pointer}/by"), "By session", i64::from(self.by), 1, i64::from(sessions.max(1)));
        cut.into_iter().chain(by).collect()
    }
}

/// What a plan expects of a goal.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct GoalState {
    /// Sessions of practice that the slowest student still needs.
    pub needed: u16,
    /// Sessions of practice in the plan by then.
    pub planned: u16,
    /// Index of the session in which it is expected; none where the plan does not come so far.
    pub expected: Option<usize>,
    /// Expected in time.
    pub in_time: bool,
}

/// What a class has shown so far.
#[derive(Clone, Debug, Default)]
pub struct ClassEvidence {
    /// Cuts that the class knows, each with the day on which it was last tried.
    pub known: Vec<(String, Date)>,
    /// Where each student stands, strand by strand.
    pub students: Vec<Vec<StrandRule>>,
}

impl ClassEvidence {
    /// From the attempts of a course's students, in the order of time.
    pub fn of(at_hand: &AtHand<'_>, attempts: &[Attempt], today: Date) -> ClassEvidence {
        let of_student = |id: i64| attempts.iter().filter(move |attempt| attempt.student_id == id);
        let students: Vec<Vec<StrandRule>> = at_hand
            .students
            .iter()
            .map(|student| standing_of(at_hand, student, &of_student(student.id).collect::<Vec<_>>(), today).strands)
            .collect();
        let enough = at_hand.catalogue.draft.limits.known * at_hand.students.len() as f64;
        let known = at_hand.catalogue.draft.techniques.iter().filter_map(|technique| {
            let of_cut = || attempts.iter().filter(|attempt| attempt.cut == technique.cut);
            let tried = at_hand.students.iter().filter(|student| of_cut().any(|attempt| attempt.student_id == student.id));
            let last = of_cut().map(|attempt| attempt.on_day).max()?;
            (tried.count() as f64 >= enough).then(|| (technique.cut.clone(), last))
        });
        ClassEvidence { known: known.collect(), students }
    }

    /// Sessions of practice that the slowest student needs for a goal: those of the notches that are missing.
    ///
    /// Notches of a cut last the student has turned to another one of its strand count for Safe alone, which is
    /// the hand's and not the cut's. A class without students needs what a newcomer needs.
    pub(super) fn sessions_needed(&self, catalogue: &Catalogue, goal: &GoalFields) -> u16 {
        let rules = &catalogue.draft;
        let strand = rules.technique(&goal.cut).map(|technique| technique.strand);
        let of = |student: &Vec<StrandRule>| {
            let rule = student.iter().find(|rule| Some(rule.strand) == strand);
            let has = |notch| rule.is_some_and(|rule| rule.has(notch) && is_shown_by(catalogue, rule, &goal.cut, notch));
            missing(rules, goal.notch, has)
        };
        let newcomer = missing(rules, goal.notch, |_| false);
        self.students.iter().map(of).max().unwrap_or(newcomer)
    }
}

/// Whether a notch of a strand is one in this cut: it was cut in it or in a finer one, or it is Safe.
fn is_shown_by(catalogue: &Catalogue, rule: &StrandRule, cut: &str, notch: NotchKind) -> bool {
    let rung = |id: &str| catalogue.cut(id).map(|cut| cut.rung);
    let last = rule.cut.as_deref();
    notch == NotchKind::Safe
        || last == Some(cut)
        || last.and_then(rung).zip(rung(cut)).is_some_and(|(last, wanted)| last > wanted)
}

fn missing(rules: &DraftRules, goal: NotchKind, has: impl Fn(NotchKind) -> bool) -> u16 {
    let to_cut = NotchKind::ALL.into_iter().filter(|notch| *notch <= goal);
    // A notch that stands counts only with all before it.
    to_cut.skip_while(|notch| has(*notch)).map(|notch| rules.sessions.of(notch)).sum()
}
