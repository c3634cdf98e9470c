//! The way of cutting an onion that gives the most pieces of a wanted size.

use serde::{Deserialize, Serialize};

use super::ball::{BallFigures, half_ball, half_cylinder};
use super::cuts::Cuts;
use super::grade::{Figures, shares};
use super::method::{MAX_COMPARED, MAX_CUTS, Method, OnionError, check, within};
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
    /// Aim depths that are as good within 1 %, in radii: the best is a jagged function of slivers.
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

/// Aim depths that are tried, in radii: closer together where they matter.
fn depths() -> impl Iterator<Item = f64> {
    (2..=60u8).map(|step| f64::from(step) / 40.0).chain([1.75, 2.0, 2.5, 3.0, 4.0, 5.0])
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

    /// Methods that differ only in a figure are one kind.
    fn same_kind(self, other: Method) -> bool {
        std::mem::discriminant(&self) == std::mem::discriminant(&other)
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

/// Compares every method at every number of cuts whose mean piece is near the wanted size, so that
/// no method wins by making other pieces.
///
/// `still_wanted` is asked before each way; at the first no the rest is given up.
///
/// # Errors
/// [`OnionError`] for sizes out of range, a wanted size over the radius among them, for more cells than
/// [`MAX_COMPARED`], and for work that was given up.
///
/// # Complexity
/// Up to some thousands of sections, and one half ball a method.
pub fn choose(wanted: WantedDice, limits: Limits, still_wanted: &dyn Fn() -> bool) -> Result<RankedMethods, OnionError> {
    let (r, size) = (wanted.radius.get(), wanted.size.get());
    check(wanted.radius, wanted.layers, Method::Verticals)?;
    if !(size >= 0.5 && size <= r) {
        return Err(OnionError::Crosscut(size));
    }
    let mut tried: Vec<Tried> = methods(limits).into_iter().flat_map(|method| ways_of(wanted, limits, method)).collect();
    let cells = |way: &Tried| u64::from(wanted.layers) * (u64::from(way.cuts) + 1) * u64::from(way.method.level_cuts() + 1);
    within(tried.iter().map(cells).sum(), MAX_COMPARED)?;
    for way in &mut tried {
        if !still_wanted() {
            return Err(OnionError::GivenUp);
        }
        let share = share_wanted(wanted.radius, wanted.layers, way.cuts, way.method, wanted.size)?;
        // Ways that are as good must not differ by the last digits of a sum.
        way.wanted = (share * 1e12).round() / 1e12;
    }
    let mut found = Vec::new();
    for first in &tried {
        if found.iter().any(|each: &MethodAtBest| each.method.same_kind(first.method)) {
            continue;
        }
        let alike: Vec<&Tried> = tried.iter().filter(|each| each.method.same_kind(first.method)).collect();
        let best = alike.iter().copied().reduce(|best, next| if next.wanted > best.wanted + 1e-12 { next } else { best });
        if let Some(best) = best {
            found.push(finish(wanted, best, &alike)?);
        }
    }
    found.sort_by(|a, b| b.wanted.total_cmp(&a.wanted));
    let top = found.first().map_or(0.0, |best| best.wanted);
    let as_good = found.iter().skip(1).filter(|each| top - each.wanted <= 0.01).count();
    Ok(RankedMethods { words: words(&found, as_good), trade: trade(&tried), as_good, found })
}

fn methods(limits: Limits) -> Vec<Method> {
    let mut methods = vec![Method::Verticals, Method::HalfRings, Method::Centre, Method::Turned];
    methods.extend(depths().map(|depth| Method::Below { depth }));
    if !limits.no_level_cut {
        methods.extend((1..=3).map(|level| Method::Level { level }));
    }
    methods
}

/// Numbers of cuts of a method whose mean piece is near the wanted size, not yet weighed.
fn ways_of(wanted: WantedDice, limits: Limits, method: Method) -> impl Iterator<Item = Tried> {
    let (r, size) = (wanted.radius.get(), wanted.size.get());
    let way = move |cuts| Tried { method, cuts, strokes: wanted.strokes(cuts, method), wanted: 0.0 };
    let near = move |way: &Tried| {
        let expected = std::f64::consts::PI * r * r / 2.0 / f64::from(way.cuts) / f64::from(wanted.layers);
        let few = limits.strokes.is_none_or(|most| way.strokes <= most);
        few && expected * 2.5 >= size * size / f64::from(method.level_cuts() + 1)
    };
    (1..=MAX_CUTS).map(way).take_while(near)
}

fn finish(wanted: WantedDice, best: &Tried, alike: &[&Tried]) -> Result<MethodAtBest, OnionError> {
    let depths = match best.method {
        Method::Below { .. } => {
            let good = alike.iter().filter(|each| each.cuts == best.cuts && each.wanted >= best.wanted * 0.99);
            let depths = good.filter_map(|each| match each.method {
                Method::Below { depth } => Some(depth),
                _ => None,
            });
            Some(depths.fold([f64::INFINITY, 0.0], |[low, high]: [f64; 2], depth| [low.min(depth), high.max(depth)]))
        }
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

fn words(found: &[MethodAtBest], as_good: usize) -> String {
    let Some(best) = found.first() else {
        return "No way of cutting it keeps within these strokes: allow more, or a larger dice.".to_owned();
    };
    let mut words = format!(
        "{} with {} cuts: {:.0} % of the half comes out at the wanted size, {:.0} % as ribbons, in {} strokes.",
        crate::words::capital(best.method.words()),
        best.cuts,
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
