//! Pages written from top to bottom: headings, text, tables, and a new page where one is full.

use super::page::{Drawn, PaperBlock, PaperFace, PaperInk, PaperPage, PaperRole, PaperSize};
use super::type_setting::{in_runs, in_type, width, wrapped};

/// White around everything: what printers leave free, and a hole to hang it by.
pub(super) const MARGIN: f64 = 14.0;

/// Height of plain type.
pub(super) const PLAIN: f64 = 3.7;

/// Height of type that is read at arm's length.
const LARGE: f64 = 5.0;

/// Height of small type; nothing is smaller.
pub(super) const SMALL: f64 = 3.1;

/// From one line to the next, as a share of the height of the type.
const LEADING: f64 = 1.34;

/// Space that the foot of a page takes.
const FOOT: f64 = 9.0;

/// A column of a table: its width in mm, and whether its figures stand to the right.
#[derive(Clone, Copy, Debug)]
pub(super) struct Column {
    pub width: f64,
    pub figures: bool,
}

/// Columns by their width and whether they hold figures.
pub(super) fn columns(of: &[(f64, bool)]) -> Vec<Column> {
    of.iter().map(|(width, figures)| Column { width: *width, figures: *figures }).collect()
}

/// Pages that are being written.
pub(super) struct Sheet {
    size: PaperSize,
    name: String,
    foot: String,
    /// Height of the type that is read.
    plain: f64,
    done: Vec<PaperPage>,
    blocks: Vec<PaperBlock>,
    /// Where the next thing goes, from the top.
    pub y: f64,
    /// Where lines begin.
    pub left: f64,
    /// Where lines end.
    pub right: f64,
}

impl Sheet {
    /// A first page with its title; `foot` stands at the bottom of each.
    pub(super) fn new(size: PaperSize, name: &str, foot: &str) -> Self {
        let (page_width, _) = size.extent();
        let mut sheet = Sheet {
            size,
            name: in_type(name),
            foot: in_type(foot),
            plain: PLAIN,
            done: Vec::new(),
            blocks: Vec::new(),
            y: MARGIN,
            left: MARGIN,
            right: page_width - MARGIN,
        };
        sheet.title();
        sheet
    }

    /// The same in larger type, to be read at arm's length.
    pub(super) fn large(mut self) -> Self {
        self.plain = LARGE;
        self
    }

    fn title(&mut self) {
        const SIZE: f64 = 7.0;
        let (left, right, name) = (self.left, self.right, self.name.clone());
        let mut marks = Vec::new();
        for line in wrapped(PaperFace::Bold, SIZE, &name, right - left) {
            self.y += SIZE;
            marks.push(Drawn::Words { x: left, y: self.y, size: SIZE, face: PaperFace::Bold, ink: PaperInk::Black, text: line });
            self.y += SIZE * 0.2;
        }
        self.y += 1.6;
        self.add(PaperRole::Title, marks);
        self.rule();
    }

    /// A line across.
    pub(super) fn rule(&mut self) {
        let line = Drawn::Line { x1: self.left, y1: self.y, x2: self.right, y2: self.y, width: 0.3 };
        self.add(PaperRole::Decoration, vec![line]);
        self.y += 2.4;
    }

    /// Puts marks on the page.
    pub(super) fn add(&mut self, role: PaperRole, marks: Vec<Drawn>) {
        if !marks.is_empty() {
            self.blocks.push(PaperBlock { role, marks: in_runs(marks) });
        }
    }

    /// Where the text of a page ends.
    pub(super) fn bottom(&self) -> f64 {
        self.size.extent().1 - MARGIN - FOOT
    }

    /// Room for so many mm: on this page, or on a new one.
    pub(super) fn room(&mut self, height: f64) {
        if self.y + height > self.bottom() {
            self.turn();
        }
    }

    /// A new page with the same title.
    pub(super) fn turn(&mut self) {
        self.finish_page();
        self.y = MARGIN;
        self.title();
    }

    fn finish_page(&mut self) {
        let (page_width, height) = self.size.extent();
        let lines = wrapped(PaperFace::Plain, SMALL, &self.foot, page_width - 2.0 * MARGIN);
        let first = height - MARGIN - SMALL * LEADING * (lines.len().saturating_sub(1)) as f64;
        let words = |(index, text): (usize, String)| Drawn::Words {
            x: MARGIN,
            y: first + index as f64 * SMALL * LEADING,
            size: SMALL,
            face: PaperFace::Plain,
            ink: PaperInk::Dark,
            text,
        };
        let marks = lines.into_iter().enumerate().map(words).collect();
        self.add(PaperRole::Decoration, marks);
        let blocks = std::mem::take(&mut self.blocks);
        self.done.push(PaperPage { name: self.name.clone(), width: page_width, height, blocks });
    }

    /// The pages.
    pub(super) fn finish(mut self) -> Vec<PaperPage> {
        self.finish_page();
        self.done
    }

    /// A heading.
    pub(super) fn heading(&mut self, text: &str) {
        self.room(16.0);
        self.y += 1.5;
        self.set(PaperRole::Heading, (PaperFace::Bold, self.plain * 1.25), text);
        self.y += 0.6;
    }

    /// A paragraph.
    pub(super) fn text(&mut self, text: &str) {
        self.set(PaperRole::Text, (PaperFace::Plain, self.plain), text);
        self.y += 0.8;
    }

    /// A paragraph in bold type.
    pub(super) fn strong(&mut self, text: &str) {
        self.set(PaperRole::Text, (PaperFace::Bold, self.plain), text);
        self.y += 0.5;
    }

    /// Small type.
    pub(super) fn small(&mut self, text: &str) {
        self.set(PaperRole::Text, (PaperFace::Plain, SMALL), text);
        self.y += 0.6;
    }

    /// Words in front of a paragraph: bold, the rest plain, under a bullet that is no letter.
    pub(super) fn bullet(&mut self, first: &str, rest: &str) {
        const INDENT: f64 = 4.2;
        let x = self.left;
        self.room(self.plain * LEADING * 2.0);
        let y = self.y + self.plain * 0.42;
        self.add(
            PaperRole::Decoration,
            vec![Drawn::Box { x: x + 0.6, y, width: 1.6, height: 1.6, fill: Some(PaperInk::Black), line: None }],
        );
        self.left += INDENT;
        let (bold, rest) = (in_type(first), in_type(rest));
        let after = width(PaperFace::Bold, self.plain, &bold) + if bold.is_empty() { 0.0 } else { self.plain * 0.28 };
        if after > (self.right - self.left) * 0.6 {
            self.set(PaperRole::Text, (PaperFace::Bold, self.plain), &bold);
            self.set(PaperRole::Text, (PaperFace::Plain, self.plain), &rest);
        } else {
            self.run_on(&bold, &rest, after);
        }
        self.left -= INDENT;
        self.y += 0.7;
    }

    /// Bold words with plain ones after them on the same line.
    fn run_on(&mut self, bold: &str, rest: &str, after: f64) {
        let (left, most) = (self.left, self.right - self.left);
        let base = self.y + self.plain;
        let words = |x: f64, y: f64, face: PaperFace, text: String| Drawn::Words {
            x,
            y,
            size: self.plain,
            face,
            ink: PaperInk::Black,
            text,
        };
        let mut marks = vec![words(left, base, PaperFace::Bold, bold.to_owned())];
        let first = wrapped(PaperFace::Plain, self.plain, rest, most - after).into_iter().next().unwrap_or_default();
        let others = rest.split_whitespace().skip(first.split_whitespace().count()).collect::<Vec<_>>().join(" ");
        if !first.is_empty() {
            marks.push(words(left + after, base, PaperFace::Plain, first));
        }
        let mut y = base;
        for line in wrapped(PaperFace::Plain, self.plain, &others, most) {
            y += self.plain * LEADING;
            marks.push(words(left, y, PaperFace::Plain, line));
        }
        self.y = y + self.plain * (LEADING - 1.0);
        self.add(PaperRole::Text, marks);
    }

    fn set(&mut self, role: PaperRole, (face, size): (PaperFace, f64), text: &str) {
        let lines = wrapped(face, size, &in_type(text), self.right - self.left);
        let mut marks = Vec::new();
        for line in lines {
            if self.y + size * LEADING > self.bottom() {
                self.add(role.clone(), std::mem::take(&mut marks));
                self.turn();
            }
            self.y += size;
            marks.push(Drawn::Words { x: self.left, y: self.y, size, face, ink: PaperInk::Black, text: line });
            self.y += size * (LEADING - 1.0);
        }
        self.add(role, marks);
    }

    /// A table: a bold row of what the columns are, on each page again, and rows of cells that wrap.
    pub(super) fn table(&mut self, columns: &[Column], head: &[&str], rows: &[Vec<String>]) {
        let head: Vec<String> = head.iter().map(|cell| (*cell).to_owned()).collect();
        self.room(3.0 * self.plain * LEADING);
        self.row(columns, &head, PaperFace::Bold);
        for row in rows {
            let height = self.height_of(columns, row);
            if self.y + height > self.bottom() {
                self.turn();
                self.row(columns, &head, PaperFace::Bold);
            }
            self.row(columns, row, PaperFace::Plain);
        }
        self.y += 1.6;
    }

    fn height_of(&self, columns: &[Column], row: &[String]) -> f64 {
        let lines =
            columns.iter().zip(row).map(|(column, cell)| wrapped(PaperFace::Plain, self.plain, cell, column.width - 2.0).len());
        lines.max().unwrap_or(1).max(1) as f64 * self.plain * LEADING + 1.2
    }

    fn row(&mut self, columns: &[Column], row: &[String], face: PaperFace) {
        let (top, mut x, mut lowest) = (self.y, self.left, self.y);
        let heading = face == PaperFace::Bold;
        for (place, (column, cell)) in columns.iter().zip(row).enumerate() {
            let face = if column.figures && face == PaperFace::Plain { PaperFace::Figures } else { face };
            let mut marks = Vec::new();
            let mut y = top;
            for line in wrapped(face, self.plain, &in_type(cell), column.width - 2.0) {
                let start = if column.figures { x + column.width - 2.0 - width(face, self.plain, &line) } else { x };
                marks.push(Drawn::Words {
                    x: start,
                    y: y + self.plain,
                    size: self.plain,
                    face,
                    ink: PaperInk::Black,
                    text: line,
                });
                y += self.plain * LEADING;
            }
            // An empty cell stands in its row too.
            self.blocks.push(PaperBlock { role: PaperRole::Cell { column: place, heading }, marks: in_runs(marks) });
            lowest = lowest.max(y);
            x += column.width;
        }
        self.y = lowest.max(top + self.plain * LEADING) + 0.5;
        let line = Drawn::Line { x1: self.left, y1: self.y, x2: x.min(self.right), y2: self.y, width: 0.15 };
        self.add(PaperRole::Decoration, vec![line]);
        self.y += 0.7;
    }
}
