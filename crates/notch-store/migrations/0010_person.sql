-- A person belongs to the school, a student is a person in a course: hand, allergies, clearance and evidence
-- go along to the next course. Until now each student was a person of one course.
CREATE TABLE person (
    id                   INTEGER PRIMARY KEY,
    version              INTEGER NOT NULL DEFAULT 1,
    name                 TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
    hand                 TEXT    NOT NULL CHECK (hand IN ('right', 'left')),
    hand_size            TEXT    NOT NULL CHECK (hand_size IN ('small', 'medium', 'large')),
    clearance            REAL    NOT NULL CHECK (clearance BETWEEN 60 AND 400),
    special_clearance    INTEGER NOT NULL DEFAULT 0 CHECK (special_clearance IN (0, 1)),
    allergies_json       TEXT    NOT NULL CHECK (json_valid(allergies_json)),
    notes                TEXT    NOT NULL
) STRICT;
INSERT INTO person (id, version, name, hand, hand_size, clearance, special_clearance, allergies_json, notes)
    SELECT id, version, name, hand, hand_size, clearance, special_clearance, allergies_json, notes FROM student;

ALTER TABLE student ADD COLUMN person_id INTEGER REFERENCES person (id);
UPDATE student SET person_id = id;
ALTER TABLE student DROP COLUMN version;
ALTER TABLE student DROP COLUMN name;
ALTER TABLE student DROP COLUMN hand;
ALTER TABLE student DROP COLUMN hand_size;
ALTER TABLE student DROP COLUMN clearance;
ALTER TABLE student DROP COLUMN special_clearance;
ALTER TABLE student DROP COLUMN allergies_json;
ALTER TABLE student DROP COLUMN notes;
CREATE UNIQUE INDEX student_person ON student (person_id, course_id);
