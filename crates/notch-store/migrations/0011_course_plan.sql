-- A course has goals, and an exercise is pinned to its lesson or may move when the course is drafted again.
-- What was made by hand until now stays where it is.
ALTER TABLE exercise ADD COLUMN pinned INTEGER NOT NULL DEFAULT 1 CHECK (pinned IN (0, 1));

CREATE TABLE goal (
    id        INTEGER PRIMARY KEY,
    course_id INTEGER NOT NULL REFERENCES course (id),
    position  INTEGER NOT NULL CHECK (position >= 0),
    cut       TEXT    NOT NULL,
    notch     TEXT    NOT NULL CHECK (notch IN ('safe', 'true', 'even', 'paced', 'held')),
    by_number INTEGER NOT NULL CHECK (by_number BETWEEN 1 AND 1000),
    UNIQUE (course_id, position)
) STRICT;
