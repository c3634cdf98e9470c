//! The room through the router: where stations stand, the wall, samples beside each other, the closing.

use axum::http::StatusCode;
use serde_json::{Value, json};

use crate::common::{Server, words};

async fn item(server: &Server, about: &str) -> Option<(String, String)> {
    let (_, closing) = server.get("/api/lessons/5/closing").await;
    let found = closing["items"].as_array().unwrap().iter().find(|item| item["about"] == about).cloned()?;
    Some((found["state"].as_str().unwrap().to_owned(), words(&found["words"])))
}

#[tokio::test]
async fn stations_stand_where_they_were_placed_and_nowhere_outside_the_room() {
    let server = Server::new(None);
    let places = json!({ "places": [{ "station": 3, "x": 0, "y": 1000 }, { "station": 4, "x": 500, "y": 10 }] });
    let (status, told) = server.put("/api/courses/1/room", places.clone()).await;
    assert_eq!((status, &told), (StatusCode::OK, &places));
    let (_, class) = server.get("/api/lessons/5/class").await;
    assert_eq!(class["room"], places["places"]);
    for (wrong, pointer) in [
        (json!([{ "station": 3, "x": 1001, "y": 0 }]), "/places/0/x"),
        (json!([{ "station": 3, "x": 0, "y": 0 }, { "station": 3, "x": 9, "y": 9 }]), "/places/1/station"),
        (json!(vec![json!({ "station": 1, "x": 0, "y": 0 }); 61]), "/places"),
    ] {
        let (status, problem) = server.put("/api/courses/1/room", json!({ "places": wrong })).await;
        assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)));
    }
    assert_eq!(server.get("/api/lessons/5/class").await.1["room"], places["places"], "nothing was changed");
}

#[tokio::test]
async fn the_wall_names_nobody() {
    let server = Server::new(None);
    server.start(11, 12).await;
    let fault = json!({ "student_id": 11, "what": { "kind": "fault", "fault": "blade_up" } });
    server.post("/api/lessons/5/marks", fault).await;
    let (status, wall) = server.get("/api/lessons/5/wall").await;
    assert_eq!(status, StatusCode::OK);
    let (_, course) = server.get("/api/courses/1").await;
    let told = wall.to_string();
    for student in course["students"].as_array().unwrap() {
        assert!(!told.contains(student["name"].as_str().unwrap()), "{student}");
    }
    assert_eq!(wall["cautions"].as_array().unwrap().len(), 3);
    assert!(!wall["steps"].as_array().unwrap().is_empty());
}

#[tokio::test]
async fn each_knife_of_the_rack_has_an_outline_and_each_exercise_its_section() {
    let server = Server::new(None);
    let (_, drawings) = server.get("/api/lessons/5/drawings").await;
    let (_, class) = server.get("/api/lessons/5/class").await;
    let drawn: Vec<i64> = drawings["outlines"]
        .as_array()
        .unwrap()
        .iter()
        .flat_map(|outline| outline["knife_ids"].as_array().unwrap().iter().map(|id| id.as_i64().unwrap()))
        .collect();
    for knife in class["knives"].as_array().unwrap() {
        assert_eq!(drawn.iter().filter(|id| **id == knife["id"].as_i64().unwrap()).count(), 1, "{knife}");
    }
    assert_eq!(drawings["sections"].as_array().unwrap().len(), class["exercises"].as_array().unwrap().len());
}

#[tokio::test]
async fn ten_pieces_are_drawn_unseen_each_once_within_the_row() {
    let server = Server::new(None);
    let (status, drawn) = server.get("/api/blind-draw?of=40&seed=5").await;
    assert_eq!(status, StatusCode::OK);
    let drawn: Vec<u64> = drawn.as_array().unwrap().iter().map(|at| at.as_u64().unwrap()).collect();
    assert_eq!(drawn.len(), 10);
    assert!(drawn.windows(2).all(|pair| pair[0] < pair[1]) && drawn[0] >= 1 && drawn[9] <= 40, "{drawn:?}");
    assert_eq!(server.get("/api/blind-draw?of=4&seed=5").await.1, json!([1, 2, 3, 4]));
    let (status, problem) = server.get("/api/blind-draw?of=501&seed=5").await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/of")));
}

/// A sample of an attempt; gives its id.
async fn sample(server: &Server, attempt: &Value, custom: &str, text: &str) -> i64 {
    let path = format!("/api/attempts/{}/samples", attempt["id"]);
    let (status, told) = server.post(&path, json!({ "custom": custom, "text": text })).await;
    assert_eq!(status, StatusCode::CREATED, "{told}");
    told["samples"].as_array().unwrap().last().unwrap()["id"].as_i64().unwrap()
}

const EVEN: &str = "3.1 3.2 50\n3.2 3.2 50\n3.2 3.1 50\n3.2 3.3 50\n3.3 3.2 50\n3.2 3.2 50\n3.1 3.2 50\n3.2 3.2 50";
const WILD: &str = "1.9 3.9 50\n4.6 2.6 50\n2.4 4.4 50\n4.4 2.2 50\n2.0 4.6 50\n4.5 3.9 50\n2.3 2.4 50\n4.1 2.0 50";

#[tokio::test]
async fn two_samples_lie_on_one_rule_and_only_like_is_compared_with_like() {
    let server = Server::new(None);
    let (_, attempt) = server.start(11, 12).await;
    server.post("/api/lessons/5/stop", json!({ "student_ids": [11] })).await;
    let wild = sample(&server, &attempt, "blind_ten", WILD).await;
    let even = sample(&server, &attempt, "blind_ten", EVEN).await;
    let best = sample(&server, &attempt, "best_four", "3.2 3.2 50\n3.2 3.2 50\n3.2 3.2 50\n3.2 3.2 50").await;
    // Whichever is named first, the earlier one lies above.
    for path in [format!("/api/samples/{wild}/beside?other={even}"), format!("/api/samples/{even}/beside?other={wild}")] {
        let (status, beside) = server.get(&path).await;
        assert_eq!((status, &beside["alike"]), (StatusCode::OK, &json!(true)), "{beside}");
        let thickness = beside["sides"].as_array().unwrap().iter().find(|side| side["dimension"] == "thickness").unwrap();
        assert!(words(&thickness["words"][0]).contains("more even, and not by chance"), "{thickness}");
        assert_eq!(thickness["first"]["sizes"].as_array().unwrap()[0], json!(1.9));
    }
    let (_, beside) = server.get(&format!("/api/samples/{even}/beside?other={best}")).await;
    assert_eq!(beside["alike"], json!(false));
    assert!(words(&beside["words"][1]).contains("no progress"), "{beside}");
    assert!(words(&beside["words"][2]).contains("best four of 20"), "{beside}");
    assert_eq!(beside["sides"][0]["words"], json!([]), "no change is read from what was chosen");
    assert_eq!(server.get(&format!("/api/samples/{even}/beside?other=999999")).await.0, StatusCode::NOT_FOUND);
    // A sample of another cut: the demo's students cut several.
    let (_, evidence) = server.get("/api/students/11/evidence").await;
    let other = evidence["attempts"]
        .as_array()
        .unwrap()
        .iter()
        .find(|each| each["cut"] != attempt["cut"] && each["samples"] != json!([]));
    let other = &other.unwrap()["samples"][0]["id"];
    assert_eq!(server.get(&format!("/api/samples/{even}/beside?other={other}")).await.0, StatusCode::CONFLICT);
}

#[tokio::test]
async fn a_closing_says_what_is_open_and_what_is_done() {
    let server = Server::new(None);
    assert_eq!(item(&server, "knives").await.unwrap().0, "to_do");
    server.post("/api/lessons/5/count", json!({ "way": "out", "numbers": "1 2 3" })).await;
    server.post("/api/lessons/5/count", json!({ "way": "in", "numbers": "1 3" })).await;
    let (state, words) = item(&server, "knives").await.unwrap();
    assert_eq!(state, "stop");
    assert!(words.starts_with("1 of 3 not counted in: no. 2 ("), "{words}");
    server.post("/api/lessons/5/count", json!({ "way": "in", "numbers": "2" })).await;
    let all_in = ("done".to_owned(), "3 knives went out, and every one came in.".to_owned());
    assert_eq!(item(&server, "knives").await.unwrap(), all_in);

    let (_, attempt) = server.start(11, 12).await;
    let (state, words) = item(&server, "running").await.unwrap();
    assert_eq!(state, "stop");
    assert!(words.starts_with("Still cutting: "), "{words}");
    for fault in ["dull_kept", "dull_kept", "loose_grip"] {
        let mark = json!({ "student_id": 11, "what": { "kind": "fault", "fault": fault } });
        server.post("/api/lessons/5/marks", mark).await;
    }
    server.post("/api/lessons/5/stop", json!({ "student_ids": [11] })).await;
    assert_eq!(item(&server, "running").await, None);
    assert_eq!(item(&server, "measuring").await.unwrap().0, "to_do");
    let (_, words) = item(&server, "edge").await.unwrap();
    assert!(words.contains("its edge was marked 2 times"), "{words}");
    assert!(item(&server, "marks").await.unwrap().1.contains("seen most: "), "the fault that was seen most");
    sample(&server, &attempt, "blind_ten", EVEN).await;
    assert_eq!(item(&server, "measuring").await, None);

    let nick = |aid: &str| json!({ "student_id": 11, "kind": "nick", "words": "Thumb, small.", "place": "station 9", "first_aid": aid, "aid_by": "Mara" });
    let (_, incidents) = server.post("/api/lessons/5/incidents", nick("")).await;
    assert_eq!(incidents[0]["place"], "station 9");
    let (state, words) = item(&server, "incident").await.unwrap();
    assert_eq!((state.as_str(), words.ends_with("First aid is not written down yet.")), ("to_do", true), "{words}");
    let long = nick(&"x".repeat(201));
    let (status, problem) = server.post("/api/lessons/5/incidents", long).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/first_aid")));
}
