-- Check-in as a conversation and diagnosis: words by kind that can be merged, photos and places of what came in damaged, lots and
-- sales, what was seen of components, what a remedy changed, crossed tries, overrulings.
ALTER TABLE symptom ADD COLUMN kinds TEXT NOT NULL DEFAULT '[]' CHECK (json_valid(kinds));
-- A merged word stays as it was said; whoever reads it follows it to the word it now counts as.
ALTER TABLE symptom ADD COLUMN merged_into INTEGER REFERENCES symptom (id);

UPDATE symptom SET kinds = '["CONSOLE","PLAYER","DRIVE"]'
WHERE name IN ('does not take disc', 'throws disc out', 'skips or sticks', 'does not spin', 'rattles while spinning');
UPDATE symptom SET kinds = '["CONSOLE","COMPUTER","PLAYER","DRIVE"]' WHERE name IN ('does not read', 'door does not open');
UPDATE symptom SET kinds = '["PLAYER"]'
WHERE name IN ('eats tape', 'plays slow or wavers', 'one side silent', 'display dark');
UPDATE symptom SET kinds = '["CONSOLE","COMPUTER"]' WHERE name IN ('no picture', 'picture rolls or tears', 'restarts when moved');
UPDATE symptom SET kinds = '["CONSOLE","COMPUTER","DRIVE"]' WHERE name = 'does not save';
UPDATE symptom SET kinds = '["CONSOLE","COMPUTER","PLAYER"]' WHERE name IN ('no sound', 'hums', 'keys dead', 'keys need force');

ALTER TABLE job_mark ADD COLUMN place TEXT NOT NULL DEFAULT '';

CREATE TABLE job_photo (
    job_id INTEGER NOT NULL REFERENCES job (id),
    place  INTEGER NOT NULL,
    hash   TEXT    NOT NULL REFERENCES photo (hash),
    words  TEXT    NOT NULL DEFAULT '',
    PRIMARY KEY (job_id, place)
) STRICT, WITHOUT ROWID;

ALTER TABLE belonging ADD COLUMN back INTEGER CHECK (back IN (0, 1));
ALTER TABLE belonging ADD COLUMN why TEXT NOT NULL DEFAULT '';

CREATE TABLE lot (
    id      INTEGER PRIMARY KEY,
    source  TEXT    NOT NULL,
    came_at INTEGER NOT NULL,
    made_by INTEGER NOT NULL REFERENCES person (id)
) STRICT;
ALTER TABLE job ADD COLUMN lot_id INTEGER REFERENCES lot (id);
ALTER TABLE job ADD COLUMN paid_minor INTEGER CHECK (paid_minor >= 0);
CREATE INDEX job_by_lot ON job (lot_id) WHERE lot_id IS NOT NULL;

-- The last one given stands.
CREATE TABLE triage (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    way     TEXT    NOT NULL CHECK (way IN ('MEND', 'SELL_AS_IS', 'KEEP_FOR_PARTS', 'SCRAP')),
    why     TEXT    NOT NULL DEFAULT '',
    figures TEXT    NOT NULL CHECK (json_valid(figures)),
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX triage_by_job ON triage (job_id);

-- The last one said stands.
CREATE TABLE sale (
    id     INTEGER PRIMARY KEY,
    job_id INTEGER NOT NULL REFERENCES job (id),
    minor  INTEGER NOT NULL CHECK (minor >= 0),
    worked INTEGER NOT NULL CHECK (worked IN (0, 1)),
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX sale_by_job ON sale (job_id);

ALTER TABLE finding ADD COLUMN proof TEXT CHECK (proof IN ('LOOKED', 'MEASURED', 'TAKEN_OUT', 'SWAPPED'));
ALTER TABLE finding ADD COLUMN failed INTEGER NOT NULL DEFAULT 0 CHECK (failed IN (0, 1));
ALTER TABLE finding ADD COLUMN cause TEXT CHECK (cause IN ('AGE', 'FALL', 'LIQUID', 'HEAT', 'EARLIER_REPAIR',
                                                           'OWNER_TREATMENT', 'STORAGE'));
ALTER TABLE finding ADD COLUMN cause_confirmed INTEGER NOT NULL DEFAULT 0 CHECK (cause_confirmed IN (0, 1));

CREATE INDEX finding_by_fault ON finding (fault_id, part_id) WHERE part_id IS NOT NULL;

CREATE TABLE finding_symptom (
    finding_id INTEGER NOT NULL REFERENCES finding (id),
    symptom_id INTEGER NOT NULL REFERENCES symptom (id),
    change     TEXT    NOT NULL CHECK (change IN ('WENT', 'STAYED', 'CAME')),
    PRIMARY KEY (finding_id, symptom_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE component_look (
    id           INTEGER PRIMARY KEY,
    job_id       INTEGER NOT NULL REFERENCES job (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    good         INTEGER NOT NULL CHECK (good IN (0, 1)),
    means        TEXT    NOT NULL CHECK (means IN ('LOOKED', 'MEASURED', 'TAKEN_OUT', 'SWAPPED')),
    words        TEXT    NOT NULL DEFAULT '',
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    struck_at    INTEGER,
    struck_by    INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX component_look_by_job ON component_look (job_id);

CREATE TABLE crossed_tries (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    grid      TEXT    NOT NULL CHECK (json_valid(grid)),
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id),
    struck_at INTEGER,
    struck_by INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX crossed_tries_by_job ON crossed_tries (job_id);

-- Where a person knows better than the odds. The last word on a fault stands.
CREATE TABLE overruling (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    component TEXT    NOT NULL,
    wrong     TEXT    NOT NULL,
    word      TEXT    NOT NULL CHECK (word IN ('THIS_FIRST', 'NOT_THIS', 'AS_COMPUTED')),
    why       TEXT    NOT NULL,
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX overruling_by_job ON overruling (job_id);
