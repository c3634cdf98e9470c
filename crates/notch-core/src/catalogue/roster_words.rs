//! The words of a class list, and what a part of a line says by them.

use std::collections::BTreeMap;

use serde::{Deserialize, Serialize};

use crate::people::{Hand, HandSize};
use crate::units::{Millimetres, parse_length};

/// What a column of a class list holds.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
pub(crate) enum RosterColumn {
    Name,
    FirstName,
    LastName,
    Hand,
    HandSize,
    Allergies,
    Clearance,
    Notes,
    Number,
}

/// Words of a class list, in small letters, a blank for each hyphen.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
pub struct RosterWords {
    nothing: Vec<String>,
    allergy: Vec<String>,
    cleared: Vec<String>,
    columns: BTreeMap<RosterColumn, Vec<String>>,
    hands: HandWords,
    sizes: SizeWords,
    allergens: BTreeMap<String, Vec<String>>,
}

#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
struct HandWords {
    right: Vec<String>,
    left: Vec<String>,
}

#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[serde(deny_unknown_fields)]
struct SizeWords {
    small: Vec<String>,
    medium: Vec<String>,
    large: Vec<String>,
}

/// What a part of a line says beside a name.
#[derive(Clone, Debug, PartialEq)]
pub(crate) enum Mark {
    Nothing,
    Hand(Hand),
    Size(HandSize),
    /// A lone L.
    LeftOrLarge,
    Allergies(Vec<String>),
    Clearance(Millimetres),
}

/// Signs between things in one cell.
const BETWEEN: [char; 6] = [',', ';', '/', '&', '+', '|'];

/// In small letters, a blank for each hyphen and each run of blanks.
pub(crate) fn plain(text: &str) -> String {
    let small = text.to_lowercase().replace(['-', '‑', '–', '—', '_', '\u{a0}'], " ");
    small.trim_matches(|c: char| c.is_whitespace() || c == '.' || c == ':').split_whitespace().collect::<Vec<_>>().join(" ")
}

fn is_one(words: &[String], text: &str) -> bool {
    words.iter().any(|word| word == text)
}

impl RosterWords {
    /// Ids of the allergens that have words here.
    pub(crate) fn allergens(&self) -> impl Iterator<Item = &str> {
        self.allergens.keys().map(String::as_str)
    }

    /// The column that a head names.
    pub(crate) fn column(&self, head: &str) -> Option<RosterColumn> {
        let head = plain(head);
        self.columns.iter().find(|(_, words)| is_one(words, &head)).map(|(column, _)| *column)
    }

    /// Nothing to say: a dash, `none`.
    pub(crate) fn is_nothing(&self, text: &str) -> bool {
        is_one(&self.nothing, &plain(text))
    }

    /// What a cell says, if all of it is understood.
    pub(crate) fn marks(&self, cell: &str) -> Option<Vec<Mark>> {
        let text = plain(cell);
        if let Some(mark) = self.one(&text) {
            return Some(vec![mark]);
        }
        let listed: Vec<&str> = text.split(BETWEEN).flat_map(|part| part.split(" and ")).map(str::trim).collect();
        if listed.len() > 1
            && let Some(marks) = listed.iter().map(|part| self.one(part)).collect()
        {
            return Some(marks);
        }
        self.word_by_word(&text)
    }

    /// A cell that is said to be about allergies, whatever it names.
    pub(crate) fn allergies(&self, cell: &str) -> Vec<String> {
        let text = plain(cell);
        let body = self.without_allergy(&text).unwrap_or(&text);
        self.listed_allergens(body)
    }

    /// Words at the end of a line without signs between: how many of them say something, and what.
    pub(crate) fn at_the_end(&self, words: &[&str]) -> Option<(usize, Vec<Mark>)> {
        (1..words.len()).find_map(|from| {
            let marks = self.marks(&words.get(from..)?.join(" "))?;
            // A surname may be Small or Fish; a lone letter may be part of a name.
            let surname = from == 1 && words.len() == 2 && !matches!(marks.first(), Some(Mark::Hand(_)));
            let lone = marks.len() == 1 && words.get(from).is_some_and(|word| word.chars().count() == 1);
            (!surname && !lone).then_some((words.len() - from, marks))
        })
    }

    fn word_by_word(&self, text: &str) -> Option<Vec<Mark>> {
        let words: Vec<&str> = text.split([' ', ',', ';']).filter(|word| !word.is_empty()).collect();
        let (mut at, mut marks) = (0, Vec::new());
        while at < words.len() {
            // What follows `allergic to` is what one is allergic to.
            let rest = words.get(at..).unwrap_or_default().join(" ");
            if let Some(body) = self.after_allergy(&rest).filter(|body| !body.is_empty()) {
                marks.push(Mark::Allergies(self.listed_allergens(body)));
                break;
            }
            let (taken, mark) = (1..=4.min(words.len() - at)).rev().find_map(|count| {
                let part = words.get(at..at + count)?.join(" ");
                Some((count, self.one(&part)?))
            })?;
            marks.push(mark);
            at += taken;
        }
        (!marks.is_empty()).then_some(marks)
    }

    fn one(&self, text: &str) -> Option<Mark> {
        if is_one(&self.nothing, text) {
            return Some(Mark::Nothing);
        }
        let hands = [(&self.hands.right, Hand::Right), (&self.hands.left, Hand::Left)];
        if let Some((_, hand)) = hands.into_iter().find(|(words, _)| is_one(words, text)) {
            return Some(Mark::Hand(hand));
        }
        let sizes =
            [(&self.sizes.small, HandSize::Small), (&self.sizes.medium, HandSize::Medium), (&self.sizes.large, HandSize::Large)];
        if let Some((_, size)) = sizes.into_iter().find(|(words, _)| is_one(words, text)) {
            return Some(Mark::Size(size));
        }
        match text {
            "r" => return Some(Mark::Hand(Hand::Right)),
            "s" => return Some(Mark::Size(HandSize::Small)),
            "m" => return Some(Mark::Size(HandSize::Medium)),
            "l" => return Some(Mark::LeftOrLarge),
            _ => {}
        }
        if let Some(body) = self.without_allergy(text) {
            let named = self.listed_allergens(body);
            return Some(if named.is_empty() { Mark::Nothing } else { Mark::Allergies(named) });
        }
        self.allergen(text).map(|allergen| Mark::Allergies(vec![allergen])).or_else(|| self.clearance(text))
    }

    /// The foods of a text that says that they are an allergy.
    fn without_allergy<'t>(&self, text: &'t str) -> Option<&'t str> {
        let other = [&self.hands.right, &self.hands.left, &self.sizes.small, &self.sizes.medium, &self.sizes.large];
        let is_food = |body: &&str| !body.split(' ').any(|word| other.iter().any(|words| is_one(words, word)));
        let before = |word: &String| text.strip_suffix(word.as_str())?.strip_suffix(' ').filter(is_food);
        self.after_allergy(text).or_else(|| self.allergy.iter().find_map(before))
    }

    fn after_allergy<'t>(&self, text: &'t str) -> Option<&'t str> {
        self.allergy.iter().find_map(|word| {
            let rest = text.strip_prefix(word.as_str())?;
            (rest.is_empty() || rest.starts_with([' ', ':'])).then(|| rest.trim_start_matches([' ', ':']))
        })
    }

    fn listed_allergens(&self, body: &str) -> Vec<String> {
        let mut named: Vec<String> = Vec::new();
        let parts = body.split(BETWEEN).flat_map(|part| part.split(" and ")).flat_map(|part| part.split(" or "));
        for part in parts.map(|part| plain(part.trim().trim_start_matches("and "))) {
            if is_one(&self.nothing, &part) {
                continue;
            }
            let name = self.allergen(&part).unwrap_or(part);
            if !named.contains(&name) {
                named.push(name);
            }
        }
        named
    }

    fn allergen(&self, text: &str) -> Option<String> {
        self.allergens.iter().find(|(_, words)| is_one(words, text)).map(|(id, _)| id.clone())
    }

    fn clearance(&self, text: &str) -> Option<Mark> {
        let body = self.cleared.iter().find_map(|word| text.strip_prefix(word.as_str())?.strip_prefix(' '));
        // A bare number is a number, not a length.
        let length = match body {
            Some(body) => body,
            None if text.ends_with("mm") => text,
            None => return None,
        };
        parse_length(length).ok().map(Mark::Clearance)
    }

    /// A length in a column of clearances.
    pub(crate) fn bare_clearance(&self, cell: &str) -> Option<Mark> {
        self.clearance(&plain(cell)).or_else(|| parse_length(cell.trim()).ok().map(Mark::Clearance))
    }
}
