//! What a rotation is asked with, in plain numbers: nothing here knows what a student or a knife is.

/// One student's exercise, which is to be done once.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Turn {
    /// Who does it: below [`Question::students`].
    pub student: usize,
    /// How much of the watching it takes.
    pub watch: u32,
    /// Turns of the same student that must lie in earlier rounds.
    pub after: Vec<usize>,
    /// Knives that may be used, each with how well it fits, 0 to 100.
    pub fits: Vec<(usize, u8)>,
    /// Where it stands in the order in which a class would do it together; all 0 where there is none.
    pub place: u16,
    /// Minutes that it takes; all 0 where that is no matter.
    pub minutes: u16,
    /// First round that it may lie in, from 0: for who comes late.
    pub not_before: usize,
    /// Where it is held.
    pub pin: Option<Pin>,
    /// Where it stood in the rotation that was announced; a knife that is gone has a number past the last.
    pub announced: Option<Seat>,
}

/// A turn that is held in its round, with its knife where one is named.
#[derive(Clone, Copy, Debug, PartialEq, Eq)]
pub struct Pin {
    /// Round, from 0.
    pub round: usize,
    /// Knife, where it is held too.
    pub knife: Option<usize>,
}

/// Round and knife of a turn.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub struct Seat {
    /// Round, from 0.
    pub round: usize,
    /// Knife: below [`Question::knives`].
    pub knife: usize,
}

/// Who has to do what with which knives, in a room of so many boards with so much watching.
///
/// Where turns were announced, the announced number of rounds is as good as a smaller one: nobody's evening is turned
/// over for a round that nobody misses.
#[derive(Clone, Debug, Default, PartialEq, Eq)]
pub struct Question {
    /// Number of students.
    pub students: usize,
    /// Number of knives.
    pub knives: usize,
    /// Most students who work in one round.
    pub boards: u32,
    /// Most watching in one round.
    pub watch: u32,
    /// Rounds that there is time for; none where nobody has said it.
    pub most_rounds: Option<usize>,
    /// What is to be done.
    pub turns: Vec<Turn>,
}

/// Rounds below which no rotation can go.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Bound {
    /// The rounds.
    pub rounds: usize,
    /// What keeps it from fewer.
    pub by: BoundBy,
}

/// What keeps a rotation from fewer rounds.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum BoundBy {
    /// There is nothing to do, or a pin or a late arrival asks for the round.
    Windows,
    /// One student has so many turns, or such a chain of them.
    Student {
        /// The student.
        student: usize,
    },
    /// So many turns on so few boards.
    Boards,
    /// So much watching.
    Watch,
    /// These turns share these few knives.
    Knives {
        /// The turns.
        turns: Vec<usize>,
        /// The knives.
        knives: Vec<usize>,
    },
    /// What must come first leaves too little for the rounds at the start, or at the end.
    Order,
}

/// Why there is no rotation.
#[derive(Clone, Debug, PartialEq, Eq)]
pub enum Blocked {
    /// A turn takes no knife at all.
    NoKnife {
        /// The turn.
        turn: usize,
    },
    /// A turn that, directly or not, must come after itself.
    Cycle {
        /// The turn.
        turn: usize,
    },
    /// A turn that takes more watching than a round has.
    WatchOver {
        /// The turn.
        turn: usize,
    },
    /// There is no board.
    NoBoards,
    /// Two turns are held in one round by one student, or with one knife.
    PinnedTwice {
        /// The turns.
        turns: (usize, usize),
    },
    /// A turn is held in a round that is too early for it, or with a knife that is not for it.
    PinImpossible {
        /// The turn.
        turn: usize,
    },
    /// Turns that are held, or must lie before those that are, are too many for their rounds.
    Held {
        /// The turns.
        turns: Vec<usize>,
        /// What the rounds have too little of.
        by: BoundBy,
    },
    /// More rounds are needed than there is time for.
    TooFewRounds {
        /// Rounds that are needed at least.
        bound: Bound,
    },
    /// None was found, and none was shown to be impossible.
    NotFound {
        /// Rounds that are needed at least, as far as is known.
        least: usize,
    },
}

/// A rotation in its order of worth: fewer rounds, then less that differs from what was announced, then a
/// better fit, then fewer hand-overs, then fewer minutes, then nearer to the order of the lesson, then fewer knives.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord)]
pub struct Worth {
    /// Rounds.
    pub rounds: usize,
    /// What differs from what was announced: 2 for each turn in another round, 1 for each that only has another knife.
    pub changed: u32,
    /// What the fits lack of 100 each.
    pub lacking: u32,
    /// Times a student takes another knife although the last one would do.
    pub hand_overs: u32,
    /// Minutes of all rounds, each as long as its longest turn.
    pub minutes: u32,
    /// Times a student does something before what stands earlier in the lesson.
    pub out_of_turn: u32,
    /// Different knives that go out.
    pub knives: usize,
}

/// The answer.
#[derive(Clone, Debug, PartialEq, Eq)]
pub struct Rotation {
    /// Where each turn lies, in the order of [`Question::turns`].
    pub seats: Vec<Seat>,
    /// What it is worth.
    pub worth: Worth,
    /// Rounds below which nobody could go.
    pub bound: Bound,
}

impl Question {
    /// All that makes a rotation impossible, whatever the number of rounds; pins aside, without any there is one.
    pub fn blocked(&self) -> Vec<Blocked> {
        let turns = || self.turns.iter().enumerate();
        let mut found: Vec<Blocked> =
            turns().filter(|(turn, _)| self.leads_to_itself(*turn)).map(|(turn, _)| Blocked::Cycle { turn }).collect();
        found.extend(turns().filter(|(_, asked)| asked.fits.is_empty()).map(|(turn, _)| Blocked::NoKnife { turn }));
        found.extend(turns().filter(|(_, asked)| asked.watch > self.watch).map(|(turn, _)| Blocked::WatchOver { turn }));
        if self.boards == 0 && !self.turns.is_empty() {
            found.push(Blocked::NoBoards);
        }
        for (turn, asked) in turns() {
            let Some(pin) = asked.pin else { continue };
            if pin.round < asked.not_before || pin.knife.is_some_and(|knife| asked.fit(knife).is_none()) {
                found.push(Blocked::PinImpossible { turn });
            }
            for (other, against) in turns().skip(turn + 1) {
                let Some(there) = against.pin.filter(|there| there.round == pin.round) else { continue };
                if asked.student == against.student || pin.knife.is_some() && pin.knife == there.knife {
                    found.push(Blocked::PinnedTwice { turns: (turn, other) });
                }
            }
        }
        found
    }

    /// Whether a turn must come after itself.
    fn leads_to_itself(&self, turn: usize) -> bool {
        let mut seen = vec![false; self.turns.len()];
        let mut open = self.turns[turn].after.clone();
        while let Some(earlier) = open.pop() {
            if earlier == turn {
                return true;
            }
            if !std::mem::replace(&mut seen[earlier], true) {
                open.extend(&self.turns[earlier].after);
            }
        }
        false
    }

    /// Rounds that were announced; 0 where none were.
    pub(super) fn announced_rounds(&self) -> usize {
        self.turns.iter().filter_map(|turn| turn.announced).map(|seat| seat.round + 1).max().unwrap_or(0)
    }

    /// Whether rounds may be renumbered so that none is empty: nothing is tied to a number.
    pub(super) fn is_loose(&self) -> bool {
        self.turns.iter().all(|turn| turn.pin.is_none() && turn.announced.is_none() && turn.not_before == 0)
    }

    /// Whether seats keep every rule; what else they are worth is another question.
    pub fn holds(&self, seats: &[Seat]) -> bool {
        let mut taken: Vec<(usize, usize)> =
            self.turns.iter().zip(seats).map(|(turn, seat)| (seat.round, turn.student)).collect();
        let mut in_hand: Vec<(usize, usize)> = seats.iter().map(|seat| (seat.round, seat.knife)).collect();
        let rounds = seats.iter().map(|seat| seat.round + 1).max().unwrap_or(0);
        let mut load = vec![(0, 0); rounds];
        for (turn, seat) in self.turns.iter().zip(seats) {
            load[seat.round].0 += 1;
            load[seat.round].1 += turn.watch;
        }
        taken.sort_unstable();
        in_hand.sort_unstable();
        seats.len() == self.turns.len()
            && taken.windows(2).all(|pair| pair[0] != pair[1])
            && in_hand.windows(2).all(|pair| pair[0] != pair[1])
            && load.iter().all(|(boards, watch)| *boards <= self.boards && *watch <= self.watch)
            && self.turns.iter().zip(seats).all(|(turn, seat)| {
                turn.fit(seat.knife).is_some()
                    && seat.round >= turn.not_before
                    && turn.after.iter().all(|first| seats[*first].round < seat.round)
                    && turn.pin.is_none_or(|pin| pin.round == seat.round && pin.knife.is_none_or(|knife| knife == seat.knife))
            })
    }

    /// What a rotation is worth.
    pub fn worth(&self, seats: &[Seat]) -> Worth {
        let rounds = seats.iter().map(|seat| seat.round + 1).max().unwrap_or(0);
        let mut worth = Worth { rounds, changed: 0, lacking: 0, hand_overs: 0, minutes: 0, out_of_turn: 0, knives: 0 };
        let mut knives: Vec<usize> = seats.iter().map(|seat| seat.knife).collect();
        knives.sort_unstable();
        knives.dedup();
        worth.knives = knives.len();
        let mut longest = vec![0; rounds];
        for (turn, seat) in self.turns.iter().zip(seats) {
            worth.changed += turn.announced.map_or(0, |announced| seat.differs(announced));
            longest[seat.round] = u32::from(turn.minutes).max(longest[seat.round]);
            worth.lacking += 100 - u32::from(turn.fit(seat.knife).unwrap_or(0));
        }
        worth.minutes = longest.into_iter().sum();
        for order in self.orders(seats) {
            for pair in order.windows(2) {
                worth.hand_overs += u32::from(self.is_hand_over(seats, pair[0], pair[1]));
                worth.out_of_turn += u32::from(self.turns[pair[1]].place < self.turns[pair[0]].place);
            }
        }
        worth
    }

    /// The turns of each student in the order in which they are done.
    pub fn orders(&self, seats: &[Seat]) -> Vec<Vec<usize>> {
        let mut orders = vec![Vec::new(); self.students];
        for (index, turn) in self.turns.iter().enumerate() {
            orders[turn.student].push(index);
        }
        for order in &mut orders {
            order.sort_by_key(|turn| seats[*turn].round);
        }
        orders
    }

    /// Whether the knife of one turn is laid down for another in the next although it would do.
    pub fn is_hand_over(&self, seats: &[Seat], earlier: usize, later: usize) -> bool {
        let (before, after) = (seats[earlier].knife, seats[later].knife);
        before != after && self.turns[later].fit(before).is_some()
    }
}

impl Seat {
    /// How much differs from what was announced: 2 for another round, 1 for another knife alone.
    fn differs(self, announced: Seat) -> u32 {
        if self.round == announced.round { u32::from(self.knife != announced.knife) } else { 2 }
    }
}

impl Turn {
    /// How well a knife fits; none where it may not be used.
    pub fn fit(&self, knife: usize) -> Option<u8> {
        self.fits.iter().find(|(usable, _)| *usable == knife).map(|(_, fit)| *fit)
    }
}
