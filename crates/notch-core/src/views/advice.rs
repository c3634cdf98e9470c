//! The advice for one exercise: setup, options, cautions, figures and drawings.

use std::collections::BTreeSet;

use serde::{Deserialize, Serialize};

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, Food, Grip, Handling, Hold, Motion, Target, Third};
use crate::drawing::{SectionDrawing, Silhouette, blade_silhouette, flat_first_section, food_section};
use crate::fitting::{Candidate, Fit, Fixed, Job, KnifeSource, Rated, Setup, ShownCaution, Suggestion, suggest};
use crate::geometry::{Block, Way, work_flat_first};
use crate::lesson::{ClassSize, ExerciseFigures, exercise_figures};
use crate::problem::Problem;
use crate::records::{Amount, ExerciseFields, KeptWarning, Making};
use crate::units::Millimetres;
use crate::words::capital;

/// What the instructor has chosen so far; what is missing is proposed.
#[derive(Clone, Debug, PartialEq, Serialize, Deserialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct AdviceChoice {
    /// Id of the food.
    pub food: String,
    /// Id of the cut.
    pub cut: String,
    /// How much each student cuts.
    pub amount: Amount,
    /// The instructor's own minutes for each student.
    pub own_minutes: Option<f64>,
    /// How it is made, where that is not the course's usual.
    #[serde(default)]
    pub making: Making,
    /// Id of the knife type; goes with the length.
    pub knife_type: Option<String>,
    /// Blade length; goes with the type.
    pub knife_length: Option<Millimetres>,
    /// Motion.
    pub motion: Option<Motion>,
    /// Grip.
    pub grip: Option<Grip>,
    /// Hold.
    pub hold: Option<Hold>,
    /// Third of the blade.
    pub third: Option<Third>,
    /// Which knives are compared.
    #[serde(default)]
    pub knives: KnifeSource,
    /// Id of a student of the course, where the question is about one.
    #[serde(default)]
    pub student: Option<i64>,
}

impl From<&ExerciseFields> for AdviceChoice {
    fn from(fields: &ExerciseFields) -> Self {
        AdviceChoice {
            food: fields.food.clone(),
            cut: fields.cut.clone(),
            amount: fields.amount,
            own_minutes: fields.own_minutes,
            making: fields.making,
            knife_type: Some(fields.knife_type.clone()),
            knife_length: Some(fields.knife_length),
            motion: Some(fields.motion),
            grip: Some(fields.grip),
            hold: Some(fields.hold),
            third: Some(fields.third),
            knives: KnifeSource::Rack,
            student: None,
        }
    }
}

/// A knife model on the rack, or one dull knife, with how it suits.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct KnifeChoice {
    /// Id of the type.
    pub knife_type: String,
    /// Blade length.
    pub length: Millimetres,
    /// Label, e.g. `Flat chef's 210`.
    pub name: String,
    /// Numbers on the rack.
    pub numbers: Vec<String>,
    /// Passed the last edge test.
    pub sharp: bool,
    /// The motion that suits it best here.
    pub motion: Motion,
    /// How well it suits.
    pub fit: Fit,
}

/// How the cut will be made, in ids and in words.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct ChosenSetup {
    /// Id of the knife type.
    pub knife_type: String,
    /// Blade length.
    pub knife_length: Millimetres,
    /// Label of the knife.
    pub knife_name: String,
    /// Motion.
    pub motion: Motion,
    /// Grip.
    pub grip: Grip,
    /// Hold.
    pub hold: Hold,
    /// Third of the blade.
    pub third: Third,
    /// `pinch · claw · push cut · heel third`.
    pub words: String,
}

/// Everything that Plan shows about one exercise.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct Advice {
    /// `Julienne of carrot`.
    pub title: String,
    /// Target: of the course's set of standards, with the exercise's own sizes laid over it.
    pub target: Target,
    /// What is chosen or proposed; none if the rack is empty.
    pub setup: Option<ChosenSetup>,
    /// A rule refuses the setup: it cannot be saved.
    pub refused: bool,
    /// All knives, best first.
    pub knives: Vec<KnifeChoice>,
    /// Index in `knives` of the one in the setup.
    pub knife: Option<usize>,
    /// All motions for that knife.
    pub motions: Vec<Rated<Motion>>,
    /// All grips.
    pub grips: Vec<Rated<Grip>>,
    /// All holds.
    pub holds: Vec<Rated<Hold>>,
    /// All thirds.
    pub thirds: Vec<Rated<Third>>,
    /// Cautions, the gravest first.
    pub cautions: Vec<ShownCaution>,
    /// Pieces, minutes, food to buy.
    pub figures: ExerciseFigures,
    /// The knife of the setup.
    pub silhouette: Option<Silhouette>,
    /// The food's section with its block.
    pub section: Option<SectionDrawing>,
    /// Sharp knives on the rack that fit, of any model.
    pub knives_that_fit: u32,
    /// Warnings of the setup as it stands; saving keeps them.
    pub warnings: Vec<KeptWarning>,
}

/// Works out the advice for a choice.
///
/// # Errors
/// An unknown food, cut, or knife; a cut that the course's standards do not teach; an amount or
/// minutes out of range. A setup that rules refuse is no error here: it is shown with its reason.
pub fn advise(at_hand: &AtHand<'_>, choice: &AdviceChoice) -> Result<Advice, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let set = &at_hand.course.fields.standard_set;
    let mut problems = crate::records::check_amount(choice.amount, choice.own_minutes);
    problems.extend(choice.making.check("/making"));
    let food = catalogue.food(&choice.food);
    if food.is_none() {
        problems.push(Problem::new("/food", "Food", &choice.food, "is not known", "a food of the catalogue"));
    }
    let cut = catalogue.cut(&choice.cut);
    let target = catalogue.target(set, &choice.cut);
    if cut.is_none() || target.is_none() {
        let known = catalogue.set(set).map(|set| set.cuts.keys().map(String::as_str).collect::<Vec<_>>().join(", "));
        problems.push(Problem::new(
            "/cut",
            "Cut",
            &choice.cut,
            "is not taught by this set of standards",
            known.unwrap_or_default(),
        ));
    }
    let candidates = Candidate::all(at_hand, choice.knives);
    let student = choice.student.and_then(|id| at_hand.student(id));
    if let (Some(id), None) = (choice.student, student) {
        problems.push(Problem::new("/student", "For", id, "is not in this course", "a student of this course"));
    }
    let knife = Candidate::named(&candidates, choice.knife_type.as_deref(), choice.knife_length);
    let knife = knife.unwrap_or_else(|problem| {
        problems.push(problem);
        None
    });
    let (Some(food), Some(cut), Some(target), true) = (food, cut, target, problems.is_empty()) else {
        return Err(problems);
    };
    let food = choice.making.food(food, &catalogue.handling);
    let target = choice.making.target(target);
    let job = Job::of(at_hand, &food, cut, target, student);
    let fixed = Fixed { knife, motion: choice.motion, grip: choice.grip, hold: choice.hold, third: choice.third };
    let suggestion = suggest(&job, &candidates, fixed);
    Ok(assemble(at_hand, &job, &candidates, suggestion, choice))
}

fn assemble(
    at_hand: &AtHand<'_>,
    job: &Job<'_>,
    candidates: &[Candidate<'_>],
    found: Suggestion,
    choice: &AdviceChoice,
) -> Advice {
    let handling = &at_hand.catalogue.handling;
    let knives: Vec<KnifeChoice> = found
        .knives
        .iter()
        .filter_map(|option| {
            let candidate = candidates.get(option.knife)?;
            Some(KnifeChoice {
                knife_type: candidate.kind.id.clone(),
                length: candidate.length,
                name: candidate.label(),
                numbers: candidate.numbers.clone(),
                sharp: candidate.sharp,
                motion: option.motion,
                fit: option.fit.clone(),
            })
        })
        .collect();
    let knives_that_fit = knives.iter().filter(|knife| knife.fit.fits()).map(|knife| knife.numbers.len()).sum::<usize>();
    let knives_that_fit = u32::try_from(knives_that_fit).unwrap_or(u32::MAX);
    let class =
        ClassSize { students: at_hand.class_size(), boards: u32::from(at_hand.course.fields.boards), knives: knives_that_fit };
    let figures = exercise_figures(
        (job.food, job.cut, &job.target, choice.making.way),
        choice.amount,
        class,
        at_hand.course.fields.pace,
        choice.own_minutes,
        handling,
    );
    let chosen = found.setup.and_then(|setup| Some((setup, candidates.get(setup.knife)?)));
    let warnings = found.setup.map(|setup| warnings(&found, setup)).unwrap_or_default();
    Advice {
        title: format!("{} of {}", capital(&job.cut.name), job.food.name),
        target: job.target,
        setup: chosen.map(|(setup, candidate)| in_words(at_hand, setup, candidate)),
        refused: found.refused,
        knife: found.setup.and_then(|setup| found.knives.iter().position(|option| option.knife == setup.knife)),
        section: section_of_way((job.food, job.cut, &job.target, choice.making.way), &figures.blocks, handling),
        silhouette: chosen.map(|(_, c)| blade_silhouette(c.kind, c.length, c.heel_height)),
        knives,
        motions: found.motions,
        grips: found.grips,
        holds: found.holds,
        thirds: found.thirds,
        cautions: found.cautions,
        figures,
        knives_that_fit,
        warnings,
    }
}

/// The section as it is worked: flat first where the food can be, squared otherwise.
fn section_of_way(
    (food, cut, target, way): (&Food, &Cut, &Target, Way),
    blocks: &[Block],
    handling: &Handling,
) -> Option<SectionDrawing> {
    let kitchen = (way == Way::FlatFirst).then(|| work_flat_first(food, cut, target, handling).ok()).flatten();
    match kitchen {
        Some(kitchen) => flat_first_section(food, cut, target, &kitchen),
        None => food_section(food, cut, target, blocks),
    }
}

fn in_words(at_hand: &AtHand<'_>, setup: Setup, candidate: &Candidate<'_>) -> ChosenSetup {
    let handling = &at_hand.catalogue.handling;
    ChosenSetup {
        knife_type: candidate.kind.id.clone(),
        knife_length: candidate.length,
        knife_name: candidate.label(),
        motion: setup.motion,
        grip: setup.grip,
        hold: setup.hold,
        third: setup.third,
        words: format!(
            "{} · {} · {} · {} third",
            handling.grip_name(setup.grip),
            handling.hold_name(setup.hold),
            handling.motion_name(setup.motion),
            setup.third.word()
        ),
    }
}

/// Every objection to the setup, refusals first.
fn objections(found: &Suggestion, setup: Setup) -> Vec<(&'static str, Vec<KeptWarning>)> {
    fn of(fit: Option<&Fit>) -> Vec<KeptWarning> {
        let found = fit.into_iter().flat_map(Fit::objections);
        found.map(|finding| KeptWarning { rule: finding.rule.to_owned(), words: finding.words.clone() }).collect()
    }
    fn chosen<T: PartialEq>(choices: &[Rated<T>], value: T) -> Option<&Fit> {
        choices.iter().find(|choice| choice.value == value).map(|choice| &choice.fit)
    }
    let knife = found.knives.iter().find(|option| option.knife == setup.knife).map(|option| &option.fit);
    let motion = of(chosen(&found.motions, setup.motion));
    // The knife's fit includes its motion: what the motion says is told once, at the motion.
    let knife: Vec<KeptWarning> = of(knife).into_iter().filter(|warning| !motion.contains(warning)).collect();
    vec![
        ("/knife_type", knife),
        ("/motion", motion),
        ("/grip", of(chosen(&found.grips, setup.grip))),
        ("/hold", of(chosen(&found.holds, setup.hold))),
        ("/third", of(chosen(&found.thirds, setup.third))),
    ]
}

fn warnings(found: &Suggestion, setup: Setup) -> Vec<KeptWarning> {
    objections(found, setup).into_iter().flat_map(|(_, warnings)| warnings).collect()
}

/// Checks a choice that is to be saved and gives the warnings that go with it.
///
/// # Errors
/// As [`advise`]; and each refusal, at the field that it is about.
pub fn check_choice(at_hand: &AtHand<'_>, fields: &ExerciseFields) -> Result<Vec<KeptWarning>, Vec<Problem>> {
    let problems = fields.check(at_hand.catalogue, &at_hand.course.fields.standard_set);
    if !problems.is_empty() {
        return Err(problems);
    }
    let advice = advise(at_hand, &AdviceChoice::from(fields))?;
    if !advice.refused {
        return Ok(advice.warnings);
    }
    Err(refusals(&advice, fields))
}

/// Each refusal at the field that it is about; a refusal of the motion is also one of the knife with that
/// motion, and told once.
fn refusals(advice: &Advice, fields: &ExerciseFields) -> Vec<Problem> {
    fn chosen<T: PartialEq>(rated: &[Rated<T>], value: T) -> Option<(&str, &Fit)> {
        rated.iter().find(|each| each.value == value).map(|each| (each.name.as_str(), &each.fit))
    }
    let knife = advice.knife.and_then(|index| advice.knives.get(index)).map(|knife| (knife.name.as_str(), &knife.fit));
    let fields = [
        ("/motion", "Motion", chosen(&advice.motions, fields.motion)),
        ("/knife_type", "Knife", knife),
        ("/grip", "Knife-hand grip", chosen(&advice.grips, fields.grip)),
        ("/hold", "Guide-hand hold", chosen(&advice.holds, fields.hold)),
        ("/third", "Third of the blade", chosen(&advice.thirds, fields.third)),
    ];
    let mut told: BTreeSet<&str> = BTreeSet::new();
    let mut problems = Vec::new();
    for (pointer, name, found) in fields {
        let Some((value, fit)) = found else { continue };
        for finding in fit.refusals().filter(|finding| told.insert(finding.rule)) {
            let allowed = format!("another {}", name.to_lowercase());
            problems.push(Problem::said(pointer, name, value, finding.words.clone(), allowed).by_rule(finding.rule));
        }
    }
    problems
}
