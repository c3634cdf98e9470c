//! The way of cutting an onion that gives the most pieces of a wanted size.

use serde::{Deserialize, Serialize};

use super::ball::{BallFigures, half_ball, half_cylinder};
use super::cuts::Cuts;
use super::fan;
use super::grade::{BAND, Figures, shares};
use super::method::{MAX_COMPARED, MAX_CUTS, MAX_LEVEL, Method, OnionError, check, within};
use super::section::{measured, share_wanted};
use crate::units::Millimetres;

/// The size that is wanted, and of what.
#[derive(Clone, Copy, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct WantedDice {
    /// Radius of the onion.
    pub radius: Millimetres,
    /// Layers.
    pub layers: u8,
    /// Edge of the wanted dice: the cells should have its square, and crosscuts are as far apart.
    pub size: Millimetres,
    /// Length, of a layered cylinder such as a leek; none for a ball.
    #[serde(default)]
    pub length: Option<Millimetres>,
}

/// What may not be exceeded.
#[derive(Clone, Copy, Debug, Default, PartialEq, Eq, Serialize, Deserialize)]
#[serde(default)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Limits {
    /// Most strokes for a half, crosscuts included; none for any number.
    pub strokes: Option<u32>,
    /// Nothing moves towards the guide hand: no level cut.
    pub no_level_cut: bool,
}

/// The best that one method gives.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct MethodAtBest {
    /// Method, with its best aim depth.
    pub method: Method,
    /// Cuts from above, or fanned.
    pub cuts: u8,
    /// Aim depths around the best that are all as good within 1 %, in radii: with the depth the share
    /// leaps as cells come into their band and go out of it.
    pub depths: Option<[f64; 2]>,
    /// Strokes for a half: cuts, level cuts, crosscuts.
    pub strokes: u32,
    /// Strokes that move towards the guide hand's side.
    pub strokes_towards_hand: u32,
    /// Share of the section in pieces of the wanted size (±25 %) that are no ribbons.
    pub wanted: f64,
    /// Share of the section in ribbons: longer than twice the wanted size.
    pub ribbons: f64,
    /// The section in figures.
    pub figures: Figures,
    /// The half ball in figures.
    pub ball: BallFigures,
}

/// A point of the trade between evenness and strokes.
#[derive(Clone, Copy, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Trade {
    /// Strokes for a half.
    pub strokes: u32,
    /// Best share of wanted pieces in so many strokes.
    pub wanted: f64,
    /// Method that gives it.
    pub method: Method,
}

/// All methods compared.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct RankedMethods {
    /// The best of each method, the best of all first; none where the limits leave nothing.
    pub found: Vec<MethodAtBest>,
    /// Methods that are as good as the first, within one part in a hundred of the whole.
    pub as_good: usize,
    /// The best for each number of strokes.
    pub trade: Vec<Trade>,
    /// The finding in a sentence.
    pub words: String,
}

/// One way that was tried.
#[derive(Clone, Debug)]
struct Tried {
    method: Method,
    cuts: u8,
    strokes: u32,
    wanted: f64,
}

impl Method {
    /// The method in plain words.
    pub const fn words(self) -> &'static str {
        match self {
            Method::Verticals => "verticals only",
            Method::Level { .. } => "level cuts and verticals",
            Method::Centre => "radial cuts to the centre",
            Method::Below { .. } => "radial cuts that aim below the board",
            Method::Turned => "verticals, the last third turned",
            Method::HalfRings => "crosswise half-rings, turned",
        }
    }

    /// Level cuts, which move towards the guide hand's side.
    pub const fn level_cuts(self) -> u32 {
        match self {
            Method::Level { level } => level as u32,
            _ => 0,
        }
    }
}

impl WantedDice {
    /// Strokes for a half: the cuts, the level cuts, and crosscuts a size apart, in a ball from one at
    /// the centre.
    pub fn strokes(&self, cuts: u8, method: Method) -> u32 {
        let inside = |whole: Millimetres| (whole.get() / self.size.get().max(0.1) * (1.0 - 1e-9)).floor().clamp(0.0, 1e6) as u32;
        let crosscuts = self.length.map_or_else(|| 2 * inside(self.radius) + 1, inside);
        u32::from(cuts) + method.level_cuts() + crosscuts
    }

    /// Places for pieces in the half, no fewer than there are.
    fn places(&self, cuts: u8, method: Method) -> u64 {
        let crosscuts = self.strokes(cuts, method) - u32::from(cuts) - method.level_cuts();
        u64::from(self.layers) * (u64::from(cuts) + 1) * u64::from(method.level_cuts() + 1) * (u64::from(crosscuts) + 1)
    }

    /// The half in pieces.
    ///
    /// # Errors
    /// [`OnionError`] for what is out of range.
    pub fn half(&self, cuts: &Cuts, method: Method) -> Result<BallFigures, OnionError> {
        match self.length {
            Some(length) => half_cylinder(self.radius, length, self.layers, cuts, method, self.size),
            None => half_ball(self.radius, self.layers, cuts, method, self.size, false),
        }
    }
}

/// Compares every method over the whole of what is allowed: 1 to [`MAX_CUTS`] cuts, 1 to [`MAX_LEVEL`]
/// level cuts, every aim depth. A piece counts only at the wanted size, so that no method wins by making
/// other pieces.
///
/// `still_wanted` is asked before each way; at the first no the rest is given up.
///
/// # Errors
/// [`OnionError`] for sizes out of range, a wanted size over the radius among them, for halves of
/// more than [`MAX_COMPARED`] places together, and for work that was given up.
///
/// # Complexity
/// Up to 700 sections, 60 searches of a depth, and one half ball a method.
pub fn choose(wanted: WantedDice, limits: Limits, still_wanted: &dyn Fn() -> bool) -> Result<RankedMethods, OnionError> {
    let (r, size) = (wanted.radius.get(), wanted.size.get());
    check(wanted.radius, wanted.layers, Method::Verticals)?;
    if !(size >= 0.5 && size <= r) {
        return Err(OnionError::Crosscut(size));
    }
    let mut tried = Vec::new();
    let mut found = Vec::new();
    for kind in kinds(limits) {
        let mut ways = Vec::new();
        for method in kind {
            for cuts in cuts_of(wanted, limits, method) {
                if !still_wanted() {
                    return Err(OnionError::GivenUp);
                }
                ways.push(weighed(wanted, method, cuts)?);
            }
        }
        found.extend(ways.iter().cloned().reduce(|best, next| if next.wanted > best.wanted + 1e-12 { next } else { best }));
        tried.extend(ways);
    }
    within(found.iter().map(|best| wanted.places(best.cuts, best.method)).sum(), MAX_COMPARED)?;
    let mut found = found.iter().map(|best| finish(wanted, best)).collect::<Result<Vec<_>, _>>()?;
    found.sort_by(|a, b| b.wanted.total_cmp(&a.wanted));
    let top = found.first().map_or(0.0, |best| best.wanted);
    let as_good = found.iter().skip(1).filter(|each| top - each.wanted <= 0.01).count();
    Ok(RankedMethods { words: words(wanted, &found, as_good), trade: trade(&tried), as_good, found })
}

/// The methods, those together that differ only in a figure; the depth of a fan is sought for each
/// number of cuts.
fn kinds(limits: Limits) -> Vec<Vec<Method>> {
    let mut kinds = vec![
        vec![Method::Verticals],
        vec![Method::HalfRings],
        vec![Method::Centre],
        vec![Method::Turned],
        vec![Method::Below { depth: 1.0 }],
    ];
    if !limits.no_level_cut {
        kinds.push((1..=MAX_LEVEL).map(|level| Method::Level { level }).collect());
    }
    kinds
}

/// Numbers of cuts that keep within the strokes and can leave a wanted piece: none is wider than its
/// column and longer than twice the wanted edge, nor larger than the rectangle between its cuts.
fn cuts_of(wanted: WantedDice, limits: Limits, method: Method) -> impl Iterator<Item = u8> {
    let (r, size) = (wanted.radius.get(), wanted.size.get());
    let least = size * size * (1.0 - BAND) * (1.0 - 1e-6);
    let few = move |cuts: &u8| limits.strokes.is_none_or(|most| wanted.strokes(*cuts, method) <= most);
    let wide = move |cuts: &u8| {
        let column = 2.0 * r / (f64::from(*cuts) + 1.0);
        let tall = match method {
            Method::Verticals | Method::HalfRings => f64::min(r, 2.0 * size),
            Method::Level { level } => f64::min(r / (f64::from(level) + 1.0), 2.0 * size),
            Method::Centre | Method::Below { .. } | Method::Turned => return true,
        };
        *cuts == 1 || column * tall >= least
    };
    (1..=MAX_CUTS).take_while(few).take_while(wide)
}

/// One way weighed; a fan at its best depth.
fn weighed(wanted: WantedDice, method: Method, cuts: u8) -> Result<Tried, OnionError> {
    let method = match method {
        Method::Below { .. } => Method::Below { depth: fan::best_depth(wanted.radius, wanted.layers, cuts, wanted.size) },
        _ => method,
    };
    let share = share_wanted(wanted.radius, wanted.layers, cuts, method, wanted.size)?;
    // Ways that are as good must not differ by the last digits of a sum.
    Ok(Tried { method, cuts, strokes: wanted.strokes(cuts, method), wanted: (share * 1e12).round() / 1e12 })
}

/// Depths on both sides of the best as far as all are as good within 1 %.
fn depths_as_good(wanted: WantedDice, best: &Tried, depth: f64) -> Result<[f64; 2], OnionError> {
    let good = |depth: f64| {
        let share = share_wanted(wanted.radius, wanted.layers, best.cuts, Method::Below { depth }, wanted.size)?;
        Ok(share >= best.wanted * 0.99)
    };
    let [mut low, mut high] = [depth, depth];
    for next in fan::depths().rev().filter(|next| *next < depth) {
        if !good(next)? {
            break;
        }
        low = next;
    }
    for next in fan::depths().filter(|next| *next > depth) {
        if !good(next)? {
            break;
        }
        high = next;
    }
    Ok([low, high])
}

fn finish(wanted: WantedDice, best: &Tried) -> Result<MethodAtBest, OnionError> {
    let depths = match best.method {
        Method::Below { depth } => Some(depths_as_good(wanted, best, depth)?),
        _ => None,
    };
    let cuts = Cuts::even(best.cuts)?;
    let cells = measured(wanted.radius, wanted.layers, &cuts, best.method)?;
    let (_, ribbons) = shares(cells.iter().map(|cell| (cell.area, cell.longest)), wanted.size);
    let areas: Vec<f64> = cells.iter().map(|cell| cell.area).collect();
    Ok(MethodAtBest {
        method: best.method,
        cuts: best.cuts,
        depths,
        strokes: best.strokes,
        strokes_towards_hand: best.method.level_cuts(),
        wanted: best.wanted,
        ribbons,
        figures: Figures::of(&areas),
        ball: wanted.half(&cuts, best.method)?,
    })
}

/// The best for each number of strokes that is better than any with fewer.
fn trade(tried: &[Tried]) -> Vec<Trade> {
    let mut sorted: Vec<&Tried> = tried.iter().collect();
    sorted.sort_by(|a, b| a.strokes.cmp(&b.strokes).then(b.wanted.total_cmp(&a.wanted)));
    let mut found: Vec<Trade> = Vec::new();
    for each in sorted {
        let better = found.last().is_none_or(|last| each.wanted > last.wanted + 1e-9);
        let same = found.last().is_some_and(|last| last.strokes == each.strokes);
        if better && !same {
            found.push(Trade { strokes: each.strokes, wanted: each.wanted, method: each.method });
        }
    }
    found
}

/// Never more than it is; 0.29 is 29 though the machine's number lies under it.
fn whole_percent(share: f64) -> f64 {
    (share * 100.0 + 1e-9).floor()
}

fn words(wanted: WantedDice, found: &[MethodAtBest], as_good: usize) -> String {
    let Some(best) = found.first() else {
        return "No way of cutting it keeps within these strokes: allow more, or a larger dice.".to_owned();
    };
    if best.wanted < 0.01 {
        let thin = wanted.size.get() * f64::from(wanted.layers) > wanted.radius.get();
        let [layers, dice] = if thin { ["thin", "smaller"] } else { ["thick", "larger"] };
        return format!(
            "No way of cutting it leaves dice of that size: its layers are too {layers} for it. Choose a {dice} dice."
        );
    }
    let mut words = format!(
        "{} with {}: {:.0} % of the half comes out at the wanted size, {:.0} % as ribbons, in {} strokes.",
        crate::words::capital(best.method.words()),
        if best.cuts == 1 { "1 cut".to_owned() } else { format!("{} cuts", best.cuts) },
        whole_percent(best.wanted),
        whole_percent(best.ribbons),
        best.strokes
    );
    let others: Vec<&str> = found.iter().skip(1).take(as_good).map(|each| each.method.words()).collect();
    if others.is_empty() {
        if let Some(next) = found.get(1) {
            words.push_str(&format!(" Next: {}, {:.0} %.", next.method.words(), whole_percent(next.wanted)));
        }
    } else {
        words.push_str(&format!(" As good: {}.", others.join("; ")));
    }
    words
}
