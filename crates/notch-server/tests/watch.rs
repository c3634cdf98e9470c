//! What a host watches.

use axum::body::Body;
use axum::http::{Method, Request, StatusCode};
use http_body_util::BodyExt;
use notch_server::watched;
use serde_json::json;
use tower::ServiceExt;

use crate::common::Server;

async fn watch(server: &Server, path: &str) -> (StatusCode, String) {
    let request = Request::builder().uri(path).body(Body::empty()).unwrap();
    let response = watched(server.state.clone()).oneshot(request).await.unwrap();
    let status = response.status();
    let bytes = response.into_body().collect().await.unwrap().to_bytes();
    (status, String::from_utf8(bytes.to_vec()).unwrap())
}

/// The value of a line that begins with this.
fn figure(text: &str, line: &str) -> f64 {
    let found = text.lines().find_map(|each| each.strip_prefix(line)?.trim().parse().ok());
    found.unwrap_or_else(|| panic!("no {line} in {text}"))
}

#[tokio::test]
async fn requests_are_counted_by_route_and_name_nobody() {
    let server = Server::new(None);
    for _ in 0..3 {
        server.get("/api/students/4/evidence").await;
    }
    server.get("/api/students/999999/evidence").await;
    let near_miss = json!({ "student_id": null, "kind": "near_miss", "words": "A cloth slipped." });
    server.post("/api/lessons/5/incidents", near_miss).await;
    let (status, text) = watch(&server, "/metrics").await;
    assert_eq!(status, StatusCode::OK);
    let asked = |method: &str, route: &str, status: u16| {
        figure(&text, &format!("yard_notch_requests_total{{method=\"{method}\",route=\"{route}\",status=\"{status}\"}}"))
    };
    assert_eq!(asked("GET", "/api/students/{id}/evidence", 200), 3.0);
    assert_eq!(asked("GET", "/api/students/{id}/evidence", 404), 1.0);
    assert_eq!(asked("POST", "/api/lessons/{id}/incidents", 201), 1.0);
    assert_eq!(figure(&text, "yard_notch_answer_seconds_count{kind=\"read\"}"), 4.0);
    assert_eq!(figure(&text, "yard_notch_answer_seconds_count{kind=\"change\"}"), 1.0);
    assert!(!text.contains("/999999"), "an address is no label: {text}");
    assert!(figure(&text, "yard_notch_school_bytes") > 100_000.0);
    assert_eq!(figure(&text, "yard_notch_latest_copy"), 0.0);
    // Each line is a comment or a name with a figure, and the end is said, as the format asks.
    assert!(text.ends_with("# EOF\n"), "{text}");
    for line in text.lines().filter(|line| !line.starts_with('#')) {
        assert!(line.rsplit_once(' ').is_some_and(|(_, value)| value.parse::<f64>().is_ok()), "{line}");
    }
    server
        .send(Request::builder().method(Method::POST).uri("/api/copies").header("host", "localhost").body(Body::empty()).unwrap())
        .await;
    let (_, text) = watch(&server, "/metrics").await;
    assert!(figure(&text, "yard_notch_latest_copy") > 1_700_000_000.0);
    assert_eq!(figure(&text, "yard_notch_copy_failed"), 0.0);
}

#[tokio::test]
async fn it_is_ready_while_the_school_can_be_read_and_says_why_not() {
    let server = Server::new(Some("lantern on the quay"));
    // Nobody signs in to watch.
    assert_eq!(watch(&server, "/healthz").await, (StatusCode::OK, "well\n".to_owned()));
    assert_eq!(watch(&server, "/readyz").await, (StatusCode::OK, "ready\n".to_owned()));
    let file = rusqlite::Connection::open(server.folder().join(notch_store::DATABASE_FILE)).unwrap();
    file.execute_batch("DROP TABLE staff_passphrase").unwrap();
    let (status, text) = watch(&server, "/readyz").await;
    assert_eq!(status, StatusCode::SERVICE_UNAVAILABLE);
    assert!(text.starts_with("not ready: "), "{text}");
    assert_eq!(watch(&server, "/healthz").await.0, StatusCode::OK, "it lives, so it need not be started again");
}
