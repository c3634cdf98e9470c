//! Which cut has pieces of this size?

use super::question::{AskInput, Choice, Luck, Question, Shown};
use crate::catalogue::{Cut, CutForm, Target};
use crate::records::AskAbout;
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// Sticks and cubes of the course's standards: thickness and length.
fn sized<'a>(input: &AskInput<'a>) -> Vec<(&'a Cut, Target, Millimetres, Millimetres)> {
    let of_size = |(cut, target): (&'a Cut, Target)| {
        let squared = matches!(cut.form, CutForm::Stick | CutForm::Cube);
        let (thickness, length) = (target.thickness?.nominal(), target.length.or(target.thickness)?.nominal());
        squared.then_some((cut, target, thickness, length))
    };
    input.at_hand.taught().filter_map(of_size).collect()
}

pub(super) fn abouts(input: &AskInput<'_>, luck: &mut Luck) -> Vec<AskAbout> {
    luck.shuffled(sized(input).into_iter().map(|(cut, ..)| AskAbout::Size { cut: cut.id.clone() }).collect())
}

pub(super) fn question(input: &AskInput<'_>, id: &str, luck: &mut Luck) -> Option<Question> {
    let rules = &input.at_hand.catalogue.ask;
    let all = sized(input);
    let (cut, target, thickness, length) = *all.iter().find(|(cut, ..)| cut.id == id)?;
    let told_apart = |one: Millimetres, other: Millimetres| one.longer(other).get() >= one.shorter(other).get() * rules.unlike;
    let choice = |cut: &Cut, target: &Target, right: bool| {
        let reason = text![Text::from(cut.name.as_str()).capital(), " is ", target.said(), " by this course’s sizes."];
        Choice { id: cut.id.clone(), words: Text::from(cut.name.as_str()).capital(), silhouette: None, right, reason }
    };
    let mut wrong: Vec<(Choice, Millimetres)> = Vec::new();
    for (other, sizes, across, _) in luck.shuffled(all.clone()) {
        let apart = told_apart(across, thickness) && wrong.iter().all(|(_, each)| told_apart(*each, across));
        if other.form == cut.form && apart {
            wrong.push((choice(other, &sizes, false), across));
        }
    }
    let what = if cut.form == CutForm::Stick { "stick" } else { "cube" };
    let about = AskAbout::Size { cut: cut.id.clone() };
    let asked = (about, text!["Which cut is this ", what, " from?"], Some(Shown::Piece { thickness, length, bar: rules.bar }));
    Question::new(asked, choice(cut, &target, true), wrong.into_iter().map(|(choice, _)| choice).collect(), luck)
}
