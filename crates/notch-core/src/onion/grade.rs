//! What a set of pieces comes to, and each of them against a wanted size.

use serde::Serialize;

use crate::units::Millimetres;

/// Slack on the edges of the bands, so that what lies on an edge is inside.
const SLACK: f64 = 1e-9;

/// How far from the wanted area a piece may be, as a share of it.
pub(super) const BAND: f64 = 0.25;

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

impl Grade {
    /// A cell of an area and a longest line against a wanted dice of an edge.
    pub(super) fn of(area: f64, longest: f64, size: Millimetres) -> Self {
        let ratio = area / size.get().powi(2).max(f64::MIN_POSITIVE);
        if longest > size.get() * 2.0 * (1.0 + SLACK) {
            Grade::Ribbon
        } else if (ratio - 1.0).abs() <= BAND + SLACK {
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
