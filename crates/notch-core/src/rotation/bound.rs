//! Rounds below which nobody can go, and why.

use super::grid::Grid;
use super::matching::Places;
use super::question::{Blocked, Bound, BoundBy};

impl Bound {
    /// The best bound that is known without searching.
    pub(super) fn of(grid: &Grid<'_>) -> Bound {
        let mut bound = Bound { rounds: grid.least_windows(), by: BoundBy::Windows };
        for asked in KINDS {
            if let Some(more) = Bound::by(grid, bound.rounds, asked) {
                bound = more;
            }
        }
        bound
    }

    /// Every reason by itself for which so many rounds are too few, each with its own bound; the strongest first.
    pub(super) fn over(grid: &Grid<'_>, rounds: usize) -> Vec<Bound> {
        let windows = Bound { rounds: grid.least_windows(), by: BoundBy::Windows };
        let from = rounds.max(windows.rounds);
        let mut found: Vec<Bound> = (windows.rounds > rounds).then_some(windows).into_iter().collect();
        for asked in KINDS {
            // What follows from the order of things alone is said only where nothing plainer says as much.
            let plainer = found.iter().map(|bound| bound.rounds).max().unwrap_or(0);
            let own = Bound::by(grid, from, asked);
            found.extend(own.filter(|own| own.by != BoundBy::Order || own.rounds > plainer));
        }
        found.sort_by_key(|bound| std::cmp::Reverse(bound.rounds));
        found
    }

    /// What is held that tightly that no number of rounds would do.
    pub(super) fn held(grid: &Grid<'_>) -> Option<Blocked> {
        let turns = &grid.question.turns;
        let last_pin = turns.iter().filter_map(|turn| turn.pin).map(|pin| pin.round + 1).max()?;
        let latest = turns.iter().map(|turn| turn.not_before).max().unwrap_or(0);
        let TooMany { turns, by } = KINDS.iter().find_map(|asked| asked(grid, turns.len() + last_pin + latest))?;
        Some(Blocked::Held { turns, by })
    }

    /// The bound that one way of asking shows, where it is beyond `rounds`.
    fn by(grid: &Grid<'_>, rounds: usize, asked: Asked) -> Option<Bound> {
        let mut by = asked(grid, rounds)?.by;
        // Too few, and enough: between them the fewest is sought by halves.
        let (mut few, mut many) = (rounds, rounds + grid.question.turns.len());
        while many - few > 1 {
            let middle = few.midpoint(many);
            match asked(grid, middle) {
                Some(still) => (few, by) = (middle, still.by),
                None => many = middle,
            }
        }
        Some(Bound { rounds: many, by })
    }
}

/// Turns that are too many for the rounds that they may lie in, and what these have too little of.
struct TooMany {
    turns: Vec<usize>,
    by: BoundBy,
}

/// One way of showing that so many rounds are too few. More rounds never bring it back, and as many rounds as there
/// are turns, behind the latest that must wait, always do where nothing is held.
type Asked = fn(&Grid<'_>, usize) -> Option<TooMany>;

/// The ways, the plainest first.
const KINDS: [Asked; 5] = [
    |grid, rounds| grid.student_cannot(rounds),
    |grid, rounds| {
        let turns = grid.sum_cannot(rounds, grid.question.boards, |_| 1)?;
        Some(TooMany { turns, by: BoundBy::Boards })
    },
    |grid, rounds| {
        let turns = grid.sum_cannot(rounds, grid.question.watch, |turn| grid.question.turns[turn].watch)?;
        Some(TooMany { turns, by: BoundBy::Watch })
    },
    |grid, rounds| grid.knives_cannot(rounds),
    |grid, rounds| grid.order_cannot(rounds),
];

impl Grid<'_> {
    /// Rounds that the windows alone ask for.
    fn least_windows(&self) -> usize {
        let turns = 0..self.question.turns.len();
        turns
            .map(|turn| match self.question.turns[turn].pin {
                Some(pin) => pin.round + 1,
                None => self.head[turn] + self.tail[turn] + 1,
            })
            .max()
            .unwrap_or(0)
    }

    /// Whether a turn must lie within a span of rounds.
    fn inside(&self, turn: usize, rounds: usize, (from, to): (usize, usize)) -> bool {
        let (first, last) = self.window(turn, rounds);
        from <= first && last <= to
    }

    /// Turns that must lie within a span.
    fn within(&self, rounds: usize, span: (usize, usize)) -> Vec<usize> {
        (0..self.question.turns.len()).filter(|turn| self.inside(*turn, rounds, span)).collect()
    }

    /// A student with more turns than rounds to do them in.
    fn student_cannot(&self, rounds: usize) -> Option<TooMany> {
        let spans = self.spans(rounds);
        self.of_student.iter().enumerate().find_map(|(student, own)| {
            spans.iter().find_map(|span| {
                let turns: Vec<usize> = own.iter().copied().filter(|turn| self.inside(*turn, rounds, *span)).collect();
                (turns.len() > width(*span)).then_some(TooMany { turns, by: BoundBy::Student { student } })
            })
        })
    }

    /// Turns that must lie in some span of rounds and are together more than `limit` for each of them.
    fn sum_cannot(&self, rounds: usize, limit: u32, of: impl Fn(usize) -> u32) -> Option<Vec<usize>> {
        self.spans(rounds).into_iter().find_map(|span| {
            let turns = self.within(rounds, span);
            let sum: usize = turns.iter().map(|turn| of(*turn) as usize).sum();
            (sum > width(span) * limit as usize).then_some(turns)
        })
    }

    /// Turns for which there are too few knives in their rounds together.
    fn knives_cannot(&self, rounds: usize) -> Option<TooMany> {
        let kinds = self.kinds.len();
        let mut places = Places::new((0..rounds).flat_map(|_| self.kinds.iter().map(|kind| kind.knives.len())).collect());
        for turn in 0..self.question.turns.len() {
            let (first, last) = self.window(turn, rounds);
            let may =
                (first..=last).flat_map(|round| self.options[turn].iter().map(move |kind| round * kinds + usize::from(*kind)));
            if let Err(crowd) = places.seat(may.collect()) {
                let mut knives: Vec<usize> =
                    crowd.places.iter().flat_map(|place| self.kinds[place % kinds].knives.iter().copied()).collect();
                knives.sort_unstable();
                knives.dedup();
                let by = BoundBy::Knives { turns: crowd.guests.clone(), knives };
                return Some(TooMany { turns: crowd.guests, by });
            }
        }
        None
    }

    /// Turns of some span whose rounds take fewer than must lie in it: each student once, each knife once, each board
    /// once, and only what may lie there.
    fn order_cannot(&self, rounds: usize) -> Option<TooMany> {
        let takes: Vec<usize> = (0..rounds).map(|round| self.takes_in(round, rounds)).collect();
        self.spans(rounds).into_iter().find_map(|(from, to)| {
            let turns = self.within(rounds, (from, to));
            (turns.len() > takes[from..=to].iter().sum()).then_some(TooMany { turns, by: BoundBy::Order })
        })
    }

    /// Spans of rounds that some turns must wholly lie in: from where some begin to where some end.
    fn spans(&self, rounds: usize) -> Vec<(usize, usize)> {
        let windows = || (0..self.question.turns.len()).map(|turn| self.window(turn, rounds));
        let (mut firsts, mut lasts): (Vec<usize>, Vec<usize>) = windows().unzip();
        firsts.sort_unstable();
        firsts.dedup();
        lasts.sort_unstable();
        lasts.dedup();
        firsts.iter().flat_map(|from| lasts.iter().filter(move |to| from <= *to).map(move |to| (*from, *to))).collect()
    }

    /// Most turns that one round takes.
    fn takes_in(&self, round: usize, rounds: usize) -> usize {
        let mut places = Places::new(self.kinds.iter().map(|kind| kind.knives.len()).collect());
        let seated = self.of_student.iter().filter(|turns| {
            let here = turns.iter().filter(|turn| {
                let (first, last) = self.window(**turn, rounds);
                (first..=last).contains(&round)
            });
            let mut may: Vec<usize> = here.flat_map(|turn| self.options[*turn].iter().map(|kind| usize::from(*kind))).collect();
            may.sort_unstable();
            may.dedup();
            places.seat(may).is_ok()
        });
        seated.count().min(self.question.boards as usize)
    }
}

/// Rounds of a span.
fn width((from, to): (usize, usize)) -> usize {
    to - from + 1
}
