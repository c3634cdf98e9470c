-- How an exercise is made, where that is not the course's usual: sizes of its own, the way, the produce.
ALTER TABLE exercise ADD COLUMN making_json TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(making_json));
