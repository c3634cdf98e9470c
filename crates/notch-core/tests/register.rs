//! The rack as a table, numbers as they are called out, and sizes of the school's own.

use std::collections::BTreeSet;
use std::sync::LazyLock;

use notch_core::catalogue::Catalogue;
use notch_core::own::{OwnValue, parse_size, sizes_of, with_own};
use notch_core::records::{KnifeFields, parse_numbers, read_knives, write_knives};
use proptest::prelude::*;

static CATALOGUE: LazyLock<Catalogue> = LazyLock::new(|| Catalogue::shipped().unwrap());

fn read(text: &str) -> Vec<KnifeFields> {
    let table = read_knives(&CATALOGUE, text, &BTreeSet::new()).unwrap();
    assert_eq!(table.wrong, 0, "{table:?}");
    table.rows.into_iter().filter_map(|row| row.fields).collect()
}

#[test]
fn a_table_is_read_as_it_is_written() {
    let text = "number,type,length,edge_angle,bolster,hollowed,cost,name,note\n\
                1,chefs,200,17.5,full,no,48.5,\"the, old one\",\"said \"\"keep\"\"\"\n\
                2,Santoku,165,14,none,yes,,,\n";
    let knives = read(text);
    assert_eq!((knives[0].name.as_str(), knives[0].note.as_str()), ("the, old one", "said \"keep\""));
    assert!(knives[1].hollowed && knives[1].knife_type == "santoku");
    assert_eq!(read(&write_knives(&knives)), knives);
}

#[test]
fn semicolons_other_orders_of_columns_and_inches_are_read() {
    let knives = read("\u{feff}Length;Number;Type\n8 in;A1;chefs\n3-1/2 in;A2;paring\n");
    assert!((knives[0].length.get() - 203.2).abs() < 1e-9 && (knives[1].length.get() - 88.9).abs() < 1e-9);
}

#[test]
fn each_wrong_row_is_told_with_its_line_and_a_number_twice_is_one_of_them() {
    let text = "number,type,length,hand,tang\n1,chefs,200,,\n1,chefs,200,,\n2,chefs,nine,,\n3,chefs,200,both,\n4,single_bevel_slicer,270,left,full\n";
    let table = read_knives(&CATALOGUE, text, &BTreeSet::new()).unwrap();
    let told: Vec<(u64, &str)> =
        table.rows.iter().filter(|row| row.fields.is_none()).map(|row| (row.line, row.problems[0].pointer.as_str())).collect();
    assert_eq!(told, [(3, "/number"), (4, "/length"), (5, "/hand")]);
}

#[test]
fn numbers_are_read_as_they_are_called_out() {
    assert_eq!(parse_numbers("1 2, 5-7;A3 2").unwrap(), ["1", "2", "5", "6", "7", "A3"]);
    assert!(parse_numbers("9-5").is_err() && parse_numbers("1-9999").is_err());
    assert!(parse_numbers("  ").unwrap().is_empty());
}

proptest! {
    #[test]
    fn no_text_breaks_the_readers(text in "\\PC{0,200}", lines in proptest::collection::vec("[a-z0-9,;\"/ .-]{0,40}", 0..12)) {
        let _ = read_knives(&CATALOGUE, &text, &BTreeSet::new());
        let table = format!("number,type,length\n{}", lines.join("\n"));
        if let Ok(table) = read_knives(&CATALOGUE, &table, &BTreeSet::new()) {
            prop_assert_eq!(table.sound + table.wrong, table.rows.len());
            prop_assert!(table.rows.iter().all(|row| row.fields.is_some() == row.problems.is_empty()));
        }
        let _ = parse_numbers(&text);
        let _ = parse_size(&text);
    }

    #[test]
    fn an_edited_size_reaches_the_target_and_no_other(thickness in 0.5f64..30.0) {
        let shown = (thickness * 100.0).round() / 100.0;
        let mut sizes = sizes_of(CATALOGUE.set("metric").unwrap());
        sizes.get_mut("baton").unwrap().thickness = shown.to_string();
        let own = OwnValue::StandardSet { id: "metric".into(), name: "ours".into(), based_on: "metric".into(), sizes };
        let ours = with_own(&CATALOGUE, &[own]).unwrap();
        let (before, after) = (CATALOGUE.set("metric").unwrap(), ours.set("metric").unwrap());
        prop_assert!((after.cuts["baton"].thickness.unwrap().nominal().get() - shown).abs() < 1e-9);
        for (cut, target) in before.cuts.iter().filter(|(cut, _)| *cut != "baton") {
            prop_assert_eq!(&after.cuts[cut], target);
        }
    }
}

#[test]
fn a_table_of_nothing_but_faults_is_told_within_bounds() {
    let commas = read_knives(&CATALOGUE, &",".repeat(250_000), &BTreeSet::new()).unwrap_err();
    assert_eq!(commas.len(), 1, "one problem, not one for each column");
    let row = "x,y,z,h,q\n";
    let text = format!("number,type,length,heel_height,hand\n{}", row.repeat(5_000));
    let table = read_knives(&CATALOGUE, &text, &BTreeSet::new()).unwrap();
    assert_eq!(table.wrong, 5_000, "every wrong row is told");
    assert!(table.rows[0].problems.len() > 1, "the first in full");
    assert!(table.rows[4_999].problems.len() == 1 && table.problems().len() < 6_000);
}
