//! The API through the router: what it answers, refuses, and protects.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::sync::Arc;

use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use axum::response::Response;
use http_body_util::BodyExt;
use notch_core::catalogue::Catalogue;
use notch_server::{AppState, Clock, PASSPHRASE_KEY, Settings, hash_passphrase, router};
use notch_store::{Store, StoreError};
use serde_json::{Value, json};
use tempfile::TempDir;
use tower::ServiceExt;

/// The program on the demo school, without a network.
struct Server {
    router: axum::Router,
    _folder: TempDir,
}

impl Server {
    fn new(passphrase: Option<&str>) -> Self {
        let folder = TempDir::new().unwrap();
        let catalogue = Catalogue::shipped().unwrap();
        let store = Store::open(folder.path()).unwrap();
        notch_demo::fill(&store, &catalogue).unwrap();
        if let Some(passphrase) = passphrase {
            let hash = hash_passphrase(passphrase).unwrap();
            store.write::<_, StoreError>(|writer| writer.set_setting(PASSPHRASE_KEY, &hash)).unwrap();
        }
        let settings = Settings { demo: true, loopback: true, clock: Clock::demo(notch_demo::evening()) };
        Server { router: router(AppState::new(catalogue, store, settings)), _folder: folder }
    }

    async fn send(&self, request: Request<Body>) -> Response {
        self.router.clone().oneshot(request).await.unwrap()
    }

    async fn raw(&self, method: Method, path: &str, kind: &str, body: impl Into<Body>) -> (StatusCode, Value) {
        let request =
            Request::builder().method(method).uri(path).header(header::HOST, "localhost").header(header::CONTENT_TYPE, kind);
        read(self.send(request.body(body.into()).unwrap()).await).await
    }

    async fn get(&self, path: &str) -> (StatusCode, Value) {
        self.raw(Method::GET, path, "", Body::empty()).await
    }

    async fn post(&self, path: &str, body: Value) -> (StatusCode, Value) {
        self.raw(Method::POST, path, "application/json", body.to_string()).await
    }

    async fn put(&self, path: &str, body: Value) -> (StatusCode, Value) {
        self.raw(Method::PUT, path, "application/json", body.to_string()).await
    }

    /// An attempt of a student at the julienne of lesson 5, started.
    async fn start(&self, student: i64, knife: i64) -> (StatusCode, Value) {
        self.post("/api/attempts", json!({ "student_id": student, "exercise_id": 11, "knife_id": knife })).await
    }
}

async fn read(response: Response) -> (StatusCode, Value) {
    let status = response.status();
    let is_problem = response.headers().get(header::CONTENT_TYPE).is_some_and(|kind| kind == "application/problem+json");
    assert_eq!(is_problem, status.is_client_error() || status.is_server_error(), "{status} and problem+json go together");
    let bytes = response.into_body().collect().await.unwrap().to_bytes();
    (status, serde_json::from_slice(&bytes).unwrap_or(Value::Null))
}

fn carrot(motion: &str, knife: &str, length: u16) -> Value {
    json!({
        "food": "carrot", "cut": "julienne", "knife_type": knife, "knife_length": length, "grip": "pinch", "hold": "claw",
        "motion": motion, "third": "heel", "amount": { "kind": "pieces", "count": 40 }, "own_minutes": null
    })
}

#[tokio::test]
async fn every_reading_route_answers_on_the_demo_school() {
    let server = Server::new(None);
    for path in [
        "/api/about",
        "/api/catalogue",
        "/api/courses",
        "/api/courses/1",
        "/api/rack",
        "/api/rack?course=1&hand_length=165&hand=left",
        "/api/rack/12/care?course=1&degrees=20&spine=2.5&food=cabbage",
        "/api/rack/32/care",
        "/api/lessons/5/check",
        "/api/lessons/5/count",
        "/api/courses/1/playbook",
        "/api/courses/1/playbook?food=potato",
        "/api/courses/1/playbook?food=onion&knives=types&student=1",
        "/api/courses/1/kit",
        "/api/own",
        "/api/lessons/5/plan",
        "/api/lessons/5/class",
        "/api/lessons/5/class?exercise=11",
        "/api/courses/1/yard",
        "/api/courses/2/yard",
        "/api/students/4/evidence",
        "/api/openapi.json",
    ] {
        let (status, body) = server.get(path).await;
        assert_eq!(status, StatusCode::OK, "{path}");
        assert!(!body.is_null(), "{path}");
    }
}

#[tokio::test]
async fn a_lesson_is_planned_taught_measured_and_judged() {
    let server = Server::new(None);
    let (status, plan) = server.post("/api/lessons/6/exercises", carrot("push", "flat_chefs", 210)).await;
    assert_eq!(status, StatusCode::CREATED);
    let exercise = plan["exercises"][0]["exercise"]["id"].as_i64().unwrap();
    assert_eq!(plan["exercises"][0]["advice"]["figures"]["pieces_per_unit"], 77);
    let practised = plan["time_rule"]["segments"].as_array().unwrap().iter().any(|s| s["exercise_id"] == exercise);
    assert!(practised, "the exercise has its practice on the rule");

    let (status, attempt) =
        server.post("/api/attempts", json!({ "student_id": 11, "exercise_id": exercise, "knife_id": 12 })).await;
    assert_eq!(status, StatusCode::CREATED);
    let id = attempt["id"].as_i64().unwrap();
    let (_, stopped) = server.post(&format!("/api/attempts/{id}/stop"), json!({})).await;
    let marks =
        json!({ "version": stopped["version"], "marks": { "grip_ticked": true, "hold_ticked": true, "faults": ["loose_grip"] } });
    assert_eq!(server.put(&format!("/api/attempts/{id}/marks"), marks).await.0, StatusCode::OK);
    let sample = json!({ "custom": "blind_ten", "text": "3.1 3.3 50\n1/8 3.2 2in" });
    let (_, judged) = server.post(&format!("/api/attempts/{id}/judge"), sample.clone()).await;
    assert_eq!(judged["verdict"]["inside"]["count"], 2);
    let (status, kept) = server.post(&format!("/api/attempts/{id}/samples"), sample).await;
    assert_eq!((status, &kept["samples"][0]["verdict"]), (StatusCode::CREATED, &judged["verdict"]));
    let (_, evidence) = server.get("/api/students/11/evidence").await;
    assert_eq!(evidence["attempts"][0]["id"], id);
}

#[tokio::test]
async fn a_past_judgement_keeps_its_figures_when_the_course_changes() {
    let server = Server::new(None);
    let (_, before) = server.get("/api/students/11/evidence").await;
    let (_, view) = server.get("/api/courses/1").await;
    let mut fields = view["course"].clone();
    fields["tolerance"] = json!("exam");
    fields["standard_set"] = json!("metric");
    let (status, _) = server.put("/api/courses/1", json!({ "version": 1, "fields": fields })).await;
    assert_eq!(status, StatusCode::OK);
    let (_, after) = server.get("/api/students/11/evidence").await;
    assert_eq!(before["attempts"], after["attempts"]);
}

#[tokio::test]
async fn a_refused_setup_names_field_and_reason_and_nothing_is_kept() {
    let server = Server::new(None);
    for (body, pointer, words) in [
        (carrot("saw", "bread", 230), "/knife_type", "skate"),
        (carrot("pull", "paring", 90), "/knife_type", "force on the board"),
        (carrot("saw", "flat_chefs", 210), "/motion", "plain edge is not sawn"),
        (carrot("push", "cleaver", 999), "/knife_type", "is not on the rack"),
        (
            json!({ "food": "cabbage", "cut": "coins", "knife_type": "santoku", "knife_length": 165, "grip": "pinch", "hold": "claw", "motion": "tap",
                 "third": "middle", "amount": { "kind": "units", "count": 1 }, "own_minutes": null }),
            "/motion",
            "170 mm high",
        ),
    ] {
        let (status, problem) = server.post("/api/lessons/6/exercises", body).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        let found = problem["problems"]
            .as_array()
            .unwrap()
            .iter()
            .any(|p| p["pointer"] == pointer && p["message"].as_str().unwrap().contains(words));
        assert!(found, "{pointer} {words}: {problem}");
    }
    assert_eq!(server.get("/api/lessons/6/plan").await.1["exercises"], json!([]));
}

#[tokio::test]
async fn bad_fields_are_named_with_value_and_what_is_allowed() {
    let server = Server::new(None);
    let knife = |change: (&str, Value)| {
        let mut fields = json!({ "number": "99", "knife_type": "birds_beak", "length": 70, "heel_height": 18, "hand": null, "edge_state": "sharp", "note": "" });
        fields[change.0] = change.1;
        fields
    };
    for (change, pointer, allowed) in [
        (("length", json!(300)), "/length", "60 to 75 mm"),
        (("number", json!("1")), "/number", "a number that no other knife has"),
        (("number", json!("")), "/number", "1 to 12 characters"),
        (("knife_type", json!("sword")), "/knife_type", "chefs"),
        (("heel_height", json!(0)), "/heel_height", "8 to 120 mm"),
        (("length", json!(-1)), "/length", "right kind"),
        (("length", json!("long")), "/length", "right kind"),
        (("length", json!(null)), "/length", "right kind"),
        (("edge_state", json!("bent")), "/edge_state", "right kind"),
    ] {
        let (status, problem) = server.post("/api/rack", knife(change.clone())).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{change:?}");
        let first = &problem["problems"][0];
        assert_eq!(first["pointer"], pointer, "{problem}");
        assert!(first["allowed"].as_str().unwrap().contains(allowed), "{problem}");
    }
}

#[tokio::test]
async fn bodies_that_cannot_be_read_have_their_own_answers() {
    let server = Server::new(None);
    let json_kind = "application/json";
    let cases: [(&str, Vec<u8>, StatusCode, &str); 5] = [
        ("text/plain", b"{}".to_vec(), StatusCode::BAD_REQUEST, "content type"),
        (json_kind, b"{\"number\": \"".to_vec(), StatusCode::BAD_REQUEST, "line 1"),
        (json_kind, vec![b'{', b'"', 0xff, 0xfe, b'"', b'}'], StatusCode::BAD_REQUEST, "UTF-8 from byte 2"),
        (json_kind, vec![b' '; 300 * 1024], StatusCode::PAYLOAD_TOO_LARGE, "256 kB"),
        (json_kind, b"[1]".to_vec(), StatusCode::UNPROCESSABLE_ENTITY, ""),
    ];
    for (kind, body, expected, words) in cases {
        let (status, problem) = server.raw(Method::POST, "/api/rack", kind, body).await;
        assert_eq!(status, expected, "{problem}");
        assert!(problem["detail"].as_str().unwrap().contains(words), "{problem}");
    }
}

#[tokio::test]
async fn unknown_addresses_ids_and_methods_are_told_as_problems() {
    let server = Server::new(None);
    for path in ["/api/nothing", "/api/lessons/99/plan", "/api/courses/abc", "/api/students/99/evidence", "/assets/none.js"] {
        assert_eq!(server.get(path).await.0, StatusCode::NOT_FOUND, "{path}");
    }
    assert_eq!(server.raw(Method::PATCH, "/api/rack", "", Body::empty()).await.0, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn stale_edits_and_removed_students_are_conflicts_with_words() {
    let server = Server::new(None);
    let (_, view) = server.get("/api/courses/1").await;
    let student = &view["students"][0];
    assert_eq!(server.put("/api/students/1", json!({ "version": 1, "fields": student })).await.0, StatusCode::OK);
    let (status, problem) = server.put("/api/students/1", json!({ "version": 1, "fields": student })).await;
    assert_eq!((status, problem["type"].as_str()), (StatusCode::CONFLICT, Some("/problems/conflict")));
    assert_eq!(server.post("/api/students/1/archive", json!({ "version": 2, "archived": true })).await.0, StatusCode::OK);
    assert_eq!(server.start(1, 12).await.0, StatusCode::GONE);
    assert_eq!(server.get("/api/students/1/evidence").await.0, StatusCode::GONE);
}

#[tokio::test]
async fn a_knife_is_handed_out_only_where_it_may_be() {
    let server = Server::new(None);
    for (student, knife, words) in [
        (13, 12, "longer than this student is cleared for"),
        (11, 7, "failed its edge test"),
        (11, 37, "needs the last clearance"),
    ] {
        let (status, problem) = server.start(student, knife).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["detail"].as_str().unwrap().contains(words), "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], "/knife_id");
    }
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED);
    assert_eq!(server.start(11, 13).await.0, StatusCode::CONFLICT, "one attempt at a time");
    assert_eq!(server.start(2, 12).await.0, StatusCode::CONFLICT, "one student a knife");
}

#[tokio::test]
async fn a_stop_fault_stops_the_attempt_in_the_same_moment() {
    let server = Server::new(None);
    let (_, attempt) = server.start(11, 12).await;
    let marks = json!({ "version": attempt["version"], "marks": { "grip_ticked": true, "hold_ticked": true, "faults": ["fingertip_ahead"] } });
    let (_, marked) = server.put(&format!("/api/attempts/{}/marks", attempt["id"]), marks).await;
    assert!(marked["stopped_at"].is_string());
    let (_, class) = server.get("/api/lessons/5/class").await;
    let station = class["stations"].as_array().unwrap().iter().find(|s| s["student"]["id"] == 11).unwrap();
    assert_eq!(station["paused"], true);
    let unknown =
        json!({ "version": marked["version"], "marks": { "grip_ticked": true, "hold_ticked": true, "faults": ["juggling"] } });
    let (status, problem) = server.put(&format!("/api/attempts/{}/marks", attempt["id"]), unknown).await;
    assert_eq!((status, problem["problems"][0]["pointer"].as_str()), (StatusCode::UNPROCESSABLE_ENTITY, Some("/marks/faults/0")));
}

#[tokio::test]
async fn changes_from_other_sites_and_other_host_names_are_refused() {
    let server = Server::new(None);
    let request = |host: &str, site: Option<&str>, origin: Option<&str>| {
        let mut request = Request::builder()
            .method(Method::POST)
            .uri("/api/rack")
            .header(header::HOST, host)
            .header(header::CONTENT_TYPE, "application/json");
        if let Some(site) = site {
            request = request.header("sec-fetch-site", site);
        }
        if let Some(origin) = origin {
            request = request.header(header::ORIGIN, origin);
        }
        request.body(Body::from("{}")).unwrap()
    };
    for (host, site, origin, expected) in [
        ("localhost:7411", Some("cross-site"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", Some("same-site"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", None, Some("http://elsewhere.example"), StatusCode::FORBIDDEN),
        ("elsewhere.example", Some("same-origin"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", Some("same-origin"), None, StatusCode::UNPROCESSABLE_ENTITY),
        ("[::1]:7411", None, Some("http://[::1]:7411"), StatusCode::UNPROCESSABLE_ENTITY),
    ] {
        assert_eq!(read(server.send(request(host, site, origin)).await).await.0, expected, "{host} {site:?} {origin:?}");
    }
}

#[tokio::test]
async fn every_answer_has_the_security_headers() {
    let server = Server::new(None);
    for path in ["/api/about", "/api/nothing", "/"] {
        let request = Request::builder().uri(path).header(header::HOST, "localhost").body(Body::empty()).unwrap();
        let headers = server.send(request).await.headers().clone();
        for name in
            ["x-content-type-options", "content-security-policy", "referrer-policy", "x-frame-options", "permissions-policy"]
        {
            assert!(headers.contains_key(name), "{path} lacks {name}");
        }
    }
}

#[tokio::test]
async fn with_a_passphrase_everything_but_signing_in_needs_it() {
    let server = Server::new(Some("lantern on the quay"));
    assert_eq!(server.get("/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(server.get("/api/courses/1").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(server.get("/api/about").await.1["signed_in"], false);
    assert_eq!(server.post("/api/sign-in", json!({ "passphrase": "guess" })).await.0, StatusCode::UNAUTHORIZED);
    let sign_in = |passphrase: &str| {
        Request::builder()
            .method(Method::POST)
            .uri("/api/sign-in")
            .header(header::HOST, "localhost")
            .header(header::CONTENT_TYPE, "application/json")
            .body(Body::from(json!({ "passphrase": passphrase }).to_string()))
            .unwrap()
    };
    let response = server.send(sign_in("lantern on the quay")).await;
    assert_eq!(response.status(), StatusCode::NO_CONTENT);
    let cookie = response.headers()[header::SET_COOKIE].to_str().unwrap().to_owned();
    assert!(cookie.contains("HttpOnly") && cookie.contains("SameSite=Strict"), "{cookie}");
    let token = cookie.split(';').next().unwrap().to_owned();
    let with_cookie = |method: Method, path: &str| {
        Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::COOKIE, &token)
            .body(Body::empty())
            .unwrap()
    };
    assert_eq!(server.send(with_cookie(Method::GET, "/api/rack")).await.status(), StatusCode::OK);
    assert_eq!(server.send(with_cookie(Method::DELETE, "/api/sign-in")).await.status(), StatusCode::NO_CONTENT);
    assert_eq!(server.send(with_cookie(Method::GET, "/api/rack")).await.status(), StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn guessing_the_passphrase_is_slowed_down() {
    let server = Server::new(Some("lantern on the quay"));
    let mut last = StatusCode::OK;
    for _ in 0..8 {
        last = server.post("/api/sign-in", json!({ "passphrase": "guess" })).await.0;
    }
    assert_eq!(last, StatusCode::TOO_MANY_REQUESTS);
    assert!(hash_passphrase("short").is_err());
}

#[tokio::test]
async fn twenty_clients_at_once_are_all_answered() {
    let server = Arc::new(Server::new(None));
    let tasks: Vec<_> = (0..20)
        .map(|index| {
            let server = server.clone();
            tokio::spawn(async move {
                let (status, _) = server.post("/api/rack", json!({ "number": format!("t{index}"), "knife_type": "paring", "length": 90, "heel_height": 20, "hand": null, "edge_state": "sharp", "note": "" })).await;
                (status, server.get("/api/courses/1/yard").await.0)
            })
        })
        .collect();
    for task in tasks {
        assert_eq!(task.await.unwrap(), (StatusCode::CREATED, StatusCode::OK));
    }
    assert_eq!(server.get("/api/rack").await.1["count"], 37 + 20);
}

#[tokio::test]
async fn a_failed_paper_test_takes_the_knife_out_of_the_lesson() {
    let server = Server::new(None);
    let turned = json!({
        "food": "potato", "cut": "turned", "knife_type": "birds_beak", "knife_length": 70, "grip": "paring", "hold": "in_hand",
        "motion": "in_hand_pull", "third": "middle", "amount": { "kind": "units", "count": 1 }, "own_minutes": 5
    });
    assert_eq!(server.post("/api/lessons/6/exercises", turned).await.0, StatusCode::CREATED);
    let (_, before) = server.get("/api/lessons/6/check").await;
    let knives = |sheet: &Value| sheet["items"].as_array().unwrap().iter().find(|i| i["part"] == "knives").cloned().unwrap();
    let short = knives(&before)["short"].as_u64().unwrap();
    assert!(short > 0, "14 students, few small knives: {before}");
    let (_, rack) = server.get("/api/rack").await;
    let number = |rack: &Value, number: &str| {
        let groups = rack["groups"].as_array().unwrap().iter().flat_map(|g| g["knives"].as_array().unwrap().clone());
        groups.into_iter().find(|k| k["knife"]["number"] == number).unwrap()
    };
    let id = number(&rack, "29")["knife"]["id"].as_i64().unwrap();
    let test = json!({ "course": 1, "fields": { "kind": "paper_test", "clean": 2, "on_day": "2026-10-06", "words": "catches" } });
    let (status, taken) = server.post(&format!("/api/rack/{id}/care"), test).await;
    assert_eq!((status, &taken["knife"]["edge_state"]), (StatusCode::CREATED, &json!("dull")));
    let (_, after) = server.get("/api/lessons/6/check").await;
    assert_eq!(knives(&after)["short"].as_u64().unwrap(), short + 1);
    let (_, rack) = server.get("/api/rack?course=1").await;
    assert_eq!(number(&rack, "29")["due"][0]["what"], "failed");
    let again = json!({ "fields": { "kind": "paper_test", "clean": 3, "on_day": "2026-10-06" } });
    assert_eq!(server.post(&format!("/api/rack/{id}/care"), again).await.1["knife"]["edge_state"], "sharp");
}

#[tokio::test]
async fn care_that_cannot_be_is_refused_at_its_field() {
    let server = Server::new(None);
    for (knife, deed, pointer) in [
        (12, json!({ "kind": "hone", "strokes": 4, "angle": 45, "on_day": "2026-10-06" }), "/angle"),
        (12, json!({ "kind": "hone", "strokes": 0, "angle": null, "on_day": "2026-10-06" }), "/strokes"),
        (12, json!({ "kind": "hone", "strokes": 4, "angle": null, "on_day": "2026-10-07" }), "/on_day"),
        (12, json!({ "kind": "paper_test", "clean": 4, "on_day": "2026-10-06" }), "/clean"),
        (12, json!({ "kind": "stone", "strokes": 10, "angle": 15, "grits": [], "on_day": "2026-10-06" }), "/grits"),
        (12, json!({ "kind": "incident", "on_day": "2026-10-06" }), "/words"),
        (32, json!({ "kind": "hone", "strokes": 4, "angle": null, "on_day": "2026-10-06" }), "/kind"),
        (32, json!({ "kind": "stone", "strokes": 10, "angle": null, "grits": [1000], "on_day": "2026-10-06" }), "/kind"),
    ] {
        let (status, problem) = server.post(&format!("/api/rack/{knife}/care"), json!({ "fields": deed })).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], pointer, "{problem}");
    }
    let (_, care) = server.get("/api/rack/12/care").await;
    assert!(care["events"].as_array().unwrap().iter().all(|event| event["on_day"] != "2026-10-06"), "nothing was kept");
    assert_eq!(server.get("/api/rack?hand_length=20").await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.get("/api/rack/12/care?degrees=120").await.0, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn a_table_with_wrong_rows_is_told_row_by_row() {
    let server = Server::new(None);
    let text = "number,type,length\n101,chefs,200\n102,Paring,90\n103,no such knife,90\n104,birds_beak,300\n";
    let (status, table) = server.post("/api/rack/table/read", json!({ "text": text })).await;
    assert_eq!((status, &table["sound"], &table["wrong"]), (StatusCode::OK, &json!(2), &json!(2)));
    assert_eq!(table["rows"][2]["line"], 4);
    assert_eq!(table["rows"][3]["problems"][0]["pointer"], "/length");
    let (status, problem) = server.post("/api/rack/table", json!({ "text": text })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["problems"][0]["message"].as_str().unwrap().starts_with("Line 4"));
    assert_eq!(server.get("/api/rack").await.1["count"], 37, "one wrong row and nothing is kept");
    let (status, taken) = server.post("/api/rack/table", json!({ "text": text, "skip_wrong": true })).await;
    assert_eq!((status, &taken["added"], &taken["left"]), (StatusCode::CREATED, &json!(2), &json!(2)));
    assert_eq!(server.get("/api/rack").await.1["count"], 39);
    let (_, table) = server.post("/api/rack/table/read", json!({ "text": "number,type,length\n101,chefs,200" })).await;
    assert_eq!(table["rows"][0]["problems"][0]["pointer"], "/number", "a number that is taken");
    assert_eq!(server.post("/api/rack/table/read", json!({ "text": "" })).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(
        server.post("/api/rack/table/read", json!({ "text": "name;colour\na;b" })).await.0,
        StatusCode::UNPROCESSABLE_ENTITY
    );
}

#[tokio::test]
async fn a_class_is_not_closed_with_a_knife_missing_unless_it_is_said_why() {
    let server = Server::new(None);
    let count = |way: &str, numbers: &str| json!({ "way": way, "numbers": numbers });
    let (status, out) = server.post("/api/lessons/5/count", count("out", "1-6, 12 13")).await;
    assert_eq!((status, &out["missing"]), (StatusCode::OK, &json!(8)));
    for (numbers, why) in [("7", "failed its edge test"), ("999", "on no knife"), ("9-1", "not a span"), ("", "was given")] {
        let (status, problem) = server.post("/api/lessons/5/count", count("out", numbers)).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["detail"].as_str().unwrap().contains(why), "{problem}");
    }
    assert_eq!(server.post("/api/lessons/5/count", count("in", "20")).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/count", count("in", "1-6 12")).await.1["missing"], 1);
    let close = |words: &str| json!({ "who": "Mara", "words": words, "closed": true });
    let (status, problem) = server.post("/api/lessons/5/close", close("")).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["detail"].as_str().unwrap().contains("8 went out and 7 came in: no. 13 missing"), "{problem}");
    let (status, closed) = server.post("/api/lessons/5/close", close("Chipped on a board clip; in the steward's drawer.")).await;
    assert_eq!((status, &closed["closed"]["who"]), (StatusCode::OK, &json!("Mara")));
    assert_eq!(server.post("/api/lessons/5/count", count("in", "13")).await.0, StatusCode::CONFLICT);
    assert_eq!(server.post("/api/lessons/5/close", close("")).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    let open = json!({ "who": "Mara", "closed": false });
    assert_eq!(server.post("/api/lessons/5/close", open).await.1["closed"], Value::Null);
}

#[tokio::test]
async fn ticks_on_the_check_sheet_are_kept_with_who_and_when() {
    let server = Server::new(None);
    let tick = |item: &str, who: &str, ticked: bool| json!({ "item": item, "who": who, "ticked": ticked });
    let (status, sheet) = server.post("/api/lessons/5/check", tick("first_aid", "Mara", true)).await;
    assert_eq!((status, &sheet["done"]), (StatusCode::OK, &json!(1)));
    let item = |sheet: &Value| sheet["items"].as_array().unwrap().iter().find(|item| item["id"] == "first_aid").cloned().unwrap();
    assert_eq!(item(&sheet)["tick"]["who"], "Mara");
    assert!(item(&sheet)["tick"]["at"].as_str().unwrap().starts_with("2026-10-06T18:1"));
    assert_eq!(server.post("/api/lessons/5/check", tick("no_such_line", "Mara", true)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/check", tick("boards", " ", true)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/check", tick("first_aid", "Mara", false)).await.1["done"], 0);
}

#[tokio::test]
async fn another_school_says_what_it_changes_before_and_after_it_is_saved() {
    let server = Server::new(None);
    let (_, same) = server.post("/api/courses/1/schools/try", json!({ "schools": {} })).await;
    assert_eq!(same["changed"], 0);
    let (_, level) = server.post("/api/courses/1/schools/try", json!({ "schools": { "onion_dice": "level_cut" } })).await;
    assert!(level["changed"].as_u64().unwrap() > 0, "{level}");
    let onion = level["examples"].as_array().unwrap();
    assert!(onion.iter().all(|change| change["after"].as_str().unwrap().contains("level cut")), "{level}");
    let (_, care) = server.post("/api/courses/1/schools/try", json!({ "schools": { "steel_or_stone": "stone" } })).await;
    assert!(care["beside"][0].as_str().unwrap().contains("Steel or stone"), "{care}");
    let (status, problem) = server.post("/api/courses/1/schools/try", json!({ "schools": { "tip": "sometimes" } })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/schools/tip")));
    let (_, course) = server.get("/api/courses/1").await;
    let chosen = json!({ "version": course["course"]["version"], "schools": { "grip": "handle" } });
    let (status, kept) = server.put("/api/courses/1/schools", chosen.clone()).await;
    assert_eq!((status, &kept["schools"]["grip"]), (StatusCode::OK, &json!("handle")));
    assert_eq!(server.put("/api/courses/1/schools", chosen).await.0, StatusCode::CONFLICT, "a stale choice");
    let carrot = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 } });
    assert_eq!(server.post("/api/courses/1/advice", carrot).await.1["setup"]["grip"], "handle");
}

#[tokio::test]
async fn an_own_set_of_standards_is_copied_used_and_cannot_be_removed_while_it_is_needed() {
    let server = Server::new(None);
    let sizes = server.get("/api/own").await.1["sizes"]["metric"].clone();
    let mut own = json!({ "kind": "standard_set", "id": "", "name": "Harbour sizes", "based_on": "metric", "sizes": sizes });
    own["sizes"]["julienne"]["thickness"] = json!("2.5");
    let (status, view) = server.post("/api/own", json!({ "version": null, "value": own.clone() })).await;
    assert_eq!(status, StatusCode::OK, "{view}");
    let line = &view["own"][0];
    assert_eq!((&line["id"], &line["copy"]), (&json!("own_harbour_sizes"), &json!(true)));
    assert!(line["differences"].as_array().unwrap().iter().any(|d| d["shipped"] == "2" && d["own"] == "2.5"), "{line}");
    let (_, catalogue) = server.get("/api/catalogue").await;
    assert!(catalogue["sets"].as_array().unwrap().iter().any(|set| set["id"] == "own_harbour_sizes"));
    let (_, course) = server.get("/api/courses/1").await;
    let mut fields = course["course"].clone();
    fields["standard_set"] = json!("own_harbour_sizes");
    let change = json!({ "version": course["course"]["version"], "fields": fields });
    assert_eq!(server.put("/api/courses/1", change).await.0, StatusCode::OK);
    let gone = json!({ "kind": "standard_set", "id": "own_harbour_sizes", "version": 1 });
    let (status, problem) = server.post("/api/own/drop", gone).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["detail"].as_str().unwrap().contains("is used by Galley hands, autumn watch"), "{problem}");
    own["sizes"]["julienne"]["thickness"] = json!("thick");
    let (status, problem) = server.post("/api/own", json!({ "version": null, "value": own })).await;
    assert_eq!(
        (status, &problem["problems"][0]["pointer"]),
        (StatusCode::UNPROCESSABLE_ENTITY, &json!("/sizes/julienne/thickness"))
    );
    let cue = json!({ "version": null, "value": { "kind": "cue", "id": "loose_grip", "cue": "Shake hands with the blade." } });
    assert_eq!(server.post("/api/own", cue.clone()).await.0, StatusCode::OK);
    assert_eq!(server.post("/api/own", cue).await.0, StatusCode::CONFLICT, "it is there already");
    let back = json!({ "kind": "cue", "id": "loose_grip", "version": 1 });
    assert_eq!(server.post("/api/own/drop", back).await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_kit_covers_the_course_or_says_what_nothing_covers() {
    let server = Server::new(None);
    let (_, options) = server.get("/api/courses/1/kit").await;
    let jobs: Vec<Value> =
        options["jobs"].as_array().unwrap().iter().map(|j| json!({ "cut": j["cut"], "food": j["food"] })).collect();
    let knives: Vec<Value> = options["knives"]
        .as_array()
        .unwrap()
        .iter()
        .map(|k| json!({ "knife_type": k["knife_type"], "cost": k["cost"] }))
        .collect();
    let ask =
        |knives: &[Value], least: u8, goal: Value| json!({ "jobs": jobs, "knives": knives, "least_fit": least, "goal": goal });
    let (status, answer) = server.post("/api/courses/1/kit", ask(&knives, 40, json!({ "kind": "fewest" }))).await;
    assert_eq!(status, StatusCode::OK, "{answer}");
    assert!(!answer["kit"]["knives"].as_array().unwrap().is_empty());
    let cheap = json!({ "kind": "cheapest", "budget": 5 });
    assert_eq!(server.post("/api/courses/1/kit", ask(&knives, 40, cheap)).await.1["kit"]["within_budget"], false);
    let beak: Vec<Value> = knives.iter().filter(|k| k["knife_type"] == "birds_beak").cloned().collect();
    let (_, answer) = server.post("/api/courses/1/kit", ask(&beak, 40, json!({ "kind": "fewest" }))).await;
    assert!(answer["kit"].is_null());
    assert_eq!(answer["uncovered"].as_array().unwrap().len(), jobs.len());
    assert!(!answer["uncovered"][0]["nearest"].is_null(), "it is said what would cover it: {answer}");
    let wrong = json!({ "kind": "cheapest", "budget": -1 });
    assert_eq!(server.post("/api/courses/1/kit", ask(&knives, 40, wrong)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn what_was_answered_is_answered_again_until_something_changes() {
    let server = Server::new(None);
    let ask = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 } });
    let first = server.post("/api/courses/1/advice", ask.clone()).await.1;
    assert_eq!(server.post("/api/courses/1/advice", ask.clone()).await.1, first);
    let more = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 200 } });
    assert_ne!(server.post("/api/courses/1/advice", more).await.1, first, "another body is another question");
    let rack = server.get("/api/rack").await.1;
    assert_eq!(server.get("/api/rack").await.1, rack);
    let dull = json!({ "fields": { "kind": "paper_test", "clean": 0, "on_day": "2026-10-06" } });
    assert_eq!(server.post("/api/rack/12/care", dull).await.0, StatusCode::CREATED);
    assert_eq!(server.get("/api/rack").await.1["fit"].as_u64(), rack["fit"].as_u64().map(|fit| fit - 1));
    assert_ne!(server.post("/api/courses/1/advice", ask).await.1, first);
}

#[tokio::test]
async fn the_bench_answers_both_ways_and_refuses_what_cannot_be() {
    let server = Server::new(None);
    let ask = |more: Value| {
        let mut question = json!({ "food": "carrot", "cut": "julienne", "good": 20, "success": 0.8 });
        question.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        question
    };
    let (status, view) = server.post("/api/courses/1/bench", ask(json!({}))).await;
    assert_eq!(status, StatusCode::OK, "{view}");
    assert_eq!((&view["ways"][0]["pieces"], &view["pieces_each"]), (&json!(77), &json!(28)));
    assert!(view["difference"].as_str().unwrap().starts_with("Flat first gives"));
    let (_, large) = server.post("/api/courses/1/bench", ask(json!({ "thickness": 40, "width": 40 }))).await;
    assert_eq!(large["ways"][0]["pieces"], 0);
    assert!(large["nothing_fits"].as_str().unwrap().contains("the largest square that does is"), "{large}");
    for (wrong, pointer) in [
        (json!({ "success": 0 }), "/success"),
        (json!({ "good": 0 }), "/good"),
        (json!({ "thickness": 0 }), "/thickness"),
        (json!({ "food": "stone" }), "/food"),
        (json!({ "errors": { "lean_degrees": 80 } }), "/errors/lean_degrees"),
        (json!({ "shape": { "kind": "cylinder", "diameter": 30, "length": 100 } }), "/shape/kind"),
    ] {
        let (status, problem) = server.post("/api/courses/1/bench", ask(wrong)).await;
        assert_eq!(
            (status, &problem["problems"][0]["pointer"]),
            (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)),
            "{problem}"
        );
    }
    let onion = |layers: u8, depth: f64| json!({ "radius": 40, "layers": layers, "cuts": 9, "method": { "kind": "below", "depth": depth }, "size": 6.35 });
    let (status, found) = server.post("/api/bench/onion", onion(8, 0.5)).await;
    assert_eq!(status, StatusCode::OK, "{found}");
    assert_eq!(found["grades"].as_array().unwrap().len(), found["section"]["cells"].as_array().unwrap().len());
    for (layers, depth, pointer) in
        [(60, 0.5, "/layers"), (0, 0.5, "/layers"), (8, 0.0, "/method/depth"), (8, 101.0, "/method/depth")]
    {
        let (status, problem) = server.post("/api/bench/onion", onion(layers, depth)).await;
        assert_eq!(
            (status, &problem["problems"][0]["pointer"]),
            (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)),
            "{problem}"
        );
    }
    let choose =
        json!({ "wanted": { "radius": 40, "layers": 8, "size": 6.35 }, "limits": { "strokes": 20, "no_level_cut": true } });
    let (status, choice) = server.post("/api/bench/onion/choose", choose).await;
    assert_eq!(status, StatusCode::OK);
    assert!(choice["found"][0]["strokes"].as_u64().unwrap() <= 20, "{choice}");
}
