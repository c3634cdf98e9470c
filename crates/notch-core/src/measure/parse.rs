//! Reads measured pieces as they are typed or pasted.

use serde::{Deserialize, Serialize};
use thiserror::Error;

use crate::problem::Problem;
use crate::text;
use crate::text::Bare;
use crate::units::{LengthParseError, Millimetres, parse_length};

/// Most pieces in one sample.
pub const MAX_PIECES: usize = 500;

/// Most problems told at once.
const MAX_PROBLEMS: usize = 12;

/// What one side of a piece can measure.
#[derive(Clone, Copy, Debug)]
pub struct PieceLimits;

impl PieceLimits {
    /// Thinner than this is not measured with a calliper.
    pub const LEAST: f64 = 0.2;
    /// Longer than this is not a piece.
    pub const MOST: f64 = 400.0;
}

/// One measured piece. A side that was not measured is `None`.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MeasuredPiece {
    /// Thickness, set by the plank cut.
    pub thickness: Millimetres,
    /// Width, set by the stick cut.
    pub width: Option<Millimetres>,
    /// Length.
    pub length: Option<Millimetres>,
    /// Width at the other end, for taper.
    pub far_width: Option<Millimetres>,
}

/// What is wrong in a text of pieces, and where.
#[derive(Clone, Debug, PartialEq, Error)]
#[error("line {line}: {kind}")]
pub struct PieceProblem {
    /// Line in the text, 1 first.
    pub line: usize,
    /// What is wrong there.
    pub kind: PieceProblemKind,
}

/// The ways in which a line of a sample can be wrong.
#[derive(Clone, Debug, PartialEq, Error)]
pub enum PieceProblemKind {
    /// There is nothing in the text.
    #[error("no piece was entered")]
    Empty,
    /// More than [`MAX_PIECES`].
    #[error("{0} pieces")]
    TooMany(usize),
    /// More numbers than sides.
    #[error("“{0}” has more than four numbers")]
    TooManyNumbers(String),
    /// A number that cannot be read.
    #[error("“{value}” {why}")]
    Unreadable {
        /// As entered.
        value: String,
        /// What is wrong with it.
        why: LengthParseError,
    },
    /// A length, but not one of a piece.
    #[error("“{value}” is {millimetres} mm")]
    OutOfRange {
        /// As entered.
        value: String,
        /// In millimetres.
        millimetres: f64,
    },
}

impl PieceProblem {
    /// The problem at the field of the sample's text.
    pub fn at(&self, pointer: &str) -> Problem {
        let line = format!("Line {}", self.line);
        match &self.kind {
            PieceProblemKind::Empty => {
                Problem::new(pointer, "Pieces", "", "was entered", format!("1 to {MAX_PIECES} pieces, one a line"))
            }
            PieceProblemKind::TooMany(count) => {
                Problem::new(pointer, "Pieces", count, "are too many for one sample", format!("1 to {MAX_PIECES}"))
            }
            PieceProblemKind::TooManyNumbers(value) => Problem::new(
                pointer,
                &line,
                value,
                "has more than four numbers",
                "thickness, width, length, width at the far end",
            ),
            PieceProblemKind::Unreadable { value, why } => {
                Problem::new(pointer, &line, value, why.to_string(), LengthParseError::ALLOWED)
            }
            PieceProblemKind::OutOfRange { value, .. } => Problem::new(
                pointer,
                &line,
                value,
                "cannot be a side of a piece",
                text![Bare(Millimetres::clamped(PieceLimits::LEAST)), " to ", Millimetres::clamped(PieceLimits::MOST)],
            ),
        }
    }
}

/// Reads pieces, one a line: thickness, width, length, width at the far end; later sides may be
/// left out. Numbers are parted by blanks, tabs, semicolons or `×`, or by commas where the line
/// cannot be read with decimal commas. Blank lines and a first line of words (a spreadsheet's
/// heading) are passed over.
///
/// # Errors
/// Every line that is wrong, up to a dozen. Never panics, on any text.
pub fn parse_pieces(text: &str) -> Result<Vec<MeasuredPiece>, Vec<PieceProblem>> {
    let mut pieces = Vec::new();
    let mut problems = Vec::new();
    let filled = text.lines().enumerate().filter(|(_, line)| !line.trim().is_empty());
    let mut seen = 0;
    for (index, line) in filled {
        if seen == 0 && pieces.is_empty() && is_heading(line) {
            continue;
        }
        seen += 1;
        if seen > MAX_PIECES {
            continue;
        }
        match parse_line(line) {
            Ok(piece) => pieces.push(piece),
            Err(kind) if problems.len() < MAX_PROBLEMS => problems.push(PieceProblem { line: index + 1, kind }),
            Err(_) => {}
        }
    }
    if seen > MAX_PIECES {
        return Err(vec![PieceProblem { line: MAX_PIECES + 1, kind: PieceProblemKind::TooMany(seen) }]);
    }
    if seen == 0 {
        return Err(vec![PieceProblem { line: 1, kind: PieceProblemKind::Empty }]);
    }
    if problems.is_empty() { Ok(pieces) } else { Err(problems) }
}

/// Words that head a column of measured sides.
const HEADINGS: [&str; 14] =
    ["piece", "size", "thickness", "thick", "width", "wide", "length", "long", "far", "end", "t", "w", "l", "mm"];

/// A spreadsheet's heading: nothing but words that name sides.
fn is_heading(line: &str) -> bool {
    let mut words = line.split(|c: char| !c.is_alphabetic()).filter(|word| !word.is_empty()).peekable();
    words.peek().is_some()
        && !line.chars().any(|c| c.is_ascii_digit())
        && words.all(|word| HEADINGS.contains(&word.to_lowercase().as_str()))
}

/// The numbers of a line, with units joined to them (`3 mm` is one number).
fn split_line(line: &str) -> Vec<String> {
    // "3.1,3.3,50" and "3,3,50" are parted by commas; in "3,1 3,3 50" the comma is a decimal mark.
    let blank = |c: char| c.is_whitespace() || matches!(c, ';' | '×' | '|');
    let comma_parts = line
        .split(blank)
        .any(|token| token.matches(',').count() > 1 || (token.contains(',') && token.contains('.')) || token.ends_with(','));
    let parted = |c: char| blank(c) || (comma_parts && c == ',');
    let mut numbers: Vec<String> = Vec::new();
    for token in line.split(parted).filter(|token| !token.is_empty() && *token != "x") {
        let is_unit = token.chars().next().is_some_and(|c| c.is_alphabetic() || matches!(c, '"' | '″'));
        match numbers.last_mut() {
            Some(last) if is_unit && last.chars().last().is_some_and(|c| c.is_ascii_digit()) => last.push_str(token),
            _ => numbers.push(token.to_owned()),
        }
    }
    numbers
}

fn parse_line(line: &str) -> Result<MeasuredPiece, PieceProblemKind> {
    let numbers = split_line(line);
    if numbers.len() > 4 {
        return Err(PieceProblemKind::TooManyNumbers(line.trim().chars().take(60).collect()));
    }
    let mut sides = [None; 4];
    for (side, number) in sides.iter_mut().zip(&numbers) {
        *side = Some(parse_side(number)?);
    }
    let [Some(thickness), width, length, far_width] = sides else {
        let value = line.trim().chars().take(60).collect();
        return Err(PieceProblemKind::Unreadable { value, why: LengthParseError::NotALength });
    };
    Ok(MeasuredPiece { thickness, width, length, far_width })
}

fn parse_side(number: &str) -> Result<Millimetres, PieceProblemKind> {
    let value: String = number.chars().take(40).collect();
    let length = parse_length(number).map_err(|why| PieceProblemKind::Unreadable { value: value.clone(), why })?;
    let millimetres = length.get();
    if (PieceLimits::LEAST..=PieceLimits::MOST).contains(&millimetres) {
        Ok(length)
    } else {
        Err(PieceProblemKind::OutOfRange { value, millimetres })
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn sides(text: &str) -> Vec<f64> {
        let piece = parse_pieces(text).unwrap()[0];
        [Some(piece.thickness), piece.width, piece.length, piece.far_width].into_iter().flatten().map(Millimetres::get).collect()
    }

    #[test]
    fn the_usual_ways_of_writing_a_piece_are_all_read() {
        assert_eq!(sides("3.1 3.3 50"), [3.1, 3.3, 50.0]);
        assert_eq!(sides("3.1\t3.3\t50\t2.9"), [3.1, 3.3, 50.0, 2.9]);
        assert_eq!(sides("3.1, 3.3, 50"), [3.1, 3.3, 50.0]);
        assert_eq!(sides("3.1,3.3,50"), [3.1, 3.3, 50.0]);
        assert_eq!(sides("3,1 3,3 50"), [3.1, 3.3, 50.0]);
        assert_eq!(sides("3,1;3,3;50"), [3.1, 3.3, 50.0]);
        assert_eq!(sides("3 × 3 × 50"), [3.0, 3.0, 50.0]);
        assert_eq!(sides("1/8 1/8 2 in"), [3.175, 3.175, 50.8]);
        assert_eq!(sides("3.1mm 3.3 mm 5 cm"), [3.1, 3.3, 50.0]);
    }

    #[test]
    fn a_spreadsheet_heading_and_blank_lines_are_passed_over() {
        let pieces = parse_pieces("thickness\twidth\r\n3.1\t3.2\r\n\r\n3.0\t3.3\r\n").unwrap();
        assert_eq!(pieces.len(), 2);
        assert!(matches!(parse_pieces("NaN").unwrap_err()[0].kind, PieceProblemKind::Unreadable { .. }));
    }

    #[test]
    fn each_wrong_line_is_named() {
        let problems = parse_pieces("3.1\nabc1\n0\n1/0\n3 3 3 3 3\n-2").unwrap_err();
        let lines: Vec<usize> = problems.iter().map(|problem| problem.line).collect();
        assert_eq!(lines, [2, 3, 4, 5, 6]);
        assert!(problems[2].at("/pieces").message.contains("0 below the line"));
    }

    #[test]
    fn nothing_and_far_too_much_have_their_own_words() {
        assert!(matches!(parse_pieces(" \n ").unwrap_err()[0].kind, PieceProblemKind::Empty));
        let many = "3.1\n".repeat(10_000);
        assert_eq!(parse_pieces(&many).unwrap_err()[0].kind, PieceProblemKind::TooMany(10_000));
    }
}
