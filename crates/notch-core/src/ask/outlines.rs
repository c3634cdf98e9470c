//! Name this outline.

use super::question::{AskInput, Choice, Luck, Question, Shown};
use crate::catalogue::KnifeType;
use crate::drawing::blade_silhouette;
use crate::records::AskAbout;
use crate::text;

/// Types that are asked about: those on the rack; all of them while no knife is known.
fn known<'a>(input: &AskInput<'a>) -> Vec<&'a KnifeType> {
    let at_hand = input.at_hand;
    let has = |kind: &KnifeType| at_hand.knives.iter().any(|k| !k.archived && k.fields.knife_type == kind.id);
    at_hand.catalogue.knives.iter().filter(|kind| at_hand.knows_no_knives() || has(kind)).collect()
}

pub(super) fn abouts(input: &AskInput<'_>, luck: &mut Luck) -> Vec<AskAbout> {
    let all = known(input).into_iter().map(|kind| AskAbout::Outline { knife_type: kind.id.clone() });
    luck.shuffled(all.collect())
}

pub(super) fn question(input: &AskInput<'_>, knife_type: &str, luck: &mut Luck) -> Option<Question> {
    let catalogue = input.at_hand.catalogue;
    let kind = catalogue.knife(knife_type)?;
    let looks = |kind: &KnifeType| catalogue.ask.tells(kind).to_owned();
    let choice = |other: &KnifeType| {
        let right = other.id == kind.id;
        let reason = if right { text![looks(kind), " Its work: ", kind.good_for.clone(), "."] } else { text![looks(other)] };
        Choice { id: other.id.clone(), words: capital_name(other), silhouette: None, right, reason }
    };
    // Of several that look alike one is offered.
    let mut wrong: Vec<&KnifeType> = Vec::new();
    let of_catalogue = luck.shuffled(catalogue.knives.iter().collect());
    for other in luck.shuffled(known(input)).into_iter().chain(of_catalogue) {
        let apart = |each: &KnifeType| catalogue.ask.tells_apart(each, other);
        if apart(kind) && wrong.iter().all(|each| apart(each)) {
            wrong.push(other);
        }
    }
    let silhouette = blade_silhouette(kind, kind.length.usual, kind.heel_height);
    let about = AskAbout::Outline { knife_type: kind.id.clone() };
    let asked = (about, text!["Which knife is this?"], Some(Shown::Outline { silhouette }));
    Question::new(asked, choice(kind), wrong.into_iter().map(choice).collect(), luck)
}

fn capital_name(kind: &KnifeType) -> text::Text {
    text::Text::from(kind.name.as_str()).capital()
}
