//! Names of schools on a host, and what they may ask.

use notch_core::school::{Allowance, HostName, SchoolCard, SchoolLimits, SchoolName, Standing};
use proptest::prelude::*;

#[test]
fn a_name_is_a_folder_and_a_part_of_an_address_and_nothing_else() {
    for fits in ["a", "lanternfish", "school-2", "0x", &"a".repeat(40)] {
        assert_eq!(fits.parse::<SchoolName>().map(|name| name.to_string()), Ok(fits.to_owned()));
    }
    for wrong in ["..", ".", "a/b", "a\\b", "Lanternfish", "-a", "a-", "a b", "ä", "a.b", "a\0", "%2e%2e", "a\n"] {
        let told = wrong.parse::<SchoolName>().unwrap_err().to_string();
        assert!(told.contains("allowed: a to z") && told.contains(wrong), "{told}");
    }
    let told = "x".repeat(300).parse::<SchoolName>().unwrap_err().to_string();
    assert_eq!(told, "The school's name has 300 characters; allowed: 1 to 40");
    assert!("".parse::<SchoolName>().is_err());
}

#[test]
fn a_host_name_is_the_same_large_or_small() {
    assert_eq!("Galley.Example.ORG".parse::<HostName>().unwrap().as_str(), "galley.example.org");
    for wrong in ["", ".", "a..b", "a:80", "-a.b", "a_b.c", "http://a", &"a".repeat(64), &"a.".repeat(130)] {
        assert!(wrong.parse::<HostName>().is_err(), "{wrong}");
    }
}

#[test]
fn a_card_may_leave_out_what_is_usual_and_nothing_is_taken_from_a_wrong_one() {
    let card: SchoolCard = serde_json::from_str(r#"{"title": "Lanternfish"}"#).unwrap();
    assert_eq!((card.standing, card.limits), (Standing::Open, SchoolLimits::default()));
    for wrong in [r#"{"titel": "x"}"#, r#"{"hosts": [".."]}"#, r#"{"standing": "shut"}"#] {
        assert!(serde_json::from_str::<SchoolCard>(wrong).is_err(), "{wrong}");
    }
    assert!(SchoolCard::check_title(&"x".repeat(81)).is_err());
}

proptest! {
    #[test]
    fn no_name_leads_out_of_its_folder(text in "\\PC{0,50}") {
        if let Ok(name) = text.parse::<SchoolName>() {
            prop_assert_eq!(std::path::Path::new(name.as_str()).components().count(), 1);
            prop_assert!(!name.as_str().contains(['/', '.', '\\', '%']));
        }
    }

    #[test]
    fn in_any_time_no_more_is_asked_than_is_allowed(a_second in 1u32..200, steps in prop::collection::vec(0u64..400, 1..300)) {
        let limits = SchoolLimits { requests_a_second: a_second, ..SchoolLimits::default() };
        let mut allowance = Allowance::full(limits, 0);
        let (mut at, mut taken) = (0, 0);
        for step in steps {
            at += step;
            taken += u64::from(allowance.take(limits, at));
            prop_assert!(taken * 1000 <= u64::from(a_second) * (10_000 + at));
        }
        // After ten seconds of nothing as many may be asked at once again.
        at += 10_000;
        let at_once = (0..=10 * a_second).filter(|_| allowance.take(limits, at)).count();
        prop_assert_eq!(at_once, 10 * a_second as usize);
    }
}
