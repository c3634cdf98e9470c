//! Speeds of a lesson over HTTP, on the demo school: `make bench`.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

#[path = "../tests/common/mod.rs"]
mod common;

use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use criterion::{Criterion, criterion_group, criterion_main};
use http_body_util::BodyExt;

use common::Server;

/// What a lesson is read with; the last three are written as PDF.
const ASKED: [(&str, &str); 8] = [
    ("the rotation of 14 students", "/api/lessons/8/rotation"),
    ("whether a lesson is ready", "/api/lessons/8/ready"),
    ("the food of a lesson", "/api/lessons/8/produce"),
    ("the check sheet", "/api/lessons/8/check"),
    ("four months of orders", "/api/courses/1/order?from=2026-09-01&until=2026-12-31"),
    ("the lesson on one page, PDF", "/api/lessons/8/paper/pdf?page=lesson"),
    ("the station cards, PDF", "/api/lessons/8/paper/pdf?page=stations"),
    ("the whole lesson, PDF", "/api/lessons/8/paper/pdf?page=whole"),
];

fn lesson(criterion: &mut Criterion) {
    let runtime = tokio::runtime::Runtime::new().unwrap();
    let server = runtime.block_on(async { Server::new(None) });
    for (name, path) in ASKED {
        criterion.bench_function(name, |bencher| {
            bencher.iter(|| {
                runtime.block_on(async {
                    let request = Request::get(path).header(header::HOST, "localhost").body(Body::empty()).unwrap();
                    let answer = server.send(request).await;
                    assert_eq!(answer.status(), StatusCode::OK, "{path}");
                    answer.into_body().collect().await.unwrap().to_bytes()
                })
            });
        });
    }
}

criterion_group!(benches, lesson);
criterion_main!(benches);
