//! Schools of earlier schemas.

use crate::common::Tested;
use notch_core::catalogue::{BoardMaterial, IndexOnSpine, TowardsSelf};
use notch_core::own::OwnKind;
use notch_core::people::Hand;
use notch_core::records::Bolster;
use notch_store::{DATABASE_FILE, Store};
use tempfile::TempDir;

#[test]
fn a_school_of_the_first_schema_keeps_its_schools_and_gets_the_new_columns() -> Tested {
    let folder = TempDir::new()?;
    let old = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    old.execute_batch(include_str!("../migrations/0001_initial.sql"))?;
    old.execute_batch(
        "INSERT INTO course VALUES (1, 3, 'Old', 'Harbour', 'room 4', 'adult', 'learner', 'metric', 'exam', 110, 8, 'tip_draw', 'never');
         INSERT INTO knife VALUES (1, 1, 0, '1', 'chefs', 200, 47, NULL, 'sharp', 'n');
         INSERT INTO student VALUES (1, 1, 1, 0, 'Ivo', 1, 'left', 'small', 180, '[]', '');
         INSERT INTO lesson VALUES (1, 1, 1, 1, 'First', '2026-09-08T18:30:00', 110);
         INSERT INTO exercise VALUES (1, 1, 1, 0, 'carrot', 'julienne', 'chefs', 200, 'pinch', 'claw', 'push', 'heel', '{\"kind\":\"pieces\",\"count\":40}', NULL, '[]');
         INSERT INTO attempt (student_id, lesson_id, exercise_id, knife_id, started_at, on_day, cut, target_json, tolerance_json)
         VALUES (1, 1, 1, 1, '2026-09-08T19:00:00.000Z', '2026-09-08', 'julienne', '{}', '{}');
         PRAGMA user_version = 1;",
    )?;
    drop(old);
    let store = Store::open(folder.path())?;
    let course = store.read(|reader| reader.course(1))?;
    assert_eq!((course.version, course.fields.doctrines.index_on_spine), (3, IndexOnSpine::TipDraw));
    assert_eq!((course.fields.doctrines.towards_self, course.fields.board_material), (TowardsSelf::Never, BoardMaterial::Wood));
    let knife = store.read(|reader| reader.knife(1))?;
    assert_eq!((knife.fields.bolster, knife.fields.cost, knife.fields.hollowed), (Bolster::None, None, false));
    let sizes = store.read(|reader| reader.uses_of_own(OwnKind::StandardSet, "metric"))?;
    assert_eq!((sizes.courses, sizes.attempts), (vec!["Old".to_owned()], 1));
    // Who was a student is a person now, with the same evidence.
    let student = store.read(|reader| reader.student(1))?;
    assert_eq!((student.fields.name.as_str(), student.fields.hand, student.fields.station), ("Ivo", Hand::Left, 1));
    let people = store.read(|reader| reader.people())?;
    assert_eq!((people.len(), people[0].courses[0].student_id, people[0].id), (1, 1, student.person_id));
    Ok(())
}

/// A school of the third schema: its doctrines were called schools, ticks were kept under labels.
#[test]
fn a_school_of_the_third_schema_gets_a_zone_and_keeps_its_doctrines_and_ticks() -> Tested {
    let folder = TempDir::new()?;
    let old = rusqlite::Connection::open(folder.path().join(DATABASE_FILE))?;
    old.execute_batch(include_str!("../migrations/0001_initial.sql"))?;
    old.execute_batch(include_str!("../migrations/0002_rack_and_schools.sql"))?;
    old.execute_batch(include_str!("../migrations/0003_making.sql"))?;
    old.execute_batch(
        r#"INSERT INTO course (id, version, name, school, place, age_band, pace, standard_set, tolerance, lesson_minutes, boards, board_material, schools_json)
           VALUES (1, 2, 'Old', 'Harbour', 'room 4', 'adult', 'learner', 'metric', 'exam', 110, 8, 'rubber', '{"onion_dice":"level_cut"}');
           INSERT INTO student VALUES (1, 1, 1, 0, 'Ivo', 1, 'left', 'small', 180, '[]', '');
           INSERT INTO lesson VALUES (1, 1, 1, 1, 'First', '2026-09-08T18:30:00', 110);
           INSERT INTO check_tick (lesson_id, item, who, ticked_at) VALUES
               (1, 'test:Flat chef''s 210', 'Mara', '2026-09-08T17:00:00.000Z'),
               (1, 'hone:Bird''s-beak 70', 'Mara', '2026-09-08T17:00:00.000Z'),
               (1, 'first_aid', 'Mara', '2026-09-08T17:00:00.000Z');
           PRAGMA user_version = 3;"#,
    )?;
    drop(old);
    let store = Store::open(folder.path())?;
    let course = store.read(|reader| reader.course(1))?;
    assert_eq!(course.fields.doctrines.onion_dice, notch_core::catalogue::OnionDice::LevelCut);
    assert_eq!(course.fields.time_zone, notch_store::machine_zone());
    assert_eq!(course.fields.resources, notch_core::resources::Resources::default(), "nothing is limited by what nobody said");
    assert!(!store.read(|reader| reader.student(1))?.fields.special_clearance);
    let ticks: std::collections::BTreeSet<String> =
        store.read(|reader| reader.check_ticks(1))?.into_iter().map(|tick| tick.item).collect();
    let expected = ["first_aid", "hone:birds_beak:70", "test:flat_chefs:210"];
    assert_eq!(ticks, expected.map(str::to_owned).into());
    Ok(())
}
