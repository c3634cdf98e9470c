//! A page as it is printed: what is drawn where, in millimetres from its upper left corner.

use serde::{Deserialize, Serialize};

/// A size of paper.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PaperSize {
    /// 210 × 297 mm.
    #[default]
    A4,
    /// 8½ × 11 inches.
    Letter,
}

impl PaperSize {
    /// Its word, e.g. `a4`.
    pub const fn word(self) -> &'static str {
        match self {
            PaperSize::A4 => "a4",
            PaperSize::Letter => "letter",
        }
    }

    /// Width and height, mm.
    pub const fn extent(self) -> (f64, f64) {
        match self {
            PaperSize::A4 => (210.0, 297.0),
            PaperSize::Letter => (215.9, 279.4),
        }
    }
}

/// A face of the type.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PaperFace {
    /// For reading.
    Plain,
    /// For what is looked for.
    Bold,
    /// For figures.
    Figures,
    /// For letters that the others do not have: Greek, Cyrillic, and more Latin ones.
    Others,
}

/// How dark something is; everything is told apart in black and white.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PaperInk {
    /// Black.
    Black,
    /// Dark enough to read.
    Dark,
    /// A tint behind text.
    Tint,
    /// Paper.
    White,
}

impl PaperInk {
    /// Level of grey, 0 black to 255 white.
    pub const fn grey(self) -> u8 {
        match self {
            PaperInk::Black => 0,
            PaperInk::Dark => 90,
            PaperInk::Tint => 226,
            PaperInk::White => 255,
        }
    }
}

/// Something that is drawn.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Drawn {
    /// A line of text.
    Words {
        /// Where it begins, mm from the left.
        x: f64,
        /// Its baseline, mm from the top.
        y: f64,
        /// Height of the type, mm.
        size: f64,
        /// The face.
        face: PaperFace,
        /// How dark.
        ink: PaperInk,
        /// The words.
        text: String,
    },
    /// A rectangle.
    Box {
        /// Left side, mm.
        x: f64,
        /// Upper side, mm.
        y: f64,
        /// Width, mm.
        width: f64,
        /// Height, mm.
        height: f64,
        /// What it is filled with.
        fill: Option<PaperInk>,
        /// Width of its line, mm; none without one. The line lies inside the rectangle.
        line: Option<f64>,
    },
    /// A straight line.
    Line {
        /// From, mm from the left.
        x1: f64,
        /// From, mm from the top.
        y1: f64,
        /// To, mm from the left.
        x2: f64,
        /// To, mm from the top.
        y2: f64,
        /// Width, mm.
        width: f64,
    },
    /// An outline as an SVG path, scaled and moved.
    Outline {
        /// The path.
        d: String,
        /// Where its origin lies, mm from the left.
        x: f64,
        /// Where its origin lies, mm from the top.
        y: f64,
        /// Millimetres of paper for one of the path's units.
        scale: f64,
        /// What it is filled with.
        fill: Option<PaperInk>,
        /// Width of its line, mm of paper; none without one.
        line: Option<f64>,
    },
}

/// What a part of a page is, for who has it read aloud.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum PaperRole {
    /// The title of the page.
    Title,
    /// A heading.
    Heading,
    /// Text, in the order in which it is read.
    Text,
    /// A cell of a table. A row begins with column 0, and a table with its row of headings.
    Cell {
        /// Column, from 0.
        column: usize,
        /// What the column is.
        heading: bool,
    },
    /// A drawing, with what it shows in words.
    Figure {
        /// What it shows.
        shows: String,
    },
    /// Lines and tints, and what is repeated on each page.
    Decoration,
}

/// Marks that belong together.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PaperBlock {
    /// What they are.
    pub role: PaperRole,
    /// What is drawn, one above the other.
    pub marks: Vec<Drawn>,
}

/// A page.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PaperPage {
    /// What it is called.
    pub name: String,
    /// Width, mm.
    pub width: f64,
    /// Height, mm.
    pub height: f64,
    /// What is on it, in the order in which it is read.
    pub blocks: Vec<PaperBlock>,
}
