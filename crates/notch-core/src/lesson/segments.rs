//! The segments that a lesson starts with, and where practice goes.

use crate::catalogue::{Catalogue, SegmentKind};
use crate::records::StoredSegment;

/// Minutes below which a lesson is short: each segment takes its least, and knives are honed before it.
const SHORT_LESSON: u16 = 90;

/// The segments of a new lesson of so many minutes: one of each kind but practice, in their usual order and width.
pub fn first_segments(catalogue: &Catalogue, lesson_minutes: u16) -> Vec<StoredSegment> {
    let short = lesson_minutes < SHORT_LESSON;
    let kinds = catalogue.segments.iter().filter(|segment| !matches!(segment.kind, SegmentKind::Practice | SegmentKind::Own));
    kinds
        .filter(|segment| !(short && segment.kind == SegmentKind::Honing))
        .map(|segment| StoredSegment::of(segment.kind, if short { segment.least } else { segment.minutes }))
        .collect()
}

/// Minutes that practice of an exercise is given: the usual ones, or more where the exercise needs more.
pub fn minutes_for_practice(catalogue: &Catalogue, needs: Option<u16>) -> u16 {
    let usual = catalogue.segment(SegmentKind::Practice).map_or(20, |segment| segment.minutes);
    needs.unwrap_or(usual).max(usual)
}

/// Puts a practice segment for an exercise into a lesson: after the last practice, or else before
/// measuring. It gets the usual minutes, or more where the exercise needs more.
pub fn with_practice_for(
    catalogue: &Catalogue,
    segments: &[StoredSegment],
    exercise_id: i64,
    needs: Option<u16>,
) -> Vec<StoredSegment> {
    let new = StoredSegment::practice(exercise_id, minutes_for_practice(catalogue, needs));
    let mut segments = segments.to_vec();
    if let Some(empty) = segments.iter_mut().find(|s| s.kind == SegmentKind::Practice && s.exercise_id.is_none()) {
        *empty = new;
        return segments;
    }
    let after_practice = segments.iter().rposition(|s| s.kind == SegmentKind::Practice).map(|index| index + 1);
    let before_end = segments.iter().position(|segment| segment.kind.follows_practice());
    let at = after_practice.or(before_end).unwrap_or(segments.len());
    segments.insert(at, new);
    segments
}
