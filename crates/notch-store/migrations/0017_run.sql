-- What was done with the clock of a lesson. A step that was taken back stays and changes nothing.
CREATE TABLE run_step (
    id        INTEGER PRIMARY KEY,
    lesson_id INTEGER NOT NULL REFERENCES lesson (id),
    at        TEXT    NOT NULL,
    step_json TEXT    NOT NULL,
    undone    INTEGER NOT NULL DEFAULT 0 CHECK (undone IN (0, 1))
) STRICT;
CREATE INDEX run_step_lesson ON run_step (lesson_id);
