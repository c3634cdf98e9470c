//! What holds for every route of the program's own description, so that none is forgotten.

use crate::common::{Server, read};
use axum::body::Body;
use axum::http::{Method, Request, StatusCode, header};
use serde_json::Value;

/// What can be reached before signing in.
const OPEN: [(&str, &str); 7] = [
    ("GET", "/api/about"),
    ("POST", "/api/sign-in"),
    ("DELETE", "/api/sign-in"),
    ("GET", "/api/openapi.json"),
    ("GET", "/api/calendar/1"),
    ("GET", "/api/join/1"),
    ("POST", "/api/join/1"),
];

pub struct Route {
    pub method: Method,
    pub path: String,
    /// Takes a body.
    pub body: bool,
    /// Has an id or a word in its path.
    names: bool,
}

/// Every route, ids and words of its path filled in.
pub async fn routes(server: &Server, id: &str) -> Vec<Route> {
    let (_, description) = server.get("/api/openapi.json").await;
    let mut found = Vec::new();
    for (path, methods) in description["paths"].as_object().unwrap() {
        let filled: Vec<&str> = path.split('/').map(|part| if part.starts_with('{') { id } else { part }).collect();
        for (method, operation) in methods.as_object().unwrap() {
            let needed: Vec<String> = operation["parameters"]
                .as_array()
                .into_iter()
                .flatten()
                .filter(|each| each["in"] == "query" && each["required"] == true)
                .map(|each| format!("{}=1", each["name"].as_str().unwrap()))
                .collect();
            let query = if needed.is_empty() { String::new() } else { format!("?{}", needed.join("&")) };
            found.push(Route {
                method: Method::from_bytes(method.to_uppercase().as_bytes()).unwrap(),
                path: filled.join("/") + &query,
                body: operation.get("requestBody").is_some(),
                names: path.contains('{'),
            });
        }
    }
    found
}

fn request(route: &Route, body: &'static [u8]) -> axum::http::request::Builder {
    let kind = if body.is_empty() { "" } else { "application/json" };
    Request::builder()
        .method(route.method.clone())
        .uri(&route.path)
        .header(header::HOST, "localhost")
        .header(header::CONTENT_TYPE, kind)
}

async fn answer(server: &Server, route: &Route, body: &'static [u8]) -> (StatusCode, Value) {
    read(server.send(request(route, body).body(Body::from(body)).unwrap()).await).await
}

/// Everything that the school keeps, as the reading routes tell it.
async fn kept(server: &Server) -> Vec<Value> {
    let mut told = Vec::new();
    for path in ["/api/courses/1", "/api/courses/1/yard", "/api/rack", "/api/own", "/api/lessons/5/plan", "/api/lessons/5/count"]
    {
        told.push(server.get(path).await.1);
    }
    told
}

#[tokio::test]
async fn the_description_names_every_route_that_is_tested_here() {
    let server = Server::new(None);
    let found = routes(&server, "1").await;
    assert!(found.len() > 50, "{}", found.len());
    assert!(found.iter().filter(|route| route.body).count() > 20);
    for route in found.iter().filter(|route| route.body) {
        assert_ne!(route.method, Method::GET, "{}", route.path);
    }
}

#[tokio::test]
async fn with_a_passphrase_no_route_but_the_open_ones_answers_before_signing_in() {
    let server = Server::new(Some("lantern on the quay"));
    for route in routes(&Server::new(None), "1").await {
        if OPEN.contains(&(route.method.as_str(), route.path.as_str())) {
            continue;
        }
        let (status, problem) = answer(&server, &route, b"{}").await;
        assert_eq!(status, StatusCode::UNAUTHORIZED, "{} {}", route.method, route.path);
        assert!(problem["detail"].as_str().is_some_and(|words| !words.is_empty()), "{problem}");
    }
}

#[tokio::test]
async fn no_write_is_taken_from_another_site() {
    let server = Server::new(None);
    let before = kept(&server).await;
    for route in routes(&server, "1").await.iter().filter(|route| route.method != Method::GET) {
        for (name, value) in [("sec-fetch-site", "cross-site"), ("origin", "http://elsewhere.example")] {
            let request = request(route, b"{}").header(name, value).body(Body::from("{}")).unwrap();
            let (status, _) = read(server.send(request).await).await;
            assert_eq!(status, StatusCode::FORBIDDEN, "{} {} with {name}", route.method, route.path);
        }
    }
    assert_eq!(kept(&server).await, before);
}

#[tokio::test]
async fn no_body_that_is_wrong_is_half_taken_or_breaks_the_program() {
    let server = Server::new(None);
    let before = kept(&server).await;
    let bodies: [&'static [u8]; 9] = [
        b"{}",
        b"[]",
        b"null",
        b"7",
        b"{\"version\": 1}",
        b"{\"version\": -1, \"fields\": {}}",
        b"{\"version\": 1e400}",
        b"{\"a\":",
        b"{\"text\": \"\xff\xfe\"}",
    ];
    for route in routes(&server, "1").await.iter().filter(|route| route.body) {
        // Signing in is slowed down, which is an answer of its own.
        if route.path == "/api/sign-in" {
            continue;
        }
        for body in bodies {
            let (status, problem) = answer(&server, route, body).await;
            let shown = String::from_utf8_lossy(body);
            assert!(!status.is_server_error(), "{} {} of {shown}: {status}", route.method, route.path);
            if status.is_client_error() {
                for part in ["type", "title", "detail"] {
                    assert!(problem[part].as_str().is_some_and(|words| !words.is_empty()), "{part} of {problem}");
                }
            }
        }
    }
    // A question without a figure of its own may be answered; nothing that is kept has changed.
    assert_eq!(kept(&server).await, before);
}

#[tokio::test]
async fn a_record_that_is_not_there_is_told_and_an_id_that_is_none_is_no_address() {
    let server = Server::new(None);
    for route in routes(&server, "999999").await.iter().filter(|route| route.names && route.method == Method::GET) {
        let (status, problem) = answer(&server, route, b"").await;
        assert_eq!(status, StatusCode::NOT_FOUND, "{}: {problem}", route.path);
        // A secret is not said back.
        let secret = route.path.starts_with("/api/calendar/") || route.path.starts_with("/api/join/");
        assert!(secret || problem["detail"].as_str().unwrap().contains("999999"), "{}: {problem}", route.path);
    }
    for route in routes(&server, "one").await.iter().filter(|route| route.names && route.method == Method::GET) {
        assert_eq!(answer(&server, route, b"").await.0, StatusCode::NOT_FOUND, "{}", route.path);
    }
}

#[tokio::test]
async fn a_body_over_the_limit_is_told_on_every_route_that_takes_one() {
    let server = Server::new(None);
    for route in routes(&server, "1").await.iter().filter(|route| route.body) {
        // A course file is larger than anything else that is sent.
        let megabytes = if route.path.starts_with("/api/course-file") { 25 } else { 3 };
        let body = Body::from(vec![b' '; megabytes * 1024 * 1024]);
        let (status, problem) = read(server.send(request(route, b"{}").body(body).unwrap()).await).await;
        assert_eq!(status, StatusCode::PAYLOAD_TOO_LARGE, "{} {}: {problem}", route.method, route.path);
        assert!(problem["detail"].as_str().unwrap().contains("kB"), "{problem}");
    }
}
