//! What to drop first when a lesson runs over, and why.

use serde::Serialize;

use super::on_rule::{PlannedSegment, SegmentOnRule};
use crate::catalogue::{Catalogue, LessonSegment};
use crate::records::{Amount, StoredSegment};

/// Most ways in which one segment gives all.
const MOST_SINGLE: usize = 3;

/// A change that makes the lesson fit.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WayOut {
    /// The change in one sentence.
    pub words: String,
    /// Why that can go, or what it costs.
    pub reason: String,
    /// The segments after the change, in order.
    pub segments: Vec<StoredSegment>,
    /// Minutes of each segment as they stood before the change; none where it is left out.
    #[serde(skip)]
    pub minutes: Vec<u16>,
    /// Exercises of which each student cuts less.
    pub fewer: Vec<FewerOf>,
    /// Exercises that are left out, by id.
    pub leave_out: Vec<i64>,
}

/// An exercise of which each student cuts another amount.
#[derive(Clone, Debug, PartialEq, Eq, Serialize, serde::Deserialize)]
#[serde(deny_unknown_fields)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct FewerOf {
    /// The exercise, by id.
    pub exercise_id: i64,
    /// What each student cuts then.
    pub amount: Amount,
}

/// Segments of a lesson that is too long.
struct Long<'a> {
    catalogue: &'a Catalogue,
    planned: &'a [PlannedSegment],
    laid: &'a [SegmentOnRule],
    over: u32,
}

/// Minutes that are taken from segments, by index.
type Taken = Vec<(usize, u16)>;

/// Ways to save `over` minutes, what costs the class least first: all from one segment, a little from several, less
/// for each to cut, a part left out, and the last exercises left out.
pub(super) fn ways_out(catalogue: &Catalogue, planned: &[PlannedSegment], laid: &[SegmentOnRule], over: u32) -> Vec<WayOut> {
    let long = Long { catalogue, planned, laid, over };
    let mut ways: Vec<WayOut> = long.singles().into_iter().take(MOST_SINGLE).collect();
    ways.extend(long.several());
    ways.extend(long.fewer());
    ways.extend(long.parts_left_out());
    ways.extend(long.exercises_left_out());
    ways
}

impl Long<'_> {
    fn kind(&self, index: usize) -> Option<&LessonSegment> {
        self.catalogue.segment(self.planned.get(index)?.kept.kind)
    }

    fn name(&self, index: usize) -> &str {
        self.laid.get(index).map_or("", |segment| &segment.name)
    }

    /// Segments that can give minutes, who gives first in front; of alike ones the one with most to give.
    fn givers(&self) -> Vec<(usize, u16)> {
        let mut givers: Vec<(usize, u16)> = self.laid.iter().map(|segment| segment.gives).enumerate().collect();
        givers.retain(|(_, gives)| *gives > 0);
        givers.sort_by_key(|(index, gives)| (self.kind(*index).map_or(u8::MAX, |kind| kind.gives), std::cmp::Reverse(*gives)));
        givers
    }

    /// Minutes taken one segment after the other until `over` are saved; `None` if there are not so many.
    fn taken(&self, over: u32, without: &[usize]) -> Option<Taken> {
        let mut left = over;
        let mut taken = Vec::new();
        for (index, gives) in self.givers().into_iter().filter(|(index, _)| !without.contains(index)) {
            let less = u16::try_from(left).unwrap_or(u16::MAX).min(gives);
            if less == 0 {
                break;
            }
            left -= u32::from(less);
            taken.push((index, less));
        }
        (left == 0).then_some(taken)
    }

    /// Minutes of each segment with some taken and some segments left out.
    fn after(&self, taken: &[(usize, u16)], without: &[usize]) -> Vec<u16> {
        let less = |index: usize| taken.iter().filter(|(from, _)| *from == index).map(|(_, less)| *less).sum::<u16>();
        let all = self.planned.iter().enumerate();
        all.map(|(index, segment)| match without.contains(&index) {
            true => 0,
            false => segment.kept.minutes.saturating_sub(less(index)).max(1),
        })
        .collect()
    }

    fn way(&self, words: String, reason: String, minutes: Vec<u16>) -> WayOut {
        let stay = self.planned.iter().zip(&minutes).filter(|(_, minutes)| **minutes > 0);
        let segments = stay.map(|(segment, minutes)| StoredSegment { minutes: *minutes, ..segment.kept.clone() }).collect();
        WayOut { words, reason, segments, minutes, fewer: Vec::new(), leave_out: Vec::new() }
    }

    fn told(&self, taken: &[(usize, u16)]) -> String {
        taken.iter().map(|(index, less)| format!("{less} from {}", self.name(*index))).collect::<Vec<_>>().join(", ")
    }

    fn singles(&self) -> Vec<WayOut> {
        let Ok(less) = u16::try_from(self.over) else { return Vec::new() };
        let all = self.givers().into_iter().filter(|(_, gives)| *gives >= less);
        all.map(|(index, _)| {
            let reason = self.kind(index).map(|kind| kind.gives_because.clone()).unwrap_or_default();
            self.way(format!("Take {less} min from {}", self.name(index)), reason, self.after(&[(index, less)], &[]))
        })
        .collect()
    }

    fn several(&self) -> Option<WayOut> {
        let taken = self.taken(self.over, &[]).filter(|taken| taken.len() > 1)?;
        let words = format!("A little from several: {}", self.told(&taken));
        let reason = "In the order in which a class misses it least; each keeps its least, and practice what it needs.";
        Some(self.way(words, reason.to_owned(), self.after(&taken, &[])))
    }

    /// Less for each to cut of one exercise, the smallest step that is enough; the last exercise first. Where its
    /// practice has the minutes to spare, nobody needs to cut less.
    fn fewer(&self) -> Option<WayOut> {
        let least = |index: usize| self.kind(index).map_or(1, |kind| kind.least);
        self.planned.iter().enumerate().rev().filter(|(_, segment)| !segment.kept.fixed).find_map(|(index, segment)| {
            let (exercise_id, practised) = (segment.kept.exercise_id?, segment.practised.as_ref()?);
            let spare = self.laid.get(index).map_or(0, |laid| u32::from(laid.gives));
            practised.fewer.iter().find_map(|fewer| {
                let can = segment.kept.minutes.saturating_sub(fewer.needs.max(least(index)));
                let less = u16::try_from(self.over).ok().filter(|less| *less <= can && self.over > spare)?;
                let words = format!("{}: {}", practised.title, fewer.words);
                let reason = format!("Its strokes then take {} min, which saves the {less}.", fewer.needs);
                let fewer = vec![FewerOf { exercise_id, amount: fewer.amount }];
                Some(WayOut { fewer, ..self.way(words, reason, self.after(&[(index, less)], &[])) })
            })
        })
    }

    /// The change with some segments left out and the rest of the minutes taken as usual; `None` if that is not enough.
    fn without(&self, without: &[usize]) -> Option<(Vec<u16>, String)> {
        let saved: u32 = without.iter().filter_map(|index| self.planned.get(*index)).map(|s| u32::from(s.kept.minutes)).sum();
        let taken = self.taken(self.over.saturating_sub(saved), without)?;
        let more = if taken.is_empty() { String::new() } else { format!(", and {}", self.told(&taken)) };
        Some((self.after(&taken, without), more))
    }

    fn parts_left_out(&self) -> Vec<WayOut> {
        let mut parts: Vec<(u8, usize, &str)> = (0..self.planned.len())
            .filter(|index| self.planned.get(*index).is_some_and(|segment| !segment.kept.fixed))
            .filter_map(|index| {
                let kind = self.kind(index)?;
                Some((kind.gives, index, kind.left_out.as_deref()?))
            })
            .collect();
        parts.sort_unstable();
        parts
            .into_iter()
            .filter_map(|(_, index, costs)| {
                let (minutes, more) = self.without(&[index])?;
                Some(self.way(format!("Leave out {}{more}", self.name(index)), costs.to_owned(), minutes))
            })
            .collect()
    }

    /// The last exercises left out, as few as are enough.
    fn exercises_left_out(&self) -> Option<WayOut> {
        let mut ids: Vec<i64> = Vec::new();
        let mut titles: Vec<&str> = Vec::new();
        for segment in self.planned.iter().rev() {
            let (Some(id), Some(practised)) = (segment.kept.exercise_id, segment.practised.as_ref()) else { continue };
            if ids.contains(&id) {
                continue;
            }
            ids.push(id);
            titles.push(&practised.title);
            let of_them = |segment: &PlannedSegment| segment.kept.exercise_id.is_some_and(|id| ids.contains(&id));
            let out: Vec<usize> = self.planned.iter().enumerate().filter(|(_, s)| of_them(s)).map(|(index, _)| index).collect();
            let Some((minutes, more)) = self.without(&out) else { continue };
            let reason = match titles.len() {
                1 => "It comes last, so that nothing of the day is built on it; it can open the next lesson.",
                _ => "They come last, so that nothing of the day is built on them; they can open the next lesson.",
            };
            let words = format!("Leave out {}{more}", titles.join(" and "));
            return Some(WayOut { leave_out: ids, ..self.way(words, reason.to_owned(), minutes) });
        }
        None
    }
}
