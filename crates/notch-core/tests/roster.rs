//! A class list as it is pasted, and knives by count.

use std::collections::BTreeSet;

use crate::common::{CATALOGUE, mm};
use notch_core::people::{Hand, HandSize};
use notch_core::records::{StudentFields, read_knife_list};
use notch_core::roster::{AlreadyKnown, Roster, RosterDefaults, read_roster, write_roster};
use proptest::prelude::*;

fn read_with(text: &str, known: &[AlreadyKnown]) -> Roster {
    read_roster(&CATALOGUE.roster, text, &RosterDefaults { clearance: mm(130.0), apart: BTreeSet::new() }, known).unwrap()
}

fn read(text: &str) -> Roster {
    read_with(text, &[])
}

fn one(text: &str) -> StudentFields {
    let read = read(text);
    assert_eq!(read.lines.len(), 1, "{text}");
    let line = &read.lines[0];
    line.fields.clone().unwrap_or_else(|| panic!("{text}: {:?}", line.problems))
}

/// Name, hand, size and allergies of a line.
fn in_short(text: &str) -> (String, Hand, HandSize, String) {
    let found = one(text);
    (found.name, found.hand, found.hand_size, found.allergies.join("+"))
}

#[test]
fn one_line_is_understood_in_any_order_and_with_any_sign() {
    use Hand::{Left, Right};
    use HandSize::{Large, Medium, Small};
    for (text, name, hand, size, allergies) in [
        ("Maren Oake", "Maren Oake", Right, Medium, ""),
        ("Maren Oake, left, small, celery", "Maren Oake", Left, Small, "celery"),
        ("left; celery; Maren Oake; small hands", "Maren Oake", Left, Small, "celery"),
        ("small\tMaren Oake\tleft-handed\tcelery allergy", "Maren Oake", Left, Small, "celery"),
        ("Maren Oake (left, small)", "Maren Oake", Left, Small, ""),
        ("Maren Oake | L | S", "Maren Oake", Left, Small, ""),
        ("Maren Oake | R | L", "Maren Oake", Right, Large, ""),
        ("Maren Oake left-handed", "Maren Oake", Left, Medium, ""),
        ("Maren Oake left small allergic to celery and nuts", "Maren Oake", Left, Small, "celery+nuts"),
        ("Maren Oake, allergic to prawns, kiwi", "", Right, Medium, ""),
        ("Maren Oake; allergies: prawns, kiwi", "Maren Oake", Right, Medium, "crustaceans+kiwi"),
        ("3. Maren Oake, large", "Maren Oake", Right, Large, ""),
        ("3\tMaren Oake\tlarge", "Maren Oake", Right, Large, ""),
        ("• Maren Oake", "Maren Oake", Right, Medium, ""),
        ("\"Oake, Maren\", left", "Oake, Maren", Left, Medium, ""),
        ("Oake, Maren, left", "Maren Oake", Left, Medium, ""),
        ("Maren\tOake\tleft", "Maren Oake", Left, Medium, ""),
        ("Maren Oake, no allergies, left", "Maren Oake", Left, Medium, ""),
        ("Maren Oake, -, none", "Maren Oake", Right, Medium, ""),
        ("Ann Fish", "Ann Fish", Right, Medium, ""),
        ("John Small", "John Small", Right, Medium, ""),
        ("Ada Large, small", "Ada Large", Right, Small, ""),
        ("Ṣọlá Adébáyọ̀; gauche", "", Right, Medium, ""),
        ("Ṣọlá Adébáyọ̀; left", "Ṣọlá Adébáyọ̀", Left, Medium, ""),
        ("李小龍, left, small", "李小龍", Left, Small, ""),
        ("محمد علي, left", "محمد علي", Left, Medium, ""),
        ("Seán \"Jack\" O'Brien, left", "Seán \"Jack\" O'Brien", Left, Medium, ""),
    ] {
        if name.is_empty() {
            let read = read(text);
            assert!(read.lines[0].fields.is_none() && !read.lines[0].problems.is_empty(), "{text}: {:?}", read.lines[0]);
            continue;
        }
        assert_eq!(in_short(text), (name.to_owned(), hand, size, allergies.to_owned()), "{text}");
    }
}

#[test]
fn a_clearance_is_a_length_and_never_a_bare_number() {
    assert_eq!(one("Maren Oake, 180 mm").clearance, mm(180.0));
    assert_eq!(one("Maren Oake, cleared to 210").clearance, mm(210.0));
    assert_eq!(one("Maren Oake").clearance, mm(130.0));
    assert!(read("Maren Oake, 180").lines[0].fields.is_none());
    assert!(read("Maren Oake, 20 mm").lines[0].problems[0].message.contains("20 mm"));
}

#[test]
fn a_head_says_what_its_columns_hold() {
    let text = "No\tFirst name\tSurname\te-mail\tHand\tSize\tAllergies\n1\tMaren\tOake\tm@x\tL\tL\tcelery, kiwi\n2\tPell\tQuist\t\tR\tS\t\n";
    let found = read(text);
    assert_eq!(found.left_out, ["e-mail"]);
    let fields: Vec<StudentFields> = found.lines.iter().map(|line| line.fields.clone().unwrap()).collect();
    assert_eq!((fields[0].name.as_str(), fields[0].hand, fields[0].hand_size), ("Maren Oake", Hand::Left, HandSize::Large));
    assert_eq!(fields[0].allergies, ["celery", "kiwi"]);
    assert_eq!((fields[1].name.as_str(), fields[1].hand, fields[1].hand_size), ("Pell Quist", Hand::Right, HandSize::Small));
    assert_eq!(found.lines[0].line, 2, "lines are counted from the head on");
}

#[test]
fn bad_lines_are_named_and_the_others_stand() {
    let text =
        "Maren Oake, left\nMaren Oake\n\nPell Quist, banana split\nleft, small\nJuno Pike, left, right\nAda Quill; L\nRafa Solis";
    let found = read(text);
    let wrong: Vec<(usize, String)> = found
        .lines
        .iter()
        .filter(|line| line.fields.is_none())
        .map(|line| (line.line, line.problems[0].message.clone()))
        .collect();
    let lines: Vec<usize> = wrong.iter().map(|(line, _)| *line).collect();
    assert_eq!(lines, [2, 4, 5, 6, 7], "{wrong:?}");
    assert_eq!((found.sound, found.wrong), (2, 5));
    assert!(wrong[0].1.contains("stands in line 1 too"), "{}", wrong[0].1);
    assert!(wrong[1].1.contains("“banana split” is not understood"), "{}", wrong[1].1);
    assert!(wrong[4].1.contains("left or large"), "{}", wrong[4].1);
    let stations: Vec<u16> = found.lines.iter().filter_map(|line| line.fields.as_ref()).map(|each| each.station).collect();
    assert_eq!(stations, [1, 2], "stations are numbered by themselves, without gaps");
}

#[test]
fn who_is_known_comes_along_and_no_allergy_is_lost() {
    let known = |id: i64, name: &str, here: bool, station: u16| AlreadyKnown {
        person_id: id,
        here,
        fields: StudentFields {
            name: name.into(),
            station,
            hand: Hand::Left,
            hand_size: HandSize::Small,
            clearance: mm(210.0),
            special_clearance: true,
            allergies: vec!["celery".into()],
            notes: "sits".into(),
        },
    };
    let school = [known(7, "Maren Oake", false, 1), known(8, "Pell Quist", true, 1)];
    let found = read_with("maren  oake, nuts\nPell Quist\nJuno Pike", &school);
    let maren = found.lines[0].fields.clone().unwrap();
    assert_eq!(found.lines[0].person_id, Some(7));
    assert_eq!((maren.hand, maren.clearance, maren.special_clearance), (Hand::Left, mm(210.0), true));
    assert_eq!(maren.allergies, ["nuts", "celery"]);
    assert!(found.lines[1].problems[0].message.contains("in the course already"));
    assert_eq!(found.lines[2].fields.as_ref().unwrap().station, 3, "the station of who is there is not given again");
    assert_eq!(maren.station, 2);
    // Another of that name is told apart, and nothing of the one who is known is taken over.
    let apart = RosterDefaults { clearance: mm(130.0), apart: [1].into() };
    let other = read_roster(&CATALOGUE.roster, "Maren Oake", &apart, &school).unwrap().lines[0].clone();
    assert_eq!((other.person_id, other.fields.unwrap().allergies.len()), (None, 0));
}

#[test]
fn more_than_a_course_holds_is_said_line_by_line() {
    let text: String = (0..2_000).map(|index| format!("Person {index}, left\n")).collect();
    let found = read(&text);
    assert_eq!((found.sound, found.wrong), (60, 1_940));
    assert!(found.lines[60].problems[0].message.contains("60 students"));
    let text: String = (0..5_001).map(|index| format!("Person {index}\n")).collect();
    assert!(
        read_roster(&CATALOGUE.roster, &text, &RosterDefaults { clearance: mm(130.0), apart: BTreeSet::new() }, &[]).is_err()
    );
}

fn counts(text: &str) -> Vec<(usize, String, f64)> {
    let found = read_knife_list(&CATALOGUE, text, &BTreeSet::new()).unwrap();
    let told = |item: &notch_core::records::KnifeCounted| {
        let first = item.knives.first().unwrap_or_else(|| panic!("{}: {:?}", item.text, item.problems));
        (item.knives.len(), first.knife_type.clone(), first.length.get())
    };
    found.items.iter().map(told).collect()
}

#[test]
fn knives_are_counted_as_they_are_said() {
    for (text, count, kind, length) in [
        ("6 chef's 200", 6, "chefs", 200.0),
        ("6 chefs knives 200 mm", 6, "chefs", 200.0),
        ("chef's knife", 1, "chefs", 200.0),
        ("chef’s 8 in x 6", 6, "chefs", 203.2),
        ("6 x Chef's 210", 6, "chefs", 210.0),
        ("4 paring 90", 4, "paring", 90.0),
        ("1 bread", 1, "bread", 230.0),
        ("a serrated", 1, "bread", 230.0),
        ("2 bird's-beak", 2, "birds_beak", 70.0),
        ("3 turning knives", 3, "birds_beak", 70.0),
        ("two", 0, "", 0.0),
        ("5 peelers", 5, "peeler_swivel", 50.0),
        ("one cleaver", 1, "cleaver", 170.0),
        ("2 single-bevel 270", 2, "single_bevel_slicer", 270.0),
        ("3 utility 130", 3, "petty", 130.0),
    ] {
        if count == 0 {
            let found = read_knife_list(&CATALOGUE, text, &BTreeSet::new()).unwrap();
            assert!(found.items[0].knives.is_empty() && found.items[0].problems[0].message.contains("not known"), "{text}");
            continue;
        }
        assert_eq!(counts(text), [(count, kind.to_owned(), length)], "{text}");
    }
    assert_eq!(counts("6 chef's 200, 4 paring 90; 1 bread\n2 slicer").len(), 4);
}

#[test]
fn new_knives_take_the_numbers_that_are_free() {
    let taken: BTreeSet<String> = ["1", "3", "B2"].map(str::to_owned).into();
    let found = read_knife_list(&CATALOGUE, "2 chef's 200, 1 bread", &taken).unwrap();
    let numbers: Vec<&str> = found.items.iter().flat_map(|item| &item.knives).map(|knife| knife.number.as_str()).collect();
    assert_eq!(numbers, ["2", "4", "5"]);
    assert_eq!(found.items[0].said.to_string(), "2 × Chef's 200 mm, numbers 2 to 4");
}

#[test]
fn wrong_items_say_what_is_allowed() {
    let wrong = |text: &str| {
        let found = read_knife_list(&CATALOGUE, text, &BTreeSet::new()).unwrap();
        assert!(found.items[0].knives.is_empty(), "{text}");
        found.items[0].problems[0].message.clone()
    };
    assert!(wrong("6 swords").contains("Chef's, "));
    assert!(wrong("0 bread").contains("1 to 60"));
    assert!(wrong("61 bread").contains("1 to 60"));
    assert!(wrong("2 chef's 900").contains("900"));
    assert!(wrong("2 chef's 20x").contains("20x"));
    assert!(read_knife_list(&CATALOGUE, &"60 bread,".repeat(9), &BTreeSet::new()).is_err());
}

proptest! {
    #[test]
    fn no_text_makes_the_readers_panic_and_no_two_share_a_station(text in "[\\PC\t\n,;|()]{0,400}") {
        let found = read(&text);
        prop_assert_eq!(found.sound + found.wrong, found.lines.len());
        let stations: Vec<u16> = found.lines.iter().filter_map(|line| line.fields.as_ref()).map(|each| each.station).collect();
        prop_assert_eq!(stations.iter().collect::<BTreeSet<_>>().len(), stations.len());
        for line in &found.lines {
            prop_assert_ne!(line.fields.is_some(), !line.problems.is_empty(), "{:?}", line);
        }
        let _ = read_knife_list(&CATALOGUE, &text, &BTreeSet::new());
    }

    #[test]
    fn a_written_list_is_read_back(
        people in proptest::collection::vec(
            ("[=+@-]{0,1}[A-Z][a-zé']{1,12} [A-Z][a-z-]{2,14}", any::<bool>(), 0usize..3, 60u16..=400, proptest::collection::btree_set("celery|nuts|kiwi|milk", 0..3)), 1..40,
        ),
    ) {
        let mut seen = BTreeSet::new();
        let people: Vec<StudentFields> = (1u16..)
            .zip(people.into_iter().filter(|person| seen.insert(person.0.to_lowercase())))
            .map(|(station, (name, left, size, clearance, allergies))| StudentFields {
                name,
                station,
                hand: if left { Hand::Left } else { Hand::Right },
                hand_size: [HandSize::Small, HandSize::Medium, HandSize::Large][size],
                clearance: mm(f64::from(clearance)),
                special_clearance: false,
                allergies: allergies.into_iter().collect(),
                notes: "=1+1".into(),
            })
            .collect();
        let found = read(&write_roster(people.iter()));
        let back: Vec<StudentFields> = found.lines.iter().map(|line| line.fields.clone().unwrap_or_else(|| panic!("{line:?}"))).collect();
        prop_assert_eq!(back, people);
    }
}
