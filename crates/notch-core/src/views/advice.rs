//! The advice for one exercise: setup, options, cautions, figures and drawings.

use serde::{Deserialize, Serialize};

use crate::catalogue::{Catalogue, Cut, Edge, Food, Grip, Handling, Hold, KnifeType, Motion, Target, Third};
use crate::drawing::{SectionDrawing, Silhouette, flat_first_section, outline, section};
use crate::fitting::{Candidate, Choice, Fit, Job, Setup, ShownCaution, Suggestion, Trainee, Wanted, suggest};
use crate::geometry::{Block, Way, work_flat_first};
use crate::lesson::{Amount, ClassSize, ExerciseFigures, exercise_figures};
use crate::people::Hand;
use crate::problem::Problem;
use crate::records::{Course, EdgeState, ExerciseFields, KeptWarning, Knife, Making, Student, is_cleared_for_special};
use crate::units::Millimetres;
use crate::words::capital;

/// What a course has at hand.
#[derive(Clone, Copy, Debug)]
pub struct School<'a> {
    /// The field's knowledge.
    pub catalogue: &'a Catalogue,
    /// The course.
    pub course: &'a Course,
    /// Its students.
    pub students: &'a [Student],
    /// The rack.
    pub knives: &'a [Knife],
}

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

/// Which knives are compared.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Default, Serialize, Deserialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum KnifeSource {
    /// The knives on the rack.
    #[default]
    Rack,
    /// One of each type of the catalogue, at its usual length.
    Types,
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
    /// `3.2 × 3.2 × 50`.
    pub size: String,
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
    pub motions: Vec<Choice<Motion>>,
    /// All grips.
    pub grips: Vec<Choice<Grip>>,
    /// All holds.
    pub holds: Vec<Choice<Hold>>,
    /// All thirds.
    pub thirds: Vec<Choice<Third>>,
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

/// Least score at which a knife counts as fitting for a class.
pub const FITS: u8 = 40;

/// The knives of a source: one of each type, or the rack in groups, sharp ones of a model together
/// and each dull one by itself.
pub(super) fn candidates<'a>(school: &School<'a>, source: KnifeSource) -> Vec<Candidate<'a>> {
    match source {
        KnifeSource::Rack => on_the_rack(school),
        KnifeSource::Types => school.catalogue.knives.iter().map(of_type).collect(),
    }
}

/// A usual knife of a type, for the hand that most are ground for.
pub(crate) fn of_type(kind: &KnifeType) -> Candidate<'_> {
    Candidate {
        kind,
        length: kind.length.usual,
        heel_height: kind.heel_height,
        hand: (kind.edge == Edge::SingleBevel).then_some(Hand::Right),
        hollowed: false,
        sharp: true,
        numbers: Vec::new(),
    }
}

fn on_the_rack<'a>(school: &School<'a>) -> Vec<Candidate<'a>> {
    let mut groups: Vec<Candidate<'a>> = Vec::new();
    for knife in school.knives.iter().filter(|knife| !knife.archived) {
        let Some(kind) = school.catalogue.knife(&knife.fields.knife_type) else { continue };
        let sharp = knife.fields.edge_state == EdgeState::Sharp;
        let alike = groups.iter_mut().find(|group| {
            sharp
                && group.sharp
                && group.kind.id == kind.id
                && group.length == knife.fields.length
                && group.hand == knife.fields.hand
                && group.hollowed == knife.fields.hollowed
        });
        match alike {
            Some(group) => group.numbers.push(knife.fields.number.clone()),
            None => groups.push(Candidate {
                kind,
                length: knife.fields.length,
                heel_height: knife.fields.heel_height,
                hand: knife.fields.hand,
                hollowed: knife.fields.hollowed,
                sharp,
                numbers: vec![knife.fields.number.clone()],
            }),
        }
    }
    groups
}

pub(super) fn label(kind: &KnifeType, length: Millimetres) -> String {
    format!("{} {length}", kind.short)
}

pub(super) fn job<'a>(school: &School<'a>, food: &'a Food, cut: &'a Cut, target: Target, trainee: Option<&Student>) -> Job<'a> {
    let fields = &school.course.fields;
    let allergen = food.allergen.as_deref();
    let count = |hand: Hand| u32::try_from(school.students.iter().filter(|s| s.fields.hand == hand).count()).unwrap_or(u32::MAX);
    Job {
        catalogue: school.catalogue,
        food,
        cut,
        target,
        age_band: fields.age_band,
        pace: fields.pace,
        schools: fields.schools,
        board: fields.board_material,
        trainee: trainee.map(|student| Trainee {
            hand: student.fields.hand,
            hand_size: student.fields.hand_size,
            clearance: student.fields.clearance,
            special: is_cleared_for_special(student),
        }),
        hands: (count(Hand::Right), count(Hand::Left)),
        allergic: school
            .students
            .iter()
            .filter(|student| allergen.is_some_and(|allergen| student.fields.is_allergic_to(allergen)))
            .map(|student| student.fields.name.clone())
            .collect(),
    }
}

/// Works out the advice for a choice.
///
/// # Errors
/// An unknown food, cut, or knife; a cut that the course's standards do not teach; an amount or
/// minutes out of range. A setup that rules refuse is no error here: it is shown with its reason.
pub fn advise(school: &School<'_>, choice: &AdviceChoice) -> Result<Advice, Vec<Problem>> {
    let catalogue = school.catalogue;
    let set = &school.course.fields.standard_set;
    let mut problems = crate::records::check_amount(choice.amount, choice.own_minutes);
    problems.extend(choice.making.check("/making"));
    let food = catalogue.food(&choice.food);
    if food.is_none() {
        problems.push(Problem::new("/food", "food", &choice.food, "is not known", "a food of the catalogue"));
    }
    let cut = catalogue.cut(&choice.cut);
    let target = catalogue.target(set, &choice.cut);
    if cut.is_none() || target.is_none() {
        let known = catalogue.set(set).map(|set| set.cuts.keys().map(String::as_str).collect::<Vec<_>>().join(", "));
        problems.push(Problem::new(
            "/cut",
            "cut",
            &choice.cut,
            "is not taught by this set of standards",
            known.unwrap_or_default(),
        ));
    }
    let candidates = candidates(school, choice.knives);
    let trainee = choice.student.map(|id| (id, school.students.iter().find(|student| student.id == id)));
    if let Some((id, None)) = trainee {
        problems.push(Problem::new("/student", "student", id, "is not in this course", "a student of this course"));
    }
    let wanted_knife = wanted_knife(choice, &candidates, &mut problems);
    let (Some(food), Some(cut), Some(target), true) = (food, cut, target, problems.is_empty()) else {
        return Err(problems);
    };
    let food = choice.making.food(food, &catalogue.handling);
    let target = choice.making.target(target);
    let job = job(school, &food, cut, target, trainee.and_then(|(_, student)| student));
    let wanted = Wanted { knife: wanted_knife, motion: choice.motion, grip: choice.grip, hold: choice.hold, third: choice.third };
    let suggestion = suggest(&job, &candidates, wanted);
    Ok(assemble(school, &job, &candidates, suggestion, choice))
}

/// The candidate that the choice names. A model that is on the rack only dull stays the choice, so
/// that its reason is shown.
fn wanted_knife(choice: &AdviceChoice, candidates: &[Candidate<'_>], problems: &mut Vec<Problem>) -> Option<usize> {
    let (Some(kind), Some(length)) = (&choice.knife_type, choice.knife_length) else { return None };
    let is_model = |c: &Candidate<'_>| c.kind.id == *kind && (c.length.get() - length.get()).abs() < 0.05;
    let sharp = candidates.iter().position(|c| c.sharp && is_model(c));
    let found = sharp.or_else(|| candidates.iter().position(is_model));
    if found.is_none() {
        let value = format!("{kind} {length}");
        problems.push(Problem::new("/knife_type", "knife", value, "is not on the rack", "a knife on the rack"));
    }
    found
}

fn assemble(
    school: &School<'_>,
    job: &Job<'_>,
    candidates: &[Candidate<'_>],
    found: Suggestion,
    choice: &AdviceChoice,
) -> Advice {
    let handling = &school.catalogue.handling;
    let knives: Vec<KnifeChoice> = found
        .knives
        .iter()
        .filter_map(|option| {
            let candidate = candidates.get(option.knife)?;
            Some(KnifeChoice {
                knife_type: candidate.kind.id.clone(),
                length: candidate.length,
                name: label(candidate.kind, candidate.length),
                numbers: candidate.numbers.clone(),
                sharp: candidate.sharp,
                motion: option.motion,
                fit: option.fit.clone(),
            })
        })
        .collect();
    let fits = |knife: &&KnifeChoice| !knife.fit.refused && knife.fit.score >= FITS;
    let knives_that_fit = knives.iter().filter(fits).map(|knife| knife.numbers.len()).sum::<usize>();
    let knives_that_fit = u32::try_from(knives_that_fit).unwrap_or(u32::MAX);
    let class = ClassSize {
        students: u32::try_from(school.students.len()).unwrap_or(u32::MAX),
        boards: u32::from(school.course.fields.boards),
        knives: knives_that_fit,
    };
    let figures = exercise_figures(
        (job.food, job.cut, &job.target, choice.making.way),
        choice.amount,
        class,
        school.course.fields.pace,
        choice.own_minutes,
        handling,
    );
    let chosen = found.setup.and_then(|setup| Some((setup, candidates.get(setup.knife)?)));
    let warnings = found.setup.map(|setup| warnings(&found, setup)).unwrap_or_default();
    Advice {
        title: format!("{} of {}", capital(&job.cut.name), job.food.name),
        size: job.target.written(),
        target: job.target,
        setup: chosen.map(|(setup, candidate)| in_words(school, setup, candidate)),
        refused: found.refused,
        knife: found.setup.and_then(|setup| found.knives.iter().position(|option| option.knife == setup.knife)),
        section: section_of_way((job.food, job.cut, &job.target, choice.making.way), &figures.blocks, handling),
        silhouette: chosen.map(|(_, c)| outline(c.kind, c.length, c.heel_height)),
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
        None => section(food, cut, target, blocks),
    }
}

fn in_words(school: &School<'_>, setup: Setup, candidate: &Candidate<'_>) -> ChosenSetup {
    let handling = &school.catalogue.handling;
    ChosenSetup {
        knife_type: candidate.kind.id.clone(),
        knife_length: candidate.length,
        knife_name: label(candidate.kind, candidate.length),
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
    fn chosen<T: PartialEq>(choices: &[Choice<T>], value: T) -> Option<&Fit> {
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
pub fn check_choice(school: &School<'_>, fields: &ExerciseFields) -> Result<Vec<KeptWarning>, Vec<Problem>> {
    let problems = fields.check(school.catalogue, &school.course.fields.standard_set);
    if !problems.is_empty() {
        return Err(problems);
    }
    let advice = advise(school, &AdviceChoice::from(fields))?;
    if !advice.refused {
        return Ok(advice.warnings);
    }
    let refusals = |pointer: &str, name: &str, value: &str, fit: Option<&Fit>| -> Vec<Problem> {
        let found = fit.filter(|fit| fit.refused).into_iter().flat_map(|fit| &fit.findings);
        found
            .filter(|finding| finding.effect == crate::fitting::Effect::Refuse)
            .map(|finding| Problem {
                pointer: pointer.to_owned(),
                value: value.to_owned(),
                allowed: format!("another {name}"),
                message: finding.words.clone(),
            })
            .collect()
    };
    fn chosen<T: PartialEq>(choices: &[Choice<T>], value: T) -> Option<(&str, &Fit)> {
        choices.iter().find(|choice| choice.value == value).map(|choice| (choice.name.as_str(), &choice.fit))
    }
    let mut problems = Vec::new();
    if let Some(knife) = advice.knife.and_then(|index| advice.knives.get(index)) {
        problems.extend(refusals("/knife_type", "knife", &knife.name, Some(&knife.fit)));
    }
    for (pointer, name, found) in [
        ("/motion", "motion", chosen(&advice.motions, fields.motion)),
        ("/grip", "grip", chosen(&advice.grips, fields.grip)),
        ("/hold", "hold", chosen(&advice.holds, fields.hold)),
        ("/third", "third", chosen(&advice.thirds, fields.third)),
    ] {
        if let Some((value, fit)) = found {
            problems.extend(refusals(pointer, name, value, Some(fit)));
        }
    }
    // A refusal of the motion is also one of the knife with that motion: tell it once.
    let mut told: Vec<String> = Vec::new();
    problems.reverse();
    problems.retain(|problem| {
        !told.contains(&problem.message) && {
            told.push(problem.message.clone());
            true
        }
    });
    problems.reverse();
    Err(problems)
}
