//! The half disc: every cell between layers and cuts.

use serde::Serialize;

use super::cuts::Cuts;
use super::disc::{reach, shared_area};
use super::grade::{Figures, Grade, shares};
use super::method::{Method, OnionError, check};
use super::outline::{CellOutline, inside_part, place};
use super::regions::{Region, mirrored, regions};
use crate::units::Millimetres;

/// One piece in the section.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Cell {
    /// Layer from the centre out, 0 first.
    pub layer: u8,
    /// Place along the cuts: from the left, for radial cuts to the centre from the right.
    pub column: u16,
    /// mm².
    pub area: f64,
    /// Longest straight line inside it, mm.
    pub longest: f64,
    /// Outline as an SVG path in mm: x across from the centre, y down from the top of the board.
    pub path: String,
}

impl Cell {
    /// The cell against a wanted dice of this edge.
    pub fn grade(&self, size: Millimetres) -> Grade {
        Grade::of(self.area, self.longest, size)
    }
}

/// A half disc cut into cells.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct CellSection {
    /// Cells that count, layer by layer from the centre.
    pub cells: Vec<Cell>,
    /// Their areas in figures.
    pub figures: Figures,
    /// Cuts as SVG paths, from the board to the skin.
    pub cuts: Vec<String>,
}

impl CellSection {
    /// Shares of the section in pieces of a wanted size and in ribbons: within ±25 % of its square
    /// and no ribbon; longer than twice its edge.
    pub fn against(&self, size: Millimetres) -> (f64, f64) {
        shares(self.cells.iter().map(|cell| (cell.area, cell.longest)), size)
    }
}

/// One cell as it is measured: layer, column, area, longest line.
pub(super) struct Measured {
    pub layer: u8,
    pub column: u16,
    pub area: f64,
    pub longest: f64,
}

/// Visits each cell that counts, with its outline.
fn each_cell(r: f64, layers: u8, regions: &[Region], mut visit: impl FnMut(Measured, &CellOutline)) {
    let radius = |layer: u8| r * f64::from(layer) / f64::from(layers);
    for region in regions {
        let mut inner = 0.0;
        let mut outline = CellOutline::innermost(&region.corners);
        for layer in 0..layers {
            outline.grow(&region.corners, radius(layer + 1));
            let outer = shared_area(&region.corners, outline.outer);
            let area = outer - inner;
            inner = outer;
            if area > 1e-9 * r * r {
                visit(Measured { layer, column: region.column, area, longest: outline.longest() }, &outline);
            }
        }
    }
}

/// The cells without their drawing: what is compared by the hundred.
pub(super) fn measured(radius: Millimetres, layers: u8, cuts: &Cuts, method: Method) -> Result<Vec<Measured>, OnionError> {
    check(radius, layers, method)?;
    let r = radius.get();
    let mut cells = Vec::new();
    each_cell(r, layers, &regions(r, cuts, method), |cell, _| cells.push(cell));
    Ok(cells)
}

/// Share of the section in pieces of the wanted size, as [`CellSection::against`] finds it, for cuts at
/// even steps: what is compared by the thousand. Only cells of the right area are measured for their
/// length, and of two regions that are mirror images only one.
pub(super) fn share_wanted(
    radius: Millimetres,
    layers: u8,
    cuts: u8,
    method: Method,
    size: Millimetres,
) -> Result<f64, OnionError> {
    check(radius, layers, method)?;
    let r = radius.get();
    let ring = |layer: u8| r * f64::from(layer) / f64::from(layers);
    let (mut total, mut wanted) = (0.0, 0.0);
    for region in regions(r, &Cuts::even(cuts)?, method) {
        let Some(times) = mirrored(&region, cuts, method) else { continue };
        let [near, far] = reach(&region.corners);
        let mut inner = 0.0;
        for layer in (0..layers).filter(|layer| ring(layer + 1) > near && ring(*layer) < far) {
            let outer = shared_area(&region.corners, ring(layer + 1));
            let area = outer - inner;
            inner = outer;
            if area <= 1e-9 * r * r {
                continue;
            }
            total += f64::from(times) * area;
            let right = Grade::of(area, 0.0, size) == Grade::Wanted
                && Grade::of(area, CellOutline::between(&region.corners, ring(layer), ring(layer + 1)).longest(), size)
                    == Grade::Wanted;
            if right {
                wanted += f64::from(times) * area;
            }
        }
    }
    Ok(if total > 0.0 { wanted / total } else { 0.0 })
}

/// Cuts a half disc.
///
/// A cell counts if its area is over 1e-9 R². Cells of verticals with level cuts may lie in two
/// parts; they count as one, as in the definitions, and their longest line is that of the longer part.
///
/// # Errors
/// [`OnionError`] for what is out of range.
///
/// # Complexity
/// O(layers × cuts).
pub fn cell_section(radius: Millimetres, layers: u8, cuts: &Cuts, method: Method) -> Result<CellSection, OnionError> {
    check(radius, layers, method)?;
    let r = radius.get();
    let regions = regions(r, cuts, method);
    let mut cells = Vec::with_capacity(regions.len() * usize::from(layers));
    each_cell(r, layers, &regions, |Measured { layer, column, area, longest }, outline| {
        cells.push(Cell { layer, column, area, longest, path: outline.path() });
    });
    cells.sort_by_key(|cell| (cell.layer, cell.column));
    let areas: Vec<f64> = cells.iter().map(|cell| cell.area).collect();
    Ok(CellSection { figures: Figures::of(&areas), cuts: cut_lines(&regions, r), cells })
}

/// The lines of the cuts inside the half disc: edges that two regions share.
fn cut_lines(regions: &[Region], r: f64) -> Vec<String> {
    let mut lines = Vec::new();
    for region in regions {
        let next = region.corners.iter().cycle().skip(1);
        for (p, q) in region.corners.iter().zip(next) {
            let level = (p[1] - q[1]).abs() < 1e-9;
            let edge = level && (p[1] < 1e-9 || p[1] > r - 1e-9);
            let inside = inside_part(*p, *q, r);
            if let (false, Some([a, b])) = (edge, inside) {
                // Both regions beside a cut have it as an edge; it is drawn once, from the board up.
                let [low, high] = if (a[1], a[0]) <= (b[1], b[0]) { [a, b] } else { [b, a] };
                let mut line = String::from("M");
                place(&mut line, low);
                line.push('L');
                place(&mut line, high);
                if !lines.contains(&line) {
                    lines.push(line);
                }
            }
        }
    }
    lines
}
