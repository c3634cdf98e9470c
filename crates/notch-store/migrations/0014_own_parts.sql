-- A part of a lesson can have a name of its own, and keep its minutes when the lesson runs over.
ALTER TABLE segment ADD COLUMN own_name TEXT;
ALTER TABLE segment ADD COLUMN fixed INTEGER NOT NULL DEFAULT 0 CHECK (fixed IN (0, 1));
