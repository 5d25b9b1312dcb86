-- Gauges inside a job: what was measured with limits, verdict, instrument and who; chips that were added; where the meter is.

-- What was typed is kept as it was typed, beside what it was taken as.
CREATE TABLE measurement (
    id         INTEGER PRIMARY KEY,
    job_id     INTEGER NOT NULL REFERENCES job (id),
    gauge      TEXT    NOT NULL CHECK (gauge IN ('BELT', 'GEAR', 'THREAD', 'RAILS', 'LOGIC', 'CHAIN', 'SPINDLE',
                                                 'BLEED', 'CAPACITOR', 'LIMIT')),
    place      TEXT    NOT NULL,
    stage      TEXT    NOT NULL,
    good_unit  INTEGER NOT NULL CHECK (good_unit IN (0, 1)),
    instrument TEXT    NOT NULL,
    asked      TEXT    NOT NULL CHECK (json_valid(asked)),
    typed      TEXT    NOT NULL CHECK (json_valid(typed)),
    verdict    TEXT    CHECK (verdict IN ('GOOD', 'BAD', 'CAN_NOT_SAY')),
    words      TEXT    NOT NULL,
    at         INTEGER NOT NULL,
    by         INTEGER NOT NULL REFERENCES person (id),
    struck_at  INTEGER,
    struck_by  INTEGER REFERENCES person (id),
    struck_why TEXT
) STRICT;
CREATE INDEX measurement_by_job ON measurement (job_id);
CREATE INDEX measurement_of_good_units ON measurement (gauge, at) WHERE good_unit = 1 AND struck_at IS NULL;

CREATE TABLE reading (
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
    verdict        TEXT    CHECK (verdict IN ('GOOD', 'BAD', 'CAN_NOT_SAY')),
    PRIMARY KEY (measurement_id, place)
) STRICT, WITHOUT ROWID;

-- Chips beyond those that ship with the application.
CREATE TABLE logic_chip (
    number TEXT    PRIMARY KEY,
    chip   TEXT    NOT NULL CHECK (json_valid(chip)),
    at     INTEGER NOT NULL,
    by     INTEGER NOT NULL REFERENCES person (id)
) STRICT, WITHOUT ROWID;

-- The last one said stands.
CREATE TABLE meter (
    id   INTEGER PRIMARY KEY,
    host TEXT    NOT NULL,
    port INTEGER NOT NULL CHECK (port BETWEEN 1 AND 65535),
    at   INTEGER NOT NULL,
    by   INTEGER NOT NULL REFERENCES person (id)
) STRICT;

-- Questions of a screen that read a whole table until now (QueryPlansTest found them).
CREATE INDEX hold_not_ended ON hold (until_at) WHERE ended_at IS NULL;
CREATE INDEX hold_by_kind ON hold (kind);
CREATE INDEX job_by_owner ON job (owner_id) WHERE owner_id IS NOT NULL;
CREATE INDEX job_symptom_by_symptom ON job_symptom (symptom_id);
