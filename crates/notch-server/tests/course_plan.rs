//! The whole course on one picture: drafted, tried, kept, drafted again.

use crate::common::Server;
use axum::http::StatusCode;
use serde_json::{Value, json};

const PLAN: &str = "/api/courses/1/plan";

fn blocks(plan: &Value) -> Vec<Value> {
    let sessions = plan["sessions"].as_array().unwrap();
    sessions.iter().flat_map(|session| session["blocks"].as_array().unwrap().clone()).collect()
}

/// As a block is sent back.
fn sent(block: &Value) -> Value {
    let of = |field: &str| block[field].clone();
    json!({ "session": of("session"), "cut": of("cut"), "food": of("food"), "pinned": of("pinned"), "amount": of("amount"), "own_minutes": of("own_minutes") })
}

async fn keep(server: &Server, stamp: &Value, blocks: &[Value], goals: &Value) -> (StatusCode, Value) {
    let body = json!({ "stamp": stamp, "blocks": blocks.iter().map(sent).collect::<Vec<_>>(), "goals": goals });
    server.put(PLAN, body).await
}

fn goals() -> Value {
    json!([{ "cut": "small_dice", "notch": "true", "by": 8 }])
}

#[tokio::test]
async fn a_course_is_drafted_kept_and_drafted_again() {
    let server = Server::new(None);
    let (_, demo) = server.get(PLAN).await;
    // What the demo's own draft has put in is taken out again; lessons that were planned by hand are pinned.
    let pinned: Vec<Value> = blocks(&demo).into_iter().filter(|block| block["pinned"] == true).collect();
    assert_eq!(keep(&server, &demo["stamp"], &pinned, &json!([])).await.0, StatusCode::OK);
    let (_, before) = server.get(PLAN).await;
    assert_eq!(before["sessions"].as_array().unwrap().len(), 8);
    let held: Vec<bool> = before["sessions"].as_array().unwrap().iter().map(|s| s["held"].as_bool().unwrap()).collect();
    assert_eq!(held, [true, true, true, true, false, false, false, false]);
    let (status, drafted) = server.post(&format!("{PLAN}/try"), json!({ "goals": goals(), "draft": true })).await;
    assert_eq!(status, StatusCode::OK, "{drafted}");
    assert_eq!(drafted["broken"], 0, "{drafted}");
    assert_eq!(drafted["goals"][0]["state"]["in_time"], true, "{}", drafted["goals"][0]);
    assert!(drafted["changed"].as_u64().unwrap() > 0);
    for session in drafted["sessions"].as_array().unwrap().iter().skip(5) {
        assert!(!session["blocks"].as_array().unwrap().is_empty(), "{session}");
    }
    assert_eq!(server.get(PLAN).await.1["changed"], 0, "trying keeps nothing");
    let (status, kept) = keep(&server, &before["stamp"], &blocks(&drafted), &goals()).await;
    assert_eq!(status, StatusCode::OK, "{kept}");
    assert_eq!((&kept["changed"], &kept["broken"]), (&json!(0), &json!(0)));
    assert_eq!(blocks(&kept).len(), blocks(&drafted).len());
    // Each lesson has its exercises, and their practice fits.
    let lesson = &kept["sessions"][5];
    let (_, plan) = server.get(&format!("/api/lessons/{}/plan", lesson["lesson_id"])).await;
    assert_eq!(plan["exercises"].as_array().unwrap().len(), lesson["blocks"].as_array().unwrap().len());
    assert_eq!(plan["time_rule"]["over"], 0, "{}", plan["time_rule"]["words"]);
    // Drafted again it stays as it is.
    let (_, again) = server.post(&format!("{PLAN}/try"), json!({ "draft": true })).await;
    assert_eq!(again["changed"], 0, "{again}");
    // Who read it before is told.
    let (status, stale) = keep(&server, &before["stamp"], &blocks(&drafted), &goals()).await;
    assert_eq!(status, StatusCode::CONFLICT, "{stale}");
}

#[tokio::test]
async fn a_broken_rule_is_told_at_its_block() {
    let server = Server::new(None);
    let block = |session: u64, cut: &str, food: &str| json!({ "session": session, "cut": cut, "food": food, "pinned": true });
    let asked = json!({ "blocks": [block(7, "brunoise", "potato"), block(7, "brunoise", "carrot")], "goals": [] });
    let (_, plan) = server.post(&format!("{PLAN}/try"), asked).await;
    let of = |block: &Value| block["broken"].as_array().unwrap().iter().map(|b| b["rule"].clone()).collect::<Vec<_>>();
    let found: Vec<Value> = blocks(&plan).iter().flat_map(of).collect();
    assert!(found.contains(&json!("order")) && found.contains(&json!("twice")), "{plan}");
    let (status, wrong) = server
        .post(
            &format!("{PLAN}/try"),
            json!({ "blocks": [block(8, "coin", "potato")], "goals": [{ "cut": "peel", "notch": "safe", "by": 9 }] }),
        )
        .await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    let told: Vec<&str> = wrong["problems"].as_array().unwrap().iter().map(|p| p["pointer"].as_str().unwrap()).collect();
    assert_eq!(told, ["/blocks/0/session", "/blocks/0/cut", "/goals/0/cut", "/goals/0/by"]);
}

#[tokio::test]
async fn sessions_come_by_a_rule_of_weekdays() {
    let server = Server::new(None);
    let rule = json!({ "first": "2026-11-02", "at": "18:30:00", "weekdays": ["tuesday", "thursday"], "count": 3, "skip": ["2026-11-05"] });
    let (status, plan) = server.post("/api/courses/1/sessions", rule).await;
    assert_eq!(status, StatusCode::CREATED, "{plan}");
    let starts: Vec<&str> =
        plan["sessions"].as_array().unwrap().iter().skip(8).map(|session| session["starts_at"].as_str().unwrap()).collect();
    assert_eq!(starts, ["2026-11-03T18:30:00", "2026-11-10T18:30:00", "2026-11-12T18:30:00"]);
    let (status, wrong) =
        server.post("/api/courses/1/sessions", json!({ "first": "2026-11-02", "at": "18:30:00", "count": 61 })).await;
    assert_eq!((status, &wrong["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/count")));
}

#[tokio::test]
async fn an_exercise_that_is_moved_takes_its_setup_along() {
    let server = Server::new(None);
    let (_, lesson) = server.get("/api/lessons/5/plan").await;
    let exercise = &lesson["exercises"][1]["exercise"];
    let mut changed = exercise.clone();
    (changed["knife_type"], changed["knife_length"]) = (json!("petty"), json!(130));
    let body = json!({ "version": exercise["version"], "fields": changed });
    let (status, told) = server.put(&format!("/api/exercises/{}", exercise["id"]), body).await;
    assert_eq!(status, StatusCode::OK, "{told}");
    let (_, plan) = server.get(PLAN).await;
    let moved = |mut block: Value| {
        if block["session"] == 4 && block["cut"] == "julienne" {
            block["session"] = json!(6);
        }
        block
    };
    let blocks: Vec<Value> = blocks(&plan).into_iter().map(moved).collect();
    let (status, kept) = keep(&server, &plan["stamp"], &blocks, &json!([])).await;
    assert_eq!(status, StatusCode::OK, "{kept}");
    let (_, later) = server.get("/api/lessons/7/plan").await;
    let there = later["exercises"].as_array().unwrap().iter().find(|each| each["exercise"]["cut"] == "julienne").unwrap();
    assert_eq!((&there["exercise"]["knife_type"], &there["exercise"]["amount"]), (&json!("petty"), &exercise["amount"]));
}

#[tokio::test]
async fn a_goal_that_no_single_change_reaches_is_told_so() {
    let server = Server::new(None);
    let goals = json!([{ "cut": "fine_brunoise", "notch": "held", "by": 8 }]);
    let (_, drafted) = server.post(&format!("{PLAN}/try"), json!({ "goals": goals, "draft": true })).await;
    let goal = &drafted["goals"][0];
    assert_eq!((&goal["state"]["in_time"], &goal["ways"]), (&json!(false), &json!([])), "{goal}");
    assert!(crate::common::words(&goal["words"]).ends_with("nor a lower notch reaches it."), "{goal}");
    // Whoever only looks is not told what nobody tried.
    let (_, looked) = server.post(&format!("{PLAN}/try"), json!({ "goals": goals })).await;
    assert!(!crate::common::words(&looked["goals"][0]["words"]).contains("reaches it"), "{looked}");
}
