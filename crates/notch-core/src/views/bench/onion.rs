//! The onion, or anything else in layers, cut one way, and which way is best.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Dimension, TargetSize};
use crate::measure::SideFigures;
use crate::onion::{
    self, BallFigures, CellSection, Cuts, Grade, Limits, MAX_CUTS, MAX_DEPTH, MAX_LAYERS, MAX_LEVEL, MAX_UNEVEN, MIN_DEPTH,
    Method, OnionError, RankedMethods, WantedDice,
};
use crate::problem::Problem;
use crate::text;
use crate::text::{Bare, Say};
use crate::units::Millimetres;
use crate::words::capital;

/// What is asked of an onion, or of anything else in layers.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionQuestion {
    /// Radius, 5 to 150 mm.
    pub radius: Millimetres,
    /// Layers, 1 to 40.
    pub layers: u8,
    /// Cuts, 1 to 60.
    pub cuts: u8,
    /// Where each cut lies, as shares of the width from the left; then `cuts` is not looked at.
    #[serde(default)]
    pub places: Option<Vec<f64>>,
    /// Unevenness of the steps (coefficient of variation), 0 to 0.5.
    #[serde(default)]
    pub uneven: f64,
    /// How it is cut.
    pub method: Method,
    /// Edge of the wanted dice; crosscuts are as far apart.
    pub size: Millimetres,
    /// Length, of a layered cylinder such as a leek; none for a ball.
    #[serde(default)]
    pub length: Option<Millimetres>,
}

/// An onion cut one way.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct OnionView {
    /// The method in words.
    pub name: String,
    /// The section, cell by cell.
    pub section: CellSection,
    /// Where the cuts lie, as shares of the width from the left.
    pub places: Vec<f64>,
    /// Each cell against the wanted size, in the order of the cells.
    pub grades: Vec<Grade>,
    /// The half ball in figures.
    pub ball: BallFigures,
    /// Share of the section in pieces of the wanted size (±25 %) that are no ribbons.
    pub wanted: f64,
    /// Share of the section in ribbons.
    pub ribbons: f64,
    /// Strokes for a half.
    pub strokes: u32,
    /// Strokes that move towards the guide hand's side.
    pub strokes_towards_hand: u32,
    /// Edges of squares as large as the cells, against the wanted size (±25 % of its area), as they are
    /// drawn on the size rule.
    pub edges: Option<SideFigures>,
    /// Cautions of this way of cutting.
    pub cautions: Vec<String>,
}

fn layered_problems(wanted: &WantedDice) -> Vec<Problem> {
    let within = |pointer: &str, name: &str, size: Millimetres, least: f64, most: f64| {
        (!(least..=most).contains(&size.get())).then(|| {
            Problem::new(
                pointer,
                name,
                size,
                "is out of range",
                text![Bare(Millimetres::clamped(least)), " to ", Millimetres::clamped(most)],
            )
        })
    };
    let radius = within("/radius", "Across", wanted.radius, 5.0, 150.0);
    radius.into_iter().chain(wanted.length.and_then(|length| within("/length", "Length", length, 10.0, 600.0))).collect()
}

/// What was wrong, at its field.
fn onion_problem(error: OnionError) -> Vec<Problem> {
    let problem = match error {
        OnionError::NoSize => Problem::new("/radius", "Across", Millimetres::ZERO, "has no pieces", "more than nothing"),
        OnionError::Layers(layers) => out_of("/layers", "Layers", layers, format!("1 to {MAX_LAYERS}")),
        OnionError::Cuts(cuts) => out_of("/cuts", "Cuts", cuts, format!("1 to {MAX_CUTS}")),
        OnionError::Level(level) => out_of("/method/level", "Level cuts", level, format!("1 to {MAX_LEVEL}")),
        OnionError::Depth(depth) => {
            out_of("/method/depth", "Aim below the board", depth, format!("{MIN_DEPTH} to {MAX_DEPTH} radii"))
        }
        OnionError::Crosscut(apart) => {
            let allowed = text![Millimetres::clamped(0.5), " up to the radius"];
            out_of("/size", "Wanted dice", Millimetres::clamped(apart), allowed)
        }
        OnionError::TooMany(places, most) => {
            let allowed = format!("up to {most}: a larger dice, fewer layers or fewer cuts");
            let sentence =
                text!["Wanted dice: so fine that there are ", places, " places for pieces to work out. Allowed: ", allowed, "."];
            Problem::said("/size", "Wanted dice", places, sentence, allowed)
        }
        OnionError::GivenUp => Problem::new("", "Answer", "", "was given up", "a question that somebody waits for"),
        OnionError::Uneven(cv) => out_of("/uneven", "Steps uneven by", cv, format!("0 to {MAX_UNEVEN}")),
        OnionError::Place(share) => out_of("/places", "Cuts", share, "places from left to right, above 0 and below 1"),
    };
    vec![problem]
}

fn out_of(pointer: &str, name: &str, value: impl Say, allowed: impl Say) -> Problem {
    Problem::new(pointer, name, value, "is out of range", allowed)
}

/// Cuts an onion one way.
///
/// # Errors
/// Figures out of range, at their field.
pub fn onion_view(question: &OnionQuestion, seed: u64) -> Result<OnionView, Vec<Problem>> {
    let OnionQuestion { radius, layers, method, size, length, .. } = *question;
    let asked = WantedDice { radius, layers, size, length };
    let problems = layered_problems(&asked);
    if !problems.is_empty() {
        return Err(problems);
    }
    let cuts = match &question.places {
        Some(places) => Cuts::at(places.clone()),
        None => Cuts::uneven(question.cuts, question.uneven, seed),
    }
    .map_err(onion_problem)?;
    let found = onion::cell_section(radius, layers, &cuts, method).map_err(onion_problem)?;
    let ball = asked.half(&cuts, method).map_err(onion_problem)?;
    let (wanted, ribbons) = found.against(size);
    Ok(OnionView {
        name: capital(method.words()),
        wanted,
        ribbons,
        strokes: asked.strokes(cuts.count(), method),
        places: cuts.shares().to_vec(),
        strokes_towards_hand: method.level_cuts(),
        edges: edges(&found, size),
        grades: found.cells.iter().map(|cell| cell.grade(size)).collect(),
        cautions: cautions(method),
        section: found,
        ball,
    })
}

fn edges(section: &CellSection, size: Millimetres) -> Option<SideFigures> {
    let edge = |share: f64| Millimetres::clamped(size.get() * share.sqrt());
    let sizes = section.cells.iter().map(|cell| Millimetres::clamped(cell.area.sqrt())).collect();
    let (band, target) = ((edge(0.75), edge(1.25)), TargetSize::Exact { size });
    SideFigures::of(Dimension::Width, target, band, band.1.less(size), sizes)
}

fn cautions(method: Method) -> Vec<String> {
    let mut found = vec!["Keep the root on: it holds the layers together until the last cut.".to_owned()];
    match method {
        Method::Level { .. } => {
            found.push("Level cut: palm flat on top, fingers up, the blade slow and level, stopped short of the root.".to_owned())
        }
        Method::Below { .. } | Method::Centre => {
            found.push("The blade leans on each side: start upright in the middle, turn the onion for the far side.".to_owned());
        }
        Method::Turned => found.push("The last third lies on its cut face: turn it, do not hold it up.".to_owned()),
        Method::Verticals | Method::HalfRings => {}
    }
    found
}

/// Compares all ways for a wanted size, for as long as `still_wanted`.
///
/// # Errors
/// Figures out of range, at their field; work that was given up.
pub fn onion_choice(wanted: WantedDice, limits: Limits, still_wanted: &dyn Fn() -> bool) -> Result<RankedMethods, Vec<Problem>> {
    let problems = layered_problems(&wanted);
    if !problems.is_empty() {
        return Err(problems);
    }
    onion::choose(wanted, limits, still_wanted).map_err(onion_problem)
}
