-- What the instructor says about the food of a lesson.
ALTER TABLE lesson ADD COLUMN produce_json TEXT NOT NULL DEFAULT '{}' CHECK (json_valid(produce_json));
