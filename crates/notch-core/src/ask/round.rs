//! A round of questions: what is asked next, what comes back, and whether it is passed.

use serde::Serialize;

use super::question::{AskInput, Luck, Question};
use super::{cautions, faults, knives, outlines, sizes};
use crate::records::{Answered, AskAbout};

/// How a round stands.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AskStanding {
    /// New questions so far.
    pub asked: u32,
    /// New questions in the round.
    pub of: u32,
    /// Answered right at once.
    pub right: u32,
    /// Missed, and not yet answered right.
    pub open: u32,
    /// All of them were asked, and none is open.
    pub passed: bool,
    /// How long a round is meant to take, seconds.
    pub seconds: u32,
}

/// What comes next in a round, and how it stands.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AskView {
    /// The next question; none when the round is passed.
    pub question: Option<Question>,
    /// How it stands.
    pub standing: AskStanding,
}

/// The kinds of questions, each in its turn.
#[derive(Clone, Copy)]
enum Kind {
    Outline,
    Knife,
    Fault,
    Size,
    Caution,
}

const KINDS: [Kind; 5] = [Kind::Outline, Kind::Knife, Kind::Fault, Kind::Size, Kind::Caution];

/// What is asked after these answers.
///
/// Each kind comes once in five new questions, in an order of the round's own. What was missed comes back when enough
/// others were asked since, or at once when no new one is left; until it is answered right.
pub fn ask_view(input: &AskInput<'_>, answered: &[Answered]) -> AskView {
    let rules = &input.at_hand.catalogue.ask;
    let mut standing =
        AskStanding { asked: 0, of: count(rules.questions), right: 0, open: 0, passed: false, seconds: rules.seconds };
    // What is open, with the place at which it was asked last.
    let mut open: Vec<(usize, &AskAbout)> = Vec::new();
    for (place, each) in answered.iter().enumerate() {
        let first = answered.iter().take(place).all(|before| before.about != each.about);
        let right = is_right(input, each);
        standing.asked += u32::from(first);
        standing.right += u32::from(first && right);
        open.retain(|(_, about)| **about != each.about);
        if !right {
            open.push((place, &each.about));
        }
    }
    standing.open = count(open.len());
    let new_left = standing.asked < standing.of;
    let due = open.iter().find(|(place, _)| !new_left || answered.len() - place > rules.apart);
    let again = due.and_then(|(_, about)| make(input, about, &mut Luck::of(input.seed, answered.len())));
    let question = match again {
        Some(question) => Some(Question { again: true, ..question }),
        None if new_left => fresh(input, answered, standing.asked),
        None => None,
    };
    // What can no longer be asked (a food that was taken out meanwhile) keeps nobody from passing.
    standing.passed = question.is_none() && !answered.is_empty();
    AskView { question, standing }
}

/// A question of the kind whose turn it is; of another kind where there is none of it.
fn fresh(input: &AskInput<'_>, answered: &[Answered], asked: u32) -> Option<Question> {
    let asked = usize::try_from(asked).unwrap_or(usize::MAX);
    let turn = Luck::of(input.seed, usize::MAX - asked / KINDS.len()).shuffled(KINDS.to_vec());
    let mut luck = Luck::of(input.seed, answered.len());
    (0..KINDS.len()).find_map(|further| {
        let abouts = match turn.get((asked + further) % KINDS.len())? {
            Kind::Outline => outlines::abouts(input, &mut luck),
            Kind::Knife => knives::abouts(input, &mut luck),
            Kind::Fault => faults::abouts(input, &mut luck),
            Kind::Size => sizes::abouts(input, &mut luck),
            Kind::Caution => cautions::abouts(input, &mut luck),
        };
        let new = abouts.iter().filter(|about| answered.iter().all(|each| each.about != **about));
        new.into_iter().find_map(|about| make(input, about, &mut luck))
    })
}

fn make(input: &AskInput<'_>, about: &AskAbout, luck: &mut Luck) -> Option<Question> {
    match about {
        AskAbout::Outline { knife_type } => outlines::question(input, knife_type, luck),
        AskAbout::Knife { food, cut } => knives::question(input, (food, cut), luck),
        AskAbout::Fault { fault } => faults::question(input, fault, luck),
        AskAbout::Size { cut } => sizes::question(input, cut, luck),
        AskAbout::Caution { food, cut, caution } => cautions::question(input, (food, cut, caution), luck),
    }
}

/// Whether an answer is right: asked of the rules, not of what was offered.
fn is_right(input: &AskInput<'_>, answered: &Answered) -> bool {
    let answer = &answered.answer;
    match &answered.about {
        AskAbout::Outline { knife_type } => answer == knife_type,
        AskAbout::Knife { food, cut } => knives::does(input, (food, cut), answer),
        AskAbout::Fault { fault } => answer == fault,
        AskAbout::Size { cut } => answer == cut,
        AskAbout::Caution { caution, .. } => answer == caution,
    }
}

fn count(many: usize) -> u32 {
    u32::try_from(many).unwrap_or(u32::MAX)
}
