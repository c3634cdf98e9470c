//! Judging a sample of pieces against a target.

use super::MeasuredPiece;
use super::causes::causes;
use super::diagnose::diagnose;
use super::figures::{InsideShare, SLACK, SideFigures, TaperFigures, Verdict, band, is_inside};
use super::sampling::Flattery;
use super::statistics::Spread;
use super::taking::{SampleCustom, SampleTaking};
use crate::catalogue::{Catalogue, Dimension, Target, TargetSize, Tolerance};
use crate::units::{Deviation, Millimetres};

fn side_of(piece: &MeasuredPiece, dimension: Dimension) -> Option<Millimetres> {
    match dimension {
        Dimension::Thickness => Some(piece.thickness),
        Dimension::Width => piece.width,
        Dimension::Length => piece.length,
    }
}

fn figures(dimension: Dimension, target: TargetSize, tolerance: &Tolerance, pieces: &[MeasuredPiece]) -> Option<SideFigures> {
    let sizes = pieces.iter().filter_map(|piece| side_of(piece, dimension)).collect();
    SideFigures::of(dimension, target, band(target, tolerance), tolerance.around(target.nominal()), sizes)
}

fn taper(pieces: &[MeasuredPiece]) -> Option<TaperFigures> {
    let ends: Vec<f64> = pieces.iter().filter_map(|piece| Some(piece.far_width?.get() - piece.width?.get())).collect();
    let mean = Spread::of(&ends)?.mean;
    let size = ends.iter().map(|difference| difference.abs()).sum::<f64>() / ends.len() as f64;
    Some(TaperFigures { count: ends.len(), mean: Deviation::from_computed(mean), mean_size: Millimetres::clamped(size) })
}

fn off_square(target: &Target, pieces: &[MeasuredPiece]) -> Option<Millimetres> {
    if target.thickness != target.width {
        return None;
    }
    let off: Vec<f64> = pieces.iter().filter_map(|piece| Some((piece.thickness.get() - piece.width?.get()).abs())).collect();
    Some(Millimetres::clamped(Spread::of(&off)?.mean))
}

/// Judges `pieces` against `target` within `tolerance`.
///
/// A piece is inside when each of its measured sides that has a target is. The far width of a
/// stick only tells its taper. An empty sample gives a verdict of 0 of 0.
///
/// # Units
/// Lengths in millimetres; shares 0..1; `sd` in millimetres (population, divided by n).
pub fn judge(
    catalogue: &Catalogue,
    target: &Target,
    tolerance: &Tolerance,
    taking: impl Into<SampleTaking>,
    pieces: &[MeasuredPiece],
) -> Verdict {
    let SampleTaking { custom, order } = taking.into();
    let dimensions = [Dimension::Thickness, Dimension::Width, Dimension::Length];
    let targets: Vec<(Dimension, TargetSize)> =
        dimensions.into_iter().filter_map(|dimension| Some((dimension, target.side(dimension)?))).collect();
    let piece_inside: Vec<bool> = pieces
        .iter()
        .map(|piece| {
            targets.iter().all(|&(dimension, size)| {
                side_of(piece, dimension).is_none_or(|side| is_inside(side, size, band(size, tolerance)))
            })
        })
        .collect();
    let sides: Vec<SideFigures> =
        targets.iter().filter_map(|&(dimension, size)| figures(dimension, size, tolerance, pieces)).collect();
    let section = || sides.iter().filter(|side| side.dimension != Dimension::Length);
    let governing = section().reduce(|worst, next| if next.cv > worst.cv { next } else { worst });
    let cv = governing.and_then(|side| side.cv);
    let bias_share =
        section().map(|side| side.bias.size().get() / side.tolerance.get().max(f64::MIN_POSITIVE)).fold(0.0, f64::max);
    let mut verdict = Verdict {
        custom,
        order,
        inside: InsideShare::new(piece_inside.iter().filter(|inside| **inside).count(), pieces.len()),
        piece_inside,
        governing: governing.map(|side| side.dimension),
        cv,
        even: cv.is_some_and(|cv| cv <= tolerance.even_cv + SLACK),
        bias_share,
        taper: taper(pieces),
        off_square: off_square(target, pieces),
        sides,
        says: Vec::new(),
        causes: causes(target, tolerance, order, pieces),
        flattery: (custom == SampleCustom::BestFour).then(Flattery::of_best_four),
    };
    verdict.says = diagnose(catalogue, &verdict, tolerance);
    verdict
}
