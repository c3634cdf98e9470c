//! The program as a person at a terminal meets it.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::io::{BufRead, BufReader, Read, Write};
use std::net::{TcpListener, TcpStream};
use std::path::Path;
use std::process::{Child, Command, Output, Stdio};

use tempfile::TempDir;

fn program() -> Command {
    Command::new(env!("CARGO_BIN_EXE_yard-notch"))
}

fn run(arguments: &[&str]) -> Output {
    program().args(arguments).output().unwrap()
}

fn error_of(output: &Output) -> String {
    assert!(!output.status.success(), "it should have failed: {output:?}");
    String::from_utf8(output.stderr.clone()).unwrap()
}

fn path(folder: &TempDir, name: &str) -> String {
    folder.path().join(name).to_str().unwrap().to_owned()
}

/// A served program that is ended when the test ends, and where it is.
struct Served(Child, String);

impl Served {
    /// Serves the demo and waits until it says where.
    fn demo(data: &str) -> Self {
        let mut child = program()
            .args(["serve", "--demo", "--data", data, "--listen", "127.0.0.1:0"])
            .stdout(Stdio::piped())
            .spawn()
            .unwrap();
        let mut line = String::new();
        BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
        let address = line.split("http://").nth(1).and_then(|rest| rest.split_whitespace().next()).unwrap();
        Served(child, address.to_owned())
    }

    fn connect(&self) -> TcpStream {
        TcpStream::connect(&self.1).unwrap()
    }

    /// The first line of the answer to a question.
    fn asked(&self, path: &str) -> String {
        let mut stream = self.connect();
        write!(stream, "GET {path} HTTP/1.1\r\nHost: {}\r\nConnection: close\r\n\r\n", self.1).unwrap();
        let mut answer = String::new();
        stream.read_to_string(&mut answer).unwrap();
        answer.lines().next().unwrap_or_default().to_owned()
    }
}

impl Drop for Served {
    fn drop(&mut self) {
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

#[test]
fn a_school_is_exported_imported_and_checked() {
    let folder = TempDir::new().unwrap();
    let (demo, file, fresh) = (path(&folder, "demo"), path(&folder, "doctrine.json"), path(&folder, "fresh"));
    drop(Served::demo(&demo));
    assert!(run(&["export", "--data", &demo, &file]).status.success());
    assert!(run(&["import", "--data", &fresh, &file]).status.success());
    assert!(run(&["check", "--data", &fresh]).status.success());
    let again = run(&["export", "--data", &fresh]);
    assert_eq!(again.stdout, std::fs::read(&file).unwrap(), "what went in comes out");
    assert!(error_of(&run(&["import", "--data", &fresh, &file])).contains("already holds"));
    std::fs::write(&file, "{}").unwrap();
    assert!(error_of(&run(&["import", "--data", &path(&folder, "other"), &file])).contains("is no export of this program"));
}

#[test]
fn an_export_takes_the_place_of_an_export_and_of_nothing_else() {
    let folder = TempDir::new().unwrap();
    let demo = path(&folder, "demo");
    drop(Served::demo(&demo));
    let database = format!("{demo}/yard-notch.db");
    let (letter, part) = (path(&folder, "letter.txt"), path(&folder, "school.part"));
    std::fs::write(&letter, "Dear Mara").unwrap();
    std::fs::write(&part, "somebody else's").unwrap();
    for file in [&database, &letter] {
        let said = error_of(&run(&["export", "--data", &demo, file]));
        assert!(said.contains("is no export of this program"), "{said}");
    }
    assert!(run(&["check", "--data", &demo]).status.success(), "the school is as it was");
    assert_eq!(std::fs::read_to_string(&letter).unwrap(), "Dear Mara");
    let export = path(&folder, "school.json");
    for _ in 0..2 {
        assert!(run(&["export", "--data", &demo, &export]).status.success(), "a newer export takes its place");
    }
    assert_eq!(std::fs::read_to_string(&part).unwrap(), "somebody else's");
    assert_eq!(std::fs::read_dir(folder.path()).unwrap().count(), 4, "nothing is left beside it");
}

#[test]
fn another_address_is_refused_until_a_passphrase_was_set() {
    let folder = TempDir::new().unwrap();
    let data = path(&folder, "data");
    let said = error_of(&run(&["serve", "--data", &data, "--listen", "0.0.0.0:0"]));
    assert!(said.contains("no passphrase was set") && said.contains("127.0.0.1"), "{said}");
    let set = |passphrase: &str| {
        let mut child = program()
            .args(["passphrase", "--data", &data])
            .stdin(Stdio::piped())
            .stderr(Stdio::piped())
            .stdout(Stdio::null())
            .spawn()
            .unwrap();
        child.stdin.take().unwrap().write_all(passphrase.as_bytes()).unwrap();
        let mut said = String::new();
        child.stderr.take().unwrap().read_to_string(&mut said).unwrap();
        (child.wait().unwrap().success(), said)
    };
    let (done, said) = set("short\n");
    assert!(!done && said.contains("10 to 200"), "{said}");
    assert!(set("lantern on the quay\n").0);
    let mut child = program().args(["serve", "--data", &data, "--listen", "0.0.0.0:0"]).stdout(Stdio::piped()).spawn().unwrap();
    let mut line = String::new();
    BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
    drop(Served(child, String::new()));
    assert!(line.contains("http://localhost:"), "{line}");
}

#[test]
fn a_host_watches_on_an_address_of_its_own_and_reads_the_log_as_json() {
    let folder = TempDir::new().unwrap();
    let mut child = program()
        .args(["serve", "--data", &path(&folder, "data"), "--listen", "127.0.0.1:0", "--watch", "127.0.0.1:0", "--log", "json"])
        .env("RUST_LOG", "debug")
        .stdout(Stdio::piped())
        .stderr(Stdio::piped())
        .spawn()
        .unwrap();
    let mut lines = BufReader::new(child.stdout.take().unwrap()).lines().map(Result::unwrap);
    let at = |line: String| line.split("http://").nth(1).unwrap().split([' ', '/']).next().unwrap().to_owned();
    let (served, watched) = (at(lines.next().unwrap()), at(lines.next().unwrap()));
    for (at, path, told) in [(&served, "/api/about", "\"version\""), (&watched, "/readyz", "ready\n")] {
        let mut stream = std::net::TcpStream::connect(at).unwrap();
        let request = format!("GET {path} HTTP/1.1\r\nhost: localhost\r\nconnection: close\r\n\r\n");
        stream.write_all(request.as_bytes()).unwrap();
        let mut answer = String::new();
        stream.read_to_string(&mut answer).unwrap();
        assert!(answer.starts_with("HTTP/1.1 200") && answer.contains(told), "{answer}");
    }
    child.kill().unwrap();
    let log = std::io::read_to_string(child.stderr.take().unwrap()).unwrap();
    child.wait().unwrap();
    assert!(!log.is_empty(), "with so much asked for something is said");
    for line in log.lines() {
        assert!(line.starts_with('{') && line.contains("\"level\":"), "{line}");
    }
}

#[test]
fn a_port_in_use_is_told_with_a_way_out() {
    let folder = TempDir::new().unwrap();
    let taken = TcpListener::bind("127.0.0.1:0").unwrap();
    let address = taken.local_addr().unwrap().to_string();
    let said = error_of(&run(&["serve", "--data", &path(&folder, "data"), "--listen", &address]));
    assert!(said.contains("is in use") && said.contains("--listen"), "{said}");
}

#[test]
fn demo_data_and_a_school_of_ones_own_never_mix() {
    let folder = TempDir::new().unwrap();
    let demo = path(&folder, "demo");
    drop(Served::demo(&demo));
    assert!(error_of(&run(&["serve", "--data", &demo, "--listen", "127.0.0.1:0"])).contains("holds the demo"));
    let (file, own) = (path(&folder, "doctrine.json"), path(&folder, "own"));
    assert!(run(&["export", "--data", &demo, &file]).status.success());
    assert!(run(&["import", "--data", &own, &file]).status.success());
    assert!(error_of(&run(&["serve", "--demo", "--data", &own, "--listen", "127.0.0.1:0"])).contains("own data"));
}

#[test]
fn a_missing_damaged_or_unwritable_folder_is_told_by_name() {
    let folder = TempDir::new().unwrap();
    assert!(error_of(&run(&["check", "--data", &path(&folder, "none")])).contains("there is no school in"));
    let data = path(&folder, "data");
    std::fs::create_dir(&data).unwrap();
    std::fs::write(format!("{data}/yard-notch.db"), vec![7u8; 9000]).unwrap();
    assert!(error_of(&run(&["serve", "--data", &data, "--listen", "127.0.0.1:0"])).contains("damaged"));
    let below_a_file = format!("{data}/yard-notch.db/data");
    assert!(error_of(&run(&["serve", "--data", &below_a_file, "--listen", "127.0.0.1:0"])).contains("cannot be written"));
}

#[test]
fn a_copy_without_what_stands_beside_it_is_told_and_can_be_gone_on_with() {
    let folder = TempDir::new().unwrap();
    let (demo, copy) = (path(&folder, "demo"), path(&folder, "copy"));
    // Killed: the demo's evening was just written, and all of it stands beside the file.
    drop(Served::demo(&demo));
    std::fs::create_dir(&copy).unwrap();
    std::fs::copy(format!("{demo}/yard-notch.db"), format!("{copy}/yard-notch.db")).unwrap();
    for command in [&["check"][..], &["export"], &["serve", "--demo", "--listen", "127.0.0.1:0"]] {
        let said = error_of(&run(&[command, &["--data", &copy]].concat()));
        assert!(said.contains("is not all of the school") && said.contains("yard-notch accept"), "{said}");
    }
    let names = |folder: &str| std::fs::read_dir(folder).unwrap().count();
    let accepted = run(&["accept", "--data", &copy]);
    assert!(accepted.status.success(), "{accepted:?}");
    assert!(run(&["check", "--data", &copy]).status.success());
    assert!(run(&["check", "--data", &demo]).status.success(), "the one with both is all");
    let none = path(&folder, "none");
    for command in ["check", "export", "accept"] {
        assert!(!run(&[command, "--data", &none]).status.success());
    }
    assert_eq!(names(folder.path().to_str().unwrap()), 2, "no folder was made");
}

#[test]
fn an_import_tells_of_own_values_that_do_not_fit() {
    let folder = TempDir::new().unwrap();
    let (demo, file, own) = (path(&folder, "demo"), path(&folder, "school.json"), path(&folder, "own"));
    drop(Served::demo(&demo));
    assert!(run(&["export", "--data", &demo, &file]).status.success());
    let mut school: serde_json::Value = serde_json::from_slice(&std::fs::read(&file).unwrap()).unwrap();
    let food = serde_json::json!({ "id": "moonfruit", "name": "Moonfruit", "cuts": [{ "cut": "no_such_cut" }] });
    school["tables"]["own_value"] =
        serde_json::json!([{ "kind": "food", "id": "moonfruit", "value_json": food.to_string(), "version": 1 }]);
    std::fs::write(&file, school.to_string()).unwrap();
    let imported = run(&["import", "--data", &own, &file]);
    let said = String::from_utf8(imported.stderr).unwrap();
    assert!(imported.status.success() && said.contains("“moonfruit” no longer fits"), "{said}");
    assert!(error_of(&run(&["check", "--data", &own])).contains("“moonfruit” no longer fits"));
}

#[test]
fn silent_sockets_shut_nobody_out() {
    let folder = TempDir::new().unwrap();
    let served = Served::demo(&path(&folder, "demo"));
    let half_sent = |number: usize| {
        let mut stream = served.connect();
        if number.is_multiple_of(2) {
            stream.write_all(b"GET /api/about HTTP/1.1\r\nHost: ").unwrap();
        }
        stream
    };
    // More than are let in at once.
    let silent: Vec<TcpStream> = (0..600).map(half_sent).collect();
    for _ in 0..5 {
        assert_eq!(served.asked("/api/about"), "HTTP/1.1 200 OK");
    }
    drop(silent);
}

#[cfg(unix)]
#[test]
fn a_stop_waits_for_no_half_request_and_leaves_one_whole_file() {
    let folder = TempDir::new().unwrap();
    let demo = path(&folder, "demo");
    let mut served = Served::demo(&demo);
    let mut half_head = served.connect();
    half_head.write_all(b"GET /api/about HTTP/1.1\r\nHost: ").unwrap();
    let mut half_body = served.connect();
    write!(
        half_body,
        "POST /api/courses HTTP/1.1\r\nHost: {}\r\nContent-Type: application/json\r\nContent-Length: 900\r\n\r\n{{",
        served.1
    )
    .unwrap();
    assert_eq!(served.asked("/api/courses/1/yard"), "HTTP/1.1 200 OK");
    assert!(Command::new("kill").args(["-TERM", &served.0.id().to_string()]).status().unwrap().success());
    let ended = (0..100).find_map(|_| {
        std::thread::sleep(std::time::Duration::from_millis(100));
        served.0.try_wait().unwrap()
    });
    assert!(ended.expect("it ended").success());
    let names: Vec<_> = std::fs::read_dir(&demo).unwrap().map(|entry| entry.unwrap().file_name()).collect();
    assert!(!names.iter().any(|name| name == "yard-notch.db-wal"), "all is in the one file: {names:?}");
}

#[test]
fn a_class_is_rotated_from_a_file_and_a_bad_one_is_told() {
    let class = Path::new(env!("CARGO_MANIFEST_DIR")).join("../notch-core/tests/data/rotation");
    let rotated = run(&["rotate", class.join("small-1.json").to_str().unwrap()]);
    assert!(rotated.status.success());
    let told: serde_json::Value = serde_json::from_slice(&rotated.stdout).unwrap();
    assert_eq!((told["format"].as_str(), told["rounds"].as_i64()), (Some("rotation-solution/1"), Some(3)));
    let refused = run(&["rotate", class.join("impossible-hand.json").to_str().unwrap()]);
    let told: serde_json::Value = serde_json::from_slice(&refused.stdout).unwrap();
    assert_eq!(told["reasons"][0]["code"], "no_knife");
    let missing = run(&["rotate", "no-such-file.json"]);
    assert!(!missing.status.success() && String::from_utf8_lossy(&missing.stderr).contains("no-such-file.json"));
}

#[test]
fn the_pages_of_a_lesson_are_written_as_files() {
    let folder = TempDir::new().unwrap();
    let (pdf, svg) = (path(&folder, "cards.pdf"), path(&folder, "cards.svg"));
    let written = run(&["paper", "5", "--demo", "--page", "stations", "--paper", "letter", "--pdf", &pdf, "--svg", &svg]);
    assert!(written.status.success(), "{written:?}");
    assert!(std::fs::read(&pdf).unwrap().starts_with(b"%PDF"));
    for name in ["cards.svg", "cards-2.svg"] {
        let text = std::fs::read_to_string(path(&folder, name)).unwrap();
        assert!(text.contains("width=\"215.9mm\" height=\"279.4mm\""), "{name}");
    }
    let again = run(&["paper", "5", "--demo", "--pdf", &pdf]);
    assert!(again.status.success(), "a page takes the place of a page");
    let other = path(&folder, "notes.txt");
    std::fs::write(&other, "what nobody may lose").unwrap();
    assert!(error_of(&run(&["paper", "5", "--demo", "--pdf", &other])).contains("is something else"));
    assert_eq!(std::fs::read_to_string(&other).unwrap(), "what nobody may lose");
    assert!(error_of(&run(&["paper", "5", "--demo", "--page", "poster", "--pdf", &pdf])).contains("lesson, stations, rotation"));
    assert!(error_of(&run(&["paper", "5", "--demo", "--paper", "a3", "--pdf", &pdf])).contains("allowed: a4, letter"));
    assert!(error_of(&run(&["paper", "77", "--demo", "--pdf", &pdf])).contains("77"));
    assert!(error_of(&run(&["paper", "5", "--demo"])).contains("--pdf"));
}
