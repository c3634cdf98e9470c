//! Everyday jobs, asked from outside and answered as the screens answer them, in a made-up school.

use std::collections::BTreeMap;

use jiff::tz::TimeZone;
use serde::{Deserialize, Serialize};
use serde_json::Value;

use super::{AdviceChoice, advise, matrix};
use crate::at_hand::AtHand;
use crate::catalogue::{BoardMaterial, Catalogue, Doctrines, Grip, Hold, Motion, Third};
use crate::fitting::KnifeSource;
use crate::geometry::Way;
use crate::people::{AgeBand, Hand, HandSize, Pace};
use crate::problem::Problem;
use crate::records::{Amount, Course, CourseFields, Making, Student, StudentFields};
use crate::resources::Resources;
use crate::units::Millimetres;

/// Jobs as they come in a file. What a job says beside the question is left alone.
#[derive(Clone, Debug, Deserialize)]
pub struct AskedJobs {
    /// The jobs.
    pub jobs: Vec<AskedJob>,
}

/// A job that is asked.
#[derive(Clone, Debug, Deserialize)]
pub struct AskedJob {
    /// Id, given back with the answer.
    pub id: String,
    /// Id of the food.
    pub food: String,
    /// Id of the cut.
    pub cut: String,
    /// What differs from the made-up school.
    #[serde(default)]
    pub condition: Option<Condition>,
    /// How much, where figures are asked for.
    #[serde(default)]
    pub figures: Option<AskedFigures>,
}

/// What differs from the made-up school.
#[derive(Clone, Debug, Default, Deserialize)]
#[serde(default)]
pub struct Condition {
    /// Who the course is for.
    pub age_band: Option<AgeBand>,
    /// Doctrines that differ from our defaults, by question.
    pub schools: BTreeMap<String, String>,
    /// One student that is asked about.
    pub student: Option<OneStudent>,
    /// Allergies in the class.
    pub class_allergies: Vec<String>,
}

/// The student that is asked about.
#[derive(Clone, Copy, Debug, Deserialize)]
pub struct OneStudent {
    hand: Hand,
    hand_size: HandSize,
    clearance: Millimetres,
    special: bool,
}

/// How much is cut, and how.
#[derive(Clone, Copy, Debug, Deserialize)]
pub struct AskedFigures {
    amount: Amount,
    #[serde(default)]
    way: Option<Way>,
    #[serde(default)]
    peeled: Option<bool>,
}

/// Answers as they are written to a file.
#[derive(Clone, Debug, Serialize)]
pub struct JobAnswers {
    /// One for each job, in order.
    pub answers: Vec<JobAnswer>,
}

/// The answer to a job.
#[derive(Clone, Debug, Default, Serialize)]
pub struct JobAnswer {
    /// Id of the job.
    pub id: String,
    /// What is not known: `food x`, `cut y`.
    pub unknown: Vec<String>,
    /// Taught as a cut of this food.
    pub taught: bool,
    /// Offered in the matrix, or in Plan.
    pub offered: bool,
    /// Why not, in words.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub error: Option<String>,
    /// Each type, the best first.
    pub knives: Vec<AnsweredKnife>,
    /// What leads.
    pub first: Option<AnsweredSetup>,
    /// Each grip for what leads: `open` or `refused`.
    pub grips: BTreeMap<&'static str, &'static str>,
    /// Ids of the cautions.
    pub cautions: Vec<String>,
    /// Figures.
    pub figures: AnsweredFigures,
}

/// A type of knife in an answer.
#[derive(Clone, Debug, Serialize)]
pub struct AnsweredKnife {
    /// Id of the type.
    #[serde(rename = "type")]
    pub knife_type: String,
    /// 0 to 100.
    pub score: u8,
    /// May not be taken.
    pub refused: bool,
    /// Its best motion.
    pub motion: Motion,
}

/// What leads.
#[derive(Clone, Debug, Serialize)]
pub struct AnsweredSetup {
    /// Id of the type.
    pub knife: String,
    /// Motion.
    pub motion: Motion,
    /// Grip.
    pub grip: Grip,
    /// Hold.
    pub hold: Hold,
    /// Part of the blade.
    pub third: Third,
}

/// Figures of an answer.
#[derive(Clone, Debug, Default, Serialize)]
pub struct AnsweredFigures {
    /// Pieces that one unit gives.
    pub pieces_per_unit: Option<u32>,
    /// Units to buy, with one to show and spare.
    pub units_total: Option<u32>,
    /// Grams of one unit as bought.
    pub grams_per_unit: Option<f64>,
    /// Why pieces are not counted.
    pub why_none: Option<String>,
}

/// Answers jobs in a made-up school: adults, our default doctrines, eighth-based standards, fourteen right-handed
/// students of medium hands cleared for everything, unless the job says otherwise. Children have small hands, are
/// cleared to 130 mm, measure in millimetres and cut nothing towards themselves.
pub fn answer_jobs(catalogue: &Catalogue, asked: &AskedJobs) -> JobAnswers {
    JobAnswers { answers: asked.jobs.iter().map(|job| answer_job(catalogue, job)).collect() }
}

fn answer_job(catalogue: &Catalogue, job: &AskedJob) -> JobAnswer {
    let known = [("food", &job.food, catalogue.food(&job.food).is_some()), ("cut", &job.cut, catalogue.cut(&job.cut).is_some())];
    let unknown: Vec<String> =
        known.into_iter().filter(|(_, _, known)| !known).map(|(what, id, _)| format!("{what} {id}")).collect();
    let empty = JobAnswer { id: job.id.clone(), unknown, ..JobAnswer::default() };
    if !empty.unknown.is_empty() {
        return empty;
    }
    let condition = job.condition.clone().unwrap_or_default();
    let found = made_up_course(&condition).and_then(|course| {
        let students = made_up_class(&condition);
        let at_hand = AtHand { catalogue, course: &course, students: &students, knives: &[] };
        in_words(&at_hand, job, empty.clone())
    });
    found.unwrap_or_else(|problems| {
        let error = problems.iter().map(|problem| problem.message.clone()).collect::<Vec<_>>().join(" ");
        JobAnswer { error: Some(error), ..empty }
    })
}

fn in_words(at_hand: &AtHand<'_>, job: &AskedJob, empty: JobAnswer) -> Result<JobAnswer, Vec<Problem>> {
    // The one that is asked about stands last in the class.
    let one = job.condition.as_ref().and_then(|condition| condition.student);
    let student = one.and_then(|_| at_hand.students.last());
    let table = matrix(at_hand, Some(&job.food), KnifeSource::Types, student, false)?;
    let in_table = table.rows.iter().any(|row| row.cut == job.cut && row.taught);
    let advice = advise(at_hand, &choice(at_hand.catalogue, job, student.map(|student| student.id)))?;
    let some = advice.knives.iter().any(|knife| !knife.fit.refused);
    let knives = advice.knives.iter().map(|knife| AnsweredKnife {
        knife_type: knife.knife_type.clone(),
        score: knife.fit.score,
        refused: knife.fit.refused,
        motion: knife.motion,
    });
    let first = advice.setup.as_ref().filter(|_| some).map(|setup| AnsweredSetup {
        knife: setup.knife_type.clone(),
        motion: setup.motion,
        grip: setup.grip,
        hold: setup.hold,
        third: setup.third,
    });
    let open = |refused: bool| if refused { "refused" } else { "open" };
    let units = advice.figures.units_total;
    Ok(JobAnswer {
        taught: in_table && advice.taught && some,
        offered: in_table || advice.taught && some && !advice.refused,
        knives: knives.collect(),
        first,
        grips: advice.grips.iter().map(|grip| (grip.value.word(), open(grip.fit.refused))).collect(),
        cautions: advice.cautions.iter().map(|caution| caution.id.clone()).collect(),
        figures: AnsweredFigures {
            pieces_per_unit: advice.figures.pieces_per_unit,
            units_total: Some(units),
            grams_per_unit: (units > 0).then(|| advice.figures.grams_total / f64::from(units)),
            why_none: advice.figures.no_count.clone(),
        },
        ..empty
    })
}

fn choice(catalogue: &Catalogue, job: &AskedJob, student: Option<i64>) -> AdviceChoice {
    let figures = job.figures;
    let peel = figures.and_then(|figures| figures.peeled).and_then(|peeled| {
        let peel = catalogue.food(&job.food).map(|food| food.peel)?;
        Some(if peeled { peel } else { Millimetres::ZERO })
    });
    AdviceChoice {
        amount: figures.map(|figures| figures.amount),
        making: Making { way: figures.and_then(|figures| figures.way).unwrap_or_default(), peel, ..Making::default() },
        student,
        ..AdviceChoice::asking(&job.food, &job.cut, KnifeSource::Types)
    }
}

fn is_child(condition: &Condition) -> bool {
    condition.age_band == Some(AgeBand::Child)
}

/// The course that a condition asks for.
///
/// # Errors
/// A question or a doctrine that is not known.
fn made_up_course(condition: &Condition) -> Result<Course, Vec<Problem>> {
    let child = is_child(condition);
    let mut schools = BTreeMap::new();
    if child {
        schools.insert("towards_self".to_owned(), "never".to_owned());
    }
    schools.extend(condition.schools.clone());
    let doctrines: Doctrines = serde_json::from_value(Value::from_iter(schools)).map_err(|error| {
        vec![Problem::new("/condition/schools", "Schools", "", error.to_string(), "questions and doctrines of the catalogue")]
    })?;
    let fields = CourseFields {
        name: "Made-up course".to_owned(),
        school: "Made-up school".to_owned(),
        place: "kitchen".to_owned(),
        age_band: condition.age_band.unwrap_or(AgeBand::Adult),
        pace: Pace::Learner,
        standard_set: if child { "metric" } else { "eighth" }.to_owned(),
        tolerance: if child { "home" } else { "school" }.to_owned(),
        time_zone: TimeZone::UTC.iana_name().unwrap_or("Etc/UTC").to_owned(),
        lesson_minutes: 110,
        boards: 16,
        board_material: BoardMaterial::Wood,
        resources: Resources::default(),
        doctrines,
        briefing_first: false,
    };
    Ok(Course { id: 1, version: 1, fields })
}

fn made_up_class(condition: &Condition) -> Vec<Student> {
    let child = is_child(condition);
    let usual = OneStudent {
        hand: Hand::Right,
        hand_size: if child { HandSize::Small } else { HandSize::Medium },
        clearance: Millimetres::whole(if child { 130 } else { 400 }),
        special: !child,
    };
    let student = |(id, one): (i64, OneStudent)| Student {
        person_id: id,
        id,
        course_id: 1,
        version: 1,
        archived: false,
        fields: StudentFields {
            name: format!("Student {id}"),
            station: u16::try_from(id).unwrap_or(u16::MAX),
            hand: one.hand,
            hand_size: one.hand_size,
            clearance: one.clearance,
            special_clearance: one.special,
            allergies: if id == 1 { condition.class_allergies.clone() } else { Vec::new() },
            notes: String::new(),
        },
    };
    let usual = std::iter::repeat_n(usual, 14);
    (1..).zip(usual.chain(condition.student)).map(student).collect()
}
