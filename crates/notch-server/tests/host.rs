//! Many schools on one host: each by its own address, none beside another.

use std::path::Path;
use std::time::Duration;

use axum::Router;
use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use http_body_util::BodyExt;
use jiff::Timestamp;
use notch_core::catalogue::Catalogue;
use notch_core::school::{SchoolCard, SchoolLimits, SchoolName, Standing};
use notch_server::{Host, Reach, hash_passphrase, host_router, watched_host};
use notch_store::{Schools, ServingLock, Store, StoreError, Writer};
use serde_json::{Value, json};
use tempfile::TempDir;
use tower::ServiceExt;

use crate::common::{Server, read};
use crate::every_route::routes;

const PASSPHRASE: &str = "lantern on the quay";

struct Hosted {
    folder: TempDir,
    host: Host,
    router: Router,
}

fn name(text: &str) -> SchoolName {
    text.parse().unwrap()
}

/// A school whose instructor has a passphrase, with the demo's records if asked.
fn add(schools: &Schools, school: &str, card: &SchoolCard, demo: bool) {
    let catalogue = Catalogue::shipped().unwrap();
    let hash = hash_passphrase(PASSPHRASE).unwrap();
    let set = |writer: &Writer<'_>| writer.set_passphrase(writer.instructor_named("Instructor")?.id, &hash);
    schools.add(&name(school), card, |store| store.write::<_, StoreError>(set)).unwrap();
    if demo {
        notch_demo::fill(&Store::open(&schools.data(&name(school))).unwrap(), &catalogue).unwrap();
    }
}

fn host_on(folder: &Path) -> Host {
    let schools = Schools::in_folder(folder).unwrap();
    let reach = Reach { of_many: true, ..Reach::default() };
    Host::new(schools, &Catalogue::shipped().unwrap(), reach, Duration::from_secs(600)).unwrap()
}

impl Hosted {
    /// `full` has the demo's records, `bare` none.
    fn new() -> Hosted {
        let folder = TempDir::new().unwrap();
        let schools = Schools::in_folder(folder.path()).unwrap();
        let often = SchoolLimits { requests_a_second: 100_000, ..SchoolLimits::default() };
        add(&schools, "full", &SchoolCard { limits: often, ..SchoolCard::default() }, true);
        add(&schools, "bare", &SchoolCard { limits: often, ..SchoolCard::default() }, false);
        let host = host_on(folder.path());
        Hosted { router: host_router(host.clone()), host, folder }
    }

    fn schools(&self) -> Schools {
        Schools::in_folder(self.folder.path()).unwrap()
    }

    async fn send(&self, request: Request<Body>) -> axum::response::Response {
        self.router.clone().oneshot(request).await.unwrap()
    }

    async fn ask(&self, method: Method, path: &str, cookie: &str, body: &Value) -> (StatusCode, Value) {
        let request = Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "schools.example.org")
            .header(header::COOKIE, cookie)
            .header(header::CONTENT_TYPE, "application/json");
        read(self.send(request.body(Body::from(body.to_string())).unwrap()).await).await
    }

    async fn get(&self, path: &str, cookie: &str) -> (StatusCode, Value) {
        self.ask(Method::GET, path, cookie, &Value::Null).await
    }

    /// Signs in, and returns the cookie with what a browser would do with it.
    async fn signed_in(&self, school: &str) -> (String, String) {
        let request = Request::builder()
            .method(Method::POST)
            .uri(format!("/s/{school}/api/sign-in"))
            .header(header::HOST, "schools.example.org")
            .header(header::CONTENT_TYPE, "application/json")
            .body(Body::from(json!({ "passphrase": PASSPHRASE }).to_string()))
            .unwrap();
        let response = self.send(request).await;
        assert_eq!(response.status(), StatusCode::NO_CONTENT);
        let set = response.headers().get(header::SET_COOKIE).unwrap().to_str().unwrap();
        let (cookie, rest) = set.split_once(';').unwrap();
        (cookie.to_owned(), rest.to_owned())
    }
}

/// So many of the same at once.
async fn futures<T, F: Future<Output = T>>(count: usize, make: impl Fn() -> F) -> Vec<T> {
    let mut pending: Vec<_> = (0..count).map(|_| Some(Box::pin(make()))).collect();
    let mut done = Vec::new();
    std::future::poll_fn(|context| {
        for slot in &mut pending {
            if let Some(std::task::Poll::Ready(value)) = slot.as_mut().map(|future| future.as_mut().poll(context)) {
                done.push(value);
                *slot = None;
            }
        }
        if pending.iter().all(Option::is_none) { std::task::Poll::Ready(()) } else { std::task::Poll::Pending }
    })
    .await;
    done
}

#[tokio::test]
async fn no_route_tells_or_changes_anything_of_another_school() {
    let hosted = Hosted::new();
    let (of_full, kept) = hosted.signed_in("full").await;
    assert!(kept.contains("Path=/s/full/;"), "a browser sends it to this school alone: {kept}");
    let (of_bare, _) = hosted.signed_in("bare").await;
    let before = hosted.get("/s/full/api/courses/1/yard", &of_full).await;
    assert_eq!(before.0, StatusCode::OK);
    let rack = hosted.get("/s/full/api/rack", &of_full).await.1;
    let server = Server::new(None);
    let mut asked = 0;
    // Every route with ids that the full school has: 1, and 5 for what a first record is none of.
    for id in ["1", "5"] {
        for route in routes(&server, id).await {
            let path = format!("/s/bare{}", route.path);
            let signs = route.path.starts_with("/api/sign-in") || route.path.starts_with("/api/join");
            if signs {
                continue;
            }
            // A session of one school is nothing in another.
            let (status, _) = hosted.ask(route.method.clone(), &path, &of_full, &json!({})).await;
            let open =
                ["/api/about", "/api/openapi.json"].contains(&route.path.as_str()) || route.path.starts_with("/api/calendar");
            assert!(status == StatusCode::UNAUTHORIZED || open, "{} {path}: {status}", route.method);
            // Who is signed in to the one finds nothing of the other by its ids.
            let request = Request::builder()
                .method(route.method.clone())
                .uri(&path)
                .header(header::HOST, "schools.example.org")
                .header(header::COOKIE, &of_bare)
                .header(header::CONTENT_TYPE, "application/json")
                .body(Body::from("{}"))
                .unwrap();
            let mut body = hosted.send(request).await.into_body();
            // One goes on as long as the page is open: its first line says all that it tells of itself.
            let told = match route.path.as_str() {
                "/api/live" => body.frame().await.unwrap().unwrap().into_data().unwrap(),
                _ => body.collect().await.unwrap().to_bytes(),
            };
            let told = String::from_utf8_lossy(&told);
            for of_full in ["Noor Hale", "Maren Oake", "Galley hands", "Lanternfish"] {
                assert!(!told.contains(of_full), "{} {path} tells of {of_full}", route.method);
            }
            asked += 1;
        }
    }
    assert!(asked > 150, "{asked}");
    assert_eq!(hosted.get("/s/full/api/courses/1/yard", &of_full).await, before);
    assert_eq!(hosted.get("/s/full/api/rack", &of_full).await.1, rack);
}

#[tokio::test]
async fn what_is_no_name_leads_nowhere_and_makes_nothing() {
    let hosted = Hosted::new();
    let long = "a".repeat(300);
    for wrong in
        ["..", "%2e%2e", "..%2ffull", "Full", "full%00", "full.", ".arriving-full", "nobody", &long, "%", "full%2f..%2fbare"]
    {
        let (status, problem) = hosted.get(&format!("/s/{wrong}/api/courses"), "").await;
        assert_eq!(status, StatusCode::NOT_FOUND, "{wrong}");
        assert!(problem["detail"].as_str().unwrap().contains("no"), "{problem}");
    }
    let found = std::fs::read_dir(hosted.folder.path()).unwrap().count();
    assert_eq!(found, 2, "nothing but the two schools");
    assert_eq!(hosted.get("/api/courses", "").await.0, StatusCode::NOT_FOUND, "no school's");
    assert_eq!(hosted.get("/s/full", "").await.0, StatusCode::PERMANENT_REDIRECT);
}

#[tokio::test]
async fn a_school_that_nobody_signs_in_to_yet_is_shut_until_its_link_is_taken() {
    let hosted = Hosted::new();
    let invitation = notch_server::new_invitation().unwrap();
    let invite = |store: &Store| {
        store.write(|writer| writer.invite(writer.instructor_named("Ode")?.id, &invitation.kept, invitation.until))
    };
    hosted.schools().add(&name("new"), &SchoolCard::default(), invite).unwrap();
    assert_eq!(hosted.get("/s/new/api/courses", "").await.0, StatusCode::UNAUTHORIZED);
    let first = json!({ "name": "Me", "passphrase": PASSPHRASE });
    assert_eq!(hosted.ask(Method::POST, "/s/new/api/staff/first", "", &first).await.0, StatusCode::UNAUTHORIZED);
    let link = format!("/s/new/api{}", invitation.path);
    // The link of one school is none in another.
    assert_eq!(hosted.get(&link.replace("/s/new/", "/s/bare/"), "").await.0, StatusCode::NOT_FOUND);
    assert_eq!(hosted.get(&link, "").await.1["name"], "Ode");
    let taken = json!({ "passphrase": PASSPHRASE });
    assert_eq!(hosted.ask(Method::POST, &link, "", &taken).await.0, StatusCode::NO_CONTENT);
    assert_eq!(hosted.ask(Method::POST, &link, "", &taken).await.0, StatusCode::NOT_FOUND, "once");
}

#[tokio::test]
async fn a_host_name_leads_to_its_school_and_to_no_other() {
    let hosted = Hosted::new();
    let card = SchoolCard { hosts: vec!["galley.example.org".parse().unwrap()], ..SchoolCard::default() };
    add(&hosted.schools(), "galley", &card, false);
    let router = host_router(host_on(hosted.folder.path()));
    let ask = |host: &'static str, path: &'static str| {
        let request = Request::builder().uri(path).header(header::HOST, host).body(Body::empty()).unwrap();
        router.clone().oneshot(request)
    };
    for written in ["galley.example.org", "Galley.Example.org:443"] {
        assert_eq!(ask(written, "/api/courses").await.unwrap().status(), StatusCode::UNAUTHORIZED, "{written}");
    }
    assert_eq!(ask("other.example.org", "/api/courses").await.unwrap().status(), StatusCode::NOT_FOUND);
    let there = ask("schools.example.org:8080", "/s/galley/courses/1?x=1").await.unwrap();
    assert_eq!(there.headers().get(header::LOCATION).unwrap(), "http://galley.example.org:8080/courses/1");
    let taken = hosted.schools().add(&name("second"), &card, |_| Ok(()));
    assert!(taken.unwrap_err().to_string().contains("leads to the school galley already"));
}

#[tokio::test]
async fn nobody_is_let_in_to_what_is_archived_moved_or_held() {
    let hosted = Hosted::new();
    let (cookie, _) = hosted.signed_in("bare").await;
    let schools = hosted.schools();
    let stands = |standing: Standing| schools.set_card(&name("bare"), &SchoolCard { standing, ..SchoolCard::default() }).unwrap();
    schools.archive(&name("bare"), true).unwrap();
    assert_eq!(hosted.get("/s/bare/api/courses", &cookie).await.0, StatusCode::GONE);
    drop(ServingLock::take(&schools.data(&name("bare"))).expect("it is let go of"));
    schools.archive(&name("bare"), false).unwrap();
    assert_eq!(hosted.get("/s/bare/api/courses", &cookie).await.0, StatusCode::OK);
    stands(Standing::Moved { to: Some("https://b.example.org/s/bare/".to_owned()) });
    let request = Request::builder().uri("/s/bare/api/rack?course=1").body(Body::empty()).unwrap();
    let sent = hosted.send(request).await;
    assert_eq!(sent.status(), StatusCode::TEMPORARY_REDIRECT);
    assert_eq!(sent.headers().get(header::LOCATION).unwrap(), "https://b.example.org/s/bare/api/rack?course=1");
    stands(Standing::Moved { to: None });
    assert_eq!(hosted.get("/s/bare/api/courses", &cookie).await.0, StatusCode::SERVICE_UNAVAILABLE);
    // What is asked while it is held waits, and is answered when it no longer is.
    stands(Standing::Held { since: Timestamp::now() });
    let waits = hosted.get("/s/bare/api/courses", &cookie);
    let goes_on = async {
        tokio::time::sleep(Duration::from_millis(200)).await;
        stands(Standing::Open);
    };
    assert_eq!(tokio::join!(waits, goes_on).0.0, StatusCode::OK);
    // Who held it and was killed holds it no longer.
    stands(Standing::Held { since: "2026-01-01T00:00:00Z".parse().unwrap() });
    assert_eq!(hosted.get("/s/bare/api/courses", &cookie).await.0, StatusCode::OK);
}

#[tokio::test]
async fn a_school_takes_no_more_than_it_is_given_and_another_feels_nothing_of_it() {
    let hosted = Hosted::new();
    let (cookie, _) = hosted.signed_in("bare").await;
    let limits = SchoolLimits { most_bytes: 100_000, requests_a_second: 2 };
    hosted.schools().change(&name("bare"), |card| card.limits = limits).unwrap();
    // All at once: what it is given for a moment, what it is given while the others wait, and then no more.
    let told = futures(40, || hosted.get("/s/bare/api/courses", &cookie)).await;
    let count = |status: StatusCode| told.iter().filter(|(found, _)| *found == status).count();
    assert!((20..30).contains(&count(StatusCode::OK)), "{told:?}");
    assert_eq!(count(StatusCode::TOO_MANY_REQUESTS), 40 - count(StatusCode::OK));
    assert_eq!(hosted.get("/s/full/api/about", "").await.0, StatusCode::OK);
    hosted.schools().change(&name("bare"), |card| card.limits.requests_a_second = 1000).unwrap();
    let knife = json!({ "name": "Ida", "role": "assistant" });
    let (status, problem) = hosted.ask(Method::POST, "/s/bare/api/staff", &cookie, &knife).await;
    assert_eq!(status, StatusCode::INSUFFICIENT_STORAGE, "{problem}");
    assert!(problem["detail"].as_str().unwrap().contains("Nothing of this was kept"), "{problem}");
    assert_eq!(hosted.get("/s/bare/api/staff", &cookie).await.1["people"].as_array().map(Vec::len), Some(1));
}

#[tokio::test]
async fn a_school_that_another_host_has_open_is_not_opened_a_second_time() {
    let hosted = Hosted::new();
    assert_eq!(hosted.get("/s/bare/api/about", "").await.0, StatusCode::OK);
    let second = host_router(host_on(hosted.folder.path()));
    let request = Request::builder().uri("/s/bare/api/about").body(Body::empty()).unwrap();
    let (status, problem) = read(second.oneshot(request).await.unwrap()).await;
    assert_eq!(status, StatusCode::SERVICE_UNAVAILABLE);
    assert!(problem["detail"].as_str().unwrap().contains("Another server has this school open"), "{problem}");
}

#[tokio::test]
async fn who_runs_the_host_sees_first_what_needs_somebody() {
    let hosted = Hosted::new();
    let damaged = hosted.folder.path().join("damaged");
    std::fs::create_dir(&damaged).unwrap();
    std::fs::write(damaged.join("yard-notch.db"), vec![7; 5000]).unwrap();
    let card = json!({ "title": "<b>Old</b> customs house" });
    std::fs::write(damaged.join("school.json"), card.to_string()).unwrap();
    let (status, problem) = hosted.get("/s/damaged/api/about", "").await;
    assert_eq!(status, StatusCode::SERVICE_UNAVAILABLE);
    assert!(!problem["detail"].as_str().unwrap().contains("yard-notch.db"), "no path is told to who asks: {problem}");
    assert_eq!(hosted.get("/s/bare/api/about", "").await.0, StatusCode::OK);
    let watched = |path: &'static str| {
        let routes = watched_host(hosted.host.clone());
        async move {
            let response = routes.oneshot(Request::builder().uri(path).body(Body::empty()).unwrap()).await.unwrap();
            String::from_utf8(response.into_body().collect().await.unwrap().to_bytes().to_vec()).unwrap()
        }
    };
    let page = watched("/").await;
    let at = |words: &str| page.find(words).unwrap_or_else(|| panic!("{words} in {page}"));
    assert!(at("is damaged or is no database") < at("/s/bare/"));
    assert!(page.contains("3 schools, 1 open now") && page.contains("1 needs you"), "{page}");
    assert!(page.contains("&lt;b&gt;Old&lt;/b&gt; customs house"));
    let found = watched("/?find=customs").await;
    assert!(found.contains("customs house") && !found.contains("/s/bare/"));
    let listed: Value = serde_json::from_str(&watched("/schools.json").await).unwrap();
    assert_eq!(listed.as_array().map(Vec::len), Some(3));
    assert!(watched("/metrics").await.contains("yard_notch_schools_needing_somebody 1"));
    assert_eq!(watched("/readyz").await, "ready\n");
}

#[tokio::test]
async fn a_page_says_which_school_it_is_of() {
    let hosted = Hosted::new();
    let request = Request::builder().uri("/s/bare/courses/1/yard").body(Body::empty()).unwrap();
    let page = hosted.send(request).await;
    let page = String::from_utf8(page.into_body().collect().await.unwrap().to_bytes().to_vec()).unwrap();
    if page.contains("<html") {
        assert!(page.contains(r#"content="/s/bare""#) && page.contains(r#""/s/bare/manifest.webmanifest""#), "{page}");
        assert!(!page.contains("__SCHOOL__"));
    }
}
