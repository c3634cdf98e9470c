-- Tells a school's file from one of another program ("Ntch").
PRAGMA application_id = 1316250472;

-- Whether this one file is all of the school. Later changes stand in the file beside it (-wal) first.
CREATE TABLE file_state (
  id INTEGER PRIMARY KEY CHECK (id = 1),
  -- Changes that were kept so far.
  writes INTEGER NOT NULL CHECK (writes >= 0),
  -- The changes that this file held when later ones began to stand beside it; NULL when it holds all.
  open_since INTEGER CHECK (open_since BETWEEN 0 AND writes)
) STRICT;

INSERT INTO file_state (id, writes, open_since) VALUES (1, 0, NULL);
