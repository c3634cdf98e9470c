//! The rotation of a lesson over HTTP: announced, changed when somebody is ill, refused where it cannot be.

use axum::http::StatusCode;
use serde_json::{Value, json};

use crate::common::Server;

/// Student, exercise, round and knife of each turn.
fn turns(view: &Value) -> Vec<[i64; 4]> {
    let of = |turn: &Value| ["student_id", "exercise_id", "round", "knife_id"].map(|key| turn[key].as_i64().unwrap());
    view["turns"].as_array().unwrap().iter().map(of).collect()
}

async fn announced(server: &Server, version: i64, fields: Value) -> Value {
    let (status, view) = server.put("/api/lessons/6/rotation", json!({ "version": version, "fields": fields })).await;
    assert_eq!(status, StatusCode::OK, "{view}");
    view
}

#[tokio::test]
async fn an_absence_leaves_the_others_where_they_were_announced() {
    let server = Server::new(None);
    let (_, planned) = server.get("/api/lessons/6/rotation").await;
    assert_eq!((planned["version"].as_i64(), planned["is_announced"].as_bool()), (Some(0), Some(false)));
    let view = announced(&server, 0, json!({})).await;
    assert_eq!((turns(&view), view["is_announced"].as_bool()), (turns(&planned), Some(true)));
    let (_, looked) = server.post("/api/lessons/6/rotation/look", json!({ "absent": [4] })).await;
    let others: Vec<[i64; 4]> = turns(&planned).into_iter().filter(|turn| turn[0] != 4).collect();
    assert_eq!(turns(&looked), others);
    assert_eq!(looked["differences"], json!([]));
    let (_, kept) = server.get("/api/lessons/6/rotation").await;
    assert_eq!(turns(&kept), turns(&planned), "looking keeps nothing");
}

#[tokio::test]
async fn a_broken_knife_changes_as_little_as_it_can_and_says_what() {
    let server = Server::new(None);
    let view = announced(&server, 0, json!({})).await;
    let before = turns(&view);
    let broken = before[0][3];
    let (_, after) = server.post("/api/lessons/6/rotation/look", json!({ "knives_out": [broken] })).await;
    let after_turns = turns(&after);
    assert!(after_turns.iter().all(|turn| turn[3] != broken));
    assert_eq!(after_turns.len(), before.len());
    let same_round = |turn: &&[i64; 4]| after_turns.iter().any(|now| now[..3] == turn[..3]);
    assert_eq!(before.iter().filter(same_round).count(), before.len(), "another knife, in the same round");
    let with_it = before.iter().filter(|turn| turn[3] == broken).count();
    assert_eq!(after["differences"].as_array().unwrap().len(), with_it);
}

#[tokio::test]
async fn what_is_over_stays_as_it_was_and_the_rest_is_planned_behind_it() {
    let server = Server::new(None);
    let view = announced(&server, 0, json!({})).await;
    let before = turns(&view);
    let news = json!({ "rounds_done": 2, "absent": [1], "minutes_lost": 10 });
    let (_, after) = server.post("/api/lessons/6/rotation/look", news).await;
    let over = |turns: &[[i64; 4]]| turns.iter().copied().filter(|turn| turn[2] <= 2).collect::<Vec<_>>();
    assert_eq!(over(&turns(&after)), over(&before));
    assert!(turns(&after).iter().all(|turn| turn[0] != 1 || turn[2] <= 2));
    let starts = |view: &Value| view["rounds"][2]["starts"].as_i64().unwrap();
    assert_eq!(starts(&after), starts(&view) + 10);
}

#[tokio::test]
async fn nails_that_cannot_hold_are_told_and_announced_by_nobody() {
    let server = Server::new(None);
    let (_, planned) = server.get("/api/lessons/6/rotation").await;
    let [student, one, ..] = turns(&planned)[0];
    let other = turns(&planned).into_iter().find(|turn| turn[0] == student && turn[1] != one).unwrap()[1];
    let nail = |exercise: i64| json!({ "student_id": student, "exercise_id": exercise, "round": 1, "knife_id": null });
    let (status, view) = server.post("/api/lessons/6/rotation/look", json!({ "pins": [nail(one), nail(other)] })).await;
    assert_eq!(status, StatusCode::OK);
    assert_eq!(view["blocked"].as_array().unwrap().len(), 1);
    let body = json!({ "version": 0, "fields": { "pins": [nail(one), nail(other)] } });
    let (status, problem) = server.put("/api/lessons/6/rotation", body).await;
    assert_eq!((status, problem["problems"][0]["pointer"].as_str()), (StatusCode::UNPROCESSABLE_ENTITY, Some("/pins")));
    let (status, problem) = server.post("/api/lessons/6/rotation/look", json!({ "minutes_lost": 900 })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(problem["problems"][0]["pointer"], "/minutes_lost");
}

#[tokio::test]
async fn a_change_from_an_older_announcement_is_refused_and_the_table_has_a_line_for_each_turn() {
    let server = Server::new(None);
    let view = announced(&server, 0, json!({})).await;
    let body = json!({ "version": 0, "fields": {} });
    let (status, _) = server.put("/api/lessons/6/rotation", body).await;
    assert_eq!(status, StatusCode::CONFLICT);
    let table = server.text("/api/lessons/6/rotation/table").await;
    assert_eq!(table.lines().count(), turns(&view).len() + 1);
    assert!(table.starts_with("round,from minute,to minute,station,student,exercise,knife no.,knife"));
}

#[tokio::test]
async fn all_knives_out_leaves_everybody_without_a_turn_and_says_so() {
    let server = Server::new(None);
    let (_, rack) = server.get("/api/rack").await;
    let groups = rack["groups"].as_array().unwrap().iter();
    let all: Vec<i64> =
        groups.flat_map(|group| group["knives"].as_array().unwrap()).map(|each| each["knife"]["id"].as_i64().unwrap()).collect();
    let (status, view) = server.post("/api/lessons/6/rotation/look", json!({ "knives_out": all })).await;
    assert_eq!(status, StatusCode::OK);
    assert_eq!(view["turns"], json!([]));
    assert_eq!(view["left_out"].as_array().unwrap().len(), 14 * view["exercises"].as_array().unwrap().len());
    assert_eq!(view["rounds"], json!([]));
}
