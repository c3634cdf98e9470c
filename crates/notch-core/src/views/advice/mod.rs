//! The advice for one exercise: setup, options, cautions, figures and drawings.

mod choice;
mod saving;
mod shown;

pub use choice::AdviceChoice;
pub use saving::check_choice;
pub use shown::{Advice, ChosenSetup, KnifeChoice, OtherKnife};

use crate::at_hand::AtHand;
use crate::catalogue::{Cut, Food, Handling, Standing, Target};
use crate::drawing::{SectionDrawing, blade_silhouette, flat_first_section, food_section};
use crate::eligibility::Trainee;
use crate::fitting::{Candidate, FITS, Fixed, Job, NEARLY, Setup, Suggestion, propose, suggest};
use crate::geometry::{Block, Way, work_flat_first};
use crate::lesson::{Worked, exercise_figures, usual_amounts};
use crate::problem::Problem;
use crate::records::{Amount, Student};

/// Works out the advice for a choice.
///
/// # Errors
/// An unknown food, cut, or knife; a cut that the course's standards do not teach; an amount or
/// minutes out of range. A setup that rules refuse is no error here: it is shown with its reason.
pub fn advise(at_hand: &AtHand<'_>, choice: &AdviceChoice) -> Result<Advice, Vec<Problem>> {
    let catalogue = at_hand.catalogue;
    let set = &at_hand.course.fields.standard_set;
    let mut problems = crate::records::check_amount(choice.amount.unwrap_or(Amount::Units { count: 1 }), choice.own_minutes);
    problems.extend(choice.making.check("/making"));
    let food = catalogue.food(&choice.food);
    if food.is_none() {
        problems.push(Problem::new("/food", "Food", &choice.food, "is not known", "a food of the catalogue"));
    }
    let cut = catalogue.cut(&choice.cut);
    let target = food.zip(cut).and_then(|(food, cut)| at_hand.target_of(cut, food));
    problems.extend(food.zip(cut).and_then(|(food, cut)| no_cut_of(food, cut)));
    if food.is_some() && (cut.is_none() || target.is_none()) {
        let known = catalogue.set(set).map(|set| set.cuts.keys().map(String::as_str).collect::<Vec<_>>().join(", "));
        problems.push(Problem::new(
            "/cut",
            "Cut",
            &choice.cut,
            "is not taught by this set of standards",
            known.unwrap_or_default(),
        ));
    }
    let candidates = Candidate::planned(at_hand, choice.knives);
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
    let food = choice.making.food(food);
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
    let fitting = found.knives.iter().filter(|option| option.fit.fits()).filter_map(|option| candidates.get(option.knife));
    // Of types that nobody counted there is one for everybody only where there is no rack at all.
    let counted = fitting.filter(|candidate| !candidate.numbers.is_empty() || at_hand.knows_no_knives());
    let knives_that_fit = counted.map(|candidate| candidate.how_many(at_hand)).fold(0, u32::saturating_add);
    let class = at_hand.class_with(knives_that_fit);
    let peeled = choice.making.peeled(job.food, job.cut);
    let worked = Worked { bought: job.food, peeled: &peeled, cut: job.cut, target: &job.target, way: choice.making.way };
    let usual = usual_amounts(worked, handling);
    let amount = choice.amount.unwrap_or(usual[0]);
    let figures = exercise_figures(worked, amount, class, at_hand.course.fields.pace, choice.own_minutes, handling);
    let chosen = found.setup.and_then(|setup| Some((setup, candidates.get(setup.knife)?)));
    let others = chosen.map(|(_, knife)| others(at_hand, job, candidates, knife)).unwrap_or_default();
    let warnings = found.setup.map(|setup| saving::warnings(&found, setup)).unwrap_or_default();
    Advice {
        title: job.cut.of(&job.food.name),
        target: job.target,
        amount,
        usual: usual.to_vec(),
        taught: job.standing == Standing::Taught,
        setup: chosen.map(|(setup, candidate)| in_words(at_hand, setup, candidate)),
        refused: found.refused,
        knife: found.setup.and_then(|setup| found.knives.iter().position(|option| option.knife == setup.knife)),
        section: section_of_way((&peeled, job.cut, &job.target, choice.making.way), &figures.blocks, handling),
        silhouette: chosen.map(|(_, c)| blade_silhouette(c.kind, c.length, c.heel_height)),
        knives,
        others,
        motions: found.motions,
        grips: found.grips,
        holds: found.holds,
        thirds: found.thirds,
        cautions: found.cautions,
        tools: at_hand.catalogue.tools_for(job.food, job.cut),
        figures,
        knives_that_fit,
        warnings,
    }
}

/// Who of the class may not hold a knife, each with the knife that suits them best.
fn others(at_hand: &AtHand<'_>, job: &Job<'_>, candidates: &[Candidate<'_>], knife: &Candidate<'_>) -> Vec<OtherKnife> {
    if job.trainee.is_some() || knife.barred == 0 {
        return Vec::new();
    }
    let mut barred: Vec<&Student> =
        at_hand.students.iter().filter(|student| !knife.may_be_held_by(&Trainee::of(student), at_hand)).collect();
    barred.sort_by_key(|student| student.fields.station);
    let mut found: Vec<OtherKnife> = Vec::new();
    for student in barred {
        let theirs = Job { trainee: Some(Trainee::of(student)), ..job.clone() };
        let best = propose(&theirs, candidates, Fixed::default()).filter(|found| !found.refused && found.score >= NEARLY);
        let fits = best.as_ref().is_some_and(|found| found.score >= FITS);
        let label = best.and_then(|found| candidates.get(found.setup.knife)).map(Candidate::label);
        match found.iter_mut().find(|each| each.knife == label) {
            Some(alike) => alike.students.push(student.fields.name.clone()),
            None => found.push(OtherKnife { students: vec![student.fields.name.clone()], knife: label, fits }),
        }
    }
    found
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
        words: handling.in_words(setup),
    }
}

/// What keeps a cut off a food: it is none of it.
pub(crate) fn no_cut_of(food: &Food, cut: &Cut) -> Option<Problem> {
    (food.standing(&cut.id) == Standing::No).then(|| {
        let sentence = format!("{}: that is no cut of this food.", cut.of(&food.name));
        let allowed = format!("a cut that is taught on {}", food.name);
        Problem::said("/cut", "Cut", &cut.name, sentence.into(), allowed).by_rule("cut.none")
    })
}
