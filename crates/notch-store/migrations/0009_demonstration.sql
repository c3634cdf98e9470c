-- The sharp–dull lesson: the same job with a sharp knife and with a dulled one, by the instructor.
CREATE TABLE demonstration (
    id                   INTEGER PRIMARY KEY,
    lesson_id            INTEGER NOT NULL REFERENCES lesson (id),
    shown_at             TEXT    NOT NULL,
    fields_json          TEXT    NOT NULL CHECK (json_valid(fields_json)),
    against_json         TEXT    NOT NULL CHECK (json_valid(against_json)),
    taken_back_json      TEXT CHECK (taken_back_json IS NULL OR json_valid(taken_back_json))
) STRICT;
CREATE INDEX demonstration_lesson ON demonstration (lesson_id);
