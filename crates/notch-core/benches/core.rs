//! Speeds of the core: `make bench`.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::hint::black_box;

use notch_core::kit::{KitGoal, KitJob, KitKnife, smallest_kit};
use notch_core::onion::{self, Cuts, Limits, Method, choose, half_ball, section};
use notch_core::records::{Bolster, Course, CourseFields, EdgeState, Knife, KnifeFields, Tang};
use notch_core::units::Millimetres;
use notch_core::views::{KnifeSource, School, matrix, school_changes};

use criterion::{Criterion, criterion_group, criterion_main};
use notch_core::catalogue::{BoardMaterial, Catalogue, Edge, Schools, TipOnBoard};
use notch_core::fitting::{Candidate, Job, Wanted, suggest};
use notch_core::geometry::work_food;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::people::{AgeBand, Hand, Pace};

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
    let job = Job {
        catalogue: &catalogue,
        food: catalogue.food("carrot").unwrap(),
        cut: catalogue.cut("julienne").unwrap(),
        target: catalogue.target("eighth", "julienne").unwrap(),
        age_band: AgeBand::Adult,
        pace: Pace::Learner,
        schools: Schools::default(),
        board: BoardMaterial::Wood,
        trainee: None,
        hands: (12, 2),
        allergic: Vec::new(),
    };
    let rack: Vec<Candidate<'_>> = catalogue
        .knives
        .iter()
        .cycle()
        .take(40)
        .map(|kind| Candidate {
            kind,
            length: kind.length.usual,
            heel_height: kind.heel_height,
            hand: None,
            hollowed: false,
            sharp: true,
            numbers: vec!["1".to_owned()],
        })
        .collect();
    criterion.bench_function("suggest from 40 knives", |bencher| {
        bencher.iter(|| suggest(black_box(&job), &rack, Wanted::default()));
    });
    criterion.bench_function("work one carrot to julienne", |bencher| {
        bencher.iter(|| work_food(job.food, job.cut, black_box(&job.target), &catalogue.handling));
    });
}

/// A rack of 40 knives of which no two are alike.
fn rack(catalogue: &Catalogue) -> Vec<Knife> {
    (1..=40u16)
        .zip(catalogue.knives.iter().cycle())
        .map(|(number, kind)| Knife {
            id: i64::from(number),
            version: 1,
            archived: false,
            fields: KnifeFields {
                number: number.to_string(),
                knife_type: kind.id.clone(),
                length: Millimetres::clamped(kind.length.from.get() + f64::from(number) / 4.0),
                heel_height: kind.heel_height,
                hand: (kind.edge == Edge::SingleBevel).then_some(Hand::Right),
                edge_state: EdgeState::Sharp,
                note: String::new(),
                name: String::new(),
                edge_angle: None,
                bolster: Bolster::None,
                tang: Tang::Full,
                hollowed: number % 3 == 0,
                handle: String::new(),
                cost: None,
                stored: String::new(),
            },
        })
        .collect()
}

fn playbook(criterion: &mut Criterion) {
    let catalogue = Catalogue::shipped().unwrap();
    let knives = rack(&catalogue);
    let course = Course {
        id: 1,
        version: 1,
        fields: CourseFields {
            name: "c".into(),
            school: "s".into(),
            place: "p".into(),
            age_band: AgeBand::Adult,
            pace: Pace::Learner,
            standard_set: "eighth".into(),
            tolerance: "school".into(),
            lesson_minutes: 110,
            boards: 16,
            board_material: BoardMaterial::Wood,
            schools: Schools::default(),
        },
    };
    let school = School { catalogue: &catalogue, course: &course, students: &[], knives: &knives };
    criterion.bench_function("matrix of all cuts by 40 knives, one food", |bencher| {
        bencher.iter(|| matrix(black_box(&school), Some("potato"), KnifeSource::Rack, None));
    });
    criterion.bench_function("matrix of all cuts by 40 knives, any food", |bencher| {
        bencher.iter(|| matrix(black_box(&school), None, KnifeSource::Rack, None));
    });
    let tried = Schools { tip: TipOnBoard::Stays, ..Schools::default() };
    criterion.bench_function("what another school changes, 40 knives", |bencher| {
        bencher.iter(|| school_changes(black_box(&school), tried, &[]));
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
        bencher.iter(|| section(black_box(r), 8, &cuts, Method::Below { depth: 0.6 }));
    });
    criterion.bench_function("half onion, 8 layers, 7 cuts", |bencher| {
        bencher.iter(|| half_ball(black_box(r), 8, &cuts, Method::Below { depth: 0.6 }, Millimetres::whole(8), false));
    });
    let wanted = onion::Wanted { radius: r, layers: 8, size: Millimetres::clamped(6.35), length: None };
    criterion.bench_function("choose for me, small dice", |bencher| {
        bencher.iter(|| choose(black_box(wanted), Limits::default()));
    });
}

criterion_group!(benches, measuring, fitting, playbook, bench_place);
criterion_main!(benches);
