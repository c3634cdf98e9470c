//! Segments laid out on the rule of minutes.

use serde::Serialize;

use super::on_rule::{PlannedSegment, SegmentOnRule};
use super::ways_out::WayOut;
use crate::catalogue::{Catalogue, SegmentKind};
use crate::problem::Problem;
use crate::records::StoredSegment;

/// Most minutes of a segment, and of a lesson.
pub const MAX_MINUTES: u16 = 600;

/// Most segments of a lesson.
const MAX_SEGMENTS: usize = 40;

/// Most characters of the name of a part.
const MAX_NAME: usize = 40;

/// A lesson on its rule.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct TimeRule {
    /// Minutes of the lesson.
    pub lesson_minutes: u16,
    /// Segments in order.
    pub segments: Vec<SegmentOnRule>,
    /// Minutes of all segments.
    pub total: u32,
    /// Minutes past the end; 0 if it fits.
    pub over: u32,
    /// Minutes left; 0 if it is full.
    pub spare: u32,
    /// Index of the segment in which the time runs out.
    pub over_in: Option<usize>,
    /// The state in one sentence.
    pub words: String,
    /// Ways to make it fit, the gentlest first; none if it fits.
    pub ways_out: Vec<WayOut>,
}

/// Lays segments out one after the other from minute 0.
///
/// # Errors
/// Every segment whose minutes are not 1 to 600, an exercise on a segment that is no practice, a name of more than
/// 40 characters, a lesson of other than 10 to 600 minutes, and more than 40 segments.
pub fn lay_out(catalogue: &Catalogue, lesson_minutes: u16, segments: &[PlannedSegment]) -> Result<TimeRule, Vec<Problem>> {
    let problems = check(lesson_minutes, segments);
    if !problems.is_empty() {
        return Err(problems);
    }
    let end = u32::from(lesson_minutes);
    let laid = in_a_row(catalogue, end, segments);
    let at = laid.last().map_or(0, |segment| segment.ends);
    let over = at.saturating_sub(end);
    let over_in = laid.iter().position(|segment| segment.over > 0);
    let spare = end.saturating_sub(at);
    let ways_out = if over > 0 { super::ways_out::ways_out(catalogue, segments, &laid, over) } else { Vec::new() };
    let words = match over_in.and_then(|index| laid.get(index)) {
        Some(segment) if ways_out.is_empty() => {
            format!("Runs {over} min over, in {}; nothing that may be cut is enough", segment.name)
        }
        Some(segment) => format!("Runs {over} min over, in {}", segment.name),
        None if spare == 0 => "Fills its time exactly".to_owned(),
        None => format!("Fits, {spare} min to spare"),
    };
    Ok(TimeRule { lesson_minutes, segments: laid, total: at, over, spare, over_in, words, ways_out })
}

/// How to win so many minutes back from the rest of a lesson, what costs the class least first. `rest` are the segments
/// with the minutes that they still have.
pub fn win_back(catalogue: &Catalogue, rest: &[PlannedSegment], minutes: u32) -> Vec<WayOut> {
    let all: u32 = rest.iter().map(|segment| u32::from(segment.kept.minutes)).sum();
    super::ways_out::ways_out(catalogue, rest, &in_a_row(catalogue, all.saturating_sub(minutes), rest), minutes)
}

/// Segments one after the other from minute 0; `end` is that of the lesson.
fn in_a_row(catalogue: &Catalogue, end: u32, segments: &[PlannedSegment]) -> Vec<SegmentOnRule> {
    let mut at = 0u32;
    let mut practices = 0;
    let several = segments.iter().filter(|s| s.kept.kind == SegmentKind::Practice).count() > 1;
    segments
        .iter()
        .map(|planned| {
            let starts = at;
            at += u32::from(planned.kept.minutes);
            if planned.kept.kind == SegmentKind::Practice && several {
                practices += 1;
            }
            let (name, short) = named(catalogue, &planned.kept, practices);
            SegmentOnRule {
                name,
                short,
                starts,
                ends: at,
                over: at.saturating_sub(starts.max(end)),
                short_by: u32::from(planned.needs.unwrap_or(0).saturating_sub(planned.kept.minutes)),
                gives: can_give(catalogue, planned),
                needs: planned.needs,
                basis: planned.practised.as_ref().map(|practised| practised.basis.clone()).unwrap_or_default(),
                own_minutes: planned.practised.as_ref().is_some_and(|practised| practised.own_minutes),
                kept: planned.kept.clone(),
            }
        })
        .collect()
}

/// Name and short name of a segment: the instructor's, or its kind's, numbered where several are practised.
fn named(catalogue: &Catalogue, segment: &StoredSegment, practice: usize) -> (String, String) {
    if let Some(own) = &segment.own_name {
        return (own.clone(), own.clone());
    }
    let words = catalogue.segment(segment.kind);
    let (name, short) = words.map(|words| (words.name.clone(), words.short.clone())).unwrap_or_default();
    if segment.kind == SegmentKind::Practice && practice > 0 {
        return (format!("{name} {practice}"), format!("{short} {practice}"));
    }
    (name, short)
}

/// Minutes that a segment can lose: down to its kind's least, and for practice to what its exercise needs.
fn can_give(catalogue: &Catalogue, segment: &PlannedSegment) -> u16 {
    if segment.kept.fixed {
        return 0;
    }
    let least = catalogue.segment(segment.kept.kind).map_or(1, |words| words.least);
    segment.kept.minutes.saturating_sub(least.max(segment.needs.unwrap_or(0)))
}

fn check(lesson_minutes: u16, segments: &[PlannedSegment]) -> Vec<Problem> {
    let range = |pointer: &str, name: &str, value: u16, least: i64| {
        Problem::unless_within(pointer, name, i64::from(value), least, i64::from(MAX_MINUTES))
    };
    let mut problems: Vec<Problem> = range("/minutes", "Minutes", lesson_minutes, 10).into_iter().collect();
    if segments.len() > MAX_SEGMENTS {
        problems.push(Problem::new("/segments", "Segments", segments.len(), "are too many", format!("up to {MAX_SEGMENTS}")));
        return problems;
    }
    for (index, PlannedSegment { kept, .. }) in segments.iter().enumerate() {
        problems.extend(range(&format!("/segments/{index}/minutes"), "Minutes of the segment", kept.minutes, 1));
        if let Some(name) = &kept.own_name {
            problems.extend(Problem::unless_text(&format!("/segments/{index}/own_name"), "Name of the part", name, MAX_NAME));
        }
        if let Some(exercise) = kept.exercise_id
            && kept.kind != SegmentKind::Practice
        {
            problems.push(Problem::new(
                format!("/segments/{index}/exercise_id"),
                "Exercise",
                exercise,
                "is on a segment that is no practice",
                "an exercise on a practice segment only",
            ));
        }
    }
    problems
}
