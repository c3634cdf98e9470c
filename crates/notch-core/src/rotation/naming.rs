//! Which knife it is, once rounds and kinds stand: the one in the hand stays there.

use super::grid::Grid;
use super::question::{Seat, Worth};
use super::search::Seating;

/// How often naming is tried, each time with other knives first where all are equal.
const TRIES: usize = 24;

/// Names the knives of a seating, with as few hand-overs as is found.
pub(super) fn name_knives(grid: &Grid<'_>, seating: &Seating) -> (Worth, Vec<Seat>) {
    let name = |turned| {
        let seats = name_once(grid, seating, turned);
        (grid.question.worth(&seats), seats)
    };
    let mut best = name(0);
    for turned in 1..TRIES {
        if best.0.hand_overs == 0 && best.0.changed == 0 {
            break;
        }
        best = best.min(name(turned));
    }
    best
}

/// Names the knives of a seating.
///
/// Round by round: pinned and announced knives, then the knife that a student had before, then one that nobody
/// who rests will want back, or the one that is wanted back latest; of those one that is out already.
fn name_once(grid: &Grid<'_>, seating: &Seating, turned: usize) -> Vec<Seat> {
    let turns = grid.question.turns.len();
    let round = |turn: usize| usize::from(seating.round[turn]);
    let kind = |turn: usize| usize::from(seating.kind[turn]);
    let mut before = vec![None; turns];
    let mut after = vec![None; turns];
    for turns in &grid.of_student {
        let mut order = turns.clone();
        order.sort_by_key(|turn| round(*turn));
        for pair in order.windows(2).filter(|pair| kind(pair[0]) == kind(pair[1])) {
            before[pair[1]] = Some(pair[0]);
            after[pair[0]] = Some(pair[1]);
        }
    }
    let mut named: Vec<Option<usize>> = vec![None; turns];
    let mut order: Vec<usize> = (0..turns).collect();
    order.sort_by_key(|turn| round(*turn));
    for at_once in order.chunk_by(|a, b| round(*a) == round(*b)) {
        for wish in [Wish::Held, Wish::Before, Wish::Any] {
            for turn in at_once {
                if named[*turn].is_some() {
                    continue;
                }
                let free = |knife: &usize| at_once.iter().all(|other| named[*other] != Some(*knife));
                named[*turn] = match wish {
                    Wish::Held => held(grid, *turn, round(*turn)).filter(|knife| grid.kind_of(*knife) == Some(kind(*turn))),
                    Wish::Before => before[*turn].and_then(|before: usize| named[before]),
                    Wish::Any => {
                        // When a knife is wanted back: by a turn behind this one, whose student had it last.
                        let wanted = |knife: &usize| {
                            let back = order.iter().filter(|other| round(**other) > round(*turn));
                            let back = back.filter(|other| before[**other].is_some_and(|last| named[last] == Some(*knife)));
                            back.map(|other| round(*other)).min().unwrap_or(usize::MAX)
                        };
                        let knives = grid.kinds[kind(*turn)].knives.iter().copied().filter(free);
                        let is_out = |knife: &usize| named.contains(&Some(*knife));
                        // Another try begins with another knife of those that are alike, and of each round another.
                        let place = |knife: &usize| match turned {
                            0 => 0,
                            _ => (knife + turned * (1 + turn % 3)) % (turned % 5 + 2),
                        };
                        knives.max_by_key(|knife| (wanted(knife), is_out(knife), place(knife), usize::MAX - knife))
                    }
                }
                .filter(free);
            }
        }
    }
    let seats = named.iter().enumerate().map(|(turn, knife)| Seat { round: round(turn), knife: knife.unwrap_or(0) });
    seats.collect()
}

/// Whose knife a turn gets first.
#[derive(Clone, Copy)]
enum Wish {
    Held,
    Before,
    Any,
}

/// The knife that is pinned, or was announced for this round.
fn held(grid: &Grid<'_>, turn: usize, round: usize) -> Option<usize> {
    let asked = &grid.question.turns[turn];
    let pinned = asked.pin.and_then(|pin| pin.knife);
    pinned.or_else(|| asked.announced.filter(|seat| seat.round == round).map(|seat| seat.knife))
}
