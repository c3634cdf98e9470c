//! A course's plan laid down in its lessons: which exercises go, stay and come, and their practice.

use super::course_plan::{CourseRecord, PlanQuestion, check_plan, practice_minutes};
use super::{AdviceChoice, advise, check_choice};
use crate::at_hand::AtHand;
use crate::catalogue::{Catalogue, SegmentKind};
use crate::draft::DraftBlock;
use crate::fitting::KnifeSource;
use crate::problem::Problem;
use crate::records::{Exercise, ExerciseFields, KeptWarning, Lesson, Making, StoredSegment};

/// An exercise that a plan puts into a lesson.
#[derive(Clone, Debug, PartialEq)]
pub struct NewExercise {
    /// Its fields: as proposed.
    pub fields: ExerciseFields,
    /// Warnings that go with it.
    pub kept: Vec<KeptWarning>,
    /// Stays where it is when the course is drafted again.
    pub pinned: bool,
    /// Minutes that its practice needs.
    pub minutes: u16,
}

/// What a plan changes of a lesson.
#[derive(Clone, Debug, PartialEq)]
pub struct LessonChange {
    /// Id of the lesson.
    pub lesson_id: i64,
    /// Exercises that go.
    pub gone: Vec<i64>,
    /// Exercises that stay, with their minutes and whether they are pinned now.
    pub stays: Vec<(i64, bool, u16)>,
    /// Exercises that come.
    pub new: Vec<NewExercise>,
}

impl LessonChange {
    /// The lesson's segments after the change, given the ids that the new exercises got: each practice has the
    /// minutes that it needs, and what is left is shared out up to the usual width.
    pub fn segments(&self, catalogue: &Catalogue, lesson: &Lesson, ids: &[i64]) -> Vec<StoredSegment> {
        let usual = catalogue.segment(SegmentKind::Practice).map_or(20, |segment| segment.minutes);
        let new = ids.iter().zip(&self.new).map(|(id, new)| (*id, new.minutes));
        let mut wanted: Vec<(i64, u16)> = self.stays.iter().map(|(id, _, minutes)| (*id, *minutes)).chain(new).collect();
        let mut left =
            practice_minutes(lesson).saturating_sub(wanted.iter().map(|(_, minutes)| *minutes).fold(0, u16::saturating_add));
        while let Some((_, least)) = wanted.iter_mut().filter(|(_, minutes)| *minutes < usual).min_by_key(|(_, minutes)| *minutes)
        {
            if left == 0 {
                break;
            }
            *least += 1;
            left -= 1;
        }
        let other = lesson.fields.segments.iter().filter(|segment| segment.kind != SegmentKind::Practice);
        let other: Vec<StoredSegment> = other.cloned().collect();
        let at = other.iter().position(|segment| segment.kind.follows_practice()).unwrap_or(other.len());
        let practice = wanted.into_iter().map(|(id, minutes)| StoredSegment::practice(id, minutes));
        let (before, after) = other.split_at(at);
        before.iter().cloned().chain(practice).chain(after.iter().cloned()).collect()
    }
}

/// What it takes to keep a plan: for each lesson to come, which exercises go, stay and come.
///
/// # Errors
/// As [`course_plan`]; and a technique for which no knife at hand may be taken, at its block.
pub fn lay_down(
    at_hand: &AtHand<'_>,
    record: &CourseRecord<'_>,
    blocks: &[DraftBlock],
) -> Result<Vec<LessonChange>, Vec<Problem>> {
    let question = PlanQuestion { blocks: Some(blocks.to_vec()), ..PlanQuestion::default() };
    let mut problems = check_plan(at_hand, record, &question);
    if !problems.is_empty() {
        return Err(problems);
    }
    let mut changes = Vec::new();
    for (session, lesson) in record.lessons.iter().enumerate().filter(|(_, lesson)| !record.is_held(lesson)) {
        let mut before: Vec<&Exercise> = record.exercises.iter().filter(|exercise| exercise.lesson_id == lesson.id).collect();
        let mut change = LessonChange { lesson_id: lesson.id, gone: Vec::new(), stays: Vec::new(), new: Vec::new() };
        for (index, block) in blocks.iter().enumerate().filter(|(_, block)| block.session == session) {
            let same = |exercise: &&Exercise| exercise.fields.food == block.food && exercise.fields.cut == block.cut;
            if let Some(place) = before.iter().position(same) {
                let kept = before.remove(place);
                change.stays.push((kept.id, block.pinned, minutes_of(at_hand, &AdviceChoice::from(&kept.fields))));
                continue;
            }
            match moved(at_hand, record, blocks, block).map_or_else(|| proposed(at_hand, block), Ok) {
                Ok(new) => change.new.push(new),
                Err(found) => problems.extend(found.into_iter().map(|problem| problem.under(&format!("/blocks/{index}")))),
            }
        }
        change.gone = before.iter().map(|exercise| exercise.id).collect();
        let same = change.gone.is_empty() && change.new.is_empty();
        let pins = |(id, pinned, _): &(i64, bool, u16)| {
            record.exercises.iter().any(|exercise| exercise.id == *id && exercise.pinned == *pinned)
        };
        if !same || !change.stays.iter().all(pins) {
            changes.push(change);
        }
    }
    if problems.is_empty() { Ok(changes) } else { Err(problems) }
}

/// An exercise that leaves its lesson for this block takes everything along that was chosen for it.
fn moved(at_hand: &AtHand<'_>, record: &CourseRecord<'_>, blocks: &[DraftBlock], block: &DraftBlock) -> Option<NewExercise> {
    let leaves = |exercise: &&Exercise| {
        let fields = &exercise.fields;
        let place = record.lessons.iter().position(|lesson| lesson.id == exercise.lesson_id);
        let same = |each: &DraftBlock| each.food == fields.food && each.cut == fields.cut;
        let open = place.and_then(|place| record.lessons.get(place)).is_some_and(|lesson| !record.is_held(lesson));
        open && same(block) && !blocks.iter().any(|each| Some(each.session) == place && same(each))
    };
    let fields = record.exercises.iter().find(leaves)?.fields.clone();
    let kept = check_choice(at_hand, &fields).ok()?;
    Some(NewExercise { minutes: minutes_of(at_hand, &AdviceChoice::from(&fields)), fields, kept, pinned: block.pinned })
}

/// A block as an exercise: everything that is not chosen is proposed.
fn proposed(at_hand: &AtHand<'_>, block: &DraftBlock) -> Result<NewExercise, Vec<Problem>> {
    let own_minutes = block.own_minutes;
    let choice =
        AdviceChoice { amount: block.amount, own_minutes, ..AdviceChoice::asking(&block.food, &block.cut, KnifeSource::Rack) };
    let advice = advise(at_hand, &choice)?;
    let Some(setup) = &advice.setup else {
        return Err(vec![Problem::new(
            "/cut",
            "Technique",
            &advice.title,
            "has no knife at hand",
            "a knife that fits, on the rack",
        )]);
    };
    let fields = ExerciseFields {
        food: block.food.clone(),
        cut: block.cut.clone(),
        knife_type: setup.knife_type.clone(),
        knife_length: setup.knife_length,
        grip: setup.grip,
        hold: setup.hold,
        motion: setup.motion,
        third: setup.third,
        amount: advice.amount,
        own_minutes,
        making: Making::default(),
    };
    let kept = check_choice(at_hand, &fields)?;
    Ok(NewExercise { minutes: needed(at_hand, advice.figures.minutes_needed), fields, kept, pinned: block.pinned })
}

fn minutes_of(at_hand: &AtHand<'_>, choice: &AdviceChoice) -> u16 {
    needed(at_hand, advise(at_hand, choice).ok().and_then(|advice| advice.figures.minutes_needed))
}

fn needed(at_hand: &AtHand<'_>, minutes: Option<u16>) -> u16 {
    let usual = at_hand.catalogue.segment(SegmentKind::Practice).map_or(20, |segment| segment.minutes);
    minutes.unwrap_or(usual).max(at_hand.catalogue.draft.limits.minutes)
}
