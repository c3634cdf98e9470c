//! Schools of two hosts, as they are served; one of them moves while its class goes on.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::collections::BTreeSet;
use std::io::{BufRead, BufReader, Read, Write};
use std::net::TcpStream;
use std::path::Path;
use std::process::{Child, Command, Output, Stdio};
use std::sync::atomic::{AtomicBool, Ordering};
use std::time::{Duration, Instant};

use notch_core::catalogue::Catalogue;
use notch_store::Store;
use tempfile::TempDir;

struct Serving(Child, String);

impl Drop for Serving {
    fn drop(&mut self) {
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

fn program() -> Command {
    Command::new(env!("CARGO_BIN_EXE_yard-notch"))
}

/// Serves the schools of a folder.
fn serve(schools: &Path) -> Serving {
    let mut child =
        program().args(["serve", "--listen", "127.0.0.1:0", "--schools"]).arg(schools).stdout(Stdio::piped()).spawn().unwrap();
    let mut line = String::new();
    BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
    let at = line.split("http://").nth(1).unwrap().split('/').next().unwrap().to_owned();
    Serving(child, at)
}

fn school(schools: &Path, arguments: &[&str]) -> Output {
    program().args(["school", "--schools"]).arg(schools).args(arguments).output().unwrap()
}

fn told(output: &Output) -> String {
    assert!(output.status.success(), "{output:?}");
    String::from_utf8(output.stdout.clone()).unwrap()
}

fn refused(output: &Output) -> String {
    assert!(!output.status.success(), "{output:?}");
    String::from_utf8(output.stderr.clone()).unwrap()
}

/// Head and body of an answer; none where nobody answers.
fn post(at: &str, path: &str, headers: &str, body: &str) -> Option<String> {
    let mut stream = TcpStream::connect(at).ok()?;
    let length = body.len();
    let request = format!(
        "POST {path} HTTP/1.1\r\nhost: {at}\r\ncontent-type: application/json\r\ncontent-length: {length}\r\nconnection: close\r\n{headers}\r\n{body}"
    );
    let mut answer = String::new();
    stream.write_all(request.as_bytes()).ok()?;
    stream.read_to_string(&mut answer).ok()?;
    (!answer.is_empty()).then_some(answer)
}

fn header<'a>(answer: &'a str, name: &str) -> Option<&'a str> {
    answer.lines().find_map(|line| line.strip_prefix(name)?.strip_prefix(": ")).map(str::trim)
}

/// Writes one thing down after the other, each until it is known to be kept, following where it is sent on; returns
/// when each was kept.
fn go_on(at: &str, cookie: &str, stop: &AtomicBool) -> Vec<Instant> {
    let path = "/api/lessons/5/incidents";
    let (mut base, mut kept) = (format!("http://{at}/s/quay"), Vec::new());
    while !stop.load(Ordering::SeqCst) {
        let number = kept.len();
        let body = format!("{{\"student_id\":null,\"kind\":\"near_miss\",\"words\":\"number {number}\"}}");
        let headers = format!("cookie: {cookie}\r\nidempotency-key: the-write-{number}\r\n");
        let (at, before) = base.strip_prefix("http://").unwrap().split_once('/').unwrap();
        let answer = post(at, &format!("/{before}{path}"), &headers, &body).unwrap_or_default();
        if answer.starts_with("HTTP/1.1 201") {
            kept.push(Instant::now());
        } else if answer.starts_with("HTTP/1.1 307") {
            base = header(&answer, "location").unwrap().strip_suffix(path).unwrap().to_owned();
        } else {
            assert!(answer.is_empty() || answer.starts_with("HTTP/1.1 503"), "{answer}");
            std::thread::sleep(Duration::from_millis(20));
        }
    }
    kept
}

#[test]
fn a_school_moves_to_another_host_while_its_class_goes_on() {
    let folder = TempDir::new().unwrap();
    let (here, there) = (folder.path().join("here"), folder.path().join("there"));
    std::fs::create_dir(&there).unwrap();
    told(&school(&here, &["add", "quay", "--title", "Lanternfish", "--instructor", "Mara"]));
    notch_demo::fill(&Store::open(&here.join("quay")).unwrap(), &Catalogue::shipped().unwrap()).unwrap();
    let mut passphrase =
        program().args(["passphrase", "--name", "Mara", "--data"]).arg(here.join("quay")).stdin(Stdio::piped()).spawn().unwrap();
    passphrase.stdin.take().unwrap().write_all(b"lantern on the quay\n").unwrap();
    assert!(passphrase.wait().unwrap().success());
    let (from, to) = (serve(&here), serve(&there));
    let answer = post(&from.1, "/s/quay/api/sign-in", "", "{\"name\":\"Mara\",\"passphrase\":\"lantern on the quay\"}").unwrap();
    assert!(answer.starts_with("HTTP/1.1 204"), "{answer}");
    let cookie = header(&answer, "set-cookie").unwrap().split(';').next().unwrap().to_owned();

    let stop = AtomicBool::new(false);
    let kept = std::thread::scope(|scope| {
        let writing = scope.spawn(|| go_on(&from.1, &cookie, &stop));
        std::thread::sleep(Duration::from_millis(800));
        let address = format!("http://{}/s/quay", to.1);
        let moved = school(&here, &["move", "quay", there.to_str().unwrap(), "--address", &address]);
        std::thread::sleep(Duration::from_millis(800));
        stop.store(true, Ordering::SeqCst);
        println!("{}", told(&moved));
        writing.join().unwrap()
    });
    let standstill = kept.windows(2).map(|pair| pair[1] - pair[0]).max().unwrap();
    println!("{} written down; between two of them at most {} ms", kept.len(), standstill.as_millis());
    assert!(standstill < Duration::from_secs(5), "{standstill:?}");
    drop((from, to));
    let store = Store::open(&there.join("quay")).unwrap();
    let found: Vec<usize> = store
        .read(|reader| reader.incidents(1))
        .unwrap()
        .iter()
        .filter_map(|incident| incident.fields.words.strip_prefix("number ")?.parse().ok())
        .collect();
    assert_eq!(found.len(), kept.len(), "nothing is written down twice");
    assert_eq!(found.into_iter().collect::<BTreeSet<_>>(), (0..kept.len()).collect(), "and nothing is missing");
    assert!(refused(&school(&here, &["move", "quay", there.to_str().unwrap()])).contains("on another host now"));
    assert!(told(&school(&here, &["list"])).contains("moved"));
}

#[test]
fn what_cannot_be_a_school_is_refused_in_words() {
    let folder = TempDir::new().unwrap();
    let schools = folder.path().join("schools");
    for (wrong, words) in
        [("..", "allowed: a to z"), ("Quay", "“Quay”"), (&*"q".repeat(300), "has 300 characters; allowed: 1 to 40")]
    {
        let output = school(&schools, &["add", wrong, "--instructor", "Mara"]);
        assert!(refused(&output).contains(words), "{output:?}");
    }
    told(&school(&schools, &["add", "quay", "--instructor", "Mara", "--host", "quay.example.org"]));
    assert!(
        refused(&school(&schools, &["add", "pier", "--instructor", "Ode", "--host", "Quay.example.org"]))
            .contains("quay already")
    );
    assert!(refused(&school(&schools, &["rename", "pier", "--to", "harbour"])).contains("there is no school pier"));
    assert!(refused(&school(&schools, &["rename", "quay"])).contains("say what changes"));
    assert!(refused(&school(&schools, &["move", "quay", "/nowhere"])).contains("there is no folder"));
    assert!(refused(&school(&schools, &["export", "pier"])).contains("there is no school pier"));
    told(&school(&schools, &["rename", "quay", "--to", "pier", "--title", "The pier"]));
    let export = folder.path().join("pier.json");
    told(&school(&schools, &["export", "pier", export.to_str().unwrap()]));
    assert!(std::fs::read_to_string(export).unwrap().contains("\"staff\""));
    assert!(told(&school(&schools, &["list"])).contains("The pier"));
}
