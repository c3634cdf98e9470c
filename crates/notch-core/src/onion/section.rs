//! The half disc: every cell between layers and cuts.

use serde::{Deserialize, Serialize};
use thiserror::Error;

use super::disc::{Point, shared_area};
use crate::units::Millimetres;

/// Most layers.
pub const MAX_LAYERS: u8 = 40;
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
    #[error("{0} level cuts are out of range; allowed: 1 to 10")]
    Level(u8),
    /// Aim depth out of range.
    #[error("an aim depth of {0} radii is out of range; allowed: above 0, up to {MAX_DEPTH}")]
    Depth(f64),
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
pub struct Section {
    /// Cells that count, layer by layer from the centre.
    pub cells: Vec<Cell>,
    /// Their areas in figures.
    pub figures: Figures,
    /// Cuts as SVG paths, from the board to the skin.
    pub cuts: Vec<String>,
}

impl Cell {
    /// The cell against a wanted dice of this edge.
    pub fn grade(&self, size: Millimetres) -> Grade {
        let ratio = self.area / size.get().powi(2).max(f64::MIN_POSITIVE);
        if self.longest > size.get() * 2.0 * (1.0 + SLACK) {
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

impl Section {
    /// Shares of the section in pieces of a wanted size and in ribbons: within ±25 % of its square
    /// and no ribbon; longer than twice its edge.
    pub fn against(&self, size: Millimetres) -> (f64, f64) {
        let total: f64 = self.cells.iter().map(|cell| cell.area).sum();
        let share = |grade: Grade| {
            // Added up from 0, since the sum of nothing would be a negative zero.
            let kept = self.cells.iter().filter(|cell| cell.grade(size) == grade).fold(0.0, |sum, cell| sum + cell.area);
            if total > 0.0 { kept / total } else { 0.0 }
        };
        (share(Grade::Wanted), share(Grade::Ribbon))
    }
}

/// A region between cuts, before the layers part it.
#[derive(Clone, Debug, PartialEq)]
pub(super) struct Region {
    pub column: u16,
    pub corners: Vec<Point>,
}

/// Checks what was asked of an onion.
pub(super) fn check(radius: Millimetres, layers: u8, cuts: u8, method: Method) -> Result<(), OnionError> {
    if radius.get() <= 0.0 {
        return Err(OnionError::NoSize);
    }
    if !(1..=MAX_LAYERS).contains(&layers) {
        return Err(OnionError::Layers(layers));
    }
    if !(1..=MAX_CUTS).contains(&cuts) {
        return Err(OnionError::Cuts(cuts));
    }
    match method {
        Method::Level { level } if !(1..=10).contains(&level) => Err(OnionError::Level(level)),
        Method::Below { depth } if !(depth > 0.0 && depth <= MAX_DEPTH) => Err(OnionError::Depth(depth)),
        _ => Ok(()),
    }
}

/// Regions between the cuts, over the whole half disc.
pub(super) fn regions(r: f64, cuts: u8, method: Method) -> Vec<Region> {
    let m = u16::from(cuts);
    let share = |k: u16| f64::from(k) / f64::from(m + 1);
    let upright = |k: u16, low: f64, high: f64| {
        let (left, right) = (-r + 2.0 * r * share(k), -r + 2.0 * r * share(k + 1));
        vec![[left, low], [right, low], [right, high], [left, high]]
    };
    match method {
        Method::Verticals | Method::HalfRings => (0..=m).map(|k| Region { column: k, corners: upright(k, 0.0, r) }).collect(),
        Method::Level { level } => {
            let bands = u16::from(level) + 1;
            let height = |j: u16| r * f64::from(j) / f64::from(bands);
            let of = |k: u16| (0..bands).map(move |j| (k, j));
            (0..=m)
                .flat_map(of)
                .map(|(k, j)| Region { column: k * bands + j, corners: upright(k, height(j), height(j + 1)) })
                .collect()
        }
        Method::Centre => {
            let ray = |k: u16| (std::f64::consts::PI * share(k)).sin_cos();
            let of = |k: u16| {
                let ((s1, c1), (s2, c2)) = (ray(k), ray(k + 1));
                let far = 3.0 * r;
                Region { column: k, corners: vec![[0.0, 0.0], [far * c1, far * s1], [far * c2, far * s2]] }
            };
            (0..=m).map(of).collect()
        }
        Method::Below { depth } => {
            let half = (1.0 / depth).atan();
            let tangent = |k: u16| (-half + 2.0 * half * share(k)).tan();
            let (low, high) = (depth * r, (depth + 1.5) * r);
            let of = |k: u16| {
                let (a, b) = (tangent(k), tangent(k + 1));
                Region { column: k, corners: vec![[low * a, 0.0], [low * b, 0.0], [high * b, 1.5 * r], [high * a, 1.5 * r]] }
            };
            (0..=m).map(of).collect()
        }
        Method::Turned => turned(r, m),
    }
}

/// Verticals up to a third of the radius from the centre line on the right; what is left is turned
/// onto its cut face and cut at the same step, which in the section is a set of level lines.
fn turned(r: f64, m: u16) -> Vec<Region> {
    let step = 2.0 * r / f64::from(m + 1);
    let from = r / 3.0;
    let mut found = Vec::new();
    let mut left = -r;
    while left < from - 1e-9 * r {
        let right = (left + step).min(from);
        found.push(Region { column: found.len() as u16, corners: vec![[left, 0.0], [right, 0.0], [right, r], [left, r]] });
        left = right;
    }
    let mut low = 0.0;
    let top = (r * r - from * from).sqrt();
    while low < top - 1e-9 * r {
        let high = low + step;
        found.push(Region { column: found.len() as u16, corners: vec![[from, low], [r, low], [r, high], [from, high]] });
        low = high;
    }
    found
}

/// Cuts a half disc.
///
/// A cell counts if its area is over 1e-9 R². Cells of verticals with level cuts may lie in two
/// parts; they count as one, as in the definitions.
///
/// # Errors
/// [`OnionError`] for what is out of range.
///
/// # Complexity
/// O(layers × cuts).
pub fn section(radius: Millimetres, layers: u8, cuts: u8, method: Method) -> Result<Section, OnionError> {
    check(radius, layers, cuts, method)?;
    let r = radius.get();
    let regions = regions(r, cuts, method);
    let mut cells = Vec::new();
    for region in &regions {
        let mut inner = 0.0;
        for layer in 0..layers {
            let outer_radius = r * f64::from(layer + 1) / f64::from(layers);
            let outer = shared_area(&region.corners, outer_radius);
            let area = outer - inner;
            inner = outer;
            if area > 1e-9 * r * r {
                let inner_radius = r * f64::from(layer) / f64::from(layers);
                let outline = Outline::of(&region.corners, inner_radius, outer_radius);
                let longest = outline.longest(inner_radius);
                cells.push(Cell { layer, column: region.column, area, longest, path: outline.path() });
            }
        }
    }
    cells.sort_by_key(|cell| (cell.layer, cell.column));
    let areas: Vec<f64> = cells.iter().map(|cell| cell.area).collect();
    Ok(Section { figures: Figures::of(&areas), cuts: cut_lines(&regions, r), cells })
}

/// A convex region inside a ring: what is inside the outer circle, and of that what is inside the
/// inner one and left out. Arcs are given by points a few degrees apart.
struct Outline {
    whole: Vec<Point>,
    hole: Vec<Point>,
}

impl Outline {
    fn of(corners: &[Point], inner: f64, outer: f64) -> Self {
        let hole = if inner > 0.0 { clip_to_disc(corners, inner) } else { Vec::new() };
        Outline { whole: clip_to_disc(corners, outer), hole }
    }

    /// Longest line between two points of the outline that are in the ring.
    fn longest(&self, inner: f64) -> f64 {
        let in_ring = |point: &&Point| point[0].hypot(point[1]) >= inner * (1.0 - 1e-9);
        let points: Vec<Point> = self.whole.iter().chain(&self.hole).filter(in_ring).copied().collect();
        let mut most = 0.0f64;
        for (i, a) in points.iter().enumerate() {
            for b in points.get(i..).unwrap_or(&[]) {
                most = most.max((a[0] - b[0]).powi(2) + (a[1] - b[1]).powi(2));
            }
        }
        most.sqrt()
    }

    /// Both lines as an SVG path, to be filled by the even–odd rule.
    fn path(&self) -> String {
        use std::fmt::Write;
        let mut text = String::with_capacity((self.whole.len() + self.hole.len()) * 12);
        for line in [&self.whole, &self.hole].into_iter().filter(|line| line.len() > 2) {
            for (index, [x, y]) in line.iter().enumerate() {
                let _ = write!(text, "{}{x:.2} {:.2}", if index == 0 { "M" } else { "L" }, -y);
            }
            text.push('Z');
        }
        text
    }
}

/// The part of a convex polygon inside a disc, its arcs as points about three degrees apart.
fn clip_to_disc(corners: &[Point], radius: f64) -> Vec<Point> {
    let mut found: Vec<Point> = Vec::new();
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
        for t in [enters.max(0.0), leaves.min(1.0)] {
            arc_to(&mut found, [p[0] + d[0] * t, p[1] + d[1] * t], radius);
        }
    }
    if let Some(first) = found.first().copied() {
        arc_to(&mut found, first, radius);
        found.pop();
    }
    found
}

/// Goes to a point, along the circle where both ends are on it.
fn arc_to(found: &mut Vec<Point>, to: Point, radius: f64) {
    let on = |p: Point| (p[0].hypot(p[1]) - radius).abs() < 1e-6 * radius;
    if let Some(from) = found.last().copied() {
        if (from[0] - to[0]).hypot(from[1] - to[1]) < 1e-9 * radius {
            return;
        }
        if on(from) && on(to) {
            let start = from[1].atan2(from[0]);
            let mut turn = to[1].atan2(to[0]) - start;
            if turn < 0.0 {
                turn += 2.0 * std::f64::consts::PI;
            }
            // A chord is an edge of the region; only a turn to the left, less than half, is an arc.
            if turn < std::f64::consts::PI + 1e-9 {
                let steps = (turn / 0.06).ceil().clamp(1.0, 80.0) as u32;
                for step in 1..steps {
                    let angle = start + turn * f64::from(step) / f64::from(steps);
                    found.push([radius * angle.cos(), radius * angle.sin()]);
                }
            }
        }
    }
    found.push(to);
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
                let line = format!("M{:.2} {:.2}L{:.2} {:.2}", a[0], -a[1], b[0], -b[1]);
                let back = format!("M{:.2} {:.2}L{:.2} {:.2}", b[0], -b[1], a[0], -a[1]);
                if !lines.contains(&line) && !lines.contains(&back) {
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
