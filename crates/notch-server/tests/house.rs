//! What keeps the house in order: own values that no longer fit, time zones, writes that are sent twice, a
//! second writer of the file, an end with a request still open.

use std::io::Write;
use std::net::TcpStream;
use std::time::{Duration, Instant};

use crate::common::{Server, words};
use axum::http::{Method, StatusCode};
use notch_core::catalogue::Catalogue;
use notch_server::{AppState, Clock, Reach, Settings};
use notch_store::{DATABASE_FILE, Store};
use serde_json::{Value, json};
use tempfile::TempDir;
use tokio::net::TcpListener;

/// Writes to the school's file as another program would.
fn by_another_program(server: &Server, sql: &str) {
    rusqlite::Connection::open(server.folder().join(DATABASE_FILE)).unwrap().execute_batch(sql).unwrap();
}

/// An own set of standards with a cut that an upgrade took away, and one that nothing can read any more.
const NO_LONGER: &str = r#"INSERT INTO own_value (kind, id, value_json) VALUES
    ('standard_set', 'own_harbour', '{"kind":"standard_set","id":"own_harbour","name":"Harbour","based_on":"metric","sizes":{"moon_dice":{"thickness":"3","width":"3","length":"3"}}}'),
    ('food', 'own_moon', '{"kind":"food","crater":1}'),
    ('cue', 'loose_grip', '{"kind":"cue","id":"loose_grip","cue":"Hold it as you would a bird."}');"#;

#[tokio::test]
async fn own_values_that_no_longer_fit_lock_nobody_out() {
    let server = Server::new(None);
    by_another_program(&server, NO_LONGER);
    for path in
        ["/api/about", "/api/courses", "/api/courses/1", "/api/rack", "/api/own", "/api/catalogue", "/api/lessons/5/class"]
    {
        assert_eq!(server.get(path).await.0, StatusCode::OK, "{path}");
    }
    let (_, catalogue) = server.get("/api/catalogue").await;
    let fault = catalogue["faults"].as_array().unwrap().iter().find(|fault| fault["id"] == "loose_grip").unwrap();
    assert_eq!(fault["cue"], "Hold it as you would a bird.", "what fits is laid over");
    let (_, own) = server.get("/api/own").await;
    assert_eq!(own["own"].as_array().unwrap().len(), 1);
    let aside = own["set_aside"].as_array().unwrap();
    assert_eq!(aside.len(), 2, "{own}");
    for line in aside {
        assert!(!words(&line["problems"][0]["sentence"]).is_empty(), "{line}");
    }
    for (kind, id) in [("standard_set", "own_harbour"), ("food", "own_moon")] {
        let (status, after) = server.post("/api/own/drop", json!({ "kind": kind, "id": id, "version": 1 })).await;
        assert_eq!(status, StatusCode::OK, "{after}");
    }
    assert_eq!(server.get("/api/own").await.1["set_aside"], json!([]));
}

#[tokio::test]
async fn an_own_value_that_was_set_aside_is_mended_by_keeping_it_anew() {
    let server = Server::new(None);
    by_another_program(&server, &NO_LONGER.replace("own_harbour", "metric"));
    let sizes = server.get("/api/own").await.1["sizes"]["metric"].clone();
    let value = json!({ "kind": "standard_set", "id": "metric", "name": "Harbour", "based_on": "metric", "sizes": sizes });
    let (status, after) = server.post("/api/own", json!({ "version": 1, "value": value })).await;
    assert_eq!(status, StatusCode::OK, "{after}");
    assert!(after["own"].as_array().unwrap().iter().any(|line| line["id"] == "metric" && line["version"] == 2), "{after}");
}

#[tokio::test]
async fn a_course_whose_own_standards_are_set_aside_can_choose_others() {
    let server = Server::new(None);
    by_another_program(&server, NO_LONGER);
    by_another_program(&server, "UPDATE course SET standard_set = 'own_harbour' WHERE id = 1;");
    let (status, used) = server.post("/api/own/drop", json!({ "kind": "standard_set", "id": "own_harbour", "version": 1 })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{used}");
    assert!(used["detail"].as_str().unwrap().contains("Galley hands"), "{used}");
    for path in ["/api/courses/1", "/api/courses/1/yard", "/api/lessons/5/plan", "/api/lessons/5/class", "/api/lessons/5/check"] {
        assert_eq!(server.get(path).await.0, StatusCode::OK, "{path}");
    }
    let (_, view) = server.get("/api/courses/1").await;
    let mut fields = view["course"].clone();
    fields["standard_set"] = json!("metric");
    let change = json!({ "version": fields["version"], "fields": fields });
    assert_eq!(server.put("/api/courses/1", change).await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_day_is_the_day_where_the_school_is_before_and_after_summer_time() {
    let server = Server::new(None);
    let today = |zone: &'static str| {
        by_another_program(&server, &format!("UPDATE course SET time_zone = '{zone}' WHERE id = 1;"));
        async { server.get("/api/courses/1").await.1["today"].as_str().unwrap().to_owned() }
    };
    // The demo's evening is 17:10 UTC on 6 October.
    assert_eq!(today("Europe/Lisbon").await, "2026-10-06");
    assert_eq!(today("Pacific/Kiritimati").await, "2026-10-07");
    assert_eq!(today("Pacific/Pago_Pago").await, "2026-10-06");
    let attempt = json!({ "student_id": 11, "exercise_id": 11, "knife_id": 12 });
    by_another_program(&server, "UPDATE course SET time_zone = 'Pacific/Kiritimati' WHERE id = 1;");
    assert_eq!(server.attempt(5, attempt).await.1["on_day"], "2026-10-07");
    let (status, problem) = {
        let (_, view) = server.get("/api/courses/1").await;
        let mut fields = view["course"].clone();
        fields["time_zone"] = json!("Atlantis/Centre");
        server.put("/api/courses/1", json!({ "version": fields["version"], "fields": fields })).await
    };
    assert_eq!((status, &problem["problems"][0]["name"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("Time zone")));
}

/// A server whose clock stands at a moment.
fn at(moment: &str) -> (Server, jiff::Timestamp) {
    let moment: jiff::Timestamp = moment.parse().unwrap();
    (Server::with_clock(Clock::demo(moment)), moment)
}

#[tokio::test]
async fn the_night_on_which_summer_time_ends_has_the_right_days() {
    // Lisbon: at 01:00 UTC on 25 October the clock goes back from 02:00 to 01:00.
    for (moment, day) in [
        ("2026-10-24T22:59:00Z", "2026-10-24"),
        ("2026-10-24T23:01:00Z", "2026-10-25"),
        ("2026-10-25T23:01:00Z", "2026-10-25"),
        ("2026-10-26T00:01:00Z", "2026-10-26"),
    ] {
        let (server, _) = at(moment);
        assert_eq!(server.get("/api/courses/1").await.1["today"], day, "{moment}");
    }
}

#[tokio::test]
async fn a_write_that_is_sent_twice_is_done_once_and_answered_twice() {
    let server = Server::new(None);
    let start = json!({ "starts": [{ "student_id": 11, "exercise_id": 11, "knife_id": 12 }] });
    let send = |id: &'static str, body: Value| {
        let server = &server;
        async move { server.sent(Method::POST, "/api/lessons/5/attempts", id, Some("2026-10-06T17:02:00Z"), &body).await }
    };
    let (first, made) = send("device-a-0001", start.clone()).await;
    let (again, same) = send("device-a-0001", start.clone()).await;
    assert_eq!((first, again), (StatusCode::CREATED, StatusCode::CREATED), "{same}");
    let (made, same) = (&made["attempts"][0], &same["attempts"][0]);
    assert_eq!((&made["id"], &made["started_at"]), (&same["id"], &json!("2026-10-06T17:02:00Z")));
    assert_eq!(send("device-a-0002", start.clone()).await.0, StatusCode::CONFLICT, "another write is another attempt");
    let (stop, who) = ("/api/lessons/5/stop", json!({ "student_ids": [11] }));
    let stopped = server.sent(Method::POST, stop, "device-a-0001", None, &who).await;
    assert_eq!(stopped.0, StatusCode::CONFLICT, "an id counts for one write: {}", stopped.1);
    for round in 0..2 {
        let stopped = server.sent(Method::POST, stop, "device-a-0003", Some("2026-10-06T17:06:30Z"), &who).await;
        assert_eq!(stopped.0, StatusCode::CREATED, "sent again ({round}), it is answered and not refused");
        assert_eq!(stopped.1["attempts"][0]["stopped_at"], "2026-10-06T17:06:30Z");
    }
}

#[tokio::test]
async fn a_refused_write_is_not_remembered() {
    let server = Server::new(None);
    let student = json!({ "name": "", "station": 20, "hand": "right", "hand_size": "medium", "clearance": 100, "special_clearance": false, "allergies": [], "notes": "" });
    let path = "/api/courses/1/students";
    let send = |body: Value| async { server.sent(Method::POST, path, "device-b-0001", None, &{ body }).await };
    assert_eq!(send(student.clone()).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    let named = {
        let mut named = student;
        named["name"] = json!("Mina");
        named
    };
    assert_eq!(send(named.clone()).await.0, StatusCode::CREATED);
    assert_eq!(send(named).await.0, StatusCode::CREATED);
    let students = server.get("/api/courses/1").await.1["students"].as_array().unwrap().clone();
    assert_eq!(students.iter().filter(|student| student["name"] == "Mina").count(), 1);
}

#[tokio::test]
async fn an_id_or_a_moment_that_cannot_be_is_told() {
    let server = Server::new(None);
    let start = json!({ "starts": [{ "student_id": 11, "exercise_id": 11, "knife_id": 12 }] });
    let path = "/api/lessons/5/attempts";
    for (id, at, name) in [
        ("short", None, "Idempotency-Key"),
        ("with spaces in it", None, "Idempotency-Key"),
        ("device-c-0001", Some("half past six"), "Happened-At"),
        ("device-c-0001", Some("2026-10-06T18:02:00Z"), "Happened at"),
        ("device-c-0001", Some("2026-09-06T17:02:00Z"), "Happened at"),
    ] {
        let (status, problem) = server.sent(Method::POST, path, id, at, &start).await;
        assert_eq!((status, &problem["problems"][0]["name"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!(name)), "{problem}");
    }
    // A clock that runs a minute ahead is set back to the present.
    let (status, made) = server.sent(Method::POST, path, "device-c-0002", Some("2026-10-06T17:11:30Z"), &start).await;
    assert_eq!(status, StatusCode::CREATED);
    assert!(made["attempts"][0]["started_at"].as_str().unwrap() < "2026-10-06T17:11:30Z", "{made}");
}

#[tokio::test]
async fn what_is_kept_in_memory_gives_way_to_what_another_program_wrote() {
    let server = Server::new(None);
    let before = server.get("/api/rack").await.1["fit"].as_u64().unwrap();
    assert_eq!(server.get("/api/rack").await.1["fit"].as_u64().unwrap(), before);
    by_another_program(&server, "UPDATE knife SET edge_state = 'dull' WHERE id = 12;");
    assert_eq!(server.get("/api/rack").await.1["fit"].as_u64().unwrap(), before - 1);
}

#[tokio::test]
async fn the_program_ends_though_a_request_stays_open() {
    let folder = TempDir::new().unwrap();
    let settings = Settings { demo: false, beside_own: false, made_up: None, reach: Reach::default(), clock: Clock::System };
    let state = AppState::new(&Catalogue::shipped().unwrap(), Store::open(folder.path()).unwrap(), settings);
    let listener = TcpListener::bind("127.0.0.1:0").await.unwrap();
    let address = listener.local_addr().unwrap();
    let (stop, stopped) = tokio::sync::oneshot::channel::<()>();
    let serving = tokio::spawn(notch_server::run(state, listener, async {
        let _ = stopped.await;
    }));
    // A body that never comes: the request stays in hand.
    let mut open = TcpStream::connect(address).unwrap();
    let head = "POST /api/courses HTTP/1.1\r\nhost: localhost\r\ncontent-type: application/json\r\ncontent-length: 100\r\n\r\n{";
    open.write_all(head.as_bytes()).unwrap();
    tokio::time::sleep(Duration::from_millis(200)).await;
    let since = Instant::now();
    stop.send(()).unwrap();
    let ended = tokio::time::timeout(Duration::from_secs(15), serving).await;
    assert!(ended.is_ok(), "it still waits after {:?}", since.elapsed());
    drop(open);
}
