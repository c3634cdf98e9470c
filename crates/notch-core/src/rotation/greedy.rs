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
