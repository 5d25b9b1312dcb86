-- A browser that somebody signed in on: what opens the shop to it again after a restart is kept as a hash, and is gone with the row.
CREATE TABLE sign_in (
    id         INTEGER PRIMARY KEY,
    person_id  INTEGER NOT NULL REFERENCES person (id),
    token_hash TEXT    NOT NULL UNIQUE,
    at         INTEGER NOT NULL
) STRICT;
CREATE INDEX sign_in_by_person ON sign_in (person_id);

-- What has to be said before a step has one more kind: what was marked before it is moved.
DROP INDEX entry_of_power;
CREATE INDEX entry_of_power ON entry (job_id, id) WHERE kind IN ('POWER', 'POWER_OFF', 'ACKNOWLEDGED', 'MARKED');

-- What came without a unit is asked for at handover like what came with it.
ALTER TABLE belonging ADD COLUMN absent INTEGER NOT NULL DEFAULT 0 CHECK (absent IN (0, 1));
