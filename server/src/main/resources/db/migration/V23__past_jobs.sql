-- A list of past jobs that the shop brought with it. Its rows count while this one row says that it is done: undoing it deletes nothing.
CREATE TABLE brought (
    id       INTEGER PRIMARY KEY,
    name     TEXT    NOT NULL,
    said     TEXT    NOT NULL,
    columns  TEXT    NOT NULL CHECK (json_valid(columns)),
    kind     TEXT    NOT NULL DEFAULT 'OTHER',
    state    TEXT    NOT NULL DEFAULT 'READ',
    rows     INTEGER NOT NULL,
    gone     INTEGER NOT NULL DEFAULT 0,
    at       INTEGER NOT NULL,
    by       INTEGER NOT NULL REFERENCES person (id)
) STRICT;

CREATE TABLE past_job (
    id           INTEGER PRIMARY KEY,
    brought_id   INTEGER NOT NULL REFERENCES brought (id),
    line         INTEGER NOT NULL,
    at           INTEGER NOT NULL,
    owner        TEXT    NOT NULL DEFAULT '',
    model        TEXT    NOT NULL,
    revision_id  INTEGER NOT NULL REFERENCES revision (id),
    symptoms     TEXT    NOT NULL CHECK (json_valid(symptoms)),
    component_id INTEGER REFERENCES component (id),
    fault_id     INTEGER REFERENCES fault (id),
    remedy       TEXT,
    part         TEXT    NOT NULL DEFAULT '',
    cost_minor   INTEGER NOT NULL DEFAULT 0,
    outcome      TEXT,
    UNIQUE (brought_id, line)
) STRICT;
CREATE INDEX past_job_by_fault ON past_job (fault_id) WHERE fault_id IS NOT NULL;
