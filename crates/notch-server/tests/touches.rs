//! What is touched while a class runs, from several devices, in whatever order it arrives.

use axum::http::{Method, StatusCode};
use http_body_util::BodyExt;
use serde_json::{Value, json};

use crate::common::{Server, words};

const STUDENT: i64 = 11;

fn start(student: i64, knife: i64) -> Value {
    json!({ "student_id": student, "exercise_id": 11, "knife_id": knife })
}

/// A touch with the id and the moment, `17:02:30`, that a device gives it.
async fn touch(server: &Server, path: &str, id: &str, at: &str, body: Value) -> (StatusCode, Value) {
    let moment = format!("2026-10-06T{at}Z");
    server.sent(Method::POST, &format!("/api/lessons/5/{path}"), id, Some(&moment), &body).await
}

fn marked(what: &str) -> Value {
    json!({ "student_id": STUDENT, "what": { "kind": what } })
}

fn faulted(fault: &str) -> Value {
    json!({ "student_id": STUDENT, "what": { "kind": "fault", "fault": fault } })
}

async fn undo(server: &Server, id: &str, at: &str, of: &str) -> (StatusCode, Value) {
    touch(server, "undo", id, at, json!({ "touch": of })).await
}

#[tokio::test]
async fn a_round_starts_with_one_touch_and_who_cannot_start_is_told_by_name() {
    let server = Server::new(None);
    let starts = json!({ "starts": [start(STUDENT, 12), start(13, 12), start(2, 13), start(3, 13)] });
    let (status, told) = server.post("/api/lessons/5/attempts", starts).await;
    assert_eq!(status, StatusCode::CREATED, "{told}");
    let started: Vec<i64> = told["attempts"].as_array().unwrap().iter().map(|a| a["student_id"].as_i64().unwrap()).collect();
    assert_eq!(started, [STUDENT, 2]);
    let refused = told["refused"].as_array().unwrap();
    assert_eq!((&refused[0]["student_id"], &refused[1]["student_id"]), (&json!(13), &json!(3)));
    let why = |at: usize| refused[at]["words"].as_array().unwrap().iter().map(words).collect::<String>();
    assert!(why(0).contains("is longer than this student is cleared for"), "{refused:?}");
    assert!(why(1).contains("in use by"), "{refused:?}");
    let (_, told) = server.post("/api/lessons/5/stop", json!({ "student_ids": [STUDENT, 2, 13] })).await;
    assert_eq!(told["attempts"].as_array().unwrap().len(), 2, "who had none is passed over");
    for wrong in [json!({ "starts": [] }), json!({ "starts": vec![start(1, 1); 61] })] {
        let (status, problem) = server.post("/api/lessons/5/attempts", wrong).await;
        assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/starts")));
    }
}

#[tokio::test]
async fn a_mark_belongs_to_the_attempt_of_its_moment_however_late_it_arrives() {
    let server = Server::new(None);
    for (from, to, ids) in
        [("17:00:00", "17:02:00", ["touch-0001", "touch-0002"]), ("17:04:00", "17:06:00", ["touch-0003", "touch-0004"])]
    {
        touch(&server, "attempts", ids[0], from, json!({ "starts": [start(STUDENT, 12)] })).await;
        touch(&server, "stop", ids[1], to, json!({ "student_ids": [STUDENT] })).await;
    }
    let (_, late) = touch(&server, "marks", "touch-0005", "17:01:30", faulted("loose_grip")).await;
    assert_eq!(late["attempts"][0]["started_at"], "2026-10-06T17:00:00Z");
    let (_, latest) = touch(&server, "marks", "touch-0006", "17:06:30", marked("grip")).await;
    assert_eq!(latest["attempts"][0]["started_at"], "2026-10-06T17:04:00Z");
    let (status, problem) = touch(&server, "marks", "touch-0007", "16:30:00", marked("grip")).await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert!(problem["detail"].as_str().unwrap().contains("had no attempt in this lesson at that moment"), "{problem}");
}

#[tokio::test]
async fn every_touch_is_undone_by_the_id_that_it_was_sent_with() {
    let server = Server::new(None);
    touch(&server, "attempts", "touch-0001", "17:00:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    let (status, _) = undo(&server, "touch-0002", "17:00:05", "touch-0001").await;
    assert_eq!(status, StatusCode::CREATED);
    let (_, class) = server.get("/api/lessons/5/class").await;
    let station = class["stations"].as_array().unwrap().iter().find(|s| s["student"]["id"] == STUDENT).unwrap();
    assert_eq!((&station["attempts"], &station["running"]), (&json!([]), &Value::Null));

    touch(&server, "attempts", "touch-0003", "17:01:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    touch(&server, "stop", "touch-0004", "17:02:00", json!({ "student_ids": [STUDENT] })).await;
    let (_, again) = undo(&server, "touch-0005", "17:02:02", "touch-0004").await;
    assert_eq!(again["attempts"][0]["stopped_at"], Value::Null, "it runs on");

    let (_, stopped) = touch(&server, "marks", "touch-0006", "17:03:00", faulted("fingertip_ahead")).await;
    assert_eq!(stopped["attempts"][0]["stopped_at"], "2026-10-06T17:03:00Z");
    let (_, again) = undo(&server, "touch-0007", "17:03:04", "touch-0006").await;
    let attempt = &again["attempts"][0];
    assert_eq!((&attempt["stopped_at"], &attempt["marks"]["faults"]), (&Value::Null, &json!([])));
    assert_eq!(attempt["made"][0]["taken_back"]["why"], "undone", "it is kept beside the others");

    for (id, of, why) in [
        ("touch-0008", "touch-0006", "taken back already"),
        ("touch-0009", "touch-0007", "is not taken back itself"),
        ("touch-0010", "touch-9999", "there is nothing to undo"),
        ("touch-0011", "touch-0001", "attempt"),
    ] {
        let (status, problem) = undo(&server, id, "17:03:10", of).await;
        assert!(matches!(status, StatusCode::CONFLICT | StatusCode::NOT_FOUND), "{of}: {problem}");
        assert!(problem["detail"].as_str().unwrap().contains(why), "{of}: {problem}");
    }
}

#[tokio::test]
async fn what_was_marked_is_not_taken_away_with_the_start_and_an_old_mark_is_corrected() {
    let server = Server::new(None);
    touch(&server, "attempts", "touch-0001", "16:50:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    let (_, first) = touch(&server, "marks", "touch-0002", "16:50:30", faulted("loose_grip")).await;
    assert_eq!(undo(&server, "touch-0003", "16:50:40", "touch-0001").await.0, StatusCode::CONFLICT);
    let (status, problem) = undo(&server, "touch-0004", "17:00:31", "touch-0002").await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert!(problem["detail"].as_str().unwrap().contains("more than ten minutes old"), "{problem}");
    let mark = first["attempts"][0]["made"][0]["id"].as_i64().unwrap();
    let path = format!("/api/marks/{mark}/correct");
    for (wrong, pointer) in [
        (json!({ "who": "", "why": "Of another." }), "/who"),
        (json!({ "who": "Mara", "why": "" }), "/why"),
        (json!({ "who": "Mara", "why": "So.", "instead": { "kind": "fault", "fault": "juggling" } }), "/instead/fault"),
    ] {
        let (status, problem) = server.post(&path, wrong).await;
        assert_eq!((status, problem["problems"][0]["pointer"].as_str()), (StatusCode::UNPROCESSABLE_ENTITY, Some(pointer)));
    }
    let instead = json!({ "kind": "fault", "fault": "claw_drifts" });
    let (_, told) = server.post(&path, json!({ "who": "Mara", "why": "It was the claw.", "instead": instead })).await;
    let made = told["attempts"][0]["made"].as_array().unwrap();
    assert_eq!(told["attempts"][0]["marks"]["faults"], json!(["claw_drifts"]));
    assert_eq!((&made[0]["taken_back"]["who"], &made[0]["taken_back"]["why"]), (&json!("Mara"), &json!("It was the claw.")));
    assert_eq!((&made[1]["instead_of"], &made[1]["at"]), (&json!(mark), &made[0]["at"]), "it stands beside the original");
}

#[tokio::test]
async fn two_devices_end_the_same_attempt_and_the_earlier_end_counts() {
    let server = Server::new(None);
    touch(&server, "attempts", "touch-0001", "17:00:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    touch(&server, "stop", "touch-0002", "17:05:00", json!({ "student_ids": [STUDENT] })).await;
    let (status, told) = touch(&server, "stop", "touch-0003", "17:04:20", json!({ "student_ids": [STUDENT] })).await;
    assert_eq!((status, &told["attempts"][0]["stopped_at"]), (StatusCode::CREATED, &json!("2026-10-06T17:04:20Z")));
    let (_, told) = touch(&server, "stop", "touch-0004", "17:06:00", json!({ "student_ids": [STUDENT] })).await;
    assert_eq!(told["attempts"][0]["stopped_at"], "2026-10-06T17:04:20Z");
}

#[tokio::test]
async fn a_student_who_moved_to_another_course_keeps_the_marks_of_this_one() {
    let server = Server::new(None);
    touch(&server, "attempts", "touch-0001", "17:00:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    let (_, course) = server.get("/api/courses/1").await;
    let student = course["students"].as_array().unwrap().iter().find(|s| s["id"] == STUDENT).unwrap();
    let gone = json!({ "version": student["version"], "archived": true });
    assert_eq!(server.post(&format!("/api/students/{STUDENT}/archive"), gone).await.0, StatusCode::OK);
    let (status, told) = touch(&server, "marks", "touch-0002", "17:00:30", marked("hold")).await;
    assert_eq!((status, &told["attempts"][0]["marks"]["hold_ticked"]), (StatusCode::CREATED, &json!(true)));
    assert_eq!(
        touch(&server, "stop", "touch-0003", "17:01:00", json!({ "student_ids": [STUDENT] })).await.0,
        StatusCode::CREATED
    );
    assert_eq!(server.start(STUDENT, 13).await.0, StatusCode::GONE);
}

#[tokio::test]
async fn an_open_page_is_told_of_each_change_once_it_is_kept() {
    let server = Server::new(None);
    let response = server.open("/api/live").await;
    assert_eq!(response.headers()["content-type"], "text/event-stream");
    let mut body = response.into_body();
    let mut next = async || -> Value {
        let frame = body.frame().await.unwrap().unwrap().into_data().unwrap();
        let text = String::from_utf8(frame.to_vec()).unwrap();
        serde_json::from_str(text.trim().strip_prefix("data: ").unwrap()).unwrap()
    };
    assert_eq!(next().await["subject"], Value::Null, "what was read before may be old");
    touch(&server, "attempts", "touch-0001", "17:00:00", json!({ "starts": [start(STUDENT, 12)] })).await;
    assert_eq!(next().await, json!({ "subject": "attempt", "touch": "touch-0001" }));
    // What was refused changed nothing, and nobody is told.
    touch(&server, "attempts", "touch-0002", "17:00:10", json!({ "starts": [start(STUDENT, 13)] })).await;
    server.post("/api/lessons/5/check", json!({ "item": "first_aid", "who": "Mara", "ticked": true })).await;
    assert_eq!(next().await, json!({ "subject": "check", "touch": null }));
}
