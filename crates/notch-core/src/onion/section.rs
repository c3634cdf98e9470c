//! The half disc: every cell between layers and cuts.

use serde::{Deserialize, Serialize};
use thiserror::Error;

use super::cuts::{Cuts, MAX_UNEVEN};
use super::disc::{Point, shared_area};
use crate::units::Millimetres;

/// Most layers.
pub const MAX_LAYERS: u8 = 40;
/// Most level cuts.
pub const MAX_LEVEL: u8 = 10;
/// Most cuts.
pub const MAX_CUTS: u8 = 60;
/// Deepest point below the board that radial cuts aim at, in radii.
pub const MAX_DEPTH: f64 = 100.0;

/// How the half is cut.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[serde(tag = "kind", rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Method {
    /// Verticals, evenly spaced.
    Verticals,
    /// Verticals, and level cuts evenly spaced.
    Level {
        /// Level cuts, 1 to 10.
        level: u8,
    },
    /// Radial cuts to the centre of the board line, at even angles.
    Centre,
    /// Radial cuts that aim at a point below the board.
    Below {
        /// Depth of the point in radii, above 0 and up to 100.
        depth: f64,
    },
    /// Verticals, and the last third turned onto its cut face and cut again.
    Turned,
    /// Crosswise half-rings first, then turned and cut across: the same cells as verticals, in
    /// another order of work.
    HalfRings,
}

/// Why an onion cannot be worked out.
#[derive(Clone, Copy, Debug, PartialEq, Error)]
pub enum OnionError {
    /// A radius of nothing.
    #[error("a radius of 0 mm has no pieces")]
    NoSize,
    /// Layers out of range.
    #[error("{0} layers are out of range; allowed: 1 to {MAX_LAYERS}")]
    Layers(u8),
    /// Cuts out of range.
    #[error("{0} cuts are out of range; allowed: 1 to {MAX_CUTS}")]
    Cuts(u8),
    /// Level cuts out of range.
    #[error("{0} level cuts are out of range; allowed: 1 to {MAX_LEVEL}")]
    Level(u8),
    /// Aim depth out of range.
    #[error("an aim depth of {0} radii is out of range; allowed: above 0, up to {MAX_DEPTH}")]
    Depth(f64),
    /// Steps too uneven.
    #[error("steps uneven by {0} are out of range; allowed: 0 to {MAX_UNEVEN}")]
    Uneven(f64),
    /// A cut outside the half, or not to the right of the one before.
    #[error("a cut at {0} of the width is out of place; allowed: above 0, below 1, each to the right of the one before")]
    Place(f64),
    /// Crosscuts too fine or none.
    #[error("crosscuts {0} mm apart are out of range; allowed: 0.5 mm up to the radius")]
    Crosscut(f64),
}

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

/// What a set of pieces comes to.
#[derive(Clone, Copy, Debug, Default, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Figures {
    /// Pieces that count.
    pub count: usize,
    /// Mean size: mm², or mm³ in a ball.
    pub mean: f64,
    /// Coefficient of variation (population).
    pub cv: f64,
    /// Largest.
    pub max: f64,
    /// Smallest.
    pub min: f64,
    /// Share of the whole in pieces within ±25 % of the mean.
    pub share_even: f64,
    /// Share of the pieces within ±25 % of the mean.
    pub count_even: f64,
    /// Share of the whole in pieces under a quarter of the mean: crumbs.
    pub share_crumbs: f64,
    /// Share of the pieces under a quarter of the mean.
    pub count_crumbs: f64,
}

/// Slack on the edges of the bands, so that what lies on an edge is inside.
const SLACK: f64 = 1e-9;

impl Figures {
    /// Of sizes that count. None gives zeros.
    pub fn of(sizes: &[f64]) -> Self {
        let count = sizes.len();
        if count == 0 {
            return Figures::default();
        }
        let (n, total) = (count as f64, sizes.iter().sum::<f64>());
        let mean = total / n;
        let variance = sizes.iter().map(|size| (size - mean).powi(2)).sum::<f64>() / n;
        let part = |keep: &dyn Fn(f64) -> bool| {
            let kept = sizes.iter().copied().filter(|size| keep(size / mean));
            kept.fold((0.0, 0.0), |(share, number), size| (share + size / total, number + 1.0 / n))
        };
        let even = part(&|ratio| (ratio - 1.0).abs() <= 0.25 + SLACK);
        let crumbs = part(&|ratio| ratio < 0.25 - SLACK);
        Figures {
            count,
            mean,
            cv: variance.sqrt() / mean,
            max: sizes.iter().copied().fold(0.0, f64::max),
            min: sizes.iter().copied().fold(f64::INFINITY, f64::min),
            share_even: even.0,
            count_even: even.1,
            share_crumbs: crumbs.0,
            count_crumbs: crumbs.1,
        }
    }
}

/// A cell against a wanted size.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Grade {
    /// Under a quarter of it.
    Crumb,
    /// Under 75 % of it.
    Small,
    /// Within ±25 % of it.
    Wanted,
    /// Over 125 % of it.
    Large,
    /// Longer than twice its edge, whatever its area.
    Ribbon,
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

impl Grade {
    /// A cell of an area and a longest line against a wanted dice of an edge.
    fn of(area: f64, longest: f64, size: Millimetres) -> Self {
        let ratio = area / size.get().powi(2).max(f64::MIN_POSITIVE);
        if longest > size.get() * 2.0 * (1.0 + SLACK) {
            Grade::Ribbon
        } else if (ratio - 1.0).abs() <= 0.25 + SLACK {
            Grade::Wanted
        } else if ratio < 0.25 - SLACK {
            Grade::Crumb
        } else if ratio < 1.0 {
            Grade::Small
        } else {
            Grade::Large
        }
    }
}

impl Cell {
    /// The cell against a wanted dice of this edge.
    pub fn grade(&self, size: Millimetres) -> Grade {
        Grade::of(self.area, self.longest, size)
    }
}

impl CellSection {
    /// Shares of the section in pieces of a wanted size and in ribbons: within ±25 % of its square
    /// and no ribbon; longer than twice its edge.
    pub fn against(&self, size: Millimetres) -> (f64, f64) {
        shares(self.cells.iter().map(|cell| (cell.area, cell.longest)), size)
    }
}

/// Shares in pieces of a wanted size and in ribbons, of areas and longest lines.
pub(super) fn shares(cells: impl Iterator<Item = (f64, f64)>, size: Millimetres) -> (f64, f64) {
    // Added up from 0, since the sum of nothing would be a negative zero.
    let (mut total, mut wanted, mut ribbons) = (0.0, 0.0, 0.0);
    for (area, longest) in cells {
        total += area;
        match Grade::of(area, longest, size) {
            Grade::Wanted => wanted += area,
            Grade::Ribbon => ribbons += area,
            _ => {}
        }
    }
    if total > 0.0 { (wanted / total, ribbons / total) } else { (0.0, 0.0) }
}

/// A region between cuts, before the layers part it.
#[derive(Clone, Debug, PartialEq)]
pub(super) struct Region {
    pub column: u16,
    pub corners: Vec<Point>,
}

/// Checks what was asked of an onion.
pub(super) fn check(radius: Millimetres, layers: u8, method: Method) -> Result<(), OnionError> {
    if radius.get() <= 0.0 {
        return Err(OnionError::NoSize);
    }
    if !(1..=MAX_LAYERS).contains(&layers) {
        return Err(OnionError::Layers(layers));
    }
    match method {
        Method::Level { level } if !(1..=MAX_LEVEL).contains(&level) => Err(OnionError::Level(level)),
        Method::Below { depth } if !(depth > 0.0 && depth <= MAX_DEPTH) => Err(OnionError::Depth(depth)),
        _ => Ok(()),
    }
}

/// Regions between the cuts, over the whole half disc.
pub(super) fn regions(r: f64, cuts: &Cuts, method: Method) -> Vec<Region> {
    let upright = |(from, to): (f64, f64), low: f64, high: f64| {
        let (left, right) = (-r + 2.0 * r * from, -r + 2.0 * r * to);
        vec![[left, low], [right, low], [right, high], [left, high]]
    };
    let intervals = (0u16..).zip(cuts.intervals());
    match method {
        Method::Verticals | Method::HalfRings => {
            intervals.map(|(column, span)| Region { column, corners: upright(span, 0.0, r) }).collect()
        }
        Method::Level { level } => {
            let bands = u16::from(level) + 1;
            let height = |j: u16| r * f64::from(j) / f64::from(bands);
            let banded = |(k, span)| (0..bands).map(move |j| (k * bands + j, span, height(j), height(j + 1)));
            intervals
                .flat_map(banded)
                .map(|(column, span, low, high)| Region { column, corners: upright(span, low, high) })
                .collect()
        }
        Method::Centre => {
            let corner = |share: f64| {
                let (sine, cosine) = (std::f64::consts::PI * share).sin_cos();
                [3.0 * r * cosine, 3.0 * r * sine]
            };
            let fan = |(from, to): (f64, f64)| {
                // Over a wide angle a straight far side would come inside the skin: it bends on the way.
                let bends = if to - from > 0.5 {
                    vec![from, (2.0 * from + to) / 3.0, (from + 2.0 * to) / 3.0, to]
                } else {
                    vec![from, to]
                };
                std::iter::once([0.0, 0.0]).chain(bends.into_iter().map(corner)).collect()
            };
            intervals.map(|(column, span)| Region { column, corners: fan(span) }).collect()
        }
        Method::Below { depth } => {
            let half = (1.0 / depth).atan();
            let tangent = |share: f64| (-half + 2.0 * half * share).tan();
            let (low, high) = (depth * r, (depth + 1.5) * r);
            let of = |(column, (from, to)): (u16, (f64, f64))| {
                let (a, b) = (tangent(from), tangent(to));
                Region { column, corners: vec![[low * a, 0.0], [low * b, 0.0], [high * b, 1.5 * r], [high * a, 1.5 * r]] }
            };
            intervals.map(of).collect()
        }
        Method::Turned => turned(r, cuts),
    }
}

/// Verticals up to a third of the radius from the centre line on the right; what is left is turned
/// onto its cut face and cut at the steps that were left, over and over, which in the section is a
/// set of level lines.
fn turned(r: f64, cuts: &Cuts) -> Vec<Region> {
    let from = r / 3.0;
    let mut found: Vec<Region> = Vec::new();
    let mut left_over = Vec::new();
    for (start, end) in cuts.intervals() {
        let (left, right) = (-r + 2.0 * r * start, (-r + 2.0 * r * end).min(from));
        if left < from - 1e-9 * r {
            let column = found.len() as u16;
            found.push(Region { column, corners: vec![[left, 0.0], [right, 0.0], [right, r], [left, r]] });
        }
        if -r + 2.0 * r * end > from - 1e-9 * r {
            left_over.push(2.0 * r * (end - start));
        }
    }
    let (mut low, top) = (0.0, (r * r - from * from).sqrt());
    for step in left_over.iter().cycle().take(1_000) {
        if low >= top - 1e-9 * r {
            break;
        }
        let (column, high) = (found.len() as u16, low + step);
        found.push(Region { column, corners: vec![[from, low], [r, low], [r, high], [from, high]] });
        low = high;
    }
    found
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

/// A point of an outline, and whether an arc around the centre leads to it from the one before.
type Stop = (Point, bool);

/// A convex region inside a ring: what is inside the outer circle, and of that what is inside the
/// inner one and left out.
struct CellOutline {
    whole: Vec<Stop>,
    hole: Vec<Stop>,
    inner: f64,
    outer: f64,
    /// How high the region reaches over the centre, if it lies on both sides of it.
    top: Option<f64>,
}

impl CellOutline {
    /// Of a region and a ring of nothing around the centre.
    fn innermost(corners: &[Point]) -> Self {
        let (left, right) = corners.iter().fold((0.0, 0.0), |(left, right), [x, _]| (f64::min(left, *x), f64::max(right, *x)));
        let top = corners.iter().fold(0.0, |most, [_, y]| f64::max(most, *y));
        CellOutline {
            whole: Vec::new(),
            hole: Vec::new(),
            inner: 0.0,
            outer: 0.0,
            top: (left < 0.0 && right > 0.0).then_some(top),
        }
    }

    /// Goes on to the next ring outwards.
    fn grow(&mut self, corners: &[Point], outer: f64) {
        std::mem::swap(&mut self.whole, &mut self.hole);
        (self.inner, self.outer) = (self.outer, outer);
        clip_to_disc(corners, outer, &mut self.whole);
    }

    /// Longest line between two points of the cell. On a half disc an arc's farthest point from
    /// anywhere in it is an end of the arc, so the corners of the outline decide.
    fn longest(&self) -> f64 {
        let least = self.inner * (1.0 - 1e-9);
        let in_ring = |point: &Point| point[0].hypot(point[1]) >= least;
        // A ring that passes over the region's middle leaves the cell in two parts; where it only touches
        // the region's upper edge, they meet there.
        let parted = self.top.is_some_and(|top| top <= self.inner * (1.0 + 1e-9));
        let touch = self.top.filter(|top| parted && *top >= least).map(|top| [0.0, top]);
        let corners = self.whole.iter().chain(&self.hole).map(|(point, _)| *point);
        let points = || corners.clone().filter(in_ring).chain(touch);
        let mut most = 0.0f64;
        for (index, a) in points().enumerate() {
            for b in points().skip(index + 1) {
                if !parted || a[0] * b[0] >= 0.0 {
                    most = most.max((a[0] - b[0]).powi(2) + (a[1] - b[1]).powi(2));
                }
            }
        }
        most.sqrt()
    }

    /// Both lines as an SVG path, to be filled by the even–odd rule.
    fn path(&self) -> String {
        let mut text = String::with_capacity((self.whole.len() + self.hole.len()) * 24);
        for (line, radius) in [(&self.whole, self.outer), (&self.hole, self.inner)] {
            let Some(((first, closing), rest)) = line.split_first().filter(|(_, rest)| !rest.is_empty()) else { continue };
            text.push('M');
            place(&mut text, *first);
            let closing = closing.then_some((*first, true));
            for (point, arc) in rest.iter().copied().chain(closing) {
                if arc {
                    // Seen with y downwards, an arc around the centre turns against the clock.
                    text.push('A');
                    hundredths(&mut text, radius);
                    text.push(' ');
                    hundredths(&mut text, radius);
                    text.push_str(" 0 0 0 ");
                } else {
                    text.push('L');
                }
                place(&mut text, point);
            }
            text.push('Z');
        }
        text
    }
}

/// A point of a drawing, y downwards.
fn place(text: &mut String, [x, y]: Point) {
    hundredths(text, x);
    text.push(' ');
    hundredths(text, -y);
}

/// A length to a hundredth; by whole numbers, since a section has hundreds of them.
fn hundredths(text: &mut String, length: f64) {
    use std::fmt::Write;
    let whole = (length * 100.0).round() as i64;
    let sign = if whole < 0 { "-" } else { "" };
    let _ = write!(text, "{sign}{}.{:02}", whole.abs() / 100, whole.abs() % 100);
}

/// The part of a convex polygon inside a disc, into `found`: its corners in order, and whether an arc
/// leads to each.
fn clip_to_disc(corners: &[Point], radius: f64, found: &mut Vec<Stop>) {
    found.clear();
    let same = |a: Point, b: Point| (a[0] - b[0]).hypot(a[1] - b[1]) < 1e-9 * radius;
    let next = corners.iter().cycle().skip(1);
    for (p, q) in corners.iter().zip(next) {
        let d = [q[0] - p[0], q[1] - p[1]];
        let (a, b, c) = (d[0] * d[0] + d[1] * d[1], p[0] * d[0] + p[1] * d[1], p[0] * p[0] + p[1] * p[1] - radius * radius);
        let inside = b * b - a * c;
        if a <= 0.0 || inside <= 0.0 {
            continue;
        }
        let root = inside.sqrt();
        let (enters, leaves) = ((-b - root) / a, (-b + root) / a);
        if enters >= 1.0 || leaves <= 0.0 {
            continue;
        }
        let at = |t: f64| [p[0] + d[0] * t, p[1] + d[1] * t];
        // An edge that comes in through the circle, or begins on it, is reached along the circle.
        for (point, arc) in [(at(enters.max(0.0)), enters > -1e-9), (at(leaves.min(1.0)), false)] {
            if !found.last().is_some_and(|(last, _)| same(*last, point)) {
                found.push((point, arc));
            }
        }
    }
    if found.len() > 1
        && let (Some((first, _)), Some((last, arc))) = (found.first().copied(), found.last().copied())
        && same(first, last)
    {
        found.pop();
        if let Some(start) = found.first_mut() {
            start.1 = arc;
        }
    }
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

/// The part of a line inside the disc, if it is longer than a hair.
fn inside_part(p: Point, q: Point, r: f64) -> Option<[Point; 2]> {
    let d = [q[0] - p[0], q[1] - p[1]];
    let (a, b, c) = (d[0] * d[0] + d[1] * d[1], p[0] * d[0] + p[1] * d[1], p[0] * p[0] + p[1] * p[1] - r * r);
    let inside = b * b - a * c;
    if a <= 0.0 || inside <= 0.0 {
        return None;
    }
    let root = inside.sqrt();
    let (from, to) = (((-b - root) / a).max(0.0), ((-b + root) / a).min(1.0));
    (to - from > 1e-3).then(|| [from, to].map(|t| [p[0] + d[0] * t, p[1] + d[1] * t]))
}
