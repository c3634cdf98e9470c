//! Reads the data files.

use std::collections::BTreeMap;

use serde::Deserialize;
use serde::de::DeserializeOwned;

use super::check::{CatalogueError, check};
use super::{
    Catalogue, Caution, ClearanceRung, CourseKind, Cut, Diagnosis, DoctrineQuestion, Fault, Food, Grip, HandWork, Handling, Hold,
    KnifeType, LessonSegment, Manner, Motion, ProgressRules, StandardSet, Target, TargetSize, Tolerance,
};
use crate::people::Pace;
use crate::units::{Millimetres, parse_length};

/// The text of the data files, by name.
#[derive(Clone, Copy, Debug)]
pub struct Sources<'a> {
    pub(super) knives: &'a str,
    pub(super) foods: &'a str,
    pub(super) cuts: &'a str,
    pub(super) standards: &'a str,
    pub(super) handling: &'a str,
    pub(super) faults: &'a str,
    pub(super) cautions: &'a str,
    pub(super) progress: &'a str,
    pub(super) diagnoses: &'a str,
    pub(super) segments: &'a str,
    pub(super) doctrines: &'a str,
    pub(super) parts: &'a str,
    pub(super) tools: &'a str,
    pub(super) care: &'a str,
    pub(super) roster: &'a str,
    pub(super) draft: &'a str,
    pub(super) kinds: &'a str,
    pub(super) ask: &'a str,
}

impl Sources<'static> {
    /// The files that ship with the product.
    pub(super) const SHIPPED: Self = Sources {
        knives: include_str!("../../data/knives.toml"),
        foods: include_str!("../../data/foods.toml"),
        cuts: include_str!("../../data/cuts.toml"),
        standards: include_str!("../../data/standards.toml"),
        handling: include_str!("../../data/handling.toml"),
        faults: include_str!("../../data/faults.toml"),
        cautions: include_str!("../../data/cautions.toml"),
        progress: include_str!("../../data/progress.toml"),
        diagnoses: include_str!("../../data/diagnoses.toml"),
        segments: include_str!("../../data/segments.toml"),
        doctrines: include_str!("../../data/doctrines.toml"),
        parts: include_str!("../../data/parts.toml"),
        tools: include_str!("../../data/tools.toml"),
        care: include_str!("../../data/care.toml"),
        roster: include_str!("../../data/roster.toml"),
        draft: include_str!("../../data/draft.toml"),
        kinds: include_str!("../../data/kinds.toml"),
        ask: include_str!("../../data/ask.toml"),
    };
}

impl Catalogue {
    /// The catalogue that ships with the product.
    ///
    /// # Errors
    /// None in a build whose tests passed: a test loads it.
    pub fn shipped() -> Result<Self, CatalogueError> {
        Self::load(Sources::SHIPPED)
    }

    /// Reads and checks a set of data files.
    ///
    /// # Errors
    /// A file that cannot be read, or every reference and figure that is wrong.
    pub fn load(sources: Sources<'_>) -> Result<Self, CatalogueError> {
        let standards: StandardsFile = read("standards.toml", sources.standards)?;
        let cautions: CautionsFile = read("cautions.toml", sources.cautions)?;
        let catalogue = Catalogue {
            knives: read::<KnivesFile>("knives.toml", sources.knives)?.knife,
            foods: read::<FoodsFile>("foods.toml", sources.foods)?.food,
            cuts: read::<CutsFile>("cuts.toml", sources.cuts)?.cut,
            sets: standards.set.into_iter().map(RawSet::finish).collect::<Result<_, _>>()?,
            tolerances: standards.tolerance,
            faults: read::<FaultsFile>("faults.toml", sources.faults)?.fault,
            cautions: cautions.caution,
            disclaimer: cautions.disclaimer,
            first_aid: cautions.first_aid,
            diagnoses: read::<DiagnosesFile>("diagnoses.toml", sources.diagnoses)?.diagnosis,
            handling: read::<HandlingFile>("handling.toml", sources.handling)?.finish(),
            segments: read::<SegmentsFile>("segments.toml", sources.segments)?.segment,
            progress: read::<ProgressFile>("progress.toml", sources.progress)?.finish(),
            doctrines: read::<DoctrinesFile>("doctrines.toml", sources.doctrines)?.question,
            parts: read::<PartsFile>("parts.toml", sources.parts)?.part,
            tools: read::<ToolsFile>("tools.toml", sources.tools)?.tool,
            care: read("care.toml", sources.care)?,
            roster: read("roster.toml", sources.roster)?,
            draft: read("draft.toml", sources.draft)?,
            kinds: read::<KindsFile>("kinds.toml", sources.kinds)?.kind,
            ask: read("ask.toml", sources.ask)?,
        };
        check(&catalogue)?;
        Ok(catalogue)
    }

    /// Checks the catalogue as a whole, after a school's own values were laid over it.
    pub(crate) fn check(&self) -> Result<(), CatalogueError> {
        check(self)
    }
}

/// The version of the data files that this code reads.
const VERSION: u32 = 1;

#[derive(Deserialize)]
struct Versioned {
    version: u32,
}

fn read<T: DeserializeOwned>(file: &'static str, text: &str) -> Result<T, CatalogueError> {
    let unreadable = |error: toml::de::Error| CatalogueError::Unreadable { file, why: error.to_string() };
    let Versioned { version } = toml::from_str(text).map_err(unreadable)?;
    if version != VERSION {
        return Err(CatalogueError::Unreadable {
            file,
            why: format!("has version {version}; this program reads version {VERSION}"),
        });
    }
    toml::from_str(text).map_err(unreadable)
}

#[derive(Deserialize)]
struct KindsFile {
    kind: Vec<CourseKind>,
}

#[derive(Deserialize)]
struct KnivesFile {
    knife: Vec<KnifeType>,
}

#[derive(Deserialize)]
struct FoodsFile {
    food: Vec<Food>,
}

#[derive(Deserialize)]
struct CutsFile {
    cut: Vec<Cut>,
}

#[derive(Deserialize)]
struct FaultsFile {
    fault: Vec<Fault>,
}

#[derive(Deserialize)]
struct CautionsFile {
    disclaimer: String,
    first_aid: String,
    caution: Vec<Caution>,
}

#[derive(Deserialize)]
struct DiagnosesFile {
    diagnosis: BTreeMap<String, Diagnosis>,
}

#[derive(Deserialize)]
struct SegmentsFile {
    segment: Vec<LessonSegment>,
}

#[derive(Deserialize)]
struct DoctrinesFile {
    question: Vec<DoctrineQuestion>,
}

#[derive(Deserialize)]
struct PartsFile {
    part: Vec<super::KnifePart>,
}

#[derive(Deserialize)]
struct ToolsFile {
    tool: Vec<super::Tool>,
}

#[derive(Deserialize)]
struct StandardsFile {
    set: Vec<RawSet>,
    tolerance: Vec<Tolerance>,
}

#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct RawSet {
    id: String,
    name: String,
    why: String,
    cuts: BTreeMap<String, RawTarget>,
}

#[derive(Deserialize)]
#[serde(deny_unknown_fields)]
struct RawTarget {
    t: Option<RawSize>,
    w: Option<RawSize>,
    l: Option<RawSize>,
}

#[derive(Deserialize)]
#[serde(untagged)]
enum RawSize {
    One(RawLength),
    Pair([RawLength; 2]),
    Limit { below: RawLength },
}

#[derive(Deserialize)]
#[serde(untagged)]
enum RawLength {
    Number(f64),
    Text(String),
}

impl RawSet {
    fn finish(self) -> Result<StandardSet, CatalogueError> {
        let cuts = self
            .cuts
            .into_iter()
            .map(|(cut, raw)| {
                let side = |size: Option<RawSize>| size.map(RawSize::finish).transpose();
                let target = Target { thickness: side(raw.t)?, width: side(raw.w)?, length: side(raw.l)? };
                Ok((cut, target))
            })
            .collect::<Result<_, CatalogueError>>()?;
        Ok(StandardSet { id: self.id, name: self.name, why: self.why, cuts })
    }
}

impl RawSize {
    fn finish(self) -> Result<TargetSize, CatalogueError> {
        Ok(match self {
            RawSize::One(size) => TargetSize::Exact { size: size.finish()? },
            RawSize::Pair([from, to]) => TargetSize::Range { from: from.finish()?, to: to.finish()? },
            RawSize::Limit { below } => TargetSize::Below { limit: below.finish()? },
        })
    }
}

impl RawLength {
    fn finish(self) -> Result<Millimetres, CatalogueError> {
        let read = match &self {
            RawLength::Number(number) => Millimetres::new(*number).map_err(|e| (number.to_string(), e.to_string())),
            RawLength::Text(text) => parse_length(text).map_err(|e| (text.clone(), e.to_string())),
        };
        read.map_err(|(value, why)| CatalogueError::Unreadable { file: "standards.toml", why: format!("{value} {why}") })
    }
}

#[derive(Deserialize)]
struct HandlingFile {
    grip: BTreeMap<Grip, Manner>,
    hold: BTreeMap<Hold, Manner>,
    motion: BTreeMap<Motion, Manner>,
    pace: BTreeMap<Pace, f64>,
    handling: RawHandling,
    hand_work: HandWork,
}

#[derive(Deserialize)]
struct RawHandling {
    regroup_seconds: f64,
    unit_seconds: f64,
    stack_planks: u32,
    bundle_width: Millimetres,
}

impl HandlingFile {
    fn finish(self) -> Handling {
        Handling {
            grips: self.grip,
            holds: self.hold,
            motions: self.motion,
            strokes_per_minute: self.pace,
            regroup_seconds: self.handling.regroup_seconds,
            unit_seconds: self.handling.unit_seconds,
            stack_planks: self.handling.stack_planks,
            bundle_width: self.handling.bundle_width,
            hand_work: self.hand_work,
        }
    }
}

#[derive(Deserialize)]
struct ProgressFile {
    notches: RawNotches,
    ladder: RawLadder,
}

#[derive(Deserialize)]
struct RawNotches {
    clean_attempts: usize,
    true_pieces: usize,
    true_wilson: f64,
    true_bias_share: f64,
    even_attempts: usize,
    paced_factor: f64,
    held_days: i64,
}

#[derive(Deserialize)]
struct RawLadder {
    rung: Vec<ClearanceRung>,
}

impl ProgressFile {
    fn finish(self) -> ProgressRules {
        ProgressRules {
            clean_attempts: self.notches.clean_attempts,
            true_pieces: self.notches.true_pieces,
            true_wilson: self.notches.true_wilson,
            true_bias_share: self.notches.true_bias_share,
            even_attempts: self.notches.even_attempts,
            paced_factor: self.notches.paced_factor,
            held_days: self.notches.held_days,
            ladder: self.ladder.rung,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_shipped_data_loads_and_inch_sizes_are_exact() {
        let catalogue = Catalogue::shipped().unwrap();
        let julienne = catalogue.target("eighth", "julienne").unwrap();
        assert_eq!(julienne.thickness.unwrap().nominal().get(), 25.4 / 8.0);
        let large = catalogue.target("eighth", "large_dice").unwrap();
        assert!((large.length.unwrap().nominal().get() - 25.4 * 0.75).abs() < 1e-12);
        assert_eq!(catalogue.target("classic", "fine_julienne"), None);
    }

    #[test]
    fn another_version_of_a_file_is_refused_by_name() {
        let newer = Sources::SHIPPED.knives.replace("version = 1", "version = 2");
        let error = Catalogue::load(Sources { knives: &newer, ..Sources::SHIPPED }).unwrap_err();
        assert!(error.to_string().contains("knives.toml") && error.to_string().contains("version 2"));
    }
}
