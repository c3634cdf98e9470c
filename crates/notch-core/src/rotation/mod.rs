//! The rotation: who works in which round on which exercise with which actual knife.
//!
//! Each turn lies in one round, a student has one turn a round, a knife one hand; boards and watching are never
//! exceeded, and what must come first lies in an earlier round. Fewest rounds first, then as little as possible
//! that differs from what was announced, then the best fit, then the fewest hand-overs, the fewest minutes and the
//! order of the lesson.
//!
//! | question | file |
//! |---|---|
//! | what is asked, what is impossible | `question.rs` |
//! | how few rounds could there be at best, and why | `bound.rs` |
//! | how well could the knives fit at best | `fit_bound.rs` |
//! | which round, which kind of knife | `search.rs`, from `greedy.rs` where nothing else is found |
//! | which of the knives that are alike | `naming.rs` |
//! | classes and rotations as files | `format.rs` |

mod bound;
mod fit_bound;
mod format;
mod greedy;
mod grid;
mod matching;
pub(crate) use matching::one_each;
mod naming;
mod question;
mod search;

pub use format::{Assignment, Impossible, Instance, Reason, Solution};
pub use question::{Blocked, Bound, BoundBy, Pin, Question, Rotation, Seat, Turn, Worth};

use grid::Grid;
use naming::name_knives;
use search::{Run, Score, Seating, Weights, search};

/// A question with up to so many turns is small: a run of the search needs fewer steps for each of them.
const SMALL: usize = 48;

/// A change of what was announced, beside what a fit lacks: more than any fit could.
const CHANGED: i32 = 300;

/// The first run for the best rotation is so many times shorter than the others.
const SHORT_FIRST: u32 = 10;

/// Rounds that are tried beyond the bound where the pins leave nothing to fall back on.
const TRIED_WITH_PINS: usize = 4;

/// Turns beyond which nothing is searched: the answer is the one by hand.
const MOST_TURNS: usize = 1_000;

/// How the search is spread over runs. It is counted in steps, never in time, so that the same question has the same
/// answer on every machine.
#[derive(Clone, Copy, Debug)]
struct Effort {
    /// Runs that look for any rotation of so many rounds.
    runs: u64,
    /// Steps of each of them.
    any: u32,
    /// Steps of a run for the best one.
    best: u32,
    /// Most steps for the best one in all.
    most: u32,
    /// Most steps where the fit could still be better, as far as is known.
    most_for_fit: u32,
}

impl Effort {
    fn of(question: &Question) -> Effort {
        let turns = question.turns.len() as u32;
        if question.turns.len() <= SMALL {
            Effort { runs: 4, any: 1_000 * turns, best: 1_500 * turns, most: 5_000 * turns, most_for_fit: 30_000 * turns }
        } else {
            let most = |each: u32, all: u32| all.min(each * turns);
            Effort {
                runs: 6,
                any: 1_000 * turns,
                best: most(5_000, 800_000),
                most: most(18_000, 2_400_000),
                most_for_fit: most(24_000, 2_600_000),
            }
        }
    }
}

/// Finds a rotation: the fewest rounds that are found, the best in so many.
///
/// # Errors
/// All that makes it impossible; or that none was found with these pins, or in so many rounds.
///
/// # Complexity
/// A bounded number of steps for each turn, some 100 ns each; [`Effort`] says how many.
pub fn rotate(question: &Question) -> Result<Rotation, Vec<Blocked>> {
    let grid = laid_out(question)?;
    if let Some(most) = question.most_rounds {
        let over = Bound::over(&grid, most);
        if !over.is_empty() {
            return Err(over.into_iter().map(|bound| Blocked::TooFewRounds { bound }).collect());
        }
    }
    let bound = Bound::of(&grid);
    let (mut worth, mut seats) = fewest(&grid, bound.rounds)?;
    if question.is_loose() {
        close_ranks(&mut seats);
        worth = question.worth(&seats);
    }
    match question.most_rounds.filter(|most| worth.rounds > *most) {
        Some(_) => Err(vec![Blocked::NotFound { least: bound.rounds }]),
        None => Ok(Rotation { seats, worth, bound }),
    }
}

/// Whether there is a rotation in some number of rounds, however good: quicker than [`rotate`], and true just where
/// that finds one.
pub fn can_rotate(question: &Question) -> bool {
    let Ok(grid) = laid_out(question) else { return false };
    greedy::fill(&grid).is_some() || {
        let first = Bound::of(&grid).rounds.max(question.announced_rounds());
        question.turns.len() <= MOST_TURNS && (first..=first + TRIED_WITH_PINS).any(|rounds| any_in(&grid, rounds).is_some())
    }
}

/// The question laid out for the search.
///
/// # Errors
/// All that makes it impossible in any number of rounds.
fn laid_out(question: &Question) -> Result<Grid<'_>, Vec<Blocked>> {
    let blocked = question.blocked();
    if !blocked.is_empty() {
        return Err(blocked);
    }
    let grid = Grid::new(question);
    if let Some(turn) = (0..question.turns.len()).find(|turn| is_pinned_too_early(&grid, *turn)) {
        return Err(vec![Blocked::PinImpossible { turn }]);
    }
    match Bound::held(&grid) {
        Some(held) => Err(vec![held]),
        None => Ok(grid),
    }
}

/// The fewest rounds that could do, and why not fewer; none where nothing could.
pub fn least_rounds(question: &Question) -> Option<Bound> {
    question.blocked().is_empty().then(|| Bound::of(&Grid::new(question)))
}

/// Held in a round before which too much must be done.
fn is_pinned_too_early(grid: &Grid<'_>, turn: usize) -> bool {
    grid.question.turns[turn].pin.is_some_and(|pin| grid.head[turn] > pin.round)
}

/// Renumbers the rounds so that none is empty.
fn close_ranks(seats: &mut [Seat]) {
    let mut rounds: Vec<usize> = seats.iter().map(|seat| seat.round).collect();
    rounds.sort_unstable();
    rounds.dedup();
    for seat in seats {
        seat.round = rounds.partition_point(|round| *round < seat.round);
    }
}

/// The best seats in the fewest rounds in which there are some; where turns were announced, in as many.
fn fewest(grid: &Grid<'_>, bound: usize) -> Result<(Worth, Vec<Seat>), Vec<Blocked>> {
    let by_hand = greedy::fill(grid);
    let first = bound.max(grid.question.announced_rounds());
    let last = by_hand.as_ref().map_or(first + TRIED_WITH_PINS, |(rounds, _)| (*rounds).max(first));
    if grid.question.turns.len() <= MOST_TURNS {
        for rounds in first..=last {
            if let Some(any) = any_in(grid, rounds) {
                return Ok(best_in(grid, rounds, any));
            }
        }
    }
    match by_hand {
        Some((_, seating)) => Ok(name_knives(grid, &seating)),
        None => Err(vec![Blocked::NotFound { least: bound }]),
    }
}

/// A score that is good enough whatever else it is.
const NOTHING_ELSE: Score = Score {
    broken: i32::MAX,
    changed: i32::MAX,
    lacking: i32::MAX,
    hand_overs: i32::MAX,
    minutes: i32::MAX,
    out_of_turn: i32::MAX,
};

/// Some rotation of so many rounds; none if none is found.
fn any_in(grid: &Grid<'_>, rounds: usize) -> Option<(Score, Seating)> {
    let effort = Effort::of(grid.question);
    let enough = Score { broken: 0, ..NOTHING_ELSE };
    let weights = Weights { broken: (16, 16), changed: 0, lacking: 0, hand_overs: 0, minutes: 0, out_of_turn: 0 };
    (0..effort.runs)
        .map(|seed| search(grid, rounds, None, Run { steps: effort.any, seed, heat: (30.0, 6.0), weights, enough }))
        .find(|(score, _)| score.broken == 0)
}

/// The best rotation of so many rounds that is found: runs from anew, each followed by a cooler one from the best.
fn best_in(grid: &Grid<'_>, rounds: usize, any: (Score, Seating)) -> (Worth, Vec<Seat>) {
    let effort = Effort::of(grid.question);
    let least = (fit_bound::least_lacking(grid, rounds), if grid.minutes.len() > 1 { grid.least_minutes() } else { 0 });
    let mut enough = Score { broken: 0, changed: 0, lacking: least.0, hand_overs: 0, minutes: least.1, out_of_turn: 0 };
    if grid.question.turns.iter().all(|turn| turn.announced.is_some()) {
        // Nothing is left to choose where all is as it was announced.
        enough = Score { broken: 0, changed: 0, ..NOTHING_ELSE };
    }
    let together = greedy::together(grid, rounds);
    let mut named = name_knives(grid, &any.1);
    let mut best = any;
    let mut spent = 0;
    for seed in 0.. {
        let is_enough = best.0 <= enough && (named.0.hand_overs == 0 || enough.hand_overs > 0);
        let most = if best.0.lacking > enough.lacking { effort.most_for_fit } else { effort.most };
        if is_enough || spent + effort.best > most {
            break;
        }
        let mut keep = |found: (Score, Seating)| {
            // Equal ones are named too: of knives that are alike, another round may leave the same one in the hand.
            if found.0 <= best.0 {
                named = named.clone().min(name_knives(grid, &found.1));
                best = found;
            }
            best.clone()
        };
        let weights = Weights { broken: (32, 96), changed: CHANGED, lacking: 1, hand_overs: 4, minutes: 2, out_of_turn: 2 };
        // A class that does the lesson together has its best after a short, cool run.
        let (start, steps, heat) = match &together {
            Some(start) if seed == 0 => (Some(start), effort.best / SHORT_FIRST, 8.0),
            _ => (None, effort.best, 30.0),
        };
        let (score, seating) = keep(search(grid, rounds, start, Run { steps, seed, heat: (heat, 0.7), weights, enough }));
        spent += steps;
        if score > enough && start.is_none() {
            let weights = Weights { broken: (64, 64), hand_overs: 12, ..weights };
            keep(search(grid, rounds, Some(&seating), Run { steps: effort.best / 4, seed, heat: (8.0, 0.7), weights, enough }));
            spent += effort.best / 4;
        }
    }
    named
}
