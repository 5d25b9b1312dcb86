-- Whether what was moved is all of a thing together, which nobody has counted.
ALTER TABLE ledger_entry ADD COLUMN lot INTEGER NOT NULL DEFAULT 0 CHECK (lot IN (0, 1));

-- An open job went on by newer notes than it was opened with: what its entries up to then are called in those, and what its books opened with.
CREATE TABLE notes_taken (
    id            INTEGER PRIMARY KEY,
    job_id        INTEGER NOT NULL REFERENCES job (id),
    from_teardown INTEGER NOT NULL REFERENCES teardown (id),
    to_teardown   INTEGER NOT NULL REFERENCES teardown (id),
    said          TEXT    NOT NULL CHECK (json_valid(said)),
    moment        INTEGER NOT NULL,
    at            INTEGER NOT NULL,
    by            INTEGER NOT NULL REFERENCES person (id)
) STRICT;
CREATE INDEX notes_taken_by_job ON notes_taken (job_id);
CREATE TRIGGER notes_taken_is_never_changed BEFORE UPDATE ON notes_taken
BEGIN SELECT RAISE(ABORT, 'by which notes a job went on stays as it was said'); END;
CREATE TRIGGER notes_taken_stays BEFORE DELETE ON notes_taken
BEGIN SELECT RAISE(ABORT, 'by which notes a job went on stays'); END;
CREATE TRIGGER notes_taken_once BEFORE INSERT ON notes_taken
WHEN EXISTS (SELECT 1 FROM notes_taken WHERE id = NEW.id)
BEGIN SELECT RAISE(ABORT, 'by which notes a job went on stays as it was said'); END;
