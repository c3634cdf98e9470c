//! Lengths as they are typed and written: the same table that the front end is tested with.

use notch_core::units::{Millimetres, parse_length};
use serde_json::Value;

fn table() -> Value {
    serde_json::from_str(include_str!("figures/lengths.json")).unwrap()
}

#[test]
fn typed_lengths_are_read_as_in_the_table() {
    for case in table()["typed"].as_array().unwrap() {
        let (text, unit) = (case["text"].as_str().unwrap(), case["unit"].as_str().unwrap());
        let read = parse_length(&format!("{text} {unit}")).unwrap().get();
        assert!((read - case["mm"].as_f64().unwrap()).abs() < 1e-9, "{text} {unit}: {read}");
    }
    for text in table()["no_length"].as_array().unwrap() {
        assert!(parse_length(text.as_str().unwrap()).is_err(), "{text}");
    }
}

#[test]
fn lengths_are_written_as_in_the_table() {
    for case in table()["written"].as_array().unwrap() {
        let shown = Millimetres::new(case["mm"].as_f64().unwrap()).unwrap().to_string();
        assert_eq!(shown, case["text"].as_str().unwrap(), "{case}");
    }
}
