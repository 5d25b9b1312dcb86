-- Notes that were written by taking a unit apart, offered to whoever decides about notes once that unit is together again.
CREATE TABLE draft (
    id          INTEGER PRIMARY KEY,
    revision_id INTEGER NOT NULL REFERENCES revision (id),
    job_id      INTEGER NOT NULL UNIQUE REFERENCES job (id),
    at          INTEGER NOT NULL,
    by          INTEGER NOT NULL REFERENCES person (id),
    looked_at   INTEGER,
    looked_by   INTEGER REFERENCES person (id)
) STRICT;
CREATE INDEX draft_by_look ON draft (looked_at);
