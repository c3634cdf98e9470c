//! The schema, step by step. A step that was shipped is never changed: add another.

use rusqlite::Connection;
use rusqlite_migration::{M, Migrations};

const STEPS: &[M<'static>] = &[
    M::up(include_str!("../migrations/0001_initial.sql")),
    M::up(include_str!("../migrations/0002_rack_and_schools.sql")),
    M::up(include_str!("../migrations/0003_making.sql")),
    M::up(include_str!("../migrations/0004_doctrines_zones_and_devices.sql")),
    M::up(include_str!("../migrations/0005_taken_back.sql")),
    M::up(include_str!("../migrations/0006_whole.sql")),
    M::up(include_str!("../migrations/0007_whole_blade.sql")),
    M::up(include_str!("../migrations/0008_inspection.sql")),
    M::up(include_str!("../migrations/0009_demonstration.sql")),
    M::up(include_str!("../migrations/0010_person.sql")),
    M::up(include_str!("../migrations/0011_course_plan.sql")),
    M::up(include_str!("../migrations/0012_resources.sql")),
    M::up(include_str!("../migrations/0013_rotation.sql")),
    M::up(include_str!("../migrations/0014_own_parts.sql")),
    M::up(include_str!("../migrations/0015_produce.sql")),
    M::up(include_str!("../migrations/0016_staff.sql")),
    M::up(include_str!("../migrations/0017_run.sql")),
    M::up(include_str!("../migrations/0018_mark.sql")),
    M::up(include_str!("../migrations/0019_class.sql")),
];

pub(crate) const MIGRATIONS: Migrations<'static> = Migrations::from_slice(STEPS);

/// The first schema in which a course has a time zone.
pub(crate) const WITH_ZONES: i64 = 4;

/// The first schema in which a file says whether it is all.
pub(crate) const WITH_FILE_STATE: i64 = 6;

/// The newest schema that this program knows.
pub const fn schema_version() -> i64 {
    STEPS.len() as i64
}

/// The schema of an open file; 0 for an empty one.
pub(crate) fn found_version(connection: &Connection) -> rusqlite::Result<i64> {
    connection.query_row("PRAGMA user_version", [], |row| row.get(0))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn the_steps_are_valid() {
        MIGRATIONS.validate().unwrap();
    }

    #[test]
    fn the_newest_schema_is_reached_from_empty_and_from_every_earlier_version() {
        let tables = |connection: &Connection| -> Vec<String> {
            let mut statement = connection.prepare("SELECT sql FROM sqlite_schema WHERE sql IS NOT NULL ORDER BY name").unwrap();
            statement.query_map([], |row| row.get(0)).unwrap().collect::<Result<_, _>>().unwrap()
        };
        let mut fresh = Connection::open_in_memory().unwrap();
        MIGRATIONS.to_latest(&mut fresh).unwrap();
        for start in 0..STEPS.len() {
            let mut connection = Connection::open_in_memory().unwrap();
            MIGRATIONS.to_version(&mut connection, start).unwrap();
            MIGRATIONS.to_latest(&mut connection).unwrap();
            assert_eq!(tables(&connection), tables(&fresh), "from version {start}");
            assert_eq!(found_version(&connection).unwrap(), schema_version());
        }
    }

    #[test]
    fn every_table_is_strict() {
        let mut connection = Connection::open_in_memory().unwrap();
        MIGRATIONS.to_latest(&mut connection).unwrap();
        let loose: i64 = connection
            .query_row("SELECT count(*) FROM pragma_table_list WHERE schema = 'main' AND type = 'table' AND strict = 0 AND name NOT LIKE 'sqlite_%'", [], |row| row.get(0))
            .unwrap();
        assert_eq!(loose, 0);
    }
}
