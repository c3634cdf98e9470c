-- Lengths are millimetres. Moments are RFC 3339 in UTC, days and lesson times are by the school's
-- own clock. Columns named json hold values whose shape is a type of the core.

CREATE TABLE setting (
    key                  TEXT PRIMARY KEY,
    value                TEXT NOT NULL
) STRICT;

CREATE TABLE course (
    id                   INTEGER PRIMARY KEY,
    version              INTEGER NOT NULL DEFAULT 1,
    name                 TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
    school               TEXT    NOT NULL,
    place                TEXT    NOT NULL,
    age_band             TEXT    NOT NULL CHECK (age_band IN ('adult', 'child')),
    pace                 TEXT    NOT NULL CHECK (pace IN ('learner', 'improving', 'trained', 'fast')),
    standard_set         TEXT    NOT NULL,
    tolerance            TEXT    NOT NULL,
    lesson_minutes       INTEGER NOT NULL CHECK (lesson_minutes BETWEEN 10 AND 600),
    boards               INTEGER NOT NULL CHECK (boards BETWEEN 1 AND 60),
    index_on_spine       TEXT    NOT NULL,
    towards_self         TEXT    NOT NULL
) STRICT;

CREATE TABLE student (
    id                   INTEGER PRIMARY KEY,
    course_id            INTEGER NOT NULL REFERENCES course (id),
    version              INTEGER NOT NULL DEFAULT 1,
    archived             INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
    name                 TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
    station              INTEGER NOT NULL CHECK (station BETWEEN 1 AND 60),
    hand                 TEXT    NOT NULL CHECK (hand IN ('right', 'left')),
    hand_size            TEXT    NOT NULL CHECK (hand_size IN ('small', 'medium', 'large')),
    clearance            REAL    NOT NULL CHECK (clearance BETWEEN 60 AND 400),
    allergies_json       TEXT    NOT NULL CHECK (json_valid(allergies_json)),
    notes                TEXT    NOT NULL
) STRICT;
CREATE UNIQUE INDEX student_station ON student (course_id, station) WHERE archived = 0;

CREATE TABLE knife (
    id                   INTEGER PRIMARY KEY,
    version              INTEGER NOT NULL DEFAULT 1,
    archived             INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
    number               TEXT    NOT NULL CHECK (length(number) BETWEEN 1 AND 12),
    knife_type           TEXT    NOT NULL,
    length               REAL    NOT NULL CHECK (length BETWEEN 50 AND 400),
    heel_height          REAL    NOT NULL CHECK (heel_height BETWEEN 8 AND 120),
    hand                 TEXT    CHECK (hand IN ('right', 'left')),
    edge_state           TEXT    NOT NULL CHECK (edge_state IN ('sharp', 'dull')),
    note                 TEXT    NOT NULL
) STRICT;
CREATE UNIQUE INDEX knife_number ON knife (number COLLATE NOCASE) WHERE archived = 0;

CREATE TABLE lesson (
    id                   INTEGER PRIMARY KEY,
    course_id            INTEGER NOT NULL REFERENCES course (id),
    number               INTEGER NOT NULL CHECK (number >= 1),
    version              INTEGER NOT NULL DEFAULT 1,
    title                TEXT    NOT NULL CHECK (length(title) BETWEEN 1 AND 80),
    starts_at            TEXT    NOT NULL,
    minutes              INTEGER NOT NULL CHECK (minutes BETWEEN 10 AND 600),
    UNIQUE (course_id, number)
) STRICT;

CREATE TABLE exercise (
    id                   INTEGER PRIMARY KEY,
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    version              INTEGER NOT NULL DEFAULT 1,
    archived             INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1)),
    food                 TEXT    NOT NULL,
    cut                  TEXT    NOT NULL,
    knife_type           TEXT    NOT NULL,
    knife_length         REAL    NOT NULL,
    grip                 TEXT    NOT NULL,
    hold                 TEXT    NOT NULL,
    motion               TEXT    NOT NULL,
    third                TEXT    NOT NULL CHECK (third IN ('tip', 'middle', 'heel')),
    amount_json          TEXT    NOT NULL CHECK (json_valid(amount_json)),
    own_minutes          REAL    CHECK (own_minutes BETWEEN 0.5 AND 240),
    kept_warnings_json   TEXT    NOT NULL CHECK (json_valid(kept_warnings_json))
) STRICT;
CREATE INDEX exercise_lesson ON exercise (lesson_id);

CREATE TABLE segment (
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    position             INTEGER NOT NULL CHECK (position >= 0),
    kind                 TEXT    NOT NULL,
    minutes              INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 600),
    exercise_id          INTEGER REFERENCES exercise (id),
    PRIMARY KEY (lesson_id, position)
) STRICT;

CREATE TABLE attempt (
    id                   INTEGER PRIMARY KEY,
    student_id           INTEGER NOT NULL REFERENCES student (id),
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    exercise_id          INTEGER NOT NULL REFERENCES exercise (id),
    knife_id             INTEGER NOT NULL REFERENCES knife (id),
    version              INTEGER NOT NULL DEFAULT 1,
    started_at           TEXT    NOT NULL,
    stopped_at           TEXT    CHECK (stopped_at IS NULL OR stopped_at >= started_at),
    on_day               TEXT    NOT NULL,
    cut                  TEXT    NOT NULL,
    strand               TEXT    CHECK (strand IN ('chop', 'dice', 'julienne', 'slice')),
    target_json          TEXT    NOT NULL CHECK (json_valid(target_json)),
    tolerance_json       TEXT    NOT NULL CHECK (json_valid(tolerance_json)),
    reference_seconds    REAL    CHECK (reference_seconds > 0),
    grip_ticked          INTEGER NOT NULL DEFAULT 0 CHECK (grip_ticked IN (0, 1)),
    hold_ticked          INTEGER NOT NULL DEFAULT 0 CHECK (hold_ticked IN (0, 1))
) STRICT;
CREATE INDEX attempt_student ON attempt (student_id, started_at);
CREATE INDEX attempt_lesson ON attempt (lesson_id, started_at);
CREATE UNIQUE INDEX attempt_running_student ON attempt (student_id) WHERE stopped_at IS NULL;
CREATE UNIQUE INDEX attempt_running_knife ON attempt (knife_id) WHERE stopped_at IS NULL;

CREATE TABLE attempt_fault (
    attempt_id           INTEGER NOT NULL REFERENCES attempt (id),
    fault                TEXT    NOT NULL,
    PRIMARY KEY (attempt_id, fault)
) STRICT, WITHOUT ROWID;

CREATE TABLE sample (
    id                   INTEGER PRIMARY KEY,
    attempt_id           INTEGER NOT NULL REFERENCES attempt (id),
    custom               TEXT    NOT NULL CHECK (custom IN ('blind_ten', 'best_four')),
    taken_at             TEXT    NOT NULL,
    verdict_json         TEXT    NOT NULL CHECK (json_valid(verdict_json))
) STRICT;
CREATE INDEX sample_attempt ON sample (attempt_id);

CREATE TABLE piece (
    sample_id            INTEGER NOT NULL REFERENCES sample (id),
    position             INTEGER NOT NULL CHECK (position >= 0),
    thickness            REAL    NOT NULL CHECK (thickness > 0),
    width                REAL    CHECK (width > 0),
    length               REAL    CHECK (length > 0),
    far_width            REAL    CHECK (far_width > 0),
    PRIMARY KEY (sample_id, position)
) STRICT, WITHOUT ROWID;

CREATE TABLE incident (
    id                   INTEGER PRIMARY KEY,
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    student_id           INTEGER REFERENCES student (id),
    kind                 TEXT    NOT NULL CHECK (kind IN ('nick', 'near_miss')),
    happened_at          TEXT    NOT NULL,
    words                TEXT    NOT NULL CHECK (length(words) BETWEEN 1 AND 400)
) STRICT;
CREATE INDEX incident_lesson ON incident (lesson_id);
