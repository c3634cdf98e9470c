//! A school that is replicated while it is served, lost with its whole folder, and brought back.
//!
//! `make test-hosting` brings the engine and says where it is.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::collections::BTreeSet;
use std::fs;
use std::io::{BufRead, BufReader, Read, Write};
use std::net::TcpStream;
use std::path::Path;
use std::process::{Child, Command, Output, Stdio};
use std::time::{Duration, Instant};

use notch_store::{DATABASE_FILE, Document, Store};
use tempfile::TempDir;

/// A program that is killed without warning, as by a lost current.
struct Running(Child);

impl Running {
    fn kill(&mut self) {
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

impl Drop for Running {
    fn drop(&mut self) {
        self.kill();
    }
}

/// Serves the demo school; where it is reached.
fn serve(data: &Path) -> (Running, String) {
    let mut child = Command::new(env!("CARGO_BIN_EXE_yard-notch"))
        .args(["serve", "--demo", "--listen", "127.0.0.1:0", "--data"])
        .arg(data)
        .stdout(Stdio::piped())
        .spawn()
        .unwrap();
    let mut line = String::new();
    BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
    let at = line.split("http://").nth(1).unwrap().split_whitespace().next().unwrap().to_owned();
    (Running(child), at)
}

fn engine(data: &Path, replica: &Path) -> Command {
    let engine = std::env::var("LITESTREAM").expect("LITESTREAM names the engine: run make test-hosting");
    let mut command = Command::new(engine);
    command.env("SCHOOL", data).env("REPLICA", replica).stdout(Stdio::null()).stderr(Stdio::null());
    command
}

fn configuration() -> String {
    concat!(env!("CARGO_MANIFEST_DIR"), "/../../packaging/litestream.yml").to_owned()
}

/// Writes down one incident; `true` once the program has said that it is kept.
fn write_down(at: &str, words: &str) -> bool {
    let body = format!("{{\"student_id\":null,\"kind\":\"near_miss\",\"words\":\"{words}\"}}");
    let request = format!(
        "POST /api/lessons/5/incidents HTTP/1.1\r\nhost: {at}\r\ncontent-type: application/json\r\ncontent-length: {}\r\n\
         connection: close\r\n\r\n{body}",
        body.len()
    );
    let Ok(mut stream) = TcpStream::connect(at) else { return false };
    let mut answer = String::new();
    stream.write_all(request.as_bytes()).is_ok()
        && stream.read_to_string(&mut answer).is_ok()
        && answer.starts_with("HTTP/1.1 201")
}

/// Numbers of the incidents that a school holds.
fn numbers(data: &Path) -> BTreeSet<usize> {
    let store = Store::open(data).unwrap();
    let incidents = store.read(|reader| reader.incidents(1)).unwrap();
    incidents.iter().filter_map(|incident| incident.fields.words.strip_prefix("number ")?.parse().ok()).collect()
}

/// All that the school keeps, without what grows with each incident.
fn the_rest(data: &Path) -> Document {
    let mut document = Store::open(data).unwrap().export().unwrap();
    for growing in ["incident", "change_made"] {
        document.tables.remove(growing);
    }
    document
}

fn copy(from: &Path, to: &Path) {
    fs::create_dir(to).unwrap();
    for entry in fs::read_dir(from).unwrap() {
        let entry = entry.unwrap();
        if entry.file_type().unwrap().is_file() {
            fs::copy(entry.path(), to.join(entry.file_name())).unwrap();
        }
    }
}

fn succeeded(output: &Output) {
    assert!(output.status.success(), "{output:?}");
}

/// Serves, replicates and writes for so long, kills both, loses the folder and brings it back. What is missing at
/// most, and how many were kept.
fn lose_and_bring_back(write_for: Duration, rest: Duration) -> (Duration, usize) {
    let folder = TempDir::new().unwrap();
    let (data, replica, before) = (folder.path().join("school"), folder.path().join("replica"), folder.path().join("before"));
    let (mut program, at) = serve(&data);
    let mut replicating = Running(engine(&data, &replica).args(["replicate", "-config", &configuration()]).spawn().unwrap());
    // The first whole copy is on its way while changes are made.
    let begun = Instant::now();
    let mut kept = Vec::new();
    while begun.elapsed() < write_for {
        // In the middle the school rests, and the program moves its changes over.
        if kept.len() == 100 {
            std::thread::sleep(rest);
        }
        if write_down(&at, &format!("number {}", kept.len())) {
            kept.push(Instant::now());
        }
    }
    let killed = Instant::now();
    program.kill();
    replicating.kill();
    copy(&data, &before);
    fs::remove_dir_all(&data).unwrap();

    fs::create_dir(&data).unwrap();
    let school = data.join(DATABASE_FILE);
    succeeded(&engine(&data, &replica).args(["restore", "-config", &configuration()]).arg(&school).output().unwrap());
    let check = Command::new(env!("CARGO_BIN_EXE_yard-notch")).args(["check", "--data"]).arg(&data).output().unwrap();
    succeeded(&check);
    let found = numbers(&data);
    assert_eq!(found, (0..found.len()).collect(), "what came back has no holes");
    assert!(found.len() >= 100 && kept.len() >= 100, "{} of {}", found.len(), kept.len());
    assert_eq!(the_rest(&data), the_rest(&before));
    // It is served again, and goes on.
    let (_program, at) = serve(&data);
    assert!(write_down(&at, "goes on"));
    (kept.get(found.len()).map_or(Duration::ZERO, |missing| killed - *missing), kept.len())
}

#[test]
#[ignore = "needs the engine: make test-hosting"]
fn a_school_that_is_lost_comes_back_with_all_but_its_last_second() {
    for (write_for, rest) in [(3, 0), (6, 3), (5, 1)] {
        let (missing, kept) = lose_and_bring_back(Duration::from_secs(write_for + rest), Duration::from_secs(rest));
        println!("{kept} changes; what is missing was kept {} ms or less before the loss", missing.as_millis());
        assert!(missing <= Duration::from_secs(1), "{missing:?}");
    }
}
