//! People who work here: who may what, how one signs in, and who changed what.

use std::net::{IpAddr, SocketAddr};
use std::time::Duration;

use crate::common::{Server, read};
use axum::body::Body;
use axum::extract::ConnectInfo;
use axum::http::{Method, Request, StatusCode, header};
use axum::response::Response;
use notch_server::{AppState, Clock, Reach, Settings, hash_passphrase, router};
use notch_store::Store;
use serde_json::{Value, json};
use tower::ServiceExt;

const PASSPHRASE: &str = "lantern on the quay";

/// A browser with its cookies.
#[derive(Clone, Default)]
struct Browser {
    cookies: Vec<(String, String)>,
    address: Option<IpAddr>,
}

impl Browser {
    fn from(address: [u8; 4]) -> Browser {
        Browser { address: Some(IpAddr::from(address)), ..Browser::default() }
    }

    async fn send(&mut self, server: &Server, method: Method, path: &str, body: Value) -> (StatusCode, Value) {
        read(self.answer(&server.router, method, path, body).await).await
    }

    async fn answer(&mut self, router: &axum::Router, method: Method, path: &str, body: Value) -> Response {
        let cookies: Vec<String> = self.cookies.iter().map(|(name, value)| format!("{name}={value}")).collect();
        let mut request = Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::CONTENT_TYPE, "application/json")
            .header(header::COOKIE, cookies.join("; "))
            .body(if body.is_null() { Body::empty() } else { Body::from(body.to_string()) })
            .unwrap();
        if let Some(address) = self.address {
            request.extensions_mut().insert(ConnectInfo(SocketAddr::new(address, 4000)));
        }
        let response = router.clone().oneshot(request).await.unwrap();
        for cookie in response.headers().get_all(header::SET_COOKIE) {
            let (name, value) = cookie.to_str().unwrap().split(';').next().unwrap().split_once('=').unwrap();
            self.cookies.retain(|(each, _)| each != name);
            self.cookies.push((name.to_owned(), value.to_owned()));
        }
        response
    }

    async fn get(&mut self, server: &Server, path: &str) -> (StatusCode, Value) {
        self.send(server, Method::GET, path, Value::Null).await
    }

    async fn sign_in(&mut self, server: &Server, name: Option<&str>, passphrase: &str) -> StatusCode {
        self.send(server, Method::POST, "/api/sign-in", json!({ "name": name, "passphrase": passphrase })).await.0
    }
}

async fn instructor(server: &Server) -> Browser {
    let mut browser = Browser::default();
    assert_eq!(browser.sign_in(server, None, PASSPHRASE).await, StatusCode::NO_CONTENT);
    browser
}

/// Adds somebody and gives the path of the invitation.
async fn invited(server: &Server, by: &mut Browser, name: &str, role: &str) -> String {
    let (status, member) = by.send(server, Method::POST, "/api/staff", json!({ "name": name, "role": role })).await;
    assert_eq!(status, StatusCode::CREATED, "{member}");
    let path = format!("/api/staff/{}/invitation", member["id"]);
    let (status, invitation) = by.send(server, Method::POST, &path, Value::Null).await;
    assert_eq!(status, StatusCode::CREATED, "{invitation}");
    format!("/api{}", invitation["path"].as_str().unwrap())
}

async fn assistant(server: &Server, by: &mut Browser) -> Browser {
    let path = invited(server, by, "Ivo Keel", "assistant").await;
    let mut browser = Browser::default();
    let (status, _) = browser.send(server, Method::POST, &path, json!({ "passphrase": "rope and tackle" })).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    browser
}

#[tokio::test]
async fn an_invitation_is_taken_once_and_the_name_signs_in_from_then_on() {
    let server = Server::new(Some(PASSPHRASE));
    let mut lead = instructor(&server).await;
    let path = invited(&server, &mut lead, "Ivo Keel", "assistant").await;
    let mut browser = Browser::default();
    let (status, told) = browser.get(&server, &path).await;
    assert_eq!((status, told), (StatusCode::OK, json!({ "name": "Ivo Keel", "role": "assistant" })));
    let (status, problem) = browser.send(&server, Method::POST, &path, json!({ "passphrase": "short" })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/passphrase")));
    assert_eq!(browser.send(&server, Method::POST, &path, json!({ "passphrase": "rope and tackle" })).await.0, 204);
    let (_, about) = browser.get(&server, "/api/about").await;
    assert_eq!((&about["who"]["name"], &about["who"]["role"]), (&json!("Ivo Keel"), &json!("assistant")));

    let (status, problem) = Browser::default().send(&server, Method::POST, &path, json!({ "passphrase": "another one!" })).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    assert!(problem["detail"].as_str().unwrap().contains("was used"), "{problem}");
    assert_eq!(Browser::default().get(&server, &path).await.0, StatusCode::NOT_FOUND);

    // Two sign in now: a name is needed, in any case of its letters.
    let mut other = Browser::default();
    assert_eq!(other.get(&server, "/api/about").await.1["names"], json!(true));
    assert_eq!(other.sign_in(&server, None, "rope and tackle").await, StatusCode::UNAUTHORIZED);
    assert_eq!(other.sign_in(&server, Some("Instructor"), "rope and tackle").await, StatusCode::UNAUTHORIZED);
    assert_eq!(other.sign_in(&server, Some("nobody"), "rope and tackle").await, StatusCode::UNAUTHORIZED);
    assert_eq!(other.sign_in(&server, Some(" ivo keel "), "rope and tackle").await, StatusCode::NO_CONTENT);
}

#[tokio::test]
async fn an_invitation_that_ran_out_or_was_made_anew_opens_nothing() {
    let server = Server::new(Some(PASSPHRASE));
    let mut lead = instructor(&server).await;
    let first = invited(&server, &mut lead, "Ivo Keel", "assistant").await;
    let (_, staff) = lead.get(&server, "/api/staff").await;
    let id = staff["people"].as_array().unwrap().iter().find(|each| each["name"] == "Ivo Keel").unwrap()["id"].clone();
    let (_, anew) = lead.send(&server, Method::POST, &format!("/api/staff/{id}/invitation"), Value::Null).await;
    assert_eq!(Browser::default().get(&server, &first).await.0, StatusCode::NOT_FOUND);
    let second = format!("/api{}", anew["path"].as_str().unwrap());
    assert_eq!(Browser::default().get(&server, &second).await.0, StatusCode::OK);
    let file = rusqlite::Connection::open(server.folder().join(notch_store::DATABASE_FILE)).unwrap();
    file.execute("UPDATE staff_invitation SET until = '2020-01-01T00:00:00.000Z'", []).unwrap();
    let (status, _) = Browser::default().send(&server, Method::POST, &second, json!({ "passphrase": "rope and tackle" })).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    let secrets: String = file.query_row("SELECT token_sha256 FROM staff_invitation", [], |row| row.get(0)).unwrap();
    assert!(!second.contains(&secrets), "what is kept opens nothing");
}

/// What an assistant may change, beside the own session and passphrase.
const OF_ASSISTANTS: [&str; 16] = [
    "POST /api/lessons/{id}/briefings",
    "PUT /api/courses/{id}/room",
    "POST /api/rack/{id}/care",
    "POST /api/lessons/{id}/check",
    "POST /api/lessons/{id}/count",
    "POST /api/lessons/{id}/close",
    "POST /api/lessons/{id}/attempts",
    "POST /api/lessons/{id}/stop",
    "POST /api/lessons/{id}/marks",
    "POST /api/lessons/{id}/undo",
    "POST /api/marks/{id}/correct",
    "POST /api/attempts/{id}/samples",
    "POST /api/lessons/{id}/incidents",
    "POST /api/samples/{id}/take-back",
    "POST /api/incidents/{id}/take-back",
    "DELETE /api/made-up",
];

#[tokio::test]
async fn an_assistant_writes_down_the_class_and_is_refused_everything_else() {
    let server = Server::new(Some(PASSPHRASE));
    let mut lead = instructor(&server).await;
    let mut helper = assistant(&server, &mut lead).await;
    let (_, description) = helper.get(&server, "/api/openapi.json").await;
    let (mut refused, mut open) = (0, Vec::new());
    for (path, methods) in description["paths"].as_object().unwrap() {
        for (method, operation) in methods.as_object().unwrap() {
            // A change is what a device gives an id, or what is an instructor's.
            let change = operation["parameters"].as_array().into_iter().flatten().any(|each| each["name"] == "idempotency-key");
            let named = format!("{} {path}", method.to_uppercase());
            if !change && !["POST /api/copies", "POST /api/staff/{id}/invitation", "GET /api/changes"].contains(&named.as_str()) {
                continue;
            }
            let path = path.replace("{id}", "1");
            let method = Method::from_bytes(method.to_uppercase().as_bytes()).unwrap();
            let (status, problem) = helper.send(&server, method, &path, json!({})).await;
            if status == StatusCode::FORBIDDEN {
                assert!(problem["detail"].as_str().unwrap().starts_with("Only an instructor"), "{named}: {problem}");
                refused += 1;
            } else {
                open.push(named);
            }
        }
    }
    open.retain(|route| route != "POST /api/made-up");
    let mut expected = OF_ASSISTANTS.map(str::to_owned).to_vec();
    open.sort();
    expected.sort();
    assert_eq!(open, expected);
    assert!(refused > 35, "{refused}");
    // What a class needs goes through, what plans it does not.
    let tick = json!({ "item": "first_aid", "who": "Ivo", "ticked": true });
    assert_eq!(helper.send(&server, Method::POST, "/api/lessons/5/check", tick).await.0, StatusCode::OK);
    let (_, standards) = helper.get(&server, "/api/own").await;
    let change = json!({ "version": null, "value": { "kind": "cue", "id": "loose_grip", "cue": "Hold it." } });
    assert_eq!(helper.send(&server, Method::POST, "/api/own", change).await.0, StatusCode::FORBIDDEN);
    assert_eq!(helper.get(&server, "/api/own").await.1, standards);
}

#[tokio::test]
async fn sessions_are_listed_outlive_a_restart_and_are_ended() {
    let server = Server::new(Some(PASSPHRASE));
    let mut lead = instructor(&server).await;
    let mut helper = assistant(&server, &mut lead).await;
    let (_, all) = lead.get(&server, "/api/staff").await;
    let (_, own) = helper.get(&server, "/api/staff").await;
    assert_eq!((all["sessions"].as_array().unwrap().len(), own["sessions"].as_array().unwrap().len()), (2, 1));
    assert_eq!((&own["sessions"][0]["name"], &own["sessions"][0]["this"]), (&json!("Ivo Keel"), &json!(true)));
    let session = |told: &Value, name: &str| {
        told["sessions"].as_array().unwrap().iter().find(|each| each["name"] == name).unwrap()["id"].clone()
    };
    let (of_lead, of_helper) = (session(&all, "Instructor"), session(&all, "Ivo Keel"));

    // Another program on the same file: a tablet stays signed in when the program begins again.
    let settings = Settings {
        demo: true,
        beside_own: false,
        made_up: None,
        reach: Reach::default(),
        clock: Clock::demo(notch_demo::evening()),
    };
    let catalogue = notch_core::catalogue::Catalogue::shipped().unwrap();
    let again = router(AppState::new(&catalogue, Store::open(server.folder()).unwrap(), settings));
    assert_eq!(helper.answer(&again, Method::GET, "/api/rack", Value::Null).await.status(), StatusCode::OK);

    let path = format!("/api/sessions/{of_lead}");
    assert_eq!(helper.send(&server, Method::DELETE, &path, Value::Null).await.0, StatusCode::FORBIDDEN);
    let path = format!("/api/sessions/{of_helper}");
    assert_eq!(lead.send(&server, Method::DELETE, &path, Value::Null).await.0, StatusCode::NO_CONTENT);
    assert_eq!(helper.get(&server, "/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(lead.send(&server, Method::DELETE, &path, Value::Null).await.0, StatusCode::NOT_FOUND);
    assert_eq!(lead.get(&server, "/api/rack").await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_passphrase_is_changed_by_who_knows_it_and_ends_the_other_sessions() {
    let server = Server::new(Some(PASSPHRASE));
    let (mut here, mut there) = (instructor(&server).await, instructor(&server).await);
    let change = |current: &str, new: &str| json!({ "current": current, "passphrase": new });
    let (status, problem) =
        here.send(&server, Method::PUT, "/api/me/passphrase", change("not this one", "a lamp on the pier")).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/current")));
    assert_eq!(here.send(&server, Method::PUT, "/api/me/passphrase", change(PASSPHRASE, "short")).await.0, 422);
    assert_eq!(there.get(&server, "/api/rack").await.0, StatusCode::OK);
    assert_eq!(here.send(&server, Method::PUT, "/api/me/passphrase", change(PASSPHRASE, "a lamp on the pier")).await.0, 204);
    assert_eq!(here.get(&server, "/api/rack").await.0, StatusCode::OK);
    assert_eq!(there.get(&server, "/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(there.sign_in(&server, None, PASSPHRASE).await, StatusCode::UNAUTHORIZED);
    assert_eq!(there.sign_in(&server, None, "a lamp on the pier").await, StatusCode::NO_CONTENT);
}

#[tokio::test]
async fn an_instructor_who_can_sign_in_always_remains() {
    let server = Server::new(Some(PASSPHRASE));
    let mut lead = instructor(&server).await;
    let mut helper = assistant(&server, &mut lead).await;
    let demoted = json!({ "version": 1, "fields": { "name": "Instructor", "role": "assistant" } });
    let (status, problem) = lead.send(&server, Method::PUT, "/api/staff/1", demoted.clone()).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{problem}");
    let gone = json!({ "version": 1, "archived": true });
    assert_eq!(lead.send(&server, Method::POST, "/api/staff/1/archive", gone).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    // One who was only invited cannot sign in yet.
    let path = invited(&server, &mut lead, "Ada Strand", "instructor").await;
    assert_eq!(lead.send(&server, Method::PUT, "/api/staff/1", demoted.clone()).await.0, StatusCode::UNPROCESSABLE_ENTITY);
    let mut ada = Browser::default();
    assert_eq!(ada.send(&server, Method::POST, &path, json!({ "passphrase": "three strand rope" })).await.0, 204);
    assert_eq!(lead.send(&server, Method::PUT, "/api/staff/1", demoted).await.0, StatusCode::OK);
    // Who leaves is signed out, and the name is free for somebody else.
    let (_, staff) = ada.get(&server, "/api/staff").await;
    let ivo = staff["people"].as_array().unwrap().iter().find(|each| each["name"] == "Ivo Keel").unwrap();
    let path = format!("/api/staff/{}/archive", ivo["id"]);
    let body = json!({ "version": ivo["version"], "archived": true });
    assert_eq!(ada.send(&server, Method::POST, &path, body).await.0, StatusCode::OK);
    assert_eq!(helper.get(&server, "/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(helper.sign_in(&server, Some("Ivo Keel"), "rope and tackle").await, StatusCode::UNAUTHORIZED);
    let again = json!({ "name": "ivo keel", "role": "assistant" });
    assert_eq!(ada.send(&server, Method::POST, "/api/staff", again.clone()).await.0, StatusCode::CREATED);
    let (status, problem) = ada.send(&server, Method::POST, "/api/staff", again).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/name")));
}

#[tokio::test]
async fn the_first_one_who_signs_in_shuts_nobody_out_and_comes_first() {
    let server = Server::new(None);
    let mut browser = Browser::default();
    let (_, member) = browser.send(&server, Method::POST, "/api/staff", json!({ "name": "Ivo", "role": "assistant" })).await;
    let invitation = format!("/api/staff/{}/invitation", member["id"]);
    let (status, problem) = browser.send(&server, Method::POST, &invitation, Value::Null).await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert!(problem["detail"].as_str().unwrap().contains("shut out"), "{problem}");
    let first = json!({ "name": "Ada Strand", "passphrase": PASSPHRASE });
    assert_eq!(browser.send(&server, Method::POST, "/api/staff/first", first.clone()).await.0, StatusCode::NO_CONTENT);
    assert_eq!(browser.send(&server, Method::POST, &invitation, Value::Null).await.0, StatusCode::CREATED);
    let mut other = Browser::default();
    assert_eq!(other.get(&server, "/api/rack").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(other.send(&server, Method::POST, "/api/staff/first", first).await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(other.sign_in(&server, None, PASSPHRASE).await, StatusCode::NO_CONTENT);
}

#[tokio::test]
async fn what_was_changed_is_told_with_who_changed_it() {
    let server = Server::new(None);
    let mut browser = Browser::default();
    let near_miss = json!({ "student_id": null, "kind": "near_miss", "words": "A cloth slipped." });
    browser.send(&server, Method::POST, "/api/lessons/5/incidents", near_miss.clone()).await;
    assert_eq!(browser.send(&server, Method::PUT, "/api/me/name", json!({ "name": " " })).await.0, 422);
    assert_eq!(browser.send(&server, Method::PUT, "/api/me/name", json!({ "name": "Åda; = Ström" })).await.0, 204);
    assert_eq!(browser.get(&server, "/api/about").await.1["who"]["name"], "Åda; = Ström");
    let (_, student) = browser.get(&server, "/api/courses/1").await;
    let mut fields = student["students"][2].clone();
    let (name, version) = (fields["name"].clone(), fields["version"].clone());
    fields["name"] = json!("Renamed");
    let path = format!("/api/students/{}", fields["id"]);
    let change = json!({ "version": version, "fields": fields });
    assert_eq!(browser.send(&server, Method::PUT, &path, change.clone()).await.0, StatusCode::OK);
    // What is refused is no change, and what is sent twice is one.
    assert_eq!(browser.send(&server, Method::PUT, &path, change).await.0, StatusCode::CONFLICT);
    for _ in 0..2 {
        server.sent(Method::POST, "/api/lessons/5/incidents", "sent-twice", None, &near_miss).await;
    }
    // What is made is told as it is called then.
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED);
    let (_, told) = browser.get(&server, "/api/changes").await;
    let told: Vec<(String, String, String)> = told["changes"]
        .as_array()
        .unwrap()
        .iter()
        .map(|each| ["name", "words", "subject"].map(|field| each[field].as_str().unwrap().to_owned()).into())
        .collect();
    assert_eq!((told[0].1.as_str(), told[0].2.as_str()), ("Started an attempt", "Noor Hale"));
    let told = &told[1..];
    let lesson = told[0].2.clone();
    assert!(lesson.starts_with("Lesson 5, "), "{lesson}");
    let expected = [
        (String::new(), "Wrote down an incident".to_owned(), lesson.clone()),
        ("Åda; = Ström".to_owned(), "Changed the student".to_owned(), name.as_str().unwrap().to_owned()),
        (String::new(), "Wrote down an incident".to_owned(), lesson),
    ];
    assert_eq!(*told, expected);
}

#[tokio::test]
async fn a_long_list_of_changes_is_read_in_parts() {
    let server = Server::new(None);
    for number in 0..60 {
        let tick = json!({ "item": "first_aid", "who": "Mara", "ticked": number % 2 == 0 });
        assert_eq!(server.post("/api/lessons/5/check", tick).await.0, StatusCode::OK);
    }
    let ids = |told: &Value| -> Vec<i64> {
        told["changes"].as_array().unwrap().iter().map(|each| each["id"].as_i64().unwrap()).collect()
    };
    let (_, first) = server.get("/api/changes").await;
    let (first, more) = (ids(&first), first["more"].clone());
    assert_eq!((first.len(), more), (50, json!(true)));
    let (_, rest) = server.get(&format!("/api/changes?before={}", first[49])).await;
    assert_eq!((ids(&rest).len(), &rest["more"]), (10, &json!(false)));
    assert!(ids(&rest).iter().all(|id| *id < first[49]));
    assert_eq!(ids(&server.get("/api/changes?by=7").await.1).len(), 0);
}

#[tokio::test]
async fn ten_thousand_wrong_passphrases_keep_nobody_out() {
    let server = Server::new(Some(PASSPHRASE));
    let known = {
        let mut browser = Browser::from([10, 0, 0, 1]);
        assert_eq!(browser.sign_in(&server, None, PASSPHRASE).await, StatusCode::NO_CONTENT);
        browser.send(&server, Method::DELETE, "/api/sign-in", Value::Null).await;
        browser
    };
    let router = server.router.clone();
    let guessing = tokio::spawn(async move {
        let mut refused = 0;
        for round in 0..100 {
            let guesses = (0..100).map(|number| {
                let (router, mut browser) = (router.clone(), Browser::from([10, 0, 0, 1]));
                let guess = json!({ "name": "Instructor", "passphrase": format!("a guess, {round} {number}") });
                tokio::spawn(async move { browser.answer(&router, Method::POST, "/api/sign-in", guess).await.status() })
            });
            let guesses: Vec<_> = guesses.collect();
            for guess in guesses {
                // One that waits in its line is not waited for.
                match tokio::time::timeout(Duration::from_millis(20), guess).await {
                    Ok(status) => {
                        assert!([401, 429].contains(&status.unwrap().as_u16()));
                        refused += 1;
                    }
                    Err(_) => refused += 1,
                }
            }
        }
        refused
    });
    // Behind the same address as the one who guesses, on a browser that signed in before; and at another address.
    for mut browser in [known, Browser::from([10, 0, 0, 2])] {
        let signed_in = tokio::time::timeout(Duration::from_secs(20), browser.sign_in(&server, None, PASSPHRASE)).await;
        assert_eq!(signed_in.expect("it is not kept waiting"), StatusCode::NO_CONTENT);
    }
    assert_eq!(guessing.await.unwrap(), 10_000);
}

#[test]
fn the_passphrase_of_before_is_the_instructors_now() {
    let folder = tempfile::TempDir::new().unwrap();
    drop(Store::open(folder.path()).unwrap());
    let file = rusqlite::Connection::open(folder.path().join(notch_store::DATABASE_FILE)).unwrap();
    let hash = hash_passphrase(PASSPHRASE).unwrap();
    // Back to the schema of before, with a passphrase as it was kept then.
    file.execute_batch(
        "DROP TABLE change_made; DROP TABLE staff_session; DROP TABLE staff_invitation; DROP TABLE staff_passphrase;
         DROP TABLE staff; DROP TABLE run_step; DROP TABLE mark;
         DROP TABLE briefed; DROP TABLE briefing; DROP TABLE station_place;
         ALTER TABLE course DROP COLUMN briefing_first; ALTER TABLE incident DROP COLUMN place;
         ALTER TABLE incident DROP COLUMN first_aid; ALTER TABLE incident DROP COLUMN aid_by;
         CREATE TABLE attempt_fault (attempt_id INTEGER NOT NULL REFERENCES attempt (id), fault TEXT NOT NULL,
             PRIMARY KEY (attempt_id, fault)) STRICT, WITHOUT ROWID;
         ALTER TABLE attempt ADD COLUMN grip_ticked INTEGER NOT NULL DEFAULT 0;
         ALTER TABLE attempt ADD COLUMN hold_ticked INTEGER NOT NULL DEFAULT 0; PRAGMA user_version = 15;",
    )
    .unwrap();
    file.execute("INSERT INTO setting (key, value) VALUES ('passphrase_argon2id', ?1)", [&hash]).unwrap();
    drop(file);
    let store = Store::open(folder.path()).unwrap();
    let found = store.read(|reader| Ok((reader.staff()?, reader.passphrase_of(None)?))).unwrap();
    assert_eq!((found.0.len(), found.0[0].name.as_str(), found.1), (1, "Instructor", Some((1, hash))));
    let setting = store.read(|reader| reader.setting("passphrase_argon2id")).unwrap();
    assert_eq!(setting, None);
}
