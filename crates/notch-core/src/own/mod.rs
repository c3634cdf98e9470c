//! A school's own values: standards, tolerances, foods, cues and thresholds that it copied or
//! edited, laid over the shipped catalogue. Each can be compared with what was shipped, and dropped
//! again. What was judged keeps the figures of its day, since an attempt carries its own target.

mod differences;
mod lay;
mod sizes;
mod uses;
mod value;

pub use differences::Difference;
pub use lay::{InForce, SetAside, in_force, with_own};
pub use sizes::{SizeTexts, parse_size, sizes_of};
pub use uses::OwnUses;
pub use value::{OwnFood, OwnKind, OwnRecord, OwnValue};

#[cfg(test)]
mod tests {
    use std::collections::BTreeMap;

    use super::*;
    use crate::catalogue::{Catalogue, TargetSize};

    #[test]
    fn sizes_are_read_as_they_are_written() {
        assert_eq!(parse_size(""), Ok(None));
        assert!(matches!(parse_size("1/8 in"), Ok(Some(TargetSize::Exact { size })) if size.get() == 3.175));
        assert!(matches!(parse_size("1-1/2 in"), Ok(Some(TargetSize::Exact { size })) if size.get() == 38.1));
        assert!(
            matches!(parse_size("1/8 in - 1/4 in"), Ok(Some(TargetSize::Range { from, to })) if from.get() == 3.175 && to.get() == 6.35)
        );
        assert!(matches!(parse_size("2-5"), Ok(Some(TargetSize::Range { .. }))));
        assert!(matches!(parse_size("under 3"), Ok(Some(TargetSize::Below { .. }))));
        assert!(parse_size("5-2").is_err() && parse_size("0").is_err() && parse_size("a lot").is_err());
        let catalogue = Catalogue::shipped().unwrap();
        for set in &catalogue.sets {
            let mut problems = Vec::new();
            assert_eq!(lay::read_sizes(&catalogue, &sizes_of(set), &mut problems), set.cuts, "{problems:?}");
        }
    }

    #[test]
    fn an_edited_set_differs_just_where_it_was_edited() {
        let shipped = Catalogue::shipped().unwrap();
        let mut sizes = sizes_of(shipped.set("metric").unwrap());
        sizes.get_mut("julienne").unwrap().thickness = "2.5".to_owned();
        let own = OwnValue::StandardSet { id: "metric".into(), name: "metric kitchen".into(), based_on: "metric".into(), sizes };
        let found = own.differences(&shipped).unwrap();
        assert_eq!(found.len(), 1, "{found:?}");
        assert_eq!((found[0].shipped.as_str(), found[0].own.as_str()), ("2", "2.5"));
    }

    #[test]
    fn wrong_values_are_told_at_their_field() {
        let shipped = Catalogue::shipped().unwrap();
        let wrong = |own: OwnValue| with_own(&shipped, &[own]).unwrap_err();
        let cue = wrong(OwnValue::Cue { id: "no_such_fault".into(), cue: "x".into() });
        assert_eq!(cue[0].pointer, "/id");
        let mut food = OwnFood::from(shipped.food("carrot").unwrap());
        food.firmness = 9;
        assert!(wrong(OwnValue::Food { based_on: "carrot".into(), food })[0].message.contains("firmness"));
        let sizes = BTreeMap::from([("julienne".to_owned(), SizeTexts { thickness: "thick".into(), ..SizeTexts::default() })]);
        let set = wrong(OwnValue::StandardSet { id: "own_a".into(), name: "a".into(), based_on: "metric".into(), sizes });
        assert_eq!(set[0].pointer, "/sizes/julienne/thickness");
    }

    #[test]
    fn a_copy_gets_an_id_of_its_own() {
        assert_eq!(value::own_id("Harbour sizes!", []), "own_harbour_sizes");
        assert_eq!(value::own_id("Harbour sizes!", ["own_harbour_sizes"]), "own_harbour_sizes_2");
    }
}
