-- What a bench says the notes have wrong: one step as it should be. It waits for a lead.
CREATE TABLE proposal (
    id          INTEGER PRIMARY KEY,
    revision_id INTEGER NOT NULL REFERENCES revision (id),
    teardown_id INTEGER NOT NULL REFERENCES teardown (id),
    job_id      INTEGER REFERENCES job (id),
    step        TEXT    NOT NULL CHECK (json_valid(step)),
    why         TEXT    NOT NULL,
    made_at     INTEGER NOT NULL,
    made_by     INTEGER NOT NULL REFERENCES person (id),
    decision    TEXT CHECK (decision IN ('ACCEPTED', 'DECLINED')),
    decided_at  INTEGER,
    decided_by  INTEGER REFERENCES person (id),
    decided_why TEXT    NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX proposal_waiting ON proposal (revision_id) WHERE decision IS NULL;
