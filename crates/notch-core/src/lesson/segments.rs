//! The segments that a lesson starts with, and where practice goes.

use crate::catalogue::{Catalogue, SegmentKind};
use crate::records::StoredSegment;

/// Minutes below which a lesson is short: each segment takes its least, and knives are honed before it.
const SHORT_LESSON: u16 = 90;

/// The segments of a new lesson of so many minutes: one of each kind but practice, in their usual order and width.
pub fn first_segments(catalogue: &Catalogue, lesson_minutes: u16) -> Vec<StoredSegment> {
    let short = lesson_minutes < SHORT_LESSON;
    let kinds = catalogue.segments.iter().filter(|segment| segment.kind != SegmentKind::Practice);
    kinds
        .filter(|segment| !(short && segment.kind == SegmentKind::Honing))
        .map(|segment| StoredSegment {
            kind: segment.kind,
            minutes: if short { segment.least } else { segment.minutes },
            exercise_id: None,
        })
        .collect()
}

/// Puts a practice segment for an exercise into a lesson: after the last practice, or else before
/// measuring. It gets the usual minutes, or more where the exercise needs more.
pub fn with_practice_for(
    catalogue: &Catalogue,
    segments: &[StoredSegment],
    exercise_id: i64,
    needs: Option<u16>,
) -> Vec<StoredSegment> {
    let usual = catalogue.segment(SegmentKind::Practice).map_or(20, |segment| segment.minutes);
    let new =
        StoredSegment { kind: SegmentKind::Practice, minutes: needs.unwrap_or(usual).max(usual), exercise_id: Some(exercise_id) };
    let mut segments = segments.to_vec();
    if let Some(empty) = segments.iter_mut().find(|s| s.kind == SegmentKind::Practice && s.exercise_id.is_none()) {
        *empty = new;
        return segments;
    }
    let after_practice = segments.iter().rposition(|s| s.kind == SegmentKind::Practice).map(|index| index + 1);
    let before_end = segments.iter().position(|segment| segment.kind > SegmentKind::Practice);
    let at = after_practice.or(before_end).unwrap_or(segments.len());
    segments.insert(at, new);
    segments
}
