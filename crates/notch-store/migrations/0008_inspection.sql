-- A knife is looked over before it is bought, and the look is kept with its care. The table is made anew,
-- the check of its kinds with it.
CREATE TABLE care_event_new (
    id                   INTEGER PRIMARY KEY,
    knife_id             INTEGER NOT NULL REFERENCES knife (id),
    kind                 TEXT    NOT NULL
        CHECK (kind IN (
            'hone', 'stone', 'paper_test', 'tomato_test', 'sent_out', 'came_back', 'incident', 'habit', 'inspection')),
    on_day               TEXT    NOT NULL,
    written_at           TEXT    NOT NULL,
    deed_json            TEXT    NOT NULL CHECK (json_valid(deed_json)),
    words                TEXT    NOT NULL
) STRICT;
INSERT INTO care_event_new SELECT id, knife_id, kind, on_day, written_at, deed_json, words FROM care_event;
DROP TABLE care_event;
ALTER TABLE care_event_new RENAME TO care_event;
-- The latest deed of each kind is found without reading the others.
CREATE INDEX care_event_latest ON care_event (knife_id, kind, on_day);
