//! Rotations in the open: `rotation-instance/1` in, `rotation-solution/1` or `rotation-impossible/1` out.

use std::collections::{HashMap, HashSet};

use serde::{Deserialize, Serialize};

use super::question::{Blocked, Bound, BoundBy, Question, Turn};
use super::rotate;
use crate::problem::Problem;

/// Name and version of the format of a class.
const INSTANCE: &str = "rotation-instance/1";

/// Millimetres outside the comfortable range that a blade may be at most.
const REACH: i64 = 40;

/// A class, as it is exchanged. Keys that are not known are passed over. All lengths in millimetres.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct Instance {
    /// `rotation-instance/1`.
    pub format: String,
    /// Name of the class.
    pub id: String,
    /// Most students who work in one round.
    pub boards: u32,
    /// People who watch.
    pub instructors: u32,
    /// How much each of them watches in one round.
    pub watch_per_instructor: u32,
    /// Rounds that there is time for.
    #[serde(default)]
    pub max_rounds: Option<usize>,
    /// Knives on the tray.
    pub knives: Vec<TrayKnife>,
    /// Exercises.
    pub exercises: Vec<Exercise>,
    /// Students.
    pub students: Vec<Trainee>,
}

/// A knife on the tray.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct TrayKnife {
    /// Its number.
    pub id: String,
    /// Its type.
    #[serde(rename = "type")]
    pub kind: String,
    /// Length of the blade.
    pub length_mm: i64,
    /// The hand that it is ground for.
    pub hand: GroundFor,
}

/// The hand that a knife is ground for.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Deserialize)]
#[serde(rename_all = "snake_case")]
pub enum GroundFor {
    /// Either.
    Any,
    /// The right.
    Right,
    /// The left.
    Left,
}

/// An exercise.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct Exercise {
    /// Its id.
    pub id: String,
    /// Types of knife that it is done with.
    pub types: Vec<String>,
    /// Shortest blade.
    pub min_mm: i64,
    /// Longest blade.
    pub max_mm: i64,
    /// Exercise that must be done before.
    #[serde(default)]
    pub requires: Option<String>,
}

/// A student.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct Trainee {
    /// Name.
    pub id: String,
    /// Working hand; `any` is refused.
    pub hand: GroundFor,
    /// Shortest comfortable blade.
    pub min_mm: i64,
    /// Longest comfortable blade.
    pub max_mm: i64,
    /// Types of knife that may be held.
    pub cleared: Vec<String>,
    /// Exercises done before this class.
    #[serde(default)]
    pub done: Vec<String>,
    /// Exercises to do.
    pub todo: Vec<ToDo>,
}

/// An exercise that a student is to do.
#[derive(Clone, Debug, PartialEq, Deserialize)]
pub struct ToDo {
    /// The exercise.
    pub exercise: String,
    /// How much of the watching it takes.
    pub watch: u32,
}

/// A rotation.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct Solution {
    /// `rotation-solution/1`.
    pub format: &'static str,
    /// Name of the class.
    pub instance: String,
    /// Rounds.
    pub rounds: usize,
    /// Rounds below which nobody can go.
    pub lower_bound: usize,
    /// Whether that many rounds were shown to be the fewest.
    pub proven_fewest: bool,
    /// Sum of the fits.
    pub fit: u32,
    /// Hand-overs.
    pub handovers: u32,
    /// Who does what when, by round and student.
    pub assignments: Vec<Assignment>,
}

/// One student's exercise in its round.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
pub struct Assignment {
    /// Round, from 1.
    pub round: usize,
    /// Student.
    pub student: String,
    /// Exercise.
    pub exercise: String,
    /// Knife.
    pub knife: String,
}

/// Why there is no rotation.
#[derive(Clone, Debug, PartialEq, Serialize)]
pub struct Impossible {
    /// `rotation-impossible/1`.
    pub format: &'static str,
    /// Name of the class.
    pub instance: String,
    /// Every reason.
    pub reasons: Vec<Reason>,
}

/// One reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "code", rename_all = "snake_case")]
pub enum Reason {
    /// No knife on the tray may be used.
    NoKnife {
        /// Student.
        student: String,
        /// Exercise.
        exercise: String,
        /// First rule that leaves no knife; none where there was none to begin with.
        emptied_by: Option<Rule>,
        /// Knives left after each rule.
        left_after: Vec<(Rule, usize)>,
        /// Every smallest set of rules without which a knife would be left.
        relax_one_of: Vec<Vec<Rule>>,
    },
    /// What must be done first is neither done nor to be done.
    MissingPrerequisite {
        /// Student.
        student: String,
        /// Exercise.
        exercise: String,
        /// What is missing.
        requires: String,
    },
    /// An exercise that requires itself.
    PrerequisiteCycle {
        /// Exercise.
        exercise: String,
    },
    /// One student's exercise alone takes more watching than there is.
    WatchOverLimit {
        /// Student.
        student: String,
        /// Exercise.
        exercise: String,
        /// Watching that it takes.
        watch: u32,
        /// Watching that a round has.
        limit: u32,
    },
    /// There is no board.
    NoBoards,
    /// There is time for fewer rounds than are needed.
    TooFewRounds {
        /// Rounds that are needed at least.
        lb: usize,
        /// What needs them.
        bound: &'static str,
        /// Whether it was shown that fewer cannot do; else none was found.
        proven: bool,
        /// Students and exercises that need them.
        #[serde(skip_serializing_if = "Vec::is_empty")]
        turns: Vec<(String, String)>,
        /// Knives that those share.
        #[serde(skip_serializing_if = "Vec::is_empty")]
        knives: Vec<String>,
    },
}

/// What a knife must pass, in the order in which blame is laid.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
pub enum Rule {
    /// The exercise is done with its type.
    Type,
    /// Its length suits the exercise.
    Length,
    /// The student may hold its type.
    Clearance,
    /// It is ground for the student's hand, or for either.
    Hand,
    /// It is at most so far outside what is comfortable.
    Reach,
}

impl Rule {
    const ALL: [Rule; 5] = [Rule::Type, Rule::Length, Rule::Clearance, Rule::Hand, Rule::Reach];

    fn passes(self, student: &Trainee, exercise: &Exercise, knife: &TrayKnife) -> bool {
        match self {
            Rule::Type => exercise.types.contains(&knife.kind),
            Rule::Length => (exercise.min_mm..=exercise.max_mm).contains(&knife.length_mm),
            Rule::Clearance => student.cleared.contains(&knife.kind),
            Rule::Hand => knife.hand == GroundFor::Any || knife.hand == student.hand,
            Rule::Reach => outside(student, knife) <= REACH,
        }
    }
}

/// Millimetres that a blade is outside the comfortable range.
fn outside(student: &Trainee, knife: &TrayKnife) -> i64 {
    (student.min_mm.saturating_sub(knife.length_mm)).max(knife.length_mm.saturating_sub(student.max_mm)).max(0)
}

/// How well a knife fits; none where it may not be used.
fn fit(student: &Trainee, exercise: &Exercise, knife: &TrayKnife) -> Option<u8> {
    let usable = Rule::ALL.iter().all(|rule| rule.passes(student, exercise, knife));
    usable.then(|| (100 * (REACH - outside(student, knife)) / REACH) as u8)
}

impl Instance {
    /// Finds a rotation, or says why there is none.
    ///
    /// # Errors
    /// What is wrong with the file: another format, an id that is used twice or leads nowhere.
    pub fn solve(&self) -> Result<Result<Solution, Impossible>, Vec<Problem>> {
        let problems = self.problems();
        if !problems.is_empty() {
            return Err(problems);
        }
        let impossible = |reasons| Impossible { format: "rotation-impossible/1", instance: self.id.clone(), reasons };
        let reasons = self.cycles();
        if !reasons.is_empty() {
            return Ok(Err(impossible(reasons)));
        }
        let (question, names) = self.question();
        let missing = self.missing();
        if !missing.is_empty() {
            let others = question.blocked();
            let others = others.into_iter().filter_map(|blocked| self.reason(&names, blocked));
            return Ok(Err(impossible(missing.into_iter().chain(others).collect())));
        }
        let rotation = match rotate(&question) {
            Ok(rotation) => rotation,
            Err(blocked) => {
                let reasons = blocked.into_iter().filter_map(|blocked| self.reason(&names, blocked)).collect();
                return Ok(Err(impossible(reasons)));
            }
        };
        let mut assignments: Vec<Assignment> = rotation
            .seats
            .iter()
            .zip(&names)
            .map(|(seat, (student, exercise))| Assignment {
                round: seat.round + 1,
                student: (*student).to_owned(),
                exercise: (*exercise).to_owned(),
                knife: self.knives[seat.knife].id.clone(),
            })
            .collect();
        assignments.sort_by(|a, b| (a.round, &a.student).cmp(&(b.round, &b.student)));
        Ok(Ok(Solution {
            format: "rotation-solution/1",
            instance: self.id.clone(),
            rounds: rotation.worth.rounds,
            lower_bound: rotation.bound.rounds,
            proven_fewest: rotation.bound.rounds == rotation.worth.rounds,
            fit: 100 * question.turns.len() as u32 - rotation.worth.lacking,
            handovers: rotation.worth.hand_overs,
            assignments,
        }))
    }

    /// What is wrong with the file itself.
    fn problems(&self) -> Vec<Problem> {
        let mut found = Vec::new();
        if self.format != INSTANCE {
            found.push(Problem::new("/format", "Format", &self.format, "is not read", INSTANCE));
        }
        found.extend(twice("/knives", "Knife", self.knives.iter().map(|knife| knife.id.as_str())));
        found.extend(twice("/exercises", "Exercise", self.exercises.iter().map(|exercise| exercise.id.as_str())));
        found.extend(twice("/students", "Student", self.students.iter().map(|student| student.id.as_str())));
        let known: HashSet<&str> = self.exercises.iter().map(|exercise| exercise.id.as_str()).collect();
        let unknown = |pointer: String, id: &str| {
            (!known.contains(id)).then(|| Problem::new(pointer, "Exercise", id, "is not in the list", "an id of the exercises"))
        };
        for (index, exercise) in self.exercises.iter().enumerate() {
            found.extend(exercise.requires.iter().filter_map(|id| unknown(format!("/exercises/{index}/requires"), id)));
        }
        for (index, student) in self.students.iter().enumerate() {
            let pointer = format!("/students/{index}");
            if student.hand == GroundFor::Any {
                found.push(Problem::new(format!("{pointer}/hand"), "Hand", "any", "is no working hand", "right or left"));
            }
            found.extend(student.todo.iter().filter_map(|todo| unknown(format!("{pointer}/todo"), &todo.exercise)));
            found.extend(twice(&format!("{pointer}/todo"), "Exercise", student.todo.iter().map(|todo| todo.exercise.as_str())));
        }
        let turns: usize = self.students.iter().map(|student| student.todo.len()).sum();
        if turns > MOST_TURNS || self.knives.len() > MOST_TURNS {
            found.push(Problem::new("/students", "Exercises to do", turns, "are too many", format!("up to {MOST_TURNS}")));
        }
        found
    }

    /// The class in plain numbers, with student and exercise of each turn.
    fn question(&self) -> (Question, Vec<(&str, &str)>) {
        let exercises: HashMap<&str, &Exercise> =
            self.exercises.iter().map(|exercise| (exercise.id.as_str(), exercise)).collect();
        let (mut turns, mut names) = (Vec::new(), Vec::new());
        for (index, student) in self.students.iter().enumerate() {
            let first = turns.len();
            for todo in &student.todo {
                let Some(exercise) = exercises.get(todo.exercise.as_str()) else { continue };
                let requires = exercise.requires.iter().filter(|id| !student.done.contains(id));
                let after = requires.filter_map(|id| student.todo.iter().position(|other| other.exercise == *id));
                let fits = self.knives.iter().enumerate();
                turns.push(Turn {
                    student: index,
                    watch: todo.watch,
                    after: after.map(|place| first + place).collect(),
                    fits: fits.filter_map(|(at, knife)| fit(student, exercise, knife).map(|fit| (at, fit))).collect(),
                    ..Turn::default()
                });
                names.push((student.id.as_str(), todo.exercise.as_str()));
            }
        }
        let question = Question {
            students: self.students.len(),
            knives: self.knives.len(),
            boards: self.boards,
            watch: self.instructors.saturating_mul(self.watch_per_instructor),
            most_rounds: self.max_rounds,
            turns,
        };
        (question, names)
    }

    /// Exercises that require themselves.
    fn cycles(&self) -> Vec<Reason> {
        let requires: HashMap<&str, &str> =
            self.exercises.iter().filter_map(|exercise| Some((exercise.id.as_str(), exercise.requires.as_deref()?))).collect();
        let leads_back = |id: &str| {
            let mut now = id;
            (0..self.exercises.len()).any(|_| {
                now = requires.get(now).copied().unwrap_or_default();
                now == id
            })
        };
        let round = self.exercises.iter().filter(|exercise| exercise.requires.is_some() && leads_back(&exercise.id));
        round.map(|exercise| Reason::PrerequisiteCycle { exercise: exercise.id.clone() }).collect()
    }

    /// What must be done first and is nowhere.
    fn missing(&self) -> Vec<Reason> {
        let requires = |id: &str| self.exercises.iter().find(|exercise| exercise.id == id)?.requires.clone();
        let mut found = Vec::new();
        for student in &self.students {
            for todo in &student.todo {
                let Some(requires) = requires(&todo.exercise) else { continue };
                let there = student.done.contains(&requires) || student.todo.iter().any(|other| other.exercise == requires);
                if !there {
                    let (student, exercise) = (student.id.clone(), todo.exercise.clone());
                    found.push(Reason::MissingPrerequisite { student, exercise, requires });
                }
            }
        }
        found
    }

    /// A reason as it is exchanged.
    fn reason(&self, names: &[(&str, &str)], blocked: Blocked) -> Option<Reason> {
        let name = |turn: usize| (names[turn].0.to_owned(), names[turn].1.to_owned());
        Some(match blocked {
            Blocked::NoKnife { turn } => self.no_knife(names[turn])?,
            Blocked::Cycle { turn } => Reason::PrerequisiteCycle { exercise: name(turn).1 },
            Blocked::WatchOver { turn } => {
                let (student, exercise) = name(turn);
                let of =
                    self.students.iter().find(|known| known.id == student)?.todo.iter().find(|todo| todo.exercise == exercise)?;
                let limit = self.instructors.saturating_mul(self.watch_per_instructor);
                Reason::WatchOverLimit { student, exercise, watch: of.watch, limit }
            }
            Blocked::NoBoards => Reason::NoBoards,
            Blocked::TooFewRounds { bound: Bound { rounds, by } } => {
                let (bound, turns, knives) = match by {
                    BoundBy::Windows => ("chain", Vec::new(), Vec::new()),
                    BoundBy::Student { student } => {
                        let id = &self.students[student].id;
                        (
                            "student",
                            names.iter().filter(|(of, _)| of == id).map(|(a, b)| ((*a).to_owned(), (*b).to_owned())).collect(),
                            Vec::new(),
                        )
                    }
                    BoundBy::Boards => ("boards", Vec::new(), Vec::new()),
                    BoundBy::Watch => ("watch", Vec::new(), Vec::new()),
                    BoundBy::Knives { turns, knives } => {
                        let knives = knives.into_iter().map(|knife| self.knives[knife].id.clone()).collect();
                        ("knives", turns.into_iter().map(name).collect(), knives)
                    }
                    BoundBy::Order => ("order", Vec::new(), Vec::new()),
                };
                Reason::TooFewRounds { lb: rounds, bound, proven: true, turns, knives }
            }
            Blocked::NotFound { least } => {
                Reason::TooFewRounds { lb: least, bound: "search", proven: false, turns: Vec::new(), knives: Vec::new() }
            }
            // Classes that are exchanged hold nothing in its place.
            Blocked::PinnedTwice { .. } | Blocked::PinImpossible { .. } | Blocked::Held { .. } => return None,
        })
    }

    /// Why there is no knife for a turn.
    fn no_knife(&self, (student, exercise): (&str, &str)) -> Option<Reason> {
        let who = self.students.iter().find(|known| known.id == student)?;
        let what = self.exercises.iter().find(|known| known.id == exercise)?;
        let left =
            |rules: &[Rule]| self.knives.iter().filter(|knife| rules.iter().all(|rule| rule.passes(who, what, knife))).count();
        let left_after: Vec<(Rule, usize)> =
            (1..=Rule::ALL.len()).map(|many| (Rule::ALL[many - 1], left(&Rule::ALL[..many]))).collect();
        let mut relax_one_of: Vec<Vec<Rule>> = Vec::new();
        let mut sets: Vec<Vec<Rule>> = (1..1_u32 << Rule::ALL.len())
            .map(|set| Rule::ALL.into_iter().enumerate().filter(|(at, _)| set >> at & 1 == 1).map(|(_, rule)| rule).collect())
            .collect();
        sets.sort_by_key(Vec::len);
        for set in sets {
            let kept: Vec<Rule> = Rule::ALL.into_iter().filter(|rule| !set.contains(rule)).collect();
            let smallest = !relax_one_of.iter().any(|known| known.iter().all(|rule| set.contains(rule)));
            if smallest && left(&kept) > 0 {
                relax_one_of.push(set);
            }
        }
        Some(Reason::NoKnife {
            student: student.to_owned(),
            exercise: exercise.to_owned(),
            emptied_by: left_after.iter().find(|(_, left)| *left == 0).map(|(rule, _)| *rule),
            left_after,
            relax_one_of,
        })
    }
}

/// Most exercises to do, and most knives, that a file may hold.
const MOST_TURNS: usize = 1_000;

/// Ids that stand twice.
fn twice<'a>(pointer: &str, name: &str, ids: impl Iterator<Item = &'a str>) -> Vec<Problem> {
    let mut seen = HashSet::new();
    ids.enumerate()
        .filter(|(_, id)| !seen.insert(*id))
        .map(|(index, id)| Problem::new(format!("{pointer}/{index}"), name, id, "stands twice", "each id once"))
        .collect()
}
