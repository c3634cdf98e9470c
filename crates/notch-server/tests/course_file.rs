//! A course as one file: out of one school, into another, and every file that is refused.

use axum::http::StatusCode;
use proptest::prelude::*;
use serde_json::{Value, json};

use crate::common::Server;

const TAKE: &str = "/api/course-file";
const READ: &str = "/api/course-file/read";

/// A copy of the carrot by the school's own measure, and an exercise with it; what is found out afterwards is in
/// the file too.
async fn with_a_copy(server: &Server) {
    let (_, catalogue) = server.get("/api/catalogue").await;
    let carrot = catalogue["foods"].as_array().unwrap().iter().find(|food| food["id"] == "carrot").unwrap();
    let mut own = json!({ "id": "", "name": "harbour carrot", "plural": "harbour carrots" });
    for field in ["shape", "density", "firmness", "trim"] {
        own[field] = carrot[field].clone();
    }
    let value = json!({ "version": null, "value": { "kind": "food", "based_on": "carrot", "food": own } });
    assert_eq!(server.post("/api/own", value).await.0, StatusCode::OK);
    let (_, plan) = server.get("/api/lessons/6/plan").await;
    let mut exercise = plan["exercises"][0]["exercise"].clone();
    for field in ["id", "lesson_id", "version", "archived", "pinned", "kept_warnings"] {
        exercise.as_object_mut().unwrap().remove(field);
    }
    (exercise["food"], exercise["cut"]) = (json!("own_harbour_carrot"), json!("julienne"));
    let (status, answer) = server.post("/api/lessons/6/exercises", exercise).await;
    assert_eq!(status, StatusCode::CREATED, "{answer}");
    let tick = json!({ "item": "knives:11", "who": "Mara", "ticked": true });
    let (status, answer) = server.post("/api/lessons/5/check", tick).await;
    assert_eq!(status, StatusCode::OK, "{answer}");
}

/// Where everybody stands, without the ids that each school gives.
async fn standing(server: &Server, course: i64) -> Vec<Value> {
    let (status, yard) = server.get(&format!("/api/courses/{course}/yard")).await;
    assert_eq!(status, StatusCode::OK, "{yard}");
    let of = |each: &Value| json!([each["student"]["name"], each["student"]["clearance"], each["standing"]["strands"]]);
    yard.as_array().unwrap().iter().map(of).collect()
}

#[tokio::test]
async fn a_course_goes_into_an_empty_school_and_nothing_is_lost() {
    let server = Server::new(None);
    with_a_copy(&server).await;
    let (status, file) = server.get("/api/courses/1/file").await;
    assert_eq!(status, StatusCode::OK, "{file}");
    let attempts: usize = file["lessons"].as_array().unwrap().iter().map(|l| l["attempts"].as_array().unwrap().len()).sum();
    assert!(attempts > 100 && file["own"][0]["food"]["id"] == "own_harbour_carrot", "{attempts}");
    let empty = Server::empty();
    let (status, contents) = empty.post(READ, file.clone()).await;
    assert_eq!((status, &contents["name"]), (StatusCode::OK, &json!("Galley hands, autumn watch")), "{contents}");
    assert_eq!(empty.get("/api/courses").await.1, json!([]), "looking keeps nothing");
    let (status, course) = empty.post(TAKE, file.clone()).await;
    assert_eq!(status, StatusCode::CREATED, "{course}");
    let id = course["id"].as_i64().unwrap();
    let (_, again) = empty.get(&format!("/api/courses/{id}/file")).await;
    assert_eq!(again, file);
    assert_eq!(standing(&empty, id).await, standing(&server, 1).await);
}

#[tokio::test]
async fn a_course_goes_into_another_school_and_leaves_its_rack_and_its_people_alone() {
    let (server, other) = (Server::new(None), Server::new(None));
    let (_, mut file) = server.get("/api/courses/1/file").await;
    let (before, people) = (other.get("/api/rack").await.1, other.get("/api/people").await.1);
    let (status, course) = other.post(TAKE, file.clone()).await;
    assert_eq!(status, StatusCode::CREATED, "{course}");
    let id = course["id"].as_i64().unwrap();
    assert_eq!(other.get("/api/rack").await.1, before, "a knife of the same number here is another knife");
    assert_eq!(standing(&other, id).await, standing(&server, 1).await);
    assert_eq!(standing(&other, 1).await, standing(&server, 1).await, "who has the same name is somebody else");
    let more = other.get("/api/people").await.1.as_array().unwrap().len() - people.as_array().unwrap().len();
    assert_eq!(more, file["students"].as_array().unwrap().len());
    // Its knives are beside the rack there: all else is what it was.
    for knife in file["knives"].as_array_mut().unwrap() {
        knife["archived"] = json!(true);
    }
    assert_eq!(other.get(&format!("/api/courses/{id}/file")).await.1, file);
}

#[tokio::test]
async fn a_file_that_cannot_be_taken_says_why_and_leaves_nothing_behind() {
    let server = Server::new(None);
    let (_, file) = server.get("/api/courses/1/file").await;
    let empty = Server::empty();
    let changed = |path: &str, to: Value| {
        let mut file = file.clone();
        *file.pointer_mut(path).unwrap() = to;
        file
    };
    let cases = [
        (changed("/version", json!(2)), "/version", "newer version of this program"),
        (changed("/version", json!(0)), "/version", "out of range"),
        (changed("/format", json!("somebody-elses-course")), "/format", "no course of this program"),
        (changed("/knives/0/knife_type", json!("machete")), "/knives/0/knife_type", "“machete” is not known"),
        (changed("/lessons/0/exercises/0/knife_type", json!("machete")), "/lessons/0/exercises/0/knife_type", "not known"),
        (changed("/lessons/0/exercises/0/food", json!("own_moon_root")), "/lessons/0/exercises/0/food", "not known"),
        (changed("/lessons/0/exercises/0/cut", json!("zigzag")), "/lessons/0/exercises/0/cut", "not known"),
        (changed("/lessons/0/attempts/3/student", json!(99)), "/lessons/0/attempts/3/student", "not in the file"),
        (changed("/lessons/0/attempts/3/knife", json!(99)), "/lessons/0/attempts/3/knife", "not in the file"),
        (changed("/lessons/0/segments/5/minutes", json!(0)), "/lessons/0/segments/5/minutes", "out of range"),
        (changed("/lessons/1/number", json!(1)), "/lessons/1/number", "taken"),
        (changed("/lessons/0/minutes", json!(54_000)), "/lessons/0/minutes", "out of range"),
        (changed("/students/1/station", file["students"][0]["station"].clone()), "/students/1/station", "taken"),
        (changed("/course/boards", json!(0)), "/course/boards", "out of range"),
        (changed("/course/time_zone", json!("Mars/Olympus")), "/course/time_zone", "not known"),
        (changed("/course/standard_set", json!("own_sizes")), "/course/standard_set", "not known"),
        (changed("/goals/0/cut", json!("peel")), "/goals/0/cut", "none that a course is drafted to"),
        (changed("/lessons/0/starts_at", json!("yesterday")), "/lessons", ""),
        (changed("/lessons", json!("eight of them")), "/lessons", ""),
    ];
    for (file, pointer, words) in cases {
        for path in [READ, TAKE] {
            let (status, answer) = empty.post(path, file.clone()).await;
            assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{pointer}: {answer}");
            let problem = &answer["problems"][0];
            assert!(problem["pointer"].as_str().unwrap().starts_with(pointer), "{problem}");
            assert!(problem["message"].as_str().unwrap().contains(words), "{problem}");
        }
    }
    let (status, _) = empty.post(TAKE, json!([1, 2, 3])).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(empty.get("/api/courses").await.1, json!([]));
    assert_eq!(empty.get("/api/people").await.1, json!([]));
}

#[tokio::test]
async fn a_copy_of_the_same_name_that_is_another_one_is_not_overwritten() {
    let (server, other) = (Server::new(None), Server::new(None));
    with_a_copy(&server).await;
    with_a_copy(&other).await;
    let (_, mut file) = server.get("/api/courses/1/file").await;
    assert_eq!(other.post(TAKE, file.clone()).await.0, StatusCode::CREATED, "the same copy is there already");
    file["own"][0]["food"]["firmness"] = json!(5);
    let (status, answer) = other.post(TAKE, file.clone()).await;
    assert_eq!(status, StatusCode::CONFLICT, "{answer}");
    assert!(answer["detail"].as_str().unwrap().contains("harbour carrot"), "{answer}");
    file["own"][0]["food"]["id"] = json!("carrot");
    let (status, answer) = other.post(TAKE, file).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "what every school has is not changed by a file: {answer}");
}

#[tokio::test]
async fn a_class_that_runs_is_not_written_into_a_file() {
    let server = Server::new(None);
    assert_eq!(server.start(11, 12).await.0, StatusCode::CREATED);
    let (status, answer) = server.get("/api/courses/1/file").await;
    assert_eq!(status, StatusCode::CONFLICT, "{answer}");
    assert_eq!(server.get("/api/courses/2/file").await.0, StatusCode::OK);
}

/// Every place in a file at which something else could stand.
fn places(value: &Value, path: &str, found: &mut Vec<String>) {
    found.push(path.to_owned());
    match value {
        Value::Object(fields) => fields.iter().for_each(|(key, value)| places(value, &format!("{path}/{key}"), found)),
        Value::Array(values) => {
            values.iter().enumerate().for_each(|(index, value)| places(value, &format!("{path}/{index}"), found));
        }
        _ => {}
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(60))]

    /// Whatever stands anywhere in a file, it is taken or refused with a reason; never half of it, never a fault
    /// of the program.
    #[test]
    fn a_changed_file_is_taken_or_refused(changes in proptest::collection::vec((any::<prop::sample::Index>(), 0..9usize), 1..4)) {
        let runtime = tokio::runtime::Builder::new_current_thread().enable_all().build().unwrap();
        runtime.block_on(async {
            let mut file = SMALL.clone();
            for (place, junk) in &changes {
                let mut found = Vec::new();
                places(&file, "", &mut found);
                let junk = [
                    json!(null), json!(-1), json!(0), json!(1e300), json!(""), json!("\u{202e}x"), json!([]), json!({}),
                    json!(9_007_199_254_740_993_i64),
                ][*junk].clone();
                if let Some(at) = file.pointer_mut(place.get(&found).as_str()) {
                    *at = junk;
                }
            }
            let empty = Server::empty();
            let (status, answer) = empty.post(TAKE, file.clone()).await;
            let known = [StatusCode::CREATED, StatusCode::UNPROCESSABLE_ENTITY, StatusCode::CONFLICT];
            prop_assert!(known.contains(&status), "{status} {answer}");
            let there = empty.get("/api/courses").await.1.as_array().unwrap().len();
            prop_assert_eq!(there, usize::from(status == StatusCode::CREATED));
            if status == StatusCode::CREATED {
                // What was taken is read everywhere, and is a file again.
                let id = answer["id"].as_i64().unwrap();
                for path in ["", "/yard", "/plan", "/file", "/calendar"] {
                    let (status, answer) = empty.get(&format!("/api/courses/{id}{path}")).await;
                    prop_assert_eq!(status, StatusCode::OK, "{} {}", path, answer);
                }
            }
            Ok(())
        })?;
    }
}

/// The demo's small course.
static SMALL: std::sync::LazyLock<Value> = std::sync::LazyLock::new(|| {
    // A thread of its own: a test may stand in another runtime.
    let made = std::thread::spawn(|| {
        let runtime = tokio::runtime::Builder::new_current_thread().enable_all().build().unwrap();
        runtime.block_on(async { Server::new(None).get("/api/courses/2/file").await.1 })
    });
    made.join().unwrap()
});
