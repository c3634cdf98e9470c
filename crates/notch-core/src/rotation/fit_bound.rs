//! How well the knives could fit at best: each turn gets a knife in some round, each knife once a round, and what
//! students, boards and watching ask is left out. Without those the figure is exact (assignment by Kuhn and Munkres).

use pathfinding::kuhn_munkres::{Weights, kuhn_munkres};

use super::grid::{Grid, NEVER};

/// A place for a turn that no knife is left for; it costs more than any fit.
const NO_KNIFE: i32 = -1_000_000;

/// Turns against knives in rounds.
struct Table<'a> {
    grid: &'a Grid<'a>,
    windows: Vec<(usize, usize)>,
    /// Round and kind of each place.
    places: Vec<(usize, usize)>,
    columns: usize,
    /// The sign of the weights.
    sign: i32,
}

impl Weights<i32> for Table<'_> {
    fn rows(&self) -> usize {
        self.windows.len()
    }

    fn columns(&self) -> usize {
        self.columns
    }

    fn at(&self, turn: usize, place: usize) -> i32 {
        let Some((round, kind)) = self.places.get(place) else { return NO_KNIFE };
        let (first, last) = self.windows[turn];
        let lacking = self.grid.lacking(turn, *kind);
        let never = lacking == NEVER || !(first..=last).contains(round);
        self.sign * if never { NO_KNIFE } else { -i32::from(lacking) }
    }

    fn neg(&self) -> Self {
        Table {
            grid: self.grid,
            windows: self.windows.clone(),
            places: self.places.clone(),
            columns: self.columns,
            sign: -self.sign,
        }
    }
}

/// Beyond so many turns times places the figure is not worked out: it takes longer than the search itself.
const MOST: usize = 300_000;

/// The least that the fits of a rotation of so many rounds lack; 0 where that would take too long.
pub(super) fn least_lacking(grid: &Grid<'_>, rounds: usize) -> i32 {
    let turns = grid.question.turns.len();
    let in_a_round = grid.kinds.iter().enumerate().flat_map(|(kind, alike)| alike.knives.iter().map(move |_| kind));
    let places: Vec<(usize, usize)> = (0..rounds).flat_map(|round| in_a_round.clone().map(move |kind| (round, kind))).collect();
    let windows = (0..turns).map(|turn| grid.window(turn, rounds)).collect();
    let columns = places.len().max(turns);
    if turns * columns > MOST {
        return 0;
    }
    let (sum, _) = kuhn_munkres(&Table { grid, windows, places, columns, sign: 1 });
    -sum
}
