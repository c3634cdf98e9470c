//! How wide words are, and where lines break.

use std::sync::LazyLock;

use ttf_parser::Face as FontFace;

use super::page::{Drawn, PaperFace};

/// The fonts that ship with the program, by face: for reading, for what is looked for, for figures, for other letters.
pub const FONTS: [(PaperFace, &[u8]); 4] = [
    (PaperFace::Plain, include_bytes!("../../data/fonts/next-regular.ttf")),
    (PaperFace::Bold, include_bytes!("../../data/fonts/next-bold.ttf")),
    (PaperFace::Figures, include_bytes!("../../data/fonts/mono-medium.ttf")),
    (PaperFace::Others, include_bytes!("../../data/fonts/others-regular.ttf")),
];

/// Share of its height that a letter is wide where the font does not have it.
const UNKNOWN: f64 = 0.6;

static PARSED: LazyLock<Vec<(PaperFace, Option<FontFace<'static>>)>> =
    LazyLock::new(|| FONTS.iter().map(|(face, bytes)| (*face, FontFace::parse(bytes, 0).ok())).collect());

fn font(face: PaperFace) -> Option<&'static FontFace<'static>> {
    PARSED.iter().find(|(of, _)| *of == face)?.1.as_ref()
}

/// Letters that the fonts do not have, said with those that they have.
pub(super) fn in_type(text: &str) -> String {
    text.chars().map(|letter| if has(letter) { letter } else { stand_in(letter) }).collect()
}

fn has(letter: char) -> bool {
    has_in(PaperFace::Plain, letter) || has_in(PaperFace::Others, letter)
}

fn has_in(face: PaperFace, letter: char) -> bool {
    font(face).is_some_and(|font| font.glyph_index(letter).is_some())
}

/// The face in which a letter of text is set: its own, or the one for other letters.
fn face_of(face: PaperFace, letter: char) -> PaperFace {
    if !has_in(face, letter) && has_in(PaperFace::Others, letter) { PaperFace::Others } else { face }
}

/// The same marks, with words in which letters of other scripts stand as a mark for each run of one face.
pub(super) fn in_runs(marks: Vec<Drawn>) -> Vec<Drawn> {
    marks.into_iter().flat_map(runs_of).collect()
}

fn runs_of(mark: Drawn) -> Vec<Drawn> {
    let Drawn::Words { x, y, size, face, ink, text } = mark else { return vec![mark] };
    let letters: Vec<(char, PaperFace)> = text.chars().map(|letter| (letter, face_of(face, letter))).collect();
    let mut at = x;
    let run = |run: &[(char, PaperFace)]| {
        let face = run.first().map_or(face, |(_, face)| *face);
        let text: String = run.iter().map(|(letter, _)| *letter).collect();
        let begins = at;
        at += width(face, size, &text);
        Drawn::Words { x: begins, y, size, face, ink, text }
    };
    letters.chunk_by(|a, b| a.1 == b.1).map(run).collect()
}

const fn stand_in(letter: char) -> char {
    match letter {
        '→' => '–',
        '≤' => '<',
        '≥' => '>',
        '\u{202f}' | '\u{2009}' | '\t' | '\n' => ' ',
        _ => '?',
    }
}

/// Width of a line of text, mm.
pub(super) fn width(face: PaperFace, size: f64, text: &str) -> f64 {
    let of = |letter: char| {
        let font = font(face_of(face, letter))?;
        let advance = font.glyph_hor_advance(font.glyph_index(letter)?)?;
        Some(f64::from(advance) / f64::from(font.units_per_em()))
    };
    text.chars().map(|letter| of(letter).unwrap_or(UNKNOWN)).sum::<f64>() * size
}

/// Breaks text into lines of at most `most` mm; a word that is longer alone is broken where it must.
pub(super) fn wrapped(face: PaperFace, size: f64, text: &str, most: f64) -> Vec<String> {
    let mut lines: Vec<String> = Vec::new();
    let mut line = String::new();
    for word in text.split_whitespace() {
        let longer = if line.is_empty() { word.to_owned() } else { format!("{line} {word}") };
        if width(face, size, &longer) <= most {
            line = longer;
            continue;
        }
        if !line.is_empty() {
            lines.push(std::mem::take(&mut line));
        }
        for letter in word.chars() {
            if !line.is_empty() && width(face, size, &line) + width(face, size, letter.encode_utf8(&mut [0; 4])) > most {
                lines.push(std::mem::take(&mut line));
            }
            line.push(letter);
        }
    }
    if !line.is_empty() {
        lines.push(line);
    }
    lines
}
