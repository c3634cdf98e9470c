//! The regions between the cuts, before the layers part them.

use super::cuts::Cuts;
use super::disc::Point;
use super::method::Method;

/// A region between cuts, before the layers part it.
#[derive(Clone, Debug, PartialEq)]
pub(super) struct Region {
    pub column: u16,
    pub corners: Vec<Point>,
}

/// How often a region stands in the section of cuts that lie alike on both sides, itself and its mirror
/// image; none for the one of the two that is left out.
pub(super) fn mirrored(region: &Region, cuts: u8, method: Method) -> Option<u8> {
    if method == Method::Turned {
        return Some(1);
    }
    let column = u32::from(region.column) / (method.level_cuts() + 1);
    match (2 * column).cmp(&u32::from(cuts)) {
        std::cmp::Ordering::Less => Some(2),
        std::cmp::Ordering::Equal => Some(1),
        std::cmp::Ordering::Greater => None,
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
