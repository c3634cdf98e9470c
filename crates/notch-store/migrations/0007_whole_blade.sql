-- Some work takes the whole blade: a long draw, a peeler's stroke. The column is made anew, its check with it.
ALTER TABLE exercise ADD COLUMN of_blade TEXT NOT NULL DEFAULT 'whole'
    CHECK (of_blade IN ('tip', 'middle', 'heel', 'whole'));
UPDATE exercise SET of_blade = third;
ALTER TABLE exercise DROP COLUMN third;
ALTER TABLE exercise RENAME COLUMN of_blade TO third;
