//! A rotation by hand: round after round, whoever is most behind takes the best free knife. It is never a good one,
//! but there is always one where nothing is pinned.

use super::grid::Grid;
use super::search::Seating;

/// Fills round after round; none where pins leave something over.
pub(super) fn fill(grid: &Grid<'_>) -> Option<(usize, Seating)> {
    let turns = &grid.question.turns;
    let mut seating = Seating { round: vec![u16::MAX; turns.len()], kind: vec![0; turns.len()] };
    let mut order: Vec<usize> = (0..turns.len()).collect();
    order.sort_by_key(|turn| (turns[*turn].pin.is_none(), usize::MAX - grid.tail[*turn]));
    let last_pin = turns.iter().filter_map(|turn| turn.pin).map(|pin| pin.round + 1).max().unwrap_or(0);
    let latest = turns.iter().map(|turn| turn.not_before).max().unwrap_or(0);
    let most = turns.len() + last_pin + latest;
    for round in 0..most {
        let (mut boards, mut watch) = (grid.question.boards, grid.question.watch);
        let mut busy = vec![false; grid.of_student.len()];
        let mut free: Vec<usize> = grid.kinds.iter().map(|kind| kind.knives.len()).collect();
        for &turn in &order {
            let asked = &turns[turn];
            let ready = seating.round[turn] == u16::MAX
                && round >= grid.head[turn]
                && asked.pin.is_none_or(|pin| pin.round == round)
                && asked.after.iter().all(|first| usize::from(seating.round[*first]) < round);
            if !ready || busy[asked.student] || boards == 0 || watch < asked.watch {
                continue;
            }
            let Some(kind) = grid.options[turn].iter().copied().find(|kind| free[usize::from(*kind)] > 0) else { continue };
            free[usize::from(kind)] -= 1;
            boards -= 1;
            watch -= asked.watch;
            busy[asked.student] = true;
            seating.round[turn] = round as u16;
            seating.kind[turn] = kind;
        }
    }
    let rounds = seating.round.iter().map(|round| usize::from(*round) + 1).max().unwrap_or(0);
    (rounds <= most).then_some((rounds, seating))
}

/// The class together: each student does what stands first in the lesson first, with the knife that fits best. It is
/// where a search begins, and may want more knives or boards than there are; none where a student's turns do not lie
/// in their rounds like that.
pub(super) fn together(grid: &Grid<'_>, rounds: usize) -> Option<Seating> {
    let turns = grid.question.turns.len();
    let mut seating = Seating { round: vec![0; turns], kind: vec![0; turns] };
    for own in &grid.of_student {
        let mut order = own.clone();
        order.sort_by_key(|turn| (grid.place[*turn], *turn));
        let mut next = 0;
        for turn in order {
            let (first, last) = grid.window(turn, rounds);
            let round = first.max(next);
            if round > last {
                return None;
            }
            next = round + 1;
            seating.round[turn] = u16::try_from(round).ok()?;
            seating.kind[turn] = *grid.options[turn].first()?;
        }
        let early =
            |turn: &usize| grid.after(*turn).iter().any(|before| seating.round[usize::from(*before)] >= seating.round[*turn]);
        if own.iter().any(early) {
            return None;
        }
    }
    Some(seating)
}
