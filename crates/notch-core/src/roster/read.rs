//! Reads a class list.

use std::collections::{BTreeMap, BTreeSet};

use csv::ReaderBuilder;
use serde::Serialize;

use crate::catalogue::{Mark, RosterColumn as Column, RosterWords, plain};
use crate::people::{Hand, HandSize};
use crate::problem::Problem;
use crate::records::{MOST_STUDENTS, Person, StudentFields};
use crate::sheet::as_meant;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// Most lines that are read at once.
const MOST_LINES: usize = 5_000;

/// A line of a class list, and what was understood of it.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RosterLine {
    /// Line of the text, the first being 1.
    pub line: usize,
    /// The line as it was written.
    pub text: String,
    /// The student, if the line is understood.
    pub fields: Option<StudentFields>,
    /// The person of the school who has this name, and comes along with hand, clearance and evidence.
    pub person_id: Option<i64>,
    /// What was understood beside the name; what was not told is said as taken for granted.
    pub said: Text,
    /// What is wrong with the line.
    pub problems: Vec<Problem>,
}

/// A class list, line by line.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Roster {
    /// Lines in order; empty ones and the head are left out.
    pub lines: Vec<RosterLine>,
    /// Lines that are understood.
    pub sound: usize,
    /// Lines with a problem.
    pub wrong: usize,
    /// Columns that are not read, by their heads.
    pub left_out: Vec<String>,
}

impl Roster {
    /// Every problem of every line, led by its number.
    pub fn problems(&self) -> Vec<Problem> {
        let of_line = |line: &RosterLine| {
            let lead = format!("Line {}: ", line.line);
            line.problems.iter().map(|problem| problem.clone().after(lead.as_str())).collect::<Vec<_>>()
        };
        self.lines.iter().flat_map(of_line).collect()
    }
}

/// Somebody whom the school knows.
#[derive(Clone, Debug, PartialEq)]
pub struct AlreadyKnown {
    /// Id of the person.
    pub person_id: i64,
    /// Is in the course.
    pub here: bool,
    /// What is known; the station counts only for who is in the course.
    pub fields: StudentFields,
}

impl AlreadyKnown {
    /// The people of the school, seen from a course; none is in a course that is not made yet.
    pub fn of(people: Vec<Person>, course_id: Option<i64>) -> Vec<AlreadyKnown> {
        let known = |person: Person| {
            let station = course_id.and_then(|course| person.station_in(course));
            AlreadyKnown { person_id: person.id, here: station.is_some(), fields: person.at(station.unwrap_or(1)) }
        };
        people.into_iter().map(known).collect()
    }
}

/// What is taken for granted where a line does not tell.
#[derive(Clone, Debug, PartialEq)]
pub struct RosterDefaults {
    /// Longest blade that a newcomer is cleared for.
    pub clearance: Millimetres,
    /// Lines of people who have the name of somebody known, and are somebody else.
    pub apart: BTreeSet<usize>,
}

/// Stations that are free, in order.
pub fn free_stations(taken: &BTreeSet<u16>) -> impl Iterator<Item = u16> {
    (1..=MOST_STUDENTS).filter(|station| !taken.contains(station))
}

/// What a line says, before it is weighed.
#[derive(Default)]
struct Said {
    names: Vec<String>,
    hand: Option<Hand>,
    size: Option<HandSize>,
    /// A lone L, and the column in which it stands.
    letter: Option<usize>,
    allergies: Vec<String>,
    clearance: Option<Millimetres>,
    notes: String,
    /// Two hands, two sizes: which of them is meant is not known.
    twice: Option<&'static str>,
    /// The name stands in two cells.
    two_parts: bool,
}

impl Said {
    /// A lone L is the one of the two that is not told yet, or what its column holds.
    fn settle_letter(&mut self, letters: &BTreeMap<usize, Mark>) -> Option<Problem> {
        let cell = self.letter?;
        let meant = match (self.hand, self.size, letters.get(&cell)) {
            (Some(_), None, _) => Some(Mark::Size(HandSize::Large)),
            (None, Some(_), _) => Some(Mark::Hand(Hand::Left)),
            (_, _, mark) => mark.cloned(),
        };
        match meant {
            Some(mark) => self.take(mark, cell),
            None => return Some(Problem::new("/hand", "Line", "L", "may be left or large", "left, or large, in full")),
        }
        None
    }

    fn take(&mut self, mark: Mark, cell: usize) {
        match mark {
            Mark::Nothing => {}
            Mark::Hand(hand) => {
                self.twice = self.twice.or(self.hand.is_some_and(|known| known != hand).then_some("two hands"));
                self.hand = Some(hand);
            }
            Mark::Size(size) => {
                self.twice = self.twice.or(self.size.is_some_and(|known| known != size).then_some("two sizes of hand"));
                self.size = Some(size);
            }
            Mark::LeftOrLarge => self.letter = Some(cell),
            Mark::Allergies(named) => {
                for name in named {
                    if !self.allergies.contains(&name) {
                        self.allergies.push(name);
                    }
                }
            }
            Mark::Clearance(length) => self.clearance = Some(length),
        }
    }
}

/// Reads a class list: one student a line.
///
/// `known` are the people of the school; who has the name of one of them is taken to be that person. A line
/// with a problem is told with it and leaves the others alone. Stations are numbered by themselves.
///
/// # Errors
/// More than 5,000 lines.
pub fn read_roster(
    words: &RosterWords,
    text: &str,
    defaults: &RosterDefaults,
    known: &[AlreadyKnown],
) -> Result<Roster, Vec<Problem>> {
    let text = text.trim_start_matches('\u{feff}');
    let written: Vec<(usize, &str)> = text.lines().enumerate().map(|(index, line)| (index + 1, line.trim_end())).collect();
    if written.len() > MOST_LINES {
        let lines = written.len().to_string();
        return Err(vec![Problem::new(
            "/text",
            "Names",
            lines,
            "lines are too many to read at once",
            format!("up to {MOST_LINES}"),
        )]);
    }
    let written: Vec<(usize, &str)> = written.into_iter().filter(|(_, text)| !text.trim().is_empty()).collect();
    let head = written.first().and_then(|(_, text)| head(words, text));
    let cut = |text: &str| head.as_ref().and_then(|head| head.sign).map_or_else(|| cells(text), |sign| between(text, sign));
    let body: Vec<(usize, &str, Vec<String>)> =
        written.iter().skip(usize::from(head.is_some())).map(|(line, text)| (*line, *text, cut(text))).collect();
    let body: Vec<_> = body.into_iter().filter(|(_, _, cells)| cells.iter().any(|cell| !cell.is_empty())).collect();
    let letters = letters(&body);
    let mut places = Places::of(known);
    let lines: Vec<RosterLine> = body
        .iter()
        .map(|(line, text, cells)| {
            let said = match &head {
                Some(head) if head.sign.is_some() => by_column(words, &head.columns, cells),
                _ => by_itself(words, cells),
            };
            weighed(*line, text, said, &letters, defaults, &mut places)
        })
        .collect();
    let sound = lines.iter().filter(|line| line.fields.is_some()).count();
    let left_out = head.map(|head| head.left_out).unwrap_or_default();
    Ok(Roster { sound, wrong: lines.len() - sound, lines, left_out })
}

/// Signs between cells, the strongest first.
const SIGNS: [u8; 4] = [b'\t', b';', b'|', b','];

/// The cells of a line: between tabs where there are any, else between semicolons, bars or commas.
fn cells(line: &str) -> Vec<String> {
    let line = without_number(line);
    let sign = SIGNS.into_iter().find(|sign| line.as_bytes().contains(sign)).unwrap_or(b'\t');
    between(&line.replace(['(', ')'], &char::from(sign).to_string()), sign)
}

fn between(line: &str, sign: u8) -> Vec<String> {
    let mut reader = ReaderBuilder::new().delimiter(sign).has_headers(false).flexible(true).from_reader(line.as_bytes());
    match reader.records().next() {
        Some(Ok(record)) => record.iter().map(|cell| as_meant(cell.trim()).to_owned()).collect(),
        _ => Vec::new(),
    }
}

/// Without the number that a list gives its lines: `3. Name`, `3) Name`.
fn without_number(line: &str) -> &str {
    let line = line.trim_start_matches(['-', '*', '•', ' ']);
    let rest = line.trim_start_matches(|c: char| c.is_ascii_digit());
    match rest.strip_prefix(['.', ')']) {
        Some(after) if rest.len() < line.len() => after.trim_start(),
        _ => line,
    }
}

/// The head of a table.
struct Head {
    /// What stands between its cells; none where there is one column alone.
    sign: Option<u8>,
    columns: Vec<Option<Column>>,
    left_out: Vec<String>,
}

/// The first line as a head: it names a column of names, and half of its cells are columns.
fn head(words: &RosterWords, line: &str) -> Option<Head> {
    let signs = SIGNS.into_iter().filter(|sign| line.as_bytes().contains(sign));
    signs.map(Some).chain([None]).find_map(|sign| {
        let cells = sign.map_or_else(|| vec![line.trim().to_owned()], |sign| between(line, sign));
        let columns: Vec<Option<Column>> = cells.iter().map(|cell| words.column(cell)).collect();
        let named = columns.iter().any(|column| matches!(column, Some(Column::Name | Column::FirstName | Column::LastName)));
        let read = columns.iter().flatten().count();
        (named && read * 2 >= cells.len()).then(|| {
            let unread = cells.iter().zip(&columns).filter(|(cell, column)| column.is_none() && !cell.is_empty());
            Head { sign, left_out: unread.map(|(cell, _)| cell.clone()).collect(), columns }
        })
    })
}

/// What a lone L means by the other lines: left beside an R, large beside an S or M.
fn letters(lines: &[(usize, &str, Vec<String>)]) -> BTreeMap<usize, Mark> {
    let mut found = BTreeMap::new();
    for (_, _, cells) in lines {
        for (column, cell) in cells.iter().enumerate() {
            let mark = match plain(cell).as_str() {
                "r" => Mark::Hand(Hand::Left),
                "s" | "m" => Mark::Size(HandSize::Large),
                _ => continue,
            };
            found.entry(column).or_insert(mark);
        }
    }
    found
}

fn by_column(words: &RosterWords, columns: &[Option<Column>], cells: &[String]) -> Said {
    let mut said = Said::default();
    let (mut first, mut last) = (String::new(), String::new());
    for (index, cell) in cells.iter().enumerate() {
        let Some(Some(column)) = columns.get(index) else { continue };
        if cell.is_empty() || *column != Column::Name && words.is_nothing(cell) {
            continue;
        }
        let marks = words.marks(cell).unwrap_or_default();
        let one = |wanted: fn(&Mark) -> bool| marks.iter().find(|mark| wanted(mark)).cloned();
        match column {
            Column::Name => said.names.push(cell.clone()),
            Column::FirstName => first.clone_from(cell),
            Column::LastName => last.clone_from(cell),
            Column::Hand => match one(|mark| matches!(mark, Mark::Hand(_) | Mark::LeftOrLarge)) {
                Some(Mark::LeftOrLarge) => said.take(Mark::Hand(Hand::Left), index),
                Some(mark) => said.take(mark, index),
                None => said.names.push(cell.clone()),
            },
            Column::HandSize => match one(|mark| matches!(mark, Mark::Size(_) | Mark::LeftOrLarge)) {
                Some(Mark::LeftOrLarge) => said.take(Mark::Size(HandSize::Large), index),
                Some(mark) => said.take(mark, index),
                None => said.names.push(cell.clone()),
            },
            Column::Allergies => said.take(Mark::Allergies(words.allergies(cell)), index),
            Column::Clearance => match words.bare_clearance(cell) {
                Some(mark) => said.take(mark, index),
                None => said.names.push(cell.clone()),
            },
            Column::Notes => said.notes.clone_from(cell),
            Column::Number => {}
        }
    }
    let full = format!("{first} {last}");
    if !full.trim().is_empty() {
        said.names.insert(0, full.trim().to_owned());
    }
    said
}

fn by_itself(words: &RosterWords, cells: &[String]) -> Said {
    let mut said = Said::default();
    let mut places = Vec::new();
    for (index, cell) in cells.iter().enumerate().filter(|(_, cell)| !cell.is_empty()) {
        // A number that counts the lines.
        if index == 0 && cells.len() > 1 && cell.chars().all(|c| c.is_ascii_digit()) {
            continue;
        }
        match words.marks(cell) {
            Some(marks) => marks.into_iter().for_each(|mark| said.take(mark, index)),
            None => {
                let split: Vec<&str> = cell.split_whitespace().collect();
                match words.at_the_end(&split) {
                    Some((taken, marks)) => {
                        said.names.push(split.get(..split.len() - taken).unwrap_or_default().join(" "));
                        marks.into_iter().for_each(|mark| said.take(mark, index));
                    }
                    None => said.names.push(cell.clone()),
                }
                places.push(index);
            }
        }
    }
    // `Oake, Maren`, and a column for each part of a name.
    if let ([one, two], [a, b]) = (said.names.as_slice(), places.as_slice())
        && b - a == 1
        && !one.contains(' ')
        && !two.contains(' ')
    {
        said.two_parts = true;
    }
    said
}

/// Who is there, and which stations are free.
struct Places<'k> {
    known: &'k [AlreadyKnown],
    taken: BTreeSet<u16>,
    names: BTreeMap<String, usize>,
}

impl<'k> Places<'k> {
    fn of(known: &'k [AlreadyKnown]) -> Self {
        let taken = known.iter().filter(|each| each.here).map(|each| each.fields.station).collect();
        Places { known, taken, names: BTreeMap::new() }
    }

    fn next(&self) -> Option<u16> {
        free_stations(&self.taken).next()
    }
}

/// A name for comparing: its letters, whatever their case and the blanks between them.
fn same_name(name: &str) -> String {
    name.to_lowercase().split_whitespace().collect::<Vec<_>>().join(" ")
}

fn weighed(
    line: usize,
    text: &str,
    mut said: Said,
    letters: &BTreeMap<usize, Mark>,
    defaults: &RosterDefaults,
    places: &mut Places<'_>,
) -> RosterLine {
    let mut found =
        RosterLine { line, text: text.to_owned(), fields: None, person_id: None, said: Text::default(), problems: Vec::new() };
    let name = match said.names.as_slice() {
        [name] => name.clone(),
        [one, two] if said.two_parts && text.contains(',') => format!("{two} {one}"),
        [one, two] if said.two_parts => format!("{one} {two}"),
        [] => {
            found.problems.push(Problem::new("/name", "Name", text, "has no name in it", "a name, and what is known beside it"));
            return found;
        }
        [_, unknown, ..] => {
            let allowed = "one name, right or left, small, medium or large, allergies";
            found.problems.push(Problem::new("/name", "Line", unknown, "is not understood", allowed));
            return found;
        }
    };
    found.problems.extend(said.settle_letter(letters));
    if let Some(twice) = said.twice {
        found.problems.push(Problem::new("/hand", "Line", text, format!("tells {twice}"), "one of each"));
    }
    let same = places.known.iter().find(|each| same_name(&each.fields.name) == same_name(&name));
    let same = same.filter(|each| each.here || !defaults.apart.contains(&line));
    if same.is_some_and(|each| each.here) {
        found.problems.push(Problem::new("/name", "Name", &name, "is in the course already", "a name that tells them apart"));
    } else if let Some(first) = places.names.get(&same_name(&name)) {
        let why = format!("stands in line {first} too");
        found.problems.push(Problem::new("/name", "Name", &name, why, "a name that tells them apart, by a letter say"));
    }
    let Some(station) = places.next() else {
        let allowed = format!("up to {MOST_STUDENTS} students in a course");
        found.problems.push(Problem::new("/station", "Station", &name, "finds none that is free", allowed));
        return found;
    };
    let fields = StudentFields {
        name,
        station,
        hand: said.hand.or(same.map(|each| each.fields.hand)).unwrap_or(Hand::Right),
        hand_size: said.size.or(same.map(|each| each.fields.hand_size)).unwrap_or(HandSize::Medium),
        clearance: said.clearance.or(same.map(|each| each.fields.clearance)).unwrap_or(defaults.clearance),
        special_clearance: same.is_some_and(|each| each.fields.special_clearance),
        allergies: together(said.allergies, same),
        notes: if said.notes.is_empty() { same.map(|each| each.fields.notes.clone()).unwrap_or_default() } else { said.notes },
    };
    found.problems.extend(fields.check());
    if found.problems.is_empty() {
        places.taken.insert(station);
        places.names.insert(same_name(&fields.name), line);
        found.person_id = same.map(|each| each.person_id);
        found.said = told(&fields, said.hand, said.size, same.is_some());
        found.fields = Some(fields);
    }
    found
}

/// An allergy that is known is never lost to a list that does not name it.
fn together(mut named: Vec<String>, same: Option<&AlreadyKnown>) -> Vec<String> {
    for known in same.into_iter().flat_map(|each| &each.fields.allergies) {
        if !named.iter().any(|each| each.eq_ignore_ascii_case(known)) {
            named.push(known.clone());
        }
    }
    named
}

fn told(fields: &StudentFields, hand: Option<Hand>, size: Option<HandSize>, known: bool) -> Text {
    let mut words = text!["station ", fields.station, ": ", fields.hand.name(), " hand, ", fields.hand_size.name()];
    words.push(text![", cleared to ", fields.clearance]);
    if !fields.allergies.is_empty() {
        words.push(text![", allergic to ", fields.allergies.join(" and ")]);
    }
    if known {
        words.push("; known to the school");
    } else if hand.is_none() && size.is_none() {
        words.push("; hand and size are guessed");
    }
    words
}
