//! The time rule over HTTP: kept with what makes the lesson fit, all or nothing.

use crate::common::Server;
use axum::http::StatusCode;
use serde_json::{Value, json};

async fn plan(server: &Server, lesson: i64) -> Value {
    server.get(&format!("/api/lessons/{lesson}/plan")).await.1
}

fn fields(plan: &Value, way: &Value) -> Value {
    json!({ "minutes": plan["lesson"]["minutes"], "segments": way["segments"], "fewer": way["fewer"], "leave_out": way["leave_out"] })
}

#[tokio::test]
async fn every_way_out_of_a_lesson_that_is_overrun_makes_it_fit() {
    let server = Server::new(None);
    let before = plan(&server, 5).await;
    let mut segments = before["lesson"]["segments"].clone();
    segments[4]["minutes"] = json!(40);
    let draft = json!({ "minutes": 110, "segments": segments });
    let (status, rule) = server.post("/api/lessons/5/time-rule", draft).await;
    assert_eq!(status, StatusCode::OK);
    let ways = rule["ways_out"].as_array().unwrap();
    assert!(ways.len() >= 3, "{ways:?}");
    for way in ways {
        let (_, after) = server.post("/api/lessons/5/time-rule", fields(&before, way)).await;
        assert_eq!(after["over"], 0, "{}", way["words"]);
        assert_eq!(after["ways_out"], json!([]));
    }
    assert_eq!(plan(&server, 5).await, before, "looking changes nothing");
}

#[tokio::test]
async fn an_exercise_is_left_out_and_another_made_smaller_in_one_action() {
    let server = Server::new(None);
    let before = plan(&server, 5).await;
    let exercise = |index: usize| before["exercises"][index]["exercise"]["id"].clone();
    let segments: Vec<&Value> = before["lesson"]["segments"].as_array().unwrap().iter().collect();
    let kept: Vec<&&Value> = segments.iter().filter(|segment| segment["exercise_id"] != exercise(1)).collect();
    let amount = json!({ "kind": "units", "count": 1 });
    let change = |leave_out: Value| {
        json!({ "version": before["lesson"]["version"], "fields": {
            "minutes": 110, "segments": kept, "leave_out": [leave_out],
            "fewer": [{ "exercise_id": exercise(0), "amount": amount }] } })
    };
    let (status, problem) = server.put("/api/lessons/5/time-rule", change(json!(1))).await;
    assert_eq!(status, StatusCode::NOT_FOUND, "an exercise of another lesson: {problem}");
    assert_eq!(plan(&server, 5).await, before, "nothing is half written");
    let (status, after) = server.put("/api/lessons/5/time-rule", change(exercise(1))).await;
    assert_eq!(status, StatusCode::OK, "{after}");
    assert_eq!(after["exercises"].as_array().unwrap().len(), 1);
    assert_eq!(after["exercises"][0]["exercise"]["amount"], amount);
    let (status, _) = server.put("/api/lessons/5/time-rule", change(exercise(1))).await;
    assert_eq!(status, StatusCode::CONFLICT, "from an older version");
}

#[tokio::test]
async fn an_own_part_keeps_its_name_and_its_minutes() {
    let server = Server::new(None);
    let before = plan(&server, 6).await;
    let mut segments = before["lesson"]["segments"].clone();
    let own = json!({ "kind": "own", "minutes": 9, "exercise_id": null, "own_name": "A guest", "fixed": true });
    segments.as_array_mut().unwrap().insert(2, own.clone());
    let change = json!({ "version": before["lesson"]["version"], "fields": { "minutes": 110, "segments": segments } });
    let (status, after) = server.put("/api/lessons/6/time-rule", change).await;
    assert_eq!(status, StatusCode::OK, "{after}");
    assert_eq!(after["lesson"]["segments"][2], own);
    assert_eq!(
        (&after["time_rule"]["segments"][2]["name"], &after["time_rule"]["segments"][2]["gives"]),
        (&json!("A guest"), &json!(0))
    );
    let (_, file) = server.get("/api/courses/1/file").await;
    assert_eq!(file["lessons"][5]["segments"][2]["own_name"], "A guest");
    assert_eq!(file["lessons"][5]["segments"][2]["fixed"], true);
}

/// Weight and subject of each line of a lesson's list.
fn lines(ready: &Value) -> Vec<(&str, &str)> {
    let items = ready["items"].as_array().unwrap().iter();
    items.map(|item| (item["weight"].as_str().unwrap(), item["about"].as_str().unwrap())).collect()
}

#[tokio::test]
async fn what_a_lesson_lacks_is_told_worst_first_and_mended_by_its_way_out() {
    let server = Server::new(None);
    let (_, ready) = server.get("/api/lessons/5/ready").await;
    let found = lines(&ready);
    assert_eq!(found[0], ("stop", "time"));
    let order = ["stop", "caution", "to_do"];
    let places: Vec<usize> = found.iter().map(|(weight, _)| order.iter().position(|each| each == weight).unwrap()).collect();
    assert!(places.is_sorted(), "{found:?}");
    let way = &ready["items"][0]["way"]["way"];
    let before = plan(&server, 5).await;
    let change = json!({ "version": before["lesson"]["version"], "fields": fields(&before, way) });
    assert_eq!(server.put("/api/lessons/5/time-rule", change).await.0, StatusCode::OK);
    let (_, mended) = server.get("/api/lessons/5/ready").await;
    assert!(!lines(&mended).contains(&("stop", "time")));
    // The box is ticked on the check sheet.
    let tick = json!({ "item": "first_aid", "who": "Mara", "ticked": true });
    assert_eq!(server.post("/api/lessons/5/check", tick).await.0, StatusCode::OK);
    let (_, ticked) = server.get("/api/lessons/5/ready").await;
    assert!(lines(&ticked).iter().all(|(_, about)| *about != "first_aid"), "{:?}", lines(&ticked));
}

#[tokio::test]
async fn an_allergy_stands_in_the_way_until_somebody_says_what_is_cut_instead() {
    let server = Server::new(None);
    let (_, advice) = server
        .post(
            "/api/courses/1/advice",
            json!({ "food": "celery", "cut": "batonnet", "amount": { "kind": "pieces", "count": 20 } }),
        )
        .await;
    let setup = &advice["setup"];
    let exercise = json!({ "food": "celery", "cut": "batonnet", "amount": { "kind": "pieces", "count": 20 }, "own_minutes": null,
        "knife_type": setup["knife_type"], "knife_length": setup["knife_length"], "grip": setup["grip"], "hold": setup["hold"],
        "motion": setup["motion"], "third": setup["third"] });
    let (status, planned) = server.post("/api/lessons/7/exercises", exercise).await;
    assert_eq!(status, StatusCode::CREATED, "{planned}");
    let (_, ready) = server.get("/api/lessons/7/ready").await;
    let case = ready["items"].as_array().unwrap().iter().find(|item| item["about"] == "allergy").unwrap();
    assert_eq!((&case["weight"], &case["way"]["kind"]), (&json!("stop"), &json!("instead")));
    let instead = json!({ "exercise_id": case["way"]["exercise_id"], "food": case["way"]["food"] });
    let change = json!({ "version": ready["version"], "fields": { "instead": [instead] } });
    let (status, produce) = server.put("/api/lessons/7/produce", change).await;
    assert_eq!(status, StatusCode::OK, "{produce}");
    let (_, after) = server.get("/api/lessons/7/ready").await;
    assert!(lines(&after).contains(&("to_do", "allergy")), "{:?}", lines(&after));
}
