//! Pieces from a food that lies flat.

use super::Piece;
use crate::units::{Millimetres, times};

/// What a flat sheet gives.
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct SheetYield {
    /// Pieces along the sheet's length.
    pub along: u32,
    /// Pieces along the sheet's width.
    pub across: u32,
    /// Area of the pieces over the area of the sheet, 0..1.
    pub share: f64,
}

impl SheetYield {
    /// Pieces in the sheet.
    pub fn count(&self) -> u32 {
        self.along.saturating_mul(self.across)
    }
}

/// Cuts a sheet into rectangles of the piece's length (along) and width (across), aligned with it;
/// the wall's thickness stays as it grew.
pub fn sheet(length: Millimetres, width: Millimetres, piece: Piece) -> SheetYield {
    let (l, w) = (piece.length().get(), piece.width().get());
    let (along, across) = (times(length.get(), l), times(width.get(), w));
    let area = length.get() * width.get();
    let count = f64::from(along) * f64::from(across);
    SheetYield { along, across, share: if count > 0.0 { count * l * w / area } else { 0.0 } }
}
