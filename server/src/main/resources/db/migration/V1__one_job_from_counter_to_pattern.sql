-- Times are UTC epoch milliseconds, money integer minor units of the shop's one currency.

CREATE TABLE person (
    id            INTEGER PRIMARY KEY,
    name          TEXT    NOT NULL UNIQUE COLLATE NOCASE,
    password_hash TEXT    NOT NULL,
    role          TEXT    NOT NULL CHECK (role IN ('COUNTER', 'BENCH', 'LEAD')),
    made_at       INTEGER NOT NULL
) STRICT;

CREATE TABLE owner (
    id      INTEGER PRIMARY KEY,
    name    TEXT NOT NULL COLLATE NOCASE,
    contact TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX owner_by_name ON owner (name);

-- What units are -----------------------------------------------------------------------------------------------------

CREATE TABLE model (
    id      INTEGER PRIMARY KEY,
    maker   TEXT    NOT NULL,
    name    TEXT    NOT NULL,
    kind    TEXT    NOT NULL CHECK (kind IN ('CONSOLE', 'COMPUTER', 'PLAYER', 'DRIVE', 'OTHER')),
    version INTEGER NOT NULL DEFAULT 1,
    UNIQUE (maker, name)
) STRICT;

CREATE TABLE revision (
    id         INTEGER PRIMARY KEY,
    model_id   INTEGER NOT NULL REFERENCES model (id),
    name       TEXT    NOT NULL,
    tell_apart TEXT    NOT NULL DEFAULT '',
    version    INTEGER NOT NULL DEFAULT 1,
    UNIQUE (model_id, name)
) STRICT;

CREATE TABLE component (
    id       INTEGER PRIMARY KEY,
    model_id INTEGER NOT NULL REFERENCES model (id),
    name     TEXT    NOT NULL COLLATE NOCASE,
    UNIQUE (model_id, name)
) STRICT;

CREATE TABLE fault (
    id           INTEGER PRIMARY KEY,
    component_id INTEGER NOT NULL REFERENCES component (id),
    wrong        TEXT    NOT NULL COLLATE NOCASE,
    UNIQUE (component_id, wrong)
) STRICT;

-- A version of a revision's notes is written once and never changed: docs/decisions/0003-notes-are-versions.md
CREATE TABLE teardown (
    id          INTEGER PRIMARY KEY,
    revision_id INTEGER NOT NULL REFERENCES revision (id),
    number      INTEGER NOT NULL CHECK (number >= 1),
    steps       TEXT    NOT NULL CHECK (json_valid(steps)),
    why         TEXT    NOT NULL DEFAULT '',
    made_at     INTEGER NOT NULL,
    made_by     INTEGER NOT NULL REFERENCES person (id),
    UNIQUE (revision_id, number)
) STRICT;

-- Units and their stays -----------------------------------------------------------------------------------------------

CREATE TABLE slot (
    name  TEXT    PRIMARY KEY,
    shelf TEXT    NOT NULL,
    place INTEGER NOT NULL
) STRICT;

INSERT INTO slot (name, shelf, place)
SELECT shelf.value || place.value, shelf.value, place.value
FROM json_each('["A","B","C","D"]') AS shelf, json_each('[1,2,3,4,5,6]') AS place;

CREATE TABLE symptom (
    id   INTEGER PRIMARY KEY,
    area TEXT NOT NULL,
    name TEXT NOT NULL UNIQUE COLLATE NOCASE
) STRICT;

CREATE TABLE unit (
    id          INTEGER PRIMARY KEY,
    tag         INTEGER NOT NULL UNIQUE,
    serial      TEXT    NOT NULL DEFAULT '',
    revision_id INTEGER NOT NULL REFERENCES revision (id),
    made_at     INTEGER NOT NULL
) STRICT;
CREATE INDEX unit_by_serial ON unit (serial) WHERE serial <> '';

CREATE TABLE job (
    id              INTEGER PRIMARY KEY,
    unit_id         INTEGER NOT NULL REFERENCES unit (id),
    revision_id     INTEGER NOT NULL REFERENCES revision (id),
    ownership       TEXT    NOT NULL CHECK (ownership IN ('CUSTOMER', 'RESALE')),
    owner_id        INTEGER REFERENCES owner (id),
    slot            TEXT    REFERENCES slot (name),
    complaint       TEXT    NOT NULL DEFAULT '',
    condition_words TEXT    NOT NULL DEFAULT '',
    checked_in_at   INTEGER NOT NULL,
    checked_in_by   INTEGER NOT NULL REFERENCES person (id),
    due_at          INTEGER,
    teardown_id     INTEGER REFERENCES teardown (id),
    handed_over_at  INTEGER,
    version         INTEGER NOT NULL DEFAULT 1,
    bench_version   INTEGER NOT NULL DEFAULT 0,
    CHECK (ownership = 'RESALE' OR owner_id IS NOT NULL)
) STRICT;
CREATE INDEX job_by_unit ON job (unit_id);
CREATE INDEX job_by_revision ON job (revision_id);
CREATE INDEX job_open ON job (id) WHERE handed_over_at IS NULL;
CREATE INDEX job_done ON job (handed_over_at, revision_id, ownership) WHERE handed_over_at IS NOT NULL;
CREATE UNIQUE INDEX job_slot_taken ON job (slot) WHERE handed_over_at IS NULL AND slot IS NOT NULL;

CREATE TABLE job_symptom (
    job_id     INTEGER NOT NULL REFERENCES job (id),
    symptom_id INTEGER NOT NULL REFERENCES symptom (id),
    present    INTEGER NOT NULL CHECK (present IN (0, 1)),
    PRIMARY KEY (job_id, symptom_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE job_mark (
    job_id INTEGER NOT NULL REFERENCES job (id),
    mark   TEXT    NOT NULL CHECK (mark IN ('SEAL_WHOLE', 'SEAL_BROKEN', 'SEAL_OURS', 'SCREWS_MISSING', 'DENTS', 'BENT',
                                            'LIQUID', 'EARLIER_ATTEMPT', 'SWOLLEN_CELL', 'BURNT_SMELL')),
    PRIMARY KEY (job_id, mark)
) STRICT, WITHOUT ROWID;

CREATE TABLE belonging (
    job_id INTEGER NOT NULL REFERENCES job (id),
    place  INTEGER NOT NULL,
    name   TEXT    NOT NULL,
    PRIMARY KEY (job_id, place)
) STRICT, WITHOUT ROWID;

CREATE TABLE arrival_missing (
    job_id INTEGER NOT NULL REFERENCES job (id),
    thing  TEXT    NOT NULL,
    label  TEXT    NOT NULL,
    count  INTEGER NOT NULL CHECK (count > 0),
    PRIMARY KEY (job_id, thing)
) STRICT, WITHOUT ROWID;

CREATE TABLE hold (
    id       INTEGER PRIMARY KEY,
    job_id   INTEGER NOT NULL REFERENCES job (id),
    kind     TEXT    NOT NULL CHECK (kind IN ('CURE', 'DRY', 'REST', 'BLEED', 'SOAK', 'PART', 'OWNER')),
    why      TEXT    NOT NULL,
    from_at  INTEGER NOT NULL,
    until_at INTEGER,
    set_by   INTEGER NOT NULL REFERENCES person (id),
    ended_at INTEGER,
    ended_by INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX hold_by_job ON hold (job_id);

-- Bench ---------------------------------------------------------------------------------------------------------------

CREATE TABLE step_entry (
    id        INTEGER PRIMARY KEY,
    job_id    INTEGER NOT NULL REFERENCES job (id),
    step      TEXT    NOT NULL,
    direction TEXT    NOT NULL CHECK (direction IN ('IN', 'OUT')),
    undoes    INTEGER REFERENCES step_entry (id),
    at        INTEGER NOT NULL,
    by        INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX step_entry_by_job ON step_entry (job_id);

-- Double entry: whatever leaves one account enters another. Everything starts FITTED, as the notes say.
CREATE TABLE ledger_entry (
    id            INTEGER PRIMARY KEY,
    job_id        INTEGER NOT NULL REFERENCES job (id),
    step_entry_id INTEGER REFERENCES step_entry (id),
    thing         TEXT    NOT NULL,
    kind          TEXT    NOT NULL CHECK (kind IN ('FASTENER', 'CONNECTOR', 'PIECE')),
    from_account  TEXT    NOT NULL,
    to_account    TEXT    NOT NULL,
    count         INTEGER NOT NULL CHECK (count > 0),
    reason        TEXT    NOT NULL DEFAULT '',
    undoes        INTEGER REFERENCES ledger_entry (id),
    at            INTEGER NOT NULL,
    by            INTEGER NOT NULL REFERENCES person (id),
    CHECK (from_account IN ('FITTED', 'TRAY', 'MISSING_ON_ARRIVAL', 'LOST', 'BROKEN', 'REPLACED', 'LEFT_OUT')),
    CHECK (to_account IN ('FITTED', 'TRAY', 'MISSING_ON_ARRIVAL', 'LOST', 'BROKEN', 'REPLACED', 'LEFT_OUT')),
    CHECK (from_account <> to_account)
) STRICT;
CREATE INDEX ledger_entry_by_job ON ledger_entry (job_id);

CREATE TABLE closing (
    id     INTEGER PRIMARY KEY,
    job_id INTEGER NOT NULL REFERENCES job (id),
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX closing_by_job ON closing (job_id, at);

-- Findings, checks, outcomes ------------------------------------------------------------------------------------------

CREATE TABLE part (
    id         INTEGER PRIMARY KEY,
    drawer     TEXT    NOT NULL,
    name       TEXT    NOT NULL,
    what       TEXT    NOT NULL DEFAULT '',
    count      INTEGER NOT NULL CHECK (count >= 0),
    each_minor INTEGER NOT NULL CHECK (each_minor >= 0),
    version    INTEGER NOT NULL DEFAULT 1,
    UNIQUE (drawer, name)
) STRICT;

CREATE TABLE finding (
    id           INTEGER PRIMARY KEY,
    job_id       INTEGER NOT NULL REFERENCES job (id),
    unit_id      INTEGER NOT NULL REFERENCES unit (id),
    revision_id  INTEGER NOT NULL REFERENCES revision (id),
    component_id INTEGER NOT NULL REFERENCES component (id),
    fault_id     INTEGER NOT NULL REFERENCES fault (id),
    remedy       TEXT    NOT NULL CHECK (remedy IN ('REPLACED', 'CLEANED', 'REVIVED', 'STRAIGHTENED', 'RESEATED',
                                                    'LUBRICATED', 'ADJUSTED', 'RESOLDERED', 'OBJECT_REMOVED',
                                                    'IMPROVISED', 'LEFT_AS_IT_IS')),
    part_id      INTEGER REFERENCES part (id),
    part_count   INTEGER NOT NULL DEFAULT 0 CHECK (part_count >= 0),
    cost_minor   INTEGER NOT NULL DEFAULT 0,
    remark       TEXT    NOT NULL DEFAULT '',
    at           INTEGER NOT NULL,
    by           INTEGER NOT NULL REFERENCES person (id),
    corrects     INTEGER REFERENCES finding (id),
    struck_at    INTEGER,
    struck_by    INTEGER REFERENCES person (id),
    struck_why   TEXT
) STRICT;
CREATE INDEX finding_by_job ON finding (job_id);
CREATE INDEX finding_by_unit ON finding (unit_id, component_id, job_id) WHERE struck_at IS NULL;

CREATE TABLE stock_entry (
    id         INTEGER PRIMARY KEY,
    part_id    INTEGER NOT NULL REFERENCES part (id),
    change     INTEGER NOT NULL CHECK (change <> 0),
    why        TEXT    NOT NULL,
    job_id     INTEGER REFERENCES job (id),
    finding_id INTEGER REFERENCES finding (id),
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX stock_entry_by_part ON stock_entry (part_id);

CREATE TABLE check_entry (
    id         INTEGER PRIMARY KEY,
    job_id     INTEGER NOT NULL REFERENCES job (id),
    stage      TEXT    NOT NULL CHECK (stage IN ('ARRIVAL', 'BEFORE_CLOSING', 'AFTER_CLOSING')),
    verdict    TEXT    NOT NULL CHECK (verdict IN ('PASSED', 'FAILED', 'NOT_TESTED')),
    what       TEXT    NOT NULL,
    covers_on  INTEGER NOT NULL CHECK (covers_on IN (0, 1)),
    load       TEXT    NOT NULL DEFAULT '',
    times      INTEGER NOT NULL CHECK (times >= 0),
    remark     TEXT    NOT NULL DEFAULT '',
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    corrects   INTEGER REFERENCES check_entry (id),
    struck_at  INTEGER,
    struck_by  INTEGER REFERENCES person (id),
    struck_why TEXT
) STRICT;
CREATE INDEX check_entry_by_job ON check_entry (job_id);

-- The last one given stands; earlier ones stay on record.
CREATE TABLE outcome_entry (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    outcome TEXT    NOT NULL CHECK (outcome IN ('FIXED', 'FIXED_WITH_REMARK', 'PARTLY_FIXED', 'NOT_FIXED',
                                                'NO_FAULT_FOUND', 'NOT_WORTH_IT', 'KEPT_FOR_PARTS')),
    remark  TEXT    NOT NULL DEFAULT '',
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX outcome_entry_by_job ON outcome_entry (job_id);

-- What happened, and what was answered --------------------------------------------------------------------------------

CREATE TABLE journal (
    id         INTEGER PRIMARY KEY,
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    job_id     INTEGER REFERENCES job (id),
    subject    TEXT    NOT NULL,
    subject_id INTEGER NOT NULL,
    words      TEXT    NOT NULL,
    before     TEXT CHECK (before IS NULL OR json_valid(before)),
    after      TEXT CHECK (after IS NULL OR json_valid(after))
) STRICT;
CREATE INDEX journal_by_job ON journal (job_id) WHERE job_id IS NOT NULL;

-- Answers to repeatable writes, by the id the client made: a retry is answered from here and does nothing.
CREATE TABLE answered (
    person_id   INTEGER NOT NULL REFERENCES person (id),
    request     TEXT    NOT NULL,
    fingerprint TEXT    NOT NULL,
    answer      TEXT    NOT NULL,
    at          INTEGER NOT NULL,
    PRIMARY KEY (person_id, request)
) STRICT, WITHOUT ROWID;
CREATE INDEX answered_by_age ON answered (at);

-- One line a job for the finder; rowid is the job's id, so newest first costs nothing.
CREATE VIRTUAL TABLE finder USING fts5 (
    tag, serial, model, owner, symptoms,
    tokenize = 'unicode61 remove_diacritics 2',
    prefix = '1 2 3'
);
