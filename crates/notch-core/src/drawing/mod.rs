//! Outlines drawn from figures, in millimetres, as SVG path data and plain shapes.

mod section;
mod silhouette;
mod solid;

pub use section::{FoodOutline, PieceGrid, SectionDrawing, flat_first_section, food_section};
pub use silhouette::{Silhouette, blade_silhouette, silhouette};
pub use solid::{Solid, SolidBlock, SolidRing, kitchen_blocks, solid, squared_blocks};
