//! The cautions that belong to a choice.

use serde::Serialize;

use super::Case;
use crate::catalogue::{Caution, CautionSeverity, CutFamily, CutForm, Edge, FoodTrait, Grip, Motion, Nature, OnionDice, Skin};
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

/// Whether a caution names people and not work.
pub(crate) fn is_about_people(caution: &Caution) -> bool {
    caution.id == ALLERGY
}

/// Ids of the cautions that belong to a case, and nowhere else.
fn places(case: &Case<'_>) -> Vec<&'static str> {
    let mut ids: Vec<&'static str> = Vec::new();
    of_food(case, &mut |applies, id| {
        if applies {
            ids.push(id);
        }
    });
    of_handling(case, &mut |applies, id| {
        if applies {
            ids.push(id);
        }
    });
    ids
}

/// Cautions that a food brings to some of its cuts.
fn of_food(case: &Case<'_>, when: &mut dyn FnMut(bool, &'static str)) {
    let (food, cut) = (case.job.food, case.job.cut);
    let (form, family) = (cut.form, cut.family);
    let is = |wanted: FoodTrait| food.is(wanted);
    let sticks_or_dice = matches!(family, CutFamily::Strips | CutFamily::Dice);
    let opens = matches!(form, CutForm::Trimmed | CutForm::Halved | CutForm::Quartered | CutForm::SkinnedDown);
    let first_cut = matches!(form, CutForm::Trimmed | CutForm::Halved | CutForm::Quartered | CutForm::Ring);
    let whole_rounds = food.opened.parts == 1
        && (sticks_or_dice
            || matches!(form, CutForm::Coin | CutForm::Slice | CutForm::Plank | CutForm::BiasCoin | CutForm::RollCut));
    when(is(FoodTrait::Rolls) && (first_cut || whole_rounds), "rolls");
    when(is(FoodTrait::Browns), "browns");
    when(is(FoodTrait::Stains), "stains");
    when(is(FoodTrait::Hot), "hot_chilli");
    when(is(FoodTrait::Sticks) && matches!(family, CutFamily::Slices | CutFamily::Dice), "sticks");
    when(is(FoodTrait::Slippery), "slippery");
    when(is(FoodTrait::Irregular) && matches!(form, CutForm::Trimmed | CutForm::Peeled), "irregular");
    let from_whole_fruit = matches!(family, CutFamily::Slices | CutFamily::Strips | CutFamily::Dice | CutFamily::Chop);
    when(is(FoodTrait::QuarterCore) && from_whole_fruit, "quarter_core");
    when(is(FoodTrait::Ribs) && sticks_or_dice, "cut_from_inside");
    when(
        is(FoodTrait::Ribs) && !is(FoodTrait::Hot) && (form == CutForm::CoredOnBoard || family == CutFamily::Strips),
        "white_ribs",
    );
    when(is(FoodTrait::HardStem) && matches!(form, CutForm::Trimmed | CutForm::Halved), "stem_clear");
    let through_core = matches!(form, CutForm::Halved | CutForm::Quartered | CutForm::CoredOnBoard | CutForm::Wedge);
    when(is(FoodTrait::HardCore) && through_core, "hard_core");
    when(is(FoodTrait::Stone) && matches!(form, CutForm::Halved | CutForm::Stoned), "stone_safe");
    when(matches!(form, CutForm::SkinnedDown | CutForm::Cheeks), "stand_on_flat");
    let rind = food.skin == Skin::Rind && is(FoodTrait::Teeth) && food.firmness < 5 && is(FoodTrait::Rolls);
    when(
        rind && (opens || matches!(form, CutForm::Ring | CutForm::Wedge | CutForm::Slice)) && case.job.lies.skin_on,
        "rind_slips",
    );
    let citrus_round = is(FoodTrait::Segments) && matches!(form, CutForm::Halved | CutForm::Quartered | CutForm::Wedge);
    when(citrus_round, "start_then_bridge");
    when(food.firmness >= 5 && (opens || form == CutForm::Plank), "heavy_blade");
    let long = food.firmness >= 5 && food.length() > Millimetres::whole(100);
    when(long && matches!(form, CutForm::Halved | CutForm::Plank | CutForm::Wedge), "long_strokes");
    when(is(FoodTrait::Sandy), "wash_between");
    let rooted = form == CutForm::Halved || family == CutFamily::Dice || form == CutForm::HalfMoon;
    when(is(FoodTrait::RootOn) && rooted, "root_on");
    when(form == CutForm::Hulled, "turn_the_berry");
    when(is(FoodTrait::Leaves) && form == CutForm::Ribbon, "roll_tight");
    when(is(FoodTrait::Grain) && (form == CutForm::Slice || family == CutFamily::Strips), "grain");
    when(matches!(food.nature, Nature::Bread | Nature::Cake), "crust_saw");
    when(is(FoodTrait::PinBones), "pin_bones");
    when(is(FoodTrait::RawAnimal), "own_board");
    let along_bone = matches!(form, CutForm::Jointed | CutForm::Boned | CutForm::Filleted);
    when(is(FoodTrait::Bone) && along_bone, "bone_care");
}

/// Cautions of how it is held and moved, and with what.
fn of_handling(case: &Case<'_>, when: &mut dyn FnMut(bool, &'static str)) {
    let (food, cut, kind) = (case.job.food, case.job.cut, case.knife.kind);
    let (form, family) = (cut.form, cut.family);
    let papery = food.skin == Skin::Papery && food.is(FoodTrait::RootOn);
    let nicked = papery && matches!(form, CutForm::Peeled | CutForm::Halved);
    let plain = kind.edge != Edge::Serrated && case.on_board() && case.job.lies.skin_on;
    when(nicked || food.skin == Skin::Slips && food.is(FoodTrait::Teeth) && plain, "skin_slips");
    when(case.motion == Motion::Tap && case.job.lies.height > Millimetres::whole(25), "tall_tap");
    when(case.in_hand(), "towards_self");
    when(case.grip == Grip::ChokedBack, "choked_back");
    when(case.grip == Grip::IndexOnSpine, "index_on_spine");
    when(case.motion == Motion::Press, "press_hands");
    when(case.motion == Motion::PivotMince, "pivot_hand");
    when(case.motion == Motion::Crush, "crush_wide");
    when(case.motion == Motion::PeelStroke && form == CutForm::Peeled, "peel_away");
    when(kind.weight >= 5, "cleaver_care");
    when(kind.edge == Edge::SingleBevel, "single_bevel_hand");
    let other_hand = case.job.trainee.zip(case.knife.hand).is_some_and(|(trainee, hand)| trainee.hand != hand);
    when(kind.edge != Edge::SingleBevel && other_hand, "one_sided_edge");
    let level_onion = case.dices_layers() && case.job.doctrines.onion_dice == OnionDice::LevelCut;
    when(case.job.is_level() || level_onion, LEVEL_CUT);
    let chased = matches!(family, CutFamily::Strips | CutFamily::Dice | CutFamily::Slices) || form == CutForm::Chopped;
    when(chased && case.on_board() && !case.two_handed() && form != CutForm::Wedge, "last_bit");
}

/// All cautions of a case, the gravest first.
pub(super) fn cautions(case: &Case<'_>) -> Vec<ShownCaution> {
    let (job, food) = (case.job, case.job.food);
    let mut shown: Vec<ShownCaution> =
        places(case).into_iter().filter_map(|id| job.catalogue.caution(id)).map(ShownCaution::of).collect();
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
