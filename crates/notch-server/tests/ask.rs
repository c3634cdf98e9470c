//! Ask me through the router: a round, the briefing that is kept of it, and the knife that waits for it.

use axum::http::StatusCode;
use serde_json::{Value, json};

use crate::common::{Server, words};

/// Answers a round until it has no more questions; at these places the answer is wrong.
async fn answered(server: &Server, student: Option<i64>, wrong: &[usize]) -> (Vec<Value>, Value) {
    let mut given = Vec::new();
    loop {
        let round = json!({ "seed": 11, "student_id": student, "answered": given });
        let (status, view) = server.post("/api/lessons/5/ask", round).await;
        assert_eq!(status, StatusCode::OK, "{view}");
        let question = &view["question"];
        if question.is_null() {
            return (given, view["standing"].clone());
        }
        let right = !wrong.contains(&given.len());
        let answers = question["answers"].as_array().unwrap();
        let answer = answers.iter().find(|each| each["right"] == right).unwrap();
        given.push(json!({ "about": question["about"], "answer": answer["id"] }));
    }
}

#[tokio::test]
async fn ten_questions_are_asked_and_a_missed_one_comes_back() {
    let server = Server::new(None);
    let (given, standing) = answered(&server, None, &[2]).await;
    assert_eq!(given.len(), 11);
    assert_eq!(given[2]["about"], given[5]["about"], "two others come between");
    assert_eq!((&standing["asked"], &standing["right"], &standing["passed"]), (&json!(10), &json!(9), &json!(true)));
}

#[tokio::test]
async fn a_round_of_another_courses_student_or_without_an_answer_is_refused_at_its_field() {
    let server = Server::new(None);
    let (_, other) = server.get("/api/courses/2").await;
    let stranger = &other["students"][0]["id"];
    let asked = json!({ "seed": 1, "student_id": stranger, "answered": [] });
    let (status, problem) = server.post("/api/lessons/5/ask", asked).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/student_id")));
    let (status, problem) = server.post("/api/lessons/5/briefings", json!({ "seed": 1, "answered": [] })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/answered")));
    let one = json!({ "about": { "kind": "fault", "fault": "blade_up" }, "answer": "blade_up" });
    let (status, problem) = server.post("/api/lessons/5/ask", json!({ "seed": 1, "answered": vec![one; 201] })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/answered")));
}

async fn ask_for_briefings(server: &Server) {
    let (_, course) = server.get("/api/courses/1").await;
    let mut fields = course["course"].clone();
    fields["briefing_first"] = json!(true);
    let body = json!({ "version": fields["version"], "fields": fields });
    let (status, told) = server.put("/api/courses/1", body).await;
    assert_eq!((status, &told["briefing_first"]), (StatusCode::OK, &json!(true)), "{told}");
}

#[tokio::test]
async fn nobody_is_handed_a_knife_before_a_passed_briefing_where_the_course_asks_for_one() {
    let server = Server::new(None);
    ask_for_briefings(&server).await;
    let (status, problem) = server.start(11, 12).await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert!(problem["detail"].as_str().unwrap().contains("has not passed a briefing in this course yet"), "{problem}");
    let (_, class) = server.get("/api/lessons/5/class").await;
    assert!(class["stations"].as_array().unwrap().iter().all(|station| station["briefing_due"] == true));
    assert_eq!(class["round"]["starts"], json!([]));

    // A round that was given up is kept, and hands out nothing.
    let (given, _) = answered(&server, Some(11), &[]).await;
    let part = json!({ "seed": 11, "student_id": 11, "answered": given[..4] });
    let (status, kept) = server.post("/api/lessons/5/briefings", part).await;
    assert_eq!((status, &kept[0]["passed"], &kept[0]["asked"]), (StatusCode::CREATED, &json!(false), &json!(4)));
    assert_eq!(server.start(11, 12).await.0, StatusCode::CONFLICT);

    // One student passes, and no other.
    let whole = json!({ "seed": 11, "student_id": 11, "answered": given });
    let (_, kept) = server.post("/api/lessons/5/briefings", whole).await;
    assert_eq!((&kept[1]["passed"], &kept[1]["students"], &kept[1]["room"]), (&json!(true), &json!([11]), &json!(false)));
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED);
    assert_eq!(server.start(2, 13).await.0, StatusCode::CONFLICT);

    // The room passes, but for who was not there.
    let absent = json!({ "version": 0, "fields": { "absent": [3] } });
    server.put("/api/lessons/5/rotation", absent).await;
    let (given, _) = answered(&server, None, &[]).await;
    server.post("/api/lessons/5/briefings", json!({ "seed": 11, "answered": given })).await;
    let (_, class) = server.get("/api/lessons/5/class").await;
    let due: Vec<&Value> = class["stations"].as_array().unwrap().iter().filter(|s| s["briefing_due"] == true).collect();
    assert_eq!(due.iter().map(|s| s["student"]["id"].as_i64().unwrap()).collect::<Vec<_>>(), [3]);
    let (_, closing) = server.get("/api/lessons/5/closing").await;
    let briefing = closing["items"].as_array().unwrap().iter().find(|item| item["about"] == "briefing").unwrap();
    assert_eq!(words(&briefing["words"]), "Briefing of the room: 10 of 10 right at once, passed.");
}
