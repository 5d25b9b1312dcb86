-- A unit goes out unfinished with its owner: no handover, the job stays open.
CREATE TABLE loan (
    id          INTEGER PRIMARY KEY,
    job_id      INTEGER NOT NULL REFERENCES job (id),
    not_for     TEXT    NOT NULL,
    due_at      INTEGER,
    moment      INTEGER NOT NULL,
    at          INTEGER NOT NULL,
    by          INTEGER NOT NULL REFERENCES person (id),
    back_moment INTEGER,
    back_at     INTEGER,
    back_by     INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX loan_of_job ON loan (job_id, id);
CREATE UNIQUE INDEX loan_that_is_out ON loan (job_id) WHERE back_at IS NULL;

CREATE TRIGGER loan_keeps_what_it_was BEFORE UPDATE OF id, job_id, not_for, due_at, moment, at, by ON loan
BEGIN SELECT RAISE(ABORT, 'What is in loan is written once'); END;
CREATE TRIGGER loan_stays BEFORE DELETE ON loan
BEGIN SELECT RAISE(ABORT, 'What is in loan is never deleted'); END;

-- Where what no account holds can be reached, and that something temporary stays in until the next run.
ALTER TABLE temporary ADD COLUMN step TEXT;
ALTER TABLE temporary ADD COLUMN stays TEXT;
ALTER TABLE temporary ADD COLUMN stays_moment INTEGER;
ALTER TABLE temporary ADD COLUMN stays_at INTEGER;
ALTER TABLE fragment ADD COLUMN step TEXT;

-- What a thing is called, if it is on the mains side and was replaced: the electrical check follows.
ALTER TABLE ledger_entry ADD COLUMN mains TEXT;
CREATE INDEX ledger_of_mains ON ledger_entry (job_id) WHERE mains IS NOT NULL;
CREATE INDEX entry_electrical ON entry (job_id, id) WHERE kind = 'ELECTRICAL';

-- On a run, something that was back already was opened again; why is read off what just happened.
CREATE TABLE opened_again (
    id     INTEGER PRIMARY KEY,
    job_id INTEGER NOT NULL REFERENCES job (id),
    run_id INTEGER NOT NULL REFERENCES run (id),
    step   TEXT    NOT NULL,
    reason TEXT    NOT NULL,
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX opened_again_of_job ON opened_again (job_id);
CREATE INDEX opened_again_of_run ON opened_again (run_id);

-- Which reasons are usual is learned of the last ones.
CREATE INDEX check_not_tested ON check_entry (id) WHERE verdict = 'NOT_TESTED';

-- What the shop asks for after work on the mains side.
ALTER TABLE shop ADD COLUMN electrical_asked INTEGER NOT NULL DEFAULT 1 CHECK (electrical_asked IN (0, 1));
ALTER TABLE shop ADD COLUMN earth_ohm REAL NOT NULL DEFAULT 0.3;
ALTER TABLE shop ADD COLUMN earthed_mohm REAL NOT NULL DEFAULT 1;
ALTER TABLE shop ADD COLUMN double_mohm REAL NOT NULL DEFAULT 2;
ALTER TABLE shop ADD COLUMN electrical_rule TEXT NOT NULL DEFAULT '';
