-- The tables that held lists of words in CHECK constraints, without them: core, the readers and StoredWordsTest hold the
-- words now, so that a new one rebuilds nothing. Run by V9TheStore with foreign keys off, in one transaction.
-- What is ordered by more than its own table has a moment: the number of the write, in the order of all writes of the shop.

CREATE TABLE person_next (
    id            INTEGER PRIMARY KEY,
    name          TEXT    NOT NULL UNIQUE COLLATE NOCASE,
    password_hash TEXT    NOT NULL,
    role          TEXT    NOT NULL,
    made_at       INTEGER NOT NULL
) STRICT;
INSERT INTO person_next SELECT id, name, password_hash, role, made_at FROM person;

CREATE TABLE model_next (
    id      INTEGER PRIMARY KEY,
    maker   TEXT    NOT NULL,
    name    TEXT    NOT NULL,
    kind    TEXT    NOT NULL,
    version INTEGER NOT NULL DEFAULT 1,
    UNIQUE (maker, name)
) STRICT;
INSERT INTO model_next SELECT id, maker, name, kind, version FROM model;

CREATE TABLE job_next (
    id                 INTEGER PRIMARY KEY,
    unit_id            INTEGER NOT NULL REFERENCES unit (id),
    revision_id        INTEGER NOT NULL REFERENCES revision (id),
    ownership          TEXT    NOT NULL,
    owner_id           INTEGER REFERENCES owner (id),
    slot               TEXT    REFERENCES slot (name),
    complaint          TEXT    NOT NULL DEFAULT '',
    condition_words    TEXT    NOT NULL DEFAULT '',
    checked_in_at      INTEGER NOT NULL,
    checked_in_by      INTEGER NOT NULL REFERENCES person (id),
    due_at             INTEGER,
    teardown_id        INTEGER REFERENCES teardown (id),
    handed_over_at     INTEGER,
    handed_over_moment INTEGER,
    version            INTEGER NOT NULL DEFAULT 1,
    bench_version      INTEGER NOT NULL DEFAULT 0,
    lot_id             INTEGER REFERENCES lot (id),
    paid_minor         INTEGER CHECK (paid_minor >= 0),
    CHECK (ownership <> 'CUSTOMER' OR owner_id IS NOT NULL),
    CHECK ((handed_over_at IS NULL) = (handed_over_moment IS NULL))
) STRICT;
INSERT INTO job_next (id, unit_id, revision_id, ownership, owner_id, slot, complaint, condition_words, checked_in_at,
                      checked_in_by, due_at, teardown_id, handed_over_at, handed_over_moment, version, bench_version,
                      lot_id, paid_minor)
SELECT id, unit_id, revision_id, ownership, owner_id, slot, complaint, condition_words, checked_in_at,
       checked_in_by, due_at, teardown_id, handed_over_at,
       CASE WHEN handed_over_at IS NOT NULL
            THEN COALESCE((SELECT MAX(id) FROM journal
                           WHERE job_id = job.id AND subject = 'job' AND words LIKE 'Handed over%'),
                          (SELECT MAX(id) FROM journal WHERE job_id = job.id),
                          0)
       END,
       version, bench_version, lot_id, paid_minor
FROM job;

CREATE TABLE job_mark_next (
    job_id INTEGER NOT NULL REFERENCES job (id),
    mark   TEXT    NOT NULL,
    place  TEXT    NOT NULL DEFAULT '',
    PRIMARY KEY (job_id, mark)
) STRICT, WITHOUT ROWID;
INSERT INTO job_mark_next SELECT job_id, mark, place FROM job_mark;

CREATE TABLE hold_next (
    id       INTEGER PRIMARY KEY,
    job_id   INTEGER NOT NULL REFERENCES job (id),
    kind     TEXT    NOT NULL,
    why      TEXT    NOT NULL,
    from_at  INTEGER NOT NULL,
    until_at INTEGER,
    set_by   INTEGER NOT NULL REFERENCES person (id),
    ended_at INTEGER,
    ended_by INTEGER REFERENCES person (id),
    caution  INTEGER NOT NULL DEFAULT 0 CHECK (caution IN (0, 1))
) STRICT;
INSERT INTO hold_next
SELECT id, job_id, kind, why, from_at, until_at, set_by, ended_at, ended_by, caution FROM hold;

CREATE TABLE step_entry_next (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    step      TEXT    NOT NULL,
    direction TEXT    NOT NULL,
    undoes    INTEGER REFERENCES step_entry (id),
    moment    INTEGER NOT NULL,
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id)
) STRICT;
INSERT INTO step_entry_next
SELECT id, job_id, step, direction, undoes,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = step_entry.job_id AND subject = 'step' AND subject_id = step_entry.id),
                (SELECT MAX(id) FROM journal WHERE job_id = step_entry.job_id AND at <= step_entry.at),
                0),
       at, by
FROM step_entry;

CREATE TABLE ledger_entry_next (
    id            INTEGER PRIMARY KEY,
    job_id        INTEGER NOT NULL REFERENCES job (id),
    step_entry_id INTEGER REFERENCES step_entry (id),
    thing         TEXT    NOT NULL,
    kind          TEXT    NOT NULL,
    from_account  TEXT    NOT NULL,
    to_account    TEXT    NOT NULL,
    count         INTEGER NOT NULL CHECK (count > 0),
    reason        TEXT    NOT NULL DEFAULT '',
    basis         TEXT    NOT NULL DEFAULT 'COUNTED',
    undoes        INTEGER REFERENCES ledger_entry (id),
    moment        INTEGER NOT NULL,
    at            INTEGER NOT NULL,
    by            INTEGER NOT NULL REFERENCES person (id),
    CHECK (from_account <> to_account)
) STRICT;
INSERT INTO ledger_entry_next
SELECT id, job_id, step_entry_id, thing, kind, from_account, to_account, count, reason, basis, undoes,
       COALESCE((SELECT moment FROM step_entry_next WHERE id = ledger_entry.step_entry_id),
                (SELECT MIN(id) FROM journal
                 WHERE job_id = ledger_entry.job_id AND at = ledger_entry.at AND subject IN ('ledger', 'run')),
                (SELECT MAX(id) FROM journal WHERE job_id = ledger_entry.job_id AND at <= ledger_entry.at),
                0),
       at, by
FROM ledger_entry;

CREATE TABLE closing_next (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    for_now TEXT,
    moment  INTEGER NOT NULL,
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
INSERT INTO closing_next
SELECT id, job_id, for_now,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = closing.job_id AND subject = 'closing' AND subject_id = closing.id),
                (SELECT MAX(id) FROM journal WHERE job_id = closing.job_id AND at <= closing.at),
                0),
       at, by
FROM closing;

CREATE TABLE run_next (
    id             INTEGER PRIMARY KEY,
    job_id         INTEGER NOT NULL REFERENCES job (id),
    targets        TEXT    NOT NULL CHECK (json_valid(targets)),
    route          TEXT    NOT NULL CHECK (json_valid(route)),
    left_off_since INTEGER,
    rework         TEXT,
    words          TEXT    NOT NULL DEFAULT '',
    started_moment INTEGER NOT NULL,
    started_at     INTEGER NOT NULL,
    started_by     INTEGER NOT NULL REFERENCES person (id),
    closing_id     INTEGER REFERENCES closing (id)
) STRICT;
-- A run of a unit that lay open when runs began to be kept (V6) has no line: it began with its first step.
INSERT INTO run_next
SELECT id, job_id, targets, route, left_off_since, rework, words,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = run.job_id AND subject = 'run' AND subject_id = run.id AND words NOT LIKE 'Off since%'),
                (SELECT MIN(moment) FROM step_entry_next WHERE job_id = run.job_id AND at >= run.started_at),
                0),
       started_at, started_by, closing_id
FROM run;

CREATE TABLE finding_next (
    id              INTEGER PRIMARY KEY,
    job_id          INTEGER NOT NULL REFERENCES job (id),
    unit_id         INTEGER NOT NULL REFERENCES unit (id),
    revision_id     INTEGER NOT NULL REFERENCES revision (id),
    component_id    INTEGER NOT NULL REFERENCES component (id),
    fault_id        INTEGER NOT NULL REFERENCES fault (id),
    remedy          TEXT    NOT NULL,
    part_id         INTEGER REFERENCES part (id),
    part_count      INTEGER NOT NULL DEFAULT 0 CHECK (part_count >= 0),
    cost_minor      INTEGER NOT NULL DEFAULT 0,
    remark          TEXT    NOT NULL DEFAULT '',
    proof           TEXT,
    cause           TEXT,
    cause_confirmed INTEGER NOT NULL DEFAULT 0 CHECK (cause_confirmed IN (0, 1)),
    moment          INTEGER NOT NULL,
    at              INTEGER NOT NULL,
    by              INTEGER NOT NULL REFERENCES person (id),
    corrects        INTEGER REFERENCES finding (id),
    failed          INTEGER NOT NULL DEFAULT 0 CHECK (failed IN (0, 1)),
    struck_at       INTEGER,
    struck_by       INTEGER REFERENCES person (id),
    struck_why      TEXT
) STRICT;
INSERT INTO finding_next
SELECT id, job_id, unit_id, revision_id, component_id, fault_id, remedy, part_id, part_count, cost_minor, remark, proof,
       cause, cause_confirmed,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = finding.job_id AND subject = 'finding' AND subject_id = finding.id),
                (SELECT MAX(id) FROM journal WHERE job_id = finding.job_id AND at <= finding.at),
                0),
       at, by, corrects, failed, struck_at, struck_by, struck_why
FROM finding;

CREATE TABLE check_entry_next (
    id         INTEGER PRIMARY KEY,
    job_id     INTEGER NOT NULL REFERENCES job (id),
    stage      TEXT    NOT NULL,
    verdict    TEXT    NOT NULL,
    what       TEXT    NOT NULL,
    covers_on  INTEGER NOT NULL CHECK (covers_on IN (0, 1)),
    load       TEXT    NOT NULL DEFAULT '',
    times      INTEGER NOT NULL CHECK (times >= 0),
    remark     TEXT    NOT NULL DEFAULT '',
    moment     INTEGER NOT NULL,
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    corrects   INTEGER REFERENCES check_entry (id),
    struck_at  INTEGER,
    struck_by  INTEGER REFERENCES person (id),
    struck_why TEXT
) STRICT;
INSERT INTO check_entry_next
SELECT id, job_id, stage, verdict, what, covers_on, load, times, remark,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = check_entry.job_id AND subject = 'check' AND subject_id = check_entry.id),
                (SELECT MAX(id) FROM journal WHERE job_id = check_entry.job_id AND at <= check_entry.at),
                0),
       at, by, corrects, struck_at, struck_by, struck_why
FROM check_entry;

CREATE TABLE outcome_entry_next (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    outcome TEXT    NOT NULL,
    remark  TEXT    NOT NULL DEFAULT '',
    moment  INTEGER NOT NULL,
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
INSERT INTO outcome_entry_next
SELECT id, job_id, outcome, remark,
       COALESCE((SELECT MIN(id) FROM journal
                 WHERE job_id = outcome_entry.job_id AND subject = 'outcome' AND subject_id = outcome_entry.id),
                (SELECT MAX(id) FROM journal WHERE job_id = outcome_entry.job_id AND at <= outcome_entry.at),
                0),
       at, by
FROM outcome_entry;

CREATE TABLE proposal_next (
    id          INTEGER PRIMARY KEY,
    revision_id INTEGER NOT NULL REFERENCES revision (id),
    teardown_id INTEGER NOT NULL REFERENCES teardown (id),
    job_id      INTEGER REFERENCES job (id),
    step        TEXT    NOT NULL CHECK (json_valid(step)),
    why         TEXT    NOT NULL,
    made_at     INTEGER NOT NULL,
    made_by     INTEGER NOT NULL REFERENCES person (id),
    decision    TEXT,
    decided_at  INTEGER,
    decided_by  INTEGER REFERENCES person (id),
    decided_why TEXT    NOT NULL DEFAULT ''
) STRICT;
INSERT INTO proposal_next
SELECT id, revision_id, teardown_id, job_id, step, why, made_at, made_by, decision, decided_at, decided_by, decided_why
FROM proposal;

CREATE TABLE triage_next (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    way     TEXT    NOT NULL,
    why     TEXT    NOT NULL DEFAULT '',
    figures TEXT    NOT NULL CHECK (json_valid(figures)),
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
INSERT INTO triage_next SELECT id, job_id, way, why, figures, at, by FROM triage;

CREATE TABLE finding_symptom_next (
    finding_id INTEGER NOT NULL REFERENCES finding (id),
    symptom_id INTEGER NOT NULL REFERENCES symptom (id),
    change     TEXT    NOT NULL,
    PRIMARY KEY (finding_id, symptom_id)
) STRICT, WITHOUT ROWID;
INSERT INTO finding_symptom_next SELECT finding_id, symptom_id, change FROM finding_symptom;

CREATE TABLE component_look_next (
    id           INTEGER PRIMARY KEY,
    job_id       INTEGER NOT NULL REFERENCES job (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    good         INTEGER NOT NULL CHECK (good IN (0, 1)),
    means        TEXT    NOT NULL,
    words        TEXT    NOT NULL DEFAULT '',
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    struck_at    INTEGER,
    struck_by    INTEGER REFERENCES person (id)
) STRICT;
INSERT INTO component_look_next
SELECT id, job_id, component_id, good, means, words, at, by, struck_at, struck_by FROM component_look;

CREATE TABLE overruling_next (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    component TEXT    NOT NULL,
    wrong     TEXT    NOT NULL,
    word      TEXT    NOT NULL,
    why       TEXT    NOT NULL,
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id)
) STRICT;
INSERT INTO overruling_next SELECT id, job_id, component, wrong, word, why, at, by FROM overruling;

CREATE TABLE measurement_next (
    id         INTEGER PRIMARY KEY,
    job_id     INTEGER NOT NULL REFERENCES job (id),
    gauge      TEXT    NOT NULL,
    place      TEXT    NOT NULL,
    stage      TEXT    NOT NULL,
    good_unit  INTEGER NOT NULL CHECK (good_unit IN (0, 1)),
    instrument TEXT    NOT NULL,
    asked      TEXT    NOT NULL CHECK (json_valid(asked)),
    typed      TEXT    NOT NULL CHECK (json_valid(typed)),
    verdict    TEXT,
    words      TEXT    NOT NULL,
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    struck_at  INTEGER,
    struck_by  INTEGER REFERENCES person (id),
    struck_why TEXT
) STRICT;
INSERT INTO measurement_next
SELECT id, job_id, gauge, place, stage, good_unit, instrument, asked, typed, verdict, words, at, by, struck_at, struck_by,
       struck_why
FROM measurement;

CREATE TABLE reading_next (
    measurement_id INTEGER NOT NULL REFERENCES measurement (id),
    place          INTEGER NOT NULL,
    what           TEXT    NOT NULL,
    words          TEXT    NOT NULL,
    value          REAL,
    unit           TEXT    NOT NULL,
    min            REAL,
    max            REAL,
    uncertainty    REAL,
    state          TEXT,
    verdict        TEXT,
    PRIMARY KEY (measurement_id, place)
) STRICT, WITHOUT ROWID;
INSERT INTO reading_next
SELECT measurement_id, place, what, words, value, unit, min, max, uncertainty, state, verdict FROM reading;

-- A kept answer is which entry was made: what it says is read anew for a retry.
CREATE TABLE answered_next (
    person_id   INTEGER NOT NULL REFERENCES person (id),
    request     TEXT    NOT NULL,
    fingerprint TEXT    NOT NULL,
    made        INTEGER NOT NULL,
    at          INTEGER NOT NULL,
    PRIMARY KEY (person_id, request)
) STRICT, WITHOUT ROWID;
INSERT INTO answered_next
SELECT person_id, request, fingerprint,
       CASE WHEN json_type(answer) = 'object'
            THEN COALESCE(json_extract(answer, '$.id'), json_extract(answer, '$.proposalId'),
                          json_extract(answer, '$.jobId'),
                          (SELECT id FROM teardown
                           WHERE revision_id = json_extract(answer, '$.revisionId')
                             AND number = json_extract(answer, '$.number')),
                          0)
            ELSE 0
       END,
       at
FROM answered;

-- What is said about a job and never changes, from now on: docs/decisions/0013-the-store.md
CREATE TABLE entry (
    id         INTEGER PRIMARY KEY,
    job_id     INTEGER NOT NULL REFERENCES job (id),
    kind       TEXT    NOT NULL,
    form       INTEGER NOT NULL CHECK (form >= 1),
    said       TEXT    NOT NULL CHECK (json_valid(said)),
    answers    INTEGER REFERENCES entry (id),
    takes_back INTEGER REFERENCES entry (id),
    moment     INTEGER NOT NULL,
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id)
) STRICT;

-- Names, contacts and an owner's own words: beside what never changes, so that they can be emptied.
CREATE TABLE entry_private (
    entry_id INTEGER PRIMARY KEY REFERENCES entry (id),
    said     TEXT    NOT NULL CHECK (json_valid(said))
) STRICT;
CREATE TABLE journal_private (
    journal_id INTEGER PRIMARY KEY REFERENCES journal (id),
    words      TEXT    NOT NULL
) STRICT;

ALTER TABLE journal ADD COLUMN moment INTEGER NOT NULL DEFAULT 0;
UPDATE journal SET moment = id;
