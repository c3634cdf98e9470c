//! The program on the demo school, without a network: what the tests of the API share.

#![allow(dead_code, unreachable_pub, reason = "each test file uses its part")]

use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use axum::response::Response;
use http_body_util::BodyExt;
use notch_core::catalogue::Catalogue;
use notch_core::text::Text;
use notch_server::{AppState, Clock, Reach, Settings, hash_passphrase, router};
use notch_store::{Store, StoreError, Writer};
use serde_json::{Value, json};
use tempfile::TempDir;
use tower::ServiceExt;

/// The program on the demo school, without a network.
pub struct Server {
    pub router: axum::Router,
    pub state: AppState,
    kept_in: TempDir,
}

impl Server {
    pub fn new(passphrase: Option<&str>) -> Self {
        Self::made(passphrase, Clock::demo(notch_demo::evening()))
    }

    pub fn with_clock(clock: Clock) -> Self {
        Self::made(None, clock)
    }

    /// The program on a new folder: a school on its first evening.
    pub fn empty() -> Self {
        Self::on(TempDir::new().unwrap(), None, Clock::demo(notch_demo::evening()), |_, _| ())
    }

    fn made(passphrase: Option<&str>, clock: Clock) -> Self {
        Self::on(TempDir::new().unwrap(), passphrase, clock, |store, catalogue| notch_demo::fill(store, catalogue).unwrap())
    }

    fn on(folder: TempDir, passphrase: Option<&str>, clock: Clock, fill: impl FnOnce(&Store, &Catalogue)) -> Self {
        let catalogue = Catalogue::shipped().unwrap();
        let store = Store::open(folder.path()).unwrap();
        fill(&store, &catalogue);
        if let Some(passphrase) = passphrase {
            let hash = hash_passphrase(passphrase).unwrap();
            let set = |writer: &Writer<'_>| writer.set_passphrase(writer.instructor_named("Instructor")?.id, &hash);
            store.write::<_, StoreError>(set).unwrap();
        }
        let settings = Settings { demo: true, beside_own: false, made_up: None, reach: Reach::default(), clock };
        let state = AppState::new(&catalogue, store, settings);
        Server { router: router(state.clone()), state, kept_in: folder }
    }

    pub async fn send(&self, request: Request<Body>) -> Response {
        self.router.clone().oneshot(request).await.unwrap()
    }

    pub async fn raw(&self, method: Method, path: &str, kind: &str, body: impl Into<Body>) -> (StatusCode, Value) {
        let request =
            Request::builder().method(method).uri(path).header(header::HOST, "localhost").header(header::CONTENT_TYPE, kind);
        read(self.send(request.body(body.into()).unwrap()).await).await
    }

    /// A write with the id that a device gave it, and the moment at which it happened there.
    pub async fn sent(&self, method: Method, path: &str, id: &str, at: Option<&str>, body: &Value) -> (StatusCode, Value) {
        let mut request = Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::CONTENT_TYPE, "application/json")
            .header("idempotency-key", id);
        if let Some(at) = at {
            request = request.header("happened-at", at);
        }
        read(self.send(request.body(Body::from(body.to_string())).unwrap()).await).await
    }

    /// The folder with the data.
    pub fn folder(&self) -> &std::path::Path {
        self.kept_in.path()
    }

    pub async fn get(&self, path: &str) -> (StatusCode, Value) {
        self.raw(Method::GET, path, "", Body::empty()).await
    }

    /// An answer as it comes, its body unread.
    pub async fn open(&self, path: &str) -> Response {
        let request = Request::builder().uri(path).header(header::HOST, "localhost").body(Body::empty()).unwrap();
        self.send(request).await
    }

    /// An answer that is plain text, such as a table.
    pub async fn text(&self, path: &str) -> String {
        String::from_utf8(self.get_bytes(path).await.1).unwrap()
    }

    /// An answer that is a file.
    pub async fn get_bytes(&self, path: &str) -> (StatusCode, Vec<u8>) {
        let request = Request::builder().uri(path).header(header::HOST, "localhost").body(Body::empty()).unwrap();
        let response = self.send(request).await;
        let status = response.status();
        (status, response.into_body().collect().await.unwrap().to_bytes().to_vec())
    }

    pub async fn post(&self, path: &str, body: Value) -> (StatusCode, Value) {
        self.raw(Method::POST, path, "application/json", body.to_string()).await
    }

    /// Id of a lesson of the first course that nothing was planned in yet.
    pub async fn empty_lesson(&self) -> i64 {
        let (_, plan) =
            self.post("/api/courses/1/lessons", json!({ "title": "One more", "starts_at": "2026-11-03T18:30:00" })).await;
        plan["lesson"]["id"].as_i64().unwrap()
    }

    pub async fn put(&self, path: &str, body: Value) -> (StatusCode, Value) {
        self.raw(Method::PUT, path, "application/json", body.to_string()).await
    }

    /// An attempt of a student at the julienne of lesson 5, started.
    pub async fn start(&self, student: i64, knife: i64) -> (StatusCode, Value) {
        self.attempt(5, json!({ "student_id": student, "exercise_id": 11, "knife_id": knife })).await
    }

    /// An attempt in a lesson, started; its failure, if it could not be.
    pub async fn attempt(&self, lesson: i64, start: Value) -> (StatusCode, Value) {
        let (status, told) = self.post(&format!("/api/lessons/{lesson}/attempts"), json!({ "starts": [start] })).await;
        (status, if status == StatusCode::CREATED { told["attempts"][0].clone() } else { told })
    }

    /// The attempt of a student, stopped.
    pub async fn stop(&self, lesson: i64, student: i64) -> Value {
        let (status, told) = self.post(&format!("/api/lessons/{lesson}/stop"), json!({ "student_ids": [student] })).await;
        assert_eq!(status, StatusCode::CREATED, "{told}");
        told["attempts"][0].clone()
    }

    /// A mark for a student; the attempt, or the failure.
    pub async fn mark(&self, lesson: i64, student: i64, what: Value) -> (StatusCode, Value) {
        let body = json!({ "student_id": student, "what": what });
        let (status, told) = self.post(&format!("/api/lessons/{lesson}/marks"), body).await;
        (status, if status == StatusCode::CREATED { told["attempts"][0].clone() } else { told })
    }
}

/// A sentence of an answer, as it is read in millimetres.
pub fn words(sentence: &Value) -> String {
    serde_json::from_value::<Text>(sentence.clone()).unwrap().to_string()
}

/// Status and body of an answer; failures and problem+json go together.
pub async fn read(response: Response) -> (StatusCode, Value) {
    let status = response.status();
    let is_problem = response.headers().get(header::CONTENT_TYPE).is_some_and(|kind| kind == "application/problem+json");
    assert_eq!(is_problem, status.is_client_error() || status.is_server_error(), "{status} and problem+json go together");
    let bytes = response.into_body().collect().await.unwrap().to_bytes();
    (status, serde_json::from_slice(&bytes).unwrap_or(Value::Null))
}
