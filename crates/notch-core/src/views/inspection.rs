//! The buying check: what speaks for a knife and against it, point by point.

use serde::{Deserialize, Serialize};

use super::kit::{kit_options, scores_of};
use crate::at_hand::AtHand;
use crate::care::{Inspected, Rivets, Steel};
use crate::catalogue::{BoardWork, KnifeType};
use crate::comfort::{Sits, comfort};
use crate::drawing::{Silhouette, silhouette};
use crate::eligibility::Blade;
use crate::fitting::{Candidate, FITS, KnifeSource, PINCH};
use crate::kit::{KitGoal, KitJob, KitKnife, MOST_KNIVES, smallest_kit};
use crate::people::Hand;
use crate::problem::Problem;
use crate::records::{Bolster, Exercise, Knife, KnifeFields, Tang};
use crate::text;
use crate::text::Text;

/// A knife that is looked over.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InspectionQuestion {
    /// Its fields; it needs no number until it is on the rack.
    pub knife: KnifeFields,
    /// Its id, where it is on the rack already: it is not weighed against itself.
    #[serde(default)]
    pub knife_id: Option<i64>,
    /// What was seen of it.
    pub seen: Inspected,
}

/// A point that is looked at.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum InspectionPoint {
    /// The edge from heel to tip.
    Edge,
    /// The blade down the spine.
    Blade,
    /// The steel inside the handle.
    Tang,
    /// Rivets and joints.
    Rivets,
    /// Where it rests level, against the pinch.
    Balance,
    /// How it sits in this hand.
    Hand,
    /// Whether it can be sharpened.
    Sharpening,
    /// What it costs against what it adds.
    Price,
}

/// What a point says.
#[derive(Clone, Copy, Debug, PartialEq, Eq, PartialOrd, Ord, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum Says {
    /// Nothing against it.
    Good,
    /// Not looked at yet.
    NotSeen,
    /// To be known before it is bought.
    Mind,
    /// A reason to leave it.
    Leave,
}

/// A point with what it says.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InspectionFinding {
    /// Which.
    pub point: InspectionPoint,
    /// Its name, e.g. `Balance`.
    pub name: String,
    /// What it says.
    pub says: Says,
    /// Why, or how to look.
    pub words: Text,
}

/// A knife looked over.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct InspectionView {
    /// Label, e.g. `Chef's 200`.
    pub label: String,
    /// The gravest of what the points say.
    pub says: Says,
    /// Whether to take it, in a sentence.
    pub words: Text,
    /// Each point, in the order in which one looks.
    pub findings: Vec<InspectionFinding>,
    /// Its outline.
    pub silhouette: Silhouette,
    /// Where a pinch holds the blade, as x of the outline.
    pub pinch: [f64; 2],
    /// Where it rests level, as x of the outline; none while it is not known.
    pub balance: Option<f64>,
}

/// Looks a knife over, for a course's cuts.
///
/// # Errors
/// What is wrong with the knife's fields or with what was seen, at its field.
pub fn inspection_view(
    at_hand: &AtHand<'_>,
    exercises: &[Exercise],
    question: &InspectionQuestion,
) -> Result<InspectionView, Vec<Problem>> {
    let InspectionQuestion { knife, seen, .. } = question;
    let of_knife = knife.check(at_hand.catalogue).into_iter().filter(|problem| problem.pointer != "/number");
    let mut problems: Vec<Problem> = of_knife.map(|problem| problem.under("/knife")).collect();
    problems.extend(seen.check().into_iter().map(|problem| problem.under("/seen")));
    let kind = at_hand.catalogue.knife(&knife.knife_type).filter(|_| problems.is_empty()).ok_or(problems)?;
    let findings = vec![
        edge(seen),
        blade(seen),
        tang(kind, knife),
        rivets(seen),
        balance(kind, seen),
        hand(kind, knife, seen),
        sharpening(kind, knife, seen),
        price(at_hand, exercises, question),
    ];
    let outline = silhouette(kind, knife);
    let heel = outline.heel.get();
    Ok(InspectionView {
        label: kind.label(knife.length),
        says: findings.iter().map(|finding| finding.says).max().unwrap_or(Says::NotSeen),
        words: words(&findings),
        pinch: [(heel - PINCH.get()).max(0.0), heel],
        balance: seen.balance.map(|balance| (heel - balance.get()).clamp(0.0, outline.width.get())),
        silhouette: outline,
        findings,
    })
}

fn words(findings: &[InspectionFinding]) -> Text {
    let of = |says: Says| {
        let names = findings.iter().filter(|finding| finding.says == says).map(|finding| finding.name.to_lowercase());
        names.collect::<Vec<_>>().join(", ")
    };
    let (leave, mind, not_seen) = (of(Says::Leave), of(Says::Mind), of(Says::NotSeen));
    if !leave.is_empty() {
        return text!["Leave it: ", leave, "."];
    }
    let look = if not_seen.is_empty() { Text::default() } else { text![" Still to look at: ", not_seen, "."] };
    match (mind.is_empty(), look.is_empty()) {
        (true, true) => Text::from("Take it: nothing speaks against it."),
        (true, false) => text!["Nothing speaks against it so far.", look],
        (false, true) => text!["It can be taken; know before you do: ", mind, "."],
        (false, false) => text!["To be known: ", mind, ".", look],
    }
}

fn finding(point: InspectionPoint, name: &str, says: Says, words: impl Into<Text>) -> InspectionFinding {
    InspectionFinding { point, name: name.to_owned(), says, words: words.into() }
}

fn edge(seen: &Inspected) -> InspectionFinding {
    let (says, words) = match seen.straight {
        Some(true) => (Says::Good, "One straight line from heel to tip."),
        Some(false) => (Says::Leave, "Not straight from heel to tip: it steers, and pieces hang together where it is hollow."),
        None => (
            Says::NotSeen,
            "The tip away from you and from others, sight along the edge from heel to tip: one straight line. Never a finger along it.",
        ),
    };
    finding(InspectionPoint::Edge, "Edge", says, words)
}

fn blade(seen: &Inspected) -> InspectionFinding {
    let (says, words) = match seen.flat {
        Some(true) => (Says::Good, "In one plane: no warp, no wave."),
        Some(false) => (Says::Leave, "Warped or wavy: it cannot be ground straight, and no cut is upright."),
        None => (Says::NotSeen, "Sight down the spine: the blade lies in one plane, without warp or wave."),
    };
    finding(InspectionPoint::Blade, "Blade", says, words)
}

fn tang(kind: &KnifeType, knife: &KnifeFields) -> InspectionFinding {
    let (says, words) = match knife.tang {
        Tang::Full => (Says::Good, "Full: the steel runs to the end of the handle."),
        Tang::Partial if kind.weight >= HEAVY => {
            (Says::Leave, "Partial, in a heavy knife: the handle takes the blows and works loose.")
        }
        Tang::Partial => (Says::Mind, "Partial: enough for light work; look for play between blade and handle."),
    };
    finding(InspectionPoint::Tang, "Tang", says, words)
}

/// Weight, of 5, from which a knife is heavy.
const HEAVY: u8 = 5;

fn rivets(seen: &Inspected) -> InspectionFinding {
    let (says, words) = match seen.rivets {
        Some(Rivets::Flush) => (Says::Good, "Flush: nothing rubs and nothing collects."),
        Some(Rivets::None) => (Says::Good, "None, and no gap where the handle meets the blade."),
        Some(Rivets::Proud) => (Says::Mind, "Proud: they rub the hand in a long class."),
        Some(Rivets::Gaps) => (Says::Leave, "A gap at the handle holds food and water; the handle works loose."),
        None => (Says::NotSeen, "Run a thumb over the handle, never near the edge: rivets flush, no gap."),
    };
    finding(InspectionPoint::Rivets, "Rivets", says, words)
}

/// How far a balance point may lie off the pinch, in mm, before the blade or the handle leads.
const OFF_PINCH: f64 = 10.0;

fn balance(kind: &KnifeType, seen: &Inspected) -> InspectionFinding {
    let pinched = kind.board == BoardWork::All;
    let Some(balance) = seen.balance else {
        let how = if pinched {
            "Lay it level across one finger, the edge away from the hand: it rests about where the pinch sits."
        } else {
            "Lay it level across one finger, the edge away from the hand, and note where it rests."
        };
        return finding(InspectionPoint::Balance, "Balance", Says::NotSeen, how);
    };
    let side = if balance.get() < 0.0 { " behind the heel" } else { " ahead of the heel" };
    let place = text![balance.size(), side];
    let (says, words) = if !pinched {
        (Says::Good, text![place, "; held by the handle or for one kind of work, so it decides little."])
    } else if balance.get() > PINCH.get() + OFF_PINCH && kind.weight >= HEAVY {
        (Says::Good, text![place, ": the blade leads, as heavy work asks for."])
    } else if balance.get() > PINCH.get() + OFF_PINCH {
        (Says::Mind, text![place, ": the blade leads, ahead of the pinch; it helps on hard food and tires the hand."])
    } else if balance.get() < -OFF_PINCH {
        (
            Says::Mind,
            text![place, ": the handle leads, behind the pinch; the tip feels light and the edge does not fall by itself."],
        )
    } else {
        (Says::Good, text![place, ": where the pinch sits."])
    };
    finding(InspectionPoint::Balance, "Balance", says, words)
}

fn hand(kind: &KnifeType, knife: &KnifeFields, seen: &Inspected) -> InspectionFinding {
    let point = |says, words| finding(InspectionPoint::Hand, "Hand", says, words);
    let blade = Blade { kind, length: knife.length, hand: knife.hand };
    if let Some(barrier) = blade.hand_barrier(seen.hand.unwrap_or(Hand::Right)).filter(|_| seen.hand.is_some()) {
        return point(Says::Leave, barrier.words());
    }
    let Some(length) = seen.hand_length else {
        return point(
            Says::NotSeen,
            Text::from("Whose hand is it for? Measure from the wrist crease to the end of the middle finger."),
        );
    };
    let found = comfort(length, kind, knife.length);
    let says = match found.sits {
        Sits::Well | Sits::Short | Sits::ByWork => Says::Good,
        Sits::Long => Says::Mind,
        Sits::MuchTooLong => Says::Leave,
    };
    point(says, found.words)
}

fn sharpening(kind: &KnifeType, knife: &KnifeFields, seen: &Inspected) -> InspectionFinding {
    let bolster = (knife.bolster == Bolster::Full && kind.is_ground()).then_some((
        Says::Mind,
        "A full bolster stops the heel being sharpened: in time the edge no longer meets the board there.",
    ));
    let edge = if kind.is_ground() {
        match seen.steel {
            Some(Steel::Carbon) => (Says::Good, "Carbon steel takes a keen edge; dried at once, or it rusts."),
            Some(Steel::Stainless) => (Says::Good, "Stainless: honed on the steel, sharpened on the stone."),
            Some(Steel::Hard) => {
                (Says::Mind, "Hard steel: keen for long; on the stone only, since it chips on bone and on a rough steel.")
            }
            Some(Steel::Ceramic) => (Says::Mind, "Ceramic chips and is not sharpened on our stones: it is sent out or replaced."),
            None => (Says::NotSeen, "Ask what the blade is made of: it decides how it is kept sharp."),
        }
    } else {
        (Says::Mind, "This edge is not ground on a flat stone: it is replaced or sent out.")
    };
    let says = bolster.map_or(edge.0, |(says, _)| says.max(edge.0));
    let words = match bolster {
        Some((_, words)) => text![words, " ", edge.1],
        None => Text::from(edge.1),
    };
    finding(InspectionPoint::Sharpening, "Sharpening", says, words)
}

/// What a knife adds to a rack for a course.
struct Added {
    /// Cuts of the course, by title.
    all: usize,
    /// Of these, cuts that nothing on the rack does and this knife does.
    new: Vec<String>,
    /// Cuts that it does better than everything on the rack, by at least [`BETTER`].
    better: usize,
    /// Kinds of knife in the smallest kit for what the rack does, without and with it.
    kit: Option<[usize; 2]>,
}

/// Points of fit by which a knife does a cut better and not only as well.
const BETTER: u8 = 10;

fn added(at_hand: &AtHand<'_>, exercises: &[Exercise], question: &InspectionQuestion) -> Added {
    let others: Vec<Knife> = at_hand.knives.iter().filter(|knife| Some(knife.id) != question.knife_id).cloned().collect();
    let alone = [Knife { id: 0, version: 0, archived: false, fields: question.knife.clone() }];
    let rack = AtHand { knives: &others, ..*at_hand };
    let new = AtHand { knives: &alone, ..*at_hand };
    let mut knives = Candidate::all(&rack, KnifeSource::Rack);
    knives.retain(|knife| knife.sharp);
    // The lengths of a type are one kind of a kit: the knife that is looked at stands last.
    let mine = knives.len();
    knives.extend(Candidate::all(&new, KnifeSource::Rack));
    let mut found = Added { all: 0, new: Vec::new(), better: 0, kit: None };
    let mut jobs: Vec<KitJob> = Vec::new();
    for cut in kit_options(at_hand, exercises).jobs {
        let Some(scores) = scores_of(at_hand, &cut.job, &knives) else { continue };
        found.all += 1;
        let best = scores.iter().take(mine).copied().max().unwrap_or(0);
        let this = scores.get(mine).copied().unwrap_or(0);
        if best < FITS && this >= FITS {
            found.new.push(cut.title);
        } else {
            found.better += usize::from(this >= FITS && this >= best.saturating_add(BETTER));
            jobs.extend((best >= FITS).then_some(KitJob { name: cut.title, scores }));
        }
    }
    found.kit = kits(&knives, &jobs, mine);
    found
}

/// The smallest kit for what the rack does, without and with the knife that stands last.
fn kits(knives: &[Candidate<'_>], jobs: &[KitJob], mine: usize) -> Option<[usize; 2]> {
    let size = |among: usize| {
        let named = knives.iter().take(among).map(|knife| KitKnife { name: knife.label(), cost: 0.0 });
        let cut = |job: &KitJob| KitJob { name: job.name.clone(), scores: job.scores.iter().take(among).copied().collect() };
        let (knives, jobs): (Vec<KitKnife>, Vec<KitJob>) = (named.collect(), jobs.iter().map(cut).collect());
        smallest_kit(&knives, &jobs, FITS, KitGoal::Fewest).ok().map(|kit| kit.knives.len())
    };
    if mine >= MOST_KNIVES {
        return None;
    }
    Some([size(mine)?, size(mine + 1)?])
}

fn price(at_hand: &AtHand<'_>, exercises: &[Exercise], question: &InspectionQuestion) -> InspectionFinding {
    let point = |says, words| finding(InspectionPoint::Price, "Price", says, words);
    let found = added(at_hand, exercises, question);
    if found.all == 0 {
        let words = "Plan exercises in this course: then it is weighed against what the rack does already.";
        return point(Says::NotSeen, Text::from(words));
    }
    let cost = question.knife.cost;
    let (says, words) = match (found.new.as_slice(), found.kit) {
        ([first, rest @ ..], _) => {
            let number = found.new.len();
            let more = if rest.is_empty() { String::new() } else { format!(" and {} more", rest.len()) };
            let each = cost.map_or_else(String::new, |cost| format!(": {:.2} for each", cost / number as f64));
            let cuts = if number == 1 { "1 cut" } else { "cuts" };
            let number = if number == 1 { String::new() } else { format!("{number} ") };
            let does = text![
                "Does ",
                number,
                cuts,
                " of this course that nothing on the rack does, ",
                first.to_lowercase(),
                more,
                each,
                "."
            ];
            (Says::Good, does)
        }
        ([], Some([without, with])) if with < without => {
            (Says::Good, text!["Adds no cut, but ", with, " kinds of knife then do what now takes ", without, "."])
        }
        ([], _) if found.better > 0 => {
            (Says::Mind, text!["Adds no cut: it does ", found.better, " of ", found.all, " better than what is on the rack."])
        }
        ([], _) => (Says::Mind, text!["Adds nothing: the rack does all ", found.all, " cuts of this course as well without it."]),
    };
    match cost {
        Some(_) => point(says, words),
        None => point(Says::NotSeen, text![words, " Give its price to weigh it."]),
    }
}
