//! Every route that changes something: sent twice under one id, made from an old version, to a record that
//! is not there.

use std::collections::BTreeSet;

use crate::common::Server;
use axum::http::{Method, StatusCode};
use serde_json::{Value, json};

/// A change as it is sent.
struct Write {
    method: Method,
    /// As the description has it, `{id}` for the record.
    route: &'static str,
    id: i64,
    body: Value,
    /// Made from a version that was read.
    versioned: bool,
}

impl Write {
    fn path(&self) -> String {
        self.route.replace("{id}", &self.id.to_string())
    }
}

fn write(method: Method, route: &'static str, id: i64, body: Value) -> Write {
    let change = method == Method::PUT || route.ends_with("/archive");
    let versioned = change && body.get("version").is_some_and(Value::is_i64);
    Write { method, route, id, body, versioned }
}

/// One sound change of each kind, as the school stands in the demo. The attempt is one that was started.
#[allow(clippy::too_many_lines, reason = "one after the other they read better")]
async fn every_write(server: &Server) -> Vec<Write> {
    let (_, course) = server.get("/api/courses/1").await;
    let (fields, student) = (course["course"].clone(), course["students"][2].clone());
    let (_, other) = server.get("/api/courses/2").await;
    let (_, small) = server.get("/api/courses/2/plan").await;
    let (_, small_file) = server.get("/api/courses/2/file").await;
    let cut = json!({ "session": 2, "cut": "rough_chop", "food": "parsley", "pinned": true });
    let small_plan = json!({ "stamp": small["stamp"], "blocks": [cut], "goals": [{ "cut": "coins", "notch": "safe", "by": 3 }] });
    let (_, rack) = server.get("/api/rack").await;
    let knife = rack["groups"][0]["knives"][0]["knife"].clone();
    let (_, plan) = server.get("/api/lessons/6/plan").await;
    let lesson = plan["lesson"].clone();
    let (_, plan) = server.get("/api/lessons/7/plan").await;
    let seventh = plan["lesson"].clone();
    let (_, plan) = server.get("/api/lessons/8/plan").await;
    let eighth = plan["lesson"].clone();
    let (_, class) = server.get("/api/lessons/5/plan").await;
    let exercise = class["exercises"][1]["exercise"].clone();
    let (_, attempt) = server.start(11, 12).await;
    let touch = json!({ "student_id": 11, "what": { "kind": "hold" } });
    server.sent(Method::POST, "/api/lessons/5/marks", "a-touch-before", None, &touch).await;
    for name in ["Ada Strand", "Ivo Keel"] {
        server.post("/api/staff", json!({ "name": name, "role": "instructor" })).await;
    }
    let mut renamed = fields.clone();
    renamed["name"] = json!("Galley hands, winter watch");
    let mut newcomer = student.clone();
    (newcomer["name"], newcomer["station"]) = (json!("Mina"), json!(41));
    let mut numbered = knife.clone();
    numbered["number"] = json!("901");
    let many = {
        let mut many = knife.clone();
        many["number"] = json!("911");
        many
    };
    let mut bought = knife.clone();
    bought["number"] = json!("931");
    let work = |knife: i64, crushed: i64| json!({ "knife_id": knife, "pieces": "3\n4\n5", "strokes": 9, "faces": 9, "crushed": crushed });
    let demonstration = json!({ "who": "Mara", "food": "cucumber", "cut": "coins", "sharp": work(1, 0), "dulled": work(7, 4) });
    let cue = json!({ "kind": "cue", "id": "loose_grip", "cue": "Hold it as you would a bird." });
    let (at_work, fault) = (attempt["student_id"].clone(), json!({ "kind": "fault", "fault": "claw_drifts" }));
    let paper = json!({ "kind": "paper_test", "clean": 3, "on_day": "2026-10-06", "words": "" });
    let id = |record: &Value| record["id"].as_i64().unwrap();
    let version = |record: &Value| record["version"].clone();
    vec![
        write(Method::POST, "/api/courses", 0, renamed.clone()),
        write(Method::POST, "/api/course-file", 0, small_file),
        write(Method::POST, "/api/staff", 0, json!({ "name": "Mara", "role": "assistant" })),
        write(Method::PUT, "/api/staff/{id}", 1, json!({ "version": 1, "fields": { "name": "Ada", "role": "instructor" } })),
        write(Method::POST, "/api/staff/{id}/archive", 2, json!({ "version": 1, "archived": true })),
        write(Method::PUT, "/api/copies/keep", 0, json!({ "daily": 3, "weekly": 2, "monthly": 1 })),
        write(
            Method::POST,
            "/api/start",
            0,
            json!({ "kind": "evening", "school": "s", "first": "2026-10-20", "at": "19:00:00", "names": "Una Vale", "knives": "" }),
        ),
        write(Method::PUT, "/api/courses/{id}", 1, json!({ "version": version(&fields), "fields": renamed })),
        write(Method::PUT, "/api/courses/{id}/plan", 2, small_plan),
        write(
            Method::POST,
            "/api/courses/{id}/sessions",
            1,
            json!({ "first": "2026-11-03", "at": "18:30:00", "weekdays": ["tuesday"], "count": 2, "skip": ["2026-11-10"] }),
        ),
        write(Method::POST, "/api/courses/{id}/calendar/address", 1, json!({ "shared": true })),
        write(Method::POST, "/api/courses/{id}/students", 1, newcomer),
        write(Method::POST, "/api/courses/{id}/people", 1, json!({ "people": [other["students"][0]["person_id"]] })),
        write(Method::POST, "/api/courses/{id}/roster", 1, json!({ "text": "Una Vale, left; small" })),
        write(Method::POST, "/api/rack/list", 0, json!({ "text": "2 paring 90" })),
        write(Method::PUT, "/api/students/{id}", id(&student), json!({ "version": version(&student), "fields": student })),
        write(Method::POST, "/api/students/{id}/archive", 14, json!({ "version": 1, "archived": true })),
        write(Method::POST, "/api/rack", 0, numbered),
        write(Method::PUT, "/api/rack/{id}", id(&knife), json!({ "version": version(&knife), "fields": knife })),
        write(Method::POST, "/api/rack/{id}/archive", 20, json!({ "version": 1, "archived": true })),
        write(Method::POST, "/api/rack/many", 0, json!({ "fields": many, "count": 3 })),
        write(Method::POST, "/api/rack/table", 0, json!({ "text": "number,type,length\n921,chefs,200" })),
        write(Method::POST, "/api/rack/{id}/care", id(&knife), json!({ "course": 1, "fields": paper })),
        write(
            Method::POST,
            "/api/courses/{id}/rack/bought",
            1,
            json!({ "knife": bought, "seen": { "straight": true, "balance": 12 } }),
        ),
        write(
            Method::PUT,
            "/api/lessons/{id}/rotation",
            6,
            json!({ "version": 0, "fields": { "absent": [3], "knives_out": [5] } }),
        ),
        write(Method::POST, "/api/lessons/{id}/run", 6, json!({ "step": "begin" })),
        write(Method::POST, "/api/run-steps/{id}/undo", 1, json!({})),
        write(Method::POST, "/api/lessons/{id}/check", 5, json!({ "item": "first_aid", "who": "Mara", "ticked": true })),
        write(Method::POST, "/api/lessons/{id}/count", 5, json!({ "way": "out", "numbers": "1 2" })),
        write(Method::POST, "/api/lessons/{id}/close", 4, json!({ "who": "Mara", "words": "", "closed": true })),
        write(Method::PUT, "/api/courses/{id}/doctrines", 2, json!({ "version": 1, "doctrines": { "grip": "handle" } })),
        write(Method::POST, "/api/own", 0, json!({ "version": null, "value": cue })),
        write(Method::POST, "/api/courses/{id}/lessons", 1, json!({ "title": "One more", "starts_at": "2026-11-03T18:30:00" })),
        write(Method::PUT, "/api/lessons/{id}", 6, json!({ "version": version(&lesson), "fields": lesson })),
        write(
            Method::PUT,
            "/api/lessons/{id}/time-rule",
            7,
            json!({ "version": version(&seventh), "fields": { "minutes": 100, "segments": seventh["segments"] } }),
        ),
        write(
            Method::PUT,
            "/api/lessons/{id}/produce",
            8,
            json!({ "version": version(&eighth), "fields": { "ends": [{ "food": "carrot", "end": "taken_home" }] } }),
        ),
        write(Method::POST, "/api/lessons/{id}/exercises", 7, exercise.clone()),
        write(Method::PUT, "/api/exercises/{id}", id(&exercise), json!({ "version": version(&exercise), "fields": exercise })),
        write(Method::POST, "/api/exercises/{id}/archive", 10, json!({ "version": 1, "archived": true })),
        write(Method::POST, "/api/lessons/{id}/marks", 5, json!({ "student_id": at_work, "what": fault })),
        write(Method::POST, "/api/lessons/{id}/stop", 5, json!({ "student_ids": [at_work] })),
        write(Method::POST, "/api/attempts/{id}/samples", id(&attempt), json!({ "custom": "blind_ten", "text": "3.1 3.3 50" })),
        write(
            Method::POST,
            "/api/lessons/{id}/incidents",
            5,
            json!({ "student_id": 3, "kind": "near_miss", "words": "A cloth slipped." }),
        ),
        write(
            Method::POST,
            "/api/lessons/{id}/briefings",
            5,
            json!({ "seed": 7, "answered": [{ "about": { "kind": "fault", "fault": "blade_up" }, "answer": "blade_up" }] }),
        ),
        write(Method::PUT, "/api/courses/{id}/room", 1, json!({ "places": [{ "station": 1, "x": 40, "y": 990 }] })),
        write(Method::POST, "/api/samples/{id}/take-back", 1, json!({ "who": "Mara", "why": "Entered twice." })),
        write(Method::POST, "/api/incidents/{id}/take-back", 1, json!({ "who": "Mara", "why": "Written down twice." })),
        write(Method::POST, "/api/lessons/{id}/sharp-dull", 5, demonstration),
        write(Method::POST, "/api/demonstrations/{id}/take-back", 1, json!({ "who": "Mara", "why": "The wrong knife." })),
        write(
            Method::POST,
            "/api/lessons/{id}/attempts",
            5,
            json!({ "starts": [{ "student_id": 2, "exercise_id": id(&exercise), "knife_id": 13 }] }),
        ),
        write(Method::POST, "/api/lessons/{id}/undo", 5, json!({ "touch": "a-touch-before" })),
        write(
            Method::POST,
            "/api/marks/{id}/correct",
            1,
            json!({ "who": "Mara", "why": "Of another.", "instead": { "kind": "hold" } }),
        ),
        write(Method::POST, "/api/own/drop", 0, json!({ "kind": "cue", "id": "loose_grip", "version": 1 })),
    ]
}

/// What is told of the clock of a lesson without what the moment alone makes of it; all else as it is.
fn whenever(mut told: Value) -> Value {
    if let Some(run) = told.as_object_mut().filter(|told| told.contains_key("left_seconds")) {
        run.retain(|key, _| ["state", "parts", "part", "next", "last"].contains(&key.as_str()));
    }
    told
}

/// Everything that the school keeps, as the reading routes tell it.
async fn kept(server: &Server) -> Vec<Value> {
    let mut told = Vec::new();
    for path in [
        "/api/courses",
        "/api/courses/1",
        "/api/courses/1/yard",
        "/api/courses/1/plan",
        "/api/courses/1/calendar/address",
        "/api/courses/2/plan",
        "/api/rack",
        "/api/own",
        "/api/copies",
        "/api/staff",
        "/api/lessons/5/plan",
        "/api/lessons/5/class",
        "/api/lessons/5/check",
        "/api/lessons/5/count",
        "/api/lessons/4/count",
        "/api/lessons/5/closing",
        "/api/lessons/6/plan",
        "/api/lessons/7/plan",
        "/api/lessons/6/rotation",
        "/api/lessons/5/sharp-dull",
    ] {
        told.push(server.get(path).await.1);
    }
    told.push(whenever(server.get("/api/lessons/6/run").await.1));
    for student in 1..=14 {
        told.push(server.get(&format!("/api/students/{student}/evidence")).await.1);
    }
    told
}

#[tokio::test]
async fn every_change_is_done_once_however_often_it_is_sent() {
    let server = Server::new(None);
    let writes = every_write(&server).await;
    for (number, write) in writes.iter().enumerate() {
        let id = format!("a-device-{number:04}");
        let before = kept(&server).await;
        let (status, first) = server.sent(write.method.clone(), &write.path(), &id, None, &write.body).await;
        assert!(status.is_success(), "{} {}: {first}", write.method, write.route);
        let after = kept(&server).await;
        let (again, second) = server.sent(write.method.clone(), &write.path(), &id, None, &write.body).await;
        assert_eq!((again, whenever(second)), (status, whenever(first)), "{} {}", write.method, write.route);
        assert_eq!(kept(&server).await, after, "{} {} was done again", write.method, write.route);
        let nothing = ["/api/students/{id}", "/api/rack/{id}", "/api/lessons/{id}", "/api/exercises/{id}"];
        let told_elsewhere = ["/api/courses/{id}/doctrines"];
        if !nothing.contains(&write.route) && !told_elsewhere.contains(&write.route) {
            assert_ne!(before, after, "{} {} changes something", write.method, write.route);
        }
    }
}

#[tokio::test]
async fn a_change_from_an_old_version_is_refused_and_changes_nothing() {
    let server = Server::new(None);
    for write in every_write(&server).await.iter().filter(|write| write.versioned) {
        let before = kept(&server).await;
        let mut stale = write.body.clone();
        stale["version"] = json!(stale["version"].as_i64().unwrap() - 1);
        let (status, problem) = server.sent(write.method.clone(), &write.path(), "an-old-version", None, &stale).await;
        assert_eq!(status, StatusCode::CONFLICT, "{} {}: {problem}", write.method, write.route);
        assert!(problem["detail"].as_str().unwrap().contains("was changed meanwhile"), "{problem}");
        assert_eq!(kept(&server).await, before, "{} {}", write.method, write.route);
    }
}

#[tokio::test]
async fn a_change_of_what_is_not_there_is_refused_and_changes_nothing() {
    let server = Server::new(None);
    for write in every_write(&server).await.iter().filter(|write| write.route.contains("{id}")) {
        let before = kept(&server).await;
        let path = write.route.replace("{id}", "999999");
        let (status, problem) = server.sent(write.method.clone(), &path, "nothing-there", None, &write.body).await;
        assert_eq!(status, StatusCode::NOT_FOUND, "{} {}: {problem}", write.method, write.route);
        assert_eq!(kept(&server).await, before, "{} {}", write.method, write.route);
    }
}

/// The questions that are put with a body and change nothing.
const QUESTIONS: [&str; 22] = [
    "/api/lessons/{id}/ask",
    // A copy is made of the school; nothing in it changes.
    "/api/copies",
    "/api/lessons/{id}/rotation/look",
    "/api/course-file/read",
    "/api/start/read",
    "/api/courses/{id}/plan/try",
    "/api/courses/{id}/roster/read",
    "/api/rack/list/read",
    "/api/lessons/{id}/sharp-dull/look",
    "/api/courses/{id}/rack/inspect",
    "/api/rack/table/read",
    "/api/courses/{id}/doctrines/try",
    "/api/courses/{id}/kit",
    "/api/courses/{id}/bench",
    "/api/courses/{id}/bench/beside",
    "/api/bench/onion",
    "/api/bench/onion/choose",
    "/api/bench/onion/beside",
    "/api/courses/{id}/advice",
    "/api/lessons/{id}/time-rule",
    "/api/lessons/{id}/produce/look",
    "/api/attempts/{id}/judge",
];

/// Who a browser is and which school it looks at: no records of the school, see `staff.rs`.
const ACCESS: [&str; 8] = [
    "/api/sign-in",
    "/api/made-up",
    "/api/join/{secret}",
    "/api/staff/first",
    "/api/staff/{id}/invitation",
    "/api/sessions/{id}",
    "/api/me/passphrase",
    "/api/me/name",
];

#[tokio::test]
async fn no_route_that_changes_something_is_forgotten_here() {
    let server = Server::new(None);
    let (_, description) = server.get("/api/openapi.json").await;
    let mut described = BTreeSet::new();
    for (path, methods) in description["paths"].as_object().unwrap() {
        for method in methods.as_object().unwrap().keys().filter(|method| *method != "get") {
            if !ACCESS.contains(&path.as_str()) && (method.as_str() != "post" || !QUESTIONS.contains(&path.as_str())) {
                described.insert(format!("{} {path}", method.to_uppercase()));
            }
        }
    }
    let tested = every_write(&server).await.iter().map(|write| format!("{} {}", write.method, write.route)).collect();
    assert_eq!(described, tested);
}
