//! Whether a student may use a knife: one answer for Plan, Class, Playbook and Rack.

use std::collections::BTreeSet;

use crate::common::{CATALOGUE, course, mm, rack, student};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::KnifeType;
use notch_core::eligibility::{Barrier, Holder, barriers, dull_barrier};
use notch_core::fitting::{Candidate, Fixed, Job, suggest};
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{EdgeState, Knife, Student};

/// Cleared to so many millimetres.
fn cleared(length: f64, special: bool, hand: Hand) -> Student {
    let mut student = student("Ivo", hand, &[]);
    student.fields.clearance = mm(length);
    student.fields.special_clearance = special;
    student
}

/// A knife with its type.
type Typed = (&'static KnifeType, Knife);

fn knife(kind: &str, length: f64) -> Typed {
    let kind = CATALOGUE.knife(kind).unwrap();
    let mut knife = rack().into_iter().find(|knife| knife.fields.knife_type == kind.id).unwrap();
    knife.fields.length = mm(length);
    (kind, knife)
}

fn ids(student: &Student, age_band: AgeBand, (kind, knife): &Typed) -> Vec<&'static str> {
    barriers(student, age_band, (kind, knife), None, &CATALOGUE.progress).iter().map(Barrier::id).collect()
}

#[test]
fn each_barrier_stands_where_an_instructor_would_put_it() {
    let adult = AgeBand::Adult;
    let cases: [(Student, AgeBand, Typed, &[&str]); 12] = [
        (cleared(210.0, false, Hand::Right), adult, knife("chefs", 210.0), &[]),
        (cleared(180.0, false, Hand::Right), adult, knife("chefs", 210.0), &["student.clearance"]),
        (cleared(260.0, false, Hand::Right), adult, knife("chefs", 260.0), &[]),
        // Beyond what length alone clears: the special clearance, not a longer and longer ladder.
        (cleared(260.0, false, Hand::Right), adult, knife("chefs", 300.0), &["student.special"]),
        (cleared(260.0, true, Hand::Right), adult, knife("chefs", 300.0), &[]),
        (cleared(210.0, true, Hand::Right), adult, knife("chefs", 300.0), &["student.clearance"]),
        (cleared(210.0, false, Hand::Right), adult, knife("cleaver", 170.0), &["student.special"]),
        (cleared(210.0, true, Hand::Right), adult, knife("cleaver", 170.0), &[]),
        (cleared(260.0, true, Hand::Left), adult, knife("single_bevel_slicer", 260.0), &["student.hand"]),
        // No clearance takes a child over the length of the age band.
        (cleared(210.0, true, Hand::Right), AgeBand::Child, knife("chefs", 200.0), &["length.age"]),
        (cleared(130.0, false, Hand::Right), AgeBand::Child, knife("petty", 130.0), &[]),
        (cleared(100.0, false, Hand::Right), AgeBand::Child, knife("petty", 130.0), &["student.clearance"]),
    ];
    for (student, age_band, knife, expected) in cases {
        let (kind, length) = (&knife.0.id, knife.1.fields.length);
        assert_eq!(ids(&student, age_band, &knife), expected, "{kind} {length} for {:?}", student.fields);
    }
}

#[test]
fn a_knife_that_is_dull_gone_or_in_use_is_nobodys() {
    let (kind, mut knife) = knife("chefs", 200.0);
    let student = cleared(210.0, false, Hand::Right);
    let held = |by: i64| Some(Holder { student_id: by, name: "Ann" });
    let told = |knife: &Knife, holder| barriers(&student, AgeBand::Adult, (kind, knife), holder, &CATALOGUE.progress);
    assert!(told(&knife, None).is_empty() && dull_barrier(&knife).is_none());
    assert!(told(&knife, held(student.id)).is_empty(), "it is in this student's own hand");
    assert_eq!(told(&knife, held(7)).first().map(Barrier::id), Some("rack.in_use"));
    knife.fields.edge_state = EdgeState::Dull;
    assert_eq!(told(&knife, None).first().map(Barrier::id), Some("edge.dull"));
    knife.archived = true;
    let all: Vec<&str> = told(&knife, held(7)).iter().map(Barrier::id).collect();
    assert_eq!(all, ["rack.archived", "edge.dull", "rack.in_use"], "gravest first, none left out");
}

#[test]
fn the_special_clearance_reaches_the_longest_knife_of_the_catalogue() {
    let longest = CATALOGUE.knives.iter().max_by(|a, b| a.length.to.get().total_cmp(&b.length.to.get())).unwrap();
    let ladder = &CATALOGUE.progress;
    let best = cleared(ladder.longest_by_length().get(), true, Hand::Right);
    let knife = knife(&longest.id, longest.length.to.get());
    assert!(knife.1.fields.length > ladder.longest_by_length(), "the catalogue has knives beyond the plain rungs");
    assert_eq!(ids(&best, AgeBand::Adult, &knife), [""; 0], "{} {}", longest.id, longest.length.to);
    assert!(ladder.special_rung().unwrap().length >= longest.length.to);
}

/// What Plan refuses for a student is what Class will not hand out, over every type, length and student.
#[test]
fn plan_and_class_refuse_the_same_knives() {
    let (food, cut) = (CATALOGUE.food("carrot").unwrap(), CATALOGUE.cut("julienne").unwrap());
    let target = CATALOGUE.target("eighth", "julienne").unwrap();
    let asked: BTreeSet<&str> = ["length.age", "student.clearance", "student.special", "student.hand"].into();
    for age_band in [AgeBand::Adult, AgeBand::Child] {
        let course = course(age_band);
        for (clearance, special, hand) in
            [(100.0, false, Hand::Right), (210.0, false, Hand::Left), (260.0, false, Hand::Right), (260.0, true, Hand::Left)]
        {
            let student = cleared(clearance, special, hand);
            for (kind, shown) in CATALOGUE.knives.iter().zip(rack()) {
                for length in [kind.length.from, kind.length.usual, kind.length.to] {
                    let mut knife = shown.clone();
                    knife.fields.length = length;
                    let knives = [knife.clone()];
                    let at_hand = AtHand { catalogue: &CATALOGUE, course: &course, students: &[], knives: &knives };
                    let candidate = Candidate { length, hand: knife.fields.hand, ..Candidate::of_type(kind) };
                    let job = Job::of(&at_hand, food, cut, target, Some(&student));
                    let found = suggest(&job, &[candidate], Fixed { knife: Some(0), ..Fixed::default() });
                    let plan: BTreeSet<&str> = found.knives[0]
                        .fit
                        .objections()
                        .map(|finding| finding.rule)
                        .filter(|rule| asked.contains(rule))
                        .collect();
                    let class: BTreeSet<&str> = ids(&student, age_band, &(kind, knife)).into_iter().collect();
                    assert_eq!(plan, class, "{} {length} for {clearance} mm, special {special}, {hand:?}", kind.id);
                }
            }
        }
    }
}
