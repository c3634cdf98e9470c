-- Doctrines get their own word, a course its time zone, a student a special clearance of its own.
ALTER TABLE course RENAME COLUMN schools_json TO doctrines_json;
ALTER TABLE course ADD COLUMN time_zone TEXT NOT NULL DEFAULT 'UTC';

ALTER TABLE student ADD COLUMN special_clearance INTEGER NOT NULL DEFAULT 0 CHECK (special_clearance IN (0, 1));
-- Until now the last length of the ladder stood for it.
UPDATE student SET special_clearance = 1 WHERE clearance >= 260;

-- Ticks of edges were kept under labels; they are kept under the id of the type now. The names are those
-- that were shipped until this step.
CREATE TEMP TABLE knife_short (id TEXT, short TEXT);
INSERT INTO knife_short VALUES
    ('chefs', 'Chef''s'),
    ('flat_chefs', 'Flat chef''s'),
    ('santoku', 'Santoku'),
    ('bunka', 'Bunka'),
    ('nakiri', 'Nakiri'),
    ('paring', 'Paring'),
    ('birds_beak', 'Bird''s-beak'),
    ('petty', 'Petty'),
    ('bread', 'Serrated'),
    ('tomato', 'Tomato'),
    ('slicer', 'Slicer'),
    ('single_bevel_slicer', 'Single-bevel'),
    ('boning', 'Boning'),
    ('fillet', 'Fillet'),
    ('cleaver', 'Cleaver');
UPDATE check_tick SET item = coalesce((
    SELECT substr(item, 1, instr(item, ':')) || id || ':' || substr(item, instr(item, ':') + length(short) + 2)
    FROM knife_short
    WHERE substr(item, instr(item, ':') + 1, length(short) + 1) = short || ' '
      AND substr(item, instr(item, ':') + length(short) + 2) GLOB '[0-9]*'
), item)
WHERE substr(item, 1, instr(item, ':')) IN ('test:', 'hone:', 'stone:', 'send:');
DROP TABLE knife_short;

-- Own foods get what can be done with the food that they were copied from.
UPDATE own_value SET value_json = json_set(value_json, '$.food.traits', json(CASE json_extract(value_json, '$.based_on')
    WHEN 'carrot' THEN '["peels","turns"]'
    WHEN 'sweet_potato' THEN '["peels","turns"]'
    WHEN 'celeriac' THEN '["peels","turns"]'
    WHEN 'swede' THEN '["peels","turns"]'
    WHEN 'kohlrabi' THEN '["peels","turns"]'
    WHEN 'daikon' THEN '["peels","turns"]'
    WHEN 'pineapple' THEN '["peels","turns"]'
    WHEN 'melon' THEN '["peels","turns"]'
    WHEN 'potato' THEN '["sticks","peels","turns","pastes"]'
    WHEN 'onion' THEN '["peels","pastes"]'
    WHEN 'shallot' THEN '["peels","pastes"]'
    WHEN 'tomato' THEN '["peels","pastes"]'
    WHEN 'mushroom' THEN '["peels","pastes"]'
    WHEN 'garlic' THEN '["peels","pastes","crushes"]'
    WHEN 'celery' THEN '["peels"]'
    WHEN 'courgette' THEN '["peels"]'
    WHEN 'cucumber' THEN '["peels"]'
    WHEN 'leek' THEN '["peels","leaves"]'
    WHEN 'beetroot' THEN '["peels","turns","pastes"]'
    WHEN 'ginger' THEN '["peels","turns","pastes"]'
    WHEN 'bell_pepper' THEN '["peels","cored"]'
    WHEN 'cabbage' THEN '["peels","cored","leaves","turns"]'
    WHEN 'fennel' THEN '["peels","cored","leaves","turns","pastes"]'
    WHEN 'butternut' THEN '["peels","cored","turns"]'
    WHEN 'apple' THEN '["peels","cored","turns","pastes"]'
    WHEN 'pear' THEN '["peels","cored","turns","pastes"]'
    WHEN 'lemon' THEN '["peels","segments","pastes"]'
    WHEN 'lime' THEN '["peels","segments","pastes"]'
    WHEN 'orange' THEN '["peels","segments","pastes"]'
    WHEN 'strawberry' THEN '["peels","cored","pastes"]'
    WHEN 'parsley' THEN '["leaves","pastes"]'
    WHEN 'dill' THEN '["leaves","pastes"]'
    WHEN 'chives' THEN '["leaves","pastes"]'
    WHEN 'basil' THEN '["leaves","pastes"]'
    WHEN 'bread' THEN '[]'
    WHEN 'raw_poultry' THEN '[]'
    WHEN 'raw_fish' THEN '[]'
    WHEN 'poultry_joint' THEN '["joints"]'
    WHEN 'whole_fish' THEN '["fish_bone"]'
    ELSE '[]' END)) WHERE kind = 'food';

-- Writes of a device, by the id that it gave them: one that arrives again is answered, not done twice.
CREATE TABLE device_write (
    id         TEXT NOT NULL PRIMARY KEY CHECK (length(id) BETWEEN 8 AND 64),
    action     TEXT NOT NULL,
    made_json  TEXT NOT NULL,
    written_at TEXT NOT NULL
) STRICT;
CREATE INDEX device_write_by_time ON device_write (written_at);
