//! A host with many schools, some of them in class: how long answers take and how much memory the program holds.
//!
//! `cargo bench -p yard-notch --bench host -- [SCHOOLS] [IN CLASS] [SECONDS]`; the optimised program serves, this one
//! plays the devices on the same machine.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    clippy::indexing_slicing,
    missing_docs,
    reason = "a measurement that cannot go on ends"
)]

use std::fs;
use std::io::{BufRead, BufReader, Read, Write};
use std::net::TcpStream;
use std::path::Path;
use std::process::{Child, Command, Stdio};
use std::time::{Duration, Instant};

use serde_json::{Value, json};
use tempfile::TempDir;

/// Devices of a class; each marks once in ten seconds, and reads the class again after each mark.
const DEVICES: usize = 3;
const EVERY: Duration = Duration::from_secs(10);

struct Serving(Child, String);

impl Drop for Serving {
    fn drop(&mut self) {
        let _ = Command::new("kill").arg(self.0.id().to_string()).status();
        let _ = self.0.wait();
    }
}

fn program() -> Command {
    Command::new(env!("CARGO_BIN_EXE_yard-notch"))
}

fn serve(arguments: &[&str], data: &Path) -> Serving {
    let mut child = program()
        .arg("serve")
        .args(["--listen", "127.0.0.1:0"])
        .args(arguments)
        .arg(data)
        .stdout(Stdio::piped())
        .spawn()
        .unwrap();
    let mut line = String::new();
    BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
    let at = line.split("http://").nth(1).unwrap().split(['/', ' ']).next().unwrap().to_owned();
    Serving(child, at)
}

/// A connection that is kept, as a browser's is.
struct Device {
    stream: BufReader<TcpStream>,
    at: String,
    cookie: String,
}

impl Device {
    fn new(at: &str, cookie: &str) -> Device {
        let stream = TcpStream::connect(at).unwrap();
        stream.set_nodelay(true).unwrap();
        Device { stream: BufReader::new(stream), at: at.to_owned(), cookie: cookie.to_owned() }
    }

    fn ask(&mut self, method: &str, path: &str, body: Option<&Value>) -> (u16, String, String) {
        let body = body.map_or_else(String::new, Value::to_string);
        let request = format!(
            "{method} {path} HTTP/1.1\r\nhost: {}\r\ncookie: {}\r\ncontent-type: application/json\r\ncontent-length: {}\r\n\r\n{body}",
            self.at,
            self.cookie,
            body.len()
        );
        self.stream.get_mut().write_all(request.as_bytes()).unwrap();
        let (mut status, mut length, mut cookie) = (0, 0, String::new());
        loop {
            let mut line = String::new();
            assert!(self.stream.read_line(&mut line).unwrap() > 0, "the connection broke off");
            let line = line.trim_end();
            if line.is_empty() {
                break;
            }
            if let Some(rest) = line.strip_prefix("HTTP/1.1 ") {
                status = rest[..3].parse().unwrap();
            }
            if let Some((name, value)) = line.split_once(": ") {
                match name {
                    "content-length" => length = value.parse().unwrap(),
                    "set-cookie" if value.starts_with("yard_notch_sign_in") => {
                        cookie = value.split(';').next().unwrap().to_owned()
                    }
                    _ => {}
                }
            }
        }
        let mut body = vec![0; length];
        self.stream.read_exact(&mut body).unwrap();
        (status, String::from_utf8(body).unwrap(), cookie)
    }
}

/// A school in the middle of a class: three attempts have begun. Who makes them, and the cookie of who is signed in.
fn template(folder: &Path) -> (Vec<i64>, String) {
    let data = folder.join("template");
    let mut working = Vec::new();
    {
        let demo = serve(&["--demo", "--data"], &data);
        let mut device = Device::new(&demo.1, "");
        'students: for student in 1..=14 {
            for knife in 1..=30 {
                let begun = json!({ "starts": [{ "student_id": student, "exercise_id": 11, "knife_id": knife }] });
                let (status, body, _) = device.ask("POST", "/api/lessons/5/attempts", Some(&begun));
                if status == 201 {
                    assert!(body.contains("started_at"), "{body}");
                    working.push(student);
                    continue 'students;
                }
            }
        }
        working.truncate(DEVICES);
        assert_eq!(working.len(), DEVICES);
    }
    let mut passphrase = program()
        .args(["passphrase", "--name", "Mara", "--data"])
        .arg(&data)
        .stdin(Stdio::piped())
        .stderr(Stdio::null())
        .spawn()
        .unwrap();
    passphrase.stdin.take().unwrap().write_all(b"lantern on the quay\n").unwrap();
    assert!(passphrase.wait().unwrap().success());
    let alone = folder.join("alone");
    fs::create_dir(&alone).unwrap();
    fs::rename(&data, alone.join("template")).unwrap();
    let host = serve(&["--schools"], &alone);
    let mut device = Device::new(&host.1, "");
    let signed = json!({ "name": "Mara", "passphrase": "lantern on the quay" });
    let (status, _, cookie) = device.ask("POST", "/s/template/api/sign-in", Some(&signed));
    assert_eq!(status, 204);
    (working, cookie)
}

/// Memory that the program holds, kB.
fn memory(serving: &Serving) -> u64 {
    let status = fs::read_to_string(format!("/proc/{}/status", serving.0.id())).unwrap();
    let line = status.lines().find(|line| line.starts_with("VmRSS")).unwrap();
    line.split_whitespace().nth(1).unwrap().parse().unwrap()
}

fn told(what: &str, mut times: Vec<Duration>) {
    times.sort();
    let at = |share: f64| times[((times.len() as f64 * share) as usize).min(times.len() - 1)].as_secs_f64() * 1000.0;
    println!(
        "{what}: {} times, half under {:.1} ms, 99 of 100 under {:.1} ms, longest {:.1} ms",
        times.len(),
        at(0.5),
        at(0.99),
        at(1.0)
    );
}

/// One device of a class, for so long.
fn marks(at: &str, cookie: &str, school: usize, student: i64, begin: Duration, until: Instant) -> (Vec<Duration>, Vec<Duration>) {
    std::thread::sleep(begin);
    let mut device = Device::new(at, cookie);
    let (mut marked, mut read) = (Vec::new(), Vec::new());
    let mut grip = false;
    let mut next = Instant::now();
    while Instant::now() < until {
        grip = !grip;
        let mark = json!({ "student_id": student, "what": { "kind": if grip { "grip" } else { "hold" } } });
        let began = Instant::now();
        let (status, body, _) = device.ask("POST", &format!("/s/school-{school}/api/lessons/5/marks"), Some(&mark));
        marked.push(began.elapsed());
        assert_eq!(status, 201, "{body}");
        let began = Instant::now();
        let (status, _, _) = device.ask("GET", &format!("/s/school-{school}/api/lessons/5/class"), None);
        read.push(began.elapsed());
        assert_eq!(status, 200);
        next += EVERY;
        std::thread::sleep(next.saturating_duration_since(Instant::now()));
    }
    (marked, read)
}

fn main() {
    let asked: Vec<u64> = std::env::args().filter_map(|argument| argument.parse().ok()).collect();
    let number = |at: usize, usual: u64| asked.get(at).copied().unwrap_or(usual);
    let (schools, in_class, seconds) = (number(0, 1000) as usize, number(1, 100) as usize, number(2, 60));
    let folder = TempDir::new().unwrap();
    let (working, cookie) = template(folder.path());
    let host = folder.path().join("host");
    for school in 0..schools {
        let data = host.join(format!("school-{school}"));
        fs::create_dir_all(&data).unwrap();
        fs::copy(folder.path().join("alone/template/yard-notch.db"), data.join("yard-notch.db")).unwrap();
    }
    // What was written for this must not be what the marks wait for.
    assert!(Command::new("sync").status().unwrap().success());
    let serving = serve(&["--schools"], &host);
    let closed = memory(&serving);
    println!("{schools} schools, all closed: {} MB", closed / 1024);
    let mut device = Device::new(&serving.1, &cookie);
    let first = (0..schools).map(|school| {
        let began = Instant::now();
        assert_eq!(device.ask("GET", &format!("/s/school-{school}/api/courses"), None).0, 200);
        began.elapsed()
    });
    told("First answer of a closed school", first.collect());
    let opened = memory(&serving);
    std::thread::sleep(Duration::from_secs(30));
    let idle = memory(&serving);
    println!(
        "All open: {} MB; idle for half a minute: {} MB, {} kB each",
        opened / 1024,
        idle / 1024,
        idle.saturating_sub(closed) / schools as u64
    );
    let until = Instant::now() + Duration::from_secs(seconds);
    let (mut marked, mut read) = (Vec::new(), Vec::new());
    std::thread::scope(|scope| {
        let mut devices = Vec::new();
        for school in 0..in_class {
            for (number, student) in working.iter().enumerate() {
                // Not all in the same moment: hands are not.
                let begin = EVERY.mul_f64(((school * DEVICES + number) * 37 % 300) as f64 / 300.0);
                let (at, cookie) = (&serving.1, &cookie);
                devices.push(scope.spawn(move || marks(at, cookie, school, *student, begin, until)));
            }
        }
        for device in devices {
            let (of_marks, of_reads) = device.join().unwrap();
            marked.extend(of_marks);
            read.extend(of_reads);
        }
    });
    println!("{in_class} schools in class, {DEVICES} devices each, a mark each {} s, for {seconds} s:", EVERY.as_secs());
    told("A mark", marked.clone());
    told("The class, read after it", read.clone());
    told("Both", marked.into_iter().chain(read).collect());
    println!("Memory then: {} MB", memory(&serving) / 1024);
}
