//! How wide words are, and where lines break.

use std::sync::LazyLock;

use ttf_parser::Face as FontFace;

use super::page::PaperFace;

/// The fonts that ship with the program, by face: for reading, for what is looked for, for figures.
pub const FONTS: [(PaperFace, &[u8]); 3] = [
    (PaperFace::Plain, include_bytes!("../../data/fonts/next-regular.ttf")),
    (PaperFace::Bold, include_bytes!("../../data/fonts/next-bold.ttf")),
    (PaperFace::Figures, include_bytes!("../../data/fonts/mono-medium.ttf")),
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
    font(PaperFace::Plain).is_some_and(|font| font.glyph_index(letter).is_some())
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
    let Some(font) = font(face) else { return text.chars().count() as f64 * size * UNKNOWN };
    let units = f64::from(font.units_per_em());
    let of = |letter: char| {
        let advance = font.glyph_index(letter).and_then(|glyph| font.glyph_hor_advance(glyph));
        advance.map_or(UNKNOWN, |advance| f64::from(advance) / units)
    };
    text.chars().map(of).sum::<f64>() * size
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
