//! The pages of a lesson, read back from their files.

use axum::http::StatusCode;
use lopdf::content::{Content, Operation};
use lopdf::{Document, Object, ObjectId};
use serde_json::Value;

use crate::common::Server;

const KINDS: [&str; 7] = ["lesson", "stations", "rotation", "order", "count", "practice", "whole"];

async fn pdf(server: &Server, path: &str) -> Document {
    let (status, bytes) = server.get_bytes(path).await;
    assert_eq!(status, StatusCode::OK, "{path}");
    Document::load_mem(&bytes).unwrap()
}

fn number(object: &Object) -> f64 {
    object.as_float().map(f64::from).or_else(|_| object.as_i64().map(|number| number as f64)).unwrap()
}

/// Width and height, mm, of each closed area of a page that is filled.
fn areas(document: &Document, page: ObjectId) -> Vec<(f64, f64)> {
    let content = Content::decode(&document.get_page_content(page)).unwrap();
    let mut found = Vec::new();
    let mut points: Vec<(f64, f64)> = Vec::new();
    for Operation { operator, operands } in content.operations {
        match operator.as_str() {
            // The page is only turned over, never scaled.
            "cm" => assert_eq!([&operands[0], &operands[3]].map(number), [1.0, -1.0]),
            "m" | "l" => points.push((number(&operands[0]), number(&operands[1]))),
            "c" | "v" | "y" => points.push((f64::NAN, f64::NAN)),
            "f" | "S" | "B" => {
                let mm = |of: fn(&(f64, f64)) -> f64| {
                    let values = points.iter().map(of);
                    (values.clone().fold(f64::MIN, f64::max) - values.fold(f64::MAX, f64::min)) * 25.4 / 72.0
                };
                if operator == "f" && points.iter().all(|(x, _)| x.is_finite()) {
                    found.push((mm(|(x, _)| *x), mm(|(_, y)| *y)));
                }
                points.clear();
            }
            _ => {}
        }
    }
    found
}

fn has(areas: &[(f64, f64)], width: f64, height: f64) -> bool {
    areas.iter().any(|(w, h)| (w - width).abs() < 0.01 && (h - height).abs() < 0.01)
}

#[tokio::test]
async fn the_true_sizes_are_true_in_the_file() {
    let server = Server::new(None);
    for paper in ["a4", "letter"] {
        let document = pdf(&server, &format!("/api/lessons/5/paper/pdf?page=stations&paper={paper}")).await;
        let pages: Vec<ObjectId> = document.page_iter().collect();
        assert_eq!(pages.len(), 2, "a card for each exercise");
        let sides = [(25.4 / 4.0, 50.0), (25.4 / 8.0, 50.0)];
        for (page, (side, length)) in pages.into_iter().zip(sides) {
            let found = areas(&document, page);
            assert!(has(&found, 50.0, 2.4), "the bar is 50 mm: {found:?}");
            assert_eq!(found.iter().filter(|(width, _)| (width - 10.0).abs() < 0.01).count(), 3, "three black tens of it");
            assert!(has(&found, side, side) && has(&found, length, side), "{side} × {side} × {length}: {found:?}");
        }
    }
}

#[tokio::test]
async fn every_page_of_every_lesson_is_a_file_of_its_size_with_its_fonts_and_tags() {
    let server = Server::new(None);
    for lesson in [1, 4, 6, 8, 9, 11] {
        for (paper, size) in [("a4", (210.0, 297.0)), ("letter", (215.9, 279.4))] {
            for kind in KINDS {
                let document = pdf(&server, &format!("/api/lessons/{lesson}/paper/pdf?page={kind}&paper={paper}")).await;
                let catalog = document.catalog().unwrap();
                assert!(catalog.has(b"StructTreeRoot") && catalog.get(b"Lang").is_ok(), "{kind} of {lesson} has no tags");
                for page in document.page_iter() {
                    let media = document.get_dictionary(page).unwrap().get(b"MediaBox").unwrap().as_array().unwrap();
                    let [width, height] = [&media[2], &media[3]].map(|side| number(side) * 25.4 / 72.0);
                    assert!((width - size.0).abs() < 0.01 && (height - size.1).abs() < 0.01, "{width} × {height}");
                }
                let embedded = document.objects.values().filter_map(|object| object.as_dict().ok());
                let files = embedded.filter(|dict| dict.has(b"FontFile2") || dict.has(b"FontFile3")).count();
                assert!(files >= 2, "{kind} of {lesson}: {files} fonts");
            }
        }
    }
}

#[tokio::test]
async fn the_lesson_is_on_one_page_and_its_text_can_be_read() {
    let server = Server::new(None);
    for lesson in 1..=11 {
        let document = pdf(&server, &format!("/api/lessons/{lesson}/paper/pdf")).await;
        assert_eq!(document.get_pages().len(), 1, "lesson {lesson}");
    }
    let over = pdf(&server, "/api/lessons/5/paper/pdf").await.extract_text(&[1]).unwrap();
    assert!(over.contains("Runs 8 min over"), "who holds the sheet knows that it does not fit: {over}");
    let document = pdf(&server, "/api/lessons/6/paper/pdf").await;
    let text = document.extract_text(&[1]).unwrap();
    for words in ["Julienne, then brunoise", "Safety briefing", "Sef Marsh, no celery", "To buy"] {
        assert!(text.contains(words), "{words} is not in: {text}");
    }
}

#[tokio::test]
async fn the_screen_and_the_svg_show_the_same_pages() {
    let server = Server::new(None);
    let (_, view) = server.get("/api/lessons/5/paper?page=stations").await;
    let pages = view["pages"].as_array().unwrap();
    assert_eq!((pages.len(), &view["pages"][0]["width"]), (2, &Value::from(210.0)));
    let (status, bytes) = server.get_bytes("/api/lessons/5/paper/svg?page=stations&number=2").await;
    let svg = String::from_utf8(bytes).unwrap();
    assert_eq!(status, StatusCode::OK);
    assert!(svg.contains("width=\"210mm\"") && svg.contains("width=\"50.000\" height=\"2.400\""), "the bar at true size");
    assert!(svg.contains("@font-face") && svg.contains("Julienne of carrot"));
    let (status, problem) = server.get("/api/lessons/5/paper/svg?page=stations&number=3").await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(problem["problems"][0]["pointer"], "/number");
    let (status, _) = server.get("/api/lessons/5/paper?page=poster").await;
    assert!(status.is_client_error());
    let (status, _) = server.get("/api/lessons/999/paper/pdf").await;
    assert_eq!(status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn the_count_sheet_has_the_knives_of_the_rotation() {
    let server = Server::new(None);
    let (_, rotation) = server.get("/api/lessons/6/rotation").await;
    let used: std::collections::BTreeSet<i64> =
        rotation["turns"].as_array().unwrap().iter().map(|turn| turn["knife_id"].as_i64().unwrap()).collect();
    let text = pdf(&server, "/api/lessons/6/paper/pdf?page=count").await.extract_text(&[1]).unwrap();
    assert!(text.contains(&format!("{} knives go out", used.len())), "{text}");
}

/// Tags of a kind in the whole file.
fn tags(document: &Document, kind: &[u8]) -> usize {
    let of = |object: &Object| Some(object.as_dict().ok()?.get(b"S").ok()?.as_name().ok()? == kind);
    document.objects.values().filter(|object| of(object) == Some(true)).count()
}

#[tokio::test]
async fn a_table_is_read_aloud_as_one() {
    let server = Server::new(None);
    let document = pdf(&server, "/api/lessons/6/paper/pdf?page=rotation").await;
    let (_, rotation) = server.get("/api/lessons/6/rotation").await;
    let [rows, rounds] = ["rows", "rounds"].map(|key| rotation[key].as_array().unwrap().len());
    let found = [b"Table".as_slice(), b"TR", b"TH", b"TD"].map(|kind| tags(&document, kind));
    let columns = 2 + rounds;
    assert_eq!(found, [1, rows + 1, columns, rows * columns], "a row for each student and one of headings");
}

#[tokio::test]
async fn a_name_in_letters_of_another_script_is_on_paper_as_it_is_written() {
    let server = Server::new(None);
    let (_, course) = server.get("/api/courses/1").await;
    let mut student = course["students"][0].clone();
    let (id, version) = (student["id"].clone(), student["version"].clone());
    for field in ["id", "version"] {
        student.as_object_mut().unwrap().remove(field);
    }
    student["name"] = "Олена Ζωή Łuś".into();
    let (status, answer) =
        server.put(&format!("/api/students/{id}"), serde_json::json!({ "version": version, "fields": student })).await;
    assert_eq!(status, StatusCode::OK, "{answer}");
    let text = pdf(&server, "/api/lessons/6/paper/pdf?page=rotation").await.extract_text(&[1]).unwrap();
    assert!(["Олена", "Ζωή", "Łuś"].iter().all(|part| text.contains(part)) && !text.contains('?'), "{text}");
    let (_, bytes) = server.get_bytes("/api/lessons/6/paper/svg?page=rotation").await;
    let svg = String::from_utf8(bytes).unwrap();
    assert!(svg.contains(">Олена") && svg.contains("yn-others"));
}

#[tokio::test]
async fn a_card_has_three_cautions() {
    let server = Server::new(None);
    for lesson in 1..=11 {
        let (_, view) = server.get(&format!("/api/lessons/{lesson}/paper?page=stations")).await;
        for page in view["pages"].as_array().unwrap() {
            let words = |block: &Value| {
                let marks = block["marks"].as_array().unwrap().iter().filter_map(|mark| mark["text"].as_str());
                marks.map(str::to_owned).collect::<Vec<_>>().join(" ")
            };
            let blocks: Vec<String> = page["blocks"].as_array().unwrap().iter().map(words).collect();
            let (mind, each) = ["Mind", "Each of you"].map(|heading| blocks.iter().position(|words| words == heading)).into();
            let cautions = &blocks[mind.unwrap() + 1..each.unwrap()];
            assert_eq!(cautions.iter().filter(|words| !words.is_empty()).count(), 3, "{cautions:?}");
        }
    }
}
