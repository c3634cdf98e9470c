//! The windows of evidence that notches look back on, and what is missing in each.

use super::AttemptEvidence;
use crate::catalogue::ProgressRules;
use crate::measure::{Z_TWO_SIDED_95, wilson_lower};
use crate::text;
use crate::text::Text;

/// Whether a threshold is met, and the figures in words.
pub(super) struct Met {
    pub met: bool,
    pub words: Text,
}

impl Met {
    fn no(words: impl Into<Text>) -> Self {
        Met { met: false, words: words.into() }
    }
}

/// Safe: the last attempts are all clean.
pub(super) fn safe(rules: &ProgressRules, attempts: &[&AttemptEvidence]) -> Met {
    let clean = attempts.iter().rev().take_while(|attempt| attempt.is_clean()).count();
    let needed = rules.clean_attempts;
    if clean >= needed {
        return Met { met: true, words: text!["the last ", needed, " attempts were clean, grip and hold ticked"] };
    }
    let last = attempts.last();
    let why = match last {
        None => Text::from("no attempt yet"),
        Some(last) if last.stop_fault => Text::from("the last attempt had a Stop fault"),
        Some(last) if !last.grip_ticked && !last.hold_ticked => Text::from("grip and hold were not ticked in the last attempt"),
        Some(last) if !last.grip_ticked => Text::from("the grip was not ticked in the last attempt"),
        Some(last) if !last.hold_ticked => Text::from("the hold was not ticked in the last attempt"),
        Some(_) => text![clean, " clean so far"],
    };
    Met::no(text!["needs ", needed, " clean attempts in a row: ", why])
}

/// True: what the last blind pieces prove, and their bias.
pub(super) fn truth(rules: &ProgressRules, attempts: &[&AttemptEvidence]) -> Met {
    let pieces: Vec<_> = counted(attempts).flat_map(|attempt| &attempt.pieces).collect();
    let window = pieces.get(pieces.len().saturating_sub(rules.true_pieces)..).unwrap_or(&[]);
    if window.is_empty() {
        return Met::no("no blind sample yet");
    }
    let inside = window.iter().filter(|piece| piece.inside).count();
    let proves = wilson_lower(inside, window.len(), Z_TWO_SIDED_95);
    let mean_off = |offs: Vec<f64>| if offs.is_empty() { 0.0 } else { offs.iter().sum::<f64>() / offs.len() as f64 };
    let thickness = mean_off(window.iter().filter_map(|piece| piece.thickness_off).collect());
    let width = mean_off(window.iter().filter_map(|piece| piece.width_off).collect());
    let bias = if width.abs() > thickness.abs() { width } else { thickness };
    let (enough, unbiased) = (proves >= rules.true_wilson, bias.abs() <= rules.true_bias_share + 1e-9);
    let mut words = text![inside, " of ", window.len(), " inside proves ", format!("{:.0}", (proves * 100.0).floor()), " %"];
    if !enough {
        words.push(text![", needs ", format!("{:.0}", rules.true_wilson * 100.0), " %"]);
        if let Some(more) = inside_of_next(rules, window.iter().map(|piece| piece.inside).collect()) {
            words.push(text!["; ", more, " of the next 20 inside would do"]);
        }
    }
    if !unbiased {
        let way = if bias > 0.0 { "thick" } else { "thin" };
        words.push(text![
            "; ",
            way,
            " by ",
            format!("{:.0}", bias.abs() * 100.0),
            " % of the tolerance, at the most ",
            format!("{:.0}", rules.true_bias_share * 100.0),
            " %"
        ]);
    }
    Met { met: enough && unbiased, words }
}

/// How many of the next 20 pieces must be inside for the window to prove enough.
fn inside_of_next(rules: &ProgressRules, window: Vec<bool>) -> Option<usize> {
    const NEXT: usize = 20;
    let keep = rules.true_pieces.saturating_sub(NEXT).min(window.len());
    let kept = window.get(window.len() - keep..)?.iter().filter(|inside| **inside).count();
    (0..=NEXT).find(|more| wilson_lower(kept + more, keep + NEXT, Z_TWO_SIDED_95) >= rules.true_wilson)
}

/// Even: the CV of each of the last sampled attempts.
pub(super) fn even(rules: &ProgressRules, attempts: &[&AttemptEvidence]) -> Met {
    let sampled: Vec<_> = counted(attempts).filter_map(|attempt| Some((attempt.cv?, attempt.even_cv))).collect();
    let needed = rules.even_attempts;
    let last = sampled.get(sampled.len().saturating_sub(needed)..).unwrap_or(&[]);
    if last.len() < needed {
        return Met::no(text!["needs ", needed, " measured attempts, has ", last.len()]);
    }
    let worst = last.iter().copied().reduce(|a, b| if b.0 / b.1 > a.0 / a.1 { b } else { a }).unwrap_or((0.0, 1.0));
    let met = last.iter().all(|(cv, limit)| *cv <= limit + 1e-9);
    let sign = if met { "at or under" } else { "over" };
    Met {
        met,
        words: text![
            "spread ",
            format!("{:.0}", worst.0 * 100.0),
            " % of the size in the last ",
            needed,
            " attempts, ",
            sign,
            " ",
            format!("{:.0}", worst.1 * 100.0),
            " %"
        ],
    }
}

/// Paced: the last timed attempt against the reference time.
pub(super) fn paced(rules: &ProgressRules, attempts: &[&AttemptEvidence]) -> Met {
    let timed = counted(attempts).filter_map(|a| Some((a.seconds?, a.reference_seconds?))).last();
    let Some((seconds, reference)) = timed else {
        return Met::no("no timed attempt with a reference time yet");
    };
    let limit = reference * rules.paced_factor;
    let met = seconds <= limit + 1e-9;
    let (took, allowed, usual) = (clock(seconds), clock(limit), clock(reference));
    Met { met, words: text![took, " against ", allowed, " (", format!("{}", rules.paced_factor), " × ", usual, ")"] }
}

/// Attempts that count: those without a Stop fault.
fn counted<'a>(attempts: &'a [&'a AttemptEvidence]) -> impl Iterator<Item = &'a AttemptEvidence> {
    attempts.iter().copied().filter(|attempt| !attempt.stop_fault)
}

/// Seconds as `4:10`.
fn clock(seconds: f64) -> String {
    let whole = seconds.max(0.0).round() as u64;
    format!("{}:{:02}", whole / 60, whole % 60)
}
