//! Speeds of the pages of a lesson over HTTP, on the demo school: `make bench`.

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

/// What is written as PDF.
const WRITTEN: [(&str, &str); 3] = [
    ("the lesson on one page, PDF", "/api/lessons/8/paper/pdf?page=lesson"),
    ("the station cards, PDF", "/api/lessons/8/paper/pdf?page=stations"),
    ("the whole lesson, PDF", "/api/lessons/8/paper/pdf?page=whole"),
];

fn lesson(criterion: &mut Criterion) {
    let runtime = tokio::runtime::Runtime::new().unwrap();
    let server = runtime.block_on(async { Server::new(None) });
    for (name, path) in WRITTEN {
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
