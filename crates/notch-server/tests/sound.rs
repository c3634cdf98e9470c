//! Nothing is told no and kept all the same; nobody stalls it; it says what it knows.

use std::time::{Duration, Instant};

use crate::common::{Server, read};
use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use axum::response::Response;
use notch_server::hash_passphrase;
use notch_store::{DATABASE_FILE, Store, StoreError, Writer};
use serde_json::{Value, json};

const PASSPHRASE: &str = "lantern on the quay";

fn other_program(server: &Server) -> rusqlite::Connection {
    rusqlite::Connection::open(server.folder().join(DATABASE_FILE)).unwrap()
}

async fn signing_in(server: &Server, passphrase: &str) -> Response {
    let request = Request::builder()
        .method(Method::POST)
        .uri("/api/sign-in")
        .header(header::HOST, "localhost")
        .header(header::CONTENT_TYPE, "application/json")
        .body(Body::from(json!({ "passphrase": passphrase }).to_string()))
        .unwrap();
    server.send(request).await
}

/// The cookies that a sign-in sets, as a browser sends them back.
async fn signed_in(server: &Server, passphrase: &str) -> String {
    let response = signing_in(server, passphrase).await;
    assert_eq!(response.status(), StatusCode::NO_CONTENT);
    let cookies = response.headers().get_all(header::SET_COOKIE).iter();
    cookies.map(|cookie| cookie.to_str().unwrap().split(';').next().unwrap().to_owned()).collect::<Vec<_>>().join("; ")
}

async fn rack(server: &Server, cookies: &str) -> StatusCode {
    let request = Request::builder().uri("/api/rack").header(header::HOST, "localhost").header(header::COOKIE, cookies);
    server.send(request.body(Body::empty()).unwrap()).await.status()
}

#[tokio::test]
async fn a_change_behind_a_lock_is_told_no_and_not_kept() {
    let server = Server::new(None);
    let other = other_program(&server);
    other.execute_batch("BEGIN IMMEDIATE; UPDATE course SET version = version;").unwrap();
    let request = Request::builder()
        .method(Method::POST)
        .uri("/api/lessons/5/incidents")
        .header(header::HOST, "localhost")
        .header(header::CONTENT_TYPE, "application/json")
        .body(Body::from(json!({ "student_id": null, "kind": "near_miss", "words": "a knife slid" }).to_string()))
        .unwrap();
    let response = server.send(request).await;
    assert_eq!(response.headers().get(header::RETRY_AFTER).unwrap(), "3");
    let (status, problem) = read(response).await;
    assert_eq!((status, &problem["type"]), (StatusCode::SERVICE_UNAVAILABLE, &json!("/problems/busy")));
    assert!(problem["detail"].as_str().unwrap().contains("Nothing of this was kept"), "{problem}");
    other.execute_batch("ROLLBACK").unwrap();
    tokio::time::sleep(Duration::from_millis(300)).await;
    let kept: i64 = other.query_row("SELECT count(*) FROM incident WHERE words = 'a knife slid'", [], |row| row.get(0)).unwrap();
    assert_eq!(kept, 0);
}

#[tokio::test]
async fn readings_go_on_while_changes_wait_for_another_program() {
    let server = Server::new(None);
    let other = other_program(&server);
    other.execute_batch("BEGIN IMMEDIATE; UPDATE course SET version = version;").unwrap();
    let waiting = server.post("/api/lessons/5/incidents", json!({ "student_id": null, "kind": "nick", "words": "x" }));
    let reading = async {
        tokio::time::sleep(Duration::from_millis(50)).await;
        let begun = Instant::now();
        assert_eq!(server.get("/api/courses/1/yard").await.0, StatusCode::OK);
        begun.elapsed()
    };
    let ((status, _), took) = tokio::join!(waiting, reading);
    assert_eq!(status, StatusCode::SERVICE_UNAVAILABLE);
    assert!(took < Duration::from_secs(4), "it did not wait for the lock: {took:?}");
}

#[tokio::test]
async fn what_follows_the_json_and_another_method_are_refused_as_what_they_are() {
    let server = Server::new(None);
    for tail in ["x", "{}", "]", " null"] {
        let body = format!("{}{tail}", json!({ "way": "out", "numbers": "1" }));
        let (status, problem) = server.raw(Method::POST, "/api/lessons/5/count", "application/json", body).await;
        assert_eq!((status, &problem["type"]), (StatusCode::BAD_REQUEST, &json!("/problems/body")), "{tail}");
    }
    assert_eq!(server.get("/api/lessons/5/count").await.1["knives"], json!([]), "nothing was counted");
    for (method, path) in [(Method::DELETE, "/api/rack"), (Method::POST, "/api/catalogue"), (Method::PATCH, "/api/courses/1")] {
        let (status, problem) = server.raw(method, path, "application/json", "{}").await;
        assert_eq!((status, &problem["type"]), (StatusCode::METHOD_NOT_ALLOWED, &json!("/problems/method")), "{path}");
    }
}

#[tokio::test]
async fn every_address_of_this_machine_is_its_name_and_no_other() {
    let server = Server::new(None);
    for (host, expected) in [
        ("127.0.0.2:7411", StatusCode::OK),
        ("127.0.0.1", StatusCode::OK),
        ("[::1]:7411", StatusCode::OK),
        ("localhost:7411", StatusCode::OK),
        ("10.0.0.1:7411", StatusCode::FORBIDDEN),
        ("127.0.0.1.example.org", StatusCode::FORBIDDEN),
        ("[::2]", StatusCode::FORBIDDEN),
        ("", StatusCode::FORBIDDEN),
    ] {
        let request = Request::builder().uri("/api/about").header(header::HOST, host).body(Body::empty()).unwrap();
        assert_eq!(server.send(request).await.status(), expected, "{host}");
    }
}

#[tokio::test]
async fn a_count_of_too_many_numbers_is_refused_before_it_costs_anything() {
    let server = Server::new(None);
    let begun = Instant::now();
    for numbers in
        ["1-500 ".repeat(43_000).trim_end().to_owned(), "1 ".repeat(100_000), (0..600).map(|n| format!("{n} ")).collect()]
    {
        let (status, problem) = server.post("/api/lessons/5/count", json!({ "way": "out", "numbers": numbers })).await;
        assert!(status == StatusCode::UNPROCESSABLE_ENTITY || status == StatusCode::PAYLOAD_TOO_LARGE, "{status} {problem}");
    }
    let (status, problem) = server.post("/api/lessons/5/count", json!({ "way": "out", "numbers": "1-500 ".repeat(900) })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "the same five hundred over and over are five hundred");
    assert!(problem["detail"].as_str().unwrap().contains("is on no knife"), "{}", problem["problems"][0]);
    assert!(begun.elapsed() < Duration::from_secs(20));
}

#[tokio::test]
async fn one_who_guesses_waits_and_the_instructor_gets_in() {
    let server = Server::new(Some(PASSPHRASE));
    let guesses: Vec<_> = (0..12).map(|_| signing_in(&server, "not this one")).collect();
    let mut refused = Vec::new();
    for guess in futures_of(guesses).await {
        refused.push((guess.status(), guess.headers().contains_key(header::RETRY_AFTER)));
    }
    assert!(refused.contains(&(StatusCode::TOO_MANY_REQUESTS, true)), "the line is full: {refused:?}");
    assert!(refused.contains(&(StatusCode::UNAUTHORIZED, false)));
    let begun = Instant::now();
    while signing_in(&server, PASSPHRASE).await.status() != StatusCode::NO_CONTENT {
        assert!(begun.elapsed() < Duration::from_secs(8), "locked out");
        tokio::time::sleep(Duration::from_millis(200)).await;
    }
}

/// All of them at once.
async fn futures_of(all: Vec<impl Future<Output = Response>>) -> Vec<Response> {
    let mut waiting: Vec<_> = all.into_iter().map(Box::pin).collect();
    let mut found = Vec::new();
    std::future::poll_fn(move |context| {
        waiting.retain_mut(|each| match each.as_mut().poll(context) {
            std::task::Poll::Ready(response) => {
                found.push(response);
                false
            }
            std::task::Poll::Pending => true,
        });
        if waiting.is_empty() { std::task::Poll::Ready(std::mem::take(&mut found)) } else { std::task::Poll::Pending }
    })
    .await
}

#[tokio::test]
async fn another_passphrase_ends_what_was_begun_with_the_old_one() {
    let server = Server::new(Some(PASSPHRASE));
    let cookies = signed_in(&server, PASSPHRASE).await;
    assert_eq!(rack(&server, &cookies).await, StatusCode::OK);
    let hash = hash_passphrase("a lamp on the pier").unwrap();
    let other = Store::open(server.folder()).unwrap();
    let reset = |writer: &Writer<'_>| writer.set_passphrase(writer.instructor_named("instructor")?.id, &hash);
    other.write::<_, StoreError>(reset).unwrap();
    assert_eq!(rack(&server, &cookies).await, StatusCode::UNAUTHORIZED);
    let cookies = signed_in(&server, "a lamp on the pier").await;
    assert_eq!(rack(&server, &cookies).await, StatusCode::OK);
}

#[tokio::test]
async fn a_passphrase_that_vanishes_closes_the_school() {
    let server = Server::new(Some(PASSPHRASE));
    let cookies = signed_in(&server, PASSPHRASE).await;
    other_program(&server).execute("DELETE FROM staff_passphrase", []).unwrap();
    for cookies in [cookies.as_str(), ""] {
        assert_eq!(rack(&server, cookies).await, StatusCode::FORBIDDEN);
    }
    let (status, problem) = server.get("/api/about").await;
    assert_eq!(status, StatusCode::FORBIDDEN);
    assert!(problem["detail"].as_str().unwrap().contains("have vanished"), "{problem}");
}

#[tokio::test]
async fn a_table_that_leaves_holds_no_formula_and_comes_back_as_it_was() {
    let server = Server::empty();
    let texts = ["=1+1", "+44", "-chipped", "@home", "'=quoted", "plain", "'tis fine"];
    for (number, text) in (1..).zip(texts) {
        let knife = json!({
            "number": number.to_string(), "knife_type": "chefs", "length": 200, "heel_height": 47, "hand": null,
            "edge_state": "sharp", "note": text, "stored": text,
        });
        assert_eq!(server.post("/api/rack", knife).await.0, StatusCode::CREATED, "{text}");
    }
    let table = server.text("/api/rack/table").await;
    for cell in table.lines().skip(1).flat_map(|line| line.split(',')) {
        let first = cell.trim_start_matches('"').chars().next();
        assert!(!matches!(first, Some('=' | '+' | '-' | '@')), "{cell}");
    }
    let other = Server::empty();
    let (status, _) = other.post("/api/rack/table", json!({ "text": table, "skip_wrong": false })).await;
    assert!(status.is_success());
    let notes = |rack: &Value| -> Vec<String> {
        let knives = rack["groups"].as_array().unwrap().iter().flat_map(|group| group["knives"].as_array().unwrap().clone());
        let mut notes: Vec<String> = knives.map(|knife| knife["knife"]["note"].as_str().unwrap().to_owned()).collect();
        notes.sort();
        notes
    };
    assert_eq!(notes(&other.get("/api/rack").await.1), notes(&server.get("/api/rack").await.1));
}
