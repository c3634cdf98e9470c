//! The half ball and the half cylinder: layers, cuts and crosscuts.

use serde::Serialize;

use super::cuts::Cuts;
use super::disc::{reach, shared_area};
use super::grade::Figures;
use super::method::{MAX_PLACES, Method, OnionError, check, within};
use super::regions::{Region, mirrored, regions};
use super::section::measured;
use crate::units::Millimetres;

/// A half ball cut into pieces.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BallFigures {
    /// Volumes of the pieces in figures, mm³.
    pub figures: Figures,
    /// Crosscuts through the half.
    pub crosscuts: u32,
    /// Whole slabs and end caps.
    pub slabs: u32,
}

/// Nodes and weights of Gauss–Legendre quadrature on −1..1, the positive half.
const NODES: [(f64, f64); 8] = [
    (0.095_012_509_837_637_44, 0.189_450_610_455_068_5),
    (0.281_603_550_779_258_9, 0.182_603_415_044_923_59),
    (0.458_016_777_657_227_4, 0.169_156_519_395_002_54),
    (0.617_876_244_402_643_7, 0.149_595_988_816_576_73),
    (0.755_404_408_355_003, 0.124_628_971_255_533_87),
    (0.865_631_202_387_831_7, 0.095_158_511_682_492_78),
    (0.944_575_023_073_232_6, 0.062_253_523_938_647_89),
    (0.989_400_934_991_649_9, 0.027_152_459_411_754_1),
];

/// Cuts a half ball: cut lines as in the section for the full radius, the same in every slab, and
/// crosscut planes `crosscut` apart from the centre outwards (a plane lies at the centre), or with a
/// slab at the centre.
///
/// A piece is a shell inside a region inside a slab; it counts if its volume is over 1e-9 R³.
///
/// # Errors
/// [`OnionError`] for what is out of range.
///
/// # Complexity
/// O(slabs × layers × cuts), each an integral of some sixteen nodes a stretch.
pub fn half_ball(
    radius: Millimetres,
    layers: u8,
    cuts: &Cuts,
    method: Method,
    crosscut: Millimetres,
    slab_at_centre: bool,
) -> Result<BallFigures, OnionError> {
    check(radius, layers, method)?;
    let (r, c) = (radius.get(), crosscut.get());
    if !(c >= 0.5 && c <= r) {
        return Err(OnionError::Crosscut(c));
    }
    let alike = cuts.alike_on_both_sides();
    let times = |region: &Region| if alike { mirrored(region, cuts.count(), method) } else { Some(1) };
    let regions: Vec<(Region, u8)> =
        regions(r, cuts, method).into_iter().filter_map(|region| times(&region).map(|times| (region, times))).collect();
    let planes = planes(r, c, slab_at_centre);
    within(planes.len() as u64 * regions.len() as u64 * u64::from(layers), MAX_PLACES)?;
    let mut volumes = Vec::new();
    for pair in planes.windows(2) {
        let (from, to) = (pair[0], pair[1].min(r));
        // A slab around the centre stands once; every other stands on both sides.
        let both = if slab_at_centre && from <= 0.0 { 1 } else { 2 };
        let (from, factor) = if both == 1 { (0.0, 2.0) } else { (from, 1.0) };
        for (region, times) in &regions {
            let [near, far] = reach(&region.corners);
            let mut inner = 0.0;
            for layer in 1..=layers {
                let shell = r * f64::from(layer) / f64::from(layers);
                if shell <= near || r * f64::from(layer - 1) / f64::from(layers) >= far.hypot(to) {
                    continue;
                }
                let outer = factor * integral(region, shell, from, to);
                let volume = outer - inner;
                inner = outer;
                if volume > 1e-9 * r * r * r {
                    volumes.extend(std::iter::repeat_n(volume, both * usize::from(*times)));
                }
            }
        }
    }
    let slabs = u32::try_from(planes.len() - 1).unwrap_or(0);
    let slabs = if slab_at_centre { 2 * slabs - 1 } else { 2 * slabs };
    Ok(BallFigures { figures: Figures::of(&volumes), crosscuts: slabs.saturating_sub(1), slabs })
}

/// Planes from the centre outwards on one side, the last at the skin.
fn planes(r: f64, c: f64, slab_at_centre: bool) -> Vec<f64> {
    let mut planes = vec![if slab_at_centre { -c / 2.0 } else { 0.0 }];
    let first = if slab_at_centre { c / 2.0 } else { c };
    let mut k = 0u32;
    loop {
        let z = first + c * f64::from(k);
        if z >= r * (1.0 - 1e-9) {
            break;
        }
        planes.push(z);
        k += 1;
    }
    planes.push(r);
    planes
}

/// Volume of the ball of radius `shell` inside a region between two planes.
///
/// The area of a slice has a kink where its circle passes a corner of the region or touches an edge,
/// and a root where the ball ends: the integral is parted there.
fn integral(region: &Region, shell: f64, from: f64, to: f64) -> f64 {
    let to = to.min(shell);
    if to <= from {
        return 0.0;
    }
    let mut breaks = vec![from, to];
    let next = region.corners.iter().cycle().skip(1);
    for (p, q) in region.corners.iter().zip(next) {
        let d = [q[0] - p[0], q[1] - p[1]];
        let length = d[0].hypot(d[1]);
        let corner = p[0].hypot(p[1]);
        let edge = if length > 0.0 { (p[0] * d[1] - p[1] * d[0]).abs() / length } else { corner };
        for distance in [corner, edge] {
            if distance < shell {
                let z = (shell * shell - distance * distance).sqrt();
                if z > from && z < to {
                    breaks.push(z);
                }
            }
        }
    }
    breaks.sort_by(f64::total_cmp);
    breaks.windows(2).map(|pair| stretch(region, shell, pair[0], pair[1])).sum()
}

/// One smooth stretch. The substitution z = mid + half·(3u − u³)/2 flattens the ends, where the area
/// may rise like a root.
fn stretch(region: &Region, shell: f64, from: f64, to: f64) -> f64 {
    let (middle, half) = (f64::midpoint(from, to), (to - from) / 2.0);
    if half <= 1e-12 * shell {
        return 0.0;
    }
    let at = |u: f64| {
        let z = middle + half * (3.0 * u - u * u * u) / 2.0;
        let circle = (shell * shell - z * z).max(0.0).sqrt();
        shared_area(&region.corners, circle) * half * 1.5 * (1.0 - u * u)
    };
    NODES.iter().map(|(u, weight)| weight * (at(*u) + at(-u))).sum()
}

/// Cuts a half cylinder of layers, such as a halved leek: the section's cells, each as long as the
/// crosscuts are apart; what is left at the end is a slab of its own.
///
/// # Errors
/// [`OnionError`] for what is out of range; [`OnionError::Crosscut`] also for crosscuts farther apart
/// than the length.
pub fn half_cylinder(
    radius: Millimetres,
    length: Millimetres,
    layers: u8,
    cuts: &Cuts,
    method: Method,
    crosscut: Millimetres,
) -> Result<BallFigures, OnionError> {
    let areas: Vec<f64> = measured(radius, layers, cuts, method)?.iter().map(|cell| cell.area).collect();
    let (l, c) = (length.get(), crosscut.get());
    if !(c >= 0.5 && c <= l) {
        return Err(OnionError::Crosscut(c));
    }
    let whole = crate::units::times(l, c);
    within((u64::from(whole) + 1) * areas.len() as u64, MAX_PLACES)?;
    let tail = l - f64::from(whole) * c;
    let ends_whole = tail <= 1e-9 * l;
    let least = 1e-9 * radius.get().powi(3);
    let slabs = (0..whole).map(|_| c).chain((!ends_whole).then_some(tail));
    let volumes: Vec<f64> =
        slabs.flat_map(|thick| areas.iter().map(move |area| area * thick)).filter(|volume| *volume > least).collect();
    let slabs = whole + u32::from(!ends_whole);
    Ok(BallFigures { figures: Figures::of(&volumes), crosscuts: slabs.saturating_sub(1), slabs })
}
