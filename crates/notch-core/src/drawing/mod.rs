//! Outlines drawn from figures, in millimetres, as SVG path data and plain shapes.

mod section;
mod silhouette;

pub use section::{Outline, SectionBlock, SectionDrawing, section};
pub use silhouette::{Silhouette, outline, silhouette};
