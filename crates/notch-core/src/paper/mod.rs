//! Pages for print, file and screen: worked out once, in millimetres, at true size.

mod count;
mod input;
mod lesson_page;
mod order_page;
mod page;
mod pages;
mod practice;
mod rotation_page;
mod sheet;
mod stations;
mod svg;
mod true_size;
mod type_setting;

pub use input::PaperInput;
pub use page::{Drawn, PaperBlock, PaperFace, PaperInk, PaperPage, PaperRole, PaperSize};
pub use pages::{PaperKind, paper};
pub use svg::page_as_svg;
pub use true_size::CHECK_BAR;
pub use type_setting::FONTS;
