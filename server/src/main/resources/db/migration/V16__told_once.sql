-- Parts by double entry: every movement takes from one account what it adds to another. Stock, a job's parts and costs are sums over it.
CREATE TABLE part_movement (
    id           INTEGER PRIMARY KEY,
    part_id      INTEGER REFERENCES part (id),
    -- What it is called, if it is of no drawer: from a donor, made here, the owner's own.
    words        TEXT    NOT NULL DEFAULT '',
    count        INTEGER NOT NULL CHECK (count > 0),
    from_account TEXT    NOT NULL,
    to_account   TEXT    NOT NULL CHECK (to_account <> from_account),
    value_minor  INTEGER NOT NULL CHECK (value_minor >= 0),
    job_id       INTEGER REFERENCES job (id),
    finding_id   INTEGER REFERENCES finding (id),
    thing        TEXT,
    why          TEXT    NOT NULL,
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    CHECK ((part_id IS NULL) <> (words = ''))
) STRICT;

-- Who tells that a part went into a job's unit: a finding, the ledger, or nobody but whoever used it. Told twice, it happened once.
CREATE TABLE part_told (
    id           INTEGER PRIMARY KEY,
    job_id       INTEGER NOT NULL REFERENCES job (id),
    part_id      INTEGER REFERENCES part (id),
    words        TEXT    NOT NULL DEFAULT '',
    came_from    TEXT    NOT NULL,
    teller       TEXT    NOT NULL,
    finding_id   INTEGER REFERENCES finding (id),
    -- Of the ledger's entry that tells of it: the moment of the press.
    press        INTEGER,
    thing        TEXT,
    component_id INTEGER REFERENCES component (id),
    count        INTEGER NOT NULL CHECK (count > 0),
    recipe       TEXT,
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    back_at      INTEGER,
    back_by      INTEGER REFERENCES person (id),
    CHECK ((part_id IS NULL) <> (words = ''))
) STRICT;
CREATE INDEX part_told_of_job ON part_told (job_id) WHERE back_at IS NULL;
CREATE INDEX part_told_of_finding ON part_told (finding_id, part_id) WHERE finding_id IS NOT NULL;
CREATE INDEX part_told_recipes ON part_told (component_id, id) WHERE recipe IS NOT NULL AND back_at IS NULL;
CREATE INDEX part_told_used ON part_told (part_id, id) WHERE teller = 'USE' AND back_at IS NULL;

-- What was in the drawers' book. A booking of a finding costs what the finding said, any other what one costs today.
INSERT INTO part_movement (part_id, count, from_account, to_account, value_minor, job_id, finding_id, why, at, by)
SELECT stock_entry.part_id,
       ABS(change),
       CASE WHEN job_id IS NULL AND change > 0 THEN 'SUPPLIER' WHEN change > 0 THEN 'UNIT' ELSE 'DRAWER' END,
       CASE WHEN change > 0 THEN 'DRAWER' WHEN job_id IS NULL THEN 'LOST_COUNT' ELSE 'UNIT' END,
       COALESCE((SELECT cost_minor
                 FROM finding
                 WHERE finding.job_id = stock_entry.job_id AND finding.part_id = stock_entry.part_id AND finding.at = stock_entry.at
                   AND finding.part_count = -change),
                ABS(change) * each_minor),
       job_id,
       (SELECT finding.id
        FROM finding
        WHERE finding.job_id = stock_entry.job_id AND finding.part_id = stock_entry.part_id AND finding.at = stock_entry.at
          AND finding.part_count = -change),
       why, at, by
FROM stock_entry JOIN part ON part.id = stock_entry.part_id
ORDER BY stock_entry.id;

CREATE INDEX part_movement_of_part ON part_movement (part_id, from_account, to_account, count, value_minor);
CREATE INDEX part_movement_of_job ON part_movement (job_id, from_account, to_account, value_minor);

-- A struck finding gave back what it had taken, at what it had cost.
UPDATE part_movement
SET value_minor = COALESCE((SELECT taken.value_minor
                            FROM part_movement AS taken JOIN finding ON finding.id = taken.finding_id
                            WHERE taken.job_id = part_movement.job_id AND taken.part_id = part_movement.part_id
                              AND taken.count = part_movement.count AND finding.struck_at = part_movement.at),
                           value_minor)
WHERE from_account = 'UNIT';

-- Prices changed meanwhile: what lies in a drawer is worth what it costs today, and so was bought for what that and what was taken cost.
UPDATE part_movement
SET value_minor = value_minor
        + (SELECT part.count * each_minor FROM part WHERE part.id = part_movement.part_id)
        - (SELECT SUM(CASE WHEN to_account = 'DRAWER' THEN value_minor ELSE -value_minor END)
           FROM part_movement AS all_of_it
           WHERE all_of_it.part_id = part_movement.part_id)
WHERE id IN (SELECT MIN(id) FROM part_movement GROUP BY part_id);

INSERT INTO part_told (job_id, part_id, came_from, teller, finding_id, component_id, count, at, by, back_at, back_by)
SELECT job_id, part_id, 'DRAWER', 'FINDING', id, component_id, part_count, at, by, struck_at, struck_by
FROM finding
WHERE part_id IS NOT NULL;
-- What was taken at the bench stood beside the findings, even where it was the same part: two belts were taken for one.
INSERT INTO part_told (job_id, part_id, came_from, teller, count, at, by)
SELECT job_id, part_id, 'DRAWER', 'USE', count, at, by
FROM part_movement
WHERE from_account = 'DRAWER' AND job_id IS NOT NULL AND finding_id IS NULL;

DROP TABLE stock_entry;
ALTER TABLE part DROP COLUMN count;

DROP TRIGGER finding_is_never_changed;
DROP INDEX finding_by_fault;
ALTER TABLE finding DROP COLUMN part_id;
ALTER TABLE finding DROP COLUMN part_count;
ALTER TABLE finding DROP COLUMN cost_minor;
CREATE INDEX finding_by_fault ON finding (fault_id) WHERE struck_at IS NULL;
-- Findings are of a kind; until now each was a fault.
ALTER TABLE finding ADD COLUMN kind TEXT NOT NULL DEFAULT 'FAULT';
ALTER TABLE finding ADD COLUMN old_goes TEXT;
CREATE TRIGGER finding_is_never_changed
BEFORE UPDATE OF id, job_id, unit_id, revision_id, component_id, fault_id, remedy, kind, old_goes, remark, proof, cause, cause_confirmed,
    moment, at, by, corrects ON finding
BEGIN SELECT RAISE(ABORT, 'What is in finding is written once'); END;

CREATE TRIGGER part_movement_is_never_changed BEFORE UPDATE ON part_movement
BEGIN SELECT RAISE(ABORT, 'What is in part_movement is written once'); END;
CREATE TRIGGER part_movement_is_never_deleted BEFORE DELETE ON part_movement
BEGIN SELECT RAISE(ABORT, 'What is in part_movement is written once'); END;
CREATE TRIGGER part_movement_is_never_replaced BEFORE INSERT ON part_movement
WHEN EXISTS (SELECT 1 FROM part_movement WHERE id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'What is in part_movement is written once'); END;
CREATE TRIGGER part_told_is_never_changed
BEFORE UPDATE OF id, job_id, part_id, words, came_from, teller, finding_id, press, thing, component_id, count, recipe, at, by ON part_told
BEGIN SELECT RAISE(ABORT, 'What is in part_told is written once'); END;
CREATE TRIGGER part_told_is_never_deleted BEFORE DELETE ON part_told
BEGIN SELECT RAISE(ABORT, 'What is in part_told is written once'); END;
CREATE TRIGGER part_told_is_never_replaced BEFORE INSERT ON part_told
WHEN EXISTS (SELECT 1 FROM part_told WHERE id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'What is in part_told is written once'); END;

-- A look at the gate and a look on the sheet are one and the same evidence.
INSERT INTO component_look (job_id, component_id, good, means, words, at, by)
SELECT job_id, component_id, 1, 'LOOKED', '', at, by FROM looked ORDER BY at, job_id, component_id;
DROP TABLE looked;

-- Which thing of the notes bears a component, where what both are called does not say so; no thing if none does.
CREATE TABLE bears (
    revision_id  INTEGER NOT NULL REFERENCES revision (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    thing        TEXT,
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    PRIMARY KEY (revision_id, component_id)
) STRICT, WITHOUT ROWID;

-- Words for what is wrong that say the same: what was said stays as it was said, and counts as another word. In lower case.
CREATE TABLE wrong_word (
    said  TEXT    PRIMARY KEY,
    means TEXT    NOT NULL CHECK (means <> said),
    at    INTEGER NOT NULL,
    by    INTEGER NOT NULL REFERENCES person (id)
) STRICT, WITHOUT ROWID;
