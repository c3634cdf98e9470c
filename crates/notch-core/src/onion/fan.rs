//! The depth below the board that a fan of cuts is best aimed at.
//!
//! The share of wanted pieces leaps with the depth, each time that a cell grows into its band or out of
//! it. A grid of depths alone walks past narrow peaks; here each cell's way in and out is found between
//! the grid's depths, and the depths where most is in at once are then weighed as the section is.

use super::disc::Point;
use super::grade::BAND;
use super::method::{MAX_DEPTH, MIN_DEPTH};
use crate::units::Millimetres;

/// Depths of the grid, evenly over the fan's half-angle.
const STEPS: u16 = 90;
/// Stretches that are weighed for one number of cuts.
const WEIGHED: usize = 6;
/// A round depth is taken if it costs no more of the whole than this.
const ROUND: f64 = 0.001;

/// Depths of the grid in radii, the shallowest first.
pub(super) fn depths() -> impl DoubleEndedIterator<Item = f64> {
    (0..=STEPS).map(|step| depth_at(f64::from(step)))
}

/// The depth at a place on the grid.
fn depth_at(place: f64) -> f64 {
    let [wide, narrow] = [MIN_DEPTH, MAX_DEPTH].map(|depth| (1.0 / depth).atan());
    allowed(1.0 / (wide + (narrow - wide) * place / f64::from(STEPS)).tan())
}

fn allowed(depth: f64) -> f64 {
    depth.clamp(MIN_DEPTH, MAX_DEPTH)
}

/// A cut of the fan as it stands over the board: its foot, and the way it leans.
#[derive(Clone, Copy)]
struct Ray {
    foot: f64,
    /// Across for each millimetre up.
    lean: f64,
}

/// Where a ray meets a ring: the point on it, or the ring's end on the board for a ray that stands
/// outside, and the area of the ring's half disc to the left of the ray.
#[derive(Clone, Copy)]
struct Meeting {
    point: Point,
    left: f64,
}

impl Ray {
    fn meets(self, radius: f64) -> Meeting {
        let half = std::f64::consts::PI * radius * radius / 2.0;
        if self.foot <= -radius {
            return Meeting { point: [-radius, 0.0], left: 0.0 };
        }
        if self.foot >= radius {
            return Meeting { point: [radius, 0.0], left: half };
        }
        // foot + lean·y on the circle: (1 + lean²)·y² + 2·foot·lean·y + foot² − radius² = 0.
        let (a, b) = (1.0 + self.lean * self.lean, self.foot * self.lean);
        let y = ((b * b - a * (self.foot * self.foot - radius * radius)).sqrt() - b) / a;
        let x = self.foot + self.lean * y;
        Meeting { point: [x, y], left: half - radius * radius / 2.0 * y.atan2(x) + self.foot * y / 2.0 }
    }
}

/// Longest line of the cell between two rays and two rings: its corners decide, as in any outline.
fn longest(rays: [Ray; 2], inner: f64, outer: f64, corners: [Point; 4]) -> f64 {
    let feet = rays.map(|ray| (ray.foot.abs() > inner && ray.foot.abs() < outer).then_some([ray.foot, 0.0]));
    // In the core the inner ring is a point; and of a cell that stands outside it, it is no edge.
    let reaches_in = inner > 0.0 && rays[1].foot > -inner;
    let rings = if reaches_in { &corners[..] } else { &corners[..2] };
    let points = || rings.iter().copied().chain(feet.into_iter().flatten());
    let mut most = 0.0f64;
    for (index, a) in points().enumerate() {
        for b in points().skip(index + 1) {
            most = most.max((a[0] - b[0]).powi(2) + (a[1] - b[1]).powi(2));
        }
    }
    most.sqrt()
}

/// A half disc and the dice that is wanted of it.
struct Fan {
    cuts: u8,
    size: f64,
    /// Radii of the rings from the centre out, the first of nothing.
    rings: Vec<f64>,
    /// Layers whose cells can be wanted: a cell no longer than twice the edge in a thin ring is small.
    layers: Vec<usize>,
}

/// A cell at one depth: its area, and its longest line where the area is anywhere near the wanted one.
#[derive(Clone, Copy)]
struct FanCell {
    area: f64,
    longest: Option<f64>,
}

/// Times the wanted area between which the longest line of a cell is looked at.
const NEAR: std::ops::RangeInclusive<f64> = 0.3..=2.5;

impl Fan {
    fn new(r: f64, layers: u8, cuts: u8, size: f64) -> Self {
        let rings: Vec<f64> = (0..=layers).map(|layer| r * f64::from(layer) / f64::from(layers)).collect();
        let most = |inner: f64, outer: f64| (size / inner).asin() * (outer * outer - inner * inner);
        let can = |pair: &[f64]| pair[0] <= size || most(pair[0], pair[1]) >= (1.0 - BAND) * size * size * (1.0 - 1e-6);
        let layers = rings.windows(2).enumerate().filter(|(_, pair)| can(pair)).map(|(layer, _)| layer).collect();
        Fan { cuts, size, rings, layers }
    }

    fn radius(&self) -> f64 {
        self.rings.last().copied().unwrap_or(0.0)
    }

    /// The rays from the left side to the middle of the fan, the end on the left among them.
    fn rays(&self, depth: f64) -> Vec<Ray> {
        let half = (1.0 / depth).atan();
        let parts = f64::from(self.cuts) + 1.0;
        let ray = |k: u16| {
            let lean = (-half + 2.0 * half * f64::from(k) / parts).tan();
            Ray { foot: depth * self.radius() * lean, lean }
        };
        (0..=u16::from(self.cuts) / 2 + 1).map(ray).collect()
    }

    /// Every cell of the left half, the middle one among them.
    fn cells(&self, depth: f64) -> Vec<FanCell> {
        let mut found = Vec::with_capacity(self.layers.len() * (usize::from(self.cuts) / 2 + 1));
        let row = |ray: &Ray| self.rings.iter().map(|radius| ray.meets(*radius)).collect::<Vec<_>>();
        let rays: Vec<(Ray, Vec<Meeting>)> = self.rays(depth).into_iter().map(|ray| (ray, row(&ray))).collect();
        for pair in rays.windows(2) {
            let ([(left, lefts), (right, rights)], rings) = ([&pair[0], &pair[1]], &self.rings);
            for layer in &self.layers {
                let at = *layer..layer + 2;
                let (Some([inner, outer]), Some([a, b]), Some([c, d])) =
                    (rings.get(at.clone()), lefts.get(at.clone()), rights.get(at))
                else {
                    continue;
                };
                let area = (d.left - b.left) - (c.left - a.left);
                let near = NEAR.contains(&(area / (self.size * self.size)));
                let corners = [b.point, d.point, a.point, c.point];
                found.push(FanCell { area, longest: near.then(|| longest([*left, *right], *inner, *outer, corners)) });
            }
        }
        found
    }

    /// Area in wanted pieces.
    fn wanted(&self, depth: f64) -> f64 {
        let cells = self.cells(depth);
        cells
            .iter()
            .enumerate()
            .filter(|(_, cell)| self.within(cell, cell).is_some())
            .map(|(at, cell)| self.times(at) * cell.area)
            .sum()
    }

    /// The part of the way from one depth to the next on which a cell has the wanted area and length, both
    /// taken to change evenly.
    fn within(&self, from: &FanCell, to: &FanCell) -> Option<[f64; 2]> {
        let square = self.size * self.size;
        let long = from.longest.or(to.longest)?;
        let lengths = [from.longest.unwrap_or(long), to.longest.unwrap_or(long)];
        let [mut start, mut end] = part_between([from.area, to.area], [(1.0 - BAND) * square, (1.0 + BAND) * square])?;
        let [short_from, short_to] = part_between(lengths, [0.0, 2.0 * self.size])?;
        (start, end) = (start.max(short_from), end.min(short_to));
        (start <= end).then_some([start, end])
    }

    /// How often a cell of the left half stands in the section.
    fn times(&self, cell: usize) -> f64 {
        let column = cell / self.layers.len().max(1);
        if 2 * column == usize::from(self.cuts) { 1.0 } else { 2.0 }
    }

    /// Stretches of depth in which the same cells are in, and their area.
    fn stretches(&self, grid: &[Vec<FanCell>]) -> Vec<Stretch> {
        let mut found = Vec::new();
        let mut comes: Vec<(f64, f64)> = Vec::new();
        for (step, pair) in (0u16..).zip(grid.windows(2)) {
            let (mut inside, mut from) = (0.0, f64::from(step));
            comes.clear();
            for (at, (was, next)) in pair[0].iter().zip(&pair[1]).enumerate() {
                let Some([start, end]) = self.within(was, next) else { continue };
                let area = self.times(at) * (was.area + (next.area - was.area) * f64::midpoint(start, end));
                if start > 0.0 {
                    comes.push((from + start, area));
                } else {
                    inside += area;
                }
                if end < 1.0 {
                    comes.push((from + end, -area));
                }
            }
            comes.sort_by(|a, b| a.0.total_cmp(&b.0));
            for (place, area) in comes.iter().copied().chain([(f64::from(step) + 1.0, 0.0)]) {
                if place > from {
                    found.push(Stretch { inside, from, until: place });
                    from = place;
                }
                inside += area;
            }
        }
        found
    }
}

/// The part of the way from one value to another on which it lies between two others.
fn part_between([from, to]: [f64; 2], [least, most]: [f64; 2]) -> Option<[f64; 2]> {
    let slack = 1e-9 * most;
    let (least, most) = (least - slack, most + slack);
    if (to - from).abs() <= slack {
        return (least <= from && from <= most).then_some([0.0, 1.0]);
    }
    let at = |value: f64| (value - from) / (to - from);
    let (start, end) = (at(least).min(at(most)).max(0.0), at(least).max(at(most)).min(1.0));
    (start <= end).then_some([start, end])
}

/// Depths between which the same cells are in, as places on the grid.
#[derive(Clone, Copy)]
struct Stretch {
    inside: f64,
    from: f64,
    until: f64,
}

/// Depths that are worth weighing: of the stretches where most is in at once, the middle and both ends,
/// since what is in grows or shrinks on the way.
fn peaks(mut stretches: Vec<Stretch>) -> Vec<f64> {
    stretches.sort_by(|a, b| b.inside.total_cmp(&a.inside));
    stretches.truncate(WEIGHED);
    let parts = |each: Stretch| [0.02, 0.5, 0.98].map(|part| depth_at(each.from + (each.until - each.from) * part));
    stretches.into_iter().flat_map(parts).collect()
}

/// The depth that leaves most of the section in wanted pieces at so many cuts, in radii; a round depth
/// where it is as good.
pub(super) fn best_depth(radius: Millimetres, layers: u8, cuts: u8, size: Millimetres) -> f64 {
    let fan = Fan::new(radius.get(), layers, cuts, size.get());
    if fan.layers.is_empty() {
        return 1.0;
    }
    let grid: Vec<Vec<FanCell>> = depths().map(|depth| fan.cells(depth)).collect();
    let mut best = (1.0, fan.wanted(1.0));
    for depth in peaks(fan.stretches(&grid)) {
        let wanted = fan.wanted(depth);
        if wanted > best.1 {
            best = (depth, wanted);
        }
    }
    let whole = std::f64::consts::PI * radius.get() * radius.get() / 2.0;
    let round = |steps: f64| allowed((best.0 * steps).round() / steps);
    [10.0, 100.0].map(round).into_iter().find(|depth| fan.wanted(*depth) >= best.1 - ROUND * whole).unwrap_or(best.0)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::onion::Method;
    use crate::onion::section::share_wanted;
    use proptest::prelude::*;

    proptest! {
        /// The quick look over the fan and the section are worked out apart.
        #[test]
        fn a_fan_has_the_wanted_cells_of_its_section(
            r in 15.0..150.0f64, layers in 1u8..=40, cuts in 1u8..=60, part in 0.02..1.0f64, step in 0.0..90.0f64,
        ) {
            let (depth, size) = (depth_at(step), (r * part).max(0.5));
            let fan = Fan::new(r, layers, cuts, size).wanted(depth) / (std::f64::consts::PI * r * r / 2.0);
            let sizes = [r, size].map(|size| Millimetres::new(size).unwrap());
            let section = share_wanted(sizes[0], layers, cuts, Method::Below { depth }, sizes[1]).unwrap();
            prop_assert!((fan - section).abs() < 1e-6, "{fan} and {section}");
        }
    }
}
