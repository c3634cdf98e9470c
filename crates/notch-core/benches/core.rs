//! Speeds of the core: `make bench`.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::hint::black_box;

use criterion::{Criterion, criterion_group, criterion_main};
use notch_core::catalogue::Catalogue;
use notch_core::fitting::{Candidate, Job, Wanted, suggest};
use notch_core::geometry::work_food;
use notch_core::measure::{SampleCustom, judge, parse_pieces};
use notch_core::people::AgeBand;

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
        index_on_spine: false,
        towards_self: true,
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

criterion_group!(benches, measuring, fitting);
criterion_main!(benches);
