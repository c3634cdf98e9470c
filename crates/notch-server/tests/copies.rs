//! Copies of the school over HTTP: made on demand, listed, thinned out, told when they fail.

use axum::http::StatusCode;
use notch_store::{COPIES, DATABASE_FILE, Restoring};
use serde_json::json;

use crate::common::{Server, words};

#[tokio::test]
async fn a_copy_is_made_while_the_school_goes_on_and_can_be_put_back() {
    let server = Server::new(None);
    let (_, none) = server.get("/api/copies").await;
    assert_eq!((&none["copies"], &none["state"]["caution"]), (&json!([]), &json!(false)));
    assert_eq!(words(&none["state"]["words"]), "There is no copy of this school yet.");
    let (status, view) = server.post("/api/copies", json!(null)).await;
    assert_eq!(status, StatusCode::CREATED, "{view}");
    assert_eq!(words(&view["state"]["words"]), "The latest copy of this school was made and checked less than an hour ago.");
    let file = server.folder().join(COPIES).join(view["copies"][0]["name"].as_str().unwrap());
    assert_eq!(std::fs::metadata(&file).unwrap().len(), view["copies"][0]["bytes"].as_u64().unwrap());
    let elsewhere = tempfile::TempDir::new().unwrap();
    Restoring::look(&file, elsewhere.path()).unwrap().put_back(jiff::Timestamp::now()).unwrap();
    assert!(elsewhere.path().join(DATABASE_FILE).is_file());
}

#[tokio::test]
async fn how_many_are_kept_is_said_within_bounds() {
    let server = Server::new(None);
    assert_eq!(server.get("/api/copies").await.1["keep"], json!({ "daily": 7, "weekly": 4, "monthly": 12 }));
    let (status, problem) = server.put("/api/copies/keep", json!({ "daily": 0, "weekly": 4, "monthly": 12 })).await;
    assert_eq!((status, &problem["problems"][0]["pointer"]), (StatusCode::UNPROCESSABLE_ENTITY, &json!("/daily")));
    let keep = json!({ "daily": 30, "weekly": 0, "monthly": 24 });
    assert_eq!(server.put("/api/copies/keep", keep.clone()).await.0, StatusCode::OK);
    assert_eq!(server.get("/api/copies").await.1["keep"], keep);
}

#[tokio::test]
async fn a_copy_that_fails_is_told_until_one_succeeds() {
    let server = Server::new(None);
    let folder = server.folder().join(COPIES);
    std::fs::write(&folder, "no folder").unwrap();
    let (status, problem) = server.post("/api/copies", json!(null)).await;
    assert!(status.is_server_error(), "{status} {problem}");
    std::fs::remove_file(&folder).unwrap();
    let (_, view) = server.get("/api/copies").await;
    let told = words(&view["state"]["words"]);
    assert!(told.starts_with("There is no copy of this school, and none could be made: "), "{told}");
    assert_eq!(view["state"]["caution"], true);
    let (_, view) = server.post("/api/copies", json!(null)).await;
    assert_eq!((&view["state"]["caution"], view["copies"].as_array().unwrap().len()), (&json!(false), 1));
}

#[tokio::test]
async fn copies_are_for_those_who_are_signed_in() {
    let server = Server::new(Some("harbour lamp oil"));
    assert_eq!(server.get("/api/copies").await.0, StatusCode::UNAUTHORIZED);
    assert_eq!(server.post("/api/copies", json!(null)).await.0, StatusCode::UNAUTHORIZED);
}
