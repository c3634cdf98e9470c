//! The cautions that belong to a choice.

use serde::Serialize;

use super::Case;
use crate::catalogue::{Caution, CautionSeverity, CutFamily, Edge, Grip, Motion, OnionDice};
use crate::text;
use crate::text::{Name, Text};
use crate::units::Millimetres;

/// Id of the caution that names students with an allergy.
const ALLERGY: &str = "allergy";
/// Id of the caution of level cuts.
pub(super) const LEVEL_CUT: &str = "level_cut";

/// A caution as it is shown beside the choice.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ShownCaution {
    /// Id in the catalogue.
    pub id: String,
    /// How it is marked.
    pub severity: CautionSeverity,
    /// First words, set bold.
    pub title: Text,
    /// The rest, with names and figures where it has any.
    pub text: Text,
    /// Ids of the students that it is about; none where it is about everyone.
    pub students: Vec<i64>,
}

impl ShownCaution {
    fn of(caution: &Caution) -> Self {
        ShownCaution {
            id: caution.id.clone(),
            severity: caution.severity,
            title: caution.title.clone(),
            text: caution.text.clone(),
            students: Vec::new(),
        }
    }
}

/// All cautions of a case, the gravest first.
pub(super) fn cautions(case: &Case<'_>) -> Vec<ShownCaution> {
    let (job, food) = (case.job, case.job.food);
    let on_board = job.cut.family != CutFamily::Hand;
    let mut ids: Vec<&str> = Vec::new();
    let mut when = |applies: bool, id: &'static str| {
        if applies {
            ids.push(id);
        }
    };
    when(food.rolls && on_board, "rolls");
    when(case.motion == Motion::Tap && food.height() > Millimetres::whole(25), "tall_tap");
    when(case.grip == Grip::Paring, "towards_self");
    when(case.grip == Grip::ChokedBack, "choked_back");
    when(case.grip == Grip::IndexOnSpine, "index_on_spine");
    when(matches!(case.motion, Motion::Press | Motion::PivotMince), "press_hands");
    when(case.knife.kind.edge == Edge::SingleBevel, "single_bevel_hand");
    when(case.dices_layers() && job.doctrines.onion_dice == OnionDice::LevelCut, LEVEL_CUT);
    when(case.motion == Motion::Crush, "crush_wide");
    when(on_board && matches!(job.cut.family, CutFamily::Strips | CutFamily::Slices | CutFamily::Dice), "last_bit");
    let mut shown: Vec<ShownCaution> = ids
        .into_iter()
        .chain(food.cautions.iter().map(String::as_str))
        .fold(Vec::new(), |mut told: Vec<&str>, id| {
            if !told.contains(&id) {
                told.push(id);
            }
            told
        })
        .into_iter()
        .filter_map(|id| job.catalogue.caution(id))
        .map(ShownCaution::of)
        .collect();
    if !job.allergic.is_empty()
        && let Some(allergy) = job.catalogue.caution(ALLERGY)
    {
        let mut caution = ShownCaution::of(allergy);
        let names = Text::joined(job.allergic.iter().map(|student| text![Name(&student.name)]), ", ");
        caution.text = text![names, " must not meet ", food.name, ". ", caution.text];
        caution.students = job.allergic.iter().map(|student| student.student_id).collect();
        shown.push(caution);
    }
    shown.sort_by_key(|caution| std::cmp::Reverse(caution.severity));
    shown
}
