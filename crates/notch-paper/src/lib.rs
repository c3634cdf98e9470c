//! Pages as a PDF file: at true size, with their fonts, and with tags that say what is read in which order.

mod draw;

use std::num::NonZeroU16;
use std::sync::LazyLock;

use krilla::Document;
use krilla::SerializeSettings;
use krilla::metadata::Metadata;
use krilla::page::PageSettings;
use krilla::tagging::{
    Artifact, ArtifactType, ContentTag, Identifier, Node, SpanTag, TableHeaderScope, Tag, TagGroup, TagKind, TagTree,
};
use krilla::text::Font;
use notch_core::paper::{FONTS, PaperBlock, PaperFace, PaperPage, PaperRole};

use crate::draw::{Fonts, draw};

/// PDF points in a millimetre.
const POINTS: f64 = 72.0 / 25.4;

/// Why no PDF was written.
#[derive(Debug, thiserror::Error)]
pub enum PaperError {
    /// The size of a page is not one.
    #[error("a page of {0} × {1} mm cannot be written")]
    Page(f64, f64),
    /// A font that ships with the program cannot be read.
    #[error("a font of the program cannot be read")]
    Font,
    /// What the writer says.
    #[error("the PDF cannot be written: {0}")]
    Writer(String),
}

static READ: LazyLock<Option<Fonts>> = LazyLock::new(|| {
    let read = |(face, bytes): (PaperFace, &'static [u8])| Some((face, Font::new(bytes.to_vec().into(), 0)?));
    FONTS.into_iter().map(read).collect()
});

/// Writes pages as one PDF file, which is tagged and says its language.
///
/// # Errors
/// [`PaperError`]: a page without a size, a font that cannot be read, or what the writer says.
pub fn pdf(title: &str, pages: &[PaperPage]) -> Result<Vec<u8>, PaperError> {
    let fonts = READ.as_ref().ok_or(PaperError::Font)?;
    let settings = SerializeSettings { enable_tagging: true, ..SerializeSettings::default() };
    let mut document = Document::new_with(settings);
    document.set_metadata(Metadata::new().title(title.to_owned()).language("en".to_owned()).creator("Yard Notch".to_owned()));
    let mut tree = TagTree::new().with_lang(Some("en".to_owned()));
    let mut table = Rows::default();
    for page in pages {
        let (width, height) = (to_points(page.width), to_points(page.height));
        let size = PageSettings::from_wh(width, height).ok_or(PaperError::Page(page.width, page.height))?;
        let mut writing = document.start_page_with(size);
        let mut surface = writing.surface();
        for block in &page.blocks {
            let id = surface.start_tagged(content(block));
            for mark in &block.marks {
                draw(&mut surface, fonts, mark);
            }
            surface.end_tagged();
            if let PaperRole::Cell { column, heading } = block.role {
                if heading && column == 0 {
                    table.end(&mut tree);
                }
                table.add((column, heading), id);
            } else if let Some(kind) = kind_of(&block.role) {
                table.end(&mut tree);
                let mut group = TagGroup::new(kind);
                group.push(Node::Leaf(id));
                tree.push(group);
            }
        }
        surface.finish();
        writing.finish();
    }
    table.end(&mut tree);
    document.set_tag_tree(tree);
    document.finish().map_err(|error| PaperError::Writer(format!("{error:?}")))
}

fn to_points(mm: f64) -> f32 {
    (mm * POINTS) as f32
}

fn content(block: &PaperBlock) -> ContentTag<'_> {
    match block.role {
        PaperRole::Decoration => ContentTag::Artifact(Artifact::with_kind(ArtifactType::Other)),
        PaperRole::Figure { .. } => ContentTag::Other,
        PaperRole::Title | PaperRole::Heading | PaperRole::Text | PaperRole::Cell { .. } => ContentTag::Span(SpanTag::empty()),
    }
}

/// Rows of a table that is being written.
#[derive(Default)]
struct Rows(Vec<TagGroup>);

impl Rows {
    /// A cell with what is in it; one of column 0 begins a row.
    fn add(&mut self, (column, heading): (usize, bool), id: Identifier) {
        if column == 0 || self.0.is_empty() {
            self.0.push(TagGroup::new(Tag::TR));
        }
        let kind: TagKind = if heading { Tag::TH(TableHeaderScope::Column).into() } else { Tag::TD.into() };
        let mut cell = TagGroup::new(kind);
        cell.push(Node::Leaf(id));
        if let Some(row) = self.0.last_mut() {
            row.push(cell);
        }
    }

    /// Puts the table behind what is written, where there is one.
    fn end(&mut self, tree: &mut TagTree) {
        if self.0.is_empty() {
            return;
        }
        let mut table = TagGroup::new(Tag::Table);
        for row in self.0.drain(..) {
            table.push(row);
        }
        tree.push(table);
    }
}

/// The tag of a block; none for what is not read, and for what is part of a table.
fn kind_of(role: &PaperRole) -> Option<TagKind> {
    let heading =
        |level: u16, fallback: Tag<_>| NonZeroU16::new(level).map_or(fallback.into(), |level| Tag::Hn(level, None).into());
    match role {
        PaperRole::Title => Some(heading(1, Tag::P)),
        PaperRole::Heading => Some(heading(2, Tag::P)),
        PaperRole::Text => Some(Tag::P.into()),
        PaperRole::Figure { shows } => Some(Tag::Figure(Some(shows.clone())).into()),
        PaperRole::Decoration | PaperRole::Cell { .. } => None,
    }
}
