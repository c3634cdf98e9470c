//! The outline of a cell: a region inside a ring around the centre.

use super::disc::Point;

/// A point of an outline, and whether an arc around the centre leads to it from the one before.
pub(super) type Stop = (Point, bool);

/// A convex region inside a ring: what is inside the outer circle, and of that what is inside the
/// inner one and left out.
pub(super) struct CellOutline {
    whole: Vec<Stop>,
    hole: Vec<Stop>,
    inner: f64,
    pub(super) outer: f64,
    /// How high the region reaches over the centre, if it lies on both sides of it.
    top: Option<f64>,
}

impl CellOutline {
    /// Of a region and a ring of nothing around the centre.
    pub(super) fn innermost(corners: &[Point]) -> Self {
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

    /// Of a region and one ring.
    pub(super) fn between(corners: &[Point], inner: f64, outer: f64) -> Self {
        let mut outline = Self::innermost(corners);
        if inner > 0.0 {
            outline.grow(corners, inner);
        }
        outline.grow(corners, outer);
        outline
    }

    /// Goes on to the next ring outwards.
    pub(super) fn grow(&mut self, corners: &[Point], outer: f64) {
        std::mem::swap(&mut self.whole, &mut self.hole);
        (self.inner, self.outer) = (self.outer, outer);
        clip_to_disc(corners, outer, &mut self.whole);
    }

    /// Longest line between two points of the cell. On a half disc an arc's farthest point from
    /// anywhere in it is an end of the arc, so the corners of the outline decide.
    pub(super) fn longest(&self) -> f64 {
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
    pub(super) fn path(&self) -> String {
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
pub(super) fn place(text: &mut String, [x, y]: Point) {
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

/// The part of a line inside the disc, if it is longer than a hair.
pub(super) fn inside_part(p: Point, q: Point, r: f64) -> Option<[Point; 2]> {
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
