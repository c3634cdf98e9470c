-- People who work here sign in by name; until now one passphrase was everybody's. What was changed is kept with
-- who changed it.
CREATE TABLE staff (
    id       INTEGER PRIMARY KEY,
    version  INTEGER NOT NULL DEFAULT 1,
    name     TEXT    NOT NULL CHECK (length(name) BETWEEN 1 AND 60),
    role     TEXT    NOT NULL CHECK (role IN ('instructor', 'assistant')),
    archived INTEGER NOT NULL DEFAULT 0 CHECK (archived IN (0, 1))
) STRICT;
CREATE UNIQUE INDEX staff_name ON staff (name COLLATE NOCASE) WHERE archived = 0;

CREATE TABLE staff_passphrase (
    staff_id INTEGER PRIMARY KEY REFERENCES staff (id),
    argon2id TEXT    NOT NULL
) STRICT;

CREATE TABLE staff_invitation (
    staff_id     INTEGER PRIMARY KEY REFERENCES staff (id),
    token_sha256 TEXT    NOT NULL UNIQUE,
    until        TEXT    NOT NULL
) STRICT;

CREATE TABLE staff_session (
    id           INTEGER PRIMARY KEY,
    token_sha256 TEXT    NOT NULL UNIQUE,
    staff_id     INTEGER NOT NULL REFERENCES staff (id),
    device       TEXT    NOT NULL,
    begun_at     TEXT    NOT NULL,
    until        TEXT    NOT NULL
) STRICT;
CREATE INDEX staff_session_staff ON staff_session (staff_id);

CREATE TABLE change_made (
    id         INTEGER PRIMARY KEY,
    at         TEXT    NOT NULL,
    staff_id   INTEGER REFERENCES staff (id),
    name       TEXT    NOT NULL,
    deed       TEXT    NOT NULL,
    subject    TEXT    NOT NULL,
    subject_id INTEGER
) STRICT;
CREATE INDEX change_made_at ON change_made (at);
CREATE INDEX change_made_staff ON change_made (staff_id, id);

INSERT INTO staff (id, name, role) SELECT 1, 'Instructor', 'instructor' FROM setting WHERE key = 'passphrase_argon2id';
INSERT INTO staff_passphrase (staff_id, argon2id) SELECT 1, value FROM setting WHERE key = 'passphrase_argon2id';
DELETE FROM setting WHERE key = 'passphrase_argon2id';
