-- A gap of more than an hour between two entries at a bench counts nothing as work until somebody says how much of it was. The last word stands.
CREATE TABLE gap_said (
    id      INTEGER PRIMARY KEY,
    job_id  INTEGER NOT NULL REFERENCES job (id),
    from_at INTEGER NOT NULL,
    minutes INTEGER NOT NULL CHECK (minutes >= 0),
    at      INTEGER NOT NULL,
    by      INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX gap_said_by_job ON gap_said (job_id);
CREATE TRIGGER gap_said_is_never_changed BEFORE UPDATE ON gap_said
BEGIN SELECT RAISE(ABORT, 'what was said of a gap stays as it was said'); END;
CREATE TRIGGER gap_said_stays BEFORE DELETE ON gap_said
BEGIN SELECT RAISE(ABORT, 'what was said of a gap stays'); END;
