//! Segments laid out on the rule of minutes.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Catalogue, SegmentKind};
use crate::problem::Problem;

/// Most minutes of a segment, and of a lesson.
pub const MAX_MINUTES: u16 = 600;

/// Most segments of a lesson.
const MAX_SEGMENTS: usize = 40;

/// A stretch of the lesson as it is planned.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PlannedSegment {
    /// What it is for.
    pub kind: SegmentKind,
    /// Minutes given to it.
    pub minutes: u16,
    /// The exercise that is practised in it, by id; only for practice.
    pub exercise_id: Option<i64>,
    /// Minutes that its exercise needs, where that is known.
    #[serde(default)]
    pub needs: Option<u16>,
}

/// A segment in its place on the rule.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SegmentOnRule {
    /// The segment as planned.
    #[serde(flatten)]
    pub planned: PlannedSegment,
    /// Name, e.g. `Practice`.
    pub name: String,
    /// Name for a narrow segment.
    pub short: String,
    /// Minute at which it starts.
    pub starts: u32,
    /// Minute at which it ends.
    pub ends: u32,
    /// Minutes of it that lie past the end of the lesson.
    pub over: u32,
    /// Minutes that its exercise needs more than it has.
    pub short_by: u32,
}

/// A change that makes the lesson fit.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WayOut {
    /// The change in one sentence.
    pub words: String,
    /// Minutes of every segment after the change, in order.
    pub minutes: Vec<u16>,
}

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
/// Every segment whose minutes are not 1 to 600, an exercise on a segment that is no practice, a
/// lesson of other than 10 to 600 minutes, and more than 40 segments.
pub fn lay_out(catalogue: &Catalogue, lesson_minutes: u16, segments: &[PlannedSegment]) -> Result<TimeRule, Vec<Problem>> {
    let problems = check(lesson_minutes, segments);
    if !problems.is_empty() {
        return Err(problems);
    }
    let end = u32::from(lesson_minutes);
    let mut at = 0u32;
    let mut practices = 0;
    let several = segments.iter().filter(|s| s.kind == SegmentKind::Practice).count() > 1;
    let laid: Vec<SegmentOnRule> = segments
        .iter()
        .map(|planned| {
            let starts = at;
            at += u32::from(planned.minutes);
            let words = catalogue.segment(planned.kind);
            let mut name = words.map_or_else(String::new, |w| w.name.clone());
            let mut short = words.map_or_else(String::new, |w| w.short.clone());
            if planned.kind == SegmentKind::Practice && several {
                practices += 1;
                name = format!("{name} {practices}");
                short = format!("{short} {practices}");
            }
            SegmentOnRule {
                name,
                short,
                starts,
                ends: at,
                over: at.saturating_sub(starts.max(end)),
                short_by: u32::from(planned.needs.unwrap_or(0).saturating_sub(planned.minutes)),
                planned: planned.clone(),
            }
        })
        .collect();
    let over = at.saturating_sub(end);
    let over_in = laid.iter().position(|segment| segment.over > 0);
    let spare = end.saturating_sub(at);
    let words = match over_in.and_then(|index| laid.get(index)) {
        Some(segment) => format!("Runs {over} min over, in {}", segment.name),
        None if spare == 0 => "Fills its time exactly".to_owned(),
        None => format!("Fits, {spare} min to spare"),
    };
    let ways_out = ways_out(catalogue, &laid, over);
    Ok(TimeRule { lesson_minutes, segments: laid, total: at, over, spare, over_in, words, ways_out })
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
    for (index, segment) in segments.iter().enumerate() {
        problems.extend(range(&format!("/segments/{index}/minutes"), "Minutes of the segment", segment.minutes, 1));
        if let Some(exercise) = segment.exercise_id
            && segment.kind != SegmentKind::Practice
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

/// Ways to save `over` minutes: all from one segment that can give them, then a little from each.
fn ways_out(catalogue: &Catalogue, segments: &[SegmentOnRule], over: u32) -> Vec<WayOut> {
    if over == 0 {
        return Vec::new();
    }
    let minutes: Vec<u16> = segments.iter().map(|s| s.planned.minutes).collect();
    let gives: Vec<u16> = segments.iter().map(|segment| can_give(catalogue, segment)).collect();
    let changed = |changes: &[(usize, u16)]| {
        let mut after = minutes.clone();
        for &(index, less) in changes {
            if let Some(minutes) = after.get_mut(index) {
                *minutes = minutes.saturating_sub(less);
            }
        }
        after
    };
    let mut ways: Vec<(u16, WayOut)> = Vec::new();
    for (index, segment) in segments.iter().enumerate() {
        let Ok(less) = u16::try_from(over) else { continue };
        let left = minutes.get(index).copied().unwrap_or(0);
        if gives.get(index).is_some_and(|give| *give >= less) {
            let words = format!("Take {less} min from {}", segment.name);
            ways.push((left, WayOut { words, minutes: changed(&[(index, less)]) }));
        }
    }
    ways.sort_by_key(|(left, _)| std::cmp::Reverse(*left));
    let mut ways: Vec<WayOut> = ways.into_iter().map(|(_, way)| way).take(3).collect();
    if let Some(changes) = spread_over(&gives, over) {
        let told: Vec<String> =
            changes.iter().filter_map(|(index, less)| segments.get(*index).map(|s| format!("{less} from {}", s.name))).collect();
        if told.len() > 1 {
            ways.push(WayOut { words: format!("A little from several: {}", told.join(", ")), minutes: changed(&changes) });
        }
    }
    ways
}

/// Minutes that a segment can lose: down to its kind's least, and for practice to what its exercise needs.
fn can_give(catalogue: &Catalogue, segment: &SegmentOnRule) -> u16 {
    let least = catalogue.segment(segment.planned.kind).map_or(1, |words| words.least);
    segment.planned.minutes.saturating_sub(least.max(segment.planned.needs.unwrap_or(0)))
}

/// Takes minutes one by one from whichever segment can still give most; `None` if they cannot give enough.
fn spread_over(gives: &[u16], over: u32) -> Option<Vec<(usize, u16)>> {
    if gives.iter().map(|give| u32::from(*give)).sum::<u32>() < over {
        return None;
    }
    let mut left = gives.to_vec();
    for _ in 0..over {
        let most = left.iter_mut().max_by_key(|give| **give)?;
        *most = most.saturating_sub(1);
    }
    let changes = gives.iter().zip(left).enumerate().map(|(index, (give, left))| (index, give - left));
    Some(changes.filter(|(_, less)| *less > 0).collect())
}
