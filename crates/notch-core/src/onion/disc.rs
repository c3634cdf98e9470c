//! The area that a disc around the origin shares with a polygon.

/// A corner: across and up, in any unit of length.
pub(super) type Point = [f64; 2];

fn cross(a: Point, b: Point) -> f64 {
    a[0] * b[1] - a[1] * b[0]
}

fn dot(a: Point, b: Point) -> f64 {
    a[0] * b[0] + a[1] * b[1]
}

/// Signed area of the sector of a disc of `radius` between two directions.
fn sector(a: Point, b: Point, radius: f64) -> f64 {
    radius * radius / 2.0 * cross(a, b).atan2(dot(a, b))
}

/// Signed area that the disc shares with the triangle origin, `p`, `q`.
fn triangle(p: Point, q: Point, radius: f64) -> f64 {
    let d = [q[0] - p[0], q[1] - p[1]];
    let (a, b, c) = (dot(d, d), dot(p, d), dot(p, p) - radius * radius);
    let inside = b * b - a * c;
    if a <= 0.0 || inside <= 0.0 {
        return sector(p, q, radius);
    }
    let root = inside.sqrt();
    let (enters, leaves) = ((-b - root) / a, (-b + root) / a);
    if enters >= 1.0 || leaves <= 0.0 {
        return sector(p, q, radius);
    }
    let at = |t: f64| [p[0] + d[0] * t, p[1] + d[1] * t];
    let (from, to) = (at(enters.max(0.0)), at(leaves.min(1.0)));
    let before = if enters > 0.0 { sector(p, from, radius) } else { 0.0 };
    let after = if leaves < 1.0 { sector(to, q, radius) } else { 0.0 };
    before + cross(from, to) / 2.0 + after
}

/// Area of the disc of `radius` around the origin inside a polygon with its corners in order.
pub(super) fn shared_area(polygon: &[Point], radius: f64) -> f64 {
    let next = polygon.iter().cycle().skip(1);
    polygon.iter().zip(next).map(|(p, q)| triangle(*p, *q, radius)).sum::<f64>().abs()
}

/// Shortest and longest distance from the origin, on the edge of a convex polygon or outside it, to its
/// points: no ring outside of them shares anything with it.
pub(super) fn reach(polygon: &[Point]) -> [f64; 2] {
    let next = polygon.iter().cycle().skip(1);
    polygon.iter().zip(next).fold([f64::INFINITY, 0.0], |[near, far], (p, q)| {
        let d = [q[0] - p[0], q[1] - p[1]];
        let along = if dot(d, d) > 0.0 { (-dot(*p, d) / dot(d, d)).clamp(0.0, 1.0) } else { 0.0 };
        let nearest = [p[0] + d[0] * along, p[1] + d[1] * along];
        [near.min(nearest[0].hypot(nearest[1])), far.max(p[0].hypot(p[1]))]
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use std::f64::consts::PI;

    #[test]
    fn a_disc_inside_a_square_and_a_square_inside_a_disc_are_whole() {
        let square = |half: f64| [[-half, -half], [half, -half], [half, half], [-half, half]];
        assert!((shared_area(&square(2.0), 1.0) - PI).abs() < 1e-12);
        assert!((shared_area(&square(0.5), 1.0) - 1.0).abs() < 1e-12);
        let half = [[-2.0, 0.0], [2.0, 0.0], [2.0, 2.0], [-2.0, 2.0]];
        assert!((shared_area(&half, 1.0) - PI / 2.0).abs() < 1e-12);
    }
}
