//! A piece by its three sides.

use thiserror::Error;

use crate::units::{LengthError, Millimetres};

/// A piece's three sides, each from [`Piece::LEAST`] to [`Piece::MOST`].
#[derive(Clone, Copy, Debug, PartialEq)]
pub struct Piece {
    thickness: Millimetres,
    width: Millimetres,
    length: Millimetres,
}

/// Why a piece cannot be planned.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum PieceError {
    /// A side is not a length.
    #[error(transparent)]
    Length(#[from] LengthError),
    /// A side is thinner than a knife can cut evenly.
    #[error("{0} mm is thinner than {least} mm", least = Piece::LEAST)]
    TooThin(f64),
    /// A side is longer than any food here.
    #[error("{0} mm is longer than {most} mm", most = Piece::MOST)]
    TooLong(f64),
}

impl Piece {
    /// Thinnest side that is planned.
    pub const LEAST: f64 = 0.5;
    /// Longest side that is planned.
    pub const MOST: f64 = 600.0;

    /// A piece from its sides.
    ///
    /// # Errors
    /// A side under [`Piece::LEAST`] or over [`Piece::MOST`].
    pub fn new(thickness: Millimetres, width: Millimetres, length: Millimetres) -> Result<Self, PieceError> {
        for side in [thickness, width, length].map(Millimetres::get) {
            if side < Self::LEAST {
                return Err(PieceError::TooThin(side));
            }
            if side > Self::MOST {
                return Err(PieceError::TooLong(side));
            }
        }
        Ok(Piece { thickness, width, length })
    }

    /// The same, from numbers of millimetres.
    ///
    /// # Errors
    /// As [`Piece::new`], and numbers that are no lengths.
    pub fn of(thickness: f64, width: f64, length: f64) -> Result<Self, PieceError> {
        Self::new(Millimetres::new(thickness)?, Millimetres::new(width)?, Millimetres::new(length)?)
    }

    /// Side set by the plank cut.
    pub const fn thickness(self) -> Millimetres {
        self.thickness
    }

    /// Side set by the stick cut.
    pub const fn width(self) -> Millimetres {
        self.width
    }

    /// Side set by the crosscut.
    pub const fn length(self) -> Millimetres {
        self.length
    }

    /// Volume in mm³.
    pub fn volume(self) -> f64 {
        self.thickness.get() * self.width.get() * self.length.get()
    }
}
