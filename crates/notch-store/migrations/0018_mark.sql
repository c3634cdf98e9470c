-- Marks of an attempt, one at a time, each with its moment and who made it. What was taken back stays and counts no more.
CREATE TABLE mark (
    id              INTEGER PRIMARY KEY,
    attempt_id      INTEGER NOT NULL REFERENCES attempt (id),
    kind            TEXT    NOT NULL CHECK (kind IN ('fault', 'grip', 'hold', 'praise', 'cleared')),
    fault           TEXT    CHECK ((kind = 'fault') = (fault IS NOT NULL)),
    at              TEXT    NOT NULL,
    made_by         TEXT,
    taken_back_json TEXT    CHECK (taken_back_json IS NULL OR json_valid(taken_back_json)),
    instead_of      INTEGER REFERENCES mark (id)
) STRICT;
CREATE INDEX mark_attempt ON mark (attempt_id);

INSERT INTO mark (attempt_id, kind, fault, at)
SELECT attempt_id, 'fault', fault, coalesce(stopped_at, started_at) FROM attempt_fault JOIN attempt ON attempt.id = attempt_id
UNION ALL
SELECT id, 'grip', NULL, coalesce(stopped_at, started_at) FROM attempt WHERE grip_ticked = 1
UNION ALL
SELECT id, 'hold', NULL, coalesce(stopped_at, started_at) FROM attempt WHERE hold_ticked = 1
ORDER BY 1;

DROP TABLE attempt_fault;
ALTER TABLE attempt DROP COLUMN grip_ticked;
ALTER TABLE attempt DROP COLUMN hold_ticked;
