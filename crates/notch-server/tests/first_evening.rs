//! A school from an empty folder to its first notches, by the API alone.

use crate::common::{Server, words};
use axum::http::StatusCode;
use serde_json::{Value, json};

fn course() -> Value {
    json!({
        "name": "Tuesday knives", "school": "Harbour", "place": "room 4", "age_band": "adult", "pace": "learner",
        "standard_set": "eighth", "tolerance": "school", "time_zone": "Europe/Lisbon", "lesson_minutes": 110, "boards": 8,
        "board_material": "wood", "doctrines": {},
    })
}

fn student(name: &str, station: u16) -> Value {
    json!({
        "name": name, "station": station, "hand": "right", "hand_size": "medium", "clearance": 210,
        "special_clearance": false, "allergies": [], "notes": "",
    })
}

fn knife(number: &str) -> Value {
    json!({
        "number": number, "knife_type": "chefs", "length": 200, "heel_height": 47, "hand": null, "edge_state": "sharp",
        "note": "",
    })
}

fn julienne() -> Value {
    json!({
        "food": "carrot", "cut": "julienne", "knife_type": "chefs", "knife_length": 200, "grip": "pinch", "hold": "claw",
        "motion": "push", "third": "heel", "amount": { "kind": "pieces", "count": 40 }, "own_minutes": null,
    })
}

/// What is made, or the problem that came instead.
async fn made(server: &Server, path: &str, body: Value) -> Value {
    let (status, made) = server.post(path, body).await;
    assert!(status.is_success(), "{path}: {status} {made}");
    made
}

/// A course with two students, three knives and a lesson; ids follow from the order.
async fn school() -> Server {
    let server = Server::empty();
    made(&server, "/api/courses", course()).await;
    made(&server, "/api/courses/1/students", student("Ivo", 1)).await;
    made(&server, "/api/courses/1/students", student("Ann", 2)).await;
    made(&server, "/api/rack/many", json!({ "fields": knife("1"), "count": 3 })).await;
    made(&server, "/api/courses/1/lessons", json!({ "title": "Sticks", "starts_at": "2026-10-06T18:30:00" })).await;
    server
}

async fn exercise(server: &Server) -> i64 {
    let plan = made(server, "/api/lessons/1/exercises", julienne()).await;
    plan["exercises"][0]["exercise"]["id"].as_i64().unwrap()
}

#[tokio::test]
async fn an_empty_school_answers_on_every_page_that_needs_nothing() {
    let server = Server::empty();
    assert_eq!(server.get("/api/courses").await.1, json!([]));
    assert_eq!(server.get("/api/rack").await.1["groups"], json!([]));
    assert_eq!(server.get("/api/own").await.1["own"], json!([]));
    assert_eq!(server.get("/api/courses/1").await.0, StatusCode::NOT_FOUND);
    made(&server, "/api/courses", course()).await;
    for path in ["/api/courses/1", "/api/courses/1/yard", "/api/courses/1/playbook", "/api/courses/1/kit", "/api/rack?course=1"] {
        assert_eq!(server.get(path).await.0, StatusCode::OK, "{path}");
    }
    assert_eq!(server.get("/api/courses/1/yard").await.1, json!([]));
}

#[tokio::test]
async fn while_no_knife_is_known_it_is_planned_with_one_of_each_type() {
    let server = Server::empty();
    made(&server, "/api/courses", course()).await;
    made(&server, "/api/courses/1/lessons", json!({ "title": "Sticks", "starts_at": "2026-10-06T18:30:00" })).await;
    let asked = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 }, "own_minutes": null });
    let advice = made(&server, "/api/courses/1/advice", asked).await;
    assert_eq!((&advice["setup"]["knife_type"], &advice["refused"]), (&json!("chefs"), &json!(false)));
    made(&server, "/api/lessons/1/exercises", julienne()).await;
    // Once a knife is known, the rack is what counts.
    made(&server, "/api/rack/list", json!({ "text": "1 paring 90" })).await;
    let (status, problem) = server.post("/api/lessons/1/exercises", julienne()).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(problem["problems"][0]["pointer"], "/knife_type");
}

#[tokio::test]
async fn a_new_lesson_has_its_segments_and_an_exercise_brings_its_practice() {
    let server = school().await;
    let (_, plan) = server.get("/api/lessons/1/plan").await;
    let kinds = |plan: &Value| -> Vec<String> {
        let segments = plan["time_rule"]["segments"].as_array().unwrap();
        segments.iter().map(|segment| segment["kind"].as_str().unwrap().to_owned()).collect()
    };
    assert!(!kinds(&plan).contains(&"practice".to_owned()));
    assert_eq!((&plan["lesson"]["number"], &plan["students"]), (&json!(1), &json!(2)));
    exercise(&server).await;
    let (_, plan) = server.get("/api/lessons/1/plan").await;
    assert!(kinds(&plan).contains(&"practice".to_owned()));
    let figures = &plan["exercises"][0]["advice"]["figures"];
    let (students, total) = (figures["units_students"].as_u64().unwrap(), figures["units_total"].as_u64().unwrap());
    assert_eq!(total, students + 1 + figures["units_spare"].as_u64().unwrap(), "one carrot to show");
}

#[tokio::test]
async fn three_clean_attempts_cut_the_first_notch() {
    let server = school().await;
    let exercise = exercise(&server).await;
    for round in 1..=3 {
        let start = json!({ "student_id": 1, "exercise_id": exercise, "knife_id": 1 });
        assert_eq!(server.attempt(1, start).await.0, StatusCode::CREATED);
        server.stop(1, 1).await;
        for kind in ["grip", "hold"] {
            assert_eq!(server.mark(1, 1, json!({ "kind": kind })).await.0, StatusCode::CREATED);
        }
        let (_, yard) = server.get("/api/courses/1/yard").await;
        let rule = yard[0]["standing"]["strands"].as_array().unwrap().iter().find(|rule| rule["strand"] == "julienne").unwrap();
        let cut = rule["notches"][0]["state"]["kind"] == "cut";
        assert_eq!(cut, round == 3, "after {round} attempts: {}", words(&rule["notches"][0]["words"]));
        assert_eq!(yard[1]["standing"]["strands"][0]["attempts"], 0, "the other student has made none");
    }
}

#[tokio::test]
async fn knives_go_out_and_come_in_and_the_class_is_closed() {
    let server = school().await;
    let exercise = exercise(&server).await;
    let (_, sheet) = server.get("/api/lessons/1/check").await;
    assert_eq!(sheet["short"], json!([]));
    let (_, count) = server.get("/api/lessons/1/count").await;
    assert_eq!(count["proposed"], json!(["1", "2"]), "as many as there are students");
    made(&server, "/api/lessons/1/count", json!({ "way": "out", "numbers": "1 2" })).await;
    let start = json!({ "student_id": 1, "exercise_id": exercise, "knife_id": 1 });
    assert_eq!(server.attempt(1, start).await.0, StatusCode::CREATED);
    made(&server, "/api/lessons/1/count", json!({ "way": "in", "numbers": "1-2" })).await;
    let close = json!({ "who": "Mara", "words": "", "closed": true });
    let (status, problem) = server.post("/api/lessons/1/close", close.clone()).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/attempts")));
    server.stop(1, 1).await;
    assert_eq!(made(&server, "/api/lessons/1/close", close).await["closed"]["who"], "Mara");
}

#[tokio::test]
async fn two_courses_share_a_rack_and_nothing_else() {
    let server = school().await;
    let mut other = course();
    other["name"] = "Saturday children".into();
    other["age_band"] = "child".into();
    made(&server, "/api/courses", other).await;
    made(&server, "/api/courses/2/students", student("Ivo", 1)).await;
    assert_eq!(server.get("/api/courses/2").await.1["students"].as_array().unwrap().len(), 1);
    assert_eq!(server.get("/api/courses/1").await.1["students"].as_array().unwrap().len(), 2);
    let asked = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 }, "own_minutes": null });
    let adult = made(&server, "/api/courses/1/advice", asked.clone()).await;
    let child = made(&server, "/api/courses/2/advice", asked).await;
    assert_eq!((&adult["refused"], &child["refused"]), (&json!(false), &json!(true)), "200 mm are too long for a child");
}

#[tokio::test]
async fn a_removed_student_comes_back_with_what_was_done() {
    let server = school().await;
    let exercise = exercise(&server).await;
    let start = json!({ "student_id": 1, "exercise_id": exercise, "knife_id": 1 });
    assert_eq!(server.attempt(1, start).await.0, StatusCode::CREATED);
    server.stop(1, 1).await;
    let gone = made(&server, "/api/students/1/archive", json!({ "version": 1, "archived": true })).await;
    assert_eq!(server.get("/api/courses/1/yard").await.1.as_array().unwrap().len(), 1);
    let start = json!({ "student_id": 1, "exercise_id": exercise, "knife_id": 1 });
    assert_eq!(server.attempt(1, start).await.0, StatusCode::GONE);
    made(&server, "/api/students/1/archive", json!({ "version": gone["version"], "archived": false })).await;
    let (_, evidence) = server.get("/api/students/1/evidence").await;
    assert_eq!(evidence["attempts"].as_array().unwrap().len(), 1);
}
