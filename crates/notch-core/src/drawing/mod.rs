//! Outlines drawn from figures, in millimetres, as SVG path data and plain shapes.

mod section;
mod silhouette;
mod solid;

pub use section::{Outline, PieceGrid, SectionDrawing, flat_first_section, section};
pub use silhouette::{Silhouette, outline, silhouette};
pub use solid::{Solid, SolidBlock, SolidRing, kitchen_blocks, solid, squared_blocks};
