//! The quiet view for a wall screen: the cut at true size, its steps, three cautions. No names.

use serde::Serialize;

use super::bench::{BenchQuestion, bench_view};
use super::plan::PlannedExercise;
use super::station::ClassInput;
use crate::carry::CutErrors;
use crate::catalogue::Target;
use crate::records::{Exercise, KeptRotation};
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;
use crate::words::capital;

/// So many are read from six metres.
const CAUTIONS: usize = 3;

/// A step of the cut.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WallStep {
    /// What is done.
    pub title: String,
    /// To which size.
    pub size: Option<Millimetres>,
}

/// A caution as it is read from far.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WallCaution {
    /// First words.
    pub title: Text,
    /// The rest.
    pub text: Text,
}

/// What the wall shows of a class.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WallView {
    /// Title of the lesson.
    pub lesson: String,
    /// Round of the rotation that is on, or comes next; none where none was announced or all are over.
    pub round: Option<u16>,
    /// Rounds that were announced.
    pub rounds: u16,
    /// The exercise that most work at, else the one that comes next; none where the lesson has none.
    pub exercise: Option<String>,
    /// Its id.
    pub exercise_id: Option<i64>,
    /// Its sizes.
    pub target: Target,
    /// Knife, grip, hold, motion and part of the blade.
    pub setup: String,
    /// Steps in order.
    pub steps: Vec<WallStep>,
    /// Three at most, the gravest first.
    pub cautions: Vec<WallCaution>,
    /// The limits of the advice, in words.
    pub disclaimer: String,
}

/// Works out the wall, with the rotation that was announced.
pub fn wall_view(input: &ClassInput<'_>, kept: &KeptRotation) -> WallView {
    let here = || input.attempts.iter().filter(|attempt| attempt.lesson_id == input.lesson.id);
    let at_work = |id: i64| here().filter(|attempt| attempt.stopped_at.is_none() && attempt.exercise_id == id).count();
    let tried = |student: i64, exercise: i64| {
        here().any(|attempt| attempt.student_id == student && attempt.exercise_id == exercise && attempt.stopped_at.is_some())
    };
    let to_come = kept
        .announced
        .iter()
        .filter(|turn| !kept.fields.absent.contains(&turn.student_id) && !tried(turn.student_id, turn.exercise_id));
    let next = to_come.min_by_key(|turn| turn.round);
    let most = input.exercises.iter().rev().max_by_key(|planned| at_work(planned.exercise.id));
    let busy = most.filter(|planned| at_work(planned.exercise.id) > 0);
    let of_round = next.and_then(|turn| input.exercises.iter().find(|planned| planned.exercise.id == turn.exercise_id));
    let asked = input.exercise_id.and_then(|id| input.exercises.iter().find(|planned| planned.exercise.id == id));
    let shown = busy.or(of_round).or(asked).or(input.exercises.first());
    let advice = shown.and_then(|planned| planned.advice.as_ref());
    WallView {
        lesson: input.lesson.fields.title.clone(),
        round: next.map(|turn| turn.round),
        rounds: kept.announced.iter().map(|turn| turn.round).max().unwrap_or(0),
        exercise: advice.map(|advice| advice.title.clone()),
        exercise_id: shown.map(|planned| planned.exercise.id),
        target: advice.map(|advice| advice.target).unwrap_or_default(),
        setup: advice
            .and_then(|advice| advice.setup.as_ref())
            .map_or_else(String::new, |setup| format!("{} · {}", setup.knife_name, setup.words)),
        steps: shown.map(|planned| steps(input, planned)).unwrap_or_default(),
        cautions: shown.map(|planned| cautions(input, planned)).unwrap_or_default(),
        disclaimer: input.at_hand.catalogue.disclaimer.clone(),
    }
}

/// The steps of the chain; of work that has none the one sentence of how it is done.
fn steps(input: &ClassInput<'_>, planned: &PlannedExercise) -> Vec<WallStep> {
    let of_chain = bench_view(&input.at_hand, &question(&planned.exercise)).map(|view| view.steps).unwrap_or_default();
    if !of_chain.is_empty() {
        return of_chain.into_iter().map(|step| WallStep { title: step.title, size: step.size }).collect();
    }
    let (fields, catalogue) = (&planned.exercise.fields, input.at_hand.catalogue);
    let told = catalogue.food(&fields.food).zip(catalogue.cut(&fields.cut)).map(|(food, cut)| cut.told_of(food).1.to_owned());
    told.into_iter().map(|title| WallStep { title, size: None }).collect()
}

fn question(exercise: &Exercise) -> BenchQuestion {
    let fields = exercise.fields.clone();
    BenchQuestion {
        food: fields.food,
        cut: fields.cut,
        shape: None,
        thickness: fields.making.thickness,
        width: fields.making.width,
        length: fields.making.length,
        good: 1,
        success: 1.0,
        errors: CutErrors::default(),
        produce: fields.making.produce,
        peel: fields.making.peel,
        wedges: None,
        onward: 0,
        price: None,
        knife_type: Some(fields.knife_type),
        knife_length: Some(fields.knife_length),
        way: fields.making.way,
    }
}

/// The gravest of the cut, then what holds for every knife. Whom one is about is nobody's business on a wall.
fn cautions(input: &ClassInput<'_>, planned: &PlannedExercise) -> Vec<WallCaution> {
    let of_cut = planned.advice.iter().flat_map(|advice| &advice.cautions).filter(|caution| caution.students.is_empty());
    let of_cut = of_cut.map(|caution| WallCaution { title: caution.title.clone(), text: caution.text.clone() });
    let general = input.at_hand.catalogue.faults.iter().filter(|fault| fault.on_card);
    let general = general.map(|fault| WallCaution { title: text![capital(&fault.name), ":"], text: fault.cue.clone().into() });
    of_cut.chain(general).take(CAUTIONS).collect()
}
