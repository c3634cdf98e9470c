-- The rack register, edge care, check sheet and count, and the schools of a course.

-- Schools are one JSON object; the two that had columns of their own move into it.
ALTER TABLE course ADD COLUMN schools_json TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(schools_json));
ALTER TABLE course ADD COLUMN board_material TEXT NOT NULL DEFAULT 'wood'
    CHECK (board_material IN ('wood', 'rubber', 'plastic', 'glass', 'stone', 'ceramic'));
UPDATE course SET schools_json = json_object('index_on_spine', index_on_spine, 'towards_self', towards_self);
ALTER TABLE course DROP COLUMN index_on_spine;
ALTER TABLE course DROP COLUMN towards_self;

ALTER TABLE knife ADD COLUMN name       TEXT    NOT NULL DEFAULT '';
ALTER TABLE knife ADD COLUMN edge_angle REAL    CHECK (edge_angle > 0 AND edge_angle < 90);
ALTER TABLE knife ADD COLUMN bolster    TEXT    NOT NULL DEFAULT 'none' CHECK (bolster IN ('none', 'half', 'full'));
ALTER TABLE knife ADD COLUMN tang       TEXT    NOT NULL DEFAULT 'full' CHECK (tang IN ('full', 'partial'));
ALTER TABLE knife ADD COLUMN hollowed   INTEGER NOT NULL DEFAULT 0 CHECK (hollowed IN (0, 1));
ALTER TABLE knife ADD COLUMN handle     TEXT    NOT NULL DEFAULT '';
ALTER TABLE knife ADD COLUMN cost       REAL    CHECK (cost BETWEEN 0 AND 100000);
ALTER TABLE knife ADD COLUMN stored     TEXT    NOT NULL DEFAULT '';

-- The set of standards that an attempt was judged by; its figures are kept with the attempt.
ALTER TABLE attempt ADD COLUMN standard_set TEXT NOT NULL DEFAULT '';
UPDATE attempt SET standard_set = (
    SELECT course.standard_set FROM lesson JOIN course ON course.id = lesson.course_id WHERE lesson.id = attempt.lesson_id);
CREATE INDEX attempt_knife ON attempt (knife_id, on_day);
CREATE INDEX attempt_set ON attempt (standard_set);

CREATE TABLE care_event (
    id                   INTEGER PRIMARY KEY,
    knife_id             INTEGER NOT NULL REFERENCES knife (id),
    kind                 TEXT    NOT NULL
        CHECK (kind IN ('hone', 'stone', 'paper_test', 'tomato_test', 'sent_out', 'came_back', 'incident', 'habit')),
    on_day               TEXT    NOT NULL,
    written_at           TEXT    NOT NULL,
    deed_json            TEXT    NOT NULL CHECK (json_valid(deed_json)),
    words                TEXT    NOT NULL
) STRICT;
-- The latest deed of each kind is found without reading the others.
CREATE INDEX care_event_latest ON care_event (knife_id, kind, on_day);

CREATE TABLE check_tick (
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    item                 TEXT    NOT NULL CHECK (length(item) BETWEEN 1 AND 120),
    who                  TEXT    NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
    ticked_at            TEXT    NOT NULL,
    PRIMARY KEY (lesson_id, item)
) STRICT, WITHOUT ROWID;

CREATE TABLE knife_out (
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    knife_id             INTEGER NOT NULL REFERENCES knife (id),
    out_at               TEXT    NOT NULL,
    in_at                TEXT    CHECK (in_at IS NULL OR in_at >= out_at),
    PRIMARY KEY (lesson_id, knife_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE closing (
    lesson_id            INTEGER PRIMARY KEY REFERENCES lesson (id),
    closed_at            TEXT    NOT NULL,
    who                  TEXT    NOT NULL CHECK (length(who) BETWEEN 1 AND 60),
    words                TEXT    NOT NULL
) STRICT;

-- What the school edited or copied of the catalogue.
CREATE TABLE own_value (
    kind                 TEXT    NOT NULL CHECK (kind IN ('standard_set', 'tolerance', 'food', 'cue', 'thresholds')),
    id                   TEXT    NOT NULL CHECK (length(id) BETWEEN 1 AND 60),
    version              INTEGER NOT NULL DEFAULT 1,
    value_json           TEXT    NOT NULL CHECK (json_valid(value_json)),
    PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;
