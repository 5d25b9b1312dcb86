-- Checks stand by name: which planned one it was, whether under power, and that a failure was taken as a remark.
ALTER TABLE check_entry ADD COLUMN planned TEXT;
ALTER TABLE check_entry ADD COLUMN powered INTEGER NOT NULL DEFAULT 1;
ALTER TABLE check_entry ADD COLUMN as_remark TEXT;
ALTER TABLE check_entry ADD COLUMN as_remark_at INTEGER;
ALTER TABLE check_entry ADD COLUMN as_remark_by INTEGER REFERENCES person (id);

CREATE TRIGGER check_entry_keeps_what_it_was BEFORE UPDATE OF planned, powered ON check_entry
BEGIN SELECT RAISE(ABORT, 'What is in check_entry is written once'); END;

-- A hold is on the job, on a component, or on a step and all after it; when it is over its question is answered.
ALTER TABLE hold ADD COLUMN component_id INTEGER REFERENCES component (id);
ALTER TABLE hold ADD COLUMN step TEXT;
ALTER TABLE hold ADD COLUMN answer TEXT;
ALTER TABLE hold ADD COLUMN end_why TEXT NOT NULL DEFAULT '';

-- What may be asked of a job's power and cautions at every press.
CREATE INDEX entry_of_power ON entry (job_id, id) WHERE kind IN ('POWER', 'POWER_OFF', 'ACKNOWLEDGED');

-- A unit that goes out untested teaches nothing of whether it was mended: kept with the job, as the time worked on it is.
ALTER TABLE job ADD COLUMN untested INTEGER NOT NULL DEFAULT 0;
UPDATE job
SET untested = 1
WHERE handed_over_at IS NOT NULL
  AND EXISTS (SELECT 1 FROM check_entry
              WHERE job_id = job.id AND stage = 'AFTER_CLOSING' AND struck_at IS NULL AND verdict = 'NOT_TESTED')
  AND NOT EXISTS (SELECT 1 FROM check_entry
                  WHERE job_id = job.id AND stage = 'AFTER_CLOSING' AND struck_at IS NULL AND verdict <> 'NOT_TESTED');
