//! The class as it runs: stations, knives, attempts.

use jiff::civil::Date;
use serde::Serialize;

use super::advice::{Advice, School};
use super::plan::PlannedExercise;
use super::yard::standing_of;
use crate::catalogue::{Catalogue, CutFamily, FaultSeverity};
use crate::measure::SampleCustom;
use crate::progress::{AttemptEvidence, pieces_as_evidence};
use crate::records::{Attempt, Course, Incident, Knife, Lesson, Student, check_start};
use crate::units::Millimetres;

/// An exercise as Class needs it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassExercise {
    /// Id.
    pub id: i64,
    /// `Julienne of carrot`.
    pub title: String,
    /// `3.2 × 3.2 × 50`.
    pub size: String,
    /// `pinch · claw · push cut · heel third`.
    pub setup: String,
    /// What to measure of each piece, in the order to type it.
    pub columns: Vec<String>,
    /// Seconds of the reference pace.
    pub reference_seconds: Option<f64>,
}

/// A knife that can be handed out.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassKnife {
    /// Id.
    pub id: i64,
    /// `Flat chef's 210, no. 9`.
    pub name: String,
    /// Blade length.
    pub length: Millimetres,
    /// Student who has it in a running attempt.
    pub in_use_by: Option<i64>,
}

/// One station with its student.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Station {
    /// The student.
    pub student: Student,
    /// The attempt that runs.
    pub running: Option<Attempt>,
    /// Attempts of this lesson, the latest last.
    pub attempts: Vec<Attempt>,
    /// Ids of the knives that this student may be handed, the best for the exercise first.
    pub knives: Vec<i64>,
    /// Why this student wants watching.
    pub watch: Vec<String>,
    /// Paused after a Stop fault in the latest attempt.
    pub paused: bool,
}

/// Everything that Class shows of a lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ClassView {
    /// The course.
    pub course: Course,
    /// The lesson.
    pub lesson: Lesson,
    /// Exercises.
    pub exercises: Vec<ClassExercise>,
    /// The exercise that stations and knives are shown for.
    pub exercise_id: Option<i64>,
    /// Stations in order.
    pub stations: Vec<Station>,
    /// Knives by id.
    pub knives: Vec<ClassKnife>,
    /// What went wrong in this lesson.
    pub incidents: Vec<Incident>,
    /// What to do when somebody is cut.
    pub first_aid: String,
    /// The limits of the advice, in words.
    pub disclaimer: String,
}

/// What the class view is made from.
#[derive(Clone, Copy, Debug)]
pub struct ClassInput<'a> {
    /// What the course has at hand.
    pub school: School<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises with their advice.
    pub exercises: &'a [PlannedExercise],
    /// Attempts of the whole course, in the order of time.
    pub attempts: &'a [Attempt],
    /// Incidents of the course.
    pub incidents: &'a [Incident],
    /// Exercise asked for; the first one otherwise.
    pub exercise_id: Option<i64>,
    /// Day by the school's clock.
    pub today: Date,
}

/// Works out the class.
pub fn class_view(input: &ClassInput<'_>) -> ClassView {
    let current = input
        .exercise_id
        .and_then(|id| input.exercises.iter().find(|planned| planned.exercise.id == id))
        .or(input.exercises.first());
    let advice = current.and_then(|planned| planned.advice.as_ref());
    let running = |knife: &Knife| input.attempts.iter().find(|a| a.stopped_at.is_none() && a.knife_id == knife.id);
    let knives = input.school.knives.iter().map(|knife| ClassKnife {
        id: knife.id,
        name: knife_name(input.school.catalogue, knife),
        length: knife.fields.length,
        in_use_by: running(knife).map(|attempt| attempt.student_id),
    });
    ClassView {
        course: input.school.course.clone(),
        lesson: input.lesson.clone(),
        exercises: input.exercises.iter().map(|planned| class_exercise(input, planned)).collect(),
        exercise_id: current.map(|planned| planned.exercise.id),
        stations: input.school.students.iter().map(|student| station(input, student, advice)).collect(),
        knives: knives.collect(),
        incidents: input.incidents.iter().filter(|i| i.lesson_id == input.lesson.id).cloned().collect(),
        first_aid: input.school.catalogue.first_aid.clone(),
        disclaimer: input.school.catalogue.disclaimer.clone(),
    }
}

fn knife_name(catalogue: &Catalogue, knife: &Knife) -> String {
    let short = catalogue.knife(&knife.fields.knife_type).map_or("Knife", |kind| kind.short.as_str());
    format!("{short} {}, no. {}", knife.fields.length, knife.fields.number)
}

/// Seconds of the reference pace for the set amount; none where strokes are not counted.
pub fn reference_seconds(advice: &Advice) -> Option<f64> {
    advice.figures.minutes_each.filter(|minutes| *minutes > 0.0).map(|minutes| minutes * 60.0)
}

fn class_exercise(input: &ClassInput<'_>, planned: &PlannedExercise) -> ClassExercise {
    let fields = &planned.exercise.fields;
    let catalogue = input.school.catalogue;
    let family = catalogue.cut(&fields.cut).map(|cut| cut.family);
    let columns: &[&str] = match family {
        Some(CutFamily::Strips) => &["thickness", "width", "length", "far width"],
        Some(CutFamily::Dice) => &["thickness", "width", "length"],
        Some(CutFamily::Slices | CutFamily::Chop | CutFamily::Hand) | None => &["thickness"],
    };
    let advice = planned.advice.as_ref();
    ClassExercise {
        id: planned.exercise.id,
        title: advice.map_or_else(|| format!("{} of {}", fields.cut, fields.food), |advice| advice.title.clone()),
        size: advice.map_or_else(String::new, |advice| advice.size.clone()),
        setup: advice
            .and_then(|a| a.setup.as_ref())
            .map_or_else(String::new, |setup| format!("{} · {}", setup.knife_name, setup.words)),
        columns: columns.iter().map(ToString::to_string).collect(),
        reference_seconds: advice.and_then(reference_seconds),
    }
}

fn has_stop(catalogue: &Catalogue, attempt: &Attempt) -> bool {
    let severity = |id: &String| catalogue.fault(id).map(|fault| fault.severity);
    attempt.marks.faults.iter().any(|id| severity(id) == Some(FaultSeverity::Stop))
}

fn station(input: &ClassInput<'_>, student: &Student, advice: Option<&Advice>) -> Station {
    let catalogue = input.school.catalogue;
    let attempts: Vec<Attempt> = input
        .attempts
        .iter()
        .filter(|attempt| attempt.student_id == student.id && attempt.lesson_id == input.lesson.id)
        .cloned()
        .collect();
    let latest = attempts.last();
    let paused = latest.is_some_and(|attempt| attempt.stopped_at.is_some() && has_stop(catalogue, attempt));
    Station {
        running: latest.filter(|attempt| attempt.stopped_at.is_none()).cloned(),
        knives: knives_for(input, student, advice),
        watch: watch(input, student, advice),
        paused,
        student: student.clone(),
        attempts,
    }
}

/// Knives that may be handed to a student, best fit first, then the longest that is cleared.
fn knives_for(input: &ClassInput<'_>, student: &Student, advice: Option<&Advice>) -> Vec<i64> {
    let fit_of = |knife: &Knife| {
        let choice = advice?.knives.iter().find(|choice| choice.sharp && choice.numbers.contains(&knife.fields.number))?;
        (!choice.fit.refused).then_some(choice.fit.score)
    };
    let allowed = |knife: &&Knife| {
        let special = input.school.catalogue.knife(&knife.fields.knife_type).is_some_and(|kind| kind.special);
        check_start(student, knife, special).is_empty()
    };
    let mut knives: Vec<(u8, &Knife)> =
        input.school.knives.iter().filter(allowed).filter_map(|knife| Some((fit_of(knife)?, knife))).collect();
    knives.sort_by(|a, b| {
        b.0.cmp(&a.0).then(b.1.fields.length.get().total_cmp(&a.1.fields.length.get())).then(a.1.id.cmp(&b.1.id))
    });
    knives.into_iter().map(|(_, knife)| knife.id).collect()
}

fn watch(input: &ClassInput<'_>, student: &Student, advice: Option<&Advice>) -> Vec<String> {
    let mut reasons = Vec::new();
    let mine: Vec<&Attempt> = input.attempts.iter().filter(|attempt| attempt.student_id == student.id).collect();
    let standing = standing_of(&input.school, student, &mine, input.today);
    if let Some(rule) = standing.strands.iter().find(|rule| rule.has_lapsed()) {
        reasons.push(format!("safe first: {}", rule.strand.name()));
    }
    let longest_used = mine
        .iter()
        .filter_map(|attempt| input.school.knives.iter().find(|knife| knife.id == attempt.knife_id))
        .map(|knife| knife.fields.length)
        .reduce(Millimetres::longer);
    let clearance = student.fields.clearance;
    if let Some(setup) = advice.and_then(|advice| advice.setup.as_ref()) {
        let planned = setup.knife_length;
        if planned > clearance {
            reasons.push(format!("only to {clearance} mm"));
        } else if longest_used.is_none_or(|used| used < planned) {
            reasons.push(format!("first {planned} mm"));
        }
    }
    if advice.is_some_and(|advice| advice.cautions.iter().any(|c| c.id == "allergy" && c.text.contains(&student.fields.name))) {
        reasons.push("allergy to this food".to_owned());
    }
    reasons
}

/// The finished attempts of one student as evidence, in the order of time. An attempt at hand work
/// counts for no strand and is left out.
pub fn evidence_of(catalogue: &Catalogue, attempts: &[&Attempt]) -> Vec<AttemptEvidence> {
    attempts
        .iter()
        .filter(|attempt| attempt.stopped_at.is_some())
        .filter_map(|attempt| {
            let blind = attempt.samples.iter().filter(|sample| sample.custom == SampleCustom::BlindTen);
            Some(AttemptEvidence {
                id: attempt.id,
                on: attempt.on_day,
                strand: attempt.strand?,
                cut: attempt.cut.clone(),
                stop_fault: has_stop(catalogue, attempt),
                grip_ticked: attempt.marks.grip_ticked,
                hold_ticked: attempt.marks.hold_ticked,
                cv: blind.clone().next_back().and_then(|sample| sample.verdict.cv),
                pieces: blind.flat_map(|sample| pieces_as_evidence(&sample.verdict)).collect(),
                even_cv: attempt.tolerance.even_cv,
                seconds: attempt.seconds,
                reference_seconds: attempt.reference_seconds,
            })
        })
        .collect()
}
