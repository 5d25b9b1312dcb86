-- Units that are kept for parts: where each stands, and when nothing of it is left. What is in one follows from its findings, looks and movements.
CREATE TABLE donor_word (
    id      INTEGER PRIMARY KEY,
    unit_id INTEGER NOT NULL REFERENCES unit (id),
    place   TEXT    NOT NULL,
    gone    INTEGER NOT NULL DEFAULT 0 CHECK (gone IN (0, 1)),
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX donor_word_of ON donor_word (unit_id, id);
CREATE TRIGGER donor_word_is_never_changed BEFORE UPDATE ON donor_word
BEGIN SELECT RAISE(ABORT, 'What is in donor_word is written once'); END;
CREATE TRIGGER donor_word_is_never_deleted BEFORE DELETE ON donor_word
BEGIN SELECT RAISE(ABORT, 'What is in donor_word is written once'); END;
CREATE INDEX outcome_kept_for_parts ON outcome_entry (job_id) WHERE outcome = 'KEPT_FOR_PARTS';

-- Out of which unit a part was taken, and what it was there.
ALTER TABLE part_movement ADD COLUMN donor_unit_id INTEGER REFERENCES unit (id);
ALTER TABLE part_movement ADD COLUMN donor_component_id INTEGER REFERENCES component (id);
CREATE INDEX part_movement_of_donor ON part_movement (donor_unit_id, donor_component_id, id) WHERE donor_unit_id IS NOT NULL;
ALTER TABLE part_told ADD COLUMN donor_unit_id INTEGER REFERENCES unit (id);
ALTER TABLE part_told ADD COLUMN donor_component_id INTEGER REFERENCES component (id);
DROP TRIGGER part_told_is_never_changed;
CREATE TRIGGER part_told_is_never_changed
BEFORE UPDATE OF id, job_id, part_id, words, came_from, teller, finding_id, press, thing, component_id, count, recipe, at, by,
    donor_unit_id, donor_component_id ON part_told
BEGIN SELECT RAISE(ABORT, 'What is in part_told is written once'); END;

-- What a line is wanted for: a finding of its job, or since the shop's own figures proposed it.
ALTER TABLE order_line ADD COLUMN finding_id INTEGER REFERENCES finding (id);
ALTER TABLE order_line ADD COLUMN proposed INTEGER NOT NULL DEFAULT 0 CHECK (proposed IN (0, 1));

CREATE INDEX part_in_drawer ON part (drawer, name);

-- How the supplier calls an order is told by its answers, and was never asked for.
ALTER TABLE part_order DROP COLUMN their_number;
-- When somebody asked that an order be handed over at its supplier's address, and when that took it. How much of the answers was read.
ALTER TABLE part_order ADD COLUMN asked_at INTEGER;
ALTER TABLE part_order ADD COLUMN handed_at INTEGER;
ALTER TABLE part_order ADD COLUMN heard INTEGER NOT NULL DEFAULT 0 CHECK (heard >= 0);
-- What came of the last try; empty if it went well. And what the supplier says that it cannot send, and why.
ALTER TABLE part_order ADD COLUMN trouble TEXT NOT NULL DEFAULT '';
ALTER TABLE part_order ADD COLUMN cannot TEXT NOT NULL DEFAULT '';

CREATE INDEX part_order_asked ON part_order (id) WHERE asked_at IS NOT NULL;

-- What is written to somebody outside. The letter itself lies as a file in the data folder's outbox.
CREATE TABLE letter (
    id       INTEGER PRIMARY KEY,
    file     TEXT    NOT NULL UNIQUE,
    recipient TEXT   NOT NULL,
    subject  TEXT    NOT NULL,
    order_id INTEGER REFERENCES part_order (id),
    at       INTEGER NOT NULL,
    by       INTEGER NOT NULL REFERENCES person (id),
    -- When a mail server took it; empty while it waits in the outbox.
    sent_at  INTEGER,
    trouble  TEXT    NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX letter_waits ON letter (id) WHERE sent_at IS NULL;
CREATE INDEX letter_of_order ON letter (order_id) WHERE order_id IS NOT NULL;
