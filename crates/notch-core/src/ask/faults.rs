//! What is wrong in this picture?

use super::question::{AskInput, Choice, Luck, Question, Shown};
use crate::catalogue::Fault;
use crate::records::AskAbout;
use crate::text;

pub(super) fn abouts(input: &AskInput<'_>, luck: &mut Luck) -> Vec<AskAbout> {
    let drawn = input.at_hand.catalogue.faults.iter().filter(|fault| fault.picture.is_some());
    luck.shuffled(drawn.map(|fault| AskAbout::Fault { fault: fault.id.clone() }).collect())
}

pub(super) fn question(input: &AskInput<'_>, id: &str, luck: &mut Luck) -> Option<Question> {
    let faults = &input.at_hand.catalogue.faults;
    let fault = faults.iter().find(|fault| fault.id == id)?;
    let picture = fault.picture?;
    let choice = |other: &Fault| Choice {
        id: other.id.clone(),
        words: text::Text::from(other.name.as_str()).capital(),
        silhouette: None,
        right: other.id == fault.id,
        reason: other.cue.clone().into(),
    };
    let alike = |other: &Fault| fault.alike.contains(&other.id) || other.alike.contains(&fault.id);
    let wrong = faults.iter().filter(|other| other.picture.is_some() && other.id != fault.id && !alike(other));
    let about = AskAbout::Fault { fault: fault.id.clone() };
    let asked = (about, text!["What is wrong here?"], Some(Shown::Fault { picture }));
    Question::new(asked, choice(fault), wrong.map(choice).collect(), luck)
}
