//! The folder of a host's schools.

use std::fs;
use std::time::Duration;

use notch_core::school::{SchoolCard, SchoolName, Standing};
use notch_store::{Schools, ServingLock, Store, StoreError};
use tempfile::TempDir;

fn name(text: &str) -> SchoolName {
    text.parse().unwrap()
}

fn schools() -> (TempDir, Schools) {
    let folder = TempDir::new().unwrap();
    let schools = Schools::in_folder(&folder.path().join("schools")).unwrap();
    (folder, schools)
}

fn set(store: &Store, value: &str) {
    store.write::<_, StoreError>(|writer| writer.set_setting("test", value)).unwrap();
}

fn kept(schools: &Schools, school: &str) -> Option<String> {
    Store::open(&schools.data(&name(school))).unwrap().read(|reader| reader.setting("test")).unwrap()
}

fn add(schools: &Schools, school: &str, value: &str) {
    schools
        .add(&name(school), &SchoolCard { title: value.to_owned(), ..SchoolCard::default() }, |store| {
            set(store, value);
            Ok(())
        })
        .unwrap();
}

#[test]
fn a_school_is_there_when_all_of_it_is() {
    let (_folder, schools) = schools();
    add(&schools, "quay", "first");
    assert!(schools.add(&name("quay"), &SchoolCard::default(), |_| Ok(())).unwrap_err().to_string().contains("is there already"));
    let failed = schools.add::<()>(&name("pier"), &SchoolCard::default(), |_| Err(StoreError::Conflict("no".to_owned())));
    assert!(failed.is_err());
    assert_eq!(schools.names().unwrap(), [name("quay")], "nothing half made is a school");
    // What was left half made is no obstacle.
    add(&schools, "pier", "second");
    assert_eq!((kept(&schools, "quay").as_deref(), kept(&schools, "pier").as_deref()), (Some("first"), Some("second")));
}

#[test]
fn a_school_is_renamed_only_when_its_server_has_let_go() {
    let (_folder, schools) = schools();
    add(&schools, "quay", "first");
    let served = Store::open_served(&schools.data(&name("quay"))).unwrap();
    let renaming = std::thread::spawn({
        let schools = schools.clone();
        move || schools.rename(&name("quay"), &name("pier"))
    });
    std::thread::sleep(Duration::from_millis(100));
    assert!(matches!(schools.card(&name("quay")).unwrap().standing, Standing::Held { .. }), "nobody is let in meanwhile");
    set(&served, "latest");
    drop(served);
    renaming.join().unwrap().unwrap();
    assert_eq!(schools.names().unwrap(), [name("pier")]);
    let card = schools.card(&name("pier")).unwrap();
    assert_eq!((card.standing, card.title.as_str()), (Standing::Open, "first"));
    assert_eq!(kept(&schools, "pier").as_deref(), Some("latest"));
    add(&schools, "quay", "another");
    assert!(schools.rename(&name("quay"), &name("pier")).unwrap_err().to_string().contains("is there already"));
    assert_eq!(schools.card(&name("quay")).unwrap().standing, Standing::Open, "and is let in to as before");
}

#[test]
fn a_school_is_never_in_two_places() {
    let (folder, here) = schools();
    let there = Schools::in_folder(&folder.path().join("there")).unwrap();
    add(&here, "quay", "first");
    // What a move that was broken off left behind.
    fs::create_dir(folder.path().join("there/.arriving-quay")).unwrap();
    fs::write(folder.path().join("there/.arriving-quay/yard-notch.db"), "half").unwrap();
    let moved = here.move_to(&name("quay"), &there, Some("https://there.example.org/s/quay".to_owned())).unwrap();
    assert!(moved.bytes > 0 && moved.standstill < Duration::from_secs(5), "{moved:?}");
    assert_eq!(kept(&there, "quay").as_deref(), Some("first"));
    assert_eq!(there.card(&name("quay")).unwrap().standing, Standing::Open);
    assert!(matches!(here.card(&name("quay")).unwrap().standing, Standing::Moved { to: Some(_) }));
    assert!(!here.data(&name("quay")).join("yard-notch.db").exists(), "nothing here is served by mistake");
    assert!(here.data(&name("quay")).join("as-it-left.db").is_file());
    assert!(here.move_to(&name("quay"), &there, None).unwrap_err().to_string().contains("on another host now"));
    assert!(here.archive(&name("quay"), false).is_err());
    add(&here, "pier", "second");
    add(&there, "pier", "other");
    assert!(here.move_to(&name("pier"), &there, None).unwrap_err().to_string().contains("is there already"));
    assert_eq!(here.card(&name("pier")).unwrap().standing, Standing::Open);
    assert!(here.move_to(&name("nobody"), &there, None).unwrap_err().to_string().contains("there is no school nobody"));
}

#[test]
fn a_school_whose_server_is_killed_is_served_again_and_small_when_nobody_asks() {
    let (_folder, schools) = schools();
    add(&schools, "quay", "first");
    let data = schools.data(&name("quay"));
    let store = Store::open_served(&data).unwrap();
    assert!(matches!(Store::open_served(&data), Err(StoreError::Served { .. })));
    store.be_small();
    set(&store, "second");
    assert_eq!(store.read(|reader| reader.setting("test")).unwrap().as_deref(), Some("second"));
    store.be_small();
    assert_eq!(store.read(|reader| reader.setting("test")).unwrap().as_deref(), Some("second"));
    drop(store);
    drop(ServingLock::take(&data).unwrap());
}
