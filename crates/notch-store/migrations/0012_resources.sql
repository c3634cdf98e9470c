-- What a course has beside its knives and the number of its boards: their size, sinks, containers, people who
-- watch, money for food. What nobody has said yet limits nothing.
ALTER TABLE course ADD COLUMN resources_json TEXT NOT NULL DEFAULT '{}';
