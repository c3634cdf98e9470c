//! The rotation in words: why so many rounds, what would save one, what changed.

use super::{LeftOut, View, WaitingWith};
use crate::records::{AnnouncedTurn, Knife};
use crate::rotation::{Blocked, BoundBy, Question, least_rounds, rotate};
use crate::text;
use crate::text::{Name, Text};
use crate::views::class::knife_name;
use crate::views::plan::PlannedExercise;
use crate::words::{lower, of_number};

/// Title of an exercise.
pub(super) fn title(planned: &PlannedExercise) -> String {
    let fields = &planned.exercise.fields;
    planned.advice.as_ref().map_or_else(|| format!("{} of {}", fields.cut, fields.food), |advice| advice.title.clone())
}

/// How a knife fits, in words.
pub(super) const fn of_fit(fit: u8) -> &'static str {
    match fit {
        100 => "fits well",
        75 => "fits",
        50 => "fits well enough",
        _ => "is there for want of a better",
    }
}

impl View<'_> {
    fn title_of(&self, exercise_id: i64) -> String {
        let planned = self.room.input.exercises.iter().find(|planned| planned.exercise.id == exercise_id);
        planned.map_or_else(String::new, title)
    }

    fn name_of(&self, student_id: i64) -> &str {
        self.room.input.at_hand.student(student_id).map_or("", |student| student.fields.name.as_str())
    }

    fn knife(&self, id: i64) -> Option<&Knife> {
        self.room.input.at_hand.knives.iter().find(|knife| knife.id == id)
    }

    fn number_of(&self, id: i64) -> String {
        self.knife(id).map_or_else(String::new, |knife| format!("no. {}", knife.fields.number))
    }

    /// What a student waits with.
    pub(super) fn wait_words(&self, with: WaitingWith, next: Option<i64>) -> Text {
        match (with, next) {
            (WaitingWith::ComesLater, _) => Text::from("comes later"),
            (WaitingWith::Preparing, _) => Text::from("prepares and sets up"),
            (WaitingWith::DryDrill, Some(next)) => text!["dry drill: ", lower(&self.title_of(next))],
            (WaitingWith::DryDrill | WaitingWith::WashingUp, _) => Text::from("washes up"),
        }
    }

    /// A turn: `Julienne of carrot with Flat chef's 210, no. 9`.
    pub(super) fn turn_words(&self, turn: &AnnouncedTurn) -> Text {
        let catalogue = self.room.input.at_hand.catalogue;
        let knife = self.knife(turn.knife_id).map_or_else(String::new, |knife| knife_name(catalogue, knife));
        text![self.title_of(turn.exercise_id), " with ", knife]
    }

    /// What was announced of a turn, as far as it differs: `round 2`, `no. 14`.
    pub(super) fn was_words(&self, was: &AnnouncedTurn, now: &AnnouncedTurn) -> Text {
        let mut told = Vec::new();
        if was.round != now.round {
            told.push(text!["round ", was.round]);
        }
        if was.knife_id != now.knife_id {
            told.push(Text::from(self.number_of(was.knife_id)));
        }
        Text::joined(told, ", ")
    }

    /// What differs from what was announced, by student.
    pub(super) fn differences(&self) -> Vec<Text> {
        let announced = &self.room.kept.announced;
        let same = |a: &AnnouncedTurn, b: &AnnouncedTurn| (a.student_id, a.exercise_id) == (b.student_id, b.exercise_id);
        let mut told = Vec::new();
        for was in announced {
            let name = Name(self.name_of(was.student_id));
            let title = lower(&self.title_of(was.exercise_id));
            match self.turns.iter().find(|now| same(now, was)) {
                Some(now) if now == was => {}
                Some(now) => {
                    let round = (now.round != was.round).then(|| text!["round ", now.round, " instead of ", was.round]);
                    let knife = (now.knife_id != was.knife_id)
                        .then(|| text![self.number_of(now.knife_id), " instead of ", self.number_of(was.knife_id)]);
                    told.push(text![name, ", ", title, ": ", Text::joined(round.into_iter().chain(knife), ", "), "."]);
                }
                None if self.room.fields.absent.contains(&was.student_id) => {}
                None => told.push(text![name, ", ", title, ": no longer."]),
            }
        }
        let new = self.turns.iter().filter(|now| !announced.iter().any(|was| same(now, was)));
        told.extend(new.map(|now| {
            let title = lower(&self.title_of(now.exercise_id));
            text![Name(self.name_of(now.student_id)), ", ", title, ": new, in round ", now.round, "."]
        }));
        told
    }

    /// Turns that nobody can be given.
    pub(super) fn left_out(&self) -> Vec<LeftOut> {
        let left = self.room.left_over.iter();
        left.map(|left| LeftOut {
            student_id: left.student.id,
            exercise_id: left.exercise.exercise.id,
            words: text![Name(&left.student.fields.name), ", ", lower(&title(left.exercise)), ": ", left.words.clone()],
            way: left.way.clone(),
        })
        .collect()
    }

    /// How many rounds, how long, and why not fewer.
    pub(super) fn summary(&self) -> Vec<Text> {
        let Some(rotation) = self.rotation else { return Vec::new() };
        if self.turns.is_empty() {
            return vec![Text::from("There is nothing to rotate: the lesson has no exercise that somebody here can do.")];
        }
        let rounds = self.rounds.len();
        let minutes =
            self.rounds.last().map_or(0, |last| last.ends).saturating_sub(self.rounds.first().map_or(0, |first| first.starts));
        let has: u32 = self.practice.iter().map(|(starts, ends)| ends - starts).sum();
        let fits = if self.over > 0 { text![self.over, " too many"] } else { text!["it fits"] };
        let mut told = vec![text![
            of_number(rounds, "round", "rounds"),
            ", ",
            of_number(minutes as usize, "minute", "minutes"),
            " with the changes between them; the practice has ",
            has,
            ": ",
            fits,
            "."
        ]];
        if rotation.worth.rounds == 1 {
            return told;
        }
        if self.is_bound_to_announced() {
            told.push(Text::from("What was announced is kept, and with it the number of rounds."));
        } else if rotation.bound.rounds == rotation.worth.rounds {
            told.push(text!["No rotation has fewer: ", self.bound_words(&rotation.bound.by)]);
        } else {
            told.push(text![
                "At least ",
                usize::from(self.room.fields.rounds_done) + rotation.bound.rounds,
                " are needed; fewer than ",
                rounds,
                " were not found."
            ]);
        }
        told
    }

    /// What keeps it from fewer rounds.
    fn bound_words(&self, by: &BoundBy) -> Text {
        let room = self.room;
        match by {
            BoundBy::Windows => text!["somebody comes that late, is held there, or has so much that comes one after another."],
            BoundBy::Student { student } => {
                let of = |student: usize| room.turns.iter().filter(|(at, _)| *at == student).count();
                let many = of(*student);
                if (0..room.students.len()).all(|other| of(other) == many) {
                    return text!["each student has ", of_number(many, "exercise", "exercises"), ", one a round."];
                }
                let name = room.students.get(*student).map_or("", |student| student.fields.name.as_str());
                text![Name(name), " has ", of_number(many, "exercise", "exercises"), ", one a round."]
            }
            BoundBy::Boards => {
                text![
                    of_number(room.turns.len(), "turn", "turns"),
                    " share ",
                    of_number(room.question.boards as usize, "board", "boards"),
                    "."
                ]
            }
            BoundBy::Watch => {
                let watch: u32 = room.question.turns.iter().map(|turn| turn.watch).sum();
                let turns = room.turns.len();
                let watched = of_number(room.question.watch as usize, "student", "students");
                if watch as usize == turns {
                    return text![of_number(turns, "turn", "turns"), ", and ", watched, " can be watched at a time."];
                }
                text![
                    of_number(turns, "turn", "turns"),
                    ", which count as ",
                    watch,
                    " because whoever needs close watching counts double; ",
                    watched,
                    " can be watched at a time."
                ]
            }
            BoundBy::Knives { turns, knives } => {
                let numbers: Vec<&str> =
                    knives.iter().filter_map(|knife| Some(room.knives.get(*knife)?.fields.number.as_str())).collect();
                text![
                    if turns.len() == 1 { "1 turn needs ".to_owned() } else { format!("{} turns share ", turns.len()) },
                    of_number(knives.len(), "knife", "knives"),
                    ": no. ",
                    numbers.join(", "),
                    "."
                ]
            }
            BoundBy::Order => text!["what comes first leaves too few turns for the first or the last rounds."],
        }
    }

    /// What one more knife, board or pair of eyes would save, and how much.
    pub(super) fn savings(&self) -> Vec<Text> {
        let Some(rotation) = self.rotation.filter(|rotation| rotation.worth.rounds > 1) else { return Vec::new() };
        if self.is_bound_to_announced() {
            return self.saved(Text::from("Planning anew"), &self.room.question).into_iter().collect();
        }
        let question = &self.room.question;
        let mut told = Vec::new();
        if let BoundBy::Knives { knives, .. } = &rotation.bound.by {
            let mut models: Vec<String> = Vec::new();
            for knife in knives {
                let name = self.model(*knife);
                if !models.contains(&name) {
                    told.extend(self.saved(text!["One more ", name.as_str()], &with_another(question, *knife)));
                    models.push(name);
                }
            }
        }
        told.extend(
            self.saved(Text::from("One more board"), &Question { boards: question.boards.saturating_add(1), ..question.clone() }),
        );
        if let Some(each) = self.room.input.at_hand.course.fields.resources.instructors.map(|watchers| watchers.each) {
            let more = Question { watch: question.watch.saturating_add(u32::from(each)), ..question.clone() };
            told.extend(self.saved(Text::from("One more person who watches"), &more));
        }
        told
    }

    /// Whether something was announced that is kept where it can be.
    fn is_bound_to_announced(&self) -> bool {
        self.room.question.turns.iter().any(|turn| turn.announced.is_some())
    }

    /// Type and length of a knife of the question.
    pub(super) fn model(&self, knife: usize) -> String {
        let Some(knife) = self.room.knives.get(knife) else { return String::new() };
        let kind = self.room.input.at_hand.catalogue.knife(&knife.fields.knife_type);
        kind.map_or_else(String::new, |kind| lower(&kind.label(knife.fields.length)))
    }

    /// What a richer room would save; nothing where it would save no round.
    fn saved(&self, what: Text, richer: &Question) -> Option<Text> {
        let turns = richer.turns.iter().map(|turn| crate::rotation::Turn { announced: None, ..turn.clone() });
        let richer = Question { turns: turns.collect(), ..richer.clone() };
        let now = self.rotation?.worth.rounds;
        if least_rounds(&richer)?.rounds >= now {
            return None;
        }
        let found = rotate(&richer).ok()?;
        let fewer = now.checked_sub(found.worth.rounds).filter(|fewer| *fewer > 0)?;
        let changes = |rounds: usize| (rounds.saturating_sub(1)) as u32 * crate::lesson::CHANGE_MINUTES as u32;
        let minutes = |worth: &crate::rotation::Worth| worth.minutes + changes(worth.rounds);
        let saved = minutes(&self.rotation?.worth).checked_sub(minutes(&found.worth)).filter(|saved| *saved > 0)?;
        Some(text![
            what,
            " saves ",
            of_number(fewer, "round", "rounds"),
            ", ",
            of_number(saved as usize, "minute", "minutes"),
            "."
        ])
    }

    /// Why there is no rotation, with what would free it.
    pub(super) fn blocked_words(&self) -> Vec<Text> {
        let room = self.room;
        let who = |turn: usize| {
            let (at, planned) = room.turns[turn];
            text![Name(&room.students[at].fields.name), ", ", lower(&title(planned))]
        };
        let word = |blocked: &Blocked| match blocked {
            Blocked::NoKnife { turn } | Blocked::Cycle { turn } | Blocked::WatchOver { turn } => {
                text![who(*turn), ": nobody may be given this turn."]
            }
            Blocked::NoBoards => text!["There is no board in this course. Say in the course how many there are."],
            Blocked::PinnedTwice { turns: (one, other) } => {
                let pin = room.question.turns[*one].pin;
                let round = pin.map_or(0, |pin| usize::from(room.fields.rounds_done) + pin.round + 1);
                if room.turns[*one].0 == room.turns[*other].0 {
                    return text![
                        who(*one),
                        " is held in round ",
                        round,
                        ", and so is ",
                        who(*other),
                        ": one student has one turn a round."
                    ];
                }
                let knife = pin.and_then(|pin| room.knives.get(pin.knife?));
                let number = knife.map_or_else(String::new, |knife| format!("no. {}", knife.fields.number));
                text![who(*one), " is held in round ", round, " with ", number, ", and so is ", who(*other), "."]
            }
            Blocked::PinImpossible { turn } => self.why_not_there(*turn),
            Blocked::Held { turns, by } => self.held_words(turns, by),
            Blocked::TooFewRounds { bound } => {
                text!["At least ", bound.rounds, " rounds are needed: ", self.bound_words(&bound.by)]
            }
            Blocked::NotFound { .. } => text!["With what is held, no rotation was found."],
        };
        if room.question.watch == 0 && self.blocked.iter().any(|blocked| matches!(blocked, Blocked::WatchOver { .. })) {
            return vec![text!["Nobody watches in this course, and nobody cuts unwatched. Say in the course who does."]];
        }
        self.blocked.iter().map(word).collect()
    }
}

impl View<'_> {
    /// Why a turn cannot lie where it is held.
    fn why_not_there(&self, turn: usize) -> Text {
        let room = self.room;
        let (at, planned) = room.turns[turn];
        let (asked, student) = (&room.question.turns[turn], room.students[at]);
        let who = text![Name(&student.fields.name), ", ", lower(&title(planned))];
        let Some(pin) = asked.pin else { return text![who, ": it cannot lie where it is held."] };
        let number = |round: usize| usize::from(room.fields.rounds_done) + round + 1;
        if let Some(knife) = pin.knife.filter(|knife| asked.fit(*knife).is_none()) {
            let name = room.knives.get(knife).map_or_else(String::new, |knife| format!("no. {}", knife.fields.number));
            return text![who, ": held with ", name, ", which is not for this turn."];
        }
        if pin.round < asked.not_before {
            let there = number(asked.not_before);
            return text![who, ": held in round ", number(pin.round), ", and comes in round ", there, "."];
        }
        let first = asked.after.first().and_then(|first| room.turns.get(*first)).map(|(_, planned)| lower(&title(planned)));
        let first = first.unwrap_or_else(|| "what comes first".to_owned());
        text![who, ": held in round ", number(pin.round), ", too early to have done ", first, " before."]
    }

    /// What the rounds in which turns are held have too little of.
    fn held_words(&self, turns: &[usize], by: &BoundBy) -> Text {
        let room = self.room;
        let held = of_number(turns.len(), "turn", "turns");
        let names = || {
            let each = turns.iter().map(|turn| room.turns[*turn]);
            Text::joined(
                each.map(|(at, planned)| text![Name(&room.students[at].fields.name), ", ", lower(&title(planned))]),
                "; ",
            )
        };
        let rounds = text![held, " must lie in the rounds in which they are held, or before those: ", names()];
        match by {
            BoundBy::Boards => {
                let boards = of_number(room.question.boards as usize, "board", "boards");
                text![rounds, ". A round has ", boards, "."]
            }
            BoundBy::Watch => {
                let watched = of_number(room.question.watch as usize, "student", "students");
                text![rounds, ". At a time ", watched, " can be watched; whoever needs close watching counts double."]
            }
            BoundBy::Knives { knives, .. } => {
                let numbers: Vec<&str> =
                    knives.iter().filter_map(|knife| Some(room.knives.get(*knife)?.fields.number.as_str())).collect();
                text![rounds, ". They share ", of_number(knives.len(), "knife", "knives"), ": no. ", numbers.join(", "), "."]
            }
            BoundBy::Student { .. } => text![rounds, ". One student has one turn a round."],
            BoundBy::Windows | BoundBy::Order => text![rounds, ". What comes first leaves them too few rounds."],
        }
    }
}

/// The question with another knife like one of its own.
pub(super) fn with_another(question: &Question, knife: usize) -> Question {
    let turns = question.turns.iter().map(|turn| {
        let mut turn = turn.clone();
        if let Some(fit) = turn.fit(knife) {
            turn.fits.push((question.knives, fit));
        }
        turn
    });
    Question { knives: question.knives + 1, turns: turns.collect(), ..question.clone() }
}
