-- The rotation of a lesson: what is known of the day, and what was announced.
CREATE TABLE rotation (
    lesson_id      INTEGER PRIMARY KEY REFERENCES lesson (id),
    version        INTEGER NOT NULL CHECK (version >= 1),
    fields_json    TEXT    NOT NULL,
    announced_json TEXT    NOT NULL
) STRICT;
