//! The run of a lesson as Class shows it: the part that runs, what comes next, and how to end in time.

use jiff::tz::TimeZone;
use jiff::{SignedDuration, Timestamp};
use serde::Serialize;

use super::plan::{PlannedExercise, planned_segments};
use crate::at_hand::AtHand;
use crate::lesson::{PlannedSegment, TimeRule, WayOut, win_back};
use crate::records::{Lesson, StoredSegment};
use crate::run::{KeptStep, LessonRun, PartMinutes, RunStep, Standing};

/// How far from its time a lesson may begin and still end by the clock; one that is held at another time has its
/// minutes from when it begins.
const ABOUT_ITS_TIME: SignedDuration = SignedDuration::from_hours(1);

/// What the run of a lesson is worked out from.
#[derive(Clone, Copy, Debug)]
pub struct RunInput<'a> {
    /// What the course has at hand.
    pub at_hand: AtHand<'a>,
    /// The lesson.
    pub lesson: &'a Lesson,
    /// Its exercises with their advice.
    pub exercises: &'a [PlannedExercise],
    /// Its segments on the time rule.
    pub time_rule: &'a TimeRule,
    /// What was done with its clock.
    pub steps: &'a [KeptStep],
    /// The moment.
    pub now: Timestamp,
}

/// Where a lesson stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum RunState {
    /// Before its first part.
    NotBegun,
    /// Its time is over, and its clock was not used.
    Unused,
    /// The clock of a part runs.
    Running,
    /// The clock rests.
    Resting,
    /// After its last part.
    Over,
}

/// Where a part stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum RunPartState {
    /// Over.
    Done,
    /// The one that runs.
    Now,
    /// To come.
    ToCome,
    /// Left out.
    LeftOut,
}

/// A part of a lesson as it runs.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunPartView {
    /// Name, e.g. `Practice 1`.
    pub name: String,
    /// Name for a narrow part.
    pub short: String,
    /// Minutes that were planned.
    pub planned: u16,
    /// Minutes that it has now; those that it took where it is over.
    pub minutes: u16,
    /// Where it stands.
    pub state: RunPartState,
}

/// A way to end in time.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunWay {
    /// The change in one sentence.
    pub words: String,
    /// Why that can go, or what it costs.
    pub reason: String,
    /// The parts that change, as a step takes them.
    pub parts: Vec<PartMinutes>,
}

/// The latest step, which can be taken back.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct LastRunStep {
    /// Id.
    pub id: i64,
    /// In words, e.g. `Demonstration began`.
    pub words: String,
}

/// A lesson as it runs.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RunView {
    /// The moment for which this is worked out.
    #[cfg_attr(feature = "openapi", schema(value_type = String, format = DateTime))]
    pub now: Timestamp,
    /// Where the lesson stands.
    pub state: RunState,
    /// It is less than an hour to the time at which it is to begin, or after it.
    pub about_time: bool,
    /// All parts in order.
    pub parts: Vec<RunPartView>,
    /// Index of the part that runs.
    pub part: Option<usize>,
    /// Index of the one that comes after it.
    pub next: Option<usize>,
    /// Seconds that the part that runs has left, below zero where it has run over.
    pub left_seconds: Option<i64>,
    /// Minutes by which it will end later than it is to, each begun minute whole; below zero where it ends earlier.
    pub behind: i64,
    /// How it stands, in one sentence.
    pub words: String,
    /// Ways to end in time, the gentlest first; none where it does, or nothing can be won.
    pub ways: Vec<RunWay>,
    /// The latest step.
    pub last: Option<LastRunStep>,
}

/// Works out how a lesson runs.
pub fn run_view(input: &RunInput<'_>) -> RunView {
    let run = LessonRun::of(input.lesson.fields.segments.iter().map(|segment| segment.minutes), input.steps);
    let told = Told { input, run: &run, zone: input.at_hand.course.fields.zone() };
    let (state, part) = match run.standing {
        Standing::NotBegun if told.missed() => (RunState::Unused, None),
        Standing::NotBegun => (RunState::NotBegun, None),
        Standing::In { part, resting: None } => (RunState::Running, Some(part)),
        Standing::In { part, resting: Some(_) } => (RunState::Resting, Some(part)),
        Standing::Over => (RunState::Over, None),
    };
    let due = told.due();
    let ends = told.ends();
    let behind = minutes_up(ends.duration_since(due));
    RunView {
        now: input.now,
        state,
        about_time: input.now.duration_since(told.planned()).abs() <= ABOUT_ITS_TIME,
        parts: told.parts(),
        part,
        next: part.and_then(|part| run.after(part)),
        left_seconds: run.left(input.now).map(|left| left.as_secs()),
        behind,
        words: told.words(due, ends, behind),
        ways: if behind > 0 && !matches!(state, RunState::Over | RunState::Unused) { told.ways(behind) } else { Vec::new() },
        last: told.last(),
    }
}

/// Whole minutes, each begun one counted.
fn minutes_up(time: SignedDuration) -> i64 {
    let seconds = time.as_secs();
    seconds.div_euclid(60) + i64::from(seconds.rem_euclid(60) > 0)
}

/// What is said of a run.
struct Told<'a> {
    input: &'a RunInput<'a>,
    run: &'a LessonRun,
    zone: TimeZone,
}

impl Told<'_> {
    /// When the lesson began.
    fn began(&self) -> Option<Timestamp> {
        self.run.parts.iter().find_map(|part| part.began)
    }

    /// When it is planned to begin, by the clock on the wall.
    fn planned(&self) -> Timestamp {
        let starts = self.input.lesson.fields.starts_at;
        self.zone.to_ambiguous_zoned(starts).compatible().map_or(Timestamp::MAX, |zoned| zoned.timestamp())
    }

    /// It was to begin long ago, and did not.
    fn missed(&self) -> bool {
        self.began().is_none() && self.input.now.duration_since(self.planned()) > ABOUT_ITS_TIME
    }

    /// When it is to end: by the clock where it is held at about its time, else its minutes from when it begins.
    fn due(&self) -> Timestamp {
        let planned = self.planned();
        let from = match self.began() {
            Some(began) if began.duration_since(planned).abs() > ABOUT_ITS_TIME => began,
            None if self.missed() => self.input.now,
            _ => planned,
        };
        let minutes = SignedDuration::from_mins(i64::from(self.input.lesson.fields.minutes));
        from.checked_add(minutes).unwrap_or(Timestamp::MAX)
    }

    /// When it will end, or has ended. A lesson does not begin before its time.
    fn ends(&self) -> Timestamp {
        let now = match self.run.standing {
            Standing::NotBegun if !self.missed() => self.input.now.max(self.planned()),
            _ => self.input.now,
        };
        let ended = || self.run.parts.iter().filter_map(|part| part.ended).max();
        self.run.will_end(now).or_else(ended).unwrap_or(self.input.now)
    }

    fn parts(&self) -> Vec<RunPartView> {
        let runs = |index: usize| matches!(self.run.standing, Standing::In { part, .. } if part == index);
        let laid = self.input.time_rule.segments.iter().zip(&self.run.parts).enumerate();
        laid.map(|(index, (planned, part))| {
            let (state, minutes) = if runs(index) {
                (RunPartState::Now, part.minutes)
            } else if part.ended.is_some() {
                let took = (self.run.worked(index, self.input.now).as_secs() + 30).div_euclid(60);
                (RunPartState::Done, u16::try_from(took).unwrap_or(u16::MAX))
            } else if part.minutes == 0 || self.run.standing == Standing::Over {
                (RunPartState::LeftOut, 0)
            } else {
                (RunPartState::ToCome, part.minutes)
            };
            RunPartView {
                name: planned.name.clone(),
                short: planned.short.clone(),
                planned: planned.kept.minutes,
                minutes,
                state,
            }
        })
        .collect()
    }

    /// A moment by the clock on the wall.
    fn at(&self, moment: Timestamp) -> String {
        self.zone.to_datetime(moment).strftime("%H:%M").to_string()
    }

    fn words(&self, due: Timestamp, ends: Timestamp, behind: i64) -> String {
        let by = match behind {
            0 => "in time".to_owned(),
            late if late > 0 => format!("{late} min late"),
            early => format!("{} min before its time", -early),
        };
        match self.run.standing {
            Standing::NotBegun if self.missed() => {
                format!("Its day was {}", crate::words::day(self.input.lesson.fields.starts_at.date()))
            }
            Standing::NotBegun if behind > 0 => {
                format!("Begun now it ends at {}, {by}: it is to end at {}", self.at(ends), self.at(due))
            }
            Standing::NotBegun => format!("To end at {}", self.at(due)),
            Standing::In { .. } => format!("Ends at {}, {by}", self.at(ends)),
            Standing::Over => format!("Ended at {}, {by}", self.at(ends)),
        }
    }

    /// The rest of the lesson, by index: what the part that runs has left, and all that come.
    fn rest(&self) -> Vec<(usize, PlannedSegment)> {
        let first = match self.run.standing {
            Standing::NotBegun => 0,
            Standing::In { part, .. } => part,
            Standing::Over => return Vec::new(),
        };
        let left = self.run.left(self.input.now).map_or(0, minutes_up);
        let runs = |index: usize| matches!(self.run.standing, Standing::In { .. }) && index == first;
        let named = self.input.time_rule.segments.iter().map(|segment| segment.name.clone());
        let kept = self.input.lesson.fields.segments.iter().zip(&self.run.parts).zip(named).enumerate().skip(first);
        let rest: Vec<(usize, StoredSegment)> = kept
            .map(|(index, ((segment, part), name))| {
                let minutes = if runs(index) { u16::try_from(left).unwrap_or(0) } else { part.minutes };
                (index, StoredSegment { minutes, own_name: Some(name), ..segment.clone() })
            })
            .filter(|(_, segment)| segment.minutes > 0)
            .collect();
        let (indexes, segments): (Vec<usize>, Vec<StoredSegment>) = rest.into_iter().unzip();
        let worked = u16::try_from(self.run.worked(first, self.input.now).as_mins()).unwrap_or(u16::MAX);
        let planned = planned_segments(&self.input.at_hand, &segments, self.input.exercises, false).into_iter();
        indexes
            .into_iter()
            .zip(planned)
            .map(|(index, mut segment)| {
                if runs(index) {
                    segment.needs = segment.needs.map(|needs| needs.saturating_sub(worked));
                }
                (index, segment)
            })
            .collect()
    }

    /// How to win minutes back.
    fn ways(&self, behind: i64) -> Vec<RunWay> {
        let (indexes, rest): (Vec<usize>, Vec<PlannedSegment>) = self.rest().into_iter().unzip();
        let runs = |index: usize| matches!(self.run.standing, Standing::In { part, .. } if part == index);
        let ways = win_back(self.input.at_hand.catalogue, &rest, u32::try_from(behind).unwrap_or(u32::MAX));
        // What runs is ended, not left out.
        let ended = |way: &WayOut| indexes.first().is_some_and(|first| runs(*first)) && way.minutes.first() == Some(&0);
        ways.into_iter()
            .filter(|way| !ended(way))
            .map(|way| {
                let before = indexes.iter().zip(&rest).zip(&way.minutes);
                let parts = before
                    .filter(|((_, before), minutes)| before.kept.minutes != **minutes)
                    .map(|((index, before), minutes)| {
                        // What the part that runs has lost of what it has left, it loses of all that it has.
                        let has = self.run.parts.get(*index).map_or(0, |part| part.minutes);
                        let less = before.kept.minutes.saturating_sub(*minutes);
                        PartMinutes { part: *index, minutes: if runs(*index) { has.saturating_sub(less) } else { *minutes } }
                    })
                    .collect();
                RunWay { words: way.words, reason: way.reason, parts }
            })
            .collect()
    }

    /// The latest step that changed something.
    fn last(&self) -> Option<LastRunStep> {
        let id = *self.run.took.last()?;
        let step = &self.input.steps.iter().find(|kept| kept.id == id)?.step;
        let name = |part: usize| self.input.time_rule.segments.get(part).map_or("The part", |segment| segment.name.as_str());
        let words = match step {
            RunStep::Begin => "The lesson began".to_owned(),
            RunStep::Pause => "The clock was stopped".to_owned(),
            RunStep::GoOn => "The clock went on".to_owned(),
            RunStep::Next { part } => format!("{} was ended", name(*part)),
            RunStep::Longer { part, minutes } => format!("{} was made {minutes} min longer", name(*part)),
            RunStep::Rest { .. } => "The rest was changed".to_owned(),
        };
        Some(LastRunStep { id, words })
    }
}
