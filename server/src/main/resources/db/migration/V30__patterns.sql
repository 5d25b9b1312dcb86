-- Whose parts came: what keeps coming back may be a supplier's. What came with an order until now says so in words.
ALTER TABLE part_movement ADD COLUMN supplier_id INTEGER REFERENCES supplier (id);
DROP TRIGGER part_movement_is_never_changed;
UPDATE part_movement
SET supplier_id = (SELECT supplier.id FROM supplier WHERE part_movement.why = 'from ' || supplier.name)
WHERE from_account = 'SUPPLIER' AND why GLOB 'from *';
CREATE TRIGGER part_movement_is_never_changed BEFORE UPDATE ON part_movement
BEGIN SELECT RAISE(ABORT, 'What is in part_movement is written once'); END;
CREATE INDEX part_movement_from ON part_movement (part_id) WHERE supplier_id IS NOT NULL;

-- What somebody said of a watch point that the shop's own figures proposed: the last word counts.
CREATE TABLE watch_word (
    id           INTEGER PRIMARY KEY,
    revision_id  INTEGER NOT NULL REFERENCES revision (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    word         TEXT    NOT NULL,
    words        TEXT    NOT NULL,
    -- How many it would have caught when this was said.
    events       INTEGER NOT NULL CHECK (events >= 0),
    -- What a miss cost then, in minor units.
    miss_minor   INTEGER NOT NULL CHECK (miss_minor >= 0),
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX watch_word_of ON watch_word (revision_id, component_id, id);
CREATE TRIGGER watch_word_is_never_changed BEFORE UPDATE ON watch_word
BEGIN SELECT RAISE(ABORT, 'What is in watch_word is written once'); END;
CREATE TRIGGER watch_word_is_never_deleted BEFORE DELETE ON watch_word
BEGIN SELECT RAISE(ABORT, 'What is in watch_word is written once'); END;
