//! The figures of cuts and of onions side by side.

use super::onion::OnionView;
use super::view::{BenchView, BenchWay};
use crate::views::beside_rows::{BesideRow, Better, Said, row};

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
