//! What a student does next: repeat, a harder cut, a longer blade, or more pace.

use jiff::civil::Date;

use super::input::{Cleared, StandingInput};
use super::{AttemptEvidence, NextKind, NextStep, StrandRule};
use crate::catalogue::{ClearanceRung, Cut, NotchKind, Strand};
use crate::text;
use crate::text::Text;
use crate::units::Millimetres;

/// The taught cuts of a strand, first rung first.
fn cuts_of<'a>(input: &StandingInput<'a>, strand: Strand) -> Vec<&'a Cut> {
    let taught = |cut: &&Cut| input.catalogue.target(input.standard_set, &cut.id).is_some();
    let mut cuts: Vec<&Cut> = input.catalogue.cuts.iter().filter(|c| c.strand == Some(strand)).filter(taught).collect();
    cuts.sort_by_key(|cut| cut.rung);
    cuts
}

/// The step in one strand, whatever the others say.
pub(super) fn next_in_strand(
    input: &StandingInput<'_>,
    rule: &StrandRule,
    held_from: Option<Date>,
    attempts: &[&AttemptEvidence],
) -> NextStep {
    let strand = rule.strand;
    let cuts = cuts_of(input, strand);
    let current = rule.cut.as_deref().and_then(|id| cuts.iter().position(|cut| cut.id == id));
    let cut = current.or(if cuts.is_empty() { None } else { Some(0) }).and_then(|i| cuts.get(i).copied());
    let name = cut.map_or("", |cut| cut.name.as_str());
    let open = rule.notches.iter().find(|notch| !rule.has(notch.kind));
    let why = open.map_or_else(Text::default, |notch| notch.words.clone());
    if rule.attempts == 0 {
        return NextStep::of(
            NextKind::Start,
            strand,
            cut,
            text!["Start: ", name],
            text!["no attempt in ", strand.name(), " yet"],
        );
    }
    if rule.has_lapsed() || attempts.last().is_some_and(|attempt| attempt.stop_fault) {
        return NextStep::of(NextKind::SafeFirst, strand, cut, text!["Safe first: ", strand.name()], why);
    }
    match open.map(|notch| notch.kind) {
        Some(NotchKind::True) => {
            let easier = current.and_then(|index| cuts.get(index.checked_sub(1)?).copied());
            match easier {
                Some(easier) if far_off(attempts) => {
                    NextStep::of(NextKind::EasierCut, strand, Some(easier), text!["Easier cut: ", easier.name], why)
                }
                _ => NextStep::of(NextKind::Repeat, strand, cut, text!["Repeat: ", name], why),
            }
        }
        Some(NotchKind::Safe) => NextStep::of(NextKind::Repeat, strand, cut, text!["Repeat: ", name], why),
        Some(NotchKind::Even) => NextStep::of(NextKind::Repeat, strand, cut, text!["Repeat: ", name, ", for evenness"], why),
        Some(NotchKind::Paced) => NextStep::of(NextKind::Pace, strand, cut, text!["Pace: ", name], why),
        Some(NotchKind::Held) if held_from.is_some_and(|from| input.today >= from) => {
            NextStep::of(NextKind::Hold, strand, cut, text!["Held: ", name, " again"], why)
        }
        Some(NotchKind::Held) | None => harder(strand, &cuts, current, why),
    }
}

/// After three measured attempts under 30 % of the pieces are inside: the cut is too fine for now.
fn far_off(attempts: &[&AttemptEvidence]) -> bool {
    let sampled: Vec<_> = attempts.iter().filter(|attempt| !attempt.pieces.is_empty()).collect();
    let last = sampled.get(sampled.len().saturating_sub(3)..).unwrap_or(&[]);
    let (inside, all) = last
        .iter()
        .flat_map(|attempt| &attempt.pieces)
        .fold((0usize, 0usize), |(inside, all), piece| (inside + usize::from(piece.inside), all + 1));
    last.len() == 3 && inside * 10 < all * 3
}

fn harder(strand: Strand, cuts: &[&Cut], current: Option<usize>, why: Text) -> NextStep {
    match current.and_then(|index| cuts.get(index + 1)) {
        Some(cut) => {
            let reason = if why.is_empty() { Text::from("all five notches are cut") } else { text!["meanwhile; ", why] };
            NextStep::of(NextKind::HarderCut, strand, Some(cut), text!["Harder cut: ", cut.name], reason)
        }
        None if why.is_empty() => NextStep::of(
            NextKind::Complete,
            strand,
            None,
            text![strand.name(), " complete"],
            Text::from("all five notches, finest cut"),
        ),
        None => NextStep::of(NextKind::Hold, strand, None, Text::from("Keep it up"), why),
    }
}

/// What the evidence clears, by the ladder, within what the age band may have.
pub(super) fn evidence_clears(input: &StandingInput<'_>, strands: &[StrandRule]) -> Cleared {
    let earned = |rung: &&ClearanceRung| {
        rung.notch.is_none_or(|kind| strands.iter().filter(|rule| rule.has(kind)).count() >= rung.strands)
    };
    let ladder = &input.catalogue.progress.ladder;
    let climbed: Vec<&ClearanceRung> = ladder.iter().take_while(earned).collect();
    let plain = climbed.iter().filter(|rung| !rung.special).map(|rung| rung.length);
    Cleared {
        length: plain.fold(Millimetres::ZERO, Millimetres::longer).shorter(input.longest_blade),
        special: climbed.iter().any(|rung| rung.special),
    }
}

/// The step for the student: safety first, then the first strand in teaching order that is behind.
pub(super) fn next_for_student(input: &StandingInput<'_>, strands: &[StrandRule], evidence_clears: Cleared) -> NextStep {
    const TAUGHT: [Strand; 4] = [Strand::Slice, Strand::Chop, Strand::Julienne, Strand::Dice];
    let rule = |strand: Strand| strands.iter().find(|rule| rule.strand == strand);
    let taught = || TAUGHT.into_iter().filter_map(rule);
    if let Some(lapsed) = taught().find(|rule| rule.has_lapsed()) {
        return lapsed.next.clone();
    }
    if evidence_clears.length > input.cleared.length {
        return longer_blade(input, evidence_clears.length);
    }
    if evidence_clears.special && !input.cleared.special {
        return special_clearance(input);
    }
    let ready = |rule_: &&StrandRule| {
        let below = rule_.strand.stands_on();
        below.iter().all(|below| rule(*below).is_some_and(|rule| rule.has(NotchKind::Safe)))
    };
    // Bring every strand to Even first, then to Paced, then to Held.
    for standing in [3, 4, 5] {
        if let Some(behind) = taught().filter(ready).find(|rule| rule.standing() < standing) {
            return behind.next.clone();
        }
    }
    taught().next().map_or_else(|| NextStep::placeholder(Strand::Slice), |rule| rule.next.clone())
}

fn longer_blade(input: &StandingInput<'_>, evidence_clears: Millimetres) -> NextStep {
    // One rung at a time, whatever the evidence would allow at once.
    let cleared = input.cleared.length;
    let rung = input.catalogue.progress.ladder.iter().find(|rung| !rung.special && rung.length > cleared);
    let blade = rung.map_or(evidence_clears, |rung| rung.length.shorter(evidence_clears));
    NextStep {
        kind: NextKind::LongerBlade,
        strand: None,
        cut: None,
        blade: Some(blade),
        title: text!["Longer blade: up to ", blade, ", watched"],
        reason: text![earned_by(rung), "; cleared to ", cleared, " so far"],
    }
}

fn special_clearance(input: &StandingInput<'_>) -> NextStep {
    NextStep {
        kind: NextKind::SpecialClearance,
        strand: None,
        cut: None,
        blade: None,
        title: text!["Special clearance: turning, boning, single-bevel, heavy and very long knives, watched"],
        reason: earned_by(input.catalogue.progress.special_rung()),
    }
}

/// What a rung was earned by: `Safe in 2 strands`.
fn earned_by(rung: Option<&ClearanceRung>) -> Text {
    let notch = rung.and_then(|rung| rung.notch).map_or("Safe", NotchKind::name);
    let strands = rung.map_or(0, |rung| rung.strands);
    text![notch, " in ", strands, if strands == 1 { " strand" } else { " strands" }]
}
