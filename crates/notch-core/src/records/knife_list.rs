//! Knives by count, as they are said: `6 chef's 200, 4 paring 90, 1 bread`.

use std::collections::BTreeSet;

use serde::Serialize;

use super::{Bolster, EdgeState, KnifeFields, Tang};
use crate::catalogue::{Catalogue, Edge, KnifeType};
use crate::people::Hand;
use crate::problem::Problem;
use crate::text;
use crate::text::Text;
use crate::units::{Millimetres, parse_length};

/// Most knives of one item, and of a list.
const MOST_OF_ONE: u16 = 60;
const MOST_KNIVES: usize = 500;

/// Some knives that are alike, as they were written, and what was understood.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeCounted {
    /// As it was written.
    pub text: String,
    /// The knives, numbered; none where it is not understood.
    pub knives: Vec<KnifeFields>,
    /// What was understood: `6 × Chef's 200 mm, numbers 1 to 6`.
    pub said: Text,
    /// What is wrong with it.
    pub problems: Vec<Problem>,
}

/// A list of knives, item by item.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeList {
    /// Items in order.
    pub items: Vec<KnifeCounted>,
    /// Knives that are understood.
    pub sound: usize,
    /// Items with a problem.
    pub wrong: usize,
}

impl KnifeFields {
    /// A usual knife of a type, sharp, of that length and number.
    pub fn usual(kind: &KnifeType, length: Millimetres, number: String) -> KnifeFields {
        KnifeFields {
            number,
            knife_type: kind.id.clone(),
            length,
            heel_height: kind.heel_height,
            hand: (kind.edge == Edge::SingleBevel).then_some(Hand::Right),
            edge_state: EdgeState::Sharp,
            note: String::new(),
            name: String::new(),
            edge_angle: None,
            bolster: Bolster::None,
            tang: Tang::Full,
            hollowed: false,
            handle: String::new(),
            cost: None,
            stored: String::new(),
        }
    }
}

/// Reads knives by count: a number, a type, a length where it is not the usual one; a comma, a semicolon or a
/// new line between items. `taken` are the numbers on the rack; new ones follow them.
///
/// An item with a problem is told with it and leaves the others alone.
///
/// # Errors
/// More than 500 knives in all.
pub fn read_knife_list(catalogue: &Catalogue, text: &str, taken: &BTreeSet<String>) -> Result<KnifeList, Vec<Problem>> {
    let mut numbers = Numbers { taken: taken.iter().map(|number| number.to_lowercase()).collect(), next: 1 };
    let mut items = Vec::new();
    let mut sound = 0;
    for item in text.split(['\n', ',', ';']).map(str::trim).filter(|item| !item.is_empty()) {
        let found = counted(catalogue, item, &mut numbers);
        sound += found.knives.len();
        if sound > MOST_KNIVES {
            let why = "knives are too many for one list";
            return Err(vec![Problem::new("/text", "Knives", sound, why, format!("up to {MOST_KNIVES}"))]);
        }
        items.push(found);
    }
    let wrong = items.iter().filter(|item| item.knives.is_empty()).count();
    Ok(KnifeList { items, sound, wrong })
}

/// Numbers that no knife has yet.
struct Numbers {
    taken: BTreeSet<String>,
    next: u32,
}

impl Numbers {
    fn take(&mut self) -> String {
        loop {
            let number = self.next.to_string();
            self.next += 1;
            if self.taken.insert(number.clone()) {
                return number;
            }
        }
    }
}

/// In small letters, without apostrophes and the word knife.
fn plain(text: &str) -> String {
    let text = text.to_lowercase().replace(['\'', '’', '`'], "").replace(['-', '‑', '–'], " ");
    text.split_whitespace().filter(|word| !matches!(*word, "knife" | "knives" | "of" | "a" | "the")).collect::<Vec<_>>().join(" ")
}

/// The type that is meant by some words: its name, its short name, a word for it, one or many of them.
fn kind_of<'c>(catalogue: &'c Catalogue, said: &str) -> Option<&'c KnifeType> {
    let wanted = plain(said);
    let singular = wanted.strip_suffix('s').unwrap_or(&wanted);
    let is = |name: &str| {
        let name = plain(name);
        name == wanted || name == singular || name.strip_suffix('s') == Some(singular)
    };
    let named = |kind: &&KnifeType| {
        is(&kind.name) || is(&kind.short) || is(&kind.id.replace('_', " ")) || kind.words.iter().any(|word| is(word))
    };
    (!wanted.is_empty()).then(|| catalogue.knives.iter().find(named)).flatten()
}

/// A count before or after: `6`, `6 x`, `x6`; and the words without it.
fn count_of(item: &str) -> (Option<u32>, String) {
    let words: Vec<&str> = item.split_whitespace().collect();
    let number = |word: &str| {
        let word = word.trim_matches(['x', 'X', '×', '.']);
        word.parse::<u32>().ok()
    };
    let rest = |from: usize, to: usize| words.get(from..to).unwrap_or_default().join(" ");
    let is_times = |word: Option<&&str>| word.is_some_and(|word| matches!(*word, "x" | "X" | "×"));
    if let Some(count) = words.first().and_then(|word| number(word)) {
        let from = if is_times(words.get(1)) { 2 } else { 1 };
        return (Some(count), rest(from, words.len()));
    }
    let last = words.last().copied().unwrap_or_default();
    if last.starts_with(['x', 'X', '×'])
        && let Some(count) = number(last)
    {
        return (Some(count), rest(0, words.len() - 1));
    }
    if words.len() > 2
        && is_times(words.get(words.len() - 2))
        && let Some(count) = number(last)
    {
        return (Some(count), rest(0, words.len() - 2));
    }
    let one = words.first().is_some_and(|word| matches!(word.to_lowercase().as_str(), "one" | "a" | "an"));
    (None, rest(usize::from(one), words.len()))
}

/// A length at the end: `200`, `200 mm`, `8 in`, `8"`; and the words before it.
fn length_of(words: &str) -> (Option<&str>, &str) {
    let Some(at) = words.char_indices().find(|(at, c)| {
        let starts = *at == 0 || words.get(..*at).is_some_and(|before| before.ends_with(' '));
        c.is_ascii_digit() && starts
    }) else {
        return (None, words);
    };
    let (before, length) = words.split_at(at.0);
    (Some(length.trim()), before.trim())
}

fn counted(catalogue: &Catalogue, item: &str, numbers: &mut Numbers) -> KnifeCounted {
    let mut found = KnifeCounted { text: item.to_owned(), knives: Vec::new(), said: Text::default(), problems: Vec::new() };
    let (count, rest) = count_of(item);
    let count = count.unwrap_or(1);
    if !(1..=u32::from(MOST_OF_ONE)).contains(&count) {
        let allowed = format!("1 to {MOST_OF_ONE}");
        found.problems.push(Problem::new("/count", "How many", count, "cannot be", allowed));
    }
    let (length, said) = length_of(&rest);
    let kind = kind_of(catalogue, said);
    if kind.is_none() {
        let known = catalogue.knives.iter().map(|kind| kind.short.as_str()).collect::<Vec<_>>().join(", ");
        found.problems.push(Problem::new(
            "/knife_type",
            "Knife",
            if said.is_empty() { item } else { said },
            "is not known",
            known,
        ));
    }
    let length = length.map(parse_length).transpose();
    if let Err(error) = &length {
        found.problems.push(Problem::new("/length", "Length", item, error.to_string(), "millimetres, or inches such as 8 in"));
    }
    let (Some(kind), Ok(length)) = (kind, length) else { return found };
    let length = length.unwrap_or(kind.length.usual);
    found.problems.extend(KnifeFields::usual(kind, length, "1".to_owned()).check(catalogue));
    if !found.problems.is_empty() {
        return found;
    }
    found.knives = (0..count).map(|_| KnifeFields::usual(kind, length, numbers.take())).collect();
    let called: Vec<&str> = found.knives.iter().map(|knife| knife.number.as_str()).collect();
    let span = match called.as_slice() {
        [one] => format!("number {one}"),
        [first, .., last] => format!("numbers {first} to {last}"),
        [] => String::new(),
    };
    found.said = text![count, " × ", kind.short, " ", length, ", ", span];
    found
}
