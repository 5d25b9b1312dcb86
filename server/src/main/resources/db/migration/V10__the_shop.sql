-- What somebody does in the shop: several things, in a shop of one to three.
CREATE TABLE person_role (
    person_id INTEGER NOT NULL REFERENCES person (id),
    role      TEXT    NOT NULL,
    PRIMARY KEY (person_id, role)
) STRICT, WITHOUT ROWID;

INSERT INTO person_role (person_id, role) SELECT id, role FROM person;

ALTER TABLE person DROP COLUMN role;

-- Whether any sum is kept is asked before the currency may change.
CREATE INDEX job_paid ON job (paid_minor) WHERE paid_minor > 0;

-- The shop's settings: one row, made at the first start with what the flags said then, and edited by a lead from then on.
CREATE TABLE shop (
    id         INTEGER PRIMARY KEY CHECK (id = 1),
    name       TEXT    NOT NULL,
    currency   TEXT    NOT NULL,
    hour_minor INTEGER NOT NULL CHECK (hour_minor >= 0),
    zone       TEXT    NOT NULL,
    -- by weekday: "09:00-18:00"; closed on those that are not in it
    open       TEXT    NOT NULL,
    decimal    TEXT    NOT NULL,
    terms      TEXT    NOT NULL,
    version    INTEGER NOT NULL DEFAULT 1
) STRICT;

-- A slot that was taken away stays for the jobs that stood in it.
ALTER TABLE slot ADD COLUMN gone INTEGER NOT NULL DEFAULT 0 CHECK (gone IN (0, 1));
