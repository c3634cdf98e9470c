//! Names that are pasted, knives by count, people who go from course to course.

use crate::common::Server;
use axum::http::StatusCode;
use serde_json::{Value, json};

const LIST: &str = "Maren Oake, left, small, celery\nPell Quist\nwho is this, really, now\nleft\nUna Vale; 180 mm";

async fn students(server: &Server, course: i64) -> Vec<Value> {
    let (_, view) = server.get(&format!("/api/courses/{course}")).await;
    view["students"].as_array().unwrap().clone()
}

#[tokio::test]
async fn a_list_is_told_line_by_line_and_only_what_is_understood_is_kept() {
    let server = Server::new(None);
    let before = students(&server, 2).await.len();
    let (status, read) = server.post("/api/courses/2/roster/read", json!({ "text": LIST })).await;
    assert_eq!((status, &read["sound"], &read["wrong"]), (StatusCode::OK, &json!(3), &json!(2)));
    assert_eq!(students(&server, 2).await.len(), before, "reading keeps nothing");
    // Maren Oake is in the first course of the made-up school.
    assert!(read["lines"][0]["person_id"].is_i64(), "{}", read["lines"][0]);
    let (status, refused) = server.post("/api/courses/2/roster", json!({ "text": LIST })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    let told: Vec<&str> = refused["problems"].as_array().unwrap().iter().map(|each| each["message"].as_str().unwrap()).collect();
    assert!(told[0].starts_with("Line 3: ") && told[1].starts_with("Line 4: "), "{told:?}");
    assert_eq!(students(&server, 2).await.len(), before, "all or nothing");
    let body = json!({ "text": LIST, "skip_wrong": true, "clearance": 130 });
    let (status, taken) = server.post("/api/courses/2/roster", body).await;
    assert_eq!((status, taken), (StatusCode::CREATED, json!({ "added": 3, "known": 2, "left": 2 })));
    let now = students(&server, 2).await;
    assert_eq!(now.len(), before + 3);
    let of = |name: &str| now.iter().find(|student| student["name"] == name).unwrap_or_else(|| panic!("no {name}")).clone();
    assert_eq!((&of("Una Vale")["clearance"], &of("Una Vale")["hand"]), (&json!(180.0), &json!("right")));
    // What is known comes along; what the line adds is kept with it.
    let (maren, first) = (of("Maren Oake"), students(&server, 1).await);
    let there = first.iter().find(|student| student["name"] == "Maren Oake").unwrap();
    assert_eq!((&maren["person_id"], &maren["clearance"]), (&there["person_id"], &there["clearance"]));
    assert!(there["allergies"].as_array().unwrap().contains(&json!("celery")), "one person, one list of allergies");
    let (_, evidence) = server.get(&format!("/api/students/{}/evidence", maren["id"])).await;
    assert!(!evidence["attempts"].as_array().unwrap().is_empty(), "evidence goes along");
}

#[tokio::test]
async fn one_of_the_same_name_can_be_somebody_else() {
    let server = Server::new(None);
    let (_, taken) = server.post("/api/courses/2/roster", json!({ "text": "Maren Oake", "apart": [1] })).await;
    assert_eq!(taken["known"], 0);
    let named = students(&server, 2).await.into_iter().find(|student| student["name"] == "Maren Oake").unwrap();
    let first = students(&server, 1).await.into_iter().find(|student| student["name"] == "Maren Oake").unwrap();
    assert_ne!(named["person_id"], first["person_id"]);
}

#[tokio::test]
async fn people_are_taken_along_all_or_none() {
    let server = Server::new(None);
    let (_, people) = server.get("/api/people").await;
    let ids: Vec<i64> = people.as_array().unwrap().iter().map(|person| person["id"].as_i64().unwrap()).collect();
    let here: Vec<i64> = students(&server, 2).await.iter().map(|student| student["person_id"].as_i64().unwrap()).collect();
    let others: Vec<i64> = ids.iter().copied().filter(|id| !here.contains(id)).collect();
    let (status, _) = server.post("/api/courses/2/people", json!({ "people": ids })).await;
    assert_eq!(status, StatusCode::CONFLICT, "some are in the course already");
    assert_eq!(students(&server, 2).await.len(), here.len());
    let (status, taken) = server.post("/api/courses/2/people", json!({ "people": others })).await;
    assert_eq!((status, &taken["added"]), (StatusCode::CREATED, &json!(others.len())));
    let now = students(&server, 2).await;
    let stations: std::collections::BTreeSet<i64> = now.iter().map(|student| student["station"].as_i64().unwrap()).collect();
    assert_eq!((now.len(), stations.len()), (ids.len(), ids.len()), "each has a station");
}

#[tokio::test]
async fn the_class_list_goes_out_as_a_table_and_comes_in_again() {
    let server = Server::new(None);
    let text = server.text("/api/courses/1/roster").await;
    assert!(text.starts_with("station,name,hand,hand size,clearance,allergies,notes"), "{text}");
    let (_, read) = server.post("/api/courses/2/roster/read", json!({ "text": text })).await;
    assert_eq!(read["sound"], students(&server, 1).await.len());
    assert_eq!(read["wrong"], 0);
}

#[tokio::test]
async fn the_lessons_of_a_course_are_a_calendar() {
    let server = Server::new(None);
    let text = server.text("/api/courses/1/calendar").await;
    assert_eq!(text.matches("BEGIN:VEVENT").count(), 8);
    assert!(text.contains("DTSTART;TZID=Europe/Lisbon:20261006T"), "{text}");
    assert_eq!(server.get("/api/courses/99/calendar").await.0, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn knives_are_put_on_the_rack_by_count() {
    let server = Server::empty();
    let body = json!({ "text": "6 chef's 200, 4 paring 90, 1 bread, 2 swords" });
    let (_, read) = server.post("/api/rack/list/read", body.clone()).await;
    assert_eq!((&read["sound"], &read["wrong"]), (&json!(11), &json!(1)));
    let (status, _) = server.post("/api/rack/list", body).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    let body = json!({ "text": "6 chef's 200, 4 paring 90, 1 bread, 2 swords", "skip_wrong": true });
    let (status, taken) = server.post("/api/rack/list", body).await;
    assert_eq!((status, taken), (StatusCode::CREATED, json!({ "added": 11, "left": 1 })));
    let (_, more) = server.post("/api/rack/list/read", json!({ "text": "petty" })).await;
    assert_eq!(more["items"][0]["knives"][0]["number"], "12", "numbers go on");
}

#[tokio::test]
async fn a_calendar_is_subscribed_to_by_a_secret_that_can_be_taken_back() {
    let server = Server::new(None);
    let address = "/api/courses/1/calendar/address";
    assert_eq!(server.get(address).await.1["path"], Value::Null);
    let (_, made) = server.post(address, json!({ "shared": true })).await;
    let path = made["path"].as_str().unwrap().to_owned();
    assert!(path.rsplit('/').next().unwrap().len() >= 32, "128 bits: {path}");
    assert!(server.text(&path).await.starts_with("BEGIN:VCALENDAR"));
    let (_, again) = server.post(address, json!({ "shared": true })).await;
    assert_ne!(again["path"], made["path"]);
    assert_eq!(server.get(&path).await.0, StatusCode::NOT_FOUND, "the address from before is good no more");
    server.post(address, json!({ "shared": false })).await;
    assert_eq!(server.get(again["path"].as_str().unwrap()).await.0, StatusCode::NOT_FOUND);
    assert_eq!(server.get(address).await.1["path"], Value::Null);
}
