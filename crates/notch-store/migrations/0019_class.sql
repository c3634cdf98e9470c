-- What a class needs beside its marks: briefings, where the stations stand, and what was done after a nick.
CREATE TABLE briefing (
    id            INTEGER PRIMARY KEY,
    lesson_id     INTEGER NOT NULL REFERENCES lesson (id),
    at            TEXT    NOT NULL,
    room          INTEGER NOT NULL CHECK (room IN (0, 1)),
    asked         INTEGER NOT NULL CHECK (asked >= 0),
    right_at_once INTEGER NOT NULL CHECK (right_at_once >= 0),
    passed        INTEGER NOT NULL CHECK (passed IN (0, 1)),
    answered_json TEXT    NOT NULL CHECK (json_valid(answered_json))
) STRICT;
CREATE INDEX briefing_lesson ON briefing (lesson_id);

CREATE TABLE briefed (
    briefing_id INTEGER NOT NULL REFERENCES briefing (id),
    student_id  INTEGER NOT NULL REFERENCES student (id),
    PRIMARY KEY (briefing_id, student_id)
) STRICT, WITHOUT ROWID;

-- In thousandths of the room, from its left and from its front.
CREATE TABLE station_place (
    course_id INTEGER NOT NULL REFERENCES course (id),
    station   INTEGER NOT NULL CHECK (station >= 1),
    x         INTEGER NOT NULL CHECK (x BETWEEN 0 AND 1000),
    y         INTEGER NOT NULL CHECK (y BETWEEN 0 AND 1000),
    PRIMARY KEY (course_id, station)
) STRICT, WITHOUT ROWID;

ALTER TABLE course ADD COLUMN briefing_first INTEGER NOT NULL DEFAULT 0 CHECK (briefing_first IN (0, 1));
ALTER TABLE incident ADD COLUMN place TEXT NOT NULL DEFAULT '';
ALTER TABLE incident ADD COLUMN first_aid TEXT NOT NULL DEFAULT '';
ALTER TABLE incident ADD COLUMN aid_by TEXT NOT NULL DEFAULT '';
