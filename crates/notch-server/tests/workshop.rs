//! The API of the places around the class: rack, care, count, Playbook, own values, Bench.

use crate::common::{Server, words};
use axum::http::StatusCode;
use serde_json::{Value, json};

#[tokio::test]
async fn a_failed_paper_test_takes_the_knife_out_of_the_lesson() {
    let server = Server::new(None);
    let lesson = server.empty_lesson().await;
    let turned = json!({
        "food": "potato", "cut": "turned", "knife_type": "paring", "knife_length": 90, "grip": "paring", "hold": "in_hand",
        "motion": "in_hand_pull", "third": "middle", "amount": { "kind": "units", "count": 1 }, "own_minutes": 5
    });
    assert_eq!(server.post(&format!("/api/lessons/{lesson}/exercises"), turned).await.0, StatusCode::CREATED);
    let (_, before) = server.get(&format!("/api/lessons/{lesson}/check")).await;
    let knives = |sheet: &Value| sheet["items"].as_array().unwrap().iter().find(|i| i["part"] == "knives").cloned().unwrap();
    let short = knives(&before)["short"].as_u64().unwrap();
    assert!(short > 0, "14 students, few small knives: {before}");
    let (_, rack) = server.get("/api/rack").await;
    let number = |rack: &Value, number: &str| {
        let groups = rack["groups"].as_array().unwrap().iter().flat_map(|g| g["knives"].as_array().unwrap().clone());
        groups.into_iter().find(|k| k["knife"]["number"] == number).unwrap()
    };
    let id = number(&rack, "25")["knife"]["id"].as_i64().unwrap();
    let test = json!({ "course": 1, "fields": { "kind": "paper_test", "clean": 2, "on_day": "2026-10-06", "words": "catches" } });
    let (status, taken) = server.post(&format!("/api/rack/{id}/care"), test).await;
    assert_eq!((status, &taken["knife"]["edge_state"]), (StatusCode::CREATED, &json!("dull")));
    let (_, after) = server.get(&format!("/api/lessons/{lesson}/check")).await;
    assert_eq!(knives(&after)["short"].as_u64().unwrap(), short + 1);
    let (_, rack) = server.get("/api/rack?course=1").await;
    assert_eq!(number(&rack, "25")["due"][0]["what"], "failed");
    let again = json!({ "fields": { "kind": "paper_test", "clean": 3, "on_day": "2026-10-06" } });
    assert_eq!(server.post(&format!("/api/rack/{id}/care"), again).await.1["knife"]["edge_state"], "sharp");
}

#[tokio::test]
async fn care_that_cannot_be_is_refused_at_its_field() {
    let server = Server::new(None);
    for (knife, deed, pointer) in [
        (12, json!({ "kind": "hone", "strokes": 4, "angle": 45, "on_day": "2026-10-06" }), "/angle"),
        (12, json!({ "kind": "hone", "strokes": 0, "angle": null, "on_day": "2026-10-06" }), "/strokes"),
        (12, json!({ "kind": "hone", "strokes": 4, "angle": null, "on_day": "2026-10-07" }), "/on_day"),
        (12, json!({ "kind": "paper_test", "clean": 4, "on_day": "2026-10-06" }), "/clean"),
        (12, json!({ "kind": "stone", "strokes": 10, "angle": 15, "grits": [], "on_day": "2026-10-06" }), "/grits"),
        (12, json!({ "kind": "incident", "on_day": "2026-10-06" }), "/words"),
        (32, json!({ "kind": "hone", "strokes": 4, "angle": null, "on_day": "2026-10-06" }), "/kind"),
        (32, json!({ "kind": "stone", "strokes": 10, "angle": null, "grits": [1000], "on_day": "2026-10-06" }), "/kind"),
    ] {
        let (status, problem) = server.post(&format!("/api/rack/{knife}/care"), json!({ "fields": deed })).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], pointer, "{problem}");
    }
    let (_, care) = server.get("/api/rack/12/care").await;
    assert!(care["events"].as_array().unwrap().iter().all(|event| event["on_day"] != "2026-10-06"), "nothing was kept");
    assert_eq!(server.get("/api/rack?hand_length=20").await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.get("/api/rack/12/care?degrees=120").await.0, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn a_table_with_wrong_rows_is_told_row_by_row() {
    let server = Server::new(None);
    let text = "number,type,length\n101,chefs,200\n102,Paring,90\n103,no such knife,90\n104,birds_beak,300\n";
    let (status, table) = server.post("/api/rack/table/read", json!({ "text": text })).await;
    assert_eq!((status, &table["sound"], &table["wrong"]), (StatusCode::OK, &json!(2), &json!(2)));
    assert_eq!(table["rows"][2]["line"], 4);
    assert_eq!(table["rows"][3]["problems"][0]["pointer"], "/length");
    let (status, problem) = server.post("/api/rack/table", json!({ "text": text })).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["problems"][0]["message"].as_str().unwrap().starts_with("Line 4"));
    assert_eq!(server.get("/api/rack").await.1["count"], 52, "one wrong row and nothing is kept");
    let (status, taken) = server.post("/api/rack/table", json!({ "text": text, "skip_wrong": true })).await;
    assert_eq!((status, &taken["added"], &taken["left"]), (StatusCode::CREATED, &json!(2), &json!(2)));
    assert_eq!(server.get("/api/rack").await.1["count"], 54);
    let (_, table) = server.post("/api/rack/table/read", json!({ "text": "number,type,length\n101,chefs,200" })).await;
    assert_eq!(table["rows"][0]["problems"][0]["pointer"], "/number", "a number that is taken");
    assert_eq!(server.post("/api/rack/table/read", json!({ "text": "" })).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(
        server.post("/api/rack/table/read", json!({ "text": "name;colour\na;b" })).await.0,
        StatusCode::UNPROCESSABLE_ENTITY
    );
}

#[tokio::test]
async fn a_class_is_not_closed_with_a_knife_missing_unless_it_is_said_why() {
    let server = Server::new(None);
    let count = |way: &str, numbers: &str| json!({ "way": way, "numbers": numbers });
    let (status, out) = server.post("/api/lessons/5/count", count("out", "1-6, 12 13")).await;
    assert_eq!((status, &out["missing"]), (StatusCode::OK, &json!(8)));
    for (numbers, why) in [("7", "failed its edge test"), ("999", "on no knife"), ("9-1", "not a span"), ("", "was given")] {
        let (status, problem) = server.post("/api/lessons/5/count", count("out", numbers)).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["detail"].as_str().unwrap().contains(why), "{problem}");
    }
    assert_eq!(server.post("/api/lessons/5/count", count("in", "20")).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/count", count("in", "1-6 12")).await.1["missing"], 1);
    let close = |words: &str| json!({ "who": "Mara", "words": words, "closed": true });
    let (status, problem) = server.post("/api/lessons/5/close", close("")).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["detail"].as_str().unwrap().contains("8 went out and 7 came in: no. 13 missing"), "{problem}");
    let (status, closed) = server.post("/api/lessons/5/close", close("Chipped on a board clip; in the steward's drawer.")).await;
    assert_eq!((status, &closed["closed"]["who"]), (StatusCode::OK, &json!("Mara")));
    assert_eq!(server.post("/api/lessons/5/count", count("in", "13")).await.0, StatusCode::CONFLICT);
    assert_eq!(server.post("/api/lessons/5/close", close("")).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    let open = json!({ "who": "Mara", "closed": false });
    assert_eq!(server.post("/api/lessons/5/close", open).await.1["closed"], Value::Null);
}

#[tokio::test]
async fn ticks_on_the_check_sheet_are_kept_with_who_and_when() {
    let server = Server::new(None);
    let tick = |item: &str, who: &str, ticked: bool| json!({ "item": item, "who": who, "ticked": ticked });
    let (status, sheet) = server.post("/api/lessons/5/check", tick("first_aid", "Mara", true)).await;
    assert_eq!((status, &sheet["done"]), (StatusCode::OK, &json!(1)));
    let item = |sheet: &Value| sheet["items"].as_array().unwrap().iter().find(|item| item["id"] == "first_aid").cloned().unwrap();
    assert_eq!(item(&sheet)["tick"]["who"], "Mara");
    assert!(item(&sheet)["tick"]["at"].as_str().unwrap().starts_with("2026-10-06T17:1"));
    assert_eq!(server.post("/api/lessons/5/check", tick("no_such_line", "Mara", true)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/check", tick("boards", " ", true)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(server.post("/api/lessons/5/check", tick("first_aid", "Mara", false)).await.1["done"], 0);
}

#[tokio::test]
async fn other_doctrines_say_what_they_change_before_and_after_they_are_saved() {
    let server = Server::new(None);
    let (_, same) = server.post("/api/courses/1/doctrines/try", json!({ "doctrines": {} })).await;
    assert_eq!(same["changed"], 0);
    let (_, level) = server.post("/api/courses/1/doctrines/try", json!({ "doctrines": { "onion_dice": "level_cut" } })).await;
    assert!(level["changed"].as_u64().unwrap() > 0, "{level}");
    let onion = level["examples"].as_array().unwrap();
    assert!(onion.iter().all(|change| words(&change["after"]).contains("level cut")), "{level}");
    let (_, care) = server.post("/api/courses/1/doctrines/try", json!({ "doctrines": { "steel_or_stone": "stone" } })).await;
    assert!(words(&care["beside"][0]).contains("Steel or stone"), "{care}");
    let (status, problem) = server.post("/api/courses/1/doctrines/try", json!({ "doctrines": { "tip": "sometimes" } })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/doctrines/tip")));
    let (_, course) = server.get("/api/courses/1").await;
    let chosen = json!({ "version": course["course"]["version"], "doctrines": { "grip": "handle" } });
    let (status, kept) = server.put("/api/courses/1/doctrines", chosen.clone()).await;
    assert_eq!((status, &kept["doctrines"]["grip"]), (StatusCode::OK, &json!("handle")));
    assert_eq!(server.put("/api/courses/1/doctrines", chosen).await.0, StatusCode::CONFLICT, "a stale choice");
    let carrot = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 } });
    assert_eq!(server.post("/api/courses/1/advice", carrot).await.1["setup"]["grip"], "handle");
}

#[tokio::test]
async fn an_own_set_of_standards_is_copied_used_and_cannot_be_removed_while_it_is_needed() {
    let server = Server::new(None);
    let sizes = server.get("/api/own").await.1["sizes"]["metric"].clone();
    let mut own = json!({ "kind": "standard_set", "id": "", "name": "Harbour sizes", "based_on": "metric", "sizes": sizes });
    own["sizes"]["julienne"]["thickness"] = json!("2.5");
    let (status, view) = server.post("/api/own", json!({ "version": null, "value": own.clone() })).await;
    assert_eq!(status, StatusCode::OK, "{view}");
    let line = &view["own"][0];
    assert_eq!((&line["id"], &line["copy"]), (&json!("own_harbour_sizes"), &json!(true)));
    assert!(line["differences"].as_array().unwrap().iter().any(|d| d["shipped"] == "2" && d["own"] == "2.5"), "{line}");
    let (_, catalogue) = server.get("/api/catalogue").await;
    assert!(catalogue["sets"].as_array().unwrap().iter().any(|set| set["id"] == "own_harbour_sizes"));
    let (_, course) = server.get("/api/courses/1").await;
    let mut fields = course["course"].clone();
    fields["standard_set"] = json!("own_harbour_sizes");
    let change = json!({ "version": course["course"]["version"], "fields": fields });
    assert_eq!(server.put("/api/courses/1", change).await.0, StatusCode::OK);
    let gone = json!({ "kind": "standard_set", "id": "own_harbour_sizes", "version": 1 });
    let (status, problem) = server.post("/api/own/drop", gone).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(problem["detail"].as_str().unwrap().contains("is used by Galley hands, autumn watch"), "{problem}");
    own["sizes"]["julienne"]["thickness"] = json!("thick");
    let (status, problem) = server.post("/api/own", json!({ "version": null, "value": own })).await;
    assert_eq!(
        (status, &problem["problems"][0]["pointer"]),
        (StatusCode::UNPROCESSABLE_ENTITY, &json!("/sizes/julienne/thickness"))
    );
    let cue = json!({ "version": null, "value": { "kind": "cue", "id": "loose_grip", "cue": "Shake hands with the blade." } });
    assert_eq!(server.post("/api/own", cue.clone()).await.0, StatusCode::OK);
    assert_eq!(server.post("/api/own", cue).await.0, StatusCode::CONFLICT, "it is there already");
    let back = json!({ "kind": "cue", "id": "loose_grip", "version": 1 });
    assert_eq!(server.post("/api/own/drop", back).await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_kit_covers_the_course_or_says_what_nothing_covers() {
    let server = Server::new(None);
    let (_, options) = server.get("/api/courses/1/kit").await;
    let jobs: Vec<Value> =
        options["jobs"].as_array().unwrap().iter().map(|j| json!({ "cut": j["cut"], "food": j["food"] })).collect();
    let knives: Vec<Value> = options["knives"]
        .as_array()
        .unwrap()
        .iter()
        .map(|k| json!({ "knife_type": k["knife_type"], "cost": k["cost"] }))
        .collect();
    let ask =
        |knives: &[Value], least: u8, goal: Value| json!({ "jobs": jobs, "knives": knives, "least_fit": least, "goal": goal });
    let (status, answer) = server.post("/api/courses/1/kit", ask(&knives, 40, json!({ "kind": "fewest" }))).await;
    assert_eq!(status, StatusCode::OK, "{answer}");
    assert!(!answer["kit"]["knives"].as_array().unwrap().is_empty());
    let cheap = json!({ "kind": "cheapest", "budget": 5 });
    assert_eq!(server.post("/api/courses/1/kit", ask(&knives, 40, cheap)).await.1["kit"]["within_budget"], false);
    let beak: Vec<Value> = knives.iter().filter(|k| k["knife_type"] == "birds_beak").cloned().collect();
    let (_, answer) = server.post("/api/courses/1/kit", ask(&beak, 40, json!({ "kind": "fewest" }))).await;
    assert!(answer["kit"].is_null());
    assert_eq!(answer["uncovered"].as_array().unwrap().len(), jobs.len());
    assert!(!answer["uncovered"][0]["nearest"].is_null(), "it is said what would cover it: {answer}");
    let wrong = json!({ "kind": "cheapest", "budget": -1 });
    assert_eq!(server.post("/api/courses/1/kit", ask(&knives, 40, wrong)).await.0, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn what_was_answered_is_answered_again_until_something_changes() {
    let server = Server::new(None);
    let ask = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 40 } });
    let first = server.post("/api/courses/1/advice", ask.clone()).await.1;
    assert_eq!(server.post("/api/courses/1/advice", ask.clone()).await.1, first);
    let more = json!({ "food": "carrot", "cut": "julienne", "amount": { "kind": "pieces", "count": 200 } });
    assert_ne!(server.post("/api/courses/1/advice", more).await.1, first, "another body is another question");
    let rack = server.get("/api/rack").await.1;
    assert_eq!(server.get("/api/rack").await.1, rack);
    let dull = json!({ "fields": { "kind": "paper_test", "clean": 0, "on_day": "2026-10-06" } });
    assert_eq!(server.post("/api/rack/12/care", dull).await.0, StatusCode::CREATED);
    assert_eq!(server.get("/api/rack").await.1["fit"].as_u64(), rack["fit"].as_u64().map(|fit| fit - 1));
    assert_ne!(server.post("/api/courses/1/advice", ask).await.1, first);
}

#[tokio::test]
async fn the_bench_answers_both_ways_and_refuses_what_cannot_be() {
    let server = Server::new(None);
    let ask = |more: Value| {
        let mut question = json!({ "food": "carrot", "cut": "julienne", "good": 20, "success": 0.8 });
        question.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        question
    };
    let (status, view) = server.post("/api/courses/1/bench", ask(json!({}))).await;
    assert_eq!(status, StatusCode::OK, "{view}");
    assert_eq!((&view["ways"][0]["pieces"], &view["pieces_each"]), (&json!(62), &json!(28)));
    assert!(words(&view["difference"]).starts_with("Flat first gives"));
    let (_, large) = server.post("/api/courses/1/bench", ask(json!({ "thickness": 40, "width": 40 }))).await;
    assert_eq!(large["ways"][0]["pieces"], 0);
    assert!(words(&large["nothing_fits"]).contains("the largest square that does is"), "{large}");
    for (wrong, pointer) in [
        (json!({ "success": 0 }), "/success"),
        (json!({ "good": 0 }), "/good"),
        (json!({ "thickness": 0 }), "/thickness"),
        (json!({ "food": "stone" }), "/food"),
        (json!({ "errors": { "lean_degrees": 80 } }), "/errors/lean_degrees"),
        (json!({ "shape": { "kind": "cylinder", "diameter": 30, "length": 100 } }), "/shape/kind"),
    ] {
        let (status, problem) = server.post("/api/courses/1/bench", ask(wrong)).await;
        assert_eq!(
            (status, &problem["problems"][0]["pointer"]),
            (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)),
            "{problem}"
        );
    }
    let onion = |layers: u8, depth: f64| json!({ "radius": 40, "layers": layers, "cuts": 9, "method": { "kind": "below", "depth": depth }, "size": 6.35 });
    let (status, found) = server.post("/api/bench/onion", onion(8, 0.5)).await;
    assert_eq!(status, StatusCode::OK, "{found}");
    assert_eq!(found["grades"].as_array().unwrap().len(), found["section"]["cells"].as_array().unwrap().len());
    for (layers, depth, pointer) in
        [(60, 0.5, "/layers"), (0, 0.5, "/layers"), (8, 0.0, "/method/depth"), (8, 101.0, "/method/depth")]
    {
        let (status, problem) = server.post("/api/bench/onion", onion(layers, depth)).await;
        assert_eq!(
            (status, &problem["problems"][0]["pointer"]),
            (StatusCode::UNPROCESSABLE_ENTITY, &json!(pointer)),
            "{problem}"
        );
    }
    let choose =
        json!({ "wanted": { "radius": 40, "layers": 8, "size": 6.35 }, "limits": { "strokes": 20, "no_level_cut": true } });
    let (status, choice) = server.post("/api/bench/onion/choose", choose).await;
    assert_eq!(status, StatusCode::OK);
    assert!(choice["found"][0]["strokes"].as_u64().unwrap() <= 20, "{choice}");
}

#[tokio::test]
async fn cuts_and_onions_stand_beside_each_other_and_wrong_ones_are_told_at_their_place() {
    let server = Server::new(None);
    let cut = |food: &str, good: i64| json!({ "food": food, "cut": "batonnet", "good": good, "success": 0.8 });
    let (status, found) =
        server.post("/api/courses/1/bench/beside", json!({ "cuts": [cut("carrot", 20), cut("potato", 20)] })).await;
    assert_eq!((status, found["cuts"].as_array().unwrap().len()), (StatusCode::OK, 2), "{found}");
    assert!(words(&found["differences"][0]).starts_with("Batonnet of potato"), "{found}");
    for (cuts, pointer) in [
        (json!([cut("carrot", 20)]), "/cuts"),
        (json!([cut("carrot", 20), cut("potato", 0)]), "/cuts/1/good"),
        (json!([cut("granite", 20), cut("potato", 20)]), "/cuts/0/food"),
    ] {
        let (status, problem) = server.post("/api/courses/1/bench/beside", json!({ "cuts": cuts })).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], pointer, "{problem}");
    }
    assert_eq!(server.post("/api/courses/99/bench/beside", json!({ "cuts": [] })).await.0, StatusCode::NOT_FOUND);
    let onion = |method: Value| json!({ "radius": 40, "layers": 8, "cuts": 9, "method": method, "size": 6.35 });
    let both = json!({ "onions": [onion(json!({ "kind": "verticals" })), onion(json!({ "kind": "level", "level": 1 }))] });
    let (status, found) = server.post("/api/bench/onion/beside", both).await;
    assert_eq!(status, StatusCode::OK, "{found}");
    assert!(words(&found["differences"][0]).contains("1 more towards the guide hand"), "{found}");
    let one = json!({ "onions": [onion(json!({ "kind": "verticals" }))] });
    let (status, problem) = server.post("/api/bench/onion/beside", one).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/onions")));
}

#[tokio::test]
async fn a_measured_food_an_uneven_onion_and_a_leek_are_taken_or_refused_at_their_field() {
    let server = Server::new(None);
    let ask = |more: Value| {
        let mut asked = json!({ "food": "potato", "cut": "medium_dice", "good": 20, "success": 0.8 });
        asked.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        asked
    };
    let shape = json!({ "kind": "ellipsoid", "length": 120, "width": 80, "height": 70 });
    let (_, plain) = server.post("/api/courses/1/bench", ask(json!({}))).await;
    let (status, large) = server.post("/api/courses/1/bench", ask(json!({ "shape": shape, "peel": 1.2, "price": 3 }))).await;
    assert_eq!(status, StatusCode::OK, "{large}");
    let pieces = |view: &Value| view["ways"][0]["pieces"].as_u64().unwrap();
    assert!(pieces(&large) > pieces(&plain));
    assert!(large["ways"][0]["cost_class"].as_f64().unwrap() > 0.0 && large["ways"][0]["peel_grams"].as_f64().unwrap() > 0.0);
    for (wrong, pointer) in [
        (json!({ "peel": 19 }), "/peel"),
        (json!({ "price": 5000 }), "/price"),
        (json!({ "wedges": 5 }), "/wedges"),
        (json!({ "shape": { "kind": "ball", "diameter": 60, "core": null } }), "/shape/kind"),
        (json!({ "knife_type": "chefs", "knife_length": 99 }), "/knife_type"),
        (json!({ "errors": { "step_cv": 3 } }), "/errors/step_cv"),
    ] {
        let (status, problem) = server.post("/api/courses/1/bench", ask(wrong)).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], pointer, "{problem}");
    }
    let onion = |more: Value| {
        let mut asked =
            json!({ "radius": 18, "layers": 6, "cuts": 5, "method": { "kind": "verticals" }, "size": 10, "length": 200 });
        asked.as_object_mut().unwrap().extend(more.as_object().unwrap().clone());
        asked
    };
    let (status, leek) = server.post("/api/bench/onion", onion(json!({ "uneven": 0.2 }))).await;
    assert_eq!((status, leek["ball"]["slabs"].as_u64()), (StatusCode::OK, Some(20)), "{leek}");
    let (_, placed) = server.post("/api/bench/onion", onion(json!({ "places": [0.3, 0.6] }))).await;
    assert_eq!(placed["places"], json!([0.3, 0.6]));
    for (wrong, pointer) in [
        (json!({ "places": [0.6, 0.3] }), "/places"),
        (json!({ "uneven": 2 }), "/uneven"),
        (json!({ "length": 4 }), "/length"),
        (json!({ "radius": 500 }), "/radius"),
        (json!({ "size": 0.1 }), "/size"),
    ] {
        let (status, problem) = server.post("/api/bench/onion", onion(wrong)).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], pointer, "{problem}");
    }
}

#[tokio::test]
async fn a_judged_sample_names_the_likeliest_cause_or_says_that_it_is_unclear() {
    let server = Server::new(None);
    let started = json!({ "student_id": 11, "exercise_id": 11, "knife_id": 12 });
    let (status, attempt) = server.attempt(5, started).await;
    assert_eq!(status, StatusCode::CREATED, "{attempt}");
    let attempt = attempt["id"].as_i64().unwrap();
    let judge = async |text: &str| {
        let asked = json!({ "text": text, "custom": "blind_ten" });
        server.post(&format!("/api/attempts/{attempt}/judge"), asked).await.1["verdict"].clone()
    };
    let thick = judge("4.9 3.2\n5.0 3.1\n4.8 3.3\n4.9 3.2\n5.1 3.2\n4.9 3.3").await;
    assert_eq!(thick["causes"]["likely"][0]["cause"], "planks_too_thick", "{thick}");
    assert_eq!(thick["causes"]["clear"], true);
    let few = judge("4.9 3.2\n5.0 3.1").await;
    assert_eq!(few["causes"]["clear"], false);
    assert!(few["causes"]["words"].as_str().unwrap().starts_with("Unclear"), "{few}");
}
