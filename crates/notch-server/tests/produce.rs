//! The food of a lesson over HTTP: looked at, kept, refused; and one order over a course.

use axum::http::StatusCode;
use serde_json::{Value, json};

use crate::common::Server;

async fn produce(server: &Server) -> Value {
    server.get("/api/lessons/8/produce").await.1
}

#[tokio::test]
async fn good_pieces_that_are_wanted_are_looked_at_and_kept() {
    let server = Server::new(None);
    let before = produce(&server).await;
    let julienne = &before["exercises"][1];
    let fields = json!({ "good": [{ "exercise_id": julienne["exercise_id"], "count": 80 }] });
    let (status, looked) = server.post("/api/lessons/8/produce/look", fields.clone()).await;
    assert_eq!(status, StatusCode::OK, "{looked}");
    assert!(looked["order"][0]["students"].as_u64() > before["order"][0]["students"].as_u64());
    assert!(looked["exercises"][1]["to_cut"].as_u64().unwrap() > 80);
    assert_eq!(produce(&server).await, before, "looking keeps nothing");
    let change = json!({ "version": before["version"], "fields": fields });
    let (status, kept) = server.put("/api/lessons/8/produce", change.clone()).await;
    assert_eq!((status, &kept["order"]), (StatusCode::OK, &looked["order"]));
    let (status, _) = server.put("/api/lessons/8/produce", change).await;
    assert_eq!(status, StatusCode::CONFLICT, "from an older version");
    let (_, file) = server.get("/api/courses/1/file").await;
    assert_eq!(file["lessons"][7]["produce"]["good"][0]["count"], 80);
}

#[tokio::test]
async fn what_cannot_be_said_is_refused_at_its_field_and_nothing_is_kept() {
    let server = Server::new(None);
    let before = produce(&server).await;
    let id = &before["exercises"][0]["exercise_id"];
    for (fields, pointer) in [
        (json!({ "good": [{ "exercise_id": 9999, "count": 4 }] }), "/good/0/exercise_id"),
        (json!({ "good": [{ "exercise_id": id, "count": 0 }] }), "/good/0/count"),
        (json!({ "instead": [{ "exercise_id": id, "food": "moon" }] }), "/instead/0/food"),
        (json!({ "instead": [{ "exercise_id": id, "food": "parsley" }] }), "/instead/0/food"),
        (json!({ "ends": [{ "food": "moon", "end": "eaten" }] }), "/ends/0/food"),
    ] {
        let (status, problem) = server.post("/api/lessons/8/produce/look", fields.clone()).await;
        assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)));
        let change = json!({ "version": before["version"], "fields": fields });
        let (status, _) = server.put("/api/lessons/8/produce", change).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    }
    assert_eq!(produce(&server).await, before);
}

#[tokio::test]
async fn one_order_is_read_by_delivery_day_and_as_a_table() {
    let server = Server::new(None);
    let (status, order) = server.get("/api/courses/1/order?from=2026-10-06&until=2026-10-20").await;
    assert_eq!(status, StatusCode::OK);
    let days: Vec<&str> = order["deliveries"].as_array().unwrap().iter().map(|each| each["on"].as_str().unwrap()).collect();
    assert_eq!(days, ["2026-10-05", "2026-10-12", "2026-10-19"], "Mondays, before lessons on Tuesdays");
    let (_, of_lesson) = server.get("/api/lessons/6/produce").await;
    assert_eq!(order["deliveries"][1]["lines"], of_lesson["order"]);
    let (status, bytes) = server.get_bytes("/api/courses/1/order/table?from=2026-10-06&until=2026-10-20").await;
    let table = String::from_utf8(bytes).unwrap();
    assert_eq!(status, StatusCode::OK);
    assert!(table.starts_with("delivery day,food,") && table.contains("2026-10-12,"), "{table}");
    let (status, problem) = server.get("/api/courses/1/order?from=2026-10-06&until=2026-10-01").await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/until")));
    let (status, _) = server.get("/api/courses/1/order?from=2026-02-31").await;
    assert!(status.is_client_error());
}
