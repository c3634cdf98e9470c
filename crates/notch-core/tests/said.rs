//! What is said to people, as they read it: a file for each area, to be read through by somebody who
//! teaches. A sentence that changes shows here. Taken over with `INSTA_UPDATE=always cargo test --test said`.

use std::fmt::Write;

use crate::common::{CATALOGUE, course, mm, rack, student};
use jiff::civil::date;
use notch_core::at_hand::AtHand;
use notch_core::care::{CareHistory, due};
use notch_core::eligibility::{Holder, barriers};
use notch_core::fitting::rules;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{EdgeState, KnifeFields, Student};
use notch_core::views::{AdviceChoice, BenchQuestion, advise, bench_view};

/// Jobs of an ordinary week.
const JOBS: [(&str, &str); 24] = [
    ("carrot", "julienne"),
    ("carrot", "brunoise"),
    ("carrot", "baton"),
    ("carrot", "coins"),
    ("potato", "batonnet"),
    ("potato", "medium_dice"),
    ("potato", "large_dice"),
    ("onion", "small_dice"),
    ("onion", "half_moons"),
    ("celery", "batonnet"),
    ("celery", "small_dice"),
    ("courgette", "coins"),
    ("cucumber", "coins"),
    ("leek", "coins"),
    ("leek", "julienne"),
    ("tomato", "coins"),
    ("tomato", "wedges"),
    ("garlic", "mince"),
    ("parsley", "mince"),
    ("cabbage", "chiffonade"),
    ("bread", "plank"),
    ("raw_fish", "bias_coins"),
    ("butternut", "large_dice"),
    ("apple", "wedges"),
];

fn class() -> Vec<Student> {
    let students =
        [student("Ivo", Hand::Right, &["celery"]), student("Ann", Hand::Left, &[]), student("Bee", Hand::Right, &["fish"])];
    (1..).zip(students).map(|(id, student)| Student { id, ..student }).collect()
}

#[test]
fn advice() {
    let mut told = String::new();
    for age_band in [AgeBand::Adult, AgeBand::Child] {
        let (course, students, knives) = (course(age_band), class(), rack());
        let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
        for (food, cut) in JOBS {
            let choice = format!(r#"{{ "food": "{food}", "cut": "{cut}", "amount": {{ "kind": "pieces", "count": 20 }} }}"#);
            let choice: AdviceChoice = serde_json::from_str(&choice).unwrap();
            let Ok(advice) = advise(&at_hand, &choice) else { continue };
            writeln!(told, "{} · {:?} · {}", advice.title, age_band, advice.target.said()).unwrap();
            if let Some(setup) = &advice.setup {
                writeln!(told, "  {} · {}", setup.knife_name, setup.words).unwrap();
            }
            for knife in &advice.knives {
                for finding in knife.fit.objections() {
                    writeln!(told, "  {} | {}: {}", knife.name, finding.rule, finding.words).unwrap();
                }
            }
            for caution in &advice.cautions {
                writeln!(told, "  ! {} | {} {}", caution.id, caution.title, caution.text).unwrap();
            }
        }
    }
    insta::assert_snapshot!("advice", told);
}

#[test]
fn fitting_rules() {
    let mut told: Vec<String> = rules().map(|rule| format!("{}: {}", rule.id, rule.text)).collect();
    told.sort();
    insta::assert_snapshot!("rules", told.join("\n"));
}

#[test]
fn what_stands_between_a_student_and_a_knife() {
    let mut told = String::new();
    let mut learner = student("Ivo", Hand::Left, &[]);
    learner.fields.clearance = mm(130.0);
    for age_band in [AgeBand::Adult, AgeBand::Child] {
        for (kind, mut knife) in CATALOGUE.knives.iter().zip(rack()) {
            knife.fields.edge_state = if knife.id % 5 == 0 { EdgeState::Dull } else { EdgeState::Sharp };
            knife.archived = knife.id % 7 == 0;
            let holder = (knife.id % 4 == 0).then_some(Holder { student_id: 9, name: "Ann" });
            for barrier in barriers(&learner, age_band, (kind, &knife), holder, &CATALOGUE.progress) {
                let problem = barrier.problem(&knife);
                writeln!(
                    told,
                    "{age_band:?} · {} | {}: {} Allowed: {}.",
                    kind.label(knife.fields.length),
                    barrier.id(),
                    problem.sentence,
                    problem.allowed
                )
                .unwrap();
            }
        }
    }
    insta::assert_snapshot!("barriers", told);
}

#[test]
fn what_pieces_show() {
    let target = CATALOGUE.target("eighth", "julienne").unwrap();
    let tolerance = CATALOGUE.tolerance("school").unwrap();
    let mut told = String::new();
    for (name, side) in [
        ("true", [3.2; 10]),
        ("thick", [4.4; 10]),
        ("thin", [2.2; 10]),
        ("drifting", [2.4, 2.6, 2.8, 3.0, 3.2, 3.4, 3.6, 3.8, 4.0, 4.2]),
        ("uneven", [2.2, 4.2, 2.4, 4.0, 2.6, 3.9, 2.3, 4.1, 2.5, 4.3]),
    ] {
        let lines: Vec<String> = side.iter().map(|size| format!("{size} {size} 50")).collect();
        let pieces = parse_pieces(&lines.join("\n")).unwrap();
        let verdict = judge(&CATALOGUE, &target, tolerance, SampleCustom::BlindTen, &pieces);
        writeln!(told, "{name}: {} of {} inside", verdict.inside.count, verdict.inside.of).unwrap();
        for say in &verdict.says {
            writeln!(told, "  {}: {} “{}”", say.id, say.words, say.cue).unwrap();
        }
    }
    insta::assert_snapshot!("pieces", told);
}

#[test]
fn refused_fields() {
    let mut told = String::new();
    let course = course(AgeBand::Adult);
    let mut wrong = course.fields.clone();
    (wrong.name, wrong.school, wrong.place) = (String::new(), " ".into(), "x".repeat(90));
    (wrong.standard_set, wrong.tolerance, wrong.time_zone) = ("roman".into(), "loose".into(), "Atlantis/Centre".into());
    (wrong.lesson_minutes, wrong.boards) = (0, 900);
    let mut learner = student("", Hand::Right, &["", "celery"]).fields;
    (learner.station, learner.clearance) = (0, mm(500.0));
    let knife =
        KnifeFields { number: String::new(), knife_type: "halberd".into(), length: mm(900.0), ..rack()[0].fields.clone() };
    let students = class();
    let knives = rack();
    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &students, knives: &knives };
    let bench = |more: &str| {
        let question = format!(r#"{{ "food": "carrot", "cut": "julienne", "good": 20, "success": 0.8 {more} }}"#);
        let question: BenchQuestion = serde_json::from_str(&question).unwrap();
        bench_view(&at_hand, &question).unwrap_err()
    };
    let all = [
        ("Course", wrong.check(&CATALOGUE)),
        ("Student", learner.check()),
        ("Knife", knife.check(&CATALOGUE)),
        ("Bench", bench(r#", "thickness": 0.1"#)),
        ("Bench", bench(r#", "shape": { "kind": "cylinder", "diameter": 30, "length": 100 }"#)),
        ("Bench", bench(r#", "price": 5000"#)),
    ];
    for (form, problems) in all {
        for problem in problems {
            writeln!(told, "{form} {} [{}]: {}", problem.pointer, problem.name, problem.sentence).unwrap();
            assert!(problem.name.starts_with(char::is_uppercase), "the name is the label on the screen: {}", problem.name);
        }
    }
    insta::assert_snapshot!("refusals", told);
}

#[test]
fn what_is_due() {
    let mut told = String::new();
    let today = date(2026, 10, 6);
    for (kind, knife) in CATALOGUE.knives.iter().zip(rack()) {
        for class_today in [true, false] {
            let found = due(&CATALOGUE, (kind, &knife.fields), &CareHistory::default(), &Default::default(), today, class_today);
            for each in found {
                writeln!(
                    told,
                    "{}{}: {}. {}",
                    kind.label(knife.fields.length),
                    if class_today { ", class today" } else { "" },
                    each.title,
                    each.why
                )
                .unwrap();
            }
        }
    }
    insta::assert_snapshot!("due", told);
}
