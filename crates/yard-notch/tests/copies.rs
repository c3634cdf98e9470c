//! Copies of a school and schools from copies, as a person at a terminal makes them.

#![allow(
    clippy::unwrap_used,
    clippy::expect_used,
    clippy::panic,
    missing_docs,
    reason = "a helper that cannot go on fails its test"
)]

use std::fs;
use std::io::{BufRead, BufReader};
use std::path::Path;
use std::process::{Child, Command, Output, Stdio};

use tempfile::TempDir;

fn run(arguments: &[&str]) -> Output {
    Command::new(env!("CARGO_BIN_EXE_yard-notch")).args(arguments).stdin(Stdio::null()).output().unwrap()
}

fn told(output: &Output) -> String {
    assert!(output.status.success(), "{output:?}");
    String::from_utf8(output.stdout.clone()).unwrap()
}

fn refused(output: &Output) -> String {
    assert!(!output.status.success(), "{output:?}");
    String::from_utf8(output.stderr.clone()).unwrap()
}

fn path(folder: &TempDir, name: &str) -> String {
    folder.path().join(name).to_str().unwrap().to_owned()
}

/// A served school, ended with the test.
struct Served(Child);

impl Served {
    fn demo(data: &str) -> Self {
        let mut child = Command::new(env!("CARGO_BIN_EXE_yard-notch"))
            .args(["serve", "--demo", "--data", data, "--listen", "127.0.0.1:0"])
            .stdout(Stdio::piped())
            .spawn()
            .unwrap();
        let mut line = String::new();
        BufReader::new(child.stdout.take().unwrap()).read_line(&mut line).unwrap();
        Served(child)
    }
}

impl Drop for Served {
    fn drop(&mut self) {
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

fn files(folder: &Path) -> Vec<String> {
    let entries = fs::read_dir(folder).unwrap();
    let mut names: Vec<String> = entries.map(|entry| entry.unwrap().file_name().to_string_lossy().into_owned()).collect();
    names.sort();
    names
}

#[test]
fn a_served_school_is_copied_and_put_back_only_when_it_is_served_no_more() {
    let folder = TempDir::new().unwrap();
    let (data, copy) = (path(&folder, "school"), path(&folder, "copy.db"));
    let served = Served::demo(&data);
    let words = told(&run(&["backup", "--data", &data, &copy]));
    assert!(words.contains("Copied and checked") && words.contains("2 courses, 20 students"), "{words}");
    assert!(refused(&run(&["backup", "--data", &data, &copy])).contains("is there already"));
    let words = refused(&run(&["restore", "--data", &data, "--yes", &copy]));
    assert!(words.contains("is served by another copy of this program"), "{words}");
    drop(served);
    let words = refused(&run(&["restore", "--data", &data, &copy]));
    assert!(words.contains("say --yes"), "{words}");
    let words = told(&run(&["restore", "--data", &data, "--yes", &copy]));
    assert!(words.contains("The school holds now: 2 courses") && words.contains("What was there is kept in"), "{words}");
    assert!(run(&["check", "--data", &data]).status.success());
    let aside = files(Path::new(&data)).into_iter().find(|name| name.starts_with("replaced-")).unwrap();
    assert!(run(&["check", "--data", &format!("{data}/{aside}")]).status.success());
}

#[test]
fn a_school_in_service_makes_its_first_copy_by_itself() {
    let folder = TempDir::new().unwrap();
    let data = path(&folder, "school");
    let served = Served::demo(&data);
    let copies = Path::new(&data).join("copies");
    let made = || copies.is_dir() && files(&copies).iter().any(|name| name.starts_with("school-"));
    for _ in 0..200 {
        if made() {
            break;
        }
        std::thread::sleep(std::time::Duration::from_millis(50));
    }
    assert!(made(), "{:?}", files(Path::new(&data)));
    drop(served);
    let name = files(&copies).into_iter().find(|name| name.starts_with("school-")).unwrap();
    let fresh = path(&folder, "fresh");
    let from = copies.join(name);
    assert!(told(&run(&["restore", "--data", &fresh, "--yes", from.to_str().unwrap()])).contains("Restored into"));
    assert!(run(&["check", "--data", &fresh]).status.success());
}

/// What a full disk does: the file cannot grow beyond so many blocks.
#[cfg(target_os = "linux")]
#[test]
fn a_copy_for_which_there_is_no_room_leaves_nothing_behind() {
    let folder = TempDir::new().unwrap();
    let data = path(&folder, "school");
    drop(Served::demo(&data));
    let target = TempDir::new().unwrap();
    let copy = path(&target, "copy.db");
    let script = format!(
        "trap '' XFSZ; ulimit -f 64; TMPDIR=/dev/shm exec {} backup --data {data} {copy}",
        env!("CARGO_BIN_EXE_yard-notch")
    );
    let output = Command::new("bash").args(["-c", &script]).output().unwrap();
    assert!(!output.status.success() && !output.stderr.is_empty(), "{output:?}");
    assert_eq!(files(target.path()), [""; 0]);
    assert!(run(&["check", "--data", &data]).status.success());
}
