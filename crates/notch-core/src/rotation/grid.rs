//! A question laid out for the search: knives that are alike counted, what is asked often looked up.

use std::collections::HashMap;

use super::question::Question;

/// A knife of this kind is not for this turn.
pub(super) const NEVER: u16 = u16::MAX;

/// Knives that every turn takes equally.
#[derive(Clone, Debug, PartialEq, Eq)]
pub(super) struct Alike {
    /// The knives.
    pub knives: Vec<usize>,
}

/// A question laid out for the search.
#[derive(Clone, Debug)]
pub(super) struct Grid<'a> {
    /// The question.
    pub question: &'a Question,
    /// Knives, those that are alike together; without those that nobody may use.
    pub kinds: Vec<Alike>,
    /// Kind of each knife; none where nobody may use it.
    kind_of: Vec<Option<usize>>,
    /// What the fit lacks of 100, at turn × kinds + kind; [`NEVER`] where it may not be used.
    lacking: Vec<u16>,
    /// Kinds that each turn takes, those that fit best first.
    pub options: Vec<Vec<u16>>,
    /// Student of each turn.
    pub student: Vec<u16>,
    /// Watching of each turn.
    pub watch: Vec<u16>,
    /// Place of each turn in the order of the lesson.
    pub place: Vec<u16>,
    /// The different minutes of turns, the shortest first, and which of them each turn takes.
    pub minutes: Vec<u16>,
    pub long: Vec<u16>,
    /// Turns that must lie before others, all in one row, and where those of each turn begin.
    after: Vec<u16>,
    after_from: Vec<u32>,
    /// Most turns in a round.
    pub most_boards: i32,
    /// Most watching in a round.
    pub most_watch: i32,
    /// Round and kind that were announced for each turn.
    announced: Vec<Option<(u16, u16)>>,
    /// Turns of each student.
    pub of_student: Vec<Vec<usize>>,
    /// Rounds that must lie before each turn.
    pub head: Vec<usize>,
    /// Rounds that must lie behind each turn.
    pub tail: Vec<usize>,
    /// Last round of each turn for the sake of what is held behind it; the largest number where nothing is.
    latest: Vec<usize>,
}

impl<'a> Grid<'a> {
    /// Lays out a question, whose prerequisites have no cycle.
    pub fn new(question: &'a Question) -> Grid<'a> {
        let (kinds, kind_of) = alike(question);
        let mut lacking = vec![NEVER; question.turns.len() * kinds.len()];
        let mut options = Vec::new();
        for (index, turn) in question.turns.iter().enumerate() {
            let row = &mut lacking[index * kinds.len()..][..kinds.len()];
            for (knife, fit) in &turn.fits {
                if let Some(kind) = kind_of[*knife] {
                    row[kind] = 100 - u16::from((*fit).min(100));
                }
            }
            let mut taken: Vec<u16> = (0..kinds.len()).filter(|kind| row[*kind] != NEVER).map(|kind| kind as u16).collect();
            taken.sort_by_key(|kind| row[usize::from(*kind)]);
            if let Some(kind) = turn.pin.and_then(|pin| pin.knife).and_then(|knife| kind_of[knife]) {
                taken = vec![kind as u16];
            }
            options.push(taken);
        }
        let mut of_student = vec![Vec::new(); question.students];
        for (index, turn) in question.turns.iter().enumerate() {
            of_student[turn.student].push(index);
        }
        let (head, tail) = heads_and_tails(question, &of_student);
        let turns = question.turns.iter();
        let mut minutes: Vec<u16> = turns.clone().map(|turn| turn.minutes).collect();
        minutes.sort_unstable();
        minutes.dedup();
        let small = |figure: u32| figure.min(u32::from(u16::MAX)) as u16;
        Grid {
            question,
            lacking,
            options,
            student: turns.clone().map(|turn| turn.student as u16).collect(),
            place: turns.clone().map(|turn| turn.place).collect(),
            long: turns.clone().map(|turn| minutes.partition_point(|known| *known < turn.minutes) as u16).collect(),
            minutes,
            watch: turns.clone().map(|turn| small(turn.watch)).collect(),
            after: turns.clone().flat_map(|turn| turn.after.iter().map(|first| *first as u16)).collect(),
            after_from: after_from(question),
            most_boards: i32::from(small(question.boards)),
            most_watch: i32::from(small(question.watch)),
            announced: turns
                .map(|turn| {
                    turn.announced.map(|seat| {
                        (seat.round as u16, kind_of.get(seat.knife).copied().flatten().map_or(NEVER, |kind| kind as u16))
                    })
                })
                .collect(),
            kinds,
            kind_of,
            of_student,
            latest: latest(question),
            head,
            tail,
        }
    }

    /// Turns that must lie before a turn.
    pub fn after(&self, turn: usize) -> &[u16] {
        &self.after[self.after_from[turn] as usize..self.after_from[turn + 1] as usize]
    }

    /// What the fit of a kind lacks; [`NEVER`] where it may not be used.
    pub fn lacking(&self, turn: usize, kind: usize) -> u16 {
        self.lacking[turn * self.kinds.len() + kind]
    }

    /// Minutes below which no rotation can go: those of the student with most to do.
    pub fn least_minutes(&self) -> i32 {
        let of = |turns: &Vec<usize>| turns.iter().map(|turn| i32::from(self.question.turns[*turn].minutes)).sum();
        self.of_student.iter().map(of).max().unwrap_or(0)
    }

    /// How much differs from what was announced: 2 where a turn lies in another round, 1 where it only has another
    /// kind of knife.
    pub fn differs(&self, turn: usize, round: usize, kind: usize) -> i32 {
        match self.announced[turn] {
            Some((announced, _)) if usize::from(announced) != round => 2,
            Some((_, announced)) => i32::from(usize::from(announced) != kind),
            None => 0,
        }
    }

    /// Kind of a knife; none where nobody may use it, or where it is gone.
    pub fn kind_of(&self, knife: usize) -> Option<usize> {
        self.kind_of.get(knife).copied().flatten()
    }

    /// Whether a kind may be used.
    pub fn takes(&self, turn: usize, kind: usize) -> bool {
        self.lacking(turn, kind) != NEVER
    }

    /// First and last round, from 0, that a turn may lie in when there are so many.
    pub fn window(&self, turn: usize, rounds: usize) -> (usize, usize) {
        match self.question.turns[turn].pin {
            Some(pin) => (pin.round, pin.round),
            None => (self.head[turn], rounds.saturating_sub(self.tail[turn] + 1).min(self.latest[turn])),
        }
    }
}

/// Where the turns that must lie before each turn begin in the row of all, and where the row ends.
fn after_from(question: &Question) -> Vec<u32> {
    let mut at = vec![0];
    for turn in &question.turns {
        at.push(at.last().copied().unwrap_or(0) + turn.after.len() as u32);
    }
    at
}

/// Knives with the same fits for the same turns are of one kind.
fn alike(question: &Question) -> (Vec<Alike>, Vec<Option<usize>>) {
    let mut columns: Vec<Vec<(usize, u8)>> = vec![Vec::new(); question.knives];
    for (index, turn) in question.turns.iter().enumerate() {
        for (knife, fit) in &turn.fits {
            columns[*knife].push((index, *fit));
        }
    }
    let mut kinds: Vec<Alike> = Vec::new();
    let mut known: HashMap<&[(usize, u8)], usize> = HashMap::new();
    let mut kind_of = vec![None; question.knives];
    for (knife, column) in columns.iter().enumerate().filter(|(_, column)| !column.is_empty()) {
        let kind = *known.entry(column).or_insert_with(|| {
            kinds.push(Alike { knives: Vec::new() });
            kinds.len() - 1
        });
        kinds[kind].knives.push(knife);
        kind_of[knife] = Some(kind);
    }
    (kinds, kind_of)
}

/// Last round of each turn: its own where it is held, else early enough for what is held and must come after it.
fn latest(question: &Question) -> Vec<usize> {
    let mut latest: Vec<usize> = question.turns.iter().map(|turn| turn.pin.map_or(usize::MAX, |pin| pin.round)).collect();
    // Backwards from each that is held; what is held itself keeps its round.
    let mut open: Vec<usize> = (0..latest.len()).filter(|turn| latest[*turn] < usize::MAX).collect();
    while let Some(later) = open.pop() {
        let before = latest[later].saturating_sub(1);
        for earlier in &question.turns[later].after {
            if question.turns[*earlier].pin.is_none() && before < latest[*earlier] {
                latest[*earlier] = before;
                open.push(*earlier);
            }
        }
    }
    latest
}

/// Rounds that must lie before and behind each turn: what must be done first, and what waits for it, one a round,
/// in chains or side by side. Who comes late begins later.
fn heads_and_tails(question: &Question, of_student: &[Vec<usize>]) -> (Vec<usize>, Vec<usize>) {
    let turns = &question.turns;
    let mut head: Vec<usize> = turns.iter().map(|turn| turn.not_before.max(turn.pin.map_or(0, |pin| pin.round))).collect();
    let mut tail = vec![0; turns.len()];
    for own in of_student {
        // Turns that lead to each turn, directly or not.
        let mut before: Vec<Vec<usize>> = own.iter().map(|turn| turns[*turn].after.clone()).collect();
        // Each pass settles at least one more link of the longest chain.
        for _ in own {
            for (place, later) in own.iter().enumerate() {
                for earlier in &turns[*later].after {
                    head[*later] = head[*later].max(head[*earlier] + 1);
                    tail[*earlier] = tail[*earlier].max(tail[*later] + 1);
                    let further = own.iter().position(|turn| turn == earlier).map(|at| before[at].clone());
                    for turn in further.unwrap_or_default() {
                        if !before[place].contains(&turn) {
                            before[place].push(turn);
                        }
                    }
                }
            }
        }
        for (place, turn) in own.iter().enumerate() {
            head[*turn] = head[*turn].max(before[place].len());
            tail[*turn] = tail[*turn].max(before.iter().filter(|before| before.contains(turn)).count());
        }
    }
    (head, tail)
}
