//! A lesson as it runs.

use crate::common::{CATALOGUE, course};
use jiff::civil::{DateTime, date};
use jiff::{SignedDuration, Timestamp};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::SegmentKind;
use notch_core::lesson::first_segments;
use notch_core::people::AgeBand;
use notch_core::records::{Lesson, LessonFields, ProduceFields, StoredSegment};
use notch_core::run::{KeptStep, LessonRun, PartMinutes, RunRefusal, RunStep, Standing};
use notch_core::views::{RunInput, RunPartState, RunState, RunView, plan_view, run_view};
use proptest::prelude::*;

const STARTS: DateTime = date(2026, 10, 6).at(18, 30, 0, 0);

/// A moment, so many seconds after the time at which the lesson is to begin: half past six in Lisbon.
fn at(seconds: i64) -> Timestamp {
    "2026-10-06T17:30:00Z".parse::<Timestamp>().unwrap() + SignedDuration::from_secs(seconds)
}

fn steps(done: &[(i64, RunStep)]) -> Vec<KeptStep> {
    (1..).zip(done).map(|(id, (seconds, step))| KeptStep { id, at: at(*seconds), step: step.clone() }).collect()
}

/// What Class shows of a lesson with these segments.
fn view(segments: &[StoredSegment], minutes: u16, done: &[(i64, RunStep)], now: i64) -> RunView {
    let mut course = course(AgeBand::Adult);
    "Europe/Lisbon".clone_into(&mut course.fields.time_zone);
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &[] };
    let fields = LessonFields { title: "Sticks".into(), starts_at: STARTS, minutes, segments: segments.to_vec() };
    let lesson = Lesson { id: 1, course_id: 1, number: 1, version: 1, produce: ProduceFields::default(), fields };
    let plan = plan_view(&at_hand, &lesson, &[]).unwrap();
    run_view(&RunInput {
        at_hand,
        lesson: &lesson,
        exercises: &plan.exercises,
        time_rule: &plan.time_rule,
        steps: &steps(done),
        now: at(now),
    })
}

/// Arrival 8, briefing 6, demonstration 8, practice 30, clean-down 8: an hour.
fn hour() -> Vec<StoredSegment> {
    use SegmentKind::{Arrival, CleanDown, Demonstration, Practice, SafetyBriefing};
    [(Arrival, 8), (SafetyBriefing, 6), (Demonstration, 8), (Practice, 30), (CleanDown, 8)]
        .map(|(kind, minutes)| StoredSegment::of(kind, minutes))
        .to_vec()
}

const MINUTE: i64 = 60;

#[test]
fn a_lesson_that_begins_in_time_and_is_kept_to_ends_in_time() {
    let before = view(&hour(), 60, &[], -20 * MINUTE);
    assert_eq!((before.state, before.behind), (RunState::NotBegun, 0));
    assert_eq!(before.words, "To end at 19:30");
    let running = view(&hour(), 60, &[(0, RunStep::Begin)], 3 * MINUTE);
    assert_eq!((running.part, running.next, running.left_seconds), (Some(0), Some(1), Some(5 * MINUTE)));
    assert_eq!((running.behind, running.words.as_str()), (0, "Ends at 19:30, in time"));
    assert!(running.ways.is_empty());
}

#[test]
fn what_is_lost_at_the_door_is_carried_to_the_end_with_what_gives_it_back() {
    // Begun 7 minutes late, and the arrival takes 2 more than it has.
    let done = [(7 * MINUTE, RunStep::Begin), (17 * MINUTE, RunStep::Next { part: 0 })];
    let late = view(&hour(), 60, &done, 18 * MINUTE);
    assert_eq!((late.behind, late.words.as_str()), (9, "Ends at 19:39, 9 min late"));
    assert_eq!((late.parts[0].minutes, late.parts[0].state), (10, RunPartState::Done));
    let words: Vec<&str> = late.ways.iter().map(|way| way.words.as_str()).collect();
    assert!(words[0].starts_with("Take 9 min from Practice"), "{words:?}");
    // The first way is taken: 21 minutes of practice.
    let mut after = done.to_vec();
    after.push((18 * MINUTE, RunStep::Rest { parts: late.ways[0].parts.clone() }));
    let mended = view(&hour(), 60, &after, 18 * MINUTE);
    assert_eq!((mended.parts[3].minutes, mended.behind, mended.ways.len()), (21, 0, 0));
    assert_eq!(mended.last.unwrap().words, "The rest was changed");
}

#[test]
fn a_part_that_runs_over_and_a_clock_that_rests_both_cost_their_minutes() {
    let done = [(0, RunStep::Begin), (8 * MINUTE, RunStep::Next { part: 0 })];
    let over = view(&hour(), 60, &done, 17 * MINUTE);
    assert_eq!((over.left_seconds, over.behind), (Some(-3 * MINUTE), 3));
    let mut rests = done.to_vec();
    rests.push((10 * MINUTE, RunStep::Pause));
    let resting = view(&hour(), 60, &rests, 14 * MINUTE);
    assert_eq!((resting.state, resting.left_seconds, resting.behind), (RunState::Resting, Some(4 * MINUTE), 4));
    rests.push((14 * MINUTE, RunStep::GoOn));
    let on = view(&hour(), 60, &rests, 15 * MINUTE);
    assert_eq!((on.state, on.left_seconds, on.behind), (RunState::Running, Some(3 * MINUTE), 4));
}

#[test]
fn one_that_is_held_at_another_time_has_its_minutes_from_when_it_begins() {
    let tried = view(&hour(), 60, &[(-26 * 60 * MINUTE, RunStep::Begin)], -26 * 60 * MINUTE + 30);
    assert_eq!((tried.behind, tried.words.as_str()), (0, "Ends at 17:30, in time"));
    let day_before = view(&hour(), 60, &[], -26 * 60 * MINUTE);
    assert_eq!((day_before.behind, day_before.about_time, day_before.words.as_str()), (0, false, "To end at 19:30"));
    let missed = view(&hour(), 60, &[], 26 * 60 * MINUTE);
    assert_eq!((missed.state, missed.behind, missed.words.as_str()), (RunState::Unused, 0, "Its day was 6 Oct"));
    assert!(missed.ways.is_empty());
    let waited = view(&hour(), 60, &[], 7 * MINUTE);
    assert_eq!(waited.words, "Begun now it ends at 19:37, 7 min late: it is to end at 19:30");
    assert!(waited.about_time && !waited.ways.is_empty());
}

#[test]
fn the_practice_that_runs_gives_minutes_and_is_never_said_to_be_left_out() {
    let mut done = vec![(0, RunStep::Begin)];
    done.extend((0..3).map(|part| ((part as i64 + 1) * 9 * MINUTE, RunStep::Next { part })));
    // 27 minutes in, practice begins; it is to begin at 22.
    let late = view(&hour(), 60, &done, 30 * MINUTE);
    assert_eq!((late.part, late.behind), (Some(3), 5));
    assert_eq!(late.ways[0].words, "Take 5 min from Practice");
    assert_eq!(late.ways[0].parts, [PartMinutes { part: 3, minutes: 25 }]);
}

#[test]
fn two_devices_that_say_the_same_say_it_once() {
    let mut run = LessonRun::of([8, 6, 30], &steps(&[(0, RunStep::Begin), (480, RunStep::Next { part: 0 })]));
    assert_eq!(run.take(&RunStep::Next { part: 0 }, at(481)), Err(RunRefusal::OtherPart));
    assert_eq!(run.take(&RunStep::Begin, at(481)), Err(RunRefusal::Begun));
    assert_eq!(run.take(&RunStep::GoOn, at(481)), Err(RunRefusal::NotResting));
    assert_eq!(run.take(&RunStep::Rest { parts: vec![PartMinutes { part: 0, minutes: 3 }] }, at(481)), Err(RunRefusal::PartOver));
    assert_eq!(LessonRun::of([], &[]).take(&RunStep::Begin, at(0)), Err(RunRefusal::NoParts));
    assert_eq!(run.standing, Standing::In { part: 1, resting: None });
}

#[test]
fn a_step_with_figures_out_of_range_is_told_at_its_field() {
    let problems = RunStep::Longer { part: 0, minutes: 61 }.check();
    assert_eq!((problems[0].pointer.as_str(), problems.len()), ("/minutes", 1));
    let rest = RunStep::Rest { parts: vec![PartMinutes { part: 0, minutes: 5 }, PartMinutes { part: 1, minutes: 601 }] };
    assert_eq!(rest.check()[0].pointer, "/parts/1/minutes");
}

fn any_step() -> impl Strategy<Value = RunStep> {
    prop_oneof![
        Just(RunStep::Begin),
        Just(RunStep::Pause),
        Just(RunStep::GoOn),
        (0usize..9).prop_map(|part| RunStep::Next { part }),
        (0usize..9, 1u16..20).prop_map(|(part, minutes)| RunStep::Longer { part, minutes }),
        prop::collection::vec((0usize..9, 0u16..40), 0..4).prop_map(|parts| RunStep::Rest {
            parts: parts.into_iter().map(|(part, minutes)| PartMinutes { part, minutes }).collect()
        }),
    ]
}

/// Steps of which many fit: the lesson begins, and parts are often ended.
fn evening() -> impl Strategy<Value = Vec<(i64, RunStep)>> {
    let fitting = (0usize..9).prop_map(|part| RunStep::Next { part });
    let step = prop_oneof![fitting, any_step()];
    (-600i64..1200, prop::collection::vec((0i64..900, step), 0..25)).prop_map(|(begins, later)| {
        let mut at = begins;
        let mut done = vec![(at, RunStep::Begin)];
        let mut part = 0;
        for (after, step) in later {
            at += after;
            let step = if let RunStep::Next { .. } = step { RunStep::Next { part } } else { step };
            part += usize::from(matches!(step, RunStep::Next { .. }));
            done.push((at, step));
        }
        done
    })
}

proptest! {
    #[test]
    fn every_second_is_worked_or_rested_and_none_twice(
        minutes in prop::collection::vec(1u16..40, 1..9), done in evening(), after in 0i64..4000,
    ) {
        let kept = steps(&done);
        let run = LessonRun::of(minutes.iter().copied(), &kept);
        let now = at(done.last().unwrap().0 + after);
        let worked: SignedDuration = (0..run.parts.len()).map(|part| run.worked(part, now)).fold(SignedDuration::ZERO, |a, b| a + b);
        // The same from the steps alone.
        let (mut rested, mut resting) = (SignedDuration::ZERO, None);
        for id in &run.took {
            let step = &kept[*id as usize - 1];
            match step.step {
                RunStep::Pause => resting = Some(step.at),
                RunStep::GoOn | RunStep::Next { .. } => rested += resting.take().map_or(SignedDuration::ZERO, |since| step.at.duration_since(since)),
                _ => {}
            }
        }
        let began = run.parts.iter().find_map(|part| part.began).unwrap();
        let until = match run.standing {
            Standing::Over => run.parts.iter().filter_map(|part| part.ended).max().unwrap(),
            _ => resting.unwrap_or(now),
        };
        prop_assert_eq!(worked + rested, until.duration_since(began));
        // One part at the most runs, and those that ended lie before it in time.
        prop_assert!(run.parts.iter().filter(|part| part.began.is_some() && part.ended.is_none()).count() <= 1);
    }

    #[test]
    fn steps_may_arrive_in_any_order_and_one_that_is_refused_changes_nothing(
        minutes in prop::collection::vec(0u16..40, 0..9), done in evening(), shuffle in any::<u64>(), step in any_step(),
    ) {
        let kept = steps(&done);
        let run = LessonRun::of(minutes.iter().copied(), &kept);
        let mut other = kept.clone();
        let len = other.len() as u64;
        other.rotate_left((shuffle % len) as usize);
        prop_assert_eq!(&run, &LessonRun::of(minutes.iter().copied(), &other));
        let mut again = run.clone();
        if again.take(&step, at(100_000)).is_err() {
            prop_assert_eq!(again, run);
        }
    }

    #[test]
    fn every_way_ends_the_lesson_in_time(
        lesson in 30u16..300, late in 0i64..2400, parts in 0usize..7, within in 0i64..600, rests in any::<bool>(), of in any::<bool>(),
    ) {
        let segments = first_segments(&CATALOGUE, lesson);
        let mut done = vec![(late, RunStep::Begin)];
        done.extend((0..parts).map(|part| (late + 300 * (part as i64 + 1), RunStep::Next { part })));
        let now = done.last().unwrap().0 + within;
        if of {
            done.push((now, RunStep::Longer { part: parts, minutes: 7 }));
        }
        if rests {
            done.push((now - within / 2, RunStep::Pause));
        }
        let running = view(&segments, lesson, &done, now);
        prop_assert!(running.behind > 0 || running.ways.is_empty());
        for way in &running.ways {
            prop_assert!(!way.parts.is_empty(), "{}", way.words);
            let mut taken = done.clone();
            taken.push((now, RunStep::Rest { parts: way.parts.clone() }));
            let then = view(&segments, lesson, &taken, now);
            prop_assert!(then.behind <= 0, "{}: {} min late still", way.words, then.behind);
            prop_assert!(then.last.is_some_and(|last| last.id == taken.len() as i64), "{} was not taken", way.words);
        }
    }
}
