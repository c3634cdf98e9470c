//! What a student does next: repeat, a harder cut, a longer blade, or more pace.

use jiff::civil::Date;
use serde::Serialize;

use super::{AttemptEvidence, StandingInput, StrandRule};
use crate::catalogue::{Catalogue, Cut, NotchKind, Strand};
use crate::units::Millimetres;

/// Kind of next step.
#[derive(Clone, Copy, Debug, PartialEq, Eq, Serialize)]
#[serde(rename_all = "snake_case")]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub enum NextKind {
    /// First attempts in a strand.
    Start,
    /// Another strand comes first.
    Wait,
    /// Clean attempts before anything else.
    SafeFirst,
    /// The same cut again.
    Repeat,
    /// A bigger size of the same family.
    EasierCut,
    /// The next finer cut.
    HarderCut,
    /// The same, quicker.
    Pace,
    /// A longer blade.
    LongerBlade,
    /// The two-week check.
    Hold,
    /// Nothing is left in this strand.
    Complete,
}

/// The step with its reason.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct NextStep {
    /// Kind.
    pub kind: NextKind,
    /// Strand it is about; none for a longer blade.
    pub strand: Option<Strand>,
    /// Id of the cut to practise.
    pub cut: Option<String>,
    /// Blade length to clear, for a longer blade.
    pub blade: Option<Millimetres>,
    /// Headline, e.g. `Harder cut: fine julienne`.
    pub title: String,
    /// Why.
    pub reason: String,
}

impl NextStep {
    /// Stands in the rule until the step is worked out from the rule itself.
    pub(super) fn placeholder(strand: Strand) -> Self {
        step(NextKind::Wait, strand, None, String::new(), String::new())
    }
}

fn step(kind: NextKind, strand: Strand, cut: Option<&Cut>, title: String, reason: String) -> NextStep {
    NextStep { kind, strand: Some(strand), cut: cut.map(|cut| cut.id.clone()), blade: None, title, reason }
}

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
    let why = open.map_or_else(String::new, |notch| notch.words.clone());
    if rule.attempts == 0 {
        return step(NextKind::Start, strand, cut, format!("Start: {name}"), format!("no attempt in {} yet", strand.name()));
    }
    if rule.has_lapsed() || attempts.last().is_some_and(|attempt| attempt.stop_fault) {
        return step(NextKind::SafeFirst, strand, cut, format!("Safe first: {}", strand.name()), why);
    }
    match open.map(|notch| notch.kind) {
        Some(NotchKind::True) => {
            let easier = current.and_then(|index| cuts.get(index.checked_sub(1)?).copied());
            match easier {
                Some(easier) if far_off(attempts) => {
                    step(NextKind::EasierCut, strand, Some(easier), format!("Easier cut: {}", easier.name), why)
                }
                _ => step(NextKind::Repeat, strand, cut, format!("Repeat: {name}"), why),
            }
        }
        Some(NotchKind::Safe) => step(NextKind::Repeat, strand, cut, format!("Repeat: {name}"), why),
        Some(NotchKind::Even) => step(NextKind::Repeat, strand, cut, format!("Repeat: {name}, for evenness"), why),
        Some(NotchKind::Paced) => step(NextKind::Pace, strand, cut, format!("Pace: {name}"), why),
        Some(NotchKind::Held) if held_from.is_some_and(|from| input.today >= from) => {
            step(NextKind::Hold, strand, cut, format!("Held: {name} again"), why)
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

fn harder(strand: Strand, cuts: &[&Cut], current: Option<usize>, why: String) -> NextStep {
    match current.and_then(|index| cuts.get(index + 1)) {
        Some(cut) => {
            let reason = if why.is_empty() { "all five notches are cut".to_owned() } else { format!("meanwhile; {why}") };
            step(NextKind::HarderCut, strand, Some(cut), format!("Harder cut: {}", cut.name), reason)
        }
        None if why.is_empty() => step(
            NextKind::Complete,
            strand,
            None,
            format!("{} complete", strand.name()),
            "all five notches, finest cut".to_owned(),
        ),
        None => step(NextKind::Hold, strand, None, "Keep it up".to_owned(), why),
    }
}

/// The longest blade that the evidence clears, by the ladder.
pub(super) fn evidence_clears(catalogue: &Catalogue, strands: &[StrandRule]) -> Millimetres {
    let earned = |notch: Option<NotchKind>, needed: usize| {
        notch.is_none_or(|kind| strands.iter().filter(|rule| rule.has(kind)).count() >= needed)
    };
    catalogue
        .progress
        .ladder
        .iter()
        .take_while(|rung| earned(rung.notch, rung.strands))
        .last()
        .map_or(Millimetres::ZERO, |rung| rung.length)
}

/// The step for the student: safety first, then the first strand in teaching order that is behind.
pub(super) fn next_for_student(input: &StandingInput<'_>, strands: &[StrandRule], evidence_clears: Millimetres) -> NextStep {
    const TAUGHT: [Strand; 4] = [Strand::Slice, Strand::Chop, Strand::Julienne, Strand::Dice];
    let rule = |strand: Strand| strands.iter().find(|rule| rule.strand == strand);
    let taught = || TAUGHT.into_iter().filter_map(rule);
    if let Some(lapsed) = taught().find(|rule| rule.has_lapsed()) {
        return lapsed.next.clone();
    }
    if evidence_clears > input.clearance {
        return longer_blade(input, evidence_clears);
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
    let rung = input.catalogue.progress.ladder.iter().find(|rung| rung.length > input.clearance);
    let blade = rung.map_or(evidence_clears, |rung| rung.length.shorter(evidence_clears));
    let notch = rung.and_then(|rung| rung.notch).map_or("Safe", NotchKind::name);
    let strands = rung.map_or(0, |rung| rung.strands);
    NextStep {
        kind: NextKind::LongerBlade,
        strand: None,
        cut: None,
        blade: Some(blade),
        title: format!("Longer blade: up to {blade} mm, watched"),
        reason: format!(
            "{notch} in {strands} {}; cleared to {} mm so far",
            if strands == 1 { "strand" } else { "strands" },
            input.clearance
        ),
    }
}
