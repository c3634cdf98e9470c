//! The whole preparation of a food as a sequence: trim, peel, open, cut, each with knife, hold and caution.

use serde::Serialize;

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, CutFamily, CutForm, Food, FoodTrait, ShownTool, Standing, Target, TargetSize};
use crate::fitting::{Candidate, Fixed, Job, KnifeSource, ShownCaution, suggest};
use crate::problem::Problem;
use crate::records::Student;

/// A step of the preparation.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct PreparationStep {
    /// Id of the cut.
    pub cut: String,
    /// Its name.
    pub name: String,
    /// How it is done.
    pub how: String,
    /// What it leaves.
    pub leaves: String,
    /// Label of the knife that leads; none where nothing at hand may do it.
    pub knife: Option<String>,
    /// `pinch · claw · push cut · heel third`.
    pub setup: String,
    /// Tools beside the knife that first come up here.
    pub tools: Vec<ShownTool>,
    /// Cautions that first come up here, the gravest first.
    pub cautions: Vec<ShownCaution>,
}

/// The preparation of a food for a cut.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Preparation {
    /// `Slice of apple`.
    pub title: String,
    /// How the food is first opened.
    pub opened: String,
    /// A line for the instructor.
    pub notes: String,
    /// Steps in the order of the work; the cut itself is the last.
    pub steps: Vec<PreparationStep>,
    /// What the trimmings become.
    pub scraps: String,
}

/// Works out the preparation of a food for a cut, with the knives of a source.
///
/// # Errors
/// An unknown food or cut, and a cut that is none of the food.
pub fn preparation(
    at_hand: &AtHand<'_>,
    (food, cut): (&str, &str),
    source: KnifeSource,
    student: Option<&Student>,
) -> Result<Preparation, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let unknown = |pointer: &str, name: &str, id: &str| Problem::new(pointer, name, id, "is not known", "one of the catalogue");
    let (found_food, found_cut) = (catalogue.food(food), catalogue.cut(cut));
    let (Some(food), Some(cut)) = (found_food, found_cut) else {
        let missing = [
            found_food.is_none().then(|| unknown("/food", "Food", food)),
            found_cut.is_none().then(|| unknown("/cut", "Cut", cut)),
        ];
        return Err(missing.into_iter().flatten().collect());
    };
    if let Some(problem) = super::no_cut_of(food, cut) {
        return Err(vec![problem]);
    }
    let candidates = Candidate::all(at_hand, source);
    let mut told: Vec<String> = Vec::new();
    let mut laid_out: Vec<String> = Vec::new();
    let steps = chain(at_hand, food, cut).into_iter().map(|(cut, target)| {
        let job = Job::of(at_hand, food, cut, target, student);
        let found = suggest(&job, &candidates, Fixed::default());
        let open = found.knives.iter().any(|knife| !knife.fit.refused);
        let setup = found.setup.filter(|_| open);
        let handling = &catalogue.handling;
        let mut cautions = if open { found.cautions } else { Vec::new() };
        cautions.retain(|caution| !told.contains(&caution.id));
        told.extend(cautions.iter().map(|caution| caution.id.clone()));
        let mut tools = catalogue.tools_for(food, cut);
        tools.retain(|tool| !laid_out.contains(&tool.id));
        laid_out.extend(tools.iter().map(|tool| tool.id.clone()));
        let (leaves, how) = cut.told_of(food);
        PreparationStep {
            cut: cut.id.clone(),
            name: cut.name.clone(),
            how: how.to_owned(),
            leaves: leaves.to_owned(),
            knife: setup.and_then(|setup| candidates.get(setup.knife)).map(Candidate::label),
            setup: setup.map_or_else(String::new, |setup| handling.in_words(setup)),
            tools,
            cautions,
        }
    });
    Ok(Preparation {
        title: cut.of(&food.name),
        opened: food.opened.how.clone(),
        notes: food.notes.clone(),
        steps: steps.collect(),
        scraps: food.scraps.clone(),
    })
}

/// The taught cuts that lead to a cut, in the order of the work, and the cut itself.
fn chain<'a>(at_hand: &AtHand<'a>, food: &'a Food, cut: &'a Cut) -> Vec<(&'a Cut, Target)> {
    let taught: Vec<(&Cut, Target)> = at_hand.cuts_of(food, Standing::Taught).collect();
    let of_form = |form: CutForm| taught.iter().copied().find(|(each, _)| each.form == form);
    let mut chain: Vec<(&Cut, Target)> = Vec::new();
    if matches!(cut.family, CutFamily::Open | CutFamily::Hand | CutFamily::Break) {
        // What opens a food comes after all that is done to it before: it stands so in the food's own list.
        let opens = |(each, _): &&(&Cut, Target)| {
            matches!(each.form, CutForm::Trimmed | CutForm::SkinnedDown | CutForm::Halved | CutForm::Quartered)
        };
        let before = taught.iter().take_while(|(each, _)| each.id != cut.id).filter(opens);
        if cut.form.family() != CutFamily::Hand || cut.form == CutForm::Segmented {
            chain.extend(before.copied().filter(|(each, _)| leads_to(food, each.form, cut.form)));
            let skinned = of_form(CutForm::SkinnedDown).filter(|_| cut.form == CutForm::Segmented && chain.is_empty());
            chain.extend(skinned);
        }
    } else {
        let skin = of_form(CutForm::SkinnedDown).filter(|_| !food.opened.skin_on).or_else(|| of_form(CutForm::Peeled));
        let fillet = [of_form(CutForm::SkinOff)];
        let halves = match food.opened.parts {
            // Rings are cut of the whole.
            _ if cut.form == CutForm::Ring => [None, None],
            _ if food.is(FoodTrait::Cheeks) => [of_form(CutForm::Cheeks), None],
            4.. => [of_form(CutForm::Quartered), None],
            2 | 3 => [of_form(CutForm::Halved), of_form(CutForm::Stoned)],
            _ => [None, None],
        };
        let core = of_form(CutForm::CoredOnBoard)
            .filter(|_| food.opened.parts > 1 && cut.form != CutForm::Ring || food.is(FoodTrait::Ribs));
        let hull = [of_form(CutForm::Hulled), of_form(CutForm::Cored).filter(|_| food.opened.parts == 1)];
        let planks = of_form(CutForm::Plank).filter(|_| matches!(cut.family, CutFamily::Strips | CutFamily::Dice));
        let thick = |target: &Target| target.thickness.map(TargetSize::nominal);
        let target = at_hand.target_of(cut, food);
        let sticks = taught.iter().copied().find(|(each, size)| {
            let same = target.as_ref().is_some_and(|target| thick(target).is_some() && thick(target) == thick(size));
            each.form == CutForm::Stick && cut.family == CutFamily::Dice && same
        });
        let steps =
            [of_form(CutForm::Trimmed), skin].into_iter().chain(hull).chain(fillet).chain(halves).chain([core, planks, sticks]);
        chain.extend(steps.flatten().filter(|(each, _)| each.id != cut.id));
    }
    chain.extend(at_hand.target_of(cut, food).map(|target| (cut, target)));
    chain
}

/// Whether an opening cut leads to another one: halves are not quartered first, and what comes apart by its skin is
/// not halved.
fn leads_to(food: &Food, step: CutForm, cut: CutForm) -> bool {
    match cut {
        CutForm::Trimmed | CutForm::Split => false,
        CutForm::Halved | CutForm::Quartered | CutForm::SkinnedDown | CutForm::Cheeks => {
            matches!(step, CutForm::Trimmed) || step == CutForm::SkinnedDown && !food.opened.skin_on
        }
        CutForm::Segmented => step == CutForm::SkinnedDown,
        CutForm::CoredOnBoard if food.opened.parts == 4 => step != CutForm::Halved,
        _ => true,
    }
}
