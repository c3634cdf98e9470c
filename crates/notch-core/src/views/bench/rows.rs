//! Figures of several things side by side: one row a figure, its values and how they differ.

use serde::Serialize;

use super::onion::OnionView;
use super::view::{BenchView, BenchWay};
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
enum Better {
    More,
    Less,
    Neither,
}

/// How a figure is said.
#[derive(Clone, Copy)]
enum Said {
    Number,
    Share,
    Minutes,
    Grams,
    Money,
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
            Said::Number | Said::Grams => text![sign, self.words(by.abs())],
        }
    }
}

/// `1,350`.
fn number(whole: f64) -> String {
    let (thousands, rest) = ((whole / 1000.0).floor(), whole % 1000.0);
    if thousands > 0.0 { format!("{thousands:.0},{rest:03.0}") } else { format!("{whole:.0}") }
}

fn row(name: &str, values: &[Option<f64>], said: Said, better: Better) -> Option<BesideRow> {
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

/// Without figures that are nothing everywhere, such as the peel of what is not peeled.
fn some(values: Vec<Option<f64>>) -> Vec<Option<f64>> {
    if values.iter().flatten().any(|value| *value > 0.0) { values } else { Vec::new() }
}

/// The figures of cuts, each by the way it is worked.
pub(super) fn rows_of_cuts(cuts: &[BenchView]) -> Vec<BesideRow> {
    let ways: Vec<Option<&BenchWay>> = cuts.iter().map(BenchView::chosen_way).collect();
    let of = |figure: &dyn Fn(&BenchWay) -> f64| ways.iter().map(|way| way.map(figure)).collect::<Vec<_>>();
    // More pieces of another size are not better.
    let alike = cuts.windows(2).all(|pair| pair[0].target == pair[1].target && pair[0].title == pair[1].title);
    let more = if alike { Better::More } else { Better::Neither };
    let cost = ways.iter().map(|way| way.and_then(|way| way.cost_class)).collect::<Vec<_>>();
    [
        row("pieces from one", &of(&|way| f64::from(way.pieces)), Said::Number, more),
        row("not whole", &some(of(&|way| f64::from(way.partial))), Said::Number, Better::Less),
        row("strokes for one", &of(&|way| way.strokes as f64), Said::Number, Better::Less),
        row("time for one", &of(&|way| way.minutes), Said::Minutes, Better::Less),
        row("of it in pieces", &of(&|way| way.share), Said::Share, Better::More),
        row("trimmed off one", &some(of(&|way| way.trimmed_grams)), Said::Grams, Better::Less),
        row("ends of one", &some(of(&|way| way.ends_grams)), Said::Grams, Better::Less),
        row("core of one", &some(of(&|way| way.core_grams)), Said::Grams, Better::Less),
        row("peel of one", &some(of(&|way| way.peel_grams)), Said::Grams, Better::Less),
        row("for each student", &of(&|way| f64::from(way.units_each)), Said::Number, Better::Less),
        row("to buy for the class", &of(&|way| way.grams_class), Said::Grams, Better::Less),
        row("cost for the class", &cost, Said::Money, Better::Less),
    ]
    .into_iter()
    .flatten()
    .collect()
}

/// The figures of onions.
pub(super) fn rows_of_onions(onions: &[OnionView]) -> Vec<BesideRow> {
    let of = |figure: &dyn Fn(&OnionView) -> f64| onions.iter().map(|onion| Some(figure(onion))).collect::<Vec<_>>();
    [
        row("of the wanted size", &of(&|onion| onion.wanted), Said::Share, Better::More),
        row("in ribbons", &of(&|onion| onion.ribbons), Said::Share, Better::Less),
        row("in crumbs", &of(&|onion| onion.section.figures.share_crumbs), Said::Share, Better::Less),
        row("pieces of a half", &of(&|onion| onion.ball.figures.count as f64), Said::Number, Better::Neither),
        row("strokes", &of(&|onion| f64::from(onion.strokes)), Said::Number, Better::Less),
        row("towards the guide hand", &of(&|onion| f64::from(onion.strokes_towards_hand)), Said::Number, Better::Less),
    ]
    .into_iter()
    .flatten()
    .collect()
}
