//! The API through the router: what it answers, refuses, and protects.

use std::sync::Arc;

use crate::common::{Server, read};
use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use serde_json::{Value, json};

fn carrot(motion: &str, knife: &str, length: u16) -> Value {
    json!({
        "food": "carrot", "cut": "julienne", "knife_type": knife, "knife_length": length, "grip": "pinch", "hold": "claw",
        "motion": motion, "third": "heel", "amount": { "kind": "pieces", "count": 40 }, "own_minutes": null
    })
}

#[tokio::test]
async fn every_reading_route_answers_on_the_demo_school() {
    let server = Server::new(None);
    for path in [
        "/api/about",
        "/api/catalogue",
        "/api/courses",
        "/api/courses/1",
        "/api/rack",
        "/api/rack?course=1&hand_length=165&hand=left",
        "/api/rack/12/care?course=1&degrees=20&spine=2.5&food=cabbage",
        "/api/rack/32/care",
        "/api/lessons/5/check",
        "/api/lessons/5/count",
        "/api/courses/1/playbook",
        "/api/courses/1/playbook?food=potato",
        "/api/courses/1/playbook?food=onion&knives=types&student=1",
        "/api/courses/1/kit",
        "/api/own",
        "/api/lessons/5/plan",
        "/api/lessons/5/class",
        "/api/lessons/5/class?exercise=11",
        "/api/courses/1/yard",
        "/api/courses/2/yard",
        "/api/students/4/evidence",
        "/api/openapi.json",
    ] {
        let (status, body) = server.get(path).await;
        assert_eq!(status, StatusCode::OK, "{path}");
        assert!(!body.is_null(), "{path}");
    }
}

#[tokio::test]
async fn a_lesson_is_planned_taught_measured_and_judged() {
    let server = Server::new(None);
    let lesson = server.empty_lesson().await;
    let (status, plan) = server.post(&format!("/api/lessons/{lesson}/exercises"), carrot("push", "flat_chefs", 210)).await;
    assert_eq!(status, StatusCode::CREATED);
    let exercise = plan["exercises"][0]["exercise"]["id"].as_i64().unwrap();
    assert_eq!(plan["exercises"][0]["advice"]["figures"]["pieces_per_unit"], 62);
    let practised = plan["time_rule"]["segments"].as_array().unwrap().iter().any(|s| s["exercise_id"] == exercise);
    assert!(practised, "the exercise has its practice on the rule");

    let (status, attempt) = server.attempt(lesson, json!({ "student_id": 11, "exercise_id": exercise, "knife_id": 12 })).await;
    assert_eq!(status, StatusCode::CREATED);
    let id = attempt["id"].as_i64().unwrap();
    server.stop(lesson, 11).await;
    for what in [json!({ "kind": "grip" }), json!({ "kind": "hold" }), json!({ "kind": "fault", "fault": "loose_grip" })] {
        assert_eq!(server.mark(lesson, 11, what).await.0, StatusCode::CREATED);
    }
    let sample = json!({ "custom": "blind_ten", "text": "3.1 3.3 50\n1/8 3.2 2in" });
    let (_, judged) = server.post(&format!("/api/attempts/{id}/judge"), sample.clone()).await;
    assert_eq!(judged["verdict"]["inside"]["count"], 2);
    let (status, kept) = server.post(&format!("/api/attempts/{id}/samples"), sample).await;
    assert_eq!((status, &kept["samples"][0]["verdict"]), (StatusCode::CREATED, &judged["verdict"]));
    let (_, evidence) = server.get("/api/students/11/evidence").await;
    assert_eq!(evidence["attempts"][0]["id"], id);
}

#[tokio::test]
async fn an_exercise_of_its_own_size_is_planned_and_judged_by_it() {
    let server = Server::new(None);
    let lesson = server.empty_lesson().await;
    let mut own = carrot("push", "flat_chefs", 210);
    own["making"] = json!({ "thickness": 5, "width": 5, "way": "flat_first" });
    let (status, plan) = server.post(&format!("/api/lessons/{lesson}/exercises"), own.clone()).await;
    assert_eq!(status, StatusCode::CREATED, "{plan}");
    let planned = &plan["exercises"][0];
    assert_eq!(planned["advice"]["target"]["thickness"]["size"], 5.0);
    assert_eq!(planned["exercise"]["making"]["way"], "flat_first");
    let squared = json!({ "thickness": 5, "width": 5 });
    own["making"] = squared;
    let (_, beside) = server.post(&format!("/api/lessons/{lesson}/exercises"), own.clone()).await;
    let pieces = |of: &Value| of["advice"]["figures"]["pieces_per_unit"].as_u64().unwrap();
    assert!(pieces(&beside["exercises"][0]) > pieces(&beside["exercises"][1]), "flat first against squared");

    let exercise = planned["exercise"]["id"].as_i64().unwrap();
    let (_, attempt) = server.attempt(lesson, json!({ "student_id": 11, "exercise_id": exercise, "knife_id": 12 })).await;
    let sample = |text: &str| json!({ "custom": "blind_ten", "text": text });
    let url = format!("/api/attempts/{}/judge", attempt["id"]);
    assert_eq!(server.post(&url, sample("5 5 50")).await.1["verdict"]["inside"]["count"], 1);
    assert_eq!(server.post(&url, sample("3.2 3.2 50")).await.1["verdict"]["inside"]["count"], 0);

    for (making, pointer) in [
        (json!({ "thickness": 0.1 }), "/making/thickness"),
        (json!({ "length": 5000 }), "/making/length"),
        (json!({ "way": "sideways" }), "/making/way"),
        (json!({ "sizes": 3 }), "/making"),
    ] {
        own["making"] = making;
        let (status, problem) = server.post(&format!("/api/lessons/{lesson}/exercises"), own.clone()).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["problems"][0]["pointer"].as_str().unwrap().starts_with(pointer), "{problem}");
    }
    assert_eq!(server.get(&format!("/api/lessons/{lesson}/plan")).await.1["exercises"].as_array().unwrap().len(), 2);
}

#[tokio::test]
async fn a_past_judgement_keeps_its_figures_when_the_course_changes() {
    let server = Server::new(None);
    let (_, before) = server.get("/api/students/11/evidence").await;
    let (_, view) = server.get("/api/courses/1").await;
    let mut fields = view["course"].clone();
    fields["tolerance"] = json!("exam");
    fields["standard_set"] = json!("metric");
    let (status, _) = server.put("/api/courses/1", json!({ "version": 1, "fields": fields })).await;
    assert_eq!(status, StatusCode::OK);
    let (_, after) = server.get("/api/students/11/evidence").await;
    assert_eq!(before["attempts"], after["attempts"]);
}

#[tokio::test]
async fn a_refused_setup_names_field_and_reason_and_nothing_is_kept() {
    let server = Server::new(None);
    let lesson = server.empty_lesson().await;
    for (body, pointer, words) in [
        (carrot("saw", "bread", 230), "/knife_type", "skate"),
        (carrot("pull", "paring", 90), "/knife_type", "force on the board"),
        (carrot("saw", "flat_chefs", 210), "/motion", "plain edge is not sawn"),
        (carrot("push", "cleaver", 999), "/knife_type", "is not on the rack"),
        (
            json!({ "food": "cabbage", "cut": "wedges", "knife_type": "santoku", "knife_length": 165, "grip": "pinch", "hold": "claw", "motion": "tap",
                 "third": "middle", "amount": { "kind": "units", "count": 1 }, "own_minutes": null }),
            "/motion",
            "80 mm high",
        ),
    ] {
        let (status, problem) = server.post(&format!("/api/lessons/{lesson}/exercises"), body).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        let found = problem["problems"]
            .as_array()
            .unwrap()
            .iter()
            .any(|p| p["pointer"] == pointer && p["message"].as_str().unwrap().contains(words));
        assert!(found, "{pointer} {words}: {problem}");
    }
    assert_eq!(server.get(&format!("/api/lessons/{lesson}/plan")).await.1["exercises"], json!([]));
}

#[tokio::test]
async fn bad_fields_are_named_with_value_and_what_is_allowed() {
    let server = Server::new(None);
    let knife = |change: (&str, Value)| {
        let mut fields = json!({ "number": "99", "knife_type": "birds_beak", "length": 70, "heel_height": 18, "hand": null, "edge_state": "sharp", "note": "" });
        fields[change.0] = change.1;
        fields
    };
    for (change, pointer, allowed) in [
        (("length", json!(300)), "/length", "60 to 75 mm"),
        (("number", json!("1")), "/number", "a number that no other knife has"),
        (("number", json!("")), "/number", "1 to 12 characters"),
        (("knife_type", json!("sword")), "/knife_type", "chefs"),
        (("heel_height", json!(0)), "/heel_height", "8 to 120 mm"),
        (("length", json!(-1)), "/length", "right kind"),
        (("length", json!("long")), "/length", "right kind"),
        (("length", json!(null)), "/length", "right kind"),
        (("edge_state", json!("bent")), "/edge_state", "right kind"),
    ] {
        let (status, problem) = server.post("/api/rack", knife(change.clone())).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{change:?}");
        let first = &problem["problems"][0];
        assert_eq!(first["pointer"], pointer, "{problem}");
        assert!(first["allowed"].as_str().unwrap().contains(allowed), "{problem}");
    }
}

#[tokio::test]
async fn bodies_that_cannot_be_read_have_their_own_answers() {
    let server = Server::new(None);
    let json_kind = "application/json";
    let cases: [(&str, Vec<u8>, StatusCode, &str); 5] = [
        ("text/plain", b"{}".to_vec(), StatusCode::BAD_REQUEST, "content type"),
        (json_kind, b"{\"number\": \"".to_vec(), StatusCode::BAD_REQUEST, "line 1"),
        (json_kind, vec![b'{', b'"', 0xff, 0xfe, b'"', b'}'], StatusCode::BAD_REQUEST, "UTF-8 from byte 2"),
        (json_kind, vec![b' '; 300 * 1024], StatusCode::PAYLOAD_TOO_LARGE, "256 kB"),
        (json_kind, b"[1]".to_vec(), StatusCode::UNPROCESSABLE_ENTITY, ""),
    ];
    for (kind, body, expected, words) in cases {
        let (status, problem) = server.raw(Method::POST, "/api/rack", kind, body).await;
        assert_eq!(status, expected, "{problem}");
        assert!(problem["detail"].as_str().unwrap().contains(words), "{problem}");
    }
}

#[tokio::test]
async fn unknown_addresses_ids_and_methods_are_told_as_problems() {
    let server = Server::new(None);
    for path in ["/api/nothing", "/api/lessons/99/plan", "/api/courses/abc", "/api/students/99/evidence", "/assets/none.js"] {
        assert_eq!(server.get(path).await.0, StatusCode::NOT_FOUND, "{path}");
    }
    assert_eq!(server.raw(Method::PATCH, "/api/rack", "", Body::empty()).await.0, StatusCode::METHOD_NOT_ALLOWED);
}

#[tokio::test]
async fn stale_edits_and_removed_students_are_conflicts_with_words() {
    let server = Server::new(None);
    let (_, view) = server.get("/api/courses/1").await;
    let student = &view["students"][0];
    assert_eq!(server.put("/api/students/1", json!({ "version": 1, "fields": student })).await.0, StatusCode::OK);
    let (status, problem) = server.put("/api/students/1", json!({ "version": 1, "fields": student })).await;
    assert_eq!((status, problem["type"].as_str()), (StatusCode::CONFLICT, Some("/problems/conflict")));
    assert_eq!(server.post("/api/students/1/archive", json!({ "version": 2, "archived": true })).await.0, StatusCode::OK);
    assert_eq!(server.start(1, 12).await.0, StatusCode::GONE);
    assert_eq!(server.get("/api/students/1/evidence").await.0, StatusCode::GONE);
}

#[tokio::test]
async fn a_knife_is_handed_out_only_where_it_may_be() {
    let server = Server::new(None);
    for (student, knife, words) in [
        (13, 12, "longer than this student is cleared for"),
        (11, 7, "failed its edge test"),
        (11, 37, "needs the special clearance"),
    ] {
        let (status, problem) = server.start(student, knife).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(problem["detail"].as_str().unwrap().contains(words), "{problem}");
        assert_eq!(problem["problems"][0]["pointer"], "/knife_id");
    }
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED);
    assert_eq!(server.start(11, 13).await.0, StatusCode::CONFLICT, "one attempt at a time");
    assert_eq!(server.start(2, 12).await.0, StatusCode::CONFLICT, "one student a knife");
}

#[tokio::test]
async fn a_stop_fault_stops_the_attempt_in_the_same_moment() {
    let server = Server::new(None);
    server.start(11, 12).await;
    let (_, marked) = server.mark(5, 11, json!({ "kind": "fault", "fault": "fingertip_ahead" })).await;
    assert_eq!(marked["stopped_at"], marked["made"][0]["at"]);
    let (_, class) = server.get("/api/lessons/5/class").await;
    let station = class["stations"].as_array().unwrap().iter().find(|s| s["student"]["id"] == 11).unwrap();
    assert_eq!(station["stop"]["what"]["fault"], "fingertip_ahead");
    let (status, problem) = server.start(11, 12).await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert!(problem["detail"].as_str().unwrap().contains("is paused after a Stop fault"), "{problem}");
    assert_eq!(server.mark(5, 11, json!({ "kind": "cleared" })).await.0, StatusCode::CREATED);
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED, "looked at together, the student goes on");
    let (status, problem) = server.mark(5, 11, json!({ "kind": "fault", "fault": "juggling" })).await;
    assert_eq!((status, problem["problems"][0]["pointer"].as_str()), (StatusCode::UNPROCESSABLE_ENTITY, Some("/what/fault")));
}

#[tokio::test]
async fn changes_from_other_sites_and_other_host_names_are_refused() {
    let server = Server::new(None);
    let request = |host: &str, site: Option<&str>, origin: Option<&str>| {
        let mut request = Request::builder()
            .method(Method::POST)
            .uri("/api/rack")
            .header(header::HOST, host)
            .header(header::CONTENT_TYPE, "application/json");
        if let Some(site) = site {
            request = request.header("sec-fetch-site", site);
        }
        if let Some(origin) = origin {
            request = request.header(header::ORIGIN, origin);
        }
        request.body(Body::from("{}")).unwrap()
    };
    for (host, site, origin, expected) in [
        ("localhost:7411", Some("cross-site"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", Some("same-site"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", None, Some("http://elsewhere.example"), StatusCode::FORBIDDEN),
        ("elsewhere.example", Some("same-origin"), None, StatusCode::FORBIDDEN),
        ("localhost:7411", Some("same-origin"), None, StatusCode::UNPROCESSABLE_ENTITY),
        ("[::1]:7411", None, Some("http://[::1]:7411"), StatusCode::UNPROCESSABLE_ENTITY),
    ] {
        assert_eq!(read(server.send(request(host, site, origin)).await).await.0, expected, "{host} {site:?} {origin:?}");
    }
}

#[tokio::test]
async fn every_answer_has_the_security_headers() {
    let server = Server::new(None);
    for path in ["/api/about", "/api/nothing", "/"] {
        let request = Request::builder().uri(path).header(header::HOST, "localhost").body(Body::empty()).unwrap();
        let headers = server.send(request).await.headers().clone();
        for name in
            ["x-content-type-options", "content-security-policy", "referrer-policy", "x-frame-options", "permissions-policy"]
        {
            assert!(headers.contains_key(name), "{path} lacks {name}");
        }
    }
}

#[tokio::test]
async fn with_a_passphrase_everything_but_signing_in_needs_it() {
    let server = Server::new(Some("lantern on the quay"));
    assert_eq!(server.get("/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(server.get("/api/courses/1").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(server.get("/api/about").await.1["signed_in"], false);
    assert_eq!(server.post("/api/sign-in", json!({ "passphrase": "guess" })).await.0, StatusCode::UNAUTHORIZED);
    let sign_in = |passphrase: &str| {
        Request::builder()
            .method(Method::POST)
            .uri("/api/sign-in")
            .header(header::HOST, "localhost")
            .header(header::CONTENT_TYPE, "application/json")
            .body(Body::from(json!({ "passphrase": passphrase }).to_string()))
            .unwrap()
    };
    let response = server.send(sign_in("lantern on the quay")).await;
    assert_eq!(response.status(), StatusCode::NO_CONTENT);
    let cookie = response.headers()[header::SET_COOKIE].to_str().unwrap().to_owned();
    assert!(cookie.contains("HttpOnly") && cookie.contains("SameSite=Strict"), "{cookie}");
    let token = cookie.split(';').next().unwrap().to_owned();
    let with_cookie = |method: Method, path: &str| {
        Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::COOKIE, &token)
            .body(Body::empty())
            .unwrap()
    };
    assert_eq!(server.send(with_cookie(Method::GET, "/api/rack")).await.status(), StatusCode::OK);
    assert_eq!(server.send(with_cookie(Method::DELETE, "/api/sign-in")).await.status(), StatusCode::NO_CONTENT);
    assert_eq!(server.send(with_cookie(Method::GET, "/api/rack")).await.status(), StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn twenty_clients_at_once_are_all_answered() {
    let server = Arc::new(Server::new(None));
    let tasks: Vec<_> = (0..20)
        .map(|index| {
            let server = server.clone();
            tokio::spawn(async move {
                let (status, _) = server.post("/api/rack", json!({ "number": format!("t{index}"), "knife_type": "paring", "length": 90, "heel_height": 20, "hand": null, "edge_state": "sharp", "note": "" })).await;
                (status, server.get("/api/courses/1/yard").await.0)
            })
        })
        .collect();
    for task in tasks {
        assert_eq!(task.await.unwrap(), (StatusCode::CREATED, StatusCode::OK));
    }
    assert_eq!(server.get("/api/rack").await.1["count"], 52 + 20);
}
