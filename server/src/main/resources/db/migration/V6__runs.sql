-- Runs: from "off and unplugged" to closing, with the way that was chosen, what was passed over, and pauses; what no
-- account holds and yet keeps a unit from being closed; counts that nobody counted; closings for now; holds that are
-- cautions; calendars.
CREATE TABLE run (
    id             INTEGER PRIMARY KEY,
    job_id         INTEGER NOT NULL REFERENCES job (id),
    targets        TEXT    NOT NULL CHECK (json_valid(targets)),
    route          TEXT    NOT NULL CHECK (json_valid(route)),
    left_off_since INTEGER,
    rework         TEXT CHECK (rework IN ('FORGOTTEN_PLUG', 'MISSED_CHECK', 'WRONG_PART', 'SECOND_FAULT', 'OTHER')),
    words          TEXT    NOT NULL DEFAULT '',
    started_at     INTEGER NOT NULL,
    started_by     INTEGER NOT NULL REFERENCES person (id),
    closing_id     INTEGER REFERENCES closing (id)
) STRICT;
CREATE INDEX run_by_job ON run (job_id);

-- Units that lie open now were begun before runs were kept.
INSERT INTO run (job_id, targets, route, started_at, started_by)
SELECT job_id, '[]', '[]', MIN(at), MIN(by)
FROM step_entry
WHERE job_id NOT IN (SELECT job_id FROM closing)
GROUP BY job_id;

CREATE TABLE skip (
    id     INTEGER PRIMARY KEY,
    job_id INTEGER NOT NULL REFERENCES job (id),
    run_id INTEGER NOT NULL REFERENCES run (id),
    step   TEXT    NOT NULL,
    reason TEXT    NOT NULL,
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX skip_by_run ON skip (run_id);

CREATE TABLE pause (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    from_at INTEGER NOT NULL,
    to_at   INTEGER,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX pause_by_job ON pause (job_id);

CREATE TABLE temporary (
    id       INTEGER PRIMARY KEY,
    job_id   INTEGER NOT NULL REFERENCES job (id),
    words    TEXT    NOT NULL,
    at       INTEGER NOT NULL,
    by       INTEGER NOT NULL REFERENCES person (id),
    ended_at INTEGER,
    ended_by INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX temporary_by_job ON temporary (job_id);

CREATE TABLE fragment (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    what      TEXT    NOT NULL,
    expected  INTEGER NOT NULL CHECK (expected > 0),
    found     INTEGER NOT NULL CHECK (found BETWEEN 0 AND expected),
    explained TEXT    NOT NULL DEFAULT '',
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX fragment_by_job ON fragment (job_id);

CREATE TABLE looked (
    job_id       INTEGER NOT NULL REFERENCES job (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    PRIMARY KEY (job_id, component_id)
) STRICT, WITHOUT ROWID;

ALTER TABLE closing ADD COLUMN for_now TEXT;

ALTER TABLE hold ADD COLUMN caution INTEGER NOT NULL DEFAULT 0 CHECK (caution IN (0, 1));

CREATE TABLE calendar (
    token      TEXT    PRIMARY KEY,
    person_id  INTEGER NOT NULL REFERENCES person (id),
    made_at    INTEGER NOT NULL,
    revoked_at INTEGER
) STRICT, WITHOUT ROWID;

-- Two more accounts, and how a count is known. A CHECK cannot be changed in place.
CREATE TABLE ledger_entry_next (
    id            INTEGER PRIMARY KEY,
    job_id        INTEGER NOT NULL REFERENCES job (id),
    step_entry_id INTEGER REFERENCES step_entry (id),
    thing         TEXT    NOT NULL,
    kind          TEXT    NOT NULL CHECK (kind IN ('FASTENER', 'CONNECTOR', 'PIECE')),
    from_account  TEXT    NOT NULL,
    to_account    TEXT    NOT NULL,
    count         INTEGER NOT NULL CHECK (count > 0),
    reason        TEXT    NOT NULL DEFAULT '',
    basis         TEXT    NOT NULL DEFAULT 'COUNTED' CHECK (basis IN ('COUNTED', 'TOLD', 'UNKNOWN')),
    undoes        INTEGER REFERENCES ledger_entry_next (id),
    at            INTEGER NOT NULL,
    by            INTEGER NOT NULL REFERENCES person (id),
    CHECK (from_account IN ('FITTED', 'TRAY', 'MISSING_ON_ARRIVAL', 'LOST', 'BROKEN', 'DESTROYED', 'REPLACED', 'LEFT_OUT',
                            'OUT_FOR_NOW')),
    CHECK (to_account IN ('FITTED', 'TRAY', 'MISSING_ON_ARRIVAL', 'LOST', 'BROKEN', 'DESTROYED', 'REPLACED', 'LEFT_OUT',
                          'OUT_FOR_NOW')),
    CHECK (from_account <> to_account)
) STRICT;
INSERT INTO ledger_entry_next (id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason, undoes, at, by)
SELECT id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason, undoes, at, by
FROM ledger_entry
ORDER BY id;
DROP TABLE ledger_entry;
ALTER TABLE ledger_entry_next RENAME TO ledger_entry;
CREATE INDEX ledger_entry_by_job ON ledger_entry (job_id);
