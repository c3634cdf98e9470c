//! The first evening: from nothing to a drafted first lesson.

use crate::common::Server;
use axum::http::StatusCode;
use serde_json::{Value, json};

const NAMES: &str = "Una Vale, left\nPell Quist; small\nOdo Marsh\nIna Bright (celery)";

fn body(kind: &str, names: &str, knives: &str) -> Value {
    json!({ "kind": kind, "school": "The Quay School", "first": "2027-01-12", "at": "18:30:00", "names": names, "knives": knives })
}

/// What each lesson of the course holds, and that nothing of it is broken.
async fn lessons(server: &Server, course: &Value) -> Vec<Vec<String>> {
    let (_, plan) = server.get(&format!("/api/courses/{course}/plan")).await;
    assert_eq!((&plan["broken"], &plan["changed"]), (&json!(0), &json!(0)), "{plan}");
    let titles = |session: &Value| -> Vec<String> {
        session["blocks"].as_array().unwrap().iter().map(|block| block["title"].as_str().unwrap().to_owned()).collect()
    };
    plan["sessions"].as_array().unwrap().iter().map(titles).collect()
}

#[tokio::test]
async fn every_kind_of_course_starts_with_its_first_lesson_drafted() {
    let (_, doors) = Server::empty().get("/api/start").await;
    for kind in doors["kinds"].as_array().unwrap() {
        // What is counted by touch is understood.
        for knife in kind["knives"].as_array().unwrap() {
            let typed = json!({ "kind": kind["id"], "names": "", "knives": format!("2 {}", knife["words"].as_str().unwrap()) });
            let (_, read) = Server::empty().post("/api/start/read", typed).await;
            assert_eq!((&read["knives"]["sound"], &read["knives"]["wrong"]), (&json!(2), &json!(0)), "{knife}");
        }
        let kind = kind["id"].as_str().unwrap();
        for knives in ["6 chef's 200, 4 paring 90, 1 bread, 8 child's 100", ""] {
            let server = Server::empty();
            let (status, first) = server.post("/api/start", body(kind, NAMES, knives)).await;
            assert_eq!(status, StatusCode::CREATED, "{kind} {knives}: {first}");
            let drafted = lessons(&server, &first["course_id"]).await;
            assert!(drafted.iter().all(|lesson| !lesson.is_empty()), "{kind} {knives}: {drafted:?}");
            let (_, plan) = server.get(&format!("/api/lessons/{}/plan", first["lesson_id"])).await;
            assert_eq!(plan["time_rule"]["over"], 0, "{kind}: {}", plan["time_rule"]["words"]);
            for exercise in plan["exercises"].as_array().unwrap() {
                assert_eq!((&exercise["problems"], &exercise["advice"]["refused"]), (&json!([]), &json!(false)), "{kind}");
            }
            let (_, course) = server.get(&format!("/api/courses/{}", first["course_id"])).await;
            assert_eq!(course["students"].as_array().unwrap().len(), 4);
        }
    }
}

#[tokio::test]
async fn what_is_not_understood_is_told_and_nothing_is_kept() {
    let server = Server::empty();
    let wrong = body("trainees", "Una Vale\nwho is this, really, now", "6 chef's 200, 3 spoons");
    let (status, refused) = server.post("/api/start", wrong).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    let told: Vec<&str> = refused["problems"].as_array().unwrap().iter().map(|each| each["message"].as_str().unwrap()).collect();
    assert!(told.iter().any(|told| told.starts_with("Line 2")) && told.len() == 2, "{told:?}");
    assert_eq!(server.get("/api/courses").await.1, json!([]));
    let (status, unknown) = server.post("/api/start", body("apprentices", "", "")).await;
    assert_eq!((status, &unknown["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/kind")));
    let (_, read) = server.post("/api/start/read", json!({ "kind": "children", "names": NAMES, "knives": "2 paring 90" })).await;
    assert_eq!((&read["names"]["sound"], &read["knives"]["sound"]), (&json!(4), &json!(2)));
    assert_eq!(read["names"]["lines"][0]["fields"]["clearance"], 130.0, "a child's course hands out no longer blade");
}
