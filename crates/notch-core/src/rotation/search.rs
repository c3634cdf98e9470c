//! The search: simulated annealing (Kirkpatrick 1983) over rounds and kinds of knives, seeded by the question alone.
//!
//! A step moves a turn into another round, where the student's turn of that round takes its place, or gives it
//! another knife. What must hold is weighed like the rest, only heavier, so that the search can pass through
//! what is not allowed; the best that breaks nothing is kept.

use rand::{Rng, SeedableRng};
use rand_xoshiro::Xoshiro256PlusPlus;

use super::grid::Grid;

/// No turn.
const NONE: u16 = u16::MAX;

/// What one too many of each costs.
const OVER_KNIVES: i32 = 60;
const OVER_BOARDS: i32 = 60;
const OVER_WATCH: i32 = 35;
const OUT_OF_ORDER: i32 = 70;

/// Of sixteen steps those that change a kind, and behind them those that swap two turns; the others move one.
const KINDS: u32 = 4;
const SWAPS: u32 = 7;

/// Steps at one heat.
const STEPS_AT_ONCE: u32 = 256;

/// What a plan of the search is worth, in its order.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, PartialOrd, Ord)]
pub(super) struct Score {
    /// What breaks a rule.
    pub broken: i32,
    /// What differs from what was announced.
    pub changed: i32,
    /// What the fits lack.
    pub lacking: i32,
    /// Knives laid down although they would do.
    pub hand_overs: i32,
    /// Minutes of all rounds.
    pub minutes: i32,
    /// Turns before what stands earlier in the lesson.
    pub out_of_turn: i32,
}

/// What each part of a score counts beside the others while searching.
#[derive(Clone, Copy, Debug)]
pub(super) struct Weights {
    /// What breaks a rule, at the start and at the end of the run, in sixteenths.
    pub broken: (i32, i32),
    /// What differs from what was announced.
    pub changed: i32,
    /// What the fits lack.
    pub lacking: i32,
    /// Knives laid down although they would do.
    pub hand_overs: i32,
    /// Minutes of all rounds.
    pub minutes: i32,
    /// Turns before what stands earlier in the lesson.
    pub out_of_turn: i32,
}

impl Weights {
    fn sum(&self, score: Score, strict: i32) -> i32 {
        score.broken * strict / 16
            + score.changed * self.changed
            + score.lacking * self.lacking
            + score.hand_overs * self.hand_overs
            + score.minutes * self.minutes
            + score.out_of_turn * self.out_of_turn
    }
}

/// Round and kind of each turn.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub(super) struct Seating {
    /// Round of each turn.
    pub round: Vec<u16>,
    /// Kind of knife of each turn.
    pub kind: Vec<u16>,
}

/// How a run is made.
#[derive(Clone, Copy, Debug)]
pub(super) struct Run {
    /// Steps.
    pub steps: u32,
    /// Which run it is.
    pub seed: u64,
    /// Heat at the start and at the end, on the scale on which a fit lacks 0 to 100.
    pub heat: (f32, f32),
    /// What counts how much.
    pub weights: Weights,
    /// What is good enough: the search ends there.
    pub enough: Score,
}

/// What concerns the order of one student's turns.
#[derive(Clone, Copy, Debug, Default)]
struct OrderScore {
    hand_overs: i32,
    out_of_turn: i32,
    out_of_order: i32,
}

/// The room as it fills.
struct Room<'a> {
    grid: &'a Grid<'a>,
    rounds: usize,
    kinds: usize,
    /// Window of each turn.
    windows: Vec<(u16, u16)>,
    now: Seating,
    /// Turn of a student in a round, at student × rounds + round.
    sits: Vec<u16>,
    /// How many more turns may have a kind in a round, at round × kinds + kind.
    spare: Vec<i16>,
    boards: Vec<i32>,
    watch: Vec<i32>,
    /// Turns of a round that take so many minutes, at round × different minutes + which.
    long: Vec<u16>,
    order: Vec<OrderScore>,
    score: Score,
}

/// Searches for the best seating in so many rounds, from one that is given or else from where the turns were
/// announced.
pub(super) fn search(grid: &Grid<'_>, rounds: usize, start: Option<&Seating>, run: Run) -> (Score, Seating) {
    let mut random = Xoshiro256PlusPlus::seed_from_u64(run.seed);
    let mut room = Room::empty(grid, rounds);
    match start {
        Some(start) => room.seat(start),
        None => room.fill(&mut random),
    }
    let mut best = (room.score, room.now.clone());
    let turns = grid.question.turns.len() as u32;
    if turns == 0 || best.0 <= run.enough {
        return best;
    }
    let parts = (run.steps / STEPS_AT_ONCE).max(1);
    let cooling = (run.heat.1 / run.heat.0).powf(1.0 / parts as f32);
    let mut heat = run.heat.0;
    for part in 0..parts {
        let (loose, strict) = run.weights.broken;
        let strict = loose + (strict - loose) * part as i32 / parts as i32;
        for _ in 0..STEPS_AT_ONCE {
            let turn = random.random_range(0..turns) as usize;
            let Some(step) = room.step(turn, &mut random) else { continue };
            let worse = run.weights.sum(room.score, strict) - run.weights.sum(step.score, strict);
            if worse > 0 && random.random::<f32>() >= libm::expf(-(worse as f32) / heat) {
                room.undo(&step);
                continue;
            }
            if room.score < best.0 {
                best.0 = room.score;
                best.1.clone_from(&room.now);
                if best.0 <= run.enough {
                    return best;
                }
            }
        }
        heat *= cooling;
    }
    best
}

/// Most turns that one step moves.
const MOST_MOVED: usize = 4;

/// A step that was made: where the turns were that it moved, and the orders of their two students.
#[derive(Clone, Copy)]
struct Step {
    moved: [(u16, u16, u16); MOST_MOVED],
    count: usize,
    students: [u16; 2],
    orders: [OrderScore; 2],
    score: Score,
}

impl<'a> Room<'a> {
    /// An empty room.
    fn empty(grid: &'a Grid<'a>, rounds: usize) -> Room<'a> {
        let turns = grid.question.turns.len();
        let room = grid.kinds.iter().map(|kind| kind.knives.len() as i16);
        Room {
            grid,
            rounds,
            kinds: grid.kinds.len(),
            windows: (0..turns).map(|turn| grid.window(turn, rounds)).map(|(first, last)| (first as u16, last as u16)).collect(),
            now: Seating { round: vec![NONE; turns], kind: vec![0; turns] },
            sits: vec![NONE; grid.of_student.len() * rounds],
            spare: room.collect::<Vec<_>>().repeat(rounds),
            boards: vec![0; rounds],
            watch: vec![0; rounds],
            long: vec![0; rounds * grid.minutes.len()],
            order: vec![OrderScore::default(); grid.of_student.len()],
            score: Score::default(),
        }
    }

    /// Fills a room as a seating says.
    fn seat(&mut self, seating: &Seating) {
        for (turn, (round, kind)) in seating.round.iter().zip(&seating.kind).enumerate() {
            self.place(turn, usize::from(*round), *kind);
        }
        for student in 0..self.grid.of_student.len() {
            self.score_order(student);
        }
    }

    /// Fills a room: each turn in a round of its window, in a kind that fits best; announced ones where they were.
    fn fill(&mut self, random: &mut Xoshiro256PlusPlus) {
        for student in 0..self.grid.of_student.len() {
            self.fill_student(student, random);
            self.score_order(student);
        }
    }

    /// Places the turns of a student: announced ones where they were, the others somewhere in their windows.
    fn fill_student(&mut self, student: usize, random: &mut Xoshiro256PlusPlus) {
        let mut turns = self.grid.of_student[student].clone();
        turns.sort_by_key(|turn| self.grid.question.turns[*turn].announced.is_none());
        let rounds = self.loose_rounds(&turns, random).unwrap_or_else(|| self.earliest_rounds(&turns));
        for (turn, round) in turns.into_iter().zip(rounds) {
            let announced = self.grid.question.turns[turn].announced;
            let kind = announced.and_then(|seat| self.grid.kind_of(seat.knife)).filter(|kind| self.grid.takes(turn, *kind));
            let kind = kind.map_or_else(|| self.kind_for(turn, round, random), |kind| kind as u16);
            self.place(turn, round, kind);
        }
    }

    /// A free round for each turn, announced ones or any; none where that leaves a turn without one.
    fn loose_rounds(&self, turns: &[usize], random: &mut Xoshiro256PlusPlus) -> Option<Vec<usize>> {
        let mut found: Vec<usize> = Vec::new();
        for turn in turns {
            let (first, last) = self.grid.window(*turn, self.rounds);
            let announced = self.grid.question.turns[*turn].announced.map(|seat| seat.round);
            let start = random.random_range(first as u32..=last as u32) as usize;
            let mut around = announced.into_iter().chain(start..=last).chain(first..start);
            found.push(around.find(|round| (first..=last).contains(round) && !found.contains(round))?);
        }
        Some(found)
    }

    /// A round for each turn, so that all lie in their windows: round by round whichever must be done soonest.
    fn earliest_rounds(&self, turns: &[usize]) -> Vec<usize> {
        let mut found = vec![usize::MAX; turns.len()];
        for round in 0..self.rounds {
            let open = turns.iter().enumerate().filter(|(place, _)| found[*place] == usize::MAX);
            let may =
                open.map(|(place, turn)| (place, self.grid.window(*turn, self.rounds))).filter(|(_, (first, _))| *first <= round);
            if let Some((place, _)) = may.min_by_key(|(_, (_, last))| *last) {
                found[place] = round;
            }
        }
        found
    }

    /// A kind for a turn in a round: a free one that fits best; now and then any.
    fn kind_for(&self, turn: usize, round: usize, random: &mut Xoshiro256PlusPlus) -> u16 {
        let options = &self.grid.options[turn];
        let many = options.len() as u32;
        if many == 1 {
            return options[0];
        }
        let chance = random.random::<u32>();
        let start = ((u64::from(chance >> 3) * u64::from(many)) >> 29) as usize;
        if chance % 8 == 0 {
            return options[start];
        }
        let cost = |kind: u16| {
            let kind = usize::from(kind);
            let over = self.spare[round * self.kinds + kind] <= 0;
            i32::from(self.grid.lacking(turn, kind)) + if over { OVER_KNIVES } else { 0 }
        };
        let mut best = (i32::MAX, options[start]);
        for kind in options[start..].iter().chain(&options[..start]) {
            let found = cost(*kind);
            if found < best.0 {
                best = (found, *kind);
            }
        }
        best.1
    }

    /// Begins a step that moves turns of one student, or of two.
    fn begin(&self, student: usize, other: usize) -> Step {
        Step {
            moved: [(0, 0, 0); MOST_MOVED],
            count: 0,
            students: [student as u16, other as u16],
            orders: [self.order[student], self.order[other]],
            score: self.score,
        }
    }

    /// Lifts a turn out, to be placed elsewhere by this step.
    fn lift(&mut self, step: &mut Step, turn: usize) {
        step.moved[step.count] = (turn as u16, self.now.round[turn], self.now.kind[turn]);
        step.count += 1;
        self.take(turn);
    }

    /// Ends a step.
    fn end(&mut self, step: Step) -> Option<Step> {
        self.score_order(usize::from(step.students[0]));
        if step.students[0] != step.students[1] {
            self.score_order(usize::from(step.students[1]));
        }
        Some(step)
    }

    /// Makes one step; none where the turn cannot be moved that way.
    fn step(&mut self, turn: usize, random: &mut Xoshiro256PlusPlus) -> Option<Step> {
        match random.random::<u32>() % 16 {
            0..KINDS => self.other_kind(turn, random),
            KINDS..SWAPS => self.swap(turn, random),
            _ => self.other_round(turn, random),
        }
    }

    /// Gives a turn another kind.
    fn other_kind(&mut self, turn: usize, random: &mut Xoshiro256PlusPlus) -> Option<Step> {
        let grid = self.grid;
        let options = &grid.options[turn];
        let kind = options[random.random_range(0..options.len() as u32) as usize];
        if kind == self.now.kind[turn] {
            return None;
        }
        let student = usize::from(grid.student[turn]);
        let round = usize::from(self.now.round[turn]);
        let mut step = self.begin(student, student);
        self.lift(&mut step, turn);
        self.place(turn, round, kind);
        self.end(step)
    }

    /// Moves a turn into another round; the student's turn there, if any, takes its place.
    fn other_round(&mut self, turn: usize, random: &mut Xoshiro256PlusPlus) -> Option<Step> {
        let student = usize::from(self.grid.student[turn]);
        let from = usize::from(self.now.round[turn]);
        let (first, last) = self.windows[turn];
        let to = usize::from(random.random_range(first..=last));
        if to == from {
            return None;
        }
        let other = self.sits[student * self.rounds + to];
        if other != NONE && !self.may_lie(usize::from(other), from) {
            return None;
        }
        let mut step = self.begin(student, student);
        self.lift(&mut step, turn);
        if other != NONE {
            let other = usize::from(other);
            self.lift(&mut step, other);
            let kind = self.kind_for(other, from, random);
            self.place(other, from, kind);
        }
        let kind = self.kind_for(turn, to, random);
        self.place(turn, to, kind);
        self.end(step)
    }

    /// Swaps two turns of two students: their rounds, or in one round their kinds.
    fn swap(&mut self, turn: usize, random: &mut Xoshiro256PlusPlus) -> Option<Step> {
        let grid = self.grid;
        let other = random.random_range(0..grid.student.len() as u32) as usize;
        let (student, stranger) = (usize::from(grid.student[turn]), usize::from(grid.student[other]));
        let (from, to) = (usize::from(self.now.round[turn]), usize::from(self.now.round[other]));
        let (kind, kind_there) = (self.now.kind[turn], self.now.kind[other]);
        if student == stranger || from == to && kind == kind_there || !self.may_lie(turn, to) || !self.may_lie(other, from) {
            return None;
        }
        let exchange = grid.takes(turn, usize::from(kind_there)) && grid.takes(other, usize::from(kind));
        if from == to && !exchange {
            return None;
        }
        let in_the_way = [(student, to, from), (stranger, from, to)].map(|(student, at, back)| {
            let sits = self.sits[student * self.rounds + at];
            (from != to && sits != NONE).then_some((usize::from(sits), back))
        });
        if in_the_way.iter().flatten().any(|(turn, back)| !self.may_lie(*turn, *back)) {
            return None;
        }
        let mut step = self.begin(student, stranger);
        self.lift(&mut step, turn);
        self.lift(&mut step, other);
        for (turn, _) in in_the_way.iter().flatten() {
            self.lift(&mut step, *turn);
        }
        let (new, new_there) = if exchange { (kind_there, kind) } else { (self.kind_for(turn, to, random), NONE) };
        self.place(turn, to, new);
        let new_there = if new_there == NONE { self.kind_for(other, from, random) } else { new_there };
        self.place(other, from, new_there);
        for (turn, back) in in_the_way.into_iter().flatten() {
            let kind = self.kind_for(turn, back, random);
            self.place(turn, back, kind);
        }
        self.end(step)
    }

    /// Whether a turn may lie in a round.
    fn may_lie(&self, turn: usize, round: usize) -> bool {
        let (first, last) = self.windows[turn];
        (usize::from(first)..=usize::from(last)).contains(&round)
    }

    /// Takes a step back.
    fn undo(&mut self, step: &Step) {
        let moved = &step.moved[..step.count];
        for (turn, ..) in moved {
            self.take(usize::from(*turn));
        }
        for (turn, round, kind) in moved {
            self.place(usize::from(*turn), usize::from(*round), *kind);
        }
        for (student, order) in step.students.iter().zip(step.orders) {
            self.order[usize::from(*student)] = order;
        }
        self.score = step.score;
    }

    /// Puts a turn into a round with a kind.
    fn place(&mut self, turn: usize, round: usize, kind: u16) {
        let grid = self.grid;
        let k = usize::from(kind);
        self.now.round[turn] = round as u16;
        self.now.kind[turn] = kind;
        self.sits[usize::from(grid.student[turn]) * self.rounds + round] = turn as u16;
        let spare = &mut self.spare[round * self.kinds + k];
        *spare -= 1;
        self.boards[round] += 1;
        let watch = i32::from(grid.watch[turn]);
        self.watch[round] += watch;
        self.score.broken += OVER_KNIVES * i32::from(*spare < 0)
            + OVER_BOARDS * i32::from(self.boards[round] > grid.most_boards)
            + OVER_WATCH * (self.watch[round] - grid.most_watch).clamp(0, watch);
        self.score.lacking += i32::from(grid.lacking(turn, k));
        self.score.changed += grid.differs(turn, round, k);
        self.count_minutes(turn, round, 1);
    }

    /// Counts a turn into the minutes of a round, or with -1 out of them.
    fn count_minutes(&mut self, turn: usize, round: usize, more: i16) {
        let many = self.grid.minutes.len();
        if many < 2 {
            return;
        }
        let here = &mut self.long[round * many..][..many];
        let longest = |here: &[u16]| here.iter().rposition(|count| *count > 0).map_or(0, |at| i32::from(self.grid.minutes[at]));
        let before = longest(here);
        let count = &mut here[usize::from(self.grid.long[turn])];
        *count = count.wrapping_add_signed(more);
        self.score.minutes += longest(here) - before;
    }

    /// Takes a turn out.
    fn take(&mut self, turn: usize) {
        let grid = self.grid;
        let (round, k) = (usize::from(self.now.round[turn]), usize::from(self.now.kind[turn]));
        self.sits[usize::from(grid.student[turn]) * self.rounds + round] = NONE;
        let spare = &mut self.spare[round * self.kinds + k];
        let watch = i32::from(grid.watch[turn]);
        self.score.broken -= OVER_KNIVES * i32::from(*spare < 0)
            + OVER_BOARDS * i32::from(self.boards[round] > grid.most_boards)
            + OVER_WATCH * (self.watch[round] - grid.most_watch).clamp(0, watch);
        *spare += 1;
        self.boards[round] -= 1;
        self.watch[round] -= watch;
        self.score.lacking -= i32::from(grid.lacking(turn, k));
        self.score.changed -= grid.differs(turn, round, k);
        self.count_minutes(turn, round, -1);
    }

    /// Scores anew what concerns the order of one student's turns.
    fn score_order(&mut self, student: usize) {
        let sits = &self.sits[student * self.rounds..][..self.rounds];
        let mut last = NONE;
        let mut found = OrderScore::default();
        for turn in sits.iter().copied().filter(|turn| *turn != NONE) {
            let now = usize::from(turn);
            if last != NONE {
                let before = self.now.kind[usize::from(last)];
                let changes = before != self.now.kind[now];
                found.hand_overs += i32::from(changes && self.grid.takes(now, usize::from(before)));
                found.out_of_turn += i32::from(self.grid.place[now] < self.grid.place[usize::from(last)]);
            }
            for first in self.grid.after(now) {
                found.out_of_order += i32::from(self.now.round[usize::from(*first)] >= self.now.round[now]);
            }
            last = turn;
        }
        let before = std::mem::replace(&mut self.order[student], found);
        self.score.hand_overs += found.hand_overs - before.hand_overs;
        self.score.out_of_turn += found.out_of_turn - before.out_of_turn;
        self.score.broken += (found.out_of_order - before.out_of_order) * OUT_OF_ORDER;
    }
}
