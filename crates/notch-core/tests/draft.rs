//! Drafting a course: the hard rules hold, and no single step betters a draft.

use jiff::ToSpan;
use jiff::civil::{Date, date};
use notch_core::at_hand::AtHand;
use notch_core::catalogue::NotchKind;
use notch_core::draft::{
    ClassEvidence, DraftBlock, DraftQuestion, DraftSession, Drafting, GoalFields, HardRule, Plan, Remedy, remedies,
};
use notch_core::people::{AgeBand, Hand};
use notch_core::records::{Course, CourseFields, Knife, Student};
use notch_core::resources::{BoardSize, Resources, Watchers};
use notch_core::units::Millimetres;
use proptest::prelude::*;

use super::common::{CATALOGUE, course, knife, student};

const FIRST: Date = date(2026, 9, 8);

fn sessions(count: u16, every: i64, minutes: u16) -> Vec<DraftSession> {
    (0..count)
        .map(|index| DraftSession { number: index + 1, day: FIRST + (i64::from(index) * every).days(), minutes, held: false })
        .collect()
}

fn class(count: i64) -> Vec<Student> {
    (1..=count).map(|id| Student { id, person_id: id, ..student(&format!("Student {id}"), Hand::Right, &[]) }).collect()
}

fn goal(cut: &str, notch: NotchKind, by: u16) -> GoalFields {
    GoalFields { cut: cut.into(), notch, by }
}

/// Two chef's knives for three students, and what else a galley has.
fn galley() -> Vec<Knife> {
    let kinds = ["chefs"; 10].into_iter().chain(["paring"; 4]).chain(["petty"; 3]).chain(["bread"]);
    (1..).zip(kinds).map(|(id, kind)| knife(id, kind)).collect()
}

fn shown(drafting: &Drafting<'_>, plan: &Plan) -> String {
    let line = |(index, places): (usize, &Vec<notch_core::draft::Place>)| {
        let of = |place: &notch_core::draft::Place| {
            let choice = &drafting.choices()[place.choice];
            format!("{} of {} ({} min)", choice.cut, choice.food, choice.minutes)
        };
        format!("{}: {}", index + 1, places.iter().map(of).collect::<Vec<_>>().join(", "))
    };
    plan.0.iter().enumerate().map(line).collect::<Vec<_>>().join("\n")
}

#[derive(Debug)]
struct Made {
    course: Course,
    students: Vec<Student>,
    knives: Vec<Knife>,
}

impl Made {
    fn at_hand(&self) -> AtHand<'_> {
        AtHand { catalogue: &CATALOGUE, course: &self.course, students: &self.students, knives: &self.knives }
    }
}

/// The plan's own words, to be read as an instructor reads them.
#[test]
fn eight_evenings_of_trainees() {
    let made = Made { course: course(AgeBand::Adult), students: class(14), knives: galley() };
    let evidence = ClassEvidence::default();
    let goals = vec![goal("small_dice", NotchKind::Even, 8)];
    let question = DraftQuestion { sessions: sessions(8, 7, 42), blocks: vec![], goals, evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    let plan = drafting.draft();
    assert_eq!(drafting.value(&plan).broken(), 0);
    assert!(drafting.goal_state(&plan, 0).in_time);
    insta::assert_snapshot!(shown(&drafting, &plan));
}

#[test]
fn one_evening_goes_its_whole_way() {
    let made = Made { course: course(AgeBand::Adult), students: class(10), knives: galley() };
    let evidence = ClassEvidence::default();
    let question = DraftQuestion { sessions: sessions(1, 7, 82), blocks: vec![], goals: vec![], evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    insta::assert_snapshot!(shown(&drafting, &drafting.draft()));
}

#[test]
fn children_start_with_what_their_knives_do() {
    let kinds = ["child_cooks"; 8];
    let knives = (1..).zip(kinds).map(|(id, kind)| knife(id, kind)).collect();
    let students = class(8).into_iter().map(|mut student| {
        student.fields.clearance = Millimetres::whole(130);
        student
    });
    let made = Made { course: course(AgeBand::Child), students: students.collect(), knives };
    let evidence = ClassEvidence::default();
    let question = DraftQuestion { sessions: sessions(6, 7, 30), blocks: vec![], goals: vec![], evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    insta::assert_snapshot!(shown(&drafting, &drafting.draft()));
}

/// A goal that eight evenings do not reach says what would reach it, and each of these does.
#[test]
fn a_goal_out_of_reach_says_what_would_reach_it() {
    let made = Made { course: course(AgeBand::Adult), students: class(14), knives: galley() };
    let evidence = ClassEvidence::default();
    let goals = vec![goal("small_dice", NotchKind::Even, 5)];
    let question = DraftQuestion { sessions: sessions(6, 7, 42), blocks: vec![], goals, evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    let state = drafting.goal_state(&drafting.draft(), 0);
    assert!(!state.in_time && state.planned < state.needed);
    let found = remedies(&at_hand, &question, 0);
    assert!(found.contains(&Remedy::Lower { notch: NotchKind::True }), "{found:?}");
    assert!(found.iter().any(|remedy| matches!(remedy, Remedy::MoreSessions { .. })), "{found:?}");
}

/// A goal before any session is one that is not reached, and the others stay what they are.
#[test]
fn a_goal_before_any_session_is_not_reached() {
    let made = Made { course: course(AgeBand::Adult), students: class(6), knives: galley() };
    let evidence = ClassEvidence::default();
    let mut later = sessions(4, 7, 60);
    later.iter_mut().for_each(|session| session.number += 2);
    for sessions in [vec![], later] {
        let goals = vec![goal("mince", NotchKind::Safe, 2), goal("coins", NotchKind::Safe, 6)];
        let reached = !sessions.is_empty();
        let question = DraftQuestion { sessions, blocks: vec![], goals, evidence: &evidence };
        let at_hand = made.at_hand();
        let drafting = Drafting::of(&at_hand, &question);
        let plan = drafting.draft();
        assert!(!drafting.goal_state(&plan, 0).in_time);
        assert_eq!(drafting.goal_state(&plan, 1).in_time, reached);
    }
}

#[test]
fn what_the_class_knows_is_reviewed_and_not_new() {
    let made = Made { course: course(AgeBand::Adult), students: class(14), knives: galley() };
    let known = vec![("batonnet".to_owned(), FIRST), ("mince".to_owned(), FIRST), ("coins".to_owned(), FIRST)];
    let evidence = ClassEvidence { known, students: Vec::new() };
    let mut sessions = sessions(3, 7, 42);
    sessions.iter_mut().for_each(|session| session.day += 7.days());
    let question = DraftQuestion { sessions, blocks: vec![], goals: vec![], evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    let plan = drafting.draft();
    let cuts: Vec<&str> = plan.0[0].iter().map(|place| drafting.choices()[place.choice].cut.as_str()).collect();
    assert!(["coins", "mince", "batonnet"].iter().any(|known| cuts.contains(known)), "{cuts:?}");
    // Batons are what batonnets are cut after: who cuts these needs no first lesson in those.
    assert!(!shown(&drafting, &plan).contains("baton of"), "{}", shown(&drafting, &plan));
}

/// Whoever is not watched waits: the same class takes more minutes, and what does not fit any more is not drafted.
#[test]
fn who_is_not_watched_waits() {
    let of_brunoise = |watched: Option<Watchers>| {
        let mut made = Made { course: course(AgeBand::Adult), students: class(10), knives: galley() };
        made.course.fields.resources.instructors = watched;
        let evidence = ClassEvidence::default();
        let question = DraftQuestion { sessions: sessions(8, 7, 42), blocks: vec![], goals: vec![], evidence: &evidence };
        let at_hand = made.at_hand();
        let drafting = Drafting::of(&at_hand, &question);
        let plan = drafting.draft();
        assert_eq!(drafting.value(&plan).broken(), 0);
        let brunoise = drafting.choices().iter().find(|choice| choice.cut == "brunoise" && choice.food == "carrot").unwrap();
        (brunoise.rounds, brunoise.minutes, plan.0.iter().map(Vec::len).sum::<usize>())
    };
    let (rounds, minutes, blocks) = of_brunoise(None);
    let (watched_rounds, watched_minutes, watched_blocks) = of_brunoise(Some(Watchers { people: 1, each: 5 }));
    assert_eq!((rounds, watched_rounds), (1, 2));
    assert!(watched_minutes > minutes && watched_blocks <= blocks, "{minutes} {watched_minutes}, {blocks} {watched_blocks}");
}

/// Boards too narrow for a food keep it off, with the reason; a narrower food of the same cut is drafted.
#[test]
fn a_small_board_keeps_broad_food_off() {
    let mut made = Made { course: course(AgeBand::Adult), students: class(6), knives: galley() };
    let (length, width) = (Millimetres::whole(250), Millimetres::whole(100));
    made.course.fields.resources.board_size = Some(BoardSize { length, width });
    let evidence = ClassEvidence::default();
    let block = |cut: &str, food: &str| DraftBlock {
        session: 0,
        cut: cut.into(),
        food: food.into(),
        pinned: true,
        amount: None,
        own_minutes: None,
    };
    let blocks = vec![block("halve", "cabbage"), block("batonnet", "carrot")];
    let question = DraftQuestion { sessions: sessions(1, 7, 200), blocks, goals: vec![], evidence: &evidence };
    let at_hand = made.at_hand();
    let drafting = Drafting::of(&at_hand, &question);
    let faults = |place: usize| drafting.choices()[drafting.stood().0[0][place].choice].faults.clone();
    let (rule, words) = faults(0).into_iter().find(|(rule, _)| *rule == HardRule::Board).unwrap();
    assert_eq!(
        (rule, words.to_string().as_str()),
        (HardRule::Board, "White cabbage: 160 mm across on boards 100 mm wide. A larger board.")
    );
    assert_eq!(faults(1), []);
}

/// The food of a session costs no more than it may; what nobody gave a price is not reckoned.
#[test]
fn food_that_costs_too_much_is_not_drafted() {
    let mut catalogue = CATALOGUE.clone();
    for food in &mut catalogue.foods {
        food.price = Some(4.0);
    }
    let mut made = Made { course: course(AgeBand::Adult), students: class(10), knives: galley() };
    let evidence = ClassEvidence::default();
    let mut cost = |budget: Option<f64>| {
        made.course.fields.resources.food_budget = budget;
        let at_hand = AtHand { catalogue: &catalogue, ..made.at_hand() };
        let question = DraftQuestion { sessions: sessions(4, 7, 60), blocks: vec![], goals: vec![], evidence: &evidence };
        let drafting = Drafting::of(&at_hand, &question);
        let plan = drafting.draft();
        assert_eq!(drafting.value(&plan).broken(), 0);
        let of = |places: &Vec<notch_core::draft::Place>| {
            places.iter().map(|place| drafting.choices()[place.choice].cost).sum::<u32>()
        };
        plan.0.iter().map(of).max().unwrap()
    };
    let dear = cost(None);
    assert!(dear > 1000, "{dear}");
    let within = cost(Some(10.0));
    assert!(within > 0 && within <= 1000, "{within}");
}

prop_compose! {
    fn a_goal()(cut in 0..CATALOGUE.draft.techniques.len(), notch in 0..5usize, by in 1..12u16) -> GoalFields {
        goal(&CATALOGUE.draft.techniques[cut].cut, NotchKind::ALL[notch], by)
    }
}

prop_compose! {
    fn a_made_course()(
        child in any::<bool>(),
        boards in 1..20u16,
        people in 0..26i64,
        clearances in proptest::collection::vec(0..6usize, 26),
        allergies in proptest::collection::vec(0..30usize, 26),
        kinds in proptest::collection::vec(0..CATALOGUE.knives.len(), 0..12),
        set in 0..3usize,
        board in proptest::option::of((150..500u16, 100..150u16)),
        watched in proptest::option::of((1..4u16, 1..12u16)),
    ) -> Made {
        let mut course = course(if child { AgeBand::Child } else { AgeBand::Adult });
        course.fields.boards = boards;
        course.fields.resources = Resources {
            board_size: board.map(|(length, width)| BoardSize { length: Millimetres::whole(length), width: Millimetres::whole(width) }),
            instructors: watched.map(|(people, each)| Watchers { people, each }),
            ..Resources::default()
        };
        course.fields.standard_set = CATALOGUE.sets[set].id.clone();
        let mut students = class(people);
        for (student, (clearance, allergy)) in students.iter_mut().zip(clearances.into_iter().zip(allergies)) {
            student.fields.clearance = CATALOGUE.progress.ladder[clearance].length;
            student.fields.allergies = if allergy == 0 { vec!["celery".into()] } else { vec![] };
        }
        let knives = (1..).zip(kinds).map(|(id, kind)| knife(id, &CATALOGUE.knives[kind].id)).collect();
        Made { course, students, knives }
    }
}

/// Minutes and days of sessions, goals, and blocks by session, technique and pin.
type Asked = (Vec<(u16, i64)>, Vec<GoalFields>, Vec<(usize, usize, bool)>);

fn a_question() -> impl Strategy<Value = Asked> {
    (
        proptest::collection::vec((0..120u16, 1..15i64), 0..11),
        proptest::collection::vec(a_goal(), 0..4),
        proptest::collection::vec((0..11usize, 0..18usize, any::<bool>()), 0..6),
    )
}

fn asked<'q>((sessions, goals, blocks): &Asked, evidence: &'q ClassEvidence) -> DraftQuestion<'q> {
    let mut day = FIRST;
    let session = |(index, (minutes, gap)): (usize, &(u16, i64))| {
        day += gap.days();
        DraftSession { number: u16::try_from(index).unwrap() + 1, day, minutes: *minutes, held: false }
    };
    let block = |(session, technique, pinned): &(usize, usize, bool)| {
        let technique = &CATALOGUE.draft.techniques[technique % CATALOGUE.draft.techniques.len()];
        let (cut, food) = (technique.cut.clone(), technique.foods[0].clone());
        DraftBlock { session: *session, cut, food, pinned: *pinned, amount: None, own_minutes: None }
    };
    DraftQuestion {
        sessions: sessions.iter().enumerate().map(session).collect(),
        blocks: blocks.iter().map(block).collect(),
        goals: goals.clone(),
        evidence,
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(60))]

    /// What nobody pinned breaks no hard rule, whatever the course.
    #[test]
    fn hard_rules_hold(made in a_made_course(), (sessions, goals, blocks) in a_question()) {
        let evidence = ClassEvidence::default();
        let free: Vec<_> = blocks.into_iter().map(|(session, technique, _)| (session, technique, false)).collect();
        let question = asked(&(sessions, goals, free), &evidence);
        let at_hand = made.at_hand();
        let drafting = Drafting::of(&at_hand, &question);
        let plan = drafting.draft();
        prop_assert_eq!(drafting.value(&plan).broken(), 0, "{}", shown(&drafting, &plan));
    }

    /// No single move, swap, drop, addition or change of food betters a draft; pins stay where they are.
    #[test]
    fn nothing_betters_a_draft(made in a_made_course(), asked_for in a_question()) {
        let evidence = ClassEvidence::default();
        let question = asked(&asked_for, &evidence);
        let at_hand = made.at_hand();
        let drafting = Drafting::of(&at_hand, &question);
        let plan = drafting.draft();
        let value = drafting.value(&plan);
        for other in drafting.neighbours(&plan) {
            prop_assert!(drafting.value(&other) <= value, "{}\n\n{}", shown(&drafting, &plan), shown(&drafting, &other));
        }
        for (before, after) in drafting.stood().0.iter().zip(&plan.0) {
            for pin in before.iter().filter(|place| place.pinned) {
                prop_assert!(after.contains(pin));
            }
        }
    }

    /// What pins break is not broken further by what is drafted round them.
    #[test]
    fn pins_are_not_made_worse(made in a_made_course(), asked_for in a_question()) {
        let evidence = ClassEvidence::default();
        let mut question = asked(&asked_for, &evidence);
        question.blocks.retain(|block| block.pinned);
        let at_hand = made.at_hand();
        let drafting = Drafting::of(&at_hand, &question);
        prop_assert!(drafting.value(&drafting.draft()).broken() <= drafting.value(drafting.stood()).broken());
    }

    /// A draft that is drafted again stays as it is.
    #[test]
    fn drafting_again_changes_nothing(made in a_made_course(), asked_for in a_question()) {
        let evidence = ClassEvidence::default();
        let question = asked(&asked_for, &evidence);
        let at_hand = made.at_hand();
        let first = Drafting::of(&at_hand, &question);
        let blocks = first.blocks(&first.draft());
        let again = DraftQuestion { blocks: blocks.clone(), ..question };
        let second = Drafting::of(&at_hand, &again);
        prop_assert_eq!(second.blocks(&second.draft()), blocks);
    }
}

/// A course of a known kind is one that can be kept, and its goals are some that it can be drafted to.
#[test]
fn kinds_of_course_are_sound() {
    for kind in &CATALOGUE.kinds {
        assert_eq!(CourseFields::of_kind(kind, "school", "UTC").check(&CATALOGUE), [], "{}", kind.id);
        for goal in &kind.goals {
            assert_eq!(GoalFields::from(goal).check(&CATALOGUE, kind.sessions, ""), [], "{}", kind.id);
        }
    }
}

/// Every food of a technique is taught with its cut.
#[test]
fn techniques_are_of_foods_that_take_them() {
    for technique in &CATALOGUE.draft.techniques {
        for food in &technique.foods {
            assert!(CATALOGUE.food(food).unwrap().is_taught_with(&technique.cut), "{} of {food}", technique.cut);
        }
    }
}
