//! Cuts and onions side by side.

use crate::common::{CATALOGUE, bench_question as question, course, mm, rack};
use notch_core::Problem;
use notch_core::at_hand::AtHand;
use notch_core::geometry::Way;
use notch_core::onion::Method;
use notch_core::people::AgeBand;
use notch_core::views::{
    BenchQuestion, Beside, BesideQuestion, BesideRow, OnionQuestion, OnionsQuestion, bench_beside, onion_view, onions_beside,
};

fn beside(cuts: Vec<BenchQuestion>) -> Result<Beside, Vec<Problem>> {
    let (course, knives) = (course(AgeBand::Adult), rack());
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
    bench_beside(&at_hand, &BesideQuestion { cuts })
}

#[test]
fn two_or_three_stand_beside_each_other_with_the_difference_said() {
    let found = beside(vec![question("carrot", "julienne"), question("carrot", "batonnet")]).unwrap();
    assert_eq!((found.cuts.len(), found.differences.len()), (2, 1));
    let (a, b) = (&found.cuts[0].ways[0], &found.cuts[1].ways[0]);
    let words = found.differences[0].to_string();
    assert!(words.starts_with("Batonnet of carrot") && words.contains("than julienne of carrot"), "{words}");
    assert!(words.contains(&format!("{} fewer pieces", a.pieces - b.pieces)), "{words}");
    let ways = beside(vec![
        question("carrot", "julienne"),
        BenchQuestion { way: Way::FlatFirst, ..question("carrot", "julienne") },
        question("potato", "julienne"),
    ])
    .unwrap();
    assert!(
        ways.differences[0].to_string().contains("flat first") && ways.differences[0].to_string().contains(" more pieces"),
        "{:?}",
        ways.differences
    );
    let same = beside(vec![question("carrot", "coins"), question("carrot", "coins")]).unwrap();
    assert!(
        same.differences[0].to_string().contains("as many pieces") && same.differences[0].to_string().contains("as many strokes")
    );
    let uncounted = beside(vec![question("carrot", "coins"), question("carrot", "rough_chop")]).unwrap();
    assert!(uncounted.differences[0].to_string().contains("not both counted"));
    for wrong in [vec![question("carrot", "coins")], vec![question("carrot", "coins"); 4]] {
        assert_eq!(beside(wrong).unwrap_err()[0].pointer, "/cuts");
    }
    let bad = beside(vec![question("carrot", "coins"), BenchQuestion { good: 0, ..question("carrot", "coins") }]).unwrap_err();
    assert_eq!(bad[0].pointer, "/cuts/1/good", "what is wrong is told at its place");
}

#[track_caller]
fn row<'a>(rows: &'a [BesideRow], name: &str) -> &'a BesideRow {
    rows.iter().find(|row| row.name == name).unwrap_or_else(|| panic!("{name} in {rows:?}"))
}

fn said(texts: &[Option<notch_core::text::Text>]) -> Vec<String> {
    texts.iter().map(|text| text.as_ref().map_or_else(String::new, ToString::to_string)).collect()
}

#[test]
fn each_figure_is_a_row_with_its_difference_and_the_better_one() {
    let kitchen = BenchQuestion { way: Way::FlatFirst, ..question("carrot", "julienne") };
    let found = beside(vec![question("carrot", "julienne"), kitchen.clone()]).unwrap();
    for row in &found.rows {
        assert_eq!((row.values.len(), row.differences.len()), (2, 1), "{row:?}");
    }
    // Worked by hand from the two ways: 62 sticks squared and 75 flat first, in 55 and 77 strokes.
    let pieces = row(&found.rows, "pieces from one");
    assert_eq!((said(&pieces.values), said(&pieces.differences)), (vec!["62".into(), "75".into()], vec!["+ 13".into()]));
    assert_eq!(pieces.better, Some(1), "more of the same piece");
    let strokes = row(&found.rows, "strokes for one");
    assert_eq!((said(&strokes.differences), strokes.better), (vec!["+ 22".into()], Some(0)));
    assert_eq!(row(&found.rows, "peel of one").better, None, "equal, so neither");
    let bought = row(&found.rows, "to buy for the class");
    assert_eq!(said(&bought.differences), ["the same"]);
    assert!(!found.rows.iter().any(|row| row.name.starts_with("cost") || row.name.starts_with("core")), "no row of nothing");

    let other = beside(vec![question("carrot", "julienne"), question("carrot", "batonnet")]).unwrap();
    assert_eq!(row(&other.rows, "pieces from one").better, None, "fewer of a larger piece is not worse");
    let uncounted = beside(vec![question("carrot", "coins"), question("carrot", "rough_chop")]).unwrap();
    let strokes = row(&uncounted.rows, "strokes for one");
    assert!(strokes.values[1].is_none() && strokes.differences[0].is_none() && strokes.better.is_none(), "{strokes:?}");

    let priced = |cut: BenchQuestion| BenchQuestion { price: Some(2.0), ..cut };
    let dear = beside(vec![priced(question("carrot", "batonnet")), priced(kitchen), question("potato", "batonnet")]).unwrap();
    let cost = row(&dear.rows, "cost for the class");
    assert!(cost.values[2].is_none() && cost.better.is_none(), "a price that is not known is not the better one");
}

#[test]
fn onions_are_compared_row_by_row() {
    let both = OnionsQuestion { onions: vec![onion(Method::Verticals), onion(Method::Level { level: 2 })] };
    let rows = onions_beside(&both, 7).unwrap().rows;
    assert_eq!((said(&row(&rows, "strokes").differences), row(&rows, "strokes").better), (vec!["+ 2".into()], Some(0)));
    assert_eq!(row(&rows, "towards the guide hand").better, Some(0));
    assert_eq!(row(&rows, "of the wanted size").better, Some(1), "level cuts are more even");
    assert_eq!(row(&rows, "pieces of a half").better, None);
}

fn onion(method: Method) -> OnionQuestion {
    OnionQuestion { radius: mm(40.0), layers: 8, cuts: 9, places: None, uneven: 0.0, method, size: mm(6.35), length: None }
}

#[test]
fn onions_are_put_elsewhere_and_stand_beside_each_other() {
    let even = onion_view(&onion(Method::Verticals), 7).unwrap();
    assert_eq!(even.places.len(), 9);
    let same = onion_view(&OnionQuestion { places: Some(even.places.clone()), ..onion(Method::Verticals) }, 7).unwrap();
    assert_eq!(same.section, even.section, "cuts put where they were anyway");
    let uneven = onion_view(&OnionQuestion { uneven: 0.3, ..onion(Method::Verticals) }, 7).unwrap();
    assert!(uneven.section.figures.cv > even.section.figures.cv, "uneven steps scatter the pieces");
    let wrong = onion_view(&OnionQuestion { places: Some(vec![0.5, 0.2]), ..onion(Method::Verticals) }, 7).unwrap_err();
    assert_eq!(wrong[0].pointer, "/places");
    let wrong = onion_view(&OnionQuestion { uneven: 0.9, ..onion(Method::Verticals) }, 7).unwrap_err();
    assert_eq!(wrong[0].pointer, "/uneven");
    let wrong = onion_view(&OnionQuestion { length: Some(mm(5.0)), ..onion(Method::Verticals) }, 7).unwrap_err();
    assert_eq!(wrong[0].pointer, "/length");
    let both = OnionsQuestion { onions: vec![onion(Method::Verticals), onion(Method::Level { level: 2 })] };
    let found = onions_beside(&both, 7).unwrap();
    assert!(
        found.differences[0].to_string().contains("2 more strokes, 2 more towards the guide hand"),
        "{:?}",
        found.differences
    );
    let back = onions_beside(&OnionsQuestion { onions: both.onions.iter().rev().cloned().collect() }, 7).unwrap();
    assert!(
        back.differences[0].to_string().contains("2 fewer strokes, 2 fewer towards the guide hand"),
        "{:?}",
        back.differences
    );
    assert_eq!(onions_beside(&OnionsQuestion { onions: Vec::new() }, 7).unwrap_err()[0].pointer, "/onions");
    let wrong = onions_beside(&OnionsQuestion { onions: vec![onion(Method::Centre), onion(Method::Below { depth: 0.0 })] }, 7);
    assert_eq!(wrong.unwrap_err()[0].pointer, "/onions/1/method/depth");
}

#[test]
fn half_rings_turned_are_the_cells_of_verticals() {
    let (a, b) = (onion_view(&onion(Method::Verticals), 7).unwrap(), onion_view(&onion(Method::HalfRings), 7).unwrap());
    assert_eq!(a.section, b.section);
    assert_ne!(a.name, b.name);
}
