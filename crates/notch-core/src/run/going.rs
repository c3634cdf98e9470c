//! The state of a lesson after its steps.

use jiff::{SignedDuration, Timestamp};

use super::step::{KeptStep, PartMinutes, RunRefusal, RunStep};
use crate::lesson::MAX_MINUTES;

/// A part of a lesson as it runs.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct RunPart {
    /// Minutes that it has; none if it is left out.
    pub minutes: u16,
    /// When it began.
    pub began: Option<Timestamp>,
    /// When it was over.
    pub ended: Option<Timestamp>,
    /// How long the clock rested in it.
    rested: SignedDuration,
}

/// Where a lesson stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub enum Standing {
    /// Before its first part.
    NotBegun,
    /// In a part.
    In {
        /// Index of the part.
        part: usize,
        /// Since when the clock rests.
        resting: Option<Timestamp>,
    },
    /// After its last part.
    Over,
}

/// A lesson as it runs.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct LessonRun {
    /// Its parts in order.
    pub parts: Vec<RunPart>,
    /// Where it stands.
    pub standing: Standing,
    /// Ids of the steps that changed something, in order.
    pub took: Vec<i64>,
}

fn minutes(of: u16) -> SignedDuration {
    SignedDuration::from_mins(i64::from(of))
}

/// A later moment; the latest there is where it would lie past the calendar.
fn later(at: Timestamp, by: SignedDuration) -> Timestamp {
    at.checked_add(by).unwrap_or(Timestamp::MAX)
}

impl LessonRun {
    /// The run of a lesson whose segments have these minutes. Steps are taken in the order of their time, alike ones by
    /// their id; one that does not fit changes nothing.
    pub fn of(segments: impl IntoIterator<Item = u16>, steps: &[KeptStep]) -> LessonRun {
        let part = |minutes: u16| RunPart { minutes, began: None, ended: None, rested: SignedDuration::ZERO };
        let parts = segments.into_iter().map(part).collect();
        let mut run = LessonRun { parts, standing: Standing::NotBegun, took: Vec::new() };
        let mut steps: Vec<&KeptStep> = steps.iter().collect();
        steps.sort_by_key(|kept| (kept.at, kept.id));
        for kept in steps {
            if run.take(&kept.step, kept.at).is_ok() {
                run.took.push(kept.id);
            }
        }
        run
    }

    /// The run with one more step, as it stood at its moment.
    ///
    /// # Errors
    /// Why the step does not fit.
    pub fn with(
        segments: impl IntoIterator<Item = u16>,
        steps: &[KeptStep],
        step: &RunStep,
        at: Timestamp,
    ) -> Result<LessonRun, RunRefusal> {
        let before: Vec<KeptStep> = steps.iter().filter(|kept| kept.at <= at).cloned().collect();
        let mut run = LessonRun::of(segments, &before);
        run.take(step, at)?;
        Ok(run)
    }

    /// Takes one step at its moment.
    ///
    /// # Errors
    /// Why it does not fit; nothing is changed then.
    pub fn take(&mut self, step: &RunStep, at: Timestamp) -> Result<(), RunRefusal> {
        match step {
            RunStep::Begin => self.begin(at),
            RunStep::Pause => {
                let (part, resting) = self.running()?;
                if resting.is_some() {
                    return Err(RunRefusal::Resting);
                }
                self.standing = Standing::In { part, resting: Some(at) };
                Ok(())
            }
            RunStep::GoOn => {
                let (part, resting) = self.running()?;
                let since = resting.ok_or(RunRefusal::NotResting)?;
                self.go_on(part, since, at);
                self.standing = Standing::In { part, resting: None };
                Ok(())
            }
            RunStep::Next { part } => {
                let resting = self.running_part(*part)?;
                if let Some(since) = resting {
                    self.go_on(*part, since, at);
                }
                self.end(*part, at);
                Ok(())
            }
            RunStep::Longer { part, minutes } => {
                self.running_part(*part)?;
                if let Some(running) = self.parts.get_mut(*part) {
                    running.minutes = running.minutes.saturating_add(*minutes).min(MAX_MINUTES);
                }
                Ok(())
            }
            RunStep::Rest { parts } => self.rest(parts),
        }
    }

    fn begin(&mut self, at: Timestamp) -> Result<(), RunRefusal> {
        match self.standing {
            Standing::NotBegun => {}
            Standing::In { .. } => return Err(RunRefusal::Begun),
            Standing::Over => return Err(RunRefusal::Over),
        }
        let first = self.parts.iter().position(|part| part.minutes > 0).ok_or(RunRefusal::NoParts)?;
        self.enter(first, at);
        Ok(())
    }

    /// The part that runs, and since when the clock rests.
    fn running(&self) -> Result<(usize, Option<Timestamp>), RunRefusal> {
        match self.standing {
            Standing::NotBegun => Err(RunRefusal::NotBegun),
            Standing::In { part, resting } => Ok((part, resting)),
            Standing::Over => Err(RunRefusal::Over),
        }
    }

    fn running_part(&self, part: usize) -> Result<Option<Timestamp>, RunRefusal> {
        match self.running()? {
            (running, resting) if running == part => Ok(resting),
            _ => Err(RunRefusal::OtherPart),
        }
    }

    fn go_on(&mut self, part: usize, since: Timestamp, at: Timestamp) {
        if let Some(part) = self.parts.get_mut(part) {
            part.rested = part.rested.saturating_add(at.duration_since(since));
        }
    }

    fn enter(&mut self, part: usize, at: Timestamp) {
        if let Some(part) = self.parts.get_mut(part) {
            part.began = Some(at);
        }
        self.standing = Standing::In { part, resting: None };
    }

    fn end(&mut self, part: usize, at: Timestamp) {
        if let Some(part) = self.parts.get_mut(part) {
            part.ended = Some(at);
        }
        match self.after(part) {
            Some(next) => self.enter(next, at),
            None => self.standing = Standing::Over,
        }
    }

    /// The part that comes after one, left out ones passed over.
    pub fn after(&self, part: usize) -> Option<usize> {
        let coming = self.parts.iter().enumerate().skip(part.saturating_add(1));
        coming.filter(|(_, part)| part.minutes > 0).map(|(index, _)| index).next()
    }

    /// Other minutes for the part that runs and for those to come.
    fn rest(&mut self, parts: &[PartMinutes]) -> Result<(), RunRefusal> {
        let first = match self.standing {
            Standing::NotBegun => 0,
            Standing::In { part, .. } => part,
            Standing::Over => return Err(RunRefusal::Over),
        };
        if parts.iter().any(|change| change.part < first || change.part >= self.parts.len()) {
            return Err(RunRefusal::PartOver);
        }
        for change in parts {
            if let Some(part) = self.parts.get_mut(change.part) {
                part.minutes = change.minutes.min(MAX_MINUTES);
            }
        }
        Ok(())
    }

    /// How long a part has been worked in, rests not counted.
    pub fn worked(&self, part: usize, now: Timestamp) -> SignedDuration {
        let Some((of, began)) = self.parts.get(part).and_then(|part| Some((part, part.began?))) else {
            return SignedDuration::ZERO;
        };
        let resting = match self.standing {
            Standing::In { part: running, resting } if running == part => resting,
            _ => None,
        };
        let until = of.ended.or(resting).unwrap_or(now).max(began);
        until.duration_since(began).saturating_sub(of.rested).max(SignedDuration::ZERO)
    }

    /// How long the part that runs has left, below zero where it has run over; none where no part runs.
    pub fn left(&self, now: Timestamp) -> Option<SignedDuration> {
        let Standing::In { part, .. } = self.standing else { return None };
        let of = self.parts.get(part)?;
        Some(minutes(of.minutes).saturating_sub(self.worked(part, now)))
    }

    /// When the lesson will end if nothing more is lost: what the part that runs has left, then all that come. While
    /// it has not begun, as if it began now; none once it is over.
    pub fn will_end(&self, now: Timestamp) -> Option<Timestamp> {
        let (left, coming) = match self.standing {
            Standing::NotBegun => (SignedDuration::ZERO, 0),
            Standing::In { part, .. } => (self.left(now)?.max(SignedDuration::ZERO), part.saturating_add(1)),
            Standing::Over => return None,
        };
        let coming = self.parts.iter().skip(coming).map(|part| minutes(part.minutes));
        Some(later(now, coming.fold(left, SignedDuration::saturating_add)))
    }
}
