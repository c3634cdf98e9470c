//! What was done to a knife.

use jiff::civil::Date;
use serde::{Deserialize, Serialize};

use super::Inspected;
use crate::catalogue::{Catalogue, Doctrines, Edge, Habit, KnifeType, PullThrough};
use crate::problem::Problem;
use crate::records::{EdgeState, angle_problem};
use crate::units::Degrees;

/// Kind of deed, as it is kept beside the deed itself.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CareKind {
    /// Straightened on a steel.
    Hone,
    /// Sharpened on a stone.
    Stone,
    /// Cuts in held paper.
    PaperTest,
    /// Tomato skin without pressure.
    TomatoTest,
    /// Sent out to be ground.
    SentOut,
    /// Came back from grinding.
    CameBack,
    /// Something happened to it.
    Incident,
    /// A habit that costs the edge.
    Habit,
    /// Looked over, as before it is bought.
    Inspection,
}

/// What was done to a knife, with the figures that belong to it.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum CareDeed {
    /// Straightened on a steel.
    Hone {
        /// Degrees per side; the knife's own where it is not given.
        angle: Option<Degrees>,
        /// Strokes a side.
        strokes: u16,
    },
    /// Sharpened on a stone.
    Stone {
        /// Degrees per side; the knife's own where it is not given.
        angle: Option<Degrees>,
        /// Strokes a side on each grit.
        strokes: u16,
        /// Grits, coarse first.
        grits: Vec<u32>,
    },
    /// Cuts in held paper.
    PaperTest {
        /// Clean cuts; all of them must be clean to pass.
        clean: u8,
    },
    /// Tomato skin without pressure.
    TomatoTest {
        /// Whether the skin parted.
        passed: bool,
    },
    /// Sent out to be ground.
    SentOut,
    /// Came back from grinding; it is tested before class.
    CameBack,
    /// Something happened to it.
    Incident,
    /// A habit that costs the edge.
    Habit {
        /// Which.
        habit: Habit,
    },
    /// Looked over, as before it is bought.
    Inspection {
        /// What was seen.
        seen: Inspected,
    },
}

/// What a person writes down of a deed.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CareFields {
    /// The deed.
    #[serde(flatten)]
    pub deed: CareDeed,
    /// Day by the school's clock, today or before.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = Date))]
    pub on_day: Date,
    /// Words, up to 200 characters; needed for an incident.
    #[serde(default)]
    pub words: String,
}

impl CareDeed {
    /// Its kind.
    pub const fn kind(&self) -> CareKind {
        match self {
            CareDeed::Hone { .. } => CareKind::Hone,
            CareDeed::Stone { .. } => CareKind::Stone,
            CareDeed::PaperTest { .. } => CareKind::PaperTest,
            CareDeed::TomatoTest { .. } => CareKind::TomatoTest,
            CareDeed::SentOut => CareKind::SentOut,
            CareDeed::CameBack => CareKind::CameBack,
            CareDeed::Incident => CareKind::Incident,
            CareDeed::Habit { .. } => CareKind::Habit,
            CareDeed::Inspection { .. } => CareKind::Inspection,
        }
    }

    /// What the deed says of the edge: a test says it, a knife sent out or hurt is out until it
    /// passes one, and honing or sharpening alone says nothing.
    pub fn edge_state(&self, catalogue: &Catalogue) -> Option<EdgeState> {
        let passed = |passed: bool| if passed { EdgeState::Sharp } else { EdgeState::Dull };
        match self {
            CareDeed::PaperTest { clean } => Some(passed(*clean >= catalogue.care.test.paper_cuts)),
            CareDeed::TomatoTest { passed: parted } => Some(passed(*parted)),
            CareDeed::SentOut | CareDeed::CameBack | CareDeed::Incident => Some(EdgeState::Dull),
            CareDeed::Hone { .. } | CareDeed::Stone { .. } | CareDeed::Habit { .. } | CareDeed::Inspection { .. } => None,
        }
    }

    /// The deed in a line, e.g. `stone, 10 strokes a side at 15°, grits 1000 and 6000`.
    pub fn words(&self, catalogue: &Catalogue) -> String {
        let at = |angle: &Option<Degrees>| angle.map_or_else(String::new, |angle| format!(" at {angle}°"));
        match self {
            CareDeed::Hone { angle, strokes } => format!("honed, {strokes} strokes a side{}", at(angle)),
            CareDeed::Stone { angle, strokes, grits } => {
                let grits: Vec<String> = grits.iter().map(ToString::to_string).collect();
                format!("stone, {strokes} strokes a side{}, grits {}", at(angle), grits.join(" and "))
            }
            CareDeed::PaperTest { clean } => {
                let of = catalogue.care.test.paper_cuts;
                let said = if *clean >= of { "passed" } else { "failed" };
                format!("{said} the paper test, {clean} of {of} clean")
            }
            CareDeed::TomatoTest { passed: true } => "passed the tomato test".to_owned(),
            CareDeed::TomatoTest { passed: false } => "failed the tomato test".to_owned(),
            CareDeed::SentOut => "sent out to be ground".to_owned(),
            CareDeed::CameBack => "back from grinding".to_owned(),
            CareDeed::Incident => "incident".to_owned(),
            CareDeed::Habit { habit } => {
                catalogue.care.habit.get(habit).map_or_else(|| habit.word().to_owned(), |wear| wear.name.clone())
            }
            CareDeed::Inspection { seen } => seen.words(),
        }
    }
}

impl CareFields {
    /// Every problem in the fields, for a knife of this type on this day.
    pub fn check(&self, catalogue: &Catalogue, kind: &KnifeType, doctrines: &Doctrines, today: Date) -> Vec<Problem> {
        let not_ground = !kind.is_ground();
        let mut problems = Vec::new();
        if self.on_day > today {
            problems.push(Problem::new("/on_day", "Day", self.on_day, "is in the future", format!("{today} or before")));
        }
        match &self.deed {
            CareDeed::Hone { angle, strokes } => {
                if not_ground {
                    problems.push(Problem::new(
                        "/kind",
                        "Write down",
                        &kind.name,
                        "has an edge that a plain steel does not fit",
                        "send it out",
                    ));
                }
                problems.extend(Problem::unless_within("/strokes", "Strokes a side", i64::from(*strokes), 1, 50));
                problems.extend(angle.and_then(|angle| angle_problem(catalogue, "/angle", angle)));
            }
            CareDeed::Stone { angle, strokes, grits } => {
                if not_ground {
                    let (why, allowed) = ("has an edge that a flat stone does not grind", "replace it or send it out");
                    problems.push(Problem::new("/kind", "Write down", &kind.name, why, allowed));
                }
                problems.extend(Problem::unless_within("/strokes", "Strokes a side", i64::from(*strokes), 1, 200));
                problems.extend(angle.and_then(|angle| angle_problem(catalogue, "/angle", angle)));
                if grits.is_empty() || grits.len() > 4 {
                    let why = "are not what one stone session uses";
                    problems.push(Problem::new("/grits", "Grits, coarse first", grits.len(), why, "1 to 4"));
                }
                for (index, grit) in grits.iter().enumerate() {
                    problems.extend(Problem::unless_within(
                        &format!("/grits/{index}"),
                        "Grits, coarse first",
                        i64::from(*grit),
                        80,
                        30_000,
                    ));
                }
            }
            CareDeed::PaperTest { clean } => {
                let cuts = i64::from(catalogue.care.test.paper_cuts);
                problems.extend(Problem::unless_within("/clean", "Clean cuts", i64::from(*clean), 0, cuts));
            }
            CareDeed::Habit { habit: Habit::PullThrough } if doctrines.pull_through == PullThrough::Never => {
                let why = "is never used in this course";
                problems.push(Problem::new("/habit", "Which", "pull-through sharpener", why, "steel and stone"));
            }
            CareDeed::Inspection { seen } => problems.extend(seen.check().into_iter().map(|problem| problem.under("/seen"))),
            CareDeed::Incident => problems.extend(Problem::unless_text("/words", "What happened", &self.words, 200)),
            CareDeed::TomatoTest { .. } | CareDeed::SentOut | CareDeed::CameBack | CareDeed::Habit { .. } => {}
        }
        if self.words.chars().count() > 200 {
            problems.push(Problem::new("/words", "Words", &self.words, "are too many", "up to 200 characters"));
        }
        problems
    }

    /// What to mind, though the deed is taken: it is told beside what was saved.
    pub fn warnings(&self, catalogue: &Catalogue, kind: &KnifeType) -> Vec<String> {
        let mut warnings = Vec::new();
        match &self.deed {
            CareDeed::Hone { strokes, .. } => {
                let (from, to) = (catalogue.care.hone.strokes_from, catalogue.care.hone.strokes_to);
                if !(from..=to).contains(strokes) {
                    warnings.push(format!(
                        "{strokes} strokes a side: light, {from} to {to} are enough; more bends the edge to and fro."
                    ));
                }
                if kind.edge == Edge::SingleBevel {
                    warnings
                        .push("A single bevel is not steeled: it is kept on the stone, the flat side only brushed.".to_owned());
                }
            }
            CareDeed::Stone { .. } if kind.edge == Edge::SingleBevel => {
                warnings.push("One side only: the bevel at its angle, the other side flat on the stone.".to_owned());
            }
            CareDeed::Habit { habit } => warnings.extend(catalogue.care.habit.get(habit).map(|wear| wear.why.clone())),
            _ => {}
        }
        warnings
    }
}
