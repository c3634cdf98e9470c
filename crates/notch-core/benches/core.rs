//! Speeds of the core: `make bench`.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

#[path = "../tests/common/mod.rs"]
mod common;

use std::hint::black_box;

use notch_core::at_hand::AtHand;
use notch_core::draft::{ClassEvidence, DraftQuestion, DraftSession, Drafting, GoalFields};
use notch_core::kit::{KitGoal, KitJob, KitKnife, smallest_kit};
use notch_core::onion::{self, Cuts, Limits, Method, cell_section, choose, half_ball};
use notch_core::progress::GoodShares;
use notch_core::records::{Amount, Exercise, Knife, Lesson, LessonFields, ProduceFields, StoredSegment, Student};
use notch_core::rotation::{Instance, Question, Turn, rotate};
use notch_core::units::Millimetres;
use notch_core::views::{course_order, doctrine_changes, matrix};

use criterion::{Criterion, criterion_group, criterion_main};
use notch_core::catalogue::{Catalogue, Doctrines, NotchKind, TipOnBoard};
use notch_core::fitting::{Candidate, Fixed, Job, KnifeSource, suggest};
use notch_core::geometry::work_food;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::people::{AgeBand, Hand};

/// Sixty sticks of julienne, a little uneven.
fn sixty_pieces() -> String {
    (0..60)
        .map(|i| format!("{:.2} {:.2} {} {:.2}\n", 3.0 + f64::from(i % 7) * 0.1, 3.1 + f64::from(i % 5) * 0.1, 48 + i % 4, 3.2))
        .collect()
}

fn measuring(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let target = catalogue.target("eighth", "julienne").unwrap();
    let tolerance = catalogue.tolerance("school").unwrap();
    let text = sixty_pieces();
    let pieces = parse_pieces(&text).unwrap();
    criterion.bench_function("judge 60 pieces", |bencher| {
        bencher.iter(|| judge(&catalogue, &target, tolerance, SampleCustom::BlindTen, black_box(&pieces)));
    });
    criterion.bench_function("parse 60 pieces", |bencher| bencher.iter(|| parse_pieces(black_box(&text))));
}

fn fitting(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let (food, cut) = (catalogue.food("carrot").unwrap(), catalogue.cut("julienne").unwrap());
    let job = Job::plain(&catalogue, food, cut, catalogue.target_of("eighth", cut, food).unwrap());
    let rack: Vec<Candidate<'_>> = catalogue.knives.iter().cycle().take(40).map(Candidate::of_type).collect();
    criterion.bench_function("suggest from 40 knives", |bencher| {
        bencher.iter(|| suggest(black_box(&job), &rack, Fixed::default()));
    });
    criterion.bench_function("work one carrot to julienne", |bencher| {
        bencher.iter(|| work_food(job.food, job.cut, black_box(&job.target), &catalogue.handling));
    });
}

/// A rack of 40 knives of which no two are alike.
fn rack() -> Vec<Knife> {
    let mut knives: Vec<Knife> = common::rack().into_iter().cycle().take(40).collect();
    for (number, knife) in (1u16..).zip(&mut knives) {
        knife.id = i64::from(number);
        knife.fields.number = number.to_string();
        knife.fields.length = Millimetres::clamped(knife.fields.length.get() + f64::from(number) / 4.0);
        knife.fields.hollowed = number % 3 == 0;
    }
    knives
}

fn playbook(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let knives = rack();
    let course = common::course(AgeBand::Adult);
    let at_hand = AtHand { catalogue: &catalogue, course: &course, students: &[], knives: &knives };
    criterion.bench_function("matrix of all cuts by 40 knives, one food", |bencher| {
        bencher.iter(|| matrix(black_box(&at_hand), Some("potato"), KnifeSource::Rack, None, false));
    });
    criterion.bench_function("matrix of all cuts by 40 knives, any food", |bencher| {
        bencher.iter(|| matrix(black_box(&at_hand), None, KnifeSource::Rack, None, false));
    });
    let tried = Doctrines { tip: TipOnBoard::Stays, ..Doctrines::default() };
    criterion.bench_function("what another school changes, 40 knives", |bencher| {
        bencher.iter(|| doctrine_changes(black_box(&at_hand), tried, &[]));
    });
    // Twenty-four knives, forty cuts, each covered by three to six of them.
    let kit_knives: Vec<KitKnife> =
        (0..24).map(|index| KitKnife { name: format!("k{index}"), cost: 10.0 + f64::from(index * 7 % 23) }).collect();
    let jobs: Vec<KitJob> = (0..40u32)
        .map(|job| {
            let scores = (0..24u32).map(|knife| ((job * 37 + knife * 53 + job * knife * 11) % 101) as u8).collect();
            KitJob { name: format!("j{job}"), scores }
        })
        .collect();
    criterion.bench_function("smallest kit of 24 knives for 40 cuts", |bencher| {
        bencher.iter(|| smallest_kit(black_box(&kit_knives), &jobs, 85, KitGoal::Fewest));
    });
    criterion.bench_function("cheapest kit of 24 knives for 40 cuts", |bencher| {
        bencher.iter(|| smallest_kit(black_box(&kit_knives), &jobs, 85, KitGoal::Cheapest { budget: 100.0 }));
    });
}

fn bench_place(criterion: &mut Criterion) {
    let r = Millimetres::whole(40);
    let cuts = Cuts::even(7).unwrap();
    criterion.bench_function("onion section, 8 layers, 7 cuts", |bencher| {
        bencher.iter(|| cell_section(black_box(r), 8, &cuts, Method::Below { depth: 0.6 }));
    });
    criterion.bench_function("half onion, 8 layers, 7 cuts", |bencher| {
        bencher.iter(|| half_ball(black_box(r), 8, &cuts, Method::Below { depth: 0.6 }, Millimetres::whole(8), false));
    });
    let wanted = onion::WantedDice { radius: r, layers: 8, size: Millimetres::clamped(6.35), length: None };
    criterion.bench_function("choose for me, small dice", |bencher| {
        bencher.iter(|| choose(black_box(wanted), Limits::default(), &|| true));
    });
    let slowest = onion::WantedDice { radius: Millimetres::whole(150), layers: 30, size: Millimetres::whole(8), length: None };
    criterion.bench_function("choose for me, the slowest question that is allowed", |bencher| {
        bencher.iter(|| choose(black_box(slowest), Limits::default(), &|| true));
    });
}

fn drafting(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let (knives, course) = (rack(), common::course(AgeBand::Adult));
    let students: Vec<Student> = (1..=24).map(|id| Student { id, ..common::student("S", Hand::Right, &[]) }).collect();
    let at_hand = AtHand { catalogue: &catalogue, course: &course, students: &students, knives: &knives };
    let first = jiff::civil::date(2026, 9, 8);
    let session = |index: i16| DraftSession {
        number: u16::try_from(index + 1).unwrap(),
        day: first.checked_add(jiff::Span::new().days(7 * index)).unwrap(),
        minutes: 60,
        held: false,
    };
    let goal = |cut: &str, notch, by| GoalFields { cut: cut.into(), notch, by };
    let evidence = ClassEvidence::default();
    let question = DraftQuestion {
        sessions: (0..10).map(session).collect(),
        blocks: Vec::new(),
        goals: vec![goal("small_dice", NotchKind::Even, 8), goal("julienne", NotchKind::Paced, 9)],
        evidence: &evidence,
    };
    criterion.bench_function("draft 10 sessions for 24 students", |bencher| {
        bencher.iter(|| Drafting::of(black_box(&at_hand), &question).draft());
    });
    let drafting = Drafting::of(&at_hand, &question);
    let plan = drafting.draft();
    criterion.bench_function("look at a drafted course", |bencher| bencher.iter(|| drafting.said(black_box(&plan))));
}

macro_rules! classes {
    ($($id:literal),*) => {
        [$(($id, include_str!(concat!("../tests/data/rotation/", $id, ".json")))),*]
    };
}

fn rotating(criterion: &mut Criterion) {
    let classes = classes!["small-1", "small-3", "medium-1", "medium-3", "large-1", "large-3", "xl-1", "xl-3", "impossible-hand"];
    for (id, text) in classes {
        let class: Instance = serde_json::from_str(text).unwrap();
        criterion.bench_function(&format!("rotation {id}"), |bencher| bencher.iter(|| black_box(&class).solve()));
    }
    // Two exercises each on six knives, the second after the first; then one student of them is ill.
    let turn = |index: usize| Turn {
        student: index / 2,
        watch: 1,
        after: if index % 2 == 1 { vec![index - 1] } else { Vec::new() },
        fits: (0..6).map(|knife| (knife, if knife % 2 == index % 2 { 100 } else { 75 })).collect(),
        ..Turn::default()
    };
    let class =
        Question { students: 24, knives: 6, boards: 8, watch: 8, turns: (0..48).map(turn).collect(), ..Question::default() };
    let found = rotate(&class).unwrap();
    let kept = class.turns.iter().zip(&found.seats).take(46);
    let turns = kept.map(|(turn, seat)| Turn { announced: Some(*seat), ..turn.clone() }).collect();
    let absent = Question { turns, ..class };
    criterion.bench_function("rotation of 24 after one absence", |bencher| bencher.iter(|| rotate(black_box(&absent))));
}

/// A year of weekly lessons with three exercises each, for 24 students.
fn ordering(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let course = common::course(AgeBand::Adult);
    let students: Vec<Student> = (1..=24).map(|id| Student { id, ..common::student("S", Hand::Right, &[]) }).collect();
    let at_hand = AtHand { catalogue: &catalogue, course: &course, students: &students, knives: &[] };
    let cuts = [("carrot", "julienne"), ("carrot", "brunoise"), ("onion", "small_dice")];
    let first = jiff::civil::date(2026, 1, 6);
    let lesson = |week: i64| {
        let day = first.checked_add(jiff::Span::new().days(7 * week)).unwrap();
        let exercises = (1..).zip(cuts).map(|(place, (food, cut))| {
            let fields = common::exercise_fields(food, cut, Amount::Pieces { count: 60 });
            let id = week * 10 + place;
            Exercise { id, lesson_id: week, version: 1, archived: false, pinned: true, kept_warnings: Vec::new(), fields }
        });
        let exercises: Vec<Exercise> = exercises.collect();
        let segments = exercises.iter().map(|exercise| StoredSegment::practice(exercise.id, 20)).collect();
        let fields = LessonFields { title: "L".into(), starts_at: day.at(18, 30, 0, 0), minutes: 110, segments };
        let number = u16::try_from(week + 1).unwrap();
        (Lesson { id: week, course_id: 1, number, version: 1, produce: ProduceFields::default(), fields }, exercises)
    };
    let lessons: Vec<(Lesson, Vec<Exercise>)> = (0..52).map(lesson).collect();
    let year = (first, jiff::civil::date(2026, 12, 31));
    let shares = GoodShares::default();
    criterion.bench_function("a year of orders for 24 students", |bencher| {
        bencher.iter(|| course_order(black_box(&at_hand), &lessons, &shares, year));
    });
}

criterion_group!(benches, measuring, fitting, playbook, bench_place, drafting, rotating, ordering);
criterion_main!(benches);
