//! The rack as a table: comma-separated text in and out.

use std::collections::BTreeSet;

use csv::{ReaderBuilder, StringRecord, Trim};
use serde::Serialize;

use super::{Bolster, EdgeState, KnifeFields, Tang};
use crate::catalogue::{Catalogue, Edge, KnifeType};
use crate::people::Hand;
use crate::problem::Problem;
use crate::sheet::{as_meant, harmless};
use crate::units::{Degrees, Millimetres, parse_length};

/// Columns in the order they are written; read in any order, and only the first three are needed.
pub const KNIFE_COLUMNS: [&str; 15] = [
    "number",
    "type",
    "length",
    "heel_height",
    "hand",
    "edge",
    "note",
    "name",
    "edge_angle",
    "bolster",
    "tang",
    "hollowed",
    "handle",
    "cost",
    "stored",
];

/// Most rows of one table.
pub const MOST_ROWS: usize = 5_000;

/// Most columns of a head that is looked at.
const MOST_COLUMNS: usize = 60;

/// Problems after which each further row tells only its first.
const TOLD_IN_FULL: usize = 500;

/// A row of the table as it was read.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeRow {
    /// Line of the text, the head being 1.
    pub line: u64,
    /// The row as it was written.
    pub text: String,
    /// The knife, if the row is sound.
    pub fields: Option<KnifeFields>,
    /// Label of the knife, if the row is sound.
    pub label: String,
    /// What is wrong with the row.
    pub problems: Vec<Problem>,
}

/// A table of knives, row by row.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeTable {
    /// Rows in order.
    pub rows: Vec<KnifeRow>,
    /// Sound rows.
    pub sound: usize,
    /// Rows with a problem.
    pub wrong: usize,
}

impl KnifeTable {
    /// Every problem of every row, led by its line.
    pub fn problems(&self) -> Vec<Problem> {
        let of_row = |row: &KnifeRow| {
            let lead = format!("Line {}: ", row.line);
            row.problems.iter().map(|problem| problem.clone().after(lead.as_str())).collect::<Vec<_>>()
        };
        self.rows.iter().flat_map(of_row).collect()
    }
}

/// Reads a table of knives. `taken` are the numbers that are on the rack already.
///
/// Types are read by id, name or short name; lengths in millimetres or kitchen inches; commas or
/// semicolons between columns. A row with problems is told with them and leaves the others alone.
///
/// # Errors
/// A head without the needed columns or with unknown ones or too many, an empty table, more than
/// [`MOST_ROWS`].
pub fn read_knives(catalogue: &Catalogue, text: &str, taken: &BTreeSet<String>) -> Result<KnifeTable, Vec<Problem>> {
    let head = text.lines().next().unwrap_or("");
    let semicolons = head.matches(';').count() > head.matches(',').count();
    let mut reader = ReaderBuilder::new()
        .delimiter(if semicolons { b';' } else { b',' })
        .trim(Trim::All)
        .flexible(true)
        .from_reader(text.trim_start_matches('\u{feff}').as_bytes());
    let columns = columns(reader.headers().map_err(|error| vec![unreadable(&error.to_string())])?)?;
    let mut numbers: BTreeSet<String> = taken.iter().map(|number| number.to_lowercase()).collect();
    let (mut rows, mut told) = (Vec::new(), 0);
    for (index, record) in reader.records().enumerate() {
        if index >= MOST_ROWS {
            let why = "are too many for one table";
            return Err(vec![Problem::new("/text", "rows", format!("more than {MOST_ROWS}"), why, format!("up to {MOST_ROWS}"))]);
        }
        let record = record.map_err(|error| vec![unreadable(&error.to_string())])?;
        if record.iter().all(str::is_empty) {
            continue;
        }
        let mut row = row(catalogue, &columns, &record, &mut numbers);
        if told >= TOLD_IN_FULL {
            row.problems.truncate(1);
        }
        told += row.problems.len();
        rows.push(row);
    }
    if rows.is_empty() {
        return Err(vec![Problem::new("/text", "table", "", "of knives was given", "a head and at least one row")]);
    }
    let sound = rows.iter().filter(|row| row.fields.is_some()).count();
    Ok(KnifeTable { sound, wrong: rows.len() - sound, rows })
}

/// Writes knives as a table that [`read_knives`] reads again. Text that a spreadsheet would take for a formula
/// is written behind an apostrophe, which is taken off again when it is read.
pub fn write_knives<'a>(knives: impl IntoIterator<Item = &'a KnifeFields>) -> String {
    let mut writer = csv::Writer::from_writer(Vec::new());
    // Writing into memory cannot fail.
    let _ = writer.write_record(KNIFE_COLUMNS);
    for knife in knives {
        let number = |value: f64| format!("{value}");
        let _ = writer.write_record([
            harmless(&knife.number).as_str(),
            &knife.knife_type,
            &number(knife.length.get()),
            &number(knife.heel_height.get()),
            knife.hand.map_or("", |hand| if hand == Hand::Left { "left" } else { "right" }),
            if knife.edge_state == EdgeState::Sharp { "sharp" } else { "dull" },
            &harmless(&knife.note),
            &harmless(&knife.name),
            &knife.edge_angle.map_or_else(String::new, |angle| number(angle.get())),
            match knife.bolster {
                Bolster::None => "none",
                Bolster::Half => "half",
                Bolster::Full => "full",
            },
            if knife.tang == Tang::Full { "full" } else { "partial" },
            if knife.hollowed { "yes" } else { "no" },
            &harmless(&knife.handle),
            &knife.cost.map_or_else(String::new, number),
            &harmless(&knife.stored),
        ]);
    }
    writer.into_inner().ok().and_then(|bytes| String::from_utf8(bytes).ok()).unwrap_or_default()
}

fn unreadable(why: &str) -> Problem {
    Problem::new("/text", "table", "", format!("can be read: {why}"), "comma-separated text in UTF-8")
}

/// Place of each known column in the head.
fn columns(head: &StringRecord) -> Result<[Option<usize>; 15], Vec<Problem>> {
    if head.len() > MOST_COLUMNS {
        let why = "are too many for a table of knives";
        return Err(vec![Problem::new("/text", "columns", head.len(), why, format!("up to {MOST_COLUMNS}"))]);
    }
    let plain: Vec<String> = head.iter().map(|name| name.to_lowercase().replace([' ', '-'], "_")).collect();
    let mut problems: Vec<Problem> = plain
        .iter()
        .filter(|name| !KNIFE_COLUMNS.contains(&name.as_str()))
        .map(|name| Problem::new("/text", "column", name, "is not known", KNIFE_COLUMNS.join(", ")))
        .collect();
    let places = KNIFE_COLUMNS.map(|column| plain.iter().position(|name| name == column));
    for (column, place) in KNIFE_COLUMNS.iter().zip(places).take(3) {
        if place.is_none() {
            problems.push(Problem::new("/text", "column", *column, "is missing", "at least number, type, length"));
        }
    }
    if problems.is_empty() { Ok(places) } else { Err(problems) }
}

fn row(catalogue: &Catalogue, columns: &[Option<usize>; 15], record: &StringRecord, numbers: &mut BTreeSet<String>) -> KnifeRow {
    let mut problems = Vec::new();
    let text = record.iter().collect::<Vec<_>>().join(", ");
    let line = record.position().map_or(0, csv::Position::line);
    let fields = Cells { columns, record }.fields(catalogue, &mut problems);
    if let Some(fields) = &fields {
        problems.extend(fields.check(catalogue));
        if problems.is_empty() && !numbers.insert(fields.number.to_lowercase()) {
            let why = "is on the rack or in this table already";
            problems.push(Problem::new("/number", "number", &fields.number, why, "a number that no other knife has"));
        }
    }
    let fields = fields.filter(|_| problems.is_empty());
    let label = fields.as_ref().map_or_else(String::new, |fields| {
        let short = catalogue.knife(&fields.knife_type).map_or("", |kind| kind.short.as_str());
        format!("{short} {}", fields.length)
    });
    KnifeRow { line, text, fields, label, problems }
}

/// The cells of a row by column.
struct Cells<'a> {
    columns: &'a [Option<usize>; 15],
    record: &'a StringRecord,
}

impl Cells<'_> {
    fn get(&self, column: &str) -> &str {
        let place = KNIFE_COLUMNS.iter().position(|known| *known == column);
        place.and_then(|place| *self.columns.get(place)?).and_then(|index| self.record.get(index)).unwrap_or("")
    }

    /// Words of a cell, without what kept them from being a formula.
    fn words(&self, column: &str) -> String {
        as_meant(self.get(column)).to_owned()
    }

    /// One of some words; nothing where the cell is empty.
    fn word<T: Copy>(&self, column: &str, words: &[(&str, T)], problems: &mut Vec<Problem>) -> Option<T> {
        let cell = self.get(column).to_lowercase();
        if cell.is_empty() {
            return None;
        }
        let found = words.iter().find(|(word, _)| *word == cell).map(|(_, value)| *value);
        if found.is_none() {
            let allowed = words.iter().map(|(word, _)| *word).collect::<Vec<_>>().join(", ");
            problems.push(Problem::new(format!("/{column}"), column, cell, "is not known", allowed));
        }
        found
    }

    fn length(&self, column: &str, problems: &mut Vec<Problem>) -> Option<Millimetres> {
        let cell = self.get(column);
        if cell.is_empty() {
            return None;
        }
        let read = parse_length(cell);
        if let Err(error) = &read {
            let pointer = format!("/{column}");
            problems.push(Problem::new(pointer, column, cell, error.to_string(), "millimetres, or inches such as 8 in"));
        }
        read.ok()
    }

    fn number(&self, column: &str, problems: &mut Vec<Problem>) -> Option<f64> {
        let cell = self.get(column).replace(',', ".");
        if cell.is_empty() {
            return None;
        }
        let read = cell.parse::<f64>().ok().filter(|number| number.is_finite());
        if read.is_none() {
            problems.push(Problem::new(format!("/{column}"), column, cell, "is not a number", "a number"));
        }
        read
    }

    fn kind<'c>(&self, catalogue: &'c Catalogue, problems: &mut Vec<Problem>) -> Option<&'c KnifeType> {
        let cell = self.get("type");
        let named = |kind: &&KnifeType| [&kind.id, &kind.name, &kind.short].iter().any(|name| name.eq_ignore_ascii_case(cell));
        let found = catalogue.knives.iter().find(named);
        if found.is_none() {
            let known = catalogue.knives.iter().map(|kind| kind.id.as_str()).collect::<Vec<_>>().join(", ");
            problems.push(Problem::new("/knife_type", "type", cell, "is not known", known));
        }
        found
    }

    fn fields(&self, catalogue: &Catalogue, problems: &mut Vec<Problem>) -> Option<KnifeFields> {
        let kind = self.kind(catalogue, problems);
        let length = self.length("length", problems);
        if self.get("length").is_empty() {
            problems.push(Problem::new("/length", "length", "", "was given", "a blade length in millimetres"));
        }
        let heel_height = self.length("heel_height", problems);
        let hand = self.word("hand", &[("right", Some(Hand::Right)), ("left", Some(Hand::Left)), ("either", None)], problems);
        let edge = self.word("edge", &[("sharp", EdgeState::Sharp), ("dull", EdgeState::Dull)], problems);
        let bolster =
            self.word("bolster", &[("none", Bolster::None), ("half", Bolster::Half), ("full", Bolster::Full)], problems);
        let tang = self.word("tang", &[("full", Tang::Full), ("partial", Tang::Partial)], problems);
        let hollowed = self.word("hollowed", &[("yes", true), ("no", false)], problems);
        let angle = self.number("edge_angle", problems).and_then(|number| {
            let angle = Degrees::new(number);
            if let Err(error) = &angle {
                problems.push(Problem::new("/edge_angle", "angle", number, error.to_string(), "degrees per side"));
            }
            angle.ok()
        });
        let cost = self.number("cost", problems);
        let kind = kind?;
        Some(KnifeFields {
            number: self.words("number"),
            knife_type: kind.id.clone(),
            length: length?,
            heel_height: heel_height.unwrap_or(kind.heel_height),
            hand: hand.flatten().or((kind.edge == Edge::SingleBevel && hand.is_none()).then_some(Hand::Right)),
            edge_state: edge.unwrap_or(EdgeState::Sharp),
            note: self.words("note"),
            name: self.words("name"),
            edge_angle: angle,
            bolster: bolster.unwrap_or_default(),
            tang: tang.unwrap_or_default(),
            hollowed: hollowed.unwrap_or(false),
            handle: self.words("handle"),
            cost,
            stored: self.words("stored"),
        })
    }
}

/// Knives that are counted at once, at the most.
const MOST_COUNTED: usize = 500;

/// Numbers as they are called out or typed: `1 2 5-9, 12`. Each is a number on a handle; a span is
/// of whole numbers.
///
/// # Errors
/// A span that runs backwards or is longer than 500, at its text; more than 500 numbers in all.
pub fn parse_numbers(text: &str) -> Result<Vec<String>, Problem> {
    let mut found: Vec<String> = Vec::new();
    let mut told = BTreeSet::new();
    let too_many = || Problem::new("/numbers", "Numbers", text, "are too many at once", format!("up to {MOST_COUNTED} numbers"));
    if text.len() > MOST_COUNTED * 13 {
        return Err(too_many());
    }
    for word in text.split(|c: char| c.is_whitespace() || c == ',' || c == ';').filter(|word| !word.is_empty()) {
        let span = word.split_once(['-', '–']).and_then(|(a, b)| Some((a.parse::<u32>().ok()?, b.parse::<u32>().ok()?)));
        match span {
            Some((from, to)) if from <= to && to - from < 500 => {
                found.extend((from..=to).map(|number| number.to_string()).filter(|number| told.insert(number.clone())));
            }
            Some(_) => {
                return Err(Problem::new("/numbers", "span", word, "is not a span of numbers", "e.g. 5-9, up to 500 numbers"));
            }
            None => {
                let number: String = word.chars().take(12).collect();
                if told.insert(number.to_lowercase()) {
                    found.push(number);
                }
            }
        }
        if found.len() > MOST_COUNTED {
            return Err(too_many());
        }
    }
    Ok(found)
}
