//! The sharp–dull lesson: what a dull edge does, in figures.

use serde::Serialize;

use super::beside_rows::{BesideRow, Better, Said, row};
use crate::at_hand::AtHand;
use crate::catalogue::{Dimension, Food, Standing};
use crate::eligibility::dull_barrier;
use crate::measure::{PieceOrder, SampleCustom, SampleTaking, Verdict, judge, parse_pieces};
use crate::problem::Problem;
use crate::records::{Demonstration, DemonstrationFields, Knife, KnifeWork, MeasuredAgainst};
use crate::text;
use crate::text::Text;

/// The hardest food, 1 to 5, on which a dulled knife is shown.
const SOFT: u8 = 2;
/// Fewest and most pieces of one knife.
const PIECES: (i64, i64) = (3, 60);
/// A spread so many times as wide is told apart.
const WIDER: f64 = 1.3;
/// So much more of the faces crushed is told apart.
const MORE_CRUSHED: f64 = 0.1;
/// So many times the strokes are told apart.
const MORE_STROKES: f64 = 1.1;

/// The caution of the lesson, shown where it is chosen.
const CAUTION: &str = "Only the instructor cuts with the dulled knife, on soft food, slowly, the guide hand well back, nobody within \
                       reach: a dull edge needs force and slips. Nobody else holds it; then it goes back into its guard. The rules \
                       of your house and your own training come first.";

/// A food on which it can be shown, with its cuts.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SoftFood {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// Cuts that are taught on it and measured: id and name.
    pub cuts: Vec<SoftCut>,
}

/// A cut of a soft food.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SoftCut {
    /// Id.
    pub id: String,
    /// Name.
    pub name: String,
    /// What is typed of a piece.
    pub columns: Vec<String>,
}

/// A knife to choose.
#[derive(Clone, Debug, PartialEq, Eq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ShownKnife {
    /// Id.
    pub id: i64,
    /// `No. 7, chef's 200`.
    pub label: String,
}

/// What the two knives show beside each other.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SharpDullView {
    /// `Coins of cucumber`.
    pub title: String,
    /// The two knives, the sharp one first.
    pub knives: [String; 2],
    /// Figures, one row each, the sharp knife first.
    pub rows: Vec<BesideRow>,
    /// Whether the figures tell the dull knife apart.
    pub told_apart: bool,
    /// The finding in a sentence.
    pub words: Text,
}

/// A demonstration that was kept.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KeptDemonstration {
    /// As kept.
    pub demonstration: Demonstration,
    /// What it showed.
    pub view: SharpDullView,
}

/// What there is to choose, and what was shown in this lesson.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct SharpDullLesson {
    /// Soft foods by name.
    pub foods: Vec<SoftFood>,
    /// Knives that passed their test, of kinds of which a dull one is there.
    pub sharp: Vec<ShownKnife>,
    /// Knives that failed it.
    pub dulled: Vec<ShownKnife>,
    /// What to mind.
    pub caution: String,
    /// What was shown, the latest first, without what was taken back.
    pub kept: Vec<KeptDemonstration>,
}

fn label(at_hand: &AtHand<'_>, knife: &Knife) -> String {
    let kind = at_hand.catalogue.knife(&knife.fields.knife_type);
    let kind = kind.map_or_else(|| knife.fields.knife_type.clone(), |kind| kind.label(knife.fields.length));
    format!("No. {}, {}", knife.fields.number, crate::words::lower(&kind))
}

/// What there is to choose, and what was shown.
pub fn sharp_dull_lesson(at_hand: &AtHand<'_>, kept: Vec<Demonstration>) -> SharpDullLesson {
    let soft = |food: &&Food| food.firmness <= SOFT;
    let cuts = |food: &Food| {
        let measured = at_hand.cuts_of(food, Standing::Taught).filter_map(|(cut, _)| {
            let target = at_hand.target_of(cut, food)?;
            let columns: Vec<String> = Dimension::ALL
                .into_iter()
                .filter(|side| target.side(*side).is_some())
                .map(|side| side.name().to_owned())
                .collect();
            (!columns.is_empty()).then(|| SoftCut { id: cut.id.clone(), name: cut.name.clone(), columns })
        });
        measured.collect::<Vec<_>>()
    };
    let mut foods: Vec<SoftFood> = at_hand
        .catalogue
        .foods
        .iter()
        .filter(soft)
        .map(|food| SoftFood { id: food.id.clone(), name: food.name.clone(), cuts: cuts(food) })
        .filter(|food| !food.cuts.is_empty())
        .collect();
    foods.sort_by(|a, b| a.name.cmp(&b.name));
    let on_rack = || at_hand.knives.iter().filter(|knife| !knife.archived);
    let shown = |knife: &Knife| ShownKnife { id: knife.id, label: label(at_hand, knife) };
    let dull = |knife: &&Knife| dull_barrier(knife).is_some();
    let has_a_dull_one = |knife: &&Knife| on_rack().filter(dull).any(|other| other.fields.knife_type == knife.fields.knife_type);
    SharpDullLesson {
        foods,
        sharp: on_rack().filter(|knife| !dull(knife)).filter(has_a_dull_one).map(shown).collect(),
        dulled: on_rack().filter(dull).map(shown).collect(),
        caution: CAUTION.to_owned(),
        kept: kept
            .into_iter()
            .filter(|demonstration| demonstration.taken_back.is_none())
            .filter_map(|demonstration| {
                let view = compared(at_hand, &demonstration.fields, &demonstration.against).ok()?;
                Some(KeptDemonstration { demonstration, view })
            })
            .collect(),
    }
}

/// What a demonstration is measured against today, or every problem in it.
///
/// # Errors
/// A food that is not soft, a cut that is not taught on it, a knife that is not on the rack, a sharp one
/// that is dull or a dulled one that is not, two kinds of knife, counts out of range, pieces that cannot
/// be read.
pub fn check_demonstration(at_hand: &AtHand<'_>, fields: &DemonstrationFields) -> Result<MeasuredAgainst, Vec<Problem>> {
    let mut problems: Vec<Problem> = Problem::unless_text("/who", "Who showed it", &fields.who, 60).into_iter().collect();
    let catalogue = at_hand.catalogue;
    let food = catalogue.food(&fields.food);
    if food.is_none_or(|food| food.firmness > SOFT) {
        let value = food.map_or(fields.food.as_str(), |food| food.name.as_str());
        let allowed = "a soft food: a dull edge slips on hard food";
        problems.push(Problem::new("/food", "Food", value, "is not one to show a dull knife on", allowed));
    }
    let cut = catalogue.cut(&fields.cut);
    let target = food.zip(cut).filter(|(food, cut)| food.is_taught_with(&cut.id));
    let target = target.and_then(|(food, cut)| Some((cut.of(&food.name), at_hand.target_of(cut, food)?)));
    if target.is_none() && food.is_some() {
        let value = cut.map_or(fields.cut.as_str(), |cut| cut.name.as_str());
        problems.push(Problem::new("/cut", "Cut", value, "is not measured on this food", "a cut that is taught on it"));
    }
    let knife = |work: &KnifeWork| at_hand.knives.iter().find(|knife| knife.id == work.knife_id && !knife.archived);
    let (sharp, dulled) = (knife(&fields.sharp), knife(&fields.dulled));
    if sharp.is_none_or(|knife| dull_barrier(knife).is_some()) {
        let value = sharp.map_or_else(String::new, |knife| label(at_hand, knife));
        let problem = Problem::new("/sharp/knife_id", "Sharp knife", value, "is not sharp", "a knife that passed its test");
        problems.push(problem);
    }
    if dulled.is_none_or(|knife| dull_barrier(knife).is_none()) {
        let value = dulled.map_or_else(String::new, |knife| label(at_hand, knife));
        let allowed = "a practice knife that failed its test";
        problems.push(Problem::new("/dulled/knife_id", "Dulled knife", value, "is not dull", allowed));
    }
    if let (Some(sharp), Some(dulled)) = (sharp, dulled)
        && sharp.fields.knife_type != dulled.fields.knife_type
    {
        let allowed = "two of one kind, so that only the edge differs";
        problems.push(Problem::new("/dulled/knife_id", "Dulled knife", label(at_hand, dulled), "is of another kind", allowed));
    }
    problems.extend(check_work("/sharp", &fields.sharp));
    problems.extend(check_work("/dulled", &fields.dulled));
    let tolerance = catalogue.tolerance(&at_hand.course.fields.tolerance);
    match (target, tolerance, sharp, dulled) {
        (Some((title, target)), Some(tolerance), Some(sharp), Some(dulled)) if problems.is_empty() => Ok(MeasuredAgainst {
            title,
            knives: [label(at_hand, sharp), label(at_hand, dulled)],
            target,
            tolerance: tolerance.clone(),
        }),
        _ => Err(problems),
    }
}

fn check_work(under: &str, work: &KnifeWork) -> Vec<Problem> {
    let count = |field: &str, name: &str, value: i64, least: i64, most: i64| {
        Problem::unless_within(&format!("{under}/{field}"), name, value, least, most)
    };
    let mut problems: Vec<Problem> = [
        count("strokes", "Strokes", i64::from(work.strokes), 1, 2_000),
        count("faces", "Faces looked at", i64::from(work.faces), 1, 200),
        count("crushed", "Crushed", i64::from(work.crushed), 0, i64::from(work.faces.clamp(1, 200))),
    ]
    .into_iter()
    .flatten()
    .collect();
    let pieces = format!("{under}/pieces");
    match parse_pieces(&work.pieces) {
        Ok(found) => problems.extend(count("pieces", "Pieces", found.len() as i64, PIECES.0, PIECES.1)),
        Err(found) => problems.extend(found.iter().map(|problem| problem.at(&pieces))),
    }
    problems
}

/// Looks at both knives, before anything is kept.
///
/// # Errors
/// As [`check_demonstration`].
pub fn sharp_dull_view(at_hand: &AtHand<'_>, fields: &DemonstrationFields) -> Result<SharpDullView, Vec<Problem>> {
    compared(at_hand, fields, &check_demonstration(at_hand, fields)?)
}

fn compared(
    at_hand: &AtHand<'_>,
    fields: &DemonstrationFields,
    against: &MeasuredAgainst,
) -> Result<SharpDullView, Vec<Problem>> {
    let works = [&fields.sharp, &fields.dulled];
    let mut verdicts = Vec::new();
    for work in works {
        let pieces = parse_pieces(&work.pieces)
            .map_err(|problems| problems.iter().map(|problem| problem.at("/pieces")).collect::<Vec<Problem>>())?;
        let taking = SampleTaking { custom: SampleCustom::BlindTen, order: PieceOrder::Mixed };
        verdicts.push(judge(at_hand.catalogue, &against.target, &against.tolerance, taking, &pieces));
    }
    let of = |figure: &dyn Fn(&Verdict) -> Option<f64>| verdicts.iter().map(figure).collect::<Vec<_>>();
    let count = |figure: &dyn Fn(&KnifeWork) -> f64| works.iter().map(|work| Some(figure(work))).collect::<Vec<_>>();
    let spread =
        |side: Dimension| of(&|verdict| verdict.sides.iter().find(|figures| figures.dimension == side).map(|figures| figures.sd));
    let crushed = count(&|work| f64::from(work.crushed) / f64::from(work.faces.max(1)));
    let mut rows: Vec<BesideRow> = Dimension::ALL
        .into_iter()
        .filter_map(|side| row(&format!("spread of {}", side.name()), &spread(side), Said::Spread, Better::Less))
        .collect();
    rows.extend(row("inside the tolerance", &of(&|verdict| Some(verdict.inside.share)), Said::Share, Better::More));
    rows.extend(row("faces crushed", &crushed, Said::Share, Better::Less));
    rows.extend(row("strokes", &count(&|work| f64::from(work.strokes)), Said::Number, Better::Less));
    let apart = apart(works, &verdicts);
    let words = if apart.is_empty() {
        Text::from(
            "These figures do not tell them apart: is the practice knife dull enough, the sharp one sharp, and was the job the same?",
        )
    } else {
        text!["The dulled knife shows: ", Text::joined(apart.iter().cloned(), ", "), "."]
    };
    Ok(SharpDullView { title: against.title.clone(), knives: against.knives.clone(), rows, told_apart: !apart.is_empty(), words })
}

/// What tells the dulled knife apart, in words.
fn apart(works: [&KnifeWork; 2], verdicts: &[Verdict]) -> Vec<Text> {
    let mut found = Vec::new();
    let [sharp, dulled] = works;
    let cvs: Vec<f64> = verdicts.iter().filter_map(|verdict| verdict.cv).collect();
    if let [sharp, dulled] = cvs.as_slice()
        && *dulled > 0.0
        && *dulled >= sharp * WIDER
    {
        let percent = |share: f64| format!("{:.0} %", share * 100.0);
        found.push(text!["sizes that scatter by ", percent(*dulled), " and not by ", percent(*sharp)]);
    }
    let share = |work: &KnifeWork| f64::from(work.crushed) / f64::from(work.faces.max(1));
    if share(dulled) >= share(sharp) + MORE_CRUSHED {
        let counted = |work: &KnifeWork| format!("{} of {}", work.crushed, work.faces);
        found.push(text![counted(dulled), " faces crushed and not ", counted(sharp)]);
    }
    if f64::from(dulled.strokes) >= f64::from(sharp.strokes) * MORE_STROKES {
        found.push(text![dulled.strokes, " strokes and not ", sharp.strokes]);
    }
    found
}
