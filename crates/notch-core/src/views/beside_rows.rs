//! Figures of several things side by side: one row a figure, its values and how they differ.

use serde::Serialize;

use crate::text;
use crate::text::{Grams, Minutes, Text, as_counted};

/// One figure of each thing that stands side by side.
#[derive(Clone, Debug, PartialEq, Serialize)]
#[cfg_attr(feature = "openapi", derive(utoipa::ToSchema))]
pub struct BesideRow {
    /// What is counted or weighed.
    pub name: String,
    /// The figure of each, none where it has none.
    pub values: Vec<Option<Text>>,
    /// How each after the first differs from it.
    pub differences: Vec<Option<Text>>,
    /// Which is the better one; none where they are equal, or where neither more nor less is better.
    pub better: Option<usize>,
}

/// What is better of a figure.
#[derive(Clone, Copy, PartialEq)]
pub(super) enum Better {
    More,
    Less,
    Neither,
}

/// How a figure is said.
#[derive(Clone, Copy)]
pub(super) enum Said {
    Number,
    Share,
    Minutes,
    Grams,
    Money,
    /// Standard deviation, mm.
    Spread,
}

impl Said {
    /// The figure as it is said, so that the difference of two is that of what stands in the row.
    fn rounded(self, value: f64) -> f64 {
        match self {
            Said::Number => as_counted(value),
            Said::Share => (value * 100.0 + 1e-9).floor(),
            Said::Minutes => Minutes(value).as_said(),
            Said::Grams => Grams(value).as_said(),
            Said::Money => (value * 10.0).round() / 10.0,
            Said::Spread => (value * 100.0).round() / 100.0,
        }
    }

    /// In words, of a figure that is rounded already.
    fn words(self, rounded: f64) -> Text {
        match self {
            Said::Number => text![number(rounded)],
            Said::Share => text![format!("{rounded:.0} %")],
            Said::Minutes => text![Minutes(rounded)],
            Said::Grams => text![Grams(rounded)],
            Said::Money => text![format!("{rounded:.2}")],
            Said::Spread => text![format!("{rounded:.2} mm")],
        }
    }

    fn difference(self, by: f64) -> Text {
        if by == 0.0 {
            return Text::from("the same");
        }
        let sign = if by < 0.0 { "− " } else { "+ " };
        match self {
            Said::Share => text![sign, format!("{:.0} in 100", by.abs())],
            // Tenths that were taken from each other are tenths.
            Said::Minutes | Said::Money => text![sign, self.words((by.abs() * 10.0).round() / 10.0)],
            Said::Spread => text![sign, self.words((by.abs() * 100.0).round() / 100.0)],
            Said::Grams if by.abs() < 1000.0 => text![sign, format!("{:.0} g", by.abs())],
            Said::Number | Said::Grams => text![sign, self.words(by.abs())],
        }
    }
}

/// `1,350`.
fn number(whole: f64) -> String {
    let (thousands, rest) = ((whole / 1000.0).floor(), whole % 1000.0);
    if thousands > 0.0 { format!("{thousands:.0},{rest:03.0}") } else { format!("{whole:.0}") }
}

/// One figure in a row; none where nothing has it.
pub(super) fn row(name: &str, values: &[Option<f64>], said: Said, better: Better) -> Option<BesideRow> {
    let rounded: Vec<Option<f64>> = values.iter().map(|value| value.map(|value| said.rounded(value))).collect();
    let first = rounded.first().copied().flatten();
    let differences = rounded.iter().skip(1).map(|other| Some(said.difference((*other)? - first?))).collect();
    let known: Vec<(usize, f64)> = rounded.iter().enumerate().filter_map(|(index, value)| Some((index, (*value)?))).collect();
    let ahead = |a: f64, b: f64| if better == Better::More { a > b } else { a < b };
    let best = known.iter().find(|(index, value)| known.iter().all(|(other, than)| other == index || ahead(*value, *than)));
    let all = known.len() == values.len() && better != Better::Neither;
    (!known.is_empty()).then(|| BesideRow {
        name: name.to_owned(),
        values: rounded.iter().map(|value| value.map(|value| said.words(value))).collect(),
        differences,
        better: best.map(|(index, _)| *index).filter(|_| all),
    })
}
