-- What was kept by mistake, or twice, is taken back: it stays, with who and why, and counts no more.
ALTER TABLE sample ADD COLUMN taken_back_json TEXT CHECK (taken_back_json IS NULL OR json_valid(taken_back_json));
ALTER TABLE incident ADD COLUMN taken_back_json TEXT CHECK (taken_back_json IS NULL OR json_valid(taken_back_json));
